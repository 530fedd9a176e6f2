package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.geom.util.LinearComponentExtracter;
import org.locationtech.jts.operation.distance.DistanceOp;

/** The pencil lines of a guide on a stone, and what snaps to them. */
public final class Guides {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final int ROUND = 96;

    private Guides() {}

    /** The lines, mm, within face and shoulder; may be empty if there is no room. */
    public static Geometry lines(Subject.Guide guide, Item item, Support bed) {
        List<Geometry> lines = new ArrayList<>();
        Geometry room = bed.zones().paintable();
        Envelope box = room.getEnvelopeInternal();
        switch (guide.kind()) {
            case CENTRE -> centre(box, guide.mm(), lines);
            case BOUNDARY -> {
                for (int i = 1; i <= guide.count(); i++) {
                    Geometry inner = Shapes.grown(bed.zones().face(), -guide.mm() * i);
                    if (!inner.isEmpty()) {
                        lines.add(inner.getBoundary());
                    }
                }
            }
            case THIRDS -> {
                for (int i = 1; i < guide.count(); i++) {
                    lines.add(arch(box, box.getMinY() + box.getHeight() * i / guide.count(), guide.mm()));
                }
            }
            case LINES -> {
                double far = Math.hypot(box.getWidth(), box.getHeight());
                for (int i = 0; i < guide.count(); i++) {
                    double y = (i - (guide.count() - 1) / 2.0) * guide.mm();
                    lines.add(line(-far, y, far, y));
                }
            }
            case BOXES -> boxes(guide, item.placement().scale(), lines);
            case RINGS -> {
                for (int i = 1; i <= guide.count(); i++) {
                    lines.add(circle(guide.mm() * i));
                }
            }
            case SPOKES -> spokes(guide.count(), 0, guide.mm(), lines);
            case POLYGON -> lines.add(polygon(guide.count(), guide.mm()));
            case ROWS -> rows(guide, box, lines);
            case SPIRAL -> lines.add(spiral(guide.count(), guide.mm()));
            case MAT -> {
                double far = Math.hypot(box.getWidth(), box.getHeight()) / 2;
                for (double r = guide.mm(); r < far; r += guide.mm()) {
                    lines.add(circle(r));
                }
                spokes(guide.count(), guide.mm(), far, lines);
            }
        }
        Geometry all = FACTORY.buildGeometry(lines);
        if (!guide.kind().wholeStone()) {
            Placement at = item.placement();
            all = new AffineTransformation().rotate(Math.toRadians(at.turn())).translate(at.x(), at.y()).transform(all);
        }
        Geometry inside = all.isEmpty() ? all : Shapes.inside(all, room);
        return guide.toEye() && !inside.isEmpty() ? Shapes.inside(EyeWarp.straightened(inside, bed), room) : inside;
    }

    private static void centre(Envelope box, double every, List<Geometry> lines) {
        double x = box.centre().x;
        double y = box.centre().y;
        lines.add(line(x, box.getMinY(), x, box.getMaxY()));
        lines.add(line(box.getMinX(), y, box.getMaxX(), y));
        for (double d = every; d < Math.max(box.getWidth(), box.getHeight()) / 2; d += every) {
            for (int side = -1; side <= 1; side += 2) {
                lines.add(line(x + side * d, y - 1, x + side * d, y + 1));
                lines.add(line(x - 1, y + side * d, x + 1, y + side * d));
            }
        }
    }

    private static LineString arch(Envelope box, double y, double rise) {
        Coordinate[] points = new Coordinate[33];
        for (int i = 0; i <= 32; i++) {
            double t = i / 16.0 - 1;
            points[i] = new Coordinate(box.centre().x + t * box.getWidth() / 2, y - rise * (1 - t * t));
        }
        return FACTORY.createLineString(points);
    }

