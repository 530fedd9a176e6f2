package mosspebble.core.stone;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;

/** A stone that waits in the basket. */
@RecordBuilder
public record FoundStone(String id, String name, Stone stone, Origin origin) implements FoundStoneBuilder.With {

    public FoundStone {
        checkId(id);
        Objects.requireNonNull(stone);
        Objects.requireNonNull(origin);
        if (name.isBlank() || name.length() > 80) {
            throw new IllegalArgumentException("A stone needs a name of 1 to 80 letters.");
        }
    }

    /** Word for a stone's proportions: round to 1.12 times as long as wide, oval to 1.5, else long (common practice, no source). */
    public static String proportions(Stone stone) {
        double aspect = Math.max(stone.length().value(), stone.width().value()) / Math.min(stone.length().value(), stone.width().value());
        return aspect < 1.12 ? "round" : aspect < 1.5 ? "oval" : "long";
    }

    /** The id of a stone names files that leave the program, so it can be nothing but a plain name. */
    public static void checkId(String id) {
        if (!id.matches("[A-Za-z0-9][A-Za-z0-9._-]{0,79}") || id.contains("..")) {
            throw new IllegalArgumentException("the id of a stone must be 1 to 80 letters, digits, dashes and dots");
        }
    }
}
