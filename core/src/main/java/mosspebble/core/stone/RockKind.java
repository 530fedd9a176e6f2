package mosspebble.core.stone;

/**
 * Rock kinds with bulk density in g/cm3 and open porosity as a volume fraction. Densities: usual handbook values (from memory: granite 2.60-2.75,
 * slate 2.7-2.9, dense limestone 2.3-2.7, sandstone 2.0-2.65, basalt 2.7-3.1, gypsum plaster cast at 0.70 water about 1.1); porosities: common
 * practice, no source.
 */
public enum RockKind {
    GRANITE("granite", 2.68, 0.01),
    SLATE("slate", 2.78, 0.01),
    LIMESTONE("limestone", 2.60, 0.08),
    SANDSTONE("sandstone", 2.35, 0.18),
    BASALT("basalt", 2.90, 0.03),
    CAST_PLASTER("cast plaster", 1.10, 0.40);

    private final String label;
    private final double density;
    private final double porosity;

    RockKind(String label, double density, double porosity) {
        this.label = label;
        this.density = density;
        this.porosity = porosity;
    }

    public String label() {
        return label;
    }

    /** Bulk density, g/cm3. */
    public double density() {
        return density;
    }

    /** Typical open porosity, 0 to 1 by volume. */
    public double porosity() {
        return porosity;
    }
}
