package mosspebble.core.care;

import mosspebble.core.units.Celsius;

/**
 * Two-part resin as it is poured: how much of each part, how long it can be worked, how high it stands at a rim, what stays on a slope.
 * Densities, viscosity and working time are those of common clear casting epoxies (from memory; the label decides).
 *
 * @param volumeA parts by volume of the resin
 * @param volumeB parts by volume of the hardener
 */
public record Resin(double volumeA, double volumeB) {

    /** The usual kind, two parts to one. */
    public static final Resin USUAL = new Resin(2, 1);

    /** Depth to which a pour levels itself, mm (common practice, no source). */
    public static final double LEVEL_MM = 1.6;

    /** Never less than this is weighed: smaller amounts cannot be measured well, g (common practice, no source). */
    public static final double LEAST_GRAMS = 10;

    /** Left in the cup and on the stick, share (common practice, no source). */
    private static final double WASTE = 0.15;

    private static final double DENSITY_A = 1.15;
    private static final double DENSITY_B = 1.00;
    private static final double DENSITY = 1100; // kg/m3, mixed
    private static final double SURFACE_TENSION = 0.042; // N/m
    private static final double GRAVITY = 9.81;

    /** Working time of a usual cup at the usual temperature, minutes; it halves for each 10 K more (a rule of thumb). */
    private static final double WORKING_MIN = 40;
    private static final double WORKING_GRAMS = 100;
    private static final double WORKING_C = 23;

    /** Viscosity freshly stirred at the usual temperature, Pa s, and the time in which it doubles while it hardens, s. */
    private static final double VISCOSITY = 0.9;
    private static final double DOUBLES_S = 25 * 60;

    public Resin {
        if (!(volumeA > 0 && volumeB > 0 && volumeA <= 100 && volumeB <= 100)) {
            throw new IllegalArgumentException("the parts of a resin must be above 0 and at most 100, were " + volumeA + " and " + volumeB);
        }
    }

    /**
     * What is weighed.
     *
     * @param millilitres mixed, with what stays in the cup
     * @param gramsA of the resin
     * @param gramsB of the hardener
     */
    public record Amount(double millilitres, double gramsA, double gramsB) {
        public double grams() {
            return gramsA + gramsB;
        }
    }

    /** For an area poured to a depth; never less than can be weighed. */
    public Amount amount(double areaMm2, double depthMm) {
        double share = volumeA / (volumeA + volumeB);
        double gramsPerMl = share * DENSITY_A + (1 - share) * DENSITY_B;
        double ml = Math.max(LEAST_GRAMS / gramsPerMl, areaMm2 * depthMm / 1000 * (1 + WASTE));
        return new Amount(ml, ml * share * DENSITY_A, ml * (1 - share) * DENSITY_B);
    }

    /**
     * How long it can be worked, minutes: half as long for each 10 K warmer, and shorter in a larger cup, which keeps its own heat, with
     * the cube root of its mass (common practice, no source).
     */
    public static double workingMinutes(double grams, Celsius at) {
        return WORKING_MIN * Math.pow(2, (WORKING_C - at.value()) / 10) * Math.cbrt(WORKING_GRAMS / Math.max(LEAST_GRAMS, grams));
    }

    /**
     * Highest that it stands on a flat face with a sharp rim before it runs over, mm: the weight of the puddle against its surface
     * tension, {@code h = 2 a sin(90°/2)} with {@code a = sqrt(gamma / (rho g))} (P.-G. de Gennes, F. Brochard-Wyart, D. Quéré,
     * "Capillarity and Wetting Phenomena", 2004, puddles; from memory).
     */
    public static double standsMm() {
        return 1000 * 2 * Math.sqrt(SURFACE_TENSION / (DENSITY * GRAVITY)) * Math.sin(Math.toRadians(45));
    }

    /**
     * What stays on a slope until it has hardened, mm: a film that drains by its own weight is {@code sqrt(mu x / (rho g t sin a))}
     * thick at a distance x below its upper end (H. Jeffreys, "The draining of a vertical plate", 1930); the time runs slower as it
     * hardens, in all like {@code doubling time / ln 2}.
     *
     * @param belowMm distance from where the slope begins, above 0
     * @param degrees steepness, 0 to 90
     */
    public static double staysMm(double belowMm, double degrees) {
        double pull = DENSITY * GRAVITY * Math.sin(Math.toRadians(degrees)) * DOUBLES_S / Math.log(2);
        return pull == 0 ? Double.POSITIVE_INFINITY : 1000 * Math.sqrt(VISCOSITY * belowMm / 1000 / pull);
    }

    /** The steepest slope, degrees, on which a film of so many mm is left at that distance from its upper end. */
    public static double steepest(double filmMm, double belowMm) {
        double sine = VISCOSITY * belowMm / 1000 / (DENSITY * GRAVITY * Math.pow(filmMm / 1000, 2) * DOUBLES_S / Math.log(2));
        return sine >= 1 ? 90 : Math.toDegrees(Math.asin(sine));
    }
}
