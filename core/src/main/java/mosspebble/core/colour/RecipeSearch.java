package mosspebble.core.colour;

import mosspebble.core.units.Parallel;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.stream.IntStream;

/**
 * Finds the mixes in small whole parts whose thick dry film comes nearest to a wanted colour: every mix of one to three mixable paints up
 * to a number of parts is tried, so the answer is the exact best; of a shelf of more than {@value #MANY} such paints three are only tried
 * of those that alone or by twos come nearest. All ratios of one choice of paints are worked out side by side, band by band; a ratio whose
 * lightness alone puts it out of reach is not compared further: with unit weights CIEDE2000 is never below {@code |dL| / S_L}, and
 * {@code S_L} never above 1.75.
 */
public final class RecipeSearch {

    /** A recipe with its dry look and its CIEDE2000 difference from the wanted colour. */
    public record Recipe(Mix mix, Lab dry, double difference) {}

    /** Most parts of a recipe in which parts are still counted out by drops. */
    public static final int MOST_PARTS = 12;

    /** Of so many paints all choices of three are tried. */
    static final int MANY = 32;

    private static final double GREATEST_SL = 1.75;

    /** What a simpler recipe may be worse and still go before: per paint and per part. */
    private static final double PER_PAINT = 1e-7;

    private static final double PER_PART = 1e-9;

    private static final Comparator<Found> ORDER = Comparator.comparingDouble(Found::rank).thenComparingInt(Found::a)
            .thenComparingInt(Found::b).thenComparingInt(Found::c).thenComparingInt(Found::ratio);

    private record Found(int a, int b, int c, int ratio, Lab dry, double difference, double rank) {}

    /** Parts of one, two or three paints without a common divisor, as columns. */
    private record Ratios(double[] a, double[] b, double[] c) {

        static Ratios of(int paints, int most) {
            List<int[]> found = new ArrayList<>();
            if (paints == 1) {
                found.add(new int[] {1, 0, 0});
            }
            for (int total = 2; total <= most && paints > 1; total++) {
                for (int a = 1; a < total; a++) {
                    for (int b = paints == 2 ? total - a : 1; b <= total - a - (paints == 3 ? 1 : 0); b++) {
                        if (gcd(gcd(a, b), total - a - b) == 1) {
                            found.add(new int[] {a, b, total - a - b});
                        }
                    }
                }
            }
            return new Ratios(column(found, 0), column(found, 1), column(found, 2));
        }

        private static double[] column(List<int[]> rows, int index) {
            return rows.stream().mapToDouble(r -> r[index]).toArray();
        }

        private static int gcd(int a, int b) {
            return b == 0 ? a : gcd(b, a % b);
        }

        int size() {
            return a.length;
        }

        int parts(int ratio) {
            return (int) (a[ratio] + b[ratio] + c[ratio]);
        }
    }

    /** Below so much light a difference counts no more for being a larger share of it; the perfect white is 1. */
    private static final double DIM = 0.04;

    private final Lab wanted;
    private final Xyz target;
    private final List<Paint> paints;
    private final double[][] k;
    private final double[] s;
    private final int count;

    private RecipeSearch(Lab wanted, Palette palette, int count) {
        this.wanted = wanted;
        this.target = wanted.toXyz();
        this.count = count;
        this.paints = palette.shelf().paints().stream().filter(p -> p.kind().mixable() && p.kind().does(PaintKind.Use.FILLS)).toList();
        this.k = new double[paints.size()][Spectrum.BANDS];
        this.s = new double[paints.size()];
        for (int p = 0; p < s.length; p++) {
            PaintOptics optics = palette.optics(paints.get(p).id()).orElseThrow();
            double solids = paints.get(p).solids();
            s[p] = optics.s() * solids;
            for (int i = 0; i < Spectrum.BANDS; i++) {
                k[p][i] = optics.k(i) * solids;
            }
        }
    }

