package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Places that hold few stones, rooms in which it dries slower, and how many sittings it takes at least. */
class PlacesAndRoomsTest {

    private static final Instant START = Instant.parse("2026-11-27T18:00:00Z");

    private static Instant at(long minutes) {
        return START.plusSeconds(60 * minutes);
    }

    private static Workload.Hours hours(long from, long to) {
        return new Workload.Hours(at(from), at(to));
    }

    private static Workload.Shared air(Map<Long, Double> slower) {
        Map<Instant, Double> by = new TreeMap<>();
        slower.forEach((minute, times) -> by.put(at(minute), times));
        return new Workload.Shared(Map.of(), Map.of(), by);
    }

    private static Workload.Piece piece(String stone, int step, long hand, long dries) {
        return new Workload.Piece(stone, step, Duration.ofMinutes(hand), Duration.ofMinutes(dries), stone + step, "brush");
    }

    private static Workload.Wait air(int before, int then, long minutes) {
        return new Workload.Wait(before, then, Duration.ofMinutes(minutes), Optional.empty(), true);
    }

    private static Workload sprayed(int stones, int room) {
        List<Workload.Piece> pieces = new ArrayList<>();
        Map<Integer, Workload.Stay> stays = new TreeMap<>();
        for (int s = 0; s < stones; s++) {
            stays.put(pieces.size(), new Workload.Stay("box", Duration.ofMinutes(20)));
            pieces.add(piece("stone " + s, 0, 5, 60));
        }
        return new Workload(pieces, List.of(), List.of(hours(0, 600)), START, Map.of(), Map.of(),
                new Workload.Shared(Map.of("box", room), stays, Map.of()));
    }

    @Test
    // by hand: each is sprayed in 5 minutes and stands 20 more; alone at the place one begins every 25 minutes, two by two every 12.5 on
    // average, where there is room for all every 5
    void sprayedStonesWaitForThePlaceToBeFree() {
        Timetable one = Timetable.of(sprayed(4, 1));
        assertThat(one.end()).isEqualTo(at(3 * 25 + 5 + 60));
        assertThat(one.proven()).as("the place is a machine of its own").isTrue();
        assertThat(Timetable.of(sprayed(4, 2)).end()).isEqualTo(at(25 + 5 + 5 + 60));
        assertThat(Timetable.of(sprayed(4, 4)).end()).isEqualTo(at(4 * 5 + 60));
    }

    @Test
    // by hand: done after 5 minutes, dry 10 later; that it stands in the way for an hour keeps nobody from being ready
    void aStoneThatStandsLongerThanItDriesIsReadyAllTheSame() {
        Timetable found = Timetable.of(new Workload(List.of(piece("owl", 0, 5, 10)), List.of(), List.of(hours(0, 600)), START, Map.of(),
                Map.of(), new Workload.Shared(Map.of("box", 1), Map.of(0, new Workload.Stay("box", Duration.ofHours(1))), Map.of())));
        assertThat(found.end()).isEqualTo(at(15)).isEqualTo(found.bound());
    }

