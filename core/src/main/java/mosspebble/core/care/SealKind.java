package mosspebble.core.care;

import java.time.Duration;
import java.util.Objects;
import java.util.Optional;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Paint;

/**
 * The kinds of seal and what is usual for each (common practice, no source; the product's own label decides).
 */
public enum SealKind {
    /** Water-based acrylic varnish, brushed. */
    TOP_COAT(new Coats(2, 3, 10), new Waits(0, 2 * 60, Waits.NEVER, 4 * 60, 24 * 60, 48 * 60), new Window(10, 30, 0.70),
            new Nature(true, Yellowing.NONE, Mending.EASY, Fumes.LITTLE)),
    /** Oil or alkyd varnish, brushed. */
    BRUSH_VARNISH(new Coats(2, 3, 14), new Waits(24 * 60, 16 * 60, 72 * 60, 24 * 60, 72 * 60, 7 * 24 * 60), new Window(10, 30, 0.75),
            new Nature(true, Yellowing.MARKED, Mending.SANDED, Fumes.SOLVENT)),
    /** Solvent lacquer in thin mist coats. */
    SPRAY_VARNISH(new Coats(3, 4, 4), new Waits(24 * 60, 15, 60, 60, 24 * 60, 48 * 60), new Window(10, 27, 0.65),
            new Nature(true, Yellowing.SLIGHT, Mending.SANDED, Fumes.SOLVENT)),
    /** A thick glassy glaze, sprayed or brushed. */
    GLOSS_GLAZE(new Coats(2, 2, 3), new Waits(24 * 60, 2 * 60, 24 * 60, 24 * 60, 48 * 60, 7 * 24 * 60), new Window(15, 30, 0.65),
            new Nature(true, Yellowing.SLIGHT, Mending.SANDED, Fumes.SOLVENT)),
    /** Water-based polyurethane, brushed. */
    POLYURETHANE(new Coats(2, 3, 12), new Waits(24 * 60, 3 * 60, 24 * 60, 24 * 60, 72 * 60, 7 * 24 * 60), new Window(12, 30, 0.70),
            new Nature(true, Yellowing.SLIGHT, Mending.SANDED, Fumes.LITTLE)),
    /** Two parts stirred together and poured. */
    RESIN(new Coats(1, 1, 0), new Waits(72 * 60, 4 * 60, 24 * 60, 24 * 60, 72 * 60, 72 * 60), new Window(20, 30, 0.65),
            new Nature(true, Yellowing.MARKED, Mending.HARDLY, Fumes.STRONG)),
    /** Paste wax, rubbed on and buffed. */
    WAX(new Coats(2, 2, 20), new Waits(72 * 60, 60, Waits.NEVER, 60, 24 * 60, 24 * 60), new Window(15, 30, 0.80),
            new Nature(false, Yellowing.NONE, Mending.EASY, Fumes.LITTLE));

    /** A film laid thicker than this wet is no varnish any more but a glaze, um. */
    private static final double THICK_UM = 200;

    /**
     * How many coats.
     *
     * @param spread m2 that a litre covers in one coat; 0 where the depth decides
     */
    private record Coats(int tight, int porous, double spread) {}

    /**
     * Waits, minutes.
     *
     * @param before after the last paint at least
     * @param least until the next coat
     * @param latest until the one before must be dulled first
     * @param handled until it can be taken up
     * @param indoors until it may live indoors
     * @param outdoors until it may go out
     */
    private record Waits(long before, long least, long latest, long handled, long indoors, long outdoors) {
        private static final long NEVER = Long.MAX_VALUE / 120;
    }

    /**
     * In which air it may be laid.
     *
     * @param low coldest, C
     * @param high warmest, C
     * @param damp most relative humidity, 0 to 1
     */
    public record Window(double low, double high, double damp) {}

    /** How it is with the years. */
    private record Nature(boolean outdoors, Yellowing yellowing, Mending mending, Fumes fumes) {}

    /** How much it yellows with the years. */
    public enum Yellowing { NONE, SLIGHT, MARKED }

