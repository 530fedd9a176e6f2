package mosspebble.core.rock;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Interlocking grains of feldspar, quartz and dark mica. Grown like a power diagram whose weights are spread unevenly, so that a few large
 * grains stand among many small ones: fine to medium-grained, to 5 mm; about 72 % feldspar, 23 % quartz, 5 % mica by area (granite, QAPF
 * field 3b; from memory).
 */
final class Granite extends Fabric {

    enum Mineral { FELDSPAR, QUARTZ, MICA }

    private static final Mineral[] MINERALS = Mineral.values();

    private static final double CELL = 0.90;
    private static final int SIDE = 256;
    private static final int REACH = 2;

    /** Largest weight of a site, mm. */
    private static final double LARGEST = 1.8;

    /** How far a border between two grains wanders, mm. */
    private static final double WANDER = 0.40;

    /** The widest of its windings, mm, and how many finer ones lie in them: borders that interlock are ragged. */
    private static final double WINDING = 0.9;
    private static final int WINDINGS = 4;

    /** Specks of dark mineral shut in by the grains: how wide the noise is whose peaks they are, mm, and how far they darken a grain. */
    private static final double SPECK = 0.62;
    private static final double SPECK_FROM = 0.36;
    private static final double SPECK_TO = 0.49;
    private static final double SPECK_DARK = 0.6;

    /** They keep company: how much the noise about them lets more of them in, or none. */
    private static final double COMPANY = 0.3;

    /** How much of a face they cover, by their darkness; for what is looked at from too far to see one. */
    private static final double SPECKS = 0.029;

    /** Most that a border lies below the grains, mm; a river wears most of them level. */
    private static final double SEAM = 0.016;

    private final float[] x = new float[SIDE * SIDE];
    private final float[] y = new float[SIDE * SIDE];
    private final float[] weight = new float[SIDE * SIDE];
    private final float[] cos = new float[SIDE * SIDE];
    private final float[] sin = new float[SIDE * SIDE];
    private final float[] longer = new float[SIDE * SIDE];
    private final byte[] mineral = new byte[SIDE * SIDE];
    private final float[] tone = new float[SIDE * SIDE];

    Granite(long seed, double relief) {
        super(seed, relief);
        for (int i = 0; i < x.length; i++) {
            int c = i % SIDE;
            int r = i / SIDE;
            x[i] = (float) noise.quick(c, r);
            y[i] = (float) noise.quick(c + 5003, r);
            double kind = noise.quick(c, r + 9001);
            boolean clustered = noise.gradient(c / 6.0, r / 6.0) > 0.12;
            Mineral is = kind < (clustered ? 0.30 : 0.09) ? Mineral.MICA : kind > 0.69 ? Mineral.QUARTZ : Mineral.FELDSPAR;
            mineral[i] = (byte) is.ordinal();
            double u = noise.quick(c + 7001, r + 13);
            weight[i] = (float) (LARGEST * Math.pow(u, 3.2) * (is == Mineral.MICA ? 0.42 : is == Mineral.QUARTZ ? 0.75 : 1));
            double angle = Math.PI * noise.quick(c + 17, r + 4001);
            cos[i] = (float) Math.cos(angle);
            sin[i] = (float) Math.sin(angle);
            longer[i] = (float) (1 + 0.6 * noise.quick(c + 301, r + 77));
            tone[i] = (float) noise.quick(c + 911, r + 611);
        }
    }

    /** Cells round the own one, the nearest first. */
    private static final int[][] AROUND = around();

    private static int[][] around() {
        List<int[]> cells = new ArrayList<>();
        for (int r = -REACH; r <= REACH; r++) {
            for (int c = -REACH; c <= REACH; c++) {
                cells.add(new int[] {c, r});
            }
        }
        cells.sort(Comparator.comparingInt(cell -> cell[0] * cell[0] + cell[1] * cell[1]));
        return cells.toArray(new int[0][]);
    }

    /**
     * The sites among which the two nearest of a small square are.
     *
     * @param least that each can be away from a place in the square, less its weight, mm; rising
     */
    private record Square(int column, int row, int[] site, double[] x, double[] y, double[] least) {}

    /** Finds the two nearest of places that lie close together. For one thread. */
    private final class Near {
        private final double side;
        private final Square[] known = new Square[1 << 11];
        private final double[] least = new double[AROUND.length];
        private final int[] order = new int[AROUND.length];
        /** The nearest site by its weight, and the next one, of the place asked for last; how far each is, less its weight, mm. */
        private int first;
        private int second;
        private double near;
        private double next;

        /** @param pixel mm: a square is worth its list only where many places lie in it */
        Near(double pixel) {
            this.side = CELL / split(pixel);
        }

        boolean isFor(Granite granite, double pixel) {
            return granite == Granite.this && side == CELL / split(pixel);
        }

