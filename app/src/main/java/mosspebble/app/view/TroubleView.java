package mosspebble.app.view;

import java.nio.file.Path;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mosspebble.files.FileTrouble;

/** A studio that could not be opened: what, where, and two ways on. */
public final class TroubleView extends VBox {

    /** @param beside where a new studio would be made */
    public TroubleView(FileTrouble trouble, Path beside, Runnable fresh, Runnable close) {
        getStyleClass().addAll("shell", "trouble");
        getStylesheets().add(TroubleView.class.getResource("/mosspebble/app/mosspebble.css").toExternalForm());
        setAlignment(Pos.CENTER);
        setSpacing(14);
        Label title = new Label("The studio stays closed");
        title.getStyleClass().add("empty-title");
        Label words = new Label(trouble.getMessage());
        words.setId("trouble");
        words.setWrapText(true);
        words.setMaxWidth(620);
        Button start = Panel.button("new-studio", "Start a new studio", "Made beside it as " + beside.getFileName(), fresh);
        start.getStyleClass().add("main");
        Label where = Panel.quiet("It would be made beside it as " + beside.getFileName() + ".");
        where.setMaxWidth(620);
        HBox buttons = new HBox(10, start, Panel.button("close", "Close", "Leave everything as it is", close));
        buttons.setAlignment(Pos.CENTER);
        getChildren().addAll(title, words, buttons, where);
    }
}
