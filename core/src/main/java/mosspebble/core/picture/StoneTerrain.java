package mosspebble.core.picture;

import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.rock.Fabric;
import mosspebble.core.rock.Noise;
import mosspebble.core.rock.Place;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Survey;

/**
 * The bare stone on a grid of pixels: where it is, how it leans, the colour, relief and shine of its skin. Depends on the stone
 * and the grid only; immutable.
 */
public final class StoneTerrain {

    /** Dents of the stone as a whole: depth and width of the widest, mm. */
    private static final double DENT = 0.8;
    private static final double DENT_WIDE = 30;

    final Survey survey;
    final Grid grid;
    final float[] nx;
    final float[] ny;
    final float[] nz;
    /** Height of the dome above the cloth, mm. */
    final float[] z;
    /** Share of the pixel that is stone. */
    final float[] inside;
    /** Reflectance in linear light against the stone's mean. */
    final float[] red;
    final float[] green;
    final float[] blue;
    /** Relief of the skin above its mean, mm. */
    final float[] relief;
    /** How glossy the bare skin is, 0 to 1. */
    final float[] gloss;
    /** Number of a facet that glints, 0 for none. */
    final int[] glint;

    StoneTerrain(Survey survey, Grid grid) {
        this.survey = survey;
        this.grid = grid;
        this.nx = new float[grid.cells()];
        this.ny = new float[grid.cells()];
        this.nz = new float[grid.cells()];
        this.z = new float[grid.cells()];
        this.inside = new float[grid.cells()];
        this.red = new float[grid.cells()];
        this.green = new float[grid.cells()];
        this.blue = new float[grid.cells()];
        this.relief = new float[grid.cells()];
        this.gloss = new float[grid.cells()];
        this.glint = new int[grid.cells()];
    }

    public static StoneTerrain of(Survey survey, Grid grid) {
        return of(survey, grid, 0, () -> false);
    }

    /**
     * @param round so many cells at the border of the grid are left empty, as if there were no stone
     * @param unwanted asked now and then; once it says so, the rest is left empty
     */
    static StoneTerrain of(Survey survey, Grid grid, int round, BooleanSupplier unwanted) {
        StoneTerrain terrain = new StoneTerrain(survey, grid);
        Mask mask = Mask.of(survey.zones().outline(), grid);
        Fabric fabric = Fabric.of(survey.stone());
        Noise dents = new Noise(survey.stone().seed());
        Unfolding unfolding = new Unfolding(survey.dome());
        IntStream.range(0, mask.rows()).parallel()
                .filter(r -> mask.row() + r >= round && mask.row() + r < grid.rows() - round && !unwanted.getAsBoolean())
                .forEach(r -> terrain.row(r, round, mask, fabric, dents, unfolding));
        return terrain;
    }

    private void row(int r, int round, Mask mask, Fabric fabric, Noise dents, Unfolding unfolding) {
        Dome dome = survey.dome();
        double turn = Math.toRadians(survey.stone().wayUp());
        double cos = Math.cos(turn);
        double sin = Math.sin(turn);
        double pixel = grid.cellMm();
        double[] normal = new double[3];
        Place place = new Place();
        double y = grid.y(mask.row() + r);
        int end = Math.min(mask.columns(), grid.columns() - round - mask.column());
        for (int c = Math.max(0, round - mask.column()); c < end; c++) {
            float share = mask.at(c, r);
            if (share <= 0) {
                continue;
            }
            int i = (mask.row() + r) * grid.columns() + mask.column() + c;
            double x = grid.x(mask.column() + c);
            double longer = unfolding.longerAt(x, y);
            double u = longer * (x * cos + y * sin);
            double v = longer * (y * cos - x * sin);
            inside[i] = share;
            z[i] = (float) dome.smoothHeightAt(x, y);
            dome.normalAt(x, y, normal);
            lean(i, u, v, cos, sin, dents, normal);
            fabric.at(u, v, pixel * longer, place);
            red[i] = (float) place.red;
            green[i] = (float) place.green;
            blue[i] = (float) place.blue;
            relief[i] = (float) place.height;
            gloss[i] = (float) place.gloss;
            glint[i] = place.glint;
        }
    }

    /** The dome's lean with that of the dents. */
    private void lean(int i, double u, double v, double cos, double sin, Noise dents, double[] normal) {
        double e = 0.5;
        double here = dent(dents, u, v);
        double du = (dent(dents, u + e, v) - here) / e;
        double dv = (dent(dents, u, v + e) - here) / e;
        double ax = normal[0] - (du * cos - dv * sin);
        double ay = normal[1] - (du * sin + dv * cos);
        double size = Math.sqrt(ax * ax + ay * ay + normal[2] * normal[2]);
        nx[i] = (float) (ax / size);
        ny[i] = (float) (ay / size);
        nz[i] = (float) (normal[2] / size);
    }

    private static double dent(Noise dents, double u, double v) {
        return DENT * dents.octaves(u, v, DENT_WIDE, 2, 0);
    }

    public Grid grid() {
        return grid;
    }
}
