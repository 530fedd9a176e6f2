package mosspebble.core.rock;

/**
 * Noise for a whole row of places at once: what {@link Noise} gives to a millionth, in plain loops over arrays, which the compiler turns
 * into instructions for several places at a time. For one thread.
 */
final class RowNoise {

    private static final int MOST = SkinRow.MOST;

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
    private final double[] turned = new double[MOST];
    private final double[] cellX = new double[MOST];
    private final double[] cellY = new double[MOST];
    private final float[] fx = new float[MOST];
    private final float[] fy = new float[MOST];
    private final float[] sx = new float[MOST];
    private final float[] sy = new float[MOST];
    private final float[] beyondX = new float[MOST];
    private final float[] beyondY = new float[MOST];
    private final float[] upper = new float[MOST];
    private final float[] lower = new float[MOST];
    private final float[] right = new float[MOST];
    private final float[] seen = new float[MOST];
    /** Gradients at the corners of the cell of each place: x and y, left and right, above and below. */
    private final float[][] corner = new float[8][MOST];

    RowNoise(Noise noise) {
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
        }
        for (int i = 0; i < places; i++) {
            most = pixel[i] > most ? pixel[i] : most;
            least = pixel[i] < least ? pixel[i] : least;
        }
        float strength = 1;
        double length = wave;
        for (int k = 0; k < count && Noise.visible(length, least) > 0; k++) {
            gradients(31.7 * k, -17.9 * k, places);
            if (Noise.visible(length, most) >= 1) {
                add(strength, places, into);
            } else {
                for (int i = 0; i < places; i++) {
                    seen[i] = (float) Noise.visible(length, pixel[i]);
                }
                addSeen(strength, places, into);
            }
            turn(places);
            length /= Noise.FINER;
            strength *= 0.5f;
        }
    }

    /** As {@link Noise#gradient} at so many places, those of the arrays times a factor. */
    void gradient(double[] x, double[] y, double wide, int places, float[] into) {
        for (int i = 0; i < places; i++) {
            px[i] = x[i] / wide;
            py[i] = y[i] / wide;
            into[i] = 0;
        }
        gradients(0, 0, places);
        add(1, places, into);
    }

    private static void rotated(double[] x, double[] y, double a, double b, double[] into, int places) {
        for (int i = 0; i < places; i++) {
            into[i] = Noise.FINER * (a * x[i] + b * y[i]);
        }
    }

    private void turn(int places) {
        rotated(px, py, Noise.SIN, Noise.COS, turned, places);
        rotated(px, py, Noise.COS, -Noise.SIN, px, places);
        System.arraycopy(turned, 0, py, 0, places);
    }

    /** What lies on the upper and lower side of each cell between its corners, and how far down it the place is. */
    private void gradients(double dx, double dy, int places) {
        floors(px, dx, cellX, places);
        floors(py, dy, cellY, places);
        corners(dx, dy, places);
        fade(fx, sx, places);
        fade(fy, sy, places);
        less(fx, beyondX, places);
        less(fy, beyondY, places);
        dot(corner[0], fx, corner[1], fy, upper, places);
        dot(corner[2], beyondX, corner[3], fy, right, places);
        blend(upper, right, sx, upper, places);
        dot(corner[4], fx, corner[5], beyondY, lower, places);
        dot(corner[6], beyondX, corner[7], beyondY, right, places);
        blend(lower, right, sx, lower, places);
    }

    private static void floors(double[] at, double shift, double[] cell, int places) {
        for (int i = 0; i < places; i++) {
            cell[i] = Math.floor(at[i] + shift);
        }
    }

    /** Places close together mostly lie in the same cell. */
    private void corners(double dx, double dy, int places) {
        float[] leftX = corner[0];
        float[] leftY = corner[1];
        float[] rightX = corner[2];
        float[] rightY = corner[3];
        float[] lowLeftX = corner[4];
        float[] lowLeftY = corner[5];
        float[] lowRightX = corner[6];
        float[] lowRightY = corner[7];
        double x = Double.NaN;
        double y = Double.NaN;
        int left = 0;
        int right = 0;
        int lowLeft = 0;
        int lowRight = 0;
        for (int i = 0; i < places; i++) {
            if (cellX[i] != x || cellY[i] != y) {
                int ix = (int) cellX[i];
                int iy = (int) cellY[i];
                boolean next = cellY[i] == y && cellX[i] == x + 1;
                left = next ? right : noise.turn(ix, iy);
                lowLeft = next ? lowRight : noise.turn(ix, iy + 1);
                right = noise.turn(ix + 1, iy);
                lowRight = noise.turn(ix + 1, iy + 1);
                x = cellX[i];
                y = cellY[i];
            }
            fx[i] = (float) (px[i] + dx - x);
            fy[i] = (float) (py[i] + dy - y);
            leftX[i] = TURNED_X[left];
            leftY[i] = TURNED_Y[left];
            rightX[i] = TURNED_X[right];
            rightY[i] = TURNED_Y[right];
            lowLeftX[i] = TURNED_X[lowLeft];
            lowLeftY[i] = TURNED_Y[lowLeft];
            lowRightX[i] = TURNED_X[lowRight];
            lowRightY[i] = TURNED_Y[lowRight];
        }
    }

    private static void fade(float[] at, float[] into, int places) {
        for (int i = 0; i < places; i++) {
            float f = at[i];
            into[i] = f * f * f * (f * (f * 6 - 15) + 10);
        }
    }

    private static void less(float[] at, float[] into, int places) {
        for (int i = 0; i < places; i++) {
            into[i] = at[i] - 1;
        }
    }

    private static void dot(float[] ax, float[] x, float[] ay, float[] y, float[] into, int places) {
        for (int i = 0; i < places; i++) {
            into[i] = ax[i] * x[i] + ay[i] * y[i];
        }
    }

    private static void blend(float[] from, float[] to, float[] share, float[] into, int places) {
        for (int i = 0; i < places; i++) {
            into[i] = from[i] * (1 - share[i]) + to[i] * share[i];
        }
    }

    private void add(float strength, int places, float[] into) {
        for (int i = 0; i < places; i++) {
            into[i] += strength * (upper[i] * (1 - sy[i]) + lower[i] * sy[i]);
        }
    }

    private void addSeen(float strength, int places, float[] into) {
        for (int i = 0; i < places; i++) {
            into[i] += seen[i] * strength * (upper[i] * (1 - sy[i]) + lower[i] * sy[i]);
        }
    }
}
