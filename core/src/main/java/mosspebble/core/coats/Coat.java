package mosspebble.core.coats;

import mosspebble.core.colour.PaintOptics;
import mosspebble.core.units.Srgb;

/**
 * One coat as it is laid.
 *
 * @param name the mix in words
 * @param swatch colour of the thick film, for drawing it
 * @param dryUm dry thickness, µm
 * @param dryingShift L* wet minus dry
 * @param sheen how its surface plays with light
 * @param step number of the operation that lays it, from 0
 */
public record Coat(String name, Srgb swatch, PaintOptics optics, double dryUm, double dryingShift, Sheen sheen, int step) {

    /** The same paint laid so many times as thick. */
    public Coat times(double thickness) {
        return thickness == 1 ? this : new Coat(name, swatch, optics, dryUm * thickness, dryingShift, sheen, step);
    }
}
