package mosspebble.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mosspebble.core.colour.Lab;
import mosspebble.core.proof.ProofFinding.Kind;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.DotBorder;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Coordinate;

/** The dots of a painted ring, counted along it, and its widest gap. */
final class DotsSeen {

    private static final double SHARP_MM = 0.3;
    private static final double STEP_MM = 0.15;

    /** A gap is wide from so many times the usual one (common practice, no source). */
    private static final double WIDE = 1.35;

    private static final double TOLD_APART = 14;

    private final Planned planned;
    private final Field seen;
    private final List<Laid> laid;

    DotsSeen(Planned planned, Field photo, List<Laid> laid) {
        this.planned = planned;
        this.seen = photo.blurred(SHARP_MM);
        this.laid = laid;
    }

    List<ProofFinding> findings() {
        List<ProofFinding> found = new ArrayList<>();
        for (int number = 0; number < planned.items.size(); number++) {
            int which = number;
            Item item = planned.items.get(number).item();
            if (item.subject() instanceof Subject.Dots dots
                    && (dots.series() == Subject.Series.EQUAL || dots.series() == Subject.Series.ALTERNATING)) {
                Fit fit = laid.stream().filter(l -> l.part() < 0 && l.item() == which && l.isFound()).findFirst().map(Laid::fit)
                        .orElse(Fit.none(0, 0));
                Designs.dots(item, dots, planned.plan.survey().zones()).ifPresent(b -> ring(item, b, fit, found));
            }
        }
        return found;
    }

    private void ring(Item item, DotBorder border, Fit fit, List<ProofFinding> found) {
        List<DotBorder.Dot> dots = border.dots();
        if (dots.size() < 3) {
            return;
        }
        List<Coordinate> walk = new ArrayList<>();
        for (int i = 0; i < dots.size(); i++) {
            Coordinate a = dots.get(i).centre();
            Coordinate b = dots.get((i + 1) % dots.size()).centre();
            int steps = Math.max(2, (int) Math.round(a.distance(b) / STEP_MM));
            for (int k = 0; k < steps; k++) {
                walk.add(new Coordinate(a.x + (b.x - a.x) * k / steps, a.y + (b.y - a.y) * k / steps));
            }
        }
        Optional<double[]> painted = share(walk, dots, fit);
        if (painted.isEmpty()) {
            return;
        }
        List<double[]> centres = centres(painted.get(), walk);
        Optional<String> id = Optional.of(item.id());
        if (centres.size() != dots.size()) {
            found.add(new ProofFinding(Kind.DOTS_COUNT, place(widest(centres), fit), id, Optional.empty(),
                    Facts.of("seen", centres.size()).and("planned", dots.size())));
        }
        if (centres.size() >= 3) {
            gap(centres, dots, fit, id, found);
        }
    }

    private void gap(List<double[]> centres, List<DotBorder.Dot> dots, Fit fit, Optional<String> id, List<ProofFinding> found) {
        double[] gaps = new double[centres.size()];
        for (int i = 0; i < gaps.length; i++) {
            double[] a = centres.get(i);
            double[] b = centres.get((i + 1) % gaps.length);
            gaps[i] = Math.hypot(a[0] - b[0], a[1] - b[1]) * fit.size();
        }
        double[] sorted = gaps.clone();
        Arrays.sort(sorted);
        double usual = sorted[sorted.length / 2];
        int widest = 0;
        for (int i = 1; i < gaps.length; i++) {
            widest = gaps[i] > gaps[widest] ? i : widest;
        }
        if (gaps[widest] > WIDE * usual && gaps[widest] > usual + 0.6) {
            double[] a = centres.get(widest);
            double[] b = centres.get((widest + 1) % gaps.length);
            found.add(new ProofFinding(Kind.DOTS_GAP, place(new double[] {(a[0] + b[0]) / 2, (a[1] + b[1]) / 2}, fit), id, Optional.empty(),
                    Facts.of("gap", gaps[widest]).and("usual", usual)));
        }
    }

