package mosspebble.app.sketch;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.screen.Panel;
import mosspebble.core.project.SheetBelow;

/** The picture one goes by: moved, hidden, taken away; not there while there is none. */
final class SheetStrip extends VBox {

    SheetStrip(SheetModel model) {
        super(6);
        setId("sheet-below");
        getStyleClass().add("tracing-paper");
        Label what = new Label();
        what.setId("sheet-what");
        what.setWrapText(true);
        ToggleButton move = new ToggleButton("move it");
        move.setId("sheet-move");
        move.getStyleClass().addAll("pebble", "tight");
        Hint.on(move, "Drag it, its corner sizes and its knob turns it; on the cloth arrows move, [ ] turn, + and - size");
        move.selectedProperty().bindBidirectional(model.movingProperty());
        ToggleButton hide = new ToggleButton("hide");
        hide.setId("sheet-hide");
        hide.getStyleClass().addAll("pebble", "tight");
        Hint.on(hide, "Out of sight for now");
        hide.setOnAction(
                e -> model.change(hide.isSelected() ? "Hide the picture" : "Show the picture", s -> s.withShown(!hide.isSelected())));
        HBox row = new HBox(4, move, hide, Panel.button("sheet-away", "take away", "Off the stone; undo brings it back", model::takeAway));
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(what, row);
        Runnable show = () -> {
            SheetBelow now = model.sheetProperty().get();
            Panel.present(this, now != null);
            what.setText(Optional.ofNullable(now).map(s -> "To go by: " + model.title() + ", " + Math.round(s.wideMm()) + " mm wide")
                    .orElse(""));
            hide.setSelected(now != null && !now.shown());
        };
        model.sheetProperty().addListener((o, before, now) -> show.run());
        show.run();
    }
}
