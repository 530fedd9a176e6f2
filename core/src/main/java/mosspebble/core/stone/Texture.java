package mosspebble.core.stone;

/** How the skin of the stone feels. */
public enum Texture {
    SMOOTH("smooth", 0.02),
    GRAINY("grainy", 0.10),
    ROUGH("rough", 0.25);

    private final String label;
    private final double pitMm;

    Texture(String label, double pitMm) {
        this.label = label;
        this.pitMm = pitMm;
    }

    public String label() {
        return label;
    }

    /** Typical pit size in mm: what a pen line or a gap must exceed beyond its nib (common practice, no source). */
    public double pitMm() {
        return pitMm;
    }
}
