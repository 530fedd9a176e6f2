package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Pixels taken out and put back. */
class PixelsTest {

    private static final int WIDE = 31;

    private static Pixels random(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Pixels pixels = Pixels.of(WIDE * 17);
        for (int i = 0; i < WIDE * 17; i++) {
            pixels.colour()[i] = random.nextInt();
            pixels.body()[i] = (char) random.nextInt(30_000);
            pixels.sheen()[i] = (byte) random.nextInt(12);
        }
        return pixels;
    }

    @Test
    void whatIsCutOutAndPutBackChangesNothingElse() {
        Pixels one = random(1);
        Pixels other = random(2);
        Pixels changed = one.copy();
        changed.paste(other.cut(4, 3, 9, 6, WIDE), 4, 3, 9, 6, WIDE);
        for (int i = 0; i < WIDE * 17; i++) {
            boolean within = i % WIDE >= 4 && i % WIDE < 13 && i / WIDE >= 3 && i / WIDE < 9;
            assertThat(changed.differs(i, within ? other : one, i)).as("pixel %d", i).isFalse();
        }
        assertThat(one.differs(5, random(1), 5)).as("a copy was changed, not the first").isFalse();
    }

    @Test
    void someOfThePixelsComeBackToTheirPlaces() {
        Pixels one = random(3);
        Pixels other = random(4);
        int[] at = IntStream.range(0, WIDE * 17).filter(i -> i % 7 == 2).toArray();
        Pixels changed = one.copy();
        changed.put(other.only(at), at);
        for (int i = 0; i < WIDE * 17; i++) {
            assertThat(changed.differs(i, i % 7 == 2 ? other : one, i)).isFalse();
        }
    }

    @Test
    void heightsAreKeptInTenthsWithinTheirBounds() {
        assertThat((int) Pixels.steps(12.34)).isEqualTo(617);
        assertThat(Pixels.um(Pixels.steps(731.5))).as("the top of a large drop").isCloseTo(731.5, within(0.01));
        assertThat((int) Pixels.steps(-4)).isZero();
        assertThat(Pixels.steps(90_000)).isEqualTo(Character.MAX_VALUE);
    }
}
