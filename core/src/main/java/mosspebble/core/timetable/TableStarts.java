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

    /** When each piece begins and ends, seconds. */
    record Times(long[] start, long[] end) {}

    /** In the usual times. */
    Times of(int[] order) {
        return of(order, w.usual);
    }

    /** As soon as can be; what would lapse before what follows it is put off, where that helps. */
    Times of(int[] order, WorkNumbers.Times times) {
        Times first = starts(order, times, w.earliest);
        long[] least = w.earliest.clone();
        Times put = first;
        for (int round = 0; w.most != null && round < PUT_OFF; round++) {
            if (!putOff(put, times, least)) {
                return put;
            }
            put = starts(order, times, least);
        }
        return first;
    }

    /** Moves on what is done so early that it has lapsed when what follows is done; whether there was any. */
    private boolean putOff(Times at, WorkNumbers.Times times, long[] least) {
        boolean any = false;
        for (int i = 0; i < w.n; i++) {
            for (int k = 0; k < w.behind[i].length; k++) {
                long soonest = at.start[w.behind[i][k]] - Math.max(w.most[i][k], times.lag()[i][k]) - (at.end[i] - at.start[i]);
                if (at.start[i] < soonest) {
                    least[i] = Math.max(least[i], soonest);
                    any = true;
                }
            }
        }
        return any;
    }

    private Times starts(int[] order, WorkNumbers.Times times, long[] least) {
        long[] free = least.clone();
        long[] start = new long[w.n];
        long[] end = new long[w.n];
        Stands stands = new Stands(w);
        Damp damp = new Damp(w, times);
        long now = 0;
        for (int i : order) {
            start[i] = damp.begin(i, Math.max(now, Math.max(free[i], stands.free(i))));
            end[i] = start[i] + damp.takes(i, start[i]);
            now = end[i];
            damp.take(i, start[i]);
            stands.take(i, now + times.stays()[i]);
            for (int k = 0; k < w.behind[i].length; k++) {
                free[w.behind[i][k]] = Math.max(free[w.behind[i][k]], now + w.lag(times, i, k, start[i]));
            }
        }
        return new Times(start, end);
    }

    /** What is damp on the palette as the work goes on. */
    static final class Damp {

        private final WorkNumbers w;
        private final WorkNumbers.Times times;
        private final long[] until;

        Damp(WorkNumbers w, WorkNumbers.Times times) {
            this.w = w;
            this.times = times;
            this.until = w.damp.clone();
        }

        /** When a piece can begin that may begin from a time on: what is damp then may have dried up when there is time for it. */
        long begin(int i, long from) {
            long start = from;
            for (long takes = -1; takes != takes(i, start);) {
                takes = takes(i, start);
                start = w.begin(i, start, takes);
            }
            return start;
        }

        /** How long a piece takes that begins at a time. */
        long takes(int i, long start) {
            long takes = times.hand()[i];
            for (int k = 0; w.mixes != null && k < w.mixes[i].length; k++) {
                takes -= until[w.mixes[i][k]] >= start ? times.saves()[i][k] : 0;
            }
            return Math.max(0, takes);
        }

        /** Begins a piece: what is not damp is mixed. */
        void take(int i, long start) {
            for (int k = 0; w.mixes != null && k < w.mixes[i].length; k++) {
                int mix = w.mixes[i][k];
                until[mix] = until[mix] >= start ? until[mix] : start + w.kept;
            }
        }
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
