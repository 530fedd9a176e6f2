package mosspebble.core.sketch.family;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.area.Shapes;
import mosspebble.core.sketch.Presence;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;

/** Collects the parts of a motif, the deepest first; a part cut away to nothing is left out. */
final class Drawing {

    static final GeometryFactory FACTORY = new GeometryFactory();

    private final String id;
    private final String title;
    private final Map<String, Slot> slots = new LinkedHashMap<>();
    private final List<MotifPart> parts = new ArrayList<>();
    private Geometry clip;
    private Geometry silhouette;
    private boolean wears;
    private boolean prefersWearing;

    Drawing(String id, String title) {
        this.id = id;
        this.title = title;
    }

    Drawing slot(String slot, String name, String hex) {
        slots.put(slot, new Slot(slot, name, Srgb.ofHex(hex)));
        return this;
    }

    /** Everything from here on is cut at an edge, which is what becomes the stone's outline. */
    Drawing within(Geometry edge, boolean preferred) {
        clip = edge;
        silhouette = edge;
        wears = true;
        prefersWearing = preferred;
        return this;
    }

    /** Adds a part, cut at the edge if there is one. */
    private void add(String name, Role role, String slot, Geometry shape, double penMm, double roundness, boolean outlined) {
        Geometry cut = clip == null ? shape : role == Role.LINE || shape.getDimension() < 2 ? shape.intersection(clip)
                : Shapes.common(shape, clip);
        boolean lost = cut.isEmpty() || shape.getDimension() == 2 && cut.getArea() < 1e-9;
        if (!lost) {
            String part = name.replace(' ', '-');
            String unique = part;
            for (int k = 2; contains(unique); k++) {
                unique = part + "-" + k;
            }
            parts.add(new MotifPart(unique, name, role, slot, cut, new MotifPart.Make(penMm, roundness, outlined, Presence.ALWAYS),
                    Optional.empty()));
        }
    }

    private boolean contains(String part) {
        return parts.stream().anyMatch(p -> p.id().equals(part));
    }

    Drawing fill(String name, String slot, Geometry shape, double roundness, boolean outlined) {
        add(name, Role.FILL, slot, shape, 0, roundness, outlined);
        return this;
    }

    Drawing line(String name, String slot, Geometry shape, double penMm) {
        add(name, Role.LINE, slot, shape, penMm, 0, false);
        return this;
    }

    Drawing light(String name, String slot, Geometry shape) {
        add(name, Role.HIGHLIGHT, slot, shape, 0, 0, false);
        return this;
    }

    Motif motif() {
        List<Geometry> areas = parts.stream().filter(p -> p.isArea() && p.role() == Role.FILL).map(MotifPart::shape).toList();
        Geometry all = areas.isEmpty() ? FACTORY.buildGeometry(parts.stream().map(MotifPart::shape).toList()).buffer(0.05)
                : Shapes.union(areas);
        Geometry outer = silhouette == null ? all : silhouette;
        List<Slot> used = slots.values().stream().filter(s -> parts.stream().anyMatch(p -> p.slot().equals(s.id()))).toList();
        return new Motif(id, title, used, parts, outer, outer, wears, prefersWearing);
    }

    // --- shapes

    static Coordinate at(double x, double y) {
        return new Coordinate(x, y);
    }

    static Coordinate polar(double degrees, double radius) {
        return at(radius * Math.cos(Math.toRadians(degrees)), radius * Math.sin(Math.toRadians(degrees)));
    }

    static Geometry area(List<Coordinate> points) {
        List<Coordinate> ring = new ArrayList<>(points);
        ring.add(points.get(0).copy());
        Polygon polygon = FACTORY.createPolygon(ring.toArray(new Coordinate[0]));
        return polygon.isValid() ? polygon : Shapes.grown(polygon, 1e-9);
    }

    static Geometry area(double... xy) {
        return area(points(xy));
    }

    static LineString path(double... xy) {
        return path(points(xy));
    }

    static LineString path(List<Coordinate> points) {
        return FACTORY.createLineString(points.toArray(new Coordinate[0]));
    }

