package mosspebble.files;

import java.awt.Shape;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;

/** Curves from files and fonts as the polygons and lines that the core works with; never more points than told. */
final class Outlines {

    /** Most points of one shape. */
    static final int MOST_POINTS = 20_000;

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private Outlines() {}

    /**
     * The filled area of a shape by its own winding rule.
     *
     * @param flatness largest distance of the polygon from the curve
     * @throws Intricacy.TooIntricate if it has too many points or crosses itself too often
     */
    static Geometry area(Shape shape, double flatness) {
        PathIterator path = shape.getPathIterator(null, flatness);
        boolean evenOdd = path.getWindingRule() == PathIterator.WIND_EVEN_ODD;
        List<Coordinate[]> rings = new ArrayList<>();
        for (List<Coordinate> line : flattened(path)) {
            if (!line.get(0).equals2D(line.get(line.size() - 1))) {
                line.add(line.get(0).copy());
            }
            if (line.size() >= 4) {
                rings.add(line.toArray(new Coordinate[0]));
            }
        }
        return Winding.area(rings, evenOdd);
    }

    /** The strokes of a shape as lines. */
    static Geometry lines(Shape shape, double flatness) {
        List<LineString> lines = new ArrayList<>();
        for (List<Coordinate> line : flattened(shape.getPathIterator(null, flatness))) {
            if (line.size() > 1) {
                lines.add(FACTORY.createLineString(line.toArray(new Coordinate[0])));
            }
        }
        return FACTORY.createMultiLineString(lines.toArray(new LineString[0]));
    }

    private static List<List<Coordinate>> flattened(PathIterator path) {
        List<List<Coordinate>> lines = new ArrayList<>();
        List<Coordinate> line = new ArrayList<>();
        double[] at = new double[6];
        int points = 0;
        for (; !path.isDone(); path.next()) {
            int kind = path.currentSegment(at);
            if (kind == PathIterator.SEG_MOVETO || kind == PathIterator.SEG_CLOSE) {
                Coordinate begin = line.isEmpty() ? null : line.get(0);
                if (kind == PathIterator.SEG_CLOSE && begin != null && !begin.equals2D(line.get(line.size() - 1))) {
                    line.add(begin.copy());
                }
                if (!line.isEmpty()) {
                    lines.add(line);
                }
                line = new ArrayList<>();
                if (kind == PathIterator.SEG_CLOSE) {
                    if (begin != null) {
                        line.add(begin.copy()); // a path may go on from where it was closed
                    }
                    continue;
                }
            }
            if (!Double.isFinite(at[0]) || !Double.isFinite(at[1])) {
                throw new Intricacy.TooIntricate("A point of it lies beyond any number.");
            }
            Coordinate next = new Coordinate(at[0], at[1]);
            if (line.isEmpty() || !line.get(line.size() - 1).equals2D(next)) {
                line.add(next);
                points++;
            }
            if (points > MOST_POINTS) {
                throw new Intricacy.TooIntricate("It has more than " + MOST_POINTS + " points.");
            }
        }
        if (!line.isEmpty()) {
            lines.add(line);
        }
        lines.removeIf(l -> l.size() < 2);
        return lines;
    }
}
