package mosspebble.core.blend;

import java.util.Arrays;
import java.util.Optional;
import mosspebble.core.colour.PaintKind;

/** The ways to lay a ground or fill an area. */
public enum BlendKind {
    FLAT("flat", 0, 0, false),
    SPLIT("split, arched join", 1, 1, true),
    WASHED("washed thin", 0, 0, false),
    HALO("dark behind the subject", 1, 1, false),
    BANDS("wet bands run together", 1, 3, true),
    GRADIENT("smooth gradient", 1, 3, true),
    FROM_MIDDLE("gradient from the middle", 1, 3, false),
    ALONG_OUTLINE("gradient along the outline", 1, 3, false),
    RUN("colours run together", 1, 3, false),
    STROKES("scattered strokes", 1, 3, true),
    DRY_BRUSH("dry-brushed streaks", 1, 2, true),
    FOAM("damp-sponge foam", 1, 1, true),
    STIPPLE("sponge stipple", 1, 3, false),
    CRYSTAL("crystal stipple", 1, 3, false),
    SPIRAL("spiral", 1, 3, false),
    LOADED("loaded brush", 1, 2, false),
    GRADED_CELLS("graded cells", 1, 1, true),
    GLAZE("glazed", 1, 1, false),
    DROPPED_WASH("wash dropped in", 1, 1, false),
    CRACKLED("crackled", 1, 1, false),
    POWDERED("powder on gel", 1, 1, false),
    LEAFED("metal leaf or foil", 1, 1, false),
    GEMS("gem in its seat", 1, 1, false),
    RAISED("raised with paste", 0, 0, false);

    private final String label;
    private final int least;
    private final int most;
    private final boolean directed;

    BlendKind(String label, int least, int most, boolean directed) {
        this.label = label;
        this.least = least;
        this.most = most;
        this.directed = directed;
    }

    public String label() {
        return label;
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

    /** Whether it can be laid upon another once that is dry, and leaves it seen. */
    public boolean laysOver() {
        return switch (this) {
            case HALO, STROKES, DRY_BRUSH, FOAM, STIPPLE, CRYSTAL, GLAZE, DROPPED_WASH, POWDERED, LEAFED, GEMS -> true;
            default -> false;
        };
    }

    /** The medium between its colours, which comes from the shelf by itself. */
    public Optional<PaintKind.Use> medium() {
        return switch (this) {
            case CRACKLED -> Optional.of(PaintKind.Use.CRACKS);
            case POWDERED -> Optional.of(PaintKind.Use.GELS);
            case LEAFED -> Optional.of(PaintKind.Use.HOLDS_LEAF);
            case GEMS -> Optional.of(PaintKind.Use.GLUES);
            case RAISED -> Optional.of(PaintKind.Use.RAISES);
            default -> Optional.empty();
        };
    }

    /** What its second colour must be able to do, where not every paint serves. */
    public Optional<PaintKind.Use> material() {
        return switch (this) {
            case POWDERED -> Optional.of(PaintKind.Use.RUBBED_ON);
            case LEAFED -> Optional.of(PaintKind.Use.IS_LEAF);
            case GEMS -> Optional.of(PaintKind.Use.GLUED_ON);
            default -> Optional.empty();
        };
    }

    /** The way to lay what can be laid in no other. */
    public static Optional<BlendKind> of(PaintKind.Use material) {
        return Arrays.stream(values()).filter(k -> k.material().filter(u -> u == material).isPresent()).findFirst();
    }

    /** Whether colours run into each other. */
    public boolean joins() {
        return isGraded() || this == LOADED || this == RUN;
    }

    /** Whether bands follow each other with joins between them, worked wet or in glazes. */
    public boolean isGraded() {
        return this == BANDS || this == GRADIENT || this == FROM_MIDDLE || this == ALONG_OUTLINE;
    }

    /** What its amount does, from 0 to 1; empty where it does nothing. */
    public String amount() {
        return switch (this) {
            case FLAT, GRADED_CELLS, POWDERED, LEAFED, GEMS, RAISED -> "";
            case SPLIT -> "arch of the join";
            case WASHED -> "how thin";
            case HALO -> "reach of the dark";
            case BANDS, GRADIENT, FROM_MIDDLE, ALONG_OUTLINE -> "width of the joins";
            case RUN -> "how far they run";
            case DRY_BRUSH, FOAM, STIPPLE, CRYSTAL, STROKES -> "how much is covered";
            case SPIRAL -> "turns";
            case LOADED -> "how far the first colour reaches";
            case GLAZE -> "how strong";
            case DROPPED_WASH -> "size of the wash";
            case CRACKLED -> "size of the flakes";
        };
    }
}
