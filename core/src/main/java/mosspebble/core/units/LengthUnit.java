package mosspebble.core.units;

/** The units painters measure stones in. */
public enum LengthUnit {
    MM("mm", 1.0),
    CM("cm", 10.0),
    INCH("in", Millimetres.PER_INCH);

    private final String symbol;
    private final double millimetres;

    LengthUnit(String symbol, double millimetres) {
        this.symbol = symbol;
        this.millimetres = millimetres;
    }

    public String symbol() {
        return symbol;
    }

    /** Millimetres in one of this unit. */
    public double millimetres() {
        return millimetres;
    }
}
