package mosspebble.core.rock;

/** Seeded noise over the plane, the same on every machine: values belong to places in mm and so stay fixed to the stone. */
public final class Noise {

    private final long seed;

    public Noise(long seed) {
        this.seed = seed;
    }

    /** A number from 0 to 1 for a pair of whole numbers (SplitMix64 finaliser). */
    public double hash(long x, long y) {
        long h = seed * 0x9E3779B97F4A7C15L + x * 0xBF58476D1CE4E5B9L + y * 0x94D049BB133111EBL;
        h = (h ^ h >>> 30) * 0xBF58476D1CE4E5B9L;
        h = (h ^ h >>> 27) * 0x94D049BB133111EBL;
        return ((h ^ h >>> 31) >>> 11) * 0x1.0p-53;
    }

    /** Smooth value noise with features about 1 unit wide, 0 to 1. */
    public double smooth(double x, double y) {
        long ix = (long) Math.floor(x);
        long iy = (long) Math.floor(y);
        double fx = x - ix;
        double fy = y - iy;
        double sx = fx * fx * (3 - 2 * fx);
        double sy = fy * fy * (3 - 2 * fy);
        double upper = hash(ix, iy) * (1 - sx) + hash(ix + 1, iy) * sx;
        double lower = hash(ix, iy + 1) * (1 - sx) + hash(ix + 1, iy + 1) * sx;
        return upper * (1 - sy) + lower * sy;
    }

    /** Sum of octaves, each half as wide and half as strong, about 0 to 1. */
    public double octaves(double x, double y, int count) {
        double sum = 0;
        double weight = 0.5;
        double total = 0;
        for (int i = 0; i < count; i++) {
            sum += weight * smooth(x + 17.3 * i, y - 9.1 * i);
            total += weight;
            x *= 2;
            y *= 2;
            weight /= 2;
        }
        return sum / total;
    }

    static final double[] TURNED_X = new double[256];
    static final double[] TURNED_Y = new double[256];
    static {
        for (int i = 0; i < 256; i++) {
            TURNED_X[i] = Math.cos(2 * Math.PI * (i + 0.5) / 256);
            TURNED_Y[i] = Math.sin(2 * Math.PI * (i + 0.5) / 256);
        }
    }

    /** A quick hash of two whole numbers, 32 bits. */
    int mixed(int x, int y) {
        int h = (int) seed ^ x * 0x27D4EB2D ^ y * 0x165667B1;
        h = (h ^ h >>> 15) * 0x85EBCA6B;
        h = (h ^ h >>> 13) * 0xC2B2AE35;
        return h ^ h >>> 16;
    }

    /** A quick number from 0 to 1 for two whole numbers. */
    public double quick(int x, int y) {
        return (mixed(x, y) >>> 8) * 0x1.0p-24;
    }

    /** Gradient noise with features about 1 unit wide, about -0.7 to 0.7 (K. Perlin, SIGGRAPH 2002: fifth-degree fade). */
    public double gradient(double x, double y) {
        int ix = (int) Math.floor(x);
        int iy = (int) Math.floor(y);
        double fx = x - ix;
        double fy = y - iy;
        double sx = fx * fx * fx * (fx * (fx * 6 - 15) + 10);
        double sy = fy * fy * fy * (fy * (fy * 6 - 15) + 10);
        double upper = corner(ix, iy, fx, fy);
        upper += sx * (corner(ix + 1, iy, fx - 1, fy) - upper);
        double lower = corner(ix, iy + 1, fx, fy - 1);
        lower += sx * (corner(ix + 1, iy + 1, fx - 1, fy - 1) - lower);
        return upper + sy * (lower - upper);
    }

    private double corner(int ix, int iy, double dx, double dy) {
        int turn = turn(ix, iy);
        return TURNED_X[turn] * dx + TURNED_Y[turn] * dy;
    }

    /** The direction at a corner of the lattice, a number of {@link #TURNED_X} and {@link #TURNED_Y}. */
    int turn(int ix, int iy) {
        return mixed(ix, iy) >>> 24;
    }

    /** Each octave is so much finer than the one before, and turned, so that no lattice shows. */
    static final double FINER = 2.03;
    static final double COS = Math.cos(Math.toRadians(37));
    static final double SIN = Math.sin(Math.toRadians(37));

    /**
     * Octaves of gradient noise, each about half as wide and half as strong, about -1 to 1. Those finer than the pixel are left out, fading
     * in from 2 to 4 pixels a wave and never made up for, so that a closer look adds to what was seen and changes nothing of it.
     *
     * @param wave of the first, mm
     * @param pixel mm
     */
    public double octaves(double x, double y, double wave, int count, double pixel) {
        double sum = 0;
        double strength = 1;
        double px = x / wave;
        double py = y / wave;
        for (int i = 0; i < count; i++) {
            double seen = visible(wave, pixel);
            if (seen <= 0) {
                break;
            }
            sum += seen * strength * gradient(px + 31.7 * i, py - 17.9 * i);
            double turned = FINER * (COS * px - SIN * py);
            py = FINER * (SIN * px + COS * py);
            px = turned;
            wave /= FINER;
            strength *= 0.5;
        }
        return sum;
    }

    /** How much of a wave so many mm long can be drawn with pixels of so many mm: 0 from 2 pixels down, 1 from 4 up. */
    public static double visible(double wave, double pixel) {
        double t = (wave / pixel - 2) / 2;
        return t <= 0 ? 0 : t >= 1 ? 1 : t * t * (3 - 2 * t);
    }
}
