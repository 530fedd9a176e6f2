package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How far a roundish stone is turned, from its outline and from what lies on it. */
class CommonTurnTest {

    private static final double OUTLINE_OFF = 0.5;

    private static CommonTurn degrees(double outline, double... drawn) {
        List<Fit> fits = Arrays.stream(drawn)
                .mapToObj(d -> new Fit(0, 0, 0, 0, Math.toRadians(d), 1, 0.9, new double[] {0.1, 0.1, Math.toRadians(0.2), 0.01})).toList();
        CommonTurn common = CommonTurn.of(fits, Math.toRadians(outline), Math.toRadians(OUTLINE_OFF));
        return new CommonTurn(Math.toDegrees(common.turn()), Math.toDegrees(common.off()));
    }

    @Test
    void withNothingDrawnTheOutlineAloneCounts() {
        assertThat(degrees(0.3).turn()).isCloseTo(0.3, within(1e-9));
        assertThat(degrees(0.3).off()).isCloseTo(OUTLINE_OFF, within(1e-9));
    }

    @Test
    // the weighted mean of normal observations: weights are 1 over the variance
    void thingsThatAgreeWithItMakeItSurer() {
        CommonTurn common = degrees(0.2, 0.2, 0.2, 0.2);

        assertThat(common.turn()).isCloseTo(0.2, within(1e-9));
        double each = 0.7 * 0.7 + 0.2 * 0.2;
        assertThat(common.off()).isCloseTo(1 / Math.sqrt(1 / (OUTLINE_OFF * OUTLINE_OFF) + 3 / each), within(1e-9));
    }

    @Test
    void manyThingsTurnedAlikeAreTheStone() {
        assertThat(degrees(0, 0.6, 0.6, 0.6).turn()).isBetween(0.25, 0.4);
        assertThat(degrees(0, 0.6, 0.6, 0.6, 0.6, 0.6, 0.6, 0.6, 0.6, 0.6).turn()).isBetween(0.45, 0.6);
        assertThat(degrees(0, -0.6, 0.6).turn()).isCloseTo(0, within(1e-9));
    }

    @Test
    void oneThingDrawnAslantDoesNotTurnTheStone() {
        double mean = 3 / (3 + 0.53 / (OUTLINE_OFF * OUTLINE_OFF)); // what plain weights would make of it
        assertThat(degrees(0, 0, 0, 3).turn()).isLessThan(0.1).isLessThan(mean / 4).isPositive();
        assertThat(degrees(0, 4).turn()).isLessThan(0.1);
    }
}
