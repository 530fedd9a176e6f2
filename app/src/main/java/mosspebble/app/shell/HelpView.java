package mosspebble.app.shell;

import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.model.Action;
import mosspebble.app.screen.Panel;

/** All keys and what they do, over everything else: made from the table of actions. */
final class HelpView extends VBox {

    private static final int COLUMNS = 3;

    private final Supplier<List<Action>> actions;
    private final Runnable closed;
    private final GridPane keys = new GridPane();
    private final Button close;

    HelpView(Supplier<List<Action>> actions, Runnable closed) {
        this.actions = actions;
        this.closed = closed;
        setId("help");
        getStyleClass().add("log");
        setSpacing(10);
        setMaxSize(1180, 660);
        Label title = new Label("Keys");
        title.getStyleClass().add("empty-title");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        close = Panel.button("help-close", "Close", "Back to the stone (Escape)", this::close);
        HBox head = new HBox(12, title, gap, close);
        head.setAlignment(Pos.CENTER_LEFT);
        keys.setHgap(14);
        keys.setVgap(5);
        ScrollPane pane = new ScrollPane(keys);
        pane.setFitToWidth(true);
        pane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        pane.getStyleClass().add("stage-scroll");
        VBox.setVgrow(pane, Priority.ALWAYS);
        getChildren().addAll(head, pane, Panel.quiet(
                "Everything else is found by name: press / and type a few letters. On the cloth the arrow keys move what is in hand, with "
                        + "Shift farther; + and - size it."));
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE || e.getCode() == KeyCode.F1 || "?".equals(e.getText())) {
                close();
                e.consume();
            }
        });
        Panel.present(this, false);
    }

    void open() {
        keys.getChildren().clear();
        List<Action> all = actions.get().stream().filter(a -> !a.key().isEmpty()).toList();
        int rows = (all.size() + COLUMNS - 1) / COLUMNS;
        for (int i = 0; i < all.size(); i++) {
            Label key = new Label(all.get(i).key());
            key.getStyleClass().add("key");
            key.setMinWidth(Region.USE_PREF_SIZE);
            Label name = new Label(all.get(i).name());
            name.setWrapText(true);
            GridPane.setHgrow(name, Priority.ALWAYS);
            keys.add(key, 2 * (i / rows), i % rows);
            keys.add(name, 2 * (i / rows) + 1, i % rows);
        }
        Panel.present(this, true);
        close.requestFocus();
    }

    void close() {
        Panel.present(this, false);
        closed.run();
    }
}
