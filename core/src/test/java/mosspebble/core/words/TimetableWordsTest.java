package mosspebble.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.drying.Climate;
import mosspebble.core.plan.InTime;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Room;
import mosspebble.core.timetable.DueText;
import mosspebble.core.timetable.Learned;
import mosspebble.core.timetable.Span;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Celsius;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of timetables, sentence by sentence. */
class TimetableWordsTest {

    private static final ZoneId UTC = ZoneOffset.UTC;
    private static final Instant FRIDAY = Instant.parse("2026-11-27T18:40:00Z");

    private static Timetable table(Duration hand, Map<String, Instant> due) {
        List<Workload.Piece> pieces = List.of(new Workload.Piece("owl", 0, hand, Duration.ofHours(2), "a", "b"),
                new Workload.Piece("fox", 0, Duration.ofMinutes(10), Duration.ofHours(1), "c", "d"));
        return Timetable.of(new Workload(pieces, List.of(), List.of(new Workload.Hours(FRIDAY, FRIDAY.plus(Duration.ofHours(2))),
                new Workload.Hours(FRIDAY.plus(Duration.ofDays(1)), FRIDAY.plus(Duration.ofHours(26)))), FRIDAY, due));
    }

    @Test
    void theAirOfADayAndOfASittingIsToldWithWhatItMakesOfDrying() {
        LocalDate friday = LocalDate.of(2026, 11, 27);
        LocalDateTime morning = friday.atTime(9, 0);
        Climate cold = new Climate(new Celsius(8), 0.7, 0.1);
        Room usual = new Room(new Climate(new Celsius(20), 0.5, 0.1));
        assertThat(TimetableWords.room(usual, friday)).isEqualTo("As usual: 20 °C and 50 % humidity.");
        assertThat(TimetableWords.room(usual, morning)).isEqualTo("As usual: 20 °C and 50 % humidity.");
        Room garden = usual.with(morning, Optional.of(cold), friday);
        assertThat(TimetableWords.room(garden, friday)).as("the day is as ever").startsWith("As usual");
        assertThat(TimetableWords.room(garden, morning)).startsWith("8 °C and 70 % humidity: what is laid dries in ")
                .endsWith(" times the usual time. Acrylics form no film below 10 °C.");
        Room winter = usual.with(friday, Optional.of(cold), friday).with(morning, Optional.of(usual.usual()), friday);
        assertThat(TimetableWords.room(winter, morning)).as("the stove is lit, told apart from its day")
                .isEqualTo("20 °C and 50 % humidity: what is laid dries in the usual time.");
    }

    @ParameterizedTest
    @CsvSource({"2026-11-29T12:00", "2027-01-03T09:05", "2026-12-06T23:45"})
    void aDueDayThatIsShownCanBeTypedAgain(LocalDateTime when) {
        LocalDateTime now = LocalDateTime.ofInstant(FRIDAY, UTC);
        assertThat(DueText.parse(TimetableWords.due(when), now)).contains(when);
    }

    @Test
    void aStoneIsReadyByTheTimetableOrAtBestByItsOwnPlan() {
        assertThat(TimetableWords.ready(Optional.of(Instant.parse("2026-11-29T12:05:00Z")), Duration.ofDays(3), UTC)).isEqualTo(
                "ready Sun 29, 12:05");
        assertThat(TimetableWords.ready(Optional.empty(), Duration.ofDays(3), UTC)).isEqualTo("in 3 d at best");
    }

    @Test
    void whatAStoneWaitsForIsToldInASentenceAndInFewWords() {
        Diary.Terms forAnother = new Diary.Terms(Optional.empty(), Optional.empty(), Optional.of("owl"), false);
        Diary.Terms forADay = new Diary.Terms(Optional.empty(), Optional.of(LocalDateTime.parse("2026-12-02T00:00")), Optional.empty(),
                false);

        assertThat(TimetableWords.waits(forAnother, id -> "the " + id)).contains("It waits until the owl is painted and dry.");
        assertThat(TimetableWords.waits(forADay, id -> id)).contains("It waits until Wednesday 2 December.");
        assertThat(TimetableWords.waits(Diary.Terms.NONE, id -> id)).isEmpty();
        assertThat(TimetableWords.waitsFor(forAnother, id -> "the " + id)).isEqualTo("waits for the owl");
        assertThat(TimetableWords.waitsFor(forADay, id -> id)).isEqualTo("waits until Wed 2 December");
        assertThat(TimetableWords.waitsFor(Diary.Terms.NONE, id -> id)).isEqualTo("waits for nothing");
    }

    @Test
    void momentsAreNamedByTheirWeekdayAsLongAsThatIsPlain() {
        Instant sunday = Instant.parse("2026-11-29T11:20:00Z");
        assertThat(TimetableWords.moment(sunday, FRIDAY, UTC)).isEqualTo("Sunday 11:20");
        assertThat(TimetableWords.moment(sunday.plus(Duration.ofDays(7)), FRIDAY, UTC)).isEqualTo("Sunday 6 December, 11:20");
        assertThat(TimetableWords.soon(sunday, FRIDAY, UTC)).isEqualTo("Sun 11:20");
        assertThat(TimetableWords.soon(sunday.plus(Duration.ofDays(7)), FRIDAY, UTC)).isEqualTo("Sun 6 Dec");
        assertThat(TimetableWords.day(LocalDate.of(2026, 11, 27))).isEqualTo("Fri 27 November");
        assertThat(TimetableWords.span(new Span(LocalTime.of(21, 0), LocalTime.MIDNIGHT))).isEqualTo("21:00 to 24:00");
        assertThat(TimetableWords.dry(FRIDAY.plusSeconds(3_600), FRIDAY, UTC)).isEqualTo("touch from 19:40");
        assertThat(TimetableWords.dry(sunday, FRIDAY, UTC)).isEqualTo("touch from Sun 11:20");
    }

