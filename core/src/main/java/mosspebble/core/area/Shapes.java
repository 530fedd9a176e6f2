package mosspebble.core.area;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.geom.util.LinearComponentExtracter;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.geom.util.PolygonExtracter;

/** Areas combined, always valid and always polygons: what painting needs of JTS. */
public final class Shapes {

    /** From so many on, what is cut away is put together first. */
    private static final int MANY = 6;

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
        if (areas.size() == 1) {
            return areas.get(0);
        }
        List<List<Geometry>> near = near(areas);
        if (near.size() == 1) {
            return polygons(OverlayNGRobust.union(areas));
        }
        return apart(near.stream().map(group -> group.size() == 1 ? group.get(0) : OverlayNGRobust.union(group)).toList());
    }

    /** Areas that do not meet, as one: they need no joining. */
    static Geometry apart(List<Geometry> areas) {
        List<Polygon> all = new ArrayList<>();
        for (Geometry area : areas) {
            for (Object polygon : PolygonExtracter.getPolygons(area)) {
                all.add((Polygon) polygon);
            }
        }
        return all.isEmpty() ? nothing() : FACTORY.createMultiPolygon(all.toArray(new Polygon[0]));
    }

    /** Areas in groups whose boxes touch one another, by a sweep from the left. */
    static List<List<Geometry>> near(List<Geometry> areas) {
        List<Geometry> fromLeft = new ArrayList<>(areas.stream().filter(a -> !a.isEmpty()).toList());
        fromLeft.sort(Comparator.comparingDouble(a -> a.getEnvelopeInternal().getMinX()));
        List<List<Geometry>> groups = new ArrayList<>();
        for (Geometry area : fromLeft) {
            List<Geometry> own = new ArrayList<>(List.of(area));
            for (int i = groups.size() - 1; i >= 0; i--) {
                if (groups.get(i).stream().anyMatch(g -> g.getEnvelopeInternal().intersects(area.getEnvelopeInternal()))) {
                    own.addAll(groups.remove(i));
                }
            }
            groups.add(own);
        }
        return groups;
    }

    /** Two areas together. */
    public static Geometry union(Geometry one, Geometry other) {
        return one.isEmpty() ? other : other.isEmpty() ? one : polygons(OverlayNGRobust.overlay(one, other, OverlayNG.UNION));
    }

    public static Geometry minus(Geometry area, Geometry cut) {
        return area.isEmpty() || cut.isEmpty() || !area.getEnvelopeInternal().intersects(cut.getEnvelopeInternal())
                ? area : polygons(OverlayNGRobust.overlay(area, cut, OverlayNG.DIFFERENCE));
    }

    /** An area less several others. */
    public static Geometry minus(Geometry area, List<Geometry> cuts) {
        if (area.isEmpty()) {
            return area;
        }
        List<Geometry> near = cuts.stream().filter(c -> c.getEnvelopeInternal().intersects(area.getEnvelopeInternal())).toList();
        if (near.size() >= MANY) {
            return minus(area, union(near)); // one large overlay instead of many
        }
        Geometry left = area;
        for (Geometry cut : near) {
            if (left.isEmpty()) {
                return left;
            }
            left = minus(left, cut);
        }
        return left;
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

    /** What an area covers while it is moved straight by so much: its edges swept, and itself at both ends. */
    public static Geometry swept(Geometry area, double dx, double dy) {
        List<Geometry> all = new ArrayList<>(List.of(area, AffineTransformation.translationInstance(dx, dy).transform(area)));
        for (Object line : LinearComponentExtracter.getLines(area)) {
            Coordinate[] c = ((LineString) line).getCoordinates();
            for (int i = 1; i < c.length; i++) {
                Geometry side = swept(c[i - 1], c[i], dx, dy);
                if (side.getArea() > 1e-12) {
                    all.add(side);
                }
            }
        }
        return union(all);
    }

    public static Geometry swept(Coordinate a, Coordinate b, double dx, double dy) {
        return FACTORY.createPolygon(
                new Coordinate[] {a.copy(), b.copy(), new Coordinate(b.x + dx, b.y + dy), new Coordinate(a.x + dx, a.y + dy), a.copy()});
    }

    /** The polygon of the largest area; empty if there is none. */
    public static Optional<Polygon> largest(Geometry shape) {
        Polygon largest = null;
        for (int i = 0; i < shape.getNumGeometries(); i++) {
            if (shape.getGeometryN(i) instanceof Polygon p && !p.isEmpty() && (largest == null || p.getArea() > largest.getArea())) {
                largest = p;
            }
        }
        return Optional.ofNullable(largest);
    }

    /** The outer edge of the largest polygon, if it is large enough to run anything along it. */
    public static Optional<LinearRing> ring(Geometry area) {
        return largest(area).filter(p -> p.getArea() > 20).map(Polygon::getExteriorRing);
    }

    /** Part of a line, or of an area, that lies outside an area. */
    public static Geometry outside(Geometry line, Geometry area) {
        return area.isEmpty() || line.isEmpty() || !line.getEnvelopeInternal().intersects(area.getEnvelopeInternal()) ? line
                : OverlayNGRobust.overlay(line, area, OverlayNG.DIFFERENCE);
    }

    /** Part of a line that lies inside an area. */
    public static Geometry inside(Geometry line, Geometry area) {
        return OverlayNGRobust.overlay(line, area, OverlayNG.INTERSECTION);
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
