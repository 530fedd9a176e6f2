package mosspebble.core.blend;

/** The ways to lay a ground or fill an area. */
public enum BlendKind {
    FLAT("flat", 0, 0, false, "One colour, even coats."),
    SPLIT("split, arched join", 1, 1, true, "Two colours that meet in an arched line, the first on top."),
    WASHED("washed thin", 0, 0, false, "Wet strokes smoothed by a finger to a thin wash; the stone shows through."),
    HALO("dark behind the subject", 1, 1, false, "A darker colour close behind the subject, lighter toward the rim."),
    BANDS("wet bands run together", 1, 3, true, "Bands of colour overlapped while wet, so that their edges run into each other."),
    GRADIENT("smooth gradient", 1, 3, true, "One colour into the next in mixed steps, joins worked while both are wet."),
    DRY_BRUSH("dry-brushed streaks", 1, 2, true, "A nearly dry brush drags streaks of another colour over the first."),
    FOAM("damp-sponge foam", 1, 1, true, "Foam dabbed on with a damp sponge, thickest at one side."),
    STIPPLE("sponge stipple", 1, 3, false, "Dabs of a sponge, turned each time."),
    CRYSTAL("crystal stipple", 1, 3, false, "Several metallics set side by side in small facets."),
    SPIRAL("spiral", 1, 3, false, "Arms of colour turn out from the middle; each dries before the next."),
    LOADED("loaded brush", 1, 2, false, "Two or three colours on one brush, pressed at the tip and released toward the foot."),
    GRADED_CELLS("graded cells", 1, 1, true, "Each part of this colour a step further from the first colour to the second."),
    GLAZE("glazed", 1, 1, false, "Watered colour over the dry first colour."),
    DROPPED_WASH("wash dropped in", 1, 1, false, "A wash of mostly water dropped into the middle and dabbed.");

    private final String label;
    private final int least;
    private final int most;
    private final boolean directed;
    private final String sentence;

    BlendKind(String label, int least, int most, boolean directed, String sentence) {
        this.label = label;
        this.least = least;
        this.most = most;
        this.directed = directed;
        this.sentence = sentence;
    }

    public String label() {
        return label;
    }

    public String sentence() {
        return sentence;
    }

    /** Fewest colours besides the area's own. */
    public int leastColours() {
        return least;
    }

    /** Most colours besides the area's own. */
    public int mostColours() {
        return most;
    }

    /** Whether a direction matters. */
    public boolean directed() {
        return directed;
    }

    /** Whether it makes sense only for the ground, since it needs a subject before it. */
    public boolean groundOnly() {
        return this == HALO;
    }

    /** Whether colours run into each other. */
    public boolean joins() {
        return this == BANDS || this == GRADIENT || this == LOADED;
    }

    /** What its amount does, from 0 to 1; empty where it does nothing. */
    public String amount() {
        return switch (this) {
            case FLAT, GRADED_CELLS -> "";
            case SPLIT -> "arch of the join";
            case WASHED -> "how thin";
            case HALO -> "reach of the dark";
            case BANDS, GRADIENT -> "width of the joins";
            case DRY_BRUSH, FOAM, STIPPLE, CRYSTAL -> "how much is covered";
            case SPIRAL -> "turns";
            case LOADED -> "how far the first colour reaches";
            case GLAZE -> "how strong";
            case DROPPED_WASH -> "size of the wash";
        };
    }
}
