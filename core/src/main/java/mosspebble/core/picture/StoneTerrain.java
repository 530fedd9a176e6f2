package mosspebble.core.picture;

import java.util.Optional;
import java.util.function.BooleanSupplier;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.rock.Fabric;
import mosspebble.core.rock.SkinRow;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Parallel;

/**
 * The bare stone on a grid of pixels: where it is, how it leans, the colour, relief and shine of its skin. Depends on the stone
 * and the grid only; immutable.
 */
public final class StoneTerrain {

    /** So many rows are worked out one after the other: what is known of one is of use for the next. */
    private static final int BAND = 16;

    private static final float FULL_GLOSS = 60_000;
    private static final int[] NO_GLINTS = {};

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
    /** How glossy the bare skin is, in parts of {@link #FULL_GLOSS}: many pictures are held at once. */
    private final char[] gloss;
    /** Number of a facet that glints; empty where the rock has none. */
    private final int[] glint;

    StoneTerrain(Survey survey, Grid grid) {
        this(survey, Window.whole(grid), new Spare());
    }

    private StoneTerrain(Survey survey, Window window, Spare spare) {
        this.survey = survey;
        this.window = window;
        this.grid = window.grid();
        int cells = grid.cells();
        this.nx = spare.floats(cells);
        this.ny = spare.floats(cells);
        this.nz = spare.floats(cells);
        this.z = spare.floats(cells);
        this.inside = spare.floats(cells);
        this.red = spare.floats(cells);
        this.green = spare.floats(cells);
        this.blue = spare.floats(cells);
        this.relief = spare.floats(cells);
        this.gloss = spare.chars(cells);
        this.glint = Fabric.glints(survey.stone().rock()) ? spare.ints(cells) : NO_GLINTS;
    }

    public static StoneTerrain of(Survey survey, Grid grid) {
        return of(survey, Window.whole(grid), () -> false);
    }

