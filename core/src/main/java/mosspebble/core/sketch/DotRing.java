package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import mosspebble.core.units.Numbers;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;

/**
 * Equal dots on a closed curve: a whole number of them, the distance of neighbours made even by chord, as callipers step it off, beginning at the curve's top. On a circle of radius R the chord of n dots is
 * {@code 2 R sin(pi / n)}.
 *
 * @param centres in order round the curve, mm
 * @param gapMm from edge to edge of neighbours
 */
public record DotRing(List<Coordinate> centres, double diameterMm, double gapMm) {

    /** Most dots on one ring. */
    public static final int MOST = 400;

    private static final int CORNERS = 28;
    private static final int PASSES = 5;

    public DotRing {
        centres = List.copyOf(centres);
    }

    /**
     * As many dots as go with at least the wanted gap.
     *
     * @param diameterMm 0.3 to 60
     * @param gapMm wanted least gap, 0 to 60
     * @param dotOnTop whether a dot sits at the top, else a gap
     */
    public static DotRing most(LinearRing curve, double diameterMm, double gapMm, boolean dotOnTop) {
        check(diameterMm, gapMm);
        Walk walk = new Walk(curve);
        int n = Math.max(3, Math.min(MOST, (int) Math.floor(walk.length / Math.max(1e-6, diameterMm + gapMm)) + 1));
        while (n > 3 && walk.chord(n, 0) < diameterMm + gapMm - 1e-9) {
            n--;
        }
        return of(walk, n, diameterMm, dotOnTop);
    }

    /** Just so many dots, 3 to {@link #MOST}; the gap may come out below 0, then they overlap. */
    public static DotRing count(LinearRing curve, int count, double diameterMm, boolean dotOnTop) {
        check(diameterMm, 0);
        if (count < 3 || count > MOST) {
            throw new IllegalArgumentException("A ring has 3 to " + MOST + " dots, was " + count + ".");
        }
        return of(new Walk(curve), count, diameterMm, dotOnTop);
    }

    private static void check(double diameterMm, double gapMm) {
        if (!(diameterMm >= 0.3 && diameterMm <= 60)) {
            throw new IllegalArgumentException("A dot is 0.3 to 60 mm wide, was " + Numbers.shortText(diameterMm) + " mm.");
        }
        if (!(gapMm >= 0 && gapMm <= 60)) {
            throw new IllegalArgumentException("A gap is 0 to 60 mm, was " + Numbers.shortText(gapMm) + " mm.");
        }
    }

    private static DotRing of(Walk walk, int n, double diameterMm, boolean dotOnTop) {
        double chord = walk.chord(n, 0);
        double start = 0;
        for (int pass = 0; !dotOnTop && pass < PASSES; pass++) { // back along the curve until the first chord lies evenly across the top; that start has a chord of its own
            double low = -chord;
            double high = 0;
            for (int i = 0; i < 50; i++) {
                double middle = (low + high) / 2;
                if (walk.next(middle, chord) + middle < 0) {
                    low = middle;
                } else {
                    high = middle;
                }
            }
            start = (low + high) / 2;
            chord = walk.chord(n, start);
        }
        List<Coordinate> centres = new ArrayList<>();
        double at = start;
        for (int i = 0; i < n; i++) {
            centres.add(walk.at(at));
            at = walk.next(at, chord);
        }
        return new DotRing(centres, diameterMm, chord - diameterMm);
    }

    /** The dots as areas, mm. */
    public Geometry areas() {
        return areas(0, 1);
    }

    /** Every {@code step}-th dot from one on. */
    public Geometry areas(int from, int step) {
        List<Geometry> discs = new ArrayList<>();
        GeometryFactory factory = new GeometryFactory();
        for (int i = from; i < centres.size(); i += step) {
            discs.add(disc(factory, centres.get(i), diameterMm / 2));
        }
        return Shapes.union(discs);
    }

    static Geometry disc(GeometryFactory factory, Coordinate centre, double radius) {
        Coordinate[] ring = new Coordinate[CORNERS + 1];
        for (int i = 0; i < CORNERS; i++) {
            double angle = 2 * Math.PI * i / CORNERS;
            ring[i] = new Coordinate(centre.x + radius * Math.cos(angle), centre.y + radius * Math.sin(angle));
        }
        ring[CORNERS] = ring[0].copy();
        return factory.createPolygon(ring);
    }

