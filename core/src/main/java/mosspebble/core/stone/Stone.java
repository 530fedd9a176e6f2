package mosspebble.core.stone;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;

/**
 * A stone as measured at the bench. Its own frame has the length across; it is painted turned the {@code wayUp}.
 *
 * @param shape how the outline is known
 * @param length extent along its length seen from above, 8 to 600 mm
 * @param width extent across, 8 to 600 mm
 * @param height full height, 2 to 400 mm
 * @param faceShare share of the height above the girdle, 0.05 to 1; 1 lies on a flat back
 * @param fullness exponent m of the face's inflation, 1 (half-ellipsoid) to 8 (flat with round shoulders)
 * @param backFullness the same of the back
 * @param wayUp turn of the stone before it is painted, degrees clockwise, 0 to under 360; 0 lays the length across
 * @param seed fixes what nature does: the grain and the irregular outline
 * @param patches marks on the relief of both sides
 */
public record Stone(Shape shape, Millimetres length, Millimetres width, Millimetres height, double faceShare, double fullness,
        double backFullness, double wayUp, long seed,
        List<Patch> patches, ZoneLimits limits, Skin skin) {

    public static final double SMALLEST_MM = 8;
    public static final double LARGEST_MM = 600;
    public static final double LOWEST_MM = 2;
    public static final double HIGHEST_MM = 400;

    /** Least share of the height above the girdle. */
    public static final double LEAST_FACE = 0.05;

    /** Fullness of the flattest top. */
    public static final double FULLEST = 8;

    /** Share of the height above the girdle on a stone with a rounded back (common practice, no source). */
    public static final double ROUNDED_FACE = 0.55;

    public Stone {
        Objects.requireNonNull(shape);
        Objects.requireNonNull(limits);
        Objects.requireNonNull(skin);
        check("length", length.value(), SMALLEST_MM, LARGEST_MM, " mm");
        check("width", width.value(), SMALLEST_MM, LARGEST_MM, " mm");
        check("height", height.value(), LOWEST_MM, HIGHEST_MM, " mm");
        check("share above the girdle", faceShare, LEAST_FACE, 1, "");
        check("fullness", fullness, 1, FULLEST, "");
        check("fullness of the back", backFullness, 1, FULLEST, "");
        check("way up", wayUp, 0, Math.nextDown(360.0), " degrees");
        patches = List.copyOf(patches);
        if (patches.size() > Patch.MOST) {
            throw new IllegalArgumentException("A stone keeps at most " + Patch.MOST + " marks, had " + patches.size() + ".");
        }
    }

    private static void check(String what, double value, double low, double high, String unit) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException("The " + what + " of a stone must be " + Numbers.shortText(low) + " to "
                    + Numbers.shortText(high) + unit + ", was " + Numbers.shortText(value) + unit + ".");
        }
    }

    /** A middling cobble to begin with. */
    public static Stone cobble() {
        return new Stone(new Shape.Grown(Form.OVAL, 0.85, 0.3), new Millimetres(96), new Millimetres(74), new Millimetres(31), ROUNDED_FACE,
                2, 2, 0, 7, List.of(), ZoneLimits.usual(),
                Skin.of(RockKind.GRANITE, Texture.SMOOTH, Srgb.ofHex("#8d8b86")));
    }

    public RockKind rock() {
        return skin.rock();
    }

    public Texture texture() {
        return skin.texture();
    }

    /** Open pores by volume. */
    public double porosity() {
        return skin.porosity();
    }

    /** Colour of the dry, bare stone. */
    public Srgb colour() {
        return skin.colour();
    }

    public boolean flatBack() {
        return faceShare == 1;
    }

    /** Height of the face over the girdle, mm. */
    public double faceHeightMm() {
        return height.value() * faceShare;
    }

    /** Depth of the back below the girdle, mm; 0 for a flat back. */
    public double backDepthMm() {
        return height.value() - faceHeightMm();
    }

    public Stone withShape(Shape newShape) {
        return new Stone(newShape, length, width, height, faceShare, fullness, backFullness, wayUp, seed, patches, limits, skin);
    }

    /** With an outline in mm: its length and width follow from it. */
    public Stone withOutline(Shape.Measured outline) {
        double[] box = StoneOutline.extent(outline);
        return new Stone(outline, new Millimetres(box[0]), new Millimetres(box[1]), height, faceShare, fullness, backFullness, wayUp, seed,
                patches, limits, skin);
    }

    public Stone withSize(Millimetres newLength, Millimetres newWidth, Millimetres newHeight) {
        return new Stone(shape, newLength, newWidth, newHeight, faceShare, fullness, backFullness, wayUp, seed, patches, limits, skin);
    }

    public Stone withDome(double newFaceShare, double newFullness) {
        return new Stone(shape, length, width, height, newFaceShare, newFullness, backFullness, wayUp, seed, patches, limits, skin);
    }

    public Stone withBackFullness(double newBackFullness) {
        return new Stone(shape, length, width, height, faceShare, fullness, newBackFullness, wayUp, seed, patches, limits, skin);
    }

    /** @param degrees clockwise; whole turns are taken off */
    public Stone withWayUp(double degrees) {
        double turned = (degrees % 360 + 360) % 360;
        return new Stone(shape, length, width, height, faceShare, fullness, backFullness, turned < 360 ? turned : 0, seed, patches, limits,
                skin);
    }

    public Stone withSeed(long newSeed) {
        return new Stone(shape, length, width, height, faceShare, fullness, backFullness, wayUp, newSeed, patches, limits, skin);
    }

    public Stone withPatches(List<Patch> newPatches) {
        return new Stone(shape, length, width, height, faceShare, fullness, backFullness, wayUp, seed, newPatches, limits, skin);
    }

    public Stone plus(Patch patch) {
        List<Patch> more = new ArrayList<>(patches);
        more.add(patch);
        return withPatches(more);
    }

    public Stone withLimits(ZoneLimits newLimits) {
        return new Stone(shape, length, width, height, faceShare, fullness, backFullness, wayUp, seed, patches, newLimits, skin);
    }

    public Stone withSkin(Skin newSkin) {
        return new Stone(shape, length, width, height, faceShare, fullness, backFullness, wayUp, seed, patches, limits, newSkin);
    }

    /** Turned over like a page: what was the back is painted now, the outline is mirrored. A flat back becomes a flat face. */
    public Stone turnedOver() {
        Shape.Measured mirrored = StoneOutline.mirrored(this);
        double share = Math.max(LEAST_FACE, 1 - faceShare);
        return new Stone(mirrored, length, width, height, faceShare <= LEAST_FACE ? 1 : share, flatBack() ? FULLEST : backFullness,
                fullness, (360 - wayUp) % 360, seed,
                patches.stream().map(Patch::turnedOver).toList(), limits, skin);
    }
}
