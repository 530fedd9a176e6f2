package mosspebble.app.shell;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import mosspebble.app.book.BookModel;
import mosspebble.app.control.Hint;
import mosspebble.app.model.Navigator;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Surroundings;
import mosspebble.app.sitting.SittingModel;
import mosspebble.core.book.Page;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.timetable.Durations;
import mosspebble.core.words.BookWords;
import mosspebble.core.words.TimetableWords;

/** The head of the window: which stone, how long it takes and when it is ready; undo, the book, everything by name. */
final class Head extends HBox {

    /** What its buttons do. */
    record Deeds(Runnable back, Runnable book, Runnable find) {}

    Head(Surroundings with, SittingModel sitting, BookModel book, Deeds deeds) {
        Workbench workbench = with.workbench();
        Results show = with.results();
        Navigator navigator = with.navigator();
        Label name = new Label();
        name.setId("name");
        name.getStyleClass().add("title");
        Label purpose = new Label();
        purpose.getStyleClass().addAll("quiet", "shortened");
        Label ready = new Label();
        ready.setId("ready");
        ready.getStyleClass().add("ready");
        ready.setMinWidth(Region.USE_PREF_SIZE);
        name.setMaxWidth(480); // a long name ends in an ellipsis; it is whole in its tooltip and in the tray
        name.setMinWidth(120);
        purpose.setMinWidth(0);
        Runnable fill = () -> {
            Optional<Project> project = workbench.shown();
            name.setText(project.map(Project::name).orElse("Moss Pebble"));
            Hint.on(name, project.map(Project::name).orElse(""));
            purpose.setText(project.map(Project::purpose).orElse(""));
            PaintPlan plan = show.plan();
            ready.setText(plan == null || plan.steps().isEmpty() ? ""
                    : Durations.words(plan.handTime()) + " by hand, "
                            + TimetableWords.ready(sitting.ready(plan), plan.readyAfter(), sitting.zone()));
        };
        workbench.shownProperty().addListener((o, a, b) -> {
            if (!workbench.isDrafting()) {
                fill.run();
            }
        });
        show.planProperty().addListener((o, a, b) -> fill.run());
        sitting.follow(fill);
        fill.run();
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Button undo = Panel.button("undo", "", "Undo (Ctrl Z)", workbench::undo);
        undo.getStyleClass().add("flat");
        workbench.undoTitleProperty().addListener((o, a, b) -> undoText(undo, b));
        undoText(undo, workbench.undoTitleProperty().get());
        Button find = Panel.button("find", "Do …", "Everything by name (/ or Ctrl K)", deeds.find);
        find.getStyleClass().add("flat");
        find.setMinWidth(Region.USE_PREF_SIZE);
        undo.setMaxWidth(280);
        undo.setMinWidth(90);
        undo.getStyleClass().add("shortened"); // whole in its tooltip
        Button back = Panel.button("back", "Back to the cloth", "Back to the cloth (Escape)", deeds.back);
        back.setMinWidth(Region.USE_PREF_SIZE);
        Panel.present(back, false);
        navigator.asideProperty().addListener((o, a, b) -> Panel.present(back, !navigator.onCloth()));
        Button toBook = Panel.button("to-book", "Book", "The painter's book (U)", deeds.book);
        toBook.getStyleClass().add("flat");
        toBook.setMinWidth(Region.USE_PREF_SIZE);
        book.bookProperty().addListener((o, a, b) -> {
            List<Page> due = b == null ? List.of() : b.due(LocalDate.now(with.clock()));
            toBook.setText(due.isEmpty() ? "Book" : "Book · " + due.size());
            Hint.on(toBook, due.isEmpty() ? "The painter's book (U)" : BookWords.due(due));
        });
        setSpacing(14);
        getChildren().addAll(name, purpose, gap, ready, back, undo, toBook, find);
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("top");
    }

    private static void undoText(Button undo, String title) {
        undo.setText(title.isEmpty() ? "Nothing to undo" : "Undo: " + title.toLowerCase(Locale.ROOT));
        undo.setDisable(title.isEmpty());
        Hint.on(undo, title.isEmpty() ? "Nothing to undo" : "Undo " + title + " (Ctrl Z)");
    }
}
