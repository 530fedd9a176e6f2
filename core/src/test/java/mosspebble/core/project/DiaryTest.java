package mosspebble.core.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import mosspebble.core.colour.Mix;
import mosspebble.core.timetable.Span;
import mosspebble.core.timetable.Workload;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The painter's diary: hours of a week and of days, and what is done. */
class DiaryTest {

    private static final LocalDate FRIDAY = LocalDate.of(2026, 11, 27);
    private static final Instant T = Instant.parse("2026-11-27T19:00:00Z");

    private static Span span(int from, int to) {
        return new Span(LocalTime.of(from, 0), to == 24 ? LocalTime.MIDNIGHT : LocalTime.of(to, 0));
    }

    @Test
    void aDayCanHaveItsOwnHoursAndFallsBackToTheWeek() {
        Diary diary = Diary.USUAL.withDay(FRIDAY, List.of(span(21, 24), span(8, 9)));
        assertThat(diary.on(FRIDAY)).containsExactly(span(8, 9), span(21, 24));
        assertThat(diary.on(FRIDAY.plusDays(7))).containsExactly(span(19, 21));
        assertThat(diary.hours(FRIDAY, ZoneOffset.UTC).subList(0, 3)).containsExactly(
                new Workload.Hours(Instant.parse("2026-11-27T08:00:00Z"), Instant.parse("2026-11-27T09:00:00Z")),
                new Workload.Hours(Instant.parse("2026-11-27T21:00:00Z"), Instant.parse("2026-11-28T00:00:00Z")),
                new Workload.Hours(Instant.parse("2026-11-28T14:00:00Z"), Instant.parse("2026-11-28T18:00:00Z")));
        assertThat(diary.withDay(FRIDAY, List.of(span(19, 21)))).isEqualTo(Diary.USUAL);
        assertThat(diary.withDay(FRIDAY, List.of()).on(FRIDAY)).isEmpty();
    }

    @Test
    void aMomentBelongsToTheSittingThatBeganLast() {
        Diary diary = Diary.USUAL.withDay(FRIDAY, List.of(span(9, 11), span(19, 21)));
        assertThat(diary.sitting(FRIDAY.atTime(8, 59))).as("before the first").isEmpty();
        assertThat(diary.sitting(FRIDAY.atTime(9, 0))).contains(FRIDAY.atTime(9, 0));
        assertThat(diary.sitting(FRIDAY.atTime(18, 59))).as("what dries since the morning").contains(FRIDAY.atTime(9, 0));
        assertThat(diary.sitting(FRIDAY.atTime(23, 0))).contains(FRIDAY.atTime(19, 0));
        assertThat(diary.withDay(FRIDAY, List.of()).sitting(FRIDAY.atTime(20, 0))).as("no sitting that day").isEmpty();
    }

    @Test
    void whatIsPinnedToASittingGoesWithIt() {
        Diary diary = Diary.USUAL.withDay(FRIDAY, List.of(span(9, 11), span(19, 21)))
                .withPin("owl", "FRONT PENCIL", Optional.of(FRIDAY.atTime(9, 0)))
                .withPin("owl", "FRONT SEAL", Optional.of(FRIDAY.atTime(19, 0)));
        Diary sooner = diary.withHours(FRIDAY, span(9, 11), span(8, 11));
        assertThat(sooner.on(FRIDAY)).containsExactly(span(8, 11), span(19, 21));
        assertThat(sooner.pin("owl", "FRONT PENCIL").map(Diary.Pin::sitting)).contains(FRIDAY.atTime(8, 0));
        assertThat(sooner.pin("owl", "FRONT SEAL").map(Diary.Pin::sitting)).as("pinned to the other").contains(FRIDAY.atTime(19, 0));
        Diary longer = diary.withHours(FRIDAY, span(9, 11), span(9, 12));
        assertThat(longer.pins()).as("it begins when it did").isEqualTo(diary.pins());
        assertThatThrownBy(() -> diary.withHours(FRIDAY, span(9, 11), span(9, 20))).hasMessageContaining("overlap");
    }

