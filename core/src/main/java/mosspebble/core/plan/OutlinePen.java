package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.project.Habits;
import mosspebble.core.sketch.LineWish;
import mosspebble.core.units.Facts;

/**
 * What draws an outline: by contrast with what lies on both of its sides, one neutral colour for a subject.
 *
 * @param paint the pen, or the paint on the liner brush
 * @param nibMm width of the line
 * @param contrast smaller of the differences to the area and, on average, to what surrounds it, CIEDE2000
 */
public record OutlinePen(Paint paint, Palette.Colour colour, double nibMm, double contrast, Why why) {

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

    /** One colour of line for a subject; one other for the parts where that one is lost and the other better by so much. */
    private static final double WORTH_ANOTHER = 8;

    /** Pens of one colour differ by no more than this, CIEDE2000. */
    private static final double SAME = 5;

    /** A line is so many times as wide as its thing is large, within bounds, mm (common practice, no source). */
    private static final double WEIGHT = 0.008;
    private static final double THINNEST = 0.25;
    private static final double THICKEST = 1;

    /** Lightness that a black, a grey and a white pen have about, and how far off one still counts, L*. */
    private static final double BLACK_L = 12;
    private static final double GREY_L = 57;
    private static final double WHITE_L = 95;
    private static final double OFF_L = 18;

    /**
     * An edge that asks for a line.
     *
     * @param inside the area inside it
     * @param outside what is met all round outside
     * @param thingMm how large the thing is that it belongs to, across
     * @param wish with nothing left open but its width
     */
    record Edge(Lab inside, List<Lab> outside, double lengthMm, double thingMm, LineWish wish) {}

    /** What is wanted where nothing else is said. */
    public static LineWish habit(Habits habits) {
        LineWish.Colour colour = switch (habits.lineColour()) {
            case CONTRAST, DARK -> LineWish.Colour.CONTRAST;
            case NONE -> LineWish.Colour.NONE;
            case BLACK -> LineWish.Colour.BLACK;
            case WHITE -> LineWish.Colour.WHITE;
            case GREY -> LineWish.Colour.GREY;
        };
        LineWish.Style style = switch (habits.lineStyle()) {
            case EVEN -> LineWish.Style.EVEN;
            case SHADED -> LineWish.Style.SHADED;
            case DOUBLE -> LineWish.Style.DOUBLE;
            case METALLIC -> LineWish.Style.METALLIC;
        };
        return new LineWish(colour, "", style, 0);
    }

    /**
     * What draws a line as wished; empty for {@link LineWish.Colour#CONTRAST}, for none, and where the shelf has nothing for it.
     */
    public static Optional<Paint> drawing(Palette palette, Habits habits, LineWish wish) {
        return switch (wish.colour()) {
            case OPEN, NONE, CONTRAST -> Optional.empty();
            case PAINT -> palette.shelf().find(wish.paint()).filter(p -> palette.colour(Mix.of(p.id())).isPresent());
            case BLACK -> about(palette, habits, BLACK_L);
            case GREY -> about(palette, habits, GREY_L);
            case WHITE -> about(palette, habits, WHITE_L);
        };
    }

    private static Optional<Paint> about(Palette palette, Habits habits, double lightness) {
        return offered(palette, habits).stream().filter(p -> lab(palette, p).chroma() < NEUTRAL)
                .filter(p -> Math.abs(lab(palette, p).l() - lightness) <= OFF_L)
                .min(Comparator.comparingDouble(p -> Math.abs(lab(palette, p).l() - lightness)));
    }

    /** What lines are drawn with: pens, or the liner by habit. */
    private static List<Paint> offered(Palette palette, Habits habits) {
        boolean liner = habits.medium() == Habits.Medium.BRUSHES;
        return palette.shelf().that(liner ? PaintKind.Use.FILLS : PaintKind.Use.DRAWS).stream()
                .filter(p -> liner || p.tip().value() > 0 && p.tip().value() <= WIDEST).toList();
    }

    private static Lab lab(Palette palette, Paint paint) {
        return palette.colour(Mix.of(paint.id())).orElseThrow().lab();
    }

