package mosspebble.core.colour;

/** What holds the colour together: it decides what smears, clouds or lifts under what (common practice, no source). */
public enum Binder {
    ACRYLIC("acrylic"),
    PIGMENT_INK("pigment ink"),
    DYE_INK("dye ink"),
    ALCOHOL("alcohol"),
    OIL("oil"),
    SOLVENT_LACQUER("solvent lacquer"),
    UV_GEL("UV gel"),
    RESIN("two-part resin"),
    POLYURETHANE("polyurethane"),
    WAX("wax"),
    GUM("gum"),
    NONE("none");

    private final String label;

    Binder(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
