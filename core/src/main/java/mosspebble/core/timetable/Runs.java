package mosspebble.core.timetable;

import java.util.Arrays;
import java.util.function.BooleanSupplier;
import java.util.function.Function;

/** Pieces that are alike and follow each other in an order, and how they are drawn together. */
final class Runs {

    private final int[][] behind;
    private final Function<int[], long[]> cost;
    private final long tries;
    private final BooleanSupplier unwanted;

    /**
     * @param behind what waits for each piece
     * @param cost of an order; the smaller the better, the first number first
     * @param tries orders that are looked at for one answer
     */
    Runs(int[][] behind, Function<int[], long[]> cost, long tries, BooleanSupplier unwanted) {
        this.behind = behind;
        this.cost = cost;
        this.tries = tries;
        this.unwanted = unwanted;
    }

    /**
     * Draws each run and the next that is alike together, whole or by a piece, as long as that is better.
     *
     * @param by what makes each piece alike, such as the number of its stone
     */
    int[] together(int[] order, int[] by) {
        int[] best = order;
        long[] least = cost.apply(best);
        long left = tries;
        for (boolean again = true; again;) {
            again = false;
            for (int from = 0; from < best.length; from = end(best, by, from)) {
                int end = end(best, by, from);
                int next = end;
                while (next < best.length && by[best[next]] != by[best[from]]) {
                    next++;
                }
                if (next == best.length) {
                    continue;
                }
                int[][] ways = {{end, next, end(best, by, next)}, {from, end, next}, {end, next, next + 1}, {end - 1, end, next}};
                for (int[] way : ways) {
                    if (waitsBetween(best, way[0], way[1], way[2])) {
                        continue;
                    }
                    if (left-- <= 0 || unwanted.getAsBoolean()) {
                        return best;
                    }
                    int[] tried = turned(best, way[0], way[1], way[2]);
                    long[] now = cost.apply(tried);
                    if (Arrays.compare(now, least) < 0) {
                        best = tried;
                        least = now;
                        again = true;
                        break;
                    }
                }
            }
        }
        return best;
    }

    /** Where the run that begins at a place ends. */
    private static int end(int[] order, int[] by, int from) {
        int end = from + 1;
        while (end < order.length && by[order[end]] == by[order[from]]) {
            end++;
        }
        return end;
    }

    /** Whether something between a middle and an end waits for something between a beginning and the middle. */
    private boolean waitsBetween(int[] order, int from, int middle, int end) {
        boolean[] later = new boolean[order.length];
        for (int k = middle; k < end; k++) {
            later[order[k]] = true;
        }
        for (int k = from; k < middle; k++) {
            for (int j : behind[order[k]]) {
                if (later[j]) {
                    return true;
                }
            }
        }
        return false;
    }

    /** An order in which what lies between a middle and an end comes before what lies between a beginning and the middle. */
    private static int[] turned(int[] order, int from, int middle, int end) {
        int[] turned = order.clone();
        System.arraycopy(order, middle, turned, from, end - middle);
        System.arraycopy(order, from, turned, from + end - middle, middle - from);
        return turned;
    }
}
