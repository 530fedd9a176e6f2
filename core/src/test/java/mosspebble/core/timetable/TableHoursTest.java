package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Sittings of a week that comes again, worked out by hand: Monday 18 to 20, Tuesday 18 to 19, told in hours from Monday 17. */
class TableHoursTest {

    private static final Instant FROM = Instant.parse("2026-11-30T17:00:00Z");
    private static final long HOUR = 3600;
    private static final long WEEK = 7 * 24 * HOUR;

    private static TableHours hours() {
        Workload.Hours monday = new Workload.Hours(FROM.plus(Duration.ofHours(1)), FROM.plus(Duration.ofHours(3)));
        Workload.Hours tuesday = new Workload.Hours(FROM.plus(Duration.ofHours(25)), FROM.plus(Duration.ofHours(26)));
        return new TableHours(new Workload(List.of(), List.of(), List.of(monday, tuesday), FROM, Map.of()));
    }

    @Test
    void theSittingOfATimeIsTheFirstThatEndsAfterIt() {
        TableHours hours = hours();
        assertThat(hours.sitting(0)).isZero();
        assertThat(hours.sitting(3 * HOUR - 1)).as("a second before it ends").isZero();
        assertThat(hours.sitting(3 * HOUR)).as("as it ends").isEqualTo(1);
        assertThat(hours.sitting(26 * HOUR)).as("next Monday").isEqualTo(2);
        assertThat(hours.sitting(WEEK + 3 * HOUR)).as("next Tuesday").isEqualTo(3);
        assertThat(hours.sitting(3 * HOUR - 1)).as("Monday, asked again").isZero();
    }

    @Test
    void aPieceIsBegunWhereItIsDoneBeforeTheSittingEnds() {
        TableHours hours = hours();
        assertThat(hours.begin(0, HOUR, false)).isEqualTo(HOUR);
        assertThat(hours.begin(2 * HOUR, HOUR, false)).as("just done by eight").isEqualTo(2 * HOUR);
        assertThat(hours.begin(2 * HOUR + 1, HOUR, false)).as("Tuesday").isEqualTo(25 * HOUR);
        assertThat(hours.begin(2 * HOUR + 1, 2 * HOUR, false)).as("too long for a Tuesday").isEqualTo(WEEK + HOUR);
    }

    @Test
    void whatWasAskedBeforeChangesNoAnswer() {
        TableHours asked = hours();
        SplittableRandom random = new SplittableRandom(6);
        for (int k = 0; k < 500; k++) {
            long time = random.nextLong(6 * WEEK) / (k % 3 + 1);
            assertThat(asked.sitting(time)).as("%s s", time).isEqualTo(hours().sitting(time));
        }
    }
}
