package mosspebble.core.proof;

import java.util.Optional;
import mosspebble.core.units.Facts;

/**
 * Where the work strays from its plan.
 *
 * @param at where to look; empty for the whole stone
 * @param item id of the thing in the sketch; empty text for the first one, as there
 * @param part id of the part in the whole sketch
 */
public record ProofFinding(Kind kind, Optional<Place> at, Optional<String> item, Optional<String> part, Facts facts) {

    /** A place on the stone, mm. */
    public record Place(double x, double y) {}

    /** What it is. */
    public enum Kind {
        OTHER_STONE(true), NO_DESIGN(true), ROUND(false), NOT_SEEN(false), TURNED(false), MOVED(false), SIZED(false), NEAR_EDGE(false),
        PART_SIZED(false), PART_MOVED(false), DOTS_COUNT(false), DOTS_GAP(false), COLOUR(false), BALD(false), BLED(false);

        private final boolean stops;

        Kind(boolean stops) {
            this.stops = stops;
        }

        /** Whether nothing can be compared because of it. */
        public boolean stops() {
            return stops;
        }
    }

    static ProofFinding whole(Kind kind, Facts facts) {
        return new ProofFinding(kind, Optional.empty(), Optional.empty(), Optional.empty(), facts);
    }
}
