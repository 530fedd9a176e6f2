package mosspebble.core.sketch;

/** The pencil guides of the trade. */
public enum GuideKind {
    CENTRE("Middle lines", "Lines", 1, 6),
    BOUNDARY("Boundary inside the edge", "Lines", 1, 6),
    THIRDS("Thirds, arched", "Parts", 3, 4),
    LINES("Level lines", "Lines", 4, 8),
    BOXES("Letter boxes", "Boxes", 6, 10),
    RINGS("Rings", "Rings", 4, 6),
    SPOKES("Spokes", "Spokes", 12, 20),
    POLYGON("Polygon", "Corners", 6, 25),
    ROWS("Staggered rows", "Rows", 6, 6),
    SPIRAL("Spiral", "Turns", 3, 6),
    MAT("Radial mat", "Spokes", 16, 5);

    private final String title;
    private final String counted;
    private final int usualCount;
    private final double usualMm;

    GuideKind(String title, String counted, int usualCount, double usualMm) {
        this.title = title;
        this.counted = counted;
        this.usualCount = usualCount;
        this.usualMm = usualMm;
    }

    public String title() {
        return title;
    }

    /** What the count counts. */
    public String counted() {
        return counted;
    }

    /** What the millimetres measure. */
    public String measured() {
        return switch (this) {
            case CENTRE -> "Ticks every";
            case BOUNDARY -> "In from the face's edge";
            case THIRDS -> "Rise of the arch";
            case LINES -> "Apart";
            case BOXES -> "Box wide";
            case RINGS, SPIRAL, MAT -> "Apart";
            case SPOKES, POLYGON -> "Radius";
            case ROWS -> "Marks apart";
        };
    }

    /** Whether it follows the whole stone; else it lies where its placement puts it. */
    public boolean wholeStone() {
        return this == CENTRE || this == BOUNDARY || this == THIRDS;
    }

    public Subject.Guide usual() {
        return new Subject.Guide(this, usualCount, usualMm, false);
    }
}
