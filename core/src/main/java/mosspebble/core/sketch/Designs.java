package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Zones;
import mosspebble.core.units.Srgb;
import mosspebble.core.units.Words;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.util.AffineTransformation;

/** Puts a sketch on a stone. */
public final class Designs {

    private static final Placement ANYWHERE = new Placement(0, 0, 0, 1);

    private static final GeometryFactory FACTORY = new GeometryFactory();

    /** Parts touch the rim of what they wear; kept this far inside the zone, mm. */
    private static final double WEARING_INSET = 0.5;

    /** A design may be this much smaller than the largest to sit nearer the middle (common practice, no source). */
    private static final double WORTH_CENTRING = 0.94;

    /** Free pieces smaller than this share of the largest are not looked at, nor more than so many. */
    private static final double WORTH_A_LOOK = 0.1;
    private static final int MOST_PATCHES = 6;

    /** Things keep at least so far apart, mm (common practice, no source). */
    private static final double LEAST_GAP_MM = 0.6;

    /** So many times the stone's longer side is more than anybody places; beyond, only what lies near the stone is kept. */
    private static final double HUGE = 3;

    private static final Slot DOTS = new Slot("dots", "Dots", Srgb.ofHex("#efe3c6"));
    private static final Srgb OTHERS = Srgb.ofHex("#e7a32b");
    private static final Slot LINES = new Slot("lines", "Lines beside the dots", Srgb.ofHex("#efe3c6"));
    private static final double BORDER_PEN = 0.7;

    private Designs() {}

    // --- what a subject is before it knows its stone

    /** The motif a subject stands for; empty if the repertoire lacks the motif, face or family, or the face all of its letters. */
    public static Optional<Motif> motif(Subject subject, Repertoire repertoire) {
        return subject instanceof Subject.Word || subject instanceof Subject.Pattern
                ? repertoire.made(subject, () -> motif(subject, repertoire, Family.Site.plain()))
                : motif(subject, repertoire, Family.Site.plain());
    }

    /** The motif of a thing as far as its outer shape goes: mirrored if the thing is. */
    public static Optional<Motif> shape(Item item, Repertoire repertoire) {
        return motif(item.subject(), repertoire).map(m -> item.mirrored() ? mirrored(m) : m);
    }

    private static Optional<Motif> motif(Subject subject, Repertoire repertoire, Family.Site site) {
        return subject.match(
                figure -> repertoire.motif(figure.motif()),
                word -> face(word, repertoire).map(face -> Lettering.set(word, face)),
                dots -> Optional.of(dotMotif(dots)),
                pattern -> repertoire.family(pattern.family()).map(family -> family.motif(pattern.values(), site)),
                stroke -> Optional.of(Strokes.motif(stroke)),
                guide -> Optional
                        .of(guideMotif(guide, FACTORY.createLineString(new Coordinate[] {new Coordinate(-1, 0), new Coordinate(1, 0)}))));
    }

    private static Optional<Typeface> face(Subject.Word word, Repertoire repertoire) {
        return repertoire.typeface(word.typeface())
                .filter(face -> Lettering.missing(word, face).size() < String.join("", word.lines()).codePoints().distinct().count());
    }

    /** What a ring of dots is before it knows its stone: its colours, and a disc of radius 1 that must fit. */
    private static Motif dotMotif(Subject.Dots dots) {
        Geometry disc = DotRing.disc(FACTORY, new Coordinate(0, 0), 1);
        List<Slot> slots = new ArrayList<>(List.of(DOTS));
        List<MotifPart> parts = new ArrayList<>();
        if (dots.bandMm() > 0) {
            slots.add(LINES);
            parts.add(new MotifPart("lines", "lines beside the dots", Role.LINE, LINES.id(), disc.getBoundary(),
                    new MotifPart.Make(BORDER_PEN, 0, false, Presence.ALWAYS), Optional.empty()));
        }
        parts.add(dotPart(disc, DOTS, "dots"));
        if (dots.twoColours() || dots.series() == Subject.Series.ALTERNATING || dots.series() == Subject.Series.WALKING
                || dots.innerMm() > 0) {
            String others = others(dots);
            Slot slot = new Slot("others", Words.upper(others), OTHERS);
            slots.add(slot);
            parts.add(dotPart(disc, slot, others));
        }
        return new Motif("dots", "Border of dots", slots, parts, disc, disc, true, false);
    }

