package mosspebble.core.rock;

import java.util.Arrays;

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
    private final int[] column = new int[SLOTS];
    private final int[] row = new int[SLOTS];
    /** Gradients at the four corners round what was asked in each slot: x and y of each. */
    private final double[] corner = new double[8 * SLOTS];
    private int slot;

    public NearNoise(Noise noise) {
        this.noise = noise;
        Arrays.fill(column, NOWHERE);
    }

    /** Whether it is of this noise. */
    boolean isOf(Noise other) {
        return noise == other;
    }

    /** The next place. */
    public void begin() {
        slot = 0;
    }

    private void look(int s, int ix, int iy) {
        column[s] = ix;
        row[s] = iy;
        for (int k = 0; k < 4; k++) {
            int turn = noise.turn(ix + (k & 1), iy + (k >> 1));
            corner[8 * s + 2 * k] = Noise.TURNED_X[turn];
            corner[8 * s + 2 * k + 1] = Noise.TURNED_Y[turn];
        }
    }

    /** As {@link Noise#gradient}. */
    public double gradient(double x, double y) {
        int ix = (int) Math.floor(x);
        int iy = (int) Math.floor(y);
        int s = slot++ & SLOTS - 1;
        if (column[s] != ix || row[s] != iy) {
            look(s, ix, iy);
        }
        double fx = x - ix;
        double fy = y - iy;
        double sx = fx * fx * fx * (fx * (fx * 6 - 15) + 10);
        double sy = fy * fy * fy * (fy * (fy * 6 - 15) + 10);
        double[] g = corner;
        int k = 8 * s;
        double upper = (g[k] * fx + g[k + 1] * fy) * (1 - sx) + (g[k + 2] * (fx - 1) + g[k + 3] * fy) * sx;
        double lower = (g[k + 4] * fx + g[k + 5] * (fy - 1)) * (1 - sx) + (g[k + 6] * (fx - 1) + g[k + 7] * (fy - 1)) * sx;
        return upper * (1 - sy) + lower * sy;
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
