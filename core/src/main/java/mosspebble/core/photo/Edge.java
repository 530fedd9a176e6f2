package mosspebble.core.photo;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;

/**
 * An edge placed between pixels. Across a rough outline the colour is read from well inside to well outside; the edge is where stone covers
 * half of a pixel. On a coloured sheet the mixture is
 * judged by hue, which a shadow does not change: with q the way of the hue from sheet to stone and brightness F and S of stone and sheet,
 * stone covers {@code q S / (q S + (1 - q) F)} of the pixel.
 */
final class Edge {

    private static final int REACH = 9;
    private static final double STEP = 0.5;
    private static final int SAMPLES = (int) (2 * REACH / STEP) + 1;

    private final List<Coordinate> places = new ArrayList<>();
    private final double noise;
    private final double soft;

    Edge(Frame frame, List<Coordinate> rough, boolean coloured) {
        List<Coordinate> ring = even(rough);
        int n = ring.size();
        double[] nx = new double[n];
        double[] ny = new double[n];
        normals(ring, nx, ny);
        double[] offset = new double[n];
        boolean[] known = new boolean[n];
        double[] widths = new double[n];
        double[][] profile = new double[SAMPLES][3];
        for (int i = 0; i < n; i++) {
            for (int k = 0; k < SAMPLES; k++) {
                double out = -REACH + k * STEP;
                frame.sample(ring.get(i).x + out * nx[i], ring.get(i).y + out * ny[i], profile[k]);
            }
            double[] cover = cover(profile, coloured);
            offset[i] = Double.NaN;
            widths[i] = Double.NaN;
            if (cover != null) {
                double at = crossing(cover, 0.5);
                if (!Double.isNaN(at)) {
                    offset[i] = at;
                    known[i] = true;
                    widths[i] = width(profile);
                }
            }
        }
        fill(offset, known);
        double[] calm = smooth(median(offset, 3), 2.2);
        double squares = 0;
        for (int i = 0; i < n; i++) {
            squares += Math.pow(offset[i] - calm[i], 2);
            places.add(new Coordinate(ring.get(i).x + calm[i] * nx[i], ring.get(i).y + calm[i] * ny[i]));
        }
        noise = Math.sqrt(squares / n);
        double[] sorted = Arrays.stream(widths).filter(w -> !Double.isNaN(w)).sorted().toArray();
        double usual = sorted.length == 0 ? REACH : sorted[sorted.length / 4];
        int softCount = 0;
        for (int i = 0; i < n; i++) {
            softCount += !known[i] || widths[i] > Math.max(5.0, 2.6 * usual) ? 1 : 0;
        }
        soft = (double) softCount / n;
    }

