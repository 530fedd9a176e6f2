package mosspebble.app.finish;

import java.util.List;
import java.util.Optional;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.model.Action;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;

/** Sealing, and what goes to paper. */
public final class FinishScreen extends Screen {

    private final ClothTool tool;

    public FinishScreen(Surroundings with, ClothTool tool) {
        super(with, "finish", "Finish", Stage.FINISH);
        this.tool = tool;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new FinishPanel(with.workbench(), with.results(), with.worker()));
    }

    @Override
    public Optional<ClothTool> tool() {
        return Optional.of(tool);
    }

    @Override
    public List<Action> actions() {
        return List.of(Action.of("Write guide and step cards (PDF)", here(() -> panel().sheets())).also("print", "paper", "export"),
                Action.of("Write a test sheet for pens under the sealer (PDF)", here(() -> panel().testSheet())).also("smear", "test"),
                Action.of("Write a picture of the stone (PNG)", here(() -> panel().picture())).also("image", "photo", "export"),
                Action.of("Write the plan (JSON)", here(() -> panel().json())).also("export"));
    }

    private FinishPanel panel() {
        return (FinishPanel) column().orElseThrow();
    }
}
