package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What measured times teach. */
class LearnedTest {

    @Test
    @Tag("outside") // Bayes' rule: prior times likelihood, integrated by the trapezoidal rule over the logarithm of the factor
    void isTheMeanAndSpreadOfThePosterior() {
        List<Double> ratios = List.of(0.5, 0.8, 0.7, 1.1, 0.6);
        double weight = 0;
        double mean = 0;
        double square = 0;
        for (double x = -4; x <= 4; x += 0.0005) {
            double log = -x * x / (2 * 0.35 * 0.35);
            for (double r : ratios) {
                log -= Math.pow(Math.log(r) - x, 2) / (2 * 0.4 * 0.4);
            }
            double p = Math.exp(log);
            weight += p;
            mean += p * x;
            square += p * x * x;
        }
        mean /= weight;
        double spread = Math.sqrt(square / weight - mean * mean);
        Learned learned = Learned.of(ratios);
        assertThat(learned.factor()).isCloseTo(Math.exp(mean), within(1e-6));
        assertThat(learned.low()).isCloseTo(Math.exp(mean - spread), within(1e-6));
        assertThat(learned.high()).isCloseTo(Math.exp(mean + spread), within(1e-6));
        assertThat(learned.count()).isEqualTo(5);
    }

    @Test
    void oneWildTimeTeachesLittleAndManyAlikeTeachAll() {
        assertThat(Learned.of(List.of(0.3, 0.3))).as("two times say nothing").extracting(Learned::factor).isEqualTo(1.0);
        assertThat(Learned.of(List.of(1.0, 1.0, 1.0, 500.0)).factor()).isEqualTo(Learned.of(List.of(1.0, 1.0, 1.0, 3.0)).factor())
                .isLessThan(1.3);
        assertThat(Learned.of(Collections.nCopies(200, 0.5)).factor()).isCloseTo(0.5, within(0.01));
        Learned few = Learned.of(Collections.nCopies(3, 0.5));
        assertThat(few.factor()).as("shrunk toward the usual").isBetween(0.5, 0.8);
        assertThat(few.high() / few.low()).isGreaterThan(Learned.of(Collections.nCopies(30, 0.5)).high()
                / Learned.of(Collections.nCopies(30, 0.5)).low());
        assertThat(Learned.of(Collections.nCopies(200, 0.5)).of(Duration.ofMinutes(10))).isBetween(Duration.ofSeconds(298),
                Duration.ofSeconds(304));
    }
}
