package mosspebble.app.screen;

import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Entry;

/** One matter of a stage, brought up to date when it is shown. */
public abstract class PageView extends VBox {

    public PageView() {
        getStyleClass().add("matter");
    }

    public abstract void refresh();

    /** Fields side by side, equally wide. */
    public static VBox row(Region... fields) {
        for (Region field : fields) {
            field.setPrefWidth(120);
        }
        return Entry.row(fields);
    }
}
