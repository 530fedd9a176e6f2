package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HoursTextTest {

    private static final LocalDate FRIDAY = LocalDate.of(2026, 11, 27);

    private static List<Workload.Hours> read(String text) {
        return HoursText.parse(text, FRIDAY, ZoneOffset.UTC);
    }

    @Test
    void aWeekIsReadFromTheDayOnThatItBegins() {
        List<Workload.Hours> hours = read("Mon-Fri 19:00-21:00, Sat 14 to 18");
        assertThat(hours).hasSize(6);
        assertThat(hours.get(0)).as("Friday itself").isEqualTo(
                new Workload.Hours(Instant.parse("2026-11-27T19:00:00Z"), Instant.parse("2026-11-27T21:00:00Z")));
        assertThat(hours.get(1).from()).isEqualTo(Instant.parse("2026-11-28T14:00:00Z"));
        assertThat(hours.get(2).from()).as("then Monday").isEqualTo(Instant.parse("2026-11-30T19:00:00Z"));
        assertThat(read("sat-sun 9.30-12; saturday 20:00-24")).extracting(Workload.Hours::length).containsExactly(Duration.ofMinutes(150),
                Duration.ofHours(4), Duration.ofMinutes(150));
        assertThat(read("Fri-Mon 8-9")).as("over the end of the week").hasSize(4);
        assertThat(read("")).isEmpty();
    }

    @Test
    // clocks in Vienna go from 2 to 3 on the last Sunday of March 2027, the 28th (EU directive 2000/84/EC: at 1:00 UTC)
    void onADayWhenClocksAreChangedTheClockCounts() {
        ZoneId vienna = ZoneId.of("Europe/Vienna");
        List<Workload.Hours> night = HoursText.parse("Sun 1-4", LocalDate.of(2027, 3, 28), vienna);
        assertThat(night.get(0).length()).as("an hour is missing").isEqualTo(Duration.ofHours(2));
        assertThat(HoursText.parse("Sun 19-21", LocalDate.of(2027, 3, 28), vienna).get(0).from())
                .isEqualTo(Instant.parse("2027-03-28T17:00:00Z"));
        assertThat(HoursText.parse("Sat 19-21", LocalDate.of(2027, 3, 27), vienna).get(0).from())
                .isEqualTo(Instant.parse("2027-03-27T18:00:00Z"));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "someday 19-21 | no day", "Fri 19 | no time of a week", "Fri 21-19 | ends before it begins", "Fri 19-25 | no time of day",
        "Fri 19:75-21 | no time of day", "Fri 19-19 | ends before it begins", "whenever | no time of a week"})
    void whatCannotBeReadIsNamed(String text, String said) {
        assertThatThrownBy(() -> read(text)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining(said);
    }

    @Test
    void aTextWithoutEndIsNotRead() {
        assertThatThrownBy(() -> read("Fri 19-21,".repeat(10_000))).hasMessageContaining("letters");
        assertThat(read("Fri 19-21" + " ".repeat(1_991))).as("2,000 letters").isNotEmpty();
        assertThatThrownBy(() -> read("Fri 19-21" + " ".repeat(1_992))).hasMessageContaining("2000");
    }
}
