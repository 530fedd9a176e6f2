package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.blend.BlendWork;
import mosspebble.core.blend.Mud;
import mosspebble.core.blend.Piece;
import mosspebble.core.blend.Share;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Ladder;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Overlap;
import mosspebble.core.sketch.PartName;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * Cuts a placed design into the areas that each colour takes: paint only where it will be seen, a little under its neighbour; lines behind
 * stop short; shade away from the
 * light and below what overlaps.
 */
final class Regions {

    /** Paint goes this far under the part above it, mm (common practice about 1 mm; less here, since lines cover the seam). */
    static final double UNDERLAP = 0.7;

    /** The ground goes this far under the subject, mm (common practice, no source). */
    static final double GROUND_UNDERLAP = 1.0;

    /** A part smaller than this is painted onto what is below it; nobody leaves so small a hole, mm2 (common practice, no source). */
    private static final double SMALLEST_HOLE = 45;

    /** What is so much darker than what it lies on that it hides it at once is painted onto it up to this size, mm2 (no source). */
    private static final double LARGEST_UPON = 120;

    /** What lies beside another with no more than this of what is seen of it lies on it all over, mm2. */
    private static final double BESIDE = 1;

    /** So much darker hides at once, L* (common practice, no source). */
    private static final double DARKER = 20;

    /** An overlap casts its shade no farther than this, mm. */
    static final double CAST_REACH = 5;

    /** A pen's colour counts as a paint's from this nearness on, CIEDE2000. */
    private static final double SAME_AS_PEN = 6;

    private static final double SMALLEST_SHADE = 50;

    /** A wash of the darkest paint through which the colours below are still told apart (common practice, no source). */
    private static final double INSIDE_THIN = 0.12;

    /** Marks of one layer are scattered otherwise than those of the next. */
    private static final long LAYER_SEED = 7919;

    /** A base is mixed of so many parts at most: near enough, since flakes lie over it (common practice, no source). */
    private static final int BASE_PARTS = 4;

    /** From so many on, parts of one sort are shaded together or not at all. */
    private static final int LEAST_ROW = 3;
    static final double LEAST_AREA = 0.05;

    /** What is seen of an area in a strip as narrow as this is left to the seam, mm. */
    private static final double HAIR_MM = 0.3;

    private static final Geometry NO_SUBJECT = Shapes.nothing();

    private final PlacedDesign design;
    private final Survey survey;
    private final Map<String, Palette.Colour> colours;
    private final Map<String, Blend> blends;
    private final Palette palette;
    private final Habits habits;
    private final Remembered remembered;
    private final Geometry stone;
    private final Lab behind;
    private final List<Region> regions = new ArrayList<>();
    private final List<Noticed.Muddy> muddy = new ArrayList<>();
    private final Map<String, Geometry> seen = new LinkedHashMap<>();
    /** The filled parts within the stone; empty for others. */
    private final List<Geometry> areas = new ArrayList<>();
    /** The parts on whose own paint others lie all over; -1 for none. */
    private final Map<Integer, Integer> sameBelow = new HashMap<>();
    private final Overlap overlap;
    private final Rows rows;
    private int wetGroups;
    private final LineWork lines;

    private Regions(PlacedDesign design, Survey survey, Map<String, Palette.Colour> colours, Map<String, Blend> blends, Lab behind,
            Palette palette, Habits habits, Remembered remembered) {
        this.design = design;
        this.survey = survey;
        this.colours = colours;
        this.blends = blends;
        this.palette = palette;
        this.habits = habits;
        this.remembered = remembered;
        this.behind = behind;
        this.stone = remembered.grown(survey.zones().outline(), -0.4);
        for (PlacedPart part : design.parts()) {
            areas.add(part.part().role() != Role.FILL ? Shapes.nothing()
                    : remembered.within(part.drawn(), stone));
        }
        List<Geometry> covering = new ArrayList<>(areas);
        for (int i = 0; i < covering.size(); i++) {
            if (isClear(design.parts().get(i))) {
                covering.set(i, Shapes.nothing()); // what is clear hides nothing
            }
        }
        this.overlap = remembered.recall("overlap", covering, (all, m) -> new Overlap(all));
        for (int i = 0; i < areas.size(); i++) {
            if (design.parts().get(i).part().role() == Role.FILL) {
                seen.put(design.parts().get(i).part().id(), visible(i));
            }
        }
        this.rows = new Rows(design, part -> part.part().role() != Role.FILL
                || colours.containsKey(part.part().slot()) && seen.get(part.part().id()).getArea() > LEAST_AREA);
        this.lines = new LineWork(design, rows, colours, palette, habits, remembered, stone, behind, overlap, areas);
    }

