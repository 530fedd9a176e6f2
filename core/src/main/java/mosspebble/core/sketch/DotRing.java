package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.area.Shapes;
import mosspebble.core.units.Bisection;
import mosspebble.core.units.Numbers;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;

/**
 * Equal dots on a closed curve: a whole number of them, the distance of neighbours made even by chord, as callipers step it off, beginning
 * at the curve's top. On a circle of radius R the chord of n dots is
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
        ChordWalk walk = new ChordWalk(curve);
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
        return of(new ChordWalk(curve), count, diameterMm, dotOnTop);
    }

    private static void check(double diameterMm, double gapMm) {
        if (!(diameterMm >= 0.3 && diameterMm <= 60)) {
            throw new IllegalArgumentException("A dot is 0.3 to 60 mm wide, was " + Numbers.shortText(diameterMm) + " mm.");
        }
        if (!(gapMm >= 0 && gapMm <= 60)) {
            throw new IllegalArgumentException("A gap is 0 to 60 mm, was " + Numbers.shortText(gapMm) + " mm.");
        }
    }

    private static DotRing of(ChordWalk walk, int n, double diameterMm, boolean dotOnTop) {
        double chord = walk.chord(n, 0);
        double start = 0;
        // back along the curve until the first chord lies evenly across the top; that start has a chord of its own
        for (int pass = 0; !dotOnTop && pass < PASSES; pass++) {
            double step = chord;
            start = Bisection.of(-chord, 0, 50, s -> walk.next(s, step) + s < 0).middle();
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

    /**
     * Radius of n equal dots that touch one another and a circle of radius R around which they stand outside: {@code R sin(pi/n) / (1 -
     * sin(pi/n))}.
     */
    public static double touchingOutside(double radiusMm, int n) {
        double s = Math.sin(Math.PI / n);
        return radiusMm * s / (1 - s);
    }

    /** The same inside the circle: {@code R sin(pi/n) / (1 + sin(pi/n))}. */
    public static double touchingInside(double radiusMm, int n) {
        double s = Math.sin(Math.PI / n);
        return radiusMm * s / (1 + s);
    }
}
