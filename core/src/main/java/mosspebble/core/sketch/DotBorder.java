package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.area.Shapes;
import mosspebble.core.units.Bisection;
import mosspebble.core.units.Numbers;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;

/**
 * A border of dots on a closed curve: equal, alternating, shrinking, walking or dragged, a second ring locked in step, lines to either
 * side. Gaps are even by chord, edge to edge.
 *
 * @param dots in order round the curve; those of the second kind after those of the first
 * @param gapMm from edge to edge of neighbours on the curve; below 0 they overlap
 * @param lines to either side, mm; empty without
 */
public record DotBorder(List<Dot> dots, double gapMm, List<Geometry> lines) {

    /**
     * @param kind 0 the dots, 1 the others: every other one, those that walk, or those of the second ring
     * @param shape what paint takes, mm
     */
    public record Dot(Coordinate centre, double diameterMm, int kind, Geometry shape) {}

    private static final GeometryFactory FACTORY = new GeometryFactory();

    /** Smallest dot that a tool sets, mm (common practice, no source). */
    private static final double SMALLEST = 0.3;

    /** Each dot of a walk is so much smaller than the one before (common practice, no source). */
    private static final double WALK = 0.8;

    /** A dragged dot's tail is so many diameters long (common practice, no source). */
    private static final double TAIL = 2.1;

    public DotBorder {
        dots = List.copyOf(dots);
        lines = List.copyOf(lines);
    }

    /** The border along a curve. */
    public static DotBorder of(LinearRing curve, Subject.Dots wanted) {
        List<Dot> dots = new ArrayList<>();
        double gap;
        if (wanted.series() == Subject.Series.SHRINKING) {
            gap = shrinking(new ChordWalk(curve), wanted, dots);
        } else {
            gap = even(curve, wanted, dots);
        }
        Coordinate middle = curve.getEnvelopeInternal().centre();
        List<Dot> more = new ArrayList<>();
        if (wanted.series() == Subject.Series.WALKING) {
            dots.forEach(dot -> walk(dot, middle, wanted.ratio(), more));
        }
        if (wanted.innerMm() > 0) {
            inStep(dots, wanted, middle, more);
        }
        dots.addAll(more);
        return new DotBorder(dots, gap, lines(curve, wanted));
    }

    private static double even(LinearRing curve, Subject.Dots wanted, List<Dot> dots) {
        boolean alternating = wanted.series() == Subject.Series.ALTERNATING;
        double small = Math.max(SMALLEST, wanted.diameterMm() * wanted.ratio());
        double step = alternating ? (wanted.diameterMm() + small) / 2 : wanted.diameterMm();
        boolean evenCount = alternating || wanted.twoColours();
        DotRing ring = wanted.count() > 0
                ? DotRing.count(curve, evenCount ? wanted.count() + wanted.count() % 2 : wanted.count(), step, wanted.dotOnTop())
                : DotRing.most(curve, step, wanted.gapMm(), wanted.dotOnTop());
        if (evenCount && ring.centres().size() % 2 == 1) {
            ring = DotRing.count(curve, Math.max(4, ring.centres().size() - 1), step, wanted.dotOnTop());
        }
        Coordinate middle = curve.getEnvelopeInternal().centre();
        for (int i = 0; i < ring.centres().size(); i++) {
            double diameter = alternating && i % 2 == 1 ? small : wanted.diameterMm();
            Coordinate at = ring.centres().get(i);
            Geometry shape = wanted.series() == Subject.Series.DRAGGED ? dragged(at, diameter, middle)
                    : DotRing.disc(FACTORY, at, diameter / 2);
            dots.add(new Dot(at, diameter, evenCount && i % 2 == 1 ? 1 : 0, shape));
        }
        return ring.gapMm();
    }

