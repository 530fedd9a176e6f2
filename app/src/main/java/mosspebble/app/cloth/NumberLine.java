package mosspebble.app.cloth;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A number large, its unit small, what it is below. */
public final class NumberLine extends VBox {

    private final Label number = new Label("–");
    private final Label unit = new Label();

    public NumberLine(String id, String what) {
        getStyleClass().add("number-line");
        number.getStyleClass().add("number");
        number.setId(id);
        unit.getStyleClass().add("unit");
        Label label = new Label(what);
        label.getStyleClass().add("quiet");
        HBox row = new HBox(3, number, unit);
        row.setAlignment(Pos.BASELINE_LEFT);
        getChildren().addAll(row, label);
    }

    public void show(String value, String itsUnit) {
        number.setText(value);
        unit.setText(itsUnit);
        number.setAccessibleText(value + " " + itsUnit);
    }
}
