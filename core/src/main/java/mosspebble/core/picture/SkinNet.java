package mosspebble.core.picture;

import java.util.Arrays;
import java.util.function.BooleanSupplier;
import mosspebble.core.area.Grid;
import mosspebble.core.rock.SkinRow;
import mosspebble.core.units.Parallel;

/**
 * The skin of a stone that is looked at so closely that its rock need not be asked at every pixel: it is asked at the knots of a net and
 * drawn smoothly between them, by cubics through four knots (E. Catmull and R. Rom, Computer Aided Geometric Design, 1974), first down,
 * then across. Nets lie fixed on the stone and which is used depends on the pixel alone, so that a place comes out the same in whatever
 * part of a picture it is drawn.
 */
final class SkinNet {

    /** No mesh is wider, mm. */
    static final double WIDEST = 0.05;

    /** Nor wider than so many pixels. */
    private static final double PIXELS = 2;

    /** A net is worth its while from so many pixels a mesh on. */
    private static final double LEAST = 1.25;

    /** Knots lie so much of a mesh beside whole meshes, so that no pixel's middle lies just on one. */
    private static final double OFF = 0.37;

    /** So many rows of knots are worked out one after the other. */
    private static final int BAND = 16;

    /** What is drawn between the knots. */
    static final int RED = 0;
    static final int GREEN = 1;
    static final int BLUE = 2;
    static final int HEIGHT = 3;
    static final int GLOSS = 4;
    static final int DENT_ALONG = 5;
    static final int DENT_ACROSS = 6;
    private static final int FIELDS = 7;

    private final Skin skin;
    private final double mesh;
    private final Grid grid;
    /** First knots across and down, in meshes from the middle of the stone. */
    private final int left;
    private final int top;
    private final int columns;
    private final int rows;
    private final float[][] fields;
    private final int[] glint;
    /** Of each column of pixels the knot before it, and the weights of the four knots round it. */
    private final int[] knot;
    private final float[] weights;

    private SkinNet(Skin skin, Grid grid, double mesh) {
        this.skin = skin;
        this.grid = grid;
        this.mesh = mesh;
        this.left = before(grid.x(0)) - 1;
        this.top = before(grid.y(0)) - 1;
        this.columns = before(grid.x(grid.columns() - 1)) + 3 - left;
        this.rows = before(grid.y(grid.rows() - 1)) + 3 - top;
        this.fields = new float[FIELDS][columns * rows];
        this.glint = new int[columns * rows];
        this.knot = new int[grid.columns()];
        this.weights = new float[4 * grid.columns()];
        for (int c = 0; c < grid.columns(); c++) {
            knot[c] = before(grid.x(c)) - left;
            weigh(beyond(grid.x(c)), weights, 4 * c);
        }
    }

    /** Mesh of the net for pixels of a size, mm; 0 where each pixel is asked for itself. */
    static double mesh(double pixel) {
        double mesh = Math.min(PIXELS * pixel, WIDEST);
        return mesh < LEAST * pixel ? 0 : mesh;
    }

    /** Number of the last knot before a place, mm. */
    private int before(double x) {
        return (int) Math.floor(x / mesh - OFF);
    }

    /** Share of the way from that knot to the next. */
    private float beyond(double x) {
        double at = x / mesh - OFF;
        return (float) (at - Math.floor(at));
    }

    private static void weigh(float s, float[] into, int at) {
        into[at] = 0.5f * s * (s * (2 - s) - 1);
        into[at + 1] = 0.5f * (s * s * (3 * s - 5) + 2);
        into[at + 2] = 0.5f * s * (s * (4 - 3 * s) + 1);
        into[at + 3] = 0.5f * s * s * (s - 1);
    }

    /**
     * The pixels of each row that are asked for.
     *
     * @param from first column of each row
     * @param to column after the last; none are asked for where it is not above the first
     */
    record Wanted(int[] from, int[] to) {
        boolean has(int row) {
            return to[row] > from[row];
        }
    }

    /** Knots of a row that are asked for: the height of all, of those in the window the rest as well. */
    private static final class Reach {
        private int from = Integer.MAX_VALUE;
        private int to;
        private boolean whole;
    }

