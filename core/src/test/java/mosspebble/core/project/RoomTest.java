package mosspebble.core.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.drying.Climate;
import mosspebble.core.units.Celsius;
import org.junit.jupiter.api.Test;

class RoomTest {

    private static final LocalDate FRIDAY = LocalDate.of(2026, 11, 27);
    private static final LocalDateTime EVENING = FRIDAY.atTime(19, 0);
    private static final LocalDateTime MORNING = FRIDAY.atTime(9, 0);
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
        assertThat(room.slower(EVENING)).isCloseTo(usual / (1228 * 0.2), within(0.25));
        assertThat(room.slower(EVENING.plusDays(1))).isCloseTo(usual / (4247 * 0.6), within(0.03));
        assertThat(room.slower(EVENING.plusDays(2))).isEqualTo(1);
        assertThat(room.wait(Duration.ofMinutes(30), EVENING).toSeconds())
                .isCloseTo(Math.round(1_800 * room.slower(EVENING)), within(1L));
        assertThat(new Room(USUAL).with(FRIDAY, Optional.of(air(20, 0.99)), FRIDAY).slower(EVENING)).as("bounded in fog").isEqualTo(20);
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
    void aSittingHasItsOwnAirOrThatOfItsDay() {
        Room room = new Room(USUAL).with(FRIDAY, Optional.of(air(10, 0.8)), FRIDAY).with(EVENING, Optional.of(USUAL), FRIDAY);
        assertThat(room.in(MORNING)).isEqualTo(air(10, 0.8));
        assertThat(room.slower(MORNING)).isGreaterThan(2);
        assertThat(room.in(EVENING)).as("the stove is lit").isEqualTo(USUAL);
        assertThat(room.slower(EVENING)).isEqualTo(1);
        assertThat(room.isToldApart(EVENING.plusDays(1))).isFalse();
        assertThat(room.wait(Duration.ofMinutes(30), EVENING)).isEqualTo(Duration.ofMinutes(30));
        assertThat(room.with(EVENING, Optional.empty(), FRIDAY).in(EVENING)).isEqualTo(air(10, 0.8));
        assertThat(room.with(EVENING, Optional.of(air(10, 0.8)), FRIDAY).sittings()).as("the same as on its day").isEmpty();
        assertThat(room.with(FRIDAY.plusDays(2), Optional.of(air(12, 0.6)), FRIDAY.plusDays(1)).sittings()).as("past").isEmpty();
        Room cooler = new Room(USUAL).with(MORNING, Optional.of(air(10, 0.5)), FRIDAY);
        assertThat(cooler.slower(MORNING)).isCloseTo(2339 * 0.5 / (1228 * 0.5), within(0.05));
        assertThat(cooler.in(EVENING)).as("the evening is as usual").isEqualTo(USUAL);
    }

    @Test
    void aSittingThatIsAsItsDayAgainIsForgottenWithTheDay() {
        Room room = new Room(USUAL).with(FRIDAY, Optional.of(air(10, 0.8)), FRIDAY).with(EVENING, Optional.of(USUAL), FRIDAY);
        Room warm = room.with(FRIDAY, Optional.empty(), FRIDAY);
        assertThat(warm).as("nothing is told apart any more").isEqualTo(new Room(USUAL));
        assertThat(warm.withUsual(air(25, 0.5)).in(EVENING)).as("it follows the usual room").isEqualTo(air(25, 0.5));
        Room colder = room.with(FRIDAY, Optional.of(air(5, 0.8)), FRIDAY);
        assertThat(colder.in(EVENING)).as("the stove is lit still").isEqualTo(USUAL);
    }

    @Test
    void theAirGoesWithASittingThatBeginsSooner() {
        Room room = new Room(USUAL).with(MORNING, Optional.of(air(10, 0.8)), FRIDAY);
        Room sooner = room.withMoved(MORNING, MORNING.minusMinutes(30));
        assertThat(sooner.sittings()).containsOnly(Map.entry(MORNING.minusMinutes(30), air(10, 0.8)));
        assertThat(room.withMoved(MORNING, MORNING)).isEqualTo(room);
        assertThat(room.withMoved(EVENING, MORNING)).as("it had none").isEqualTo(room);
    }

    @Test
    void aRoomIsToldApartSoOftenAndNoMore() {
        Map<LocalDateTime, Climate> sittings = new TreeMap<>();
        for (int day = 0; day <= 400; day++) {
            sittings.put(MORNING.plusDays(day), air(10, 0.8));
        }
        assertThatThrownBy(() -> new Room(USUAL, Map.of(), sittings, 4)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("400");
        sittings.remove(MORNING);
        assertThat(new Room(USUAL, Map.of(), sittings, 4).sittings()).hasSize(400);
    }

    @Test
    void thereIsRoomForOneStoneAtLeast() {
        assertThatThrownBy(() -> new Room(USUAL).withSprayed(0)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("1 to 50");
        assertThatThrownBy(() -> new Room(USUAL, Map.of(), Map.of(), 51)).isInstanceOf(IllegalArgumentException.class);
        assertThat(new Room(USUAL).withSprayed(9).sprayed()).isEqualTo(9);
    }
}
