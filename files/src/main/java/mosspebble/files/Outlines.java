package mosspebble.files;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;
import mosspebble.core.sketch.Shapes;
import org.locationtech.jts.awt.ShapeReader;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.GeometryFixer;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/** Curves from files and fonts as the polygons and lines that the core works with. */
final class Outlines {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private Outlines() {}

    /**
     * The filled area of a shape. Rings are folded by symmetric difference after {@link Area} has resolved winding, which is right for letters with holes as well as for
     * overlapping contours.
     *
     * @param flatness largest distance of the polygon from the curve
     */
    static Geometry area(Shape shape, double flatness) {
        Geometry area = FACTORY.createPolygon();
        for (Object points : ShapeReader.toCoordinates(new Area(shape).getPathIterator(null, flatness))) {
            Coordinate[] ring = (Coordinate[]) points;
            if (ring.length >= 4) {
                Geometry part = FACTORY.createPolygon(ring);
                area = OverlayNGRobust.overlay(area, part.isValid() ? part : GeometryFixer.fix(part), OverlayNG.SYMDIFFERENCE);
            }
        }
        return Shapes.polygons(area);
    }

    /** The strokes of a shape as lines. */
    static Geometry lines(Shape shape, double flatness) {
        List<LineString> lines = new ArrayList<>();
        List<Coordinate> points = new ArrayList<>();
        double[] at = new double[6];
        for (PathIterator path = shape.getPathIterator(new AffineTransform(), flatness); !path.isDone(); path.next()) {
            int kind = path.currentSegment(at);
            if (kind == PathIterator.SEG_MOVETO) {
                close(points, lines);
            }
            points.add(kind == PathIterator.SEG_CLOSE ? points.get(0).copy() : new Coordinate(at[0], at[1]));
        }
        close(points, lines);
        return FACTORY.createMultiLineString(lines.toArray(new LineString[0]));
    }

    private static void close(List<Coordinate> points, List<LineString> lines) {
        if (points.size() > 1) {
            lines.add(FACTORY.createLineString(points.toArray(new Coordinate[0])));
        }
        points.clear();
    }
}
