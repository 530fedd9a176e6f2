package mosspebble.instruments;

import java.time.LocalTime;
import java.util.SplittableRandom;
import mosspebble.core.drying.Climate;
import mosspebble.core.units.Celsius;

/**
 * A stand-in probe: a room that warms in the afternoon and is dampest before dawn, with a little noise from its seed. The same seed and
 * time give the same reading.
 */
public final class SimulatedClimateProbe implements ClimateProbe {

    private final long seed;

    public SimulatedClimateProbe(long seed) {
        this.seed = seed;
    }

    @Override
    public boolean simulated() {
        return true;
    }

    @Override
    public String label() {
        return "simulated room probe";
    }

    @Override
    public Climate read(LocalTime at) {
        double hour = at.toSecondOfDay() / 3600.0;
        double swing = Math.cos((hour - 15) / 24 * 2 * Math.PI);
        SplittableRandom noise = new SplittableRandom(seed * 1440 + at.toSecondOfDay() / 60);
        double temperature = 19.2 + 2.2 * swing + noise.nextDouble(-0.15, 0.15);
        double humidity = 0.54 - 0.08 * swing + noise.nextDouble(-0.01, 0.01);
        return new Climate(new Celsius(Math.round(temperature * 10) / 10.0), Math.round(humidity * 100) / 100.0, 0.1);
    }
}
