package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.SplittableRandom;
import mosspebble.core.area.Grid;
import org.junit.jupiter.api.Test;

/** Values over a grid, read between its cells. */
class FieldTest {

    private static final Grid GRID = new Grid(-7, -5, 0.25, 56, 40);

    private static double plane(int channel, double x, double y) {
        return channel == 0 ? 3 * x - 2 * y + 50 : -x + 0.5 * y + 7;
    }

    /** Two channels that rise evenly, known everywhere but in a square. */
    private static Field planes() {
        float[][] value = new float[2][GRID.cells()];
        float[] known = new float[GRID.cells()];
        for (int i = 0; i < GRID.cells(); i++) {
            double x = GRID.x(i % GRID.columns());
            double y = GRID.y(i / GRID.columns());
            value[0][i] = (float) plane(0, x, y);
            value[1][i] = (float) plane(1, x, y);
            known[i] = hole(x, y) ? 0 : 1;
        }
        return new Field(GRID, value, known);
    }

    private static boolean hole(double x, double y) {
        return x > 1 && x < 2 && y > -1 && y < 1;
    }

    @Test
    void betweenCellsAPlaneIsThePlaneAndItsSlopesAreItsOwn() {
        Field field = planes().slopes();
        SplittableRandom random = new SplittableRandom(4);
        double[] at = new double[2];
        double[] alongX = new double[2];
        double[] alongY = new double[2];
        int told = 0;
        for (int i = 0; i < 3000; i++) {
            double x = random.nextDouble(-6.5, 6.5);
            double y = random.nextDouble(-4.5, 4.5);
            if (Math.abs(x - 1.5) < 1.1 && Math.abs(y) < 1.6) {
                continue; // beside what is not known slopes are none
            }
            assertThat(field.sample(x, y, at)).isTrue();
            assertThat(at[0]).isCloseTo(plane(0, x, y), within(1e-4));
            assertThat(at[1]).isCloseTo(plane(1, x, y), within(1e-4));
            assertThat(field.sample(x, y, at, alongX, alongY)).isTrue();
            assertThat(at[0]).isCloseTo(plane(0, x, y), within(1e-4));
            assertThat(alongX[0]).isCloseTo(3, within(1e-3));
            assertThat(alongY[0]).isCloseTo(-2, within(1e-3));
            assertThat(alongX[1]).isCloseTo(-1, within(1e-3));
            assertThat(alongY[1]).isCloseTo(0.5, within(1e-3));
            told++;
        }
        assertThat(told).isGreaterThan(2000);
    }

    @Test
    void whereOneOfTheFourCellsIsNotKnownNothingIsTold() {
        Field field = planes();
        double[] at = new double[2];
        assertThat(field.sample(1.5, 0, at)).as("in the hole").isFalse();
        assertThat(field.sample(0.95, 0, at)).as("a cell of the hole is among the four").isFalse();
        assertThat(field.sample(0.7, 0, at)).as("the four lie beside it").isTrue();
        for (double[] corner : new double[][] {{0.95, -1.05}, {2.05, -1.05}, {0.95, 1.05}, {2.05, 1.05}}) {
            assertThat(field.sample(corner[0], corner[1], at)).as("one corner of the four is in the hole").isFalse();
        }
        for (double far : new double[] {-7.01, 6.99, 40, -1e9, Double.NaN}) {
            assertThat(field.sample(far, 0, at)).as("x of %s", far).isFalse();
            assertThat(field.sample(0, far, at)).as("y of %s", far).isFalse();
        }
        assertThat(field.sample(-7 + 0.125, -5 + 0.125, at)).as("the middle of the first cell").isTrue();
        assertThat(at[0]).isCloseTo(plane(0, -6.875, -4.875), within(1e-4));
    }

    @Test
    void aPlaceLiesInTheCellRoundItOrNowhere() {
        Field field = planes();
        SplittableRandom random = new SplittableRandom(8);
        int nowhere = 0;
        for (int i = 0; i < 3000; i++) {
            double column = random.nextDouble(GRID.columns());
            double row = random.nextDouble(GRID.rows());
            double x = GRID.x((int) Math.round(column - 0.5));
            double y = GRID.y((int) Math.round(row - 0.5));
            int cell = field.cell(column, row);
            assertThat(cell < 0).as("%.3f, %.3f", x, y).isEqualTo(hole(x, y));
            nowhere += cell < 0 ? 1 : 0;
            if (cell >= 0) {
                assertThat((double) field.value[0][cell]).isCloseTo(plane(0, x, y), within(1e-4));
            }
        }
        assertThat(nowhere).as("of a square mm by two, in 140").isBetween(15, 80);
        assertThat(field.cell(0, 0)).isZero();
        assertThat(field.cell(55.99, 39.99)).isEqualTo(GRID.cells() - 1);
        for (double[] beyond : new double[][] {{-0.01, 3}, {3, -0.01}, {56, 3}, {3, 40}, {Double.NaN, 3}, {3, 1e12}}) {
            assertThat(field.cell(beyond[0], beyond[1])).as("%s, %s", beyond[0], beyond[1]).isNegative();
        }
    }

    @Test
    void aBlurredFieldKnowsWhatItKnewAndLeavesAPlaneInTheMiddleAsItIs() {
        Field blurred = planes().blurred(0.5);
        double[] at = new double[2];
        assertThat(blurred.sample(1.5, 0, at)).isFalse();
        assertThat(blurred.sample(-3, 0, at)).isTrue();
        assertThat(at[0]).isCloseTo(plane(0, -3, 0), within(0.02));
        assertThat(Arrays.equals(blurred.known, planes().known)).isTrue();
    }

    @Test
    void aFitToldByItsSixNumbersIsTheFit() {
        SplittableRandom random = new SplittableRandom(6);
        double[] right = new double[3];
        double[] down = new double[3];
        for (int i = 0; i < 500; i++) {
            Fit fit = new Fit(random.nextDouble(-40, 40), random.nextDouble(-40, 40), random.nextDouble(-5, 5), random.nextDouble(-5, 5),
                    random.nextDouble(-3, 3), random.nextDouble(0.5, 2), 0, new double[4]);
            fit.into(right, down);
            double x = random.nextDouble(-60, 60);
            double y = random.nextDouble(-60, 60);
            assertThat(right[0] * x + right[1] * y + right[2]).isCloseTo(fit.toX(x, y), within(1e-9));
            assertThat(down[0] * x + down[1] * y + down[2]).isCloseTo(fit.toY(x, y), within(1e-9));
        }
    }
}
