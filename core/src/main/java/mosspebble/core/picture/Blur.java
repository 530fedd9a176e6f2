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
        return box(values, columns, rows, reach, Blocks.all(columns, rows, BLOCK));
    }

    /** The same for the cells of some blocks, which are not narrower than the reach; the others are 0. */
    static float[] box(float[] values, int columns, int rows, int reach, Blocks wanted) {
        int[] across = new int[values.length];
        Blocks met = wanted.wider(0, 1);
        IntStream.range(0, rows).parallel().forEach(r -> {
            for (int b = 0; b < met.across; b++) {
                int first = b;
                while (b < met.across && met.has(b, r / met.side)) {
                    b++;
                }
                if (b > first) {
                    line(values, across, r * columns, columns, first * met.side, Math.min(columns, b * met.side), reach);
                }
            }
        });
        float[] result = new float[values.length];
        IntStream.range(0, wanted.across).parallel().forEach(b -> {
            for (int k = 0; k < wanted.down; k++) {
                int first = k;
                while (k < wanted.down && wanted.has(b, k)) {
                    k++;
                }
                if (k > first) {
                    down(across, result, b * wanted.side, Math.min(columns, (b + 1) * wanted.side), columns, rows,
                            first * wanted.side, Math.min(rows, k * wanted.side), reach);
                }
            }
        });
        return result;
    }

    /** Some columns side by side, row by row, as memory lies. */
    private static void down(int[] from, float[] to, int first, int end, int columns, int rows, int top, int bottom, int reach) {
        long[] sum = new long[end - first];
        for (int r = Math.max(0, top - reach); r < Math.min(top + reach, rows); r++) {
            add(from, r * columns + first, sum, 1);
        }
        double share = 1 / ((2 * reach + 1) * FINE);
        for (int r = top; r < bottom; r++) {
            if (r + reach < rows) {
                add(from, (r + reach) * columns + first, sum, 1);
            }
            for (int c = 0; c < sum.length; c++) {
                to[r * columns + first + c] = (float) (sum[c] * share);
            }
            if (r - reach >= 0) {
                add(from, (r - reach) * columns + first, sum, -1);
            }
        }
    }

    private static void add(int[] from, int at, long[] sum, int sign) {
        for (int c = 0; c < sum.length; c++) {
            sum[c] += sign * from[at + c];
        }
    }

    /** Added to a number it leaves no room for a fraction: the sum's lowest bits are the nearest whole number. */
    private static final double NO_FRACTION = 1.5 * (1L << 52);

    /** The nearest whole number, halves to the even one; without a test, which is what a cast costs. */
    private static int nearest(double value) {
        return (int) Double.doubleToRawLongBits(value + NO_FRACTION);
    }

    /** Some cells of a row. */
    private static void line(float[] values, int[] to, int start, int count, int from, int end, int reach) {
        int[] whole = new int[end - from + 2 * reach]; // beyond the ends there are zeros
        int first = from - reach;
        for (int i = Math.max(0, first); i < Math.min(count, end + reach); i++) {
            whole[i - first] = nearest(values[start + i] * FINE);
        }
        long sum = 0;
        for (int i = 0; i < 2 * reach; i++) {
            sum += whole[i];
        }
        double share = 1.0 / (2 * reach + 1);
        int last = end - from - 1;
        for (int i = 0; i <= last; i++) {
            sum += whole[i + 2 * reach];
            to[start + from + i] = nearest(sum * share);
            sum -= whole[i];
        }
    }
}
