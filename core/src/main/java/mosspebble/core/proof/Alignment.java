package mosspebble.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import mosspebble.core.area.Grid;
import mosspebble.core.units.LinearSystem;

/**
 * Finds how one planned thing lies in what is seen. What was planned is compared with what is seen at the cells about the thing; they may
 * differ in brightness, contrast and an even shade (S. Baker and I. Matthews, Lucas-Kanade 20 Years On, International Journal of Computer
 * Vision 56, 2004, section 3, with linear appearance variation), and cells that do not follow count little (J. W. Tukey's biweight). From
 * coarse to fine, so that things are found that strayed by more than the width of a line.
 */
final class Alignment {

    /** Sharpness at which it is looked for, then refined, mm. */
    static final double[] SHARPNESS = {1.4, 0.7, 0.35};

    /** What is thought of where a thing may lie before the photo is seen: mm, radians, times. */
    private static final double[] PRIOR = {4, Math.toRadians(8), 0.12};

    private static final int MOST_POINTS = 5000;
    private static final int COARSE_POINTS = 450;

    /** Of pencil on grain most of what is seen is the grain's: as many as say something of their own at that sharpness. */
    private static final int COARSE_POINTS_OF_LINES = 1800;

    private static final int ROUGH_POINTS = 2500;
    private static final double NUDGE_MM = 0.45;
    private static final int STARTS = 7;
    private static final int FEW_STARTS = 3;
    private static final int KEPT = 2;
    private static final int TURNS = 25;
    private static final int MEDIAN_OF = 4;

    /** What moves by less in a turn lies where it is, mm; where it is looked for more sharply afterwards, so much of the sharpness. */
    private static final double SETTLED_MM = 0.004;
    private static final double SETTLED_NEARLY = 0.05;

    /** So much of a thing must lie where something is seen. */
    private static final double LEAST_SEEN = 0.6;

    /** Beyond so many times its usual size a difference does not count (Tukey's constant for 95 % efficiency). */
    private static final double BIWEIGHT = 4.685;

