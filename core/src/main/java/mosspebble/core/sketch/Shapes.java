package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.geom.util.PolygonExtracter;

/** Areas combined, always valid and always polygons: what painting needs of JTS. */
public final class Shapes {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final int ROUND = 4;

    private Shapes() {}

    public static Geometry nothing() {
        return FACTORY.createPolygon();
    }

    public static Geometry union(List<Geometry> areas) {
        if (areas.isEmpty()) {
            return nothing();
        }
        return areas.size() == 1 ? areas.get(0) : polygons(OverlayNGRobust.union(areas));
    }

    /** Two areas together. */
    public static Geometry union(Geometry one, Geometry other) {
        return one.isEmpty() ? other : other.isEmpty() ? one : polygons(OverlayNGRobust.overlay(one, other, OverlayNG.UNION));
    }

    public static Geometry minus(Geometry area, Geometry cut) {
        return area.isEmpty() || cut.isEmpty() || !area.getEnvelopeInternal().intersects(cut.getEnvelopeInternal())
                ? area : polygons(OverlayNGRobust.overlay(area, cut, OverlayNG.DIFFERENCE));
    }

    public static Geometry common(Geometry area, Geometry other) {
        return area.isEmpty() || other.isEmpty() || !area.getEnvelopeInternal().intersects(other.getEnvelopeInternal())
                ? nothing() : polygons(OverlayNGRobust.overlay(area, other, OverlayNG.INTERSECTION));
    }

    /** Grown outward by so many mm, or inward if negative. */
    public static Geometry grown(Geometry area, double mm) {
        return mm == 0 ? area : polygons(BufferOp.bufferOp(area, mm, new BufferParameters(ROUND)));
    }

    /** A line as broad as a nib, round at its ends. */
    public static Geometry stroke(Geometry line, double nibMm) {
        return polygons(BufferOp.bufferOp(line, nibMm / 2, new BufferParameters(ROUND)));
    }

    /** What is area of any geometry. */
    public static Geometry polygons(Geometry any) {
        if (any instanceof Polygon || any.getNumGeometries() > 0 && any.getGeometryType().equals("MultiPolygon")) {
            return any;
        }
        List<Polygon> found = new ArrayList<>();
        for (Object polygon : PolygonExtracter.getPolygons(any)) {
            found.add((Polygon) polygon);
        }
        return found.isEmpty() ? nothing() : FACTORY.createMultiPolygon(found.toArray(new Polygon[0]));
    }
}
