package mosspebble.core.stone;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * The closed curve of a stone seen from above, the way up it is painted: a polygon in mm whose bounding box is centred on the origin, and a
 * pole from which every point of it is seen
 * (star-shaped). Owns its points; equal when they are.
 */
public final class StoneOutline {

    /** Points of an outline. */
    private static final int POINTS = 360;

    /** Irregular harmonics of a grown outline. */
    private static final int HARMONICS = 6;

    private final double[] x;
    private final double[] y;
    private final double poleX;
    private final double poleY;
    private final double cos;
    private final double sin;
    private final double shiftX;
    private final double shiftY;

    private StoneOutline(double[] x, double[] y, double poleX, double poleY, double turn) {
        this.x = x;
        this.y = y;
        this.cos = Math.cos(turn);
        this.sin = Math.sin(turn);
        double px = poleX;
        double py = poleY;
        if (turn != 0) {
            for (int i = 0; i < x.length; i++) {
                double turned = x[i] * cos - y[i] * sin;
                y[i] = x[i] * sin + y[i] * cos;
                x[i] = turned;
            }
            px = poleX * cos - poleY * sin;
            py = poleX * sin + poleY * cos;
        }
        this.shiftX = middle(x);
        this.shiftY = middle(y);
        for (int i = 0; i < x.length; i++) {
            x[i] -= shiftX;
            y[i] -= shiftY;
        }
        this.poleX = px - shiftX;
        this.poleY = py - shiftY;
    }

    /** The outline of a stone: its shape stretched so that before turning it is exactly length by width, then turned the way up. */
    public static StoneOutline of(Stone stone) {
        double[][] curve = stone.shape().match(grown -> grown(grown, stone.seed()), StoneOutline::measured);
        double[] pole = {0, 0};
        stretch(curve[0], stone.length().value(), pole, 0);
        stretch(curve[1], stone.width().value(), pole, 1);
        if (!seesAll(curve[0], curve[1], pole[0], pole[1])) {
            pole = kernel(curve[0], curve[1]).orElse(pole);
        }
        return new StoneOutline(curve[0], curve[1], pole[0], pole[1], Math.toRadians(stone.wayUp()));
    }

    /** A form with seeded low harmonics for irregularity, in arbitrary size. */
    private static double[][] grown(Shape.Grown shape, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        double[] size = new double[HARMONICS];
        double[] phase = new double[HARMONICS];
        for (int k = 2; k < HARMONICS; k++) {
            size[k] = shape.irregularity() * (random.nextDouble() * 0.10 + 0.02) / (k - 1);
            phase[k] = random.nextDouble() * 2 * Math.PI;
        }
        double[][] curve = new double[2][POINTS];
        double[] at = new double[2];
        for (int i = 0; i < POINTS; i++) {
            double angle = 2 * Math.PI * i / POINTS;
            shape.form().trace(angle, shape.roundness(), at);
            double wander = 1;
            for (int k = 2; k < HARMONICS; k++) {
                wander += size[k] * Math.cos(k * angle + phase[k]);
            }
            curve[0][i] = wander * at[0];
            curve[1][i] = wander * at[1];
        }
        return curve;
    }

    /**
     * Spokes joined by a periodic cubic over the angle with monotone slopes between neighbours (F. N. Fritsch, R. E. Carlson, SIAM J.
     * Numer. Anal. 17, 238, 1980, in the harmonic-mean form
     * of Fritsch and Butland, 1984; from memory), so that the curve never bulges beyond two neighbouring measures.
     */
    private static double[][] measured(Shape.Measured shape) {
        List<Shape.Spoke> spokes = shape.spokes();
        int n = spokes.size();
        double[] step = new double[n];
        double[] rise = new double[n];
        for (int i = 0; i < n; i++) {
            Shape.Spoke next = spokes.get((i + 1) % n);
            step[i] = next.degrees() - spokes.get(i).degrees() + (i == n - 1 ? 360 : 0);
            rise[i] = (next.mm() - spokes.get(i).mm()) / step[i];
        }
        double[] slope = new double[n];
        for (int i = 0; i < n; i++) {
            int before = (i + n - 1) % n;
            if (rise[before] * rise[i] > 0) {
                double w1 = 2 * step[i] + step[before];
                double w2 = step[i] + 2 * step[before];
                slope[i] = (w1 + w2) / (w1 / rise[before] + w2 / rise[i]);
            }
        }
        double[][] curve = new double[2][POINTS];
        for (int i = 0; i < POINTS; i++) {
            double degrees = 360.0 * i / POINTS;
            int k = n - 1;
            while (k > 0 && spokes.get(k).degrees() > degrees) {
                k--;
            }
            double from = spokes.get(k).degrees();
            if (from > degrees) { // before the first spoke: the last piece, come round
                k = n - 1;
                from = spokes.get(k).degrees() - 360;
            }
            double t = (degrees - from) / step[k];
            double a = spokes.get(k).mm();
            double b = spokes.get((k + 1) % n).mm();
            double r = a + t * (step[k] * slope[k] + t * (3 * (b - a) - step[k] * (2 * slope[k] + slope[(k + 1) % n])
                    + t * (step[k] * (slope[k] + slope[(k + 1) % n]) - 2 * (b - a))));
            curve[0][i] = r * Math.cos(Math.toRadians(degrees));
            curve[1][i] = r * Math.sin(Math.toRadians(degrees));
        }
        return curve;
    }

