package mosspebble.core.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Finds the mix in small whole parts whose thick dry film comes nearest to a wanted colour: every mix of one to three mixable paints up to a number of parts is tried, so
 * the answer is the exact best. Cost grows with paints cubed times parts squared.
 */
public final class RecipeSearch {

    /** A recipe with its dry look and its CIEDE2000 difference from the wanted colour. */
    public record Recipe(Mix mix, Lab dry, double difference) {}

    private static final double SAME = 1e-9;

    private RecipeSearch() {}

    /**
     * @param mostParts largest sum of parts, 1 to 24
     * @param mostPaints 1 to 3
     * @return the nearest recipe, the simplest of equals; empty if the shelf has nothing to mix
     */
    public static Optional<Recipe> nearest(Lab wanted, Palette palette, int mostParts, int mostPaints) {
        List<Paint> paints = palette.shelf().paints().stream().filter(p -> p.kind().mixable()).toList();
        double[][] k = new double[paints.size()][Spectrum.BANDS];
        double[][] s = new double[paints.size()][Spectrum.BANDS];
        for (int p = 0; p < paints.size(); p++) {
            PaintOptics optics = palette.optics(paints.get(p).id()).orElseThrow();
            for (int i = 0; i < Spectrum.BANDS; i++) {
                k[p][i] = optics.k(i) * paints.get(p).solids();
                s[p][i] = optics.s(i) * paints.get(p).solids();
            }
        }
        Best best = new Best(wanted, k, s);
        int n = paints.size();
        for (int a = 0; a < n; a++) {
            best.offer(a, 1, -1, 0, -1, 0);
        }
        for (int total = 2; total <= mostParts && mostPaints > 1; total++) {
            for (int a = 0; a < n; a++) {
                for (int b = a + 1; b < n; b++) {
                    for (int pa = 1; pa < total; pa++) {
                        if (gcd(pa, total - pa) == 1) {
                            best.offer(a, pa, b, total - pa, -1, 0);
                        }
                        for (int c = b + 1; c < n && mostPaints > 2; c++) {
                            for (int pb = 1; pb < total - pa; pb++) {
                                if (gcd(gcd(pa, pb), total - pa - pb) == 1) {
                                    best.offer(a, pa, b, pb, c, total - pa - pb);
                                }
                            }
                        }
                    }
                }
            }
        }
        return best.answer(paints);
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    private static final class Best {
        private final Lab wanted;
        private final double[][] k;
        private final double[][] s;
        private double difference = Double.POSITIVE_INFINITY;
        private Lab dry;
        private int[] recipe;

        Best(Lab wanted, double[][] k, double[][] s) {
            this.wanted = wanted;
            this.k = k;
            this.s = s;
        }

        void offer(int a, int pa, int b, int pb, int c, int pc) {
            double x = 0;
            double y = 0;
            double z = 0;
            for (int i = 0; i < Spectrum.BANDS; i++) {
                double kk = pa * k[a][i];
                double ss = pa * s[a][i];
                if (b >= 0) {
                    kk += pb * k[b][i];
                    ss += pb * s[b][i];
                }
                if (c >= 0) {
                    kk += pc * k[c][i];
                    ss += pc * s[c][i];
                }
                double r = KubelkaMunk.infinite(kk / ss);
                x += Observer.WEIGHTS[0][i] * r;
                y += Observer.WEIGHTS[1][i] * r;
                z += Observer.WEIGHTS[2][i] * r;
            }
            Lab lab = Lab.of(new Xyz(x, y, z));
            double found = lab.differenceTo(wanted);
            if (found < difference - SAME) {
                difference = found;
                dry = lab;
                recipe = new int[] {a, pa, b, pb, c, pc};
            }
        }

        Optional<Recipe> answer(List<Paint> paints) {
            if (recipe == null) {
                return Optional.empty();
            }
            List<Mix.Part> parts = new ArrayList<>();
            for (int i = 0; i < 6; i += 2) {
                if (recipe[i] >= 0) {
                    parts.add(new Mix.Part(paints.get(recipe[i]).id(), recipe[i + 1]));
                }
            }
            parts.sort((p, q) -> q.parts() - p.parts());
            return Optional.of(new Recipe(new Mix(parts), dry, difference));
        }
    }
}
