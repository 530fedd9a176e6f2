package mosspebble.core.sketch;

/** How a thing lies on the stone. */
public enum ItemMode {
    /** Keeps its proportions, where its placement puts it. */
    ON_STONE,
    /** Its silhouette becomes the stone's outline; the placement only counts for coming back. */
    WEARING,
    /** Left free: its silhouette is kept out of what lies next behind it, so that the ground shows there; its lines are drawn. */
    LEFT_FREE
}
