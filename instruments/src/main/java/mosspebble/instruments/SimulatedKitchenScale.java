package mosspebble.instruments;

import java.util.SplittableRandom;
import java.util.function.Supplier;
import mosspebble.core.units.Grams;

/** A stand-in scale: reads the true weight with a little noise and shows whole steps. The same seed gives the same readings. */
public final class SimulatedKitchenScale implements KitchenScale {

    private static final double STEP = 1;

    private final Supplier<Grams> load;
    private final SplittableRandom noise;

    /** @param load what lies on it when it is read */
    public SimulatedKitchenScale(long seed, Supplier<Grams> load) {
        this.load = load;
        this.noise = new SplittableRandom(seed);
    }

    @Override
    public boolean simulated() {
        return true;
    }

    @Override
    public String label() {
        return "simulated kitchen scale";
    }

    @Override
    public Grams read() {
        double grams = load.get().value() + noise.nextDouble(-0.6, 0.6);
        return new Grams(Math.max(0, Math.round(grams / STEP) * STEP));
    }
}
