package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Due days as they are typed on a Friday evening. */
class DueTextTest {

    private static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 27, 18, 30);

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"Sunday|2026-11-29T12:00", "sun 15:30|2026-11-29T15:30", "Fri|2026-12-04T12:00",
        "friday 20:00|2026-11-27T20:00", "today 21:00|2026-11-27T21:00", "tomorrow|2026-11-28T12:00", "6 Dec|2026-12-06T12:00",
        "Sun 6 Dec 2026, 12:00|2026-12-06T12:00", "6. December 9:05|2026-12-06T09:05", "3 jan|2027-01-03T12:00",
        "2026-12-06|2026-12-06T12:00", "2026-12-06 08:15|2026-12-06T08:15", "2026-12-06T08:15|2026-12-06T08:15",
        "Tue 1 Sept 2027 7:00|2027-09-01T07:00", "Sat at 10:00|2026-11-28T10:00"})
    void daysAreReadAsTheyAreMeant(String text, LocalDateTime meant) {
        assertThat(DueText.parse(text, NOW)).contains(meant);
    }

    @Test
    void nothingIsNoDay() {
        assertThat(DueText.parse("  ", NOW)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"someday", "31 Feb", "6 foo", "2026-13-01", "Sunday 25:00", "s", "12:00:00:00", "6 6 6"})
    void whatIsNoDayIsSaid(String text) {
        assertThatThrownBy(() -> DueText.parse(text, NOW)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining(text)
                .hasMessageContaining("Sunday");
        assertThatThrownBy(() -> DueText.parse("x".repeat(5_000), NOW)).isInstanceOf(IllegalArgumentException.class);
    }
}