        private static int split(double pixel) {
            return pixel > 0.1 ? 1 : pixel > 0.05 ? 2 : 4;
        }

        /** @param wu place, wandered as far as the borders do, mm */
        void look(double wu, double wv) {
            int c = (int) Math.floor(wu / side);
            int r = (int) Math.floor(wv / side);
            int at = (c * 0x9E3779B1 + r * 0x85EBCA6B) >>> 21;
            Square square = known[at];
            if (square == null || square.column != c || square.row != r) {
                square = square(c, r);
                known[at] = square;
            }
            near = Double.POSITIVE_INFINITY;
            next = Double.POSITIVE_INFINITY;
            for (int k = 0; k < square.site.length && square.least[k] < next; k++) {
                int i = square.site[k];
                double d = far(i, square.x[k] - wu, square.y[k] - wv);
                if (d < near) {
                    next = near;
                    second = first;
                    near = d;
                    first = i;
                } else if (d < next) {
                    next = d;
                    second = i;
                }
            }
        }

        /** Over a square no distance changes by more than the way from its middle to a corner. */
        private Square square(int column, int row) {
            double mu = (column + 0.5) * side;
            double mv = (row + 0.5) * side;
            double half = side * Math.sqrt(0.5) + 1e-9;
            int c0 = (int) Math.floor(mu / CELL);
            int r0 = (int) Math.floor(mv / CELL);
            double one = Double.POSITIVE_INFINITY;
            double two = Double.POSITIVE_INFINITY;
            for (int k = 0; k < AROUND.length; k++) {
                least[k] = far(site(c0 + AROUND[k][0], r0 + AROUND[k][1]), x(c0, r0, k) - mu, y(c0, r0, k) - mv);
                two = Math.min(two, Math.max(one, least[k]));
                one = Math.min(one, least[k]);
            }
            int count = 0;
            for (int k = 0; k < AROUND.length; k++) {
                if (least[k] <= two + 2 * half) {
                    int at = count++;
                    for (; at > 0 && least[order[at - 1]] > least[k]; at--) {
                        order[at] = order[at - 1];
                    }
                    order[at] = k;
                }
            }
            Square square = new Square(column, row, new int[count], new double[count], new double[count], new double[count]);
            for (int at = 0; at < count; at++) {
                int k = order[at];
                square.site[at] = site(c0 + AROUND[k][0], r0 + AROUND[k][1]);
                square.x[at] = x(c0, r0, k);
                square.y[at] = y(c0, r0, k);
                square.least[at] = least[k] - half;
            }
            return square;
        }

        private double x(int c0, int r0, int k) {
            int c = c0 + AROUND[k][0];
            return (c + x[site(c, r0 + AROUND[k][1])]) * CELL;
        }

        private double y(int c0, int r0, int k) {
            int r = r0 + AROUND[k][1];
            return (r + y[site(c0 + AROUND[k][0], r)]) * CELL;
        }

        private double far(int i, double dx, double dy) {
            double along = (dx * cos[i] + dy * sin[i]) / longer[i];
            double across = dy * cos[i] - dx * sin[i];
            return Math.sqrt(along * along + across * across) - weight[i];
        }
    }

    private static int site(int c, int r) {
        return (r & SIDE - 1) * SIDE + (c & SIDE - 1);
    }

    /** The mineral of a place. */
    Mineral mineralAt(double u, double v) {
        return MINERALS[mineral[grainAt(u, v)]];
    }

    /** Number of the grain of a place: the same all over a grain. */
    int grainAt(double u, double v) {
        Near grains = new Near(0.02);
        grains.look(u + WANDER * noise.octaves(u, v, WINDING, WINDINGS, 0.02),
                v + WANDER * noise.octaves(u + 70, v - 40, WINDING, WINDINGS, 0.02));
        return grains.first;
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        SkinRow one = new SkinRow();
        one.u[0] = u;
        one.v[0] = v;
        one.pixel[0] = pixel;
        one.cell = pixel;
        one.count = 1;
        fill(one);
        place.tint(one.place.red, one.place.green, one.place.blue);
        place.height = one.place.height;
        place.gloss = one.place.gloss;
        place.glint = one.place.glint;
    }

