package mosspebble.instruments;

import java.util.function.Supplier;
import mosspebble.core.photo.Photo;

/** Takes a photo of the stones on the sheet. */
public interface BenchCamera extends Instrument {

    /** The next photo. */
    Photo take();

    /**
     * A photo of the one stone that is being worked on. What is there is seen by a real camera; a stand-in must be told.
     *
     * @param there the stone and its face as it is to be seen
     */
    default Photo takeOf(Supplier<BenchScene.Lying> there) {
        return take();
    }
}
