package mosspebble.core.plan;

import java.util.List;
import java.util.Optional;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.units.Numbers;

/**
 * The pen for an outline: by contrast with what lies on both of its sides, neutral pens before coloured ones.
 *
 * @param contrast smaller of the differences to the area and, on average, to what surrounds it, CIEDE2000
 */
record OutlinePen(Paint pen, Palette.Colour colour, double contrast, String reason) {

    /** Widest nib for outlines, mm. */
    private static final double WIDEST = 1.2;

    /** A coloured pen must be better by this much to win over a neutral one. */
    private static final double NEUTRAL_BONUS = 12;

    /** Below this difference a line is lost beside its neighbour (common practice, no source). */
    static final double LOST = 10;

    static Optional<OutlinePen> choose(Palette palette, Habits.LineColour habit, Lab inside, List<Lab> outside) {
        List<Paint> pens = palette.shelf().ofKind(PaintKind.PEN).stream().filter(p -> p.tip().value() > 0 && p.tip().value() <= WIDEST).toList();
        OutlinePen best = null;
        double bestScore = Double.NEGATIVE_INFINITY;
        for (Paint pen : pens) {
            Palette.Colour colour = palette.colour(Mix.of(pen.id())).orElseThrow();
            Lab line = colour.lab();
            double in = line.differenceTo(inside);
            double out = outside.stream().mapToDouble(line::differenceTo).average().orElse(in);
            double score = habit == Habits.LineColour.DARK ? -line.l() : Math.min(in, out) + (line.chroma() < 12 ? NEUTRAL_BONUS : 0);
            if (score > bestScore) {
                bestScore = score;
                String why = habit == Habits.LineColour.DARK ? "The darkest pen, as is your habit" : "Stands out best on both sides";
                best = new OutlinePen(pen, colour, Math.min(in, out), why + ": differs by " + Numbers.text(in, 0) + " from the area and by "
                        + Numbers.text(out, 0) + " from what is behind (CIEDE2000).");
            }
        }
        return Optional.ofNullable(best);
    }
}
