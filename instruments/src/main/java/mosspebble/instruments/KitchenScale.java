package mosspebble.instruments;

import mosspebble.core.units.Grams;

/** Weighs what lies on it. */
public interface KitchenScale extends Instrument {

    /** One reading. */
    Grams read();
}
