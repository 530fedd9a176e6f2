package mosspebble.core.timetable;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * Finds timetables. Pieces are dispatched one after the other into the hours, the most urgent of those that can begin soonest first, with
 * many tastes of urgency (multi-start priority rules; R. Kolisch and S. Hartmann 1999, as in {@link HandOrder}); then single pieces are
 * moved in the best orders as long as that is better, and runs of one stone or load drawn together. What counts, in this order: pieces
 * that are not done by when they should be, stones that are late, by how much, stones that would be late if everything took a quarter
 * longer, the number of sittings and the end together, when single stones are ready by and large, the time one sits, changes of load and
 * stone, of tool. The bound is that of one machine with heads and tails whose work may be interrupted (J. R. Jackson 1955), within the
 * hours; each place that holds one stone is such a machine too. Times in seconds from the beginning.
 */
final class TimetableSearch {

    /** Waits that one accepts to take the more urgent piece first, seconds. */
    private static final long[] PATIENCE = {0, 60, 300, 900, 3_600};

    private static final int FIRST_TRIES = PATIENCE.length;
    private static final long SEED = 4711;
    private static final long WORK = 6_000_000;
    private static final int LEAST_TRIES = 20;
    private static final int MOST_TRIES = 400;
    private static final int MOST_MOVES = 15_000;

    private static final long NEVER = Long.MAX_VALUE / 8;

    /** What is good enough to leave a known order as it is: so much later, seconds. */
    static final long SAME = 60;

    /** A sitting less is worth so much waiting, no more (our own judgement): seconds. */
    private static final long SITTING = 2 * 24 * 3_600;

    /** A stone that is ready some hours sooner is no better for it, seconds. */
    private static final long HALF_DAY = 12 * 3_600;

    /** Nobody minds to sit some minutes longer in all, seconds. */
    private static final long QUARTER = 15 * 60;

    /** Places in a cost. */
    private static final int FRAGILE = 3;
    private static final int TOGETHER = 4;
    private static final int END = 5;

    /** Days that are due are kept even if everything takes so much longer, where that can be. */
    static final double LONGER = 1.25;

    /** Of so few pieces all orders are tried where something lapses: few of them hold, and moves do not lead from one to another. */
    private static final int ALL_ORDERS = 8;

