package mosspebble.app.compare;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import mosspebble.app.model.Action;
import mosspebble.app.model.Navigator;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;

/** Two habits of the stone on the cloth, side by side. */
public final class CompareScreen extends Screen {

    public CompareScreen(Surroundings with) {
        super(with, Navigator.COMPARE, "Build-up", Stage.BUILD_UP);
    }

    @Override
    public boolean isAside() {
        return true;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.empty();
    }

    @Override
    protected Optional<Node> makeMiddle() {
        return Optional.of(new CompareView(with.workbench(), with.worker(), with::back));
    }

    @Override
    public void opened() {
        ((CompareView) middle().orElseThrow()).open();
    }

    /** Opens it for the stone on the cloth. */
    public void compare() {
        if (with.workbench().shown().isEmpty()) {
            with.workbench().tell("Put a stone on the cloth first.");
            return;
        }
        go();
    }

    @Override
    public List<Action> actions() {
        return List.of(Action.of("Compare two habits", this::compare).key("C").also("schools", "side by side"));
    }
}
