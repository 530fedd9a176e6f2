package mosspebble.core.drying;

import static mosspebble.core.Reference.number;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.Map;
import mosspebble.core.Reference;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Srgb;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.provider.ValueSource;
import org.junit.jupiter.params.ParameterizedTest;

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
        assertThat(minutes(18, 0.4)).as("pen coat").isBetween(1.0, 6.0);
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
}
