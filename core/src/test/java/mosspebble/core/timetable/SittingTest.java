package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class SittingTest {

    private static final Duration DRY = Duration.ofMinutes(30);

    private static Sitting.Task task(int hand, int dries, Integer... after) {
        return new Sitting.Task(Duration.ofMinutes(hand), Duration.ZERO, Duration.ofMinutes(dries),
                Arrays.stream(after).map(a -> new Sitting.Wait(a, DRY)).toList());
    }

    @Test
    void eachStepStartsWhenTheHandIsFreeAndWhatItWaitsForIsDry() {
        Sitting sitting = Sitting.oneAfterTheOther(List.of(task(10, 30), task(5, 0), task(4, 12, 0)));

        assertThat(sitting.steps().get(1).start()).isEqualTo(Duration.ofMinutes(10));
        assertThat(sitting.steps().get(2).start()).isEqualTo(Duration.ofMinutes(40));
        assertThat(sitting.steps().get(2).waited()).isEqualTo(Duration.ofMinutes(25));
        assertThat(sitting.ready()).isEqualTo(Duration.ofMinutes(56));
        assertThatThrownBy(() -> Sitting.oneAfterTheOther(List.of(task(1, 1, 0)))).hasMessageContaining("does not come before it");
    }

    @Test
    void timesAreSaidAsAtTheBench() {
        assertThat(Durations.words(Duration.ofSeconds(40))).as("no seconds").isEqualTo("1 min");
        assertThat(Durations.words(Duration.ZERO)).isEqualTo("1 min");
        assertThat(Durations.words(Duration.ofSeconds(12 * 60 + 20))).isEqualTo("12 min");
        assertThat(Durations.words(Duration.ofMinutes(140))).isEqualTo("2 h 20 min");
        assertThat(Durations.words(Duration.ofHours(76))).isEqualTo("3 d 6 h");
        for (long minutes = 10; minutes < 20 * 24 * 60; minutes += 7) {
            String words = Durations.words(Duration.ofMinutes(minutes));
            double said = 0;
            String[] parts = words.split(" ");
            for (int i = 0; i < parts.length; i += 2) {
                said += Integer.parseInt(parts[i]) * (parts[i + 1].equals("d") ? 24 * 60 : parts[i + 1].equals("h") ? 60 : 1);
            }
            assertThat(said / minutes).as("%s for %d min: within about a tenth", words, minutes).isBetween(0.83, 1.17);
        }
    }
}
