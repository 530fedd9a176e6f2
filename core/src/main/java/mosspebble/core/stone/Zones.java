package mosspebble.core.stone;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * The parts of the upper stone by tilt: the <em>face</em> up to the face limit, the <em>shoulder</em> up to the rim limit, the <em>rim</em> beyond.
 *
 * @param face outline of the face, mm
 * @param paintable outline of face and shoulder together, mm
 * @param outline outline of the stone, mm
 */
public record Zones(Polygon face, Polygon paintable, Polygon outline) {

    /** Tilt at which the face ends and the shoulder begins, degrees (common practice, no source). */
    public static final double FACE_TILT = 35;

    /** Tilt at which the shoulder ends and the rim begins, degrees (common practice, no source). */
    public static final double RIM_TILT = 65;

    private static final int RAYS = 240;
    private static final int STEPS = 60;

    public static Zones of(Dome dome) {
        GeometryFactory factory = new GeometryFactory();
        return new Zones(upTo(dome, FACE_TILT, factory), upTo(dome, RIM_TILT, factory), dome.outline().polygon(factory));
    }

    /** Along each ray from the middle, the first place where the tilt passes the limit. */
    private static Polygon upTo(Dome dome, double limit, GeometryFactory factory) {
        Coordinate[] ring = new Coordinate[RAYS + 1];
        for (int ray = 0; ray < RAYS; ray++) {
            double angle = 2 * Math.PI * ray / RAYS;
            double cos = Math.cos(angle);
            double sin = Math.sin(angle);
            double radius = dome.outline().radius(angle);
            double low = 0;
            double high = 1;
            for (int step = STEPS / 4; step <= STEPS; step++) {
                double share = (double) step / STEPS;
                if (dome.tiltAt(share * radius * cos, share * radius * sin) > limit) {
                    high = share;
                    break;
                }
                low = share;
            }
            for (int halving = 0; halving < 20 && low < high; halving++) {
                double middle = (low + high) / 2;
                if (dome.tiltAt(middle * radius * cos, middle * radius * sin) > limit) {
                    high = middle;
                } else {
                    low = middle;
                }
            }
            ring[ray] = new Coordinate(low * radius * cos, low * radius * sin);
        }
        ring[RAYS] = ring[0].copy();
        return factory.createPolygon(ring);
    }
}