    /** The ring resampled about two pixels apart and calmed, so that its normals are. */
    private static List<Coordinate> even(List<Coordinate> rough) {
        double length = 0;
        int n = rough.size();
        for (int i = 0; i < n; i++) {
            length += rough.get(i).distance(rough.get((i + 1) % n));
        }
        int count = Math.max(60, Math.min(900, (int) (length / 2)));
        double[] x = new double[count];
        double[] y = new double[count];
        double step = length / count;
        double along = 0;
        int k = 0;
        double before = 0;
        for (int i = 0; i < count; i++) {
            double wanted = i * step;
            while (k < n && along + rough.get(k).distance(rough.get((k + 1) % n)) < wanted) {
                along += rough.get(k).distance(rough.get((k + 1) % n));
                k++;
            }
            Coordinate a = rough.get(Math.min(k, n - 1));
            Coordinate b = rough.get((Math.min(k, n - 1) + 1) % n);
            double size = a.distance(b);
            before = size == 0 ? 0 : (wanted - along) / size;
            x[i] = a.x + before * (b.x - a.x);
            y[i] = a.y + before * (b.y - a.y);
        }
        double[] sx = smooth(x, 2.5);
        double[] sy = smooth(y, 2.5);
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            ring.add(new Coordinate(sx[i], sy[i]));
        }
        return ring;
    }

    private static void normals(List<Coordinate> ring, double[] nx, double[] ny) {
        int n = ring.size();
        double area = 0;
        for (int i = 0, j = n - 1; i < n; j = i++) {
            area += ring.get(j).x * ring.get(i).y - ring.get(i).x * ring.get(j).y;
        }
        double turning = area >= 0 ? 1 : -1;
        for (int i = 0; i < n; i++) {
            Coordinate a = ring.get(Math.floorMod(i - 3, n));
            Coordinate b = ring.get((i + 3) % n);
            double size = Math.max(1e-9, a.distance(b));
            nx[i] = turning * (b.y - a.y) / size;
            ny[i] = -turning * (b.x - a.x) / size;
        }
    }

    /** Share of stone along the profile, from inside to outside; null if inside and outside look alike. */
    private static double[] cover(double[][] profile, boolean coloured) {
        double[] in = mean(profile, 0, 7);
        double[] out = mean(profile, SAMPLES - 7, SAMPLES);
        double[] cover = new double[SAMPLES];
        if (coloured) {
            double[] hueIn = hue(in);
            double[] hueOut = hue(out);
            double square = square(hueIn, hueOut);
            if (square < 0.0025) {
                return null;
            }
            // the sheet beside the stone may lie in its shadow, and the stone turns away from the light: take both brightnesses close to
            // the edge
            double sheet = sum(mean(profile, SAMPLES / 2 + 5, SAMPLES / 2 + 8));
            double stone = sum(mean(profile, SAMPLES / 2 - 7, SAMPLES / 2 - 4));
            for (int k = 0; k < SAMPLES; k++) {
                double[] hue = hue(profile[k]);
                double q = 0;
                for (int band = 0; band < 3; band++) {
                    q += (hue[band] - hueOut[band]) * (hueIn[band] - hueOut[band]);
                }
                q = Math.max(0, Math.min(1, q / square));
                cover[k] = q * sheet / Math.max(1e-9, q * sheet + (1 - q) * stone);
            }
            return cover;
        }
        double square = square(in, out);
        if (square < 0.0006) {
            return null;
        }
        for (int k = 0; k < SAMPLES; k++) {
            double a = 0;
            for (int band = 0; band < 3; band++) {
                a += (profile[k][band] - out[band]) * (in[band] - out[band]);
            }
            cover[k] = a / square;
        }
        return cover;
    }

    private static double[] mean(double[][] profile, int from, int to) {
        double[] mean = new double[3];
        for (int k = from; k < to; k++) {
            for (int band = 0; band < 3; band++) {
                mean[band] += profile[k][band] / (to - from);
            }
        }
        return mean;
    }

    private static double sum(double[] colour) {
        return colour[0] + colour[1] + colour[2];
    }

    private static double[] hue(double[] colour) {
        double sum = sum(colour) + 0.004;
        return new double[] {colour[0] / sum, colour[1] / sum, colour[2] / sum};
    }

    private static double square(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < 3; i++) {
            sum += (a[i] - b[i]) * (a[i] - b[i]);
        }
        return sum;
    }

    /** Where the cover falls through a level, the crossing nearest to the middle, pixels outward; NaN if nowhere. */
    private static double crossing(double[] cover, double level) {
        double best = Double.NaN;
        for (int k = 1; k < cover.length; k++) {
            if (cover[k - 1] >= level && cover[k] < level) {
                double at = -REACH + STEP * (k - 1 + (cover[k - 1] - level) / (cover[k - 1] - cover[k]));
                best = Double.isNaN(best) || Math.abs(at) < Math.abs(best) ? at : best;
            }
        }
        return best;
    }

    /**
     * Pixels over which the brightness changes from a quarter to three quarters between inside and outside: wide at a shadow's soft border.
     */
    private static double width(double[][] profile) {
        double in = sum(mean(profile, 0, 7));
        double out = sum(mean(profile, SAMPLES - 7, SAMPLES));
        int low = -1;
        int high = -1;
        for (int k = 0; k < SAMPLES; k++) {
            double share = (sum(profile[k]) - in) / (Math.abs(out - in) < 1e-6 ? 1e-6 : out - in);
            low = share > 0.25 && low < 0 ? k : low;
            high = share > 0.75 && high < 0 ? k : high;
        }
        return low < 0 || high < 0 ? REACH : (high - low) * STEP;
    }

    private static void fill(double[] offset, boolean[] known) {
        int n = offset.length;
        for (int i = 0; i < n; i++) {
            if (!known[i]) {
                int before = 1;
                while (before < n && !known[Math.floorMod(i - before, n)]) {
                    before++;
                }
                int after = 1;
                while (after < n && !known[(i + after) % n]) {
                    after++;
                }
                double a = before < n ? offset[Math.floorMod(i - before, n)] : 0;
                double b = after < n ? offset[(i + after) % n] : 0;
                offset[i] = (a * after + b * before) / (before + after);
            }
        }
    }

    private static double[] median(double[] values, int reach) {
        int n = values.length;
        double[] result = new double[n];
        double[] window = new double[2 * reach + 1];
        for (int i = 0; i < n; i++) {
            for (int k = -reach; k <= reach; k++) {
                window[k + reach] = values[Math.floorMod(i + k, n)];
            }
            Arrays.sort(window);
            result[i] = window[reach];
        }
        return result;
    }

    /** Round the ring, with a bell curve of so many points. */
    private static double[] smooth(double[] values, double sigma) {
        int n = values.length;
        int reach = (int) Math.ceil(3 * sigma);
        double[] result = new double[n];
        for (int i = 0; i < n; i++) {
            double sum = 0;
            double weight = 0;
            for (int k = -reach; k <= reach; k++) {
                double w = Math.exp(-k * k / (2 * sigma * sigma));
                sum += w * values[Math.floorMod(i + k, n)];
                weight += w;
            }
            result[i] = sum / weight;
        }
        return result;
    }

    List<Coordinate> places() {
        return places;
    }

    /** Standard deviation of single edge places, pixels. */
    double noisePx() {
        return noise;
    }

    /** Share of the edge that is soft. */
    double softShare() {
        return soft;
    }
}
