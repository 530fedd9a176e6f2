package mosspebble.core.timetable;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * In which order one hand does what: a single machine with least lags between jobs. The jobs are dispatched one after the other, what has
 * the longest chain behind it first among what can start; many such orders with other tastes are tried, and the best is kept (a multi-start
 * priority-rule method; R. Kolisch and S. Hartmann, "Heuristic algorithms for the resource-constrained project scheduling problem", 1999).
 * Deterministic: the same problem gives the same answer.
 *
 * @param order numbers of the jobs
 * @param end when all is done and dry
 * @param bound no order can end sooner
 */
public record HandOrder(List<Integer> order, Duration end, Duration bound) {

    /**
     * Something to do without putting the tool down.
     *
     * @param hand time of the hand
     * @param dries until all counts as done
     * @param load what is on the tool: another number is another load
     * @param tool which tool: another number is another tool
     * @param near where it lies on the way of the hand, the first first; settles what nothing else does
     * @param depth 0 for what lies deepest of all that is painted, 1 for what lies on everything; negative where it does not matter
     */
    public record Job(Duration hand, Duration dries, int load, int tool, double near, double depth) {}

    /** One job must be done so long before the other starts. */
    public record Arc(int before, int then, Duration lag) {}

    /** Either may come first; the other starts so long after it. */
    public record Pair(int one, int other, Duration afterOne, Duration afterOther) {}

    /** All of it. The arcs have no cycle. */
    public record Problem(List<Job> jobs, List<Arc> arcs, List<Pair> pairs) {
        public Problem {
            jobs = List.copyOf(jobs);
            arcs = List.copyOf(arcs);
            pairs = List.copyOf(pairs);
        }
    }

    /** Waits that one accepts to take the longer chain first, seconds. */
    private static final long[] PATIENCE = {0, 60, 180, 600};

    /**
     * What it is worth, seconds, not to go back from what lies on everything to what lies deepest, and as much less as there is less
     * between them (common practice, no source: one works from the far to the near, and waits some minutes for it, not hours).
     */
    private static final double BACK = 60;

    /** From so many tries on, single jobs are moved as well, in so many sweeps at most, where there are not too many jobs. */
    private static final int THOROUGH = 20;
    private static final int SWEEPS = 2;
    private static final int MOST_MOVED = 60;

    public HandOrder {
        order = List.copyOf(order);
    }

    /**
     * Searches. With {@value #THOROUGH} tries or more an order that goes from the deep to what lies on it may end a little later.
     *
     * @param tries how many orders are tried, 1 or more
     * @throws IllegalArgumentException if the arcs run in a circle
     */
    public static HandOrder of(Problem problem, int tries) {
        return ifPossible(problem, tries).orElseThrow(() -> new IllegalArgumentException("what must come first runs in a circle"));
    }

    /** The same; empty if the arcs run in a circle. */
    public static Optional<HandOrder> ifPossible(Problem problem, int tries) {
        Search search = new Search(problem);
        return search.possible ? Optional.of(search.best(tries)) : Optional.empty();
    }

    /** No order can end sooner; zero if the arcs run in a circle. */
    public static Duration bound(Problem problem) {
        Search search = new Search(problem);
        return search.possible ? Duration.ofSeconds(search.bound()) : Duration.ZERO;
    }

    /** When all would be done and dry in a given order that respects the arcs. */
    public static Duration end(Problem problem, List<Integer> order) {
        return Duration.ofSeconds(new Search(problem).end(order.stream().mapToInt(Integer::intValue).toArray()));
    }

    /** An order with what stands at one place taken to another. */
    static int[] taken(int[] order, int from, int to) {
        int[] moved = order.clone();
        if (from < to) {
            System.arraycopy(order, from + 1, moved, from, to - from);
        } else {
            System.arraycopy(order, to, moved, to + 1, from - to);
        }
        moved[to] = order[from];
        return moved;
    }

    private static final class Search {
        private final int n;
        private final long[] hand;
        private final long[] dries;
        private final int[] load;
        private final int[] tool;
        private final double[] near;
        private final double[] depth;
        private final long[][] lag;
        private final boolean[][] must;
        private final int[][] behind;
        private final int[] needs;
        private final long[] tail;
        private boolean possible;

