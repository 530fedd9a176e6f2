package mosspebble.core.colour;

/** The word on the label for how a paint hides, as the contrast ratio of one coat (common practice, no source). */
public enum Opacity {
    TRANSPARENT("transparent", 0.30),
    SEMI_TRANSPARENT("semi-transparent", 0.65),
    SEMI_OPAQUE("semi-opaque", 0.87),
    OPAQUE("opaque", 0.96);

    /** What a word on a label is worth: plus and minus in contrast ratio. */
    public static final double SPREAD = 0.08;

    private final String label;
    private final double hiding;

    Opacity(String label, double hiding) {
        this.label = label;
        this.hiding = hiding;
    }

    public String label() {
        return label;
    }

    /** Contrast ratio of one coat. */
    public double hiding() {
        return hiding;
    }

    /** The class nearest to a contrast ratio. */
    public static Opacity of(double hiding) {
        Opacity best = TRANSPARENT;
        for (Opacity each : values()) {
            best = Math.abs(each.hiding - hiding) < Math.abs(best.hiding - hiding) ? each : best;
        }
        return best;
    }
}