    /**
     * @param colours of the slots that have one on the shelf; parts without are left out
     * @param ground colour of the ground, if any
     * @param bare colour of the bare stone, for contrast
     */
    static Regions of(PlacedDesign design, Survey survey, Map<String, Palette.Colour> colours, Map<String, Blend> blends,
            Optional<Palette.Colour> ground, Lab bare, Palette palette, Habits habits,
            Remembered remembered) {
        boolean grounded = ground.isPresent() && habits.ground() != Habits.Ground.BARE;
        Regions cut = new Regions(design, survey, colours, blends, grounded ? ground.get().lab() : bare, palette, habits, remembered);
        if (grounded) {
            cut.ground(ground.get());
        }
        cut.fills();
        cut.lines.draw(cut.seen, cut.regions);
        return cut;
    }

    List<Region> list() {
        return regions;
    }

    /** Joins of blends at which the colours go to mud. */
    List<Noticed.Muddy> muddy() {
        return muddy;
    }

    /** What can be seen of each filled part, by part id. */
    Map<String, Geometry> seen() {
        return seen;
    }

    /** The outline that stands out least; empty without outlines. */
    Optional<Noticed.FaintestLine> faintest() {
        return lines.faintest();
    }

    /** Whether what lies below is meant to be seen through a part: glaze, glitter, colour shift, crackle, gel, varnish. */
    private boolean isClear(PlacedPart part) {
        Palette.Colour colour = colours.get(part.part().slot());
        return colour != null && kind(colour).filter(PaintKind::letsThrough).isPresent();
    }

    /** The kind of what is laid, if it is one paint as it comes. */
    private Optional<PaintKind> kind(Palette.Colour colour) {
        return colour.mix().isSingle() ? palette.shelf().find(colour.mix().parts().get(0).paint()).map(Paint::kind) : Optional.empty();
    }

    // --- grounds and fills

    private void ground(Palette.Colour colour) {
        Geometry place = habits.ground() == Habits.Ground.UNDER ? stone
                : remembered.minus(stone, remembered.grown(remembered.minus(subject(), design.free()), -GROUND_UNDERLAP));
        place = remembered.minus(place, design.free());
        if (place.getArea() > 20 && Tools.widerThan(place, 1.5)) {
            Why why = habits.ground() == Habits.Ground.UNDER ? Why.of(Why.Reason.GROUND_UNDER_ALL)
                    : Why.of(Why.Reason.GROUND_AROUND, Facts.of("mm", GROUND_UNDERLAP));
            blended(Step.Kind.GROUND, What.of(What.Of.GROUND), place, colour, place, blends.getOrDefault(Project.GROUND, Blend.flat()), -1,
                    why, regions);
            halo(place, colour);
        }
    }

    /** The ground a little darker close round the subject. */
    private void halo(Geometry place, Palette.Colour colour) {
        double amount = habits.light().halo();
        if (amount == 0 || subject().isEmpty()) {
            return;
        }
        double reach = 2 + 6 * amount;
        Geometry near = remembered.common(remembered.grown(subject(), reach), place);
        darker(colour, amount).ifPresent(dark -> {
            if (near.getArea() > 4) {
                regions.add(new Region(Step.Kind.GROUND, What.of(What.Of.HALO), near, dark,
                        Region.Spread.thin(0.5, Soft.of(reach * 0.8, place)), -2, Region.Line.NONE, Why.of(Why.Reason.LIFTS_OFF)));
            }
        });
    }

