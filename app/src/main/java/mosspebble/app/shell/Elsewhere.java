package mosspebble.app.shell;

import java.util.Optional;
import mosspebble.core.finding.Code;

/**
 * Where that is mended which no change to the stone mends.
 *
 * @param words on its button
 * @param action by its name in the drawer
 */
public record Elsewhere(String words, String action) {

    /** The place for a finding; empty if its sentence says all there is to do. */
    public static Optional<Elsewhere> of(Code code) {
        return Optional.ofNullable(switch (code) {
            case EMPTY_SHELF, NO_WHITE, LACKS_MEDIUM, NO_LAMP, OTHER_SEALER, INCOMPATIBLE -> new Elsewhere("To the shelf",
                    "Look at the shelf");
            case NO_SUBJECT, EMPTY_FACE -> new Elsewhere("To the library", "Sketch: add something from the library");
            case TAKING_FORBIDDEN -> new Elsewhere("To where it is from", "Stone: found");
            case CRACKS_MARKED -> new Elsewhere("To its marks", "Stone: marks");
            case SEALED_BEFORE, LOOSE_GRAINS -> new Elsewhere("To its rock", "Stone: rock");
            case STILL_DAMP -> new Elsewhere("To its weight", "Stone: ready");
            case FAINT_OUTLINE, VANISHES -> new Elsewhere("To its neighbours", "Colour: beside");
            case MUD -> new Elsewhere("To the mix", "Colour: mix");
            case PALE_NEEDS_PRIMER, FILM_THICK, RIM_CHIPS -> new Elsewhere("To the habits", "Habits: coats");
            case TOO_COLD, NEVER_DRIES, DEW -> new Elsewhere("To the room", "Sitting: week and room");
            case RUNS_OUT -> new Elsewhere("To the jars", "Finish: jars");
            case UNTESTED -> new Elsewhere("To the seal", "Finish: seal");
            case SEALER_WORE, PRODUCT_FAILED, TOOK_LONGER -> new Elsewhere("To the book", "Open the book");
            default -> null;
        });
    }
}
