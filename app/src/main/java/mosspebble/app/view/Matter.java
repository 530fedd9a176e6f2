package mosspebble.app.view;

import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** One matter of a stage, brought up to date when it is shown. */
abstract class Matter extends VBox {

    Matter() {
        getStyleClass().add("matter");
    }

    abstract void refresh();

    /** Fields side by side, equally wide. */
    static HBox row(Region... fields) {
        HBox row = new HBox(8, fields);
        for (Region field : fields) {
            HBox.setHgrow(field, Priority.ALWAYS);
            field.setPrefWidth(120);
        }
        return row;
    }
}