    private static double[] widest(List<double[]> centres) {
        double most = -1;
        double[] at = {0, 0};
        for (int i = 0; i < centres.size(); i++) {
            double[] a = centres.get(i);
            double[] b = centres.get((i + 1) % centres.size());
            double gap = Math.hypot(a[0] - b[0], a[1] - b[1]);
            if (gap > most) {
                most = gap;
                at = new double[] {(a[0] + b[0]) / 2, (a[1] + b[1]) / 2};
            }
        }
        return at;
    }

    private static Optional<ProofFinding.Place> place(double[] at, Fit fit) {
        return Optional.of(new ProofFinding.Place(fit.toX(at[0], at[1]), fit.toY(at[0], at[1])));
    }

    /** Share of dot against ground along the walk; empty where the two cannot be told apart or too little is seen. */
    private Optional<double[]> share(List<Coordinate> walk, List<DotBorder.Dot> dots, Fit fit) {
        double[] share = new double[walk.size()];
        double[] at = new double[3];
        Lab[] dot = new Lab[walk.size()];
        int unseen = 0;
        Lab ground = ground(walk, dots);
        for (int i = 0; i < share.length; i++) {
            Coordinate c = walk.get(i);
            Lab nearest = colourOf(dots, c);
            dot[i] = nearest;
            double dl = nearest.l() - ground.l();
            double da = nearest.a() - ground.a();
            double db = nearest.b() - ground.b();
            double square = dl * dl + da * da + db * db;
            if (square < TOLD_APART * TOLD_APART) {
                return Optional.empty();
            }
            if (!seen.sample(fit.toX(c.x, c.y), fit.toY(c.x, c.y), at)) {
                unseen++;
                continue;
            }
            share[i] = ((at[0] - ground.l()) * dl + (at[1] - ground.a()) * da + (at[2] - ground.b()) * db) / square;
        }
        return unseen > 0 ? Optional.empty() : Optional.of(share);
    }

    /** What is planned between the dots: the median of the colours half way. */
    private Lab ground(List<Coordinate> walk, List<DotBorder.Dot> dots) {
        List<Lab> between = new ArrayList<>();
        for (int i = 0; i < dots.size(); i++) {
            Coordinate a = dots.get(i).centre();
            Coordinate b = dots.get((i + 1) % dots.size()).centre();
            double ra = dots.get(i).diameterMm() / 2;
            double rb = dots.get((i + 1) % dots.size()).diameterMm() / 2;
            double t = (ra + (a.distance(b) - ra - rb) / 2) / Math.max(1e-9, a.distance(b));
            between.add(planned.films.table().film(planned.films.at(a.x + t * (b.x - a.x), a.y + t * (b.y - a.y))).lab());
        }
        between.sort((p, q) -> Double.compare(p.l(), q.l()));
        return between.get(between.size() / 2);
    }

    private Lab colourOf(List<DotBorder.Dot> dots, Coordinate at) {
        DotBorder.Dot best = dots.get(0);
        for (DotBorder.Dot dot : dots) {
            best = dot.centre().distance(at) < best.centre().distance(at) ? dot : best;
        }
        return planned.films.table().film(planned.films.at(best.centre().x, best.centre().y)).lab();
    }

    /** Middles of the stretches of paint round the walk; a stretch begins above 0.6 and ends below 0.4. */
    private static List<double[]> centres(double[] share, List<Coordinate> walk) {
        int n = share.length;
        int start = 0;
        while (start < n && share[start] >= 0.4) {
            start++;
        }
        List<double[]> found = new ArrayList<>();
        if (start == n) {
            return found;
        }
        double x = 0;
        double y = 0;
        double sum = 0;
        boolean on = false;
        for (int k = 0; k <= n; k++) {
            int i = (start + k) % n;
            if (!on && share[i] > 0.6) {
                on = true;
                x = 0;
                y = 0;
                sum = 0;
            }
            if (on && share[i] < 0.4) {
                on = false;
                if (sum * STEP_MM > 0.4) {
                    found.add(new double[] {x / sum, y / sum});
                }
            }
            if (on) {
                double w = Math.max(0, Math.min(1, share[i]));
                x += w * walk.get(i).x;
                y += w * walk.get(i).y;
                sum += w;
            }
        }
        return found;
    }
}