    /** How it is mended where it is scratched. */
    public enum Mending { EASY, SANDED, HARDLY }

    /** What comes off it while it is laid. */
    public enum Fumes { LITTLE, STRONG, SOLVENT }

    private final Coats coats;
    private final Waits waits;
    private final Window window;
    private final Nature nature;

    SealKind(Coats coats, Waits waits, Window window, Nature nature) {
        this.coats = coats;
        this.waits = waits;
        this.window = window;
        this.nature = nature;
    }

    /** What a sealer on the shelf is, by its binder and by how thick it is laid. */
    public static SealKind of(Paint sealer) {
        Objects.requireNonNull(sealer);
        return switch (sealer.binder()) {
            case RESIN -> RESIN;
            case WAX -> WAX;
            case POLYURETHANE -> POLYURETHANE;
            case OIL -> BRUSH_VARNISH;
            case SOLVENT_LACQUER -> sealer.wetCoat().value() >= THICK_UM ? GLOSS_GLAZE : SPRAY_VARNISH;
            default -> sealer.wetCoat().value() >= THICK_UM ? GLOSS_GLAZE : TOP_COAT;
        };
    }

    /** Coats on a stone of this open porosity, 0 to 1. */
    public int coats(double porosity) {
        return porosity >= SealAdvice.POROUS ? coats.porous : coats.tight;
    }

    /** Least wait after the last paint, besides what the thickness of the film asks for. */
    public Duration before() {
        return Duration.ofMinutes(waits.before);
    }

    /** Wait between coats at least; zero where there is one. */
    public Duration between() {
        return this == RESIN ? Duration.ZERO : Duration.ofMinutes(waits.least);
    }

    /** After so long the coat before must be dulled first; empty where the next holds at any time. */
    public Optional<Duration> latest() {
        return waits.latest == Waits.NEVER ? Optional.empty() : Optional.of(Duration.ofMinutes(waits.latest));
    }

    /** Until it can be taken up. */
    public Duration handled() {
        return Duration.ofMinutes(waits.handled);
    }

    /** Until it may live where it is to live. */
    public Duration cured(boolean outdoors) {
        return Duration.ofMinutes(outdoors ? waits.outdoors : waits.indoors);
    }

    public Window window() {
        return window;
    }

    /**
     * After so many months a seal wants to be looked at and renewed where it is thin: outdoors sun and frost work on it, indoors only the
     * hand (common practice, no source).
     */
    public int renewMonths(boolean outdoors) {
        return switch (this) {
            case TOP_COAT, SPRAY_VARNISH -> outdoors ? 12 : 60;
            case BRUSH_VARNISH, POLYURETHANE, GLOSS_GLAZE -> outdoors ? 24 : 60;
            case RESIN -> outdoors ? 18 : 120;
            case WAX -> outdoors ? 1 : 6;
        };
    }

    /** Millilitres for an area in so many coats, a tenth more for the brush; for what is poured see {@link Resin}. */
    public double millilitres(double areaMm2, int number) {
        return coats.spread == 0 ? 0 : 1.1 * number * areaMm2 / 1000 / coats.spread;
    }

    /** Whether it lasts outdoors. */
    public boolean lastsOutdoors() {
        return nature.outdoors;
    }

    public Yellowing yellowing() {
        return nature.yellowing;
    }

    public Mending mending() {
        return nature.mending;
    }

    public Fumes fumes() {
        return nature.fumes;
    }

    /** Whether it is laid out of doors for the sake of the painter's breath: what is sprayed with solvent. */
    public boolean isLaidInTheOpen() {
        return this == SPRAY_VARNISH || this == GLOSS_GLAZE;
    }

    /**
     * Share of milk white in its wet film, 0 to 1: emulsions are cloudy until their water has left and their drops have run together;
     * wax is dull until it is buffed (common practice, no source).
     */
    public double milk() {
        return switch (this) {
            case TOP_COAT -> 0.26;
            case POLYURETHANE -> 0.18;
            case WAX -> 0.12;
            default -> 0;
        };
    }
}