    /** So often what would lapse is put off in one order. */
    private static final int PUT_OFF = 12;

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
    /** Which waits depend on the room; null where all rooms are the usual one. */
    private final boolean[][] inAir;
    /** The same lags in the room where it dries quickest. */
    private final long[][] leastLag;
    /** Where the stone of each piece stands in the way of others; -1 for nowhere. */
    private final int[] place;
    /** How long after the end of each piece it stands there. */
    private final long[] stays;
    /** How many stones each place holds. */
    private final int[] holds;
    /** The same times if everything takes longer; null where nothing is due. */
    private final Times slow;
    private final int[] needs;
    private final int[] sorted;
    private final long[] tail;
    private final TableHours hours;

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
        double quickest = of.hours().stream().mapToDouble(of::slower).min().orElse(1);
        this.inAir = of.hours().stream().allMatch(h -> of.slower(h) == 1) ? null : inAir();
        this.leastLag = inAir == null ? lag : leastLag(quickest);
        List<String> places = List.copyOf(new TreeMap<>(of.shared().places()).keySet());
        this.holds = places.stream().mapToInt(of.shared().places()::get).toArray();
        this.place = IntStream.range(0, n).map(i -> Optional.ofNullable(of.shared().stays().get(i)).map(s -> places.indexOf(s.place()))
                .orElse(-1)).toArray();
        this.stays = IntStream.range(0, n).mapToLong(i -> Optional.ofNullable(of.shared().stays().get(i)).map(s -> s.after().toSeconds())
                .orElse(0L)).toArray();
        this.sorted = of.sorted().stream().mapToInt(Integer::intValue).toArray();
        this.tail = tails();
        this.slow = of.due().isEmpty() ? null : slow();
        this.hours = new TableHours(of);
    }

    private boolean[][] inAir() {
        boolean[][] all = new boolean[n][];
        int[] known = new int[n];
        Arrays.setAll(all, i -> new boolean[behind[i].length]);
        of.waits().forEach(w -> all[w.before()][known[w.before()]++] = w.inAir());
        return all;
    }

    private long[][] leastLag(double quickest) {
        long[][] least = new long[n][];
        for (int i = 0; i < n; i++) {
            least[i] = lag[i].clone();
            for (int k = 0; k < least[i].length; k++) {
                least[i][k] = inAir[i][k] ? (long) (quickest * lag[i][k]) : lag[i][k];
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

    /** What pieces take and dry, what lies between them, and how long their stones stand in the way, in seconds. */
    private record Times(long[] hand, long[] dries, long[][] lag, long[] stays) {}

    private Times slow() {
        long longest = of.hours().stream().mapToLong(h -> h.length().toSeconds()).max().orElse(0);
        return new Times(Arrays.stream(longer(hand)).map(h -> Math.min(longest, h)).toArray(), longer(dries),
                Arrays.stream(lag).map(TimetableSearch::longer).toArray(long[][]::new), longer(stays));
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
                longest[i] = Math.max(longest[i], leastLag[i][k] + hand[j] + longest[j]);
            }
        }
        return longest;
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
            start[i] = hours.begin(start[i], hand[i]);
            for (int k = 0; k < behind[i].length; k++) {
                start[behind[i][k]] = Math.max(start[behind[i][k]], start[i] + hand[i] + leastLag[i][k]);
            }
        }
        return start;
    }

    /** No timetable ends sooner. */
    long bound() {
        long[] head = heads();
        long bound = machine(IntStream.range(0, n).toArray(), head, hand, tail, true);
        for (int p = 0; p < holds.length; p++) {
            if (holds[p] == 1) {
                int at = p;
                int[] there = IntStream.range(0, n).filter(i -> place[i] == at).toArray();
                long[] stood = IntStream.range(0, n).mapToLong(i -> hand[i] + stays[i]).toArray();
                long[] after = IntStream.range(0, n).mapToLong(i -> tail[i] - stays[i]).toArray();
                bound = Math.max(bound, machine(there, head, stood, after, false));
            }
        }
        return bound;
    }

    /**
     * When one machine is through with some pieces and their tails: work may be interrupted, the longest tail of what can be worked at goes
     * first.
     *
     * @param work how long each piece takes
     * @param within whether there is time only in the sittings
     */
    private long machine(int[] some, long[] head, long[] work, long[] tail, boolean within) {
        Integer[] byHead = Arrays.stream(some).boxed().toArray(Integer[]::new);
        Arrays.sort(byHead, Comparator.comparingLong(i -> head[i]));
        PriorityQueue<Integer> can = new PriorityQueue<>(Comparator.comparingLong((Integer i) -> -tail[i]).thenComparingInt(i -> i));
        long[] left = work.clone();
        long now = 0;
        long most = 0;
        int next = 0;
        while (next < some.length || !can.isEmpty()) {
            if (can.isEmpty()) {
                now = Math.max(now, head[byHead[next]]);
            }
            while (next < some.length && head[byHead[next]] <= now) {
                can.add(byHead[next++]);
            }
            int at = can.peek();
            long until = now + left[at];
            if (within) {
                long[] sitting = hours.hour(hours.sitting(now));
                now = Math.max(now, sitting[0]);
                until = Math.min(now + left[at], sitting[1]);
            }
            if (next < some.length) {
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

    /**
     * No timetable uses fewer sittings: all work fills so many of the longest ones, and what waits for each other, packed one after the
     * other into the longest, takes so many.
     */
    int fewest() {
        long longest = of.hours().stream().mapToLong(h -> h.length().toSeconds()).max().orElseThrow();
        long[] count = new long[n];
        long[] used = hand.clone();
        Arrays.fill(count, 1);
        long most = (Arrays.stream(hand).sum() + longest - 1) / longest;
        for (int i : sorted) {
            most = Math.max(most, count[i]);
            for (int k = 0; k < behind[i].length; k++) {
                int j = behind[i][k];
                long together = used[i] + leastLag[i][k] + hand[j];
                long then = together <= longest ? count[i] : count[i] + 1;
                long filled = together <= longest ? together : hand[j];
                if (then > count[j] || then == count[j] && filled > used[j]) {
                    count[j] = then;
                    used[j] = filled;
                }
            }
        }
        return (int) (n == 0 ? 0 : Math.max(1, most));
    }

    /** The better of a known order and one that was found elsewhere. */
    Timetable improved(Timetable known, List<Integer> order, Optional<Instant> proven) {
        int[] before = known.placed().stream().mapToInt(Timetable.Placed::piece).toArray();
        int[] found = order.stream().mapToInt(Integer::intValue).toArray();
        boolean whole = Arrays.equals(Arrays.stream(found).sorted().toArray(), IntStream.range(0, n).toArray()) && fits(found);
        int[] better = whole && !asGood(cost(before), cost(busy(found)), false) ? together(busy(found), () -> false) : before;
        Timetable table = timetable(Arrays.compare(cost(better), cost(before)) < 0 ? better : before);
        Instant least = known.bound().isAfter(table.bound()) ? known.bound() : table.bound();
        Instant bound = proven.filter(b -> b.isAfter(least) && !b.isAfter(table.end())).orElse(least);
        return new Timetable(of, table.placed(), bound, table.sittings(), table.fewest());
    }

    private boolean fits(int[] order) {
        int[] at = new int[n];
        for (int k = 0; k < n; k++) {
            at[order[k]] = k;
        }
        return of.waits().stream().allMatch(w -> at[w.before()] < at[w.then()]);
    }

    /** A first answer: the best of the plain ways to go on. */
    Timetable quick() {
        int[][] both = n == 0 ? new int[2][0] : dispatched(2 * FIRST_TRIES, new SplittableRandom(SEED), () -> false);
        return timetable(better(both[0], both[1]));
    }

    /**
     * The best that is found.
     *
     * @param known an order that is kept unless another is truly better; empty for none
     */
    Timetable best(List<Integer> known, BooleanSupplier unwanted) {
        return n == 0 ? timetable(new int[0]) : searched(numbers(known), false, false, unwanted);
    }

    /**
     * The same where an order was followed until now: it is kept as well where nothing better comes to mind at once.
     *
     * @param undisturbed whether it is kept also where another would be safer
     */
    Timetable goingOn(List<Integer> known, boolean undisturbed, BooleanSupplier unwanted) {
        return n == 0 ? timetable(new int[0]) : searched(numbers(known), true, undisturbed, unwanted);
    }

    private static int[] numbers(List<Integer> order) {
        return order.stream().mapToInt(Integer::intValue).toArray();
    }

    private Timetable searched(int[] known, boolean followed, boolean undisturbed, BooleanSupplier unwanted) {
        int tries = (int) Math.max(LEAST_TRIES, Math.min(MOST_TRIES, WORK / Math.max(1, (long) n * n)));
        SplittableRandom random = new SplittableRandom(SEED);
        int[][] both = dispatched(tries, random, unwanted);
        int[] first = better(both[0], both[1]);
        if (followed && known.length == n && asGood(cost(known), cost(first), undisturbed)) {
            return timetable(known);
        }
        int[] found = most != null && n <= ALL_ORDERS ? all(first)
                : Arrays.stream(both).filter(o -> o != null).map(o -> fewer(busy(moved(o, cost(o), random, unwanted)), unwanted))
                        .reduce(this::better).map(o -> together(o, unwanted)).orElseThrow();
        return timetable(known.length == n && asGood(cost(known), cost(found), undisturbed) ? known : found);
    }

    /** Whether nothing that matters to the painter is worse, but for a minute. */
    private static boolean asGood(long[] known, long[] found, boolean undisturbed) {
        return Arrays.compare(known, 0, 2, found, 0, 2) <= 0 && known[2] <= found[2] + SAME
                && (undisturbed || known[FRAGILE] <= found[FRAGILE]) && known[TOGETHER] <= found[TOGETHER] + SAME
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

    /**
     * The best orders by two rules: what has the longest way to go comes first; what must be begun soonest for all to be ready in the best
     * time known, within the hours. One that was not tried is null.
     */
    private int[][] dispatched(int tries, SplittableRandom random, BooleanSupplier unwanted) {
        int[][] best = new int[2][];
        long[][] cost = new long[2][];
        long[] must = must();
        long[] late = null;
        for (int attempt = 0; attempt < tries && (best[0] == null || !unwanted.getAsBoolean()); attempt++) {
            boolean plain = attempt < FIRST_TRIES * 2;
            int rule = attempt >= FIRST_TRIES && (plain || attempt % 2 == 0) ? 1 : 0;
            late = rule == 1 && late == null ? late(cost[0][END]) : late;
            double[] urgent = new double[n];
            for (int i = 0; i < n; i++) {
                double taste = plain ? 1 : random.nextDouble(0.7, 1.3);
                double own = rule == 1 ? cost[0][END] - (cost[0][END] - late[i]) * taste : due[stone[i]] - tail[i] * taste;
                urgent[i] = Math.min(own, must[i]);
            }
            int[] order = dispatched(urgent, PATIENCE[plain ? attempt % FIRST_TRIES : random.nextInt(PATIENCE.length)]);
            long[] now = cost(order);
            if (cost[rule] == null || Arrays.compare(now, cost[rule]) < 0) {
                best[rule] = order;
                cost[rule] = now;
            }
        }
        return best;
    }

    private int[] better(int[] one, int[] other) {
        return one == null || other != null && Arrays.compare(cost(other), cost(one)) < 0 ? other : one;
    }

    /** When each piece must be begun at the latest, within the hours, so that its stone is ready when it is due, or by an end. */
    private long[] late(long end) {
        long[] late = new long[n];
        for (int at = n - 1; at >= 0; at--) {
            int i = sorted[at];
            long by = Math.min(latest[i], Math.min(end, due[stone[i]]) - dries[i]);
            for (int k = 0; k < behind[i].length; k++) {
                by = Math.min(by, late[behind[i][k]] - lag[i][k]);
            }
            late[i] = hours.latest(by, hand[i]);
        }
        return late;
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
        return fits(Arrays.stream(order).mapToInt(Integer::intValue).toArray()) ? List.of(order) : List.of();
    }

    static List<Object> name(Workload.Piece piece) {
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

    /** Does without single sittings where that is better, the one with the least work first. */
    private int[] fewer(int[] order, BooleanSupplier unwanted) {
        int[] best = order;
        long[] least = cost(best);
        for (boolean again = true; again && !unwanted.getAsBoolean();) {
            again = false;
            long[] start = starts(best);
            List<List<Integer>> sat = new ArrayList<>();
            int last = -1;
            for (int i : best) {
                int in = hours.sitting(start[i]);
                if (in != last) {
                    sat.add(new ArrayList<>());
                    last = in;
                }
                sat.get(sat.size() - 1).add(i);
            }
            int[] byWork = IntStream.range(0, sat.size() - 1).boxed()
                    .sorted(Comparator.comparingLong(k -> sat.get(k).stream().mapToLong(i -> hand[i]).sum())).mapToInt(k -> k).toArray();
            for (int k : byWork) {
                int[] tried = after(best, sat.get(k), sat.get(k + 1).get(0));
                long[] now = cost(tried);
                if (Arrays.compare(now, least) < 0) {
                    best = tried;
                    least = now;
                    again = true;
                    break;
                }
            }
        }
        return best;
    }

    /** Draws together what is of one stone and of one load: no hand puts a stone away to take it up soon, if nothing is ready sooner. */
    private int[] together(int[] order, BooleanSupplier unwanted) {
        Runs runs = new Runs(behind, this::cost, Math.min(MOST_MOVES, WORK / 2 / Math.max(1, n)), unwanted);
        return runs.together(runs.together(order, stone), load);
    }

    /** An order with some pieces put off until another is done, and with them what waits for them. */
    private int[] after(int[] order, List<Integer> some, int other) {
        double[] key = new double[n];
        for (int k = 0; k < n; k++) {
            key[order[k]] = k;
        }
        double behindIt = key[other] + 0.5;
        some.forEach(i -> key[i] = behindIt);
        int[] open = needs.clone();
        PriorityQueue<Integer> can = new PriorityQueue<>(Comparator.comparingDouble((Integer i) -> key[i]).thenComparingInt(i -> i));
        IntStream.range(0, n).filter(i -> open[i] == 0).forEach(can::add);
        int[] put = new int[n];
        for (int k = 0; k < n; k++) {
            put[k] = can.remove();
            Arrays.stream(behind[put[k]]).filter(j -> --open[j] == 0).forEach(can::add);
        }
        return put;
    }

    /** Takes single pieces to other places as long as that is better: so many tries, the same ones each time. */
    private int[] moved(int[] order, long[] cost, SplittableRandom random, BooleanSupplier unwanted) {
        long tries = Math.min(MOST_MOVES, WORK / 2 / Math.max(1, n));
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
        Times times = new Times(hand, dries, lag, stays);
        Stands stands = new Stands();
        long now = 0;
        int inHand = -1;
        for (int placed = 0; placed < n; placed++) {
            long soonest = Long.MAX_VALUE;
            for (int i : can) {
                soonest = Math.min(soonest, hours.begin(Math.max(now, Math.max(free[i], stands.free(i))), hand[i]));
            }
            int best = -1;
            for (int i : can) {
                if (hours.begin(Math.max(now, Math.max(free[i], stands.free(i))), hand[i]) <= soonest + patience
                        && (best < 0 || before(i, best, urgent, inHand))) {
                    best = i;
                }
            }
            order[placed] = best;
            can.remove(Integer.valueOf(best));
            long start = hours.begin(Math.max(now, Math.max(free[best], stands.free(best))), hand[best]);
            now = start + hand[best];
            stands.take(best, now + stays[best]);
            inHand = best;
            for (int k = 0; k < behind[best].length; k++) {
                int j = behind[best][k];
                free[j] = Math.max(free[j], now + lag(times, best, k, start));
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
        return starts(order, new Times(hand, dries, lag, stays));
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
        Stands stands = new Stands();
        long now = 0;
        for (int i : order) {
            start[i] = hours.begin(Math.max(now, Math.max(free[i], stands.free(i))), times.hand[i]);
            now = start[i] + times.hand[i];
            stands.take(i, now + times.stays[i]);
            for (int k = 0; k < behind[i].length; k++) {
                free[behind[i][k]] = Math.max(free[behind[i][k]], now + lag(times, i, k, start[i]));
            }
        }
        return start;
    }

    /** What lies between a piece and what follows it, which depends on the room it is done in. */
    private long lag(Times times, int i, int k, long start) {
        return inAir == null || !inAir[i][k] ? times.lag[i][k] : times.lag[i][k] * hours.hour(hours.sitting(start))[2] / 1000;
    }

    /** Until when the shared places are taken: each piece begins no sooner than the one before, so that no gap is left to be filled. */
    private final class Stands {

        private final long[][] taken = new long[holds.length][];

        Stands() {
            Arrays.setAll(taken, p -> new long[holds[p]]);
        }

        /** When there is room for a piece. */
        long free(int i) {
            return place[i] < 0 ? 0 : taken[place[i]][first(place[i])];
        }

        void take(int i, long until) {
            if (place[i] >= 0) {
                taken[place[i]][first(place[i])] = until;
            }
        }

        private int first(int at) {
            int first = 0;
            for (int k = 1; k < taken[at].length; k++) {
                first = taken[at][k] < taken[at][first] ? k : first;
            }
            return first;
        }
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
     * Pieces done too late, stones that are late, by how much together, stones that might be late, sittings and the end, the end, when the
     * single stones are ready in half days together, the time one sits in quarters of an hour, loads and stones taken up, tools taken up.
     */
    private long[] cost(int[] order) {
        long[] start = starts(order);
        long[] ready = new long[stones.size()];
        long changes = 0;
        long tools = 0;
        long missed = 0;
        int before = -1;
        for (int i : order) {
            missed += start[i] + hand[i] > latest[i] ? 1 : 0;
            ready[stone[i]] = Math.max(ready[stone[i]], start[i] + hand[i] + dries[i]);
            changes += before < 0 || load[i] != load[before] ? 1 : 0;
            changes += before < 0 || stone[i] != stone[before] ? 1 : 0;
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
        long end = Arrays.stream(ready).max().orElse(0);
        return new long[] {missed, late, much, fragile(order), end + sat[0] * SITTING, end,
            Arrays.stream(ready).map(r -> r / HALF_DAY).sum(), sat[1] / QUARTER, changes, tools};
    }

    /** How many sittings are used, and how long one sits in all of them, from the first piece to the last. */
    private long[] sat(long[] start, int[] order) {
        long used = 0;
        long time = 0;
        int last = -1;
        long began = 0;
        long ended = 0;
        for (int i : order) {
            int in = hours.sitting(start[i]);
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
            int in = hours.sitting(seconds(each.start()));
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
        return new Timetable(of, placed, instant(n == 0 ? 0 : bound()), (int) sat(start, order)[0], fewest());
    }
}
