package mosspebble.core.area;

import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * What an area knows of where it comes from: another one, moved straight. Work that comes out alike wherever areas lie is done there, so
 * that it is remembered when a thing has moved.
 *
 * @param home the area where it was before
 * @param here the area itself; a copy of it knows nothing
 * @param dx mm to the right of home
 * @param dy mm below home
 */
record Moved(Geometry home, Geometry here, double dx, double dy) {

    /** An area moved straight, which knows it; one that was moved before is moved from its first home. */
    static Geometry by(Geometry area, double dx, double dy) {
        Optional<Moved> before = of(area);
        Geometry home = before.map(Moved::home).orElse(area);
        double x = dx + before.map(Moved::dx).orElse(0.0);
        double y = dy + before.map(Moved::dy).orElse(0.0);
        if (home.isEmpty()) {
            return home;
        }
        Geometry here = AffineTransformation.translationInstance(x, y).transform(home);
        here.setUserData(new Moved(home, here, x, y));
        for (int i = 0; here.getNumGeometries() > 1 && i < here.getNumGeometries(); i++) { // each piece knows it too
            Geometry piece = here.getGeometryN(i);
            piece.setUserData(new Moved(home.getGeometryN(i), piece, x, y));
        }
        return here;
    }

    /** Where an area comes from, if it was moved. */
    static Optional<Moved> of(Geometry area) {
        return area.getUserData() instanceof Moved moved && moved.here == area ? Optional.of(moved) : Optional.empty();
    }

    /** How all of some areas were moved, if all alike; areas without extent are anywhere. */
    static Optional<Moved> alike(List<Geometry> areas) {
        Moved first = null;
        for (Geometry area : areas) {
            if (!area.isEmpty()) {
                Optional<Moved> moved = of(area);
                if (moved.isEmpty() || first != null && !first.isLike(moved.get())) {
                    return Optional.empty();
                }
                first = moved.get();
            }
        }
        return Optional.ofNullable(first);
    }

    boolean isLike(Moved other) {
        return other.dx == dx && other.dy == dy;
    }

    /** An area where it was before it was moved. */
    static Geometry home(Geometry area) {
        return of(area).map(Moved::home).orElse(area);
    }
}
