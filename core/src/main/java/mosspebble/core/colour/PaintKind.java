package mosspebble.core.colour;

/** What a paint is handled as. */
public enum PaintKind {
    BRUSH("brush paint", true),
    PEN("paint pen", false),
    PRIMER("primer", false),
    VARNISH("varnish", false);

    private final String label;
    private final boolean mixable;

    PaintKind(String label, boolean mixable) {
        this.label = label;
        this.mixable = mixable;
    }

    public String label() {
        return label;
    }

    /** Whether it goes into mixes. */
    public boolean mixable() {
        return mixable;
    }
}
