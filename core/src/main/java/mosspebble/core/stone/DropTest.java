package mosspebble.core.stone;

import mosspebble.core.units.Numbers;

/**
 * Porosity from a drop of water laid on the dry stone: the seconds until it is gone. Between the points of a small table the logarithm of
 * the porosity is
 * interpolated over the logarithm of the time (common practice, no source; that the time grows with the inverse square of what is drunk is
 * Washburn's law for capillaries,
 * E. W. Washburn, Phys. Rev. 17, 273, 1921, from memory).
 */
public final class DropTest {

    private static final double[] SECONDS = {1, 5, 20, 60, 180, 600};
    private static final double[] POROSITY = {0.25, 0.18, 0.11, 0.06, 0.03, 0.008};

    /** A drop still there after so long beads: the stone is glassy. */
    public static final double BEADS_SECONDS = 600;

    private DropTest() {}

    /**
     * @param seconds until the drop is gone, 0 to 7200
     * @return open pores by volume
     */
    public static double porosity(double seconds) {
        if (!(seconds >= 0 && seconds <= 7200)) {
            throw new IllegalArgumentException(
                    "A drop test takes 0 to 7200 s, was " + Numbers.shortText(seconds) + " s. A drop that stays 600 s beads.");
        }
        double t = Math.log(Math.max(SECONDS[0], Math.min(BEADS_SECONDS, seconds)));
        int i = 1;
        while (i < SECONDS.length - 1 && Math.log(SECONDS[i]) < t) {
            i++;
        }
        double share = (t - Math.log(SECONDS[i - 1])) / (Math.log(SECONDS[i]) - Math.log(SECONDS[i - 1]));
        return Math.exp((1 - share) * Math.log(POROSITY[i - 1]) + share * Math.log(POROSITY[i]));
    }

    /** Word for a porosity. */
    public static String word(double porosity) {
        return porosity < 0.02 ? "glassy" : porosity < 0.06 ? "tight" : porosity < 0.15 ? "porous" : "very porous";
    }
}
