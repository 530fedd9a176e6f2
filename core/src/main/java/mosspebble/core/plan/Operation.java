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
 * @param key stable name within the plan, by which the painter's own order knows it
 * @param title short, such as "Fill the belly"
 * @param sentence what to do
 * @param reason why here, why so many coats
 * @param place where on the stone, mm; empty for steps that lay no paint
 * @param soft how the edge runs out
 * @param coat what is laid; empty for steps that lay no paint
 * @param coats how many
 * @param thin thickness of a coat against a normal one
 * @param areaMm2 surface along the stone
 * @param hand time of the hand
 * @param between waiting between its own coats
 * @param dries until what waits for it may start
 * @param wet for what is laid into wet paint: with which step, and until when
 * @param after what it waits for and why
 */
public record Operation(Kind kind, String key, String title, String sentence, String reason, Geometry place, Soft soft, Optional<Mix> mix, Optional<Coat> coat, int coats, double thin, String tool,
        double areaMm2, Duration hand, Duration between, Duration dries, Optional<Wet> wet, List<After> after) {

    /** What kind of step it is, in the order of the work. */
    public enum Kind {
        PREPARE, PENCIL, PRIME, GROUND, PENCIL_AGAIN, LINE_FIRST, FILL, MORE, SHADE, DETAIL, OUTLINE, HIGHLIGHT, SIGN, SEAL;

        /** Whether the painter may move it in the order. */
        public boolean movable() {
            return this != PREPARE && this != PENCIL && this != PENCIL_AGAIN && this != SIGN && this != SEAL;
        }
    }

    /** An earlier step, by number from 0, that must be dry first, and the reason. */
    public record After(int step, String reason) {}

    /**
     * Laid while earlier paint is wet.
     *
     * @param first number of the first step of the group
     * @param open how long that paint stays workable
     * @param work time of the hand from its start to the end of this step
     */
    public record Wet(int first, Duration open, Duration work) {
        public boolean inTime() {
            return work.compareTo(open) <= 0;
        }
    }

    /** What it is done to, in the painter's words: the title without its verb. */
    public String what() {
        return title.replaceFirst("^(Work in|Coat again:|\\S+) ", "");
    }

    public Operation {
        after = List.copyOf(after);
    }
}
