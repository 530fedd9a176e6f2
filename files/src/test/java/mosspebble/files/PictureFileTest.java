package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import mosspebble.core.colour.Lamp;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.LargePicture;
import mosspebble.core.picture.Moments;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PictureFileTest {

    private static final PaintPlan MOON = WalkPlans.of("moon");

    @TempDir
    Path folder;

    private static LargePicture.Wish wish(int longest, double round) {
        return new LargePicture.Wish(longest, round, StoneState.SEALED, Lamp.DAYLIGHT,
                new StonePicture.Shown(MOON.steps().size(), 0, 320, Care.FULL));
    }

    @Test
    void thePictureIsReadBackAtItsSizeWithTheStoneInItsPlace() throws Exception {
        Path clear = folder.resolve("clear.png");
        List<Double> told = new ArrayList<>();
        assertThat(PictureFile.write(MOON, wish(640, 1), PictureFile.Ground.CLEAR, clear, (f, what) -> told.add(f))).isTrue();
        BufferedImage image = ImageIO.read(clear.toFile());
        assertThat(image.getWidth()).isEqualTo(640);
        assertThat(image.getHeight()).as("a disc is as high as wide").isBetween(638, 640);
        assertThat(image.getRGB(2, 2) >>> 24).as("no stone in the corner").isZero();
        assertThat(image.getRGB(320, 320) >>> 24).isEqualTo(255);
        // the disc is 90 mm wide and a mm is free on each side: its area tells the scale
        long solid = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < 640; x++) {
                solid += image.getRGB(x, y) >>> 24;
            }
        }
        assertThat(solid / 255.0 / 640 / 640 * 92 * 92).isCloseTo(MOON.survey().zones().outline().getArea(),
                org.assertj.core.api.Assertions.withinPercentage(0.5));
        assertThat(told).isSorted().allMatch(f -> f >= 0 && f <= 1);
        Path linen = folder.resolve("deep/linen.png");
        assertThat(PictureFile.write(MOON, wish(400, 16), PictureFile.Ground.LINEN, linen, (f, what) -> true)).isTrue();
        BufferedImage laid = ImageIO.read(linen.toFile());
        assertThat(laid.getColorModel().hasAlpha()).isFalse();
        assertThat(Srgb.ofRgb(laid.getRGB(2, 2) & 0xFFFFFF).red()).as("lit linen").isBetween(220, 235);
        int shade = laid.getRGB(310, 350) & 255; // beside the stone, away from the light at the upper left
        int light = laid.getRGB(90, 50) & 255;
        assertThat(shade).as("the stone throws a shadow").isLessThan(light - 20);
    }

    @Test
    void stripsOfAStoneWithTallDotsFitTogetherToTheBit() {
        LargePicture picture = new LargePicture(MOON, wish(420, 1));
        int[] whole = picture.rows(0, picture.rows(), () -> false);
        for (int first = 0; first < picture.rows(); first += 70) {
            int count = Math.min(70, picture.rows() - first);
            int from = first * picture.columns();
            assertThat(picture.rows(first, count, () -> false)).as("from row %s", first)
                    .isEqualTo(Arrays.copyOfRange(whole, from, from + count * picture.columns()));
        }
    }

    @Test
    void aStoppedOrFailedPictureLeavesNothing() throws Exception {
        Path file = folder.resolve("stopped.png");
        Files.writeString(file, "an older picture");
        assertThat(PictureFile.write(MOON, wish(500, 1), PictureFile.Ground.LINEN, file, (f, what) -> false)).isFalse();
        assertThat(Files.readString(file)).isEqualTo("an older picture");
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).containsExactly(file);
        }
        assertThatThrownBy(() -> PictureFile.write(MOON, wish(300, 1), PictureFile.Ground.LINEN, folder, (f, what) -> true))
                .isInstanceOf(FileTrouble.class).hasMessageContaining("folder");
    }

    @Test
    void aPaintingIsToldInMomentsThatBringAboutAsMuchEach() {
        List<Integer> six = Moments.of(MOON, 6);
        assertThat(six).hasSize(6).isSorted().doesNotHaveDuplicates().startsWith(0).endsWith(MOON.steps().size());
        assertThat(Moments.of(MOON, 2)).containsExactly(0, MOON.steps().size());
        List<Integer> all = Moments.of(MOON, 1_000);
        assertThat(all).as("no two look alike").hasSizeBetween(8, MOON.steps().size() + 1).isSorted().doesNotHaveDuplicates();
        assertThatThrownBy(() -> Moments.of(MOON, 1)).isInstanceOf(IllegalArgumentException.class);
        int place = 0;
        for (int step : six.subList(1, 5)) {
            int steps = step - six.get(place++);
            assertThat(steps).as("the pencil and other small passes go together with what fills").isBetween(1, MOON.steps().size() / 2);
        }
    }

    @Test
    void aStripHasTheBareStoneFirstAndTheFinishedOneLast() throws Exception {
        Path file = folder.resolve("strip.png");
        assertThat(PictureFile.writeStrip(MOON, wish(1_800, 4), 6, PictureFile.Ground.LINEN, file, (f, what) -> true)).isTrue();
        BufferedImage strip = ImageIO.read(file.toFile());
        assertThat(strip.getWidth()).isBetween(1_780, 1_800);
        int side = strip.getWidth() / 6;
        assertThat(strip.getHeight()).as("a disc").isBetween(side - 3, side + 3);
        Path finished = folder.resolve("finished.png");
        PictureFile.write(MOON, wish(Math.max(side, strip.getHeight()), 4), PictureFile.Ground.LINEN, finished, (f, what) -> true);
        BufferedImage last = ImageIO.read(finished.toFile());
        BufferedImage frame = strip.getSubimage(5 * side, 0, side, strip.getHeight());
        assertThat(frame.getRGB(0, 0, side, frame.getHeight(), null, 0, side))
                .isEqualTo(last.getRGB(0, 0, side, frame.getHeight(), null, 0, side));
        Path bare = folder.resolve("bare.png");
        PictureFile.write(MOON, new LargePicture.Wish(Math.max(side, strip.getHeight()), 4, StoneState.DRY, Lamp.DAYLIGHT,
                new StonePicture.Shown(0, 0, 320, Care.FULL)), PictureFile.Ground.LINEN, bare, (f, what) -> true);
        assertThat(strip.getRGB(side / 2, side / 2)).isEqualTo(ImageIO.read(bare.toFile()).getRGB(side / 2, side / 2));
    }

    @Test
    void aStripIsTransparentWhereItIsAskedToBeAndStoppedItLeavesNothing() throws Exception {
        Path file = folder.resolve("clear-strip.png");
        assertThat(PictureFile.writeStrip(MOON, wish(600, 4), 3, PictureFile.Ground.CLEAR, file, (f, what) -> f < 0.5)).isFalse();
        assertThat(file).doesNotExist();
        assertThat(PictureFile.writeStrip(MOON, wish(600, 4), 3, PictureFile.Ground.CLEAR, file, (f, what) -> true)).isTrue();
        BufferedImage strip = ImageIO.read(file.toFile());
        int side = strip.getWidth() / 3;
        for (int k = 0; k < 3; k++) {
            assertThat(strip.getRGB(k * side + 1, 1) >>> 24).isZero();
            assertThat(strip.getRGB(k * side + side / 2, side / 2) >>> 24).isEqualTo(255);
        }
    }
}
