package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import org.junit.jupiter.api.Test;

/** What least squares make of a place that was found nearly. */
class RefinedTest {

    private static final Grid GRID = new Grid(-20, -15, 0.25, 160, 120);
    private static final double FINEST = Alignment.SHARPNESS[Alignment.SHARPNESS.length - 1];

    private static Fit refined(Fields.At planned, Fields.At seen, double sharpness) {
        int[] cells = IntStream.range(0, GRID.cells()).filter(i -> Math.hypot(GRID.x(i % GRID.columns()), GRID.y(i / GRID.columns())) < 8)
                .toArray();
        Points points = new Points(Fields.of(GRID, planned).blurred(sharpness), cells, 3000);
        return new Refined(points, Fields.of(GRID, seen).blurred(sharpness).slopes(), Fit.none(points.x, points.y), Fit.none(0, 0),
                sharpness).fit();
    }

    private static double stripes(double x) {
        return 50 + 10 * Math.sin(1.1 * x) + 5 * Math.sin(0.6 * x + 1);
    }

    /** What lies along its own lines cannot be told from the photo: how it lies there is known to be unsure. */
    @Test
    void alongStripesNothingIsToldAndAcrossThemTheMoveIs() {
        SplittableRandom grain = new SplittableRandom(3);
        Fit fit = refined((x, y) -> stripes(x), (x, y) -> 12 + 0.7 * stripes(x - 0.8) + grain.nextDouble() - 0.5, FINEST);
        assertThat(fit.dx()).as("%s", fit).isCloseTo(0.8, within(0.02));
        assertThat(fit.dy()).isCloseTo(0, within(PhotoProof.SURE * fit.off()[1]));
        assertThat(fit.size()).isCloseTo(1, within(0.005));
        assertThat(fit.off()[1]).as("along them").isGreaterThan(20 * fit.off()[0]);
    }

    @Test
    void whatIsLookedForMoreSharplyAfterwardsIsNearlyThereAlready() {
        Fields.At planned = (x, y) -> stripes(x) + stripes(y + 0.3 * x);
        Fields.At seen = (x, y) -> planned.value(x - 0.7, y + 0.5) + 0.2 * x;
        Fit rough = refined(planned, seen, Alignment.SHARPNESS[0]);
        Fit fine = refined(planned, seen, FINEST);
        assertThat(new double[] {fine.dx(), fine.dy()}).as("%s", fine).containsExactly(new double[] {0.7, -0.5}, within(0.005));
        assertThat(new double[] {rough.dx(), rough.dy()}).as("%s", rough).containsExactly(new double[] {0.7, -0.5}, within(0.07));
    }
}
