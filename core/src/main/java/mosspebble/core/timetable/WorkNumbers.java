package mosspebble.core.timetable;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A workload in numbers: pieces, stones, loads and tools counted from 0, times in seconds from its beginning. */
final class WorkNumbers {

    static final long NEVER = Long.MAX_VALUE / 8;

    /** Days that are due are kept even if everything takes so much longer, where that can be. */
    static final double LONGER = 1.25;

    final Workload of;
    /** How many pieces there are; what follows is by piece, where nothing else is said. */
    final int n;
    final long[] hand;
    /** The time of the hand at least, with all damp that can be. */
    final long[] leastHand;
    final long[] dries;
    final int[] load;
    final int[] tool;
    final int[] stone;
    /** Stones by their ids, and when each is due; {@link #NEVER} for no matter when. */
    final List<String> stones;
    final long[] due;
    /** It is not begun before, and should be done by then. */
    final long[] earliest;
    final long[] latest;
    /** What waits for each piece, and how long after its end in the usual room. */
    final int[][] behind;
    final long[][] lag;
    /** What comes after each piece is begun so long after its end at most; null where nothing lapses. */
    final long[][] most;
    /** Which waits depend on the room; null where all rooms are the usual one. */
    final boolean[][] inAir;
    /** The same lags in the room where it dries quickest. */
    final long[][] leastLag;
    /** Whether it is not done where it is too cold. */
    final boolean[] warm;
    /** Where the stone of each piece stands in the way of others; -1 for nowhere. */
    final int[] place;
    /** How long after the end of each piece it stands there. */
    final long[] stays;
    /** How many stones each place holds. */
    final int[] holds;
    /** The mixes that are kept damp and each lays, and how much sooner it is done where they are; null where none is. */
    final int[][] mixes;
    final long[][] saves;
    /** How long a mix is damp, and until when it is from earlier, by mix; -1 where it is not. */
    final long kept;
    final long[] damp;
    /** The same times if everything takes longer; null where nothing is due. */
    final Times slow;
    /** The times as they are. */
    final Times usual;
    /** For how many others each waits. */
    final int[] needs;
    /** Pieces in an order in which none comes before what it waits for. */
    final int[] sorted;
    /** From the end of each to when all that follows from it is ready, as if there were always time. */
    final long[] tail;
    final TableHours hours;