    /** What those are called that are not simply the dots. */
    private static String others(Subject.Dots dots) {
        boolean between = dots.twoColours() || dots.series() == Subject.Series.ALTERNATING;
        boolean walking = dots.series() == Subject.Series.WALKING;
        boolean inner = dots.innerMm() > 0;
        return between && !walking && !inner ? "dots between" : walking && !between && !inner ? "walking dots"
                : inner && !between && !walking ? "inner dots" : "other dots";
    }

    private static MotifPart dotPart(Geometry shape, Slot slot, String title) {
        return new MotifPart(slot.id(), title, Role.FILL, slot.id(), shape, MotifPart.Make.FLAT, Optional.empty());
    }

    private static Motif guideMotif(Subject.Guide guide, Geometry lines) {
        Geometry disc = DotRing.disc(FACTORY, new Coordinate(0, 0), 1);
        MotifPart part = new MotifPart("guide", guide.kind().title().toLowerCase(Locale.ROOT), Role.GUIDE, "pencil", lines,
                MotifPart.Make.FLAT, Optional.empty());
        return new Motif("guide", guide.kind().title(), List.of(new Slot("pencil", "Pencil", Srgb.ofHex("#4e4f52"))), List.of(part), disc,
                disc, guide.kind().wholeStone(), guide.kind().wholeStone());
    }

    // --- borders

    /** The curve a border of dots runs along, mm; empty if it leaves no room. */
    public static Optional<LinearRing> curve(Item item, Subject.Dots dots, Zones zones) {
        Geometry inside = item.wearing() ? Shapes.grown(zones.paintable(), -dots.insetMm() - dots.diameterMm() / 2)
                : FACTORY.createPoint(new Coordinate(item.placement().x(), item.placement().y())).buffer(item.placement().scale(), 64);
        return Shapes.ring(inside);
    }

    /** The border of dots as it comes out on a stone; empty if there is no room. */
    public static Optional<DotBorder> dots(Item item, Subject.Dots dots, Zones zones) {
        return curve(item, dots, zones).map(curve -> DotBorder.of(curve, dots));
    }

    // --- fitting

    /**
     * A large placement of a motif inside the face: the largest there is, drawn toward the middle of the face as far as that costs little
     * size.
     *
     * @param marginMm kept clear along the edge of the face
     * @param mostTurn allowed turn to either side, degrees
     */
    public static Optional<LargestFit.Fit> fit(Motif motif, Zones zones, double marginMm, double mostTurn) {
        return LargestFit.centred(motif.sitting(), Shapes.grown(zones.face(), -marginMm), 0, mostTurn, WORTH_CENTRING);
    }

    /** The largest placement of one thing of a sketch, with its own margin, turn and run-off; cracks are kept off. */
    public static Optional<Placement> fit(Item item, Repertoire repertoire, Support bed) {
        return fit(item, repertoire, bed, Shapes.nothing());
    }

    /**
     * The largest placement of one thing beside others: none of what is taken is touched.
     *
     * @param taken mm
     */
    public static Optional<Placement> fit(Item item, Repertoire repertoire, Support bed, Geometry taken) {
        if (item.subject() instanceof Subject.Word word && word.setting().path() == LetterSetting.Path.RIM) {
            return face(word, repertoire).flatMap(face -> Lettering.largestOnRim(word, face, item, bed))
                    .map(cap -> new Placement(0, 0, item.placement().turn(), cap));
        }
        Optional<Motif> motif = shape(item, repertoire);
        Geometry zone = room(item, bed);
        Geometry free = Shapes.minus(zone, taken);
        double share = taken.isEmpty() ? WORTH_CENTRING : 1;
        double turn = item.mostTurn() > 0 ? 0 : item.placement().turn();
        return motif.flatMap(m -> patches(free).stream()
                .flatMap(patch -> LargestFit.centred(m.sitting(), patch, turn, item.mostTurn(), share).stream())
                .map(LargestFit.Fit::placement).max((a, b) -> Double.compare(a.scale(), b.scale())));
    }