    /** Radius of n equal dots that touch one another and a circle of radius R around which they stand outside: {@code R sin(pi/n) / (1 - sin(pi/n))}. */
    public static double touchingOutside(double radiusMm, int n) {
        double s = Math.sin(Math.PI / n);
        return radiusMm * s / (1 - s);
    }

    /** The same inside the circle: {@code R sin(pi/n) / (1 + sin(pi/n))}. */
    public static double touchingInside(double radiusMm, int n) {
        double s = Math.sin(Math.PI / n);
        return radiusMm * s / (1 + s);
    }

    /** Steps along a closed curve by chords, from its topmost crossing of its middle line, clockwise. */
    private static final class Walk {

        private final double[] x;
        private final double[] y;
        private final double[] along;
        final double length;

        Walk(LinearRing curve) {
            Coordinate[] ring = curve.getCoordinates();
            int n = ring.length - 1;
            double area = 0;
            for (int i = 0; i < n; i++) {
                area += ring[i].x * ring[i + 1].y - ring[i + 1].x * ring[i].y;
            }
            double middle = curve.getEnvelopeInternal().centre().x;
            Coordinate top = null;
            int after = 0;
            for (int i = 0; i < n; i++) {
                Coordinate a = ring[i];
                Coordinate b = ring[i + 1];
                if (a.x >= middle != b.x >= middle) {
                    double t = (middle - a.x) / (b.x - a.x);
                    double yAt = a.y + t * (b.y - a.y);
                    if (top == null || yAt < top.y) {
                        top = new Coordinate(middle, yAt);
                        after = i + 1;
                    }
                }
            }
            x = new double[n + 2];
            y = new double[n + 2];
            boolean clockwise = area > 0; // y grows downward
            x[0] = top.x;
            y[0] = top.y;
            for (int k = 0; k < n; k++) {
                Coordinate c = ring[clockwise ? (after + k) % n : Math.floorMod(after - 1 - k, n)];
                x[k + 1] = c.x;
                y[k + 1] = c.y;
            }
            x[n + 1] = top.x;
            y[n + 1] = top.y;
            along = new double[n + 2];
            for (int i = 1; i < along.length; i++) {
                along[i] = along[i - 1] + Math.hypot(x[i] - x[i - 1], y[i] - y[i - 1]);
            }
            length = along[n + 1];
        }

        Coordinate at(double s) {
            double wanted = (s % length + length) % length;
            int i = Arrays.binarySearch(along, wanted);
            i = Math.max(0, Math.min(along.length - 2, i < 0 ? -i - 2 : i));
            double t = along[i + 1] > along[i] ? (wanted - along[i]) / (along[i + 1] - along[i]) : 0;
            return new Coordinate(x[i] + t * (x[i + 1] - x[i]), y[i] + t * (y[i + 1] - y[i]));
        }

        /** The next place on the curve a chord away from the one at s: the first there, found by stepping and halving. */
        double next(double s, double chord) {
            Coordinate from = at(s);
            double low = s + chord * 0.999;
            double high = low;
            double step = Math.max(chord / 8, length / 4000);
            while (from.distance(at(high)) < chord && high - s < length) {
                low = high;
                high += step;
            }
            for (int i = 0; i < 44; i++) {
                double middle = (low + high) / 2;
                if (from.distance(at(middle)) < chord) {
                    low = middle;
                } else {
                    high = middle;
                }
            }
            return (low + high) / 2;
        }

        /** The chord with which n steps from a start lead just round. */
        double chord(int n, double start) {
            double low = 0;
            double high = 1.02 * length / n;
            for (int i = 0; i < 46; i++) {
                double chord = (low + high) / 2;
                double at = start;
                for (int k = 0; k < n && at - start < 1.5 * length; k++) {
                    at = next(at, chord);
                }
                if (at - start < length) {
                    low = chord;
                } else {
                    high = chord;
                }
            }
            return (low + high) / 2;
        }
    }
}
