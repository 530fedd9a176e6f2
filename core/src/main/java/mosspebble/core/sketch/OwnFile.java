package mosspebble.core.sketch;

import java.util.Objects;

/**
 * A motif, a face, a tracing or a picture to go by of the painter's own, kept whole.
 *
 * @param id as subjects name it: {@code own-} and letters, digits, dashes
 * @param content the SVG text of a motif, the font file in Base64, or the tracing or the picture as JSON
 */
public record OwnFile(Kind kind, String id, String title, String content) {

    /** What it is. */
    public enum Kind { MOTIF, FACE, TRACING, SHEET }

    /** Whether subjects are made of it, so that plans depend on it. */
    public boolean drawnWith() {
        return kind == Kind.MOTIF || kind == Kind.FACE;
    }

    /** Most files of one's own in a studio. */
    public static final int MOST = 60;

    /** Longest content, characters. */
    public static final int LONGEST = 6_000_000;

    public OwnFile {
        Objects.requireNonNull(kind);
        Objects.requireNonNull(content);
        if (!id.matches("own-[a-z0-9-]{1,50}")) {
            throw new IllegalArgumentException("the id of a file of one's own is own- and small letters, digits and dashes, was " + id);
        }
        if (title.isBlank() || title.length() > 80) {
            throw new IllegalArgumentException("A motif, a face or a tracing needs a name of 1 to 80 letters.");
        }
        if (content.length() > LONGEST) {
            throw new IllegalArgumentException("The file is too large to be kept.");
        }
    }
}
