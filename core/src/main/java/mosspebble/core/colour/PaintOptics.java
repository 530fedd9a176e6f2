package mosspebble.core.colour;

import java.util.List;
import mosspebble.core.units.Bisection;

/**
 * Absorption and scatter of a dry film per band and micrometre: a paint's, or a mix's by volume (two-constant theory, D. R. Duncan, Proc.
 * Phys. Soc. 52, 390, 1940). Owns its numbers.
 *
 * <p>A paint's K/S comes from its swatch as an infinitely thick film; one scatter coefficient for all bands is solved so that a normal coat
 * has the stated
 * contrast ratio over black (0) and white (0.80, ASTM D2805).
 */
public final class PaintOptics {

    /** The white of a drawdown card, ASTM D2805 (from memory). */
    private static final double CARD_WHITE = 0.80;

    private final double[] k;
    private final double s;

    private PaintOptics(double[] k, double s) {
        this.k = k;
        this.s = s;
    }

    public static PaintOptics of(Paint paint) {
        if (paint.kind().clear()) {
            return clear();
        }
        double[] q = absorption(Spectrum.of(paint.swatch()));
        return of(q, scatterFor(q, paint.hiding()) / paint.dryCoat().value());
    }

    /** From K/S per band and the scatter per micrometre. */
    static PaintOptics of(double[] q, double scatter) {
        double[] k = new double[q.length];
        for (int i = 0; i < q.length; i++) {
            k[i] = q[i] * scatter;
        }
        return new PaintOptics(k, scatter);
    }

    /** K/S per band of a thick film. */
    static double[] absorption(Spectrum swatch) {
        double[] q = new double[Spectrum.BANDS];
        for (int i = 0; i < q.length; i++) {
            q[i] = KubelkaMunk.kOverS(Math.min(0.985, Math.max(0.004, swatch.at(i))));
        }
        return q;
    }

    /** S X at which a film of this K/S has a contrast ratio; by halving, since the ratio grows with S X. */
    static double scatterFor(double[] q, double ratio) {
        Bisection found = Bisection.logarithmic(1e-6, 1e3, 80, sx -> contrastRatio(q, sx) < ratio);
        return Math.sqrt(found.low() * found.high());
    }

    /** A film that neither absorbs nor scatters: varnish. */
    public static PaintOptics clear() {
        return new PaintOptics(new double[Spectrum.BANDS], 0);
    }

    static double contrastRatio(double[] q, double sx) {
        return contrastRatio(q, sx, 0, CARD_WHITE);
    }

    /** Luminous reflectance of a film over one ground divided by that over another. */
    static double contrastRatio(double[] q, double sx, double black, double white) {
        return Spectrum.of(i -> KubelkaMunk.over(q[i] * sx, sx, black)).luminance()
                / Spectrum.of(i -> KubelkaMunk.over(q[i] * sx, sx, white)).luminance();
    }

    /** Luminous reflectance over black divided by that over the white card, for a dry film of so many micrometres. */
    public double contrastRatio(double dryUm) {
        return over(Spectrum.flat(0), dryUm).luminance() / over(Spectrum.flat(CARD_WHITE), dryUm).luminance();
    }

    /**
     * Volume-weighted mean of the constants.
     *
     * @param volumes of dry paint, 0 or more, not all 0, in the order of {@code paints}
     */
    public static PaintOptics mix(List<PaintOptics> paints, double[] volumes) {
        double total = 0;
        double[] k = new double[Spectrum.BANDS];
        double s = 0;
        for (int p = 0; p < volumes.length; p++) {
            total += volumes[p];
            s += volumes[p] * paints.get(p).s;
            for (int i = 0; i < k.length; i++) {
                k[i] += volumes[p] * paints.get(p).k[i];
            }
        }
        if (!(total > 0)) {
            throw new IllegalArgumentException("a mix needs at least one part above 0");
        }
        for (int i = 0; i < k.length; i++) {
            k[i] /= total;
        }
        return new PaintOptics(k, s / total);
    }

    /** Look of a dry film of so many micrometres over a ground. */
    public Spectrum over(Spectrum ground, double dryUm) {
        return Spectrum.of(i -> KubelkaMunk.over(k[i] * dryUm, s * dryUm, ground.at(i)));
    }

    /** Look at full thickness: nothing shows through; white for what is clear. */
    public Spectrum full() {
        return isClear() ? Spectrum.flat(1) : Spectrum.of(i -> KubelkaMunk.infinite(k[i] / s));
    }

    /** Whether it lets all light through. */
    public boolean isClear() {
        return s == 0;
    }

    double k(int band) {
        return k[band];
    }

    double s() {
        return s;
    }
}
