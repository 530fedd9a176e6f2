package mosspebble.core.area;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** Distances along rays to the boundary of a shape. */
public final class Rays {

    private Rays() {}

    /** Distance from (x, y) in direction angle (radians) to the farthest crossing with the shape's boundary; 0 if there is none. */
    public static double radius(Geometry shape, double x, double y, double angle) {
        return crossing(shape.getCoordinates(), x, y, Math.cos(angle), Math.sin(angle), true);
    }

    /**
     * @param farthest the last crossing along the ray, else the first
     */
    public static double crossing(Coordinate[] ring, double x, double y, double dx, double dy, boolean farthest) {
        double found = farthest ? 0 : Double.POSITIVE_INFINITY;
        for (int i = 1; i < ring.length; i++) {
            double ax = ring[i - 1].x - x;
            double ay = ring[i - 1].y - y;
            double bx = ring[i].x - x;
            double by = ring[i].y - y;
            double sideA = dx * ay - dy * ax;
            double sideB = dx * by - dy * bx;
            if (sideA >= 0 != sideB >= 0) {
                double t = sideA / (sideA - sideB);
                double along = dx * (ax + t * (bx - ax)) + dy * (ay + t * (by - ay));
                if (along > 0) {
                    found = farthest ? Math.max(found, along) : Math.min(found, along);
                }
            }
        }
        return found == Double.POSITIVE_INFINITY ? 0 : found;
    }
}
