package mosspebble.core.rock;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Interlocking grains of feldspar, quartz and dark mica. Grown like a power diagram whose weights are spread unevenly, so that a few large
 * grains stand among many small ones: medium-grained, 1 to 5 mm; about 65 % feldspar, 27 % quartz, 8 % mica by area (usual granite, QAPF
 * field 3b; from memory).
 */
final class Granite extends Fabric {

    enum Mineral { FELDSPAR, QUARTZ, MICA }

    private static final double CELL = 1.05;
    private static final int SIDE = 256;
    private static final int REACH = 2;

    /** Largest weight of a site, mm. */
    private static final double LARGEST = 1.9;

    /** How far a border between two grains wanders, mm. */
    private static final double WANDER = 0.34;

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
            Mineral is = kind < (clustered ? 0.27 : 0.07) ? Mineral.MICA : kind > 0.70 ? Mineral.QUARTZ : Mineral.FELDSPAR;
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

    /** The grain at a place: the nearest by its weight, and the next one. */
    private int[] grains(double u, double v, double pixel, double[] far) {
        double wu = u + WANDER * noise.octaves(u, v, 1.5, 4, pixel);
        double wv = v + WANDER * noise.octaves(u + 70, v - 40, 1.5, 4, pixel);
        int c0 = (int) Math.floor(wu / CELL);
        int r0 = (int) Math.floor(wv / CELL);
        int first = -1;
        int second = -1;
        far[0] = Double.POSITIVE_INFINITY;
        far[1] = Double.POSITIVE_INFINITY;
        for (int[] cell : AROUND) {
            int c = c0 + cell[0];
            int r = r0 + cell[1];
            int i = (r & SIDE - 1) * SIDE + (c & SIDE - 1);
            double dx = (c + x[i]) * CELL - wu;
            double dy = (r + y[i]) * CELL - wv;
            double least = (far[1] + weight[i]) * longer[i];
            if (dx * dx + dy * dy > least * least) {
                continue; // cannot be among the two nearest
            }
            double along = (dx * cos[i] + dy * sin[i]) / longer[i];
            double across = dy * cos[i] - dx * sin[i];
            double d = Math.sqrt(along * along + across * across) - weight[i];
            if (d < far[0]) {
                far[1] = far[0];
                second = first;
                far[0] = d;
                first = i;
            } else if (d < far[1]) {
                far[1] = d;
                second = i;
            }
        }
        return new int[] {first, second};
    }

    /** The mineral of a place. */
    Mineral mineralAt(double u, double v) {
        return Mineral.values()[mineral[grains(u, v, 0.02, new double[2])[0]]];
    }

    /** Number of the grain of a place: the same all over a grain. */
    int grainAt(double u, double v) {
        return grains(u, v, 0.02, new double[2])[0];
    }

    @Override
    void fill(double u, double v, double pixel, Place place) {
        double[] far = new double[2];
        int[] two = grains(u, v, pixel, far);
        int is = two[0];
        int next = two[1];
        double gap = far[1] - far[0];
        boolean milky = mineral[is] == Mineral.QUARTZ.ordinal() || mineral[next] == Mineral.QUARTZ.ordinal();
        double soft = Math.max(milky ? 0.17 : 0.07, 0.8 * pixel);
        double along = u * cos[is] + v * sin[is];
        double across = v * cos[is] - u * sin[is];
        double fine = noise.octaves(u, v, 0.5, 3, pixel) + noise.octaves(along / 6, across, 0.28, 3, pixel); // cleavage, each grain its own
        colour(is, fine, place);
        double r = place.red;
        double g = place.green;
        double b = place.blue;
        colour(next, fine, place);
        double share = gap >= soft ? 0 : 0.5 * (1 - step(0, soft, gap));
        place.tint(r + share * (place.red - r), g + share * (place.green - g), b + share * (place.blue - b));
        double cloud = noise.octaves(u, v, 22, 3, pixel);
        place.shade(1 + 0.10 * cloud);
        boolean mica = mineral[is] == Mineral.MICA.ordinal();
        double seam = SEAM * (1 - step(0, 0.16, gap)) * Math.max(0, Math.min(1, 0.3 + 1.4 * noise.gradient(u / 2.6, v / 2.6)));
        place.height = 0.05 * noise.octaves(u, v, 3.2, 5, pixel) - seam - (mica ? 0.02 : 0) + (mineral[is] == Mineral.QUARTZ.ordinal()
                ? 0.008 : 0);
        place.gloss = mica ? 0.35 : mineral[is] == Mineral.QUARTZ.ordinal() ? 0.22 : 0.08;
        place.glint = mica && gap > 0.05 ? is + 1 : 0;
    }

    private void colour(int grain, double fine, Place place) {
        double t = tone[grain];
        switch (Mineral.values()[mineral[grain]]) {
            case FELDSPAR -> {
                boolean rosy = t > 0.62;
                double light = 0.95 + 0.5 * t + 0.10 * fine;
                place.tint(light * (rosy ? 1.10 : 1.02), light * (rosy ? 0.97 : 1), light * (rosy ? 0.90 : 0.97));
            }
            case QUARTZ -> {
                double grey = 0.55 + 0.32 * t + 0.06 * fine;
                place.tint(grey, grey * 1.005, grey * 1.02);
            }
            case MICA -> place.tone(0.10 + 0.12 * t + 0.04 * fine);
        }
    }
}
