package mosspebble.core.photo;

import java.util.Arrays;
import mosspebble.core.units.LinearSystem;

/**
 * What the bare sheet looks like everywhere in the photo: its hue, the same all over, and a second-degree surface of the logarithm of its
 * brightness, fitted to the pixels that have that hue, again and
 * again without those that are off, so that stones and shadows do not count.
 */
final class SheetLight {

    private static final double DARK = 0.004;
    private static final int EVERY = 5;
    private static final int BINS = 60;
    private static final double BIN = 0.06;
    private static final int LEVELS = 16384;
    private static final float[] LOG = logarithms();
    private static final double[] TOLERANCES = {0.6, 0.35, 0.2, 0.12, 0.09};

    final double hueRed;
    final double hueBlue;
    private final double[] surface;
    private final double width;
    private final double height;

    private SheetLight(double hueRed, double hueBlue, double[] surface, int width, int height) {
        this.hueRed = hueRed;
        this.hueBlue = hueBlue;
        this.surface = surface;
        this.width = width;
        this.height = height;
    }

    /** @param skip pixels that are not sheet */
    static SheetLight of(Frame frame, boolean[] skip) {
        int[] votes = new int[BINS * BINS];
        for (int y = EVERY / 2; y < frame.height; y += EVERY) {
            for (int x = EVERY / 2; x < frame.width; x += EVERY) {
                int i = y * frame.width + x;
                if (!skip[i]) {
                    int a = bin(hueRed(frame, i));
                    int b = bin(hueBlue(frame, i));
                    votes[a * BINS + b] += 1;
                }
            }
        }
        int best = 0;
        for (int k = 1; k < votes.length; k++) {
            best = votes[k] > votes[best] ? k : best;
        }
        double red = (best / BINS + 0.5) * BIN - BINS * BIN / 2;
        double blue = (best % BINS + 0.5) * BIN - BINS * BIN / 2;
        int count = 0;
        double[] px = new double[frame.width * frame.height / (EVERY * EVERY) + 1];
        double[] py = new double[px.length];
        double[] value = new double[px.length];
        double sumRed = 0;
        double sumBlue = 0;
        for (int y = EVERY / 2; y < frame.height; y += EVERY) {
            for (int x = EVERY / 2; x < frame.width; x += EVERY) {
                int i = y * frame.width + x;
                double hr = hueRed(frame, i);
                double hb = hueBlue(frame, i);
                if (!skip[i] && Math.hypot(hr - red, hb - blue) < 0.14 && count < px.length) {
                    px[count] = 2.0 * x / frame.width - 1;
                    py[count] = 2.0 * y / frame.height - 1;
                    value[count] = brightness(frame, i);
                    sumRed += hr;
                    sumBlue += hb;
                    count++;
                }
            }
        }
        double[] sorted = Arrays.copyOf(value, count);
        Arrays.sort(sorted);
        double[] surface = {count == 0 ? -1 : sorted[(int) (0.65 * count)], 0, 0, 0, 0, 0};
        for (double tolerance : TOLERANCES) {
            double[] fitted = fit(px, py, value, count, surface, tolerance);
            surface = fitted == null ? surface : fitted;
        }
        return new SheetLight(count == 0 ? red : sumRed / count, count == 0 ? blue : sumBlue / count, surface, frame.width, frame.height);
    }

    private static int bin(double hue) {
        return Math.max(0, Math.min(BINS - 1, (int) Math.floor((hue + BINS * BIN / 2) / BIN)));
    }

    /** Least squares of the six terms over the points within a tolerance of the last surface; null if too few. */
    private static double[] fit(double[] px, double[] py, double[] value, int count, double[] last, double tolerance) {
        double[][] normal = new double[6][7];
        int used = 0;
        for (int k = 0; k < count; k++) {
            double[] t = {1, px[k], py[k], px[k] * px[k], px[k] * py[k], py[k] * py[k]};
            if (Math.abs(value[k] - dot(last, t)) < tolerance) {
                used++;
                for (int a = 0; a < 6; a++) {
                    for (int b = 0; b < 6; b++) {
                        normal[a][b] += t[a] * t[b];
                    }
                    normal[a][6] += t[a] * value[k];
                }
            }
        }
        return used < 60 ? null : LinearSystem.solve(normal).orElse(null);
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }

    private static float[] logarithms() {
        float[] table = new float[LEVELS + 1];
        for (int i = 0; i <= LEVELS; i++) {
            table[i] = (float) Math.log((double) i / LEVELS + DARK);
        }
        return table;
    }

    private static float log(float value) {
        return LOG[(int) (value * LEVELS + 0.5f)];
    }

    static double hueRed(Frame frame, int i) {
        return log(frame.red[i]) - log(frame.green[i]);
    }

    static double hueBlue(Frame frame, int i) {
        return log(frame.blue[i]) - log(frame.green[i]);
    }

    static double brightness(Frame frame, int i) {
        return log(frame.green[i]);
    }

    /** Logarithm of the sheet's brightness at a place. */
    double expected(double x, double y) {
        double u = 2 * x / width - 1;
        double v = 2 * y / height - 1;
        return surface[0] + surface[1] * u + surface[2] * v + surface[3] * u * u + surface[4] * u * v + surface[5] * v * v;
    }
}
