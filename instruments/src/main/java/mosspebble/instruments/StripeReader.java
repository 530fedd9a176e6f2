package mosspebble.instruments;

import mosspebble.core.colour.Paint;
import mosspebble.core.units.Srgb;

/** A colour reader held on a stripe of one coat, painted across the printed card. */
public interface StripeReader extends Instrument {

    /** Where the reader is held. */
    enum Patch { OVER_BLACK, OVER_WHITE, WET, DRY }

    /** Whether the dry patch is a paint of its own to read, not the shelf's own colour given back. */
    boolean readsSwatch();

    /** One reading. */
    Srgb read(Paint paint, Patch patch);
}
