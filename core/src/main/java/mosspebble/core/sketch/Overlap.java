package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.index.strtree.STRtree;

/**
 * What of each filled part is seen when those in front are drawn whole. Neighbours come from an R-tree, so that the work grows with the overlaps there are and not with the square of the parts.
 */
public final class Overlap {

    private final List<Geometry> areas;
    private final STRtree tree = new STRtree();

    /** @param areas the deepest first; an empty one hides nothing */
    public Overlap(List<Geometry> areas) {
        this.areas = List.copyOf(areas);
        for (int i = 0; i < areas.size(); i++) {
            if (!areas.get(i).isEmpty()) {
                tree.insert(areas.get(i).getEnvelopeInternal(), i);
            }
        }
        tree.build();
    }

    /** The areas in front of a place in the order that come within reach of a box, the deepest first. */
    public List<Integer> inFront(int index, Envelope box, double reachMm) {
        Envelope wide = new Envelope(box);
        wide.expandBy(reachMm);
        List<Integer> found = new ArrayList<>();
        for (Object hit : tree.query(wide)) {
            if ((Integer) hit > index) {
                found.add((Integer) hit);
            }
        }
        Collections.sort(found);
        return found;
    }

    /** All in front of one area and within reach of it, together, mm. */
    public Geometry above(int index, double reachMm) {
        return above(index, areas.get(index).getEnvelopeInternal(), reachMm);
    }

    /** All in front of a place in the order and within reach of a box, together. */
    public Geometry above(int index, Envelope box, double reachMm) {
        return Shapes.union(inFront(index, box, reachMm).stream().map(areas::get).toList());
    }

    /** What is seen of one area. */
    public Geometry seen(int index) {
        return Shapes.minus(areas.get(index), above(index, 0));
    }
}
