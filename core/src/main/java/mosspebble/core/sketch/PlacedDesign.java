package mosspebble.core.sketch;

import java.util.List;
import org.locationtech.jts.geom.Geometry;

/**
 * The whole design on the stone, first the deepest part.
 *
 * @param silhouette all areas together, mm
 */
public record PlacedDesign(List<Slot> slots, List<PlacedPart> parts, Geometry silhouette) {

    public PlacedDesign {
        slots = List.copyOf(slots);
        parts = List.copyOf(parts);
    }
}
