package mosspebble.core.colour;

/** What a paint is handled as, with what is usual for its kind (common practice, no source). */
public enum PaintKind {
    BRUSH("brush paint", true, false, 60, 0.40, 2, 0.92, Finish.SATIN),
    PEN("paint pen", false, false, 18, 0.40, 1, 0.95, Finish.MATT),
    INK("ink pen", false, false, 6, 0.15, 0, 0.60, Finish.MATT),
    PRIMER("gesso", false, false, 80, 0.45, 1, 0.90, Finish.MATT),
    GLAZE("glaze paint", true, false, 50, 0.25, 0, 0.25, Finish.GLOSS),
    METALLIC("metallic paint", false, false, 60, 0.35, 0, 0.85, Finish.SATIN),
    GLITTER("glitter paint", false, false, 90, 0.30, 0, 0.35, Finish.GLOSS),
    COLOUR_SHIFT("colour-shift glaze", false, false, 50, 0.30, 0, 0.30, Finish.GLOSS),
    CRACKLE("crackle medium", false, true, 120, 0.35, 0, 0.05, Finish.SATIN),
    GEL("gel coat", false, true, 150, 0.95, 0, 0.05, Finish.GLOSS),
    VARNISH("sealer", false, true, 60, 0.33, 0, 0.05, Finish.GLOSS);

    private final String label;
    private final boolean mixable;
    private final boolean clear;
    final double wetUm;
    final double solids;
    final double shift;
    final double hiding;
    final Finish finish;

    PaintKind(String label, boolean mixable, boolean clear, double wetUm, double solids, double shift, double hiding, Finish finish) {
        this.label = label;
        this.mixable = mixable;
        this.clear = clear;
        this.wetUm = wetUm;
        this.solids = solids;
        this.shift = shift;
        this.hiding = hiding;
        this.finish = finish;
    }

    public String label() {
        return label;
    }

    /** Whether it goes into mixes. */
    public boolean mixable() {
        return mixable;
    }

    /** Whether it is laid for something else than its colour: a medium or a sealer. */
    public boolean clear() {
        return clear;
    }

    /** Whether it comes with a nib of its own. */
    public boolean pen() {
        return this == PEN || this == INK;
    }
}