    /**
     * @param mostParts largest sum of parts, 1 to 24
     * @param mostPaints 1 to 3
     * @return the nearest recipe, the simplest of equals; empty if the shelf has nothing to mix
     */
    public static Optional<Recipe> nearest(Lab wanted, Palette palette, int mostParts, int mostPaints) {
        return best(wanted, palette, mostParts, mostPaints, 1).stream().findFirst();
    }

    /**
     * @param mostParts largest sum of parts, 1 to 24
     * @param mostPaints 1 to 3
     * @param count how many, 1 to 100
     * @return the nearest recipes, the nearest first; fewer if there are no more
     */
    public static List<Recipe> best(Lab wanted, Palette palette, int mostParts, int mostPaints, int count) {
        return new RecipeSearch(wanted, palette, count).run(mostParts, mostPaints, -1);
    }

    /**
     * As {@link #nearest}, among mixes that hold one certain paint.
     *
     * @param paint id; the answer is empty if it is not on the shelf or does not mix
     */
    public static Optional<Recipe> nearestWith(String paint, Lab wanted, Palette palette, int mostParts, int mostPaints) {
        RecipeSearch search = new RecipeSearch(wanted, palette, 1);
        int index = search.paints.stream().map(Paint::id).toList().indexOf(paint);
        return index < 0 ? Optional.empty() : search.run(mostParts, mostPaints, index).stream().findFirst();
    }

    private List<Recipe> run(int mostParts, int mostPaints, int holding) {
        Ratios[] ratios = {Ratios.of(1, 1), Ratios.of(2, mostParts), Ratios.of(3, mostParts)};
        int n = s.length;
        Nearest few = new Nearest();
        double[] apart = new double[n]; // how near each comes alone or with one other
        Arrays.fill(apart, Double.POSITIVE_INFINITY);
        for (int a = 0; a < n; a++) {
            apart[a] = Math.min(apart[a], few.offer(ratios[0], a, -1, -1, holding));
            for (int b = a + 1; b < n && mostPaints > 1; b++) {
                double both = few.offer(ratios[1], a, b, -1, holding);
                apart[a] = Math.min(apart[a], both);
                apart[b] = Math.min(apart[b], both);
            }
        }
        if (mostPaints > 2 && n > 2) {
            int[] some = IntStream.range(0, n).boxed().sorted(Comparator.comparingDouble(p -> p == holding ? -1 : apart[p])).limit(MANY)
                    .mapToInt(p -> p).sorted().toArray();
            List<Nearest> shares = Parallel.range(0, some.length - 2).mapToObj(a -> {
                Nearest own = new Nearest();
                own.limit = few.limit;
                for (int b = a + 1; b < some.length; b++) {
                    for (int c = b + 1; c < some.length; c++) {
                        own.offer(ratios[2], some[a], some[b], some[c], holding);
                    }
                }
                return own;
            }).toList();
            shares.forEach(share -> share.kept.forEach(few::keep));
        }
        return few.kept.stream().sorted(ORDER).map(found -> recipe(found, ratios)).toList();
    }

