package mosspebble.core.colour;

import java.util.function.IntToDoubleFunction;

/**
 * CIE 1931 2-degree standard observer under illuminant D65 on the 36 bands of {@link Spectrum}, as plain sums normalised so that the
 * perfect white has Y = 1.
 * Tables: CIE 15 / ISO/CIE 11664-1 and 11664-2, every 10 nm from 380 to 730 nm.
 */
final class Observer {

    private static final double[] X_BAR = {
        0.001368, 0.004243, 0.01431, 0.04351, 0.13438, 0.2839, 0.34828, 0.3362, 0.2908, 0.19536, 0.09564, 0.03201, 0.0049, 0.0093, 0.06327,
        0.1655, 0.2904, 0.4334499, 0.5945, 0.7621, 0.9163, 1.0263, 1.0622, 1.0026, 0.8544499, 0.6424, 0.4479, 0.2835, 0.1649, 0.0874,
        0.04677, 0.0227, 0.01135916, 0.005790346, 0.002899327, 0.001439971
    };
    private static final double[] Y_BAR = {
        0.000039, 0.00012, 0.000396, 0.00121, 0.004, 0.0116, 0.023, 0.038, 0.06, 0.09098, 0.13902, 0.20802, 0.323, 0.503, 0.71, 0.862,
        0.954, 0.9949501, 0.995, 0.952, 0.87, 0.757, 0.631, 0.503, 0.381, 0.265, 0.175, 0.107, 0.061, 0.032, 0.017, 0.00821, 0.004102,
        0.002091, 0.001047, 0.00052
    };
    private static final double[] Z_BAR = {
        0.006450001, 0.02005001, 0.06785001, 0.2074, 0.6456, 1.3856, 1.74706, 1.77211, 1.6692, 1.28764, 0.8129501, 0.46518, 0.272, 0.1582,
        0.07824999, 0.04216, 0.0203, 0.008749999, 0.0039, 0.0021, 0.001650001, 0.0011, 0.0008, 0.00034, 0.00019, 0.00004999999, 0.00002,
        0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0
    };
    private static final double[] D65 = {
        49.9755, 54.6482, 82.7549, 91.4860, 93.4318, 86.6823, 104.8650, 117.0080, 117.8120, 114.8610, 115.9230, 108.8110, 109.3540,
        107.8020, 104.7900, 107.6890, 104.4050, 104.0460, 100.0000, 96.3342, 95.7880, 88.6856, 90.0062, 89.5991, 87.6987, 83.2886, 83.6992,
        80.0268, 80.2146, 82.2778, 78.2842, 69.7213, 71.6091, 74.3490, 61.6040, 69.8856
    };

    /** Weights of X, Y and Z per band; the Y weights add up to 1. */
    static final double[][] WEIGHTS = weights(band -> D65[band]);

    private Observer() {}

    /** The same for another light, by its power in each band. */
    static double[][] weights(IntToDoubleFunction power) {
        double[][] weights = new double[3][Spectrum.BANDS];
        double total = 0;
        for (int band = 0; band < Spectrum.BANDS; band++) {
            total += Y_BAR[band] * power.applyAsDouble(band);
        }
        for (int band = 0; band < Spectrum.BANDS; band++) {
            weights[0][band] = X_BAR[band] * power.applyAsDouble(band) / total;
            weights[1][band] = Y_BAR[band] * power.applyAsDouble(band) / total;
            weights[2][band] = Z_BAR[band] * power.applyAsDouble(band) / total;
        }
        return weights;
    }
}
