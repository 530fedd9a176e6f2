package mosspebble.core.sketch;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.LinearRing;

/** Steps along a closed curve by chords, from its topmost crossing of its middle line, clockwise. */
final class ChordWalk {

    private final double[] x;
    private final double[] y;
    private final double[] along;
    final double length;

    ChordWalk(LinearRing curve) {
        Coordinate[] ring = curve.getCoordinates();
        int n = ring.length - 1;
        double area = 0;
        for (int i = 0; i < n; i++) {
            area += ring[i].x * ring[i + 1].y - ring[i + 1].x * ring[i].y;
        }
        double middle = curve.getEnvelopeInternal().centre().x;
        Coordinate top = null;
        int after = 0;
        for (int i = 0; i < n; i++) {
            Coordinate a = ring[i];
            Coordinate b = ring[i + 1];
            if (a.x >= middle != b.x >= middle) {
                double t = (middle - a.x) / (b.x - a.x);
                double yAt = a.y + t * (b.y - a.y);
                if (top == null || yAt < top.y) {
                    top = new Coordinate(middle, yAt);
                    after = i + 1;
                }
            }
        }
        x = new double[n + 2];
        y = new double[n + 2];
        boolean clockwise = area > 0; // y grows downward
        x[0] = top.x;
        y[0] = top.y;
        for (int k = 0; k < n; k++) {
            Coordinate c = ring[clockwise ? (after + k) % n : Math.floorMod(after - 1 - k, n)];
            x[k + 1] = c.x;
            y[k + 1] = c.y;
        }
        x[n + 1] = top.x;
        y[n + 1] = top.y;
        along = new double[n + 2];
        for (int i = 1; i < along.length; i++) {
            along[i] = along[i - 1] + Math.hypot(x[i] - x[i - 1], y[i] - y[i - 1]);
        }
        length = along[n + 1];
    }

    Coordinate at(double s) {
        double wanted = (s % length + length) % length;
        int i = Arrays.binarySearch(along, wanted);
        i = Math.max(0, Math.min(along.length - 2, i < 0 ? -i - 2 : i));
        double t = along[i + 1] > along[i] ? (wanted - along[i]) / (along[i + 1] - along[i]) : 0;
        return new Coordinate(x[i] + t * (x[i + 1] - x[i]), y[i] + t * (y[i + 1] - y[i]));
    }

    /** The chord that a step needs, by where it ends. */
    interface Reach {
        double to(double s);
    }

    /** The next place on the curve a chord away from the one at s. */
    double next(double s, double chord) {
        return next(s, t -> chord, 0.999);
    }

    /** As {@link #next(double, double)} where the chord needed depends on where the step ends. */
    double next(double s, Reach reach) {
        return next(s, reach, 0.6);
    }

    /** The first place far enough away: stepping until it lies between two, then false position (Illinois). */
    private double next(double s, Reach reach, double start) {
        Coordinate from = at(s);
        double needed = reach.to(s);
        double step = Math.max(needed / 8, length / 4000);
        double low = s + needed * start;
        double high = low;
        double atHigh = from.distance(at(high)) - reach.to(high);
        double atLow = atHigh;
        while (atHigh < 0 && high - s < length) {
            low = high;
            atLow = atHigh;
            high += step;
            atHigh = from.distance(at(high)) - reach.to(high);
        }
        return atHigh <= atLow ? high : root(t -> from.distance(at(t)) - reach.to(t), low, atLow, high, atHigh);
    }

    /** Where a function that grows is 0: false position with the Illinois change, between two places of unlike sign. */
    private double root(DoubleUnaryOperator f, double from, double atFrom, double to, double atTo) {
        double low = from;
        double atLow = atFrom;
        double high = to;
        double atHigh = atTo;
        int side = 0;
        for (int i = 0; i < 60 && high - low > 1e-12 * length; i++) {
            double middle = (low * atHigh - high * atLow) / (atHigh - atLow);
            double value = f.applyAsDouble(middle);
            if (Math.abs(value) < 1e-11 * length) {
                return middle;
            }
            if (value < 0) {
                low = middle;
                atLow = value;
                atHigh = side == -1 ? atHigh / 2 : atHigh;
                side = -1;
            } else {
                high = middle;
                atHigh = value;
                atLow = side == 1 ? atLow / 2 : atLow;
                side = 1;
            }
        }
        return (low + high) / 2;
    }

    /** The chord with which n steps from a start lead just round. */
    double chord(int n, double start) {
        double high = 1.02 * length / n;
        return root(chord -> way(n, start, chord) - length, 0, -length, high, way(n, start, high) - length);
    }

    private double way(int n, double start, double chord) {
        double at = start;
        for (int k = 0; k < n && at - start < 1.5 * length; k++) {
            at = next(at, chord);
        }
        return at - start;
    }
}
