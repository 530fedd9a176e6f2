package mosspebble.core.sketch;

import java.util.List;
import org.locationtech.jts.geom.Geometry;

/**
 * A thing as it lies on the stone.
 *
 * @param motif what it is made of, with its own names
 * @param wears whether it wears the stone
 * @param parts named as in the whole sketch, mm
 * @param silhouette its filled parts together, mm
 */
public record PlacedItem(Item item, Motif motif, boolean wears, List<PlacedPart> parts, Geometry silhouette) {

    public PlacedItem {
        parts = List.copyOf(parts);
    }
}
