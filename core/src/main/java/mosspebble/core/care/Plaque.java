package mosspebble.core.care;

/**
 * A thin stone or half glued to a board: what its glue must hold and what it hangs from.
 *
 * @param newtons weight
 * @param contactMm2 where back and board can touch
 * @param neededMm2 of glue
 */
public record Plaque(double newtons, double contactMm2, double neededMm2) {

    private static final double GRAVITY = 9.81;

    /** What construction adhesive and two-part epoxy hold in shear for years, N/mm2, and how many times more is wanted (from memory). */
    private static final double SHEAR = 1.0;
    private static final double SAFETY = 10;

    /** A hanger bears so many times the weight (common practice, no source). */
    private static final double HANGER = 4;

    /** A round back touches a board only where it is no farther from it than a bead of glue is thick, mm. */
    private static final double BEAD_MM = 1.5;

    /**
     * @param grams of the stone
     * @param backMm2 area of its back
     * @param backDepthMm how far a round back bulges, 0 for a flat one
     */
    public static Plaque of(double grams, double backMm2, double backDepthMm) {
        double newtons = grams / 1000 * GRAVITY;
        double touching = backDepthMm <= BEAD_MM ? 1 : BEAD_MM / backDepthMm; // of a flat cap the area within a depth goes with the depth
        return new Plaque(newtons, backMm2 * touching, newtons * SAFETY / SHEAR);
    }

    /** Whether the glue finds room enough. */
    public boolean holds() {
        return contactMm2 >= neededMm2;
    }

    /** What the hanger must bear, kg. */
    public double hangerKg() {
        return HANGER * newtons / GRAVITY;
    }
}
