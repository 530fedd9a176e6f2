package mosspebble.app.sitting;

import java.util.List;
import java.util.Optional;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.model.Action;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.instruments.ClimateProbe;

/** The sitting: what is done when, and the room. */
public final class SittingScreen extends Screen {

    private final ClothTool tool;
    private final ClimateProbe probe;

    public SittingScreen(Surroundings with, ClothTool tool, ClimateProbe probe) {
        super(with, "sitting", "Sitting", Stage.SITTING);
        this.tool = tool;
        this.probe = probe;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new SittingPanel(with.workbench(), with.results(), probe));
    }

    @Override
    public Optional<ClothTool> tool() {
        return Optional.of(tool);
    }

    @Override
    public List<Action> actions() {
        return List.of();
    }
}
