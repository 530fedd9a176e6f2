package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DurationsTest {

    @ParameterizedTest
    @CsvSource({"PT0S, 1 min", "PT29S, 1 min", "PT14M20S, 14 min", "PT17M, 15 min", "PT18M, 20 min", "PT58M, 1 h", "PT87M, 1 h 25 min",
        "PT94M, 1 h 30 min", "PT96M, 1 h 40 min", "PT4H57M, 5 h", "PT5H14M, 5 h", "PT5H16M, 5 h 30 min", "PT12H20M, 12 h",
        "PT12H40M, 13 h", "PT35H20M, 35 h", "PT36H, 1 d 12 h", "PT46H, 2 d", "P4DT22H, 5 d", "P5DT11H, 5 d", "P5DT13H, 6 d"})
    void aTimeIsToldToAboutATenth(Duration time, String words) {
        assertThat(Durations.words(time)).isEqualTo(words);
    }
}
