package mosspebble.core.sketch;

import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * The letters of a face as outlines, measured in em (1 = the type size), y down, baseline at 0.
 *
 * @param capHeight height of H, em
 * @param glyphs by code point
 */
public record Typeface(String id, String title, double capHeight, Map<Integer, Glyph> glyphs) {

    /** @param shape empty for a space */
    public record Glyph(Geometry shape, double advance) {}

    public Typeface {
        glyphs = Map.copyOf(glyphs);
    }

    public Optional<Glyph> glyph(int codePoint) {
        return Optional.ofNullable(glyphs.get(codePoint));
    }
}
