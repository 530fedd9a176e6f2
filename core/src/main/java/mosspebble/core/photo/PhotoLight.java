package mosspebble.core.photo;

/** How bright white is everywhere in a photo. */
@FunctionalInterface
public interface PhotoLight {

    /**
     * The light at a place as the camera saw it.
     *
     * @param x in the photo, pixels
     * @param linear receives what a surface that reflects all would give in red, green and blue, linear, 1 the sensor's brightest
     */
    void at(double x, double y, double[] linear);
}
