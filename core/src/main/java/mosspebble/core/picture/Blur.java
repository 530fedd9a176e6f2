package mosspebble.core.picture;

import java.util.stream.IntStream;

/** Box blur of a field; cells outside count as 0. */
final class Blur {

    private static final int BLOCK = 64;

    private Blur() {}

    /** Mean over a square of 2 reach + 1 cells to a side. */
    static float[] box(float[] values, int columns, int rows, int reach) {
        float[] across = new float[values.length];
        IntStream.range(0, rows).parallel().forEach(r -> line(values, across, r * columns, 1, columns, reach));
        float[] result = new float[values.length];
        IntStream.range(0, (columns + BLOCK - 1) / BLOCK).parallel()
                .forEach(b -> down(across, result, b * BLOCK, Math.min(columns, (b + 1) * BLOCK), columns, rows, reach));
        return result;
    }

    /** Some columns side by side, row by row, as memory lies. */
    private static void down(float[] from, float[] to, int first, int end, int columns, int rows, int reach) {
        float[] sum = new float[end - first];
        for (int r = 0; r < Math.min(reach, rows); r++) {
            add(from, r * columns + first, sum, 1);
        }
        for (int r = 0; r < rows; r++) {
            if (r + reach < rows) {
                add(from, (r + reach) * columns + first, sum, 1);
            }
            if (r - reach - 1 >= 0) {
                add(from, (r - reach - 1) * columns + first, sum, -1);
            }
            for (int c = 0; c < sum.length; c++) {
                to[r * columns + first + c] = sum[c] / (2 * reach + 1);
            }
        }
    }

    private static void add(float[] from, int at, float[] sum, int sign) {
        for (int c = 0; c < sum.length; c++) {
            sum[c] += sign * from[at + c];
        }
    }

    private static void line(float[] from, float[] to, int start, int step, int count, int reach) {
        float sum = 0;
        for (int i = 0; i < Math.min(reach, count); i++) {
            sum += from[start + i * step];
        }
        for (int i = 0; i < count; i++) {
            if (i + reach < count) {
                sum += from[start + (i + reach) * step];
            }
            if (i - reach - 1 >= 0) {
                sum -= from[start + (i - reach - 1) * step];
            }
            to[start + i * step] = sum / (2 * reach + 1);
        }
    }
}
