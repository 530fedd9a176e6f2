package mosspebble.core.drying;

import java.time.Duration;
import java.util.Optional;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind.Use;

/** What does not dry by losing water but sets in its own time, whatever the air (common practice, no source; the label decides). */
public final class Setting {

    /** Gel under its lamp: 60 to 120 s. */
    public static final Duration LAMP = Duration.ofSeconds(80);

    private static final Duration LONG_OPEN = Duration.ofHours(8);

    private Setting() {}

    /** How a product sets; empty for what dries. */
    public static Optional<Drying> of(Paint paint) {
        if (paint.kind().does(Use.GELS)) {
            return Optional.of(new Drying(LONG_OPEN, Duration.ofMinutes(1), Duration.ofMinutes(1)));
        }
        if (paint.kind().does(Use.RUBBED_ON) || paint.kind().does(Use.IS_LEAF)) {
            return Optional.of(new Drying(LONG_OPEN, Duration.ofMinutes(1), Duration.ofMinutes(1)));
        }
        if (paint.kind().does(Use.HOLDS_LEAF)) { // ready when it is clear and tacky
            return Optional.of(new Drying(Duration.ofMinutes(5), Duration.ofMinutes(20), Duration.ofMinutes(20)));
        }
        if (paint.kind().does(Use.GLUES) || paint.kind().does(Use.GLUED_ON)) {
            return Optional.of(new Drying(Duration.ofMinutes(10), Duration.ofHours(1), Duration.ofHours(24)));
        }
        if (paint.kind().does(Use.ISOLATES) && paint.binder() == Binder.SOLVENT_LACQUER) {
            return Optional.of(new Drying(Duration.ofMinutes(2), Duration.ofMinutes(15), Duration.ofMinutes(30)));
        }
        return Optional.empty();
    }
}
