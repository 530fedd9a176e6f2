package mosspebble.core.area;

/**
 * A grid of square cells over the stone: cell (column, row) covers x from {@code left + column * cellMm}, y likewise from {@code top}.
 *
 * @param cellMm side of a cell in mm, above 0
 */
public record Grid(double left, double top, double cellMm, int columns, int rows) {

    /** Most cells: enough for a stone that fills a 4K screen. */
    public static final int MOST_CELLS = 12_000_000;

    public Grid {
        if (!(cellMm > 0) || columns < 1 || rows < 1 || (long) columns * rows > MOST_CELLS) {
            throw new IllegalArgumentException("a grid needs cells above 0 mm and at most " + MOST_CELLS + " of them, had " + columns
                    + " x " + rows + " of " + cellMm + " mm");
        }
    }

    /** A grid centred on the stone's middle that covers so many mm to each side. */
    public static Grid around(double halfWidth, double halfHeight, double cellMm) {
        int columns = 2 * (int) Math.ceil(halfWidth / cellMm) + 2;
        int rows = 2 * (int) Math.ceil(halfHeight / cellMm) + 2;
        return new Grid(-columns / 2 * cellMm, -rows / 2 * cellMm, cellMm, columns, rows);
    }

    /** A rectangle of it, from a column and row on. */
    public Grid part(int column, int row, int partColumns, int partRows) {
        return new Grid(left + column * cellMm, top + row * cellMm, cellMm, partColumns, partRows);
    }

    public int cells() {
        return columns * rows;
    }

    /** x of the middle of a column, mm. */
    public double x(int column) {
        return left + (column + 0.5) * cellMm;
    }

    /** y of the middle of a row, mm. */
    public double y(int row) {
        return top + (row + 0.5) * cellMm;
    }
}
