package mosspebble.core.units;

/** Volume of paint, water or sealer in millilitres, 0 or more. */
public record Millilitres(double value) implements Comparable<Millilitres> {

    /** @throws IllegalArgumentException if the value is not 0 or more */
    public Millilitres {
        if (!(value >= 0 && value < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("volume in ml must be 0 or more, was " + value);
        }
        value += 0.0; // -0.0 and 0.0 are one value
    }

    @Override
    public int compareTo(Millilitres other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Numbers.shortText(value) + " ml";
    }
}