    @Test
    void whatIsLateAndWhatHelpsIsSaid() {
        Timetable late = table(Duration.ofMinutes(30), Map.of("owl", FRIDAY.plusSeconds(60), "fox", FRIDAY.plusSeconds(60)));
        List<Timetable.Ready> all = List.copyOf(late.ready().values());
        assertThat(TimetableWords.late(all, id -> "the " + id)).startsWith("Too late: the ").contains(" and the ").endsWith(".");
        assertThat(TimetableWords.ready(late, late.ready().get("owl"), "owl", UTC)).startsWith("Owl: ready on Friday ")
                .contains("late; alone it could not be ready before Friday 21:10.");
        LocalDate date = LocalDate.of(2026, 11, 27);
        Span was = new Span(LocalTime.of(19, 0), LocalTime.of(21, 0));
        Span now = new Span(LocalTime.of(19, 0), LocalTime.of(21, 30));
        assertThat(TimetableWords.way(new InTime.Means.Longer(date, was, now), id -> id)).isEqualTo("Fri 27 November until 21:30");
        assertThat(TimetableWords.way(new InTime.Means.Extra(date, was), id -> id))
                .isEqualTo("Sit down also on Fri 27 November, 19:00 to 21:00");
        assertThat(TimetableWords.way(new InTime.Means.Dryer("owl"), id -> "the " + id)).isEqualTo("Use the dryer on the owl");
        assertThat(TimetableWords.way(new InTime.Means.LeftOut("owl"), id -> "the " + id)).isEqualTo("Leave out the owl");
        assertThat(TimetableWords.left(new InTime.Way(new InTime.Means.Dryer("owl"), 0))).isEqualTo("then all are in time");
        assertThat(TimetableWords.left(new InTime.Way(new InTime.Means.Dryer("owl"), 1))).isEqualTo("then one is late");
        assertThat(TimetableWords.past(LocalDateTime.of(2026, 11, 1, 12, 0))).startsWith("Sun 1 November, 12:00 is over.");
    }

    @Test
    void whatAPinBreaksIsSaid() {
        LocalDateTime sitting = LocalDateTime.of(2026, 11, 28, 18, 40);
        Timetable free = table(Duration.ofMinutes(30), Map.of("owl", FRIDAY.plus(Duration.ofHours(9))));
        assertThat(TimetableWords.pinned("owl", sitting, free, free, id -> id, UTC))
                .isEqualTo("Owl is pinned to Sat 28 November, 18:40; nothing else breaks.");
        Workload.Window saturday = new Workload.Window(Optional.of(FRIDAY.plus(Duration.ofDays(1))),
                Optional.of(FRIDAY.plus(Duration.ofHours(26))));
        Workload pinned = new Workload(
                List.of(new Workload.Piece("owl", 0, 0, Duration.ofMinutes(30), Duration.ofHours(2), "a", "b", saturday),
                        free.of().pieces().get(1)),
                List.of(), free.of().hours(), FRIDAY, free.of().due());
        assertThat(TimetableWords.pinned("owl", sitting, free, Timetable.of(pinned), id -> "the " + id, UTC))
                .endsWith("; now the owl is late.");
        Workload never = new Workload(List.of(new Workload.Piece("owl", 0, 0, Duration.ofMinutes(30), Duration.ofHours(2), "a", "b",
                new Workload.Window(Optional.of(FRIDAY.plus(Duration.ofHours(3))), Optional.of(FRIDAY.plus(
                        Duration.ofHours(4)))))),
                List.of(), free.of().hours(), FRIDAY, Map.of());
        assertThat(TimetableWords.pinned("owl", sitting, free, Timetable.of(never), id -> id, UTC)).contains("it cannot be done then");
    }

    @Test
    void atTheTableItIsSaidShortly() {
        assertThat(TimetableWords.odd(Duration.ofMinutes(45))).isEqualTo("That was 45 min. Was all of it painting?");
        assertThat(TimetableWords.later("Fill the wing", "owl", FRIDAY.plus(Duration.ofDays(2)), FRIDAY, UTC))
                .isEqualTo("Next, on Sunday 18:40: Owl, Fill the wing.");
        assertThat(TimetableWords.clockBehind(FRIDAY, FRIDAY.plusSeconds(7_200), UTC))
                .isEqualTo(
                        "The clock shows Friday 18:40, but the last pass was done at Friday 20:40. Set the clock right, or take that pass "
                                + "back with Undo.");
        assertThat(TimetableWords.strangers(1)).isEqualTo("One pass that is done is no longer in the plan, which was changed since.");
        assertThat(TimetableWords.strangers("Owl", 1))
                .isEqualTo("Owl: one pass that is done is no longer in the plan, which was changed since.");
        assertThat(TimetableWords.strangers(2)).startsWith("Two passes that are done are ");
        assertThat(TimetableWords.taken(0)).startsWith("Nothing in this calendar");
        assertThat(TimetableWords.taken(3)).startsWith("Three times are taken by your calendar");
        assertThat(TimetableWords.brush(2.5)).isEqualTo("this wide: 2.5 mm");
    }

    @Test
    void whatWasLearntIsSaidWithItsSpread() {
        Learned learned = new Learned(0.8, 0.7, 0.9, 11);
        assertThat(TimetableWords.hand("FILL SMALL_ROUND", learned))
                .isEqualTo("Filling, small round: 0.8 of the usual time (0.7 to 0.9), from 11 times");
        assertThat(TimetableWords.hand("PREPARE PREPARE WASH", learned)).startsWith("Preparing: ");
        assertThat(TimetableWords.load("black pen", learned)).startsWith("Black pen dries in 0.8 of the usual time");
    }
}
