package mosspebble.instruments;

import java.util.Arrays;
import mosspebble.core.area.Grid;
import mosspebble.core.colour.Xyz;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.picture.StoneTerrain;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Envelope;

/** The face of a stone painted after a plan, for the simulated camera: its colours without light, which the camera's scene gives. */
public final class PaintedFace implements BenchScene.Cover {

    private static final double CELL_MM = 0.2;
    private static final int MOST_CELLS = 900_000;

    private final Grid grid;
    private final int[] argb;
    private final double[] bare;

    private PaintedFace(Grid grid, int[] argb, Srgb bare) {
        this.grid = grid;
        this.argb = argb;
        this.bare = new double[] {Xyz.linear(bare.red()), Xyz.linear(bare.green()), Xyz.linear(bare.blue())};
    }

    /** After so many steps of a plan. */
    public static PaintedFace of(PaintPlan plan, int steps) {
        Envelope box = plan.survey().zones().outline().getEnvelopeInternal();
        double cell = Math.max(CELL_MM, Math.sqrt(box.getArea() / MOST_CELLS));
        Grid grid = new Grid(box.getMinX() - cell, box.getMinY() - cell, cell, (int) Math.ceil(box.getWidth() / cell) + 2,
                (int) Math.ceil(box.getHeight() / cell) + 2);
        int[] argb = new int[grid.cells()];
        StonePicture.of(plan, StoneTerrain.of(plan.survey(), grid), StoneState.DRY)
                .draw(new StonePicture.Shown(steps, 0, 0, Care.FLAT), () -> false, argb);
        return new PaintedFace(grid, argb, plan.survey().stone().colour());
    }

    @Override
    public void at(double x, double y, double[] linear) {
        double gx = (x - grid.left()) / grid.cellMm() - 0.5;
        double gy = (y - grid.top()) / grid.cellMm() - 0.5;
        int c = (int) Math.max(0, Math.min(grid.columns() - 2, Math.floor(gx)));
        int r = (int) Math.max(0, Math.min(grid.rows() - 2, Math.floor(gy)));
        double fx = Math.max(0, Math.min(1, gx - c));
        double fy = Math.max(0, Math.min(1, gy - r));
        Arrays.fill(linear, 0);
        int i = r * grid.columns() + c;
        add(argb[i], (1 - fx) * (1 - fy), linear);
        add(argb[i + 1], fx * (1 - fy), linear);
        add(argb[i + grid.columns()], (1 - fx) * fy, linear);
        add(argb[i + grid.columns() + 1], fx * fy, linear);
    }

    private void add(int colour, double weight, double[] linear) {
        boolean whole = colour >>> 24 == 255; // at the rim there is bare stone
        for (int k = 0; k < 3; k++) {
            linear[k] += weight * (whole ? Xyz.linear(colour >> 16 - 8 * k & 255) : bare[k]);
        }
    }
}