    /** The net under some pixels of a grid; round the window only the heights. */
    static SkinNet of(Skin skin, Window window, Wanted wanted, BooleanSupplier unwanted) {
        Grid grid = window.grid();
        SkinNet net = new SkinNet(skin, grid, mesh(grid.cellMm()));
        Reach[] reaches = new Reach[net.rows];
        Arrays.setAll(reaches, r -> new Reach());
        for (int r = 0; r < grid.rows(); r++) {
            int first = net.before(grid.y(r)) - net.top - 1;
            for (int k = first; wanted.has(r) && k < first + 4; k++) {
                reaches[k].from = Math.min(reaches[k].from, net.knot[wanted.from[r]] - 1);
                reaches[k].to = Math.max(reaches[k].to, net.knot[wanted.to[r] - 1] + 3);
                reaches[k].whole |= window.hasRow(r);
            }
        }
        int from = net.knot[window.column()] - 1;
        int to = net.knot[window.column() + window.columns() - 1] + 3;
        Parallel.range(0, (net.rows + BAND - 1) / BAND).forEach(band -> {
            SkinRow row = new SkinRow();
            row.cell = net.mesh;
            for (int r = band * BAND; r < Math.min(net.rows, (band + 1) * BAND) && !unwanted.getAsBoolean(); r++) {
                Reach reach = reaches[r];
                int first = reach.whole ? Math.min(reach.to, Math.max(reach.from, from)) : reach.to;
                int end = Math.max(first, Math.min(reach.to, to));
                net.fill(r, reach.from, first, true, row);
                net.fill(r, first, end, false, row);
                net.fill(r, end, reach.to, true, row);
            }
        });
        return net;
    }

    private void fill(int r, int from, int to, boolean bare, SkinRow row) {
        row.bare = bare;
        double[] dent = new double[2];
        for (int first = from; first < to; first += SkinRow.MOST) {
            int at = r * columns + first;
            row.count = Math.min(SkinRow.MOST, to - first);
            for (int k = 0; k < row.count; k++) {
                skin.put((left + first + k + OFF) * mesh, (top + r + OFF) * mesh, row, k);
                if (!bare) {
                    skin.dent(row.u[k], row.v[k], dent);
                    fields[DENT_ALONG][at + k] = (float) dent[0];
                    fields[DENT_ACROSS][at + k] = (float) dent[1];
                }
            }
            skin.fabric().at(row);
            System.arraycopy(row.red, 0, fields[RED], at, row.count);
            System.arraycopy(row.green, 0, fields[GREEN], at, row.count);
            System.arraycopy(row.blue, 0, fields[BLUE], at, row.count);
            System.arraycopy(row.height, 0, fields[HEIGHT], at, row.count);
            System.arraycopy(row.gloss, 0, fields[GLOSS], at, row.count);
            System.arraycopy(row.glint, 0, glint, at, row.count);
        }
    }

    /** The skin along a row of pixels, one row after the other. For one thread. */
    final class Row {
        private final float[][] sums = new float[FIELDS][columns];
        private final float[] down = new float[4];
        private float share;
        private int first;

        /**
         * Goes to a row.
         *
         * @param from first column that is asked for
         * @param to after the last
         */
        void go(int r, int from, int to) {
            share = beyond(grid.y(r));
            weigh(share, down, 0);
            first = (before(grid.y(r)) - top) * columns;
            for (int k = 0; k < FIELDS; k++) {
                add(fields[k], sums[k], knot[from] - 1, knot[to - 1] + 3);
            }
        }

        private void add(float[] field, float[] sum, int from, int to) {
            float a = down[0];
            float b = down[1];
            float c = down[2];
            float d = down[3];
            int upper = first - columns;
            int lower = first + columns;
            int lowest = lower + columns;
            for (int k = from; k < to; k++) {
                sum[k] = a * field[upper + k] + b * field[first + k] + c * field[lower + k] + d * field[lowest + k];
            }
        }

        /** One of the fields at a column. */
        float at(int field, int column) {
            float[] sum = sums[field];
            int k = knot[column];
            int w = 4 * column;
            return weights[w] * sum[k - 1] + weights[w + 1] * sum[k] + weights[w + 2] * sum[k + 1] + weights[w + 3] * sum[k + 2];
        }

        /** The facet at a column: of the four knots round it the one that weighs most together with those like it. */
        int glint(int column) {
            int at = first + knot[column];
            int[] facets = {glint[at], glint[at + 1], glint[at + columns], glint[at + columns + 1]};
            if (facets[0] == facets[1] && facets[0] == facets[2] && facets[0] == facets[3]) {
                return facets[0];
            }
            float s = beyond(grid.x(column));
            float[] weigh = {(1 - s) * (1 - share), s * (1 - share), (1 - s) * share, s * share};
            int heaviest = 0;
            float most = 0;
            for (int facet : facets) {
                float sum = 0;
                for (int k = 0; k < 4; k++) {
                    sum += facets[k] == facet ? weigh[k] : 0;
                }
                if (sum > most) {
                    most = sum;
                    heaviest = facet;
                }
            }
            return heaviest;
        }
    }
}
