package mosspebble.core.timetable;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;

/**
 * When one pair of hands does what on which stone.
 *
 * @param of what it is the timetable of
 * @param placed in the order in which they are done
 * @param bound nothing can make all stones ready sooner
 * @param sittings how many are used
 * @param fewest no timetable uses fewer
 */
public record Timetable(Workload of, List<Placed> placed, Instant bound, int sittings, int fewest) {

    /** A piece of work, by number, in its time. */
    public record Placed(int piece, Instant start, Instant end) {

        /** Time of the hand, mixing included where nothing damp is at hand. */
        public Duration takes() {
            return Duration.between(start, end);
        }
    }

    /**
     * When a stone is ready.
     *
     * @param soonest it cannot be ready before, whatever becomes of the others
     */
    public record Ready(String stone, Instant at, Instant soonest, Optional<Instant> due) {

        /** By how much it is late; zero where it is not. */
        public Duration late() {
            return due.filter(d -> d.isBefore(at)).map(d -> Duration.between(d, at)).orElse(Duration.ZERO);
        }

        /** Whether it could not be ready in time even if it were the only one. */
        public boolean hopeless() {
            return due.filter(d -> d.isBefore(soonest)).isPresent();
        }
    }

    /**
     * Finds better timetables by other means, such as a solver that is no Java. The same timetable gets the same answer, unless it is no
     * longer wanted.
     */
    public interface Solver {

        /** The same or a better one, with what could be proven; empty where it does not work on this machine. */
        Optional<Timetable> better(Timetable known, BooleanSupplier unwanted);
    }

    public Timetable {
        placed = List.copyOf(placed);
    }

    /** Searches with a fixed amount of work, which depends on the number of pieces: the same workload gives the same timetable. */
    public static Timetable of(Workload workload) {
        return new TimetableSearch(workload).best(List.of(), () -> false);
    }

    /** A first answer at once. */
    public static Timetable quick(Workload workload) {
        return new TimetableSearch(workload).quick();
    }

    /**
     * What is left of a timetable, planned anew: in the order it had unless another is better by more than a minute. Where all went as it
     * was planned, another is no better for being safer now that some is done. A first answer to the same workload is searched on from.
     *
     * @param workload what is left, from now on
     * @param unwanted asked on the way; the best so far is given once it is true
     */
    public Timetable goingOn(Workload workload, BooleanSupplier unwanted) {
        TimetableSearch search = new TimetableSearch(workload);
        return workload.equals(of) ? search.best(search.known(this), unwanted)
                : search.goingOn(search.known(this), undisturbed(workload), unwanted);
    }

    private boolean undisturbed(Workload workload) {
        Map<List<Object>, Instant> planned = new HashMap<>();
        placed.forEach(p -> planned.put(TimetableSearch.name(of.pieces().get(p.piece)), p.start));
        return workload.due().equals(of.due()) && goingOnAsItIs(workload).filter(t -> t.placed.stream().allMatch(
                p -> !p.start.isAfter(planned.get(TimetableSearch.name(workload.pieces().get(p.piece))).plusSeconds(TableCost.SAME))))
                .isPresent();
    }

    /**
     * The same in an order found elsewhere, if that is whole, fits, and is better by more than a minute in what matters.
     *
     * @param bound it is proven that nothing can make all stones ready sooner; empty for no proof
     */
    public Timetable improved(List<Integer> order, Optional<Instant> bound) {
        return new TimetableSearch(of).improved(this, order, bound);
    }

    /** The sittings there are until a moment, those that come again week by week included. */
    public List<Workload.Hours> hoursUntil(Instant last) {
        return new TableHours(of).until(last);
    }

    /** What is left of it in the order it has, later where it must; empty where something else is to be done now. */
    public Optional<Timetable> goingOnAsItIs(Workload workload) {
        TimetableSearch search = new TimetableSearch(workload);
        List<Integer> order = search.known(this);
        return order.size() == workload.pieces().size() ? Optional.of(search.inOrder(order)) : Optional.empty();
    }

    /** Pieces, by number, that are not done by when they should be: by a moment, or before what they lie on has lapsed. */
    public List<Integer> missed() {
        Map<Integer, Placed> at = new HashMap<>();
        placed.forEach(p -> at.put(p.piece, p));
        Set<Integer> lapsed = of.waits().stream().filter(w -> w.most()
                .filter(m -> at.get(w.then()).start.isAfter(at.get(w.before()).end.plus(m))).isPresent()).map(Workload.Wait::then)
                .collect(Collectors.toSet());
        return placed.stream().filter(p -> lapsed.contains(p.piece)
                || of.pieces().get(p.piece).when().latest().filter(l -> p.end.isAfter(l)).isPresent()).map(Placed::piece).toList();
    }