    /** Length and width of a measured outline as it is, mm. */
    static double[] extent(Shape.Measured shape) {
        double[][] curve = measured(shape);
        return new double[] {size(curve[0]), size(curve[1])};
    }

    /**
     * Spokes of any simple closed curve, from a point that sees all of it; where there is none, from the centroid with the folds bridged
     * over.
     *
     * @param ring points in mm, 3 or more, first not repeated
     * @param count number of spokes wanted
     */
    public static Traced trace(Shape.Source source, double[] ringX, double[] ringY, int count) {
        Optional<double[]> seeing = kernel(ringX, ringY);
        double[] pole = seeing.orElseGet(() -> centroid(ringX, ringY));
        List<Shape.Spoke> spokes = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double radius = crossing(ringX, ringY, pole[0], pole[1], 2 * Math.PI * i / count);
            spokes.add(new Shape.Spoke(360.0 * i / count, Math.max(2, Math.min(600, radius))));
        }
        return new Traced(new Shape.Measured(source, spokes), pole[0], pole[1], seeing.isEmpty());
    }

    /**
     * A curve turned into spokes.
     *
     * @param poleX where the spokes start, in the curve's own frame
     * @param bridged whether the curve folds back on itself, so that hollows were bridged over
     */
    public record Traced(Shape.Measured shape, double poleX, double poleY, boolean bridged) {}

    /** The outline of a stone as it is now, in its own frame, as spokes that can be dragged. */
    public static Shape.Measured spokes(Stone stone, int count) {
        StoneOutline own = of(stone.withWayUp(0));
        return trace(Shape.Source.HAND, own.x, own.y, count).shape();
    }

    static Shape.Measured mirrored(Stone stone) {
        StoneOutline own = of(stone.withWayUp(0));
        double[] flipped = Arrays.stream(own.x).map(v -> -v).toArray();
        Shape.Source source = stone.shape().match(grown -> Shape.Source.HAND, Shape.Measured::source);
        return trace(source, flipped, own.y, 120).shape();
    }

    private static void stretch(double[] values, double size, double[] pole, int axis) {
        double middle = middle(values);
        double factor = size / size(values);
        for (int i = 0; i < values.length; i++) {
            values[i] = (values[i] - middle) * factor;
        }
        pole[axis] = (pole[axis] - middle) * factor;
    }

    private static double size(double[] values) {
        return Arrays.stream(values).max().orElseThrow() - Arrays.stream(values).min().orElseThrow();
    }

    private static double middle(double[] values) {
        return (Arrays.stream(values).max().orElseThrow() + Arrays.stream(values).min().orElseThrow()) / 2;
    }

    /** Whether every edge turns the same way as seen from a point. */
    private static boolean seesAll(double[] x, double[] y, double px, double py) {
        int turns = 0;
        for (int i = 0, j = x.length - 1; i < x.length; j = i++) {
            turns += (x[j] - px) * (y[i] - py) - (x[i] - px) * (y[j] - py) > 0 ? 1 : -1;
        }
        return Math.abs(turns) == x.length;
    }

    /**
     * Middle of the kernel: the part from which all of the ring is seen, a square cut by the inner side of every edge. O(n k), k the
     * corners left.
     */
    private static Optional<double[]> kernel(double[] x, double[] y) {
        double area = 0;
        for (int i = 0, j = x.length - 1; i < x.length; j = i++) {
            area += x[j] * y[i] - x[i] * y[j];
        }
        double reach = 2 * (Arrays.stream(x).map(Math::abs).max().orElse(1) + Arrays.stream(y).map(Math::abs).max().orElse(1));
        List<double[]> kept = List.of(new double[] {-reach, -reach}, new double[] {reach, -reach}, new double[] {reach, reach},
                new double[] {-reach, reach});
        for (int i = 0, j = x.length - 1; i < x.length && !kept.isEmpty(); j = i++) {
            double nx = -(y[i] - y[j]) * Math.signum(area);
            double ny = (x[i] - x[j]) * Math.signum(area);
            List<double[]> cut = new ArrayList<>();
            for (int k = 0; k < kept.size(); k++) {
                double[] a = kept.get(k);
                double[] b = kept.get((k + 1) % kept.size());
                double sa = (a[0] - x[j]) * nx + (a[1] - y[j]) * ny;
                double sb = (b[0] - x[j]) * nx + (b[1] - y[j]) * ny;
                if (sa >= 0) {
                    cut.add(a);
                }
                if (sa >= 0 != sb >= 0) {
                    double t = sa / (sa - sb);
                    cut.add(new double[] {a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])});
                }
            }
            kept = cut;
        }
        if (kept.size() < 3) {
            return Optional.empty();
        }
        return Optional.of(centroid(kept.stream().mapToDouble(p -> p[0]).toArray(), kept.stream().mapToDouble(p -> p[1]).toArray()));
    }

    private static double[] centroid(double[] x, double[] y) {
        double area = 0;
        double cx = 0;
        double cy = 0;
        for (int i = 0, j = x.length - 1; i < x.length; j = i++) {
            double cross = x[j] * y[i] - x[i] * y[j];
            area += cross;
            cx += (x[i] + x[j]) * cross;
            cy += (y[i] + y[j]) * cross;
        }
        if (Math.abs(area) < 1e-12) {
            return new double[] {Arrays.stream(x).average().orElse(0), Arrays.stream(y).average().orElse(0)};
        }
        return new double[] {cx / (3 * area), cy / (3 * area)};
    }

    public int size() {
        return x.length;
    }

    public double x(int i) {
        return x[i];
    }

    public double y(int i) {
        return y[i];
    }

    /** A point that sees all of the outline, mm. */
    public double poleX() {
        return poleX;
    }

    public double poleY() {
        return poleY;
    }

    /** Extent to either side of the origin in x, mm (the box is centred). */
    public double halfWidth() {
        return Arrays.stream(x).max().orElseThrow();
    }

    /** Extent above and below the origin in y, mm. */
    public double halfHeight() {
        return Arrays.stream(y).max().orElseThrow();
    }

    /** Distance from the pole to the curve in the direction (cos angle, sin angle), mm. */
    public double radius(double angle) {
        return crossing(x, y, poleX, poleY, angle);
    }

    private static double crossing(double[] x, double[] y, double px, double py, double angle) {
        double dx = Math.cos(angle);
        double dy = Math.sin(angle);
        double farthest = 0;
        for (int i = 0, j = x.length - 1; i < x.length; j = i++) {
            double sideI = dx * (y[i] - py) - dy * (x[i] - px);
            double sideJ = dx * (y[j] - py) - dy * (x[j] - px);
            if (sideI >= 0 != sideJ >= 0) {
                double t = sideJ / (sideJ - sideI);
                double along = dx * (x[j] + t * (x[i] - x[j]) - px) + dy * (y[j] + t * (y[i] - y[j]) - py);
                farthest = Math.max(farthest, along);
            }
        }
        return farthest;
    }

    /** A place of the stone's own frame as it lies for painting. */
    public Coordinate placed(double ownX, double ownY) {
        return new Coordinate(ownX * cos - ownY * sin - shiftX, ownX * sin + ownY * cos - shiftY);
    }

    /** A place as it lies for painting in the stone's own frame. */
    public Coordinate own(double placedX, double placedY) {
        double px = placedX + shiftX;
        double py = placedY + shiftY;
        return new Coordinate(px * cos + py * sin, -px * sin + py * cos);
    }

    public Polygon polygon(GeometryFactory factory) {
        Coordinate[] ring = new Coordinate[x.length + 1];
        for (int i = 0; i <= x.length; i++) {
            ring[i] = new Coordinate(x[i % x.length], y[i % x.length]);
        }
        return factory.createPolygon(ring);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof StoneOutline o && Arrays.equals(x, o.x) && Arrays.equals(y, o.y);
    }

    @Override
    public int hashCode() {
        return 31 * Arrays.hashCode(x) + Arrays.hashCode(y);
    }
}
