package mosspebble.core.sketch;

import mosspebble.core.area.Rays;
import org.locationtech.jts.densify.Densifier;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.CoordinateSequence;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.util.GeometryTransformer;

/**
 * The smooth map with which a motif wears the stone. About the middles of silhouette and target a point at share f of the silhouette's
 * radius S in
 * its direction goes to distance {@code f S ((1 - s) k + s R / S)}, R the target's radius there, k the mean of R/S, s = smoothstep(0.2, 1,
 * f): the
 * silhouette falls on the target's outline while the inner parts keep their proportions. Both shapes must be star-shaped about their
 * middles.
 */
final class WearingMap {

    private static final int DIRECTIONS = 720;

    private final Point from;
    private final Point to;
    private final double[] own = new double[DIRECTIONS];
    private final double[] target = new double[DIRECTIONS];
    private final double mean;

    WearingMap(Geometry silhouette, Geometry stone) {
        from = silhouette.getEnvelope().getCentroid();
        to = stone.getEnvelope().getCentroid();
        double sum = 0;
        for (int i = 0; i < DIRECTIONS; i++) {
            double angle = 2 * Math.PI * i / DIRECTIONS;
            own[i] = Rays.radius(silhouette, from.getX(), from.getY(), angle);
            target[i] = Rays.radius(stone, to.getX(), to.getY(), angle);
            sum += target[i] / own[i];
        }
        mean = sum / DIRECTIONS;
    }

    Geometry apply(Geometry shape) {
        return new GeometryTransformer() {
            @Override
            protected CoordinateSequence transformCoordinates(CoordinateSequence points, Geometry parent) {
                Coordinate[] moved = new Coordinate[points.size()];
                for (int i = 0; i < moved.length; i++) {
                    moved[i] = apply(points.getX(i), points.getY(i));
                }
                return createCoordinateSequence(moved);
            }
        }.transform(Densifier.densify(shape, meanOwn() / 40));
    }

    private double meanOwn() {
        double sum = 0;
        for (double radius : own) {
            sum += radius;
        }
        return sum / DIRECTIONS;
    }

    private Coordinate apply(double x, double y) {
        double dx = x - from.getX();
        double dy = y - from.getY();
        double r = Math.hypot(dx, dy);
        double turn = Math.atan2(dy, dx) / (2 * Math.PI);
        double s0 = between(own, turn);
        double r0 = between(target, turn);
        double f = r / s0;
        double t = Math.min(1, Math.max(0, (f - 0.2) / 0.8));
        double s = t * t * (3 - 2 * t);
        double stretch = (1 - s) * mean + s * r0 / s0;
        return new Coordinate(to.getX() + dx * stretch, to.getY() + dy * stretch);
    }

    private static double between(double[] radii, double turn) {
        double at = (turn - Math.floor(turn)) * DIRECTIONS;
        int i = (int) at % DIRECTIONS;
        double f = at - Math.floor(at);
        return radii[i] * (1 - f) + radii[(i + 1) % DIRECTIONS] * f;
    }
}
