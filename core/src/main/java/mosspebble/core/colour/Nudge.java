package mosspebble.core.colour;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Moves a mix lighter, darker, warmer, cooler, brighter or duller by parts: of all single changes the one that goes farthest that way for
 * what it goes astray.
 */
public final class Nudge {

    /** A way to move a colour. */
    public enum Toward {
        LIGHTER, DARKER, WARMER, COOLER, BRIGHTER, DULLER;

        double along(Lab from, Lab to) {
            return switch (this) {
                case LIGHTER -> to.l() - from.l();
                case DARKER -> from.l() - to.l();
                case WARMER -> Warmth.of(to) - Warmth.of(from);
                case COOLER -> Warmth.of(from) - Warmth.of(to);
                case BRIGHTER -> to.chroma() - from.chroma();
                case DULLER -> from.chroma() - to.chroma();
            };
        }
    }

    /** A change of a mix and what it does. */
    public record Move(Mix mix, String words, double along, double difference) {}

    private static final double LEAST = 0.8;

    /** A step goes about this far, CIEDE2000; more is too much at once. */
    private static final double WANTED = 4;

    private static final int MOST_PARTS = 24;

    private Nudge() {}

    /** The best single change; empty if nothing on the shelf moves it that way. */
    public static Optional<Move> of(Mix mix, Toward toward, Palette palette) {
        Optional<Palette.Colour> now = palette.colour(mix);
        if (now.isEmpty()) {
            return Optional.empty();
        }
        Lab from = now.get().lab();
        Move best = null;
        double bestScore = Double.NEGATIVE_INFINITY;
        for (Move each : changes(mix, from, toward, palette)) {
            double astray = Math.sqrt(
                    Math.max(0, each.difference * each.difference - Math.min(each.along * each.along, each.difference * each.difference)));
            double score = Math.min(each.along, WANTED) - 0.6 * astray - 0.3 * Math.max(0, each.along - WANTED);
            if (each.along >= LEAST && score > bestScore) {
                bestScore = score;
                best = each;
            }
        }
        return Optional.ofNullable(best);
    }

    private static List<Move> changes(Mix mix, Lab from, Toward toward, Palette palette) {
        List<Move> moves = new ArrayList<>();
        int finest = Math.max(1, Math.min(4, 12 / mix.totalParts()));
        for (Paint paint : palette.shelf().paints()) {
            boolean there = mix.parts().stream().anyMatch(p -> p.paint().equals(paint.id()));
            boolean mixes = paint.kind().mixable()
                    && mix.parts().stream().allMatch(p -> palette.shelf().find(p.paint()).filter(q -> q.kind().mixable()).isPresent());
            if (!mixes || !there && mix.parts().size() == 3) {
                continue;
            }
            for (int scale = 1; scale <= finest; scale++) {
                for (int by : new int[] {-1, 1}) {
                    Map<String, Integer> counts = new LinkedHashMap<>();
                    for (Mix.Part part : mix.parts()) {
                        counts.put(part.paint(), part.parts() * scale);
                    }
                    counts.merge(paint.id(), by, Integer::sum);
                    counts.values().removeIf(n -> n <= 0);
                    int total = counts.values().stream().mapToInt(Integer::intValue).sum();
                    if (!counts.isEmpty() && total <= MOST_PARTS && (by > 0 || there)) {
                        Mix changed = new Mix(counts.entrySet().stream().map(e -> new Mix.Part(e.getKey(), e.getValue())).toList());
                        Lab to = palette.colour(changed).orElseThrow().lab();
                        String words = (by > 0 ? "one part more " : "one part less ") + paint.name()
                                + (scale > 1 ? ", the rest times " + scale : "");
                        moves.add(new Move(changed, words, toward.along(from, to), from.differenceTo(to)));
                    }
                }
            }
        }
        return moves;
    }
}
