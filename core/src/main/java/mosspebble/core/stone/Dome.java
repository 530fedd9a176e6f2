package mosspebble.core.stone;

import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;

/**
 * The face of a stone as a height field by inflation: u solves {@code laplacian(u) = -1} inside the outline with u = 0 on it; with
 * level w = u / max u the height over the girdle is {@code z = H sqrt(1 - (1 - w)^m)}, H the face height in mm, m the fullness.
 *
 * <p>For an ellipse u is a quadratic and m = 1 gives the half-ellipsoid exactly; in general the volume over an ellipse with semi-axes a, b
 * is
 * {@code pi a b H (1/m) B(1/m, 3/2)} (own derivation, w uniform over the area of an ellipse). The equation is discretised on a square grid
 * with the unequal-arm
 * five-point stencil (G. H. Shortley, R. Weller, J. Appl. Phys. 9, 334, 1938), exact for quadratics, and solved by successive
 * over-relaxation on red and black points. Marks of the stone (dents, bumps, cracks) are
 * added to the smooth height.
 */
public final class Dome {

    private static final int MOST_SWEEPS = 4000;
    private static final double UNKNOWN = Double.NaN;

    /** Grid lines across from which a coarser grid is solved first. */
    private static final int COARSE = 40;

    /** Directions in which the starting guess knows the outline. */
    private static final int RADII = 180;

    private final StoneOutline outline;
    private final double cellMm;
    private final int columns;
    private final int rows;
    private final double left;
    private final double top;
    private final double[] level;
    private final double heightMm;
    private final double fullness;
    private final List<Patch> patches;
    private final Patch[] marks; // the same, gone through for every pixel

    private Dome(StoneOutline outline, double cellMm, double heightMm, double fullness, List<Patch> patches) {
        this.outline = outline;
        this.cellMm = cellMm;
        this.heightMm = heightMm;
        this.fullness = fullness;
        this.patches = patches;
        this.marks = patches.toArray(Patch[]::new);
        this.columns = 2 * (int) Math.ceil(outline.halfWidth() / cellMm) + 5;
        this.rows = 2 * (int) Math.ceil(outline.halfHeight() / cellMm) + 5;
        this.left = -cellMm * (columns / 2);
        this.top = -cellMm * (rows / 2);
        this.level = new double[columns * rows];
    }

    /** The dome of a stone on a grid of 1 mm, coarser for stones over 200 mm. */
    public static Dome of(Stone stone) {
        StoneOutline outline = StoneOutline.of(stone);
        double longest = 2 * Math.max(outline.halfWidth(), outline.halfHeight());
        double cell = Math.max(longest / 200, Math.min(1, longest / 40));
        return inflate(outline, stone.faceHeightMm(), stone.fullness(), cell).with(stone);
    }

    /** With the marks, height and fullness of a stone of the same outline; costs nothing. */
    Dome with(Stone stone) {
        List<Patch> placed = stone.patches().stream().filter(p -> !p.onBack()).map(p -> {
            Coordinate from = outline.placed(p.x(), p.y());
            Coordinate to = outline.placed(p.toX(), p.toY());
            return new Patch(p.kind(), from.x, from.y, to.x, to.y, p.radiusMm(), p.depthMm(), false);
        }).toList();
        return copy(stone.faceHeightMm(), stone.fullness(), placed);
    }

    private Dome copy(double newHeightMm, double newFullness, List<Patch> newPatches) {
        Dome dome = new Dome(outline, cellMm, newHeightMm, newFullness, newPatches);
        System.arraycopy(level, 0, dome.level, 0, level.length);
        return dome;
    }

    /**
     * @param heightMm height of the top over the girdle, above 0
     * @param fullness m, 1 or more
     * @param cellMm grid spacing, above 0
     */
    public static Dome inflate(StoneOutline outline, double heightMm, double fullness, double cellMm) {
        if (!(heightMm > 0) || !(fullness >= 1) || !(cellMm > 0)) {
            throw new IllegalArgumentException(
                    "a dome needs height > 0 mm, fullness >= 1 and cell > 0 mm, had " + heightMm + ", " + fullness + ", " + cellMm);
        }
        Dome dome = new Dome(outline, cellMm, heightMm, fullness, List.of());
        dome.solve();
        return dome;
    }

    /** The same inflated outline with another height and fullness and no marks; costs nothing. */
    public Dome reshaped(double newHeightMm, double newFullness) {
        return copy(newHeightMm, newFullness, List.of());
    }

