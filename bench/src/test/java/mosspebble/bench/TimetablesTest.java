package mosspebble.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How near the timetables of made-up stones come to their bound. */
class TimetablesTest {

    @ParameterizedTest
    @CsvSource({"3, 25, false, 2", "3, 25, true, 2", "8, 25, false, 2", "8, 25, true, 2", "30, 25, false, 5", "30, 25, true, 5",
        "200, 5, true, 5"})
    void timetablesComeNearWhatNoneCanBeat(int stones, int steps, boolean evenings, double percent) {
        for (int seed = 11; seed < 14; seed++) {
            Workload workload = Timetables.madeUp(stones, steps, seed, evenings);
            Timetable found = Timetable.of(workload);
            double bound = Duration.between(workload.from(), found.bound()).toSeconds();
            double end = Duration.between(workload.from(), found.end()).toSeconds();
            assertThat(end).isGreaterThanOrEqualTo(bound);
            assertThat(100 * (end / bound - 1)).isLessThan(percent);
            assertThat(Timetable.quick(workload).end()).isAfterOrEqualTo(found.end());
        }
    }
}
