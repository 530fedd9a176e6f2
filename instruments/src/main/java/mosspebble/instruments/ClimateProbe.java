package mosspebble.instruments;

import java.time.LocalTime;
import mosspebble.core.drying.Climate;

/** Reads the air at the bench. */
public interface ClimateProbe {

    /** Words for the screen: which probe this is. */
    String label();

    /** The air at a time of day. */
    Climate read(LocalTime at);
}
