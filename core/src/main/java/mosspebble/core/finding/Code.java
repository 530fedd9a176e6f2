package mosspebble.core.finding;

import static mosspebble.core.finding.Finding.Stage.BUILD_UP;
import static mosspebble.core.finding.Finding.Stage.COLOUR;
import static mosspebble.core.finding.Finding.Stage.FINISH;
import static mosspebble.core.finding.Finding.Stage.SITTING;
import static mosspebble.core.finding.Finding.Stage.SKETCH;
import static mosspebble.core.finding.Finding.Stage.STONE;
import static mosspebble.core.finding.Finding.Weight.MIND;
import static mosspebble.core.finding.Finding.Weight.STOP;
import static mosspebble.core.finding.Finding.Weight.TIP;

/** All that can be found, with the stage it belongs to and how much it matters as a rule. */
public enum Code {
    LEFT_OUT(SKETCH, STOP),
    NOT_MEASURED(STONE, MIND), TAKING_FORBIDDEN(STONE, STOP), CRACKS_MARKED(STONE, TIP), SEALED_BEFORE(STONE, MIND),
    LOOSE_GRAINS(STONE, MIND),
    STILL_DAMP(STONE, MIND), PALE_NEEDS_PRIMER(STONE, TIP), DARKENS_SEALED(STONE, TIP),
    NO_SUBJECT(SKETCH, STOP), EMPTY_FACE(SKETCH, TIP), BAND_TOO_THIN(SKETCH, MIND), BAND_LEAVES_EDGE(SKETCH, MIND),
    MISSING_LETTERS(SKETCH, STOP), NO_ROOM(SKETCH, STOP), WORDS_TOO_LONG(SKETCH, STOP), NOT_IN_REPERTOIRE(SKETCH, STOP),
    RUNS_OFF(SKETCH, TIP), LEAVES(SKETCH, MIND), UNEQUAL_PAIR(SKETCH, MIND), OVER_CRACK(SKETCH, MIND), COVERS_FACE(SKETCH, MIND),
    TOO_NARROW(SKETCH, MIND),
    TOO_TIGHT(SKETCH, TIP),
    EMPTY_SHELF(COLOUR, STOP), NO_COLOUR(COLOUR, STOP), EDGE_NOT_ON_SHELF(COLOUR, STOP), GROUND_NOT_ON_SHELF(COLOUR, STOP),
    NO_WHITE(COLOUR, MIND), BLEND_LACKS_COLOURS(COLOUR, MIND), LACKS_MEDIUM(COLOUR, MIND), NO_LAMP(COLOUR, MIND),
    NEEDS_ITS_WAY(COLOUR, STOP),
    GEM_TOO_LARGE(COLOUR, MIND), FAINT_OUTLINE(COLOUR, MIND),
    LINE_NOT_ON_SHELF(COLOUR, MIND),
    VANISHES(COLOUR, MIND), MUD(COLOUR, MIND),
    ORDER_BROKEN(BUILD_UP, STOP), OLD_PAINT_SEEN(BUILD_UP, MIND), NEVER_HIDES(BUILD_UP, MIND), RUNS_OUT(BUILD_UP, MIND),
    FILM_THICK(BUILD_UP, MIND),
    RIM_CHIPS(BUILD_UP, TIP), INCOMPATIBLE(BUILD_UP, MIND),
    WET_TOO_LONG(BUILD_UP, MIND),
    TOO_COLD(SITTING, STOP), NEVER_DRIES(SITTING, STOP), DEW(SITTING, STOP), SEAL_AIR(SITTING, MIND), SEAL_INDOORS_ONLY(FINISH, STOP),
    UNSEALED_OUTDOORS(FINISH, STOP), OTHER_SEALER(FINISH, TIP), UNTESTED(FINISH, TIP),
    SEALER_WORE(FINISH, TIP), PRODUCT_FAILED(COLOUR, TIP), TOOK_LONGER(SITTING, TIP);

    private final Finding.Stage stage;
    private final Finding.Weight weight;

    Code(Finding.Stage stage, Finding.Weight weight) {
        this.stage = stage;
        this.weight = weight;
    }

    public Finding.Stage stage() {
        return stage;
    }

    /** As a rule; a finding may weigh more or less. */
    public Finding.Weight weight() {
        return weight;
    }
}
