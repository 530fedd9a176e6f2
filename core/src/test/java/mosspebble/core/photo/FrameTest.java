package mosspebble.core.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The lower floors of reading a photo: pixels, light, the sheet and the card's marks. */
class FrameTest {

    private interface Tone {
        int at(int x, int y);
    }

    private static Photo photo(int width, int height, Tone tone) {
        int[] rgb = new int[width * height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                rgb[y * width + x] = tone.at(x, y);
            }
        }
        return new Photo(width, height, rgb, OptionalDouble.empty());
    }

    @Test
    // IEC 61966-2-1: code 188 is about half of the light, 118 about 0.18, 10 lies on the straight part: 10 / 255 / 12.92
    @Tag("outside")
    void pixelsAreTakenIntoLinearLight() {
        Frame frame = new Frame(photo(16, 16, (x, y) -> x < 8 ? 188 << 16 | 118 << 8 | 10 : 0xFFFFFF));
        assertThat((double) frame.red[0]).isCloseTo(0.503, within(0.001));
        assertThat((double) frame.green[0]).isCloseTo(0.181, within(0.001));
        assertThat((double) frame.blue[0]).isCloseTo(10 / 255.0 / 12.92, within(1e-6));
        assertThat((double) frame.red[12]).isCloseTo(1, within(1e-6));
        assertThat(frame.grey().data[12] & 255).isEqualTo(255);
    }

    @Test
    void betweenPixelsTheLightIsMixedAndOutsideTheEdgeCounts() {
        Frame frame = new Frame(photo(20, 16, (x, y) -> x < 10 ? 0 : 0xFFFFFF));
        double[] colour = new double[3];
        frame.sample(9.5, 8, colour);
        assertThat(colour[0]).isCloseTo(0, within(1e-6));
        frame.sample(10, 8, colour);
        assertThat(colour[0]).as("half way, half the light, not half the code").isCloseTo(0.5, within(1e-6));
        frame.sample(10.25, 8, colour);
        assertThat(colour[1]).isCloseTo(0.75, within(1e-6));
        frame.sample(500, -40, colour);
        assertThat(colour[2]).isCloseTo(1, within(1e-3));
        frame.sample(-500, 40, colour);
        assertThat(colour[2]).isCloseTo(0, within(1e-3));
    }

    @Test
    void aReducedPhotoAveragesWholeSquaresAndShortensTheFocalLength() {
        Photo whole = photo(64, 48, (x, y) -> (x + y) % 2 == 0 ? 0x406080 : 0x6080A0);
        Photo half = whole.reduced(32);
        assertThat(half.width()).isEqualTo(32);
        assertThat(half.height()).isEqualTo(24);
        assertThat(half.at(7, 9)).isEqualTo(0x507090);
        assertThat(whole.reduced(64)).isSameAs(whole);
        Photo told = new Photo(64, 64, new int[64 * 64], OptionalDouble.of(60)).reduced(20);
        assertThat(told.width()).as("by a whole factor, never above the wanted side").isEqualTo(16);
        assertThat(told.focalPx().orElseThrow()).isCloseTo(15, within(1e-9));
    }

    @Test
    void whatIsNoPhotoIsRefusedWithItsMeasure() {
        assertThatThrownBy(() -> new Photo(15, 40, new int[600], OptionalDouble.empty())).hasMessageContaining("15 x 40");
        assertThatThrownBy(() -> new Photo(40, 40, new int[1599], OptionalDouble.empty())).hasMessageContaining("40 x 40");
        assertThatThrownBy(() -> new Photo(100_000, 100_000, new int[16], OptionalDouble.empty())).hasMessageContaining("100000");
        for (double focal : new double[] {0, -3, 7, 900, Double.NaN}) {
            assertThatThrownBy(() -> new Photo(40, 40, new int[1600], OptionalDouble.of(focal))).hasMessageContaining("focal length");
        }
    }

    @Test
    void aMarkedDistanceMustBeOneThatCanBeMeasured() {
        PhotoHints.Line line = new PhotoHints.Line(10, 10, 110, 10);
        assertThat(new PhotoHints.Distance(line, 50).mm()).isEqualTo(50);
        assertThatThrownBy(() -> new PhotoHints.Distance(line, 4.9)).hasMessageContaining("5 to 2000 mm");
        assertThatThrownBy(() -> new PhotoHints.Distance(line, Double.NaN)).hasMessageContaining("5 to 2000 mm");
        assertThatThrownBy(() -> new PhotoHints.Distance(new PhotoHints.Line(10, 10, 20, 20), 50)).hasMessageContaining("20 pixels");
        assertThat(PhotoHints.none().distance()).isEmpty();
    }

    @Test
    void theLightOfASheetIsFoundUnderStonesAndShadow() {
        // blue-grey paper, brighter to the right and falling off below, a quarter of it covered by dark stones, noise of two codes
        int width = 400;
        int height = 300;
        SplittableRandom random = new SplittableRandom(5);
        Photo lit = photo(width, height, (x, y) -> {
            boolean stone = Math.hypot(x - 120, y - 150) < 70 || Math.hypot(x - 300, y - 200) < 55;
            if (stone) {
                return 0x35 << 16 | 0x30 << 8 | 0x2B;
            }
            boolean shadow = Math.hypot(x - 190, y - 180) < 75;
            double light = light(x, y) * (shadow ? 0.6 : 1);
            int noise = random.nextInt(-2, 3);
            return code(0.35 * light, noise) << 16 | code(0.42 * light, noise) << 8 | code(0.55 * light, noise);
        });
        Frame frame = new Frame(lit);
        SheetLight light = SheetLight.of(frame, new boolean[width * height]);
        assertThat(light.hueRed).as("red against green").isCloseTo(Math.log((0.35 + 0.004) / (0.42 + 0.004)), within(0.03));
        assertThat(light.hueBlue).as("blue against green").isCloseTo(Math.log((0.55 + 0.004) / (0.42 + 0.004)), within(0.03));
        for (int y = 10; y < height; y += 40) {
            for (int x = 10; x < width; x += 40) {
                double truth = Math.log(0.42 * light(x, y) + 0.004);
                assertThat(light.expected(x, y)).as("at %d, %d, also below the stones", x, y).isCloseTo(truth, within(0.03));
            }
        }
    }

    private static double light(double x, double y) {
        double u = 2 * x / 400 - 1;
        double v = 2 * y / 300 - 1;
        return 0.9 * Math.exp(0.18 * u - 0.1 * v - 0.08 * v * v);
    }

    private static int code(double linear, int noise) {
        return Math.max(0, Math.min(255, (int) Math.round(mosspebble.core.colour.Xyz.encoded(linear) * 255) + noise));
    }

    /** The cells of a mark turned by so many quarters. */
    private static int bits(ScaleCard.Mark mark, int quarters) {
        int bits = 0;
        for (int row = 0; row < 4; row++) {
            for (int column = 0; column < 4; column++) {
                int c = column;
                int r = row;
                for (int q = 0; q < quarters; q++) {
                    int was = c;
                    c = r;
                    r = 3 - was;
                }
                bits = bits << 1 | (mark.black(c + 2, r + 2) ? 1 : 0);
            }
        }
        return bits;
    }

    @Test
    void noMarkOfTheCardCanBeTakenForAnotherHoweverItLies() {
        for (ScaleCard.Mark one : ScaleCard.MARKS) {
            for (ScaleCard.Mark other : ScaleCard.MARKS) {
                for (int quarters = 0; quarters < 4; quarters++) {
                    if (one != other || quarters != 0) {
                        assertThat(Integer.bitCount(bits(one, 0) ^ bits(other, quarters)))
                                .as("cells that tell mark %d from %d turned %d times", one.number(), other.number(), quarters)
                                .isGreaterThanOrEqualTo(2);
                    }
                }
            }
            for (int k = 0; k < ScaleCard.CELLS; k++) {
                assertThat(one.black(k, 0) && one.black(0, k) && one.black(k, 7) && one.black(7, k)).as("a closed border").isTrue();
            }
        }
    }

    @Test
    void theCardCarriesWhatItsPlanSays() {
        for (ScaleCard.Mark mark : ScaleCard.MARKS) {
            assertThat(ScaleCard.black(mark.x() + 0.1, mark.y() + 0.1)).isTrue();
            assertThat(ScaleCard.black(mark.x() - 0.1, mark.y() + 5)).isFalse();
            assertThat(mark.x() + ScaleCard.MARK_MM).isLessThan(ScaleCard.WIDTH_MM);
            assertThat(mark.y() + ScaleCard.MARK_MM).isLessThan(ScaleCard.HEIGHT_MM);
        }
        for (double x = ScaleCard.WHITE.get(0); x <= ScaleCard.WHITE.get(2); x += 1) {
            assertThat(ScaleCard.black(x, 15)).as("the white field").isFalse();
        }
        int ticks = 0;
        boolean last = false;
        for (double x = 24; x < 76; x += 0.05) {
            boolean black = ScaleCard.black(x, 42.2);
            ticks += black && !last ? 1 : 0;
            last = black;
        }
        assertThat(ticks).as("a ruler of 50 mm, a mark every 5 mm").isEqualTo(11);
    }
}
