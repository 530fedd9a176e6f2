package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.LinearComponentExtracter;
import org.locationtech.jts.linearref.LengthIndexedLine;
import org.locationtech.jts.simplify.TopologyPreservingSimplifier;

/** Negative painting: a silhouette kept out of what lies next behind it, so that the ground below shows there. */
final class LeftFree {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    /** Strokes of a fringe are so far apart and so wide, mm (common practice, no source). */
    private static final double FRINGE_EVERY = 0.9;
    private static final double FRINGE_WIDE = 0.7;

    /** A longer edge has its strokes farther apart. */
    private static final int MOST_STROKES = 3000;

    /** Finer than any brush follows, mm. */
    private static final double FINE = 0.06;

    private LeftFree() {}

    /** The silhouette with fine strokes of uneven length standing out from its edge, as hair and feathers do. */
    static Geometry fringed(Geometry silhouette, double mm) {
        if (mm <= 0 || silhouette.isEmpty()) {
            return silhouette;
        }
        SplittableRandom random = new SplittableRandom(20261125);
        List<Geometry> all = new ArrayList<>(List.of(silhouette));
        Set<LineString> holes = holes(silhouette);
        double every = Math.max(FRINGE_EVERY, silhouette.getLength() / MOST_STROKES);
        for (Object component : LinearComponentExtracter.getLines(silhouette)) {
            LineString line = (LineString) component;
            LengthIndexedLine along = new LengthIndexedLine(line);
            int side = Orientation.isCCW(line.getCoordinates()) == holes.contains(line) ? 1 : -1; // outward: away from the area
            for (double s = 0; s < line.getLength(); s += every) {
                Coordinate at = along.extractPoint(s);
                Coordinate next = along.extractPoint(Math.min(line.getLength(), s + 0.3));
                double size = Math.max(1e-9, at.distance(next));
                double tx = (next.x - at.x) / size;
                double ty = (next.y - at.y) / size;
                double length = mm * (0.45 + 0.55 * random.nextDouble());
                double lean = (random.nextDouble() - 0.5) * 0.9 * length;
                Coordinate tip = new Coordinate(at.x + side * length * -ty + lean * tx, at.y + side * length * tx + lean * ty);
                all.add(FACTORY.createPolygon(new Coordinate[] {new Coordinate(at.x - tx * FRINGE_WIDE / 2, at.y - ty * FRINGE_WIDE / 2),
                    tip, new Coordinate(at.x + tx * FRINGE_WIDE / 2, at.y + ty * FRINGE_WIDE / 2),
                    new Coordinate(at.x - tx * FRINGE_WIDE / 2, at.y - ty * FRINGE_WIDE / 2)}));
            }
        }
        return Shapes.union(all.stream().map(g -> g.isValid() ? g : Shapes.grown(g, 1e-6)).toList());
    }

    private static Set<LineString> holes(Geometry area) {
        Set<LineString> holes = Collections.newSetFromMap(new IdentityHashMap<>());
        for (int i = 0; i < area.getNumGeometries(); i++) {
            if (area.getGeometryN(i) instanceof Polygon p) {
                for (int k = 0; k < p.getNumInteriorRing(); k++) {
                    holes.add(p.getInteriorRingN(k));
                }
            }
        }
        return holes;
    }

    /**
     * Takes each silhouette that is left free out of the thing next behind it.
     *
     * @param items the deepest first
     * @param free receives silhouettes with nothing behind them: what the ground must leave free
     */
    static List<PlacedItem> cut(List<PlacedItem> items, List<Geometry> free, Remembered remembered) {
        List<PlacedItem> changed = new ArrayList<>(items);
        for (int i = 0; i < items.size(); i++) {
            PlacedItem over = items.get(i);
            if (over.item().manner() != ItemMode.LEFT_FREE) {
                continue;
            }
            List<PlacedPart> outstanding = outstanding(over);
            Geometry kept = remembered.anywhere("left free", over.silhouette(), outstanding.stream().map(PlacedPart::painted).toList(),
                    over.item().fringeMm(), LeftFree::kept);
            if (kept.isEmpty()) {
                continue; // a guide, or lines within nothing: there is no silhouette to leave free
            }
            int cover = -1;
            for (int k = i - 1; k >= 0 && cover < 0; k--) {
                boolean paints = items.get(k).item().manner() != ItemMode.LEFT_FREE
                        && items.get(k).parts().stream().anyMatch(p -> p.part().role() == Role.FILL);
                cover = paints && items.get(k).silhouette().intersects(kept) ? k : -1;
            }
            changed.set(i, lines(over, kept, outstanding));
            if (cover < 0) {
                free.add(kept);
            } else {
                changed.set(cover, without(changed.get(cover), kept, remembered));
            }
        }
        return changed;
    }

    private static Geometry kept(Geometry silhouette, List<Geometry> outstanding, double fringeMm, Remembered memory) {
        List<Geometry> all = new ArrayList<>(List.of(fringed(silhouette, fringeMm)));
        all.addAll(outstanding);
        return Shapes.polygons(TopologyPreservingSimplifier.simplify(Shapes.union(all), FINE));
    }

    /** Lines that stand out from the areas, as legs and reeds do: they are kept free with them. */
    private static List<PlacedPart> outstanding(PlacedItem over) {
        return over.parts().stream().filter(
                p -> p.part().role() == Role.LINE && Shapes.outside(p.drawn(), over.silhouette()).getLength() > 0.5 * p.drawn().getLength())
                .toList();
    }

    /** What is left of the thing itself: its inner lines and lights, and the pencil line round it. */
    private static PlacedItem lines(PlacedItem over, Geometry kept, List<PlacedPart> outstanding) {
        List<PlacedPart> parts = new ArrayList<>();
        MotifPart any = over.parts().get(0).part();
        parts.add(new PlacedPart(new MotifPart(over.item().named("free-edge"), "edge of what stays free", Role.GUIDE, any.slot(),
                kept.getBoundary(), MotifPart.Make.FLAT, Optional.empty()), kept.getBoundary(), Shapes.nothing()));
        over.parts().stream().filter(p -> p.part().role() != Role.FILL && !outstanding.contains(p)).forEach(parts::add);
        return new PlacedItem(over.item(), over.motif(), over.wears(), parts, kept);
    }

    private static PlacedItem without(PlacedItem cover, Geometry kept, Remembered remembered) {
        List<PlacedPart> parts = new ArrayList<>();
        for (PlacedPart part : cover.parts()) {
            Geometry drawn = part.part().isArea() ? remembered.keptFree(part.drawn(), kept) : Shapes.outside(part.drawn(), kept);
            if (!drawn.isEmpty()) {
                parts.add(new PlacedPart(part.part(), drawn, part.part().isArea() ? drawn
                        : part.part().role() == Role.GUIDE ? Shapes.nothing() : remembered.minus(part.painted(), kept)));
            }
        }
        return new PlacedItem(cover.item(), cover.motif(), cover.wears(), parts, remembered.minus(cover.silhouette(), kept));
    }
}
