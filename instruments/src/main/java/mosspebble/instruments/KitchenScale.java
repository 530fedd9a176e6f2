package mosspebble.instruments;

import mosspebble.core.units.Grams;

/** Weighs what lies on it. */
public interface KitchenScale {

    /** Words for the screen: which scale this is. */
    String label();

    /** One reading. */
    Grams read();
}
