package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;

/** Made-up fields whose move is known by construction: a pattern of soft spots, seen elsewhere, in other contrast, shade and grain. */
class AlignmentTest {

    private static final Grid GRID = new Grid(-25, -25, 0.25, 200, 200);
    private static final double[][] SPOTS = {{-6, -4, 1.6, 40}, {5, -5, 2.2, -30}, {0, 3, 1.4, 35}, {-4, 6, 1.1, -25}, {7, 4, 1.8, 20},
        {1, -8, 1, 30}};

    private static double pattern(double x, double y) {
        double sum = 50;
        for (double[] spot : SPOTS) {
            sum += spot[3] * Math.exp(-((x - spot[0]) * (x - spot[0]) + (y - spot[1]) * (y - spot[1])) / (2 * spot[2] * spot[2]));
        }
        return sum;
    }

    private static Field field(Fields.At at) {
        return Fields.of(GRID, at);
    }

    private static int[] round(double reach) {
        return IntStream.range(0, GRID.cells()).filter(i -> Math.hypot(GRID.x(i % GRID.columns()), GRID.y(i / GRID.columns())) < reach)
                .toArray();
    }

    /** The pattern as it is seen after a move. */
    private static double moved(double x, double y, double dx, double dy, double turn, double size) {
        double c = Math.cos(turn) / size;
        double s = Math.sin(turn) / size;
        return pattern(c * (x - dx) + s * (y - dy), -s * (x - dx) + c * (y - dy));
    }

    @Test
    void aKnownMoveIsFoundWhateverContrastShadeAndGrain() {
        double[][] moves = {{0, 0, 0, 1}, {1.3, -0.7, 2.5, 1.03}, {-2.4, 1.9, -6, 0.95}, {3.2, 2.2, 4, 1.07}};
        for (double[] move : moves) {
            double turn = Math.toRadians(move[2]);
            SplittableRandom grain = new SplittableRandom(4);
            Field seen = field((x, y) -> 20 + 0.6 * moved(x, y, move[0], move[1], turn, move[3]) + 0.3 * x - 0.2 * y
                    + 3 * (grain.nextDouble() - 0.5));
            Fit fit = new Alignment(field(AlignmentTest::pattern), seen).find(round(13), Fit.none(0, 0), new Alignment.Range(4.5, 9, true))
                    .about(0, 0);

            assertThat(fit.dx()).as("%s", fit).isCloseTo(move[0], within(0.06));
            assertThat(fit.dy()).isCloseTo(move[1], within(0.06));
            assertThat(Math.toDegrees(fit.turn())).isCloseTo(move[2], within(0.3));
            assertThat(fit.size()).isCloseTo(move[3], within(0.006));
            assertThat(fit.likeness()).isGreaterThan(0.85);
        }
    }

    @Test
    void whatLiesAtTheEndOfWhereItIsLookedForIsFoundOnEverySide() {
        for (int side = 0; side < 4; side++) {
            double dx = side % 2 == 0 ? 4.2 : -4.2;
            double dy = side < 2 ? 3.9 : -3.9;
            double degrees = side == 0 || side == 3 ? 8.5 : -8.5;
            double size = side == 1 || side == 3 ? 1.1 : 0.9;
            SplittableRandom grain = new SplittableRandom(side);
            Field seen = field((x, y) -> moved(x, y, dx, dy, Math.toRadians(degrees), size) + 24 * (grain.nextDouble() - 0.5));
            Fit fit = new Alignment(field(AlignmentTest::pattern), seen).find(round(13), Fit.none(0, 0), new Alignment.Range(4.5, 9, true))
                    .about(0, 0);

            assertThat(new double[] {fit.dx(), fit.dy()}).as("%s", fit).containsExactly(new double[] {dx, dy}, within(0.1));
            assertThat(Math.toDegrees(fit.turn())).isCloseTo(degrees, within(0.6));
            assertThat(fit.size()).isCloseTo(size, within(0.015));
        }
    }

    @Test
    void whereTooLittleOfItIsSeenItIsNotFoundAndWhereEnoughIsItIs() {
        Fit hidden = new Alignment(field(AlignmentTest::pattern), seenTo(-2)).find(round(13), Fit.none(0, 0),
                new Alignment.Range(3, 3, false));
        assertThat(hidden.likeness()).as("four tenths of it").isEqualTo(-1);
        assertThat(Alignment.likeness(field(AlignmentTest::pattern), seenTo(8), new int[0])).as("nothing at all").isEqualTo(-1);

        Fit most = new Alignment(field(AlignmentTest::pattern), seenTo(8)).find(round(13), Fit.none(0, 0), new Alignment.Range(3, 3, false))
                .about(0, 0);
        assertThat(new double[] {most.dx(), most.dy()}).as("%s", most).containsExactly(new double[] {-2.1, 1.4}, within(0.05));
    }

