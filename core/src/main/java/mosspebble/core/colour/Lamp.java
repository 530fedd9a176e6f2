package mosspebble.core.colour;

import java.util.function.DoubleUnaryOperator;
import mosspebble.core.units.Srgb;

/**
 * A light by which colours are seen: paints that match by one may differ by another. The eye is taken to be used to the light but for a
 * small rest, which leaves a warm lamp a little warm.
 */
public enum Lamp {
    /** CIE illuminant D65, by its table. */
    DAYLIGHT(null),
    /** CIE illuminant A: a tungsten lamp of 2856 K, by its formula (CIE 15). */
    WARM_LAMP(Lamp::tungsten),
    /** A cool white LED: a blue die at 452 nm and a broad phosphor round 565 nm (from memory). */
    COOL_LED(Lamp::led);

    /** How far the eye is used to it, 0 to 1 (by eye). */
    private static final double USED_TO = 0.85;

    /** XYZ to sharpened cone responses and back (Bradford, as in ICC.1 annex E). */
    private static final double[][] SHARP = {{0.8951, 0.2664, -0.1614}, {-0.7502, 1.7135, 0.0367}, {0.0389, -0.0685, 1.0296}};
    private static final double[][] BACK = {{0.9869929, -0.1470543, 0.1599627}, {0.4323053, 0.5183603, 0.0492912},
        {-0.0085287, 0.0400428, 0.9684867}};

    private final double[][] weights;

    Lamp(DoubleUnaryOperator power) {
        this.weights = power == null ? Observer.WEIGHTS : Observer.weights(band -> power.applyAsDouble(380 + 10 * band));
    }

    /** Power of illuminant A at a wavelength, nm, against that at 560 nm. */
    static double tungsten(double nm) {
        return Math.pow(560 / nm, 5) * (Math.exp(1.435e7 / (2848 * 560)) - 1) / (Math.exp(1.435e7 / (2848 * nm)) - 1);
    }

    /** Power of the LED at a wavelength, nm, against that of its die. */
    static double led(double nm) {
        return Math.exp(-0.5 * Math.pow((nm - 452) / 9.5, 2)) + 0.60 * Math.exp(-0.5 * Math.pow((nm - 565) / 53, 2));
    }

    private static double[] times(double[][] m, Xyz v) {
        double[] result = new double[3];
        for (int k = 0; k < 3; k++) {
            result[k] = m[k][0] * v.x() + m[k][1] * v.y() + m[k][2] * v.z();
        }
        return result;
    }

    /** Tristimulus values of a perfect white by this light, Y = 1. */
    public Xyz white() {
        return stimulus(Spectrum.flat(1));
    }

    /** Tristimulus values by this light, with no regard to what the eye is used to. */
    Xyz stimulus(Spectrum reflectance) {
        double[] sum = new double[3];
        for (int k = 0; k < 3; k++) {
            for (int i = 0; i < Spectrum.BANDS; i++) {
                sum[k] += weights[k][i] * reflectance.at(i);
            }
        }
        return new Xyz(sum[0], sum[1], sum[2]);
    }

    /** What to show on a screen for an eye that is used to daylight there. */
    public Srgb seen(Spectrum reflectance) {
        if (this == DAYLIGHT) {
            return reflectance.toSrgb();
        }
        double[] sharp = times(SHARP, stimulus(reflectance));
        double[] from = times(SHARP, white());
        double[] to = times(SHARP, Xyz.WHITE);
        for (int k = 0; k < 3; k++) {
            sharp[k] *= 1 + USED_TO * (to[k] / from[k] - 1);
        }
        double[] back = times(BACK, new Xyz(sharp[0], sharp[1], sharp[2]));
        return new Xyz(back[0], back[1], back[2]).toSrgb();
    }
}
