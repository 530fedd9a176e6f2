package mosspebble.core.plan;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import mosspebble.core.coats.Coat;
import mosspebble.core.colour.Mix;
import org.locationtech.jts.geom.Geometry;

/**
 * One step of the plan.
 *
 * @param title short, such as "Fill the belly"
 * @param sentence what to do
 * @param reason why here, why so many coats
 * @param place where on the stone, mm; empty for steps that lay no paint
 * @param fadesWithin for a shade: the area inside which it fades from its edge
 * @param coat what is laid; empty for steps that lay no paint
 * @param coats how many
 * @param areaMm2 surface along the stone
 * @param hand time of the hand
 * @param between waiting between its own coats
 * @param dries until what waits for it may start
 * @param after what it waits for and why
 */
public record Operation(Kind kind, String title, String sentence, String reason, Geometry place, Optional<Geometry> fadesWithin, Optional<Mix> mix, Optional<Coat> coat, int coats, String tool,
        double areaMm2, Duration hand, Duration between, Duration dries, List<After> after) {

    /** What kind of step it is, in the order of the work. */
    public enum Kind {
        PREPARE, PENCIL, PRIME, GROUND, PENCIL_AGAIN, LINE_FIRST, FILL, MORE, SHADE, DETAIL, OUTLINE, HIGHLIGHT, SIGN, SEAL
    }

    /** An earlier step, by number from 0, that must be dry first, and the reason. */
    public record After(int step, String reason) {}

    public Operation {
        after = List.copyOf(after);
    }
}
