package mosspebble.core.blend;

import mosspebble.core.area.Shapes;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Strips across a direction: cuts an area by how far along its places lie. */
final class Strips implements Field {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private final Geometry area;
    private final double ax;
    private final double ay;
    private final double low;
    private final double high;
    private final double side;
    private final double open;

    /**
     * @param seen the share of the area that stays seen: shares are counted along it
     * @param angle direction, degrees clockwise from straight up
     */
    Strips(Geometry area, Geometry seen, double angle) {
        this.area = area;
        this.ax = Math.sin(Math.toRadians(angle));
        this.ay = -Math.cos(Math.toRadians(angle));
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        double wide = 0;
        double far = 0;
        for (Coordinate c : seen.getCoordinates()) {
            least = Math.min(least, along(c));
            most = Math.max(most, along(c));
        }
        for (Coordinate c : area.getCoordinates()) {
            wide = Math.max(wide, Math.abs(-c.x * ay + c.y * ax));
            far = Math.max(far, Math.abs(along(c)));
        }
        this.open = 2 * far + 2;
        this.low = least;
        this.high = most;
        this.side = wide + 2;
    }

    double along(Coordinate c) {
        return c.x * ax + c.y * ay;
    }

    /** Where the seen area begins along the direction. */
    double start() {
        return low;
    }

    /** Length of the seen area along the direction, mm. */
    @Override
    public double length() {
        return high - low;
    }

    @Override
    public Geometry between(double from, double to) {
        return between(from, to, 0);
    }

    /** The same with both cuts bowed: their middle lies so many mm farther along than their ends. */
    Geometry between(double from, double to, double bowMm) {
        if (to <= from) {
            return Shapes.nothing();
        }
        double a = from <= 0 ? -open - Math.abs(bowMm) : low + from * (high - low);
        double b = to >= 1 ? open + Math.abs(bowMm) : low + to * (high - low);
        int bends = bowMm == 0 ? 1 : 24;
        Coordinate[] ring = new Coordinate[2 * bends + 3];
        for (int i = 0; i <= bends; i++) {
            double t = 2.0 * i / bends - 1;
            ring[i] = at(a + (from <= 0 ? 0 : bow(t, bowMm)), t * side);
            ring[2 * bends + 1 - i] = at(b + (to >= 1 ? 0 : bow(t, bowMm)), t * side);
        }
        ring[ring.length - 1] = ring[0].copy();
        return Shapes.common(area, FACTORY.createPolygon(ring));
    }

    private static double bow(double t, double mm) {
        return mm * (1 - t * t) - mm / 2;
    }

    private Coordinate at(double along, double across) {
        return new Coordinate(along * ax - across * ay, along * ay + across * ax);
    }
}
