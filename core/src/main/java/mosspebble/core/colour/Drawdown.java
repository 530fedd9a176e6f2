package mosspebble.core.colour;

import java.util.List;
import mosspebble.core.units.Bisection;
import mosspebble.core.units.Srgb;

/**
 * How a paint hides, found from a stripe of it across the black and the white of the printed card: from the number of coats until the black
 * is gone, or from both patches as read.
 * One scatter coefficient is solved for, as in {@link PaintOptics}; "gone" is a contrast ratio of 0.98 (ISO 6504-3).
 *
 * @param hiding contrast ratio of one coat
 * @param spread plus and minus
 */
public record Drawdown(double hiding, double spread) {

    /** Most coats counted. */
    public static final int MOST_COATS = 12;

    /** Contrast ratio at which the black counts as gone. */
    public static final double GONE = 0.98;

    private static final double MOST_HIDING = 0.999;

    /** What the card itself reflects, 0 to 1, luminous. */
    public record Card(double black, double white) {

        /** A card from a usual office printer (from memory: toner about 4 %, paper about 80 %). */
        public static final Card PRINTED = new Card(0.04, 0.80);

        public Card {
            if (!(black >= 0 && black < white && white <= 1)) {
                throw new IllegalArgumentException(
                        "the card's black must be darker than its white, both 0 to 1, were " + black + " and " + white);
            }
        }
    }

    /**
     * From the number of coats after which the black is gone: one coat less still shows it, so the answer is an interval.
     *
     * @param coats 1 to {@link #MOST_COATS}
     */
    public static Drawdown counted(Paint paint, int coats) {
        checkCoats(coats);
        double[] q = PaintOptics.absorption(Spectrum.of(paint.swatch()));
        double gone = PaintOptics.scatterFor(q, GONE);
        double least = PaintOptics.contrastRatio(q, gone / coats);
        double most = coats == 1 ? MOST_HIDING : PaintOptics.contrastRatio(q, gone / (coats - 1));
        return new Drawdown((least + most) / 2, (most - least) / 2);
    }

    /**
     * From both patches as read, several times if wanted; the spread is that of the mean of the readings, twice over, and the last digit of
     * an eight-bit code.
     *
     * @param coats of paint on the stripe, 1 to {@link #MOST_COATS}
     * @param overBlack readings of the stripe over the card's black, one or more
     * @throws IllegalArgumentException if the stripe is darker over white than over black, or hides so well already that nothing can be
     * learned
     */
    public static Drawdown read(Paint paint, int coats, Card card, List<Srgb> overBlack, List<Srgb> overWhite) {
        checkCoats(coats);
        if (overBlack.isEmpty() || overWhite.isEmpty()) {
            throw new IllegalArgumentException("Read both patches of the stripe at least once.");
        }
        double[] black = meanAndSpread(overBlack);
        double[] white = meanAndSpread(overWhite);
        double ratio = black[0] / white[0];
        double spread = ratio * Math.hypot(black[1] / black[0], white[1] / white[0]);
        if (ratio > 1 + spread) {
            throw new IllegalArgumentException("The stripe reads brighter over the black than over the white. Swap the two readings.");
        }
        double[] q = PaintOptics.absorption(Spectrum.of(paint.swatch()));
        double low = oneCoat(q, coats, card, ratio - spread);
        double high = oneCoat(q, coats, card, ratio + spread);
        return new Drawdown((low + high) / 2, Math.max(0.001, (high - low) / 2));
    }

    private static double oneCoat(double[] q, int coats, Card card, double ratio) {
        double lowest = PaintOptics.contrastRatio(q, 1e-6, card.black, card.white);
        double wanted = Math.min(0.9995, Math.max(lowest, ratio));
        Bisection found = Bisection.logarithmic(1e-6, 1e3, 80, sx -> PaintOptics.contrastRatio(q, sx, card.black, card.white) < wanted);
        return Math.min(MOST_HIDING, Math.max(0.02, PaintOptics.contrastRatio(q, Math.sqrt(found.low() * found.high()) / coats)));
    }

    private static double[] meanAndSpread(List<Srgb> readings) {
        double[] values = readings.stream().mapToDouble(r -> Xyz.of(r).y()).toArray();
        double mean = 0;
        for (double v : values) {
            mean += v / values.length;
        }
        double squares = 0;
        for (double v : values) {
            squares += (v - mean) * (v - mean);
        }
        double scatter = values.length > 1 ? 2 * Math.sqrt(squares / (values.length - 1) / values.length) : 0.01;
        return new double[] {Math.max(1e-4, mean), Math.max(0.002, scatter)};
    }

    private static void checkCoats(int coats) {
        if (coats < 1 || coats > MOST_COATS) {
            throw new IllegalArgumentException("The stripe takes 1 to " + MOST_COATS + " coats, had " + coats
                    + ". A paint that needs more is a glaze: say so by its opacity.");
        }
    }

    /**
     * L* of the wet film minus that of the dry one, from the same patch read twice.
     *
     * @return the mean difference, held within what a paint may have (-15 to 15)
     */
    public static double dryingShift(List<Srgb> wet, List<Srgb> dry) {
        double shift = wet.stream().mapToDouble(w -> Lab.of(w).l()).average().orElseThrow()
                - dry.stream().mapToDouble(d -> Lab.of(d).l()).average().orElseThrow();
        if (!(Math.abs(shift) <= 15)) {
            throw new IllegalArgumentException("Wet and dry differ by " + Math.round(Math.abs(shift))
                    + " in L*; paints differ by 15 at most. Read the same patch twice, wet and dry.");
        }
        return shift;
    }
}
