package mosspebble.core.units;

import java.util.function.DoublePredicate;

/**
 * The place at which a condition that holds on one side ceases to hold, found by halving the interval: it shrinks by half with every
 * look, whatever the condition.
 *
 * @param low last place at which the condition was seen to hold, or the lower end where it never was
 * @param high first place at which it was seen not to hold, or the upper end
 * @param looks how often it was looked
 */
public record Bisection(double low, double high, int looks) {

    /**
     * Halves an interval.
     *
     * @param low where the condition holds
     * @param high where it does not
     * @param halvings how often, 1 or more
     */
    public static Bisection of(double low, double high, int halvings, DoublePredicate holds) {
        check(low, high, halvings);
        double from = low;
        double to = high;
        for (int i = 0; i < halvings; i++) {
            double middle = (from + to) / 2;
            if (holds.test(middle)) {
                from = middle;
            } else {
                to = middle;
            }
        }
        return new Bisection(from, to, halvings);
    }

    /** The same where the condition may hold all the way: the upper end is looked at first. */
    public static Bisection largest(double low, double high, int halvings, DoublePredicate holds) {
        check(low, high, halvings);
        return holds.test(high) ? new Bisection(high, high, 1) : of(low, high, halvings, holds);
    }

    /** The same over many powers of ten: the interval is halved in its logarithm; both ends above 0. */
    public static Bisection logarithmic(double low, double high, int halvings, DoublePredicate holds) {
        check(low, high, halvings);
        double from = low;
        double to = high;
        for (int i = 0; i < halvings; i++) {
            double middle = Math.sqrt(from * to);
            if (holds.test(middle)) {
                from = middle;
            } else {
                to = middle;
            }
        }
        return new Bisection(from, to, halvings);
    }

    private static void check(double low, double high, int halvings) {
        if (!(low <= high) || halvings < 1) {
            throw new IllegalArgumentException("halving needs a low end, a high one not below it and one halving or more, had " + low
                    + ", " + high + ", " + halvings);
        }
    }

    public double middle() {
        return (low + high) / 2;
    }

    /** How far off the middle can be. */
    public double uncertainty() {
        return (high - low) / 2;
    }
}
