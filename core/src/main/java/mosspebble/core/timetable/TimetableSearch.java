package mosspebble.core.timetable;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * Finds timetables. Pieces are dispatched one after the other into the hours, the most urgent of those that can begin soonest first, with
 * many tastes of urgency (multi-start priority rules; R. Kolisch and S. Hartmann 1999, as in {@link HandOrder}); then single pieces are
 * moved in the best order as long as that is better. What counts, in this order: pieces that are not done by when they should be, stones
 * that are late, by how much, stones that would be late if everything took a quarter longer, the number of sittings, the end, the time one
 * sits, changes of load and tool. The bound is that of one machine with heads and tails whose work may be interrupted (J. R. Jackson 1955),
 * within the hours. Times in seconds from the beginning.
 */
final class TimetableSearch {

    /** Waits that one accepts to take the more urgent piece first, seconds. */
    private static final long[] PATIENCE = {0, 60, 300, 900, 3_600};

    private static final int FIRST_TRIES = PATIENCE.length;
    private static final long SEED = 4711;
    private static final long WORK = 6_000_000;
    private static final int LEAST_TRIES = 20;
    private static final int MOST_TRIES = 400;

    private static final long NEVER = Long.MAX_VALUE / 8;

    /** What is good enough to leave a known order as it is: so much later, seconds. */
    private static final long SAME = 60;

    /** Places in a cost. */
    private static final int FRAGILE = 3;
    private static final int SITTINGS = 4;
    private static final int END = 5;

    /** Days that are due are kept even if everything takes so much longer, where that can be. */
    static final double LONGER = 1.25;

    /** Of so few pieces all orders are tried where something lapses: few of them hold, and moves do not lead from one to another. */
    private static final int ALL_ORDERS = 8;

    /** So often what would lapse is put off in one order. */
    private static final int PUT_OFF = 12;

    /** No timetable runs longer than so many weeks. */
    private static final int MOST_WEEKS = 1_040;

    private final Workload of;
    private final int n;
    private final long[] hand;
    private final long[] dries;
    private final int[] load;
    private final int[] tool;
    private final int[] stone;
    private final List<String> stones;
    private final long[] due;
    private final long[] earliest;
    private final long[] latest;
    private final int[][] behind;
    private final long[][] lag;
    /** What comes after each piece is begun so long after its end at most; null where nothing lapses. */
    private final long[][] most;
    /** The same times if everything takes longer; null where nothing is due. */
    private final Times slow;
    private final int[] needs;
    private final int[] sorted;
    private final long[] tail;
    private final List<long[]> hours = new ArrayList<>();
    private final List<long[]> week;
    private final long period;

