package mosspebble.core.timetable;

import java.time.Instant;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * What no timetable of a workload can beat. The end is that of one machine with heads and tails whose work may be interrupted (J. R.
 * Jackson 1955), within the hours; each place that holds one stone is such a machine too.
 */
final class TableBounds {

    private final WorkNumbers w;

    TableBounds(WorkNumbers w) {
        this.w = w;
    }

    /** When each stone could be ready if it were the only one. */
    Map<String, Instant> soonest() {
        long[] start = heads();
        Map<String, Instant> ready = new TreeMap<>();
        for (int i = 0; i < w.n; i++) {
            ready.merge(w.stones.get(w.stone[i]), w.instant(start[i] + w.leastHand[i] + w.dries[i]), (a, b) -> a.isAfter(b) ? a : b);
        }
        return ready;
    }

    private long[] heads() {
        long[] start = w.earliest.clone();
        for (int i : w.sorted) {
            start[i] = w.begin(i, start[i], w.leastHand[i]);
            for (int k = 0; k < w.behind[i].length; k++) {
                start[w.behind[i][k]] = Math.max(start[w.behind[i][k]], start[i] + w.leastHand[i] + w.leastLag[i][k]);
            }
        }
        return start;
    }

    /** No timetable ends sooner. */
    long bound() {
        long[] head = heads();
        long bound = machine(IntStream.range(0, w.n).toArray(), head, w.leastHand, w.tail, true);
        for (int p = 0; p < w.holds.length; p++) {
            if (w.holds[p] == 1) {
                int at = p;
                int[] there = IntStream.range(0, w.n).filter(i -> w.place[i] == at).toArray();
                long[] stood = IntStream.range(0, w.n).mapToLong(i -> w.leastHand[i] + w.stays[i]).toArray();
                long[] after = IntStream.range(0, w.n).mapToLong(i -> w.tail[i] - w.stays[i]).toArray();
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
                long[] sitting = w.hours.hour(w.hours.sitting(now));
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
        long longest = w.of.hours().stream().mapToLong(h -> h.length().toSeconds()).max().orElseThrow();
        long[] count = new long[w.n];
        long[] used = w.leastHand.clone();
        Arrays.fill(count, 1);
        long most = (Arrays.stream(w.leastHand).sum() + longest - 1) / longest;
        for (int i : w.sorted) {
            most = Math.max(most, count[i]);
            for (int k = 0; k < w.behind[i].length; k++) {
                int j = w.behind[i][k];
                long together = used[i] + w.leastLag[i][k] + w.leastHand[j];
                long then = together <= longest ? count[i] : count[i] + 1;
                long filled = together <= longest ? together : w.leastHand[j];
                if (then > count[j] || then == count[j] && filled > used[j]) {
                    count[j] = then;
                    used[j] = filled;
                }
            }
        }
        return (int) (w.n == 0 ? 0 : Math.max(1, most));
    }
}