    /** When each stone is ready, by its name. */
    public Map<String, Ready> ready() {
        Map<String, Instant> at = new TreeMap<>(of.drying());
        for (Placed each : placed) {
            Workload.Piece piece = of.pieces().get(each.piece);
            Instant dry = each.end.plus(piece.dries());
            at.merge(piece.stone(), dry, (a, b) -> a.isAfter(b) ? a : b);
        }
        Map<String, Instant> alone = new TableBounds(new WorkNumbers(of)).soonest();
        Map<String, Ready> ready = new TreeMap<>();
        at.forEach((stone, when) -> ready.put(stone,
                new Ready(stone, when, alone.getOrDefault(stone, when), Optional.ofNullable(of.due().get(stone)))));
        return ready;
    }

    /** What is done in each sitting, in their order. */
    public List<List<Placed>> bySitting() {
        return new TimetableSearch(of).bySitting(placed);
    }

    /** When all stones are ready. */
    public Instant end() {
        return placed.stream().map(p -> p.end.plus(of.pieces().get(p.piece).dries())).max(Instant::compareTo).orElse(of.from());
    }

    /**
     * When what is laid was mixed, by place in the order and by name of the mix: as its piece begins, where it is mixed for that, or
     * earlier, where it is still damp.
     */
    public List<Map<String, Instant>> mixed() {
        Workload.Mixing mixing = of.shared().mixing();
        Map<String, Instant> damp = new HashMap<>(mixing.damp());
        List<Map<String, Instant>> all = new ArrayList<>();
        for (Placed each : placed) {
            Map<String, Instant> mixed = new TreeMap<>();
            for (String mix : mixing.saved().getOrDefault(each.piece, Map.of()).keySet()) {
                if (!damp.containsKey(mix) || damp.get(mix).isBefore(each.start)) {
                    damp.put(mix, each.start.plus(mixing.kept()));
                }
                mixed.put(mix, damp.get(mix).minus(mixing.kept()));
            }
            all.add(mixed);
        }
        return all;
    }

    /** By number, how long the hand takes for each piece at least: with all damp on the palette that can be. */
    public List<Duration> leastHands() {
        return Arrays.stream(new WorkNumbers(of).leastHand).mapToObj(Duration::ofSeconds).toList();
    }

    /** Whether no other timetable can be ready sooner. */
    public boolean proven() {
        return !end().isAfter(bound);
    }

    /**
     * The same order if everything takes longer, such as 1.25 times as long: hands and drying, not the hours. What fills the longest
     * sitting then takes just that.
     */
    public Timetable stretched(double times) {
        Duration longest = of.hours().stream().map(Workload.Hours::length).max(Duration::compareTo).orElseThrow();
        Workload longer = new Workload(
                of.pieces().stream().map(p -> new Workload.Piece(p.stone(), p.step(), p.part(),
                        Collections.min(List.of(longest, longer(p.hand(), times))), longer(p.dries(), times), p.load(), p.tool(),
                        p.when())).toList(),
                of.waits().stream().map(w -> new Workload.Wait(w.before(), w.then(), longer(w.lag(), times),
                        w.most().map(m -> Collections.max(List.of(m, longer(w.lag(), times)))), w.inAir())).toList(),
                of.hours(), of.from(), of.due(), of.drying(),
                new Workload.Shared(of.shared().places(),
                        of.shared().stays().entrySet().stream().collect(Collectors.toMap(Map.Entry::getKey,
                                s -> new Workload.Stay(s.getValue().place(), longer(s.getValue().after(), times)))),
                        of.shared().slower(), of.shared().cold(), longer(of.shared().mixing(), times)));
        return new TimetableSearch(longer).inOrder(placed.stream().map(Placed::piece).toList());
    }

    private Workload.Mixing longer(Workload.Mixing mixing, double times) {
        Map<Integer, Map<String, Duration>> saved = new TreeMap<>();
        mixing.saved().forEach((piece, mixes) -> {
            Map<String, Duration> all = new TreeMap<>();
            mixes.forEach((mix, time) -> all.put(mix, longer(time, times)));
            saved.put(piece, all);
        });
        return new Workload.Mixing(mixing.kept(), saved, mixing.damp());
    }

    private static Duration longer(Duration time, double times) {
        return Duration.ofSeconds(Math.round(time.toSeconds() * times));
    }
}
