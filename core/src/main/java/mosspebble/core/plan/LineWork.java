package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Palette;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
import mosspebble.core.sketch.LineWish;
import mosspebble.core.sketch.Overlap;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.linearref.LengthIndexedLine;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * The lines of a design: outlines with their pen by contrast and their style, lines of the motif, highlights. What lies behind stops short.
 */
final class LineWork {

    /** Lines of what is behind stop this far before what is in front, mm. */
    private static final double STOP_SHORT = 0.25;

    /** Places looked at round a part to choose its line. */
    private static final int AROUND = 24;

    private final PlacedDesign design;
    private final int[] frontOfThing;
    private final Rows rows;
    private final Map<String, Palette.Colour> colours;
    private final Palette palette;
    private final Habits habits;
    private final Remembered remembered;
    private final Geometry stone;
    private final Lab behind;
    private final Overlap overlap;
    private final List<Geometry> areas;
    /** How the line of each part is built, by part id. */
    private final Map<String, LineWish.Style> styles = new LinkedHashMap<>();
    private Noticed.FaintestLine faintest;

    /**
     * @param behind colour of what is behind everything
     * @param areas the filled parts within the stone, in the design's order
     */
    LineWork(PlacedDesign design, Rows rows, Map<String, Palette.Colour> colours, Palette palette, Habits habits, Remembered remembered,
            Geometry stone, Lab behind, Overlap overlap, List<Geometry> areas) {
        this.design = design;
        this.frontOfThing = frontOfThing(design);
        this.rows = rows;
        this.colours = colours;
        this.palette = palette;
        this.habits = habits;
        this.remembered = remembered;
        this.stone = stone;
        this.behind = behind;
        this.overlap = overlap;
        this.areas = areas;
    }

    /** The outline that stands out least; empty without outlines. */
    Optional<Noticed.FaintestLine> faintest() {
        return Optional.ofNullable(faintest);
    }

    /**
     * Adds all lines and highlights.
     *
     * @param seen what can be seen of each filled part, by part id
     */
    void draw(Map<String, Geometry> seen, List<Region> regions) {
        List<PlacedPart> parts = design.parts();
        Map<String, Drawn> drawn = new LinkedHashMap<>();
        Map<String, OutlinePen> chosen = chosen(seen);
        for (int i = parts.size() - 1; i >= 0; i--) {
            PlacedPart part = parts.get(i);
            Palette.Colour colour = colours.get(part.part().slot());
            if (part.part().role() == Role.FILL) {
                if (chosen.containsKey(part.part().id())) {
                    outline(part, chosen.get(part.part().id()), overlap.over(i, areas.get(i).getEnvelopeInternal(), Regions.CAST_REACH),
                            drawn);
                }
            } else if (colour != null && part.part().role() != Role.GUIDE) {
                line(part, colour, i, regions);
            }
        }
        for (Drawn each : drawn.values()) {
            double nib = each.pen.nibMm();
            Geometry place = remembered.within(each.place(remembered), remembered.grown(stone, nib / 2));
            if (habits.lines() == Habits.Lines.FIRST) {
                regions.add(new Region(Step.Kind.LINE_FIRST, What.of(What.Of.OUTLINES), place, each.pen.colour(),
                        Region.Spread.thin(1, Soft.CRISP), 0, new Region.Line(nib, each.lengthMm), Why.of(Why.Reason.LINE_FIRST)));
            }
            boolean wished = each.pen.why().reason() == Why.Reason.AS_WISHED;
            Facts facts = each.pen.why().facts().and("restores", habits.lines() == Habits.Lines.FIRST).and("shaded",
                    each.style == LineWish.Style.SHADED);
            regions.add(new Region(Step.Kind.OUTLINE, What.of(What.Of.OUTLINES), place, each.pen.colour(), Region.Spread.EVEN,
                    parts.size() * Region.LEVELS, new Region.Line(nib, each.lengthMm),
                    Why.of(wished ? Why.Reason.AS_WISHED : Why.Reason.STANDS_OUT, facts)));
            if (!each.inner.isEmpty()) {
                second(each, parts.size() * Region.LEVELS + 1, regions);
            }
        }
    }

    /** Outlines of one pen, style and width. */
    private static final class Drawn {
        private final OutlinePen pen;
        private final LineWish.Style style;
        private final List<Geometry> lines = new ArrayList<>();
        private final List<Geometry> outer = new ArrayList<>();
        private final List<Geometry> inner = new ArrayList<>();
        private double lengthMm;

        Drawn(OutlinePen pen, LineWish.Style style) {
            this.pen = pen;
            this.style = style;
        }

        /** What all its strokes cover: lines of one width are made broad together, which is quicker than one by one. */
        Geometry place(Remembered remembered) {
            return lines.isEmpty() ? remembered.union(outer)
                    : remembered.anywhere("strokes", lines.get(0), lines, pen.nibMm(),
                            (first, all, nib, m) -> Shapes.stroke(first.getFactory().buildGeometry(all), nib));
        }
    }

