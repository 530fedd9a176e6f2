package mosspebble.core.plan;

import java.util.Optional;
import mosspebble.core.colour.Palette;
import org.locationtech.jts.geom.Geometry;

/**
 * An area to be painted with one colour, before it is ordered and counted.
 *
 * @param title the painter's word for it
 * @param place mm
 * @param thin thickness of its coats against normal ones: 1, or less for shades
 * @param hides whether nothing may show through
 * @param depth order from the deepest
 * @param lineMm nib width if it is a line, else 0
 * @param lineLengthMm length of its lines, mm
 * @param fadesWithin for a shade: the area it fades in
 */
record Region(Operation.Kind kind, String title, Geometry place, Palette.Colour colour, double thin, boolean hides, int depth, double lineMm, double lineLengthMm,
        Optional<Geometry> fadesWithin, String reason) {

    Region(Operation.Kind kind, String title, Geometry place, Palette.Colour colour, double thin, boolean hides, int depth, double lineMm, double lineLengthMm, String reason) {
        this(kind, title, place, colour, thin, hides, depth, lineMm, lineLengthMm, Optional.empty(), reason);
    }

    boolean isLine() {
        return lineMm > 0;
    }
}