    WorkNumbers(Workload of) {
        this.of = of;
        this.n = of.pieces().size();
        this.hand = of.pieces().stream().mapToLong(p -> p.hand().toSeconds()).toArray();
        this.dries = of.pieces().stream().mapToLong(p -> p.dries().toSeconds()).toArray();
        this.load = numbered(of.pieces().stream().map(Workload.Piece::load).toList());
        this.tool = numbered(of.pieces().stream().map(Workload.Piece::tool).toList());
        this.stones = of.pieces().stream().map(Workload.Piece::stone).distinct().toList();
        this.stone = of.pieces().stream().mapToInt(p -> stones.indexOf(p.stone())).toArray();
        this.due = stones.stream().mapToLong(s -> of.due().containsKey(s) ? seconds(of.due().get(s)) : NEVER).toArray();
        this.earliest = of.pieces().stream().mapToLong(p -> p.when().earliest().map(this::seconds).map(e -> Math.max(0, e)).orElse(0L))
                .toArray();
        this.latest = of.pieces().stream().mapToLong(p -> p.when().latest().map(this::seconds).orElse(NEVER)).toArray();
        this.warm = new boolean[n];
        of.shared().cold().pieces().forEach(i -> warm[i] = true);
        this.needs = new int[n];
        this.behind = new int[n][];
        this.lag = new long[n][];
        link(of.waits());
        this.most = of.waits().stream().anyMatch(w -> w.most().isPresent()) ? most(of.waits()) : null;
        long quickest = of.hours().stream().mapToLong(h -> TableHours.permille(of, h)).min().orElse(1_000);
        this.inAir = of.hours().stream().allMatch(h -> of.slower(h) == 1) ? null : inAir();
        this.leastLag = inAir == null ? lag : leastLag(quickest);
        List<String> places = List.copyOf(new TreeMap<>(of.shared().places()).keySet());
        this.holds = places.stream().mapToInt(of.shared().places()::get).toArray();
        this.place = IntStream.range(0, n).map(i -> Optional.ofNullable(of.shared().stays().get(i)).map(s -> places.indexOf(s.place()))
                .orElse(-1)).toArray();
        this.stays = IntStream.range(0, n).mapToLong(i -> Optional.ofNullable(of.shared().stays().get(i)).map(s -> s.after().toSeconds())
                .orElse(0L)).toArray();
        Workload.Mixing mixing = of.shared().mixing();
        List<String> names = mixing.saved().values().stream().flatMap(m -> m.keySet().stream()).distinct().sorted().toList();
        this.kept = mixing.kept().toSeconds();
        this.damp = names.stream().mapToLong(m -> mixing.damp().containsKey(m) ? seconds(mixing.damp().get(m)) : -1).toArray();
        this.mixes = names.isEmpty() ? null
                : mixing(mixing, m -> m.keySet().stream().mapToInt(names::indexOf).toArray()).toArray(int[][]::new);
        this.saves = names.isEmpty() ? null
                : mixing(mixing, m -> m.values().stream().mapToLong(Duration::toSeconds).toArray()).toArray(long[][]::new);
        this.leastHand = mixes == null ? hand : leastHand();
        this.sorted = of.sorted().stream().mapToInt(Integer::intValue).toArray();
        this.tail = tails();
        this.usual = new Times(hand, dries, lag, stays, saves);
        this.slow = of.due().isEmpty() ? null : slow();
        this.hours = new TableHours(of);
    }

    private <T> Stream<T> mixing(Workload.Mixing mixing, Function<Map<String, Duration>, T> each) {
        return IntStream.range(0, n).mapToObj(i -> each.apply(mixing.saved().getOrDefault(i, Map.of())));
    }

    /** A mix can be damp that is there already, or that something lays which does not wait for this. */
    private long[] leastHand() {
        List<List<Integer>> laying = new ArrayList<>();
        for (int m = 0; m < damp.length; m++) {
            laying.add(new ArrayList<>());
        }
        for (int i = 0; i < n; i++) {
            for (int m : mixes[i]) {
                laying.get(m).add(i);
            }
        }
        long[] least = hand.clone();
        for (int i = 0; i < n; i++) {
            BitSet later = mixes[i].length == 0 ? null : later(i);
            for (int k = 0; k < mixes[i].length; k++) {
                int m = mixes[i][k];
                if (damp[m] >= earliest[i] || laying.get(m).stream().anyMatch(j -> !later.get(j))) {
                    least[i] = Math.max(0, least[i] - saves[i][k]);
                }
            }
        }
        return least;
    }

    /** A piece and all that waits for it. */
    private BitSet later(int i) {
        BitSet later = new BitSet(n);
        later.set(i);
        Deque<Integer> open = new ArrayDeque<>(List.of(i));
        while (!open.isEmpty()) {
            for (int j : behind[open.pop()]) {
                if (!later.get(j)) {
                    later.set(j);
                    open.push(j);
                }
            }
        }
        return later;
    }

    private boolean[][] inAir() {
        boolean[][] all = new boolean[n][];
        int[] known = new int[n];
        Arrays.setAll(all, i -> new boolean[behind[i].length]);
        of.waits().forEach(w -> all[w.before()][known[w.before()]++] = w.inAir());
        return all;
    }

    private long[][] leastLag(long quickest) {
        long[][] least = new long[n][];
        for (int i = 0; i < n; i++) {
            least[i] = lag[i].clone();
            for (int k = 0; k < least[i].length; k++) {
                least[i][k] = inAir[i][k] ? lag[i][k] * quickest / 1000 : lag[i][k];
            }
        }
        return least;
    }

