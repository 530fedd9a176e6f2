package mosspebble.core.timetable;

import java.util.Arrays;
import java.util.stream.IntStream;

/** What an order of the work costs: numbers of which the first counts most. */
final class TableCost {

    /** Places in a cost. */
    static final int FRAGILE = 3;
    static final int TOGETHER = 4;
    static final int END = 5;

    /** What is good enough to leave a known order as it is: so much later, seconds. */
    static final long SAME = 60;

    /** A sitting less is worth so much waiting, no more (our own judgement): seconds. */
    private static final long SITTING = 2 * 24 * 3_600;

    /** A stone that is ready some hours sooner is no better for it, seconds. */
    private static final long HALF_DAY = 12 * 3_600;

    /** Nobody minds to sit some minutes longer in all, seconds. */
    private static final long QUARTER = 15 * 60;

    private final WorkNumbers w;
    private final TableStarts starts;

    TableCost(WorkNumbers w, TableStarts starts) {
        this.w = w;
        this.starts = starts;
    }

    /** Stones that are late if everything takes a quarter longer. */
    private long fragile(int[] order) {
        if (w.slow == null) {
            return 0;
        }
        long[] end = starts.of(order, w.slow).end();
        return IntStream.range(0, w.n).filter(i -> end[i] + w.slow.dries()[i] > w.due[w.stone[i]])
                .map(i -> w.stone[i]).distinct().count();
    }

    /**
     * Pieces done too late, stones that are late, by how much together, stones that might be late, sittings and the end, the end, when the
     * single stones are ready in half days together, the time one sits in quarters of an hour, loads and stones taken up, tools taken up.
     * A sitting that is under way as it begins costs nothing: somebody sits there already.
     */
    long[] of(int[] order) {
        TableStarts.Times at = starts.of(order);
        long[] start = at.start();
        long[] done = at.end();
        long[] ready = new long[w.stones.size()];
        long changes = 0;
        long tools = 0;
        long missed = 0;
        int before = -1;
        for (int i : order) {
            missed += done[i] > w.latest[i] ? 1 : 0;
            ready[w.stone[i]] = Math.max(ready[w.stone[i]], done[i] + w.dries[i]);
            changes += before < 0 || w.load[i] != w.load[before] ? 1 : 0;
            changes += before < 0 || w.stone[i] != w.stone[before] ? 1 : 0;
            tools += before < 0 || w.tool[i] != w.tool[before] ? 1 : 0;
            before = i;
        }
        long late = 0;
        long much = 0;
        for (int s = 0; s < ready.length; s++) {
            late += ready[s] > w.due[s] ? 1 : 0;
            much += Math.max(0, ready[s] - w.due[s]);
        }
        for (int i = 0; w.most != null && i < w.n; i++) {
            for (int k = 0; k < w.behind[i].length; k++) {
                missed += start[w.behind[i][k]] > done[i] + w.most[i][k] ? 1 : 0;
            }
        }
        long[] sat = sat(at, order);
        long end = Arrays.stream(ready).max().orElse(0);
        long more = sat[0] - (w.n > 0 && w.hours.isUnderWay(start[order[0]]) ? 1 : 0);
        return new long[] {missed, late, much, fragile(order), end + more * SITTING, end,
            Arrays.stream(ready).map(r -> r / HALF_DAY).sum(), sat[1] / QUARTER, changes, tools};
    }

    /** How many sittings are used, and how long one sits in all of them, from the first piece to the last. */
    long[] sat(TableStarts.Times at, int[] order) {
        long used = 0;
        long time = 0;
        int last = -1;
        long began = 0;
        long ended = 0;
        for (int i : order) {
            int in = w.hours.sitting(at.start()[i]);
            if (in != last) {
                used++;
                began = at.start()[i];
                last = in;
            } else {
                time -= ended;
            }
            ended = at.end()[i] - began;
            time += ended;
        }
        return new long[] {used, time};
    }

    /** Whether nothing that matters to the painter is worse, but for a minute. */
    static boolean asGood(long[] known, long[] found, boolean undisturbed) {
        return Arrays.compare(known, 0, 2, found, 0, 2) <= 0 && known[2] <= found[2] + SAME
                && (undisturbed || known[FRAGILE] <= found[FRAGILE]) && known[TOGETHER] <= found[TOGETHER] + SAME
                && known[END] <= found[END] + SAME;
    }
}
