package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.stone.Zones;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;

/** Puts a sketch on a stone. */
public final class Designs {

    /** Parts touch the rim of what they wear; kept this far inside the zone, mm. */
    private static final double WEARING_INSET = 0.5;

    private Designs() {}

    /** The motif a subject stands for; empty if the repertoire lacks the motif or face, or the face all of its letters. */
    public static Optional<Motif> motif(Subject subject, Repertoire repertoire) {
        return subject.match(
                figure -> repertoire.motif(figure.motif()),
                word -> repertoire.typeface(word.typeface())
                        .filter(face -> Lettering.missing(word, face).size() < String.join("", word.lines()).codePoints().distinct().count())
                        .map(face -> Lettering.set(word, face)),
                dots -> Optional.of(dotMotif(dots)));
    }

    private static final Slot DOTS = new Slot("dots", "Dots", Srgb.ofHex("#efe3c6"));
    private static final Slot OTHERS = new Slot("others", "Dots between", Srgb.ofHex("#e7a32b"));

    /** What a ring of dots is before it knows its stone: its colours, and a disc of radius 1 that must fit. */
    private static Motif dotMotif(Subject.Dots dots) {
        Geometry disc = DotRing.disc(new GeometryFactory(), new Coordinate(0, 0), 1);
        List<MotifPart> parts = new ArrayList<>(List.of(dotPart(disc, DOTS, "dots")));
        if (dots.twoColours()) {
            parts.add(dotPart(disc, OTHERS, "dots between"));
        }
        return new Motif("dots", "Ring of dots", dots.twoColours() ? List.of(DOTS, OTHERS) : List.of(DOTS), parts, disc, disc, true, false);
    }

    private static MotifPart dotPart(Geometry shape, Slot slot, String title) {
        return new MotifPart(slot.id(), title, Role.FILL, slot.id(), shape, 0, 0, false, Sits.ALWAYS, Optional.empty());
    }

    /** The curve a ring of dots runs along, mm; empty if it leaves no room. */
    public static Optional<LinearRing> curve(Item item, Subject.Dots dots, Zones zones) {
        Geometry inside = item.wearing() ? Shapes.grown(zones.paintable(), -dots.insetMm() - dots.diameterMm() / 2)
                : new GeometryFactory().createPoint(new Coordinate(item.placement().x(), item.placement().y())).buffer(item.placement().scale(), 64);
        Geometry largest = inside.getNumGeometries() == 0 ? inside : inside.getGeometryN(0);
        return largest instanceof Polygon p && !p.isEmpty() && p.getArea() > 20 ? Optional.of(p.getExteriorRing()) : Optional.empty();
    }

    /** The ring of dots as it comes out on a stone; empty if there is no room. */
    public static Optional<DotRing> dots(Item item, Subject.Dots dots, Zones zones) {
        return curve(item, dots, zones).map(curve -> {
            DotRing ring = DotRing.most(curve, dots.diameterMm(), dots.gapMm(), dots.dotOnTop());
            boolean odd = dots.twoColours() && ring.centres().size() % 2 == 1;
            return odd ? DotRing.count(curve, Math.max(4, ring.centres().size() - 1), dots.diameterMm(), dots.dotOnTop()) : ring;
        });
    }

    private static Optional<PlacedItem> dots(Motif motif, Item item, Subject.Dots dots, Zones zones) {
        return dots(item, dots, zones).map(ring -> {
            List<PlacedPart> parts = new ArrayList<>();
            List<Geometry> areas = new ArrayList<>();
            for (int k = 0; k < motif.parts().size(); k++) {
                Geometry area = ring.areas(k, motif.parts().size());
                MotifPart part = motif.parts().get(k);
                parts.add(new PlacedPart(item.id().isEmpty() ? part : part.named(item.named(part.id()), item.named(part.slot())), area, area));
                areas.add(area);
            }
            return new PlacedItem(item, motif, item.wearing(), parts, Shapes.union(areas));
        });
    }

    /** A design may be this much smaller than the largest to sit nearer the middle (common practice, no source). */
    private static final double WORTH_CENTRING = 0.94;

    /**
     * A large placement of a motif inside the face: the largest there is, drawn toward the middle of the face as far as that costs little size.
     *
     * @param marginMm kept clear along the edge of the face
     * @param mostTurn allowed turn to either side, degrees
     */
    public static Optional<LargestFit.Fit> fit(Motif motif, Zones zones, double marginMm, double mostTurn) {
        return LargestFit.centred(motif.sitting(), Shapes.grown(zones.face(), -marginMm), 0, mostTurn, WORTH_CENTRING);
    }

    /** The whole sketch on a stone; things whose motif or face is not in the repertoire are left out, and empty if all are. */
    public static Optional<PlacedDesign> place(Sketch sketch, Repertoire repertoire, Zones zones) {
        List<PlacedItem> items = new ArrayList<>();
        for (Item item : sketch.items()) {
            motif(item.subject(), repertoire).flatMap(motif -> item.subject() instanceof Subject.Dots dots ? dots(motif, item, dots, zones) : Optional.of(place(motif, item, zones))).ifPresent(items::add);
        }
        if (items.isEmpty()) {
            return Optional.empty();
        }
        List<Slot> slots = new ArrayList<>();
        List<PlacedPart> parts = new ArrayList<>();
        List<Geometry> areas = new ArrayList<>();
        for (PlacedItem item : items) {
            boolean alone = items.size() == 1;
            item.motif().slots().forEach(slot -> slots.add(new Slot(item.item().named(slot.id()), alone ? slot.title() : slot.title() + ", " + item.motif().title(), slot.wish())));
            parts.addAll(item.parts());
            areas.add(item.silhouette());
        }
        return Optional.of(new PlacedDesign(items, slots, parts, Shapes.union(areas)));
    }

    private static PlacedItem place(Motif motif, Item item, Zones zones) {
        boolean wearing = item.wearing() && motif.wears();
        WearingMap map = wearing ? new WearingMap(motif.silhouette(), Shapes.grown(zones.paintable(), -WEARING_INSET)) : null;
        Coordinate middle = LargestFit.middle(motif.sitting());
        AffineTransformation rigid = item.placement().transformation(middle.x, middle.y);
        List<PlacedPart> parts = new ArrayList<>();
        List<Geometry> areas = new ArrayList<>();
        for (MotifPart part : motif.parts()) {
            if (part.sits() == (wearing ? Sits.ON_STONE : Sits.WEARING)) {
                continue;
            }
            Geometry drawn = wearing ? map.apply(part.isArea() ? Shapes.common(part.shape(), motif.silhouette()) : part.shape()) : rigid.transform(part.shape());
            if (drawn.isEmpty()) {
                continue; // wholly outside the silhouette that becomes the stone's outline
            }
            MotifPart named = item.id().isEmpty() ? part : part.named(item.named(part.id()), item.named(part.slot()));
            if (part.isArea()) {
                drawn = drawn.isValid() ? drawn : Shapes.grown(drawn, 1e-6);
                parts.add(new PlacedPart(named, drawn, drawn));
                areas.add(drawn);
            } else {
                parts.add(new PlacedPart(named, drawn, Shapes.stroke(drawn, part.penMm())));
            }
        }
        return new PlacedItem(item, motif, wearing, parts, Shapes.union(areas));
    }
}
