package mosspebble.core.timetable;

import java.time.Duration;
import java.util.List;

/**
 * By how much something takes this painter longer, or less long, than is usual. The logarithm of the factor is normal about 0 with a
 * spread of 0.35 before anything is known; each measured time strays about it by 0.4. What is known after n times is the normal posterior
 * of known variances (Gelman et al., Bayesian Data Analysis, section 2.5; from memory): the mean of the logarithms shrunk by
 * n / (n + 0.4² / 0.35²). A single wild value counts as three times as long at most, and fewer than three times say nothing.
 *
 * @param factor to the usual time; 1 while too little is known
 * @param low factor less one standard deviation
 * @param high factor and one standard deviation
 * @param count times it rests on
 */
public record Learned(double factor, double low, double high, int count) {

    /** Fewer times than that teach nothing. */
    public static final int LEAST = 3;

    private static final double PRIOR = 0.35;
    private static final double STRAY = 0.4;
    private static final double WILDEST = Math.log(3);

    /** Nothing is known. */
    public static final Learned NOTHING = new Learned(1, Math.exp(-PRIOR), Math.exp(PRIOR), 0);

    /** @param ratios measured to usual time, each above 0 */
    public static Learned of(List<Double> ratios) {
        int n = ratios.size();
        if (n < LEAST) {
            return new Learned(1, NOTHING.low, NOTHING.high, n);
        }
        double sum = ratios.stream().mapToDouble(r -> Math.max(-WILDEST, Math.min(WILDEST, Math.log(r)))).sum();
        double precision = 1 / (PRIOR * PRIOR) + n / (STRAY * STRAY);
        double mean = sum / (STRAY * STRAY) / precision;
        double spread = Math.sqrt(1 / precision);
        return new Learned(Math.exp(mean), Math.exp(mean - spread), Math.exp(mean + spread), n);
    }

    /** A usual time as it is for this painter, in whole seconds. */
    public Duration of(Duration usual) {
        return factor == 1 ? usual : Duration.ofSeconds(Math.round(usual.toMillis() * factor / 1_000));
    }

    /** What a usual time is at most for this painter, one standard deviation longer. */
    public Duration atMost(Duration usual) {
        return Duration.ofSeconds(Math.round(usual.toMillis() * high / 1_000));
    }
}
