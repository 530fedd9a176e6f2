package mosspebble.core.timetable;

import java.util.Arrays;

/** When the pieces of a workload begin if they are done in a certain order. */
final class TableStarts {

    /** So often what would lapse is put off in one order. */
    private static final int PUT_OFF = 12;

    private final WorkNumbers w;

    TableStarts(WorkNumbers w) {
        this.w = w;
    }

    /** In the usual times. */
    long[] of(int[] order) {
        return of(order, w.usual);
    }

    /** As soon as can be; what would lapse before what follows it is put off, where that helps. */
    long[] of(int[] order, WorkNumbers.Times times) {
        long[] start = starts(order, times, w.earliest);
        long[] least = w.earliest.clone();
        long[] put = start;
        for (int round = 0; w.most != null && round < PUT_OFF; round++) {
            if (!putOff(put, times, least)) {
                return put;
            }
            put = starts(order, times, least);
        }
        return start;
    }

    /** Moves on what is done so early that it has lapsed when what follows is done; whether there was any. */
    private boolean putOff(long[] start, WorkNumbers.Times times, long[] least) {
        boolean any = false;
        for (int i = 0; i < w.n; i++) {
            for (int k = 0; k < w.behind[i].length; k++) {
                long soonest = start[w.behind[i][k]] - Math.max(w.most[i][k], times.lag()[i][k]) - times.hand()[i];
                if (start[i] < soonest) {
                    least[i] = Math.max(least[i], soonest);
                    any = true;
                }
            }
        }
        return any;
    }

    private long[] starts(int[] order, WorkNumbers.Times times, long[] least) {
        long[] free = least.clone();
        long[] start = new long[w.n];
        Stands stands = new Stands(w);
        long now = 0;
        for (int i : order) {
            start[i] = w.begin(i, Math.max(now, Math.max(free[i], stands.free(i))), times.hand()[i]);
            now = start[i] + times.hand()[i];
            stands.take(i, now + times.stays()[i]);
            for (int k = 0; k < w.behind[i].length; k++) {
                free[w.behind[i][k]] = Math.max(free[w.behind[i][k]], now + w.lag(times, i, k, start[i]));
            }
        }
        return start;
    }

    /** Until when the shared places are taken: each piece begins no sooner than the one before, so that no gap is left to be filled. */
    static final class Stands {

        private final WorkNumbers w;
        private final long[][] taken;

        Stands(WorkNumbers w) {
            this.w = w;
            this.taken = new long[w.holds.length][];
            Arrays.setAll(taken, p -> new long[w.holds[p]]);
        }

        /** When there is room for a piece. */
        long free(int i) {
            return w.place[i] < 0 ? 0 : taken[w.place[i]][first(w.place[i])];
        }

        void take(int i, long until) {
            if (w.place[i] >= 0) {
                taken[w.place[i]][first(w.place[i])] = until;
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
}
