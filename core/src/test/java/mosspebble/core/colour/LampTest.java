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

    /** Relative power of illuminant A, 100 at 560 nm (CIE 15, table; these values from memory). */
    @ParameterizedTest
    @CsvSource({"380,9.80", "400,14.71", "500,59.86", "560,100", "600,129.04", "700,198.26"})
    void theWarmLampShinesByItsTable(double nm, double power) {
        assertThat(100 * Lamp.tungsten(nm)).isCloseTo(power, within(0.006));
    }

    @Test
    void theLedHasANarrowBlueAndABroadYellow() {
        assertThat(Lamp.led(452)).isCloseTo(1 + 0.60 * Math.exp(-0.5 * Math.pow(113.0 / 53, 2)), within(1e-12));
        assertThat(Lamp.led(565)).as("nothing of the blue is left").isCloseTo(0.60, within(1e-12));
        assertThat(Lamp.led(565 + 53)).as("one deviation off").isCloseTo(0.60 * Math.exp(-0.5), within(1e-12));
        assertThat(Lamp.led(452 - 9.5)).isCloseTo(Math.exp(-0.5) + 0.60 * Math.exp(-0.5 * Math.pow(122.5 / 53, 2)), within(1e-12));
    }

    /** One band alone: its share of Y is 1, those of X and Z as the observer's tables stand to each other (CIE 15, 560 and 450 nm). */
    @Test
    @Tag("outside")
    void aLightOfOneBandWeighsAsTheObserverDoes() {
        double[][] green = Observer.weights(band -> band == 18 ? 7 : 0);
        assertThat(green[1][18]).isCloseTo(1, within(1e-12));
        assertThat(green[0][18]).isCloseTo(0.5945 / 0.995, within(1e-12));
        assertThat(green[2][18]).isCloseTo(0.0039 / 0.995, within(1e-12));
        assertThat(green[0][17]).isZero();
        double[][] both = Observer.weights(band -> band == 18 ? 1 : band == 7 ? 2 : 0);
        assertThat(both[1][7]).as("450 nm, twice as strong").isCloseTo(2 * 0.038 / (0.995 + 2 * 0.038), within(1e-12));
        assertThat(both[2][7]).isCloseTo(2 * 1.77211 / (0.995 + 2 * 0.038), within(1e-12));
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
