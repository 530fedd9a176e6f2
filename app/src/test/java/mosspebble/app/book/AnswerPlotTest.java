package mosspebble.app.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AnswerPlotTest {

    @ParameterizedTest
    @CsvSource({"12, 2", "6, 1", "7, 2", "100, 20", "83, 20", "0.5, 0.1", "5.1, 1", "3000, 500", "0.0061, 0.002"})
    void stepsAreRoundAndSixAtMost(double most, double step) {
        assertThat(AnswerPlot.step(most)).isCloseTo(step, within(1e-9 * step));
        assertThat(most / AnswerPlot.step(most)).isBetween(2.0, 6.0 + 1e-9);
    }
}
