package mosspebble.core.words;

import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.PaintKind;

/** The words about ways to lay a colour. */
public final class BlendWords {

    private BlendWords() {}

    /** What it is. */
    public static String sentence(BlendKind kind) {
        return switch (kind) {
            case FLAT -> "One colour, even coats.";
            case SPLIT -> "Two colours that meet in an arched line, the first on top.";
            case WASHED -> "Wet strokes smoothed by a finger to a thin wash; the stone shows through.";
            case HALO -> "A darker colour close behind the subject, lighter toward the rim.";
            case BANDS -> "Bands of colour overlapped while wet, so that their edges run into each other.";
            case GRADIENT -> "One colour into the next in mixed steps, joins worked while both are wet.";
            case FROM_MIDDLE -> "The first colour in the middle, the others round it, joins worked while both are wet.";
            case ALONG_OUTLINE -> "The first colour along the outline, the others farther in, joins worked while both are wet.";
            case RUN -> "Pens or thin paint side by side, all wet at once, run into each other by moving air.";
            case STROKES -> "Short strokes of other colours over the first, each set down and lifted.";
            case DRY_BRUSH -> "A nearly dry brush drags streaks of another colour over the first.";
            case FOAM -> "Foam dabbed on with a damp sponge, thickest at one side.";
            case STIPPLE -> "Dabs of a sponge, turned each time.";
            case CRYSTAL -> "Several metallics set side by side in small facets.";
            case SPIRAL -> "Arms of colour turn out from the middle; each dries before the next.";
            case LOADED -> "Two or three colours on one brush, pressed at the tip and released toward the foot.";
            case GRADED_CELLS -> "Each part of this colour a step further from the first colour to the second.";
            case GLAZE -> "Watered colour over the dry first colour.";
            case CRACKLED -> "Crackle medium between two colours: the upper one tears and shows the lower in its cracks.";
            case POWDERED -> "A thin coat of gel on the dry colour, cured under a lamp; metallic powder or flakes rubbed on at once.";
            case LEAFED -> "Size on the dry colour; when it is tacky, metal leaf laid on it and pressed.";
            case GEMS -> "A gem or small shell in the middle of its seat, set in glue.";
            case RAISED -> "Texture paste stands up from the stone; the colour covers it when it is dry.";
            case DROPPED_WASH -> "A wash of mostly water dropped into the middle and dabbed.";
        };
    }

    /** What the shelf should have for a way to lay colour. */
    static String medium(PaintKind.Use use) {
        return switch (use) {
            case CRACKS -> "crackle medium";
            case GELS -> "gel coat";
            case RUBBED_ON -> "powder or flakes";
            case HOLDS_LEAF -> "leaf size";
            case IS_LEAF -> "metal leaf";
            case GLUES -> "gem glue";
            case GLUED_ON -> "gem";
            case RAISES -> "texture paste";
            default -> "medium for it";
        };
    }
}
