package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import mosspebble.core.area.Shapes;
import mosspebble.core.stone.Patch;
import mosspebble.core.units.Bisection;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.util.AffineTransformation;

/** Several of a thing, and things brought to what the stone offers. */
public final class Arrange {

    /** The main one of a group is so much larger; the farthest are so much smaller (common practice, no source). */
    private static final double MAIN = 1.3;
    private static final double FAR = 0.68;

    private static final int TRIES = 900;

    private Arrange() {}

    /**
     * A group scattered over the face, the main one in the middle and largest, those higher up smaller as if farther away; none touches
     * another.
     *
     * @param count 2 to 15
     * @param seed another number gives another arrangement
     * @return as many placements, the main one first; empty if there is no room
     */
    public static List<Placement> scattered(Motif motif, Support bed, double marginMm, int count, long seed) {
        Geometry zone = Shapes.grown(bed.zones().face(), -marginMm);
        Optional<LargestFit.Fit> whole = LargestFit.centred(motif.sitting(), zone, 0, 0, 0.9);
        if (whole.isEmpty()) {
            return List.of();
        }
        Envelope box = zone.getEnvelopeInternal();
        Geometry hull = motif.sitting().convexHull();
        Coordinate middle = LargestFit.middle(motif.sitting());
        for (double size = whole.get().placement().scale() / Math.sqrt(count) * 0.95; size > whole.get().placement().scale() / 14;
                size *= 0.9) {
            SplittableRandom random = new SplittableRandom(seed * 6364136223846793005L + count);
            List<Placement> found = new ArrayList<>();
            List<Geometry> taken = new ArrayList<>();
            Placement main = new Placement(whole.get().placement().x(), whole.get().placement().y(), 0, size * MAIN);
            put(main, hull, middle, taken, found);
            for (int tries = 0; tries < TRIES && found.size() < count; tries++) {
                double x = box.getMinX() + box.getWidth() * random.nextDouble();
                double y = box.getMinY() + box.getHeight() * random.nextDouble();
                double near = (y - box.getMinY()) / box.getHeight();
                Placement at = new Placement(x, y, (random.nextDouble() - 0.5) * 14, size * (FAR + (1 - FAR) * near));
                Geometry shape = at.transformation(middle.x, middle.y).transform(hull);
                if (zone.covers(shape) && taken.stream().noneMatch(t -> t.isWithinDistance(shape, 0.6))) {
                    put(at, hull, middle, taken, found);
                }
            }
            if (found.size() == count) {
                return found;
            }
        }
        return List.of();
    }

    private static void put(Placement at, Geometry hull, Coordinate middle, List<Geometry> taken, List<Placement> found) {
        taken.add(at.transformation(middle.x, middle.y).transform(hull));
        found.add(at);
    }

    /**
     * So many on a ring that follows the face, each turned outward, as large as they go without touching.
     *
     * @return the one on top first; empty if there is no room
     */
    public static List<Placement> ring(Motif motif, Support bed, double marginMm, int count) {
        Geometry zone = Shapes.grown(bed.zones().face(), -marginMm);
        Geometry hull = motif.sitting().convexHull();
        Coordinate middle = LargestFit.middle(motif.sitting());
        Envelope own = hull.getEnvelopeInternal();
        double most = Math.min(zone.getEnvelopeInternal().getWidth(), zone.getEnvelopeInternal().getHeight()) / own.getHeight() / 2;
        double size = Bisection.of(0, most, 14, s -> ring(zone, hull, middle, own.getDiameter() * s / 2, s, count).size() == count).low();
        return size > 0 ? ring(zone, hull, middle, own.getDiameter() * size / 2, size, count) : List.of();
    }