    /** The pattern moved to the left and down, seen only so far to the right. */
    private static Field seenTo(double right) {
        Field all = field((x, y) -> moved(x, y, -2.1, 1.4, 0, 1));
        float[] known = new float[GRID.cells()];
        for (int i = 0; i < known.length; i++) {
            known[i] = GRID.x(i % GRID.columns()) < right ? 1 : 0;
        }
        return new Field(GRID, all.value, known);
    }

    @Test
    void whatIsSaidToBeUncertainIsAboutAsLargeAsTheErrors() {
        SplittableRandom grain = new SplittableRandom(9);
        double squares = 0;
        int trials = 12;
        for (int k = 0; k < trials; k++) {
            // grain as wide as a cell, strong against the pattern
            Field seen = field((x, y) -> moved(x, y, 0.4, 0.2, 0.02, 1) + 30 * (grain.nextDouble() - 0.5));
            Fit fit = new Alignment(field(AlignmentTest::pattern), seen).find(round(13), Fit.none(0, 0), new Alignment.Range(1.8, 0, false))
                    .about(0, 0);
            squares += Math.pow((fit.turn() - 0.02) / fit.off()[2], 2) / trials;
        }
        assertThat(Math.sqrt(squares)).as("errors of the turn in their own deviations: right within a factor of two").isBetween(0.25, 2.0);
    }

    @Test
    void oneThirdThatDoesNotFollowHardlyCounts() {
        // a neighbour over the right third stays where it was planned while the rest moved
        Field seen = field((x, y) -> x > 6.5 ? pattern(x, y) : moved(x, y, 1.2, 0, 0, 1));
        Fit fit = new Alignment(field(AlignmentTest::pattern), seen).find(round(13), Fit.none(0, 0), new Alignment.Range(3, 3, false))
                .about(0, 0);

        assertThat(fit.dx()).isCloseTo(1.2, within(0.12));
    }

    @Test
    void whatIsNotThereIsNotAlike() {
        SplittableRandom grain = new SplittableRandom(2);
        Field seen = field((x, y) -> 50 + 12 * (grain.nextDouble() - 0.5));
        Fit fit = new Alignment(field(AlignmentTest::pattern), seen).find(round(13), Fit.none(0, 0), new Alignment.Range(4.5, 9, true));

        assertThat(fit.likeness()).isLessThan(Stray.LEAST_LIKENESS);
    }

    @Test
    void unknownCellsNeitherBlurInNorAreSampled() {
        float[] value = new float[GRID.cells()];
        float[] known = new float[GRID.cells()];
        for (int i = 0; i < value.length; i++) {
            boolean there = GRID.x(i % GRID.columns()) < 0;
            value[i] = there ? 10 : 1000;
            known[i] = there ? 1 : 0;
        }
        Field soft = new Field(GRID, new float[][] {value}, known).blurred(1);
        double[] at = new double[1];

        assertThat(soft.sample(-0.6, 3, at)).isTrue();
        assertThat(at[0]).as("nothing of the other side").isCloseTo(10, within(0.01));
        assertThat(soft.sample(0.1, 3, at)).isFalse();
        assertThat(soft.sample(-40, 0, at)).isFalse();
    }

    @Test
    void slopesAreThoseOfTheField() {
        Field plane = field((x, y) -> 3 * x - 2 * y).slopes();
        double[][] at = new double[3][1];

        assertThat(plane.sample(1.234, -3.21, at[0], at[1], at[2])).isTrue();
        assertThat(at[0][0]).isCloseTo(3 * 1.234 + 2 * 3.21, within(1e-3));
        assertThat(at[1][0]).isCloseTo(3, within(1e-3));
        assertThat(at[2][0]).isCloseTo(-2, within(1e-3));
    }

    @Test
    void aMoveToldAboutAnotherMiddleIsTheSameMove() {
        Fit fit = new Fit(3, -2, 1, 2, 0.3, 1.1, 1, new double[4]);
        Fit other = fit.about(-7, 5);
        double[] there = new double[2];
        for (double[] p : new double[][] {{0, 0}, {9, 4}, {-3, 8}}) {
            there[0] = fit.toX(p[0], p[1]);
            there[1] = fit.toY(p[0], p[1]);
            assertThat(new double[] {other.toX(p[0], p[1]), other.toY(p[0], p[1])}).containsExactly(there, within(1e-9));
            Coordinate moved = new Coordinate();
            fit.transformation().transform(new Coordinate(p[0], p[1]), moved);
            assertThat(new double[] {moved.x, moved.y}).containsExactly(there, within(1e-9));
        }
        assertThat(Arrays.asList(other.x(), other.y())).containsExactly(-7.0, 5.0);
    }
}
