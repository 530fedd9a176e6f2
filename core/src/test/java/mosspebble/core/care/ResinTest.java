package mosspebble.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import mosspebble.core.units.Celsius;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Pouring: amounts, working time, and what gravity leaves. */
class ResinTest {

    private static final double DENSITY = 1100;
    private static final double TENSION = 0.042;
    private static final double GRAVITY = 9.81;

    @Test
    // 2 : 1 by volume, parts of 1.15 and 1.00 g/ml: common clear casting epoxies weigh about 1.15 and 0.95 to 1.02 (from memory)
    void gramsOfEachPartFollowFromTheVolume() {
        Resin.Amount amount = Resin.USUAL.amount(10_000, 1.6);
        double ml = 10 * 1.6 * 1.15;
        assertThat(amount.millilitres()).isCloseTo(ml, within(1e-9));
        assertThat(amount.gramsA()).isCloseTo(ml * 2 / 3 * 1.15, within(1e-9));
        assertThat(amount.gramsB()).isCloseTo(ml / 3 * 1.00, within(1e-9));
        assertThat(amount.gramsA() / amount.gramsB()).as("by weight it is not two to one").isCloseTo(2.3, within(1e-9));
        assertThat(new Resin(1, 1).amount(10_000, 1.6).gramsB()).isCloseTo(ml / 2, within(1e-9));
    }

    @Test
    void aSmallStoneTakesNoLessThanCanBeWeighed() {
        assertThat(Resin.USUAL.amount(100, 1).grams()).isCloseTo(Resin.LEAST_GRAMS, within(1e-9));
        assertThatThrownBy(() -> new Resin(0, 1)).hasMessageContaining("above 0");
    }

    @ParameterizedTest
    // a rule of thumb: ten degrees warmer, half the time; a large cup goes off sooner (common practice, no source)
    @CsvSource({"100, 23, 40", "100, 33, 20", "100, 13, 80", "800, 23, 20"})
    void warmthAndALargeCupShortenTheWorkingTime(double grams, double celsius, double minutes) {
        assertThat(Resin.workingMinutes(grams, new Celsius(celsius))).isCloseTo(minutes, within(1e-6));
    }

    @Test
    @Tag("outside") // Young and Laplace: the surface of a wide puddle, integrated step by step, turned by 90 degrees at its rim
    void aPuddleStandsAsHighAsItsSurfaceCanCarry() {
        double z = 0; // depth below the flat top
        double turned = 1e-6;
        double step = 1e-7;
        double curvature = 0;
        // d(angle)/ds = rho g z / gamma; dz/ds = sin(angle); starts from the all but flat top, where z and angle grow together
        z = turned * Math.sqrt(TENSION / (DENSITY * GRAVITY));
        while (turned < Math.PI / 2) {
            curvature = DENSITY * GRAVITY * z / TENSION;
            turned += curvature * step;
            z += Math.sin(turned) * step;
        }
        assertThat(Resin.standsMm()).isCloseTo(1000 * z, within(0.01));
        assertThat(Resin.standsMm()).as("a pour domes 2 to 3 mm at a rim (common practice, no source)").isBetween(2.0, 3.0);
    }

    @Test
    @Tag("outside") // the draining film itself: mu dh/dt + rho g sin(a) h^2 dh/dx = 0, upwind in small steps, hardening all the while
    void whatStaysOnASlopeIsWhatADrainingFilmLeaves() {
        int cells = 400;
        double dx = 0.05 / cells;
        double sine = Math.sin(Math.toRadians(20));
        double[] h = new double[cells];
        java.util.Arrays.fill(h, 0.003);
        double t = 0;
        double end = 25 * 60 * 12; // by then it is 4,000 times as stiff
        while (t < end) {
            double viscosity = 0.9 * Math.pow(2, t / (25 * 60));
            double fastest = DENSITY * GRAVITY * sine / viscosity * h[cells - 1] * h[cells - 1];
            double dt = Math.min(5, 0.4 * dx / Math.max(1e-12, fastest));
            double above = 0; // nothing flows in at the upper end
            for (int i = 0; i < cells; i++) {
                double out = DENSITY * GRAVITY * sine / (3 * viscosity) * h[i] * h[i] * h[i];
                h[i] += dt * (above - out) / dx;
                above = out;
            }
            t += dt;
        }
        assertThat(Resin.staysMm(40, 20)).isCloseTo(1000 * h[(int) (0.04 / dx)], within(0.06 * Resin.staysMm(40, 20)));
    }

    @Test
    void theSteepestSlopeIsTheOneOnWhichThatMuchStays() {
        double degrees = Resin.steepest(0.3, 20);
        assertThat(Resin.staysMm(20, degrees)).isCloseTo(0.3, within(1e-9));
        assertThat(degrees).as("a pour keeps its depth on what is all but level only").isBetween(0.3, 5.0);
        assertThat(Resin.staysMm(20, 0)).isInfinite();
        assertThat(Resin.steepest(0.001, 200)).isEqualTo(90);
        assertThat(Resin.steepest(0.2, 20)).isGreaterThan(degrees);
    }
}
