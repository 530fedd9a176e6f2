package mosspebble.core.sketch.family;

import java.util.SplittableRandom;

/** What a hand does a little differently each time: the same for the same seed, and nothing where all is meant to be alike. */
final class Sway {

    /** The most that a steady hand turns a part, degrees, and makes it longer or shorter (by eye). */
    static final double MOST_TURN = 5;
    static final double MOST_SIZE = 0.13;

    private final double much;
    private final long seed;

    Sway(Made.Dials dials) {
        this.much = dials.get("hand");
        this.seed = dials.count("seed");
    }

    /** A turn of one of a row, degrees. */
    double turn(int number) {
        return much * MOST_TURN * chance(number, 1);
    }

    /** A factor on the length of one of a row. */
    double size(int number) {
        return 1 + much * MOST_SIZE * chance(number, 2);
    }

    /** -1 to 1, small ones more often. */
    private double chance(int number, int what) {
        SplittableRandom random = new SplittableRandom(seed * 7919 + number * 104729L + what * 15485863L);
        return random.nextDouble() - random.nextDouble();
    }
}
