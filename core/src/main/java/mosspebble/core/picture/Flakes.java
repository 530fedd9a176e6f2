package mosspebble.core.picture;

import mosspebble.core.coats.FlakeCover;

/** Flakes of glitter as they lie on a stone: hexagons strewn one over another, each turned its own way. For any number of threads. */
final class Flakes {

    /** From corner to corner of a hexagon that covers as much as the disc by which cover is reckoned, mm. */
    static final double ACROSS_MM = FlakeCover.GLITTER_MM * Math.sqrt(Math.PI / (1.5 * Math.sqrt(3)));

    /** There is one flake in each square so wide, mm: most of what lies below is covered. */
    private static final float PITCH = 0.3f;

    private static final float CORNER = (float) ACROSS_MM / 2;
    private static final float SIDE = CORNER * 0.8660254f;

    /** Turns of a flake told apart, over the sixty degrees after which it looks the same. */
    private static final int TURNS = 32;
    private static final float[] COS = new float[TURNS];
    private static final float[] SIN = new float[TURNS];
    static {
        for (int i = 0; i < TURNS; i++) {
            COS[i] = (float) Math.cos(i * Math.PI / 3 / TURNS);
            SIN[i] = (float) Math.sin(i * Math.PI / 3 / TURNS);
        }
    }

    private Flakes() {}

    /** The flake that lies uppermost at a place, mm: a number of its own, odd; 0 where there is none. */
    static int at(float x, float y) {
        int row = (int) Math.floor(y / PITCH);
        int column = (int) Math.floor(x / PITCH);
        int top = 0;
        for (int r = row - 1; r <= row + 1; r++) {
            for (int c = column - 1; c <= column + 1; c++) {
                int own = scattered(c, r);
                if (Integer.compareUnsigned(own, top) > 0 && covers(own, x - (c + (own & 255) / 255f) * PITCH,
                        y - (r + (own >>> 8 & 255) / 255f) * PITCH)) {
                    top = own;
                }
            }
        }
        return top;
    }

    /** How much of single flakes is seen in pixels of so many mm, 0 to 1: the mean of n of them varies by one over the root of n. */
    static float seen(double pixelMm) {
        return (float) Math.min(1, PITCH / pixelMm);
    }

    private static boolean covers(int own, float dx, float dy) {
        int turn = own >>> 16 & TURNS - 1;
        float u = Math.abs(dx * COS[turn] + dy * SIN[turn]);
        float v = Math.abs(dy * COS[turn] - dx * SIN[turn]);
        return u <= SIDE && 0.5f * u + 0.8660254f * v <= SIDE;
    }

    private static int scattered(int column, int row) {
        return mixed(mixed(column + 0x9E3779B9) + row) | 1;
    }

    private static int mixed(int of) {
        int h = of ^ of >>> 16;
        h *= 0x7FEB352D;
        h ^= h >>> 15;
        h *= 0x846CA68B;
        return h ^ h >>> 16;
    }
}
