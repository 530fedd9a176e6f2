package mosspebble.core.blend;

import org.locationtech.jts.geom.Geometry;

/** An area with a way through it, along which its colours follow each other. */
interface Field {

    /** The area between two shares of the way; beyond 0 and 1 it is open. */
    Geometry between(double from, double to);

    /** Length of the way, mm. */
    double length();
}
