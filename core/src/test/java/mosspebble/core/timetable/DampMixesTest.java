package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What is damp on the palette is not mixed again, for whichever stone; worked out by hand. */
class DampMixesTest {

    private static final Instant SEVEN = Instant.parse("2026-11-27T19:00:00Z");
    private static final Duration KEPT = Duration.ofHours(2);
    private static final int OWL = 0;
    private static final int FOX = 1;
    private static final int MOON = 2;

    private static Workload.Hours evening(int day, int minutes) {
        Instant from = SEVEN.plus(Duration.ofDays(day));
        return new Workload.Hours(from, from.plus(Duration.ofMinutes(minutes)));
    }

    private static Workload.Piece piece(String stone, int step, int minutes) {
        return new Workload.Piece(stone, step, Duration.ofMinutes(minutes), Duration.ZERO, "moss", "brush");
    }

    /** So many minutes less where its moss is damp. */
    private static Map<String, Duration> moss(int minutes) {
        return Map.of("moss", Duration.ofMinutes(minutes));
    }

    private static Workload work(List<Workload.Piece> pieces, List<Workload.Wait> waits, List<Workload.Hours> hours,
            Map<Integer, Map<String, Duration>> saved, Map<String, Instant> damp) {
        return new Workload(pieces, waits, hours, SEVEN, Map.of(), Map.of(),
                Workload.Shared.NONE.with(new Workload.Mixing(KEPT, saved, damp)));
    }

    private static Workload threeStones(int evening, Map<String, Instant> damp) {
        return work(List.of(piece("owl", 0, 10), piece("fox", 0, 10), piece("moon", 0, 10)), List.of(), List.of(evening(0, evening)),
                Map.of(OWL, moss(4), FOX, moss(4)), damp);
    }

    private static Timetable inOrder(Workload of, Integer... order) {
        return new TimetableSearch(of).inOrder(List.of(order));
    }

    private static Timetable.Placed placed(int piece, int from, int to) {
        return new Timetable.Placed(piece, SEVEN.plus(Duration.ofMinutes(from)), SEVEN.plus(Duration.ofMinutes(to)));
    }

    @Test
    void theNextStoneIsServedByTheMixOfTheLastHoweverManyComeBetween() {
        Workload three = threeStones(120, Map.of());
        assertThat(inOrder(three, OWL, FOX, MOON).placed()).containsExactly(placed(OWL, 0, 10), placed(FOX, 10, 16), placed(MOON, 16, 26));
        Timetable between = inOrder(three, FOX, MOON, OWL);
        assertThat(between.placed()).containsExactly(placed(FOX, 0, 10), placed(MOON, 10, 20), placed(OWL, 20, 26));
        assertThat(between.mixed()).as("the owl is painted with what was mixed for the fox")
                .containsExactly(Map.of("moss", SEVEN), Map.of(), Map.of("moss", SEVEN));
        assertThat(between.ready().get("owl").at()).isEqualTo(SEVEN.plus(Duration.ofMinutes(26)));
    }

    @Test
    void aMixIsDampForTwoHoursFromWhenItWasMixedAndNotFromWhenItWasUsed() {
        for (int minutes : new int[] {119, 120, 121, 200}) {
            Workload later = work(List.of(piece("owl", 0, 10), piece("fox", 0, 10), piece("moon", 0, 10)
                    .within(Workload.Window.ANY.after(SEVEN.plus(Duration.ofMinutes(minutes))))), List.of(), List.of(evening(0, 600)),
                    Map.of(OWL, moss(4), FOX, moss(4), MOON, moss(3)), Map.of());
            Timetable table = inOrder(later, OWL, FOX, MOON);
            boolean damp = minutes <= 120; // common practice, no source: as long as a covered puddle stays workable
            assertThat(table.placed().get(2).takes()).as("%s minutes after it was mixed", minutes)
                    .isEqualTo(Duration.ofMinutes(damp ? 7 : 10));
            assertThat(table.mixed().get(2).get("moss")).isEqualTo(damp ? SEVEN : SEVEN.plus(Duration.ofMinutes(minutes)));
        }
    }

    @Test
    void whatFitsTheEveningOnlyWhileItsMixIsDampIsMixedAnewTheNextDay() {
        List<Workload.Piece> pieces = List.of(piece("owl", 0, 30), piece("fox", 0, 20));
        Map<Integer, Map<String, Duration>> saved = Map.of(OWL, moss(12), FOX, moss(12));
        assertThat(inOrder(work(pieces, List.of(), List.of(evening(0, 40), evening(1, 40)), saved, Map.of()), OWL, FOX).placed())
                .containsExactly(placed(OWL, 0, 30), placed(FOX, 30, 38));
        int day = 24 * 60;
        assertThat(inOrder(work(pieces, List.of(), List.of(evening(0, 37), evening(1, 37)), saved, Map.of()), OWL, FOX).placed())
                .containsExactly(placed(OWL, 0, 30), placed(FOX, day, day + 20));
    }

