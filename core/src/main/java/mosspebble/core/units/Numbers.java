package mosspebble.core.units;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Numbers as a painter reads them: few digits, a decimal point, no trailing zeros. */
public final class Numbers {

    /** Half a drop: less than that is not measured out (common practice, no source). */
    private static final double LEAST_ML = 0.025;

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

    /**
     * A number as people write it: with a point or a comma before the decimals, and thousands set apart by the other one ({@code 9,2},
     * {@code 9.2}, {@code 1,234.5}, {@code 1.234,5}). A single comma or point is
     * always the decimal one.
     *
     * @throws NumberFormatException if it is none
     */
    public static double parse(String text) {
        String plain = text.strip();
        int comma = plain.lastIndexOf(',');
        int point = plain.lastIndexOf('.');
        if (comma >= 0 && point >= 0) {
            char apart = comma < point ? ',' : '.';
            String head = plain.substring(0, Math.max(comma, point));
            if (!head.matches("[-+]?[0-9]{1,3}(" + (apart == ',' ? "," : "\\.") + "[0-9]{3})+")) {
                throw new NumberFormatException(text);
            }
            plain = head.replace(String.valueOf(apart), "") + "." + plain.substring(Math.max(comma, point) + 1);
        } else {
            plain = plain.replace(',', '.');
        }
        if (!plain.matches("[-+]?([0-9]+\\.?[0-9]*|\\.[0-9]+)([eE][-+]?[0-9]{1,3})?")) {
            throw new NumberFormatException(text);
        }
        return Double.parseDouble(plain);
    }

    /** An amount of paint as a hand would say it: what is less than a drop is a touch. */
    public static String millilitres(double ml) {
        return ml < LEAST_ML ? "a touch" : text(ml, ml < 1 ? 2 : ml < 10 ? 1 : 0) + " ml";
    }

    /** A sum in the painter's own money, always to the hundredth. */
    public static String money(double sum) {
        return BigDecimal.valueOf(sum).setScale(2, RoundingMode.HALF_UP).toPlainString();
    }
}
