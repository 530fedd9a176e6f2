package mosspebble.instruments;

import mosspebble.core.photo.Photo;

/** Takes a photo of the stones on the sheet. */
public interface BenchCamera extends Instrument {

    /** The next photo. */
    Photo take();
}
