package mosspebble.core.picture;

import mosspebble.core.units.Parallel;
import java.util.Arrays;

/**
 * Box blur of a field; cells outside count as 0. Sums are of whole numbers, so that a cell comes out the same in whatever rectangle round
 * it the blur was made.
 */
final class Blur {

    private static final int BLOCK = 64;

    /** So many rows are summed up one after the other. */
    private static final int BAND = 16;

    /** Values to so much, either way; beyond it they are cut off. */
    static final float MOST = 8;

    private Blur() {}

    /** Mean over a square of 2 reach + 1 cells to a side. */
    static float[] box(float[] values, int columns, int rows, int reach) {
        return box(values, columns, rows, reach, new Spare());
    }

    static float[] box(float[] values, int columns, int rows, int reach, Spare spare) {
        return box(values, columns, rows, reach, Blocks.all(columns, rows, BLOCK), spare);
    }

    /** The same for the cells of some blocks, which are not narrower than the reach; the others are 0. */
    static float[] box(float[] values, int columns, int rows, int reach, Blocks wanted, Spare spare) {
        int[] across = spare.ints(columns * rows);
        Blocks met = wanted.wider(0, 1);
        Scale scale = Scale.of(reach);
        Parallel.range(0, (rows + BAND - 1) / BAND).forEach(band -> {
            int[] whole = new int[met.across * met.side + 2 * reach];
            for (int r = band * BAND; r < Math.min(rows, (band + 1) * BAND); r++) {
                for (int b = 0; b < met.across; b++) {
                    int first = b;
                    while (b < met.across && met.has(b, r / met.side)) {
                        b++;
                    }
                    if (b > first) {
                        scale.line(values, across, r * columns, columns, first * met.side, Math.min(columns, b * met.side), whole);
                    }
                }
            }
        });
        float[] result = spare.floats(columns * rows);
        Parallel.range(0, wanted.across).forEach(b -> {
            for (int k = 0; k < wanted.down; k++) {
                int first = k;
                while (k < wanted.down && wanted.has(b, k)) {
                    k++;
                }
                if (k > first) {
                    scale.down(across, result, b * wanted.side, Math.min(columns, (b + 1) * wanted.side), columns, rows,
                            first * wanted.side, Math.min(rows, k * wanted.side));
                }
            }
        });
        spare.takeBack(across);
        return result;
    }

    /**
     * How values become whole numbers whose sums still fit, as fine as can be for the reach.
     *
     * @param fine parts of 1 that are told apart
     * @param shift bits that sums of a row lose before they are added up over rows: one of a row's cells is told apart as finely then as
     *            the mean of all of them was before
     */
    private record Scale(int reach, float fine, int shift) {

        static Scale of(int reach) {
            int cells = 2 * reach + 1;
            int shift = 32 - Integer.numberOfLeadingZeros(cells - 1);
            return new Scale(reach, (int) ((1 << 30) / (MOST * cells)) >> shift << shift, shift); // so that 1 loses nothing
        }

        /**
         * Some cells of a row: sums of their squares' rows.
         *
         * @param whole room for the values met
         */
        void line(float[] values, int[] to, int start, int count, int from, int end, int[] whole) {
            int first = from - reach;
            Arrays.fill(whole, 0, Math.max(0, -first), 0); // beyond the ends there are zeros
            Arrays.fill(whole, Math.max(0, Math.min(count, end + reach) - first), end + reach - first, 0);
            for (int i = Math.max(0, first); i < Math.min(count, end + reach); i++) {
                float value = values[start + i];
                whole[i - first] = (int) (fine * (value > MOST ? MOST : value < -MOST ? -MOST : value));
            }
            int sum = shift > 0 ? 1 << shift - 1 : 0; // so that what is cut off is rounded
            for (int i = 0; i < 2 * reach; i++) {
                sum += whole[i];
            }
            int last = end - from - 1;
            for (int i = 0; i <= last; i++) {
                sum += whole[i + 2 * reach];
                to[start + from + i] = sum >> shift;
                sum -= whole[i];
            }
        }

        /** Some columns side by side, row by row, as memory lies. */
        void down(int[] from, float[] to, int first, int end, int columns, int rows, int top, int bottom) {
            int[] sum = new int[end - first];
            for (int r = Math.max(0, top - reach); r < Math.min(top + reach, rows); r++) {
                add(from, r * columns + first, sum);
            }
            float share = (1 << shift) / (fine * (2 * reach + 1) * (2 * reach + 1));
            for (int r = top; r < bottom; r++) {
                if (r + reach < rows) {
                    add(from, (r + reach) * columns + first, sum);
                }
                mean(sum, share, to, r * columns + first);
                if (r - reach >= 0) {
                    subtract(from, (r - reach) * columns + first, sum);
                }
            }
        }

        private static void add(int[] from, int at, int[] sum) {
            for (int c = 0; c < sum.length; c++) {
                sum[c] += from[at + c];
            }
        }

        private static void subtract(int[] from, int at, int[] sum) {
            for (int c = 0; c < sum.length; c++) {
                sum[c] -= from[at + c];
            }
        }

        private static void mean(int[] sum, float share, float[] to, int at) {
            for (int c = 0; c < sum.length; c++) {
                to[at + c] = sum[c] * share;
            }
        }
    }
}
