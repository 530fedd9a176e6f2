package mosspebble.instruments;

import java.util.SplittableRandom;
import java.util.function.Supplier;
import mosspebble.core.units.Srgb;

/** A stand-in colour reader: the true colour of the patch with a little noise in every channel. The same seed gives the same readings. */
public final class SimulatedColourReader implements ColourReader {

    /** Noise of a channel, one standard deviation in codes. */
    private static final double NOISE = 1.2;

    private final Supplier<Srgb> patch;
    private final SplittableRandom noise;

    /** @param patch what it is held on when it is read */
    public SimulatedColourReader(long seed, Supplier<Srgb> patch) {
        this.patch = patch;
        this.noise = new SplittableRandom(seed);
    }

    @Override
    public boolean simulated() {
        return true;
    }

    @Override
    public String label() {
        return "simulated colour reader";
    }

    @Override
    public Srgb read() {
        Srgb true0 = patch.get();
        return new Srgb(shaken(true0.red()), shaken(true0.green()), shaken(true0.blue()));
    }

    private int shaken(int code) {
        return (int) Math.max(0, Math.min(255, Math.round(code + NOISE * noise.nextGaussian())));
    }
}