    @Test
    void whatOverlapsOrEndsBeforeItBeginsIsSaid() {
        assertThatThrownBy(() -> Diary.USUAL.withDay(FRIDAY, List.of(span(8, 10), span(9, 11)))).hasMessageContaining("overlap");
        assertThatThrownBy(() -> span(10, 9)).hasMessageContaining("ends after it begins");
        assertThatThrownBy(() -> Diary.USUAL.withWeek("Mon 8-10, Mon 9-11")).hasMessageContaining("overlaps");
        assertThatThrownBy(() -> Diary.USUAL.withWeek("now and then")).hasMessageContaining("now and then");
        assertThat(span(21, 24).length()).isEqualTo(Duration.ofHours(3));
    }

    @Test
    @Tag("outside") // EU Directive 2000/84/EC: clocks go forward at 1:00 UTC on the last Sunday of March
    void anHourThatTheClockSkipsIsNoTimeToPaint() {
        ZoneId vienna = ZoneId.of("Europe/Vienna");
        LocalDate spring = LocalDate.of(2027, 3, 28);
        Diary night = Diary.USUAL.withDay(spring, List.of(new Span(LocalTime.of(2, 0), LocalTime.of(3, 0)), span(4, 5)));
        List<Workload.Hours> hours = night.hours(spring, vienna);
        assertThat(hours.get(0))
                .isEqualTo(new Workload.Hours(Instant.parse("2027-03-28T02:00:00Z"), Instant.parse("2027-03-28T03:00:00Z")));
    }

    @Test
    void theLastWordAboutACoatCounts() {
        Diary.Deed done = new Diary.Deed("owl", "FRONT FILL", 0, T, T.plusSeconds(60), false);
        Diary once = Diary.USUAL.plus(done);
        assertThat(once.done("owl", "FRONT FILL", 0)).contains(done);
        assertThat(once.done("owl", "FRONT FILL", 1)).isEmpty();
        assertThat(once.done("fox", "FRONT FILL", 0)).isEmpty();
        Diary spoiled = once.plus(new Diary.Deed("owl", "FRONT FILL", 0, T.plusSeconds(60), T.plusSeconds(90), true));
        assertThat(spoiled.done("owl", "FRONT FILL", 0)).isEmpty();
        assertThat(spoiled.withoutLast().done("owl", "FRONT FILL", 0)).contains(done);
        assertThatThrownBy(() -> new Diary.Deed("owl", "x", 0, T.plusSeconds(1), T, false)).hasMessageContaining("ends after it began");
    }

    @Test
    void whatLiesOnAStoneIsWhatWasDoneThereLastAndNotSpoiled() {
        OldPaint red = new OldPaint(Side.FRONT, "POLYGON ((0 0, 9 0, 9 9, 0 0))", Mix.of("red"), 1, 1);
        OldPaint blue = new OldPaint(Side.FRONT, "POLYGON ((0 0, 9 0, 9 9, 0 0))", Mix.of("blue"), 1, 1);
        Diary diary = Diary.USUAL.withLaid("owl", "FRONT FILL b", List.of(blue)).withLaid("owl", "FRONT FILL a", List.of(red))
                .withLaid("fox", "FRONT FILL a", List.of(blue));
        assertThat(
                Diary.USUAL.plus(deed("owl", "FRONT FILL c", 0, false)).lying("owl", name -> name.endsWith("c") ? List.of(red) : List.of()))
                .as("of a pass of which nothing was kept").containsExactly(red);
        assertThat(diary.lying("owl", name -> List.of())).as("nothing of it is done").isEmpty();
        Diary done = diary.plus(deed("owl", "FRONT FILL a", 0, false)).plus(deed("owl", "FRONT FILL b", 60, false));
        assertThat(done.lying("owl", name -> List.of())).containsExactly(red, blue);
        assertThat(done.plus(deed("owl", "FRONT FILL a", 90, true)).lying("owl", name -> List.of())).containsExactly(blue);
        assertThat(done.plus(deed("owl", "FRONT FILL a", 90, false)).lying("owl", name -> List.of())).as("done once more, over the other")
                .containsExactly(blue, red);
        assertThat(done.withLaid("owl", "FRONT FILL a", List.of(blue)).lying("owl", name -> List.of())).containsExactly(blue, blue);
    }

