package mosspebble.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import mosspebble.core.units.Grams;
import org.junit.jupiter.api.Test;

/** The stand-in for a kitchen scale. */
class KitchenScaleTest {

    @Test
    void itReadsWholeGramsAboutTheTruthAndTheSameSeedReadsTheSame() {
        KitchenScale scale = new SimulatedKitchenScale(7, () -> new Grams(248.4));
        KitchenScale again = new SimulatedKitchenScale(7, () -> new Grams(248.4));
        double mean = IntStream.range(0, 400).mapToDouble(i -> {
            double read = scale.read().value();
            assertThat(read % 1).as("whole grams").isZero();
            assertThat(read).isCloseTo(248.4, within(1.2));
            assertThat(again.read().value()).isEqualTo(read);
            return read;
        }).average().orElseThrow();
        assertThat(mean).as("no leaning to one side").isCloseTo(248.4, within(0.15));
        assertThat(new SimulatedKitchenScale(1, () -> new Grams(0)).read().value()).as("never below nothing").isGreaterThanOrEqualTo(0);
        assertThat(scale.label()).startsWith("simulated");
    }
}
