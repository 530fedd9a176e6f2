package mosspebble.core.picture;

import java.util.Arrays;
import mosspebble.core.area.Grid;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.DomeMesh;
import mosspebble.core.stone.Eye;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Viewpoint;

/**
 * A stone as it is seen from a viewpoint: a mesh of face and back, projected to the eye, the nearest surface first, coloured from the
 * picture seen from above. The back is bare stone.
 */
public final class SeenPicture {

    private static final int RAYS = 220;
    private static final int RINGS = 54;

    /** Fineness inside a pixel, for soft edges. */
    private static final int FINE = 2;

    private SeenPicture() {}

    /**
     * @param top lit picture seen from above, premultiplied ARGB on {@code grid}
     * @param viewpoint where the eye is
     * @return premultiplied ARGB on the same grid, u for x and v for y
     */
    public static int[] of(Stone stone, Dome dome, int[] top, Grid grid, Viewpoint viewpoint) {
        Eye eye = viewpoint.eye();
        int wide = grid.columns() * FINE;
        int high = grid.rows() * FINE;
        int[] fine = new int[wide * high];
        float[] near = new float[fine.length];
        Arrays.fill(near, Float.NEGATIVE_INFINITY);
        if (!stone.flatBack()) {
            surface(dome.back(stone), -1, stone, null, grid, eye, fine, near, wide);
        }
        surface(dome, 1, stone, top, grid, eye, fine, near, wide);
        int[] pixels = new int[grid.cells()];
        for (int r = 0; r < grid.rows(); r++) {
            for (int c = 0; c < grid.columns(); c++) {
                int sum = 0;
                for (int shift = 0; shift < 32; shift += 8) {
                    int value = 0;
                    for (int k = 0; k < FINE * FINE; k++) {
                        value += fine[(r * FINE + k / FINE) * wide + c * FINE + k % FINE] >>> shift & 255;
                    }
                    sum |= value / (FINE * FINE) << shift;
                }
                pixels[r * grid.columns() + c] = sum;
            }
        }
        return pixels;
    }

    private static void surface(Dome dome, int side, Stone stone, int[] top, Grid grid, Eye eye, int[] fine, float[] near, int wide) {
        DomeMesh mesh = DomeMesh.of(dome, RINGS, RAYS);
        int count = mesh.x().length;
        float[] u = new float[count];
        float[] v = new float[count];
        float[] depth = new float[count];
        float[] x = new float[count];
        float[] y = new float[count];
        double[][] f = eye.frame();
        double far = Math.sqrt(eye.x() * eye.x() + eye.y() * eye.y() + eye.z() * eye.z());
        double poleX = dome.outline().poleX();
        double poleY = dome.outline().poleY();
        for (int i = 0; i < count; i++) {
            double px = mesh.x()[i];
            double py = mesh.y()[i];
            double pz = side * mesh.z()[i];
            double toward = px * f[0][0] + py * f[0][1] + pz * f[0][2];
            double scale = far / (far - toward);
            u[i] = (float) ((scale * (px * f[1][0] + py * f[1][1] + pz * f[1][2]) - grid.left()) / grid.cellMm() * FINE);
            v[i] = (float) ((scale * (px * f[2][0] + py * f[2][1] + pz * f[2][2]) - grid.top()) / grid.cellMm() * FINE);
            depth[i] = (float) toward;
            // a hair inside, where the picture is opaque
            double inward = i >= RINGS * RAYS ? 1 - 0.6 * grid.cellMm() / Math.max(1, Math.hypot(px - poleX, py - poleY)) : 1;
            x[i] = (float) (((px - poleX) * inward + poleX - grid.left()) / grid.cellMm() - 0.5);
            y[i] = (float) (((py - poleY) * inward + poleY - grid.top()) / grid.cellMm() - 0.5);
        }
        double[] normal = new double[3];
        int bare = stone.colour().rgb();
        mesh.eachTriangle((a, b, c) -> {
            int flat = 0;
            if (top == null) {
                dome.normalAt(grid.left() + (x[b] + 0.5) * grid.cellMm(), grid.top() + (y[b] + 0.5) * grid.cellMm(), normal);
                flat = shaded(bare, 0.24 - 0.18 * normal[2]);
            }
            triangle(a, b, c, u, v, depth, x, y, top, flat, grid, fine, near, wide);
        });
    }