        Search(Problem problem) {
            this.n = problem.jobs().size();
            this.hand = problem.jobs().stream().mapToLong(j -> j.hand().toSeconds()).toArray();
            this.dries = problem.jobs().stream().mapToLong(j -> j.dries().toSeconds()).toArray();
            this.load = problem.jobs().stream().mapToInt(Job::load).toArray();
            this.tool = problem.jobs().stream().mapToInt(Job::tool).toArray();
            this.near = problem.jobs().stream().mapToDouble(Job::near).toArray();
            this.depth = problem.jobs().stream().mapToDouble(Job::depth).toArray();
            this.lag = new long[n][n];
            this.must = new boolean[n][n];
            for (long[] row : lag) {
                Arrays.fill(row, -1);
            }
            for (Pair pair : problem.pairs()) {
                lag[pair.one()][pair.other()] = Math.max(lag[pair.one()][pair.other()], pair.afterOne().toSeconds());
                lag[pair.other()][pair.one()] = Math.max(lag[pair.other()][pair.one()], pair.afterOther().toSeconds());
            }
            for (Arc arc : problem.arcs()) {
                lag[arc.before()][arc.then()] = Math.max(lag[arc.before()][arc.then()], arc.lag().toSeconds());
                must[arc.before()][arc.then()] = true;
            }
            this.behind = new int[n][];
            this.needs = new int[n];
            for (int i = 0; i < n; i++) {
                List<Integer> found = new ArrayList<>();
                for (int j = 0; j < n; j++) {
                    if (lag[i][j] >= 0) {
                        found.add(j);
                    }
                    needs[j] += must[i][j] ? 1 : 0;
                }
                behind[i] = found.stream().mapToInt(Integer::intValue).toArray();
            }
            this.tail = tails();
        }

        /** The longest chain from the start of each job to the end of all. */
        private long[] tails() {
            long[] longest = new long[n];
            Arrays.fill(longest, -1);
            int[] open = needs.clone();
            int[] sorted = new int[n];
            int found = 0;
            for (int i = 0; i < n; i++) {
                if (open[i] == 0) {
                    sorted[found++] = i;
                }
            }
            for (int at = 0; at < found; at++) {
                for (int j : behind[sorted[at]]) {
                    if (must[sorted[at]][j] && --open[j] == 0) {
                        sorted[found++] = j;
                    }
                }
            }
            possible = found == n;
            for (int at = found - 1; at >= 0; at--) {
                int i = sorted[at];
                longest[i] = hand[i] + dries[i];
                for (int j : behind[i]) {
                    if (must[i][j]) {
                        longest[i] = Math.max(longest[i], hand[i] + lag[i][j] + longest[j]);
                    }
                }
            }
            return longest;
        }

        long bound() {
            long chain = Arrays.stream(tail).max().orElse(0);
            long least = Arrays.stream(dries).min().orElse(0);
            return Math.max(chain, Arrays.stream(hand).sum() + least);
        }

        HandOrder best(int tries) {
            long bound = bound();
            SplittableRandom random = new SplittableRandom(4711);
            int[] best = null;
            long[] bestCost = null;
            for (int attempt = 0; attempt < Math.max(1, tries); attempt++) {
                double[] taste = new double[n];
                for (int i = 0; i < n; i++) {
                    taste[i] = tail[i] * (attempt < PATIENCE.length ? 1 : random.nextDouble(0.7, 1.3));
                }
                long patience = attempt < PATIENCE.length ? PATIENCE[attempt] : PATIENCE[random.nextInt(PATIENCE.length)];
                int[] order = dispatched(taste, patience);
                long[] cost = cost(order, tries >= THOROUGH);
                if (bestCost == null || Arrays.compare(cost, bestCost) < 0) {
                    best = order;
                    bestCost = cost;
                }
            }
            if (tries >= THOROUGH && n <= MOST_MOVED) {
                best = moved(best, bestCost);
            }
            return new HandOrder(Arrays.stream(best).boxed().toList(), Duration.ofSeconds(end(best)), Duration.ofSeconds(bound));
        }

