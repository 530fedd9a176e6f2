package mosspebble.app.stone;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.cloth.SliceLine;
import mosspebble.app.model.Action;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.project.Project;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Shape;
import mosspebble.instruments.KitchenScale;

/** The stone: its outline, dome, skin and marks. */
public final class StoneScreen extends Screen {

    private final StoneModel model = new StoneModel();
    private final StoneTool tool;
    private final KitchenScale scale;

    public StoneScreen(Surroundings with, SliceLine line, KitchenScale scale) {
        super(with, "stone", "Stone", Stage.STONE);
        this.scale = scale;
        this.tool = new StoneTool(with.workbench(), with.results(), model, line);
    }

    public StoneModel model() {
        return model;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new StonePanel(with, model, scale));
    }

    @Override
    public Optional<ClothTool> tool() {
        return Optional.of(tool);
    }

    @Override
    public List<Action> actions() {
        List<Action> all = new ArrayList<>();
        all.add(Action.of("Turn the stone a quarter", () -> ((StonePanel) column().orElseThrow()).turn()).key("R").also("rotate",
                "way up"));
        all.add(Action.of("Turn the stone over", () -> with.workbench().edit("Turn the stone over", Project::turnedOver)).key("V")
                .also("other side", "back", "flip"));
        for (StoneModel.Page page : StoneModel.Page.values()) {
            all.add(Action.of("Stone: " + page.label().toLowerCase(Locale.ROOT), here(() -> model.pageProperty().set(page))));
        }
        for (Form form : Form.values()) {
            all.add(Action
                    .of("Stone form: " + form.label(),
                            () -> with.workbench().edit("Form", p -> p.withStone(p.stone().withShape(new Shape.Grown(form, 0.85, 0.2)))))
                    .also("shape"));
        }
        return all;
    }
}
