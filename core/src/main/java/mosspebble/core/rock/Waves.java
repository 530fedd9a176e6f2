package mosspebble.core.rock;

import java.lang.ref.SoftReference;

/**
 * Octaves of a noise, of which the long waves are worked out at the knots of a net and drawn smoothly through them: cubics through four
 * knots (E. Catmull and R. Rom, Computer Aided Geometric Design, 1974), first along, then across. Nets lie fixed in the plane, and which of
 * them a place is asked of depends on the size of its pixel alone, so that a place comes out the same in whatever picture it is drawn.
 * Within a thousandth of the noise's strength it is what {@link Noise#octaves(double, double, double, int, double)} gives. Knots are
 * remembered and shared between threads.
 */
public final class Waves {

    /** A wave is long if so many meshes of the net lie on it, and if so many pixels do. */
    private static final int MESHES = 10;
    private static final int PIXELS = 40;

    /** Meshes to a side of a block of knots, and knots that its cubics reach for beyond them. */
    private static final int SIDE = 16;
    private static final int KNOTS = SIDE + 3;

    /** Blocks remembered: two for each place of a square so many blocks to a side, which is what two tiles want at once. */
    private static final int SQUARE = 32;

    /** Knots of one block; never changed once made, so that threads may find one another's without a lock. */
    private record Block(int longOnes, int column, int row, float[] knots) {
        boolean is(int octaves, int across, int down) {
            return column == across && row == down && longOnes == octaves;
        }

        /** @param s and t share of the way from a knot to the next, 0 to 1 */
        float at(int across, int down, float s, float t) {
            int at = (down & SIDE - 1) * KNOTS + (across & SIDE - 1);
            float a = first(s);
            float b = second(s);
            float c = third(s);
            float d = fourth(s);
            return 0.25f * (first(t) * sum(at, a, b, c, d) + second(t) * sum(at + KNOTS, a, b, c, d)
                    + third(t) * sum(at + 2 * KNOTS, a, b, c, d) + fourth(t) * sum(at + 3 * KNOTS, a, b, c, d));
        }

        private float sum(int at, float a, float b, float c, float d) {
            return a * knots[at] + b * knots[at + 1] + c * knots[at + 2] + d * knots[at + 3];
        }

        /** How much it rises over one mesh along the knots numbered from one another by so much. */
        float rise(int across, int down, float s, float t, boolean along) {
            int at = (down & SIDE - 1) * KNOTS + (across & SIDE - 1);
            float u = along ? t : s;
            float v = along ? s : t;
            int step = along ? KNOTS : 1;
            int other = along ? 1 : KNOTS;
            float a = v * (4 - 3 * v) - 1; // twice the derivatives of the weights
            float b = v * (9 * v - 10);
            float c = v * (8 - 9 * v) + 1;
            float d = v * (3 * v - 2);
            float sum = 0;
            for (int k = 0; k < 4; k++) {
                int from = at + k * step;
                float weight = k == 0 ? first(u) : k == 1 ? second(u) : k == 2 ? third(u) : fourth(u);
                sum += weight * (a * knots[from] + b * knots[from + other] + c * knots[from + 2 * other] + d * knots[from + 3 * other]);
            }
            return 0.25f * sum;
        }

        /** Twice the weights of the four knots. */
        private static float first(float s) {
            return s * (s * (2 - s) - 1);
        }

        private static float second(float s) {
            return s * s * (3 * s - 5) + 2;
        }

        private static float third(float s) {
            return s * (s * (4 - 3 * s) + 1);
        }

        private static float fourth(float s) {
            return s * s * (s - 1);
        }
    }

    private final Noise noise;
    private final double wave;
    private final int count;
    /** Length of each octave, mm. */
    private final double[] lengths;
    /** Meshes to a mm of the coarsest net on which so many of the octaves are long. */
    private final double[] meshes;
    /** Given up where memory is short; made when first asked. */
    private SoftReference<Block[]> remembered = new SoftReference<>(null);

    /** As the noise's octaves. */
    public Waves(Noise noise, double wave, int count) {
        this.noise = noise;
        this.wave = wave;
        this.count = count;
        this.lengths = new double[count];
        this.meshes = new double[count + 1];
        double length = wave;
        for (int k = 0; k < count; k++) {
            lengths[k] = length;
            meshes[k + 1] = Math.scalb(1.0, -Math.getExponent(length / MESHES));
            length /= Noise.FINER;
        }
    }

    /** How many of the octaves are long for pixels of a size, mm. */
    private int longOnes(double pixel) {
        int longOnes = 0;
        while (longOnes < count && lengths[longOnes] >= PIXELS * pixel) {
            longOnes++;
        }
        return longOnes;
    }

    /**
     * The octaves that can be seen at a place.
     *
     * @param pixel mm
     * @param near of the same noise
     */
    double at(double x, double y, double pixel, NearNoise near) {
        int longOnes = longOnes(pixel);
        double rest = longOnes == count ? 0 : near.octaves(x, y, wave, longOnes, count, pixel);
        return longOnes == 0 ? rest : rest + swell(x, y, longOnes);
    }

    private double swell(double x, double y, int longOnes) {
        double px = x * meshes[longOnes];
        double py = y * meshes[longOnes];
        double cx = Math.floor(px);
        double cy = Math.floor(py);
        int column = (int) cx;
        int row = (int) cy;
        return block(longOnes, column >> 4, row >> 4).at(column, row, (float) (px - cx), (float) (py - cy));
    }

    /**
     * How steep all the octaves together are at a place.
     *
     * @param into receives the rise along x and along y for each mm
     */
    public void slope(double x, double y, double[] into) {
        double px = x * meshes[count];
        double py = y * meshes[count];
        double cx = Math.floor(px);
        double cy = Math.floor(py);
        int column = (int) cx;
        int row = (int) cy;
        Block block = block(count, column >> 4, row >> 4);
        into[0] = meshes[count] * block.rise(column, row, (float) (px - cx), (float) (py - cy), true);
        into[1] = meshes[count] * block.rise(column, row, (float) (px - cx), (float) (py - cy), false);
    }

    private Block block(int longOnes, int column, int row) {
        Block[] known = remembered.get();
        if (known == null) {
            known = new Block[2 * SQUARE * SQUARE];
            remembered = new SoftReference<>(known);
        }
        int at = 2 * ((row & SQUARE - 1) * SQUARE + (column & SQUARE - 1));
        Block first = known[at];
        if (first != null && first.is(longOnes, column, row)) {
            return first;
        }
        Block second = known[at + 1];
        if (second != null && second.is(longOnes, column, row)) {
            return second;
        }
        Block made = made(longOnes, column, row);
        known[at + 1] = first;
        known[at] = made;
        return made;
    }

    private Block made(int longOnes, int column, int row) {
        double mesh = 1 / meshes[longOnes];
        float[] knots = new float[KNOTS * KNOTS];
        NearNoise near = new NearNoise(noise);
        for (int i = 0; i < knots.length; i++) {
            double x = ((long) column * SIDE + i % KNOTS - 1) * mesh;
            double y = ((long) row * SIDE + i / KNOTS - 1) * mesh;
            near.begin();
            knots[i] = (float) near.octaves(x, y, wave, longOnes, 0);
        }
        return new Block(longOnes, column, row, knots);
    }
}
