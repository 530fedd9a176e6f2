package mosspebble.instruments;

import java.util.Arrays;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.function.LongFunction;
import java.util.function.Supplier;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.colour.Xyz;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.ScaleCard;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.DomeMesh;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * A stand-in camera over a made-up bench: stones as solid domes in true perspective, the printed card, cast and contact shadows, uneven
 * light, a soft lens, a noisy sensor. The same scene gives the same
 * photo.
 */
public final class SimulatedBenchCamera implements BenchCamera {

    private static final int RAYS = 260;
    private static final int RINGS = 56;
    private static final double SHADOW_CELL = 0.8;
    private static final double LEFT = -140;
    private static final double TOP = -110;
    private static final double WIDE = 560;
    private static final double HIGH = 440;

    private final LongFunction<BenchScene> scenes;
    private long shots;

    /** @param scenes the scene of each shot, numbered from 0 */
    public SimulatedBenchCamera(LongFunction<BenchScene> scenes) {
        this.scenes = scenes;
    }

    @Override
    public boolean simulated() {
        return true;
    }

    @Override
    public String label() {
        return "simulated bench camera";
    }

    @Override
    public Photo take() {
        return photograph(scenes.apply(shots++));
    }

    @Override
    public Photo takeOf(Supplier<BenchScene.Lying> there) {
        return photograph(BenchScene.work(there.get(), 1 + shots++));
    }

    /** The photo of a scene. */
    public static Photo photograph(BenchScene scene) {
        return new Shot(scene).photo();
    }

    private static final class Shot {

        private final BenchScene scene;
        private final int width;
        private final int height;
        private final double focal;
        private final double[] right = new double[3];
        private final double[] down = new double[3];
        private final double[] ahead = new double[3];
        private final double[] sun;
        private final float[][] band;
        private final float[] depth;

        Shot(BenchScene scene) {
            this.scene = scene;
            this.width = scene.width();
            this.height = scene.height();
            this.focal = BenchScene.FOCAL * Math.max(width, height);
            this.band = new float[3][width * height];
            this.depth = new float[width * height];
            double elevation = Math.toRadians(scene.lamp().height());
            double from = Math.toRadians(scene.lamp().from());
            this.sun = new double[] {Math.sin(from) * Math.cos(elevation), -Math.cos(from) * Math.cos(elevation), Math.sin(elevation)};
            aim();
        }

        private void aim() {
            double[] to = {scene.camera().aimX() - scene.camera().x(), scene.camera().aimY() - scene.camera().y(), -scene.camera().z()};
            double size = Math.sqrt(to[0] * to[0] + to[1] * to[1] + to[2] * to[2]);
            for (int i = 0; i < 3; i++) {
                ahead[i] = to[i] / size;
            }
            // right starts along the sheet's x, made square to the line of sight, then rolled
            double dot = ahead[0];
            double[] r = {1 - dot * ahead[0], -dot * ahead[1], -dot * ahead[2]};
            double rs = Math.sqrt(r[0] * r[0] + r[1] * r[1] + r[2] * r[2]);
            double dy = ahead[1];
            double rx = r[0] / rs;
            double ry = r[1] / rs;
            double rz = r[2] / rs;
            double[] d = {-dy * ahead[0], 1 - dy * ahead[1], -dy * ahead[2]};
            double along = d[0] * rx + d[1] * ry + d[2] * rz;
            double[] square = {d[0] - along * rx, d[1] - along * ry, d[2] - along * rz};
            double ds = Math.sqrt(square[0] * square[0] + square[1] * square[1] + square[2] * square[2]);
            double c = Math.cos(Math.toRadians(scene.camera().roll()));
            double s = Math.sin(Math.toRadians(scene.camera().roll()));
            double[] plainRight = {rx, ry, rz};
            for (int i = 0; i < 3; i++) {
                right[i] = c * plainRight[i] + s * square[i] / ds;
                down[i] = -s * plainRight[i] + c * square[i] / ds;
            }
        }

        Photo photo() {
            float[] shade = shadows();
            sheet(shade);
            SplittableRandom random = new SplittableRandom(scene.seed() * 31 + 5);
            for (BenchScene.Lying lying : scene.stones()) {
                stone(lying, random.nextLong());
            }
            for (float[] values : band) {
                blur(values, width, height, scene.camera().blurPx());
            }
            return new Photo(width, height, developed(random), OptionalDouble.of(focal));
        }

        // --- sheet