    /** The pieces of what is free that are worth a look, the largest first. */
    private static List<Geometry> patches(Geometry free) {
        List<Geometry> all = new ArrayList<>();
        for (int i = 0; i < free.getNumGeometries(); i++) {
            all.add(free.getGeometryN(i));
        }
        all.sort((a, b) -> Double.compare(b.getArea(), a.getArea()));
        return all.stream().filter(p -> p.getArea() > WORTH_A_LOOK * all.get(0).getArea()).limit(MOST_PATCHES).toList();
    }

    /**
     * The largest placement of a thing beside those of a design that lie on the stone; what the stone wears as a whole is no neighbour.
     *
     * @param group ids of the things that go with it and are not in its way
     * @return empty if the others leave no room
     */
    public static Optional<Placement> beside(PlacedDesign design, Item item, Set<String> group, Repertoire repertoire, Support bed) {
        List<Geometry> others = design.items().stream()
                .filter(i -> !i.item().id().equals(item.id()) && !group.contains(i.item().id()) && i.item().manner() == ItemMode.ON_STONE)
                .map(i -> Shapes.grown(i.silhouette(), Math.max(LEAST_GAP_MM, i.item().marginMm()))).toList();
        return fit(item, repertoire, bed, Shapes.union(others));
    }

    /** Where a thing may be: the face with its margin, or beyond it by the run-off, without the cracks. */
    static Geometry room(Item item, Support bed) {
        return room(item.marginMm(), item.runOffMm(), bed);
    }

    static Geometry room(double marginMm, double runOffMm, Support bed) {
        Geometry zone = Shapes.grown(bed.zones().face(), runOffMm - marginMm);
        List<Geometry> cracks = bed.dome().patches().stream().filter(p -> p.kind() == Patch.Kind.CRACK)
                .map(p -> (Geometry) FACTORY
                        .createLineString(new Coordinate[] {new Coordinate(p.x(), p.y()), new Coordinate(p.toX(), p.toY())})
                        .buffer(p.radiusMm()))
                .toList();
        Geometry without = Shapes.minus(zone, Shapes.union(cracks));
        return without.getArea() > 0.35 * zone.getArea()
                && Shapes.largest(without).map(p -> p.getArea() > 0.35 * zone.getArea()).orElse(false) ? without : zone;
    }

    private static Motif mirrored(Motif motif) {
        Coordinate middle = LargestFit.middle(motif.sitting());
        AffineTransformation flip = new AffineTransformation().translate(-middle.x, 0).scale(-1, 1).translate(middle.x, 0);
        return new Motif(motif.id(), motif.title(), motif.slots(), motif.parts(), flip.transform(motif.silhouette()),
                flip.transform(motif.sitting()), motif.wears(), motif.prefersWearing());
    }

    // --- placing

    /** The whole sketch on a stone; things whose motif, face or family is not in the repertoire are left out, and empty if all are. */
    public static Optional<PlacedDesign> place(Sketch sketch, Repertoire repertoire, Support bed) {
        return place(sketch, repertoire, bed, new Remembered());
    }

    /** The same, with what was worked out before: things that did not change keep their areas. */
    public static Optional<PlacedDesign> place(Sketch sketch, Repertoire repertoire, Support bed, Remembered remembered) {
        return remembered.recall("design", sketch, repertoire, bed, Designs::placeAnew);
    }

