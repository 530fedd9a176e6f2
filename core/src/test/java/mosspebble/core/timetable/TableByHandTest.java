package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Beginnings, bounds and costs of a small table, worked out by hand. */
class TableByHandTest {

    /** Friday, an hour before one sits down. */
    private static final Instant SIX = Instant.parse("2026-11-27T18:00:00Z");
    private static final List<Workload.Hours> EVENINGS = List.of(hours("2026-11-27"), hours("2026-11-28"));

    private static final int FIRST = 0;
    private static final int SECOND = 1;
    private static final int OTHER = 2;

    private static Workload.Hours hours(String day) {
        return new Workload.Hours(Instant.parse(day + "T19:00:00Z"), Instant.parse(day + "T21:00:00Z"));
    }

    private static Workload.Piece piece(String stone, int step, int minutes, String load, String tool) {
        return new Workload.Piece(stone, step, Duration.ofMinutes(minutes), Duration.ZERO, load, tool);
    }

    /** Two passes of the owl, the second so long after the first, and one of the fox. */
    private static Workload work(Duration lag, Optional<Duration> most, Map<String, Instant> due) {
        return new Workload(
                List.of(piece("owl", 0, 30, "rust", "brush"), piece("owl", 1, 30, "soot", "brush"), piece("fox", 0, 20, "rust", "pen")),
                List.of(new Workload.Wait(FIRST, SECOND, lag, most, false)), EVENINGS, SIX, due);
    }

    private static WorkNumbers numbers(Workload work) {
        return new WorkNumbers(work);
    }

    private static WorkNumbers usual() {
        return numbers(work(Duration.ofMinutes(45), Optional.empty(), Map.of()));
    }

    private static long[] starts(WorkNumbers w, int... order) {
        return new TableStarts(w).of(order).start();
    }

    private static long[] cost(WorkNumbers w, int... order) {
        return new TableCost(w, new TableStarts(w)).of(order);
    }

    private static long at(String time) {
        return Duration.between(SIX, Instant.parse("2026-11-" + time + ":00Z")).toSeconds();
    }

    /** The owl, and a fox that must wait for Saturday. */
    private static Workload owlNowFoxTomorrow(Instant from) {
        return new Workload(List.of(piece("owl", 0, 30, "rust", "brush"),
                piece("fox", 0, 20, "rust", "brush").within(Workload.Window.ANY.after(Instant.parse("2026-11-28T19:00:00Z")))), List.of(),
                EVENINGS, from, Map.of());
    }

    @Test
    void whatNeedsWarmthIsLeftUntilItIsWarmAndElseWorkGoesOn() {
        Workload usual = work(Duration.ofMinutes(45), Optional.empty(), Map.of());
        Workload cold = new Workload(usual.pieces(), usual.waits(), EVENINGS, SIX, Map.of(), Map.of(),
                new Workload.Shared(Map.of(), Map.of(),
                        Map.of(), new Workload.Cold(Set.of(FIRST, SECOND), Set.of(EVENINGS.get(0).from()))));
        assertThat(starts(numbers(cold), OTHER, FIRST, SECOND)).as("the fox on Friday, the owl on Saturday")
                .containsExactly(at("28T19:00"), at("28T20:15"), at("27T19:00"));
        assertThat(numbers(usual).late(at("28T20:00"))[FIRST]).as("done by eight on Saturday").isEqualTo(at("27T20:30"));
        assertThat(numbers(cold).late(at("28T20:00"))[FIRST]).as("as if one could sit before seven: not on Friday")
                .isEqualTo(at("28T18:15"));
        Workload always = new Workload(usual.pieces(), usual.waits(), EVENINGS, SIX, Map.of(), Map.of(), new Workload.Shared(Map.of(),
                Map.of(), Map.of(), new Workload.Cold(Set.of(FIRST, SECOND, OTHER),
                        Set.of(EVENINGS.get(0).from(), EVENINGS.get(1).from()))));
        assertThat(Timetable.of(always).placed().get(0).start()).as("both evenings are too cold; a week later nobody knows")
                .isEqualTo(Instant.parse("2026-12-04T19:00:00Z"));
        assertThat(always.isTooCold(OTHER, EVENINGS.get(1))).isTrue();
        assertThat(cold.isTooCold(OTHER, EVENINGS.get(0))).isFalse();
        assertThat(Timetable.of(cold).stretched(1.25).placed()).as("nor if everything takes a quarter longer")
                .allMatch(p -> p.piece() == OTHER || !p.start().isBefore(EVENINGS.get(1).from()));
    }

