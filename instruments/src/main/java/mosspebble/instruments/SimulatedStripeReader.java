package mosspebble.instruments;

import mosspebble.core.colour.Paint;
import mosspebble.core.units.Srgb;

/**
 * A stand-in: stripes of paints that are a little other than their labels say, read with a little noise. The dry patch has the label's own
 * colour, so there is nothing to find out on it.
 */
public final class SimulatedStripeReader implements StripeReader {

    private long seed;

    public SimulatedStripeReader(long seed) {
        this.seed = seed;
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
    public boolean readsSwatch() {
        return false;
    }

    @Override
    public Srgb read(Paint paint, Patch patch) {
        SimulatedDrawdown stripe = new SimulatedDrawdown(paint, 1);
        return new SimulatedColourReader(seed++, () -> stripe.colour(patch)).read();
    }
}
