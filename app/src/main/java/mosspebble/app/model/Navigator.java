package mosspebble.app.model;

import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import mosspebble.core.finding.Finding.Stage;

/** Where the painter is: at a stage, with the cloth in the middle, or aside of it with another view in the middle. */
public final class Navigator {

    /** Views that take the middle. */
    public static final String PHOTO = "photo";
    public static final String BASKET = "basket";
    public static final String LIBRARY = "library";
    public static final String SHELF = "shelf";
    public static final String COMPARE = "compare";
    public static final String BOOK = "book";
    public static final String PROOF = "proof";

    private final Workbench workbench;
    private final ReadOnlyStringWrapper aside = new ReadOnlyStringWrapper("");

    public Navigator(Workbench workbench) {
        this.workbench = workbench;
        workbench.stageProperty().addListener((o, a, b) -> aside.set(""));
    }

    /** Id of the view that takes the middle; empty while the cloth does. */
    public ReadOnlyStringProperty asideProperty() {
        return aside.getReadOnlyProperty();
    }

    /** Goes to a stage, with the cloth in the middle. */
    public void go(Stage stage) {
        workbench.stageProperty().set(stage);
        aside.set("");
    }

    /** Goes to a view that takes the middle of a stage. */
    public void go(Stage stage, String view) {
        workbench.stageProperty().set(stage);
        aside.set(view);
    }

    /** Back to the cloth. */
    public void back() {
        aside.set("");
    }

    public boolean onCloth() {
        return aside.get().isEmpty();
    }

    public boolean at(Stage stage) {
        return onCloth() && workbench.stageProperty().get() == stage;
    }
}
