package mosspebble.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class BisectionTest {

    @Test
    @Tag("outside") // the interval after n halvings is 2^-n of what it was (any textbook of numerical analysis)
    void theIntervalIsHalvedWithEveryLookAndHoldsThePlace() {
        Bisection found = Bisection.of(0, 2, 40, x -> x * x < 2);
        assertThat(found.middle()).isCloseTo(Math.sqrt(2), within(1e-11));
        assertThat(found.high() - found.low()).isEqualTo(2 * Math.pow(2, -40));
        assertThat(found.uncertainty()).isEqualTo(Math.pow(2, -40));
        assertThat(found.low()).isLessThanOrEqualTo(Math.sqrt(2));
        assertThat(found.high()).isGreaterThanOrEqualTo(Math.sqrt(2));
        assertThat(Bisection.logarithmic(1e-6, 1e6, 60, x -> x < 300).middle()).isCloseTo(300, within(1e-9));
    }

    @Test
    void aConditionThatHoldsEverywhereOrNowhereSaysSoByItsEnds() {
        assertThat(Bisection.largest(0, 5, 10, x -> true)).isEqualTo(new Bisection(5, 5, 1));
        assertThat(Bisection.of(0, 5, 3, x -> true).high()).isEqualTo(5);
        assertThat(Bisection.of(0, 5, 3, x -> false).low()).isZero();
        assertThat(Bisection.largest(0, 5, 20, x -> x < 3).middle()).isCloseTo(3, within(1e-4));
        assertThatThrownBy(() -> Bisection.of(2, 1, 5, x -> true)).hasMessageContaining("2.0, 1.0, 5");
        assertThatThrownBy(() -> Bisection.of(0, Double.NaN, 5, x -> true)).hasMessageContaining("NaN");
        assertThatThrownBy(() -> Bisection.of(0, 1, 0, x -> true)).hasMessageContaining("one halving or more");
    }
}
