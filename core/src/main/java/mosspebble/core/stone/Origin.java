package mosspebble.core.stone;

import java.util.Objects;
import java.util.Optional;

/**
 * Where a stone came from.
 *
 * @param where place in words, at most 120 letters
 * @param note what else is worth knowing, at most 400 letters
 * @param picture a small PNG in base 64, at most {@link #LARGEST_PICTURE} letters
 */
public record Origin(String where, Taking taking, String note, Optional<String> picture) {

    public static final int LARGEST_PICTURE = 150_000;

    /** Whether it was allowed to take the stone. */
    public enum Taking {
        UNKNOWN("not asked yet"), OWN("own ground or bought"), ALLOWED("owner allowed it"), FORBIDDEN("not allowed");

        private final String label;

        Taking(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public Origin {
        Objects.requireNonNull(taking);
        if (where.length() > 120 || note.length() > 400) {
            throw new IllegalArgumentException("A place takes at most 120 letters and a note 400.");
        }
        if (picture.isPresent() && picture.get().length() > LARGEST_PICTURE) {
            throw new IllegalArgumentException("The picture of a stone is too large to keep: " + picture.get().length() + " letters, "
                    + LARGEST_PICTURE + " at most.");
        }
    }

    public static Origin unknown() {
        return new Origin("", Taking.UNKNOWN, "", Optional.empty());
    }

    public Origin with(String newWhere, Taking newTaking, String newNote) {
        return new Origin(newWhere, newTaking, newNote, picture);
    }
}
