package mosspebble.core.stone;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * The edge of a stone unrolled along its girdle: x runs along the girdle, clockwise from the right; y is 0 on the girdle, below 0 toward
 * the front and above 0 toward the back, along the stone, so that the
 * front is up in a picture. It reaches to where the paintable zone of each face begins. The strip is straight where the stone is bent, so
 * areas come out a little too large where the rim is broad.
 *
 * @param along mm from the start, at each ray and once more at the end
 * @param front mm from the girdle to the front's zone, at each ray
 * @param back mm from the girdle to the back's zone, at each ray; 0 for a flat back
 */
public record EdgeStrip(double[] along, double[] front, double[] back) {

    private static final int RAYS = 240;
    private static final int STEPS = 90;

    /** What is left where nothing is: there and back again along the same line. */
    private static final double NOTHING_MM2 = 1e-6;

    /** Of the stone with its front up. */
    public static EdgeStrip of(Survey survey) {
        Dome dome = survey.dome().smooth();
        Dome below = survey.dome().back(survey.stone());
        boolean flat = survey.stone().flatBack();
        double limit = Math.cos(Math.toRadians(survey.stone().limits().rimTilt()));
        double[] along = new double[RAYS + 1];
        double[] front = new double[RAYS + 1];
        double[] back = new double[RAYS + 1];
        Coordinate last = null;
        for (int ray = 0; ray <= RAYS; ray++) {
            double angle = 2 * Math.PI * ray / RAYS;
            Coordinate here = at(dome, angle, 1);
            along[ray] = last == null ? 0 : along[ray - 1] + here.distance(last);
            last = here;
            front[ray] = up(dome, angle, limit);
            back[ray] = flat ? 0 : up(below, angle, limit);
        }
        return new EdgeStrip(along, front, back);
    }

    private static Coordinate at(Dome dome, double angle, double share) {
        double radius = share * dome.outline().radius(angle);
        return new Coordinate(dome.outline().poleX() + radius * Math.cos(angle), dome.outline().poleY() + radius * Math.sin(angle));
    }

    /**
     * Length along the stone from the girdle to the first place that is no steeper than the limit; steps at r = R sin(phi), fine where it
     * is steep.
     */
    private static double up(Dome dome, double angle, double limit) {
        double[] normal = new double[3];
        double length = 0;
        Coordinate last = at(dome, angle, 1);
        double height = 0;
        for (int step = 1; step <= STEPS; step++) {
            Coordinate here = at(dome, angle, Math.cos(Math.PI / 2 * step / STEPS));
            dome.normalAt(here.x, here.y, normal);
            double z = dome.smoothHeightAt(here.x, here.y);
            length += Math.hypot(here.distance(last), z - height);
            if (normal[2] >= limit) {
                return length;
            }
            last = here;
            height = z;
        }
        return length;
    }

    /** Length of the girdle, mm. */
    public double lengthMm() {
        return along[along.length - 1];
    }

    /** Height where it is lowest, mm. */
    public double lowestMm() {
        double lowest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < along.length; i++) {
            lowest = Math.min(lowest, front[i] + back[i]);
        }
        return lowest;
    }

    /** Farthest that it reaches toward the front, mm. */
    public double mostFrontMm() {
        return java.util.Arrays.stream(front).max().orElse(0);
    }

    /** Farthest that it reaches toward the back, mm. */
    public double mostBackMm() {
        return java.util.Arrays.stream(back).max().orElse(0);
    }

    /** The strip, mm. */
    public Polygon polygon() {
        return between(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
    }

    /** What of the strip lies between two distances from the girdle, mm toward the front; empty if nothing does. */
    public Polygon between(double low, double high) {
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i < along.length; i++) {
            ring.add(new Coordinate(along[i], -Math.max(-back[i], Math.min(front[i], high))));
        }
        for (int i = along.length - 1; i >= 0; i--) {
            ring.add(new Coordinate(along[i], -Math.min(front[i], Math.max(-back[i], low))));
        }
        ring.add(ring.get(0).copy());
        Polygon strip = new GeometryFactory().createPolygon(ring.toArray(new Coordinate[0]));
        return strip.getArea() > NOTHING_MM2 ? strip : new GeometryFactory().createPolygon();
    }
}
