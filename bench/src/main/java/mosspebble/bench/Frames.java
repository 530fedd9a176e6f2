package mosspebble.bench;

import java.util.Arrays;
import java.util.Locale;

/**
 * Frames of a window that was kept moving: how far apart they begin, and how long the interface thread is busy with each, from what moves
 * it until it is laid out. How far apart they begin cannot be below the screen's beat, and trembles with it; an empty window says how much.
 */
final class Frames {

    /** So many of the first are not counted: they compile and fill caches. */
    static final int WARM = 20;

    private final double[] apart;
    private final double[] busy;
    private int begun;
    private int laidOut;
    private long last;

    /** @param frames so many are counted, at least 1 */
    Frames(int frames) {
        if (frames < 1) {
            throw new IllegalArgumentException("At least one frame is counted, was " + frames + ".");
        }
        apart = new double[frames];
        busy = new double[frames];
    }

    /**
     * A frame begins.
     *
     * @param nanos of the system's clock
     * @return whether another is wanted
     */
    boolean begins(long nanos) {
        int counted = begun - WARM - 1;
        if (counted >= 0 && counted < apart.length) {
            apart[counted] = (nanos - last) / 1e6;
        }
        last = nanos;
        begun++;
        return begun <= apart.length + WARM;
    }

    /** The frame that began last is laid out; what comes after the last one wanted does not count. */
    void isLaidOut(long nanos) {
        int counted = laidOut - WARM;
        if (begun > laidOut) {
            laidOut = begun;
            if (counted >= 0 && counted < busy.length) {
                busy[counted] = (nanos - last) / 1e6;
            }
        }
    }

    /** Median and 95th percentile of how far apart frames begin, the same of how long each keeps the interface thread; ms. */
    String summary() {
        return text(apart) + " " + text(busy);
    }

    private static String text(double[] times) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        return String.format(Locale.ROOT, "%.2f %.2f", sorted[sorted.length / 2], sorted[(int) (sorted.length * 0.95)]);
    }
}