    private static int shaded(int rgb, double light) {
        int result = 0xFF000000;
        for (int shift = 0; shift < 24; shift += 8) {
            result |= (int) Math.min(255, (rgb >> shift & 255) * Math.sqrt(Math.max(0, light))) << shift;
        }
        return result;
    }

    private static void triangle(int a, int b, int c, float[] u, float[] v, float[] depth, float[] x, float[] y, int[] top, int flat,
            Grid grid, int[] fine, float[] near, int wide) {
        float area = (u[b] - u[a]) * (v[c] - v[a]) - (u[c] - u[a]) * (v[b] - v[a]);
        if (area == 0) {
            return;
        }
        int high = fine.length / wide;
        int left = (int) Math.max(0, Math.floor(Math.min(u[a], Math.min(u[b], u[c])) - 0.5));
        int right = (int) Math.min(wide - 1, Math.ceil(Math.max(u[a], Math.max(u[b], u[c]))));
        int upper = (int) Math.max(0, Math.floor(Math.min(v[a], Math.min(v[b], v[c])) - 0.5));
        int lower = (int) Math.min(high - 1, Math.ceil(Math.max(v[a], Math.max(v[b], v[c]))));
        float slack = -0.001f;
        for (int row = upper; row <= lower; row++) {
            for (int column = left; column <= right; column++) {
                float px = column + 0.5f;
                float py = row + 0.5f;
                float wb = ((px - u[a]) * (v[c] - v[a]) - (u[c] - u[a]) * (py - v[a])) / area;
                float wc = ((u[b] - u[a]) * (py - v[a]) - (px - u[a]) * (v[b] - v[a])) / area;
                float wa = 1 - wb - wc;
                if (wa < slack || wb < slack || wc < slack) {
                    continue;
                }
                int i = row * wide + column;
                float z = wa * depth[a] + wb * depth[b] + wc * depth[c];
                if (z <= near[i]) {
                    continue;
                }
                int colour = top == null ? flat : sample(top, grid, wa * x[a] + wb * x[b] + wc * x[c], wa * y[a] + wb * y[b] + wc * y[c]);
                if (colour >>> 24 > 0) {
                    near[i] = z;
                    fine[i] = colour;
                }
            }
        }
    }

    /** Between four pixels, made opaque. */
    private static int sample(int[] top, Grid grid, float x, float y) {
        int c = Math.max(0, Math.min(grid.columns() - 2, (int) Math.floor(x)));
        int r = Math.max(0, Math.min(grid.rows() - 2, (int) Math.floor(y)));
        float fx = Math.max(0, Math.min(1, x - c));
        float fy = Math.max(0, Math.min(1, y - r));
        int i = r * grid.columns() + c;
        float[] weights = {(1 - fx) * (1 - fy), fx * (1 - fy), (1 - fx) * fy, fx * fy};
        int[] at = {top[i], top[i + 1], top[i + grid.columns()], top[i + grid.columns() + 1]};
        float alpha = 0;
        float red = 0;
        float green = 0;
        float blue = 0;
        for (int k = 0; k < 4; k++) {
            alpha += weights[k] * (at[k] >>> 24);
            red += weights[k] * (at[k] >> 16 & 255);
            green += weights[k] * (at[k] >> 8 & 255);
            blue += weights[k] * (at[k] & 255);
        }
        if (alpha < 8) {
            return 0;
        }
        float full = 255 / alpha;
        return 0xFF000000 | (int) Math.min(255, red * full + 0.5f) << 16 | (int) Math.min(255, green * full + 0.5f) << 8
                | (int) Math.min(255, blue * full + 0.5f);
    }
}