    @Override
    void fill(SkinRow row) {
        int n = row.count;
        RowNoise all = row.noise(noise);
        float[] wu = new float[n];
        float[] wv = new float[n];
        all.octaves(row.u, row.v, 0, 0, WINDING, WINDINGS, row.pixel, n, wu);
        all.octaves(row.u, row.v, 70, -40, WINDING, WINDINGS, row.pixel, n, wv);
        int[] is = new int[n];
        int[] next = new int[n];
        double[] gap = new double[n];
        double[] along = new double[n];
        double[] across = new double[n];
        Near grains = near(row);
        for (int i = 0; i < n; i++) {
            grains.look(row.u[i] + WANDER * wu[i], row.v[i] + WANDER * wv[i]);
            int grain = grains.first;
            is[i] = grain;
            next[i] = grains.second;
            gap[i] = grains.next - grains.near;
            along[i] = (row.u[i] * cos[grain] + row.v[i] * sin[grain]) / 6;
            across[i] = row.v[i] * cos[grain] - row.u[i] * sin[grain];
        }
        float[] fine = new float[n];
        float[] cleaved = new float[n]; // each grain its own way
        float[] cloud = new float[n];
        float[] worn = new float[n];
        float[] rough = new float[n];
        all.octaves(row.u, row.v, 0, 0, 0.5, 3, row.pixel, n, fine);
        if (!row.bare) {
            all.octaves(along, across, 0, 0, 0.28, 3, row.pixel, n, cleaved);
            all.octaves(row.u, row.v, 0, 0, 22, 3, row.pixel, n, cloud);
        }
        all.gradient(row.u, row.v, 2.6, n, worn);
        float[] specks = row.bare ? new float[n] : specks(row, all, wu, wv, worn);
        all.octaves(row.u, row.v, 0, 0, 3.2, 5, row.pixel, n, rough);
        for (int i = 0; i < n; i++) {
            Place place = row.place;
            tint(is[i], next[i], gap[i], row.pixel[i], fine[i] + cleaved[i], place);
            place.shade(1 + 0.10 * cloud[i]);
            place.shade(1 - SPECK_DARK * specks[i]);
            boolean mica = mineral[is[i]] == Mineral.MICA.ordinal();
            boolean quartz = mineral[is[i]] == Mineral.QUARTZ.ordinal();
            double seam = SEAM * (1 - step(0, 0.16, gap[i])) * Math.max(0, Math.min(1, 0.3 + 1.4 * worn[i]));
            place.height = 0.06 * rough[i] + 0.02 * fine[i] - seam - (mica ? 0.035 : 0) + (quartz ? 0.012 : 0);
            place.gloss = mica ? 0.35 : quartz ? 0.22 : 0.08;
            place.glint = mica && gap[i] > 0.05 ? is[i] + 1 : 0;
            row.put(i);
        }
    }

    /** How much of each place is a speck; where a pixel is wider than they are, as much as of any other place. */
    private float[] specks(SkinRow row, RowNoise all, float[] wu, float[] wv, float[] company) {
        int n = row.count;
        double[] u = new double[n];
        double[] v = new double[n];
        for (int i = 0; i < n; i++) {
            u[i] = row.u[i] + 311 + 0.2 * wu[i];
            v[i] = row.v[i] - 77 + 0.2 * wv[i];
        }
        float[] specks = new float[n];
        all.gradient(u, v, SPECK, n, specks);
        for (int i = 0; i < n; i++) {
            double seen = 1 - step(SPECK / 4, 0.8 * SPECK, row.pixel[i]);
            specks[i] = (float) (seen * step(SPECK_FROM, SPECK_TO, specks[i] + COMPANY * company[i]) + (1 - seen) * SPECKS);
        }
        return specks;
    }

    /** What was found for the row before is of use for this one. */
    private Near near(SkinRow row) {
        if (!(row.known instanceof Near near && near.isFor(this, row.cell))) {
            row.known = new Near(row.cell);
        }
        return (Near) row.known;
    }

    /** The colour of a grain, which runs into that of the next where they meet. */
    private void tint(int is, int next, double gap, double pixel, double fine, Place place) {
        boolean milky = mineral[is] == Mineral.QUARTZ.ordinal() || mineral[next] == Mineral.QUARTZ.ordinal();
        double soft = Math.max(milky ? 0.17 : 0.07, 0.8 * pixel);
        colour(is, fine, place);
        if (gap >= soft) {
            return;
        }
        double r = place.red;
        double g = place.green;
        double b = place.blue;
        colour(next, fine, place);
        double share = 0.5 * (1 - step(0, soft, gap));
        place.tint(r + share * (place.red - r), g + share * (place.green - g), b + share * (place.blue - b));
    }

    private void colour(int grain, double fine, Place place) {
        double t = tone[grain];
        switch (MINERALS[mineral[grain]]) {
            case FELDSPAR -> {
                double rose = Math.max(0, (t - 0.60) / 0.40);
                double own = 13 * t - Math.floor(13 * t); // a tone of its own, rosy or not
                double light = 0.98 + 0.34 * own + 0.19 * fine;
                place.tint(light * (1.02 + 0.16 * rose), light * (1 - 0.06 * rose), light * (0.96 - 0.14 * rose));
            }
            case QUARTZ -> {
                double grey = 0.56 + 0.30 * t + 0.11 * fine;
                place.tint(grey, grey * 1.005, grey * 1.02);
            }
            case MICA -> place.tone(0.06 + 0.10 * t + 0.04 * fine);
        }
    }
}
