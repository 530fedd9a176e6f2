package mosspebble.app.shell;

import java.util.ArrayList;
import java.util.Comparator;
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
import mosspebble.app.screen.Panel;
import mosspebble.core.units.Words;

/**
 * The drawer of everything that can be done, pulled out over the column: what belongs to this stage first, then the rest by stages. A few
 * letters find it by name or by another word for it, Enter does it, Escape pushes the drawer in.
 */
final class Drawer extends VBox {

    private static final double WIDE = 400;
    /** Below the name of the stone. */
    private static final double TOP = 45;
    private static final int MOST_MEANT = 3;
    private static final double ALIKE = 0.4;

    private final Supplier<List<Action>> deeds;
    private final Supplier<String> here;
    private final Function<String, List<Action>> spoken;
    private final TextField field = new TextField();
    private final Label nothing = Panel.quiet("");
    private final ListView<Action> found = new ListView<>();
    private final Runnable closed;

    /**
     * @param here the group that belongs to what is in hand
     * @param spoken deeds asked for in so many words, such as "ring of 24 dots"
     */
    Drawer(Supplier<List<Action>> deeds, Supplier<String> here, Function<String, List<Action>> spoken, Runnable closed) {
        this.deeds = deeds;
        this.here = here;
        this.spoken = spoken;
        this.closed = closed;
        getStyleClass().add("drawer");
        setMaxWidth(WIDE);
        setMinWidth(WIDE);
        setTranslateY(TOP);
        parentProperty().addListener((o, a, b) -> {
            if (b instanceof Region whole) {
                maxHeightProperty().bind(whole.heightProperty().subtract(TOP));
            }
        });
        Label title = new Label("What can be done");
        title.getStyleClass().add("stage-name");
        field.setId("command");
        field.setPromptText("a few letters of it");
        field.setAccessibleText("What shall be done");
        nothing.setId("command-nothing");
        found.setId("command-found");
        found.setFocusTraversable(false);
        VBox.setVgrow(found, Priority.ALWAYS);
        found.setCellFactory(list -> new ListCell<>() {
            {
                setPrefWidth(0); // as wide as the list
            }

            @Override
            protected void updateItem(Action deed, boolean empty) {
                super.updateItem(deed, empty);
                if (empty || deed == null) {
                    setGraphic(null);
                    return;
                }
                Label key = new Label(deed.key());
                key.getStyleClass().add("key");
                key.setVisible(!deed.key().isEmpty());
                key.setMinWidth(Region.USE_PREF_SIZE);
                Region gap = new Region();
                HBox.setHgrow(gap, Priority.ALWAYS);
                HBox row = new HBox(8, new Label(words(deed)), gap, key);
                VBox all = new VBox(6, row);
                if (isFirstOfGroup(getIndex())) {
                    all.getChildren().add(0, Panel.heading(deed.group().isEmpty() ? "Anywhere" : deed.group()));
                }
                setGraphic(all);
                setOnMouseClicked(e -> take());
            }
        });
        field.textProperty().addListener((o, a, b) -> filter());
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        field.addEventFilter(KeyEvent.KEY_TYPED, e -> {
            if (field.getText().isEmpty() && e.getCharacter().equals("/")) {
                e.consume(); // the key that opened the drawer
            }
        });
        getChildren().addAll(title, field, nothing, found);
        setVisible(false);
    }

    void open() {
        setVisible(true);
        field.clear();
        filter();
        field.requestFocus();
    }

    /** Below the name of its group it need not be said again. */
    private String words(Action deed) {
        String prefix = deed.group() + ": ";
        return field.getText().isBlank() && deed.name().startsWith(prefix) ? Words.upper(deed.name().substring(prefix.length()))
                : deed.name();
    }

    /** Groups are named as long as nothing is typed. */
    private boolean isFirstOfGroup(int index) {
        List<Action> all = found.getItems();
        return field.getText().isBlank() && index >= 0 && index < all.size()
                && (index == 0 || !all.get(index - 1).group().equals(all.get(index).group()));
    }

    private void filter() {
        String words = field.getText();
        List<Action> all = deeds.get();
        List<Action> now = new ArrayList<>(spoken.apply(words));
        if (words.isBlank()) {
            List<String> groups = new ArrayList<>(List.of(here.get(), ""));
            all.forEach(d -> {
                if (!groups.contains(d.group())) {
                    groups.add(d.group());
                }
            });
            now.addAll(all.stream().sorted(Comparator.comparingInt(d -> groups.indexOf(d.group()))).toList());
        } else {
            now.addAll(all.stream().filter(d -> d.isFoundBy(words)).sorted(Comparator.comparingInt(d -> -d.fit(words))).toList());
        }
        boolean none = now.isEmpty();
        if (none) {
            now.addAll(all.stream().filter(d -> d.likeness(words) >= ALIKE)
                    .sorted(Comparator.comparingDouble((Action d) -> -d.likeness(words))).limit(MOST_MEANT).toList());
        }
        nothing.setText(!none ? "" : now.isEmpty() ? "Nothing here is called that." : "Nothing here is called that. Did you mean:");
        Panel.present(nothing, none);
        found.getItems().setAll(now);
        if (words.isBlank()) {
            found.getSelectionModel().clearSelection();
        } else {
            found.getSelectionModel().select(0);
        }
        found.scrollTo(0);
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