    /** From the largest at the top, smaller and smaller down both sides to {@code ratio} of it at the bottom; the gaps stay even. */
    private static double shrinking(ChordWalk walk, Subject.Dots wanted, List<Dot> dots) {
        ChordWalk.Reach size = s -> {
            double share = Math.abs(1 - 2 * (s % walk.length) / walk.length);
            return Math.max(SMALLEST, wanted.diameterMm() * (wanted.ratio() + (1 - wanted.ratio()) * share));
        };
        int count = wanted.count();
        if (count == 0) {
            double at = 0;
            while (at < walk.length && count < DotRing.MOST) {
                at = step(walk, size, at, wanted.gapMm());
                count++;
            }
            count = Math.max(3, at > walk.length + 1e-9 ? count - 1 : count);
        }
        int many = count;
        double gap = Bisection.of(-0.6 * wanted.diameterMm(), wanted.gapMm() + 4 * walk.length / count, 46, tried -> {
            double end = 0;
            for (int k = 0; k < many && end < 1.5 * walk.length; k++) {
                end = step(walk, size, end, tried);
            }
            return end < walk.length;
        }).middle();
        double at = 0;
        for (int k = 0; k < count; k++) {
            Coordinate centre = walk.at(at);
            dots.add(new Dot(centre, size.to(at), 0, DotRing.disc(FACTORY, centre, size.to(at) / 2)));
            at = step(walk, size, at, gap);
        }
        return gap;
    }

    private static double step(ChordWalk walk, ChordWalk.Reach size, double from, double gap) {
        double own = size.to(from);
        return walk.next(from, to -> Math.max(0.05, (own + size.to(Math.min(to, 2 * walk.length - 1e-9))) / 2 + gap));
    }

    /**
     * Small dots up and over a large one, outward: the first at the crown, the next ones down both sides, each smaller and touching its
     * neighbour and the large one. Centres follow from the law of cosines:
     * {@code cos t = (a^2 + b^2 - c^2) / (2 a b)}, a and b the distances of two neighbours from the large dot's centre, c their own.
     */
    private static void walk(Dot large, Coordinate middle, double ratio, List<Dot> more) {
        double out = Math.atan2(large.centre().y - middle.y, large.centre().x - middle.x);
        double diameter = Math.max(SMALLEST, large.diameterMm() * ratio);
        more.add(around(large, out, diameter));
        double angle = 0;
        while (diameter * WALK >= SMALLEST) {
            double next = diameter * WALK;
            double a = (large.diameterMm() + diameter) / 2;
            double b = (large.diameterMm() + next) / 2;
            double c = (diameter + next) / 2;
            angle += Math.acos(Math.max(-1, Math.min(1, (a * a + b * b - c * c) / (2 * a * b))));
            if (angle > Math.PI / 2) {
                return;
            }
            more.add(around(large, out + angle, next));
            more.add(around(large, out - angle, next));
            diameter = next;
        }
    }

    private static Dot around(Dot large, double angle, double diameter) {
        double far = (large.diameterMm() + diameter) / 2;
        Coordinate at = new Coordinate(large.centre().x + far * Math.cos(angle), large.centre().y + far * Math.sin(angle));
        return new Dot(at, diameter, 1, DotRing.disc(FACTORY, at, diameter / 2));
    }

    /** A second ring, one dot inside each gap: the two rings turn together. */
    private static void inStep(List<Dot> dots, Subject.Dots wanted, Coordinate middle, List<Dot> more) {
        double in = (wanted.diameterMm() + wanted.innerMm()) / 2 + wanted.gapMm() / 2;
        for (int i = 0; i < dots.size(); i++) {
            Coordinate a = dots.get(i).centre();
            Coordinate b = dots.get((i + 1) % dots.size()).centre();
            double x = (a.x + b.x) / 2;
            double y = (a.y + b.y) / 2;
            double chord = Math.max(1e-9, a.distance(b));
            double side = (middle.x - x) * -(b.y - a.y) + (middle.y - y) * (b.x - a.x) > 0 ? 1 : -1;
            Coordinate at = new Coordinate(x - side * in * (b.y - a.y) / chord, y + side * in * (b.x - a.x) / chord);
            more.add(new Dot(at, wanted.innerMm(), 1, DotRing.disc(FACTORY, at, wanted.innerMm() / 2)));
        }
    }

