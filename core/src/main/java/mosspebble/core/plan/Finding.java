package mosspebble.core.plan;

import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Something the painter should know, in a plain sentence with the number and the reason.
 *
 * @param remedy a change that mends it, if there is one
 */
public record Finding(Weight weight, Stage stage, String sentence, Optional<Remedy> remedy) {

    /** How much it matters. */
    public enum Weight { STOP, MIND, TIP }

    /** The stage of the work it belongs to. */
    public enum Stage { STONE, SKETCH, COLOUR, BUILD_UP, SITTING, FINISH }

    /** A change to the project, with the words on its button. */
    public record Remedy(String label, UnaryOperator<Project> change) {}

    static Finding of(Weight weight, Stage stage, String sentence) {
        return new Finding(weight, stage, sentence, Optional.empty());
    }

    static Finding of(Weight weight, Stage stage, String sentence, String label, UnaryOperator<Project> change) {
        return new Finding(weight, stage, sentence, Optional.of(new Remedy(label, change)));
    }
}
