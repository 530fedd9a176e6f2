package mosspebble.instruments;

import java.time.LocalTime;
import mosspebble.core.drying.Climate;

/** Reads the air at the bench. */
public interface ClimateProbe extends Instrument {

    /** The air at a time of day. */
    Climate read(LocalTime at);
}
