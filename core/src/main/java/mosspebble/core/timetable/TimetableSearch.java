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
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * Finds timetables. Pieces are dispatched one after the other into the hours, the most urgent of those that can begin soonest first, with
 * many tastes of urgency (multi-start priority rules; R. Kolisch and S. Hartmann 1999, as in {@link HandOrder}); then single pieces are
 * moved in the best orders as long as that is better, and runs of one stone or load drawn together. What counts is said by
 * {@link TableCost}, what cannot be beaten by {@link TableBounds}.
 */
final class TimetableSearch {

    /** Waits that one accepts to take the more urgent piece first, seconds. */
    private static final long[] PATIENCE = {0, 60, 300, 900, 3_600};

    private static final int FIRST_TRIES = PATIENCE.length;
    private static final long SEED = 4711;
    private static final long UNKNOWN = Long.MAX_VALUE;
    private static final long WORK = 6_000_000;
    private static final int LEAST_TRIES = 20;
    private static final int MOST_TRIES = 400;
    private static final int MOST_MOVES = 15_000;

    /** Of so few pieces all orders are tried where something lapses: few of them hold, and moves do not lead from one to another. */
    private static final int ALL_ORDERS = 8;

    private final WorkNumbers w;
    private final TableStarts starts;
    private final TableCost cost;
    private final TableBounds bounds;

    TimetableSearch(Workload of) {
        this.w = new WorkNumbers(of);
        this.starts = new TableStarts(w);
        this.cost = new TableCost(w, starts);
        this.bounds = new TableBounds(w);
    }

    /** The better of a known order and one that was found elsewhere. */
    Timetable improved(Timetable known, List<Integer> order, Optional<Instant> proven) {
        int[] before = known.placed().stream().mapToInt(Timetable.Placed::piece).toArray();
        int[] found = order.stream().mapToInt(Integer::intValue).toArray();
        boolean whole = Arrays.equals(Arrays.stream(found).sorted().toArray(), IntStream.range(0, w.n).toArray()) && fits(found);
        int[] better = whole && !TableCost.asGood(cost.of(before), cost.of(busy(found)), false) ? together(busy(found), () -> false)
                : before;
        Timetable table = timetable(Arrays.compare(cost.of(better), cost.of(before)) < 0 ? better : before);
        Instant least = known.bound().isAfter(table.bound()) ? known.bound() : table.bound();
        Instant bound = proven.filter(b -> b.isAfter(least) && !b.isAfter(table.end())).orElse(least);
        return new Timetable(w.of, table.placed(), bound, table.sittings(), table.fewest());
    }

    private boolean fits(int[] order) {
        int[] at = new int[w.n];
        for (int k = 0; k < w.n; k++) {
            at[order[k]] = k;
        }
        return w.of.waits().stream().allMatch(w -> at[w.before()] < at[w.then()]);
    }

    /** A first answer: the best of the plain ways to go on. */
    Timetable quick() {
        int[][] both = w.n == 0 ? new int[2][0] : dispatched(2 * FIRST_TRIES, new SplittableRandom(SEED), () -> false);
        return timetable(better(both[0], both[1]));
    }

    /**
     * The best that is found.
     *
     * @param known an order that is kept unless another is truly better; empty for none
     */
    Timetable best(List<Integer> known, BooleanSupplier unwanted) {
        return w.n == 0 ? timetable(new int[0]) : searched(numbers(known), false, false, unwanted);
    }

    /**
     * The same where an order was followed until now: it is kept as well where nothing better comes to mind at once.
     *
     * @param undisturbed whether it is kept also where another would be safer
     */
    Timetable goingOn(List<Integer> known, boolean undisturbed, BooleanSupplier unwanted) {
        return w.n == 0 ? timetable(new int[0]) : searched(numbers(known), true, undisturbed, unwanted);
    }

