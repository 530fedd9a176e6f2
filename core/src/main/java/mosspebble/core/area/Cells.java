package mosspebble.core.area;

/** A set of cells of a grid within a bounding box, one bit each. Immutable. */
public final class Cells {

    /** From this share of a cell on it counts as touched. */
    private static final float TOUCHED = 0.1f;

    private final int column;
    private final int row;
    private final int columns;
    private final int rows;
    private final int words;
    private final long[] bits;
    private final int count;

    private Cells(int column, int row, int columns, int rows, long[] bits) {
        this.column = column;
        this.row = row;
        this.columns = columns;
        this.rows = rows;
        this.words = (columns + 63) >> 6;
        this.bits = bits;
        int sum = 0;
        for (long word : bits) {
            sum += Long.bitCount(word);
        }
        this.count = sum;
    }

    /** The cells that an area touches. */
    public static Cells of(Mask mask) {
        int words = (mask.columns() + 63) >> 6;
        long[] bits = new long[words * mask.rows()];
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                if (mask.at(c, r) > TOUCHED) {
                    bits[r * words + (c >> 6)] |= 1L << (c & 63);
                }
            }
        }
        return new Cells(mask.column(), mask.row(), mask.columns(), mask.rows(), bits);
    }

    /** How many cells. */
    public int count() {
        return count;
    }

    /** Whether both have a cell in common. */
    public boolean intersects(Cells other) {
        return common(other, true) > 0;
    }

    /** How many cells both have. */
    public int common(Cells other) {
        return common(other, false);
    }

    private int common(Cells other, boolean any) {
        int left = Math.max(column, other.column);
        int right = Math.min(column + columns, other.column + other.columns);
        int top = Math.max(row, other.row);
        int bottom = Math.min(row + rows, other.row + other.rows);
        if (left >= right || top >= bottom) {
            return 0;
        }
        int sum = 0;
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x += 64) {
                long both = word(x, y) & other.word(x, y);
                if (right - x < 64) {
                    both &= (1L << right - x) - 1;
                }
                if (both != 0) {
                    sum += Long.bitCount(both);
                    if (any) {
                        return sum;
                    }
                }
            }
        }
        return sum;
    }

    /** The 64 bits from a column of the grid on, in a row. */
    private long word(int x, int y) {
        int from = x - column;
        int base = (y - row) * words;
        int index = from >> 6;
        int shift = from & 63;
        long low = index < 0 || index >= words ? 0 : bits[base + index] >>> shift;
        long high = shift == 0 || index + 1 < 0 || index + 1 >= words ? 0 : bits[base + index + 1] << 64 - shift;
        return low | high;
    }

    /** The cells that both have. */
    public Cells and(Cells other) {
        int left = Math.max(column, other.column);
        int right = Math.min(column + columns, other.column + other.columns);
        int top = Math.max(row, other.row);
        int bottom = Math.min(row + rows, other.row + other.rows);
        if (left >= right || top >= bottom) {
            return new Cells(left, top, 0, 0, new long[0]);
        }
        int wide = (right - left + 63) >> 6;
        long[] both = new long[wide * (bottom - top)];
        long last = (right - left & 63) == 0 ? -1L : (1L << (right - left & 63)) - 1;
        for (int y = top; y < bottom; y++) {
            for (int w = 0; w < wide; w++) {
                long bits = word(left + 64 * w, y) & other.word(left + 64 * w, y);
                both[(y - top) * wide + w] = w == wide - 1 ? bits & last : bits;
            }
        }
        return new Cells(left, top, right - left, bottom - top, both);
    }

    /** Whether a cell is left when so many steps are taken off all round: no strip of twice as many cells is. */
    public boolean widerThan(int steps) {
        long[] now = bits;
        for (int step = 0; step < steps; step++) {
            long[] next = new long[now.length];
            boolean any = false;
            for (int y = 1; y < rows - 1; y++) {
                for (int w = 0; w < words; w++) {
                    int i = y * words + w;
                    long left = now[i] << 1 | (w > 0 ? now[i - 1] >>> 63 : 0);
                    long right = now[i] >>> 1 | (w + 1 < words ? now[i + 1] << 63 : 0);
                    next[i] = now[i] & left & right & now[i - words] & now[i + words];
                    any |= next[i] != 0;
                }
            }
            if (!any) {
                return false;
            }
            now = next;
        }
        return count > 0;
    }

    /** All cells within so many steps to the side, up and down, kept inside the grid. */
    public Cells spread(int steps, Grid grid) {
        int left = Math.max(0, column - steps);
        int right = Math.min(grid.columns(), column + columns + steps);
        int top = Math.max(0, row - steps);
        int bottom = Math.min(grid.rows(), row + rows + steps);
        if (count == 0 || right <= left || bottom <= top) {
            return this;
        }
        int wide = (right - left + 63) >> 6;
        long[] now = new long[wide * (bottom - top)];
        for (int y = row; y < row + rows; y++) {
            for (int w = 0; w < wide; w++) {
                now[(y - top) * wide + w] = word(left + 64 * w, y);
            }
        }
        long last = (right - left & 63) == 0 ? -1L : (1L << (right - left & 63)) - 1;
        for (int step = 0; step < steps; step++) {
            long[] next = now.clone();
            for (int y = 0; y < bottom - top; y++) {
                for (int w = 0; w < wide; w++) {
                    int i = y * wide + w;
                    long sides = now[i] << 1 | now[i] >>> 1 | (w > 0 ? now[i - 1] >>> 63 : 0) | (w + 1 < wide ? now[i + 1] << 63 : 0);
                    long above = y > 0 ? now[i - wide] : 0;
                    long below = y + 1 < bottom - top ? now[i + wide] : 0;
                    next[i] |= sides | above | below;
                    if (w == wide - 1) {
                        next[i] &= last;
                    }
                }
            }
            now = next;
        }
        return new Cells(left, top, right - left, bottom - top, now);
    }
}
