package mosspebble.core.proof;

import mosspebble.core.colour.Lab;

/**
 * One painted part's colour.
 *
 * @param part id in the whole sketch
 * @param x a place on it, mm
 * @param planned the median over what is seen of it
 * @param seen the same in the photo, shade of the dome taken out
 */
public record Tone(String part, double x, double y, Lab planned, Lab seen) {

    /** CIEDE2000. */
    public double difference() {
        return planned.differenceTo(seen);
    }
}
