package mosspebble.core.rock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class NoiseTest {

    private static final int SIDE = 300;

    /** Pearson's chi-squared of tones sorted into bins against even chances. */
    private static double chiSquared(int[] counts, int total) {
        double expected = (double) total / counts.length;
        double sum = 0;
        for (int count : counts) {
            sum += (count - expected) * (count - expected) / expected;
        }
        return sum;
    }

    @Test
    // even chances: mean 1/2, variance 1/12; chi-squared with 19 degrees of freedom lies below 43.8 999 times in 1,000 (tables)
    @Tag("outside")
    void theHashIsEvenlySpreadAndNeighboursDoNotKnowEachOther() {
        for (long seed : new long[] {0, 1, 77, -5}) {
            Noise noise = new Noise(seed);
            int[] bins = new int[20];
            double sum = 0;
            double squares = 0;
            double right = 0;
            double below = 0;
            for (int y = 0; y < SIDE; y++) {
                for (int x = -SIDE / 2; x < SIDE / 2; x++) {
                    double value = noise.hash(x, y);
                    assertThat(value).isGreaterThanOrEqualTo(0).isLessThan(1);
                    bins[(int) (value * 20)]++;
                    sum += value;
                    squares += (value - 0.5) * (value - 0.5);
                    right += (value - 0.5) * (noise.hash(x + 1, y) - 0.5);
                    below += (value - 0.5) * (noise.hash(x, y + 1) - 0.5);
                }
            }
            int count = SIDE * SIDE;
            assertThat(chiSquared(bins, count)).as("seed %d", seed).isLessThan(43.8);
            assertThat(sum / count).isCloseTo(0.5, within(4 * Math.sqrt(1 / 12.0 / count)));
            assertThat(squares / count).isCloseTo(1 / 12.0, within(0.001));
            assertThat(right / squares).as("correlation with the right neighbour").isCloseTo(0, within(0.015));
            assertThat(below / squares).as("correlation with the lower neighbour").isCloseTo(0, within(0.015));
        }
    }

    @Test
    void anotherSeedIsAnotherStoneAndTheSameSeedTheSame() {
        Noise one = new Noise(4);
        Noise again = new Noise(4);
        Noise other = new Noise(5);
        double both = 0;
        for (int i = 0; i < 2000; i++) {
            double x = 0.37 * i;
            assertThat(one.octaves(x, -x, 3)).isEqualTo(again.octaves(x, -x, 3));
            both += (one.hash(i, 3) - 0.5) * (other.hash(i, 3) - 0.5);
        }
        assertThat(both / 2000 * 12).as("correlation of two seeds").isCloseTo(0, within(0.08));
    }

    @Test
    void smoothNoiseGoesThroughItsLatticeAndNeverJumps() {
        Noise noise = new Noise(9);
        for (int x = -6; x < 6; x++) {
            for (int y = -6; y < 6; y++) {
                assertThat(noise.smooth(x, y)).isCloseTo(noise.hash(x, y), within(1e-12));
                assertThat(noise.smooth(x - 1e-9, y - 1e-9)).as("just before the lattice").isCloseTo(noise.hash(x, y), within(1e-6));
            }
        }
        // the steepest way from 0 to 1 along 3t^2 - 2t^3 has slope 1.5
        SplittableRandom random = new SplittableRandom(1);
        for (int i = 0; i < 5000; i++) {
            double x = random.nextDouble(-40, 40);
            double y = random.nextDouble(-40, 40);
            assertThat(Math.abs(noise.smooth(x + 0.01, y) - noise.smooth(x, y))).isLessThanOrEqualTo(0.0151);
            assertThat(noise.octaves(x, y, 4)).isBetween(0.0, 1.0);
        }
    }

    @Test
    void moreOctavesAddDetailButKeepTheLargeShapes() {
        Noise noise = new Noise(2);
        double rough = 0;
        double fine = 0;
        double product = 0;
        double one = 0;
        double many = 0;
        for (int i = 0; i < 4000; i++) {
            double x = i * 0.731;
            double y = i * 0.213;
            double few = noise.octaves(x, y, 1) - 0.5;
            double more = noise.octaves(x, y, 5) - 0.5;
            rough += Math.abs(noise.octaves(x + 0.03, y, 1) - noise.octaves(x, y, 1));
            fine += Math.abs(noise.octaves(x + 0.03, y, 5) - noise.octaves(x, y, 5));
            product += few * more;
            one += few * few;
            many += more * more;
        }
        assertThat(fine).as("five octaves are livelier close up").isGreaterThan(1.1 * rough);
        assertThat(product / Math.sqrt(one * many)).as("but follow the first").isGreaterThan(0.75);
    }

    @Test
    void gradientNoiseIsNoughtOnItsLatticeEvenAboutNoughtAndNeverJumps() {
        Noise noise = new Noise(21);
        SplittableRandom random = new SplittableRandom(8);
        double sum = 0;
        double most = 0;
        for (int i = 0; i < 20_000; i++) {
            double x = random.nextDouble(-90, 90);
            double y = random.nextDouble(-90, 90);
            double value = noise.gradient(x, y);
            sum += value;
            most = Math.max(most, Math.abs(value));
            assertThat(Math.abs(noise.gradient(x + 0.001, y) - value)).isLessThan(0.004);
            assertThat(noise.gradient(Math.rint(x), Math.rint(y))).isCloseTo(0, within(1e-12));
        }
        assertThat(sum / 20_000).isCloseTo(0, within(0.01));
        assertThat(most).isBetween(0.5, 0.75);
    }

    @Test
    void whatIsFinerThanThePixelIsLeftOutAndACloserLookOnlyAdds() {
        Noise noise = new Noise(3);
        assertThat(Noise.visible(1, 0.5)).isZero();
        assertThat(Noise.visible(1, 0.25)).isEqualTo(1);
        assertThat(Noise.visible(1, 0.34)).isBetween(0.3, 0.7);
        for (double x = 0; x < 40; x += 0.7) {
            double far = noise.octaves(x, 5, 8, 6, 1.9);
            assertThat(far).as("two octaves at most").isEqualTo(noise.octaves(x, 5, 8, 2, 1.9));
            assertThat(noise.octaves(x, 5, 8, 6, 40)).isZero();
            // each further octave adds at most 0.71 of its strength
            assertThat(Math.abs(noise.octaves(x, 5, 8, 6, 0.01) - noise.octaves(x, 5, 8, 2, 0)))
                    .isLessThan(0.75 * (0.25 + 0.125 + 0.0625 + 0.04));
        }
    }

    @Test
    void whatIsRememberedOfTheLatticeChangesNoValue() {
        Noise noise = new Noise(23);
        NearNoise near = new NearNoise(noise);
        SplittableRandom random = new SplittableRandom(8);
        for (int k = 0; k < 4_000; k++) {
            double x = k % 7 == 0 ? random.nextDouble(-80, 80) : 0.03 * k - 40; // along a line, with jumps
            double y = k % 11 == 0 ? random.nextDouble(-80, 80) : 3 - 0.004 * k;
            double pixel = random.nextDouble(0.01, 0.6);
            near.begin();
            for (int asked = 0; asked < 20; asked++) { // more than it remembers
                assertThat(near.octaves(x, y + asked, 1.7, 4, pixel)).isEqualTo(noise.octaves(x, y + asked, 1.7, 4, pixel));
            }
            assertThat(near.gradient(x, y)).isEqualTo(noise.gradient(x, y));
        }
    }

    @Test
    void aRowOfPlacesIsWhatItsPlacesAre() {
        Noise noise = new Noise(-4);
        RowNoise row = new RowNoise(noise);
        SplittableRandom random = new SplittableRandom(9);
        for (int places : new int[] {0, 1, 2, 63, SkinRow.MOST}) {
            for (double widest : new double[] {0.02, 0.4, 3}) {
                double[] x = random.doubles(places, -60, 60).sorted().toArray();
                double[] y = random.doubles(places, -0.4, 0.4).toArray();
                double[] pixel = random.doubles(places, 0.3 * widest, widest).toArray();
                float[] sums = new float[places];
                float[] waves = new float[places];
                row.octaves(x, y, 7, -3, 2.2, 5, pixel, places, sums);
                row.gradient(x, y, 0.9, places, waves);
                for (int i = 0; i < places; i++) {
                    assertThat((double) sums[i]).isCloseTo(noise.octaves(x[i] + 7, y[i] - 3, 2.2, 5, pixel[i]), within(2e-6));
                    assertThat((double) waves[i]).isCloseTo(noise.gradient(x[i] / 0.9, y[i] / 0.9), within(2e-6));
                }
            }
        }
    }
}
