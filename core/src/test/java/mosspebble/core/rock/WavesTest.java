package mosspebble.core.rock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WavesTest {

    /** What is drawn between knots is off by the fourth power of their distance or so: ten to the wave leave a thousandth. */
    @ParameterizedTest
    @CsvSource({"22, 3, 0.02", "22, 3, 0.5", "1.5, 4, 0.001", "3.2, 5, 0.02", "30, 2, 3"})
    void whatIsDrawnBetweenKnotsIsTheNoise(double wave, int count, double pixel) {
        Noise noise = new Noise(77);
        Waves waves = new Waves(noise, wave, count);
        NearNoise near = new NearNoise(noise);
        SplittableRandom random = new SplittableRandom(5);
        double most = 0;
        for (int i = 0; i < 4000; i++) {
            double x = random.nextDouble(-90, 90);
            double y = random.nextDouble(-90, 90);
            near.begin();
            double off = Math.abs(waves.at(x, y, pixel, near) - noise.octaves(x, y, wave, count, pixel));
            most = Math.max(most, off);
        }
        assertThat(most).as("farthest off, of a strength of about 1").isLessThan(2e-3);
    }

    @Test
    void theSlopeIsTheRiseOverAShortWay() {
        Noise noise = new Noise(-3);
        Waves waves = new Waves(noise, 30, 2);
        SplittableRandom random = new SplittableRandom(8);
        double[] slope = new double[2];
        double e = 1e-3;
        for (int i = 0; i < 2000; i++) {
            double x = random.nextDouble(-90, 90);
            double y = random.nextDouble(-90, 90);
            waves.slope(x, y, slope);
            double along = (noise.octaves(x + e, y, 30, 2, 0) - noise.octaves(x - e, y, 30, 2, 0)) / (2 * e);
            double across = (noise.octaves(x, y + e, 30, 2, 0) - noise.octaves(x, y - e, 30, 2, 0)) / (2 * e);
            assertThat(slope[0]).as("along at %s, %s", x, y).isCloseTo(along, within(2e-3));
            assertThat(slope[1]).as("across at %s, %s", x, y).isCloseTo(across, within(2e-3));
        }
    }

    @Test
    void itGoesOnEvenlyFromKnotToKnotAndBlockToBlock() {
        Noise noise = new Noise(12);
        Waves waves = new Waves(noise, 30, 2);
        double[] here = new double[2];
        double[] there = new double[2];
        for (int k = -40; k <= 40; k++) {
            waves.slope(k - 1e-9, 0.3, here);
            waves.slope(k + 1e-9, 0.3, there);
            assertThat(there[0]).as("over the knot at %s", k).isCloseTo(here[0], within(1e-5));
            waves.slope(0.3, k - 1e-9, here);
            waves.slope(0.3, k + 1e-9, there);
            assertThat(there[1]).as("over the knot at %s", k).isCloseTo(here[1], within(1e-5));
        }
    }

    @Test
    void aPlaceIsTheSameWhateverWasAskedForBefore() {
        Noise noise = new Noise(4);
        Waves one = new Waves(noise, 3.2, 5);
        Waves other = new Waves(noise, 3.2, 5);
        SplittableRandom random = new SplittableRandom(1);
        double[][] at = random.doubles(6000, -400, 400).mapToObj(v -> new double[] {v, random.nextDouble(-400, 400)})
                .toArray(double[][]::new);
        double[] first = new double[at.length];
        for (int i = 0; i < at.length; i++) { // more blocks than are remembered
            first[i] = one.at(at[i][0], at[i][1], 0.05, new NearNoise(noise));
        }
        for (int i = at.length - 1; i >= 0; i--) {
            assertThat(other.at(at[i][0], at[i][1], 0.05, new NearNoise(noise))).isEqualTo(first[i]);
        }
    }
}
