package mosspebble.core.colour;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Objects;
import java.util.Map;

/** A recipe by parts: one to three paints in small whole parts as a painter mixes them; more only where two mixes run into each other. */
public record Mix(List<Part> parts) {

    /** Most paints in one mix. */
    public static final int MOST_PAINTS = 6;

    /** Most parts of one paint. */
    public static final int MOST_PARTS = 600;

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

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }
}