    @Test
    void aStoneBegunAnewKeepsItsTimesAndHowItWasMadeReady() {
        OldPaint red = new OldPaint(Side.FRONT, "POLYGON ((0 0, 9 0, 9 9, 0 0))", Mix.of("red"), 1, 1);
        Diary done = Diary.USUAL.plus(deed("owl", "FRONT PREPARE WASH", 0, false)).plus(deed("owl", "FRONT PENCIL", 60, false))
                .plus(deed("owl", "FRONT FILL a", 120, false)).plus(deed("fox", "FRONT FILL a", 180, false))
                .withLaid("owl", "FRONT FILL a", List.of(red)).withLaid("fox", "FRONT FILL a", List.of(red))
                .withPin("owl", "FRONT FILL a", Optional.of(LocalDateTime.of(2026, 11, 29, 12, 0)));
        Diary anew = done.begunAnew("owl");
        assertThat(anew.deeds()).extracting(Diary.Deed::step).containsExactly("FRONT PREPARE WASH", "EARLIER FRONT PENCIL",
                "EARLIER FRONT FILL a", "FRONT FILL a");
        assertThat(anew.hand("FILL SMALL_ROUND")).isEqualTo(done.hand("FILL SMALL_ROUND"));
        assertThat(anew.laid()).extracting(Diary.Laid::stone).containsExactly("fox");
        assertThat(anew.pins()).isEmpty();
        assertThat(anew.deeds()).filteredOn(Diary::isOfEarlier).hasSize(2);
        assertThat(done.withoutLaid("fox").laid()).as("sealed").extracting(Diary.Laid::stone).containsExactly("owl");
        assertThat(anew.begunAnew("owl")).as("once is enough").isEqualTo(anew);
    }

    private static Diary.Deed deed(String stone, String step, int second, boolean spoiled) {
        return new Diary.Deed(stone, step, 0, T.plusSeconds(second), T.plusSeconds(second + 30), spoiled, "FILL SMALL_ROUND", 30);
    }

    @Test
    void pinsAndDueDaysAreOneEachAndCanBeTakenBack() {
        LocalDateTime sunday = LocalDateTime.of(2026, 11, 29, 12, 0);
        Diary diary = Diary.USUAL.withPin("owl", "a", Optional.of(sunday)).withPin("owl", "a", Optional.of(sunday.plusDays(1)));
        assertThat(diary.pins()).containsExactly(new Diary.Pin("owl", "a", sunday.plusDays(1)));
        assertThat(diary.withPin("owl", "a", Optional.empty())).isEqualTo(Diary.USUAL);
        assertThat(Diary.USUAL.withDue("owl", Optional.of(sunday)).withDue("owl", Optional.empty())).isEqualTo(Diary.USUAL);
        assertThat(Diary.USUAL.withResting("owl", true).resting()).containsExactly("owl");
        assertThat(Diary.USUAL.withResting("owl", true).withResting("owl", false)).isEqualTo(Diary.USUAL);
    }

