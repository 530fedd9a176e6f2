package mosspebble.instruments;

import mosspebble.core.photo.Photo;

/** Takes a photo of the stones on the sheet. */
public interface BenchCamera {

    /** Words for the screen: which camera this is. */
    String label();

    /** The next photo. */
    Photo take();
}