    /**
     * The pens for the edges of one subject: one for all, by contrast or the darkest as is the painter's habit. Where it is lost, an edge
     * that stands apart by itself gets none, all others the one other pen that shows best on them.
     *
     * @return for each edge; empty where it needs none or the shelf has none
     */
    static List<Optional<OutlinePen>> choose(Palette palette, Habits habits, List<Edge> edges) {
        List<Optional<Paint>> chosen = edges.stream().map(e -> drawing(palette, habits, e.wish)).toList();
        List<Edge> open = IntStream.range(0, edges.size())
                .filter(i -> edges.get(i).wish.colour() != LineWish.Colour.NONE && chosen.get(i).isEmpty()).mapToObj(edges::get).toList();
        List<Optional<OutlinePen>> byContrast = byContrast(palette, habits, open);
        List<Optional<OutlinePen>> pens = new ArrayList<>();
        for (int i = 0; i < edges.size(); i++) {
            Edge edge = edges.get(i);
            pens.add(edge.wish.colour() == LineWish.Colour.NONE ? Optional.empty()
                    : chosen.get(i).isPresent()
                            ? Optional.of(pen(palette, chosen.get(i).get(), edge, false, !chosen.get(i).get().hasNib()).asWished())
                    : byContrast.get(open.indexOf(edge)));
        }
        return pens;
    }

    private static List<Optional<OutlinePen>> byContrast(Palette palette, Habits habits, List<Edge> edges) {
        boolean liner = habits.medium() == Habits.Medium.BRUSHES;
        List<Paint> all = offered(palette, habits);
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
                : seen(palette, darkest, edges) >= seen(palette, palest, edges) ? darkest : palest;
        List<Edge> lost = edges.stream().filter(e -> isLost(palette, one, e)).toList();
        Paint other = pens.stream().max(Comparator.comparingDouble(p -> seen(palette, p, lost))).orElseThrow();
        return edges.stream().map(edge -> {
            if (!dark && isLost(palette, one, edge) && standsApart(edge)) {
                return Optional.<OutlinePen>empty();
            }
            boolean another = !dark && isLost(palette, one, edge)
                    && contrast(palette, other, edge) > contrast(palette, one, edge) + WORTH_ANOTHER;
            return Optional.of(pen(palette, weighted(palette, all, another ? other : one, edge), edge, dark, liner));
        }).toList();
    }

    /** How well a pen is seen on edges, by their lengths. */
    private static double seen(Palette palette, Paint pen, List<Edge> edges) {
        return edges.stream().mapToDouble(e -> e.lengthMm * Math.min(PLAIN, contrast(palette, pen, e))).sum();
    }

    private static boolean isLost(Palette palette, Paint pen, Edge edge) {
        return contrast(palette, pen, edge) < LOST;
    }

    /** Of the pens of one colour the one whose tip suits the size of the thing, or the width that is wished. */
    private static Paint weighted(Palette palette, List<Paint> all, Paint pen, Edge edge) {
        double wanted = edge.wish.widthMm() > 0 ? edge.wish.widthMm()
                : Math.max(THINNEST, Math.min(THICKEST, WEIGHT * edge.thingMm));
        return all.stream().filter(p -> lab(palette, p).differenceTo(lab(palette, pen)) <= SAME)
                .min(Comparator.comparingDouble(p -> Math.abs(p.tip().value() - wanted))).orElse(pen);
    }

    /** How often the nib goes along a line to make it so wide. */
    int strokes() {
        return paint.hasNib() && paint.tip().value() > 0 ? Math.max(1, (int) Math.ceil(nibMm / paint.tip().value() - 1e-6)) : 1;
    }

    private OutlinePen asWished() {
        return new OutlinePen(paint, colour, nibMm, Double.POSITIVE_INFINITY, Why.of(Why.Reason.AS_WISHED));
    }

    /** Whether what is inside is told apart from all that is met outside. */
    private static boolean standsApart(Edge edge) {
        return !edge.outside.isEmpty() && edge.outside.stream().allMatch(o -> o.differenceTo(edge.inside) >= PLAIN);
    }

    /** The share of all edges, by length, on which a pen is not lost. */
    private static double shows(Palette palette, Paint pen, List<Edge> edges) {
        double all = edges.stream().mapToDouble(Edge::lengthMm).sum();
        return all <= 0 ? 0 : edges.stream().filter(e -> !isLost(palette, pen, e)).mapToDouble(Edge::lengthMm).sum() / all;
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
        double own = liner ? LINER_MM : pen.tip().value();
        return new OutlinePen(pen, palette.colour(Mix.of(pen.id())).orElseThrow(), edge.wish.widthMm() > 0 ? edge.wish.widthMm() : own,
                contrast(palette, pen, edge), Why.of(Why.Reason.STANDS_OUT, facts));
    }

    /** What draws a metallic line: a pen if there is one, else the liner. */
    static Optional<OutlinePen> metallic(Palette palette) {
        return palette.shelf().that(PaintKind.Use.METAL).stream().max((a, b) -> Boolean.compare(a.hasNib(), b.hasNib()))
                .map(p -> new OutlinePen(p, palette.colour(Mix.of(p.id())).orElseThrow(),
                        p.hasNib() ? Math.min(WIDEST, p.tip().value()) : LINER_MM, 0, Why.NONE));
    }
}
