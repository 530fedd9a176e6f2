package mosspebble.core.plan;

import java.util.ArrayList;
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
import mosspebble.core.sketch.Overlap;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Coordinate;
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
    private final Rows rows;
    private final Map<String, Palette.Colour> colours;
    private final Palette palette;
    private final Habits habits;
    private final Remembered remembered;
    private final Geometry stone;
    private final Lab behind;
    private final Overlap overlap;
    private final List<Geometry> areas;
    private Noticed.FaintestLine faintest;

    /**
     * @param behind colour of what is behind everything
     * @param areas the filled parts within the stone, in the design's order
     */
    LineWork(PlacedDesign design, Rows rows, Map<String, Palette.Colour> colours, Palette palette, Habits habits, Remembered remembered,
            Geometry stone, Lab behind, Overlap overlap, List<Geometry> areas) {
        this.design = design;
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
        Map<String, List<Geometry>> outlines = new LinkedHashMap<>();
        Map<String, List<Geometry>> inner = new LinkedHashMap<>();
        Map<String, OutlinePen> pens = new LinkedHashMap<>();
        Map<String, Double> lengths = new LinkedHashMap<>();
        Map<String, OutlinePen> chosen = chosen(seen);
        for (int i = parts.size() - 1; i >= 0; i--) {
            PlacedPart part = parts.get(i);
            Palette.Colour colour = colours.get(part.part().slot());
            if (part.part().role() == Role.FILL) {
                if (chosen.containsKey(part.part().id())) {
                    outline(part, chosen.get(part.part().id()), overlap.over(i, areas.get(i).getEnvelopeInternal(), Regions.CAST_REACH),
                            outlines, inner, pens,
                            lengths);
                }
            } else if (colour != null && part.part().role() != Role.GUIDE) {
                line(part, colour, i, regions);
            }
        }
        for (Map.Entry<String, List<Geometry>> entry : outlines.entrySet()) {
            OutlinePen pen = pens.get(entry.getKey());
            double nib = pen.nibMm();
            Geometry place = remembered.common(remembered.union(entry.getValue()), remembered.grown(stone, nib / 2));
            double length = lengths.get(entry.getKey());
            if (habits.lines() == Habits.Lines.FIRST) {
                regions.add(new Region(Step.Kind.LINE_FIRST, What.of(What.Of.OUTLINES), place, pen.colour(),
                        Region.Spread.thin(1, Soft.CRISP), 0, new Region.Line(nib, length), Why.of(Why.Reason.LINE_FIRST)));
            }
            Facts facts = pen.why().facts().and("restores", habits.lines() == Habits.Lines.FIRST).and("shaded",
                    habits.lineStyle() == Habits.LineStyle.SHADED);
            regions.add(new Region(Step.Kind.OUTLINE, What.of(What.Of.OUTLINES), place, pen.colour(), Region.Spread.EVEN,
                    parts.size() * Region.LEVELS, new Region.Line(nib, length),
                    Why.of(Why.Reason.STANDS_OUT, facts)));
            if (inner.containsKey(entry.getKey())) {
                second(inner.get(entry.getKey()), pen, length, parts.size() * Region.LEVELS + 1, regions);
            }
        }
    }

    /** The pen of each part that gets a line, by part id: one for a thing of the sketch. */
    private Map<String, OutlinePen> chosen(Map<String, Geometry> seen) {
        Map<String, List<PlacedPart>> things = new LinkedHashMap<>();
        Map<String, Integer> thingOf = new LinkedHashMap<>();
        for (int i = 0; i < design.items().size(); i++) {
            int thing = i;
            design.items().get(i).parts().forEach(p -> thingOf.put(p.part().id(), thing));
        }
        for (PlacedPart part : design.parts()) {
            if (part.part().role() == Role.FILL && part.part().outlined() && colours.containsKey(part.part().slot())
                    && seen.get(part.part().id()).getArea() > Regions.LEAST_AREA) {
                things.computeIfAbsent(String.valueOf(thingOf.get(part.part().id())), k -> new ArrayList<>()).add(part);
            }
        }
        Map<String, OutlinePen> chosen = new LinkedHashMap<>();
        things.values().forEach(thing -> {
            List<OutlinePen.Edge> edges = thing.stream()
                    .map(p -> new OutlinePen.Edge(colours.get(p.part().slot()).lab(), around(p), p.drawn().getLength())).toList();
            List<Optional<OutlinePen>> pens = OutlinePen.choose(palette, habits, edges);
            for (int i = 0; i < thing.size(); i++) {
                String id = thing.get(i).part().id();
                pens.get(i).ifPresent(pen -> chosen.put(id, pen));
            }
        });
        return chosen;
    }

    private void line(PlacedPart part, Palette.Colour colour, int depth, List<Region> regions) {
        boolean highlight = part.part().role() == Role.HIGHLIGHT;
        Geometry whole = remembered.common(part.painted(), stone);
        List<Geometry> over = highlight ? List.of() : overlap.over(depth, whole.getEnvelopeInternal(), 1);
        Geometry place = over.isEmpty() ? whole : remembered.recall("line", whole, over,
                (all, front, m) -> Shapes.minus(all, front.stream().map(each -> m.grown(each, STOP_SHORT)).toList()));
        if (place.getArea() > Regions.LEAST_AREA) {
            double nib = part.part().isArea() ? 0 : part.part().penMm();
            regions.add(new Region(highlight ? Step.Kind.HIGHLIGHT : Step.Kind.DETAIL, rows.what(What.Of.PART, part), place, colour,
                    Region.Spread.EVEN, depth * Region.LEVELS,
                    new Region.Line(nib, nib > 0 ? part.drawn().getLength() : 0),
                    Why.of(highlight ? Why.Reason.LIGHT_LAST : Why.Reason.DRAWN_ON_AREA)));
        }
    }

    /** The second line, just inside the first. */
    private void second(List<Geometry> lines, OutlinePen pen, double length, int depth, List<Region> regions) {
        Optional<OutlinePen> other = habits.lineStyle() == Habits.LineStyle.METALLIC ? OutlinePen.metallic(palette) : Optional.of(pen);
        other.ifPresent(p -> {
            Geometry place = remembered.common(remembered.union(lines), stone);
            if (place.getArea() > Regions.LEAST_AREA) {
                regions.add(new Region(Step.Kind.OUTLINE, What.of(What.Of.INNER_LINES), place, p.colour(), Region.Spread.EVEN, depth,
                        new Region.Line(p.nibMm(), length),
                        Why.of(habits.lineStyle() == Habits.LineStyle.METALLIC ? Why.Reason.METAL_LINE : Why.Reason.SECOND_LINE)));
            }
        });
    }

    private void outline(PlacedPart part, OutlinePen pen, List<Geometry> above, Map<String, List<Geometry>> outlines,
            Map<String, List<Geometry>> inner, Map<String, OutlinePen> pens, Map<String, Double> lengths) {
        if (faintest == null || pen.contrast() < faintest.contrast()) {
            faintest = new Noticed.FaintestLine(part.part().title(), pen.contrast());
        }
        double nib = pen.nibMm();
        Geometry line = remembered.recall("outline", part.drawn(), above, (drawn, front, m) -> stoppedShort(drawn.getBoundary(), front, m));
        if (line.isEmpty()) {
            return;
        }
        String id = pen.paint().id();
        pens.putIfAbsent(id, pen);
        Geometry drawn = remembered.stroke(line, nib);
        if (habits.lineStyle() == Habits.LineStyle.SHADED) {
            drawn = remembered.recall("thickened", part.drawn(), line, nib, above, habits.light(), LineWork::thickened);
        }
        outlines.computeIfAbsent(id, key -> new ArrayList<>()).add(drawn);
        lengths.merge(id, line.getLength(), Double::sum);
        if (habits.lineStyle() == Habits.LineStyle.DOUBLE || habits.lineStyle() == Habits.LineStyle.METALLIC) {
            Geometry second = remembered.recall("second", part.drawn(), above, nib, (area, front, wide, m) -> {
                Geometry inset = Shapes.grown(area, -(1.5 * wide + 0.35));
                return inset.getArea() < 12 ? Shapes.nothing() : Shapes.stroke(stoppedShort(inset.getBoundary(), front, m), wide * 0.8);
            });
            if (!second.isEmpty()) {
                inner.computeIfAbsent(id, key -> new ArrayList<>()).add(second);
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

    /** The line with its shade side drawn thicker, and inner corners filled. */
    private static Geometry thickened(Geometry area, Geometry line, double nib, List<Geometry> above, Light light, Remembered memory) {
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
