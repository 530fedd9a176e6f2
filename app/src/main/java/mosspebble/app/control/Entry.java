package mosspebble.app.control;

import java.util.Optional;
import java.util.function.Supplier;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.Region;
import javafx.scene.layout.Priority;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;

/**
 * A labelled field for something typed. What is typed is accepted by Enter or on leaving; if it is refused, the reason stands below and the
 * text stays. Escape brings the
 * old text back.
 */
public final class Entry extends VBox {

    private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");

    /** Takes what was typed; answers with the reason if it is refused. */
    public interface Accept {
        Optional<String> accept(String text);
    }

    /** Steps the value by so many units, for arrow keys and wheel. */
    public interface Step {
        void by(int steps);
    }

    private final TextField field = new TextField();
    private final Label problem = new Label();
    private final Supplier<String> current;
    private final Accept accept;

    public Entry(String id, String name, String tooltip, Supplier<String> current, Accept accept) {
        this.current = current;
        this.accept = accept;
        getStyleClass().add("entry");
        Label label = new Label(name);
        label.getStyleClass().add("quiet");
        label.setWrapText(true);
        label.setLabelFor(field);
        field.setId(id);
        field.setAccessibleText(name);
        Hint.on(field, tooltip);
        problem.setId(id + "-problem");
        problem.getStyleClass().add("problem");
        problem.setWrapText(true);
        problem.setVisible(false);
        problem.setManaged(false);
        field.setOnAction(e -> commit());
        field.focusedProperty().addListener((o, before, now) -> {
            if (!now) {
                commit();
            }
        });
        field.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                refuse("");
                field.setText(current.get());
                field.selectAll();
                e.consume();
            }
        });
        getChildren().addAll(label, field, problem);
        refresh();
    }

    /** Fields beside one another; what is wrong with one stands on a full line below all of them. */
    public static VBox row(Region... fields) {
        HBox side = new HBox(8, fields);
        VBox row = new VBox(3, side);
        for (Region field : fields) {
            HBox.setHgrow(field, Priority.ALWAYS);
            if (field instanceof Entry entry) {
                entry.getChildren().remove(entry.problem);
                row.getChildren().add(entry.problem);
            }
        }
        return row;
    }

    /** Lets the arrow keys and the wheel step the value. */
    public Entry stepping(Step step) {
        field.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN) {
                step.by((e.getCode() == KeyCode.UP ? 1 : -1) * (e.isShiftDown() ? 5 : 1));
                field.setText(current.get());
                e.consume();
            }
        });
        field.setOnScroll(e -> {
            if (field.isFocused() && e.getDeltaY() != 0) {
                step.by(e.getDeltaY() > 0 ? 1 : -1);
                field.setText(current.get());
                e.consume();
            }
        });
        return this;
    }

    private void commit() {
        if (field.getText().equals(current.get())) {
            refuse("");
            return;
        }
        Optional<String> reason = accept.accept(field.getText());
        refuse(reason.orElse(""));
        if (reason.isEmpty()) {
            field.setText(current.get());
        }
    }

    private void refuse(String reason) {
        problem.setText(reason);
        problem.setVisible(!reason.isEmpty());
        problem.setManaged(!reason.isEmpty());
        field.pseudoClassStateChanged(REFUSED, !reason.isEmpty());
        field.setAccessibleHelp(reason);
    }

    /** What stands there as long as nothing does. */
    public void prompt(String words) {
        field.setPromptText(words);
    }

    /** Shows the current value, unless something refused is still standing there. */
    public void refresh() {
        if (!field.isFocused() && problem.getText().isEmpty()) {
            field.setText(current.get());
        }
    }

    /** Shows the current value whatever stands there. */
    public void reset() {
        refuse("");
        field.setText(current.get());
    }
}
