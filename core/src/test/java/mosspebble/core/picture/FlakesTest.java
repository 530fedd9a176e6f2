package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FlakesTest {

    private static final double STEP = 0.02;

    /** Share of neighbours so far apart that lie on two flakes. */
    private static double edges(double dx, double dy) {
        int edges = 0;
        int all = 0;
        for (double y = 0; y < 12; y += STEP) {
            for (double x = 0; x < 12; x += STEP) {
                edges += Flakes.at((float) x, (float) y) == Flakes.at((float) (x + dx), (float) (y + dy)) ? 0 : 1;
                all++;
            }
        }
        return (double) edges / all;
    }

    @Test
    void flakesLieEveryWhichWayAndInNoRows() {
        double across = edges(0.04, 0);
        double diagonal = 0.04 / Math.sqrt(2);
        assertThat(edges(0, 0.04)).isCloseTo(across, within(0.06 * across));
        assertThat(edges(diagonal, diagonal)).isCloseTo(across, within(0.06 * across));
        assertThat(edges(diagonal, -diagonal)).isCloseTo(across, within(0.06 * across));
    }

    @Test
    void noFlakeIsLargerThanAHexagonAndMostOfWhatLiesBelowIsCovered() {
        Map<Integer, Double> seen = new HashMap<>();
        for (double y = -6; y < 6; y += STEP) {
            for (double x = -6; x < 6; x += STEP) {
                seen.merge(Flakes.at((float) x, (float) y), STEP * STEP, Double::sum);
            }
        }
        double bare = seen.remove(0) / 144;
        assertThat(bare).as("share between the flakes").isBetween(0.02, 0.25);
        // a regular hexagon of corner radius r covers 3 sqrt(3) / 2 r^2
        double whole = 1.5 * Math.sqrt(3) * Flakes.ACROSS_MM * Flakes.ACROSS_MM / 4;
        assertThat(whole).as("as much as a disc of a flake's diameter").isCloseTo(Math.PI / 4 * 0.4 * 0.4, within(1e-9));
        assertThat(seen.values()).allSatisfy(area -> assertThat(area).isLessThan(1.1 * whole));
        assertThat(seen.values().stream().filter(area -> area > 0.9 * whole).count()).as("some lie on top, whole").isGreaterThan(20);
    }

    @Test
    void whereAPixelHoldsManyTheirPlayIsTheRootOfThat() {
        assertThat(Flakes.seen(0.05)).isEqualTo(1);
        double wide = Flakes.seen(3);
        double flakes = 3 * 3 / (0.3 * 0.3);
        assertThat(wide).isCloseTo(1 / Math.sqrt(flakes), within(1e-6));
    }
}
