package mosspebble.instruments;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalTime;
import mosspebble.core.drying.Climate;
import org.junit.jupiter.api.Test;

class ClimateProbeTest {

    @Test
    void theSimulatedRoomIsWarmestInTheAfternoonDampestBeforeDawnAndRepeatable() {
        ClimateProbe probe = new SimulatedClimateProbe(7);
        Climate dawn = probe.read(LocalTime.of(4, 0));
        Climate afternoon = probe.read(LocalTime.of(15, 0));

        assertThat(afternoon.temperature().value()).isGreaterThan(dawn.temperature().value() + 2);
        assertThat(afternoon.humidity()).isLessThan(dawn.humidity());
        assertThat(new SimulatedClimateProbe(7).read(LocalTime.of(15, 0))).isEqualTo(afternoon);
        for (int minute = 0; minute < 24 * 60; minute += 7) {
            assertThat(probe.read(LocalTime.ofSecondOfDay(60L * minute)).humidity()).isBetween(0.3, 0.75);
        }
    }
}