    /** What is seen of an area; nothing where it is covered but for what the seams of its neighbours take. */
    private Geometry visible(int index) {
        Geometry inside = areas.get(index);
        Geometry left = remembered.without(inside, overlap.over(index, inside.getEnvelopeInternal(), 0));
        boolean hair = left.getArea() < 0.5 * inside.getArea() && left.getArea() < HAIR_MM / 2 * left.getLength();
        return hair ? Shapes.nothing() : left;
    }

    private void fills() {
        List<PlacedPart> parts = design.parts();
        List<List<Region>> topFirst = new ArrayList<>();
        for (int i = parts.size() - 1; i >= 0; i--) {
            PlacedPart part = parts.get(i);
            if (part.part().role() != Role.FILL) {
                continue;
            }
            Geometry inside = areas.get(i);
            Geometry visible = seen.get(part.part().id());
            Palette.Colour colour = colours.get(part.part().slot());
            if (colour != null && visible.getArea() > LEAST_AREA) {
                List<Region> own = new ArrayList<>();
                Blend blend = blends.getOrDefault(part.part().slot(), Blend.flat());
                Palette.Colour filled = blend.kind() == BlendKind.GRADED_CELLS ? graded(part, blend, colour) : colour;
                Geometry place = remembered.without(inside, holes(i));
                if (isClear(part)) {
                    clear(part, Shapes.common(place, visible), colour, visible, blend, i, own); // under its neighbour it would be seen
                } else if (samePaintBelow(i) < 0) {
                    blended(Step.Kind.FILL, rows.what(What.Of.PART, part), place, penFor(filled), visible, blend, i, Why.NONE, own);
                }
                if (!isClear(part)) {
                    shade(part, visible, filled, i).ifPresent(own::add);
                    highlight(part, visible, filled, i).ifPresent(own::add);
                }
                topFirst.add(own);
            }
        }
        for (int i = topFirst.size() - 1; i >= 0; i--) {
            regions.addAll(topFirst.get(i));
        }
        for (PlacedItem thing : design.items()) {
            thing.parts().forEach(part -> shadeInside(part, thing).ifPresent(regions::add));
        }
        regions.removeAll(straysOf(What.Of.SHADE_SIDE));
        regions.removeAll(straysOf(What.Of.LIGHT_SIDE));
    }

    /** What is seen through: with a base where it asks for one; gel holds powder and has nothing else below it. */
    private void clear(PlacedPart part, Geometry place, Palette.Colour colour, Geometry visible, Blend blend, int depth,
            List<Region> own) {
        What what = rows.what(What.Of.PART, part);
        if (blend.kind() == BlendKind.POWDERED && kind(colour).filter(k -> k.does(PaintKind.Use.GELS)).isPresent()) {
            layer(Step.Kind.FILL, what, place, colour, visible, blend.withOver(List.of()), depth * Region.LEVELS, 1, 0, own);
            return;
        }
        sparkleBase(part, place, colour, depth).ifPresent(own::add);
        own.add(new Region(Step.Kind.FILL, what, place, colour, Region.Spread.thin(1, Soft.CRISP), depth * Region.LEVELS + 1,
                Region.Line.NONE,
                kind(colour).map(Regions::clearly).map(Why::of).orElse(Why.NONE)));
    }

    /** Why something that lets through what is below is laid as it is. */
    private static Why.Reason clearly(PaintKind kind) {
        return kind.does(PaintKind.Use.GLOWS) ? Why.Reason.GLOWS : kind.does(PaintKind.Use.FLAKES) ? Why.Reason.FLAKES : Why.Reason.NONE;
    }

    /** Shades of rows of which most have none: nobody shades one leaf of seven. */
    private List<Region> straysOf(What.Of side) {
        Map<String, List<Region>> rows = new LinkedHashMap<>();
        for (Region region : regions) {
            What what = region.what();
            if (what.of() == side && what.row().size() >= LEAST_ROW) {
                rows.computeIfAbsent(what.row().title() + PartName.of(what.part()).stem(), k -> new ArrayList<>()).add(region);
            }
        }
        return rows.values().stream().filter(r -> r.size() < 0.5 * r.get(0).what().row().size()).flatMap(List::stream).toList();
    }