        /** Takes single jobs to other places in the order as long as that is better. */
        private int[] moved(int[] order, long[] cost) {
            int[] best = order;
            long[] bestCost = cost;
            for (int sweep = 0; sweep < SWEEPS; sweep++) {
                boolean better = false;
                for (int from = 0; from < n; from++) {
                    for (int to = 0; to < n; to++) {
                        int[] tried = from == to ? null : moved(best, from, to);
                        if (tried == null) {
                            continue;
                        }
                        long[] now = end(tried) > bestCost[0] ? bestCost : cost(tried, true);
                        if (Arrays.compare(now, bestCost) < 0) {
                            best = tried;
                            bestCost = now;
                            better = true;
                        }
                    }
                }
                if (!better) {
                    break;
                }
            }
            return best;
        }

        /** One job at another place; null where an arc forbids it. */
        private int[] moved(int[] order, int from, int to) {
            int job = order[from];
            for (int k = Math.min(from, to); k <= Math.max(from, to); k++) {
                if (k != from && (from < to ? must[job][order[k]] : must[order[k]][job])) {
                    return null;
                }
            }
            return taken(order, from, to);
        }

        private int[] dispatched(double[] taste, long patience) {
            long[] free = new long[n];
            int[] open = needs.clone();
            boolean[] done = new boolean[n];
            int[] order = new int[n];
            long now = 0;
            int inHand = -1;
            for (int placed = 0; placed < n; placed++) {
                long soonest = Long.MAX_VALUE;
                for (int i = 0; i < n; i++) {
                    if (!done[i] && open[i] == 0) {
                        soonest = Math.min(soonest, Math.max(now, free[i]));
                    }
                }
                int best = -1;
                for (int i = 0; i < n; i++) {
                    if (!done[i] && open[i] == 0 && Math.max(now, free[i]) <= soonest + patience
                            && (best < 0 || before(i, best, taste, inHand))) {
                        best = i;
                    }
                }
                order[placed] = best;
                done[best] = true;
                now = Math.max(now, free[best]) + hand[best];
                inHand = best;
                for (int j : behind[best]) {
                    if (!done[j]) {
                        free[j] = Math.max(free[j], now + lag[best][j]);
                        open[j] -= must[best][j] ? 1 : 0;
                    }
                }
            }
            return order;
        }

        private boolean before(int i, int best, double[] taste, int inHand) {
            if (Math.abs(taste[i] - taste[best]) > 30) {
                return taste[i] > taste[best];
            }
            boolean goesOn = inHand >= 0 && load[i] == load[inHand];
            boolean bestGoesOn = inHand >= 0 && load[best] == load[inHand];
            return goesOn != bestGoesOn ? goesOn : near[i] < near[best];
        }

        /**
         * The end, then loads mixed or taken up, then changes of the tool.
         *
         * @param thorough whether it counts with the end how often one goes back behind what is painted
         */
        private long[] cost(int[] order, boolean thorough) {
            long loads = 0;
            long tools = 0;
            for (int k = 1; k < n; k++) {
                loads += load[order[k]] != load[order[k - 1]] ? 1 : 0;
                tools += tool[order[k]] != tool[order[k - 1]] ? 1 : 0;
            }
            return new long[] {end(order) + (thorough ? back(order) : 0), loads, tools};
        }

        /** How far each pass lies behind all that come before it, as seconds of waiting. */
        private long back(int[] order) {
            double back = 0;
            for (int k = 1; k < n; k++) {
                double now = depth[order[k]];
                for (int before = 0; before < k && now >= 0; before++) {
                    back += Math.max(0, depth[order[before]] - now);
                }
            }
            return Math.round(BACK * back);
        }

        long end(int[] order) {
            long[] free = new long[n];
            boolean[] done = new boolean[n];
            long now = 0;
            long end = 0;
            for (int i : order) {
                now = Math.max(now, free[i]) + hand[i];
                done[i] = true;
                end = Math.max(end, now + dries[i]);
                for (int j : behind[i]) {
                    if (!done[j]) {
                        free[j] = Math.max(free[j], now + lag[i][j]);
                    }
                }
            }
            return end;
        }
    }
}
