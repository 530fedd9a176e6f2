package mosspebble.core.picture;

import mosspebble.core.area.Grid;
import org.locationtech.jts.geom.Envelope;

/**
 * The cells of a grid that are wanted. Round them lie others that are only drawn as far as something of them is seen in the window: what
 * stands in its light, and what a touch of paint stands on.
 *
 * @param column first column of the grid that is wanted
 * @param row first row
 */
record Window(Grid grid, int column, int row, int columns, int rows) {

    Window {
        if (column < 0 || row < 0 || columns < 1 || rows < 1 || column + columns > grid.columns() || row + rows > grid.rows()) {
            throw new IllegalArgumentException(
                    "no window of " + columns + " x " + rows + " at " + column + ", " + row + " in " + grid.columns() + " x "
                            + grid.rows());
        }
    }

    static Window whole(Grid grid) {
        return new Window(grid, 0, 0, grid.columns(), grid.rows());
    }

    boolean hasRow(int r) {
        return r >= row && r < row + rows;
    }

    boolean has(int c, int r) {
        return hasRow(r) && c >= column && c < column + columns;
    }

    /** What it covers, mm. */
    Envelope box() {
        double left = grid.left() + column * grid.cellMm();
        double top = grid.top() + row * grid.cellMm();
        return new Envelope(left, left + columns * grid.cellMm(), top, top + rows * grid.cellMm());
    }

    /** Number of its first cell in the grid. */
    int first() {
        return row * grid.columns() + column;
    }

    /** The smallest that has this one and another of the same grid. */
    Window with(Window other) {
        int left = Math.min(column, other.column);
        int top = Math.min(row, other.row);
        return new Window(grid, left, top, Math.max(column + columns, other.column + other.columns) - left,
                Math.max(row + rows, other.row + other.rows) - top);
    }
}
