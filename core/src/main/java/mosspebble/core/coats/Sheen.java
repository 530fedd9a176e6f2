package mosspebble.core.coats;

import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;

/** How the surface of a coat plays with light. */
public enum Sheen {
    MATT, SATIN, GLOSS, METAL, GLITTER, SHIFT, CRACKLE, CHROME, LEAF, GEM, RAISED;

    /** What a paint's coat has. */
    public static Sheen of(Paint paint) {
        return switch (paint.kind()) {
            case METALLIC -> METAL;
            case GLITTER, MICA -> GLITTER;
            case COLOUR_SHIFT, FLAKES -> SHIFT;
            case POWDER -> CHROME;
            case LEAF -> LEAF;
            case GEM -> GEM;
            case PASTE -> RAISED;
            case CRACKLE -> CRACKLE;
            default -> paint.finish() == Finish.GLOSS ? GLOSS : paint.finish() == Finish.MATT ? MATT : SATIN;
        };
    }
}
