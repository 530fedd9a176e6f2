package mosspebble.core.sketch;

import java.util.Arrays;
import java.util.Optional;
import java.util.SplittableRandom;
import mosspebble.core.area.Rays;
import mosspebble.core.area.Shapes;
import mosspebble.core.units.Bisection;
import org.locationtech.jts.algorithm.PointLocation;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;

/**
 * The largest copy of a design inside a zone. Problem: the design's convex hull about its own middle, the zone, an allowed turn. For a
 * middle and a turn the largest size follows exactly from rays: along each direction of a hull corner the zone's first boundary, along each
 * direction of a zone
 * corner the hull's own. Middle and turn are found by compass search with turned directions and halving steps from several starts; the
 * answer says how many places were tried. Exact to well under 1 % for the closed-form cases in the tests.
 */
public final class LargestFit {

    /**
     * @param placement middle, turn and size found
     * @param tried number of places tried
     */
    public record Fit(Placement placement, int tried) {}

    private static final int MOST_TRIES = 6000;

    private static final int DIRECTIONS = 4096;

    /** Corners of the hull that stand out by less than this share of its size are left out of the search. */
    private static final double FINE = 5e-4;

    private final Coordinate[] hull;
    private final double[] reaches = new double[DIRECTIONS];
    private final Coordinate[][] rings;
    private final Polygon area;
    private final double zoneX;
    private final double zoneY;
    private final double reach;
    private final double mostTurn;
    /** The corners of all rings, but the last of each, which is its first. */
    private final Coordinate[] vertices;
    private int tightVertex;
    private int tightCorner = 1;
    private int tried;

    private LargestFit(Coordinate[] hull, Polygon zone, double mostTurn) {
        this.hull = hull;
        for (int i = 0; i < DIRECTIONS; i++) {
            double angle = 2 * Math.PI * i / DIRECTIONS;
            reaches[i] = Rays.crossing(hull, 0, 0, Math.cos(angle), Math.sin(angle), true);
        }
        this.area = zone;
        this.rings = new Coordinate[1 + zone.getNumInteriorRing()][];
        rings[0] = zone.getExteriorRing().getCoordinates();
        for (int i = 1; i < rings.length; i++) {
            rings[i] = zone.getInteriorRingN(i - 1).getCoordinates();
        }
        this.vertices = Arrays.stream(rings).flatMap(r -> Arrays.stream(r).skip(1)).toArray(Coordinate[]::new);
        this.zoneX = zone.getCentroid().getX();
        this.zoneY = zone.getCentroid().getY();
        this.reach = Math.max(zone.getEnvelopeInternal().getWidth(), zone.getEnvelopeInternal().getHeight());
        this.mostTurn = mostTurn;
    }

    /**
     * @param design outer shape in design units
     * @param zone where it may be, mm
     * @param mostTurn allowed turn to either side of {@code turn}, degrees, 0 to 180
     * @param turn turn to start from, degrees
     * @return empty if the zone leaves no room
     */
    public static Optional<Fit> inside(Geometry design, Geometry zone, double turn, double mostTurn) {
        return centred(design, zone, turn, mostTurn, 1);
    }

    /**
     * As {@link #inside}, then moved straight toward the zone's centroid as far as the size stays at least {@code share} of the largest.
     *
     * @param share above 0, at most 1; 1 keeps the largest
     */
    public static Optional<Fit> centred(Geometry design, Geometry zone, double turn, double mostTurn, double share) {
        Polygon largest = Shapes.largest(zone).orElse(null);
        if (largest == null || design.isEmpty()) {
            return Optional.empty();
        }
        Coordinate middle = middle(design);
        Geometry whole = design.convexHull();
        Geometry fine = DouglasPeuckerSimplifier.simplify(whole, FINE * whole.getEnvelopeInternal().getDiameter());
        // may be shared with the design: copied, never moved
        Coordinate[] corners = (fine.getDimension() == 2 ? fine : whole).getCoordinates();
        Coordinate[] hull = new Coordinate[corners.length];
        for (int i = 0; i < hull.length; i++) {
            hull[i] = new Coordinate(corners[i].x - middle.x, corners[i].y - middle.y);
        }
        LargestFit fit = new LargestFit(hull, largest, mostTurn);
        double[] best = fit.towardMiddle(fit.search(turn), share);
        return best[3] > 0 ? Optional.of(new Fit(new Placement(best[0], best[1], best[2], best[3]), fit.tried)) : Optional.empty();
    }

    /** The middle a placement refers to: that of the design's bounding box. */
    static Coordinate middle(Geometry design) {
        return design.getEnvelopeInternal().centre();
    }