    private static int[] numbers(List<Integer> order) {
        return order.stream().mapToInt(Integer::intValue).toArray();
    }

    private Timetable searched(int[] known, boolean followed, boolean undisturbed, BooleanSupplier unwanted) {
        int tries = (int) Math.max(LEAST_TRIES, Math.min(MOST_TRIES, WORK / Math.max(1, (long) w.n * w.n)));
        SplittableRandom random = new SplittableRandom(SEED);
        int[][] both = dispatched(tries, random, unwanted);
        int[] first = better(both[0], both[1]);
        if (followed && known.length == w.n && TableCost.asGood(cost.of(known), cost.of(first), undisturbed)) {
            return timetable(known);
        }
        int[] found = w.most != null && w.n <= ALL_ORDERS ? all(first)
                : Arrays.stream(both).filter(o -> o != null).map(o -> fewer(busy(moved(o, random, unwanted)), unwanted))
                        .reduce(this::better).map(o -> together(o, unwanted)).orElseThrow();
        return timetable(known.length == w.n && TableCost.asGood(cost.of(known), cost.of(found), undisturbed) ? known : found);
    }

    /** The best of all orders; of those that cost the same the given one. */
    private int[] all(int[] first) {
        int[][] best = {first};
        long[][] least = {cost.of(first)};
        all(new int[w.n], 0, w.needs.clone(), order -> {
            long[] now = cost.of(order);
            if (Arrays.compare(now, least[0]) < 0) {
                best[0] = order.clone();
                least[0] = now;
            }
        });
        return best[0];
    }

