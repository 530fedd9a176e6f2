package mosspebble.core.picture;

/** Seeded noise over the plane, the same on every machine: values belong to places in mm and so stay fixed to the stone. */
final class Noise {

    private final long seed;

    Noise(long seed) {
        this.seed = seed;
    }

    /** A number from 0 to 1 for a pair of whole numbers (SplitMix64 finaliser). */
    double hash(long x, long y) {
        long h = seed * 0x9E3779B97F4A7C15L + x * 0xBF58476D1CE4E5B9L + y * 0x94D049BB133111EBL;
        h = (h ^ h >>> 30) * 0xBF58476D1CE4E5B9L;
        h = (h ^ h >>> 27) * 0x94D049BB133111EBL;
        return ((h ^ h >>> 31) >>> 11) * 0x1.0p-53;
    }

    /** Smooth value noise with features about 1 unit wide, 0 to 1. */
    double smooth(double x, double y) {
        long ix = (long) Math.floor(x);
        long iy = (long) Math.floor(y);
        double fx = x - ix;
        double fy = y - iy;
        double sx = fx * fx * (3 - 2 * fx);
        double sy = fy * fy * (3 - 2 * fy);
        double upper = hash(ix, iy) * (1 - sx) + hash(ix + 1, iy) * sx;
        double lower = hash(ix, iy + 1) * (1 - sx) + hash(ix + 1, iy + 1) * sx;
        return upper * (1 - sy) + lower * sy;
    }

    /** Sum of octaves, each half as wide and half as strong, about 0 to 1. */
    double octaves(double x, double y, int count) {
        double sum = 0;
        double weight = 0.5;
        double total = 0;
        for (int i = 0; i < count; i++) {
            sum += weight * smooth(x + 17.3 * i, y - 9.1 * i);
            total += weight;
            x *= 2;
            y *= 2;
            weight /= 2;
        }
        return sum / total;
    }

    /** The tone, 0 to 1, of the crystal that a place belongs to: nearest of jittered points, one per unit square. */
    double crystal(double x, double y) {
        long ix = (long) Math.floor(x);
        long iy = (long) Math.floor(y);
        double nearest = Double.POSITIVE_INFINITY;
        double tone = 0;
        for (long cy = iy - 1; cy <= iy + 1; cy++) {
            for (long cx = ix - 1; cx <= ix + 1; cx++) {
                double dx = cx + hash(cx, cy) - x;
                double dy = cy + hash(cx + 7919, cy - 104729) - y;
                double distance = dx * dx + dy * dy;
                if (distance < nearest) {
                    nearest = distance;
                    tone = hash(cx - 31, cy + 57);
                }
            }
        }
        return tone;
    }
}
