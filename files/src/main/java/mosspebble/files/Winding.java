package mosspebble.files;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.algorithm.Area;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.algorithm.PointLocation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.index.intervalrtree.SortedPackedIntervalRTree;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.polygonize.Polygonizer;

/**
 * The area that rings fill by the rule of winding numbers (non-zero, or odd). Rings that nowhere cross are sorted by which lies in which;
 * others are cut where they cross, and each face that comes of it is kept by
 * the winding number of a place inside it (Foley, van Dam, Feiner, Hughes, Computer Graphics, 2nd ed., 19.5). Costs n log n and what the
 * crossings add, whose number is limited before.
 */
final class Winding {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final int MOST_RINGS = 2_000;

    private final List<Coordinate[]> rings;
    private final boolean evenOdd;

    private Winding(List<Coordinate[]> rings, boolean evenOdd) {
        this.rings = rings;
        this.evenOdd = evenOdd;
    }

    /**
     * @param rings closed, at least four coordinates each
     * @param evenOdd whether a place is inside where its winding number is odd, else where it is not zero
     * @throws Intricacy.TooIntricate if there is too much of it
     */
    static Geometry area(List<Coordinate[]> rings, boolean evenOdd) {
        if (rings.isEmpty()) {
            return FACTORY.createPolygon();
        }
        if (rings.size() > MOST_RINGS) {
            throw new Intricacy.TooIntricate("It is made of more than " + MOST_RINGS + " pieces.");
        }
        Winding winding = new Winding(rings, evenOdd);
        return Intricacy.crossings(rings) == 0 ? winding.nested() : winding.cut();
    }

    private boolean inside(int number) {
        return evenOdd ? number % 2 != 0 : number != 0;
    }

    // --- rings that nowhere cross

    private record Nested(Coordinate[] ring, Envelope box, double area, int sense) {}

    private Geometry nested() {
        List<Nested> all = new ArrayList<>();
        for (Coordinate[] ring : rings) {
            Envelope box = new Envelope();
            Arrays.stream(ring).forEach(box::expandToInclude);
            double area = Area.ofRing(ring);
            if (area > 0) {
                all.add(new Nested(ring, box, area, Orientation.isCCW(ring) ? 1 : -1));
            }
        }
        all.sort(Comparator.comparingDouble(Nested::area).reversed());
        int[] within = new int[all.size()]; // winding number just inside each ring
        int[] shell = new int[all.size()]; // the nearest ring around it, itself if it is one, that an area begins at; -1 for none
        List<List<LinearRing>> holes = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Nested ring = all.get(i);
            int parent = -1;
            for (int k = i - 1; k >= 0 && parent < 0; k--) {
                parent = all.get(k).box().contains(ring.box())
                        && PointLocation.locateInRing(ring.ring()[0], all.get(k).ring()) == Location.INTERIOR ? k : -1;
            }
            int without = parent < 0 ? 0 : within[parent];
            within[i] = without + ring.sense();
            shell[i] = parent < 0 ? -1 : shell[parent];
            holes.add(new ArrayList<>());
            if (inside(within[i]) && !inside(without)) {
                shell[i] = i;
            } else if (!inside(within[i]) && inside(without)) {
                holes.get(shell[i]).add(FACTORY.createLinearRing(ring.ring()));
            }
        }
        List<Polygon> areas = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (shell[i] == i) {
                areas.add(FACTORY.createPolygon(FACTORY.createLinearRing(all.get(i).ring()), holes.get(i).toArray(new LinearRing[0])));
            }
        }
        return Shapes.polygons(FACTORY.buildGeometry(areas));
    }

    // --- rings that cross

    private Geometry cut() {
        LineString[] lines = rings.stream().map(FACTORY::createLineString).toArray(LineString[]::new);
        Polygonizer faces = new Polygonizer();
        faces.add(OverlayNGRobust.overlay(FACTORY.createMultiLineString(lines), FACTORY.createMultiLineString(),
                org.locationtech.jts.operation.overlayng.OverlayNG.UNION));
        SortedPackedIntervalRTree pieces = new SortedPackedIntervalRTree();
        for (Coordinate[] ring : rings) {
            for (int i = 1; i < ring.length; i++) {
                if (ring[i].y != ring[i - 1].y) {
                    pieces.insert(Math.min(ring[i].y, ring[i - 1].y), Math.max(ring[i].y, ring[i - 1].y),
                            new Coordinate[] {ring[i - 1], ring[i]});
                }
            }
        }
        List<Geometry> kept = new ArrayList<>();
        for (Object face : faces.getPolygons()) {
            if (inside(number(((Polygon) face).getInteriorPoint().getCoordinate(), pieces))) {
                kept.add((Polygon) face);
            }
        }
        return Shapes.polygons(Shapes.union(kept));
    }

    /** How often the rings run round a place against the clock, by the pieces that cross the level line to the right of it. */
    private static int number(Coordinate at, SortedPackedIntervalRTree pieces) {
        int[] number = {0};
        pieces.query(at.y, at.y, found -> {
            Coordinate[] piece = (Coordinate[]) found;
            boolean up = piece[0].y <= at.y && piece[1].y > at.y;
            boolean down = piece[0].y > at.y && piece[1].y <= at.y;
            if (up && Orientation.index(piece[0], piece[1], at) == Orientation.LEFT) {
                number[0]++;
            } else if (down && Orientation.index(piece[0], piece[1], at) == Orientation.RIGHT) {
                number[0]--;
            }
        });
        return number[0];
    }
}
