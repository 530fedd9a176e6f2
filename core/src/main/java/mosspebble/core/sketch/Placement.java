package mosspebble.core.sketch;

import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * Where a design sits: its middle at (x, y) mm, turned clockwise, at so many times its own size.
 *
 * @param turn degrees clockwise, -180 to 180
 * @param scale mm per motif unit, above 0, at most 1000
 */
public record Placement(double x, double y, double turn, double scale) {

    public Placement {
        if (!(Math.abs(x) <= 1000) || !(Math.abs(y) <= 1000)) {
            throw new IllegalArgumentException("a design must sit within 1000 mm of the stone's middle, was at " + x + ", " + y);
        }
        if (!(scale > 0 && scale <= 1000)) {
            throw new IllegalArgumentException("the size of a design must be above 0 and at most 1000 mm per unit, was " + scale);
        }
        if (!Double.isFinite(turn)) {
            throw new IllegalArgumentException("a turn must be a number of degrees, was " + turn);
        }
        turn = Math.IEEEremainder(turn, 360) + 0.0;
    }

    public Placement movedBy(double dx, double dy) {
        return new Placement(x + dx, y + dy, turn, scale);
    }

    public Placement turnedBy(double degrees) {
        return new Placement(x, y, turn + degrees, scale);
    }

    public Placement sizedBy(double factor) {
        return new Placement(x, y, turn, scale * factor);
    }

    /** From motif units, the motif's middle at (cx, cy), to mm on the stone. */
    AffineTransformation transformation(double cx, double cy) {
        double radians = Math.toRadians(turn);
        return new AffineTransformation().translate(-cx, -cy).rotate(radians).scale(scale, scale).translate(x, y);
    }
}
