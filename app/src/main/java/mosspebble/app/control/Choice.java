package mosspebble.app.control;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** One of a few: a row of pebbles, one pressed; Tab comes to that one, arrows to the others. */
public final class Choice<T> extends VBox {

    private final List<ToggleButton> buttons = new ArrayList<>();
    private final List<T> values = new ArrayList<>();
    private final Row row = new Row();
    private final OneStop stop = OneStop.in(row);
    private final Consumer<T> chosen;
    private final String name;

    public Choice(String name, Consumer<T> chosen) {
        this.chosen = chosen;
        this.name = name;
        getStyleClass().add("choice");
        if (!name.isEmpty()) {
            Label label = new Label(name);
            label.getStyleClass().add("quiet");
            getChildren().add(label);
        }
        row.setPrefWrapLength(160);
        getChildren().add(row);
    }

    /** Its name is spoken, but not written above it: what it is for stands there already. */
    public Choice<T> unlabelled() {
        getChildren().setAll(row);
        return this;
    }

    /** Leads from one page of a column to another: large enough for a hand with paint on it. */
    public static <T> Choice<T> pages(Consumer<T> chosen) {
        Choice<T> pages = new Choice<>("", chosen);
        pages.getStyleClass().add("pages");
        return pages;
    }

    public Choice<T> option(String id, String words, T value, String tooltip) {
        ToggleButton button = new ToggleButton(words);
        button.setId(id);
        button.getStyleClass().add("pebble");
        Hint.on(button, tooltip);
        button.setAccessibleText((name.isEmpty() ? "" : name + ": ") + words);
        button.setOnAction(e -> {
            show(value);
            chosen.accept(value);
        });
        buttons.add(button);
        values.add(value);
        row.getChildren().add(button);
        return this;
    }

    /** As wide as it likes, beside others in a row. */
    public Choice<T> unwrapped() {
        row.inOneRow = true;
        return this;
    }

    /** Shows a value by a drawing; its words are still spoken. */
    public void draw(T value, Node drawing) {
        for (int i = 0; i < buttons.size(); i++) {
            if (Objects.equals(values.get(i), value)) {
                ToggleButton button = buttons.get(i);
                button.setGraphic(drawing);
                button.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
                if (!button.getStyleClass().contains("drawn")) {
                    button.getStyleClass().add("drawn");
                }
            }
        }
    }

    /** Offers a value, or takes it away for now. */
    public void allow(T value, boolean allowed) {
        for (int i = 0; i < buttons.size(); i++) {
            if (Objects.equals(values.get(i), value)) {
                buttons.get(i).setVisible(allowed);
                buttons.get(i).setManaged(allowed);
            }
        }
    }

    public void show(T value) {
        for (int i = 0; i < buttons.size(); i++) {
            boolean is = Objects.equals(values.get(i), value);
            buttons.get(i).setSelected(is);
            if (is) {
                stop.at(buttons.get(i));
            }
        }
    }

    /** Pebbles that would stand in one row, or are broken into rows at a length that is set. */
    private static final class Row extends FlowPane {

        private boolean inOneRow;

        Row() {
            super(4, 4);
        }

        @Override
        protected double computePrefWidth(double height) {
            if (!inOneRow) {
                return super.computePrefWidth(height);
            }
            double wide = getInsets().getLeft() + getInsets().getRight() - getHgap();
            for (Node node : getManagedChildren()) {
                wide += getHgap() + snapSizeX(node.prefWidth(-1));
            }
            return wide;
        }
    }
}
