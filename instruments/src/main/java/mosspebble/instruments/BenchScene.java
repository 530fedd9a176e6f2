package mosspebble.instruments;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;

/**
 * What lies before the simulated camera and how it is seen.
 *
 * @param stones on the sheet, with their places
 * @param sheet colour of the sheet
 * @param width of the photo, pixels
 */
@RecordBuilder
public record BenchScene(List<Lying> stones, Srgb sheet, int width, int height, Camera camera, Lamp lamp, CardOnSheet card, long seed)
        implements
        BenchSceneBuilder.With {

    /**
     * The camera; places in mm from the card's upper left corner.
     *
     * @param x place over the sheet
     * @param z height
     * @param aimX where it looks
     * @param roll turn of the picture, degrees
     * @param blurPx softness of the lens, standard deviation in pixels
     * @param noise standard deviation of the sensor's noise, codes of 255
     */
    @RecordBuilder
    public record Camera(double x, double y, double z, double aimX, double aimY, double roll, double blurPx, double noise)
            implements
            BenchSceneCameraBuilder.With {}

    /**
     * The light.
     *
     * @param uneven how much darker one side of it is, 0 to 0.5
     * @param from its direction, degrees clockwise from straight up
     * @param height its elevation, degrees
     * @param shadow share of the light that a shadow takes, 0 to 0.8
     */
    @RecordBuilder
    public record Lamp(double uneven, double from, double height, double shadow) implements BenchSceneLampBuilder.With {}

    /**
     * The scale card.
     *
     * @param there whether it lies there
     * @param hiddenMarks how many of its marks lie under something
     */
    public record CardOnSheet(boolean there, int hiddenMarks) {}

    /** Focal length of the simulated camera against the picture's longer side. */
    public static final double FOCAL = 0.8;

    public static final Srgb BLUE = Srgb.ofHex("#3f6fa8");
    public static final Srgb GREEN = Srgb.ofHex("#4d8a58");
    public static final Srgb WHITE = Srgb.ofHex("#e8e6e0");

    /** What is on a stone's face. */
    @FunctionalInterface
    public interface Cover {

        /**
         * @param x mm, in the stone's own frame
         * @param linear receives the reflectance in red, green and blue, linear, 0 to 1
         */
        void at(double x, double y, double[] linear);
    }

    /**
     * A stone and where its outline's middle lies, mm from the card's corner.
     *
     * @param turn how far it is turned on the sheet with all that is on it, degrees clockwise
     * @param face what is drawn or painted on its face; empty for bare stone
     */
    public record Lying(Stone stone, double x, double y, double turn, Optional<Cover> face) {

        /** Bare, its frame along the sheet's. */
        public Lying(Stone stone, double x, double y) {
            this(stone, x, y, 0, Optional.empty());
        }

        /** A place of the stone on the sheet: x, y. */
        double[] onSheet(double ownX, double ownY) {
            double c = Math.cos(Math.toRadians(turn));
            double s = Math.sin(Math.toRadians(turn));
            return new double[] {x + c * ownX - s * ownY, y + s * ownX + c * ownY};
        }
    }

    public BenchScene {
        stones = List.copyOf(stones);
    }

    /** A scene made up from a seed: one to six stones of all kinds beside the card, on a blue or green sheet. */
    public static BenchScene varied(long seed, int width, int height) {
        SplittableRandom random = new SplittableRandom(seed);
        int wanted = 1 + random.nextInt(6);
        List<Lying> lying = new ArrayList<>();
        double[][] reserved = {{50, 32, 62}};
        List<double[]> taken = new ArrayList<>(List.of(reserved));
        for (int tries = 0; lying.size() < wanted && tries < 300; tries++) {
            Stone stone = stone(random);
            StoneOutline outline = StoneOutline.of(stone);
            double reach = Math.hypot(outline.halfWidth(), outline.halfHeight());
            double x = random.nextDouble(-80, 330);
            double y = random.nextDouble(-40, 260);
            boolean free = x - reach > -105 && x + reach < 345 && y - reach > -68 && y + reach < 268;
            for (double[] other : taken) {
                free &= Math.hypot(x - other[0], y - other[1]) > reach + other[2] + 8;
            }
            if (free) {
                lying.add(new Lying(stone, x, y));
                taken.add(new double[] {x, y, reach});
            }
        }
        if (lying.isEmpty()) {
            lying.add(new Lying(Stone.cobble(), 190, 140));
        }
        double cameraZ = random.nextDouble(400, 450);
        double lean = random.nextDouble(0, 60);
        double way = random.nextDouble(2 * Math.PI);
        return new BenchScene(lying, random.nextBoolean() ? BLUE : GREEN, width, height,
                new Camera(120 + lean * Math.cos(way), 100 + lean * Math.sin(way), cameraZ, 120 + random.nextDouble(-4, 4),
                        100 + random.nextDouble(-4, 4), random.nextDouble(-4, 4), random.nextDouble(0.5, 1.1), random.nextDouble(1, 4)),
                new Lamp(random.nextDouble(0, 0.35), random.nextDouble(0, 360), random.nextDouble(40, 70), random.nextDouble(0.2, 0.55)),
                new CardOnSheet(true, 0), seed);
    }

    private static Stone stone(SplittableRandom random) {
        Form[] forms = Form.values();
        RockKind[] rocks = RockKind.values();
        double length = random.nextDouble(42, 128);
        double width = length * random.nextDouble(0.62, 0.97);
        double height = width * random.nextDouble(0.2, 0.5);
        RockKind rock = rocks[random.nextInt(rocks.length)];
        int tone = switch (rock) {
            case CAST_PLASTER, MARBLE -> random.nextInt(205, 236);
            case LIMESTONE, SANDSTONE, CAST_CEMENT -> random.nextInt(150, 205);
            case GRANITE -> random.nextInt(95, 160);
            case SLATE, BASALT, FLINT -> random.nextInt(48, 105);
        };
        int warm = random.nextInt(-4, 22);
        Srgb colour = new Srgb(Math.min(255, tone + warm / 2), tone, Math.max(0, tone - warm));
        boolean flat = random.nextInt(4) == 0;
        return Stone.cobble()
                .withShape(new Shape.Grown(forms[random.nextInt(forms.length)], random.nextDouble(0.4, 1), random.nextDouble(0, 0.5)))
                .withSize(new Millimetres(length), new Millimetres(width), new Millimetres(height))
                .withDome(flat ? 1 : Stone.ROUNDED_FACE, random.nextDouble(1.1, 3)).withWayUp(random.nextDouble(0, 360))
                .withSeed(random.nextLong(1_000_000)).withSkin(Skin.of(rock, Texture.SMOOTH, colour));
    }

    /** One stone before a camera that is held over it by hand: a photo of 2 megapixels. */
    public static BenchScene work(Lying stone, long seed) {
        BenchScene any = varied(seed, 1632, 1224);
        // a sheet that no stone and no ground is likely to look like
        return any.withStones(List.of(stone)).withSheet(GREEN);
    }

    public BenchScene withSheet(Srgb newSheet, double newShadow) {
        return withSheet(newSheet).withLamp(lamp.withShadow(newShadow));
    }

    public BenchScene withCard(boolean there, int hiddenMarks) {
        return withCard(new CardOnSheet(there, hiddenMarks));
    }

    public BenchScene withBlur(double blurPx) {
        return withCamera(camera.withBlurPx(blurPx));
    }

    /** Seen from elsewhere, still looking at the same place. */
    public BenchScene from(double x, double y, double z) {
        return withCamera(camera.withX(x).withY(y).withZ(z));
    }
}