    /** The id of a part as its motif has it. */
    private static String inMotif(PlacedItem thing, PlacedPart part) {
        return part.part().id().substring(thing.item().named("").length());
    }

    /** Whether a part gets a line by itself, or one was asked for by name. */
    private static boolean isLined(PlacedItem thing, PlacedPart part) {
        LineWish own = thing.item().lines().parts().getOrDefault(inMotif(thing, part), LineWish.OPEN);
        return part.part().outlined() || own.colour() != LineWish.Colour.OPEN && own.colour() != LineWish.Colour.NONE;
    }

    /** The pen of each part that gets a line, by part id: one for a thing of the sketch. */
    private Map<String, OutlinePen> chosen(Map<String, Geometry> seen) {
        Map<String, List<PlacedPart>> things = new LinkedHashMap<>();
        Map<String, PlacedItem> thingOf = new LinkedHashMap<>();
        LineWish habit = OutlinePen.habit(habits);
        design.items().forEach(item -> item.parts().forEach(p -> thingOf.put(p.part().id(), item)));
        for (PlacedPart part : design.parts()) {
            if (part.part().role() == Role.FILL && isLined(thingOf.get(part.part().id()), part)
                    && colours.containsKey(part.part().slot())
                    && seen.get(part.part().id()).getArea() > Regions.LEAST_AREA) {
                things.computeIfAbsent(thingOf.get(part.part().id()).item().id(), k -> new ArrayList<>()).add(part);
            }
        }
        Map<String, OutlinePen> chosen = new LinkedHashMap<>();
        things.values().forEach(parts -> {
            PlacedItem thing = thingOf.get(parts.get(0).part().id());
            List<OutlinePen.Edge> edges = parts.stream()
                    .map(p -> new OutlinePen.Edge(colours.get(p.part().slot()).lab(), around(p), p.drawn().getLength(), across(thing),
                            thing.item().lines().of(inMotif(thing, p)).or(habit)))
                    .toList();
            List<Optional<OutlinePen>> pens = OutlinePen.choose(palette, habits, edges);
            for (int i = 0; i < parts.size(); i++) {
                String id = parts.get(i).part().id();
                styles.put(id, edges.get(i).wish().style());
                pens.get(i).ifPresent(pen -> chosen.put(id, pen));
            }
        });
        return chosen;
    }

    private static double across(PlacedItem thing) {
        Envelope box = thing.silhouette().getEnvelopeInternal();
        return Math.hypot(box.getWidth(), box.getHeight());
    }

    /** For each part, the place in the order of the front part of its thing: lights lie on all of their own thing. */
    private static int[] frontOfThing(PlacedDesign design) {
        int[] front = new int[design.parts().size()];
        int from = 0;
        for (PlacedItem thing : design.items()) {
            Arrays.fill(front, from, from + thing.parts().size(), from + thing.parts().size() - 1);
            from += thing.parts().size();
        }
        return front;
    }

    /** Lights that a thing in front covers by half or more are not set; the others are cut. */
    private static Geometry leftOfLights(Geometry lights, List<Geometry> front) {
        List<Geometry> left = new ArrayList<>();
        for (int i = 0; i < lights.getNumGeometries(); i++) {
            Geometry light = Shapes.minus(lights.getGeometryN(i), front);
            if (light.getArea() > 0.5 * lights.getGeometryN(i).getArea()) {
                left.add(light);
            }
        }
        return left.isEmpty() ? Shapes.nothing() : Shapes.union(left);
    }

    private void line(PlacedPart part, Palette.Colour colour, int depth, List<Region> regions) {
        boolean highlight = part.part().role() == Role.HIGHLIGHT;
        Geometry whole = remembered.within(part.painted(), stone);
        List<Geometry> over = overlap.over(highlight ? frontOfThing[depth] : depth, whole.getEnvelopeInternal(), highlight ? 0 : 1);
        Geometry place = over.isEmpty() ? whole
                : highlight ? remembered.anywhere("light", whole, over, "", (all, front, none, m) -> leftOfLights(all, front))
                : remembered.without(whole, over.stream().map(each -> remembered.grown(each, STOP_SHORT)).toList());
        if (place.getArea() > Regions.LEAST_AREA) {
            double nib = part.part().isArea() ? 0 : part.part().penMm();
            regions.add(new Region(highlight ? Step.Kind.HIGHLIGHT : Step.Kind.DETAIL, rows.what(What.Of.PART, part), place, colour,
                    Region.Spread.EVEN, depth * Region.LEVELS,
                    new Region.Line(nib, nib > 0 ? part.drawn().getLength() : 0),
                    Why.of(highlight ? Why.Reason.LIGHT_LAST : Why.Reason.DRAWN_ON_AREA)));
        }
    }

