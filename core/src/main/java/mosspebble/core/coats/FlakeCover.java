package mosspebble.core.coats;

/**
 * How flakes scattered at random cover a surface: a Boolean model of discs, of which a share {@code 1 - exp(-n a)} is covered where n is
 * the number of centres for each unit of area and a the area of one (D. Stoyan, W. Kendall, J. Mecke, "Stochastic Geometry and its
 * Applications", from memory).
 *
 * @param flakeMm diameter of a flake, mm, above 0
 * @param perCoat share that one coat covers, above 0, below 1
 */
public record FlakeCover(double flakeMm, double perCoat) {

    /** Craft glitter: flakes of 0.4 mm (common practice, no source). */
    public static final double GLITTER_MM = 0.4;

    /** A patch without any flake is seen from this diameter on, mm (common practice, no source). */
    public static final double BALD_MM = 1;

    public FlakeCover {
        if (!(flakeMm > 0 && perCoat > 0 && perCoat < 1)) {
            throw new IllegalArgumentException("flakes must have a size and cover some, but not all, was " + flakeMm + " mm, " + perCoat);
        }
    }

    /** Flakes of one coat for each mm2. */
    public double flakesPerMm2() {
        return -Math.log(1 - perCoat) / (Math.PI * flakeMm * flakeMm / 4);
    }

    /** Share covered by so many coats. */
    public double covered(int coats) {
        return 1 - Math.pow(1 - perCoat, coats);
    }

    /** Chance that a patch of a diameter is quite without flakes: no centre nearer than its radius and that of a flake. */
    public double bald(int coats, double patchMm) {
        double reach = (patchMm + flakeMm) / 2;
        return Math.exp(-coats * flakesPerMm2() * Math.PI * reach * reach);
    }

    /**
     * Coats until less than one bald patch is to be expected among all that fit side by side on an area.
     *
     * @param most give up after so many, 1 or more; then that is the answer
     */
    public int coats(double areaMm2, int most) {
        double places = Math.max(1, areaMm2 / (Math.PI * BALD_MM * BALD_MM / 4));
        for (int coats = 1; coats < most; coats++) {
            if (places * bald(coats, BALD_MM) < 1) {
                return coats;
            }
        }
        return most;
    }
}
