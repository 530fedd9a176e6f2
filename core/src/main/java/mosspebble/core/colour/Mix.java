package mosspebble.core.colour;

import java.util.List;

/** A recipe by parts: one to three paints, small whole parts. */
public record Mix(List<Part> parts) {

    /** So many parts of one paint. */
    public record Part(String paint, int parts) {
        public Part {
            if (parts < 1 || parts > 24) {
                throw new IllegalArgumentException("parts must be 1 to 24, was " + parts + " of " + paint);
            }
        }
    }

    public Mix {
        parts = List.copyOf(parts);
        if (parts.isEmpty() || parts.size() > 3) {
            throw new IllegalArgumentException("a mix has one to three paints, had " + parts.size());
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
}
