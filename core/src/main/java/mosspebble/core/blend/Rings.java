package mosspebble.core.blend;

import mosspebble.core.area.Shapes;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** An area by how far its places lie from its middle, or from its outline. */
final class Rings implements Field {

    private static final int SEGMENTS = 32;
    private static final GeometryFactory FACTORY = new GeometryFactory();

    private final Geometry area;
    private final Coordinate middle;
    private final double length;
    private final boolean inward;

    private Rings(Geometry area, Coordinate middle, double length, boolean inward) {
        this.area = area;
        this.middle = middle;
        this.length = length;
        this.inward = inward;
    }

    /**
     * From the middle outward, in circles.
     *
     * @param seen the share of the area that stays seen: its centroid is the middle
     */
    static Rings fromTheMiddle(Geometry area, Geometry seen) {
        Coordinate middle = seen.getCentroid().getCoordinate();
        double reach = 0;
        for (Coordinate c : seen.getCoordinates()) {
            reach = Math.max(reach, c.distance(middle));
        }
        return new Rings(area, middle, reach, false);
    }

    /** From the outline inward, always at the same distance from it; as deep as the largest disc that fits. */
    static Rings alongTheOutline(Geometry area, Geometry seen) {
        Geometry whole = Shapes.largest(seen).map(p -> (Geometry) p).orElse(seen);
        double depth = MaximumInscribedCircle.getRadiusLine(whole, Math.max(0.05, Math.sqrt(whole.getArea()) / 200)).getLength();
        return new Rings(area, whole.getCentroid().getCoordinate(), depth, true);
    }

    @Override
    public double length() {
        return length;
    }

    @Override
    public Geometry between(double from, double to) {
        return to <= from ? Shapes.nothing() : Shapes.minus(until(to), until(from));
    }

    /** What lies before a share of the way. */
    private Geometry until(double share) {
        if (share <= 0) {
            return Shapes.nothing();
        }
        if (share >= 1) {
            return area;
        }
        return inward ? Shapes.minus(area, Shapes.grown(area, -share * length))
                : Shapes.common(area, FACTORY.createPoint(middle).buffer(share * length, SEGMENTS));
    }
}
