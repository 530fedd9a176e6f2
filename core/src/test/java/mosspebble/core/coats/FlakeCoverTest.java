package mosspebble.core.coats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Flakes thrown at random against the law of random discs. */
class FlakeCoverTest {

    private static final FlakeCover GLITTER = new FlakeCover(0.4, 0.3);

    /** So many flakes on 40 by 40 mm; probes keep 2 mm off the rim, so that it is no matter. */
    private static double[][] thrown(int coats, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        double[][] flakes = new double[(int) Math.round(coats * GLITTER.flakesPerMm2() * 1600)][];
        for (int i = 0; i < flakes.length; i++) {
            flakes[i] = new double[] {random.nextDouble() * 40, random.nextDouble() * 40};
        }
        return flakes;
    }

    private static boolean free(double[][] flakes, double x, double y, double reach) {
        for (double[] f : flakes) {
            if ((f[0] - x) * (f[0] - x) + (f[1] - y) * (f[1] - y) < reach * reach) {
                return false;
            }
        }
        return true;
    }

    @Test
    @Tag("outside") // simulation against the formulas
    void coverAndBaldPatchesAreThoseOfFlakesThrownAtRandom() {
        for (int coats = 1; coats <= 2; coats++) {
            double[][] flakes = thrown(coats, 5 + coats);
            SplittableRandom probe = new SplittableRandom(99);
            int open = 0;
            int bald = 0;
            int tries = 6000;
            for (int i = 0; i < tries; i++) {
                double x = 2 + 36 * probe.nextDouble();
                double y = 2 + 36 * probe.nextDouble();
                open += free(flakes, x, y, 0.2) ? 1 : 0;
                bald += free(flakes, x, y, (0.5 + 0.4) / 2) ? 1 : 0;
            }
            assertThat(1 - open / (double) tries).as("%d coats", coats).isCloseTo(GLITTER.covered(coats), within(0.03));
            assertThat(bald / (double) tries).isCloseTo(GLITTER.bald(coats, 0.5), within(0.02));
        }
    }

    @Test
    void oneCoatForASmallPlaceAndTwoForALargeOne() {
        // craft glitter over a base of its own colour: one coat, or two on larger places (common practice, no source)
        assertThat(GLITTER.coats(5, 2)).isEqualTo(1);
        assertThat(GLITTER.coats(800, 2)).isEqualTo(2);
        assertThat(new FlakeCover(0.4, 0.05).coats(800, 9)).as("thin glitter would take many").isGreaterThan(5);
        assertThat(new FlakeCover(0.4, 0.05).coats(800, 3)).isEqualTo(3);
        assertThat(new FlakeCover(0.1, 0.3).coats(800, 9)).as("fine flakes leave no bald patch").isEqualTo(1);
        double place = Math.PI / 4 / GLITTER.bald(1, FlakeCover.BALD_MM); // one bald patch is to be expected on so much
        assertThat(GLITTER.coats(0.98 * place, 2)).isEqualTo(1);
        assertThat(GLITTER.coats(1.02 * place, 2)).isEqualTo(2);
        assertThat(GLITTER.covered(2)).isCloseTo(0.51, within(1e-9));
        assertThatThrownBy(() -> new FlakeCover(0.4, 1)).hasMessageContaining("not all");
    }
}
