package mosspebble.core.units;

/** Film thickness in micrometres. Finite; negative only as a difference. */
public record Micrometres(double value) implements Comparable<Micrometres> {

    /** @throws IllegalArgumentException if the value is not finite */
    public Micrometres {
        if (!(Double.isFinite(value))) {
            throw new IllegalArgumentException("thickness in µm must be finite, was " + value);
        }
        value += 0.0; // -0.0 and 0.0 are one value
    }

    public Millimetres toMillimetres() {
        return new Millimetres(value / 1000.0);
    }

    @Override
    public int compareTo(Micrometres other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Numbers.shortText(value) + " µm";
    }
}