    private static Optional<PlacedDesign> placeAnew(Sketch sketch, Repertoire repertoire, Support bed, Remembered remembered) {
        List<PlacedItem> placed = new ArrayList<>();
        for (Item item : sketch.items()) {
            remembered
                    .recall("item", item, repertoire, bed, (each, all, on, m) -> place(each, all, on, m).map(p -> near(p, on)))
                    .map(p -> item.leftOut().isEmpty() ? p : leftOut(p, remembered)).map(p -> item.matched() ? Pairs.matched(p) : p)
                    .map(p -> item.within().flatMap(part -> Within.room(part, placed, remembered))
                            .map(room -> remembered.recall("within", p, room, (thing, on, m) -> Within.kept(thing, on))).orElse(p))
                    .filter(p -> !p.parts().isEmpty()).ifPresent(placed::add);
        }
        if (placed.isEmpty()) {
            return Optional.empty();
        }
        List<Geometry> free = new ArrayList<>();
        List<PlacedItem> items = LeftFree.cut(placed, free, remembered);
        List<Slot> slots = new ArrayList<>();
        List<PlacedPart> parts = new ArrayList<>();
        for (PlacedItem item : items) {
            boolean alone = items.size() == 1;
            item.motif().slots().stream()
                    .filter(slot -> item.parts().stream()
                            .anyMatch(p -> p.part().role() != Role.GUIDE && p.part().slot().equals(item.item().named(slot.id()))))
                    .forEach(slot -> slots.add(new Slot(item.item().named(slot.id()),
                            alone ? slot.title() : slot.title() + ", " + item.motif().title(), slot.wish())));
            parts.addAll(item.parts());
        }
        return Optional.of(new PlacedDesign(items, slots, parts, remembered.union(free)));
    }

    /** What of a thing many times the stone's size lies on the stone or near it; the rest is nobody's work and would take for ever. */
    private static PlacedItem near(PlacedItem placed, Support bed) {
        Envelope stone = bed.zones().outline().getEnvelopeInternal();
        double most = HUGE * Math.max(stone.getWidth(), stone.getHeight());
        if (placed.parts().stream()
                .allMatch(p -> Math.max(p.drawn().getEnvelopeInternal().getWidth(), p.drawn().getEnvelopeInternal().getHeight()) <= most)) {
            return placed;
        }
        Envelope around = new Envelope(stone);
        around.expandBy(most / 2);
        Geometry frame = FACTORY.toGeometry(around);
        List<PlacedPart> parts = new ArrayList<>();
        for (PlacedPart part : placed.parts()) {
            Geometry drawn = part.part().isArea() ? Shapes.common(part.drawn(), frame) : Shapes.inside(part.drawn(), frame);
            if (!drawn.isEmpty()) {
                parts.add(new PlacedPart(part.part(), drawn, part.part().isArea() ? drawn
                        : part.part().role() == Role.GUIDE ? Shapes.nothing() : Shapes.stroke(drawn, part.part().penMm())));
            }
        }
        return new PlacedItem(placed.item(), placed.motif(), placed.wears(), parts, Shapes.common(placed.silhouette(), frame));
    }

    private static Optional<PlacedItem> place(Item item, Repertoire repertoire, Support bed, Remembered remembered) {
        if (item.subject() instanceof Subject.Dots dots) {
            return item.wearing() // they run along the rim, wherever the ring was drawn
                    ? remembered.recall("border", item.withPlacement(ANYWHERE), bed, (home, on, m) -> border(home, dotsOf(home), on))
                            .map(placed -> new PlacedItem(item, placed.motif(), placed.wears(), placed.parts(), placed.silhouette()))
                    : border(item, dots, bed);
        }
        if (item.subject() instanceof Subject.Guide guide) {
            Geometry lines = Guides.lines(guide, item, bed);
            return lines.isEmpty() ? Optional.empty() : Optional.of(inPlace(item, guideMotif(guide, lines), item.wearing()));
        }
        if (item.subject() instanceof Subject.Word word && word.setting().path() == LetterSetting.Path.RIM) {
            return face(word, repertoire).flatMap(face -> Lettering.onRim(word, face, item, bed)).map(motif -> inPlace(item, motif, false));
        }
        Family.Site site = site(item, bed, repertoire);
        if (!site.cracks().isEmpty()) {
            return motif(item.subject(), repertoire, site).map(motif -> place(motif, item, bed.zones(), remembered));
        }
        Optional<Motif> motif = remembered.recall("motif", item.subject(), repertoire, (subject, all, m) -> motif(subject, all));
        if (item.subject() instanceof Subject.Word word && word.setting().toEye()) {
            return motif.map(m -> straightened(place(m, item, bed.zones(), remembered), bed));
        }
        boolean worn = motif.filter(m -> item.wearing() && m.wears()).isPresent();
        Placement at = worn ? ANYWHERE : item.placement(); // what is worn lies where the stone does
        Item home = item.withPlacement(new Placement(0, 0, at.turn(), at.scale()));
        return motif.map(m -> remembered.recall("at home", m, home, bed.zones(), Designs::place))
                .map(placed -> moved(placed, item, at, remembered));
    }

