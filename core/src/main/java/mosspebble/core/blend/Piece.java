package mosspebble.core.blend;

import mosspebble.core.colour.Palette;
import org.locationtech.jts.geom.Geometry;

/**
 * One colour's share of a blend.
 *
 * @param place mm
 * @param colour what is laid
 * @param thin thickness of a coat against a normal one, above 0, at most 1
 * @param hides whether nothing may show through
 * @param softMm width over which its edge runs out, 0 for a crisp one
 * @param wet whether it is laid while the pieces before it are still wet
 */
public record Piece(Share share, Geometry place, Palette.Colour colour, double thin, boolean hides, double softMm, boolean wet) {}
