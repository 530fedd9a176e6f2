package mosspebble.instruments;

import java.util.SplittableRandom;
import mosspebble.core.colour.Drawdown;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintOptics;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.units.Srgb;

/**
 * A stand-in for a stripe of paint drawn across the printed card: what a reader would find on it. The paint in the pot is a little other
 * than its label says, always in the same
 * way for the same paint, so that calibrating it finds something out.
 */
public final class SimulatedDrawdown {

    private final Paint real;
    private final double shift;
    private final int coats;

    /** @param coats of the stripe, 1 or more */
    public SimulatedDrawdown(Paint label, int coats) {
        SplittableRandom pot = new SplittableRandom(label.id().hashCode());
        double hiding = Math.max(0.03, Math.min(0.995, label.hiding() - 0.06 + 0.09 * pot.nextDouble()));
        this.real = label.withHiding(hiding, 0);
        this.shift = label.dryingShift() + pot.nextDouble(-1, 1.5);
        this.coats = coats;
    }

    /** Contrast ratio of one coat of what is really in the pot. */
    public double hiding() {
        return real.hiding();
    }

    /** L* wet minus dry of what is really in the pot. */
    public double dryingShift() {
        return shift;
    }

    /** The true colour of a patch. */
    public Srgb colour(StripeReader.Patch patch) {
        PaintOptics optics = PaintOptics.of(real);
        double um = coats * real.dryCoat().value();
        return switch (patch) {
            case OVER_BLACK -> optics.over(Spectrum.flat(Drawdown.Card.PRINTED.black()), um).toSrgb();
            case OVER_WHITE -> optics.over(Spectrum.flat(Drawdown.Card.PRINTED.white()), um).toSrgb();
            case DRY -> real.swatch();
            case WET -> {
                Lab dry = Lab.of(real.swatch());
                yield new Lab(Math.min(100, Math.max(0, dry.l() + shift)), dry.a(), dry.b()).toXyz().toSrgb();
            }
        };
    }
}
