package mosspebble.core.plan;

import java.util.List;
import mosspebble.core.units.Facts;

/**
 * Why something is laid, and why there.
 *
 * @param facts the values that the reason needs
 * @param about what it tells of besides the thing itself; mostly nothing
 */
public record Why(Reason reason, Facts facts, List<What> about) {

    /** The reasons. */
    public enum Reason {
        NONE, PRIMED_BY_HABIT, PRIMER_SAVES_COATS, GROUND_UNDER_ALL, GROUND_AROUND, LIFTS_OFF, BLEND, TURNS_AWAY, SUNK, FACES_LIGHT,
        LINE_FIRST,
        STANDS_OUT, AS_WISHED, SECOND_LINE, METAL_LINE, LIGHT_LAST, DRAWN_ON_AREA, SHOWS_THROUGH, RUNS_ROUND, BASE_OF_SPARKLE,
        WHITE_BELOW_GLOW, GLOWS, FLAKES, KEEPS_APART
    }

    /** It goes without saying. */
    static final Why NONE = of(Reason.NONE);

    public Why {
        about = List.copyOf(about);
    }

    static Why of(Reason reason) {
        return of(reason, Facts.none());
    }

    static Why of(Reason reason, Facts facts) {
        return new Why(reason, facts, List.of());
    }
}