    private long[][] most(List<Workload.Wait> waits) {
        long[][] all = new long[n][];
        for (int i = 0; i < n; i++) {
            int before = i;
            all[i] = waits.stream().filter(w -> w.before() == before).mapToLong(w -> w.most().map(Duration::toSeconds).orElse(NEVER))
                    .toArray();
        }
        return all;
    }

    /** What pieces take and dry, what lies between them, how long their stones stand in the way, and what damp mixes save, in seconds. */
    record Times(long[] hand, long[] dries, long[][] lag, long[] stays, long[][] saves) {}

    private Times slow() {
        long longest = of.hours().stream().mapToLong(h -> h.length().toSeconds()).max().orElse(0);
        return new Times(Arrays.stream(longer(hand)).map(h -> Math.min(longest, h)).toArray(), longer(dries),
                Arrays.stream(lag).map(WorkNumbers::longer).toArray(long[][]::new), longer(stays),
                saves == null ? null : Arrays.stream(saves).map(WorkNumbers::longer).toArray(long[][]::new));
    }

    private static long[] longer(long[] times) {
        return Arrays.stream(times).map(t -> Math.round(t * LONGER)).toArray();
    }

    private static int[] numbered(List<String> texts) {
        List<String> distinct = texts.stream().distinct().toList();
        Map<String, Integer> number = new TreeMap<>();
        distinct.forEach(t -> number.put(t, number.size()));
        return texts.stream().mapToInt(number::get).toArray();
    }

    long seconds(Instant at) {
        return Duration.between(of.from(), at).toSeconds();
    }

    Instant instant(long seconds) {
        return of.from().plusSeconds(seconds);
    }

    private void link(List<Workload.Wait> waits) {
        List<List<Workload.Wait>> from = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            from.add(new ArrayList<>());
        }
        for (Workload.Wait wait : waits) {
            from.get(wait.before()).add(wait);
            needs[wait.then()]++;
        }
        for (int i = 0; i < n; i++) {
            behind[i] = from.get(i).stream().mapToInt(Workload.Wait::then).toArray();
            lag[i] = from.get(i).stream().mapToLong(w -> w.lag().toSeconds()).toArray();
        }
    }

    private long[] tails() {
        long[] longest = dries.clone();
        for (int at = n - 1; at >= 0; at--) {
            int i = sorted[at];
            for (int k = 0; k < behind[i].length; k++) {
                int j = behind[i][k];
                longest[i] = Math.max(longest[i], leastLag[i][k] + leastHand[j] + longest[j]);
            }
        }
        return longest;
    }

    /** When each piece must be begun at the latest, within the hours, so that its stone is ready when it is due, or by an end. */
    long[] late(long end) {
        long[] late = new long[n];
        for (int at = n - 1; at >= 0; at--) {
            int i = sorted[at];
            long by = Math.min(latest[i], Math.min(end, due[stone[i]]) - dries[i]);
            for (int k = 0; k < behind[i].length; k++) {
                by = Math.min(by, late[behind[i][k]] - lag[i][k]);
            }
            late[i] = hours.latest(by, hand[i], warm[i]);
        }
        return late;
    }

    /** When a piece can begin that may begin from a time on and takes so long. */
    long begin(int i, long from, long takes) {
        return hours.begin(from, takes, warm[i]);
    }

    /** By when each piece must be done so that all that should be done by a certain time can be. */
    long[] must() {
        long[] must = latest.clone();
        for (int at = n - 1; at >= 0; at--) {
            int i = sorted[at];
            for (int k = 0; k < behind[i].length; k++) {
                int j = behind[i][k];
                must[i] = Math.min(must[i], must[j] - hand[j] - lag[i][k]);
            }
        }
        return must;
    }

    /** What lies between a piece and what follows it, which depends on the room it is done in. */
    long lag(Times times, int i, int k, long start) {
        return inAir == null || !inAir[i][k] ? times.lag[i][k] : times.lag[i][k] * hours.hour(hours.sitting(start))[2] / 1000;
    }
}
