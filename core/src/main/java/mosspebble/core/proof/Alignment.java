package mosspebble.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Finds how one planned thing lies in what is seen. What was planned is compared with what is seen at the cells about the thing; they may
 * differ in brightness, contrast and an even shade (S. Baker and I. Matthews, Lucas-Kanade 20 Years On, International Journal of Computer
 * Vision 56, 2004, section 3, with linear appearance variation), and cells that do not follow count little (J. W. Tukey's biweight). From
 * coarse to fine, so that things are found that strayed by more than the width of a line.
 */
final class Alignment {

    /** Sharpness at which it is looked for, then refined, mm. */
    static final double[] SHARPNESS = {1.4, 0.7, 0.35};

    private static final int MOST_POINTS = 5000;
    private static final int COARSE_POINTS = 450;

    /** Of pencil on grain most of what is seen is the grain's: as many as say something of their own at that sharpness. */
    private static final int COARSE_POINTS_OF_LINES = 1800;

    private static final int ROUGH_POINTS = 2500;
    private static final double NUDGE_MM = 0.45;
    private static final int STARTS = 7;
    private static final int FEW_STARTS = 3;
    private static final int KEPT = 2;

    private final Field[] planned;
    private final Field[] seen;

    /** Both over one grid, with the same channels. */
    Alignment(Field planned, Field seen) {
        this(blurred(planned), seen);
    }

    private Alignment(Field[] planned, Field seen) {
        this.planned = planned;
        this.seen = Arrays.stream(blurred(seen)).map(Field::slopes).toArray(Field[]::new);
    }

    /** The same plan against what is seen otherwise. */
    Alignment with(Field otherwise) {
        return new Alignment(planned, otherwise);
    }

    private static Field[] blurred(Field field) {
        return Arrays.stream(SHARPNESS).mapToObj(field::blurred).toArray(Field[]::new);
    }

    /** How alike two fields are over some cells. */
    static double likeness(Field planned, Field seen, int[] cells) {
        return new Points(planned, cells, MOST_POINTS).likeness(seen, Fit.none(0, 0));
    }

    /** How far round where it was planned a thing is looked for: mm, degrees, and whether other sizes are tried. */
    record Range(double mm, double degrees, boolean sizes) {

        /** How many of the likeliest places are looked at more closely. */
        int starts() {
            return sizes ? STARTS : FEW_STARTS;
        }
    }

    /**
     * @param cells numbers of the cells about the thing
     * @param start where the search begins
     */
    Fit find(int[] cells, Fit start, Range range) {
        Points coarse = new Points(planned[0], cells, painted() ? COARSE_POINTS : COARSE_POINTS_OF_LINES);
        List<Fit> starts = coarse(coarse, start.about(coarse.x, coarse.y), range);
        Points rough = new Points(planned[0], cells, ROUGH_POINTS);
        List<Fit> near = new ArrayList<>();
        for (Fit from : starts) {
            near.add(new Refined(rough, seen[0], from.about(rough.x, rough.y), start, SHARPNESS[0]).fit());
        }
        near.sort(Comparator.comparingDouble(Fit::likeness).reversed());
        Fit best = null;
        for (Fit from : near.subList(0, Math.min(range.sizes() ? KEPT : 1, near.size()))) {
            Fit fit = nudged(rough, from.about(rough.x, rough.y));
            for (int level = 1; level < SHARPNESS.length; level++) {
                Points points = new Points(planned[level], cells, MOST_POINTS);
                fit = new Refined(points, seen[level], fit.about(points.x, points.y), start, SHARPNESS[level]).fit();
            }
            best = best == null || fit.likeness() > best.likeness() ? fit : best;
        }
        return painted() || range.sizes() ? orWhereItBegan(cells, start, best) : best;
    }

    /**
     * Looks again for what was found nearly, at some cells only.
     *
     * @param from where it was found
     * @param start where it was planned to lie
     * @return the better of both by what is alike at these cells
     */
    Fit near(int[] cells, Fit from, Fit start) {
        int sharpest = SHARPNESS.length - 1;
        Points rough = new Points(planned[0], cells, ROUGH_POINTS);
        Fit fit = nudged(rough, from.about(rough.x, rough.y));
        for (int level = 1; level <= sharpest; level++) {
            Points points = new Points(planned[level], cells, MOST_POINTS);
            fit = new Refined(points, seen[level], fit.about(points.x, points.y), start, SHARPNESS[level]).fit();
        }
        return fit.likeness() > new Points(planned[sharpest], cells, MOST_POINTS).likeness(seen[sharpest], from) ? fit : from;
    }

    private boolean painted() {
        return planned[0].channels() > 1;
    }

    /**
     * What is less alike than where the search began is no find: least squares can run away from what has no clear edges. But of a part's
     * pencil lines most of what is alike there may be their neighbours', which did not stray.
     */
    private Fit orWhereItBegan(int[] cells, Fit start, Fit found) {
        int sharpest = SHARPNESS.length - 1;
        Points points = new Points(planned[sharpest], cells, MOST_POINTS);
        Fit there = start.about(points.x, points.y);
        double likeness = points.likeness(seen[sharpest], there);
        return likeness <= found.likeness() ? found
                : new Fit(there.x(), there.y(), there.dx(), there.dy(), there.turn(), there.size(), likeness, found.off());
    }

    /** The likeliest of some turns and sizes close by, looked at more sharply: what lies in grain is easily a little off at first. */
    private Fit nudged(Points points, Fit fit) {
        Fit best = null;
        for (int turn = -3; turn <= 3; turn++) {
            for (int size = -1; size <= 1; size++) {
                Fit near = new Fit(fit.x(), fit.y(), fit.dx(), fit.dy(), fit.turn() + turn * NUDGE_MM / points.reach,
                        fit.size() * (1 + size * NUDGE_MM / points.reach), 0, fit.off());
                Fit told = alike(near, points.likeness(seen[1], near));
                best = best == null || told.likeness() > best.likeness() ? told : best;
            }
        }
        return best;
    }

    /** The likeliest places on a lattice round the start. */
    private List<Fit> coarse(Points points, Fit start, Range range) {
        double step = 0.9;
        int steps = (int) Math.ceil(range.mm() / step);
        double turnStep = Math.max(1.5, Math.min(4, Math.toDegrees(1.2 / points.reach)));
        int turns = (int) Math.ceil(range.degrees() / turnStep);
        double[] sizes = range.sizes() ? new double[] {0.88, 1, 1.12} : new double[] {1};
        Lattice lattice = new Lattice(points, seen[0]);
        List<Fit> found = new ArrayList<>();
        for (int t = -turns; t <= turns; t++) {
            for (double size : sizes) {
                Fit here = new Fit(points.x, points.y, start.dx(), start.dy(), start.turn() + Math.toRadians(t * turnStep),
                        start.size() * size, 0, start.off());
                lattice.lay(here);
                for (int a = -steps; a <= steps; a++) {
                    for (int b = -steps; b <= steps; b++) {
                        // a little is taken off for what strays far, so that of places alike the near one is taken
                        double far = (a * a + b * b) * step * step / (4 * 4.0) + Math.pow(t * turnStep / 8, 2)
                                + Math.pow((size - 1) / 0.12, 2);
                        found.add(new Fit(here.x(), here.y(), here.dx() + a * step, here.dy() + b * step, here.turn(), here.size(),
                                lattice.likeness(a * step, b * step) - 0.004 * far, here.off()));
                    }
                }
            }
        }
        found.sort(Comparator.comparingDouble(Fit::likeness).reversed());
        List<Fit> starts = new ArrayList<>();
        for (Fit fit : found) {
            if (starts.size() < range.starts() && starts.stream().noneMatch(s -> Math.hypot(s.dx() - fit.dx(), s.dy() - fit.dy()) < 1.5
                    && Math.abs(s.turn() - fit.turn()) < Math.toRadians(1.5 * turnStep))) {
                starts.add(fit);
            }
        }
        return starts;
    }

    private static Fit alike(Fit fit, double likeness) {
        return new Fit(fit.x(), fit.y(), fit.dx(), fit.dy(), fit.turn(), fit.size(), likeness, fit.off());
    }
}
