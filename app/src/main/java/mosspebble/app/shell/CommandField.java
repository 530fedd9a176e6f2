package mosspebble.app.shell;

import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.model.Action;

/** Everything that can be done, by name: type a few letters, Enter does it, Escape leaves. */
final class CommandField extends VBox {

    private final Supplier<List<Action>> deeds;
    private final Function<String, List<Action>> spoken;
    private final TextField field = new TextField();
    private final ListView<Action> found = new ListView<>();
    private final Runnable closed;

    /** @param spoken deeds asked for in so many words, such as "ring of 24 dots" */
    CommandField(Supplier<List<Action>> deeds, Function<String, List<Action>> spoken, Runnable closed) {
        this.deeds = deeds;
        this.spoken = spoken;
        this.closed = closed;
        getStyleClass().add("command");
        setMaxSize(460, 330);
        field.setId("command");
        field.setPromptText("What shall be done?");
        field.setAccessibleText("Command");
        found.setId("command-found");
        found.setFocusTraversable(false);
        found.setPrefHeight(260);
        found.setCellFactory(list -> new ListCell<>() {
            @Override
            protected void updateItem(Action deed, boolean empty) {
                super.updateItem(deed, empty);
                if (empty || deed == null) {
                    setGraphic(null);
                    return;
                }
                Label key = new Label(deed.key());
                key.getStyleClass().add("quiet");
                Region gap = new Region();
                HBox.setHgrow(gap, Priority.ALWAYS);
                setGraphic(new HBox(new Label(deed.name()), gap, key));
                setOnMouseClicked(e -> take());
            }
        });
        field.textProperty().addListener((o, a, b) -> filter());
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        field.addEventFilter(KeyEvent.KEY_TYPED, e -> {
            if (field.getText().isEmpty() && e.getCharacter().equals("/")) {
                e.consume(); // the key that opened the field
            }
        });
        getChildren().addAll(field, found);
        setVisible(false);
    }

    void open() {
        setVisible(true);
        field.clear();
        filter();
        field.requestFocus();
    }

    private void filter() {
        found.getItems().setAll(spoken.apply(field.getText()));
        found.getItems().addAll(deeds.get().stream().filter(d -> d.isFoundBy(field.getText())).toList());
        found.getSelectionModel().select(0);
    }

    private void key(KeyEvent e) {
        KeyCode code = e.getCode();
        if (code == KeyCode.ESCAPE) {
            close();
        } else if (code == KeyCode.ENTER) {
            take();
        } else if (code == KeyCode.DOWN || code == KeyCode.UP) {
            int next = found.getSelectionModel().getSelectedIndex() + (code == KeyCode.DOWN ? 1 : -1);
            found.getSelectionModel().select(Math.max(0, Math.min(found.getItems().size() - 1, next)));
            found.scrollTo(found.getSelectionModel().getSelectedIndex());
        } else {
            return;
        }
        e.consume();
    }

    private void take() {
        Action deed = found.getSelectionModel().getSelectedItem();
        close();
        if (deed != null) {
            deed.run().run();
        }
    }

    void close() {
        setVisible(false);
        closed.run();
    }
}
