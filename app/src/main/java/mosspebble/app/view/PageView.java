package mosspebble.app.view;

import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** One matter of a stage, brought up to date when it is shown. */
abstract class PageView extends VBox {

    PageView() {
        getStyleClass().add("matter");
    }

    abstract void refresh();

    /** Fields side by side, equally wide. */
    static VBox row(Region... fields) {
        for (Region field : fields) {
            field.setPrefWidth(120);
        }
        return Entry.row(fields);
    }
}
