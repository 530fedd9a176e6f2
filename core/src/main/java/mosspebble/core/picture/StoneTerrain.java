package mosspebble.core.picture;

import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.rock.Fabric;
import mosspebble.core.rock.Noise;
import mosspebble.core.rock.SkinRow;
import mosspebble.core.rock.Waves;
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
        return of(survey, window, unwanted, Optional.empty());
    }

    /**
     * A part of the same stone that was worked out before, in pixels of the same size.
     *
     * @param column of the new grid that its first column is, and so the row
     */
    record Before(StoneTerrain terrain, int column, int row) {
        boolean has(int c, int r) {
            return terrain.window.has(c - column, r - row);
        }
    }

    /** The same, but what is known of it already. */
    static StoneTerrain of(Survey survey, Window window, BooleanSupplier unwanted, Optional<Before> before) {
        StoneTerrain terrain = new StoneTerrain(survey, window);
        Mask mask = Mask.of(survey.zones().outline(), window.grid());
        Fabric fabric = Fabric.of(survey.stone());
        Waves dents = new Waves(new Noise(survey.stone().seed()), DENT_WIDE, 2);
        Unfolding unfolding = new Unfolding(survey.dome());
        IntStream.range(0, (mask.rows() + BAND - 1) / BAND).parallel().forEach(band -> {
            SkinRow skin = new SkinRow();
            skin.cell = window.grid().cellMm();
            for (int r = band * BAND; r < Math.min(mask.rows(), (band + 1) * BAND) && !unwanted.getAsBoolean(); r++) {
                int row = mask.row() + r;
                before.ifPresent(b -> terrain.take(b, row));
                terrain.row(r, mask, fabric, dents, unfolding, skin, before);
            }
        });
        return terrain;
    }

    private void row(int row, Mask mask, Fabric fabric, Waves dents, Unfolding unfolding, SkinRow skin, Optional<Before> before) {
        Dome dome = survey.dome();
        double turn = Math.toRadians(survey.stone().wayUp());
        double cos = Math.cos(turn);
        double sin = Math.sin(turn);
        int r = mask.row() + row;
        double y = grid.y(r);
        double[] normal = new double[3];
        double[] dent = new double[2];
        int[] at = new int[SkinRow.MOST];
        for (int c = 0; c < mask.columns(); c++) {
            int column = mask.column() + c;
            boolean known = before.isPresent() && before.get().has(column, r);
            float share = mask.at(c, row);
            if (share > 0 && !known) {
                int i = r * grid.columns() + column;
                double x = grid.x(column);
                double longer = unfolding.longerAt(x, y);
                inside[i] = share;
                at[skin.count] = i;
                skin.u[skin.count] = longer * (x * cos + y * sin);
                skin.v[skin.count] = longer * (y * cos - x * sin);
                skin.pixel[skin.count] = grid.cellMm() * longer;
                skin.count++;
                if (window.has(column, r)) {
                    z[i] = (float) dome.surfaceAt(x, y, normal);
                    dents.slope(skin.u[skin.count - 1], skin.v[skin.count - 1], dent);
                    lean(i, cos, sin, dent, normal);
                }
            }
            boolean turns = c == mask.columns() - 1 || window.has(column, r) != window.has(column + 1, r);
            if (skin.count == SkinRow.MOST || skin.count > 0 && turns) {
                skin.bare = !window.has(column, r);
                fabric.at(skin);
                keep(skin, at);
                skin.count = 0;
            }
        }
    }

    /** Takes over what is known of a row. */
    private void take(Before before, int row) {
        Window from = before.terrain.window;
        if (from.hasRow(row - before.row)) {
            int first = Math.max(0, before.column + from.column());
            int end = Math.min(grid.columns(), before.column + from.column() + from.columns());
            int at = (row - before.row) * before.terrain.grid.columns() + first - before.column;
            copy(before.terrain, at, row * grid.columns() + first, end - first);
        }
    }

    private void copy(StoneTerrain from, int at, int to, int count) {
        float[][] theirs = {from.nx, from.ny, from.nz, from.z, from.inside, from.red, from.green, from.blue, from.relief, from.gloss};
        float[][] mine = {nx, ny, nz, z, inside, red, green, blue, relief, gloss};
        for (int k = 0; k < mine.length && count > 0; k++) {
            System.arraycopy(theirs[k], at, mine[k], to, count);
        }
        if (count > 0) {
            System.arraycopy(from.glint, at, glint, to, count);
        }
    }

    /** The rows from one on, as far as all is known of them. */
    StoneTerrain below(int row) {
        int first = Math.max(row, window.row());
        Grid part = new Grid(grid.left() + window.column() * grid.cellMm(), grid.top() + first * grid.cellMm(), grid.cellMm(),
                window.columns(), window.row() + window.rows() - first);
        StoneTerrain below = new StoneTerrain(survey, part);
        for (int r = 0; r < part.rows(); r++) {
            below.copy(this, (first + r) * grid.columns() + window.column(), r * part.columns(), part.columns());
        }
        return below;
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
    private void lean(int i, double cos, double sin, double[] dent, double[] normal) {
        double du = DENT * dent[0];
        double dv = DENT * dent[1];
        double ax = normal[0] - (du * cos - dv * sin);
        double ay = normal[1] - (du * sin + dv * cos);
        double size = Math.sqrt(ax * ax + ay * ay + normal[2] * normal[2]);
        nx[i] = (float) (ax / size);
        ny[i] = (float) (ay / size);
        nz[i] = (float) (normal[2] / size);
    }

    public Grid grid() {
        return grid;
    }
}
