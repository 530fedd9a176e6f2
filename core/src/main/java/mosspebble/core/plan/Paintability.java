package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.Bisection;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.index.strtree.STRtree;

/**
 * Whether every part and gap of a design can be painted with the tools on the shelf: a pen fills nothing narrower than about twice its nib,
 * a brush nothing narrower than a fine round one; two strokes
 * closer than a nib run together; a rough stone adds its pits to both.
 */
public final class Paintability {

    /** Narrowest area that a fine round brush fills, mm (common practice, no source). */
    static final double FINE_BRUSH = 1.0;

    /** What has so much of the width that its tool needs is painted all the same (common practice, no source). */
    private static final double ALMOST = 0.9;

    /**
     * A part that is too narrow.
     *
     * @param wideMm what there is, the largest disc that fits
     * @param neededMm what its tool needs
     * @param pen what it is filled with; a fine brush if none
     * @param finer a pen of nearly the same colour that would do, if there is one
     */
    public record Narrow(PlacedItem item, PlacedPart part, double wideMm, double neededMm, Optional<Paint> pen, Optional<Paint> finer) {
        /** How many times larger it must be. */
        public double growth() {
            return neededMm / Math.max(wideMm, neededMm / 20);
        }
    }

    /**
     * Two strokes, or two letters, between which too little is left.
     *
     * @param gapMm what there is
     * @param neededMm what the pen leaves open
     */
    public record Tight(PlacedItem item, PlacedPart one, PlacedPart other, double gapMm, double neededMm) {}

    /** Colours no farther than this count as nearly the same, CIEDE2000. */
    private static final double NEARLY = 14;

    private final PlacedDesign design;
    private final Map<String, Geometry> seen;
    private final Map<String, Palette.Colour> colours;
    private final Palette palette;
    private final double pitMm;
    private final Remembered remembered;

    Paintability(PlacedDesign design, Map<String, Geometry> seen, Map<String, Palette.Colour> colours, Palette palette, double pitMm,
            Remembered remembered) {
        this.remembered = remembered;
        this.design = design;
        this.seen = seen;
        this.colours = colours;
        this.palette = palette;
        this.pitMm = pitMm;
    }

    /** The parts that are too narrow, the worst first. */
    List<Narrow> narrow() {
        List<Narrow> found = new ArrayList<>();
        for (PlacedItem item : design.items()) {
            for (PlacedPart part : item.parts()) {
                Geometry area = seen.get(part.part().id());
                if (part.part().role() != Role.FILL || area == null || area.isEmpty()) {
                    continue;
                }
                boolean dots = item.item().subject() instanceof Subject.Dots
                        || item.item().subject() instanceof Subject.Stroke s && s.becomes() == Subject.Becomes.DOTS;
                if (dots) {
                    continue; // each is set with an end made for it
                }
                Optional<Paint> pen = pen(part);
                double needed = pen.map(p -> 2 * p.tip().value()).orElse(FINE_BRUSH) + pitMm;
                if (!remembered.recall("wider", remembered.home(area), needed, (a, mm, m) -> Tools.widerThan(a, ALMOST * mm))) {
                    double wide = remembered.recall("widest", remembered.home(area), needed, (a, mm, m) -> widest(a, mm));
                    found.add(new Narrow(item, part, wide, needed, pen, finer(part, wide)));
                }
            }
        }
        found.sort(Comparator.comparingDouble(n -> n.wideMm() / n.neededMm()));
        return found;
    }

    private Optional<Paint> pen(PlacedPart part) {
        return Optional.ofNullable(colours.get(part.part().slot())).map(Palette.Colour::mix).filter(Mix::isSingle)
                .flatMap(mix -> palette.shelf().find(mix.parts().get(0).paint()))
                .filter(Paint::hasNib);
    }

    private Optional<Paint> finer(PlacedPart part, double wide) {
        Palette.Colour wanted = colours.get(part.part().slot());
        return wanted == null ? Optional.empty() : palette.shelf().that(PaintKind.Use.DRAWS).stream()
                .filter(p -> p.tip().value() > 0 && 2 * p.tip().value() + pitMm <= wide)
                .filter(p -> palette.colour(Mix.of(p.id())).orElseThrow().lab().differenceTo(wanted.lab()) < NEARLY)
                .min(Comparator.comparingDouble(p -> palette.colour(Mix.of(p.id())).orElseThrow().lab().differenceTo(wanted.lab())));
    }

    /** Diameter of the largest disc, to a hundredth of what is needed. */
    private static double widest(Geometry area, double needed) {
        return Bisection.of(0, needed, 7, mm -> Tools.widerThan(area, mm)).low();
    }

    /** Strokes that run together, the tightest first: lines of one part that do not touch, and letters of one word. */
    List<Tight> tight() {
        List<Tight> found = new ArrayList<>();
        for (PlacedItem item : design.items()) {
            STRtree letters = new STRtree();
            for (PlacedPart part : item.parts()) {
                if (part.part().role() == Role.LINE && part.drawn().getNumGeometries() > 1) {
                    double needed = part.part().penMm() + pitMm;
                    double gap = smallestGap(part.drawn(), needed);
                    if (gap < needed) {
                        found.add(new Tight(item, part, part, gap, needed));
                    }
                }
                if (item.motif().id().equals("word") && part.part().id().matches("(.*/)?letter-\\d+") && !part.painted().isEmpty()) {
                    letters.insert(part.painted().getEnvelopeInternal(), part);
                }
            }
            lettersApart(item, letters, found);
        }
        found.sort(Comparator.comparingDouble(t -> t.gapMm() / t.neededMm()));
        return found;
    }

    /** Letters whose paint leaves less than half a millimetre and a pit between them, but that are not meant to touch. */
    private void lettersApart(PlacedItem item, STRtree letters, List<Tight> found) {
        double needed = 0.4 + pitMm;
        for (PlacedPart part : item.parts()) {
            if (!part.part().id().matches("(.*/)?letter-\\d+") || letters.isEmpty()) {
                continue;
            }
            var box = part.painted().getEnvelopeInternal();
            box.expandBy(needed);
            for (Object hit : letters.query(box)) {
                PlacedPart other = (PlacedPart) hit;
                if (other.part().id().compareTo(part.part().id()) > 0) {
                    double gap = other.painted().distance(part.painted());
                    if (gap > 0 && gap < needed) {
                        found.add(new Tight(item, part, other, gap, needed));
                    }
                }
            }
        }
    }

    private static double smallestGap(Geometry lines, double below) {
        double least = Double.POSITIVE_INFINITY;
        int n = Math.min(60, lines.getNumGeometries());
        for (int i = 0; i < n; i++) {
            var box = lines.getGeometryN(i).getEnvelopeInternal();
            box.expandBy(below);
            for (int k = i + 1; k < n; k++) {
                if (box.intersects(lines.getGeometryN(k).getEnvelopeInternal())) {
                    double gap = lines.getGeometryN(i).distance(lines.getGeometryN(k));
                    least = gap > 1e-6 ? Math.min(least, gap) : least;
                }
            }
        }
        return least;
    }
}