    /** The second line, just inside the first. */
    private void second(Drawn first, int depth, List<Region> regions) {
        boolean metal = first.style == LineWish.Style.METALLIC;
        Optional<OutlinePen> other = metal ? OutlinePen.metallic(palette) : Optional.of(first.pen);
        other.ifPresent(p -> {
            Geometry place = remembered.within(remembered.union(first.inner), stone);
            if (place.getArea() > Regions.LEAST_AREA) {
                regions.add(new Region(Step.Kind.OUTLINE, What.of(What.Of.INNER_LINES), place, p.colour(), Region.Spread.EVEN, depth,
                        new Region.Line(p.nibMm(), first.lengthMm), Why.of(metal ? Why.Reason.METAL_LINE : Why.Reason.SECOND_LINE)));
            }
        });
    }

    private void outline(PlacedPart part, OutlinePen pen, List<Geometry> above, Map<String, Drawn> all) {
        if (faintest == null || pen.contrast() < faintest.contrast()) {
            faintest = new Noticed.FaintestLine(part.part().title(), pen.contrast());
        }
        double nib = pen.nibMm();
        Geometry line = remembered.anywhere("outline", part.drawn(), above, "",
                (drawn, front, none, m) -> stoppedShort(drawn.getBoundary(), front, m));
        if (line.isEmpty()) {
            return;
        }
        LineWish.Style style = styles.get(part.part().id());
        Drawn into = all.computeIfAbsent(pen.paint().id() + " " + style + " " + nib, k -> new Drawn(pen, style));
        if (style == LineWish.Style.SHADED) {
            List<Geometry> others = new ArrayList<>(List.of(line));
            others.addAll(above);
            into.outer.add(remembered.anywhere("thickened", part.drawn(), others, new Thick(nib, habits.light()),
                    (drawn, near, how, m) -> thickened(drawn, near.get(0), near.subList(1, near.size()), how, m)));
        } else {
            into.lines.add(line);
        }
        into.lengthMm += line.getLength() * pen.strokes();
        if (style == LineWish.Style.DOUBLE || style == LineWish.Style.METALLIC) {
            Geometry second = remembered.anywhere("second", part.drawn(), above, nib, (area, front, wide, m) -> {
                Geometry inset = Shapes.grown(area, -(1.5 * wide + 0.35));
                return inset.getArea() < 12 ? Shapes.nothing() : Shapes.stroke(stoppedShort(inset.getBoundary(), front, m), wide * 0.8);
            });
            if (!second.isEmpty()) {
                into.inner.add(second);
            }
        }
    }

    private static Geometry stoppedShort(Geometry line, List<Geometry> above, Remembered memory) {
        Geometry left = line;
        for (Geometry over : above) {
            Geometry wide = memory.grown(over, STOP_SHORT);
            if (!left.isEmpty() && left.getEnvelopeInternal().intersects(wide.getEnvelopeInternal())) {
                left = OverlayNGRobust.overlay(left, wide, OverlayNG.DIFFERENCE);
            }
        }
        return left;
    }

    private record Thick(double nibMm, Light light) {}

    /** The line with its shade side drawn thicker, and inner corners filled. */
    private static Geometry thickened(Geometry area, Geometry line, List<Geometry> above, Thick how, Remembered memory) {
        double nib = how.nibMm();
        Light light = how.light();
        double more = 1.2 * nib; // half a nib of it lies under the line itself
        Geometry moved = AffineTransformation.translationInstance(-light.towardX() * more, -light.towardY() * more)
                .transform(area);
        Geometry crescent = Shapes.minus(Shapes.minus(moved, area),
                above.stream().map(over -> memory.grown(over, STOP_SHORT)).toList());
        Geometry whole = Shapes.union(Shapes.stroke(line, nib), crescent);
        return Shapes.grown(Shapes.grown(whole, nib * 0.5), -nib * 0.5);
    }

    /** The colours on the outer side of a part's edge, looked up a little outside it all the way round. */
    private List<Lab> around(PlacedPart part) {
        List<Coordinate> places = remembered.recall("around", part.drawn(), (drawn, m) -> {
            Geometry ring = Shapes.grown(drawn, 0.8).getBoundary();
            LengthIndexedLine line = new LengthIndexedLine(ring);
            List<Coordinate> found = new ArrayList<>();
            for (int i = 0; i < AROUND; i++) {
                found.add(line.extractPoint(ring.getLength() * i / AROUND));
            }
            return found;
        });
        List<PlacedPart> parts = design.parts();
        List<Integer> topmost = places.stream()
                .map(at -> overlap.frontAt(at, k -> parts.get(k) != part && colours.containsKey(parts.get(k).part().slot()))).toList();
        return topmost.stream().map(k -> k < 0 ? behind : colours.get(parts.get(k).part().slot()).lab()).toList();
    }
}
