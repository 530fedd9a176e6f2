package mosspebble.core.colour;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.units.LinearSystem;
import mosspebble.core.units.Srgb;

/**
 * Reflectance from an sRGB code by the least hyperbolic tangent slope squared method (S. A. Burns, "Generating reflectance curves from sRGB
 * triplets", 2015; Color
 * Research and Application 45, 33, 2020): minimise {@code sum (z[i+1] - z[i])^2} subject to {@code T (tanh z + 1) / 2 = linear rgb}, by
 * Newton's method on the
 * Lagrange conditions. Every value lies between 0 and 1. Black and codes for which the iteration does not settle are approached by lifting
 * the darkest channels slightly.
 */
final class SmoothReflectance {

    private static final int N = Spectrum.BANDS;
    private static final int MOST_STEPS = 120;
    private static final double[][] T = bandsToRgb();

    /** A shelf has some sixty colours, and a plan asks for the same few again and again. */
    private static final int MOST_KNOWN = 512;

    private static final Map<Srgb, Spectrum> KNOWN = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Srgb, Spectrum> eldest) {
            return size() > MOST_KNOWN;
        }
    });

    private SmoothReflectance() {}

    /** From any thread; those asked for last are known. */
    static Spectrum of(Srgb colour) {
        Spectrum known = KNOWN.get(colour);
        if (known == null) {
            known = found(colour);
            KNOWN.put(colour, known);
        }
        return known;
    }

    private static Spectrum found(Srgb colour) {
        double[] rgb = {Xyz.linear(colour.red()), Xyz.linear(colour.green()), Xyz.linear(colour.blue())};
        if (rgb[0] == 0 && rgb[1] == 0 && rgb[2] == 0) {
            return Spectrum.flat(0.0001);
        }
        if (rgb[0] == 1 && rgb[1] == 1 && rgb[2] == 1) {
            return Spectrum.flat(1);
        }
        for (double lift = 0; lift < 0.2; lift = lift == 0 ? 0.0002 : 2 * lift) {
            double[] z = solve(lifted(rgb, lift));
            if (z != null) {
                return Spectrum.of(i -> (Math.tanh(z[i]) + 1) / 2);
            }
        }
        throw new IllegalStateException("no smooth reflectance was found for " + colour.hex());
    }

    private static double[] lifted(double[] rgb, double lift) {
        double[] lifted = new double[3];
        for (int c = 0; c < 3; c++) {
            lifted[c] = Math.min(1 - lift, Math.max(lift, rgb[c]));
        }
        return lifted;
    }

    /** @return z per band, or null if the iteration does not settle */
    private static double[] solve(double[] rgb) {
        double[] z = new double[N];
        double[] lambda = new double[3];
        for (int step = 0; step < MOST_STEPS; step++) {
            double[][] a = new double[N + 3][N + 4];
            double residual = 0;
            for (int i = 0; i < N; i++) {
                double tanh = Math.tanh(z[i]);
                double sech2 = 1 - tanh * tanh;
                double pull = 0;
                for (int c = 0; c < 3; c++) {
                    pull += T[c][i] * lambda[c];
                    a[i][N + c] = sech2 / 2 * T[c][i];
                    a[N + c][i] = a[i][N + c];
                }
                double slope = (i == 0 || i == N - 1 ? 2 : 4) * z[i];
                a[i][i] = (i == 0 || i == N - 1 ? 2 : 4) - tanh * sech2 * pull;
                if (i > 0) {
                    a[i][i - 1] = -2;
                    slope -= 2 * z[i - 1];
                }
                if (i < N - 1) {
                    a[i][i + 1] = -2;
                    slope -= 2 * z[i + 1];
                }
                a[i][N + 3] = -(slope + sech2 / 2 * pull);
                residual = Math.max(residual, Math.abs(a[i][N + 3]));
            }
            for (int c = 0; c < 3; c++) {
                double got = 0;
                for (int i = 0; i < N; i++) {
                    got += T[c][i] * (Math.tanh(z[i]) + 1) / 2;
                }
                a[N + c][N + 3] = rgb[c] - got;
                residual = Math.max(residual, Math.abs(a[N + c][N + 3]));
            }
            if (residual < 1e-9) {
                return z;
            }
            Optional<double[]> found = LinearSystem.solve(a);
            if (found.isEmpty()) {
                return null;
            }
            for (int i = 0; i < N; i++) {
                z[i] += found.get()[i];
            }
            for (int c = 0; c < 3; c++) {
                lambda[c] += found.get()[N + c];
            }
        }
        return null;
    }

    private static double[][] bandsToRgb() {
        double[][] t = new double[3][N];
        for (int c = 0; c < 3; c++) {
            for (int i = 0; i < N; i++) {
                for (int k = 0; k < 3; k++) {
                    t[c][i] += Xyz.TO_RGB[c][k] * Observer.WEIGHTS[k][i];
                }
            }
        }
        return t;
    }
}
