package mosspebble.core.stone;

import java.util.Arrays;

/**
 * The shortest way over the dome between two places, as a tape lies. Found by shortening a string of points: each is moved across the
 * string to where the two pieces beside it are
 * shortest, coarse strings first; after every pass the points are spread evenly along the surface. On a half sphere within 0.3 % of the
 * great circle (see the tests).
 */
public final class SurfacePath {

    private static final int[] LEVELS = {5, 9, 17, 33, 65};
    private static final int SWEEPS = 24;

    private final double[] x;
    private final double[] y;
    private final double[] z;

    private SurfacePath(double[] x, double[] y, double[] z) {
        this.x = x;
        this.y = y;
        this.z = z;
    }

    /** Both ends must be on the stone; an end outside is taken as on the girdle. */
    public static SurfacePath between(Dome dome, double ax, double ay, double bx, double by) {
        double[] x = {ax, (ax + bx) / 2, bx};
        double[] y = {ay, (ay + by) / 2, by};
        double[] z = heights(dome, x, y);
        double reach = Math.hypot(bx - ax, by - ay) / 4;
        for (int level : LEVELS) {
            double[][] even = spread(dome, x, y, z, level);
            x = even[0];
            y = even[1];
            z = even[2];
            double step = reach;
            for (int sweep = 0; sweep < SWEEPS && step > 1e-4; sweep++) {
                boolean moved = false;
                for (int i = 1; i < level - 1; i++) {
                    moved |= shorten(dome, x, y, z, i, step);
                }
                if (!moved) {
                    step /= 2;
                }
            }
            reach /= 2;
        }
        double[][] even = spread(dome, x, y, z, LEVELS[LEVELS.length - 1]);
        return new SurfacePath(even[0], even[1], even[2]);
    }

    private static boolean shorten(Dome dome, double[] x, double[] y, double[] z, int i, double step) {
        double dx = x[i + 1] - x[i - 1];
        double dy = y[i + 1] - y[i - 1];
        double size = Math.hypot(dx, dy);
        if (size == 0) {
            return false;
        }
        double best = pieces(x, y, z, i, x[i], y[i], z[i]);
        boolean moved = false;
        for (int side = -1; side <= 1; side += 2) {
            double nx = x[i] - side * step * dy / size;
            double ny = y[i] + side * step * dx / size;
            double nz = dome.heightAt(nx, ny);
            double length = pieces(x, y, z, i, nx, ny, nz);
            if (length < best - 1e-12) {
                best = length;
                x[i] = nx;
                y[i] = ny;
                z[i] = nz;
                moved = true;
            }
        }
        return moved;
    }

    private static double pieces(double[] x, double[] y, double[] z, int i, double px, double py, double pz) {
        return distance(x[i - 1], y[i - 1], z[i - 1], px, py, pz) + distance(px, py, pz, x[i + 1], y[i + 1], z[i + 1]);
    }

    private static double distance(double ax, double ay, double az, double bx, double by, double bz) {
        return Math.sqrt((ax - bx) * (ax - bx) + (ay - by) * (ay - by) + (az - bz) * (az - bz));
    }

    /** So many points evenly spaced along the surface; where a straight piece cuts through the dome, its middle is lifted onto it first. */
    private static double[][] spread(Dome dome, double[] x, double[] y, double[] z, int count) {
        int fine = 8 * (x.length - 1) + 1;
        double[] fx = new double[fine];
        double[] fy = new double[fine];
        for (int i = 0; i < fine; i++) {
            int k = Math.min(i / 8, x.length - 2);
            double t = (i - 8 * k) / 8.0;
            fx[i] = x[k] + t * (x[k + 1] - x[k]);
            fy[i] = y[k] + t * (y[k + 1] - y[k]);
        }
        double[] fz = heights(dome, fx, fy);
        double[] along = new double[fine];
        for (int i = 1; i < fine; i++) {
            along[i] = along[i - 1] + distance(fx[i - 1], fy[i - 1], fz[i - 1], fx[i], fy[i], fz[i]);
        }
        double[][] even = new double[3][count];
        int k = 0;
        for (int i = 0; i < count; i++) {
            double wanted = along[fine - 1] * i / (count - 1);
            while (k < fine - 2 && along[k + 1] < wanted) {
                k++;
            }
            double t = along[k + 1] > along[k] ? Math.min(1, (wanted - along[k]) / (along[k + 1] - along[k])) : 0;
            even[0][i] = fx[k] + t * (fx[k + 1] - fx[k]);
            even[1][i] = fy[k] + t * (fy[k + 1] - fy[k]);
        }
        even[2] = heights(dome, even[0], even[1]);
        return even;
    }

    private static double[] heights(Dome dome, double[] x, double[] y) {
        double[] z = new double[x.length];
        Arrays.setAll(z, i -> dome.heightAt(x[i], y[i]));
        return z;
    }

    /** Length along the surface, mm. */
    public double lengthMm() {
        double length = 0;
        for (int i = 1; i < x.length; i++) {
            length += distance(x[i - 1], y[i - 1], z[i - 1], x[i], y[i], z[i]);
        }
        return length;
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
}
