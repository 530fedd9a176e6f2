package mosspebble.core.units;

/** Mass in grams, 0 or more. */
public record Grams(double value) implements Comparable<Grams> {

    /** @throws IllegalArgumentException if the value is not 0 or more */
    public Grams {
        if (!(value >= 0 && value < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("mass in g must be 0 or more, was " + value);
        }
        value += 0.0; // -0.0 and 0.0 are one value
    }

    @Override
    public int compareTo(Grams other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Numbers.shortText(value) + " g";
    }
}
