package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.project.Diary;
import mosspebble.core.timetable.Workload;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A calendar of the painter's own. */
class TakenTimesTest {

    private static final Instant FROM = Instant.parse("2026-11-27T12:00:00Z");
    private static final Instant TO = FROM.plus(Duration.ofDays(56));

    @TempDir
    private Path folder;

    private Path calendar(String... events) throws Exception {
        StringBuilder text = new StringBuilder("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//nobody//EN\r\n");
        for (String event : events) {
            text.append("BEGIN:VEVENT\r\nUID:").append(text.length()).append("\r\n").append(event.replace(";;", "\r\n"))
                    .append("\r\nEND:VEVENT\r\n");
        }
        return Files.writeString(folder.resolve("mine.ics"), text.append("END:VCALENDAR\r\n"), StandardCharsets.UTF_8);
    }

    private List<Workload.Hours> read(Path file) throws FileTrouble {
        return TakenTimes.read(file, FROM, TO, ZoneOffset.UTC);
    }

    private static Workload.Hours taken(String from, String to) {
        return new Workload.Hours(Instant.parse(from), Instant.parse(to));
    }

    @Test
    void eventsWithHoursTakeTimeOthersDoNot() throws Exception {
        assertThat(read(calendar("DTSTART:20261128T150000Z;;DTEND:20261128T160000Z", "DTSTART:20261128T154500Z;;DURATION:PT1H",
                "DTSTART;VALUE=DATE:20261129;;SUMMARY:A birthday", "DTSTART:20261129T150000Z;;DTEND:20261129T160000Z;;TRANSP:TRANSPARENT",
                "DTSTART:20261129T170000Z;;DTEND:20261129T180000Z;;STATUS:CANCELLED", "DTSTART:20251128T150000Z;;DTEND:20251128T160000Z",
                "DTSTART:20261129T150000Z;;SUMMARY:no end"))).containsExactly(taken("2026-11-28T15:00:00Z", "2026-11-28T16:45:00Z"));
    }

    @Test
    @Tag("outside") // RFC 5545, section 3.8.5.3: weekly on Tuesday and Thursday; EXDATE leaves one out
    void repeatedEventsComeAsOftenAsTheStandardSays() throws Exception {
        List<Workload.Hours> taken = read(calendar(
                "DTSTART:20261124T190000Z;;DTEND:20261124T200000Z;;RRULE:FREQ=WEEKLY;COUNT=6;BYDAY=TU,TH;;EXDATE:20261203T190000Z"));
        assertThat(taken).extracting(h -> h.from().toString()).containsExactly("2026-12-01T19:00:00Z", "2026-12-08T19:00:00Z",
                "2026-12-10T19:00:00Z");
    }

    @Test
    @Tag("outside") // IANA time zone database: Europe/Vienna is one hour ahead of UTC in winter
    void timesHaveTheirOwnZoneOrThePaintersOne() throws Exception {
        Path file = calendar("DTSTART;TZID=Europe/Vienna:20261128T150000;;DTEND;TZID=Europe/Vienna:20261128T160000");
        assertThat(TakenTimes.read(file, FROM, TO, ZoneId.of("America/New_York")))
                .containsExactly(taken("2026-11-28T14:00:00Z", "2026-11-28T15:00:00Z"));
    }

    @Test
    void whatEndlesslyRepeatsIsTooLargeOrIsNoCalendarIsSaid() throws Exception {
        for (String endless : new String[] {"FREQ=SECONDLY", "FREQ=MINUTELY;BYSECOND=1,2,3", "FREQ=HOURLY;BYMINUTE=0,20,40"}) {
            assertThatThrownBy(() -> read(calendar("DTSTART:19700101T000000Z;;DURATION:PT1S;;RRULE:" + endless)))
                    .isInstanceOf(FileTrouble.class).hasMessageContaining("mine.ics").hasMessageContaining("coming weeks");
        }
        assertThat(read(calendar("DTSTART:19700101T000000Z;;DURATION:PT1H;;RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30"))).isEmpty();
        Path large = folder.resolve("large.ics");
        try (RandomAccessFile file = new RandomAccessFile(large.toFile(), "rw")) {
            file.setLength(50_000_000);
        }
        assertThatThrownBy(() -> read(large)).isInstanceOf(FileTrouble.class).hasMessageContaining("large.ics");
        Path letter = Files.writeString(folder.resolve("letter.ics"), "Dear aunt");
        assertThatThrownBy(() -> read(letter)).isInstanceOf(FileTrouble.class).hasMessageContaining("no calendar");
        assertThatThrownBy(() -> read(folder.resolve("gone.ics"))).isInstanceOf(FileTrouble.class).hasMessageContaining("no such file");
    }

    @Test
    void whateverIsBrokenInItIsSaidOrLeftOut() throws Exception {
        byte[] good = Files
                .readAllBytes(calendar("DTSTART;TZID=Europe/Vienna:20261128T150000;;DURATION:PT90M;;RRULE:FREQ=WEEKLY;BYDAY=SA"));
        SplittableRandom random = new SplittableRandom(5);
        Path file = folder.resolve("broken.ics");
        for (int k = 0; k < 400; k++) {
            byte[] bad = good.clone();
            for (int i = random.nextInt(1, 6); i > 0; i--) {
                bad[random.nextInt(bad.length)] = (byte) random.nextInt(256);
            }
            Files.write(file, bad);
            try {
                assertThat(read(file)).hasSizeLessThanOrEqualTo(Diary.MOST_TAKEN);
            } catch (FileTrouble e) {
                assertThat(e.getMessage()).contains("broken.ics");
            }
        }
    }

    @Test
    void aSittingIsCutByWhatIsTaken() throws Exception {
        Diary diary = Diary.USUAL.withTaken(read(calendar("DTSTART:20261128T150000Z;;DTEND:20261128T160000Z",
                "DTSTART:20261128T175000Z;;DTEND:20261128T190000Z", "DTSTART:20261129T130000Z;;DTEND:20261129T200000Z")));
        List<Workload.Hours> hours = diary.hours(LocalDate.of(2026, 11, 28), ZoneOffset.UTC);
        assertThat(hours.subList(0, 3)).containsExactly(taken("2026-11-28T14:00:00Z", "2026-11-28T15:00:00Z"),
                taken("2026-11-28T16:00:00Z", "2026-11-28T17:50:00Z"), taken("2026-11-30T19:00:00Z", "2026-11-30T21:00:00Z"));
    }
}
