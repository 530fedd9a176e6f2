package mosspebble.core.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class LastingTest {

    /** Weeks, below 0 for those still well when last seen. */
    private static Lasting of(double... spans) {
        List<Lasting.Span> all = new ArrayList<>();
        for (double span : spans) {
            all.add(new Lasting.Span("p" + all.size(), Math.abs(span), span > 0));
        }
        return new Lasting(all);
    }

    @Test
    @Tag("outside") // weeks of remission of 21 patients under 6-MP, Freireich et al., Blood 21 (1963): the classic example of textbooks of
                          // survival analysis, with these shares (values from memory)
    void theSharesOfTheClassicExampleAreMet() {
        Lasting mp = of(6, 6, 6, -6, 7, -9, 10, -10, -11, 13, 16, -17, -19, -20, 22, 23, -25, -32, -32, -34, -35);
        double[][] known = {{5, 1}, {6, 0.857}, {7, 0.807}, {10, 0.753}, {13, 0.690}, {16, 0.627}, {22, 0.538}, {23, 0.448}, {35, 0.448}};
        for (double[] at : known) {
            assertThat(mp.still(at[0])).as("after " + at[0]).isCloseTo(at[1], within(0.0006));
        }
        assertThat(mp.median()).hasValue(23);
        assertThat(mp.worn()).isEqualTo(9);
    }

    @Test
    @Tag("outside") // the same trial, placebo: no span is cut short, so the share is what is left of 21, and the median 8 weeks
    void withoutSpansCutShortItIsThePlainShareThatIsLeft() {
        Lasting placebo = of(1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23);
        assertThat(placebo.still(8)).isCloseTo(8.0 / 21, within(1e-12));
        assertThat(placebo.median()).hasValue(8);
        assertThat(placebo.still(23)).isCloseTo(0, within(1e-12));
    }

    @Test
    void whatNeverWoreHasNoMiddleAndStaysWhole() {
        assertThat(of(-3, -12).median()).isEmpty();
        assertThat(of(-3, -12).still(12)).isEqualTo(1);
        assertThat(of().median()).isEmpty();
        assertThat(of(-3, -12).longest()).isEqualTo(12);
    }

    @Test
    void aStoneIsSeenFromTheDayItWentOutToItsFirstWearOrTheLastLook() {
        Page page = Pages.page("a");
        assertThat(Lasting.of(page)).as("nobody has looked").isEmpty();

        Page well = Pages.looked(page, Pages.MAY.plusDays(61), Page.Look.State.LIKE_NEW);
        assertThat(Lasting.of(well)).hasValueSatisfying(s -> {
            assertThat(s.worn()).isFalse();
            assertThat(s.months()).isCloseTo(2, within(0.01)); // 61 / 30.44
        });
        Page dull = Pages.looked(Pages.looked(well, Pages.MAY.plusDays(122), Page.Look.State.DULL), Pages.MAY.plusDays(300),
                Page.Look.State.FLAKING);
        assertThat(Lasting.of(dull)).hasValueSatisfying(s -> {
            assertThat(s.worn()).isTrue();
            assertThat(s.months()).as("the first wear counts").isCloseTo(4, within(0.01));
        });
        Page gone = Pages.looked(well, Pages.MAY.plusDays(200), Page.Look.State.LOST);
        assertThat(Lasting.of(gone)).as("what is gone tells no more than the look before")
                .hasValueSatisfying(s -> assertThat(s.months()).isCloseTo(2, within(0.01)));
    }
}
