package mosspebble.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Colours by daylight, by a lamp and by an LED. */
class LampTest {

    /** Chromaticities for the 2-degree observer: D65 0.31272, 0.32903 and A 0.44758, 0.40745 (CIE 15); bands of 10 nm up to 730 nm. */
    @ParameterizedTest
    @Tag("outside")
    @CsvSource({"DAYLIGHT,0.31272,0.32903,0.001", "WARM_LAMP,0.44758,0.40745,0.001"})
    void aWhiteHasTheChromaticityOfItsLight(Lamp lamp, double x, double y, double off) {
        Xyz white = lamp.white();
        double sum = white.x() + white.y() + white.z();
        assertThat(white.x() / sum).isCloseTo(x, within(off));
        assertThat(white.y() / sum).isCloseTo(y, within(off));
        assertThat(white.y()).isCloseTo(1, within(1e-9));
    }

    /** Cool white LEDs are sold at 5000 to 6500 K (from memory): their chromaticity lies near the daylight locus there. */
    @Test
    void theLedIsACoolWhite() {
        Xyz white = Lamp.COOL_LED.white();
        double sum = white.x() + white.y() + white.z();
        assertThat(white.x() / sum).isBetween(0.300, 0.360);
        assertThat(white.y() / sum).isBetween(0.310, 0.375);
    }

    @ParameterizedTest
    @EnumSource(Lamp.class)
    void greyStaysNearlyGreyAndOnlyTheLampLeavesItWarm(Lamp lamp) {
        for (double grey : new double[] {0.05, 0.2, 0.5, 0.9}) {
            Lab seen = Lab.of(lamp.seen(Spectrum.flat(grey)));
            Lab day = Lab.of(Lamp.DAYLIGHT.seen(Spectrum.flat(grey)));
            assertThat(seen.l()).isCloseTo(day.l(), within(4.0));
            assertThat(seen.differenceTo(day)).as("%s of %s", grey, lamp).isLessThan(lamp == Lamp.WARM_LAMP ? 12 : 7);
        }
        Lab white = Lab.of(Lamp.WARM_LAMP.seen(Spectrum.flat(0.6)));
        assertThat(white.b()).as("a little warm").isBetween(2.0, 16.0);
    }

    @Test // two spectra of one colour by day part by lamplight: that is what metameric means (ISO/CIE 11664 vocabulary, from memory)
    void whatMatchesByDayNeedNotMatchByTheLamp() {
        Spectrum smooth = Spectrum.of(Srgb.ofHex("#7d7f86"));
        Spectrum paint = new Palette(mosspebble.core.Paints.shelf()).colour(new Mix(java.util.List.of(new Mix.Part("white", 6),
                new Mix.Part("blue", 1), new Mix.Part("umber", 1)))).orElseThrow().optics().full();
        Lab one = Lab.of(Lamp.WARM_LAMP.seen(smooth));
        Lab same = Lab.of(Lamp.WARM_LAMP.seen(smooth));
        assertThat(one.differenceTo(same)).isZero();
        double day = Lab.of(smooth.toSrgb()).differenceTo(Lab.of(paint.toSrgb()));
        double lamp = one.differenceTo(Lab.of(Lamp.WARM_LAMP.seen(paint)));
        assertThat(Math.abs(lamp - day)).as("they part or draw nearer").isGreaterThan(0.2);
    }

    @Test // blues go dull and reds glow by candle and lamp (common knowledge of painters)
    void byTheLampRedsGainAndBluesLose() {
        Spectrum red = Spectrum.of(Srgb.ofHex("#b3261e"));
        Spectrum blue = Spectrum.of(Srgb.ofHex("#1f4e9c"));
        assertThat(Lamp.WARM_LAMP.stimulus(red).y()).isGreaterThan(red.luminance() * 1.1);
        assertThat(Lamp.WARM_LAMP.stimulus(blue).y()).isLessThan(blue.luminance() * 0.95);
        assertThat(Lamp.DAYLIGHT.seen(red)).isEqualTo(red.toSrgb());
    }
}