    private Recipe recipe(Found found, Ratios[] ratios) {
        int[] which = {found.a, found.b, found.c};
        int size = found.c >= 0 ? 3 : found.b >= 0 ? 2 : 1;
        double[][] columns = {ratios[size - 1].a, ratios[size - 1].b, ratios[size - 1].c};
        List<Mix.Part> parts = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            parts.add(new Mix.Part(paints.get(which[i]).id(), (int) columns[i][found.ratio]));
        }
        parts.sort((p, q) -> q.parts() - p.parts());
        return new Recipe(new Mix(parts), found.dry, found.difference);
    }

    /** The nearest so far of one share of the work. */
    private final class Nearest {
        private final PriorityQueue<Found> kept = new PriorityQueue<>(ORDER.reversed());
        private double limit = Double.POSITIVE_INFINITY;
        private double[] scale = new double[0];
        private double[] x;
        private double[] y;
        private double[] z;

        /** @return roughly how near the nearest ratio comes, to compare with others; infinite if it does not hold what it should */
        double offer(Ratios ratios, int a, int b, int c, int holding) {
            if (holding >= 0 && a != holding && b != holding && c != holding) {
                return Double.POSITIVE_INFINITY;
            }
            look(ratios, a, b < 0 ? a : b, c < 0 ? a : c);
            double low = luminance(wanted.l() - GREATEST_SL * limit);
            double high = luminance(wanted.l() + GREATEST_SL * limit);
            int size = c >= 0 ? 3 : b >= 0 ? 2 : 1;
            for (int j = 0; j < ratios.size(); j++) {
                if (y[j] >= low && y[j] <= high) {
                    Lab dry = Lab.of(new Xyz(x[j], y[j], z[j]));
                    double difference = dry.differenceTo(wanted);
                    if (difference <= limit) {
                        keep(new Found(a, b, c, j, dry, difference, difference + size * PER_PAINT + ratios.parts(j) * PER_PART));
                        low = luminance(wanted.l() - GREATEST_SL * limit);
                        high = luminance(wanted.l() + GREATEST_SL * limit);
                    }
                }
            }
            return s.length > MANY && c < 0 ? apart(ratios.size()) : 0;
        }

        /** The least distance of what was looked at last, each of X, Y and Z by its own share; without roots, as it is asked often. */
        private double apart(int ratios) {
            double least = Double.POSITIVE_INFINITY;
            for (int j = 0; j < ratios; j++) {
                double dx = (x[j] - target.x()) / (target.x() + DIM);
                double dy = (y[j] - target.y()) / (target.y() + DIM);
                double dz = (z[j] - target.z()) / (target.z() + DIM);
                least = Math.min(least, dx * dx + dy * dy + dz * dz);
            }
            return least;
        }

        void keep(Found found) {
            kept.add(found);
            if (kept.size() > count) {
                kept.poll();
            }
            if (kept.size() == count) {
                limit = Math.min(limit, kept.peek().difference + 3 * PER_PAINT);
            }
        }

        /** X, Y and Z of all ratios of three paints. */
        private void look(Ratios ratios, int a, int b, int c) {
            int n = ratios.size();
            if (scale.length != n) {
                scale = new double[n];
                x = new double[n];
                y = new double[n];
                z = new double[n];
            }
            for (int j = 0; j < n; j++) {
                scale[j] = 1 / (ratios.a[j] * s[a] + ratios.b[j] * s[b] + ratios.c[j] * s[c]);
                x[j] = 0;
                y[j] = 0;
                z[j] = 0;
            }
            for (int i = 0; i < Spectrum.BANDS; i++) {
                band(n, ratios, k[a][i], k[b][i], k[c][i], Observer.WEIGHTS[0][i], Observer.WEIGHTS[1][i], Observer.WEIGHTS[2][i]);
            }
        }

        private void band(int n, Ratios ratios, double ka, double kb, double kc, double wx, double wy, double wz) {
            double[] pa = ratios.a;
            double[] pb = ratios.b;
            double[] pc = ratios.c;
            double[] by = scale;
            double[] xs = x;
            double[] ys = y;
            double[] zs = z;
            for (int j = 0; j < n; j++) {
                double q = (pa[j] * ka + pb[j] * kb + pc[j] * kc) * by[j];
                double r = 1 / (1 + q + Math.sqrt(q * (q + 2)));
                xs[j] += wx * r;
                ys[j] += wy * r;
                zs[j] += wz * r;
            }
        }
    }

    /** Y of a lightness; below black and beyond white as far as need be. */
    private static double luminance(double l) {
        return l == Double.POSITIVE_INFINITY ? l : l <= 0 ? Double.NEGATIVE_INFINITY : new Lab(l, 0, 0).toXyz().y();
    }
}
