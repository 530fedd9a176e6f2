package mosspebble.core.drying;

import static mosspebble.core.Reference.number;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import mosspebble.core.Reference;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Srgb;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class DryingTest {

    @Test
    @Tag("outside") // IAPWS-IF97 by the iapws library; Magnus AE96 is known to differ by at most 0.25 % over 0 to 50 °C
    void saturationPressureIsThatOfTheSteamTables() {
        for (Map<String, String> row : Reference.rows("saturation_vapour_pressure.csv")) {
            assertThat(Psychrometrics.saturationPressure(new Celsius(number(row, "t_C")))).isCloseTo(number(row, "if97"),
                    Percentage.withPercentage(0.26));
        }
    }

    @Test
    // Carrier 1918 as in the ASHRAE handbook, vapour pressures by Wagner and Pruss; small deficits magnify the 0.25 % of Magnus
    @Tag("outside")
    void evaporationIsCarriers() {
        for (Map<String, String> row : Reference.rows("evaporation_carrier.csv")) {
            Climate air = new Climate(new Celsius(number(row, "air_C")), number(row, "RH_percent") / 100, number(row, "V_m_s"));
            double rate = Evaporation.rate(air, new Celsius(number(row, "water_C")));
            assertThat(rate * 3600).as("%s", row).isCloseTo(number(row, "w_g_h_m2"), Percentage.withPercentage(1.2));
        }
    }

    @Test
    @Tag("outside") // dew points of the table printed in DIN 4108-3 (from memory), to 0.1 °C; below 0 °C the table means frost
    void dewPointIsThatOfThePrintedTable() {
        for (Map<String, String> row : Reference.rows("dew_point_din4108_rows.csv")) {
            Climate air = new Climate(new Celsius(number(row, "t_C")), number(row, "RH_percent") / 100, 0.1);
            if (number(row, "table") < 0) {
                continue;
            }
            assertThat(Psychrometrics.dewPoint(air).value()).as("%s", row).isCloseTo(number(row, "table"), within(0.11));
        }
    }

    @Test
    @Tag("outside") // a thin pen coat 1 to 3 min, a brushed coat 5 to 20, thick dots 20 to 60 (common practice, no source)
    void touchDryTimesAreThoseOfTheTrade() {
        assertThat(minutes(18, 0.4)).as("pen coat, on paint").isBetween(1.0, 5.0);
        assertThat(minutes(60, 0.4)).as("brushed coat").isBetween(5.0, 20.0);
        assertThat(minutes(180, 0.4)).as("thick dots").isBetween(20.0, 60.0);
    }

    private static double minutes(double wetUm, double solids) {
        return Drying.of(wetUm, solids, Drying.Below.PAINT, false, Climate.room()).touchDry().toSeconds() / 60.0;
    }

    @Test
    void dampColdStillAirDriesSlowerAndADryerFaster() {
        Duration room = Drying.of(60, 0.4, Drying.Below.PAINT, false, Climate.room()).recoat();

        assertThat(Drying.of(60, 0.4, Drying.Below.PAINT, false, new Climate(new Celsius(12), 0.8, 0.05)).recoat())
                .isGreaterThan(room.multipliedBy(2));
        assertThat(Drying.of(60, 0.4, Drying.Below.PAINT, true, Climate.room()).recoat()).isLessThan(room.dividedBy(3));
        assertThat(Drying.of(60, 0.4, Drying.Below.stone(0), false, Climate.room()).recoat()).isGreaterThan(room);
        assertThat(Drying.of(60, 0.4, Drying.Below.PAINT, false, new Climate(new Celsius(5), 0.99, 0)).recoat())
                .isLessThanOrEqualTo(Drying.NEVER);
    }

    @Test
    @Tag("outside") // sooner on porous stone, later on glassy; the first coat on tight stone dries slowest (common practice, no source)
    void theStoneDrinksItsShareOfTheWater() {
        Climate room = Climate.room();
        Duration paint = Drying.of(60, 0.4, Drying.Below.PAINT, false, room).touchDry();
        Duration glassy = Drying.of(60, 0.4, Drying.Below.stone(0), false, room).touchDry();
        Duration plaster = Drying.of(60, 0.4, Drying.Below.stone(0.6), false, room).touchDry();
        assertThat(glassy).isGreaterThan(paint);
        assertThat(plaster).isLessThan(paint).isLessThan(glassy.dividedBy(2));
        assertThat(Drying.of(60, 0.4, Drying.Below.stone(1), false, room).touchDry()).as("nothing is left to dry")
                .isLessThanOrEqualTo(Duration.ofSeconds(1));
        for (RockKind rock : RockKind.values()) {
            Stone stone = Stone.cobble().withSkin(Skin.of(rock, Texture.SMOOTH, Srgb.ofHex("#888888")));
            double minutes = Drying.of(60, 0.4, Drying.Below.stone(SoakIn.share(stone)), false, room).touchDry().toSeconds() / 60.0;
            assertThat(minutes).as("a brushed coat on %s", rock).isBetween(5.0, 21.0);
        }
    }

    @ParameterizedTest // a hair dryer takes seconds to a minute or two for a thin coat (common practice, no source)
    @ValueSource(doubles = {40, 60, 90})
    void aDryerTakesUpToAMinuteOrTwo(double wetUm) {
        Drying dried = Drying.of(wetUm, 0.4, Drying.Below.PAINT, true, Climate.room());
        assertThat(dried.touchDry().toSeconds()).isBetween(20L, 120L);
        assertThat(Drying.of(wetUm, 0.4, Drying.Below.PAINT, false, Climate.room()).touchDry()).as("in air")
                .isGreaterThan(dried.touchDry().multipliedBy(8));
    }

    @Test // a dryer's film warms from the room's and the stone's warmth on, so in the cold it helps less
    void aDryerInTheColdIsSlowerThanInAWarmRoom() {
        Duration warm = Drying.of(60, 0.4, Drying.Below.PAINT, true, new Climate(new Celsius(22), 0.5, 0.1)).touchDry();
        Duration cold = Drying.of(60, 0.4, Drying.Below.PAINT, true, new Climate(new Celsius(8), 0.5, 0.1)).touchDry();
        assertThat(cold).isGreaterThan(warm);
        assertThat(cold).isLessThan(Drying.of(60, 0.4, Drying.Below.PAINT, false, new Climate(new Celsius(8), 0.5, 0.1)).touchDry());
        assertThat(warm).as("seconds to a minute or two (common practice, no source)").isBetween(Duration.ofSeconds(20),
                Duration.ofMinutes(5));
        assertThat(Drying.of(60, 0.4, Drying.Below.PAINT, true, new Climate(new Celsius(60), 0.1, 0.1)).touchDry())
                .as("in air as warm as its own it only moves the air").isPositive();
    }

    @Test
    void sealingIsRefusedNearTheDewPoint() {
        assertThat(Drying.safeToSeal(Climate.room())).isTrue();
        assertThat(Drying.safeToSeal(new Climate(new Celsius(15), 0.9, 0.1))).isFalse();
        assertThatThrownBy(() -> new Climate(new Celsius(20), 40, 0.1)).hasMessageContaining("5 to 99 %");
    }

    @Test
    @Tag("outside") // 11.70 hPa deficit at 20 °C and 50 % (steam tables: 23.39 hPa), Carrier: 0.0462 g/(m2 s); 36 g of water on 1 m2
    void aCoatDriesInTheTimeItsWaterTakesToLeave() {
        Drying coat = Drying.of(60, 0.4, Drying.Below.PAINT, false, Climate.room());
        double water = 36 / 0.0462;

        assertThat((double) coat.open().toSeconds()).isCloseTo(0.35 * water, Percentage.withPercentage(1));
        assertThat((double) coat.touchDry().toSeconds()).isCloseTo(1.15 * water, Percentage.withPercentage(1));
        assertThat((double) coat.recoat().toSeconds()).isCloseTo(1.15 * 1.3 * water, Percentage.withPercentage(1));
        assertThat(Drying.of(120, 0.7, Drying.Below.PAINT, false, Climate.room())).as("as much water in it").isEqualTo(coat);
        assertThat((double) Drying.of(60, 0.4, Drying.Below.stone(0.25), false, Climate.room()).open().toSeconds())
                .isCloseTo(1.4 * 0.75 * coat.open().toSeconds(), Percentage.withPercentage(1));
        assertThat(Drying.of(0, 0.4, Drying.Below.PAINT, false, Climate.room()).open()).isEqualTo(Duration.ofSeconds(1));
    }

    @Test
    void inAirThatTakesNoWaterNothingDriesHoweverLongOneWaits() {
        Climate fog = new Climate(new Celsius(1), 0.99, 0);
        assertThat(Drying.of(500, 0.05, Drying.Below.stone(0), false, fog))
                .isEqualTo(new Drying(Drying.NEVER, Drying.NEVER, Drying.NEVER));
        assertThat(Evaporation.rate(new Climate(new Celsius(30), 0.9, 1), new Celsius(15))).as("it would rather give water off").isZero();
    }

    @Test
    // ASHRAE's (0.089 + 0.0782 V): 2.5 m/s of a dryer move 2.9 times as much as 0.1 m/s, and a film of 38 °C more again
    void aDryerMovesAirAndWarmsTheFilm() {
        Climate draught = new Climate(new Celsius(20), 0.5, 2.5);
        Duration moved = Drying.of(60, 0.4, Drying.Below.PAINT, false, draught).touchDry();
        Duration dryer = Drying.of(60, 0.4, Drying.Below.PAINT, true, Climate.room()).touchDry();
        double warmer = (66.33 - 11.7) / (23.39 - 11.7); // hPa over water of 38 and of 20 °C, steam tables

        assertThat(899.0 / moved.toSeconds()).isCloseTo((0.089 + 0.0782 * 2.5) / (0.089 + 0.0782 * 0.1), within(0.05));
        assertThat((double) moved.toSeconds() / dryer.toSeconds()).isCloseTo(warmer, within(0.15));
        assertThat(Drying.of(60, 0.4, Drying.Below.PAINT, true, draught)).as("a draught no faster than its own adds nothing")
                .isEqualTo(Drying.of(60, 0.4, Drying.Below.PAINT, true, Climate.room()));
        Climate storm = new Climate(new Celsius(20), 0.5, 8);
        assertThat(Drying.of(60, 0.4, Drying.Below.PAINT, true, storm).touchDry()).isLessThan(dryer);
    }

    @ParameterizedTest
    // 24 h for 100 µm in a quiet room, 4 to 72 h (usual advice for acrylics, from memory); at 80 % a fifth of the vapour is missing
    @CsvSource({"100, 50, 24", "50, 50, 12", "250, 50, 60", "100, 80, 60", "10, 50, 4", "500, 50, 72", "100, 99, 72"})
    void theWaitBeforeSealingFollowsTheFilmAndTheAir(double um, double humidity, double hours) {
        Duration wait = Drying.beforeSealing(um, new Climate(new Celsius(20), humidity / 100, 0.1));

        assertThat(wait.toMinutes() / 60.0).isCloseTo(hours, within(0.02));
        assertThat(Drying.beforeSealing(um, new Climate(new Celsius(20), humidity / 100, 4))).as("a draught does not reach the depth")
                .isEqualTo(wait);
    }

    @Test
    @Tag("outside") // the dew point is 3 K below 20 °C where the air holds 19.37 of 23.39 hPa (steam tables): at 82.8 %
    void sealingIsSafeThreeKelvinAboveTheDewPoint() {
        assertThat(Drying.safeToSeal(new Climate(new Celsius(20), 0.82, 0.1))).isTrue();
        assertThat(Drying.safeToSeal(new Climate(new Celsius(20), 0.836, 0.1))).isFalse();
    }

    @Test
    void aRoomIsWhereOnePaints() {
        for (double[] edge : new double[][] {{1, 0.05, 0}, {60, 0.99, 20}}) {
            assertThat(new Climate(new Celsius(edge[0]), edge[1], edge[2]).vapourPressure()).isPositive();
        }
        assertThatThrownBy(() -> new Climate(new Celsius(0.9), 0.5, 0.1)).hasMessageContaining("1 to 60 °C");
        assertThatThrownBy(() -> new Climate(new Celsius(60.1), 0.5, 0.1)).hasMessageContaining("1 to 60 °C");
        assertThatThrownBy(() -> new Climate(new Celsius(20), 0.049, 0.1)).hasMessageContaining("4.9 %");
        assertThatThrownBy(() -> new Climate(new Celsius(20), 0.991, 0.1)).hasMessageContaining("99.1 %");
        assertThatThrownBy(() -> new Climate(new Celsius(20), 0.5, -0.1)).hasMessageContaining("Air speed");
        assertThatThrownBy(() -> new Climate(new Celsius(20), 0.5, 20.1)).hasMessageContaining("20.1");
    }

    private static Paint of(PaintKind kind) {
        return Paint.usual("p", "paint", kind, Srgb.ofHex("#808080"), new Millilitres(20));
    }

    @ParameterizedTest
    // as labels of such products say it, as a rule (common practice, no source; the label decides): seconds open, touch dry, recoat
    @CsvSource({"GEL, 28800, 60, 60", "POWDER, 28800, 60, 60", "FLAKES, 28800, 60, 60", "LEAF, 28800, 60, 60", "SIZE, 300, 1200, 1200",
        "GLUE, 600, 3600, 86400", "GEM, 600, 3600, 86400"})
    void whatSetsTakesItsOwnTimeWhateverTheAir(PaintKind kind, long open, long touch, long recoat) {
        assertThat(Setting.of(of(kind))).contains(
                new Drying(Duration.ofSeconds(open), Duration.ofSeconds(touch), Duration.ofSeconds(recoat)));
    }

    @ParameterizedTest
    @EnumSource(names = {"BRUSH", "PEN", "INK", "PRIMER", "GLAZE", "CRACKLE", "WASH", "PASTE", "VARNISH"})
    void whatHoldsWaterDries(PaintKind kind) {
        assertThat(Setting.of(of(kind))).isEmpty();
    }

    @Test
    void anIsolatingCoatOfLacquerSetsAsItsSolventLeaves() {
        Paint lacquer = of(PaintKind.ISOLATING);
        assertThat(lacquer.binder()).as("the usual one").isEqualTo(Binder.SOLVENT_LACQUER);
        assertThat(Setting.of(lacquer)).contains(new Drying(Duration.ofMinutes(2), Duration.ofMinutes(15), Duration.ofMinutes(30)));
        assertThat(Setting.of(lacquer.made(Binder.ACRYLIC, lacquer.finish(), lacquer.tip(), lacquer.wetCoat()))).as("one in water dries")
                .isEmpty();
        Paint varnish = of(PaintKind.VARNISH);
        assertThat(Setting.of(varnish.made(Binder.SOLVENT_LACQUER, varnish.finish(), varnish.tip(), varnish.wetCoat())))
                .as("a seal has hours of its own").isEmpty();
    }

    private static SteadyMass.Weighing at(double hours, double grams) {
        return new SteadyMass.Weighing(hours, grams);
    }

    private static List<SteadyMass.Weighing> curve(double steady, double water, double tau, double... hours) {
        return Arrays.stream(hours).mapToObj(h -> at(h, steady + water * Math.exp(-h / tau))).toList();
    }

    @Test
    void aDryingCurveIsFoundAgainAsItWasMade() {
        SteadyMass fit = SteadyMass.fit(curve(400, 20, 12, 0, 6, 12, 24, 48));

        assertThat(fit.steadyGrams()).isCloseTo(400, within(0.01));
        assertThat(fit.waterGrams()).isCloseTo(20, within(0.01));
        assertThat(fit.tauHours()).isCloseTo(12, within(0.01));
        assertThat(fit.readyHours()).as("12 ln(20 / 0.8): two thousandths of 400 g are left").isCloseTo(12 * Math.log(25), within(0.05));
        assertThat(fit.offGrams()).isLessThan(0.01);
        assertThat(fit.doubt()).isEmpty();
        assertThat(SteadyMass.fit(curve(400, 0.7, 12, 0, 6, 12, 24, 48)).readyHours()).as("less than that is in it").isZero();
    }

    @Test
    void weighingsThatScatterOrWereReadWronglyAreDoubted() {
        SteadyMass fit = SteadyMass.fit(List.of(at(0, 420), at(6, 398), at(12, 414), at(24, 396), at(48, 405)));
        assertThat(fit.doubt()).map(SteadyMass.Doubt::odd).contains(SteadyMass.Odd.SCATTERS);
        assertThat(fit.doubt().orElseThrow().value()).isEqualTo(fit.offGrams()).isGreaterThan(0.004 * fit.steadyGrams());
        assertThat(SteadyMass.fit(List.of(at(0, 100), at(1, 95), at(2, 90))).doubt())
                .as("weighed too soon to tell: again in six hours at least")
                .contains(new SteadyMass.Doubt(SteadyMass.Odd.NO_END_IN_SIGHT, 6));
        for (double[] wrong : new double[][] {{-0.1, 100}, {5001, 100}, {0, 0}, {0, 100_001}, {Double.NaN, 1}}) {
            assertThatThrownBy(() -> at(wrong[0], wrong[1])).hasMessageContaining("up to 100 kg");
        }
        assertThat(at(5000, 100_000).grams()).isEqualTo(100_000);
    }
}