    /** Equal boxes, half to each side of the middle line; with an odd count the middle box sits on it. */
    private static void boxes(Subject.Guide guide, double high, List<Geometry> lines) {
        double left = -guide.count() * guide.mm() / 2;
        lines.add(line(left, -high / 2, -left, -high / 2));
        lines.add(line(left, high / 2, -left, high / 2));
        for (int i = 0; i <= guide.count(); i++) {
            lines.add(line(left + i * guide.mm(), -high / 2, left + i * guide.mm(), high / 2));
        }
    }

    private static void spokes(int count, double from, double to, List<Geometry> lines) {
        for (int i = 0; i < count; i++) {
            double angle = 2 * Math.PI * i / count - Math.PI / 2;
            lines.add(line(from * Math.cos(angle), from * Math.sin(angle), to * Math.cos(angle), to * Math.sin(angle)));
        }
    }

    private static LineString circle(double radius) {
        return polygon(ROUND, radius);
    }

    /** A regular polygon, one corner on top. */
    static LineString polygon(int corners, double radius) {
        int n = Math.max(3, corners);
        Coordinate[] points = new Coordinate[n + 1];
        for (int i = 0; i <= n; i++) {
            double angle = 2 * Math.PI * (i % n) / n - Math.PI / 2;
            points[i] = new Coordinate(radius * Math.cos(angle), radius * Math.sin(angle));
        }
        return FACTORY.createLineString(points);
    }

    /** An Archimedean spiral, {@code r = mm t / (2 pi)}. */
    static LineString spiral(int turns, double mm) {
        int steps = turns * 48;
        Coordinate[] points = new Coordinate[steps + 1];
        for (int i = 0; i <= steps; i++) {
            double angle = 2 * Math.PI * i / 48;
            double r = mm * i / 48;
            points[i] = new Coordinate(r * Math.cos(angle - Math.PI / 2), r * Math.sin(angle - Math.PI / 2));
        }
        return FACTORY.createLineString(points);
    }

    /** Ticks in rows, each under the gap of the row above. */
    private static void rows(Subject.Guide guide, Envelope box, List<Geometry> lines) {
        double apart = guide.mm();
        int across = (int) Math.ceil(box.getWidth() / apart) + 1;
        for (int row = 0; row < guide.count(); row++) {
            double y = (row - (guide.count() - 1) / 2.0) * apart;
            for (int i = -across; i <= across; i++) {
                double x = (i + row % 2 / 2.0) * apart;
                lines.add(line(x, y - apart * 0.18, x, y + apart * 0.18));
            }
        }
    }

    private static LineString line(double x0, double y0, double x1, double y1) {
        return FACTORY.createLineString(new Coordinate[] {new Coordinate(x0, y0), new Coordinate(x1, y1)});
    }

    /**
     * Where a thing's middle goes that is moved near a guide: the nearest crossing or end of guide lines within reach, else the nearest
     * place on a line; empty if none is near.
     *
     * @param guides lines, mm
     */
    public static Optional<Coordinate> snapped(List<Geometry> guides, double x, double y, double reachMm) {
        Geometry here = FACTORY.createPoint(new Coordinate(x, y));
        List<LineString> near = new ArrayList<>();
        for (Geometry guide : guides) {
            for (Object line : LinearComponentExtracter.getLines(guide)) {
                LineString one = (LineString) line;
                if (one.isWithinDistance(here, reachMm)) {
                    near.add(one);
                }
            }
        }
        Coordinate best = null;
        for (int i = 0; i < near.size(); i++) {
            for (int k = i + 1; k < near.size(); k++) {
                for (Coordinate crossing : near.get(i).intersection(near.get(k)).getCoordinates()) {
                    if (crossing.distance(here.getCoordinate()) <= reachMm
                            && (best == null || crossing.distance(here.getCoordinate()) < best.distance(here.getCoordinate()))) {
                        best = crossing;
                    }
                }
            }
        }
        if (best != null) {
            return Optional.of(best);
        }
        return near.stream().map(line -> DistanceOp.nearestPoints(line, here)[0])
                .min((a, b) -> Double.compare(a.distance(here.getCoordinate()), b.distance(here.getCoordinate())));
    }
}
