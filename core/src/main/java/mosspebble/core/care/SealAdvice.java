package mosspebble.core.care;

import java.time.Duration;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.stone.Stone;

/**
 * How a painted stone is sealed (common practice, no source): two coats, three where the stone is porous; resin in one pour.
 *
 * @param between wait between coats
 * @param cure until it may go out or be handled freely
 * @param why what decided it
 */
public record SealAdvice(int coats, Duration between, Duration cure, Why why) {

    /** Open porosity from which a stone counts as porous. */
    public static final double POROUS = 0.06;

    /**
     * What decided how it is sealed.
     *
     * @param poured whether it is poured, not brushed
     * @param finish of the sealer; SATIN where it does not matter
     */
    public record Why(boolean porous, boolean outdoors, boolean poured, Finish finish) {}

    /** For a brushed varnish. */
    public static SealAdvice of(Stone stone, boolean outdoors) {
        return brushed(stone, outdoors, Finish.SATIN);
    }

    /** For a certain sealer. */
    public static SealAdvice of(Stone stone, boolean outdoors, Paint sealer) {
        return sealer.binder() == Binder.RESIN ? new SealAdvice(1, Duration.ZERO, Duration.ofHours(72),
                new Why(stone.porosity() >= POROUS, outdoors, true, sealer.finish())) : brushed(stone, outdoors, sealer.finish());
    }

    private static SealAdvice brushed(Stone stone, boolean outdoors, Finish finish) {
        boolean porous = stone.porosity() >= POROUS;
        return new SealAdvice(porous ? 3 : 2, Duration.ofHours(2), Duration.ofHours(outdoors ? 48 : 24),
                new Why(porous, outdoors, false, finish));
    }
}
