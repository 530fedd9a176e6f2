package mosspebble.core.picture;

import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * A field that changes so slowly that it is worked out on coarse cells and read between them. The cells lie by what is softened and not by
 * the pixels, so that every part of a picture, at whatever scale, reads the same.
 */
final class SoftField {

    /** Most cells; beyond it they are larger. */
    private static final double MOST = 250_000;

    /** Cells to the reach of the softening: three to either side of the middle one. Read between them it is true to a hundredth. */
    private static final double FINE = 3.5;

    private final Grid grid;
    private final float[] values;

    private SoftField(Grid grid, float[] values) {
        this.grid = grid;
        this.values = values;
    }

    /** The cells for what is softened by so many mm, over an area and as far round it. */
    static Grid grid(Geometry over, double reachMm) {
        Envelope box = over.getEnvelopeInternal();
        double round = 2.5 * reachMm;
        double wide = box.getWidth() + 2 * round;
        double high = box.getHeight() + 2 * round;
        double cell = Math.max(reachMm / FINE, Math.sqrt(wide * high / MOST));
        return new Grid(box.getMinX() - round, box.getMinY() - round, cell, 1 + (int) Math.ceil(wide / cell),
                1 + (int) Math.ceil(high / cell));
    }

    /** So many cells to either side a mean is taken over; the middle cell reaches half a cell by itself. */
    private static int cells(Grid grid, double reachMm) {
        return Math.max(1, (int) Math.round(reachMm / grid.cellMm() - 0.5));
    }

    /** Beyond this an area that is softened is 0. */
    static Envelope reached(Geometry area, Grid grid, double reachMm) {
        Envelope box = new Envelope(area.getEnvelopeInternal());
        box.expandBy((2 * cells(grid, reachMm) + 2) * grid.cellMm()); // softened twice, and read between two cells
        return box;
    }

    /** Mean over squares, twice, which comes near a bell: each reaches so far to either side. */
    static SoftField of(Grid grid, float[] values, double reachMm) {
        int reach = cells(grid, reachMm);
        float[] once = Blur.box(values, grid.columns(), grid.rows(), reach);
        return new SoftField(grid, Blur.box(once, grid.columns(), grid.rows(), reach));
    }

    /** How much of each cell an area covers. */
    static float[] covered(Geometry area, Grid grid) {
        Mask mask = Mask.of(area, grid);
        float[] values = new float[grid.cells()];
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                values[(mask.row() + r) * grid.columns() + mask.column() + c] = mask.at(c, r);
            }
        }
        return values;
    }

    /** The share that this is of another on the same cells, cell by cell; 0 where there is nothing of the other. */
    SoftField shareOf(SoftField all) {
        float[] shares = new float[values.length];
        for (int i = 0; i < shares.length; i++) {
            shares[i] = all.values[i] <= 1e-3f ? 0 : Math.min(1, values[i] / all.values[i]);
        }
        return new SoftField(grid, shares);
    }

    /** Reads one row of places after the other. For one thread. */
    final class Row {
        private final float[] down = new float[grid.columns()];
        private final double left = grid.left();
        private final double perMm = 1 / grid.cellMm();
        private final double last = grid.columns() - 1.001;

        /** Goes to a row, y in mm, for places from one x to another. */
        void go(double y, double fromX, double toX) {
            double r = Math.max(0, Math.min(grid.rows() - 1.001, (y - grid.top()) / grid.cellMm() - 0.5));
            int above = (int) r * grid.columns();
            int below = above + grid.columns();
            float share = (float) (r - (int) r);
            for (int c = (int) column(fromX); c <= (int) column(toX) + 1; c++) {
                down[c] = values[above + c] + share * (values[below + c] - values[above + c]);
            }
        }

        /** The value at a place of the row, mm, read between the four cells round it. */
        float at(double x) {
            double at = column(x);
            int c = (int) at;
            return down[c] + (float) (at - c) * (down[c + 1] - down[c]);
        }

        private double column(double x) {
            double c = (x - left) * perMm - 0.5;
            return c < 0 ? 0 : c > last ? last : c;
        }
    }
}
