package mosspebble.core.finding;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mosspebble.core.project.Project;

/**
 * Something the painter should know, in a plain sentence with the number and the reason.
 *
 * @param remedies changes that mend it, the best first; empty if there is none
 */
public record Finding(Weight weight, Stage stage, String sentence, List<Remedy> remedies) {

    public Finding {
        remedies = List.copyOf(remedies);
    }

    /** The best remedy. */
    public Optional<Remedy> remedy() {
        return remedies.stream().findFirst();
    }

    /** How much it matters. */
    public enum Weight { STOP, MIND, TIP }

    /** The stage of the work it belongs to. */
    public enum Stage { STONE, SKETCH, COLOUR, BUILD_UP, SITTING, FINISH }

    /** A change to the project, with the words on its button. */
    public record Remedy(String label, UnaryOperator<Project> change) {}

    public static Finding of(Weight weight, Stage stage, String sentence) {
        return new Finding(weight, stage, sentence, List.of());
    }

    public static Finding of(Weight weight, Stage stage, String sentence, String label, UnaryOperator<Project> change) {
        return new Finding(weight, stage, sentence, List.of(new Remedy(label, change)));
    }
}