    @Test
    void twoOfOneMixAreDoneInOneEveningWhereThatSavesAnother() {
        List<Workload.Piece> pieces = List.of(piece("owl", 0, 30), piece("moon", 0, 35), piece("fox", 0, 30), piece("snail", 0, 35));
        Timetable found = Timetable.of(work(pieces, List.of(), List.of(evening(0, 60), evening(1, 70)), Map.of(0, moss(10), 2, moss(10)),
                Map.of()));
        assertThat(found.sittings()).as("owl and fox in 50 minutes, moon and snail in 70; no other two fill both evenings")
                .isEqualTo(2);
        assertThat(found.fewest()).as("130 minutes if all had to be mixed, 110 as it is").isLessThanOrEqualTo(2);
        assertThat(found.placed().subList(0, 2)).extracting(Timetable.Placed::piece).containsExactlyInAnyOrder(0, 2);
    }

    @Test
    void whatIsDampFromEarlierServesAndOnlyWhileItIs() {
        Workload damp = threeStones(120, Map.of("moss", SEVEN.plusSeconds(900)));
        Timetable table = inOrder(damp, OWL, MOON, FOX);
        assertThat(table.placed()).as("to a quarter past, the fox comes a minute too late").containsExactly(placed(OWL, 0, 6),
                placed(MOON, 6, 16), placed(FOX, 16, 26));
        assertThat(table.mixed().get(0)).containsEntry("moss", SEVEN.plusSeconds(900).minus(KEPT));
        assertThat(inOrder(threeStones(120, Map.of("soot", SEVEN.plusSeconds(900))), OWL, MOON, FOX).placed().get(0).takes())
                .as("another mix is no use").isEqualTo(Duration.ofMinutes(10));
    }

    @Test
    void noBoundHopesForWhatCannotBeDampYet() {
        List<Workload.Piece> coats = List.of(piece("owl", 0, 10), piece("owl", 1, 10));
        List<Workload.Wait> dry = List.of(new Workload.Wait(0, 1, Duration.ofMinutes(20)));
        Map<Integer, Map<String, Duration>> saved = Map.of(0, moss(4), 1, moss(4));
        Timetable alone = Timetable.of(work(coats, dry, List.of(evening(0, 120)), saved, Map.of()));
        assertThat(alone.leastHands()).as("the first coat must be mixed for: all others wait for it")
                .containsExactly(Duration.ofMinutes(10), Duration.ofMinutes(6));
        assertThat(alone.end()).isEqualTo(SEVEN.plus(Duration.ofMinutes(36)));
        assertThat(alone.bound()).as("ten, twenty to dry, six").isEqualTo(alone.end());
        assertThat(alone.ready().get("owl").soonest()).isEqualTo(alone.end());
        Timetable damp = Timetable.of(work(coats, dry, List.of(evening(0, 120)), saved, Map.of("moss", SEVEN.plusSeconds(600))));
        assertThat(damp.leastHands()).containsExactly(Duration.ofMinutes(6), Duration.ofMinutes(6));
        assertThat(damp.end()).as("taken up at seven, mixed anew at 19:26").isEqualTo(SEVEN.plus(Duration.ofMinutes(36)));
    }

    @Test
    void whatAllOthersWaitForIsMixedForHoweverLongTheChain() {
        List<Workload.Piece> coats = List.of(piece("owl", 0, 10), piece("owl", 1, 10), piece("owl", 2, 10), piece("fox", 0, 10));
        List<Workload.Wait> chain = List.of(new Workload.Wait(0, 1, Duration.ofMinutes(5)), new Workload.Wait(1, 2, Duration.ofMinutes(5)),
                new Workload.Wait(2, 3, Duration.ofMinutes(5)));
        Map<Integer, Map<String, Duration>> saved = Map.of(0, moss(4), 2, moss(4), 3, moss(4));
        assertThat(Timetable.quick(work(coats, chain, List.of(evening(0, 120)), saved, Map.of())).leastHands())
                .as("those that use it wait for one that waits for the first").containsExactly(Duration.ofMinutes(10),
                        Duration.ofMinutes(10), Duration.ofMinutes(6), Duration.ofMinutes(6));
        List<Workload.Piece> late = List.of(piece("owl", 0, 10).within(Workload.Window.ANY.after(SEVEN.plusSeconds(600))));
        for (int more : new int[] {0, -1}) {
            Timetable damp = Timetable.quick(work(late, List.of(), List.of(evening(0, 120)), Map.of(0, moss(4)),
                    Map.of("moss", SEVEN.plusSeconds(600 + more))));
            assertThat(damp.leastHands()).as("damp until it may begin, or a second less")
                    .containsExactly(Duration.ofMinutes(more == 0 ? 6 : 10));
            assertThat(damp.placed().get(0).takes()).isEqualTo(damp.leastHands().get(0));
        }
    }

    @Test
    void ifAllTakesLongerMixingDoesTooAndNothingIsSavedOfWhatIsNotThere() {
        Timetable longer = inOrder(threeStones(120, Map.of()), OWL, FOX, MOON).stretched(1.5);
        assertThat(longer.placed()).containsExactly(placed(OWL, 0, 15), placed(FOX, 15, 24), placed(MOON, 24, 39));
        List<Workload.Piece> one = List.of(piece("owl", 0, 10));
        assertThatThrownBy(() -> work(one, List.of(), List.of(evening(0, 60)), Map.of(1, moss(1)), Map.of()))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Workload.Mixing(KEPT, Map.of(0, Map.of("moss", Duration.ofMinutes(-1))), Map.of()))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