    TimetableSearch(Workload of) {
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
        this.needs = new int[n];
        this.behind = new int[n][];
        this.lag = new long[n][];
        link(of.waits());
        this.most = of.waits().stream().anyMatch(w -> w.most().isPresent()) ? most(of.waits()) : null;
        this.sorted = of.sorted().stream().mapToInt(Integer::intValue).toArray();
        this.tail = tails();
        this.slow = of.due().isEmpty() ? null : slow();
        this.week = of.hours().stream().map(h -> new long[] {Math.max(0, seconds(h.from())), seconds(h.to())}).filter(h -> h[1] > h[0])
                .toList();
        long first = of.hours().stream().mapToLong(h -> seconds(h.from())).min().orElse(0);
        long last = of.hours().stream().mapToLong(h -> seconds(h.to())).max().orElse(0);
        long seven = Duration.ofDays(7).toSeconds();
        this.period = seven * Math.max(1, (last - first + seven - 1) / seven);
        hours.addAll(week);
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

    /** What pieces take and dry, and what lies between them, in seconds. */
    private record Times(long[] hand, long[] dries, long[][] lag) {}

    private Times slow() {
        long longest = of.hours().stream().mapToLong(h -> h.length().toSeconds()).max().orElse(0);
        return new Times(Arrays.stream(longer(hand)).map(h -> Math.min(longest, h)).toArray(), longer(dries),
                Arrays.stream(lag).map(TimetableSearch::longer).toArray(long[][]::new));
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

    private long seconds(Instant at) {
        return Duration.between(of.from(), at).toSeconds();
    }

    private Instant instant(long seconds) {
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

    /** From the end of each piece to when all that follows from it is ready, as if there were always time. */
    private long[] tails() {
        long[] longest = dries.clone();
        for (int at = n - 1; at >= 0; at--) {
            int i = sorted[at];
            for (int k = 0; k < behind[i].length; k++) {
                int j = behind[i][k];
                longest[i] = Math.max(longest[i], lag[i][k] + hand[j] + longest[j]);
            }
        }
        return longest;
    }

    /** When a piece can begin that may begin from a time on: where it is done before the sitting ends. */
    private long begin(long from, long takes) {
        for (int k = sitting(from);; k++) {
            long[] each = hour(k);
            long start = Math.max(from, each[0]);
            if (start + takes <= each[1]) {
                return start;
            }
        }
    }

    /** The first sitting that ends after a time. */
    private int sitting(long time) {
        int low = 0;
        while (hours.isEmpty() || hour(hours.size() - 1)[1] <= time) {
            hour(hours.size());
        }
        int high = hours.size() - 1;
        while (low < high) {
            int middle = (low + high) / 2;
            if (hours.get(middle)[1] > time) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low;
    }

    /** Sittings come again after those that were given. */
    private long[] hour(int k) {
        while (k >= hours.size()) {
            long weeks = period * (1 + (hours.size() - week.size()) / Math.max(1, of.hours().size()));
            if (weeks / Duration.ofDays(7).toSeconds() > MOST_WEEKS) {
                throw new IllegalArgumentException("With so few hours it would take longer than twenty years.");
            }
            for (Workload.Hours again : of.hours()) {
                hours.add(new long[] {seconds(again.from()) + weeks, seconds(again.to()) + weeks});
            }
        }
        return hours.get(k);
    }

    /** When each stone could be ready if it were the only one. */
    Map<String, Instant> soonest() {
        long[] start = heads();
        Map<String, Instant> ready = new TreeMap<>();
        for (int i = 0; i < n; i++) {
            ready.merge(stones.get(stone[i]), instant(start[i] + hand[i] + dries[i]), (a, b) -> a.isAfter(b) ? a : b);
        }
        return ready;
    }

    private long[] heads() {
        long[] start = earliest.clone();
        for (int i : sorted) {
            start[i] = begin(start[i], hand[i]);
            for (int k = 0; k < behind[i].length; k++) {
                start[behind[i][k]] = Math.max(start[behind[i][k]], start[i] + hand[i] + lag[i][k]);
            }
        }
        return start;
    }

    /** No timetable ends sooner: work may be interrupted, the longest tail of what can be worked at goes first. */
    long bound() {
        long[] head = heads();
        Integer[] byHead = new Integer[n];
        Arrays.setAll(byHead, i -> i);
        Arrays.sort(byHead, Comparator.comparingLong(i -> head[i]));
        PriorityQueue<Integer> can = new PriorityQueue<>(Comparator.comparingLong((Integer i) -> -tail[i]).thenComparingInt(i -> i));
        long[] left = hand.clone();
        long now = 0;
        long most = 0;
        int next = 0;
        while (next < n || !can.isEmpty()) {
            if (can.isEmpty()) {
                now = Math.max(now, head[byHead[next]]);
            }
            while (next < n && head[byHead[next]] <= now) {
                can.add(byHead[next++]);
            }
            int at = can.peek();
            long[] sitting = hour(sitting(now));
            now = Math.max(now, sitting[0]);
            long until = Math.min(now + left[at], sitting[1]);
            if (next < n) {
                until = Math.min(until, Math.max(now, head[byHead[next]]));
            }
            left[at] -= until - now;
            now = until;
            if (left[at] == 0) {
                can.poll();
                most = Math.max(most, now + tail[at]);
            }
        }
        return most;
    }

    /** A first answer: the best of the plain ways to go on. */
    Timetable quick() {
        return timetable(n == 0 ? new int[0] : dispatched(FIRST_TRIES, new SplittableRandom(SEED), () -> false));
    }

    /**
     * The best that is found.
     *
     * @param known an order that is kept unless another is truly better; empty for none
     */
    Timetable best(List<Integer> known, BooleanSupplier unwanted) {
        if (n == 0) {
            return timetable(new int[0]);
        }
        int tries = (int) Math.max(LEAST_TRIES, Math.min(MOST_TRIES, WORK / Math.max(1, (long) n * n)));
        SplittableRandom random = new SplittableRandom(SEED);
        int[] first = dispatched(tries, random, unwanted);
        int[] before = known.stream().mapToInt(Integer::intValue).toArray();
        if (before.length == n && asGood(cost(before), cost(first))) {
            return timetable(before);
        }
        int[] found = most != null && n <= ALL_ORDERS ? all(first) : busy(moved(first, cost(first), random, unwanted));
        return timetable(before.length == n && asGood(cost(before), cost(found)) ? before : found);
    }

    /** Whether nothing that matters to the painter is worse, but for a minute. */
    private static boolean asGood(long[] known, long[] found) {
        return Arrays.compare(known, 0, 2, found, 0, 2) <= 0 && known[2] <= found[2] + SAME
                && known[FRAGILE] <= found[FRAGILE] && known[SITTINGS] <= found[SITTINGS]
                && known[END] <= found[END] + SAME;
    }

    /** The best of all orders; of those that cost the same the given one. */
    private int[] all(int[] first) {
        int[][] best = {first};
        long[][] least = {cost(first)};
        all(new int[n], 0, needs.clone(), order -> {
            long[] now = cost(order);
            if (Arrays.compare(now, least[0]) < 0) {
                best[0] = order.clone();
                least[0] = now;
            }
        });
        return best[0];
    }

    /** @param open how much each waits for; what is placed already waits for more than there is */
    private void all(int[] order, int placed, int[] open, Consumer<int[]> each) {
        if (placed == n) {
            each.accept(order);
            return;
        }
        for (int i = 0; i < n; i++) {
            if (open[i] == 0) {
                order[placed] = i;
                open[i] = Integer.MAX_VALUE;
                Arrays.stream(behind[i]).forEach(j -> open[j]--);
                all(order, placed + 1, open, each);
                Arrays.stream(behind[i]).forEach(j -> open[j]++);
                open[i] = 0;
            }
        }
    }

    private int[] dispatched(int tries, SplittableRandom random, BooleanSupplier unwanted) {
        int[] best = null;
        long[] cost = null;
        long[] must = must();
        for (int attempt = 0; attempt < tries && (best == null || !unwanted.getAsBoolean()); attempt++) {
            double[] urgent = new double[n];
            for (int i = 0; i < n; i++) {
                double own = tail[i] * (attempt < FIRST_TRIES ? 1 : random.nextDouble(0.7, 1.3));
                urgent[i] = Math.min(due[stone[i]] - own, must[i]);
            }
            int[] order = dispatched(urgent, PATIENCE[attempt < FIRST_TRIES ? attempt : random.nextInt(PATIENCE.length)]);
            long[] now = cost(order);
            if (cost == null || Arrays.compare(now, cost) < 0) {
                best = order;
                cost = now;
            }
        }
        return best;
    }

    /** By when each piece must be done so that all that should be done by a certain time can be. */
    private long[] must() {
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

    /** An order known by what its pieces are, and what is new in it where it comes soonest; empty where it does not fit any more. */
    List<Integer> known(Timetable before) {
        Map<List<Object>, Integer> place = new HashMap<>();
        for (Timetable.Placed each : before.placed()) {
            place.put(name(before.of().pieces().get(each.piece())), place.size());
        }
        double[] urgent = new double[n];
        for (int i = 0; i < n; i++) {
            Integer known = place.get(name(of.pieces().get(i)));
            if (known == null) {
                return List.of();
            }
            urgent[i] = known;
        }
        Integer[] order = new Integer[n];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, Comparator.comparingDouble(i -> urgent[i]));
        int[] at = new int[n];
        for (int k = 0; k < n; k++) {
            at[order[k]] = k;
        }
        boolean fits = of.waits().stream().allMatch(w -> at[w.before()] < at[w.then()]);
        return fits ? List.of(order) : List.of();
    }

    private static List<Object> name(Workload.Piece piece) {
        return List.of(piece.stone(), piece.step(), piece.part());
    }

    /** The same without waiting while there is something to do, where that is no worse. */
    private int[] busy(int[] order) {
        double[] place = new double[n];
        for (int k = 0; k < n; k++) {
            place[order[k]] = k * 2.0 * Duration.ofHours(1).toSeconds(); // no load is worth another order
        }
        int[] busy = dispatched(place, 0);
        return Arrays.compare(cost(busy), cost(order)) <= 0 ? busy : order;
    }

    /** Takes single pieces to other places as long as that is better: so many tries, the same ones each time. */
    private int[] moved(int[] order, long[] cost, SplittableRandom random, BooleanSupplier unwanted) {
        long tries = Math.min(20_000, WORK / Math.max(1, n));
        int[] best = order;
        long[] least = cost;
        for (long k = 0; k < tries && !unwanted.getAsBoolean(); k++) {
            int[] tried = moved(best, random.nextInt(n), random.nextInt(n));
            if (tried != null) {
                long[] now = cost(tried);
                if (Arrays.compare(now, least) < 0) {
                    best = tried;
                    least = now;
                }
            }
        }
        return best;
    }

    /** One piece at another place of the order; null where something forbids it. */
    private int[] moved(int[] order, int from, int to) {
        if (from == to) {
            return null;
        }
        int piece = order[from];
        for (int k = Math.min(from, to); k <= Math.max(from, to); k++) {
            int before = from < to ? piece : order[k];
            int then = from < to ? order[k] : piece;
            if (k != from && Arrays.stream(behind[before]).anyMatch(j -> j == then)) {
                return null;
            }
        }
        return HandOrder.taken(order, from, to);
    }

    private int[] dispatched(double[] urgent, long patience) {
        long[] free = earliest.clone();
        int[] open = needs.clone();
        List<Integer> can = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            if (open[i] == 0) {
                can.add(i);
            }
        }
        int[] order = new int[n];
        long now = 0;
        int inHand = -1;
        for (int placed = 0; placed < n; placed++) {
            long soonest = Long.MAX_VALUE;
            for (int i : can) {
                soonest = Math.min(soonest, begin(Math.max(now, free[i]), hand[i]));
            }
            int best = -1;
            for (int i : can) {
                if (begin(Math.max(now, free[i]), hand[i]) <= soonest + patience && (best < 0 || before(i, best, urgent, inHand))) {
                    best = i;
                }
            }
            order[placed] = best;
            can.remove(Integer.valueOf(best));
            now = begin(Math.max(now, free[best]), hand[best]) + hand[best];
            inHand = best;
            for (int k = 0; k < behind[best].length; k++) {
                int j = behind[best][k];
                free[j] = Math.max(free[j], now + lag[best][k]);
                urgent[j] = most == null ? urgent[j] : Math.min(urgent[j], now + most[best][k] - hand[j]);
                if (--open[j] == 0) {
                    can.add(j);
                }
            }
        }
        return order;
    }

    private boolean before(int i, int best, double[] urgent, int inHand) {
        boolean goesOn = inHand >= 0 && load[i] == load[inHand];
        boolean bestGoesOn = inHand >= 0 && load[best] == load[inHand];
        if (goesOn != bestGoesOn && Math.abs(urgent[i] - urgent[best]) < Duration.ofHours(1).toSeconds()) {
            return goesOn;
        }
        return urgent[i] != urgent[best] ? urgent[i] < urgent[best] : i < best;
    }

    private long[] starts(int[] order) {
        return starts(order, new Times(hand, dries, lag));
    }

    /** As soon as can be; what would lapse before what follows it is put off, where that helps. */
    private long[] starts(int[] order, Times times) {
        long[] start = starts(order, times, earliest);
        long[] least = earliest.clone();
        long[] put = start;
        for (int round = 0; most != null && round < PUT_OFF; round++) {
            if (!putOff(put, times, least)) {
                return put;
            }
            put = starts(order, times, least);
        }
        return start;
    }

    /** Moves on what is done so early that it has lapsed when what follows is done; whether there was any. */
    private boolean putOff(long[] start, Times times, long[] least) {
        boolean any = false;
        for (int i = 0; i < n; i++) {
            for (int k = 0; k < behind[i].length; k++) {
                long soonest = start[behind[i][k]] - Math.max(most[i][k], times.lag[i][k]) - times.hand[i];
                if (start[i] < soonest) {
                    least[i] = Math.max(least[i], soonest);
                    any = true;
                }
            }
        }
        return any;
    }

    private long[] starts(int[] order, Times times, long[] least) {
        long[] free = least.clone();
        long[] start = new long[n];
        long now = 0;
        for (int i : order) {
            start[i] = begin(Math.max(now, free[i]), times.hand[i]);
            now = start[i] + times.hand[i];
            for (int k = 0; k < behind[i].length; k++) {
                free[behind[i][k]] = Math.max(free[behind[i][k]], now + times.lag[i][k]);
            }
        }
        return start;
    }

    /** Stones that are late if everything takes a quarter longer. */
    private long fragile(int[] order) {
        if (slow == null) {
            return 0;
        }
        long[] start = starts(order, slow);
        return IntStream.range(0, n).filter(i -> start[i] + slow.hand[i] + slow.dries[i] > due[stone[i]]).map(i -> stone[i]).distinct()
                .count();
    }

    /**
     * Pieces done too late, stones that are late, by how much together, stones that might be late, sittings, the end, the time one sits,
     * loads and tools taken up.
     */
    private long[] cost(int[] order) {
        long[] start = starts(order);
        long[] ready = new long[stones.size()];
        long loads = 0;
        long tools = 0;
        long missed = 0;
        int before = -1;
        for (int i : order) {
            missed += start[i] + hand[i] > latest[i] ? 1 : 0;
            ready[stone[i]] = Math.max(ready[stone[i]], start[i] + hand[i] + dries[i]);
            loads += before < 0 || load[i] != load[before] ? 1 : 0;
            tools += before < 0 || tool[i] != tool[before] ? 1 : 0;
            before = i;
        }
        long late = 0;
        long much = 0;
        for (int s = 0; s < ready.length; s++) {
            late += ready[s] > due[s] ? 1 : 0;
            much += Math.max(0, ready[s] - due[s]);
        }
        for (int i = 0; most != null && i < n; i++) {
            for (int k = 0; k < behind[i].length; k++) {
                missed += start[behind[i][k]] > start[i] + hand[i] + most[i][k] ? 1 : 0;
            }
        }
        long[] sat = sat(start, order);
        return new long[] {missed, late, much, fragile(order), sat[0], Arrays.stream(ready).max().orElse(0), sat[1], loads, tools};
    }

    /** How many sittings are used, and how long one sits in all of them, from the first piece to the last. */
    private long[] sat(long[] start, int[] order) {
        long used = 0;
        long time = 0;
        int last = -1;
        long began = 0;
        long ended = 0;
        for (int i : order) {
            int in = sitting(start[i]);
            if (in != last) {
                used++;
                began = start[i];
                last = in;
            } else {
                time -= ended;
            }
            ended = start[i] + hand[i] - began;
            time += ended;
        }
        return new long[] {used, time};
    }

    List<List<Timetable.Placed>> bySitting(List<Timetable.Placed> placed) {
        List<List<Timetable.Placed>> all = new ArrayList<>();
        int last = -1;
        for (Timetable.Placed each : placed) {
            int in = sitting(seconds(each.start()));
            if (in != last) {
                all.add(new ArrayList<>());
                last = in;
            }
            all.get(all.size() - 1).add(each);
        }
        return all;
    }

    /** The timetable of a given order. */
    Timetable inOrder(List<Integer> order) {
        return timetable(order.stream().mapToInt(Integer::intValue).toArray());
    }

    private Timetable timetable(int[] order) {
        long[] start = starts(order);
        List<Timetable.Placed> placed = new ArrayList<>();
        for (int i : order) {
            placed.add(new Timetable.Placed(i, instant(start[i]), instant(start[i] + hand[i])));
        }
        return new Timetable(of, placed, instant(n == 0 ? 0 : bound()), (int) sat(start, order)[0]);
    }
}
