package mosspebble.core.units;

import java.util.function.DoubleUnaryOperator;

/**
 * The least value of a function with one valley, found by golden section: of four places in the interval the two inner ones share it in the
 * golden ratio, so that each look serves twice (J. Kiefer, "Sequential minimax search for a maximum", Proc. AMS 4, 1953).
 *
 * @param at where the least value was found
 * @param value there
 * @param uncertainty how far off that place can be, in the units of the interval
 * @param atEnd whether the valley runs out of the interval: the least value is at one of its ends
 */
public record GoldenSection(double at, double value, double uncertainty, boolean atEnd) {

    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    /**
     * Searches an interval.
     *
     * @param low lower end
     * @param high upper end, not below it
     * @param looks how often the interval is made smaller by the golden ratio, 1 or more
     */
    public static GoldenSection minimum(double low, double high, int looks, DoubleUnaryOperator function) {
        if (!(low <= high) || looks < 1) {
            throw new IllegalArgumentException(
                    "golden section needs a low end, a high one not below it and one look or more, had " + low + ", " + high + ", "
                            + looks);
        }
        double from = low;
        double to = high;
        double a = to - GOLDEN * (to - from);
        double b = from + GOLDEN * (to - from);
        double atA = function.applyAsDouble(a);
        double atB = function.applyAsDouble(b);
        for (int i = 0; i < looks; i++) {
            if (atA < atB) {
                to = b;
                b = a;
                atB = atA;
                a = to - GOLDEN * (to - from);
                atA = function.applyAsDouble(a);
            } else {
                from = a;
                a = b;
                atA = atB;
                b = from + GOLDEN * (to - from);
                atB = function.applyAsDouble(b);
            }
        }
        double middle = (from + to) / 2;
        double half = (to - from) / 2;
        return new GoldenSection(middle, function.applyAsDouble(middle), half, middle - low <= 2 * half || high - middle <= 2 * half);
    }
}
