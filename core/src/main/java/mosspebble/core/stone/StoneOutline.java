package mosspebble.core.stone;

import java.util.Arrays;
import java.util.SplittableRandom;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * The closed curve of a stone seen from above: a polygon in mm around the origin, star-shaped about it (every point is seen from the middle).
 * Owns its points; equal when they are.
 */
public final class StoneOutline {

    /** Points of a grown outline: 1 degree apart. */
    private static final int POINTS = 360;

    private final double[] x;
    private final double[] y;

    private StoneOutline(double[] x, double[] y) {
        this.x = x;
        this.y = y;
    }

    /**
     * Grows the outline from the measures: a superellipse with exponent 2 (round) to 5 (slab), seeded low harmonics for irregularity,
     * turned the way up, then scaled so that before turning it is exactly length by width.
     */
    public static StoneOutline of(Stone stone) {
        double exponent = 2 + 3 * (1 - stone.roundness());
        SplittableRandom random = new SplittableRandom(stone.seed());
        double[] size = new double[6];
        double[] phase = new double[6];
        for (int k = 2; k < size.length; k++) {
            size[k] = stone.irregularity() * (random.nextDouble() * 0.10 + 0.02) / (k - 1);
            phase[k] = random.nextDouble() * 2 * Math.PI;
        }
        double[] px = new double[POINTS];
        double[] py = new double[POINTS];
        for (int i = 0; i < POINTS; i++) {
            double angle = 2 * Math.PI * i / POINTS;
            double cos = Math.cos(angle);
            double sin = Math.sin(angle);
            double radius = Math.pow(Math.pow(Math.abs(cos), exponent) + Math.pow(Math.abs(sin), exponent), -1 / exponent);
            double wander = 1;
            for (int k = 2; k < size.length; k++) {
                wander += size[k] * Math.cos(k * angle + phase[k]);
            }
            px[i] = radius * wander * cos;
            py[i] = radius * wander * sin;
        }
        stretch(px, stone.length().value());
        stretch(py, stone.width().value());
        double turn = Math.toRadians(stone.wayUp());
        if (turn != 0) {
            double c = Math.cos(turn);
            double s = Math.sin(turn);
            for (int i = 0; i < POINTS; i++) {
                double turned = px[i] * c - py[i] * s;
                py[i] = px[i] * s + py[i] * c;
                px[i] = turned;
            }
            centre(px);
            centre(py);
        }
        return new StoneOutline(px, py);
    }

    private static void stretch(double[] values, double size) {
        centre(values);
        double half = Arrays.stream(values).max().orElseThrow();
        for (int i = 0; i < values.length; i++) {
            values[i] *= size / (2 * half);
        }
    }

    private static void centre(double[] values) {
        double middle = (Arrays.stream(values).max().orElseThrow() + Arrays.stream(values).min().orElseThrow()) / 2;
        for (int i = 0; i < values.length; i++) {
            values[i] -= middle;
        }
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

    /** Extent to either side of the origin in x, mm (the box is centred). */
    public double halfWidth() {
        return Arrays.stream(x).max().orElseThrow();
    }

    /** Extent above and below the origin in y, mm. */
    public double halfHeight() {
        return Arrays.stream(y).max().orElseThrow();
    }

    /** Distance from the origin to the curve in the direction (cos angle, sin angle), mm. */
    public double radius(double angle) {
        double dx = Math.cos(angle);
        double dy = Math.sin(angle);
        double farthest = 0;
        for (int i = 0, j = x.length - 1; i < x.length; j = i++) {
            double sideI = dx * y[i] - dy * x[i];
            double sideJ = dx * y[j] - dy * x[j];
            if (sideI >= 0 != sideJ >= 0) {
                double t = sideJ / (sideJ - sideI);
                double along = dx * (x[j] + t * (x[i] - x[j])) + dy * (y[j] + t * (y[i] - y[j]));
                farthest = Math.max(farthest, along);
            }
        }
        return farthest;
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