    /** A dot pulled inward to a point: the hull of its disc and the tail's end, the sides drawn in. */
    private static Geometry dragged(Coordinate at, double diameter, Coordinate middle) {
        double far = Math.max(1e-9, at.distance(middle));
        double ux = (middle.x - at.x) / far;
        double uy = (middle.y - at.y) / far;
        double r = diameter / 2;
        double tail = Math.min(TAIL * diameter, 0.9 * far);
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i <= 24; i++) { // the round head
            double angle = Math.PI / 2 + Math.PI * i / 24;
            ring.add(new Coordinate(at.x + r * (Math.cos(angle) * ux - Math.sin(angle) * uy),
                    at.y + r * (Math.cos(angle) * uy + Math.sin(angle) * ux)));
        }
        for (int side = -1; side <= 1; side += 2) {
            for (int i = 1; i <= 10; i++) {
                double t = side < 0 ? i / 10.0 : 1 - i / 10.0;
                double half = r * (1 - t) * (1 - t) * (1 + 2 * t * 0.35);
                ring.add(new Coordinate(at.x + t * tail * ux - side * half * uy, at.y + t * tail * uy + side * half * ux));
            }
        }
        ring.add(ring.get(0).copy());
        Geometry drop = FACTORY.createPolygon(ring.toArray(new Coordinate[0]));
        return drop.isValid() ? drop : drop.convexHull();
    }

    private static List<Geometry> lines(LinearRing curve, Subject.Dots wanted) {
        if (wanted.bandMm() <= 0) {
            return List.of();
        }
        Geometry area = FACTORY.createPolygon(curve);
        return List.of(Shapes.grown(area, wanted.bandMm() / 2).getBoundary(), Shapes.grown(area, -wanted.bandMm() / 2).getBoundary())
                .stream().filter(g -> !g.isEmpty()).toList();
    }

    /** The dots of one kind as areas, mm. */
    public Geometry areas(int kind) {
        return Shapes.union(dots.stream().filter(d -> d.kind() == kind).map(Dot::shape).toList());
    }

    /**
     * Paint that the dots take: each a spherical cap a quarter as high as it is wide (common practice, no source), {@code pi h (3 r^2 +
     * h^2) / 6}; ml.
     */
    public double millilitres() {
        double mm3 = 0;
        for (Dot dot : dots) {
            double r = dot.diameterMm() / 2;
            double h = dot.diameterMm() / 4;
            mm3 += Math.PI * h * (3 * r * r + h * h) / 6;
        }
        return mm3 / 1000;
    }

    /** How many dots there are of each width, the widest first; the tool's end is a little smaller than its dot. */
    public List<String> tools() {
        Map<Double, Integer> widths = new TreeMap<>(Comparator.reverseOrder());
        dots.forEach(d -> widths.merge(Math.round(d.diameterMm() * 10) / 10.0, 1, Integer::sum));
        return widths.entrySet().stream().map(e -> e.getValue() + " of " + Numbers.text(e.getKey(), 1) + " mm: " + tool(e.getKey()))
                .toList();
    }

    /** The end that sets a dot of this width; a loaded end prints about a quarter wider than itself (common practice, no source). */
    public static String tool(double dotMm) {
        return (dotMm < 2 ? "stylus" : dotMm < 7 ? "brush end" : "flat-ended rod") + " of about " + Numbers.text(0.8 * dotMm, 1) + " mm";
    }

    /**
     * The widest and the smallest gap, edge to edge, between neighbours of the first kind that were set along the curve; empty for fewer
     * than two.
     */
    public Optional<double[]> gaps() {
        List<Dot> ring = dots.stream().filter(d -> d.kind() == 0).toList();
        if (ring.size() < 2) {
            return Optional.empty();
        }
        double low = Double.POSITIVE_INFINITY;
        double high = 0;
        for (int i = 0; i < ring.size(); i++) {
            Dot a = ring.get(i);
            Dot b = ring.get((i + 1) % ring.size());
            double gap = a.centre().distance(b.centre()) - (a.diameterMm() + b.diameterMm()) / 2;
            low = Math.min(low, gap);
            high = Math.max(high, gap);
        }
        return Optional.of(new double[] {low, high});
    }
}