    /** @param open how much each waits for; what is placed already waits for more than there is */
    private void all(int[] order, int placed, int[] open, Consumer<int[]> each) {
        if (placed == w.n) {
            each.accept(order);
            return;
        }
        for (int i = 0; i < w.n; i++) {
            if (open[i] == 0) {
                order[placed] = i;
                open[i] = Integer.MAX_VALUE;
                Arrays.stream(w.behind[i]).forEach(j -> open[j]--);
                all(order, placed + 1, open, each);
                Arrays.stream(w.behind[i]).forEach(j -> open[j]++);
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
        long[][] costs = new long[2][];
        long[] must = w.must();
        long[] late = null;
        for (int attempt = 0; attempt < tries && (best[0] == null || !unwanted.getAsBoolean()); attempt++) {
            boolean plain = attempt < FIRST_TRIES * 2;
            int rule = attempt >= FIRST_TRIES && (plain || attempt % 2 == 0) ? 1 : 0;
            late = rule == 1 && late == null ? w.late(costs[0][TableCost.END]) : late;
            double[] urgent = new double[w.n];
            for (int i = 0; i < w.n; i++) {
                double taste = plain ? 1 : random.nextDouble(0.7, 1.3);
                double own = rule == 1 ? costs[0][TableCost.END] - (costs[0][TableCost.END] - late[i]) * taste
                        : w.due[w.stone[i]] - w.tail[i] * taste;
                urgent[i] = Math.min(own, must[i]);
            }
            int[] order = dispatched(urgent, PATIENCE[plain ? attempt % FIRST_TRIES : random.nextInt(PATIENCE.length)]);
            long[] now = cost.of(order);
            if (costs[rule] == null || Arrays.compare(now, costs[rule]) < 0) {
                best[rule] = order;
                costs[rule] = now;
            }
        }
        return best;
    }

    private int[] better(int[] one, int[] other) {
        return one == null || other != null && Arrays.compare(cost.of(other), cost.of(one)) < 0 ? other : one;
    }

    /** An order known by what its pieces are, and what is new in it where it comes soonest; empty where it does not fit any more. */
    List<Integer> known(Timetable before) {
        Map<List<Object>, Integer> place = new HashMap<>();
        for (Timetable.Placed each : before.placed()) {
            place.put(name(before.of().pieces().get(each.piece())), place.size());
        }
        double[] urgent = new double[w.n];
        for (int i = 0; i < w.n; i++) {
            Integer known = place.get(name(w.of.pieces().get(i)));
            if (known == null) {
                return List.of();
            }
            urgent[i] = known;
        }
        Integer[] order = new Integer[w.n];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, Comparator.comparingDouble(i -> urgent[i]));
        return fits(Arrays.stream(order).mapToInt(Integer::intValue).toArray()) ? List.of(order) : List.of();
    }

    static List<Object> name(Workload.Piece piece) {
        return List.of(piece.stone(), piece.step(), piece.part());
    }

    /** The same without waiting while there is something to do, where that is no worse. */
    private int[] busy(int[] order) {
        double[] place = new double[w.n];
        for (int k = 0; k < w.n; k++) {
            place[order[k]] = k * 2.0 * Duration.ofHours(1).toSeconds(); // no w.load is worth another order
        }
        int[] busy = dispatched(place, 0);
        return Arrays.compare(cost.of(busy), cost.of(order)) <= 0 ? busy : order;
    }

    /** Does without single sittings where that is better, the one with the least work first. */
    private int[] fewer(int[] order, BooleanSupplier unwanted) {
        int[] best = order;
        long[] least = cost.of(best);
        for (boolean again = true; again && !unwanted.getAsBoolean();) {
            again = false;
            long[] start = starts.of(best).start();
            List<List<Integer>> sat = new ArrayList<>();
            int last = -1;
            for (int i : best) {
                int in = w.hours.sitting(start[i]);
                if (in != last) {
                    sat.add(new ArrayList<>());
                    last = in;
                }
                sat.get(sat.size() - 1).add(i);
            }
            int[] byWork = IntStream.range(0, sat.size() - 1).boxed()
                    .sorted(Comparator.comparingLong(k -> sat.get(k).stream().mapToLong(i -> w.hand[i]).sum())).mapToInt(k -> k).toArray();
            for (int k : byWork) {
                int[] tried = after(best, sat.get(k), sat.get(k + 1).get(0));
                long[] now = cost.of(tried);
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
        Runs runs = new Runs(w.behind, cost::of, Math.min(MOST_MOVES, WORK / 2 / Math.max(1, w.n)), unwanted);
        return runs.together(runs.together(order, w.stone), w.load);
    }

    /** An order with some pieces put off until another is done, and with them what waits for them. */
    private int[] after(int[] order, List<Integer> some, int other) {
        double[] key = new double[w.n];
        for (int k = 0; k < w.n; k++) {
            key[order[k]] = k;
        }
        double behindIt = key[other] + 0.5;
        some.forEach(i -> key[i] = behindIt);
        int[] open = w.needs.clone();
        PriorityQueue<Integer> can = new PriorityQueue<>(Comparator.comparingDouble((Integer i) -> key[i]).thenComparingInt(i -> i));
        IntStream.range(0, w.n).filter(i -> open[i] == 0).forEach(can::add);
        int[] put = new int[w.n];
        for (int k = 0; k < w.n; k++) {
            put[k] = can.remove();
            Arrays.stream(w.behind[put[k]]).filter(j -> --open[j] == 0).forEach(can::add);
        }
        return put;
    }

    /** Takes single pieces to other places as long as that is better: so many tries, the same ones each time. */
    private int[] moved(int[] order, SplittableRandom random, BooleanSupplier unwanted) {
        long tries = Math.min(MOST_MOVES, WORK / 2 / Math.max(1, w.n));
        int[] best = order;
        long[] least = cost.of(best);
        for (long k = 0; k < tries && !unwanted.getAsBoolean(); k++) {
            int[] tried = moved(best, random.nextInt(w.n), random.nextInt(w.n));
            if (tried != null) {
                long[] now = cost.of(tried);
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
            if (k != from && Arrays.stream(w.behind[before]).anyMatch(j -> j == then)) {
                return null;
            }
        }
        return HandOrder.taken(order, from, to);
    }

    /**
     * Piece after piece, the most urgent of those that can begin soonest or so little later. When one can begin is reckoned only where it
     * might be the soonest or the most urgent: with hundreds of stones a few of those that wait at each turn.
     */
    private int[] dispatched(double[] urgent, long patience) {
        long[] free = w.earliest.clone();
        int[] open = w.needs.clone();
        int[] can = new int[w.n];
        int cans = 0;
        for (int i = 0; i < w.n; i++) {
            if (open[i] == 0) {
                can[cans++] = i;
            }
        }
        int[] order = new int[w.n];
        long[] begin = new long[w.n];
        TableStarts.Stands stands = new TableStarts.Stands(w);
        TableStarts.Damp damp = new TableStarts.Damp(w, w.usual);
        long now = 0;
        int inHand = -1;
        for (int placed = 0; placed < w.n; placed++) {
            long soonest = Long.MAX_VALUE;
            for (int k = 0; k < cans; k++) {
                int i = can[k];
                begin[i] = Math.max(now, free[i]) < soonest ? begin(i, now, free[i], stands, damp) : UNKNOWN;
                soonest = Math.min(soonest, begin[i]);
            }
            int at = -1;
            for (int k = 0; k < cans; k++) {
                int i = can[k];
                if (Math.max(now, free[i]) <= soonest + patience && (at < 0 || before(i, can[at], urgent, inHand))) {
                    begin[i] = begin[i] == UNKNOWN ? begin(i, now, free[i], stands, damp) : begin[i];
                    at = begin[i] <= soonest + patience ? k : at;
                }
            }
            int best = can[at];
            order[placed] = best;
            System.arraycopy(can, at + 1, can, at, --cans - at);
            long start = begin[best];
            now = start + damp.takes(best, start);
            damp.take(best, start);
            stands.take(best, now + w.stays[best]);
            inHand = best;
            for (int k = 0; k < w.behind[best].length; k++) {
                int j = w.behind[best][k];
                free[j] = Math.max(free[j], now + w.lag(w.usual, best, k, start));
                urgent[j] = w.most == null ? urgent[j] : Math.min(urgent[j], now + w.most[best][k] - w.hand[j]);
                if (--open[j] == 0) {
                    can[cans++] = j;
                }
            }
        }
        return order;
    }

    /** When a piece can begin, no sooner than its own wait and what is in the way allow. */
    private static long begin(int i, long now, long free, TableStarts.Stands stands, TableStarts.Damp damp) {
        return damp.begin(i, Math.max(now, Math.max(free, stands.free(i))));
    }

    private boolean before(int i, int best, double[] urgent, int inHand) {
        boolean goesOn = inHand >= 0 && w.load[i] == w.load[inHand];
        boolean bestGoesOn = inHand >= 0 && w.load[best] == w.load[inHand];
        if (goesOn != bestGoesOn && Math.abs(urgent[i] - urgent[best]) < Duration.ofHours(1).toSeconds()) {
            return goesOn;
        }
        return urgent[i] != urgent[best] ? urgent[i] < urgent[best] : i < best;
    }

    List<List<Timetable.Placed>> bySitting(List<Timetable.Placed> placed) {
        List<List<Timetable.Placed>> all = new ArrayList<>();
        int last = -1;
        for (Timetable.Placed each : placed) {
            int in = w.hours.sitting(w.seconds(each.start()));
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
        TableStarts.Times at = starts.of(order);
        List<Timetable.Placed> placed = new ArrayList<>();
        for (int i : order) {
            placed.add(new Timetable.Placed(i, w.instant(at.start()[i]), w.instant(at.end()[i])));
        }
        return new Timetable(w.of, placed, w.instant(w.n == 0 ? 0 : bounds.bound()), (int) cost.sat(at, order)[0], bounds.fewest());
    }
}
