package mosspebble.app.sitting;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.model.Action;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.instruments.ClimateProbe;

/** The sitting: what is done when on all stones in hand, and the help at the table. */
public final class SittingScreen extends Screen {

    private static final double COLUMN = 320;

    private final SittingModel model;
    private final ClimateProbe probe;
    private final ClothTool tool;
    private final Runnable sitDown;

    /** @param sitDown opens what helps at the table */
    public SittingScreen(Surroundings with, SittingModel model, ClimateProbe probe, ClothTool tool, Runnable sitDown) {
        super(with, "sitting", "Sitting", Stage.SITTING);
        this.model = model;
        this.probe = probe;
        this.tool = tool;
        this.sitDown = sitDown;
    }

    @Override
    public Optional<ClothTool> tool() {
        return Optional.of(tool);
    }

    @Override
    public double columnWidth() {
        return COLUMN;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new SittingPanel(with.workbench(), with.results(), model, probe, with.files()));
    }

    @Override
    protected Optional<Node> makeMiddle() {
        return Optional.of(new HemView(model, with.results(), with.worker(), probe, sitDown));
    }

    @Override
    public void opened() {
        model.activate();
        ((HemView) middle().orElseThrow()).open();
    }

    private Runnable page(SittingPanel.Page page) {
        return here(() -> ((SittingPanel) column().orElseThrow()).pageProperty().set(page));
    }

    @Override
    public List<Action> actions() {
        return List.of(Action.of("Sitting: who is ready when", page(SittingPanel.Page.READY)).also("due", "deadline", "late"),
                Action.of("Sitting: week and room", page(SittingPanel.Page.WEEK)).also("hours", "evenings", "calendar", "schedule"),
                Action.of("Show what your times have taught", here(() -> ((HemView) middle().orElseThrow()).learnt()))
                        .also("learn", "speed", "drying time"),
                Action.of("Say what the room is like on one day", here(() -> ((HemView) middle().orElseThrow()).room()))
                        .also("temperature", "humidity", "cold", "damp", "shed"),
                Action.of("Sit down and work along", here(sitDown)).key("O").also("work", "timer", "start", "paint now"));
    }
}
