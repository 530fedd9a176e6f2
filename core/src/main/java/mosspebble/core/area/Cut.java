package mosspebble.core.area;

import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * What an area knows of what was kept free of it.
 *
 * @param whole the area before
 * @param by what was kept free
 * @param left the area itself; a copy of it knows nothing
 */
record Cut(Geometry whole, Geometry by, Geometry left) {

    static Optional<Cut> of(Geometry area) {
        return area.getUserData() instanceof Cut cut && cut.left == area ? Optional.of(cut) : Optional.empty();
    }
}
