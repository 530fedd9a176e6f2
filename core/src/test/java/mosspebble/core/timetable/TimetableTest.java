package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TimetableTest {

    private static final Instant START = Instant.parse("2026-11-27T18:00:00Z");

    private static Instant at(long minutes) {
        return START.plusSeconds(60 * minutes);
    }

    private static Workload.Hours hours(long from, long to) {
        return new Workload.Hours(at(from), at(to));
    }

    private static Workload.Piece piece(String stone, int step, long hand, long dries) {
        return new Workload.Piece(stone, step, Duration.ofMinutes(hand), Duration.ofMinutes(dries), stone + step, "brush");
    }

    private static Workload.Wait wait(int before, int then, long minutes) {
        return new Workload.Wait(before, then, Duration.ofMinutes(minutes));
    }

    private static final List<Workload.Hours> ALWAYS = List.of(hours(0, 100_000));

    private static List<String[]> rows(String name) throws Exception {
        List<String[]> rows = new ArrayList<>();
        try (BufferedReader in = new BufferedReader(
                new InputStreamReader(TimetableTest.class.getResourceAsStream(name), StandardCharsets.UTF_8))) {
            in.lines().filter(l -> !l.startsWith("#") && !l.startsWith("instance")).forEach(l -> rows.add(l.split(",", -1)));
        }
        return rows;
    }

    @ParameterizedTest
    @CsvSource({
        // k equal stones of m coats, each p of the hand and dry after L: (m - 1) max(k p, p + L) + k p (proof by the work content and by
        // the stone begun last)
        "2, 2, 3, 5", "3, 2, 2, 6", "1, 4, 5, 20", "4, 3, 5, 12", "5, 4, 3, 30", "9, 3, 10, 40", "6, 5, 7, 20"})
    void equalStonesArePaintedInRounds(int stones, int coats, long hand, long dries) {
        List<Workload.Piece> pieces = new ArrayList<>();
        List<Workload.Wait> waits = new ArrayList<>();
        for (int s = 0; s < stones; s++) {
            for (int c = 0; c < coats; c++) {
                if (c > 0) {
                    waits.add(wait(pieces.size() - 1, pieces.size(), dries));
                }
                pieces.add(piece("stone " + s, c, hand, 0));
            }
        }
        Timetable found = Timetable.of(new Workload(pieces, waits, ALWAYS, START, Map.of()));
        long best = (coats - 1) * Math.max(stones * hand, hand + dries) + stones * hand;
        assertThat(found.end()).isEqualTo(at(best));
        assertThat(found.bound()).isBeforeOrEqualTo(found.end());
        holds(found);
    }

    @Test
    // J. Carlier's example of 1982 (from memory) and ten made-up cases, optima proven by exhaustive search and by CP-SAT
    void headsAndTailsReachTheKnownOptimaAndTheBoundTheKnownBound() throws Exception {
        Map<String, List<String[]>> cases = new LinkedHashMap<>();
        rows("sched_heads_tails.csv").forEach(r -> cases.computeIfAbsent(r[0], k -> new ArrayList<>()).add(r));
        assertThat(cases).hasSizeGreaterThan(8);
        for (String[] known : rows("sched_heads_tails_optima.csv")) {
            List<Workload.Piece> pieces = new ArrayList<>();
            List<Workload.Wait> waits = new ArrayList<>();
            pieces.add(piece("begin", 0, 0, 0));
            for (String[] task : cases.get(known[0])) {
                waits.add(wait(0, pieces.size(), Long.parseLong(task[2]))); // the head
                pieces.add(piece("task " + task[1], 0, Long.parseLong(task[3]), Long.parseLong(task[4])));
            }
            Timetable found = Timetable.of(new Workload(pieces, waits, ALWAYS, START, Map.of()));
            assertThat(found.end()).as(known[0]).isEqualTo(at(Long.parseLong(known[2])));
            assertThat(found.bound()).as("bound of %s", known[0]).isEqualTo(at(Long.parseLong(known[5])));
            holds(found);
        }
    }

    @Test
    // made-up cases with heads, least and most lags, optima proven by exhaustive search and by CP-SAT
    void leastAndMostLagsReachTheKnownOptima() throws Exception {
        Map<String, List<String[]>> lags = new LinkedHashMap<>();
        rows("sched_timelag_lags.csv").forEach(r -> lags.computeIfAbsent(r[0], k -> new ArrayList<>()).add(r));
        Map<String, List<String[]>> cases = new LinkedHashMap<>();
        rows("sched_timelag_tasks.csv").forEach(r -> cases.computeIfAbsent(r[0], k -> new ArrayList<>()).add(r));
        List<String[]> optima = rows("sched_timelag_optima.csv");
        assertThat(optima).hasSize(22);
        for (String[] known : optima) {
            List<Workload.Piece> pieces = new ArrayList<>();
            for (String[] task : cases.get(known[0])) {
                pieces.add(new Workload.Piece("task " + task[1], 0, 0, Duration.ofMinutes(Long.parseLong(task[2])), Duration.ZERO, "", "",
                        Workload.Window.ANY.after(at(Long.parseLong(task[3])))));
            }
            List<Workload.Wait> waits = lags.getOrDefault(known[0], List.of()).stream()
                    .map(l -> new Workload.Wait(Integer.parseInt(l[1]), Integer.parseInt(l[2]), Duration.ofMinutes(Long.parseLong(l[3])),
                            l[4].isBlank() ? Optional.empty() : Optional.of(Duration.ofMinutes(Long.parseLong(l[4]))), false))
                    .toList();
            Timetable found = Timetable.of(new Workload(pieces, waits, ALWAYS, START, Map.of()));
            holds(found);
            if (known[3].equals("INFEASIBLE")) {
                assertThat(found.missed()).as(known[0]).isNotEmpty();
            } else {
                assertThat(found.missed()).as(known[0]).isEmpty();
                assertThat(found.end()).as(known[0]).isEqualTo(at(Long.parseLong(known[3])));
            }
        }
    }

    @Test
    void whatWouldLapseOverNightIsPutOffToTheSittingOfWhatLiesOnIt() {
        List<Workload.Piece> pieces = List.of(piece("owl", 0, 10, 0), piece("owl", 1, 20, 0));
        List<Workload.Hours> evenings = List.of(hours(0, 45), hours(1_440, 1_560));
        Timetable tacky = Timetable.of(new Workload(pieces,
                List.of(new Workload.Wait(0, 1, Duration.ofMinutes(30), Optional.of(Duration.ofMinutes(240)), false)), evenings, START,
                Map.of()));
        assertThat(tacky.missed()).isEmpty();
        assertThat(tacky.placed().get(0).start()).as("not tonight").isEqualTo(at(1_440));
        assertThat(tacky.placed().get(1).start()).isEqualTo(at(1_480));
        Timetable dry = Timetable.of(new Workload(pieces, List.of(wait(0, 1, 30)), evenings, START, Map.of()));
        assertThat(dry.placed().get(0).start()).as("what only dries is begun at once").isEqualTo(START);
        Timetable never = Timetable.of(new Workload(pieces,
                List.of(new Workload.Wait(0, 1, Duration.ofMinutes(200), Optional.of(Duration.ofMinutes(240)), false)), evenings, START,
                Map.of()));
        assertThat(never.missed()).as("no evening is long enough for both").containsExactly(1);
        assertThatThrownBy(() -> new Workload.Wait(0, 1, Duration.ofMinutes(5), Optional.of(Duration.ofMinutes(4)), false)).isInstanceOf(
                IllegalArgumentException.class);
    }

    @Test
    void whatIsLeftOfAnUndisturbedPlanIsTheSamePlan() {
        SplittableRandom random = new SplittableRandom(71);
        for (int k = 0; k < 15; k++) {
            Workload workload = random(random);
            Timetable whole = Timetable.of(workload);
            int done = Math.max(1, whole.placed().size() / 2);
            List<Timetable.Placed> rest = whole.placed().subList(done, whole.placed().size());
            Workload left = left(workload, whole, done);
            Timetable again = whole.goingOn(left, () -> false);
            assertThat(again.placed()).extracting(Timetable.Placed::start).as("case %s", k)
                    .containsExactlyElementsOf(rest.stream().map(Timetable.Placed::start).toList());
            assertThat(whole.goingOnAsItIs(left).orElseThrow().placed()).isEqualTo(again.placed());
        }
    }

    /** What is left after so many pieces: their waits have become moments. */
    private static Workload left(Workload of, Timetable whole, int done) {
        Map<Integer, Instant> ended = new LinkedHashMap<>();
        whole.placed().subList(0, done).forEach(p -> ended.put(p.piece(), p.end()));
        Map<Integer, Integer> number = new LinkedHashMap<>();
        List<Workload.Piece> pieces = new ArrayList<>();
        for (int i = 0; i < of.pieces().size(); i++) {
            if (!ended.containsKey(i)) {
                number.put(i, pieces.size());
                Workload.Window when = Workload.Window.ANY;
                for (Workload.Wait w : of.waits()) {
                    when = w.then() == i && ended.containsKey(w.before()) ? when.after(ended.get(w.before()).plus(w.lag())) : when;
                }
                Workload.Piece p = of.pieces().get(i);
                pieces.add(new Workload.Piece(p.stone(), p.step(), 0, p.hand(), p.dries(), p.load(), p.tool(), when));
            }
        }
        List<Workload.Wait> waits = of.waits().stream().filter(w -> number.containsKey(w.before()))
                .map(w -> new Workload.Wait(number.get(w.before()), number.get(w.then()), w.lag())).toList();
        Instant now = whole.placed().get(done - 1).end();
        return new Workload(pieces, waits, of.hours(), of.from().isAfter(now) ? of.from() : now, of.due());
    }

    /** The same with windows for some pieces: some that can be kept, some that cannot. */
    private static Workload windowed(Workload of, SplittableRandom random) {
        List<Workload.Piece> pieces = of.pieces().stream().map(p -> {
            Workload.Window when = switch (random.nextInt(4)) {
                case 0 -> Workload.Window.ANY.after(at(random.nextInt(0, 2_000)));
                case 1 -> new Workload.Window(Optional.empty(), Optional.of(at(random.nextInt(0, 6_000))));
                default -> Workload.Window.ANY;
            };
            return new Workload.Piece(p.stone(), p.step(), p.part(), p.hand(), p.dries(), p.load(), p.tool(), when);
        }).toList();
        return new Workload(pieces, of.waits(), of.hours(), of.from(), of.due(), Map.of("cured", at(9)), Workload.Shared.NONE);
    }

    @Test
    void windowsAreKeptOrNamedAndAKnownOrderIsNeverMadeWorse() {
        SplittableRandom random = new SplittableRandom(9);
        for (int k = 0; k < 20; k++) {
            Workload workload = windowed(random(random), random);
            Timetable found = Timetable.of(workload);
            holds(found);
            List<Integer> missed = new ArrayList<>();
            for (Timetable.Placed each : found.placed()) {
                Workload.Window when = workload.pieces().get(each.piece()).when();
                when.earliest().ifPresent(e -> assertThat(each.start()).isAfterOrEqualTo(e));
                if (when.latest().filter(l -> each.end().isAfter(l)).isPresent()) {
                    missed.add(each.piece());
                }
            }
            assertThat(found.missed()).isEqualTo(missed);
            assertThat(found.ready().get("cured").at()).as("nothing left to do, but to dry").isEqualTo(at(9));
            Timetable quick = Timetable.quick(workload);
            assertThat(found.missed().size()).isLessThanOrEqualTo(quick.missed().size());
            Timetable on = quick.goingOn(workload, () -> false);
            assertThat(on.missed().size()).isLessThanOrEqualTo(quick.missed().size());
            assertThat(quick.goingOn(workload, () -> true).placed()).as("given up at once it is still whole").hasSameSizeAs(found.placed());
        }
    }

    @Test
    void anOrderThatDoesNotFitAnyMoreIsLeft() {
        List<Workload.Piece> two = List.of(piece("owl", 0, 10, 0), piece("fox", 0, 10, 0));
        Timetable known = Timetable.of(new Workload(two, List.of(), ALWAYS, START, Map.of()));
        List<Workload.Piece> three = List.of(piece("owl", 0, 10, 0), piece("fox", 0, 10, 0), piece("moon", 0, 10, 0));
        assertThat(known.goingOnAsItIs(new Workload(three, List.of(), ALWAYS, START, Map.of()))).as("something new").isEmpty();
        int first = known.placed().get(0).piece();
        Workload turned = new Workload(two, List.of(wait(1 - first, first, 5)), ALWAYS, START, Map.of());
        assertThat(known.goingOnAsItIs(turned)).as("it must come the other way round").isEmpty();
        assertThat(known.goingOn(turned, () -> false).placed().get(0).piece()).isEqualTo(1 - first);
        Workload.Piece second = two.get(1 - first);
        List<Workload.Piece> pinned = new ArrayList<>(two);
        pinned.set(1 - first, new Workload.Piece(second.stone(), 0, 0, second.hand(), second.dries(), second.load(), second.tool(),
                new Workload.Window(Optional.empty(), Optional.of(at(10)))));
        Timetable kept = known.goingOn(new Workload(pinned, List.of(), ALWAYS, START, Map.of()), () -> false);
        assertThat(kept.missed()).as("a window is worth another order").isEmpty();
    }

    @Test
    void whatIsPinnedIsDoneInItsWindowOrSaidToBeMissed() {
        List<Workload.Hours> evenings = List.of(hours(0, 60), hours(1_440, 1_500), hours(2_880, 2_940));
        Workload.Window second = new Workload.Window(Optional.of(at(1_440)), Optional.of(at(1_500)));
        Workload.Piece pinned = new Workload.Piece("owl", 1, 0, Duration.ofMinutes(20), Duration.ZERO, "a", "b", second);
        List<Workload.Piece> pieces = List.of(piece("owl", 0, 30, 0), pinned, piece("fox", 0, 30, 0), piece("moon", 0, 55, 0));
        List<Workload.Wait> waits = List.of(wait(0, 1, 10));
        Timetable found = Timetable.of(new Workload(pieces, waits, evenings, START, Map.of()));
        holds(found);
        assertThat(found.missed()).isEmpty();
        assertThat(found.placed().stream().filter(p -> p.piece() == 1).findFirst().orElseThrow().start()).isBetween(at(1_440), at(1_480));
        Timetable never = Timetable.of(new Workload(pieces, List.of(wait(0, 1, 2_000)), evenings, START, Map.of()));
        assertThat(never.missed()).containsExactly(1);
    }

    /** Nothing before what it waits for, hands never at two places, nothing beyond a sitting. */
    static void holds(Timetable table) {
        Workload of = table.of();
        assertThat(table.placed()).extracting(Timetable.Placed::piece).containsExactlyInAnyOrderElementsOf(
                IntStream.range(0, of.pieces().size()).boxed().toList());
        Instant[] start = new Instant[of.pieces().size()];
        Instant[] end = new Instant[of.pieces().size()];
        Instant free = of.from();
        Map<String, Instant> damp = new HashMap<>(of.shared().mixing().damp());
        for (Timetable.Placed each : table.placed()) {
            assertThat(each.start()).as("one pair of hands").isAfterOrEqualTo(free);
            assertThat(each.takes()).as("mixed but where it is damp")
                    .isEqualTo(of.pieces().get(each.piece()).hand().minus(saved(of.shared().mixing(), each, damp)));
            free = each.end();
            start[each.piece()] = each.start();
            end[each.piece()] = each.end();
            assertThat(of.hours()).as("%s to %s lies in a sitting", each.start(), each.end())
                    .anyMatch(h -> within(h, each.start(), each.end()));
            assertThat(of.hours()).as("nothing that needs warmth where it is cold").noneMatch(
                    h -> of.isTooCold(each.piece(), h) && !each.start().isBefore(h.from()) && !each.end().isAfter(h.to()));
        }
        for (Workload.Wait wait : of.waits()) {
            double slower = wait.inAir() ? of.hours().stream().filter(h -> within(h, start[wait.before()], end[wait.before()]))
                    .mapToDouble(of::slower).min().orElseThrow() : 1;
            assertThat(start[wait.then()])
                    .isAfterOrEqualTo(end[wait.before()].plusSeconds((long) Math.floor((slower - 0.001) * wait.lag().toSeconds())));
        }
        of.shared().stays().forEach((i, stay) -> assertThat(of.shared().stays().entrySet().stream()
                .filter(o -> o.getValue().place().equals(stay.place()) && !start[o.getKey()].isAfter(start[i])
                        && end[o.getKey()].plus(o.getValue().after()).isAfter(start[i]))
                .count()).as("stones at one place").isLessThanOrEqualTo(of.shared().places().get(stay.place())));
        assertThat(table.bound()).isBeforeOrEqualTo(table.end());
        assertThat(table.fewest()).isLessThanOrEqualTo(table.sittings());
    }

    /** What is saved of what is damp; the rest is mixed and damp from then on. */
    private static Duration saved(Workload.Mixing mixing, Timetable.Placed each, Map<String, Instant> damp) {
        Duration saved = Duration.ZERO;
        for (Map.Entry<String, Duration> mix : mixing.saved().getOrDefault(each.piece(), Map.of()).entrySet()) {
            boolean still = damp.containsKey(mix.getKey()) && !damp.get(mix.getKey()).isBefore(each.start());
            saved = still ? saved.plus(mix.getValue()) : saved;
            damp.computeIfPresent(mix.getKey(), (m, until) -> still ? until : each.start().plus(mixing.kept()));
            damp.putIfAbsent(mix.getKey(), each.start().plus(mixing.kept()));
        }
        return saved;
    }

    /** Whether it lies in a sitting, or in the same one of a later week. */
    private static boolean within(Workload.Hours hours, Instant start, Instant end) {
        long week = Duration.ofDays(7).toSeconds();
        long over = Math.floorDiv(Duration.between(hours.from(), start).toSeconds(), week) * week;
        return over >= 0 && !end.isAfter(hours.to().plusSeconds(over));
    }

    static Workload random(SplittableRandom random) {
        List<Workload.Piece> pieces = new ArrayList<>();
        List<Workload.Wait> waits = new ArrayList<>();
        int stones = random.nextInt(1, 6);
        for (int s = 0; s < stones; s++) {
            int steps = random.nextInt(1, 7);
            for (int c = 0; c < steps; c++) {
                if (c > 0) {
                    waits.add(wait(pieces.size() - 1, pieces.size(), random.nextInt(0, 90)));
                }
                pieces.add(piece("stone " + s, c, random.nextInt(1, 45), random.nextInt(0, 300)));
            }
        }
        List<Workload.Hours> hours = new ArrayList<>();
        long from = random.nextInt(0, 600);
        for (int k = random.nextInt(1, 4); k > 0; k--) {
            long length = random.nextInt(45, 200);
            hours.add(hours(from, from + length));
            from += length + random.nextInt(0, 1500);
        }
        return new Workload(pieces, waits, hours, START,
                Map.of("stone 0", at(random.nextInt(100, 3000)), "stone 1", at(random.nextInt(100, 3000))));
    }

    @Test
    void whateverIsPlannedHoldsAndIsTheSameAgainAndNoWorseThanAnySmallOrder() {
        SplittableRandom random = new SplittableRandom(12);
        for (int k = 0; k < 20; k++) {
            Workload workload = random(random);
            Timetable found = Timetable.of(workload);
            holds(found);
            assertThat(Timetable.of(workload)).as("the same workload, the same timetable").isEqualTo(found);
            found.ready().values().forEach(r -> assertThat(r.at()).isAfterOrEqualTo(r.soonest()));
            if (workload.pieces().size() <= 7) {
                assertThat(late(found)).as("no order of %s is less late", workload).isEqualTo(least(workload, new ArrayList<>()));
            }
        }
    }

    /** Stones that are late, and by how much together, as one number. */
    private static long late(Timetable table) {
        return table.ready().values().stream().mapToLong(r -> r.late().toSeconds() + (r.late().isZero() ? 0 : 1_000_000_000L)).sum();
    }

    /** The least of all orders. */
    private static long least(Workload workload, List<Integer> order) {
        if (order.size() == workload.pieces().size()) {
            return late(new TimetableSearch(workload).inOrder(order));
        }
        long least = Long.MAX_VALUE;
        for (int i = 0; i < workload.pieces().size(); i++) {
            int piece = i;
            if (!order.contains(i) && workload.waits().stream().allMatch(w -> w.then() != piece || order.contains(w.before()))) {
                order.add(i);
                least = Math.min(least, least(workload, order));
                order.remove(order.size() - 1);
            }
        }
        return least;
    }

    @Test
    void aStoneIsPutAwayOnlyWhereSomethingIsSoonerReadyForIt() {
        List<Workload.Piece> pieces = new ArrayList<>();
        for (int k = 0; k < 24; k++) { // four stones by turns, nothing waits for anything: each is in hand once
            pieces.add(piece("stone " + k % 4, k / 4, 3, 60));
        }
        Timetable free = Timetable.of(new Workload(pieces, List.of(), List.of(hours(0, 240)), START, Map.of()));
        assertThat(changes(free)).isEqualTo(3);
        // a coat of the first dries for 20 minutes: the other is painted meanwhile, as nobody sits and waits
        List<Workload.Piece> two = List.of(piece("first", 0, 5, 20), piece("other", 0, 10, 20), piece("first", 1, 5, 20),
                piece("other", 1, 10, 20));
        Timetable waits = Timetable.of(new Workload(two, List.of(wait(0, 2, 20)), List.of(hours(0, 240)), START, Map.of()));
        assertThat(changes(waits)).isEqualTo(2);
        assertThat(waits.end()).isEqualTo(at(50));
    }

    private static int changes(Timetable table) {
        List<String> stones = table.placed().stream().map(p -> table.of().pieces().get(p.piece()).stone()).toList();
        return (int) IntStream.range(1, stones.size()).filter(k -> !stones.get(k).equals(stones.get(k - 1))).count();
    }

    @Test
    void theStoneThatIsDueComesFirstAndWhatCannotBeInTimeIsKnown() {
        List<Workload.Piece> pieces = List.of(piece("owl", 0, 60, 600), piece("fox", 0, 60, 600), piece("moon", 0, 60, 3_000));
        List<Workload.Hours> evening = List.of(hours(0, 120), hours(1_440, 1_560));
        Timetable found = Timetable.of(new Workload(pieces, List.of(), evening, START, Map.of("fox", at(700), "moon", at(2_000))));
        assertThat(found.placed().get(0).piece()).as("the fox can be in time").isEqualTo(1);
        Map<String, Timetable.Ready> ready = found.ready();
        assertThat(ready.get("fox").late()).isZero();
        assertThat(ready.get("moon").hopeless()).as("it hardens longer than there is time").isTrue();
        assertThat(ready.get("moon").soonest()).isEqualTo(at(3_060));
        assertThat(ready.get("owl").due()).isEmpty();
        assertThat(found.sittings()).isEqualTo(2);
        holds(found);
    }

    @Test
    void sittingsComeAgainWeekByWeekAndALongerDayBreaksWhatWasTight() {
        List<Workload.Piece> pieces = IntStream.range(0, 7).mapToObj(i -> piece("owl", i, 50, 30)).toList();
        List<Workload.Wait> waits = IntStream.range(1, 7).mapToObj(i -> wait(i - 1, i, 10)).toList();
        Timetable found = Timetable.of(new Workload(pieces, waits, List.of(hours(0, 110)), START, Map.of()));
        holds(found);
        assertThat(found.sittings()).as("two of 50 and the wait of 10 fill one").isEqualTo(4);
        assertThat(found.end()).isEqualTo(START.plus(Duration.ofDays(21)).plus(Duration.ofMinutes(80)));
        Timetable longer = found.stretched(1.25);
        assertThat(longer.sittings()).as("then only one goes into each").isEqualTo(7);
        holds(longer);
        assertThat(longer.placed()).extracting(Timetable.Placed::piece)
                .isEqualTo(found.placed().stream().map(Timetable.Placed::piece).toList());
    }

    @Test
    void aDueDayIsKeptEvenIfEverythingTakesAQuarterLongerWhereThatCostsLittle() {
        List<Workload.Piece> pieces = List.of(piece("slow", 0, 50, 500), piece("due", 0, 50, 0));
        Timetable free = Timetable.of(new Workload(pieces, List.of(), List.of(hours(0, 100), hours(900, 1000)), START, Map.of()));
        assertThat(free.placed().get(0).piece()).as("what dries long goes first").isZero();
        Timetable found = Timetable.of(
                new Workload(pieces, List.of(), List.of(hours(0, 100), hours(900, 1000)), START, Map.of("due", at(100))));
        assertThat(found.placed().get(0).piece()).as("second it would be done with its last minute").isEqualTo(1);
        assertThat(found.stretched(1.25).ready().get("due").late()).isZero();
        assertThat(found.sittings()).isEqualTo(1);
    }

    @Test
    void whatFillsTheLongestSittingFillsItStillIfEverythingTakesLonger() {
        Timetable found = Timetable.of(
                new Workload(List.of(piece("owl", 0, 55, 30)), List.of(), List.of(hours(0, 60)), START, Map.of("owl", at(200))));
        Timetable longer = found.stretched(1.25);
        assertThat(longer.placed().get(0).end()).isEqualTo(at(60));
        assertThat(longer.ready().get("owl").at()).isEqualTo(START.plus(Duration.ofMinutes(60)).plusSeconds(2_250));
    }

    @Test
    void whatCannotBePlannedIsSaid() {
        List<Workload.Piece> one = List.of(piece("owl", 3, 90, 0));
        assertThatThrownBy(() -> new Workload(one, List.of(), List.of(), START, Map.of())).hasMessageContaining("no sitting");
        assertThatThrownBy(() -> new Workload(one, List.of(), List.of(hours(0, 60)), START, Map.of())).hasMessageContaining("step 4 of owl")
                .hasMessageContaining("1 h 30 min");
        assertThatThrownBy(() -> new Workload(one, List.of(), List.of(hours(0, 100), hours(90, 200)), START, Map.of()))
                .hasMessageContaining("overlap");
        assertThatThrownBy(() -> hours(10, 10)).hasMessageContaining("ends after it begins");
        assertThatThrownBy(() -> new Workload(List.of(one.get(0), one.get(0)), List.of(wait(0, 1, 1), wait(1, 0, 1)), ALWAYS, START,
                Map.of())).hasMessageContaining("circle");
        Timetable nothing = Timetable.of(new Workload(List.of(), List.of(), ALWAYS, START, Map.of()));
        assertThat(nothing.placed()).isEmpty();
        assertThat(nothing.end()).isEqualTo(START);
        Timetable past = Timetable.of(new Workload(List.of(piece("owl", 0, 20, 0)), List.of(), List.of(hours(-600, -500)), START,
                Map.of("owl", at(-30))));
        assertThat(past.placed().get(0).start()).as("the sitting is over: it comes again in a week")
                .isEqualTo(at(-600).plus(Duration.ofDays(7)));
        assertThat(past.ready().get("owl").hopeless()).as("due in the past").isTrue();
    }
}