    /** What glitter, colour shift and glow are laid on: the nearest easy mix to their own colour, and white below what glows. */
    private Optional<Region> sparkleBase(PlacedPart part, Geometry place, Palette.Colour colour, int depth) {
        boolean glows = kind(colour).filter(k -> k.does(PaintKind.Use.GLOWS)).isPresent();
        boolean sparkles = habits.sparkleBase() && kind(colour).filter(k -> k.does(PaintKind.Use.SPARKLES)).isPresent();
        if (!glows && !sparkles) {
            return Optional.empty();
        }
        int deepest = depth; // the bases of a word lie below all of its letters
        while (deepest > 0 && design.parts().get(deepest - 1).part().slot().equals(part.part().slot())) {
            deepest--;
        }
        int level = deepest * Region.LEVELS;
        Optional<Palette.Colour> base = glows ? white() : remembered.recall("sparkle base", Lab.of(colour.optics().full()), palette,
                (own, paints, m) -> RecipeSearch.nearest(own, paints, BASE_PARTS, 2).flatMap(r -> paints.colour(r.mix())));
        return base.map(b -> new Region(Step.Kind.FILL, rows.what(What.Of.PART, part).share(Share.of(Share.Kind.BASE)), place, b,
                Region.Spread.EVEN, level, Region.Line.NONE,
                Why.of(glows ? Why.Reason.WHITE_BELOW_GLOW : Why.Reason.BASE_OF_SPARKLE)));
    }

    /** The pieces of an area's blend as regions. */
    private void blended(Step.Kind kind, What what, Geometry place, Palette.Colour colour, Geometry visible, Blend blend, int depth,
            Why why, List<Region> into) {
        int level = depth * Region.LEVELS;
        long seed = ("the " + (what.part().isEmpty() ? "ground" : what.part())).hashCode() * 31L + depth;
        if (blend.kind() == BlendKind.FLAT || blend.kind() == BlendKind.GRADED_CELLS) {
            into.add(new Region(kind, what, place, colour, Region.Spread.EVEN, level, Region.Line.NONE, why));
            layered(kind, what, place, colour, visible, blend, level, 1, seed, into);
            return;
        }
        List<Palette.Colour> all = mixes(colour, blend);
        List<Piece> pieces = remembered.recall("blend", blend.withOver(List.of()), place, visible, all, white(), before(blend), seed,
                (laid, area, shown, mixes, pale, subject, from, m) -> BlendWork.pieces(laid, area, shown, mixes, pale, subject, from));
        if (blend.kind().joins() && blend.method() == Blend.Method.WET) {
            for (int k = 0; k + 1 < all.size(); k++) {
                Mud.between(all.get(k), all.get(k + 1)).ifPresent(mud -> muddy.add(new Noticed.Muddy(what, mud)));
            }
        }
        regions(kind, what, place, pieces, level, 0, blend, why, into);
        int below = pieces.size() + gems(kind, what, place, blend, all, level, pieces.size(), into);
        layered(kind, what, place, colour, visible, blend, level, below, seed, into);
    }

    /** Pieces as regions, one upon the other from a level on; what is worked wet one after the other is one group. */
    private void regions(Step.Kind kind, What what, Geometry place, List<Piece> pieces, int level, int below, Blend blend, Why why,
            List<Region> into) {
        boolean topmost = blend.over().stream().allMatch(b -> b.kind() == BlendKind.GLAZE);
        int wet = -1;
        for (int k = 0; k < pieces.size(); k++) {
            Piece piece = pieces.get(k);
            if (piece.wet() && (k == 0 || !pieces.get(k - 1).wet())) {
                wet = wetGroups++;
            }
            int group = piece.wet() ? wet : -1;
            into.add(new Region(kind, what.share(piece.share()), piece.place(), piece.colour(),
                    new Region.Spread(piece.thin(), piece.hides(), Soft.of(piece.softMm(), place), group),
                    level + (topmost && piece.share().kind() == Share.Kind.GLAZE // clear stuff goes over the shade
                            ? Math.min(Region.OVER_SHADE + below + k, Region.LEVELS - 1)
                            : Math.min(below + k, Region.LAST_PIECE)),
                    Region.Line.NONE,
                    (below + k == 0) == (blend.kind() != BlendKind.RAISED) ? why
                            : Why.of(Why.Reason.BLEND, Facts.of("blend", blend.kind()))));
        }
    }

