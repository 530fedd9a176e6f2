package mosspebble.core.sketch;

import java.util.List;
import java.util.function.Function;
import mosspebble.core.area.Shapes;
import mosspebble.core.units.Bisection;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * A design laid on another stone: all its things together, moved and sized alike, so that they are to the other face what they were to
 * their own. The size follows from the largest copy of the design's hull that either face holds. Its place is to the middle of the face as
 * it was, or as near to that as keeps it from running over the edge more than it did; what lay within its face is kept off the cracks of
 * the other. What wears the stone wears the other one. Dots and what was drawn by hand are sized with the rest; pens, brushes and dotting
 * tools are chosen anew by the plan.
 */
public final class Refit {

    private static final double ABOUT_THE_SAME = 1e-9;

    /** What lies over the face by less than this share is taken for lying within. */
    private static final double HARDLY = 1e-3;

    /** A share that is nothing but rounding. */
    private static final double NOTHING = 5e-5;

    /** A hull may need room that the design does not; it is made smaller by no more than this share to keep within. */
    private static final double LEAST = 0.8;

    private static final int HALVINGS = 10;

    /**
     * @param sketch as it lies on the other stone
     * @param size times its size on the first
     */
    public record Refitted(Sketch sketch, double size) {}

    private final double size;
    private final Coordinate before;
    private final Coordinate after;

    /** The middle goes from one place to another, all else with it, so many times as large. */
    private Refit(double size, Coordinate before, Coordinate after) {
        this.size = size;
        this.before = before;
        this.after = after;
    }

    /**
     * @param from the stone it lies on
     * @param to the stone it is laid on
     */
    public static Refitted onto(Sketch sketch, Repertoire repertoire, Support from, Support to) {
        List<Geometry> placed = Designs.place(sketch, repertoire, from)
                .map(design -> design.items().stream().filter(i -> Refit.isPlaced(i.item())).map(PlacedItem::silhouette)
                        .filter(shape -> !shape.isEmpty()).toList())
                .orElse(List.of());
        Refit refit = placed.isEmpty() ? byArea(from, to) : byShape(Shapes.union(placed), from, to);
        List<Item> items = sketch.items().stream().map(item -> refit.laid(item, repertoire, from, to)).toList();
        return new Refitted(new Sketch(items), refit.size);
    }

    /** Whether a thing lies where its placement puts it, and not where the stone does. */
    private static boolean isPlaced(Item item) {
        boolean onRim = item.subject() instanceof Subject.Word word && word.setting().path() == LetterSetting.Path.RIM;
        boolean guide = item.subject() instanceof Subject.Guide;
        return item.manner() != ItemMode.WEARING && !onRim && !guide;
    }

    private static Refit byArea(Support from, Support to) {
        double size = Math.sqrt(to.zones().face().getArea() / from.zones().face().getArea());
        return new Refit(size, from.zones().face().getCentroid().getCoordinate(), to.zones().face().getCentroid().getCoordinate());
    }

    private static Refit byShape(Geometry shape, Support from, Support to) {
        Geometry face = from.zones().face();
        Geometry hull = shape.convexHull();
        boolean within = over(shape, face) <= HARDLY;
        Geometry room = within ? Designs.room(0, 0, to) : to.zones().face();
        Placement here = LargestFit.centred(hull, face, 0, 0, 1).map(LargestFit.Fit::placement).orElse(null);
        Placement there = LargestFit.centred(hull, room, 0, 0, 1).map(LargestFit.Fit::placement).orElse(null);
        if (here == null || there == null) {
            return byArea(from, to);
        }
        double ratio = there.scale() / here.scale();
        double size = Math.abs(ratio - 1) < ABOUT_THE_SAME ? 1 : ratio;
        double most = Math.max(NOTHING, over(shape, face));
        Coordinate middle = LargestFit.middle(hull);
        Coordinate own = face.getCentroid().getCoordinate();
        Coordinate other = to.zones().face().getCentroid().getCoordinate();
        Function<Double, Refit> sized = smaller -> {
            double x = other.x + smaller * size * (middle.x - own.x);
            double y = other.y + smaller * size * (middle.y - own.y);
            // to the middle of this face as it was to that of its own, or as near to it as keeps it from running over the edge more
            double way = Bisection.largest(0, 1, HALVINGS,
                    share -> over(new Refit(smaller * size, middle, between(there, x, y, share)).laid(shape), room) <= most).low();
            return new Refit(smaller * size, middle, between(there, x, y, way));
        };
        double smaller = !within ? 1
                : Bisection.largest(LEAST, 1, HALVINGS, factor -> over(sized.apply(factor).laid(shape), room) <= most).low();
        return sized.apply(smaller);
    }

    private static Coordinate between(Placement best, double x, double y, double share) {
        return new Coordinate(best.x() + share * (x - best.x()), best.y() + share * (y - best.y()));
    }

    /** The share of a shape that lies over the edge of a face. */
    private static double over(Geometry shape, Geometry face) {
        return Shapes.minus(shape, face).getArea() / shape.getArea();
    }

    private Geometry laid(Geometry shape) {
        return new AffineTransformation().translate(-before.x, -before.y).scale(size, size).translate(after.x, after.y).transform(shape);
    }

    private Item laid(Item item, Repertoire repertoire, Support from, Support to) {
        Placement p = item.placement();
        Placement there = new Placement(after.x + size * (p.x() - before.x), after.y + size * (p.y() - before.y), p.turn(),
                size * p.scale());
        Item sized = item.withPlacement(there);
        if (item.subject() instanceof Subject.Dots dots) {
            return sized.showing(sized(dots));
        }
        if (item.subject() instanceof Subject.Word word && word.setting().path() == LetterSetting.Path.RIM) {
            return onRim(item, repertoire, from, to);
        }
        return item.subject() instanceof Subject.Guide ? item : sized;
    }

    /** Words on the rim: their height is to the tallest that goes as it was. */
    private Item onRim(Item item, Repertoire repertoire, Support from, Support to) {
        double here = Designs.fit(item, repertoire, from).map(Placement::scale).orElse(item.placement().scale());
        double there = Designs.fit(item, repertoire, to).map(Placement::scale).orElse(size * item.placement().scale());
        return item.withPlacement(item.placement().sizedBy(there / here));
    }

    private Subject.Dots sized(Subject.Dots dots) {
        return dots.withRing(new Subject.Dots.Ring(mm(dots.diameterMm(), 0.3, 60), mm(dots.gapMm(), 0, 60), mm(dots.insetMm(), 0, 100)))
                .withFrame(new Subject.Dots.Frame(mm(dots.bandMm(), 0, 60), mm(dots.innerMm(), 0, 60)));
    }

    /** To a tenth of a millimetre, between the least and the most there may be; nothing stays nothing. */
    private double mm(double before, double least, double most) {
        return size == 1 || before == 0 ? before : Math.max(least, Math.min(most, Math.round(10 * size * before) / 10.0));
    }
}
