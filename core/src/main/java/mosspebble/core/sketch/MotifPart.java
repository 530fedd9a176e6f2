package mosspebble.core.sketch;

import java.util.Objects;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * One meaningful part of a motif.
 *
 * @param id unique in the motif
 * @param title the painter's word for it
 * @param slot colour slot
 * @param shape in motif units, y down: polygons for areas, lines for lines; only its own transform applied
 * @param penMm line width of a line, mm on the stone whatever the size; 0 for areas
 * @param roundness how far the part bulges toward the painter, 0 flat to 1 ball: drives its shade
 * @param outlined whether a line goes round it at the end
 * @param mirror id of its mirror partner
 */
public record MotifPart(String id, String title, Role role, String slot, Geometry shape, double penMm, double roundness, boolean outlined,
        Presence sits, Optional<String> mirror) {

    public MotifPart {
        Objects.requireNonNull(role);
        Objects.requireNonNull(sits);
        Objects.requireNonNull(mirror);
        if (shape.isEmpty()) {
            throw new IllegalArgumentException("part " + id + " has no shape");
        }
        if (!(roundness >= 0 && roundness <= 1)) {
            throw new IllegalArgumentException("roundness of part " + id + " must be 0 to 1, was " + roundness);
        }
        if (!(penMm >= 0 && penMm <= 15)) {
            throw new IllegalArgumentException("pen width of part " + id + " must be 0 to 15 mm, was " + penMm);
        }
    }

    /** The same part under other names. */
    MotifPart named(String newId, String newSlot) {
        return new MotifPart(newId, title, role, newSlot, shape, penMm, roundness, outlined, sits, mirror);
    }

    MotifPart shaped(Geometry newShape) {
        return new MotifPart(id, title, role, slot, newShape, penMm, roundness, outlined, sits, mirror);
    }

    public boolean isArea() {
        return shape.getDimension() == 2;
    }
}
