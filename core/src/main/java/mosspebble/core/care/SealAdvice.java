package mosspebble.core.care;

import java.time.Duration;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.stone.Stone;

/**
 * How a painted stone is sealed: by the kind of seal, the stone and the place.
 *
 * @param between wait between coats
 * @param cure until it may go out or be handled freely
 * @param why what decided it
 */
public record SealAdvice(SealKind kind, int coats, Duration between, Duration cure, Why why) {

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
        return of(stone, outdoors, SealKind.TOP_COAT, Finish.SATIN);
    }

    /** For a certain sealer. */
    public static SealAdvice of(Stone stone, boolean outdoors, Paint sealer) {
        return of(stone, outdoors, SealKind.of(sealer), sealer.finish());
    }

    private static SealAdvice of(Stone stone, boolean outdoors, SealKind kind, Finish finish) {
        return new SealAdvice(kind, kind.coats(stone.porosity()), kind.between(), kind.cured(outdoors),
                new Why(stone.porosity() >= POROUS, outdoors, kind == SealKind.RESIN, finish));
    }
}