    static List<Coordinate> points(double... xy) {
        List<Coordinate> points = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            points.add(at(xy[i], xy[i + 1]));
        }
        return points;
    }

    static Geometry lines(List<? extends Geometry> lines) {
        return FACTORY.buildGeometry(lines);
    }

    static Geometry disc(double x, double y, double radius) {
        return oval(x, y, radius, radius, 0);
    }

    static Geometry oval(double x, double y, double rx, double ry, double degrees) {
        List<Coordinate> points = new ArrayList<>();
        double c = Math.cos(Math.toRadians(degrees));
        double s = Math.sin(Math.toRadians(degrees));
        for (int i = 0; i < 48; i++) {
            double angle = 2 * Math.PI * i / 48;
            double px = rx * Math.cos(angle);
            double py = ry * Math.sin(angle);
            points.add(at(x + px * c - py * s, y + px * s + py * c));
        }
        return area(points);
    }

    /** A cubic curve in 16 pieces, without its first point. */
    static List<Coordinate> curve(Coordinate a, Coordinate b, Coordinate c, Coordinate d) {
        List<Coordinate> points = new ArrayList<>();
        for (int i = 1; i <= 16; i++) {
            double t = i / 16.0;
            double u = 1 - t;
            points.add(at(u * u * u * a.x + 3 * u * u * t * b.x + 3 * u * t * t * c.x + t * t * t * d.x,
                    u * u * u * a.y + 3 * u * u * t * b.y + 3 * u * t * t * c.y + t * t * t * d.y));
        }
        return points;
    }

    /** A leaf-like shape from foot to tip: widest at a share of its length, pointed at both ends. */
    static Geometry blade(Coordinate foot, Coordinate tip, double width, double widest) {
        List<Coordinate> points = new ArrayList<>();
        points.add(foot);
        points.addAll(side(foot, tip, width / 2, widest));
        List<Coordinate> back = side(foot, tip, -width / 2, widest);
        for (int i = back.size() - 2; i >= 0; i--) {
            points.add(back.get(i));
        }
        return area(points);
    }

    private static List<Coordinate> side(Coordinate foot, Coordinate tip, double half, double widest) {
        double length = Math.max(1e-9, foot.distance(tip));
        double ux = (tip.x - foot.x) / length;
        double uy = (tip.y - foot.y) / length;
        List<Coordinate> points = new ArrayList<>();
        for (int i = 1; i <= 22; i++) {
            double t = (1 - Math.cos(Math.PI * i / 22)) / 2; // closer together toward both ends
            double w = half * swell(t, widest);
            points.add(at(foot.x + ux * t * length - uy * w, foot.y + uy * t * length + ux * w));
        }
        return points;
    }

    /** 0 at both ends, 1 at the widest place, smooth. */
    static double swell(double t, double widest) {
        double p = Math.log(0.5) / Math.log(widest);
        return Math.sin(Math.PI * Math.pow(t, p));
    }

    /** A band along a line: so wide at its start, so wide at its end. */
    static Geometry tapered(List<Coordinate> line, double from, double to) {
        List<Coordinate> left = new ArrayList<>();
        List<Coordinate> right = new ArrayList<>();
        for (int i = 0; i < line.size(); i++) {
            Coordinate a = line.get(Math.max(0, i - 1));
            Coordinate b = line.get(Math.min(line.size() - 1, i + 1));
            double length = Math.max(1e-9, a.distance(b));
            double half = (from + (to - from) * i / (line.size() - 1.0)) / 2;
            double nx = -(b.y - a.y) / length * half;
            double ny = (b.x - a.x) / length * half;
            left.add(at(line.get(i).x + nx, line.get(i).y + ny));
            right.add(0, at(line.get(i).x - nx, line.get(i).y - ny));
        }
        left.addAll(right);
        return area(left);
    }

    static Geometry star(double x, double y, double radius, int points, double inner, double degrees) {
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i < 2 * points; i++) {
            double angle = Math.toRadians(degrees - 90) + Math.PI * i / points;
            double r = i % 2 == 0 ? radius : inner * radius;
            ring.add(at(x + r * Math.cos(angle), y + r * Math.sin(angle)));
        }
        return area(ring);
    }

    /** The circle that stands for the stone. */
    static Geometry whole() {
        List<Coordinate> points = new ArrayList<>();
        for (int i = 0; i < 144; i++) {
            points.add(polar(i * 2.5, 1));
        }
        return area(points);
    }
}
