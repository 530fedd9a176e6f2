package mosspebble.core.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.drying.Climate;
import mosspebble.core.units.Celsius;
import org.junit.jupiter.api.Test;

class RoomTest {

    private static final LocalDate FRIDAY = LocalDate.of(2026, 11, 27);
    private static final Climate USUAL = new Climate(new Celsius(20), 0.5, 0.1);

    private static Climate air(double celsius, double humidity) {
        return new Climate(new Celsius(celsius), humidity, 0.1);
    }

    @Test
    // saturated vapour pressure by the steam tables, from memory: 2339 Pa at 20 degrees, 1228 Pa at 10, 4247 Pa at 30; water leaves a film
    // as warm as the room in proportion to what the air still takes
    void whatTheAirStillTakesDecidesHowLongItDries() {
        Room room = new Room(USUAL).with(FRIDAY, Optional.of(air(10, 0.8)), FRIDAY).with(FRIDAY.plusDays(1), Optional.of(air(30, 0.4)),
                FRIDAY);
        double usual = 2339 * 0.5;
        assertThat(room.slower(FRIDAY)).isCloseTo(usual / (1228 * 0.2), within(0.25));
        assertThat(room.slower(FRIDAY.plusDays(1))).isCloseTo(usual / (4247 * 0.6), within(0.03));
        assertThat(room.slower(FRIDAY.plusDays(2))).isEqualTo(1);
        assertThat(room.wait(Duration.ofMinutes(30), FRIDAY.atTime(20, 0).toInstant(ZoneOffset.UTC), ZoneOffset.UTC).toSeconds())
                .isCloseTo(Math.round(1_800 * room.slower(FRIDAY)), within(1L));
        assertThat(new Room(USUAL).with(FRIDAY, Optional.of(air(20, 0.99)), FRIDAY).slower(FRIDAY)).as("bounded in fog").isEqualTo(20);
    }

    @Test
    void aDayIsToldAsUsualAgainAndWhatIsPastIsForgotten() {
        Room room = new Room(USUAL).with(FRIDAY, Optional.of(air(12, 0.5)), FRIDAY);
        assertThat(room.on(FRIDAY)).isEqualTo(air(12, 0.5));
        assertThat(room.with(FRIDAY, Optional.empty(), FRIDAY)).isEqualTo(new Room(USUAL));
        assertThat(room.with(FRIDAY, Optional.of(USUAL), FRIDAY)).isEqualTo(new Room(USUAL));
        Room later = room.with(FRIDAY.plusDays(3), Optional.of(air(12, 0.6)), FRIDAY.plusDays(2));
        assertThat(later.days()).containsOnlyKeys(FRIDAY.plusDays(3));
        assertThat(room.withUsual(air(25, 0.5)).on(FRIDAY)).isEqualTo(air(12, 0.5));
    }

    @Test
    void thereIsRoomForOneStoneAtLeast() {
        assertThatThrownBy(() -> new Room(USUAL).withSprayed(0)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("1 to 50");
        assertThatThrownBy(() -> new Room(USUAL, Map.of(), 51)).isInstanceOf(IllegalArgumentException.class);
        assertThat(new Room(USUAL).withSprayed(9).sprayed()).isEqualTo(9);
    }
}
