package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Hours of a day, and of a week. */
class SpanTest {

    private static LocalTime minute(int of) {
        return of == 24 * 60 ? LocalTime.MIDNIGHT : LocalTime.ofSecondOfDay(60L * of);
    }

    @Test
    void twoSpansOverlapWhereTheyHaveAMinuteInCommon() {
        SplittableRandom random = new SplittableRandom(3);
        for (int k = 0; k < 2_000; k++) {
            int from = random.nextInt(0, 24 * 60);
            int to = random.nextInt(from + 1, 24 * 60 + 1);
            int otherFrom = random.nextInt(0, 24 * 60);
            int otherTo = random.nextInt(otherFrom + 1, 24 * 60 + 1);
            Span one = new Span(minute(from), minute(to));
            Span other = new Span(minute(otherFrom), minute(otherTo));
            boolean common = false;
            for (int m = from; m < to; m++) {
                common |= m >= otherFrom && m < otherTo;
            }
            assertThat(one.overlaps(other)).as("%s %s", one, other).isEqualTo(common).isEqualTo(other.overlaps(one));
            assertThat(one.length()).isEqualTo(Duration.ofMinutes(to - from));
        }
        assertThatThrownBy(() -> new Span(LocalTime.NOON, LocalTime.NOON)).hasMessageContaining("ends after it begins");
    }

    @Test
    void aWeekHasItsSittingsInOrderWhateverTheyAreWrittenIn() {
        Map<DayOfWeek, List<Span>> week = HoursText.week("Sat 14-18; Mon-Wed 19:00-21:00, Mon 7.30-8.15, Sun 22-24");
        assertThat(week).containsOnlyKeys(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY, DayOfWeek.SATURDAY, DayOfWeek.SUNDAY);
        assertThat(week.get(DayOfWeek.MONDAY)).containsExactly(new Span(LocalTime.of(7, 30), LocalTime.of(8, 15)),
                new Span(LocalTime.of(19, 0), LocalTime.of(21, 0)));
        assertThat(week.get(DayOfWeek.SUNDAY)).containsExactly(new Span(LocalTime.of(22, 0), LocalTime.MIDNIGHT));
        assertThat(HoursText.week("")).isEmpty();
        assertThat(HoursText.on(LocalDate.of(2026, 11, 29), week.get(DayOfWeek.SUNDAY), ZoneOffset.UTC)).containsExactly(
                new Workload.Hours(Instant.parse("2026-11-29T22:00:00Z"), Instant.parse("2026-11-30T00:00:00Z")));
    }

    @Test
    @Tag("outside") // EU Directive 2000/84/EC: clocks go back at 1:00 UTC on the last Sunday of October, so that night has an hour more
    void theNightOfTheLongHourIsLonger() {
        Span night = new Span(LocalTime.of(1, 0), LocalTime.of(4, 0));
        Workload.Hours longer = HoursText.on(LocalDate.of(2027, 10, 31), List.of(night), ZoneId.of("Europe/Vienna")).get(0);
        assertThat(longer.length()).isEqualTo(Duration.ofHours(4));
        assertThat(night.length()).as("by the clock").isEqualTo(Duration.ofHours(3));
    }
}
