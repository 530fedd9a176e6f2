package mosspebble.core.plan;

import mosspebble.core.blend.Share;
import mosspebble.core.colour.Palette;
import org.locationtech.jts.geom.Geometry;

/**
 * An area to be painted with one colour, before it is ordered and counted.
 *
 * @param place mm
 * @param depth order from the deepest; within one part, {@link #LEVELS} to a part
 */
record Region(Step.Kind kind, What what, Geometry place, Palette.Colour colour, Spread spread, int depth, Line line, Why why) {

    /** Levels within one part: pieces of a blend lie on each other, up to the last level for them. */
    static final int LEVELS = 64;
    static final int LAST_PIECE = 40;
    /** What keeps a part apart from what comes over it, its shade and its light. */
    static final int APART = 44;
    static final int SHADE = 45;
    static final int LIGHT = 46;
    /** Where what is clear begins that is laid over shade and light. */
    static final int OVER_SHADE = 47;

    /**
     * How the paint is spread.
     *
     * @param thin thickness of its coats against normal ones: 1, or less for shades
     * @param hides whether nothing may show through
     * @param soft how its edge runs out
     * @param wetGroup regions of the same number are laid wet into each other; -1 for none
     */
    record Spread(double thin, boolean hides, Soft soft, int wetGroup) {

        /** Full coats with a crisp edge until nothing shows. */
        static final Spread EVEN = new Spread(1, true, Soft.CRISP, -1);

        /** One thin coat through which what is below is seen. */
        static Spread thin(double thin, Soft soft) {
            return new Spread(thin, false, soft, -1);
        }
    }

    /**
     * A line drawn with a nib.
     *
     * @param nibMm width; 0 if it is no line
     * @param lengthMm of all its strokes
     */
    record Line(double nibMm, double lengthMm) {
        static final Line NONE = new Line(0, 0);
    }

    /** Number of the part it belongs to, from the deepest. */
    int part() {
        return Math.floorDiv(depth, LEVELS);
    }

    boolean isLine() {
        return line.nibMm > 0;
    }

    double thin() {
        return spread.thin;
    }

    boolean hides() {
        return spread.hides;
    }

    /** Whether it is a clear medium, through which all of what is below is meant to be seen. */
    boolean isClear() {
        return kind == Step.Kind.FILL && !hides() && what.share().kind() == Share.Kind.WHOLE;
    }

    Soft soft() {
        return spread.soft;
    }

    int wetGroup() {
        return spread.wetGroup;
    }

    /** Whether both can be one pass: the same load on the same sort of tool, spread in the same way. */
    boolean sameLoad(Region other) {
        return sort() == other.sort() && colour.mix().equals(other.colour.mix()) && thin() == other.thin()
                && hides() == other.hides()
                && soft().mm() > 0 == other.soft().mm() > 0 && soft().isShade() == other.soft().isShade() && wetGroup() < 0
                && other.wetGroup() < 0 && what.doneAs(other.what);
    }

    /** Whether both are the same share of blends of the same colours: worked wet in the same way. */
    boolean sameShare(Region other) {
        return kind == other.kind && colour.mix().equals(other.colour.mix()) && thin() == other.thin() && hides() == other.hides()
                && what.doneAs(other.what);
    }

    /** Grounds, first lines, shades and lights are things of their own; areas go together, and so do lines. */
    private int sort() {
        return switch (kind) {
            case PRIME, GROUND, LINE_FIRST, SHADE, HIGHLIGHT -> kind.ordinal();
            default -> isLine() ? -1 : -2;
        };
    }
}