    /** The gems of an area, each in the middle of a piece of it, set in glue: one work. */
    private int gems(Step.Kind kind, What what, Geometry place, Blend blend, List<Palette.Colour> colours, int level, int below,
            List<Region> into) {
        if (blend.kind() != BlendKind.GEMS || colours.size() < 3) {
            return 0;
        }
        double mm = palette.shelf().find(colours.get(1).mix().parts().get(0).paint()).map(p -> p.tip().value()).orElse(0.0);
        Geometry set = remembered.anywhere("gems", place, List.of(), mm, (area, none, wide, m) -> Gems.set(area, wide));
        if (set.isEmpty()) {
            return 0;
        }
        Geometry glue = remembered.grown(set, -Gems.GLUE_INSIDE_MM);
        regions(kind, what, place, List.of(new Piece(Share.of(Share.Kind.GLUE), glue, colours.get(2), 1, false, 0, true),
                new Piece(Share.of(Share.Kind.GEM), set, colours.get(1), 1, false, 0, true)), level, below, blend, Why.NONE, into);
        return 2;
    }

    /** The powder, leaf or gem of a blend: the one chosen, else the first of the shelf. */
    static Optional<Paint> material(Blend blend, Palette palette) {
        PaintKind.Use use = blend.kind().material().orElseThrow();
        List<Paint> all = palette.shelf().that(use);
        return blend.more().stream().filter(Mix::isSingle).flatMap(m -> all.stream().filter(p -> p.id().equals(m.parts().get(0).paint())))
                .findFirst().or(() -> all.stream().findFirst());
    }

    private List<Palette.Colour> mixes(Palette.Colour own, Blend blend) {
        List<Palette.Colour> all = new ArrayList<>(List.of(own));
        if (blend.kind().material().isPresent()) {
            material(blend, palette).flatMap(p -> palette.colour(Mix.of(p.id()))).ifPresent(all::add);
        } else {
            blend.more().forEach(mix -> palette.colour(mix).ifPresent(all::add));
        }
        if (blend.kind() == BlendKind.POWDERED && !habits.lamp()) {
            return List.of(own);
        }
        blend.kind().medium().flatMap(use -> palette.shelf().that(use).stream().findFirst()).flatMap(p -> palette.colour(Mix.of(p.id())))
                .ifPresent(all::add);
        return all;
    }

    /** What is laid upon a blend once that is dry. */
    private void layered(Step.Kind kind, What what, Geometry place, Palette.Colour colour, Geometry visible, Blend blend, int level,
            int below, long seed, List<Region> into) {
        int k = below;
        for (int number = 1; number <= blend.over().size(); number++) {
            Blend layer = blend.layer(number).withOver(blend.over().subList(number, blend.over().size()));
            k += layer(kind, what, place, colour, visible, layer, level, k, seed + LAYER_SEED * number, into);
        }
    }

    /** One layer upon what is dry; answers how many pieces it has. */
    private int layer(Step.Kind kind, What what, Geometry place, Palette.Colour colour, Geometry visible, Blend layer, int level, int below,
            long seed, List<Region> into) {
        List<Palette.Colour> all = mixes(colour, layer);
        List<Piece> pieces = remembered.recall("layer", layer.withOver(List.of()), place, visible, all, before(layer), seed,
                (laid, area, shown, mixes, subject, from, m) -> BlendWork.upon(laid, area, shown, mixes, subject, from));
        Why why = Why.of(Why.Reason.BLEND, Facts.of("blend", layer.kind()));
        regions(kind, what, place, pieces, level, below, layer, why, into);
        return pieces.size() + gems(kind, what, place, layer, all, level, below + pieces.size(), into);
    }

    /** What stands before an area, if its blend asks for it. */
    private Geometry before(Blend blend) {
        return blend.kind().groundOnly() ? subject() : NO_SUBJECT;
    }

