package mosspebble.core.picture;

import java.util.stream.IntStream;

/**
 * Box blur of a field; cells outside count as 0. Sums are of whole numbers, so that a cell comes out the same in whatever rectangle round
 * it the blur was made.
 */
final class Blur {

    private static final int BLOCK = 64;

    /** Parts of 1 that are told apart. */
    private static final double FINE = 1 << 20;

    private Blur() {}

    /** Mean over a square of 2 reach + 1 cells to a side; values to 2,000. */
    static float[] box(float[] values, int columns, int rows, int reach) {
        int[] across = new int[values.length];
        IntStream.range(0, rows).parallel().forEach(r -> line(values, across, r * columns, columns, reach));
        float[] result = new float[values.length];
        IntStream.range(0, (columns + BLOCK - 1) / BLOCK).parallel()
                .forEach(b -> down(across, result, b * BLOCK, Math.min(columns, (b + 1) * BLOCK), columns, rows, reach));
        return result;
    }

    /** Some columns side by side, row by row, as memory lies. */
    private static void down(int[] from, float[] to, int first, int end, int columns, int rows, int reach) {
        long[] sum = new long[end - first];
        for (int r = 0; r < Math.min(reach, rows); r++) {
            add(from, r * columns + first, sum, 1);
        }
        double share = 1 / ((2 * reach + 1) * FINE);
        for (int r = 0; r < rows; r++) {
            if (r + reach < rows) {
                add(from, (r + reach) * columns + first, sum, 1);
            }
            if (r - reach - 1 >= 0) {
                add(from, (r - reach - 1) * columns + first, sum, -1);
            }
            for (int c = 0; c < sum.length; c++) {
                to[r * columns + first + c] = (float) (sum[c] * share);
            }
        }
    }

    private static void add(int[] from, int at, long[] sum, int sign) {
        for (int c = 0; c < sum.length; c++) {
            sum[c] += sign * from[at + c];
        }
    }

    /** The nearest whole number, halves upward; without Math.floor, which is a call until the last compiler has been here. */
    private static int nearest(double value) {
        double raised = value + 0.5;
        int whole = (int) raised;
        return raised < whole ? whole - 1 : whole;
    }

    private static void line(float[] values, int[] to, int start, int count, int reach) {
        int[] whole = new int[count];
        for (int i = 0; i < count; i++) {
            whole[i] = nearest(values[start + i] * FINE);
        }
        long sum = 0;
        for (int i = 0; i < Math.min(reach, count); i++) {
            sum += whole[i];
        }
        for (int i = 0; i < count; i++) {
            if (i + reach < count) {
                sum += whole[i + reach];
            }
            if (i - reach - 1 >= 0) {
                sum -= whole[i - reach - 1];
            }
            to[start + i] = nearest((double) sum / (2 * reach + 1));
        }
    }
}
