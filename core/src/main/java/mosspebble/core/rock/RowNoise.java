package mosspebble.core.rock;

/**
 * Noise for a whole row of places at once: what {@link Noise} gives to a millionth, one octave after the other along the row, so that what
 * was worked out of a cell of the lattice serves all places in it that follow each other. For one thread.
 */
public final class RowNoise {

    /** Most places at once. */
    public static final int MOST = SkinRow.MOST;

    private static final float[] TURNED_X = floats(Noise.TURNED_X);
    private static final float[] TURNED_Y = floats(Noise.TURNED_Y);

    private static float[] floats(double[] values) {
        float[] floats = new float[values.length];
        for (int i = 0; i < values.length; i++) {
            floats[i] = (float) values[i];
        }
        return floats;
    }

    private final Noise noise;
    private final double[] px = new double[MOST];
    private final double[] py = new double[MOST];
    private final float[] weight = new float[MOST];

    public RowNoise(Noise noise) {
        this.noise = noise;
    }

    boolean isOf(Noise other) {
        return noise == other;
    }

    /**
     * As {@link Noise#octaves(double, double, double, int, double)} at so many places.
     *
     * @param dx added to each x
     * @param dy added to each y
     * @param pixel mm, of each place
     * @param into receives the sums
     */
    void octaves(double[] x, double[] y, double dx, double dy, double wave, int count, double[] pixel, int places, float[] into) {
        double most = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < places; i++) {
            px[i] = (x[i] + dx) / wave;
            py[i] = (y[i] + dy) / wave;
            into[i] = 0;
            most = Math.max(most, pixel[i]);
            least = Math.min(least, pixel[i]);
        }
        double strength = 1;
        double length = wave;
        for (int k = 0; k < count && Noise.visible(length, least) > 0; k++) {
            boolean all = Noise.visible(length, most) >= 1;
            for (int i = 0; i < places; i++) {
                weight[i] = (float) (all ? strength : strength * Noise.visible(length, pixel[i]));
            }
            add(31.7 * k, -17.9 * k, places, into);
            turn(places);
            length /= Noise.FINER;
            strength *= 0.5;
        }
    }

    /** As {@link Noise#gradient} with features so wide, at so many places. */
    public void gradient(double[] x, double[] y, double wide, int places, float[] into) {
        double often = 1 / wide;
        for (int i = 0; i < places; i++) {
            px[i] = x[i] * often;
            py[i] = y[i] * often;
            weight[i] = 1;
            into[i] = 0;
        }
        add(0, 0, places, into);
    }

    private void turn(int places) {
        for (int i = 0; i < places; i++) {
            double turned = Noise.FINER * (Noise.COS * px[i] - Noise.SIN * py[i]);
            py[i] = Noise.FINER * (Noise.SIN * px[i] + Noise.COS * py[i]);
            px[i] = turned;
        }
    }

    /** Adds the noise, weighted, run by run of places that lie in one cell. */
    private void add(double dx, double dy, int places, float[] into) {
        int i = 0;
        while (i < places) {
            int left = floor(px[i] + dx);
            int top = floor(py[i] + dy);
            int a = noise.turn(left, top);
            int b = noise.turn(left + 1, top);
            int c = noise.turn(left, top + 1);
            int d = noise.turn(left + 1, top + 1);
            float ax = TURNED_X[a];
            float ay = TURNED_Y[a];
            float bx = TURNED_X[b];
            float by = TURNED_Y[b];
            float cx = TURNED_X[c];
            float cy = TURNED_Y[c];
            float ex = TURNED_X[d];
            float ey = TURNED_Y[d];
            double fx = px[i] + dx - left;
            double fy = py[i] + dy - top;
            do {
                float x = (float) fx;
                float y = (float) fy;
                float sx = x * x * x * (x * (x * 6 - 15) + 10);
                float sy = y * y * y * (y * (y * 6 - 15) + 10);
                float upper = ax * x + ay * y;
                upper += sx * (bx * (x - 1) + by * y - upper);
                float lower = cx * x + cy * (y - 1);
                lower += sx * (ex * (x - 1) + ey * (y - 1) - lower);
                into[i] += weight[i] * (upper + sy * (lower - upper));
                if (++i == places) {
                    return;
                }
                fx = px[i] + dx - left;
                fy = py[i] + dy - top;
            } while (fx >= 0 && fx < 1 && fy >= 0 && fy < 1);
        }
    }

    private static int floor(double value) {
        int whole = (int) value;
        return value < whole ? whole - 1 : whole;
    }
}
