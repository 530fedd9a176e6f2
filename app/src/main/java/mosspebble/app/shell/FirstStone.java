package mosspebble.app.shell;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;

/**
 * What to do here and where it goes on, in one sentence on the corner of the cloth, while somebody is at the first stone. It blocks
 * nothing, goes with a second stone or the first pass that is ticked off, and for good when it is closed.
 */
final class FirstStone extends HBox {

    private final Workbench workbench;
    private final Label words = new Label();

    FirstStone(Workbench workbench) {
        this.workbench = workbench;
        setId("first-words");
        words.setWrapText(true);
        words.getStyleClass().add("step-words");
        words.setMaxWidth(690);
        Button close = Panel.button("first-words-close", "×", "I know my way", this::close);
        close.getStyleClass().add("flat");
        getChildren().setAll(words, close);
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("first-words");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
    }

    private void close() {
        workbench.look(studio -> studio.withLed(false));
        refresh(false);
    }

    /** @param room whether nothing else is asked on the cloth */
    void refresh(boolean room) {
        Studio studio = workbench.studio();
        boolean first = studio.projects().size() == 1 && studio.diary().deeds().isEmpty();
        Optional<String> now = workbench.shown().map(project -> words(workbench.stageProperty().get(), project));
        words.setText(now.orElse(""));
        Panel.present(this, room && first && studio.view().led() && now.isPresent());
    }

    private static String words(Stage stage, Project project) {
        return switch (stage) {
            case STONE -> !project.unmeasured().isEmpty()
                    ? "A stand-in lies here until yours is measured: type its length, width and height."
                    : "Give it the form and the skin of yours. When it looks like it, go on to 2 Sketch.";
            case SKETCH -> project.sketch().isEmpty() ? "Add a character, a scene or words: it is fitted to the face."
                    : "Drag it, turn it, size it right on the stone. When it sits well, go on to 3 Colour.";
            case COLOUR ->
                    "Press a part on the stone and choose its colour, or take a palette for all. 4 Build-up tells how it is painted.";
            case BUILD_UP -> "Every pass in its order, as it will look: play it. 5 Sitting says when, 6 Finish prints it.";
            case SITTING, FINISH -> "Rub the guide onto the stone, lay the cards beside it, and begin.";
        };
    }
}
