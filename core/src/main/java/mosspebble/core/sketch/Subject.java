package mosspebble.core.sketch;

import java.util.List;
import java.util.function.Function;
import mosspebble.core.units.Numbers;

/** What is painted on the stone. */
public sealed interface Subject {

    /** A motif of the repertoire, by id. */
    record Figure(String motif) implements Subject {}

    /**
     * One to four lines of letters.
     *
     * @param typeface id of a face in the repertoire
     */
    record Word(List<String> lines, String typeface) implements Subject {

        /** Most letters in all lines together. */
        public static final int MOST_LETTERS = 80;

        public Word {
            lines = List.copyOf(lines);
            if (lines.isEmpty() || lines.size() > 4 || lines.stream().allMatch(String::isBlank)) {
                throw new IllegalArgumentException("Write one to four lines of letters.");
            }
            int letters = lines.stream().mapToInt(String::length).sum();
            if (letters > MOST_LETTERS) {
                throw new IllegalArgumentException("That is " + letters + " letters; a stone carries " + MOST_LETTERS + " at most.");
            }
        }
    }

    /**
     * A ring of dots: on a circle, whose radius is the placement's scale in mm, or along the edge of what is painted when it wears the stone.
     *
     * @param diameterMm of a dot, 0.3 to 60
     * @param gapMm wanted least gap, 0 to 60
     * @param insetMm how far inside the edge it runs when it wears the stone, 0 to 100
     * @param dotOnTop whether a dot sits at the top, else a gap
     * @param twoColours whether every other dot has a second colour; the number is then even
     */
    record Dots(double diameterMm, double gapMm, double insetMm, boolean dotOnTop, boolean twoColours) implements Subject {
        public Dots {
            range("A dot is", diameterMm, 0.3, 60);
            range("A gap is", gapMm, 0, 60);
            range("The ring runs", insetMm, 0, 100);
        }

        private static void range(String what, double value, double low, double high) {
            if (!(value >= low && value <= high)) {
                throw new IllegalArgumentException(what + " " + Numbers.shortText(low) + " to " + Numbers.shortText(high) + " mm, was " + Numbers.shortText(value) + " mm.");
            }
        }

        /** Dots to begin with. */
        public static Dots usual() {
            return new Dots(3, 1, 3, true, false);
        }
    }

    default <T> T match(Function<Figure, T> figure, Function<Word, T> word, Function<Dots, T> dots) {
        return this instanceof Figure f ? figure.apply(f) : this instanceof Word w ? word.apply(w) : dots.apply((Dots) this);
    }
}
