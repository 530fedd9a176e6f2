package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntPredicate;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.algorithm.locate.SimplePointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.index.strtree.STRtree;

/**
 * What of each filled part is seen when those in front are drawn whole. Neighbours come from an R-tree, so that the work grows with the
 * overlaps there are and not with the square of the parts.
 */
public final class Overlap {

    private final List<Geometry> areas;
    private final STRtree tree = new STRtree();

    /** @param areas the deepest first; an empty one hides nothing */
    public Overlap(List<Geometry> areas) {
        this.areas = List.copyOf(areas);
        for (int i = 0; i < areas.size(); i++) {
            // each dot of a ring by itself: most of them are far away
            for (int piece = 0; piece < areas.get(i).getNumGeometries(); piece++) {
                Geometry one = areas.get(i).getGeometryN(piece);
                if (!one.isEmpty()) {
                    tree.insert(one.getEnvelopeInternal(), new Piece(i, one));
                }
            }
        }
        tree.build();
    }

    private record Piece(int area, Geometry shape) {}

    private List<Piece> pieces(int index, Envelope box, double reachMm) {
        Envelope wide = new Envelope(box);
        wide.expandBy(reachMm);
        List<Piece> found = new ArrayList<>();
        for (Object hit : tree.query(wide)) {
            if (((Piece) hit).area() > index) {
                found.add((Piece) hit);
            }
        }
        found.sort(Comparator.comparingInt(Piece::area)); // the same order, whatever the tree gives
        return found;
    }

    /** The areas in front of a place in the order that come within reach of a box, the deepest first. */
    public List<Integer> inFront(int index, Envelope box, double reachMm) {
        return pieces(index, box, reachMm).stream().map(Piece::area).distinct().toList();
    }

    /** All in front of one area and within reach of it, together, mm. */
    public Geometry above(int index, double reachMm) {
        return above(index, areas.get(index).getEnvelopeInternal(), reachMm);
    }

    /** All in front of a place in the order and within reach of a box, together. */
    public Geometry above(int index, Envelope box, double reachMm) {
        return Shapes.union(over(index, box, reachMm));
    }

    /** The pieces in front of a place in the order and within reach of a box whose areas count, the deepest first. */
    public List<Geometry> over(int index, Envelope box, double reachMm, IntPredicate counts) {
        return pieces(index, box, reachMm).stream().filter(p -> counts.test(p.area())).map(Piece::shape).toList();
    }

    /** The front area that counts and holds a place within it; -1 for none. */
    public int frontAt(Coordinate at, IntPredicate counts) {
        int front = -1;
        for (Object hit : tree.query(new Envelope(at))) {
            Piece piece = (Piece) hit;
            if (piece.area() > front && counts.test(piece.area())
                    && SimplePointInAreaLocator.locate(at, piece.shape()) == Location.INTERIOR) {
                front = piece.area();
            }
        }
        return front;
    }

    /** What is seen of one area: one after the other is taken away, which is quicker than joining them first. */
    public Geometry seen(int index) {
        return Shapes.minus(areas.get(index), over(index, areas.get(index).getEnvelopeInternal(), 0));
    }

    /** The pieces in front of a place in the order and within reach of a box, the deepest first. */
    public List<Geometry> over(int index, Envelope box, double reachMm) {
        return pieces(index, box, reachMm).stream().map(Piece::shape).toList();
    }
}
