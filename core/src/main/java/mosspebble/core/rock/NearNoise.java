package mosspebble.core.rock;

/**
 * Noise for places visited one after the other and close together, such as the pixels of a row. What it worked out of the lattice round the
 * last place it does not work out again; the values are those of the noise itself. Asked for the same things in the same order at each
 * place it is quickest, in any other it is right. For one thread.
 */
public final class NearNoise {

    /** So many questions at a place are remembered; what is asked beyond them takes their room. */
    private static final int SLOTS = 64;

    /** No place lies in this column. */
    private static final int NOWHERE = Integer.MIN_VALUE;

    private final Noise noise;
    private final Slot[] slots = new Slot[SLOTS];
    private int slot;

    /** The cell of the lattice that a question was asked in, and the gradients at its four corners. */
    private static final class Slot {
        private int column = NOWHERE;
        private int row;
        private double ax;
        private double ay;
        private double bx;
        private double by;
        private double cx;
        private double cy;
        private double dx;
        private double dy;

        void look(Noise noise, int ix, int iy) {
            column = ix;
            row = iy;
            int a = noise.turn(ix, iy);
            int b = noise.turn(ix + 1, iy);
            int c = noise.turn(ix, iy + 1);
            int d = noise.turn(ix + 1, iy + 1);
            ax = Noise.TURNED_X[a];
            ay = Noise.TURNED_Y[a];
            bx = Noise.TURNED_X[b];
            by = Noise.TURNED_Y[b];
            cx = Noise.TURNED_X[c];
            cy = Noise.TURNED_Y[c];
            dx = Noise.TURNED_X[d];
            dy = Noise.TURNED_Y[d];
        }
    }

    public NearNoise(Noise noise) {
        this.noise = noise;
        for (int k = 0; k < SLOTS; k++) {
            slots[k] = new Slot();
        }
    }

    /** Whether it is of this noise. */
    boolean isOf(Noise other) {
        return noise == other;
    }

    /** The next place. */
    public void begin() {
        slot = 0;
    }

    /** As {@link Noise#gradient}. */
    public double gradient(double x, double y) {
        int ix = floor(x);
        int iy = floor(y);
        Slot at = slots[slot++ & SLOTS - 1];
        if (at.column != ix || at.row != iy) {
            at.look(noise, ix, iy);
        }
        double fx = x - ix;
        double fy = y - iy;
        double sx = fx * fx * fx * (fx * (fx * 6 - 15) + 10);
        double sy = fy * fy * fy * (fy * (fy * 6 - 15) + 10);
        double upper = at.ax * fx + at.ay * fy;
        upper += sx * (at.bx * (fx - 1) + at.by * fy - upper);
        double lower = at.cx * fx + at.cy * (fy - 1);
        lower += sx * (at.dx * (fx - 1) + at.dy * (fy - 1) - lower);
        return upper + sy * (lower - upper);
    }

    private static int floor(double value) {
        int whole = (int) value;
        return value < whole ? whole - 1 : whole;
    }

    /** As {@link Noise#octaves(double, double, double, int, double)}. */
    public double octaves(double x, double y, double wave, int count, double pixel) {
        return octaves(x, y, wave, 0, count, pixel);
    }

    /** The same from one of the octaves on. */
    double octaves(double x, double y, double wave, int from, int count, double pixel) {
        double sum = 0;
        double strength = 1;
        double px = x / wave;
        double py = y / wave;
        for (int i = 0; i < count; i++) {
            double seen = i < from ? 1 : Noise.visible(wave, pixel);
            if (seen <= 0) {
                slot += count - i; // so that what is asked next finds its own slot
                break;
            }
            if (i >= from) {
                sum += seen * strength * gradient(px + 31.7 * i, py - 17.9 * i);
            }
            double turned = Noise.FINER * (Noise.COS * px - Noise.SIN * py);
            py = Noise.FINER * (Noise.SIN * px + Noise.COS * py);
            px = turned;
            wave /= Noise.FINER;
            strength *= 0.5;
        }
        return sum;
    }
}
