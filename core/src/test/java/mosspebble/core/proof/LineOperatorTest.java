package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import org.junit.jupiter.api.Test;

/** Lines, borders, specks and grain as made-up pictures, whose likeness to a pencil's line is plain. */
class LineOperatorTest {

    private static final Grid GRID = new Grid(-12, -12, 0.2, 120, 120);

    private static Field field(Fields.At at) {
        return Fields.of(GRID, at);
    }

    private static float[] lines(Fields.At at) {
        return new LineOperator(GRID).lines(field(at), false).value[0];
    }

    private static float strongest(float[] lines) {
        float least = 0;
        for (float line : lines) {
            least = Math.min(least, line);
        }
        return -least;
    }

    /** Darkness of a line half a mm wide through the middle, at so many degrees. */
    private static double stroke(double x, double y, double degrees) {
        double off = x * Math.sin(Math.toRadians(degrees)) - y * Math.cos(Math.toRadians(degrees));
        return Math.abs(off) <= 0.25 ? -15 : 0;
    }

    private static double speck(double x, double y) {
        return Math.hypot(x, y) < 0.6 ? -15 : 0;
    }

    @Test
    void aLineStandsOutWhicheverWayItRuns() {
        for (double degrees : new double[] {0, 10, 22.5, 45, 80, 90, 130}) {
            float[] lines = lines((x, y) -> stroke(x, y, degrees));
            assertThat(strongest(lines)).as("%s degrees", degrees).isBetween(11f, 15.1f);
        }
    }

    @Test
    void aBorderAndASpeckAreLessLikeALineThanALine() {
        float line = strongest(lines((x, y) -> stroke(x, y, 30)));
        assertThat(strongest(lines((x, y) -> x + 0.5 * y < 0 ? -15 : 0))).as("border of a dark grain").isLessThan(0.6f * line);
        assertThat(strongest(lines(LineOperatorTest::speck))).as("speck 1.2 mm wide, as dark").isLessThan(0.8f * line);
    }

    @Test
    void whatIsDarkerThanAnyPencilCountsNoMoreThanOne() {
        assertThat(lines((x, y) -> 4 * stroke(x, y, 30))).containsExactly(lines((x, y) -> 2 * stroke(x, y, 30)), within(1e-4f));
    }

    @Test
    void chalkOnADarkStoneIsTheSameTheOtherWayRound() {
        float[] pencil = lines((x, y) -> stroke(x, y, 70));
        float[] chalk = new LineOperator(GRID).lines(field((x, y) -> -stroke(x, y, 70)), true).value[0];
        for (int i = 0; i < chalk.length; i++) {
            assertThat(chalk[i]).isCloseTo(-pencil[i], within(1e-5f));
        }
    }

    @Test
    void nothingIsSeenWhereNothingIsKnown() {
        Field all = field((x, y) -> stroke(x, y, 0));
        float[] known = all.known.clone();
        Arrays.fill(known, 0, known.length / 2 + GRID.columns(), 0);
        float[] lines = new LineOperator(GRID).lines(new Field(GRID, all.value, known), false).value[0];
        assertThat(IntStream.range(0, known.length).filter(i -> known[i] == 0).filter(i -> lines[i] != 0)).isEmpty();
    }

    /** How far the line lies above the grain beside it, in standard deviations of the grain. */
    private static double above(float[] lines, double degrees) {
        double[] on = new double[2];
        double[] beside = new double[3];
        for (int i = 0; i < lines.length; i++) {
            double x = GRID.x(i % GRID.columns());
            double y = GRID.y(i / GRID.columns());
            double off = Math.abs(x * Math.sin(Math.toRadians(degrees)) - y * Math.cos(Math.toRadians(degrees)));
            if (Math.hypot(x, y) < 9 && off < 0.15) {
                on[0] += lines[i];
                on[1]++;
            } else if (Math.hypot(x, y) < 9 && off > 1.2) {
                beside[0] += lines[i];
                beside[1] += lines[i] * lines[i];
                beside[2]++;
            }
        }
        double mean = beside[0] / beside[2];
        return (mean - on[0] / on[1]) / Math.sqrt(beside[1] / beside[2] - mean * mean);
    }

    @Test
    void amongGrainsALineStandsOutMoreThanInThePlainPicture() {
        SplittableRandom random = new SplittableRandom(8);
        double[][] grains = new double[420][];
        for (int k = 0; k < grains.length; k++) { // one in ten as dark as mica, three as quartz
            double kind = random.nextDouble();
            grains[k] = new double[] {random.nextDouble(-12, 12), random.nextDouble(-12, 12), kind < 0.1 ? -40 : kind < 0.4 ? -12 : 0};
        }
        Fields.At stone = (x, y) -> Arrays.stream(grains).min((a, b) -> Double.compare(Math.hypot(a[0] - x, a[1] - y),
                Math.hypot(b[0] - x, b[1] - y))).orElseThrow()[2];
        Field plain = field((x, y) -> stone.value(x, y) + stroke(x, y, 37)).fine(2.5);
        float[] lines = new LineOperator(GRID).lines(plain, false).value[0];
        assertThat(above(lines, 37)).isGreaterThan(1.2 * above(plain.value[0], 37));
    }
}
