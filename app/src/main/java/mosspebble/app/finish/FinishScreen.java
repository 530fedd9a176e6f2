package mosspebble.app.finish;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.finish.FinishModel.Matter;
import mosspebble.app.model.Action;
import mosspebble.app.model.Opener;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;

/** Sealing, and what goes to paper. */
public final class FinishScreen extends Screen {

    private static final double COLUMN = 340;

    private final FinishModel model;
    private final ClothTool tool;
    private final Runnable intoTheBook;

    /** @param intoTheBook writes the page of the stone on the cloth */
    public FinishScreen(Surroundings with, FinishModel model, ClothTool tool, Runnable intoTheBook) {
        super(with, "finish", "Finish", Stage.FINISH);
        this.model = model;
        this.tool = tool;
        this.intoTheBook = intoTheBook;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new FinishPanel(with, model, (FinishView) middle().orElseThrow(), new Opener(), intoTheBook));
    }

    @Override
    protected Optional<Node> makeMiddle() {
        return Optional.of(new FinishView(with.workbench(), with.results(), with.worker(), model, with.clock()));
    }

    @Override
    public boolean ownsMiddle() {
        return model.matterProperty().get() != Matter.PICTURE && with.workbench().shown().isPresent();
    }

    @Override
    public double columnWidth() {
        return COLUMN;
    }

    @Override
    public Optional<ClothTool> tool() {
        return Optional.of(tool);
    }

    @Override
    public List<Action> actions() {
        List<Action> all = new ArrayList<>();
        all.add(Action.of("Print guide and step cards", on(Matter.SHEETS, "print")).also("paper", "printer"));
        all.add(Action.of("Write guide and step cards (PDF)", on(Matter.SHEETS, "export-sheets")).also("print", "paper", "export"));
        for (FinishModel.Pages pages : FinishModel.Pages.values()) {
            all.add(Action.of("On the table: " + pages.label(), here(() -> {
                model.matterProperty().set(Matter.SHEETS);
                model.pagesProperty().set(pages);
            })).also("print", "paper", "sheets"));
        }
        all.add(Action.of("Write a test sheet for pens under the sealer (PDF)", on(Matter.SHEETS, "export-tests")).also("smear", "test"));
        all.add(Action.of("Write a picture of the stone (PNG)", on(Matter.PICTURE, "export-picture")).also("image", "photo", "export"));
        all.add(Action.of("Write the painting in six moments (PNG)", on(Matter.PICTURE, "export-steps")).also("strip", "steps", "export"));
        all.add(Action.of("Write the design (SVG in mm)", on(Matter.PICTURE, "export-design")).also("vector", "cutter", "export"));
        all.add(Action.of("Write this stone to send it", on(Matter.PICTURE, "export-stone")).also("share", "friend", "export"));
        all.add(Action.of("Write the plan (JSON)", on(Matter.PICTURE, "export-plan")).also("export"));
        for (Matter matter : Matter.values()) {
            all.add(Action.of("Finish: " + matter.label().toLowerCase(Locale.ROOT), here(() -> model.matterProperty().set(matter)))
                    .also(matter.tooltip().toLowerCase(Locale.ROOT).split("[ ,]+")));
        }
        return all;
    }

    /** Goes to a matter and presses what it has there. */
    private Runnable on(Matter matter, String button) {
        return here(() -> {
            model.matterProperty().set(matter);
            column().map(c -> c.lookup("#" + button)).map(Button.class::cast).ifPresent(Button::fire);
        });
    }
}
