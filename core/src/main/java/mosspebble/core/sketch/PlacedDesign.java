package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * The whole design on the stone, first the deepest part.
 *
 * @param silhouette all areas together, mm
 */
public record PlacedDesign(List<PlacedItem> items, List<Slot> slots, List<PlacedPart> parts, Geometry silhouette) {

    public PlacedDesign {
        items = List.copyOf(items);
        slots = List.copyOf(slots);
        parts = List.copyOf(parts);
    }

    public Optional<PlacedItem> item(String id) {
        return items.stream().filter(i -> i.item().id().equals(id)).findFirst();
    }

    /** The lines to draw with the pencil, mm: the front drawn whole, what is behind only where it is seen. */
    public List<Geometry> pencilLines() {
        List<Geometry> lines = new ArrayList<>();
        Geometry front = Shapes.nothing();
        for (int i = parts.size() - 1; i >= 0; i--) {
            PlacedPart part = parts.get(i);
            boolean area = part.part().isArea();
            Geometry line = area ? part.drawn().getBoundary() : part.drawn();
            lines.add(front.isEmpty() || part.part().role() == Role.HIGHLIGHT ? line : OverlayNGRobust.overlay(line, front, OverlayNG.DIFFERENCE));
            if (area && part.part().role() == Role.FILL) {
                front = Shapes.union(front, part.drawn());
            }
        }
        return lines;
    }
}