    @Test
    void whoSitsThereAlreadyGoesOnAndElseNoEveningIsBegunForIt() {
        Timetable underWay = Timetable.of(owlNowFoxTomorrow(Instant.parse("2026-11-27T19:40:00Z")));
        assertThat(underWay.placed().get(0)).as("the owl at once: the evening is begun")
                .isEqualTo(new Timetable.Placed(0, Instant.parse("2026-11-27T19:40:00Z"), Instant.parse("2026-11-27T20:10:00Z")));
        assertThat(underWay.sittings()).as("told as they are").isEqualTo(2);
        Timetable before = Timetable.of(owlNowFoxTomorrow(SIX));
        assertThat(before.placed()).as("both on Saturday, and Friday is free").allMatch(p -> p.start().isAfter(EVENINGS.get(1).from()
                .minusSeconds(1)));
        assertThat(before.sittings()).isEqualTo(1);
        WorkNumbers now = numbers(owlNowFoxTomorrow(Instant.parse("2026-11-27T19:40:00Z")));
        assertThat(cost(now, 0, 1)[TableCost.TOGETHER]).as("until 19:20 on Saturday and one sitting more of two days")
                .isEqualTo((23 * 60 + 40) * 60 + 2 * 24 * 3600);
        assertThat(cost(now, 1, 0)[TableCost.TOGETHER]).as("until 19:50, and Saturday counts")
                .isEqualTo((24 * 60 + 10) * 60 + 2 * 24 * 3600);
    }

    @Test
    void piecesBeginWhenTheHandIsFreeAndWhatTheyWaitForIsDry() {
        assertThat(starts(usual(), FIRST, OTHER, SECOND)).as("owl at 19:00, fox meanwhile, the owl again when it is dry")
                .containsExactly(at("27T19:00"), at("27T20:15"), at("27T19:30"));
        assertThat(starts(usual(), FIRST, SECOND, OTHER)).as("twenty minutes are not left of the evening")
                .containsExactly(at("27T19:00"), at("27T20:15"), at("28T19:00"));
    }

    @Test
    void whatWouldLapseIsPutOff() {
        Workload work = work(Duration.ofMinutes(10), Optional.of(Duration.ofMinutes(15)), Map.of());
        List<Workload.Piece> pieces = new ArrayList<>(work.pieces());
        pieces.set(SECOND, pieces.get(SECOND).within(Workload.Window.ANY.after(Instant.parse("2026-11-27T20:00:00Z"))));
        WorkNumbers tacky = numbers(new Workload(pieces, work.waits(), EVENINGS, SIX, Map.of()));
        assertThat(starts(tacky, FIRST, SECOND, OTHER)).as("the first begins a quarter of an hour later, to be tacky at eight")
                .containsExactly(at("27T19:15"), at("27T20:00"), at("27T20:30"));
    }

    @Test
    void aPlaceThatHoldsOneStoneIsFreeWhenItCanBeTouched() {
        Workload work = new Workload(List.of(piece("owl", 0, 5, "varnish", "can"), piece("fox", 0, 5, "varnish", "can")), List.of(),
                EVENINGS, SIX, Map.of(), Map.of(), new Workload.Shared(Map.of("spray", 1),
                        Map.of(0, new Workload.Stay("spray", Duration.ofMinutes(40)), 1,
                                new Workload.Stay("spray", Duration.ofMinutes(40))),
                        Map.of()));
        assertThat(starts(numbers(work), 1, 0)).containsExactly(at("27T19:45"), at("27T19:00"));
        assertThat(new TableBounds(numbers(work)).bound()).as("two stays of the place, less the last").isEqualTo(at("27T19:50"));
    }

    @Test
    void nothingIsReadySoonerThanWaitsAndHoursAllow() {
        TableBounds bounds = new TableBounds(usual());
        assertThat(bounds.bound()).as("30 min, 45 min dry, 30 min").isEqualTo(at("27T20:45"));
        assertThat(bounds.soonest()).containsOnly(Map.entry("owl", SIX.plusSeconds(at("27T20:45"))),
                Map.entry("fox", SIX.plusSeconds(at("27T19:20"))));
        assertThat(bounds.fewest()).isEqualTo(1);
        TableBounds dry = new TableBounds(numbers(work(Duration.ofHours(2), Optional.empty(), Map.of())));
        assertThat(dry.bound()).as("not dry before the evening is over").isEqualTo(at("28T19:30"));
        assertThat(dry.fewest()).isEqualTo(2);
    }

