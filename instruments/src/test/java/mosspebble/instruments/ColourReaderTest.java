package mosspebble.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;

/** The stand-ins for a colour reader and a stripe of paint on the printed card. */
class ColourReaderTest {

    private static Paint paint(String id, double hiding) {
        return Paint.usual(id, id, PaintKind.BRUSH, Srgb.ofHex("#c9a02c"), new Millilitres(20)).withHiding(hiding, 0.08);
    }

    @Test
    void itReadsAboutTheTruthAndTheSameSeedReadsTheSame() {
        Srgb patch = Srgb.ofHex("#7a8f5a");
        ColourReader reader = new SimulatedColourReader(3, () -> patch);
        ColourReader again = new SimulatedColourReader(3, () -> patch);
        double mean = IntStream.range(0, 500).mapToDouble(i -> {
            Srgb read = reader.read();
            assertThat(again.read()).isEqualTo(read);
            assertThat(Math.abs(read.green() - patch.green())).isLessThan(8);
            return read.green();
        }).average().orElseThrow();
        assertThat(mean).isCloseTo(patch.green(), within(0.25));
        assertThat(new SimulatedColourReader(1, () -> Srgb.ofHex("#ffffff")).read().red()).isLessThanOrEqualTo(255);
        assertThat(reader.label()).startsWith("simulated");
    }

    @Test
    void aStripeIsLighterOverWhiteThanOverBlackAndLessSoWithMoreCoats() {
        for (double hiding : new double[] {0.2, 0.4, 0.66}) {
            double before = Double.POSITIVE_INFINITY;
            for (int coats = 1; coats <= 4; coats++) {
                SimulatedDrawdown stripe = new SimulatedDrawdown(paint("a", hiding), coats);
                double step = Lab.of(stripe.colour(StripeReader.Patch.OVER_WHITE)).l()
                        - Lab.of(stripe.colour(StripeReader.Patch.OVER_BLACK)).l();
                assertThat(step).as("hides %s, coat %s", hiding, coats).isNotNegative().isLessThan(before);
                assertThat(coats > 1 || step > 2).as("one coat shows the card").isTrue();
                before = step;
            }
        }
    }

    @Test
    void thePotIsALittleOtherThanItsLabelAndAlwaysInTheSameWay() {
        SimulatedDrawdown one = new SimulatedDrawdown(paint("a", 0.8), 1);
        assertThat(new SimulatedDrawdown(paint("a", 0.8), 3).hiding()).isEqualTo(one.hiding());
        assertThat(one.hiding()).isNotEqualTo(0.8).isCloseTo(0.8, within(0.07));
        assertThat(new SimulatedDrawdown(paint("b", 0.8), 1).hiding()).isNotEqualTo(one.hiding());
        double wet = Lab.of(one.colour(StripeReader.Patch.WET)).l();
        double dry = Lab.of(one.colour(StripeReader.Patch.DRY)).l();
        assertThat(wet - dry).isCloseTo(one.dryingShift(), within(0.6));
    }
}
