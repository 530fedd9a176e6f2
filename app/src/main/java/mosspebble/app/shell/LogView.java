package mosspebble.app.shell;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.screen.Panel;

/** What the program wrote down, to look at and to send on. */
final class LogView extends VBox {

    private final TextArea text = new TextArea();
    private final Runnable closed;

    LogView(Runnable saveReport, Runnable closed) {
        this.closed = closed;
        setId("log");
        getStyleClass().addAll("log");
        setSpacing(10);
        setMaxSize(900, 560);
        Label title = new Label("What the program wrote down");
        title.getStyleClass().add("empty-title");
        Label words = Panel.quiet(
                "Kept beside the studio: what happened, where in the program, which version. No names, no words, no pictures of yours. A "
                        + "report puts it into one file, with how many of what the studio holds, for whoever helps.");
        text.setId("log-text");
        text.setEditable(false);
        text.setAccessibleText("The log");
        text.getStyleClass().add("log-text");
        VBox.setVgrow(text, Priority.ALWAYS);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox buttons = new HBox(10, Panel.button("log-report", "Save a report …", "All of this in one file", saveReport), gap,
                Panel.button("log-close", "Close", "Back to the stone (Escape)", this::close));
        buttons.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(title, words, text, buttons);
        addEventFilter(javafx.scene.input.KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                e.consume();
            }
        });
    }

    void open(String log) {
        text.setText(log.isBlank() ? "Nothing has been written down." : log);
        text.positionCaret(text.getLength());
        Panel.present(this, true);
        text.requestFocus();
    }

    void close() {
        Panel.present(this, false);
        closed.run();
    }
}
