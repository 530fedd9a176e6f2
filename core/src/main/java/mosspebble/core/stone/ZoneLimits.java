package mosspebble.core.stone;

import mosspebble.core.units.Numbers;

/**
 * Where the face ends and where the rim begins, by tilt of the surface.
 *
 * @param faceTilt degrees, 5 to 80
 * @param rimTilt degrees, above the face tilt, to 89
 */
public record ZoneLimits(double faceTilt, double rimTilt) {

    public ZoneLimits {
        if (!(faceTilt >= 5 && faceTilt <= 80)) {
            throw new IllegalArgumentException("The face may end at a tilt of 5 to 80°, was " + Numbers.shortText(faceTilt) + "°.");
        }
        if (!(rimTilt > faceTilt && rimTilt <= 89)) {
            throw new IllegalArgumentException("The rim must begin steeper than the face ends (" + Numbers.shortText(faceTilt)
                    + "°), up to 89°, was " + Numbers.shortText(rimTilt) + "°.");
        }
    }

    /** 35 and 65 degrees (common practice, no source). */
    public static ZoneLimits usual() {
        return new ZoneLimits(35, 65);
    }
}