    /** @param unwanted asked now and then; once it says so, the rest is left empty */
    static StoneTerrain of(Survey survey, Window window, BooleanSupplier unwanted) {
        return of(survey, window, unwanted, Optional.empty(), new Spare());
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

    /**
     * The same, but what is known of it already.
     *
     * @param spare what the terrain is kept in
     */
    static StoneTerrain of(Survey survey, Window window, BooleanSupplier unwanted, Optional<Before> before, Spare spare) {
        StoneTerrain terrain = new StoneTerrain(survey, window, spare);
        Mask mask = Mask.of(survey.zones().outline(), window.grid());
        Skin skin = Skin.of(survey);
        Rows rows = terrain.new Rows(mask, skin, before);
        Optional<SkinNet> net = SkinNet.mesh(window.grid().cellMm()) > 0 ? Optional.of(SkinNet.of(skin, window, rows.wanted(), unwanted))
                : Optional.empty();
        Parallel.range(0, (mask.rows() + BAND - 1) / BAND).forEach(band -> {
            SkinRow row = new SkinRow();
            row.cell = window.grid().cellMm();
            Optional<SkinNet.Row> knots = net.map(n -> n.new Row());
            for (int r = band * BAND; r < Math.min(mask.rows(), (band + 1) * BAND) && !unwanted.getAsBoolean(); r++) {
                int of = mask.row() + r;
                before.ifPresent(b -> terrain.take(b, of));
                if (knots.isPresent()) {
                    rows.between(r, knots.get());
                } else {
                    rows.row(r, row);
                }
            }
        });
        return terrain;
    }

    /** The rows of a terrain as they are filled in. */
    private final class Rows {
        private final Mask mask;
        private final Skin skin;
        private final Optional<Before> before;
        private final SkinNet.Wanted wanted;

        Rows(Mask mask, Skin skin, Optional<Before> before) {
            this.mask = mask;
            this.skin = skin;
            this.before = before;
            this.wanted = new SkinNet.Wanted(new int[grid.rows()], new int[grid.rows()]);
        }

        private boolean asks(int c, int row) {
            return mask.at(c, row) > 0 && !(before.isPresent() && before.get().has(mask.column() + c, mask.row() + row));
        }

        SkinNet.Wanted wanted() {
            for (int row = 0; row < mask.rows(); row++) {
                int from = 0;
                while (from < mask.columns() && !asks(from, row)) {
                    from++;
                }
                int to = mask.columns();
                while (to > from && !asks(to - 1, row)) {
                    to--;
                }
                wanted.from()[mask.row() + row] = mask.column() + from;
                wanted.to()[mask.row() + row] = mask.column() + to;
            }
            return wanted;
        }

        /** A row whose skin is asked for pixel by pixel. */
        void row(int row, SkinRow found) {
            int r = mask.row() + row;
            double y = grid.y(r);
            double[] normal = new double[3];
            double[] dent = new double[2];
            int[] at = new int[SkinRow.MOST];
            for (int c = 0; c < mask.columns(); c++) {
                int column = mask.column() + c;
                if (asks(c, row)) {
                    int i = r * grid.columns() + column;
                    inside[i] = mask.at(c, row);
                    at[found.count] = i;
                    skin.put(grid.x(column), y, found, found.count++);
                    if (window.has(column, r)) {
                        z[i] = (float) survey.dome().surfaceAt(grid.x(column), y, normal);
                        skin.dent(found.u[found.count - 1], found.v[found.count - 1], dent);
                        lean(i, dent[0], dent[1], normal);
                    }
                }
                boolean turns = c == mask.columns() - 1 || window.has(column, r) != window.has(column + 1, r);
                if (found.count == SkinRow.MOST || found.count > 0 && turns) {
                    found.bare = !window.has(column, r);
                    skin.fabric().at(found);
                    keep(found, at);
                    found.count = 0;
                }
            }
        }

        /** A row whose skin is drawn between the knots of a net. */
        void between(int row, SkinNet.Row net) {
            int r = mask.row() + row;
            if (!wanted.has(r)) {
                return;
            }
            double y = grid.y(r);
            double[] normal = new double[3];
            net.go(r, wanted.from()[r], wanted.to()[r]);
            for (int column = wanted.from()[r]; column < wanted.to()[r]; column++) {
                if (!asks(column - mask.column(), row)) {
                    continue;
                }
                int i = r * grid.columns() + column;
                inside[i] = mask.at(column - mask.column(), row);
                relief[i] = net.at(SkinNet.HEIGHT, column);
                if (window.has(column, r)) {
                    red[i] = Math.max(0, net.at(SkinNet.RED, column));
                    green[i] = Math.max(0, net.at(SkinNet.GREEN, column));
                    blue[i] = Math.max(0, net.at(SkinNet.BLUE, column));
                    shine(i, net.at(SkinNet.GLOSS, column), net.glint(column));
                    z[i] = (float) survey.dome().surfaceAt(grid.x(column), y, normal);
                    lean(i, net.at(SkinNet.DENT_ALONG, column), net.at(SkinNet.DENT_ACROSS, column), normal);
                }
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
        float[][] theirs = {from.nx, from.ny, from.nz, from.z, from.inside, from.red, from.green, from.blue, from.relief};
        float[][] mine = {nx, ny, nz, z, inside, red, green, blue, relief};
        for (int k = 0; k < mine.length && count > 0; k++) {
            System.arraycopy(theirs[k], at, mine[k], to, count);
        }
        if (count > 0) {
            System.arraycopy(from.gloss, at, gloss, to, count);
        }
        if (count > 0 && glint != NO_GLINTS) {
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
            shine(i, skin.gloss[k], skin.glint[k]);
        }
    }

    private void shine(int i, float glossy, int facet) {
        gloss[i] = (char) (FULL_GLOSS * Math.max(0, Math.min(1, glossy)) + 0.5f);
        if (glint != NO_GLINTS) {
            glint[i] = facet;
        }
    }

    /** How glossy the bare skin of a pixel is, 0 to 1. */
    float gloss(int i) {
        return gloss[i] / FULL_GLOSS;
    }

    /** Number of a facet of a pixel that glints, 0 for none. */
    int glint(int i) {
        return glint == NO_GLINTS ? 0 : glint[i];
    }

    /** The dome's lean with that of the dents. */
    private void lean(int i, double right, double down, double[] normal) {
        double ax = normal[0] - right;
        double ay = normal[1] - down;
        double size = Math.sqrt(ax * ax + ay * ay + normal[2] * normal[2]);
        nx[i] = (float) (ax / size);
        ny[i] = (float) (ay / size);
        nz[i] = (float) (normal[2] / size);
    }

    public Grid grid() {
        return grid;
    }
}
