package mosspebble.core.timetable;

import java.time.Duration;
import java.time.LocalTime;

/**
 * Hours of a day as the clock shows them.
 *
 * @param to after {@code from}; midnight is the end of the day
 */
public record Span(LocalTime from, LocalTime to) {

    public Span {
        if (!from.isBefore(to) && !to.equals(LocalTime.MIDNIGHT)) {
            throw new IllegalArgumentException("A sitting ends after it begins, not at " + to + " where it begins at " + from
                    + ". One over midnight is two.");
        }
    }

    /** How long it is by the clock. */
    public Duration length() {
        return Duration.ofSeconds((to.equals(LocalTime.MIDNIGHT) ? 24 * 3_600 : to.toSecondOfDay()) - from.toSecondOfDay());
    }

    /** Whether both have a moment in common. */
    public boolean overlaps(Span other) {
        return from.toSecondOfDay() < end(other) && other.from.toSecondOfDay() < end(this);
    }

    private static int end(Span span) {
        return span.to.equals(LocalTime.MIDNIGHT) ? 24 * 3_600 : span.to.toSecondOfDay();
    }
}
