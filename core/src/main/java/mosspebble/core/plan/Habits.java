package mosspebble.core.plan;

import java.util.Objects;

/**
 * How this painter works: the schools of practice and the light.
 *
 * @param tolerance largest difference (CIEDE2000) to the full colour that counts as covered, 0.5 to 6: fussy 1, usual 2, easy 3
 * @param shade amount of shade and contact shadow, 0 to 1
 * @param lightFrom where the light on the stone comes from, degrees clockwise from straight up
 * @param dryer whether a hair dryer is used between coats
 * @param outdoors whether the stone will live outdoors
 */
public record Habits(Ground ground, Lines lines, LineColour lineColour, Primer primer, double tolerance, double shade, double lightFrom, boolean dryer, boolean outdoors) {

    /** Where the ground colour goes. */
    public enum Ground { AROUND, UNDER, BARE }

    /** When lines are drawn. */
    public enum Lines { LAST, FIRST }

    /** How the outline's colour is chosen. */
    public enum LineColour { CONTRAST, DARK }

    /** When primer is used. */
    public enum Primer { WHERE_NEEDED, WHOLE, NEVER }

    public Habits {
        Objects.requireNonNull(ground);
        Objects.requireNonNull(lines);
        Objects.requireNonNull(lineColour);
        Objects.requireNonNull(primer);
        check("the tolerance", tolerance, 0.5, 6);
        check("the shade", shade, 0, 1);
        if (!Double.isFinite(lightFrom)) {
            throw new IllegalArgumentException("the light must come from a number of degrees");
        }
        lightFrom = (lightFrom % 360 + 360) % 360;
    }

    private static void check(String what, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(what + " must be " + low + " to " + high + ", was " + value);
        }
    }

    public static Habits usual() {
        return new Habits(Ground.AROUND, Lines.LAST, LineColour.CONTRAST, Primer.WHERE_NEEDED, 2, 0.5, 320, false, true);
    }

    public Habits with(Ground newGround, Lines newLines, LineColour newLineColour, Primer newPrimer) {
        return new Habits(newGround, newLines, newLineColour, newPrimer, tolerance, shade, lightFrom, dryer, outdoors);
    }

    public Habits withTolerance(double newTolerance) {
        return new Habits(ground, lines, lineColour, primer, newTolerance, shade, lightFrom, dryer, outdoors);
    }

    public Habits withLight(double newShade, double newLightFrom) {
        return new Habits(ground, lines, lineColour, primer, tolerance, newShade, newLightFrom, dryer, outdoors);
    }

    public Habits withCare(boolean newDryer, boolean newOutdoors) {
        return new Habits(ground, lines, lineColour, primer, tolerance, shade, lightFrom, newDryer, newOutdoors);
    }
}