        private void sheet(float[] shade) {
            double[] sheet = linear(scene.sheet());
            double cx = width / 2.0;
            double cy = height / 2.0;
            int columns = (int) (WIDE / SHADOW_CELL);
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    double r = 0;
                    double g = 0;
                    double b = 0;
                    double[] at = ground(x + 0.5 - cx, y + 0.5 - cy);
                    boolean card = scene.card().there() && at[0] > -1 && at[1] > -1 && at[0] < ScaleCard.WIDTH_MM + 1
                            && at[1] < ScaleCard.HEIGHT_MM + 1;
                    if (card) {
                        for (int k = 0; k < 9; k++) {
                            double[] fine = ground(x + (k % 3 + 0.5) / 3 - cx, y + (k / 3 + 0.5) / 3 - cy);
                            double[] part = cardAt(fine[0], fine[1], sheet);
                            r += part[0] / 9;
                            g += part[1] / 9;
                            b += part[2] / 9;
                        }
                    } else {
                        r = sheet[0];
                        g = sheet[1];
                        b = sheet[2];
                    }
                    double light = light(at[0], at[1]);
                    int column = (int) ((at[0] - LEFT) / SHADOW_CELL);
                    int row = (int) ((at[1] - TOP) / SHADOW_CELL);
                    if (column >= 0 && row >= 0 && column < columns && row < shade.length / columns) {
                        light *= 1 - shade[row * columns + column];
                    }
                    int i = y * width + x;
                    band[0][i] = (float) (r * light);
                    band[1][i] = (float) (g * light);
                    band[2][i] = (float) (b * light);
                    depth[i] = Float.POSITIVE_INFINITY;
                }
            }
        }

        private double[] cardAt(double x, double y, double[] sheet) {
            if (x < 0 || y < 0 || x >= ScaleCard.WIDTH_MM || y >= ScaleCard.HEIGHT_MM) {
                return sheet;
            }
            int hidden = scene.card().hiddenMarks();
            for (int i = 0; i < hidden; i++) {
                ScaleCard.Mark mark = ScaleCard.MARKS.get(ScaleCard.MARKS.size() - 1 - i);
                if (x > mark.x() - 2 && y > mark.y() + 4 && x < mark.x() + ScaleCard.MARK_MM + 2 && y < mark.y() + ScaleCard.MARK_MM + 2) {
                    return new double[] {0.30, 0.22, 0.14};
                }
            }
            double tone = ScaleCard.black(x, y) ? 0.035 : 0.86;
            return new double[] {tone, tone, tone};
        }

        /** Where the line of sight through a pixel meets the sheet. */
        private double[] ground(double px, double py) {
            double dx = focal * ahead[0] + px * right[0] + py * down[0];
            double dy = focal * ahead[1] + px * right[1] + py * down[1];
            double dz = focal * ahead[2] + px * right[2] + py * down[2];
            double t = -scene.camera().z() / Math.min(dz, -1e-6);
            return new double[] {scene.camera().x() + t * dx, scene.camera().y() + t * dy};
        }

        private double light(double x, double y) {
            double u = (x - 120) / 250;
            double v = (y - 100) / 250;
            double along = u * sun[0] + v * sun[1];
            return 0.92 * (1 + scene.lamp().uneven() * along - 0.25 * scene.lamp().uneven() * (u * u + v * v));
        }

        // --- shadows

        private float[] shadows() {
            int columns = (int) (WIDE / SHADOW_CELL);
            int rows = (int) (HIGH / SHADOW_CELL);
            Grid grid = new Grid(LEFT, TOP, SHADOW_CELL, columns, rows);
            float[] cast = new float[columns * rows];
            float[] contact = new float[columns * rows];
            for (BenchScene.Lying lying : scene.stones()) {
                Dome dome = Dome.of(lying.stone());
                double back = lying.stone().backDepthMm();
                for (int level = 0; level <= 8; level++) {
                    double share = level / 8.5;
                    double z = back + dome.heightMm() * share;
                    lay(section(dome, share, lying, -sun[0] / sun[2] * z, -sun[1] / sun[2] * z), grid, cast);
                }
                lay(section(dome, 0.05, lying, 0, 0), grid, contact);
            }
            blur(cast, columns, rows, 2.5 / SHADOW_CELL);
            blur(contact, columns, rows, 4 / SHADOW_CELL);
            for (int i = 0; i < cast.length; i++) {
                cast[i] = (float) (scene.lamp().shadow() * cast[i] + 0.35 * contact[i] * (1 - scene.lamp().shadow() * cast[i]));
            }
            return cast;
        }

        /** The cut of the dome at a share of its height, moved on the sheet. */
        private static Polygon section(Dome dome, double share, BenchScene.Lying lying, double dx, double dy) {
            double level = 1 - Math.pow(1 - share * share, 1 / dome.fullness());
            Coordinate[] ring = new Coordinate[91];
            for (int i = 0; i < 90; i++) {
                double angle = 2 * Math.PI * i / 90;
                double radius = dome.outline().radius(angle);
                double low = 0;
                double high = 1;
                for (int halving = 0; halving < 14; halving++) {
                    double middle = (low + high) / 2;
                    if (dome.levelAt(dome.outline().poleX() + middle * radius * Math.cos(angle),
                            dome.outline().poleY() + middle * radius * Math.sin(angle)) > level) {
                        low = middle;
                    } else {
                        high = middle;
                    }
                }
                double r = Math.max(0.01, low) * radius;
                double[] at = lying.onSheet(dome.outline().poleX() + r * Math.cos(angle), dome.outline().poleY() + r * Math.sin(angle));
                ring[i] = new Coordinate(at[0] + dx, at[1] + dy);
            }
            ring[90] = ring[0].copy();
            return new GeometryFactory().createPolygon(ring);
        }

        private static void lay(Polygon shape, Grid grid, float[] onto) {
            Mask mask = Mask.of(shape, grid);
            for (int r = 0; r < mask.rows(); r++) {
                for (int c = 0; c < mask.columns(); c++) {
                    int i = (mask.row() + r) * grid.columns() + mask.column() + c;
                    onto[i] = Math.max(onto[i], mask.at(c, r));
                }
            }
        }

        // --- stones

        private void stone(BenchScene.Lying lying, long seed) {
            Stone stone = lying.stone();
            Dome dome = Dome.of(stone);
            surface(lying, dome, 1, seed);
            if (!stone.flatBack()) {
                surface(lying, dome.back(stone), -1, seed + 1);
            }
        }

        private void surface(BenchScene.Lying lying, Dome dome, int side, long seed) {
            DomeMesh mesh = DomeMesh.of(dome, RINGS, RAYS);
            int count = mesh.x().length;
            double[] u = new double[count];
            double[] v = new double[count];
            double[] far = new double[count];
            double[] tone = new double[count];
            double[] normal = new double[3];
            SplittableRandom grain = new SplittableRandom(seed);
            boolean covered = side > 0 && lying.face().isPresent(); // the skin is in the cover then
            double back = lying.stone().backDepthMm();
            double cos = Math.cos(Math.toRadians(lying.turn()));
            double sin = Math.sin(Math.toRadians(lying.turn()));
            for (int i = 0; i < count; i++) {
                double x = mesh.x()[i];
                double y = mesh.y()[i];
                dome.normalAt(0.998 * x, 0.998 * y, normal);
                double along = cos * normal[0] - sin * normal[1];
                normal[1] = sin * normal[0] + cos * normal[1];
                normal[0] = along;
                double[] at = lying.onSheet(x, y);
                double dx = at[0] - scene.camera().x();
                double dy = at[1] - scene.camera().y();
                double dz = back + side * mesh.z()[i] - scene.camera().z();
                far[i] = dx * ahead[0] + dy * ahead[1] + dz * ahead[2];
                u[i] = width / 2.0 + focal * (dx * right[0] + dy * right[1] + dz * right[2]) / far[i];
                v[i] = height / 2.0 + focal * (dx * down[0] + dy * down[1] + dz * down[2]) / far[i];
                double lit = Math.max(0, normal[0] * sun[0] + normal[1] * sun[1] + side * normal[2] * sun[2]) / sun[2];
                double sky = 0.5 + 0.5 * side * normal[2];
                tone[i] = (scene.lamp().shadow() * Math.min(1.3, lit) + (1 - scene.lamp().shadow()) * (0.45 + 0.55 * sky))
                        * (1 + (covered ? 0 : 0.24) * (grain.nextDouble() - 0.5)) * light(at[0], at[1]);
            }
            double[] colour = linear(lying.stone().colour());
            BenchScene.Cover cover = covered ? lying.face().get() : (x, y, linear) -> System.arraycopy(colour, 0, linear, 0, 3);
            Corners corners = new Corners(u, v, far, tone, mesh.x(), mesh.y());
            mesh.eachTriangle((i, j, k) -> triangle(i, j, k, corners, cover));
        }

        /** What is known at the corners of a mesh: place in the photo, distance, light, place on the stone. */
        private record Corners(double[] u, double[] v, double[] far, double[] tone, double[] x, double[] y) {}

        private void triangle(int a, int b, int c, Corners corners, BenchScene.Cover cover) {
            double[] u = corners.u();
            double[] v = corners.v();
            double[] colour = new double[3];
            double area = (u[b] - u[a]) * (v[c] - v[a]) - (u[c] - u[a]) * (v[b] - v[a]);
            if (area == 0) {
                return;
            }
            int left = (int) Math.max(0, Math.floor(Math.min(u[a], Math.min(u[b], u[c])) - 0.5));
            int rightmost = (int) Math.min(width - 1, Math.ceil(Math.max(u[a], Math.max(u[b], u[c]))));
            int upper = (int) Math.max(0, Math.floor(Math.min(v[a], Math.min(v[b], v[c])) - 0.5));
            int lower = (int) Math.min(height - 1, Math.ceil(Math.max(v[a], Math.max(v[b], v[c]))));
            for (int row = upper; row <= lower; row++) {
                for (int column = left; column <= rightmost; column++) {
                    double px = column + 0.5;
                    double py = row + 0.5;
                    double wb = ((px - u[a]) * (v[c] - v[a]) - (u[c] - u[a]) * (py - v[a])) / area;
                    double wc = ((u[b] - u[a]) * (py - v[a]) - (px - u[a]) * (v[b] - v[a])) / area;
                    double wa = 1 - wb - wc;
                    if (wa < 0 || wb < 0 || wc < 0) {
                        continue;
                    }
                    int i = row * width + column;
                    double z = wa * corners.far()[a] + wb * corners.far()[b] + wc * corners.far()[c];
                    if (z < depth[i]) {
                        depth[i] = (float) z;
                        double t = wa * corners.tone()[a] + wb * corners.tone()[b] + wc * corners.tone()[c];
                        cover.at(wa * corners.x()[a] + wb * corners.x()[b] + wc * corners.x()[c],
                                wa * corners.y()[a] + wb * corners.y()[b] + wc * corners.y()[c], colour);
                        for (int k = 0; k < 3; k++) {
                            band[k][i] = (float) (colour[k] * t);
                        }
                    }
                }
            }
        }

        // --- lens and sensor

        private int[] developed(SplittableRandom random) {
            int[] rgb = new int[width * height];
            int[] code = new int[4097];
            for (int i = 0; i <= 4096; i++) {
                code[i] = (int) Math.round(2550 * Xyz.encoded(i / 4096.0));
            }
            for (int i = 0; i < rgb.length; i++) {
                int pixel = 0;
                for (int k = 0; k < 3; k++) {
                    long draw = random.nextLong(); // the sum of three even draws is near enough a bell curve
                    double noise = ((draw & 0xFFFF) + (draw >>> 16 & 0xFFFF) + (draw >>> 32 & 0xFFFF) - 98302.5) / 65536 * 2
                            * scene.camera().noise();
                    double value = code[(int) Math.max(0, Math.min(4096, band[k][i] * 4096))] / 10.0 + noise;
                    pixel = pixel << 8 | (int) (Math.max(0, Math.min(255, value)) + 0.5);
                }
                rgb[i] = pixel;
            }
            return rgb;
        }

        private static double[] linear(Srgb colour) {
            return new double[] {Xyz.linear(colour.red()), Xyz.linear(colour.green()), Xyz.linear(colour.blue())};
        }

        /** Bell curve in two passes. */
        private static void blur(float[] values, int width, int height, double sigma) {
            int reach = (int) Math.ceil(2.6 * sigma);
            if (reach < 1) {
                return;
            }
            float[] kernel = new float[2 * reach + 1];
            float sum = 0;
            for (int k = -reach; k <= reach; k++) {
                kernel[k + reach] = (float) Math.exp(-k * k / (2 * sigma * sigma));
                sum += kernel[k + reach];
            }
            for (int k = 0; k < kernel.length; k++) {
                kernel[k] /= sum;
            }
            float[] across = new float[values.length];
            float[] line = new float[width + 2 * reach];
            float[] moved = new float[width];
            float[] sums = new float[width];
            for (int row = 0; row < height; row++) {
                System.arraycopy(values, row * width, line, reach, width);
                Arrays.fill(line, 0, reach, values[row * width]);
                Arrays.fill(line, reach + width, line.length, values[row * width + width - 1]);
                Arrays.fill(sums, 0);
                for (int k = 0; k < kernel.length; k++) {
                    System.arraycopy(line, k, moved, 0, width);
                    add(kernel[k], moved, sums);
                }
                System.arraycopy(sums, 0, across, row * width, width);
            }
            for (int row = 0; row < height; row++) {
                Arrays.fill(sums, 0);
                for (int k = -reach; k <= reach; k++) {
                    System.arraycopy(across, Math.max(0, Math.min(height - 1, row + k)) * width, moved, 0, width);
                    add(kernel[k + reach], moved, sums);
                }
                System.arraycopy(sums, 0, values, row * width, width);
            }
        }

        /** By one place in both, which is what the compiler turns into instructions for several numbers at a time. */
        private static void add(float share, float[] from, float[] sums) {
            for (int x = 0; x < sums.length; x++) {
                sums[x] += share * from[x];
            }
        }
    }
}
