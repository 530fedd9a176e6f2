package mosspebble.core.plan;

import mosspebble.core.area.Grid;
import mosspebble.core.area.Remembered;
import mosspebble.core.project.Side;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.EdgeStrip;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import org.locationtech.jts.geom.Geometry;

/**
 * A surface to be painted, laid flat on a grid of its own.
 *
 * @param whole all of it, mm
 * @param stretch surface along the stone over flat area, for each cell of the grid
 */
record Surface(Side side, Stone stone, Grid grid, Geometry whole, float[] stretch) {

    /** A face as seen from above. */
    static Surface face(Side side, Survey survey, Remembered remembered) {
        double halfWidth = survey.dome().outline().halfWidth();
        double halfHeight = survey.dome().outline().halfHeight();
        Grid grid = Grid.around(halfWidth, halfHeight, Math.max(0.5, Math.max(halfWidth, halfHeight) / 200));
        Dome dome = survey.dome();
        return new Surface(side, survey.stone(), grid, survey.zones().outline(),
                remembered.recall("secants", dome, grid, (d, g, m) -> secants(d, g)));
    }

    /** The edge, unrolled. */
    static Surface edge(Survey survey, EdgeStrip strip) {
        double cell = Math.max(0.5, strip.lengthMm() / 600);
        Grid grid = new Grid(0, -strip.mostFrontMm() - cell, cell, (int) Math.ceil(strip.lengthMm() / cell) + 1,
                (int) Math.ceil((strip.mostFrontMm() + strip.mostBackMm()) / cell) + 3);
        float[] flat = new float[grid.cells()];
        java.util.Arrays.fill(flat, 1);
        return new Surface(Side.EDGE, survey.stone(), grid, strip.polygon(), flat);
    }

    private static float[] secants(Dome dome, Grid grid) {
        float[] values = new float[grid.cells()];
        double[] normal = new double[3];
        for (int row = 0; row < grid.rows(); row++) {
            for (int column = 0; column < grid.columns(); column++) {
                dome.normalAt(grid.x(column), grid.y(row), normal);
                values[row * grid.columns() + column] = (float) (1 / Math.max(0.15, normal[2]));
            }
        }
        return values;
    }
}
