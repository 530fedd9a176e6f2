package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.sketch.Overlap;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Shapes;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Numbers;
import org.locationtech.jts.algorithm.locate.SimplePointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.linearref.LengthIndexedLine;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * Cuts a placed design into the areas that each colour takes: paint only where it will be seen, a little under its neighbour; lines behind stop short; shade away from the
 * light and below what overlaps.
 */
final class Regions {

    /** Paint goes this far under the part above it, mm (common practice about 1 mm; less here, since lines cover the seam). */
    static final double UNDERLAP = 0.7;

    /** The ground goes this far under the subject, mm (common practice, no source). */
    static final double GROUND_UNDERLAP = 1.0;

    /** A part smaller than this is painted onto what is below it; nobody leaves so small a hole, mm2 (common practice, no source). */
    private static final double SMALLEST_HOLE = 45;

    /** Lines of what is behind stop this far before what is in front, mm. */
    private static final double STOP_SHORT = 0.25;

    /** Places looked at round a part to choose its line. */
    private static final int AROUND = 24;

    /** An overlap casts its shade no farther than this, mm. */
    private static final double CAST_REACH = 3;

    private static final double SMALLEST_SHADE = 50;
    private static final double LEAST_AREA = 0.05;

    private final PlacedDesign design;
    private final Map<String, Palette.Colour> colours;
    private final Palette palette;
    private final Habits habits;
    private final Geometry stone;
    private final Lab behind;
    private final List<Region> regions = new ArrayList<>();
    private final Map<String, Geometry> seen = new LinkedHashMap<>();
    /** The filled parts within the stone; empty for others. */
    private final List<Geometry> areas = new ArrayList<>();
    private final Overlap overlap;
    private final Map<Integer, Geometry> shrunk = new HashMap<>();
    private final Map<Integer, Geometry> aboves = new HashMap<>();
    private double weakestContrast = Double.POSITIVE_INFINITY;
    private String weakestPart = "";

    private Regions(PlacedDesign design, Survey survey, Map<String, Palette.Colour> colours, Lab behind, Palette palette, Habits habits) {
        this.design = design;
        this.colours = colours;
        this.palette = palette;
        this.habits = habits;
        this.behind = behind;
        this.stone = Shapes.grown(survey.zones().outline(), -0.4);
        PreparedGeometry whole = PreparedGeometryFactory.prepare(stone);
        for (PlacedPart part : design.parts()) {
            areas.add(part.part().role() != Role.FILL ? Shapes.nothing() : whole.covers(part.drawn()) ? part.drawn() : Shapes.common(part.drawn(), stone));
        }
        this.overlap = new Overlap(areas);
    }

    /**
     * @param colours of the slots that have one on the shelf; parts without are left out
     * @param ground colour of the ground, if any
     * @param bare colour of the bare stone, for contrast
     */
    static Regions of(PlacedDesign design, Survey survey, Map<String, Palette.Colour> colours, Optional<Palette.Colour> ground, Lab bare, Palette palette, Habits habits) {
        boolean grounded = ground.isPresent() && habits.ground() != Habits.Ground.BARE;
        Regions cut = new Regions(design, survey, colours, grounded ? ground.get().lab() : bare, palette, habits);
        if (grounded) {
            cut.ground(ground.get());
        }
        cut.fills();
        cut.lines();
        return cut;
    }

    List<Region> list() {
        return regions;
    }

    /** What can be seen of each filled part, by part id. */
    Map<String, Geometry> seen() {
        return seen;
    }

    /** Smallest contrast of any outline with its sides, CIEDE2000; infinite without outlines. */
    double weakestContrast() {
        return weakestContrast;
    }

    String weakestPart() {
        return weakestPart;
    }

    private void ground(Palette.Colour colour) {
        Geometry place = habits.ground() == Habits.Ground.UNDER ? stone
                : Shapes.minus(stone, Shapes.grown(Shapes.minus(design.silhouette(), design.free()), -GROUND_UNDERLAP));
        place = Shapes.minus(place, design.free());
        if (place.getArea() > 20 && Tools.widerThan(place, 1.5)) {
            String reason = habits.ground() == Habits.Ground.UNDER ? "Under everything, as is your habit."
                    : "Only around the subject and " + Numbers.text(GROUND_UNDERLAP, 1) + " mm under its edge: less film, less paint, less peeling.";
            regions.add(new Region(Operation.Kind.GROUND, "the ground", place, colour, 1, true, -1, 0, 0, reason));
        }
    }

