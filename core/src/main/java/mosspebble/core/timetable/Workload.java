package mosspebble.core.timetable;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * What is to be done on several stones by one pair of hands, and when there is time for it.
 *
 * @param pieces at most {@link #MOST}
 * @param waits what must be done and dry before what; they do not run in a circle
 * @param hours when there is time at the table, in order, none over another; from the last on they come again week by week
 * @param from when it begins
 * @param due by stone, when it should be ready, cured and all
 * @param drying by stone, when what is done on it already is dry
 * @param shared places at which stones stand in each other's way
 */
public record Workload(List<Piece> pieces, List<Wait> waits, List<Hours> hours, Instant from, Map<String, Instant> due,
        Map<String, Instant> drying, Shared shared) {

    /** Most pieces of work: 200 stones of 50. */
    public static final int MOST = 10_000;

    /** Most hours that are told apart. */
    public static final int MOST_HOURS = 1_000;

    /**
     * Something done without getting up, in one sitting.
     *
     * @param stone which stone
     * @param step number of its step, from 0
     * @param part which coat of the step, from 0
     * @param hand time of the hand, all it lays mixed for it
     * @param dries until it counts as ready
     * @param load what is on the tool: another text is another load
     * @param tool which tool: another text is another tool
     * @param when it may be done
     */
    public record Piece(String stone, int step, int part, Duration hand, Duration dries, String load, String tool, Window when) {

        /** Work in one part that may be done at any time. */
        public Piece(String stone, int step, Duration hand, Duration dries, String load, String tool) {
            this(stone, step, 0, hand, dries, load, tool, Window.ANY);
        }

        /** The same at another time. */
        public Piece within(Window window) {
            return new Piece(stone, step, part, hand, dries, load, tool, window);
        }

        public Piece {
            Objects.requireNonNull(when);
            if (hand.isNegative() || dries.isNegative()) {
                throw new IllegalArgumentException("times must not be negative");
            }
        }
    }

    /**
     * When something may be done.
     *
     * @param earliest it is not begun before
     * @param latest it should be done by then
     */
    public record Window(Optional<Instant> earliest, Optional<Instant> latest) {
        public static final Window ANY = new Window(Optional.empty(), Optional.empty());

        /** The same, and not before a moment. */
        public Window after(Instant moment) {
            return new Window(earliest.filter(e -> e.isAfter(moment)).or(() -> Optional.of(moment)), latest);
        }

        /** The same, and done by a moment. */
        public Window by(Instant moment) {
            return new Window(earliest, latest.filter(l -> l.isBefore(moment)).or(() -> Optional.of(moment)));
        }
    }

    /**
     * One piece, by number, is begun so long after the end of another, or later.
     *
     * @param most but not later than so long after it, such as leaf on size that is tacky; empty for any time
     * @param inAir whether it depends on the room how long it takes: the lag is that of the usual one
     */
    public record Wait(int before, int then, Duration lag, Optional<Duration> most, boolean inAir) {

        /** From then on at any time, whatever the room. */
        public Wait(int before, int then, Duration lag) {
            this(before, then, lag, Optional.empty(), false);
        }

        public Wait {
            if (lag.isNegative() || most.filter(m -> m.compareTo(lag) < 0).isPresent()) {
                throw new IllegalArgumentException("a wait must not end before it begins");
            }
        }
    }

    /** A sitting: time at the table. */
    public record Hours(Instant from, Instant to) {
        public Hours {
            if (!from.isBefore(to)) {
                throw new IllegalArgumentException("A sitting ends after it begins, not at " + to + " where it begins at " + from + ".");
            }
        }

        public Duration length() {
            return Duration.between(from, to);
        }
    }

    /**
     * A place that holds few stones.
     *
     * @param place such as a lamp, or the box one sprays in
     * @param after from the beginning of the piece until so long after its end the stone stands there
     */
    public record Stay(String place, Duration after) {
        public Stay {
            if (after.isNegative()) {
                throw new IllegalArgumentException("times must not be negative");
            }
        }
    }

    /**
     * What all stones share: places at which they stand in each other's way, the air of the room, and the palette.
     *
     * @param places by name, how many stones there is room for, at least one
     * @param stays by number of the piece, where its stone stands
     * @param slower by the beginning of a sitting, so many times as long as in the usual room it takes to dry what is laid in it, 0.05 to
     *        50; sittings that are not named are in the usual room
     * @param cold what is not done where it is too cold for it
     * @param mixing what need not be mixed where it is damp already
     */
    public record Shared(Map<String, Integer> places, Map<Integer, Stay> stays, Map<Instant, Double> slower, Cold cold, Mixing mixing) {

        public static final Shared NONE = new Shared(Map.of(), Map.of(), Map.of());

        /** Where it is never too cold. */
        public Shared(Map<String, Integer> places, Map<Integer, Stay> stays, Map<Instant, Double> slower) {
            this(places, stays, slower, Cold.NEVER);
        }

        /** Where all is mixed anew each time. */
        public Shared(Map<String, Integer> places, Map<Integer, Stay> stays, Map<Instant, Double> slower, Cold cold) {
            this(places, stays, slower, cold, Mixing.NONE);
        }

        /** The same, but for the palette. */
        public Shared with(Mixing palette) {
            return new Shared(places, stays, slower, cold, palette);
        }

        public Shared {
            places = Map.copyOf(new TreeMap<>(places));
            stays = Map.copyOf(new TreeMap<>(stays));
            slower = Map.copyOf(new TreeMap<>(slower));
            for (double times : slower.values()) {
                if (!(times >= 0.05 && times <= 50)) {
                    throw new IllegalArgumentException("Paint dries 0.05 to 50 times as long as usual, was " + times + ".");
                }
            }
            if (places.values().stream().anyMatch(room -> room < 1)) {
                throw new IllegalArgumentException("A place holds at least one stone.");
            }
            for (Stay stay : stays.values()) {
                if (!places.containsKey(stay.place)) {
                    throw new IllegalArgumentException("there is no place named " + stay.place);
                }
            }
        }
    }

    /**
     * Sittings in which it is so cold that some work cannot be done.
     *
     * @param pieces numbers of what needs warmth
     * @param sittings beginnings of those that are too cold for it; when they come again another week they are not
     */
    public record Cold(Set<Integer> pieces, Set<Instant> sittings) {
        public static final Cold NEVER = new Cold(Set.of(), Set.of());

        public Cold {
            pieces = Set.copyOf(pieces);
            sittings = Set.copyOf(sittings);
        }
    }

    /**
     * Mixes on the palette. One that is damp is not mixed anew, for whichever stone.
     *
     * @param kept so long a mix is damp from when the work begins that it is mixed for
     * @param saved by number of the piece, by name of each mix it lays, how much less time the hand takes where that is damp
     * @param damp by name, until when a mix is damp that is there already
     */
    public record Mixing(Duration kept, Map<Integer, Map<String, Duration>> saved, Map<String, Instant> damp) {
        public static final Mixing NONE = new Mixing(Duration.ZERO, Map.of(), Map.of());

        public Mixing {
            Map<Integer, Map<String, Duration>> all = new TreeMap<>();
            saved.forEach((piece, mixes) -> all.put(piece, Collections.unmodifiableMap(new TreeMap<>(mixes))));
            saved = Collections.unmodifiableMap(all);
            damp = Map.copyOf(damp);
            if (kept.isNegative() || all.values().stream().flatMap(m -> m.values().stream()).anyMatch(Duration::isNegative)) {
                throw new IllegalArgumentException("times must not be negative");
            }
        }
    }

    /** Whether a piece, by number, is not done in a sitting since it is too cold there. */
    public boolean isTooCold(int piece, Hours sitting) {
        return shared.cold.pieces.contains(piece) && shared.cold.sittings.contains(sitting.from);
    }

    /** Nothing is done yet, and nothing is in the way of anything. */
    public Workload(List<Piece> pieces, List<Wait> waits, List<Hours> hours, Instant from, Map<String, Instant> due) {
        this(pieces, waits, hours, from, due, Map.of(), Shared.NONE);
    }

    public Workload {
        pieces = List.copyOf(pieces);
        waits = List.copyOf(waits);
        hours = List.copyOf(hours);
        due = Map.copyOf(new TreeMap<>(due));
        drying = Map.copyOf(new TreeMap<>(drying));
        if (pieces.size() > MOST || hours.size() > MOST_HOURS) {
            throw new IllegalArgumentException("A timetable holds at most " + MOST + " pieces of work and " + MOST_HOURS + " sittings, had "
                    + pieces.size() + " and " + hours.size() + ".");
        }
        if (hours.isEmpty()) {
            throw new IllegalArgumentException("There is no sitting: say when there is time to paint.");
        }
        for (int i = 1; i < hours.size(); i++) {
            if (hours.get(i).from().isBefore(hours.get(i - 1).to())) {
                throw new IllegalArgumentException("Two sittings overlap: one lasts to " + hours.get(i - 1).to() + ", the next begins at "
                        + hours.get(i).from() + ".");
            }
        }
        for (int piece : shared.mixing.saved.keySet()) {
            if (piece < 0 || piece >= pieces.size()) {
                throw new IllegalArgumentException("nothing can be saved for piece " + piece + ", there is none");
            }
        }
        Duration longest = hours.stream().map(Hours::length).max(Comparator.naturalOrder()).orElseThrow();
        for (Piece piece : pieces) {
            if (piece.hand().compareTo(longest) > 0) {
                throw new IllegalArgumentException("No sitting is long enough for step " + (piece.step() + 1) + " of " + piece.stone()
                        + ": it takes " + Durations.words(piece.hand()) + " in one go.");
            }
        }
        sorted(pieces.size(), waits);
    }

    /** How many times as long as usual it takes to dry what is laid in a sitting. */
    public double slower(Hours sitting) {
        return shared.slower().getOrDefault(sitting.from(), 1.0);
    }

    /** The pieces so that each comes after all it waits for. */
    List<Integer> sorted() {
        return sorted(pieces.size(), waits);
    }

    private static List<Integer> sorted(int count, List<Wait> waits) {
        int[] open = new int[count];
        List<List<Integer>> behind = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            behind.add(new ArrayList<>());
        }
        for (Wait wait : waits) {
            open[wait.then()]++;
            behind.get(wait.before()).add(wait.then());
        }
        List<Integer> sorted = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            if (open[i] == 0) {
                sorted.add(i);
            }
        }
        for (int at = 0; at < sorted.size(); at++) {
            for (int then : behind.get(sorted.get(at))) {
                if (--open[then] == 0) {
                    sorted.add(then);
                }
            }
        }
        if (sorted.size() < count) {
            throw new IllegalArgumentException("what must come first runs in a circle");
        }
        return sorted;
    }
}