    /** A thing at the middle moved to its place: what was worked out for it and its parts is found again there. */
    private static PlacedItem moved(PlacedItem home, Item item, Placement to, Remembered remembered) {
        List<PlacedPart> parts = home.parts().stream().map(p -> {
            Geometry drawn = remembered.moved(p.drawn(), to.x(), to.y());
            return new PlacedPart(p.part(), drawn, p.painted() == p.drawn() ? drawn : remembered.moved(p.painted(), to.x(), to.y()));
        }).toList();
        return new PlacedItem(item, home.motif(), home.wears(), parts, remembered.moved(home.silhouette(), to.x(), to.y()));
    }

    /** The cracks of the stone as a pattern on it would see them: in its own units. */
    private static Family.Site site(Item item, Support bed, Repertoire repertoire) {
        List<Patch> cracks = bed.dome().patches().stream().filter(p -> p.kind() == Patch.Kind.CRACK).toList();
        if (!(item.subject() instanceof Subject.Pattern) || cracks.isEmpty()) {
            return Family.Site.plain();
        }
        Placement p = item.placement();
        Coordinate middle = motif(item.subject(), repertoire).map(m -> LargestFit.middle(m.sitting())).orElse(new Coordinate(0, 0));
        AffineTransformation back = new AffineTransformation().translate(-p.x(), -p.y()).rotate(-Math.toRadians(p.turn()))
                .scale(1 / p.scale(), 1 / p.scale()).translate(middle.x, middle.y);
        return new Family.Site(cracks.stream()
                .map(c -> (LineString) back.transform(
                        FACTORY.createLineString(new Coordinate[] {new Coordinate(c.x(), c.y()), new Coordinate(c.toX(), c.toY())})))
                .toList());
    }

    private static Subject.Dots dotsOf(Item item) {
        return (Subject.Dots) item.subject();
    }

    private static Optional<PlacedItem> border(Item item, Subject.Dots dots, Support bed) {
        Motif motif = dotMotif(dots);
        return dots(item, dots, bed.zones()).map(border -> {
            List<PlacedPart> parts = new ArrayList<>();
            List<Geometry> areas = new ArrayList<>();
            for (MotifPart part : motif.parts()) {
                Geometry drawn = part.role() == Role.LINE ? FACTORY.buildGeometry(border.lines())
                        : border.areas(part.slot().equals(DOTS.id()) ? 0 : 1);
                if (!drawn.isEmpty()) {
                    parts.add(placed(item, part, drawn));
                    if (part.isArea()) {
                        areas.add(drawn);
                    }
                }
            }
            return new PlacedItem(item, motif, item.wearing(), parts, Shapes.union(areas));
        });
    }

    /** A motif whose parts are in mm on the stone already. */
    private static PlacedItem inPlace(Item item, Motif motif, boolean wears) {
        List<PlacedPart> parts = motif.parts().stream().map(part -> placed(item, part, part.shape())).toList();
        return new PlacedItem(item, motif, wears, parts,
                Shapes.union(parts.stream().filter(p -> p.part().role() == Role.FILL).map(PlacedPart::drawn).toList()));
    }

    private static PlacedPart placed(Item item, MotifPart part, Geometry drawn) {
        MotifPart named = item.id().isEmpty() ? part : part.withId(item.named(part.id())).withSlot(item.named(part.slot()));
        if (drawn.getDimension() == 2) {
            Geometry valid = drawn.isValid() ? drawn : Shapes.grown(drawn, 1e-6);
            return new PlacedPart(named, valid, valid);
        }
        return new PlacedPart(named, drawn, part.role() == Role.GUIDE ? Shapes.nothing() : Shapes.stroke(drawn, part.penMm()));
    }