    /** The back below the girdle as a dome of its own, its depth as height; empty depth is a hair. */
    public Dome back(Stone stone) {
        return reshaped(Math.max(stone.backDepthMm(), 1e-9), stone.backFullness());
    }

    private void solve() {
        double[] west = arms(true, false);
        double[] east = arms(true, true);
        double[] north = arms(false, false);
        double[] south = arms(false, true);
        int[] inside = new int[level.length];
        int count = 0;
        for (int colour = 0; colour < 2; colour++) { // like a chess board: the points of one colour do not need each other
            for (int i = 0; i < level.length; i++) {
                if (west[i] > 0 && (i % columns + i / columns) % 2 == colour) {
                    inside[count++] = i;
                }
            }
        }
        guess(inside, count);
        double[] centre = new double[count];
        double[] cw = new double[count];
        double[] ce = new double[count];
        double[] cn = new double[count];
        double[] cs = new double[count];
        for (int k = 0; k < count; k++) {
            int i = inside[k];
            double w = west[i];
            double e = east[i];
            double n = north[i];
            double s = south[i];
            double sum = 1 / (w * e) + 1 / (n * s);
            centre[k] = 0.5 / sum;
            cw[k] = w < 1 ? 0 : 1 / (w * (w + e)) / sum;
            ce[k] = e < 1 ? 0 : 1 / (e * (w + e)) / sum;
            cn[k] = n < 1 ? 0 : 1 / (n * (n + s)) / sum;
            cs[k] = s < 1 ? 0 : 1 / (s * (n + s)) / sum;
        }
        scaleStart(inside, count, centre, cw, ce, cn, cs);
        double relax = 2 / (1 + Math.PI / Math.max(8, Math.min(columns, rows)));
        double largest = Arrays.stream(level).max().orElse(1);
        for (int sweep = 0; sweep < MOST_SWEEPS; sweep++) {
            double change = 0;
            for (int k = 0; k < count; k++) {
                int i = inside[k];
                double target = centre[k] + cw[k] * level[i - 1] + ce[k] * level[i + 1] + cn[k] * level[i - columns]
                        + cs[k] * level[i + columns];
                double step = relax * (target - level[i]);
                level[i] += step;
                change = Math.max(change, Math.abs(step));
            }
            if (change < 3e-6 * largest) {
                break;
            }
        }
        double peak = peak(inside, count);
        for (int k = 0; k < count; k++) {
            level[inside[k]] /= peak;
        }
        extend(west, east, north, south);
    }

    /**
     * A start for the solution: the dome of a grid three times as coarse, or for a small one the paraboloid that is exact for an ellipse.
     */
    private void guess(int[] inside, int count) {
        if (Math.min(columns, rows) > COARSE) {
            Dome coarse = inflate(outline, heightMm, fullness, 3 * cellMm);
            for (int k = 0; k < count; k++) {
                int i = inside[k];
                level[i] = Math.max(1e-4, coarse.levelAt(left + i % columns * cellMm, top + i / columns * cellMm));
            }
            return;
        }
        double[] radius = new double[RADII];
        for (int i = 0; i < RADII; i++) {
            radius[i] = outline.radius(2 * Math.PI * i / RADII);
        }
        for (int k = 0; k < count; k++) {
            double x = left + inside[k] % columns * cellMm - outline.poleX();
            double y = top + inside[k] / columns * cellMm - outline.poleY();
            int direction = (int) Math.round((Math.atan2(y, x) / (2 * Math.PI) + 1) * RADII) % RADII;
            double share = Math.hypot(x, y) / Math.max(radius[direction], 1e-9);
            level[inside[k]] = Math.max(0, 1 - share * share);
        }
    }

    /** One number makes the starting guess the right size: the multiple of it that meets the equation on average. */
    private void scaleStart(int[] inside, int count, double[] centre, double[] cw, double[] ce, double[] cn, double[] cs) {
        double wanted = 0;
        double found = 0;
        for (int k = 0; k < count; k++) {
            int i = inside[k];
            wanted += centre[k];
            found += level[i] - (cw[k] * level[i - 1] + ce[k] * level[i + 1] + cn[k] * level[i - columns] + cs[k] * level[i + columns]);
        }
        double scale = found > 0 ? wanted / found : 1;
        for (int k = 0; k < count; k++) {
            level[inside[k]] *= scale;
        }
    }