    @Test
    void aPlaceHoldsAtLeastOneStoneAndIsKnown() {
        assertThatThrownBy(() -> sprayed(2, 0)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("at least one stone");
        assertThatThrownBy(() -> new Workload.Shared(Map.of(), Map.of(0, new Workload.Stay("shed", Duration.ZERO)), Map.of()))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("shed");
    }

    @Test
    void inAColdRoomWhatComesAfterWaitsLongerAndInAWarmOneNotSoLong() {
        List<Workload.Piece> pieces = List.of(piece("owl", 0, 10, 0), piece("owl", 1, 10, 0), piece("owl", 2, 10, 0));
        List<Workload.Wait> waits = List.of(air(0, 1, 30), new Workload.Wait(1, 2, Duration.ofMinutes(30)));
        for (double slower : new double[] {0.5, 1, 3}) {
            Timetable found = Timetable.of(new Workload(pieces, waits, List.of(hours(0, 600)), START, Map.of(), Map.of(),
                    air(Map.of(0L, slower))));
            assertThat(found.placed().get(1).start()).isEqualTo(at(10 + Math.round(30 * slower)));
            assertThat(found.placed().get(2).start()).as("what sets by itself takes its time in any room")
                    .isEqualTo(found.placed().get(1).end().plus(Duration.ofMinutes(30)));
            assertThat(found.proven()).isTrue();
        }
        assertThatThrownBy(() -> air(Map.of(0L, 80.0))).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("0.05 to 50");
    }

    @Test
    void theColdRoomCountsForWhatIsLaidInItAlone() {
        List<Workload.Piece> pieces = List.of(piece("owl", 0, 10, 0), piece("owl", 1, 10, 0), piece("owl", 2, 10, 0));
        List<Workload.Hours> evenings = List.of(hours(0, 60), hours(1_440, 1_560));
        Timetable found = Timetable.of(new Workload(pieces, List.of(air(0, 1, 30), air(1, 2, 30)), evenings, START, Map.of(), Map.of(),
                air(Map.of(0L, 4.0))));
        assertThat(found.placed().get(1).start()).as("two hours: not the same evening").isEqualTo(at(1_440));
        assertThat(found.placed().get(2).start()).as("half an hour in the usual room").isEqualTo(at(1_480));
        assertThat(found.sittings()).isEqualTo(2);
    }

    @Test
    // by hand: three coats that dry for three hours do not lie in one evening of two; five hours of work do not lie in two of them
    void nobodyNeedsFewerSittingsThanTheWaitsAndTheWorkTake() {
        List<Workload.Hours> evenings = List.of(hours(0, 120), hours(1_440, 1_560), hours(2_880, 3_000), hours(4_320, 4_440));
        List<Workload.Piece> coats = List.of(piece("owl", 0, 10, 0), piece("owl", 1, 10, 0), piece("owl", 2, 10, 0));
        Timetable drying = Timetable.of(new Workload(coats, List.of(air(0, 1, 180), air(1, 2, 180)), evenings, START, Map.of()));
        assertThat(drying.fewest()).isEqualTo(3).isEqualTo(drying.sittings());
        List<Workload.Piece> long5 = List.of(piece("owl", 0, 100, 0), piece("fox", 0, 100, 0), piece("moon", 0, 100, 0));
        Timetable work = Timetable.of(new Workload(long5, List.of(), evenings, START, Map.of()));
        assertThat(work.fewest()).isEqualTo(3);
        assertThat(Timetable.of(new Workload(List.of(), List.of(), evenings, START, Map.of())).fewest()).isZero();
    }

    /** The same with some waits in air, other rooms, and a place or two. */
    private static Workload peopled(Workload of, SplittableRandom random) {
        Map<Instant, Double> slower = new TreeMap<>();
        of.hours().stream().filter(h -> random.nextBoolean()).forEach(h -> slower.put(h.from(), random.nextDouble(0.3, 4)));
        List<Workload.Wait> waits = of.waits().stream()
                .map(w -> new Workload.Wait(w.before(), w.then(), w.lag(), Optional.empty(), random.nextBoolean())).toList();
        Map<Integer, Workload.Stay> stays = new TreeMap<>();
        for (int i = 0; i < of.pieces().size(); i++) {
            if (random.nextInt(3) == 0) {
                stays.put(i, new Workload.Stay(random.nextBoolean() ? "box" : "lamp", Duration.ofMinutes(random.nextInt(0, 90))));
            }
        }
        return new Workload(of.pieces(), waits, of.hours(), of.from(), of.due(), of.drying(),
                new Workload.Shared(Map.of("box", random.nextInt(1, 3), "lamp", 1), stays, slower, cold(of, random), mixing(of, random)));
    }

    /** A third of the work is of three mixes, one of which is there from earlier; mixing takes at most as long as the work. */
    private static Workload.Mixing mixing(Workload of, SplittableRandom random) {
        Map<Integer, Map<String, Duration>> saved = new TreeMap<>();
        for (int i = 0; i < of.pieces().size(); i++) {
            if (random.nextInt(3) == 0) {
                saved.put(i,
                        Map.of("mix " + random.nextInt(3), Duration.ofSeconds(random.nextLong(of.pieces().get(i).hand().toSeconds()))));
            }
        }
        return new Workload.Mixing(Duration.ofMinutes(random.nextInt(10, 200)), saved,
                Map.of("mix 0", of.from().plusSeconds(random.nextInt(7_200))));
    }

    /** Half of the work needs warmth, which a fifth of the sittings have not. */
    private static Workload.Cold cold(Workload of, SplittableRandom random) {
        return new Workload.Cold(
                IntStream.range(0, of.pieces().size()).filter(i -> random.nextBoolean()).boxed().collect(Collectors.toSet()),
                of.hours().stream().map(Workload.Hours::from).filter(h -> random.nextInt(5) == 0).collect(Collectors.toSet()));
    }

    @Test
    void whateverIsPlannedHoldsAndNoOrderBeatsTheBounds() {
        SplittableRandom random = new SplittableRandom(31);
        int small = 0;
        for (int k = 0; k < 30; k++) {
            Workload workload = peopled(TimetableTest.random(random), random);
            Timetable found = Timetable.of(workload);
            TimetableTest.holds(found);
            TimetableTest.holds(found.stretched(1.25));
            if (workload.pieces().size() <= 6) {
                small++;
                everyOrder(workload, new ArrayList<>(), order -> {
                    Timetable each = new TimetableSearch(workload).inOrder(order);
                    TimetableTest.holds(each);
                    assertThat(found.bound()).isBeforeOrEqualTo(each.end());
                    assertThat(found.fewest()).isLessThanOrEqualTo(each.sittings());
                });
            }
        }
        assertThat(small).isGreaterThan(5);
    }

    private static void everyOrder(Workload workload, List<Integer> order, Consumer<List<Integer>> each) {
        if (order.size() == workload.pieces().size()) {
            each.accept(order);
        }
        for (int i = 0; i < workload.pieces().size(); i++) {
            int piece = i;
            if (!order.contains(i) && workload.waits().stream().allMatch(w -> w.then() != piece || order.contains(w.before()))) {
                order.add(i);
                everyOrder(workload, order, each);
                order.remove(order.size() - 1);
            }
        }
    }

    @Test
    void whatASolverFindsIsTakenOnlyWhereItIsWholeFitsAndIsBetter() {
        List<Workload.Piece> pieces = List.of(piece("owl", 0, 10, 600), piece("fox", 0, 10, 0));
        Workload workload = new Workload(pieces, List.of(), List.of(hours(0, 600)), START, Map.of());
        Timetable bad = new TimetableSearch(workload).inOrder(List.of(1, 0));
        assertThat(bad.end()).isEqualTo(at(620));
        Timetable better = bad.improved(List.of(0, 1), Optional.of(at(610)));
        assertThat(better.end()).isEqualTo(at(610));
        assertThat(better.proven()).isTrue();
        for (List<Integer> wrong : List.of(List.of(0), List.of(0, 0), List.of(0, 7), List.<Integer>of())) {
            assertThat(bad.improved(wrong, Optional.empty()).placed()).isEqualTo(bad.placed());
        }
        Workload chained = new Workload(pieces, List.of(air(1, 0, 5)), List.of(hours(0, 600)), START, Map.of());
        Timetable known = Timetable.of(chained);
        assertThat(known.improved(List.of(0, 1), Optional.of(at(9_000))))
                .as("an order that does not fit, a bound beyond what is there").isEqualTo(known);
    }
}
