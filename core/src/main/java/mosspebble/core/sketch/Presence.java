package mosspebble.core.sketch;

/** When a part of a motif takes part. */
public enum Presence {
    ALWAYS,
    /** Only while the motif sits on the stone (ear tufts, feet). */
    ON_STONE,
    /** Only while the motif wears the stone. */
    WEARING
}
