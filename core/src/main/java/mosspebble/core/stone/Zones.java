package mosspebble.core.stone;

import mosspebble.core.units.Bisection;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * The parts of the upper stone by tilt of the smooth dome: the <em>face</em> up to the face limit, the <em>shoulder</em> up to the rim
 * limit, the <em>rim</em> beyond.
 *
 * @param face outline of the face, mm
 * @param paintable outline of face and shoulder together, mm
 * @param outline outline of the stone, mm
 */
public record Zones(Polygon face, Polygon paintable, Polygon outline) {

    private static final int RAYS = 240;
    private static final int STEPS = 60;

    public static Zones of(Dome dome, ZoneLimits limits) {
        GeometryFactory factory = new GeometryFactory();
        Dome smooth = dome.smooth();
        return new Zones(upTo(smooth, limits.faceTilt(), factory), upTo(smooth, limits.rimTilt(), factory),
                dome.outline().polygon(factory));
    }

    /** Along each ray from the pole, the first place where the tilt passes the limit. */
    private static Polygon upTo(Dome dome, double limitDegrees, GeometryFactory factory) {
        double limit = Math.cos(Math.toRadians(limitDegrees));
        double poleX = dome.outline().poleX();
        double poleY = dome.outline().poleY();
        double[] normal = new double[3];
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
                dome.normalAt(poleX + share * radius * cos, poleY + share * radius * sin, normal);
                if (normal[2] < limit) {
                    high = share;
                    break;
                }
                low = share;
            }
            double end = Bisection.of(low, Math.max(low, high), 12, share -> {
                dome.normalAt(poleX + share * radius * cos, poleY + share * radius * sin, normal);
                return normal[2] >= limit;
            }).low();
            ring[ray] = new Coordinate(poleX + end * radius * cos, poleY + end * radius * sin);
        }
        ring[RAYS] = ring[0].copy();
        return factory.createPolygon(ring);
    }
}
