package mosspebble.core.plan;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.project.Habits;
import mosspebble.core.units.Facts;

/**
 * What draws an outline: by contrast with what lies on both of its sides, one neutral colour for a subject.
 *
 * @param paint the pen, or the paint on the liner brush
 * @param nibMm width of the line
 * @param contrast smaller of the differences to the area and, on average, to what surrounds it, CIEDE2000
 */
record OutlinePen(Paint paint, Palette.Colour colour, double nibMm, double contrast, Why why) {

    /** Widest nib for outlines, mm. */
    private static final double WIDEST = 1.2;

    /** Line of a liner brush, mm (common practice, no source). */
    private static final double LINER_MM = 0.6;

    /** Black, grey and white: what contrast chooses from, chroma (common practice, no source). */
    private static final double NEUTRAL = 12;

    /** Below this difference a line is lost beside its neighbour (common practice, no source). */
    static final double LOST = 10;

    /** A line that differs by so much stands out; more does not help it (common practice, no source). */
    private static final double PLAIN = 30;

    /** Black unless it would vanish, white then: it must show on so much of a subject's edges (common practice, no source). */
    private static final double MOSTLY = 0.6;

    /** One colour of line for a subject; another for a part only where that one is lost and the other better by so much. */
    private static final double WORTH_ANOTHER = 8;

    /** An edge that asks for a line: the area inside it, and what is met all round outside. */
    record Edge(Lab inside, List<Lab> outside, double lengthMm) {}

    /**
     * The pens for the edges of one subject: one for all, by contrast or the darkest as is the painter's habit. Where it is lost, an edge
     * that stands apart by itself gets none, any other the pen that shows.
     *
     * @return for each edge; empty where it needs none or the shelf has none
     */
    static List<Optional<OutlinePen>> choose(Palette palette, Habits habits, List<Edge> edges) {
        boolean liner = habits.medium() == Habits.Medium.BRUSHES;
        List<Paint> all = palette.shelf().that(liner ? PaintKind.Use.FILLS : PaintKind.Use.DRAWS).stream()
                .filter(p -> liner || p.tip().value() > 0 && p.tip().value() <= WIDEST).toList();
        List<Paint> neutral = all.stream().filter(p -> palette.colour(Mix.of(p.id())).orElseThrow().lab().chroma() < NEUTRAL).toList();
        List<Paint> pens = neutral.isEmpty() ? all : neutral;
        if (pens.isEmpty()) {
            return edges.stream().map(e -> Optional.<OutlinePen>empty()).toList();
        }
        boolean dark = habits.lineColour() == Habits.LineColour.DARK;
        Paint darkest = pens.stream().min(Comparator.comparingDouble(p -> palette.colour(Mix.of(p.id())).orElseThrow().lab().l()))
                .orElseThrow();
        Paint palest = pens.stream().max(Comparator.comparingDouble(p -> palette.colour(Mix.of(p.id())).orElseThrow().lab().l()))
                .orElseThrow();
        Paint one = dark || shows(palette, darkest, edges) >= MOSTLY ? darkest : shows(palette, palest, edges) >= MOSTLY ? palest
                : pens.stream().max(Comparator.comparingDouble(p -> edges.stream()
                        .mapToDouble(e -> e.lengthMm * Math.min(PLAIN, contrast(palette, p, e))).sum())).orElseThrow();
        return edges.stream().map(edge -> {
            double own = contrast(palette, one, edge);
            if (!dark && own < LOST && standsApart(edge)) {
                return Optional.<OutlinePen>empty();
            }
            Paint best = pens.stream().max(Comparator.comparingDouble(p -> contrast(palette, p, edge))).orElseThrow();
            boolean another = !dark && own < LOST && contrast(palette, best, edge) > own + WORTH_ANOTHER;
            return Optional.of(pen(palette, another ? best : one, edge, dark, liner));
        }).toList();
    }

    /** Whether what is inside is told apart from all that is met outside. */
    private static boolean standsApart(Edge edge) {
        return !edge.outside.isEmpty() && edge.outside.stream().allMatch(o -> o.differenceTo(edge.inside) >= PLAIN);
    }

    /** The share of all edges, by length, on which a pen is not lost. */
    private static double shows(Palette palette, Paint pen, List<Edge> edges) {
        double all = edges.stream().mapToDouble(Edge::lengthMm).sum();
        return all <= 0 ? 0 : edges.stream().filter(e -> contrast(palette, pen, e) >= LOST).mapToDouble(Edge::lengthMm).sum() / all;
    }

    private static double contrast(Palette palette, Paint pen, Edge edge) {
        return Math.min(inside(palette, pen, edge), outside(palette, pen, edge));
    }

    private static double inside(Palette palette, Paint pen, Edge edge) {
        return palette.colour(Mix.of(pen.id())).orElseThrow().lab().differenceTo(edge.inside);
    }

    private static double outside(Palette palette, Paint pen, Edge edge) {
        Lab line = palette.colour(Mix.of(pen.id())).orElseThrow().lab();
        return edge.outside.stream().mapToDouble(line::differenceTo).average().orElse(line.differenceTo(edge.inside));
    }

    private static OutlinePen pen(Palette palette, Paint pen, Edge edge, boolean dark, boolean liner) {
        Facts facts = Facts.of("darkest", dark).and("liner", liner).and("inside", inside(palette, pen, edge)).and("outside",
                outside(palette, pen, edge));
        return new OutlinePen(pen, palette.colour(Mix.of(pen.id())).orElseThrow(), liner ? LINER_MM : pen.tip().value(),
                contrast(palette, pen, edge), Why.of(Why.Reason.STANDS_OUT, facts));
    }

    /** What draws a metallic line: a pen if there is one, else the liner. */
    static Optional<OutlinePen> metallic(Palette palette) {
        return palette.shelf().that(PaintKind.Use.METAL).stream().max((a, b) -> Boolean.compare(a.hasNib(), b.hasNib()))
                .map(p -> new OutlinePen(p, palette.colour(Mix.of(p.id())).orElseThrow(),
                        p.hasNib() ? Math.min(WIDEST, p.tip().value()) : LINER_MM, 0, Why.NONE));
    }
}