    /** The top between grid points, from the parabola through the highest point and its neighbours. */
    private double peak(int[] inside, int count) {
        int best = inside[0];
        for (int k = 1; k < count; k++) {
            if (level[inside[k]] > level[best]) {
                best = inside[k];
            }
        }
        double peak = level[best];
        for (int step : new int[] {1, columns}) {
            double before = level[best - step];
            double after = level[best + step];
            double bend = before - 2 * level[best] + after;
            if (bend < 0) {
                peak += (after - before) * (after - before) / (-8 * bend);
            }
        }
        return peak;
    }

    /**
     * Arm lengths of the stencil in cells, per grid point inside (0 outside): the distance to the next point in one direction, or to the
     * outline if
     * that comes first.
     */
    private double[] arms(boolean alongX, boolean forward) {
        double[] arms = new double[level.length];
        int lines = alongX ? rows : columns;
        int steps = alongX ? columns : rows;
        for (int line = 0; line < lines; line++) {
            double[] cuts = cuts(alongX, (alongX ? top : left) + line * cellMm);
            for (int c = 0; c + 1 < cuts.length; c += 2) {
                double from = (cuts[c] - (alongX ? left : top)) / cellMm;
                double to = (cuts[c + 1] - (alongX ? left : top)) / cellMm;
                for (int step = (int) Math.ceil(from + 1e-7); step <= Math.min(to - 1e-7, steps - 1); step++) {
                    double arm = Math.min(1, forward ? to - step : step - from);
                    arms[alongX ? line * columns + step : step * columns + line] = Math.max(arm, 1e-6);
                }
            }
        }
        return arms;
    }

    /** Where the outline crosses a grid line, in order. */
    private double[] cuts(boolean alongX, double at) {
        double[] found = new double[16];
        int count = 0;
        int n = outline.size();
        for (int i = 0, j = n - 1; i < n; j = i++) {
            double ai = (alongX ? outline.y(i) : outline.x(i)) - at;
            double aj = (alongX ? outline.y(j) : outline.x(j)) - at;
            if (ai >= 0 != aj >= 0) {
                double t = aj / (aj - ai);
                double bi = alongX ? outline.x(i) : outline.y(i);
                double bj = alongX ? outline.x(j) : outline.y(j);
                if (count == found.length) {
                    found = Arrays.copyOf(found, 2 * count);
                }
                found[count++] = bj + t * (bi - bj);
            }
        }
        double[] cuts = Arrays.copyOf(found, count);
        Arrays.sort(cuts);
        return cuts;
    }

    /** Gives the points just outside the value that makes the level pass zero on the outline, so that it can be read between points. */
    private void extend(double[] west, double[] east, double[] north, double[] south) {
        double[] sum = new double[level.length];
        int[] votes = new int[level.length];
        for (int i = 0; i < level.length; i++) {
            if (west[i] > 0 && north[i] > 0) {
                vote(i, i - 1, i + 1, west[i], east[i], west[i - 1] > 0 && north[i - 1] > 0, sum, votes);
                vote(i, i + 1, i - 1, east[i], west[i], west[i + 1] > 0 && north[i + 1] > 0, sum, votes);
                vote(i, i - columns, i + columns, north[i], south[i], west[i - columns] > 0 && north[i - columns] > 0, sum, votes);
                vote(i, i + columns, i - columns, south[i], north[i], west[i + columns] > 0 && north[i + columns] > 0, sum, votes);
            }
        }
        for (int i = 0; i < level.length; i++) {
            if (!(west[i] > 0 && north[i] > 0)) {
                level[i] = votes[i] > 0 ? sum[i] / votes[i] : UNKNOWN;
            }
        }
        double[] first = level.clone();
        for (int row = 1; row < rows - 1; row++) {
            for (int column = 1; column < columns - 1; column++) {
                int i = row * columns + column;
                if (Double.isNaN(first[i])) {
                    double low = 0;
                    int near = 0;
                    for (int step : new int[] {-1, 1, -columns, columns}) {
                        if (!Double.isNaN(first[i + step])) {
                            low += first[i + step];
                            near++;
                        }
                    }
                    level[i] = near > 0 ? 2 * low / near : -1;
                }
            }
        }
        for (int i = 0; i < level.length; i++) {
            if (Double.isNaN(level[i])) {
                level[i] = -1;
            }
        }
    }

