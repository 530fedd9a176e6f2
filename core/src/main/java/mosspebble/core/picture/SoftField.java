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

    /** The value at a place, mm, read between the four cells round it. */
    float at(double x, double y) {
        double c = Math.max(0, Math.min(grid.columns() - 1.001, (x - grid.left()) / grid.cellMm() - 0.5));
        double r = Math.max(0, Math.min(grid.rows() - 1.001, (y - grid.top()) / grid.cellMm() - 0.5));
        int i = (int) r * grid.columns() + (int) c;
        float a = (float) (c - (int) c);
        float b = (float) (r - (int) r);
        float above = values[i] + a * (values[i + 1] - values[i]);
        float below = values[i + grid.columns()] + a * (values[i + grid.columns() + 1] - values[i + grid.columns()]);
        return above + b * (below - above);
    }
}
