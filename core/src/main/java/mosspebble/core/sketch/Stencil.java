package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineSegment;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.PolygonExtracter;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.distance.DistanceOp;

/**
 * A template of paper or film with a design cut out of it, to draw round or stipple through. What would fall out, such as the middle of an
 * O, is held by bridges: each such piece by the shortest way to what is held already, a larger one by a second from its other side.
 *
 * @param cuts what is cut out, in the order in which it is cut, the smallest first while the sheet is still stiff; mm
 * @param paper outer edge of the sheet, cut last
 * @param bridges how many hold pieces that would fall out
 */
public record Stencil(List<Polygon> cuts, Polygon paper, int bridges) {

    /** Width of a bridge that holds in card, and what is left round the design, mm (common practice, no source). */
    public static final double BRIDGE_MM = 1.6;
    public static final double BORDER_MM = 3;

    /** What is smaller is neither cut out nor held, mm². */
    private static final double LEAST_MM2 = 1;

    /** A piece longer round than this swings on one bridge, mm (common practice, no source). */
    private static final double SWINGS_MM = 15;

    /** More of the stone than this cut out leaves no template. */
    private static final double MOST_SHARE = 0.85;

    /** A bridge reaches so far into the paper at its ends, mm. */
    private static final double ROOT_MM = 0.4;

    private static final GeometryFactory FACTORY = new GeometryFactory();

    public Stencil {
        cuts = List.copyOf(cuts);
    }

    /** Of a whole design: of words the letters themselves, without what is round them or behind; of the rest its silhouette. */
    public static Optional<Stencil> of(PlacedDesign design, Geometry outline) {
        List<Geometry> shapes = new ArrayList<>();
        for (PlacedItem item : design.items()) {
            boolean word = item.item().subject() instanceof Subject.Word;
            List<Geometry> letters = item.parts().stream().filter(p -> word && isLetter(p.part().title())).map(PlacedPart::painted)
                    .toList();
            shapes.add(letters.isEmpty() ? item.silhouette() : Shapes.union(letters));
        }
        return of(Shapes.union(shapes), outline, BRIDGE_MM);
    }

    private static boolean isLetter(String title) {
        PartName name = PartName.of(title);
        return name.letterOf().isPresent() && name.with().isEmpty();
    }

    /**
     * @param design what is cut out, mm
     * @param outline of the stone
     * @return empty if there is nothing to cut, or so much that nothing would be left
     */
    public static Optional<Stencil> of(Geometry design, Geometry outline, double bridgeMm) {
        List<Polygon> cuts = new ArrayList<>();
        int bridges = 0;
        double area = 0;
        for (Object each : PolygonExtracter.getPolygons(design)) {
            Polygon whole = withoutSpecks((Polygon) each);
            if (whole.getArea() < LEAST_MM2) {
                continue;
            }
            area += whole.getArea();
            List<Geometry> held = bridges(whole, bridgeMm);
            bridges += held.size();
            for (Object piece : PolygonExtracter.getPolygons(held.isEmpty() ? whole : Shapes.minus(whole, Shapes.union(held)))) {
                if (((Polygon) piece).getArea() >= LEAST_MM2 / 2) {
                    cuts.add((Polygon) piece);
                }
            }
        }
        if (cuts.isEmpty() || area > MOST_SHARE * outline.getArea()) {
            return Optional.empty();
        }
        cuts.sort(Comparator.comparingDouble(Polygon::getArea));
        Polygon paper = Shapes.largest(Shapes.grown(Shapes.union(outline, design), BORDER_MM)).orElseThrow();
        return Optional.of(new Stencil(cuts, FACTORY.createPolygon(paper.getExteriorRing()), bridges));
    }

    private static Polygon withoutSpecks(Polygon area) {
        List<LinearRing> holes = new ArrayList<>();
        for (int i = 0; i < area.getNumInteriorRing(); i++) {
            if (FACTORY.createPolygon(area.getInteriorRingN(i)).getArea() >= LEAST_MM2) {
                holes.add(area.getInteriorRingN(i));
            }
        }
        return FACTORY.createPolygon(area.getExteriorRing(), holes.toArray(new LinearRing[0]));
    }

    private static List<Geometry> bridges(Polygon area, double wide) {
        List<LineString> held = new ArrayList<>(List.of(area.getExteriorRing()));
        List<LineString> loose = new ArrayList<>();
        for (int i = 0; i < area.getNumInteriorRing(); i++) {
            loose.add(area.getInteriorRingN(i));
        }
        List<LineSegment> ways = new ArrayList<>();
        while (!loose.isEmpty()) {
            LineString next = null;
            LineSegment best = null;
            for (LineString piece : loose) {
                LineSegment way = shortest(piece, held);
                if (best == null || way.getLength() < best.getLength()) {
                    best = way;
                    next = piece;
                }
            }
            ways.add(best);
            loose.remove(next);
            if (next.getLength() > SWINGS_MM) {
                List<LineString> others = new ArrayList<>(held);
                others.addAll(loose);
                otherSide(next, best).ifPresent(side -> ways.add(shortest(side, others)));
            }
            held.add(next);
        }
        return ways.stream().map(w -> bridge(w, wide)).toList();
    }

    private static LineSegment shortest(LineString from, List<LineString> to) {
        LineSegment best = null;
        for (LineString line : to) {
            Coordinate[] ends = DistanceOp.nearestPoints(from, line);
            LineSegment way = new LineSegment(ends[0], ends[1]);
            best = best == null || way.getLength() < best.getLength() ? way : best;
        }
        return best;
    }

    /** The part of a ring that looks away from a bridge that leaves it. */
    private static Optional<LineString> otherSide(LineString ring, LineSegment bridge) {
        Coordinate middle = ring.getCentroid().getCoordinate();
        double dx = bridge.p0.x - middle.x;
        double dy = bridge.p0.y - middle.y;
        List<Coordinate> away = new ArrayList<>();
        Coordinate[] all = ring.getCoordinates();
        double reach = 0;
        for (Coordinate c : all) {
            reach = Math.max(reach, Math.abs((c.x - middle.x) * dx + (c.y - middle.y) * dy));
        }
        for (Coordinate c : all) {
            if ((c.x - middle.x) * dx + (c.y - middle.y) * dy < -0.4 * reach) {
                away.add(c);
            }
        }
        return away.size() < 2 ? Optional.empty() : Optional.of(FACTORY.createLineString(away.toArray(new Coordinate[0])));
    }

    private static Geometry bridge(LineSegment way, double wide) {
        double length = Math.max(1e-6, way.getLength());
        double over = ROOT_MM / length;
        LineString line = FACTORY.createLineString(new Coordinate[] {way.pointAlong(-over), way.pointAlong(1 + over)});
        return BufferOp.bufferOp(line, wide / 2, new BufferParameters(1, BufferParameters.CAP_FLAT));
    }
}
