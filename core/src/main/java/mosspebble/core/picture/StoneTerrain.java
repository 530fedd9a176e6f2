package mosspebble.core.picture;

import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.rock.Fabric;
import mosspebble.core.rock.NearNoise;
import mosspebble.core.rock.Noise;
import mosspebble.core.rock.SkinRow;
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

    /** So many rows are worked out one after the other: what is known of one is of use for the next. */
    private static final int BAND = 16;

    final Survey survey;
    final Grid grid;
    /** Where all is known; round it only where there is stone, and its relief. */
    final Window window;
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
        this(survey, Window.whole(grid));
    }

    private StoneTerrain(Survey survey, Window window) {
        this.survey = survey;
        this.window = window;
        this.grid = window.grid();
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
        return of(survey, Window.whole(grid), () -> false);
    }

    /** @param unwanted asked now and then; once it says so, the rest is left empty */
    static StoneTerrain of(Survey survey, Window window, BooleanSupplier unwanted) {
        StoneTerrain terrain = new StoneTerrain(survey, window);
        Mask mask = Mask.of(survey.zones().outline(), window.grid());
        Fabric fabric = Fabric.of(survey.stone());
        Noise dents = new Noise(survey.stone().seed());
        Unfolding unfolding = new Unfolding(survey.dome());
        IntStream.range(0, (mask.rows() + BAND - 1) / BAND).parallel().forEach(band -> {
            SkinRow skin = new SkinRow();
            for (int r = band * BAND; r < Math.min(mask.rows(), (band + 1) * BAND) && !unwanted.getAsBoolean(); r++) {
                terrain.row(r, mask, fabric, dents, unfolding, skin);
            }
        });
        return terrain;
    }

    private void row(int row, Mask mask, Fabric fabric, Noise dents, Unfolding unfolding, SkinRow skin) {
        Dome dome = survey.dome();
        double turn = Math.toRadians(survey.stone().wayUp());
        double cos = Math.cos(turn);
        double sin = Math.sin(turn);
        int r = mask.row() + row;
        double y = grid.y(r);
        double[] normal = new double[3];
        NearNoise dented = new NearNoise(dents);
        int[] at = new int[SkinRow.MOST];
        for (int c = 0; c < mask.columns(); c++) {
            float share = mask.at(c, row);
            if (share > 0) {
                int i = r * grid.columns() + mask.column() + c;
                double x = grid.x(mask.column() + c);
                double longer = unfolding.longerAt(x, y);
                inside[i] = share;
                at[skin.count] = i;
                skin.u[skin.count] = longer * (x * cos + y * sin);
                skin.v[skin.count] = longer * (y * cos - x * sin);
                skin.pixel[skin.count] = grid.cellMm() * longer;
                skin.count++;
                if (window.has(mask.column() + c, r)) {
                    z[i] = (float) dome.surfaceAt(x, y, normal);
                    dented.begin();
                    lean(i, skin.u[skin.count - 1], skin.v[skin.count - 1], cos, sin, dented, normal);
                }
            }
            if (skin.count == SkinRow.MOST || c == mask.columns() - 1) {
                fabric.at(skin);
                keep(skin, at);
                skin.count = 0;
            }
        }
    }

    private void keep(SkinRow skin, int[] at) {
        for (int k = 0; k < skin.count; k++) {
            int i = at[k];
            red[i] = skin.red[k];
            green[i] = skin.green[k];
            blue[i] = skin.blue[k];
            relief[i] = skin.height[k];
            gloss[i] = skin.gloss[k];
            glint[i] = skin.glint[k];
        }
    }

    /** The dome's lean with that of the dents. */
    private void lean(int i, double u, double v, double cos, double sin, NearNoise dents, double[] normal) {
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

    private static double dent(NearNoise dents, double u, double v) {
        return DENT * dents.octaves(u, v, DENT_WIDE, 2, 0);
    }

    public Grid grid() {
        return grid;
    }
}
