package mosspebble.core.plan;

import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * How the edge of what is laid runs out.
 *
 * @param mm width over which it runs out; 0 for a crisp edge, or for a shade that is strongest at its edge and fades inside
 * @param within the area it is held in, mm; empty for a crisp edge
 */
public record Soft(double mm, Optional<Geometry> within) {

    public static final Soft CRISP = new Soft(0, Optional.empty());

    /** Runs out over so many mm, but never over the edge of an area. */
    static Soft of(double mm, Geometry within) {
        return mm <= 0 ? CRISP : new Soft(mm, Optional.of(within));
    }

    /** A shade that fades inward from the edge of an area. */
    static Soft shade(Geometry within) {
        return new Soft(0, Optional.of(within));
    }

    public boolean isShade() {
        return mm == 0 && within.isPresent();
    }
}