    private void fills() {
        List<PlacedPart> parts = design.parts();
        List<Region> topFirst = new ArrayList<>();
        for (int i = parts.size() - 1; i >= 0; i--) {
            PlacedPart part = parts.get(i);
            if (part.part().role() != Role.FILL) {
                continue;
            }
            Geometry inside = areas.get(i);
            Geometry visible = overlap.seen(i);
            seen.put(part.part().id(), visible);
            Palette.Colour colour = colours.get(part.part().slot());
            if (colour != null && visible.getArea() > LEAST_AREA) {
                topFirst.add(new Region(Operation.Kind.FILL, "the " + part.part().title(), Overlap.without(inside, holes(i)), colour, 1, true, i, 0, 0, ""));
                shade(part, visible, colour, i).ifPresent(topFirst::add);
            }
        }
        for (int i = topFirst.size() - 1; i >= 0; i--) {
            regions.add(topFirst.get(i));
        }
    }

    /** All in front of a part as far as it could throw its shade, worked out once. */
    private Geometry above(int index) {
        return aboves.computeIfAbsent(index, i -> overlap.above(i, CAST_REACH));
    }

    /** What larger parts in front leave unpainted of a part: themselves, less the seam. */
    private List<Geometry> holes(int index) {
        List<Geometry> holes = new ArrayList<>();
        for (int front : overlap.inFront(index, areas.get(index).getEnvelopeInternal(), 0)) {
            if (areas.get(front).getArea() >= SMALLEST_HOLE) {
                holes.add(shrunk.computeIfAbsent(front, f -> Shapes.grown(areas.get(f), -UNDERLAP)));
            }
        }
        return holes;
    }

    /** The side away from the light, as far as the part bulges, and the strip below what overlaps it. */
    private Optional<Region> shade(PlacedPart part, Geometry visible, Palette.Colour colour, int depth) {
        double area = part.drawn().getArea();
        if (habits.shade() == 0 || part.part().roundness() == 0 || visible.getArea() < SMALLEST_SHADE) {
            return Optional.empty();
        }
        double towardX = Math.sin(Math.toRadians(habits.lightFrom()));
        double towardY = -Math.cos(Math.toRadians(habits.lightFrom()));
        double own = habits.shade() * part.part().roundness() * 0.22 * Math.sqrt(area);
        double contact = habits.shade() * 2.2;
        Geometry lit = AffineTransformation.translationInstance(towardX * own, towardY * own).transform(part.drawn());
        Geometry dark = Shapes.minus(visible, lit);
        Geometry cast = Shapes.common(AffineTransformation.translationInstance(-towardX * contact, -towardY * contact).transform(above(depth)), visible);
        Geometry place = Shapes.grown(Shapes.grown(Shapes.union(dark, cast), -0.3), 0.3);
        if (place.getArea() < 4) {
            return Optional.empty();
        }
        Lab lab = colour.lab();
        Lab darker = new Lab(lab.l() * (1 - 0.42 * habits.shade()), lab.a() * 0.95, lab.b() * 0.9 - 3 * habits.shade());
        return RecipeSearch.nearest(darker, palette, 5, 2).flatMap(recipe -> palette.colour(recipe.mix()))
                .filter(shade -> shade.lab().l() < lab.l() - 3)
                .map(shade -> new Region(Operation.Kind.SHADE, "the shade side of the " + part.part().title(), place, shade, 0.4, false, depth, 0, 0, Optional.of(visible),
                        "The light comes from " + clock(habits.lightFrom()) + "; what turns away from it and what lies below an overlap goes darker."));
    }

    private static String clock(double degrees) {
        int hour = (int) Math.round(degrees / 30) % 12;
        return (hour == 0 ? 12 : hour) + " o'clock";
    }

