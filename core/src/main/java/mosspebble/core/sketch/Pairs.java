package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.algorithm.distance.DiscreteHausdorffDistance;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/** Mirror partners of a placed thing: how unequal they are, and made equal. */
public final class Pairs {

    /**
     * Two parts that should be mirror images.
     *
     * @param apartMm how far the one, mirrored and laid on the other's middle, departs from it (Hausdorff distance)
     * @param larger how many times the first one's area the second one's is
     */
    public record Pair(PlacedPart one, PlacedPart other, double apartMm, double larger) {}

    private Pairs() {}

    /** Each pair once. */
    public static List<Pair> of(PlacedItem placed) {
        List<Pair> pairs = new ArrayList<>();
        for (PlacedPart part : placed.parts()) {
            partner(part, placed).filter(other -> part.part().id().compareTo(other.part().id()) < 0).ifPresent(other -> {
                Geometry mirrored = mirrored(part.drawn(), other.drawn(), placed);
                double apart = DiscreteHausdorffDistance.distance(mirrored, other.drawn());
                double larger = part.part().isArea() ? other.drawn().getArea() / part.drawn().getArea()
                        : other.drawn().getLength() / Math.max(1e-9, part.drawn().getLength());
                pairs.add(new Pair(part, other, apart, larger));
            });
        }
        return pairs;
    }

    private static Optional<PlacedPart> partner(PlacedPart part, PlacedItem placed) {
        return part.part().mirror()
                .flatMap(id -> placed.parts().stream().filter(p -> p.part().id().equals(placed.item().named(id))).findFirst());
    }

    /** The first shape mirrored about the thing's own axis, its middle on that of the second. */
    private static Geometry mirrored(Geometry shape, Geometry onto, PlacedItem placed) {
        double turn = placed.wears() ? 0 : Math.toRadians(placed.item().placement().turn());
        Coordinate from = shape.getEnvelopeInternal().centre();
        AffineTransformation mirror = new AffineTransformation().translate(-from.x, -from.y).rotate(-turn).scale(-1, 1).rotate(turn);
        Geometry image = mirror.transform(shape);
        Coordinate to = onto.getCentroid().getCoordinate();
        Coordinate now = image.getCentroid().getCoordinate();
        return AffineTransformation.translationInstance(to.x - now.x, to.y - now.y).transform(image);
    }

    /** The thing with the larger of each pair replaced by the mirror image of the smaller, in its own place. */
    static PlacedItem matched(PlacedItem placed) {
        List<PlacedPart> parts = new ArrayList<>(placed.parts());
        for (Pair pair : of(placed)) {
            boolean first = pair.larger() <= 1; // the other one is smaller: it is copied onto the first
            PlacedPart model = first ? pair.other() : pair.one();
            PlacedPart changed = first ? pair.one() : pair.other();
            Geometry drawn = mirrored(model.drawn(), changed.drawn(), placed);
            Geometry painted = changed.part().isArea() ? drawn : mirrored(model.painted(), changed.painted(), placed);
            parts.set(parts.indexOf(changed), new PlacedPart(changed.part(), drawn, painted));
        }
        return new PlacedItem(placed.item(), placed.motif(), placed.wears(), parts, placed.silhouette());
    }
}