    private Geometry subject() {
        return design.silhouette(remembered);
    }

    /** The palest brush paint, if it is pale enough to be called a white. */
    private Optional<Palette.Colour> white() {
        return Ladder.end(palette, true).filter(p -> Lab.of(p.swatch()).l() > 88).flatMap(p -> palette.colour(Mix.of(p.id())));
    }

    /** The step of a graded slot that this part takes: by how far along the direction it lies among the parts of its slot. */
    private Palette.Colour graded(PlacedPart part, Blend blend, Palette.Colour colour) {
        Optional<Palette.Colour> other = blend.more().stream().findFirst().flatMap(palette::colour);
        if (other.isEmpty()) {
            return colour;
        }
        double ax = Math.sin(Math.toRadians(blend.angle()));
        double ay = -Math.cos(Math.toRadians(blend.angle()));
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        double own = 0;
        for (PlacedPart each : design.parts()) {
            if (each.part().role() == Role.FILL && each.part().slot().equals(part.part().slot())) {
                Coordinate c = each.drawn().getCentroid().getCoordinate();
                double along = c.x * ax + c.y * ay;
                low = Math.min(low, along);
                high = Math.max(high, along);
                own = each == part ? along : own;
            }
        }
        int step = high > low ? (int) Math.round(6 * (own - low) / (high - low)) : 0;
        boolean countable = colour.mix().parts().size() + other.get().mix().parts().size() <= Mix.MOST_PAINTS;
        return step == 0 || !countable ? colour : step == 6 ? other.get()
                : palette.colour(colour.mix().with(6 - step, other.get().mix(), step).inAtMost(Mix.MEASURED_PARTS)).orElse(colour);
    }

    /** The pen of nearly the same colour, for painters who fill with pens. */
    private Palette.Colour penFor(Palette.Colour colour) {
        if (habits.medium() != Habits.Medium.PENS) {
            return colour;
        }
        return palette.shelf().that(PaintKind.Use.DRAWS).stream().map(p -> palette.colour(Mix.of(p.id())).orElseThrow())
                .filter(pen -> pen.lab().differenceTo(colour.lab()) < SAME_AS_PEN)
                .min((a, b) -> Double.compare(a.lab().differenceTo(colour.lab()), b.lab().differenceTo(colour.lab()))).orElse(colour);
    }

    /** What larger parts in front leave unpainted of a part: themselves, less the seam. */
    private List<Geometry> holes(int index) {
        List<Geometry> holes = new ArrayList<>();
        for (int front : overlap.inFront(index, areas.get(index).getEnvelopeInternal(), 0)) {
            if (areas.get(front).getArea() >= (isDarker(front, index) ? LARGEST_UPON : SMALLEST_HOLE) && samePaintBelow(front) != index) {
                holes.add(remembered.grown(remembered.whole(areas.get(front), areas.get(index)), -UNDERLAP));
            }
        }
        return holes;
    }

    /**
     * The part on whose own paint another lies all over, such as a muzzle of the head's colour: it is painted with that and only drawn; -1
     * where it has a paint of its own.
     */
    private int samePaintBelow(int front) {
        Integer known = sameBelow.get(front);
        int found = known != null ? known : searchedBelow(front);
        sameBelow.put(front, found);
        return found;
    }

    private int searchedBelow(int front) {
        Geometry visible = seen.get(design.parts().get(front).part().id());
        if (visible == null || visible.isEmpty() || !isPlain(front)) {
            return -1;
        }
        for (int below = front - 1; below >= 0; below--) {
            double common = areas.get(below).getEnvelopeInternal().intersects(visible.getEnvelopeInternal())
                    ? remembered.common(areas.get(below), visible).getArea() : 0;
            boolean same = common > 0 && isPlain(below) && mixOf(below).equals(mixOf(front));
            if (same && isSeen(below) && visible.getArea() - common <= BESIDE) {
                int deeper = samePaintBelow(below);
                return deeper < 0 ? below : deeper;
            }
            if (!same && common > BESIDE) {
                return -1;
            }
        }
        return -1;
    }

