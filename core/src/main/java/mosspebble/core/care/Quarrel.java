package mosspebble.core.care;

import java.time.Duration;
import java.util.Objects;

/**
 * A rule of the painter's own: what does not go over what, how bad that is, and the way out.
 *
 * @param anywhere whether it counts however deep the lower one lies, not only directly below
 * @param rest how long the lower one must have dried; zero if waiting does not help
 * @param reason in the painter's words, at most {@link #LONGEST} letters, may be empty
 */
public record Quarrel(Who below, Who above, boolean anywhere, Compatibility.Severity severity, Way way, Duration rest, String reason) {

    /** Most rules of one's own. */
    public static final int MOST = 200;

    /** Longest reason. */
    public static final int LONGEST = 160;

    /** Longest wait: a fortnight. */
    public static final Duration MOST_WAIT = Duration.ofDays(14);

    /** What a plan can do about it. */
    public enum Way { NONE, WAIT, ISOLATE, SPRAY_BETWEEN }

    public Quarrel {
        Objects.requireNonNull(below);
        Objects.requireNonNull(above);
        Objects.requireNonNull(severity);
        Objects.requireNonNull(way);
        if (rest.isNegative() || rest.compareTo(MOST_WAIT) > 0) {
            throw new IllegalArgumentException("a wait is 0 to " + MOST_WAIT.toHours() + " h");
        }
        if (reason.length() > LONGEST) {
            throw new IllegalArgumentException("a reason has at most " + LONGEST + " letters");
        }
    }
}
