package mosspebble.core.blend;

import java.util.Optional;
import mosspebble.core.colour.ColourWords;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Palette;

/**
 * Whether two colours that run together go to mud: in some proportion they make a colour of far less chroma than either has, and of little
 * altogether.
 *
 * @param made the dullest mixture
 * @param lost share of the chroma of both that is gone there, 0 to 1
 */
public record Mud(Lab made, double lost) {

    /** Duller than this it looks like mud beside clean colours (common practice, no source). */
    private static final double DULL = 20;

    /** Lost share from which one speaks of mud (common practice, no source). */
    private static final double MUCH = 0.45;

    /** Colours duller than this are earth and grey already. */
    private static final double CLEAN = 24;

    public static Optional<Mud> between(Palette.Colour first, Palette.Colour second) {
        Lab made = null;
        for (int i = 2; i <= 18; i++) { // somewhere across the join every proportion occurs
            Lab here = first.into(second, i / 20.0).lab();
            made = made == null || here.chroma() < made.chroma() ? here : made;
        }
        double before = Math.min(first.lab().chroma(), second.lab().chroma());
        double lost = before > 0 ? Math.max(0, 1 - made.chroma() / before) : 0;
        return before >= CLEAN && made.chroma() < DULL && lost >= MUCH ? Optional.of(new Mud(made, lost)) : Optional.empty();
    }

    /** What comes out, in words. */
    public String words() {
        return ColourWords.name(made);
    }
}
