package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

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
}
