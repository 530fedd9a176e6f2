package mosspebble.instruments;

import mosspebble.core.units.Srgb;

/** Reads the colour of a small patch it is held on. */
public interface ColourReader extends Instrument {

    /** One reading. */
    Srgb read();
}