    @Test
    void aWorkloadIsCountedFromNoughtAndInSeconds() {
        WorkNumbers w = usual();
        assertThat(w.stones).containsExactly("owl", "fox");
        assertThat(w.stone).containsExactly(0, 0, 1);
        assertThat(w.load).as("rust, soot, rust").containsExactly(0, 1, 0);
        assertThat(w.tool).as("brush, brush, pen").containsExactly(0, 0, 1);
        assertThat(w.needs).containsExactly(0, 1, 0);
        assertThat(w.behind[FIRST]).containsExactly(SECOND);
        assertThat(w.tail).as("45 min dry and half an hour of work after the first").containsExactly(4_500, 0, 0);
        assertThat(w.due).containsOnly(WorkNumbers.NEVER);
        assertThat(w.most).as("nothing lapses").isNull();
        assertThat(w.instant(w.seconds(SIX.plusSeconds(77)))).isEqualTo(SIX.plusSeconds(77));
    }

    @Test
    void whatFollowsSaysByWhenAPieceIsBegunAndDone() {
        assertThat(usual().late(at("27T20:45"))).as("counted back from the end, within the evening")
                .containsExactly(at("27T19:00"), at("27T20:15"), at("27T20:25"));
        assertThat(usual().late(at("28T19:10"))).as("ten minutes of the next evening hold none of them")
                .containsExactly(at("27T19:15"), at("27T20:30"), at("27T20:40"));
        Workload work = work(Duration.ofMinutes(45), Optional.empty(), Map.of());
        List<Workload.Piece> pieces = new ArrayList<>(work.pieces());
        pieces.set(SECOND, pieces.get(SECOND).within(Workload.Window.ANY.by(Instant.parse("2026-11-27T20:50:00Z"))));
        long[] must = numbers(new Workload(pieces, work.waits(), EVENINGS, SIX, Map.of())).must();
        assertThat(must).as("done by 19:35, to be dry in time").containsExactly(at("27T19:35"), at("27T20:50"), WorkNumbers.NEVER);
    }

    @Test
    void whatAnOrderCostsIsCounted() {
        long[] cost = cost(usual(), FIRST, OTHER, SECOND);
        long end = at("27T20:45");
        // none missed, late or fragile; one sitting worth two days; ready within the first half day; seven quarters sat;
        // two loads and three times another stone; pen between brushes
        assertThat(cost).containsExactly(0, 0, 0, 0, end + 2 * 24 * 3_600, end, 0, 7, 2 + 3, 3);
        long[] over = cost(usual(), FIRST, SECOND, OTHER);
        assertThat(over[TableCost.TOGETHER]).as("two sittings").isEqualTo(at("28T19:20") + 2 * 2 * 24 * 3_600);
        assertThat(TableCost.asGood(cost, over, false)).isTrue();
        assertThat(TableCost.asGood(over, cost, false)).isFalse();
    }

    @Test
    void aStoneIsLateByHowMuchAndMightBeLateIfAllTakesLonger() {
        Instant quarterPastEight = Instant.parse("2026-11-27T20:15:00Z");
        long[] late = cost(numbers(work(Duration.ofMinutes(45), Optional.empty(), Map.of("owl", quarterPastEight))), FIRST, OTHER, SECOND);
        assertThat(late).startsWith(0, 1, 1_800, 1);
        Instant nine = Instant.parse("2026-11-27T21:00:00Z");
        long[] tight = cost(numbers(work(Duration.ofMinutes(45), Optional.empty(), Map.of("owl", nine))), FIRST, OTHER, SECOND);
        assertThat(tight).as("in time, but 131 minutes would be too long").startsWith(0, 0, 0, 1);
        Instant later = Instant.parse("2026-11-29T12:00:00Z");
        long[] safe = cost(numbers(work(Duration.ofMinutes(45), Optional.empty(), Map.of("owl", later))), FIRST, OTHER, SECOND);
        assertThat(safe).startsWith(0, 0, 0, 0);
    }
}
