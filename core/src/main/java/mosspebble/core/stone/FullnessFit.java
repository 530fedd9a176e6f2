package mosspebble.core.stone;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.units.Bisection;
import mosspebble.core.units.GoldenSection;
import mosspebble.core.units.Grams;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import org.locationtech.jts.geom.Coordinate;

/**
 * How full the dome is, from a measure.
 *
 * @param fullness exponent m of the inflation, 1 to {@link Stone#FULLEST}
 * @param offMm root mean square difference to the measures, mm; 0 for one measure
 * @param question what is odd about the measure, as a sentence; empty if it can be true
 */
public record FullnessFit(double fullness, double offMm, Optional<String> question) {

    /** A measured height this far from the dome is worth a question, mm. */
    private static final double ODD_MM = 1.5;

    /**
     * A height of the stone some way in from its edge.
     *
     * @param inside from the edge, along the width through the middle, above 0
     * @param height from the table to the top there, the stone lying on its back, above 0
     */
    public record Gauge(Millimetres inside, Millimetres height) {
        public Gauge {
            if (!(inside.value() > 0 && inside.value() <= 300) || !(height.value() > 0 && height.value() <= Stone.HIGHEST_MM)) {
                throw new IllegalArgumentException("A gauge reading needs 0 to 300 mm in from the edge and 0 to 400 mm of height, was "
                        + inside + " and " + height + ".");
            }
        }
    }

    /**
     * Fits the fullness to one or more heights: with one, {@code m = ln(1 - (z/H)^2) / ln(1 - w)}; with several, least squares by golden
     * section.
     *
     * @param dome of the same outline
     */
    public static FullnessFit ofHeights(Stone stone, Dome dome, List<Gauge> gauges) {
        if (gauges.isEmpty()) {
            throw new IllegalArgumentException("Write at least one gauge reading.");
        }
        List<double[]> points = new ArrayList<>();
        for (Gauge gauge : gauges) {
            points.add(new double[] {level(dome, gauge.inside().value()), gauge.height().value() - stone.backDepthMm()});
        }
        GoldenSection fit = GoldenSection.minimum(1, Stone.FULLEST, 60, m -> squares(points, m, stone.faceHeightMm()));
        double best = fit.at();
        double off = Math.sqrt(fit.value() / points.size());
        Optional<String> question = Optional.empty();
        for (Gauge gauge : gauges) {
            if (gauge.height().value() > stone.height().value() + 0.05) {
                question = Optional.of("The reading of " + Numbers.shortText(gauge.height().value()) + " mm is above the stone's height of "
                        + Numbers.shortText(stone.height().value()) + " mm. Measure one of them again.");
            }
        }
        if (question.isEmpty() && off > ODD_MM) {
            question = Optional.of("No dome over this outline comes nearer to the readings than " + Numbers.text(off, 1)
                    + " mm. Read again, or mark a dent or a bump.");
        }
        return new FullnessFit(best, off, question);
    }

    /** Level of the inflation so far in from the edge along the width. */
    private static double level(Dome dome, double inside) {
        StoneOutline outline = dome.outline();
        Coordinate pole = outline.own(outline.poleX(), outline.poleY());
        Coordinate below = outline.placed(pole.x, pole.y + 1);
        double dx = below.x - outline.poleX();
        double dy = below.y - outline.poleY();
        double radius = outline.radius(Math.atan2(dy, dx));
        double r = Math.max(0, radius - inside);
        return dome.levelAt(outline.poleX() + r * dx, outline.poleY() + r * dy);
    }

    private static double squares(List<double[]> points, double m, double height) {
        double sum = 0;
        for (double[] point : points) {
            double z = point[0] <= 0 ? 0 : height * Math.sqrt(1 - Math.pow(1 - Math.min(1, point[0]), m));
            sum += (z - point[1]) * (z - point[1]);
        }
        return sum;
    }

    /**
     * Settles the fullness of both domes from the weight: volume = mass / density, by bisection, as the volume grows with the fullness. A
     * weight that no fullness gives is questioned with the range
     * that could be true and rocks that it would fit.
     */
    public static FullnessFit ofWeight(Stone stone, Dome dome, Grams weight) {
        double wanted = weight.value() / stone.rock().density() * 1000;
        double least = StoneFacts.volumeMm3(stone, dome, 1);
        double most = StoneFacts.volumeMm3(stone, dome, Stone.FULLEST);
        double fullness = Bisection.of(1, Stone.FULLEST, 30, m -> StoneFacts.volumeMm3(stone, dome, m) < wanted).middle();
        if (weight.value() >= least / 1000 * stone.rock().lightest() * 0.98
                && weight.value() <= most / 1000 * stone.rock().heaviest() * 1.02) {
            return new FullnessFit(fullness, 0, Optional.empty());
        }
        List<String> others = new ArrayList<>();
        for (RockKind kind : RockKind.values()) {
            if (kind != stone.rock() && weight.value() >= least / 1000 * kind.lightest()
                    && weight.value() <= most / 1000 * kind.heaviest()) {
                others.add(kind.label());
            }
        }
        String sentence = Numbers.shortText(weight.value()) + " g cannot be true: this outline and height hold "
                + Numbers.text(least / 1000, 0) + " to " + Numbers.text(most / 1000, 0) + " cm³, which as "
                + stone.rock().label() + " weigh " + Numbers.text(least / 1000 * stone.rock().lightest(), 0) + " to "
                + Numbers.text(most / 1000 * stone.rock().heaviest(), 0) + " g. Weigh or measure again"
                + (others.isEmpty() ? "." : ", or it is " + String.join(" or ", others) + ".");
        return new FullnessFit(fullness, 0, Optional.of(sentence));
    }
}
