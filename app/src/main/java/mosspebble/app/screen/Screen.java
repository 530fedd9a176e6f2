package mosspebble.app.screen;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.model.Action;
import mosspebble.core.finding.Finding.Stage;

/**
 * A stage of the work, or another view that takes the middle of the window: what stands in the middle, what in the column, what can be
 * done. Its parts are made when they are first wanted.
 */
public abstract class Screen {

    private static final double COLUMN = 336;

    protected final Surroundings with;
    private final String id;
    private final String title;
    private final Stage stage;
    private Panel column;
    private Node middle;

    /** @param stage the stage it is, or to which it belongs */
    protected Screen(Surroundings with, String id, String title, Stage stage) {
        this.with = with;
        this.id = id;
        this.title = title;
        this.stage = stage;
    }

    public final String id() {
        return id;
    }

    public final String title() {
        return title;
    }

    public final Stage stage() {
        return stage;
    }

    /** Whether it takes the middle in place of the cloth. */
    public boolean isAside() {
        return false;
    }

    /** What can be done here, or with what belongs here. */
    public abstract List<Action> actions();

    /** What the hand does on the cloth; empty where the cloth is not in the middle. */
    public Optional<ClothTool> tool() {
        return Optional.empty();
    }

    /** How wide its column is, px. */
    public double columnWidth() {
        return COLUMN;
    }

    /** Makes the column; empty for a view that leaves the stage's in place. */
    protected abstract Optional<Panel> makeColumn();

    /** Makes what takes the middle; empty for the cloth. */
    protected Optional<Node> makeMiddle() {
        return Optional.empty();
    }

    /** Whether what it has for the middle stands there at the moment, in place of the cloth. */
    public boolean ownsMiddle() {
        return true;
    }

    /** Called when it was gone to. */
    public void opened() {}

    /** Called when its middle was made before it was gone to. */
    public void getReady() {}

    public final Optional<Panel> column() {
        if (column == null) {
            column = makeColumn().orElse(null);
        }
        return Optional.ofNullable(column);
    }

    public final Optional<Node> middle() {
        if (middle == null) {
            middle = makeMiddle().orElse(null);
        }
        return Optional.ofNullable(middle);
    }

    /** Whether its parts have been made. */
    public final boolean isMade() {
        return middle != null;
    }

    /** Goes there. */
    public final void go() {
        if (isAside()) {
            with.navigator().go(stage, id);
        } else {
            with.navigator().go(stage);
        }
    }

    /** An action that first goes there, and is done as soon as everything is there. */
    protected final Runnable here(Runnable run) {
        return () -> {
            go();
            with.navigator().whenThere(run);
        };
    }

    protected final boolean isHere() {
        return isAside() ? with.navigator().asideProperty().get().equals(id) : with.navigator().at(stage);
    }
}
