package mosspebble.core.sketch;

import io.soabase.recordbuilder.core.RecordBuilder;
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
 * @param mirror id of its mirror partner
 */
@RecordBuilder
public record MotifPart(String id, String title, Role role, String slot, Geometry shape, Make make, Optional<String> mirror)
        implements
        MotifPartBuilder.With {

    /**
     * How it is made on the stone.
     *
     * @param penMm line width of a line, mm on the stone whatever the size, 0 to 15; 0 for areas
     * @param roundness how far the part bulges toward the painter, 0 flat to 1 ball: drives its shade; negative for one that is sunk, to
     *            -1, where the shade lies inside it
     * @param outlined whether a line goes round it at the end
     */
    public record Make(double penMm, double roundness, boolean outlined, Presence sits) {

        /** A flat area without a line round it, always there. */
        public static final Make FLAT = new Make(0, 0, false, Presence.ALWAYS);

        public Make {
            Objects.requireNonNull(sits);
        }
    }

    public MotifPart {
        Objects.requireNonNull(role);
        Objects.requireNonNull(make);
        Objects.requireNonNull(mirror);
        if (shape.isEmpty()) {
            throw new IllegalArgumentException("part " + id + " has no shape");
        }
        if (!(make.roundness() >= -1 && make.roundness() <= 1)) {
            throw new IllegalArgumentException("roundness of part " + id + " must be -1 to 1, was " + make.roundness());
        }
        if (!(make.penMm() >= 0 && make.penMm() <= 15)) {
            throw new IllegalArgumentException("pen width of part " + id + " must be 0 to 15 mm, was " + make.penMm());
        }
    }

    public boolean isArea() {
        return shape.getDimension() == 2;
    }

    public double penMm() {
        return make.penMm();
    }

    public double roundness() {
        return make.roundness();
    }

    public boolean outlined() {
        return make.outlined();
    }

    public Presence sits() {
        return make.sits();
    }
}
