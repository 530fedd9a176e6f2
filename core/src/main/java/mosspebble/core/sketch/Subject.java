package mosspebble.core.sketch;

import java.util.List;
import java.util.function.Function;

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

    default <T> T match(Function<Figure, T> figure, Function<Word, T> word) {
        return this instanceof Figure f ? figure.apply(f) : word.apply((Word) this);
    }
}
