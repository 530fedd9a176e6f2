package mosspebble.core.colour;

/** Sheen of a dry film. */
public enum Finish {
    MATT,
    SATIN,
    GLOSS;

    public String label() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }
}
