package mosspebble.core.colour;

import java.util.List;

/**
 * Absorption and scatter of a dry film per band and micrometre: a paint's, or a mix's by volume (two-constant theory, D. R. Duncan, Proc. Phys. Soc. 52, 390, 1940). Owns its numbers.
 *
 * <p>A paint's K/S comes from its swatch as an infinitely thick film; one scatter coefficient for all bands is solved so that a normal coat has the stated
 * contrast ratio over black (0) and white (0.80, ASTM D2805).
 */
public final class PaintOptics {

    /** The white of a drawdown card, ASTM D2805 (from memory). */
    private static final double CARD_WHITE = 0.80;

    private final double[] k;
    private final double[] s;

    private PaintOptics(double[] k, double[] s) {
        this.k = k;
        this.s = s;
    }

    public static PaintOptics of(Paint paint) {
        Spectrum swatch = Spectrum.of(paint.swatch());
        double[] q = new double[Spectrum.BANDS];
        for (int i = 0; i < q.length; i++) {
            q[i] = KubelkaMunk.kOverS(Math.min(0.985, Math.max(0.004, swatch.at(i))));
        }
        double low = 1e-6;
        double high = 1e3;
        for (int halving = 0; halving < 80; halving++) {
            double sx = Math.sqrt(low * high);
            if (contrastRatio(q, sx) < paint.hiding()) {
                low = sx;
            } else {
                high = sx;
            }
        }
        double scatter = Math.sqrt(low * high) / paint.dryCoat().value();
        double[] k = new double[q.length];
        double[] s = new double[q.length];
        for (int i = 0; i < q.length; i++) {
            s[i] = scatter;
            k[i] = q[i] * scatter;
        }
        return new PaintOptics(k, s);
    }

    /** A film that neither absorbs nor scatters: varnish. */
    public static PaintOptics clear() {
        return new PaintOptics(new double[Spectrum.BANDS], new double[Spectrum.BANDS]);
    }

    private static double contrastRatio(double[] q, double sx) {
        Spectrum black = Spectrum.of(i -> KubelkaMunk.over(q[i] * sx, sx, 0));
        Spectrum white = Spectrum.of(i -> KubelkaMunk.over(q[i] * sx, sx, CARD_WHITE));
        return black.luminance() / white.luminance();
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
        double[] s = new double[Spectrum.BANDS];
        for (int p = 0; p < volumes.length; p++) {
            total += volumes[p];
            for (int i = 0; i < k.length; i++) {
                k[i] += volumes[p] * paints.get(p).k[i];
                s[i] += volumes[p] * paints.get(p).s[i];
            }
        }
        if (!(total > 0)) {
            throw new IllegalArgumentException("a mix needs at least one part above 0");
        }
        for (int i = 0; i < k.length; i++) {
            k[i] /= total;
            s[i] /= total;
        }
        return new PaintOptics(k, s);
    }

    /** Look of a dry film of so many micrometres over a ground. */
    public Spectrum over(Spectrum ground, double dryUm) {
        return Spectrum.of(i -> KubelkaMunk.over(k[i] * dryUm, s[i] * dryUm, ground.at(i)));
    }

    /** Look at full thickness: nothing shows through. */
    public Spectrum full() {
        return Spectrum.of(i -> KubelkaMunk.infinite(k[i] / s[i]));
    }

    /** Whether it lets all light through. */
    public boolean isClear() {
        return s[0] == 0 && k[0] == 0;
    }

    double k(int band) {
        return k[band];
    }

    double s(int band) {
        return s[band];
    }
}
