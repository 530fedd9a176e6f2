package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import org.junit.jupiter.api.Test;

/** How alike what is seen is to some points, where they were planned and moved from there. */
class LatticeTest {

    private static final Grid GRID = new Grid(-20, -15, 0.25, 160, 120);

    private static int cell(int column, int row) {
        return row * GRID.columns() + column;
    }

    private static double waves(double x, double y) {
        return 40 + 9 * Math.sin(0.5 * x + 0.2 * y) + 6 * Math.cos(0.3 * x - 0.6 * y) + 0.8 * y;
    }

    private static int[] middle() {
        return IntStream.range(0, GRID.cells()).filter(i -> Math.hypot(GRID.x(i % GRID.columns()), GRID.y(i / GRID.columns())) < 6)
                .toArray();
    }

    /** Pairs of numbers in a row of cells, planned and seen. */
    private static double likeness(double[] planned, double[] seen) {
        float[] wanted = new float[GRID.cells()];
        float[] there = new float[GRID.cells()];
        float[] known = new float[GRID.cells()];
        Arrays.fill(known, 1);
        int[] cells = new int[planned.length];
        for (int i = 0; i < planned.length; i++) {
            cells[i] = cell(30 + i, 40);
            wanted[cells[i]] = (float) planned[i];
            there[cells[i]] = (float) seen[i];
        }
        Points points = new Points(new Field(GRID, new float[][] {wanted}, known), cells, 100);
        return points.likeness(new Field(GRID, new float[][] {there}, known), Fit.none(0, 0));
    }

    /** F. J. Anscombe, Graphs in Statistical Analysis, The American Statistician 27, 1973: all four have a correlation of 0.816. */
    @Test
    void whatIsAlikeIsTheCorrelationOfStatistics() {
        double[] x = {10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5};
        double[] first = {8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68};
        double[] second = {9.14, 8.14, 8.74, 8.77, 9.26, 8.10, 6.13, 3.10, 9.13, 7.26, 4.74};
        double[] third = {7.46, 6.77, 12.74, 7.11, 7.81, 8.84, 6.08, 5.39, 8.15, 6.42, 5.73};
        double[] fourthX = {8, 8, 8, 8, 8, 8, 8, 19, 8, 8, 8};
        double[] fourth = {6.58, 5.76, 7.71, 8.84, 8.47, 7.04, 5.25, 12.50, 5.56, 7.91, 6.89};
        assertThat(likeness(x, first)).isCloseTo(0.816, within(0.001));
        assertThat(likeness(x, second)).isCloseTo(0.816, within(0.001));
        assertThat(likeness(x, third)).isCloseTo(0.816, within(0.001));
        assertThat(likeness(fourthX, fourth)).isCloseTo(0.816, within(0.001));
        assertThat(likeness(x, Arrays.stream(first).map(y -> 3 - 2 * y).toArray())).as("turned over and stretched")
                .isCloseTo(-0.816, within(0.001));
    }

    @Test
    void theLatticeSaysWhatThePointsSayWhereverTheyAreMoved() {
        Field planned = Fields.of(GRID, LatticeTest::waves);
        Field seen = Fields.of(GRID, (x, y) -> waves(x - 1.3, y + 2.2)).blurred(1.4);
        Points points = new Points(planned, middle(), 450);
        Lattice lattice = new Lattice(points, seen);
        double best = -1;
        double[] at = new double[2];
        for (double degrees : new double[] {-8, 0, 5}) {
            Fit here = new Fit(points.x, points.y, 0.4, -0.3, Math.toRadians(degrees), 1.05, 0, new double[4]);
            lattice.lay(here);
            for (double right = -4.5; right <= 4.5; right += 0.9) {
                for (double down = -4.5; down <= 4.5; down += 0.9) {
                    Fit moved = new Fit(here.x(), here.y(), here.dx() + right, here.dy() + down, here.turn(), here.size(), 0, here.off());
                    double alike = lattice.likeness(right, down);
                    assertThat(alike).as("%s", moved).isCloseTo(points.likeness(seen, moved), within(0.02)); // a cell is 0.25 mm
                    if (alike > best) {
                        best = alike;
                        at = new double[] {moved.dx(), moved.dy()};
                    }
                }
            }
        }
        assertThat(at).as("nearest to where it is seen").containsExactly(new double[] {1.3, -2.2}, within(0.5));
    }

    @Test
    void whereSixTenthsOfThePointsAreSeenTheyAreEnough() {
        Field planned = Fields.of(GRID, LatticeTest::waves);
        int[] row = IntStream.range(20, 120).map(column -> cell(column, 60)).toArray();
        Points points = new Points(planned, row, 1000);
        assertThat(points.areEnough(60)).isTrue();
        assertThat(points.areEnough(59)).isFalse();
        for (int columns : new int[] {60, 59}) {
            float[] known = new float[GRID.cells()];
            for (int i = 0; i < known.length; i++) {
                known[i] = i % GRID.columns() < 20 + columns ? 1 : 0;
            }
            Lattice lattice = new Lattice(points, new Field(GRID, planned.value, known));
            lattice.lay(Fit.none(points.x, points.y));
            assertThat(lattice.likeness(0, 0)).as("%d of 100", columns).isCloseTo(columns == 60 ? 1 : -1, within(1e-6));
        }
    }

    @Test
    void ofManyCellsSoManyAreTakenEvenlyAndTheirMiddleIsKnown() {
        Field planned = Fields.of(GRID, LatticeTest::waves);
        int[] row = IntStream.range(20, 120).map(column -> cell(column, 60)).toArray();
        Points points = new Points(planned, row, 25);
        assertThat(points.px).hasSize(25);
        assertThat(points.every).isEqualTo(4);
        assertThat(points.px[1] - points.px[0]).isCloseTo(1, within(1e-9));
        assertThat(points.x).as("of columns 20, 24 to 116").isCloseTo(GRID.x(68), within(1e-9));
        assertThat(points.y).isCloseTo(GRID.y(60), within(1e-9));
        assertThat(points.reach).isCloseTo(12, within(1e-9));
        assertThat(points.value[0][3]).isCloseTo(waves(points.px[3], points.py[3]), within(1e-4));
    }
}
