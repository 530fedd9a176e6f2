package mosspebble.core.colour;

import java.util.Objects;
import mosspebble.core.units.Millilitres;

/**
 * What a paint comes in.
 *
 * @param left what is left in it
 * @param full what it held new, 0 if not known, up to 10 l
 * @param price of a full one in the painter's own money, 0 if not known
 */
public record Pot(Millilitres left, Millilitres full, double price) {

    private static final double MOST_ML = 10_000;
    private static final double MOST_PRICE = 100_000;

    public Pot {
        Objects.requireNonNull(left);
        Objects.requireNonNull(full);
        check("amount left in ml", left.value(), MOST_ML);
        check("size of the pot in ml", full.value(), MOST_ML);
        check("price", price, MOST_PRICE);
    }

    private static void check(String what, double value, double most) {
        if (!(value >= 0 && value <= most)) {
            throw new IllegalArgumentException("the " + what + " must be 0 to " + (long) most + ", was " + value);
        }
    }

    /** Price of so many millilitres; 0 where price or size is not known. */
    public double costOf(double ml) {
        return full.value() > 0 ? price * ml / full.value() : 0;
    }
}
