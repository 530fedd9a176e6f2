package mosspebble.core.plan;

import mosspebble.core.colour.Palette;
import org.locationtech.jts.geom.Geometry;

/**
 * An area to be painted with one colour, before it is ordered and counted.
 *
 * @param title the painter's word for it
 * @param place mm
 * @param thin thickness of its coats against normal ones: 1, or less for shades
 * @param hides whether nothing may show through
 * @param depth order from the deepest; within one part, {@link #LEVELS} to a part
 * @param lineMm nib width if it is a line, else 0
 * @param lineLengthMm length of its lines, mm
 * @param soft how its edge runs out
 * @param wetGroup regions of the same number are laid wet into each other; -1 for none
 * @param how what the hand does, where that is not the usual
 */
record Region(Operation.Kind kind, String title, Geometry place, Palette.Colour colour, double thin, boolean hides, int depth, double lineMm, double lineLengthMm, Soft soft, int wetGroup,
        String how, String reason) {

    /** Levels within one part: pieces of a blend lie on each other. */
    static final int LEVELS = 32;

    Region(Operation.Kind kind, String title, Geometry place, Palette.Colour colour, double thin, boolean hides, int depth, double lineMm, double lineLengthMm, String reason) {
        this(kind, title, place, colour, thin, hides, depth, lineMm, lineLengthMm, Soft.CRISP, -1, "", reason);
    }

    boolean isLine() {
        return lineMm > 0;
    }

    /** Whether both can be one step: the same kind of work with the same load on the brush. */
    boolean sameStep(Region other) {
        return kind == other.kind && colour.mix().equals(other.colour.mix()) && lineMm == other.lineMm && thin == other.thin && hides == other.hides && soft.mm() == other.soft.mm()
                && soft.isShade() == other.soft.isShade() && wetGroup == other.wetGroup && how.equals(other.how);
    }
}
