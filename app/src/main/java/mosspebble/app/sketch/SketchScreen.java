package mosspebble.app.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.stage.FileChooser;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.model.Action;
import mosspebble.app.model.Navigator;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;

/** The sketch: what lies on the stone, and how. */
public final class SketchScreen extends Screen {

    private final SketchModel model;
    private final TracingModel tracing;
    private final SheetModel sheets;
    private final SketchTool tool;

    public SketchScreen(Surroundings with) {
        super(with, "sketch", "Sketch", Stage.SKETCH);
        this.model = new SketchModel(with.workbench(), with.worker(), with.results());
        this.tracing = new TracingModel(with.workbench(), with.worker());
        this.sheets = new SheetModel(with.workbench(), with.files());
        this.tool = new SketchTool(with.workbench(), with.results(), model, sheets, with.worker());
    }

    public SheetModel sheets() {
        return sheets;
    }

    /** Asks for a drawing or photo to go by. */
    private void goBy() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("A drawing or photo to go by");
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Pictures", "*.png", "*.jpg", "*.jpeg"));
        Optional.ofNullable(chooser.showOpenDialog(column().orElseThrow().getScene().getWindow())).ifPresent(f -> sheets.bring(f.toPath()));
    }

    public TracingModel tracing() {
        return tracing;
    }

    public SketchModel model() {
        return model;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new SketchPanel(with.workbench(), with.results(), new SketchPanel.Models(model, tracing, sheets), this::library,
                this::goBy));
    }

    @Override
    public Optional<ClothTool> tool() {
        return Optional.of(tool);
    }

    /** The library lies open until something is chosen. */
    private void library() {
        if (with.workbench().shown().isEmpty()) {
            with.workbench().tell("Put a stone on the cloth first.");
            return;
        }
        with.navigator().go(Stage.SKETCH, Navigator.LIBRARY);
    }

    private SketchPanel panel() {
        go();
        return (SketchPanel) column().orElseThrow();
    }

    private void takeAway() {
        if (!tool.pointAway()) {
            model.takeAway();
        }
    }

    private void pencil() {
        model.pencilProperty().set(!model.pencilProperty().get());
        with.toCloth().run();
    }

    @Override
    public List<Action> actions() {
        List<Action> all = new ArrayList<>();
        all.add(Action.of("Fit the design to the face", model::fit).key("F").also("centre", "largest"));
        all.add(Action.of("Sketch: fit beside the others", model::fitBeside).key("Shift F"));
        all.add(Action.of("Sketch: add something from the library", () -> panel().add()).key("A").where(this::isHere).also("subject",
                "motif", "new"));
        all.add(Action.of("Sketch: exchange the thing in hand", () -> panel().exchange()).key("X").where(this::isHere).also("replace",
                "another"));
        all.add(Action.of("Sketch: take up the pencil", here(this::pencil)).key("Q").where(this::isHere).also("draw", "freehand"));
        all.add(Action.of("Sketch: twin of the thing in hand", here(model::twin)).key("D").where(this::isHere).also("copy", "duplicate"));
        all.add(Action.of("Sketch: trace the thing in hand", here(tracing::traceThing)).key("Ctrl C").where(this::isHere)
                .also("copy", "take along", "tracing paper"));
        all.add(Action.of("Sketch: trace all of the face", here(tracing::traceAll)).key("Ctrl Shift C").where(this::isHere)
                .also("copy", "design", "template"));
        all.add(Action.of("Sketch: lay the tracing on this stone", here(tracing::layOn)).key("Ctrl V").where(this::isHere)
                .also("paste", "another stone", "template"));
        all.add(Action
                .of("Sketch: move the picture to go by", here(() -> sheets.movingProperty().set(sheets.sheetProperty().get() != null)))
                .also("drawing", "photo", "template", "underlay"));
        all.add(Action.of("Sketch: take the picture to go by away", here(sheets::takeAway)).also("drawing", "photo"));
        all.add(Action.of("Sketch: mirror", here(model::mirror)).key("M").where(this::isHere).also("flip"));
        all.add(Action.of("Sketch: group with the next, or take the group apart", here(model::group)).key("G").where(this::isHere));
        all.add(Action.of("Sketch: nearer the front", here(() -> model.order(1))).key("K").where(this::isHere).also("above"));
        all.add(Action.of("Sketch: farther back", here(() -> model.order(-1))).key("J").where(this::isHere).also("below"));
        all.add(Action.of("Sketch: take it away", here(this::takeAway)).key("Delete").where(this::isHere).also("remove", "delete"));
        all.add(Action.of("Sketch: onto the upright middle line", here(() -> model.align(true, false, false))));
        all.add(Action.of("Sketch: onto the level middle line", here(() -> model.align(false, true, false))));
        all.add(Action.of("Sketch: along the stone's long axis", here(() -> model.align(true, true, true))));
        all.add(Action.of("Sketch: eye or centre onto a bump or dent", here(model::onMark)));
        all.add(Action.of("Sketch: hide a bad spot", here(model::coverMark)));
        all.add(Action.of("Sketch: five of it, scattered", here(() -> model.several(5, false))));
        all.add(Action.of("Sketch: seven of it in a ring", here(() -> model.several(7, true))));
        for (SketchPanel.Page page : SketchPanel.Page.values()) {
            all.add(Action.of("Sketch: " + page.label().toLowerCase(Locale.ROOT), () -> panel().pageProperty().set(page)));
        }
        all.add(Action.of("Sketch: best line breaks", here(model::bestBreak)));
        return all;
    }
}
