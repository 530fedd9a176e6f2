package mosspebble.core.blend;

import java.time.Duration;
import java.util.Optional;

/**
 * Which share of a blend a piece is, and so how the hand lays it.
 *
 * @param number which of several, from 1: the band, the arm, the colour in the load, the pass of a glaze; 0 where there is one
 * @param of how many passes; 0 where passes do not count
 */
public record Share(Kind kind, int number, int of) {

    /** The kinds. */
    public enum Kind {
        WHOLE, FIRST_PART, SECOND_PART, THIN_WASH, DARK_BEHIND, BAND, MIXED_STEP, STREAKS, FOAM, DABS, FACETS, ARM, WHITE_IN_LOAD,
        RUN, STROKES, TIP_COLOUR, INNER_COLOUR, GLAZE, DROPPED_WASH, BASE, CRACKLE, CRACKED, GEL, POWDER, SIZE, LEAF, GLUE, GEM, PASTE,
        ISOLATED;

        /** What must be laid on it while it still takes it; none for what may dry as long as it likes. */
        public Optional<Kind> holds() {
            return switch (this) {
                case SIZE -> Optional.of(LEAF);
                case CRACKLE -> Optional.of(CRACKED);
                default -> Optional.empty();
            };
        }
    }

    /** So long size holds leaf and crackle medium cracks what is laid on it (common practice, no source: a day; the label decides). */
    public static final Duration HOLDS = Duration.ofHours(24);

    /** All of it, in one colour. */
    public static final Share WHOLE = of(Kind.WHOLE);

    public static Share of(Kind kind) {
        return new Share(kind, 0, 0);
    }

    public static Share of(Kind kind, int number) {
        return new Share(kind, number, 0);
    }

    /** Whether it is set on what is dry, in one work with what holds it: gel and powder, glue and gem. */
    public boolean isSet() {
        return kind == Kind.GEL || kind == Kind.POWDER || kind == Kind.GLUE || kind == Kind.GEM;
    }

    /** Whether it sets in its own time, whatever the air. */
    public boolean setsByItself() {
        return isSet() || kind == Kind.SIZE || kind == Kind.LEAF;
    }

    /** Whether both are laid in the same way. */
    public boolean laidAs(Share other) {
        return kind == other.kind && of == other.of && (of == 0 || number == other.number);
    }
}
