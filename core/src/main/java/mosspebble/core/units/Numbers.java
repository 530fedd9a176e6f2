package mosspebble.core.units;

import java.util.Locale;

/** Numbers as a painter reads them: few digits, a decimal point, no trailing zeros. */
public final class Numbers {

    private Numbers() {}

    /** At most one decimal from 10 up, two below; "12", "3.5", "0.25". */
    public static String shortText(double value) {
        return text(value, Math.abs(value) >= 10 ? 1 : 2);
    }

    /** At most {@code decimals} digits after the point (0 to 6), trailing zeros dropped. */
    public static String text(double value, int decimals) {
        String fixed = String.format(Locale.ROOT, "%." + decimals + "f", value);
        if (fixed.contains(".")) {
            fixed = fixed.replaceAll("0+$", "").replaceAll("\\.$", "");
        }
        return fixed.equals("-0") ? "0" : fixed;
    }
}
