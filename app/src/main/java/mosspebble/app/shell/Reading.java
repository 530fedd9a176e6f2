package mosspebble.app.shell;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.screen.Panel;

/** Lines to be read at leisure, the last one first in sight: what the program wrote down, what was told. */
final class Reading extends VBox {

    /**
     * What it says about itself.
     *
     * @param id of the node; its text and its button to close have it before their own
     * @param about what the lines are, under the title
     * @param empty stands there where there is no line
     */
    record Words(String id, String title, String about, String empty) {}

    static final Words WRITTEN_DOWN = new Words("log", "What the program wrote down",
            "Kept beside the studio: what happened, where in the program, which version. No names, no words, no pictures of yours. A "
                    + "report puts it into one file, with how many of what the studio holds, for whoever helps.",
            "Nothing has been written down.");
    static final Words TOLD = new Words("told", "What was told",
            "Since the window was opened, the last of it below. A screen reader hears it when it is told, before the name of what has "
                    + "the focus.",
            "Nothing has been told yet.");

    private final TextArea text = new TextArea();
    private final Words words;
    private final Runnable closed;

    /** @param besides buttons that do something with it */
    Reading(Words words, Runnable closed, Button... besides) {
        this.words = words;
        this.closed = closed;
        setId(words.id);
        getStyleClass().addAll("log");
        setSpacing(10);
        setMaxSize(900, 560);
        Label title = new Label(words.title);
        title.getStyleClass().add("empty-title");
        text.setId(words.id + "-text");
        text.setEditable(false);
        text.setWrapText(true);
        text.setAccessibleText(words.title);
        text.getStyleClass().add(words.id + "-text");
        VBox.setVgrow(text, Priority.ALWAYS);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox buttons = new HBox(10, besides);
        buttons.getChildren().addAll(gap, Panel.button(words.id + "-close", "Close", "Back to the stone (Escape)", this::close));
        buttons.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(title, Panel.quiet(words.about), text, buttons);
        addEventFilter(javafx.scene.input.KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                e.consume();
            }
        });
    }

    void open(String lines) {
        text.setText(lines.isBlank() ? words.empty : lines);
        text.positionCaret(text.getLength());
        Panel.present(this, true);
        text.requestFocus();
    }

    void close() {
        Panel.present(this, false);
        closed.run();
    }
}
