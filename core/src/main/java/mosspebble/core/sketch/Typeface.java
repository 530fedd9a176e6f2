package mosspebble.core.sketch;

import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * The letters of a face as outlines, measured in em (1 = the type size), y down, baseline at 0. The same letter is always the same outline.
 */
public interface Typeface {

    /** @param shape empty for a space */
    record Glyph(Geometry shape, double advance) {}

    String id();

    String title();

    /** Height of H, em. */
    double capHeight();

    Optional<Glyph> glyph(int codePoint);

    /**
     * A face whose letters are all at hand.
     *
     * @param glyphs by code point
     */
    record Drawn(String id, String title, double capHeight, Map<Integer, Glyph> glyphs) implements Typeface {
        public Drawn {
            glyphs = Map.copyOf(glyphs);
        }

        @Override
        public Optional<Glyph> glyph(int codePoint) {
            return Optional.ofNullable(glyphs.get(codePoint));
        }
    }
}