    private static List<Placement> ring(Geometry zone, Geometry hull, Coordinate middle, double half, double size, int count) {
        return Shapes.ring(Shapes.grown(zone, -half)).map(curve -> {
            List<Coordinate> centres = DotRing.count(curve, count < 3 ? 2 * count : count, 1, true).centres();
            Point centre = zone.getCentroid();
            List<Placement> found = new ArrayList<>();
            List<Geometry> taken = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                Coordinate c = centres.get(count < 3 ? 2 * i : i);
                Placement at = new Placement(c.x, c.y, Math.toDegrees(Math.atan2(c.x - centre.getX(), centre.getY() - c.y)), size);
                Geometry shape = at.transformation(middle.x, middle.y).transform(hull);
                if (!zone.covers(shape) || taken.stream().anyMatch(t -> t.isWithinDistance(shape, 0.4))) {
                    return List.<Placement>of();
                }
                put(at, hull, middle, taken, found);
            }
            return found;
        }).orElse(List.of());
    }

    /** The marks of the relief that a thing can be set on: bumps, dents, holes and flats of the side that is up. */
    public static List<Patch> places(Support bed) {
        return bed.dome().patches().stream().filter(p -> p.kind() != Patch.Kind.CRACK).toList();
    }

    /** The thing moved so that the middle of one of its parts lies on a mark: an eye on a bump, a centre in a dent. */
    public static Placement onMark(PlacedItem placed, PlacedPart part, Patch mark) {
        Coordinate now = part.drawn().getEnvelopeInternal().centre();
        return placed.item().placement().movedBy(mark.x() - now.x, mark.y() - now.y);
    }

    /**
     * The part of a thing that wants to sit on a mark: the nearest of its small round ones (eye, nose, centre), else the thing as a whole.
     */
    public static Optional<PlacedPart> anchor(PlacedItem placed, Patch mark) {
        return placed.parts().stream()
                .filter(p -> p.part().role() == Role.FILL && p.part().title().matches(".*\\b(eye|nose|centre|disc|pupil)\\b.*"))
                .min((a, b) -> Double.compare(distance(a, mark), distance(b, mark)));
    }

    private static double distance(PlacedPart part, Patch mark) {
        Coordinate c = part.drawn().getEnvelopeInternal().centre();
        return Math.hypot(c.x - mark.x(), c.y - mark.y());
    }

    /**
     * The thing moved as little as may be so that it hides a bad spot, enlarged if it must be.
     *
     * @param spot what must be hidden, mm
     * @return empty if not even half as large again it would
     */
    public static Optional<Placement> covering(PlacedItem placed, Geometry spot, Support bed) {
        Placement now = placed.item().placement();
        Coordinate pivot = new Coordinate(now.x(), now.y());
        Geometry zone = bed.zones().outline();
        for (double larger = 1; larger <= 1.51; larger += 0.1) {
            double factor = larger;
            Geometry shape = AffineTransformation.scaleInstance(factor, factor, pivot.x, pivot.y).transform(placed.silhouette());
            for (double reach = 0; reach < 80; reach += 1.5) {
                int steps = reach == 0 ? 1 : 24;
                for (int i = 0; i < steps; i++) {
                    double dx = reach * Math.cos(2 * Math.PI * i / steps);
                    double dy = reach * Math.sin(2 * Math.PI * i / steps);
                    Geometry moved = AffineTransformation.translationInstance(dx, dy).transform(shape);
                    if (moved.covers(spot) && zone.covers(moved)) {
                        return Optional.of(now.movedBy(dx, dy).sizedBy(factor));
                    }
                }
            }
        }
        return Optional.empty();
    }

    /**
     * Angle by which the stone's long axis leans from upright, degrees, -90 to 90: that of the smallest moment of inertia of its outline's
     * corners.
     */
    public static double longAxis(Support bed) {
        Geometry outline = bed.zones().outline();
        Coordinate middle = outline.getCentroid().getCoordinate();
        double xx = 0;
        double yy = 0;
        double xy = 0;
        for (Coordinate c : outline.getCoordinates()) {
            xx += (c.x - middle.x) * (c.x - middle.x);
            yy += (c.y - middle.y) * (c.y - middle.y);
            xy += (c.x - middle.x) * (c.y - middle.y);
        }
        double along = 0.5 * Math.toDegrees(Math.atan2(2 * xy, xx - yy)); // of the long axis against level
        return Math.IEEEremainder(along + 90, 180);
    }
}
