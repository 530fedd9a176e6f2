package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class BlurTest {

    @Test
    void aBoxBlurIsTheMeanOfItsSquareAndNothingIsLostInside() {
        int columns = 151; // more than one block of columns
        int rows = 17;
        SplittableRandom random = new SplittableRandom(3);
        for (int reach = 0; reach <= 9; reach++) {
            float[] values = new float[columns * rows];
            for (int i = 0; i < values.length; i++) {
                values[i] = (float) random.nextDouble();
            }
            float[] blurred = Blur.box(values, columns, rows, reach);
            for (int r = 0; r < rows; r++) {
                for (int c = 0; c < columns; c++) {
                    double sum = 0;
                    for (int y = Math.max(0, r - reach); y <= Math.min(rows - 1, r + reach); y++) {
                        for (int x = Math.max(0, c - reach); x <= Math.min(columns - 1, c + reach); x++) {
                            sum += values[y * columns + x];
                        }
                    }
                    int side = 2 * reach + 1;
                    assertThat((double) blurred[r * columns + c]).as("reach %d at %d, %d", reach, c, r).isCloseTo(sum / (side * side),
                            within(1e-4));
                }
            }
        }
        float[] dot = new float[columns * rows];
        dot[8 * columns + 11] = 1;
        double total = 0;
        for (float value : Blur.box(dot, columns, rows, 4)) {
            total += value;
        }
        assertThat(total).as("a dot well inside keeps its ink").isCloseTo(1, within(1e-4));
    }

    /** The sums stay within whole numbers at any reach, and a level field keeps its height. */
    @Test
    void evenTheHighestFieldWithTheWidestReachIsMeanAndNotOverrun() {
        int side = 701;
        float[] level = new float[side * side];
        for (float height : new float[] {Blur.MOST, -Blur.MOST, 0.05f, 1}) {
            Arrays.fill(level, height);
            for (int reach : new int[] {1, 7, 63, 64, 200, 340}) {
                float middle = Blur.box(level, side, side, reach)[side / 2 * side + side / 2];
                assertThat((double) middle).as("%s mm, reach %d", height, reach).isCloseTo(height, within(2e-4));
            }
        }
        Arrays.fill(level, 1000);
        assertThat(Blur.box(level, side, side, 9)[side / 2 * side + side / 2]).as("cut off").isCloseTo(Blur.MOST, within(1e-3f));
    }

    @Test
    void whatIsLeftInSpareArraysIsNotSeen() {
        SplittableRandom random = new SplittableRandom(8);
        Spare spare = new Spare();
        for (int round = 0; round < 4; round++) {
            int columns = 60 + 31 * round;
            int rows = 90 - 11 * round;
            float[] values = new float[columns * rows];
            for (int i = 0; i < values.length; i++) {
                values[i] = (float) random.nextDouble();
            }
            float[] fresh = Blur.box(values, columns, rows, 5);
            float[] again = Blur.box(values, columns, rows, 5, spare);
            assertThat(Arrays.copyOf(again, fresh.length)).as("round %d", round).containsExactly(fresh);
            spare.takeBack();
        }
    }
}