    private void vote(int at, int outside, int opposite, double arm, double otherArm, boolean inside, double[] sum, int[] votes) {
        if (inside) {
            return;
        }
        double here = level[at];
        double value;
        if (otherArm >= 1 && arm > 0.15) { // parabola through opposite, here and the outline
            value = 2 * here * (1 - arm) / -arm + level[opposite] * (1 - arm) / (1 + arm);
        } else if (otherArm >= 1) {
            value = -level[opposite] * (1 - arm) / (1 + arm);
        } else {
            value = -here * (1 - arm) / arm;
        }
        sum[outside] += Math.max(value, -1);
        votes[outside]++;
    }

    public StoneOutline outline() {
        return outline;
    }

    /** Face height over the girdle, mm. */
    public double heightMm() {
        return heightMm;
    }

    /** Level w at a place: 1 at the top, 0 on the outline, below 0 outside. */
    public double levelAt(double x, double y) {
        return levelBetween((x - left) / cellMm, (y - top) / cellMm);
    }

    /** The same at a place in cells of the grid. */
    private double levelBetween(double gx, double gy) {
        int column = (int) Math.floor(gx);
        int row = (int) Math.floor(gy);
        if (column < 0 || row < 0 || column >= columns - 1 || row >= rows - 1) {
            return -1;
        }
        double fx = gx - column;
        double fy = gy - row;
        int i = row * columns + column;
        return (level[i] * (1 - fx) + level[i + 1] * fx) * (1 - fy) + (level[i + columns] * (1 - fx) + level[i + columns + 1] * fx) * fy;
    }

    /** Marks on this side, where they lie now. */
    public List<Patch> patches() {
        return patches;
    }

    /** Exponent m of the inflation. */
    public double fullness() {
        return fullness;
    }

    /** Height over the girdle in mm with all marks; 0 on the outline and outside. */
    public double heightAt(double x, double y) {
        double smooth = smoothHeightAt(x, y);
        return patches.isEmpty() || smooth == 0 ? smooth : Math.max(0, smooth + lift(x, y));
    }

    /** Height without the marks. */
    public double smoothHeightAt(double x, double y) {
        return heightOf(levelAt(x, y));
    }

    private double lift(double x, double y) {
        double lift = 0;
        for (Patch patch : marks) {
            lift += patch.lift(x, y);
        }
        return lift;
    }

    private double heightOf(double w) {
        return w <= 0 ? 0 : heightMm * Math.sqrt(1 - Math.pow(1 - Math.min(w, 1), fullness));
    }

    /**
     * The outward unit normal at a place.
     *
     * @param normal receives x, y, z; horizontal on the outline
     */
    public void normalAt(double x, double y, double[] normal) {
        surfaceAt(x, y, normal);
    }

    /**
     * The same, and the height there without the marks.
     *
     * @return as {@link #smoothHeightAt}, mm
     */
    public double surfaceAt(double x, double y, double[] normal) {
        double gx = (x - left) / cellMm;
        double gy = (y - top) / cellMm;
        double wx = (levelBetween(gx + 0.5, gy) - levelBetween(gx - 0.5, gy)) / cellMm;
        double wy = (levelBetween(gx, gy + 0.5) - levelBetween(gx, gy - 0.5)) / cellMm;
        double level = levelBetween(gx, gy);
        double w = Math.min(Math.max(level, 1e-6), 1);
        double rest = Math.pow(1 - w, fullness);
        double part = w < 1 ? rest / (1 - w) : Math.pow(0, fullness - 1);
        double slope = heightMm * fullness * part / (2 * Math.sqrt(Math.max(1 - rest, 1e-12)));
        double nx = -slope * wx;
        double ny = -slope * wy;
        if (!patches.isEmpty()) {
            double e = 0.15;
            nx -= (lift(x + e, y) - lift(x - e, y)) / (2 * e);
            ny -= (lift(x, y + e) - lift(x, y - e)) / (2 * e);
        }
        double size = Math.sqrt(nx * nx + ny * ny + 1);
        normal[0] = nx / size;
        normal[1] = ny / size;
        normal[2] = 1 / size;
        return level <= 0 ? 0 : level < w ? heightOf(level) : heightMm * Math.sqrt(1 - rest);
    }

    /** Angle between the surface and the table, 0 to 90 degrees. */
    public double tiltAt(double x, double y) {
        double[] normal = new double[3];
        normalAt(x, y, normal);
        return Math.toDegrees(Math.acos(normal[2]));
    }

    /** The same dome without its marks. */
    public Dome smooth() {
        return patches.isEmpty() ? this : reshaped(heightMm, fullness);
    }
}
