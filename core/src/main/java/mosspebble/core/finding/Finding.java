package mosspebble.core.finding;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mosspebble.core.project.Project;
import mosspebble.core.units.Facts;

/**
 * Something the painter should know: what it is, and the values that tell how much and where. The sentence is made of them elsewhere.
 *
 * @param facts what the code's sentence needs
 * @param remedies changes that mend it, the best first; empty if there is none
 * @param below whether it is about the face that lies below
 */
public record Finding(Code code, Weight weight, Facts facts, List<Remedy> remedies, boolean below) {

    public Finding {
        remedies = List.copyOf(remedies);
    }

    /** The best remedy. */
    public Optional<Remedy> remedy() {
        return remedies.stream().findFirst();
    }

    public Stage stage() {
        return code.stage();
    }

    /** How much it matters. */
    public enum Weight { STOP, MIND, TIP }

    /** The stage of the work it belongs to. */
    public enum Stage { STONE, SKETCH, COLOUR, BUILD_UP, SITTING, FINISH }

    /** What a remedy does. */
    public enum Cure {
        TAKE_AWAY, FIT_TO_RIM, FIT_TO_FACE, LET_RUN_OFF, EQUAL_PAIRS, FIT_BESIDE_CRACK, FIT_BESIDE_OTHERS, ENLARGE, FINER_PEN, THICKEN,
        LEAVE_OUT,
        SPACE_LETTERS, NEAREST_MIX, LINE_BY_CONTRAST, LAY_FLAT, LAY_IN_ITS_WAY, LEAVE_LAYER_OUT, ALLOW_PRIMER, HIDING_MIX, GLAZES,
        ORDER_BACK, SEAL,
        WIDEN_BAND,
        BAND_TO_MIDDLE, AS_LARGE_AS_THIS
    }

    /**
     * A change to the project.
     *
     * @param facts what the words on its button need
     */
    public record Remedy(Cure cure, Facts facts, UnaryOperator<Project> change) {

        public static Remedy of(Cure cure, UnaryOperator<Project> change) {
            return new Remedy(cure, Facts.none(), change);
        }
    }

    public static Finding of(Code code, Facts facts, Remedy... remedies) {
        return new Finding(code, code.weight(), facts, List.of(remedies), false);
    }

    public static Finding of(Code code, Facts facts, List<Remedy> remedies) {
        return new Finding(code, code.weight(), facts, remedies, false);
    }

    /** The same, found with the stone turned over: its remedies turn it, mend, and turn it back. */
    public Finding fromBelow() {
        List<Remedy> turned = remedies.stream()
                .map(r -> new Remedy(r.cure(), r.facts(), p -> r.change().apply(p.turnedOver()).turnedOver())).toList();
        return new Finding(code, weight, facts, turned, true);
    }

    /** The same, mattering more or less. */
    public Finding weighing(Weight other) {
        return new Finding(code, other, facts, remedies, below);
    }
}
