package mosspebble.core.rock;

/**
 * Noise for a whole row of places at once: to the last bit what {@link Noise} gives, in plain loops over arrays, which the compiler turns
 * into instructions for several places at a time. For one thread.
 */
final class RowNoise {

    private static final int MOST = SkinRow.MOST;

    private final Noise noise;
    private final double[] px = new double[MOST];
    private final double[] py = new double[MOST];
    private final double[] cellX = new double[MOST];
    private final double[] cellY = new double[MOST];
    private final double[] fx = new double[MOST];
    private final double[] fy = new double[MOST];
    private final double[] sx = new double[MOST];
    private final double[] sy = new double[MOST];
    private final double[] beyondX = new double[MOST];
    private final double[] beyondY = new double[MOST];
    private final double[] upper = new double[MOST];
    private final double[] lower = new double[MOST];
    private final double[] seen = new double[MOST];
    /** Gradients at the corners of the cell of each place: x and y, left and right, above and below. */
    private final double[][] corner = new double[8][MOST];

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
    void octaves(double[] x, double[] y, double dx, double dy, double wave, int count, double[] pixel, int places, double[] into) {
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
        double strength = 1;
        double length = wave;
        for (int k = 0; k < count && Noise.visible(length, least) > 0; k++) {
            gradients(31.7 * k, -17.9 * k, places);
            if (Noise.visible(length, most) >= 1) {
                add(strength, places, into);
            } else {
                for (int i = 0; i < places; i++) {
                    seen[i] = Noise.visible(length, pixel[i]);
                }
                addSeen(strength, places, into);
            }
            turn(places);
            length /= Noise.FINER;
            strength *= 0.5;
        }
    }

    /** As {@link Noise#gradient} at so many places, those of the arrays times a factor. */
    void gradient(double[] x, double[] y, double wide, int places, double[] into) {
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
        rotated(px, py, Noise.SIN, Noise.COS, sx, places);
        rotated(px, py, Noise.COS, -Noise.SIN, sy, places);
        System.arraycopy(sx, 0, py, 0, places);
        System.arraycopy(sy, 0, px, 0, places);
    }

    /** What lies on the upper and lower side of each cell between its corners, and how far down it the place is. */
    private void gradients(double dx, double dy, int places) {
        cells(px, dx, cellX, fx, places);
        cells(py, dy, cellY, fy, places);
        corners(places);
        fade(fx, sx, places);
        fade(fy, sy, places);
        less(fx, beyondX, places);
        less(fy, beyondY, places);
        dot(corner[0], fx, corner[1], fy, upper, places);
        dot(corner[2], beyondX, corner[3], fy, cellX, places);
        blend(upper, cellX, sx, upper, places);
        dot(corner[4], fx, corner[5], beyondY, lower, places);
        dot(corner[6], beyondX, corner[7], beyondY, cellX, places);
        blend(lower, cellX, sx, lower, places);
    }

    private static void cells(double[] at, double shift, double[] cell, double[] rest, int places) {
        for (int i = 0; i < places; i++) {
            cell[i] = Math.floor(at[i] + shift);
        }
        for (int i = 0; i < places; i++) {
            rest[i] = at[i] + shift - cell[i];
        }
    }

    /** Places close together mostly lie in the same cell. */
    private void corners(int places) {
        double[] leftX = corner[0];
        double[] leftY = corner[1];
        double[] rightX = corner[2];
        double[] rightY = corner[3];
        double[] lowLeftX = corner[4];
        double[] lowLeftY = corner[5];
        double[] lowRightX = corner[6];
        double[] lowRightY = corner[7];
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
            leftX[i] = Noise.TURNED_X[left];
            leftY[i] = Noise.TURNED_Y[left];
            rightX[i] = Noise.TURNED_X[right];
            rightY[i] = Noise.TURNED_Y[right];
            lowLeftX[i] = Noise.TURNED_X[lowLeft];
            lowLeftY[i] = Noise.TURNED_Y[lowLeft];
            lowRightX[i] = Noise.TURNED_X[lowRight];
            lowRightY[i] = Noise.TURNED_Y[lowRight];
        }
    }

    private static void fade(double[] at, double[] into, int places) {
        for (int i = 0; i < places; i++) {
            double f = at[i];
            into[i] = f * f * f * (f * (f * 6 - 15) + 10);
        }
    }

    private static void less(double[] at, double[] into, int places) {
        for (int i = 0; i < places; i++) {
            into[i] = at[i] - 1;
        }
    }

    private static void dot(double[] ax, double[] x, double[] ay, double[] y, double[] into, int places) {
        for (int i = 0; i < places; i++) {
            into[i] = ax[i] * x[i] + ay[i] * y[i];
        }
    }

    private static void blend(double[] from, double[] to, double[] share, double[] into, int places) {
        for (int i = 0; i < places; i++) {
            into[i] = from[i] * (1 - share[i]) + to[i] * share[i];
        }
    }

    private void add(double strength, int places, double[] into) {
        for (int i = 0; i < places; i++) {
            into[i] += strength * (upper[i] * (1 - sy[i]) + lower[i] * sy[i]);
        }
    }

    private void addSeen(double strength, int places, double[] into) {
        for (int i = 0; i < places; i++) {
            into[i] += seen[i] * strength * (upper[i] * (1 - sy[i]) + lower[i] * sy[i]);
        }
    }
}
