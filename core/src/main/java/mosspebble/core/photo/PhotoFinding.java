package mosspebble.core.photo;

import mosspebble.core.units.Facts;

/**
 * Something odd about a photo; {@code words} says what it means and the way out.
 *
 * @param stone number of the stone it is about, from 0; -1 for the whole photo
 * @param facts what the sentence about it needs
 */
public record PhotoFinding(Kind kind, int stone, Facts facts) {

    /** What it is. */
    public enum Kind {
        NO_CARD(true), CARD_PARTLY_HIDDEN(false), BLURRED(false), LEANED(false), TOUCHES_EDGE(false), TOUCHES_ANOTHER(false), SHADOW(false),
        NO_STONES(true), PALE_SHEET(false), SCALE_BY_HAND(false),
        CARD_UNEVEN(false), FOLDED(false), SMALL(false), ASIDE(false);

        private final boolean stops;

        Kind(boolean stops) {
            this.stops = stops;
        }

        /** Whether nothing can be read because of it. */
        public boolean stops() {
            return stops;
        }
    }
}
