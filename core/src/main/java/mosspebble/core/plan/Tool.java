package mosspebble.core.plan;

/**
 * A brush, pen or end to paint with.
 *
 * @param mm nib of a pen, dot of a dotting end; 0 for brushes
 */
public record Tool(Kind kind, double mm) {

    /** The kinds. */
    public enum Kind {
        LARGE_FLAT, MEDIUM_ROUND, SMALL_ROUND, FINE_ROUND, LINER, PEN, DOT_END, SPONGE, DRY_BRUSH, APPLICATOR, LEAF_BRUSH, TWEEZERS, KNIFE,
        SPRAY
    }

    /** Whether the hand goes along the edge of what it fills. */
    boolean followsEdges() {
        return kind.ordinal() < Kind.DOT_END.ordinal();
    }

    static Tool brush(Kind kind) {
        return new Tool(kind, 0);
    }
}
