package mosspebble.core.plan;

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
 * What draws an outline: by contrast with what lies on both of its sides, neutral colours before others.
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

    /** A coloured pen must be better by this much to win over a neutral one. */
    private static final double NEUTRAL_BONUS = 12;

    /** Below this difference a line is lost beside its neighbour (common practice, no source). */
    static final double LOST = 10;

    static Optional<OutlinePen> choose(Palette palette, Habits habits, Lab inside, List<Lab> outside) {
        boolean liner = habits.medium() == Habits.Medium.BRUSHES;
        List<Paint> pens = palette.shelf().that(liner ? PaintKind.Use.FILLS : PaintKind.Use.DRAWS).stream()
                .filter(p -> liner || p.tip().value() > 0 && p.tip().value() <= WIDEST).toList();
        boolean dark = habits.lineColour() == Habits.LineColour.DARK;
        OutlinePen best = null;
        double bestScore = Double.NEGATIVE_INFINITY;
        for (Paint pen : pens) {
            Palette.Colour colour = palette.colour(Mix.of(pen.id())).orElseThrow();
            Lab line = colour.lab();
            double in = line.differenceTo(inside);
            double out = outside.stream().mapToDouble(line::differenceTo).average().orElse(in);
            double score = dark ? -line.l() : Math.min(in, out) + (line.chroma() < 12 ? NEUTRAL_BONUS : 0);
            if (score > bestScore) {
                bestScore = score;
                Facts facts = Facts.of("darkest", dark).and("liner", liner).and("inside", in).and("outside", out);
                best = new OutlinePen(pen, colour, liner ? LINER_MM : pen.tip().value(), Math.min(in, out),
                        Why.of(Why.Reason.STANDS_OUT, facts));
            }
        }
        return Optional.ofNullable(best);
    }

    /** What draws a metallic line: a pen if there is one, else the liner. */
    static Optional<OutlinePen> metallic(Palette palette) {
        return palette.shelf().that(PaintKind.Use.METAL).stream().max((a, b) -> Boolean.compare(a.hasNib(), b.hasNib()))
                .map(p -> new OutlinePen(p, palette.colour(Mix.of(p.id())).orElseThrow(),
                        p.hasNib() ? Math.min(WIDEST, p.tip().value()) : LINER_MM, 0, Why.NONE));
    }
}
