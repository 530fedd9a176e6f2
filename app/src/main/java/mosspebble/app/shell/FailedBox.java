package mosspebble.app.shell;

import java.util.Locale;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.project.Project;

/** In place of a picture where the stone could not be worked out: that, and the ways on. */
final class FailedBox extends VBox {

    FailedBox(Workbench workbench, Results show, Runnable showLog) {
        super(14);
        Label words = new Label();
        words.setId("plan-trouble");
        words.getStyleClass().add("empty-title");
        words.setWrapText(true);
        words.setMaxWidth(520);
        words.setTextAlignment(TextAlignment.CENTER);
        words.textProperty().bind(show.troubleProperty());
        Label hint = Panel
                .quiet("Nothing is lost: what you decided is kept. There is no picture, no plan and no sheet of it until this is mended.");
        hint.setMaxWidth(520);
        hint.setTextAlignment(TextAlignment.CENTER);
        Button undo = Panel.button("plan-undo", "Undo", "Take the last change back (Ctrl Z)", workbench::undo);
        undo.getStyleClass().add("main");
        undo.managedProperty().bind(undo.visibleProperty());
        undo.visibleProperty().bind(workbench.undoTitleProperty().isNotEmpty());
        undo.textProperty().bind(Bindings.createStringBinding(() -> "Undo: " + workbench.undoTitleProperty().get().toLowerCase(Locale.ROOT),
                workbench.undoTitleProperty()));
        Button off = Panel.button("plan-off", "Take the front thing off", "Take away what lies in front of all others",
                () -> workbench.shown().flatMap(Project::sketch).ifPresent(sketch -> workbench.edit("Take the front thing off",
                        p -> p.withSketch(sketch.without(sketch.items().get(sketch.items().size() - 1).id())))));
        off.managedProperty().bind(off.visibleProperty());
        Runnable any = () -> off.setVisible(workbench.shown().flatMap(Project::sketch).isPresent());
        workbench.shownProperty().addListener((o, a, b) -> any.run());
        any.run();
        HBox buttons = new HBox(10, undo, off,
                Panel.button("plan-log", "Show the log", "What the program wrote down about it", showLog));
        buttons.setAlignment(Pos.CENTER);
        getChildren().addAll(words, hint, buttons);
        getStyleClass().add("plan-trouble");
        setAlignment(Pos.CENTER);
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        Panel.present(this, false);
        show.troubleProperty().addListener((o, a, b) -> Panel.present(this, !b.isEmpty()));
    }
}
