package mosspebble.core.stone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Forms of stones at places where their curve is worked out by hand; angles run clockwise from the right, y down. */
class FormTest {

    private static double[] at(Form form, double degrees, double roundness) {
        double[] at = new double[2];
        form.trace(Math.toRadians(degrees), roundness, at);
        return at;
    }

    @ParameterizedTest
    @CsvSource({
        // where x = y on |x|^n + |y|^n = 1 it is 2^(-1/n): n is 2 for what is smooth
        "ROUND, 45, 1, 0.70711, 0.70711", "ROUND, 45, 0, 0.87055, 0.87055", "OVAL, 45, 0.5, 0.82034, 0.82034",
        "SLAB, 45, 1, 0.84090, 0.84090", "SLAB, 45, 0, 0.94387, 0.94387",
        // n 2.75 for x = 0.77720; the height of it less 0.26 x
        "EGG, 45, 0.5, 0.77720, 0.62015", "EGG, 90, 0.5, 0, 1", "EGG, 135, 1, -0.70711, 0.83711",
        // its height times 0.98 - 0.44 x - 0.12 x x
        "PEAR, 45, 1, 0.70711, 0.43054", "PEAR, 90, 1, 0, 0.98", "PEAR, 135, 1, -0.70711, 0.87054", "PEAR, 45, 0.5, 0.77720, 0.43953",
        // 0.74 of its height and 0.62 - 0.34 r at either end
        "KIDNEY, 0, 0.5, 1, 0.45", "KIDNEY, 180, 0, -1, 0.62", "KIDNEY, 90, 0.5, 0, 0.74", "KIDNEY, 270, 1, 0, -0.74",
        // the tip 1 + 0.2 - 0.08 r - 0.06 from the middle, the notch 1 - 0.46 + 0.26 r - 0.06
        "HEART, 90, 0.5, 0, 1.1", "HEART, 90, 0, 0, 1.14", "HEART, 270, 0.5, 0, -0.61", "HEART, 270, 0, 0, -0.48",
        "HEART, 0, 0.5, 1.06115, 0", "HEART, 180, 0.5, -1.06115, 0",
        // a corner 1 + 0.19 - 0.1 r + 0.028 (1 - r) on top, half way between corners 1 less as much
        "TRIANGLE, 270, 0, 0, -1.218", "TRIANGLE, 270, 1, 0, -1.09", "TRIANGLE, 90, 0, 0, 0.838", "TRIANGLE, 90, 0.5, 0, 0.874"})
    void aFormGoesThroughPlacesWorkedOutByHand(Form form, double degrees, double roundness, double x, double y) {
        assertThat(at(form, degrees, roundness)[0]).as("x").isCloseTo(x, within(2e-5));
        assertThat(at(form, degrees, roundness)[1]).as("y").isCloseTo(y, within(2e-5));
    }

    @Test
    void theTipOfAHeartAndItsNotchAreNarrowerThanItsCheeks() {
        double tip = Math.hypot(at(Form.HEART, 90, 0.5)[0], at(Form.HEART, 90, 0.5)[1]);
        double besideTip = Math.hypot(at(Form.HEART, 60, 0.5)[0], at(Form.HEART, 60, 0.5)[1]);
        double notch = Math.hypot(at(Form.HEART, 270, 0.5)[0], at(Form.HEART, 270, 0.5)[1]);
        double cheek = Math.hypot(at(Form.HEART, 310, 0.5)[0], at(Form.HEART, 310, 0.5)[1]);
        assertThat(besideTip).isLessThan(tip);
        assertThat(cheek).isGreaterThan(notch + 0.3);
        for (double angle = 0; angle < 90; angle += 15) { // left is right
            assertThat(at(Form.HEART, 270 + angle, 0.3)[1]).isCloseTo(at(Form.HEART, 270 - angle, 0.3)[1], within(1e-9));
            assertThat(at(Form.HEART, 270 + angle, 0.3)[0]).isCloseTo(-at(Form.HEART, 270 - angle, 0.3)[0], within(1e-9));
        }
    }
}