    private static PlacedItem leftOut(PlacedItem placed, Remembered remembered) {
        List<PlacedPart> parts = placed.parts().stream()
                .filter(p -> placed.item().leftOut().stream().noneMatch(id -> placed.item().named(id).equals(p.part().id()))).toList();
        return new PlacedItem(placed.item(), placed.motif(), placed.wears(), parts,
                remembered.union(parts.stream().filter(p -> p.part().isArea()).map(PlacedPart::drawn).toList()));
    }

    private static PlacedItem straightened(PlacedItem placed, Support bed) {
        Envelope box = new Envelope();
        placed.parts().forEach(p -> box.expandToInclude(p.drawn().getEnvelopeInternal()));
        Optional<EyeWarp> warp = EyeWarp.of(box, bed);
        if (warp.isEmpty()) {
            return placed;
        }
        List<PlacedPart> parts = placed.parts().stream().map(p -> {
            Geometry drawn = warp.get().apply(p.drawn());
            if (!p.part().isArea()) {
                return new PlacedPart(p.part(), drawn, Shapes.stroke(drawn, p.part().penMm()));
            }
            Geometry valid = drawn.isValid() ? drawn : Shapes.grown(drawn, 1e-6);
            return new PlacedPart(p.part(), valid, valid);
        }).toList();
        return new PlacedItem(placed.item(), placed.motif(), placed.wears(), parts,
                Shapes.union(parts.stream().filter(p -> p.part().isArea()).map(PlacedPart::drawn).toList()));
    }

    private static PlacedItem place(Motif motif, Item item, Zones zones, Remembered remembered) {
        boolean wearing = item.wearing() && motif.wears();
        WearingMap map = wearing ? new WearingMap(motif.silhouette(), Shapes.grown(zones.paintable(), -WEARING_INSET)) : null;
        Coordinate middle = LargestFit.middle(motif.sitting());
        AffineTransformation rigid = item.placement().transformation(middle.x, middle.y);
        AffineTransformation flip = new AffineTransformation().translate(-middle.x, 0).scale(-1, 1).translate(middle.x, 0);
        List<PlacedPart> parts = new ArrayList<>();
        List<Geometry> areas = new ArrayList<>();
        for (MotifPart part : motif.parts()) {
            if (part.sits() == (wearing ? Presence.ON_STONE : Presence.WEARING)) {
                continue;
            }
            Geometry own = item.mirrored() ? litAsBefore(part, flip.transform(part.shape()), motif, flip) : part.shape();
            Geometry drawn;
            if (wearing) {
                Geometry silhouette = item.mirrored() ? flip.transform(motif.silhouette()) : motif.silhouette();
                drawn = map.apply(part.isArea() ? Shapes.common(own, silhouette) : own);
            } else {
                drawn = rigid.transform(own);
            }
            if (drawn.isEmpty()) {
                continue; // wholly outside the silhouette that becomes the stone's outline
            }
            PlacedPart placed = placed(item, part, drawn);
            parts.add(placed);
            if (part.isArea()) {
                areas.add(placed.drawn());
            }
        }
        return new PlacedItem(item, motif, wearing, parts, remembered.union(areas));
    }

    /** A mirrored highlight moved to the other side of what it lies on: light comes from where it came before, in both eyes. */
    private static Geometry litAsBefore(MotifPart part, Geometry flipped, Motif motif, AffineTransformation flip) {
        if (part.role() != Role.HIGHLIGHT) {
            return flipped;
        }
        Coordinate at = part.shape().getEnvelopeInternal().centre();
        MotifPart host = null;
        for (MotifPart other : motif.parts()) {
            if (other.role() == Role.FILL && other.shape().getEnvelopeInternal().contains(part.shape().getEnvelopeInternal())
                    && (host == null || other.shape().getEnvelopeInternal().getArea() <= host.shape().getEnvelopeInternal().getArea())) {
                host = other;
            }
        }
        if (host == null) {
            return flipped;
        }
        Envelope hostBox = flip.transform(host.shape()).getEnvelopeInternal();
        double offset = at.x - host.shape().getEnvelopeInternal().centre().x;
        return AffineTransformation.translationInstance(hostBox.centre().x + offset - flipped.getEnvelopeInternal().centre().x, 0)
                .transform(flipped);
    }
}