    @Test
    void aStoneWaitsForADayOrAnotherStoneAndNeverInARing() {
        LocalDateTime sunday = LocalDateTime.of(2026, 11, 29, 0, 0);
        Diary waits = Diary.USUAL.withDue("owl", Optional.of(sunday)).withFrom("owl", Optional.of(sunday)).withAfter("owl", "fox")
                .withAfter("fox", "moon");
        assertThat(waits.terms("owl")).as("another stone in place of the day")
                .isEqualTo(new Diary.Terms(Optional.of(sunday), Optional.empty(), Optional.of("fox"), false));
        assertThat(waits.mayWait("moon", "snail")).isTrue();
        for (String none : List.of("moon", "fox", "owl")) {
            assertThat(waits.mayWait("moon", none)).as("for itself, or for what waits for it: %s", none).isFalse();
            assertThatThrownBy(() -> waits.withAfter("moon", none)).isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("ring");
        }
        assertThat(waits.mayWait("owl", "moon")).as("straight for what it waits for by another").isTrue();
        Diary none = waits.withFrom("owl", Optional.empty()).withFrom("fox", Optional.empty()).withDue("owl", Optional.empty());
        assertThat(none).as("nothing wanted leaves nothing behind").isEqualTo(Diary.USUAL);
        assertThat(Diary.USUAL.withAfter("owl", "owl-practice").withAfter("hare", "owl").mayWait("owl-practice", "hare")).isFalse();
    }

    private static Diary.Deed timed(int seconds, boolean spoiled) {
        return new Diary.Deed("owl", "FRONT FILL a", 0, T, T.plusSeconds(seconds), spoiled, "FILL SMALL_ROUND", 120);
    }

    @Test
    void measuredTimesTeachTheHandAndCanBeForgotten() {
        Diary diary = Diary.USUAL;
        for (int seconds : new int[] {60, 66, 54}) {
            diary = diary.plus(timed(seconds, false));
        }
        assertThat(diary.hand("FILL SMALL_ROUND").factor()).isBetween(0.5, 0.75);
        assertThat(diary.hand("FILL LARGE_FLAT").factor()).isEqualTo(1);
        assertThat(diary.plus(timed(3, false)).hand("FILL SMALL_ROUND")).as("ticked off, not timed")
                .isEqualTo(diary.hand("FILL SMALL_ROUND"));
        assertThat(diary.plus(timed(900, true)).hand("FILL SMALL_ROUND")).as("spoiled").isEqualTo(diary.hand("FILL SMALL_ROUND"));
        assertThat(diary.hands()).containsOnlyKeys("FILL SMALL_ROUND");
        Diary forgotten = diary.forgotten("FILL SMALL_ROUND");
        assertThat(forgotten.hands()).isEmpty();
        assertThat(forgotten.done("owl", "FRONT FILL a", 0)).isPresent();
    }

    @Test
    void paintThatDriesSlowerIsLearntOfItAlone() {
        Diary diary = Diary.USUAL
                .withDryings(List.of(new Diary.Drying("night blue", 1_800, 3_600), new Diary.Drying("night blue", 1_800, 3_000),
                        new Diary.Drying("night blue", 1_800, 3_300), new Diary.Drying("cream", 1_800, 900)));
        assertThat(diary.dries("night blue").factor()).isBetween(1.3, 2.0);
        assertThat(diary.dries("cream").factor()).isEqualTo(1);
        assertThat(diary.loads()).containsOnlyKeys("night blue");
        assertThat(diary.forgotten("night blue").dryings()).containsExactly(new Diary.Drying("cream", 1_800, 900));
    }

    @Test
    void aDiaryIsBounded() {
        List<Diary.Deed> many = Collections.nCopies(Diary.MOST_DEEDS + 1, new Diary.Deed("owl", "x", 0, T, T, false));
        assertThatThrownBy(() -> Diary.USUAL.withDeeds(many)).hasMessageContaining("at most");
        assertThat(Diary.USUAL.withDeeds(many.subList(1, many.size())).deeds()).hasSize(Diary.MOST_DEEDS);
        assertThatThrownBy(() -> Diary.USUAL.withTaken(List.of(new Workload.Hours(T, T.plusSeconds(60)),
                new Workload.Hours(T.plusSeconds(30), T.plusSeconds(90))))).hasMessageContaining("overlap");
        assertThatThrownBy(() -> new Diary.Drying("a", 0, 5)).hasMessageContaining("negative");
        assertThatThrownBy(() -> Diary.USUAL.withDays(List.of(new Diary.Day(FRIDAY, List.of()), new Diary.Day(FRIDAY, List.of()))))
                .hasMessageContaining("once");
    }
}
