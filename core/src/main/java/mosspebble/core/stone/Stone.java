package mosspebble.core.stone;

import io.soabase.recordbuilder.core.RecordBuilder;
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
 * @param wayUp turn of the stone before it is painted, degrees clockwise, 0 to under 360; 0 lays the length across
 * @param seed fixes what nature does: the grain and the irregular outline
 * @param patches marks on the relief of both sides
 */
@RecordBuilder
public record Stone(Shape shape, Size size, Swell swell, double wayUp, long seed, List<Patch> patches, ZoneLimits limits, Skin skin)
        implements
        StoneBuilder.With {

    /** What is measured of a stone with a ruler. */
    public enum Measure { LENGTH, WIDTH, HEIGHT }

    /**
     * Its box.
     *
     * @param length extent along its length seen from above, 8 to 600 mm
     * @param width extent across, 8 to 600 mm
     * @param height full height, 2 to 400 mm
     */
    @RecordBuilder
    public record Size(Millimetres length, Millimetres width, Millimetres height) implements StoneSizeBuilder.With {
        public Size {
            check("length", length.value(), SMALLEST_MM, LARGEST_MM, " mm");
            check("width", width.value(), SMALLEST_MM, LARGEST_MM, " mm");
            check("height", height.value(), LOWEST_MM, HIGHEST_MM, " mm");
        }

        /** One of its measures. */
        public Millimetres of(Measure measure) {
            return switch (measure) {
                case LENGTH -> length;
                case WIDTH -> width;
                case HEIGHT -> height;
            };
        }
    }

    /**
     * How it bulges over and under the girdle.
     *
     * @param faceShare share of the height above the girdle, 0.05 to 1; 1 lies on a flat back
     * @param fullness exponent m of the face's inflation, 1 (half-ellipsoid) to 8 (flat with round shoulders)
     * @param backFullness the same of the back
     */
    @RecordBuilder
    public record Swell(double faceShare, double fullness, double backFullness) implements StoneSwellBuilder.With {
        public Swell {
            check("share above the girdle", faceShare, LEAST_FACE, 1, "");
            check("fullness", fullness, 1, FULLEST, "");
            check("fullness of the back", backFullness, 1, FULLEST, "");
        }
    }

    /** Open porosity below which stone is glassy (common practice, no source). */
    private static final double GLASSY = 0.02;

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
        Objects.requireNonNull(size);
        Objects.requireNonNull(swell);
        Objects.requireNonNull(limits);
        Objects.requireNonNull(skin);
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
        return new Stone(new Shape.Grown(Form.OVAL, 0.85, 0.3), new Size(new Millimetres(96), new Millimetres(74), new Millimetres(31)),
                new Swell(ROUNDED_FACE, 2, 2), 0, 7, List.of(), ZoneLimits.usual(),
                Skin.of(RockKind.GRANITE, Texture.SMOOTH, Srgb.ofHex("#8d8b86")));
    }

    public Millimetres length() {
        return size.length();
    }

    public Millimetres width() {
        return size.width();
    }

    public Millimetres height() {
        return size.height();
    }

    public double faceShare() {
        return swell.faceShare();
    }

    public double fullness() {
        return swell.fullness();
    }

    public double backFullness() {
        return swell.backFullness();
    }

    public RockKind rock() {
        return skin.rock();
    }

    public Texture texture() {
        return skin.texture();
    }

    /** Whether its pores are so few that primer does not grip on its skin unless that is dulled. */
    public boolean isGlassy() {
        return porosity() < GLASSY;
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
        return faceShare() == 1;
    }

    /** Height of the face over the girdle, mm. */
    public double faceHeightMm() {
        return size.height().value() * swell.faceShare();
    }

    /** Depth of the back below the girdle, mm; 0 for a flat back. */
    public double backDepthMm() {
        return size.height().value() - faceHeightMm();
    }

    /** With an outline in mm: its length and width follow from it. */
    public Stone withOutline(Shape.Measured outline) {
        double[] box = StoneOutline.extent(outline);
        return withShape(outline).withSize(size.withLength(new Millimetres(box[0])).withWidth(new Millimetres(box[1])));
    }

    public Stone withSize(Millimetres newLength, Millimetres newWidth, Millimetres newHeight) {
        return withSize(new Size(newLength, newWidth, newHeight));
    }

    public Stone withDome(double newFaceShare, double newFullness) {
        return withSwell(new Swell(newFaceShare, newFullness, backFullness()));
    }

    public Stone withBackFullness(double newBackFullness) {
        return withSwell(swell.withBackFullness(newBackFullness));
    }

    /** @param degrees clockwise; whole turns are taken off */
    @Override
    public Stone withWayUp(double degrees) {
        double turned = (degrees % 360 + 360) % 360;
        return new Stone(shape, size, swell, turned < 360 ? turned : 0, seed, patches, limits, skin);
    }

    public Stone plus(Patch patch) {
        List<Patch> more = new ArrayList<>(patches);
        more.add(patch);
        return withPatches(more);
    }

    /** Turned over like a page: what was the back is painted now, the outline is mirrored. A flat back becomes a flat face. */
    public Stone turnedOver() {
        Shape.Measured mirrored = StoneOutline.mirrored(this);
        double share = faceShare() <= LEAST_FACE ? 1 : Math.max(LEAST_FACE, 1 - faceShare());
        return new Stone(mirrored, size, new Swell(share, flatBack() ? FULLEST : backFullness(), fullness()), (360 - wayUp) % 360, seed,
                patches.stream().map(Patch::turnedOver).toList(), limits, skin);
    }
}
