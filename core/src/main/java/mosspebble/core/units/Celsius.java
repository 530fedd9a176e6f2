package mosspebble.core.units;

/** Temperature in degrees Celsius, -60 to 200. */
public record Celsius(double value) implements Comparable<Celsius> {

    /** @throws IllegalArgumentException if the value is not -60 to 200 */
    public Celsius {
        if (!(value >= -60 && value <= 200)) {
            throw new IllegalArgumentException("temperature in °C must be -60 to 200, was " + value);
        }
        value += 0.0; // -0.0 and 0.0 are one value
    }

    @Override
    public int compareTo(Celsius other) {
        return Double.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Numbers.shortText(value) + " °C";
    }
}
