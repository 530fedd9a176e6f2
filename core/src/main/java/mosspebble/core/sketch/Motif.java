package mosspebble.core.sketch;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.geom.Geometry;

/**
 * A figure or scene made of parts, first the deepest.
 *
 * @param silhouette the shape, in motif units, that becomes the stone's outline when it wears the stone
 * @param sitting its outer shape when it sits on the stone: what must fit
 * @param wears whether it can wear the stone
 * @param prefersWearing whether it does so unless told otherwise
 */
public record Motif(String id, String title, List<Slot> slots, List<MotifPart> parts, Geometry silhouette, Geometry sitting, boolean wears,
        boolean prefersWearing) {

    public Motif {
        slots = List.copyOf(slots);
        parts = List.copyOf(parts);
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("motif " + id + " has no parts");
        }
        Set<String> ids = new HashSet<>();
        Set<String> known = new HashSet<>(slots.stream().map(Slot::id).toList());
        for (MotifPart part : parts) {
            if (!ids.add(part.id())) {
                throw new IllegalArgumentException("motif " + id + " has two parts called " + part.id());
            }
            if (!known.contains(part.slot())) {
                throw new IllegalArgumentException(
                        "part " + part.id() + " uses the colour slot " + part.slot() + ", which motif " + id + " does not name");
            }
        }
    }
}
