package mosspebble.app.model;

import java.util.ArrayList;
import java.util.List;
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
    private final List<Runnable> whenThere = new ArrayList<>();
    private boolean underWay;
    private boolean goesOn;

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
        goesOn = true;
        workbench.stageProperty().set(stage);
        goesOn = false;
        aside.set(view);
    }

    /** Whether the stage is passed through on the way to a view. */
    public boolean goesOn() {
        return goesOn;
    }

    /** Back to the cloth. */
    public void back() {
        aside.set("");
    }

    /** What was gone to is named, but not there yet. */
    public void setOut() {
        underWay = true;
    }

    /** What was gone to is there; what waited for it is done. */
    public void arrive() {
        underWay = false;
        List<Runnable> now = List.copyOf(whenThere);
        whenThere.clear();
        now.forEach(Runnable::run);
    }

    /** Does something when what was gone to is there, now if it is. */
    public void whenThere(Runnable what) {
        if (underWay) {
            whenThere.add(what);
        } else {
            what.run();
        }
    }

    public boolean onCloth() {
        return aside.get().isEmpty();
    }

    public boolean at(Stage stage) {
        return onCloth() && workbench.stageProperty().get() == stage;
    }
}