    private boolean isSeen(int index) {
        return seen.get(design.parts().get(index).part().id()).getArea() > LEAST_AREA;
    }

    private Mix mixOf(int index) {
        return colours.get(design.parts().get(index).part().slot()).mix();
    }

    /** Whether a part is painted in one colour that hides, without a blend. */
    private boolean isPlain(int index) {
        PlacedPart part = design.parts().get(index);
        return part.part().role() == Role.FILL && colours.containsKey(part.part().slot()) && !isClear(part)
                && blends.getOrDefault(part.part().slot(), Blend.flat()).equals(Blend.flat());
    }

    /** Whether a part is so much darker than one below it that it hides it at once. */
    private boolean isDarker(int front, int below) {
        Palette.Colour upper = colours.get(design.parts().get(front).part().slot());
        Palette.Colour lower = colours.get(design.parts().get(below).part().slot());
        return upper != null && lower != null && upper.lab().l() < lower.lab().l() - DARKER;
    }

    // --- light

    /** How much of the light's side the dome turns away here, 0.6 toward the light to 1.4 away from it, in steps that nobody sees. */
    private static double turnedAway(Geometry place, Light light, Dome dome) {
        Coordinate at = place.getCentroid().getCoordinate();
        double[] normal = new double[3];
        dome.normalAt(at.x, at.y, normal);
        double toward = normal[0] * light.towardX() + normal[1] * light.towardY();
        return Math.round(20 * Math.min(1.4, Math.max(0.6, 1 - 0.8 * toward))) / 20.0;
    }

    /** The side away from the light, as far as the part bulges, and the strip below what overlaps it. */
    private Optional<Region> shade(PlacedPart part, Geometry visible, Palette.Colour colour, int depth) {
        Light light = habits.light();
        if (light.shade() == 0 && light.contact() == 0 || part.part().roundness() <= 0 || visible.getArea() < SMALLEST_SHADE) {
            return Optional.empty();
        }
        List<Geometry> round = overlap.over(depth, areas.get(depth).getEnvelopeInternal(), CAST_REACH,
                i -> design.parts().get(i).part().roundness() > 0); // what is flat, such as a spot, throws no shade
        double own = light.shade() * part.part().roundness() * turnedAway(part.drawn(), light, survey.dome());
        List<Geometry> others = new ArrayList<>(List.of(visible));
        others.addAll(round);
        Geometry place = remembered.anywhere("shade", part.drawn(), others, new Side(light, own),
                (drawn, all, side, m) -> shaded(drawn, all.get(0), all.subList(1, all.size()), side));
        if (place.getArea() < 4) {
            return Optional.empty();
        }
        return darker(colour, Math.max(light.shade(), light.contact()))
                .map(shade -> new Region(Step.Kind.SHADE, rows.what(What.Of.SHADE_SIDE, part), place, shade,
                        Region.Spread.thin(0.4, Soft.shade(visible)), depth * Region.LEVELS + Region.SHADE,
                        Region.Line.NONE, Why.of(Why.Reason.TURNS_AWAY, Facts.of("light", light.clock()))));
    }

    /** The strip inside the edge of something sunk on the side of the light, over all that lies in it of the same thing: one thin wash. */
    private Optional<Region> shadeInside(PlacedPart part, PlacedItem thing) {
        Light light = habits.light();
        if (light.shade() == 0 || part.part().roundness() >= 0 || part.part().role() != Role.FILL) {
            return Optional.empty();
        }
        int front = design.parts().indexOf(thing.parts().get(thing.parts().size() - 1));
        double deep = light.shade() * -part.part().roundness() * 0.22 * Math.sqrt(part.drawn().getArea());
        Geometry open = remembered.without(part.drawn(), overlap.over(front, part.drawn().getEnvelopeInternal(), 0));
        Geometry place = remembered.recall("shade inside", open, part.drawn(), light, deep, (seen, drawn, from, by, m) -> Shapes.minus(seen,
                AffineTransformation.translationInstance(-from.towardX() * by, -from.towardY() * by).transform(drawn)));
        if (place.getArea() < 4) {
            return Optional.empty();
        }
        return Ladder.end(palette, false).flatMap(p -> palette.colour(Mix.of(p.id())))
                .map(dark -> new Region(Step.Kind.SHADE, rows.what(What.Of.SHADE_INSIDE, part), place, dark,
                        Region.Spread.thin(INSIDE_THIN, Soft.of(0.7 * deep, place)), front * Region.LEVELS + Region.SHADE,
                        Region.Line.NONE, Why.of(Why.Reason.SUNK, Facts.of("light", light.clock()))));
    }

