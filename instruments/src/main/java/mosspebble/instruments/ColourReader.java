package mosspebble.instruments;

import mosspebble.core.units.Srgb;

/** Reads the colour of a small patch it is held on. */
public interface ColourReader {

    /** Words for the screen: which reader this is. */
    String label();

    /** One reading. */
    Srgb read();
}
