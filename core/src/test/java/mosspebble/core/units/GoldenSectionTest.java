package mosspebble.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class GoldenSectionTest {

    @Test
    @Tag("outside") // the least of x ln x is at 1/e and is -1/e (calculus)
    void theValleyIsFoundWithinWhatItPromises() {
        GoldenSection found = GoldenSection.minimum(0.01, 3, 40, x -> x * Math.log(x));
        assertThat(found.at()).isCloseTo(1 / Math.E, within(Math.max(1e-7, found.uncertainty())));
        assertThat(found.value()).isCloseTo(-1 / Math.E, within(1e-12));
        assertThat(found.atEnd()).isFalse();
    }

    @Test
    @Tag("outside") // each look makes the interval smaller by 0.618 (Kiefer 1953)
    void everyLookServesTwice() {
        AtomicInteger looks = new AtomicInteger();
        GoldenSection found = GoldenSection.minimum(0, 1, 10, x -> {
            looks.incrementAndGet();
            return Math.abs(x - 0.3);
        });
        assertThat(looks).hasValue(13);
        assertThat(2 * found.uncertainty()).isCloseTo(Math.pow((Math.sqrt(5) - 1) / 2, 10), within(1e-12));
    }

    @Test
    void aValleyThatRunsOutOfTheIntervalIsSaidToDoSo() {
        assertThat(GoldenSection.minimum(2, 5, 30, x -> x).atEnd()).isTrue();
        assertThat(GoldenSection.minimum(2, 5, 30, x -> -x).atEnd()).isTrue();
        assertThatThrownBy(() -> GoldenSection.minimum(2, 1, 5, x -> x)).hasMessageContaining("2.0, 1.0, 5");
        assertThatThrownBy(() -> GoldenSection.minimum(0, 1, 0, x -> x)).hasMessageContaining("one look or more");
    }
}
