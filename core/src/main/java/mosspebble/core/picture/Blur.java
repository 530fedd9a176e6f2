package mosspebble.core.picture;

/** Box blur of a field; cells outside count as 0. */
final class Blur {

    private Blur() {}

    /** Mean over a square of 2 reach + 1 cells to a side. */
    static float[] box(float[] values, int columns, int rows, int reach) {
        float[] across = new float[values.length];
        for (int r = 0; r < rows; r++) {
            line(values, across, r * columns, 1, columns, reach);
        }
        float[] result = new float[values.length];
        for (int c = 0; c < columns; c++) {
            line(across, result, c, columns, rows, reach);
        }
        return result;
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
