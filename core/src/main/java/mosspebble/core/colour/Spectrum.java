package mosspebble.core.colour;

import java.util.Arrays;
import java.util.function.IntToDoubleFunction;
import mosspebble.core.units.Srgb;

/** A reflectance in 36 bands of 10 nm, 380 to 730 nm, each 0 to 1. Owns its numbers; equal when they are. */
public final class Spectrum {

    public static final int BANDS = 36;

    private final double[] band;

    private Spectrum(double[] band) {
        this.band = band;
    }

    /** @throws IllegalArgumentException if a value is not 0 to 1 */
    public static Spectrum of(IntToDoubleFunction value) {
        double[] band = new double[BANDS];
        for (int i = 0; i < BANDS; i++) {
            double v = value.applyAsDouble(i);
            if (!(v >= -1e-9 && v <= 1 + 1e-9)) {
                throw new IllegalArgumentException("reflectance must be 0 to 1, was " + v + " at " + (380 + 10 * i) + " nm");
            }
            band[i] = Math.min(1, Math.max(0, v));
        }
        return new Spectrum(band);
    }

    /** The same reflectance in every band. */
    public static Spectrum flat(double reflectance) {
        return of(i -> reflectance);
    }

    /** A smooth reflectance that looks like the colour code; see {@link SmoothReflectance}. */
    public static Spectrum of(Srgb colour) {
        return SmoothReflectance.of(colour);
    }

    public double at(int i) {
        return band[i];
    }

    public Xyz toXyz() {
        double[] sum = new double[3];
        for (int k = 0; k < 3; k++) {
            double[] weight = Observer.WEIGHTS[k];
            for (int i = 0; i < BANDS; i++) {
                sum[k] += weight[i] * band[i];
            }
        }
        return new Xyz(sum[0], sum[1], sum[2]);
    }

    public Srgb toSrgb() {
        return toXyz().toSrgb();
    }

    /** Luminous reflectance Y, 0 to 1. */
    public double luminance() {
        return toXyz().y();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Spectrum s && Arrays.equals(band, s.band);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(band);
    }
}