    private void lines() {
        List<PlacedPart> parts = design.parts();
        Map<String, List<Geometry>> outlines = new LinkedHashMap<>();
        Map<String, OutlinePen> pens = new LinkedHashMap<>();
        Map<String, Double> lengths = new LinkedHashMap<>();
        for (int i = parts.size() - 1; i >= 0; i--) {
            PlacedPart part = parts.get(i);
            Palette.Colour colour = colours.get(part.part().slot());
            if (part.part().role() == Role.FILL) {
                if (part.part().outlined() && colour != null && seen.get(part.part().id()).getArea() > LEAST_AREA) {
                    outline(part, colour, above(i), outlines, pens, lengths);
                }
            } else if (colour != null && part.part().role() != Role.GUIDE) {
                boolean highlight = part.part().role() == Role.HIGHLIGHT;
                Geometry whole = Shapes.common(part.painted(), stone);
                Geometry above = highlight ? Shapes.nothing() : overlap.above(i, whole.getEnvelopeInternal(), 1);
                Geometry place = above.isEmpty() || !above.intersects(whole) ? whole : Shapes.minus(whole, Shapes.grown(above, STOP_SHORT));
                if (place.getArea() > LEAST_AREA) {
                    double nib = part.part().isArea() ? 0 : part.part().penMm();
                    regions.add(new Region(highlight ? Operation.Kind.HIGHLIGHT : Operation.Kind.DETAIL, "the " + part.part().title(), place, colour, 1, true, i, nib,
                            nib > 0 ? part.drawn().getLength() : 0,
                            highlight ? "Last, where the light strikes." : "After the areas it lies on; it stops just short of what is in front."));
                }
            }
        }
        for (Map.Entry<String, List<Geometry>> entry : outlines.entrySet()) {
            OutlinePen pen = pens.get(entry.getKey());
            double nib = pen.pen().tip().value();
            Geometry place = Shapes.common(Shapes.union(entry.getValue()), Shapes.grown(stone, nib / 2));
            double length = lengths.get(entry.getKey());
            if (habits.lines() == Habits.Lines.FIRST) {
                regions.add(new Region(Operation.Kind.LINE_FIRST, "the outlines", place, pen.colour(), 1, false, 0, nib, length, "Line first, as is your habit: fill up to it."));
            }
            regions.add(new Region(Operation.Kind.OUTLINE, "the outlines", place, pen.colour(), 1, true, parts.size(), nib, length,
                    (habits.lines() == Habits.Lines.FIRST ? "Restores the line at the end. " : "") + pen.reason()));
        }
    }

    private void outline(PlacedPart part, Palette.Colour colour, Geometry above, Map<String, List<Geometry>> outlines, Map<String, OutlinePen> pens,
            Map<String, Double> lengths) {
        Optional<OutlinePen> pen = OutlinePen.choose(palette, habits.lineColour(), colour.lab(), around(part));
        if (pen.isEmpty()) {
            return;
        }
        if (pen.get().contrast() < weakestContrast) {
            weakestContrast = pen.get().contrast();
            weakestPart = part.part().title();
        }
        Geometry line = part.drawn().getBoundary();
        if (!above.isEmpty() && above.intersects(line)) {
            line = OverlayNGRobust.overlay(line, Shapes.grown(above, STOP_SHORT), OverlayNG.DIFFERENCE);
        }
        if (line.isEmpty()) {
            return;
        }
        String id = pen.get().pen().id();
        pens.putIfAbsent(id, pen.get());
        outlines.computeIfAbsent(id, key -> new ArrayList<>()).add(Shapes.stroke(line, pen.get().pen().tip().value()));
        lengths.merge(id, line.getLength(), Double::sum);
    }

    /** The colours on the outer side of a part's edge, looked up a little outside it all the way round. */
    private List<Lab> around(PlacedPart part) {
        Geometry ring = Shapes.grown(part.drawn(), 0.8).getBoundary();
        LengthIndexedLine line = new LengthIndexedLine(ring);
        List<Lab> found = new ArrayList<>();
        for (int i = 0; i < AROUND; i++) {
            Coordinate at = line.extractPoint(ring.getLength() * i / AROUND);
            Lab lab = behind;
            for (int k = design.parts().size() - 1; k >= 0; k--) {
                PlacedPart other = design.parts().get(k);
                Palette.Colour colour = other.part().role() == Role.FILL && other != part ? colours.get(other.part().slot()) : null;
                if (colour != null && other.drawn().getEnvelopeInternal().contains(at) && SimplePointInAreaLocator.locate(at, other.drawn()) == Location.INTERIOR) {
                    lab = colour.lab();
                    break;
                }
            }
            found.add(lab);
        }
        return found;
    }

    /** The colours of the slots that have a mix whose paints are all on the shelf. */
    static Map<String, Palette.Colour> colours(Map<String, Mix> mixes, Palette palette) {
        Map<String, Palette.Colour> colours = new LinkedHashMap<>();
        mixes.forEach((slot, mix) -> palette.colour(mix).ifPresent(colour -> colours.put(slot, colour)));
        return colours;
    }
}
