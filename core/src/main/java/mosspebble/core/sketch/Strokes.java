package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Shapes;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.linearref.LengthIndexedLine;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;

/**
 * Pencil strokes drawn by hand. What the hand drew is thinned to the points that matter (Douglas and Peucker, Cartographica 10, 112, 1973)
 * and joined again by a centripetal Catmull-Rom spline (Yuksel
 * et al., Computer-Aided Design 43, 747, 2011), which passes through every point and never loops between two.
 */
public final class Strokes {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Slot SLOT = new Slot("stroke", "Drawn by hand", Srgb.ofHex("#3b342c"));

    /** Tremor of a hand with a pencil, mm (common practice, no source). */
    private static final double TREMOR_MM = 0.35;

    /** Ends nearer than this share of the length are meant to meet. */
    private static final double MEETS = 0.12;

    private static final int BETWEEN = 8;

    private Strokes() {}

    /** A stroke as placed: its middle at the placement, 1 unit = 1 mm. */
    public record Placed(Subject.Stroke stroke, Placement placement) {}

    /**
     * Makes a stroke of what the hand drew.
     *
     * @param drawn places passed, mm on the stone
     * @return empty if it is shorter than 2 mm
     */
    public static Optional<Placed> drawn(List<Coordinate> drawn, Subject.Becomes becomes, double penMm) {
        if (drawn.size() < 2) {
            return Optional.empty();
        }
        LineString raw = FACTORY.createLineString(drawn.toArray(new Coordinate[0]));
        if (raw.getLength() < 2) {
            return Optional.empty();
        }
        boolean closed = becomes == Subject.Becomes.AREA
                || drawn.get(0).distance(drawn.get(drawn.size() - 1)) < MEETS * raw.getLength() && raw.getLength() > 12;
        double tolerance = TREMOR_MM;
        Coordinate[] kept = DouglasPeuckerSimplifier.simplify(raw, tolerance).getCoordinates();
        while (kept.length > Subject.Stroke.MOST_POINTS) {
            tolerance *= 1.5;
            kept = DouglasPeuckerSimplifier.simplify(raw, tolerance).getCoordinates();
        }
        int count = closed && kept.length > 3 && kept[0].distance(kept[kept.length - 1]) < MEETS * raw.getLength() ? kept.length - 1
                : kept.length;
        if (closed && count < 3) {
            return Optional.empty();
        }
        Coordinate middle = raw.getEnvelopeInternal().centre();
        List<Double> points = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            points.add(kept[i].x - middle.x);
            points.add(kept[i].y - middle.y);
        }
        Subject.Stroke stroke = new Subject.Stroke(points, closed, becomes, penMm);
        Coordinate own = middle(stroke);
        return Optional.of(new Placed(stroke, new Placement(middle.x + own.x, middle.y + own.y, 0, 1)));
    }

    /** The middle that a placement refers to, units of the stroke. */
    public static Coordinate middle(Subject.Stroke stroke) {
        return LargestFit.middle(motif(stroke).sitting());
    }

    /** The points, units of the placement. */
    public static List<Coordinate> points(Subject.Stroke stroke) {
        List<Coordinate> points = new ArrayList<>();
        for (int i = 0; i < stroke.points().size(); i += 2) {
            points.add(new Coordinate(stroke.points().get(i), stroke.points().get(i + 1)));
        }
        return points;
    }

    /** The stroke with one point elsewhere. */
    public static Subject.Stroke moved(Subject.Stroke stroke, int point, double x, double y) {
        List<Double> points = new ArrayList<>(stroke.points());
        points.set(2 * point, x);
        points.set(2 * point + 1, y);
        return new Subject.Stroke(points, stroke.closed(), stroke.becomes(), stroke.penMm());
    }

    /** Without one point; the stroke itself if it has none to spare. */
    public static Subject.Stroke without(Subject.Stroke stroke, int point) {
        if (stroke.points().size() <= (stroke.closed() ? 6 : 4)) {
            return stroke;
        }
        List<Double> points = new ArrayList<>(stroke.points());
        points.remove(2 * point + 1);
        points.remove(2 * point);
        return new Subject.Stroke(points, stroke.closed(), stroke.becomes(), stroke.penMm());
    }

    /** With a point more, half-way after this one. */
    public static Subject.Stroke plus(Subject.Stroke stroke, int after) {
        List<Coordinate> all = points(stroke);
        if (all.size() >= Subject.Stroke.MOST_POINTS || !stroke.closed() && after == all.size() - 1) {
            return stroke;
        }
        Coordinate[] spline = spline(all, stroke.closed());
        Coordinate half = spline[after * BETWEEN + BETWEEN / 2];
        List<Double> points = new ArrayList<>(stroke.points());
        points.add(2 * after + 2, half.x);
        points.add(2 * after + 3, half.y);
        return new Subject.Stroke(points, stroke.closed(), stroke.becomes(), stroke.penMm());
    }

    static Motif motif(Subject.Stroke stroke) {
        LineString line = FACTORY.createLineString(spline(points(stroke), stroke.closed()));
        Geometry shape = switch (stroke.becomes()) {
            case AREA -> area(line);
            case LINE, GUIDE -> line;
            case DOTS -> dots(line, stroke);
        };
        Role role = stroke.becomes() == Subject.Becomes.GUIDE ? Role.GUIDE : stroke.becomes() == Subject.Becomes.LINE ? Role.LINE
                : Role.FILL;
        boolean area = stroke.becomes() == Subject.Becomes.AREA;
        MotifPart part = new MotifPart("stroke", switch (stroke.becomes()) {
            case AREA -> "area drawn by hand";
            case LINE -> "line drawn by hand";
            case DOTS -> "dots drawn by hand";
            case GUIDE -> "guide drawn by hand";
        }, role, SLOT.id(), shape, new MotifPart.Make(area || stroke.becomes() == Subject.Becomes.DOTS ? 0 : stroke.penMm(), area ? 0.3 : 0,
                area, Presence.ALWAYS), Optional.empty());
        Geometry sitting = shape.getDimension() == 2 ? shape : line.buffer(stroke.penMm() / 2);
        return new Motif("stroke", "Pencil stroke", List.of(SLOT), List.of(part), sitting, sitting, false, false);
    }

    private static Geometry area(LineString line) {
        Coordinate[] ring = line.getCoordinates();
        Geometry polygon = FACTORY.createPolygon(ring);
        return polygon.isValid() ? polygon : Shapes.grown(polygon, 1e-6);
    }

    /** Equal dots along the line, one on each end, half a dot of gap or a little more. */
    private static Geometry dots(LineString line, Subject.Stroke stroke) {
        double d = stroke.penMm();
        int steps = Math.max(1, (int) Math.floor(line.getLength() / (1.5 * d)));
        LengthIndexedLine along = new LengthIndexedLine(line);
        List<Geometry> dots = new ArrayList<>();
        for (int i = 0; i < steps + (stroke.closed() ? 0 : 1) && i < DotRing.MOST; i++) {
            dots.add(DotRing.disc(FACTORY, along.extractPoint(line.getLength() * i / steps), d / 2));
        }
        return Shapes.union(dots);
    }

    /** The spline through the points, {@link #BETWEEN} pieces from one to the next. */
    static Coordinate[] spline(List<Coordinate> points, boolean closed) {
        int n = points.size();
        int spans = closed ? n : n - 1;
        List<Coordinate> curve = new ArrayList<>();
        for (int i = 0; i < spans; i++) {
            Coordinate p1 = points.get(i);
            Coordinate p2 = points.get((i + 1) % n);
            Coordinate p0 = closed ? points.get((i + n - 1) % n) : i > 0 ? points.get(i - 1) : beyond(p1, p2);
            Coordinate p3 = closed ? points.get((i + 2) % n) : i + 2 < n ? points.get(i + 2) : beyond(p2, p1);
            for (int k = 0; k < BETWEEN; k++) {
                curve.add(between(p0, p1, p2, p3, (double) k / BETWEEN));
            }
        }
        // the very same place: a ring that ends a rounding error beside its start is none
        curve.add(closed ? curve.get(0).copy() : points.get(n - 1).copy());
        return curve.toArray(new Coordinate[0]);
    }

    private static Coordinate beyond(Coordinate end, Coordinate before) {
        return new Coordinate(2 * end.x - before.x, 2 * end.y - before.y);
    }

    /** Barry and Goldman's pyramid with knots at the square root of the chords. */
    private static Coordinate between(Coordinate p0, Coordinate p1, Coordinate p2, Coordinate p3, double share) {
        double t1 = Math.sqrt(Math.max(1e-9, p0.distance(p1)));
        double t2 = t1 + Math.sqrt(Math.max(1e-9, p1.distance(p2)));
        double t3 = t2 + Math.sqrt(Math.max(1e-9, p2.distance(p3)));
        double t = t1 + share * (t2 - t1);
        Coordinate a1 = mix(p0, p1, 0, t1, t);
        Coordinate a2 = mix(p1, p2, t1, t2, t);
        Coordinate a3 = mix(p2, p3, t2, t3, t);
        return mix(mix(a1, a2, 0, t2, t), mix(a2, a3, t1, t3, t), t1, t2, t);
    }

    private static Coordinate mix(Coordinate a, Coordinate b, double ta, double tb, double t) {
        double f = (t - ta) / (tb - ta);
        return new Coordinate(a.x + f * (b.x - a.x), a.y + f * (b.y - a.y));
    }
}
