package mosspebble.core.timetable;

import java.time.Duration;

/** Times in words as one says them at the bench. */
public final class Durations {

    private Durations() {}

    /** "40 s", "12 min", "2 h 20 min", "3 d 4 h"; rounded to what matters. */
    public static String words(Duration time) {
        long seconds = time.toSeconds();
        if (seconds < 90) {
            return seconds + " s";
        }
        long minutes = Math.round(seconds / 60.0);
        if (minutes < 60) {
            return minutes + " min";
        }
        if (minutes < 36 * 60) {
            return minutes / 60 + " h" + (minutes % 60 == 0 ? "" : " " + minutes % 60 + " min");
        }
        long hours = Math.round(minutes / 60.0);
        return hours / 24 + " d" + (hours % 24 == 0 ? "" : " " + hours % 24 + " h");
    }
}
