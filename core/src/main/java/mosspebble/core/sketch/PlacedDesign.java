package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.geom.Geometry;

/**
 * The whole design on the stone, first the deepest part.
 *
 * @param free what the ground must leave free, mm
 */
public record PlacedDesign(List<PlacedItem> items, List<Slot> slots, List<PlacedPart> parts, Geometry free) {

    public PlacedDesign {
        items = List.copyOf(items);
        slots = List.copyOf(slots);
        parts = List.copyOf(parts);
    }

    /** All areas together, mm. */
    public Geometry silhouette() {
        return Shapes.union(silhouettes());
    }

    /** The same, joined once. */
    public Geometry silhouette(Remembered remembered) {
        return remembered.union(silhouettes());
    }

    private List<Geometry> silhouettes() {
        return items.stream().map(PlacedItem::silhouette).toList();
    }

    public Optional<PlacedItem> item(String id) {
        return items.stream().filter(i -> i.item().id().equals(id)).findFirst();
    }

    /** The guide lines, mm. */
    public List<Geometry> guides() {
        return parts.stream().filter(p -> p.part().role() == Role.GUIDE).map(PlacedPart::drawn).toList();
    }

    /** The lines to draw with the pencil, mm: the front drawn whole, what is behind only where it is seen, guides whole. */
    public List<Geometry> pencilLines() {
        Overlap overlap = new Overlap(parts.stream().map(p -> p.part().role() == Role.FILL ? p.drawn() : Shapes.nothing()).toList());
        List<Geometry> lines = new ArrayList<>();
        for (int i = parts.size() - 1; i >= 0; i--) {
            PlacedPart part = parts.get(i);
            Geometry line = part.part().isArea() ? part.drawn().getBoundary() : part.drawn();
            boolean whole = part.part().role() == Role.HIGHLIGHT || part.part().role() == Role.GUIDE;
            lines.add(whole ? line : Shapes.outside(line, overlap.above(i, part.drawn().getEnvelopeInternal(), 0)));
        }
        return lines;
    }
}
