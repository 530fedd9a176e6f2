package mosspebble.core.stone;

/**
 * Rock kinds with bulk density in g/cm3 and open porosity as a volume fraction. Densities: usual handbook ranges (from memory; plaster from
 * 1.75 cast at 0.30 water to 1.0 at 0.80);
 * porosities: common practice, no source.
 */
public enum RockKind {
    GRANITE("granite", 2.60, 2.68, 2.75, 0.01),
    SLATE("slate", 2.70, 2.78, 2.90, 0.01),
    LIMESTONE("limestone", 2.30, 2.60, 2.70, 0.08),
    SANDSTONE("sandstone", 2.00, 2.35, 2.65, 0.18),
    BASALT("basalt", 2.70, 2.90, 3.10, 0.03),
    CAST_PLASTER("cast plaster", 1.00, 1.10, 1.75, 0.40),
    MARBLE("marble", 2.60, 2.70, 2.80, 0.01),
    FLINT("flint", 2.50, 2.60, 2.65, 0.005),
    CAST_CEMENT("cast cement", 2.20, 2.35, 2.40, 0.14);

    private final String label;
    private final double lightest;
    private final double density;
    private final double heaviest;
    private final double porosity;

    RockKind(String label, double lightest, double density, double heaviest, double porosity) {
        this.label = label;
        this.lightest = lightest;
        this.heaviest = heaviest;
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

    /** Least usual bulk density, g/cm3. */
    public double lightest() {
        return lightest;
    }

    /** Largest usual bulk density, g/cm3. */
    public double heaviest() {
        return heaviest;
    }

    /** Whether it was poured in a mould and must dry for days before paint. */
    public boolean isCast() {
        return this == CAST_PLASTER || this == CAST_CEMENT;
    }

    /** Whether its skin is so smooth and tight that paint slides on it (common practice, no source). */
    public boolean isGlassy() {
        return this == FLINT;
    }

    /** Typical open porosity, 0 to 1 by volume. */
    public double porosity() {
        return porosity;
    }
}