    /** As long as things are far from where they lie, most differences are theirs. */
    private static final double WIDE = 3;

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
        return likeness(new Points(planned, cells, MOST_POINTS), seen, Fit.none(0, 0));
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
        return fit.likeness() > likeness(new Points(planned[sharpest], cells, MOST_POINTS), seen[sharpest], from) ? fit : from;
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
        double likeness = likeness(points, seen[sharpest], there);
        return likeness <= found.likeness() ? found
                : new Fit(there.x(), there.y(), there.dx(), there.dy(), there.turn(), there.size(), likeness, found.off());
    }

    /** Some cells with what was planned there, and their middle. */
    private static final class Points {
        final double[] px;
        final double[] py;
        final double[][] value;
        final double x;
        final double y;
        final double reach;
        final int every;

        Points(Field planned, int[] cells, int most) {
            every = Math.max(1, cells.length / most);
            int count = (cells.length + every - 1) / every;
            px = new double[count];
            py = new double[count];
            value = new double[planned.channels()][count];
            double sumX = 0;
            double sumY = 0;
            for (int i = 0; i < count; i++) {
                int cell = cells[i * every];
                px[i] = planned.grid.x(cell % planned.grid.columns());
                py[i] = planned.grid.y(cell / planned.grid.columns());
                sumX += px[i];
                sumY += py[i];
                for (int k = 0; k < value.length; k++) {
                    value[k][i] = planned.value[k][cell];
                }
            }
            x = sumX / count;
            y = sumY / count;
            double far = 0;
            for (int i = 0; i < count; i++) {
                far = Math.max(far, Math.hypot(px[i] - x, py[i] - y));
            }
            reach = Math.max(0.5, far);
        }
    }

    /** The likeliest of some turns and sizes close by, looked at more sharply: what lies in grain is easily a little off at first. */
    private Fit nudged(Points points, Fit fit) {
        Fit best = null;
        for (int turn = -3; turn <= 3; turn++) {
            for (int size = -1; size <= 1; size++) {
                Fit near = new Fit(fit.x(), fit.y(), fit.dx(), fit.dy(), fit.turn() + turn * NUDGE_MM / points.reach,
                        fit.size() * (1 + size * NUDGE_MM / points.reach), 0, fit.off());
                Fit told = alike(near, likeness(points, seen[1], near));
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

    /** Points in one turn and size, moved to many places; what is seen there is taken from the nearest cell, as blurred as it is. */
    private static final class Lattice {
        private final Points points;
        private final Field seen;
        private final double[] column;
        private final double[] row;
        private final int[] cell;

        Lattice(Points points, Field seen) {
            this.points = points;
            this.seen = seen;
            column = new double[points.px.length];
            row = new double[points.px.length];
            cell = new int[points.px.length];
        }

        void lay(Fit fit) {
            double[] right = new double[3];
            double[] down = new double[3];
            fit.into(right, down);
            Grid grid = seen.grid;
            for (int i = 0; i < cell.length; i++) {
                double px = points.px[i];
                double py = points.py[i];
                column[i] = (right[0] * px + right[1] * py + right[2] - grid.left()) / grid.cellMm();
                row[i] = (down[0] * px + down[1] * py + down[2] - grid.top()) / grid.cellMm();
            }
        }

        /** How alike it is to what is seen so many mm further to the right and down. */
        double likeness(double right, double down) {
            double columns = right / seen.grid.cellMm();
            double rows = down / seen.grid.cellMm();
            int count = 0;
            for (int i = 0; i < cell.length; i++) {
                cell[i] = seen.cell(column[i] + columns, row[i] + rows);
                count += cell[i] < 0 ? 0 : 1;
            }
            if (count < Math.max(1, LEAST_SEEN * cell.length)) {
                return -1;
            }
            Correlation all = new Correlation();
            for (int k = 0; k < points.value.length; k++) {
                float[] value = seen.value[k];
                double[] planned = points.value[k];
                double e = 0;
                double o = 0;
                double ee = 0;
                double oo = 0;
                double eo = 0;
                for (int i = 0; i < cell.length; i++) {
                    if (cell[i] >= 0) {
                        double there = value[cell[i]];
                        double wanted = planned[i];
                        e += wanted;
                        o += there;
                        ee += wanted * wanted;
                        oo += there * there;
                        eo += wanted * there;
                    }
                }
                all.add(count, e, o, ee, oo, eo);
            }
            return all.value();
        }
    }

    /** Of planned and seen values, over all channels together, each taken from its mean. */
    private static final class Correlation {
        private double common;
        private double planned;
        private double seen;

        /** One channel, by how many there are, their sums, the sums of their squares and of their products. */
        void add(double count, double e, double o, double ee, double oo, double eo) {
            common += eo - e * o / count;
            planned += ee - e * e / count;
            seen += oo - o * o / count;
        }

        double value() {
            return common / Math.sqrt(Math.max(1e-9, planned) * Math.max(1e-9, seen));
        }
    }

    private static Fit alike(Fit fit, double likeness) {
        return new Fit(fit.x(), fit.y(), fit.dx(), fit.dy(), fit.turn(), fit.size(), likeness, fit.off());
    }

    /** How alike what is seen is to some points where a fit puts them; enough of them must be seen. */
    private static double likeness(Points points, Field seen, Fit fit) {
        int channels = points.value.length;
        double[] at = new double[channels];
        double[] sumE = new double[channels];
        double[] sumO = new double[channels];
        double[] ee = new double[channels];
        double[] oo = new double[channels];
        double[] eo = new double[channels];
        int count = 0;
        double[] right = new double[3];
        double[] down = new double[3];
        fit.into(right, down);
        for (int i = 0; i < points.px.length; i++) {
            double px = points.px[i];
            double py = points.py[i];
            if (!seen.sample(right[0] * px + right[1] * py + right[2], down[0] * px + down[1] * py + down[2], at)) {
                continue;
            }
            count++;
            for (int k = 0; k < channels; k++) {
                double e = points.value[k][i];
                sumE[k] += e;
                sumO[k] += at[k];
                ee[k] += e * e;
                oo[k] += at[k] * at[k];
                eo[k] += e * at[k];
            }
        }
        if (count < Math.max(1, LEAST_SEEN * points.px.length)) {
            return -1;
        }
        Correlation all = new Correlation();
        for (int k = 0; k < channels; k++) {
            all.add(count, sumE[k], sumO[k], ee[k], oo[k], eo[k]);
        }
        return all.value();
    }

    /** Least squares about one place, in turns. */
    private static final class Refined {

        private final Points points;
        private final Field seen;
        private final Fit prior;
        private final double sharpness;
        private final int channels;
        private final int unknowns;
        private final double cut;
        private final double settled;
        private final boolean[] there;
        private final double[][] value;
        private final double[][] rest;
        private Fit fit;

        Refined(Points points, Field seen, Fit from, Fit prior, double sharpness) {
            this.points = points;
            this.seen = seen;
            this.fit = from;
            this.prior = prior.about(points.x, points.y);
            this.sharpness = sharpness;
            this.channels = points.value.length;
            this.unknowns = 4 + 4 * channels;
            boolean sharpest = sharpness == SHARPNESS[SHARPNESS.length - 1];
            this.cut = sharpest ? BIWEIGHT : WIDE * BIWEIGHT;
            this.settled = sharpest ? SETTLED_MM : SETTLED_NEARLY * sharpness;
            this.there = new boolean[points.px.length];
            this.value = new double[channels][points.px.length];
            this.rest = new double[channels][points.px.length];
        }

        Fit fit() {
            int n = points.px.length;
            double[] weight = new double[n];
            double[] noise = new double[channels];
            Arrays.fill(weight, 1);
            Arrays.fill(noise, 1);
            double[] off = fit.off();
            for (int turn = 0; turn < TURNS; turn++) {
                double[][] normal = new double[unknowns][unknowns + 1];
                double[] found = solve(normal, weight, noise, turn == 0);
                if (found == null) {
                    break;
                }
                move(found);
                double moved = Math.abs(found[0]) + Math.abs(found[1]) + points.reach * (Math.abs(found[2]) + Math.abs(found[3]));
                if (turn > 2 && moved < settled || turn == TURNS - 1) {
                    off = deviations(normal);
                    break;
                }
            }
            return new Fit(fit.x(), fit.y(), fit.dx(), fit.dy(), fit.turn(), fit.size(), likeness(points, seen, fit), off);
        }

        private void move(double[] by) {
            double size = Math.max(0.5, Math.min(2, fit.size() + by[3]));
            fit = new Fit(fit.x(), fit.y(), limit(fit.dx() + by[0], 15), limit(fit.dy() + by[1], 15), limit(fit.turn() + by[2], 0.7), size,
                    fit.likeness(), fit.off());
        }

        private static double limit(double value, double most) {
            return Math.max(-most, Math.min(most, value));
        }

        /** One turn of Gauss and Newton; also weighs the points and takes the noise anew. */
        private double[] solve(double[][] normal, double[] weight, double[] noise, boolean first) {
            int n = points.px.length;
            double[] move = new double[4];
            double[] look = new double[4];
            double[] at = new double[channels];
            double[] slopeX = new double[channels];
            double[] slopeY = new double[channels];
            double c = Math.cos(fit.turn());
            double s = Math.sin(fit.turn());
            double[] right = new double[3];
            double[] down = new double[3];
            fit.into(right, down);
            for (int pass = first ? 0 : 1; pass < 2; pass++) {
                for (double[] line : normal) {
                    Arrays.fill(line, 0);
                }
                int used = 0;
                for (int i = 0; i < n; i++) {
                    double x = points.px[i] - points.x;
                    double y = points.py[i] - points.y;
                    there[i] = seen.sample(right[0] * points.px[i] + right[1] * points.py[i] + right[2],
                            down[0] * points.px[i] + down[1] * points.py[i] + down[2], at, slopeX, slopeY);
                    if (!there[i]) {
                        continue;
                    }
                    used++;
                    double alongX = c * x - s * y;
                    double alongY = s * x + c * y;
                    for (int k = 0; k < channels; k++) {
                        value[k][i] = at[k];
                        if (weight[i] <= 0) {
                            continue;
                        }
                        move[0] = slopeX[k];
                        move[1] = slopeY[k];
                        move[2] = fit.size() * (-slopeX[k] * alongY + slopeY[k] * alongX);
                        move[3] = slopeX[k] * alongX + slopeY[k] * alongY;
                        look[0] = -points.value[k][i];
                        look[1] = -1;
                        look[2] = -x / points.reach;
                        look[3] = -y / points.reach;
                        add(normal, move, 4 + 4 * k, look, -at[k], weight[i] / (noise[k] * noise[k]));
                    }
                }
                if (used < 30) {
                    return null;
                }
                prior(normal);
                double[][] copy = new double[unknowns][];
                Arrays.setAll(copy, r -> normal[r].clone());
                double[] found = LinearSystem.solve(copy).orElse(null);
                if (found == null) {
                    return null;
                }
                rests(found);
                noises(noise);
                weigh(noise, weight);
                if (pass == 1) {
                    return found;
                }
            }
            return null;
        }

        /** A channel has a say in the move and in its own contrast and shade, so eight of its row's places are not zero. */
        private static void add(double[][] normal, double[] move, int own, double[] look, double right, double weight) {
            int end = normal.length;
            for (int a = 0; a < 4; a++) {
                double w = weight * move[a];
                double[] line = normal[a];
                for (int b = a; b < 4; b++) {
                    line[b] += w * move[b];
                }
                line[own] += w * look[0];
                line[own + 1] += w * look[1];
                line[own + 2] += w * look[2];
                line[own + 3] += w * look[3];
                line[end] += w * right;
                double v = weight * look[a];
                double[] ownLine = normal[own + a];
                for (int b = a; b < 4; b++) {
                    ownLine[own + b] += v * look[b];
                }
                ownLine[end] += v * right;
            }
        }

        /** What was thought before counts as much as the photo's independent parts do, so it is told in their measure. */
        private void prior(double[][] normal) {
            double[] width = {PRIOR[0], PRIOR[0], PRIOR[1], PRIOR[2]};
            double[] wanted = {prior.dx() - fit.dx(), prior.dy() - fit.dy(), prior.turn() - fit.turn(), prior.size() - fit.size()};
            double alike = alike();
            for (int a = 0; a < 4; a++) {
                double w = alike / (width[a] * width[a]);
                normal[a][a] += w;
                normal[a][unknowns] += w * wanted[a];
            }
            for (int k = 0; k < channels; k++) { // contrast near 1, shade near none: for channels in which nothing was planned to be seen
                normal[4 + 4 * k][4 + 4 * k] += 1e-3;
                normal[4 + 4 * k][unknowns] += 1e-3;
                for (int a = 5; a < 8; a++) {
                    normal[4 * k + a][4 * k + a] += 1e-6;
                }
            }
            for (int a = 0; a < unknowns; a++) {
                for (int b = 0; b < a; b++) {
                    normal[a][b] = normal[b][a];
                }
            }
        }

        private void rests(double[] found) {
            for (int i = 0; i < points.px.length; i++) {
                if (!there[i]) {
                    continue;
                }
                double x = (points.px[i] - points.x) / points.reach;
                double y = (points.py[i] - points.y) / points.reach;
                for (int k = 0; k < channels; k++) {
                    int own = 4 + 4 * k;
                    rest[k][i] = value[k][i] - found[own] * points.value[k][i] - found[own + 1] - found[own + 2] * x - found[own + 3] * y;
                }
            }
        }

        /** From the median of the differences at some of the points, which is 0.6745 deviations of a bell curve. */
        private void noises(double[] noise) {
            double[] sizes = new double[points.px.length];
            for (int k = 0; k < channels; k++) {
                int count = 0;
                for (int i = k; i < sizes.length; i += MEDIAN_OF) {
                    if (there[i]) {
                        sizes[count++] = Math.abs(rest[k][i]);
                    }
                }
                Arrays.sort(sizes, 0, count);
                noise[k] = count == 0 ? noise[k] : Math.max(0.25, sizes[count / 2] / 0.6745);
            }
        }

        private void weigh(double[] noise, double[] weight) {
            for (int i = 0; i < weight.length; i++) {
                double sum = 0;
                for (int k = 0; k < channels; k++) {
                    double off = rest[k][i] / noise[k];
                    sum += off * off;
                }
                double share = sum / channels / (cut * cut);
                weight[i] = there[i] && share < 1 ? (1 - share) * (1 - share) : 0;
            }
        }

        /** Cells that see the same: so many to one independent part of a picture of this sharpness. */
        private double alike() {
            double spacing = seen.grid.cellMm();
            double area = 4 * Math.PI * (sharpness * sharpness + 0.2 * 0.2);
            return Math.max(1, area / (spacing * spacing) / points.every);
        }

        /** From the inverse of the normal equations, by the part that moves; brightness and contrast are unknown beside it. */
        private double[] deviations(double[][] normal) {
            double[] off = new double[4];
            for (int a = 0; a < 4; a++) {
                double[][] one = new double[unknowns][];
                int which = a;
                Arrays.setAll(one, r -> {
                    double[] line = Arrays.copyOf(normal[r], unknowns + 1);
                    line[unknowns] = r == which ? 1 : 0;
                    return line;
                });
                double variance = LinearSystem.solve(one).map(v -> v[which]).orElse(Double.POSITIVE_INFINITY);
                off[a] = Math.sqrt(Math.max(0, variance) * alike());
            }
            return off;
        }
    }
}
