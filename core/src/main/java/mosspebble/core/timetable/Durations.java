package mosspebble.core.timetable;

import java.time.Duration;

/** Times in words as one says them at the bench: nobody knows them better than to about a tenth. */
public final class Durations {

    private static final long HOUR = 60;
    private static final long DAY = 24 * HOUR;

    private Durations() {}

    /** "1 min", "12 min", "2 h 20 min", "3 d 6 h"; rounded to about a tenth, never less than a minute. */
    public static String words(Duration time) {
        double exact = time.toSeconds() / 60.0;
        long step = exact < 15 ? 1 : exact < 90 ? 5 : exact < 5 * HOUR ? 10 : exact < 12 * HOUR ? 30 : exact < 36 * HOUR ? HOUR
                : exact < 5 * DAY ? 6 * HOUR : DAY;
        long minutes = Math.max(1, step * Math.round(exact / step));
        if (minutes < HOUR) {
            return minutes + " min";
        }
        if (minutes < 36 * HOUR) {
            return minutes / HOUR + " h" + (minutes % HOUR == 0 ? "" : " " + minutes % HOUR + " min");
        }
        long hours = minutes / HOUR;
        return hours / 24 + " d" + (hours % 24 == 0 ? "" : " " + hours % 24 + " h");
    }
}
