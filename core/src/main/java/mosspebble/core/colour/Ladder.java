package mosspebble.core.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Steps from one mix to another in even steps of what the eye sees: tints toward a white, shades toward a dark, the mixed steps of a
 * gradient.
 */
public final class Ladder {

    /** Parts in which a step may be counted out. */
    private static final int FINEST = 12;

    /** Looked at on the way from one colour to the other. */
    private static final int SAMPLES = 200;

    private Ladder() {}

    /** One rung: so many parts of the first to so many of the second; 1 : 0 and 0 : 1 at the ends. */
    public record Rung(int first, int second, Palette.Colour colour) {

        /** "3 : 1", or a word at the ends. */
        public String ratio() {
            return second == 0 ? "pure" : first == 0 ? "other" : first + " : " + second;
        }
    }

    /**
     * @param steps rungs, both ends counted, 2 to 24
     * @return at most so many: two rungs that would have the same ratio stand once
     * @throws IllegalArgumentException if a mix has a paint that is not on the shelf, or both together hold too many paints
     */
    public static List<Rung> between(Mix from, Mix to, int steps, Palette palette) {
        if (steps < 2 || steps > 24) {
            throw new IllegalArgumentException("a ladder has 2 to 24 rungs, was " + steps);
        }
        Palette.Colour first = palette.colour(from)
                .orElseThrow(() -> new IllegalArgumentException(palette.shelf().words(from) + " cannot be mixed from the shelf"));
        Palette.Colour last = palette.colour(to)
                .orElseThrow(() -> new IllegalArgumentException(palette.shelf().words(to) + " cannot be mixed from the shelf"));
        double[] walked = walked(first, last);
        List<Rung> rungs = new ArrayList<>();
        rungs.add(new Rung(1, 0, first));
        int[] before = {1, 0};
        for (int i = 1; i < steps - 1; i++) {
            int[] ratio = nearest(share(walked, (double) i / (steps - 1)));
            if ((long) ratio[0] * before[1] != (long) ratio[1] * before[0]) {
                Palette.Colour colour = palette.colour(from.with(ratio[0], to, ratio[1])).orElseThrow();
                rungs.add(new Rung(ratio[0], ratio[1], colour));
                before = ratio;
            }
        }
        rungs.add(new Rung(0, 1, last));
        return List.copyOf(rungs);
    }

    /** Rungs needed so that no two neighbours differ by more than a difference (CIEDE2000), both ends counted, at most {@code most}. */
    public static int rungsFor(Palette.Colour from, Palette.Colour to, double difference, int most) {
        double[] walked = walked(from, to);
        return Math.max(2, Math.min(most, 1 + (int) Math.ceil(walked[SAMPLES] / difference)));
    }

    /** Parts of a white or a dark, or of nothing if there is none: the lightest, or darkest, paint that mixes. */
    public static Optional<Paint> end(Palette palette, boolean white) {
        return palette.shelf().paints().stream().filter(p -> p.kind().does(PaintKind.Use.FILLS))
                .min((p, q) -> Double.compare(Lab.of(q.swatch()).l(), Lab.of(p.swatch()).l()) * (white ? 1 : -1));
    }

    /** Difference walked so far when the second has a share i / SAMPLES of the wet volume. */
    private static double[] walked(Palette.Colour first, Palette.Colour last) {
        double[] walked = new double[SAMPLES + 1];
        Lab before = first.lab();
        for (int i = 1; i <= SAMPLES; i++) {
            Lab now = i == SAMPLES ? last.lab() : first.into(last, (double) i / SAMPLES).lab();
            walked[i] = walked[i - 1] + before.differenceTo(now);
            before = now;
        }
        return walked;
    }

    private static double share(double[] walked, double part) {
        double wanted = part * walked[SAMPLES];
        int i = 1;
        while (i < SAMPLES && walked[i] < wanted) {
            i++;
        }
        double step = walked[i] - walked[i - 1];
        return (i - 1 + (step > 0 ? (wanted - walked[i - 1]) / step : 0)) / SAMPLES;
    }

    /** The ratio in at most {@link #FINEST} parts whose second share is nearest; lopsided ones where the share asks for it. */
    private static int[] nearest(double share) {
        int[] best = {1, 1};
        double least = Double.POSITIVE_INFINITY;
        for (int total = 2; total <= FINEST; total++) {
            int second = (int) Math.max(1, Math.min(total - 1, Math.round(share * total)));
            double miss = Math.abs((double) second / total - share);
            if (miss < least - 1e-9) {
                least = miss;
                best = new int[] {total - second, second};
            }
        }
        if (share < 0.5 / FINEST || share > 1 - 0.5 / FINEST) {
            int many = (int) Math.max(FINEST, Math.min(60, Math.round(1 / Math.max(1e-3, Math.min(share, 1 - share)))));
            best = share < 0.5 ? new int[] {many - 1, 1} : new int[] {1, many - 1};
        }
        return best;
    }
}
