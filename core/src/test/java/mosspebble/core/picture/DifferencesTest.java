package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class DifferencesTest {

    private static final int WIDE = 200;
    private static final int HIGH = 160;

    private static int[] plain() {
        int[] pixels = new int[WIDE * HIGH];
        Arrays.fill(pixels, 0xFF808080);
        return pixels;
    }

    private static void disc(int[] pixels, int x, int y, int radius, int colour) {
        for (int i = 0; i < pixels.length; i++) {
            if (Math.hypot(i % WIDE - x, i / WIDE - y) <= radius) {
                pixels[i] = colour;
            }
        }
    }

    @Test
    void eachPlaceThatIsNotAlikeIsCircledTheLargestFirst() {
        int[] other = plain();
        disc(other, 50, 60, 12, 0xFFC02020);
        disc(other, 150, 100, 20, 0xFF2020C0);
        List<Differences.Place> places = Differences.of(plain(), other, WIDE, 3);
        assertThat(places).hasSize(2);
        assertThat(places.get(0).x()).isCloseTo(150, within(4.0));
        assertThat(places.get(0).y()).isCloseTo(100, within(4.0));
        assertThat(places.get(0).radius()).as("all of it lies within").isBetween(20.0, 34.0);
        assertThat(places.get(0).area()).isCloseTo((int) (Math.PI * 400), within(60));
        assertThat(places.get(1).x()).isCloseTo(50, within(4.0));
        assertThat(Differences.of(other, plain(), WIDE, 3)).as("either way round").isEqualTo(places);
        assertThat(Differences.of(plain(), other, WIDE, 1)).containsExactly(places.get(0));
    }

    @Test
    void whatNobodySeesAndWhatIsAllOfTheStoneIsNotCircled() {
        int[] slight = plain();
        disc(slight, 90, 80, 30, 0xFF8A8A8A);
        assertThat(Differences.of(plain(), slight, WIDE, 3)).as("ten of 255").isEmpty();
        int[] specks = plain();
        for (int i = 0; i < specks.length; i += 97) {
            specks[i] = 0xFF000000;
        }
        assertThat(Differences.of(plain(), specks, WIDE, 3)).as("single pixels").isEmpty();
        int[] all = new int[WIDE * HIGH];
        Arrays.fill(all, 0xFF20C020);
        assertThat(Differences.of(plain(), all, WIDE, 3)).as("another ground").isEmpty();
    }
}
