package mosspebble.app.proof;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import mosspebble.app.model.Action;
import mosspebble.app.model.Navigator;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.instruments.BenchCamera;

/** A photo of the work held against its plan. */
public final class ProofScreen extends Screen {

    /** Wide enough for what is wrong and how it is mended. */
    private static final double COLUMN = 400;

    private final ProofModel model;

    public ProofScreen(Surroundings with, BenchCamera camera) {
        super(with, Navigator.PROOF, "Against the plan", Stage.BUILD_UP);
        this.model = new ProofModel(with.workbench(), with.results(), with.worker(), camera);
    }

    @Override
    public boolean isAside() {
        return true;
    }

    @Override
    public double columnWidth() {
        return COLUMN;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new ProofPanel(with, model));
    }

    @Override
    protected Optional<Node> makeMiddle() {
        return Optional.of(new ProofView(model));
    }

    @Override
    public void opened() {
        model.opened();
    }

    /** Opens it for the stone on the cloth. */
    public void hold() {
        if (with.workbench().shown().isEmpty()) {
            with.workbench().tell("Put a stone on the cloth first.");
            return;
        }
        go();
    }

    @Override
    public List<Action> actions() {
        return List.of(
                Action.of("Hold a photo against the plan", this::hold).also("check", "compare", "true", "crooked", "straight", "camera"),
                Action.of("Photograph this stone and compare", here(model::take)));
    }
}
