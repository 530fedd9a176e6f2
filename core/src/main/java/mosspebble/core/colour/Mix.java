package mosspebble.core.colour;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** A recipe by parts: one to three paints in small whole parts as a painter mixes them; more only where two mixes run into each other. */
public record Mix(List<Part> parts) {

    /** Most paints in one mix. */
    public static final int MOST_PAINTS = 6;

    /** Most parts of one paint. */
    public static final int MOST_PARTS = 600;

    /** Most parts that a hand measures out (common practice, no source). */
    public static final int MEASURED_PARTS = 12;

    /** Shares so near are one. */
    private static final double NEAR_SHARE = 0.02;

    /** So many parts of one paint. */
    public record Part(String paint, int parts) {
        public Part {
            Objects.requireNonNull(paint);
            if (parts < 1 || parts > MOST_PARTS) {
                throw new IllegalArgumentException("parts must be 1 to " + MOST_PARTS + ", was " + parts + " of " + paint);
            }
        }
    }

    public Mix {
        parts = List.copyOf(parts);
        if (parts.isEmpty() || parts.size() > MOST_PAINTS) {
            throw new IllegalArgumentException("a mix has one to " + MOST_PAINTS + " paints, had " + parts.size());
        }
        if (parts.stream().map(Part::paint).distinct().count() < parts.size()) {
            throw new IllegalArgumentException("a paint stands twice in the mix; add its parts together");
        }
    }

    public static Mix of(String paint) {
        return new Mix(List.of(new Part(paint, 1)));
    }

    public boolean isSingle() {
        return parts.size() == 1;
    }

    public int totalParts() {
        return parts.stream().mapToInt(Part::parts).sum();
    }

    /**
     * Two mixes stirred together.
     *
     * @param own parts of this mix, 1 or more
     * @param others parts of the other, 1 or more
     * @throws IllegalArgumentException if together they hold more than {@link #MOST_PAINTS} paints or ask for more than {@link #MOST_PARTS}
     * parts
     */
    public Mix with(int own, Mix other, int others) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        parts.forEach(p -> counts.merge(p.paint, p.parts * own * other.totalParts(), Integer::sum));
        other.parts.forEach(p -> counts.merge(p.paint, p.parts * others * totalParts(), Integer::sum));
        int common = counts.values().stream().reduce(0, Mix::gcd);
        return new Mix(counts.entrySet().stream().map(e -> new Part(e.getKey(), e.getValue() / common)).toList());
    }

    /** The one paint by which this is more than another mix of two paints or more, all else in that one's shares; empty if it is not. */
    public Optional<Part> touchOver(Mix base) {
        if (base.isSingle() || parts.size() != base.parts.size() + 1) {
            return Optional.empty();
        }
        Map<String, Integer> counts = new LinkedHashMap<>();
        base.parts.forEach(p -> counts.put(p.paint, p.parts));
        List<Part> more = parts.stream().filter(p -> !counts.containsKey(p.paint)).toList();
        if (more.size() != 1) {
            return Optional.empty();
        }
        int rest = totalParts() - more.get(0).parts;
        boolean alike = parts.stream().filter(p -> counts.containsKey(p.paint))
                .allMatch(p -> p.parts * base.totalParts() == counts.get(p.paint) * rest);
        return alike ? Optional.of(more.get(0)) : Optional.empty();
    }

    /**
     * The mix that a hand can measure and that comes nearest: in the fewest whole parts whose shares are within 2 % of these, or the
     * nearest in as many as allowed. A paint of which not even half a part is left falls away.
     *
     * @param most parts in all, 1 or more
     */
    public Mix inAtMost(int most) {
        int common = parts.stream().map(Part::parts).reduce(0, Mix::gcd);
        if (totalParts() / common <= most) {
            return new Mix(parts.stream().map(p -> new Part(p.paint, p.parts / common)).toList());
        }
        int[] best = null;
        double least = Double.POSITIVE_INFINITY;
        for (int total = 1; total <= most && least > NEAR_SHARE; total++) {
            int[] rounded = rounded(total);
            double worst = 0;
            for (int i = 0; i < rounded.length; i++) {
                worst = Math.max(worst, Math.abs((double) rounded[i] / total - (double) parts.get(i).parts / totalParts()));
            }
            if (worst < least - 1e-12) {
                least = worst;
                best = rounded;
            }
        }
        List<Part> kept = new ArrayList<>();
        for (int i = 0; i < best.length; i++) {
            if (best[i] > 0) {
                kept.add(new Part(parts.get(i).paint, best[i]));
            }
        }
        return new Mix(kept);
    }

    /** Parts of each paint by the largest remainders. */
    private int[] rounded(int total) {
        int[] whole = new int[parts.size()];
        double[] left = new double[parts.size()];
        int given = 0;
        for (int i = 0; i < whole.length; i++) {
            double exact = (double) total * parts.get(i).parts / totalParts();
            whole[i] = (int) Math.floor(exact + 1e-9);
            left[i] = exact - whole[i];
            given += whole[i];
        }
        for (; given < total; given++) {
            int next = 0;
            for (int i = 1; i < left.length; i++) {
                next = left[i] > left[next] + 1e-12 ? i : next;
            }
            whole[next]++;
            left[next] = -1;
        }
        return whole;
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }
}
