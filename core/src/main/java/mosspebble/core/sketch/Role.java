package mosspebble.core.sketch;

/** What a part of a motif is to the painter. */
public enum Role {
    /** An area filled with its slot's colour. */
    FILL,
    /** A line drawn with a pen or liner. */
    LINE,
    /** A dot, dash or glint put on last. */
    HIGHLIGHT,
    /** A pencil line that helps the hand and is never painted. */
    GUIDE
}
