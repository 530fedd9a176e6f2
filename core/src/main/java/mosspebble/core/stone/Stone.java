package mosspebble.core.stone;

import java.util.Objects;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;

/**
 * A stone as measured at the bench.
 *
 * @param length longest measure seen from above, 8 to 600 mm
 * @param width measure across the length, 8 to 600 mm
 * @param height full height, 2 to 400 mm
 * @param roundness outline between a soft-cornered slab (0) and an ellipse (1)
 * @param irregularity how far nature departs from that, 0 to 1
 * @param flatTop shoulder: 0 is the half-ellipsoid, 1 a flat face with round shoulders
 * @param flatBack whether it lies on a flat back; else the back is rounded and takes 45 % of the height
 * @param wayUp turn of the stone before it is painted, degrees clockwise, 0 to under 360; 0 lays the length across
 * @param seed fixes the irregular outline and the grain
 * @param porosity open pores by volume, 0 to 0.5
 * @param colour colour of the dry, bare stone
 */
public record Stone(Millimetres length, Millimetres width, Millimetres height, double roundness, double irregularity, double flatTop,
        boolean flatBack, double wayUp, long seed, RockKind rock, Texture texture, double porosity, Srgb colour) {

    public static final double SMALLEST_MM = 8;
    public static final double LARGEST_MM = 600;
    public static final double LOWEST_MM = 2;
    public static final double HIGHEST_MM = 400;

    /** Share of the height above the girdle on a stone with a rounded back (common practice, no source). */
    private static final double FACE_SHARE = 0.55;

    public Stone {
        check("length", length.value(), SMALLEST_MM, LARGEST_MM, " mm");
        check("width", width.value(), SMALLEST_MM, LARGEST_MM, " mm");
        check("height", height.value(), LOWEST_MM, HIGHEST_MM, " mm");
        check("roundness", roundness, 0, 1, "");
        check("irregularity", irregularity, 0, 1, "");
        check("flat top", flatTop, 0, 1, "");
        check("way up", wayUp, 0, Math.nextDown(360.0), " degrees");
        check("porosity", porosity, 0, 0.5, " by volume");
        Objects.requireNonNull(rock);
        Objects.requireNonNull(texture);
        Objects.requireNonNull(colour);
    }

    private static void check(String what, double value, double low, double high, String unit) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException("The " + what + " of a stone must be " + Numbers.shortText(low) + " to "
                    + Numbers.shortText(high) + unit + ", was " + Numbers.shortText(value) + unit + ".");
        }
    }

    /** A middling cobble to begin with. */
    public static Stone cobble() {
        return new Stone(new Millimetres(96), new Millimetres(74), new Millimetres(31), 0.85, 0.3, 0.2, false, 0, 7,
                RockKind.GRANITE, Texture.SMOOTH, RockKind.GRANITE.porosity(), Srgb.ofHex("#8d8b86"));
    }

    /** Height of the face over the girdle, mm. */
    public double faceHeightMm() {
        return flatBack ? height.value() : height.value() * FACE_SHARE;
    }

    /** Depth of the back below the girdle, mm; 0 for a flat back. */
    public double backDepthMm() {
        return height.value() - faceHeightMm();
    }

    /** Exponent m of the inflation: 1 (half-ellipsoid) to 6 (flat face). */
    public double fullness() {
        return 1 + 5 * flatTop;
    }

    public Stone withSize(Millimetres newLength, Millimetres newWidth, Millimetres newHeight) {
        return new Stone(newLength, newWidth, newHeight, roundness, irregularity, flatTop, flatBack, wayUp, seed, rock, texture, porosity, colour);
    }

    public Stone withForm(double newRoundness, double newIrregularity, double newFlatTop, boolean newFlatBack, double newWayUp) {
        return new Stone(length, width, height, newRoundness, newIrregularity, newFlatTop, newFlatBack, newWayUp, seed, rock, texture, porosity, colour);
    }

    public Stone withSurface(RockKind newRock, Texture newTexture, double newPorosity, Srgb newColour) {
        return new Stone(length, width, height, roundness, irregularity, flatTop, flatBack, wayUp, seed, newRock, newTexture, newPorosity, newColour);
    }
}