    /** Light and how far into a part its dark or bright side reaches, as a share. */
    private record Side(Light light, double share) {}

    private static Geometry shaded(Geometry drawn, Geometry visible, List<Geometry> above, Side how) {
        Light light = how.light();
        double own = how.share() * 0.22 * Math.sqrt(drawn.getArea());
        double contact = light.contact() * 2.2;
        Geometry dark = own == 0 ? Shapes.nothing() : Shapes.minus(visible,
                AffineTransformation.translationInstance(light.towardX() * own, light.towardY() * own).transform(drawn));
        AffineTransformation away = AffineTransformation.translationInstance(-light.towardX() * contact, -light.towardY() * contact);
        List<Geometry> all = new ArrayList<>(List.of(dark));
        for (Geometry over : contact == 0 ? List.<Geometry>of() : above) {
            Geometry cast = Shapes.common(away.transform(over), visible);
            if (!cast.isEmpty()) {
                all.add(cast);
            }
        }
        return Shapes.grown(Shapes.grown(Shapes.union(all), -0.3), 0.3);
    }

    /** A lighter crescent inside the edge that faces the light. */
    private Optional<Region> highlight(PlacedPart part, Geometry visible, Palette.Colour colour, int depth) {
        double amount = habits.light().highlight();
        if (amount == 0 || part.part().roundness() < 0.25 || visible.getArea() < SMALLEST_SHADE) {
            return Optional.empty();
        }
        double size = Math.sqrt(part.drawn().getArea());
        double away = (0.5 + amount) / turnedAway(part.drawn(), habits.light(), survey.dome());
        Geometry place = remembered.anywhere("highlight", part.drawn(), List.of(visible), new Side(habits.light(), away),
                (drawn, shown, how, m) -> lit(drawn, shown.get(0), how));
        if (place.getArea() < 3) {
            return Optional.empty();
        }
        return lighter(colour, amount)
                .map(light -> new Region(Step.Kind.SHADE, rows.what(What.Of.LIGHT_SIDE, part), place, light,
                        Region.Spread.thin(0.45, Soft.of(0.08 * size, visible)),
                        depth * Region.LEVELS + Region.LIGHT, Region.Line.NONE,
                        Why.of(Why.Reason.FACES_LIGHT, Facts.of("light", habits.light().clock()))));
    }

    private static Geometry lit(Geometry drawn, Geometry visible, Side how) {
        Light light = how.light();
        double size = Math.sqrt(drawn.getArea());
        Geometry inner = Shapes.grown(visible, -0.07 * size);
        double away = 0.10 * size * how.share();
        return Shapes.minus(inner,
                AffineTransformation.translationInstance(-light.towardX() * away, -light.towardY() * away).transform(inner));
    }

    private Optional<Palette.Colour> darker(Palette.Colour base, double amount) {
        Lab lab = base.lab();
        Lab wanted = new Lab(lab.l() * (1 - 0.42 * amount), lab.a() * 0.95, lab.b() * 0.9 - 3 * amount);
        return remembered.recall("shade colour", base.mix(), wanted, palette,
                (mix, lab2, paints, m) -> paints.colour(mix).flatMap(c -> Shades.darker(paints, c, lab2)));
    }

    private Optional<Palette.Colour> lighter(Palette.Colour base, double amount) {
        Lab lab = base.lab();
        Lab wanted = new Lab(lab.l() + (97 - lab.l()) * 0.45 * amount, lab.a() * 0.9, lab.b() * 0.9);
        return remembered.recall("light colour", base.mix(), wanted, palette,
                (mix, lab2, paints, m) -> paints.colour(mix).flatMap(c -> Shades.lighter(paints, c, lab2)));
    }
}
