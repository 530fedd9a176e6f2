package mosspebble.core.care;

import java.util.Objects;

/**
 * What a painter found out with a test piece: one product over another. It goes before every rule.
 *
 * @param below id of what lies below, a pen or paint
 * @param above id of what went over it, such as a sealer
 * @param note where and when, at most 120 letters, may be empty
 */
public record SmearTest(String below, String above, Outcome outcome, String note) {

    /** Most tests kept. */
    public static final int MOST = 500;

    private static final int LONGEST = 120;

    /** What happened. */
    public enum Outcome {
        FINE("holds"), SMEARS("smears"), LIFTS("lifts off"), CLOUDS("clouds"), CRACKS("cracks");

        private final String label;

        Outcome(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public SmearTest {
        Objects.requireNonNull(outcome);
        if (below.isBlank() || above.isBlank() || below.equals(above)) {
            throw new IllegalArgumentException("A test needs two different products.");
        }
        if (note.length() > LONGEST) {
            throw new IllegalArgumentException("A note has at most " + LONGEST + " letters.");
        }
    }
}
