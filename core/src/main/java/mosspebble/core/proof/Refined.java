package mosspebble.core.proof;

import java.util.Arrays;
import mosspebble.core.units.LinearSystem;

/**
 * Least squares about one place, in turns (Gauss and Newton): how some points are moved, turned and sized, and the contrast, brightness and
 * even shade of every channel, which what is seen may have of its own.
 */
final class Refined {

    /** What is thought of where a thing may lie before the photo is seen: mm, radians, times. */
    private static final double[] PRIOR = {4, Math.toRadians(8), 0.12};
    private static final int TURNS = 25;
    private static final int MEDIAN_OF = 4;

    /** Beyond so many times its usual size a difference does not count (Tukey's constant for 95 % efficiency). */
    private static final double BIWEIGHT = 4.685;

    /** As long as things are far from where they lie, most differences are theirs. */
    private static final double WIDE = 3;

    /** What moves by less in a turn lies where it is, mm; where it is looked for more sharply afterwards, so much of the sharpness. */
    private static final double SETTLED_MM = 0.004;
    private static final double SETTLED_NEARLY = 0.05;

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
        boolean sharpest = sharpness == Alignment.SHARPNESS[Alignment.SHARPNESS.length - 1];
        this.cut = sharpest ? BIWEIGHT : WIDE * BIWEIGHT;
        this.settled = sharpest ? SETTLED_MM : SETTLED_NEARLY * sharpness;
        this.there = new boolean[points.px.length];
        this.value = new double[channels][points.px.length];
        this.rest = new double[channels][points.px.length];
    }

    /** Where it lies, with how sure that is. */
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
        return new Fit(fit.x(), fit.y(), fit.dx(), fit.dy(), fit.turn(), fit.size(), points.likeness(seen, fit), off);
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
