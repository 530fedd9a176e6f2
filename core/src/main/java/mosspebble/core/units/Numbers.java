package mosspebble.core.units;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Numbers as a painter reads them: few digits, a decimal point, no trailing zeros. */
public final class Numbers {

    private Numbers() {}

    /** At most one decimal from 10 up, two below; "12", "3.5", "0.25". */
    public static String shortText(double value) {
        return text(value, Math.abs(value) >= 10 ? 1 : 2);
    }

    /** At most {@code decimals} digits after the point (0 to 6), trailing zeros dropped. */
    public static String text(double value, int decimals) {
        if (!Double.isFinite(value)) {
            return String.valueOf(value);
        }
        BigDecimal fixed = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
        return fixed.signum() == 0 ? "0" : fixed.scale() > 0 ? fixed.stripTrailingZeros().toPlainString() : fixed.toPlainString();
    }
}