    private double[] search(double turn) {
        SplittableRandom random = new SplittableRandom(20261124);
        double[] best = {zoneX, zoneY, turn, size(zoneX, zoneY, turn)};
        Coordinate widest = MaximumInscribedCircle.getCenter(area, reach / 200).getCoordinate();
        for (int start = 0; start < 7; start++) {
            double[] at = start == 0 ? best.clone() : start == 1 ? new double[] {widest.x, widest.y, turn, 0}
                    : new double[] {best[0] + (random.nextDouble() - 0.5) * reach / 4, best[1] + (random.nextDouble() - 0.5) * reach / 4,
                        turn + (2 * random.nextDouble() - 1) * mostTurn, 0};
            at[3] = size(at[0], at[1], at[2]);
            double step = reach / 6;
            double swing = mostTurn / 3;
            while (step > reach * 1e-4 && tried < MOST_TRIES) {
                boolean better = false;
                double tilt = random.nextDouble() * Math.PI;
                for (int direction = 0; direction < 8; direction++) {
                    double angle = tilt + direction * Math.PI / 4;
                    better |= improve(at, at[0] + step * Math.cos(angle), at[1] + step * Math.sin(angle), at[2]);
                }
                if (mostTurn > 0) {
                    better |= improve(at, at[0], at[1], Math.min(turn + mostTurn, at[2] + swing));
                    better |= improve(at, at[0], at[1], Math.max(turn - mostTurn, at[2] - swing));
                }
                if (!better) {
                    step *= 0.6;
                    swing *= 0.6;
                }
            }
            if (at[3] > best[3] * (1 + 1e-9)) {
                best = at;
            }
        }
        return best;
    }

    private double[] towardMiddle(double[] best, double share) {
        double low = share >= 1 ? 0 : Bisection.largest(0, 1, 11,
                way -> size(best[0] + way * (zoneX - best[0]), best[1] + way * (zoneY - best[1]), best[2]) >= share * best[3]).low();
        double x = best[0] + low * (zoneX - best[0]);
        double y = best[1] + low * (zoneY - best[1]);
        return new double[] {x, y, best[2], size(x, y, best[2])};
    }

    private boolean improve(double[] at, double x, double y, double turn) {
        double size = size(x, y, turn, at[3] * (1 + 1e-7));
        if (size > at[3] * (1 + 1e-7)) {
            at[0] = x;
            at[1] = y;
            at[2] = turn;
            at[3] = size;
            return true;
        }
        return false;
    }

    /** Largest size at a place; 0 if the place is outside the zone. */
    private double size(double x, double y, double turn) {
        return size(x, y, turn, 0);
    }

    /** As {@link #size(double, double, double)}; 0 as soon as it cannot be above a size that is known already. */
    private double size(double x, double y, double turn, double known) {
        tried++;
        Coordinate at = new Coordinate(x, y);
        if (!PointLocation.isInRing(at, rings[0])) {
            return 0;
        }
        for (int i = 1; i < rings.length; i++) {
            if (PointLocation.isInRing(at, rings[i])) {
                return 0;
            }
        }
        // what was in the way last is asked first: most places are refused, and by what refused their neighbour
        double turned = Math.toRadians(turn);
        double cos = Math.cos(turned);
        double sin = Math.sin(turned);
        double size = hull.length > tightCorner ? cornerRoom(tightCorner, x, y, cos, sin) : Double.POSITIVE_INFINITY;
        if (size <= known) {
            return 0;
        }
        for (int k = 0; k < vertices.length; k++) {
            int i = (tightVertex + k) % vertices.length;
            double dx = vertices[i].x - x;
            double dy = vertices[i].y - y;
            double own = own(Math.atan2(dy, dx) - turned);
            if (own > 0) {
                size = Math.min(size, Math.hypot(dx, dy) / own);
                if (size <= known) {
                    tightVertex = i;
                    return 0;
                }
            }
        }
        for (int i = 1; i < hull.length; i++) {
            size = Math.min(size, cornerRoom(i, x, y, cos, sin));
            if (size <= known) {
                tightCorner = i;
                return 0;
            }
        }
        return size;
    }

    /** Largest size at which a corner of the hull lies within the rings. */
    private double cornerRoom(int corner, double x, double y, double cos, double sin) {
        double px = hull[corner].x * cos - hull[corner].y * sin;
        double py = hull[corner].x * sin + hull[corner].y * cos;
        double length = Math.hypot(px, py);
        double size = Double.POSITIVE_INFINITY;
        for (Coordinate[] ring : rings) {
            double far = length > 0 ? Rays.crossing(ring, x, y, px / length, py / length, false) : 0;
            if (far > 0) {
                size = Math.min(size, far / length);
            }
        }
        return size;
    }

    /** Reach of the hull from its middle in a direction, by table. */
    private double own(double angle) {
        double at = angle / (2 * Math.PI);
        at = (at - Math.floor(at)) * DIRECTIONS;
        int i = (int) at % DIRECTIONS;
        double f = at - Math.floor(at);
        return reaches[i] * (1 - f) + reaches[(i + 1) % DIRECTIONS] * f;
    }
}
