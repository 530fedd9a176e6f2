package mosspebble.core.units;

/** Length in millimetres: the shape of stones, motifs and tools. Finite; negative only as an offset. */
public record Millimetres(double value) implements Comparable<Millimetres> {

    /** @throws IllegalArgumentException if the value is not finite */
    public Millimetres {
        if (!(Double.isFinite(value))) {
            throw new IllegalArgumentException("length in mm must be finite, was " + value);
        }
        value += 0.0; // -0.0 and 0.0 are one value
    }

    /** Exact: 1 in = 25.4 mm (international inch, 1959). */
    public static final double PER_INCH = 25.4;

    public static Millimetres ofInches(double inches) {
        return new Millimetres(inches * PER_INCH);
    }

    public double inInches() {
        return value / PER_INCH;
    }

    @Override
    public int compareTo(Millimetres other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Numbers.shortText(value) + " mm";
    }
}
