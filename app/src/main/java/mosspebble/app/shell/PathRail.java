package mosspebble.app.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.shape.SVGPath;
import mosspebble.app.control.Hint;
import mosspebble.app.control.OneStop;
import mosspebble.app.control.Swatch;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;

/** The stages as stepping stones that climb from the bottom to the top; each tells whether it is settled, open or has something to mind. */
final class PathRail extends Pane {

    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final PseudoClass SETTLED = PseudoClass.getPseudoClass("settled");

    private record Stone(Stage stage, String name, String path, double shift) {}

    private static final List<Stone> STONES = List.of(
            new Stone(Stage.STONE, "Stone", "M4 22 C2 9 20 2 42 3 C66 4 82 12 80 26 C78 42 62 48 40 47 C18 47 6 38 4 22 Z", -5),
            new Stone(Stage.SKETCH, "Sketch", "M6 28 C4 12 22 4 38 5 C58 3 78 6 79 22 C80 38 66 49 44 46 C24 48 8 44 6 28 Z", 5),
            new Stone(Stage.COLOUR, "Colour", "M3 24 C6 8 24 6 40 3 C60 2 80 14 78 28 C76 44 56 46 42 48 C20 48 2 42 3 24 Z", -4),
            new Stone(Stage.BUILD_UP, "Build-up", "M5 20 C8 5 30 3 46 4 C68 5 82 16 79 30 C74 46 54 48 38 47 C16 46 3 38 5 20 Z", 6),
            new Stone(Stage.SITTING, "Sitting", "M4 26 C3 12 18 3 40 4 C62 2 81 10 80 25 C80 41 62 47 44 47 C22 49 5 42 4 26 Z", -5),
            new Stone(Stage.FINISH, "Finish", "M8 24 C8 8 26 3 44 4 C64 4 77 12 77 25 C77 40 62 48 42 47 C22 47 8 40 8 24 Z", 4));

    private final Workbench workbench;
    private final Results show;
    private final List<Button> buttons = new ArrayList<>();
    private final OneStop stop;
    private final List<Label> slips = new ArrayList<>();
    private final List<Circle> dabs = new ArrayList<>();

    PathRail(Workbench workbench, Results show) {
        this.workbench = workbench;
        this.show = show;
        setId("path");
        getStyleClass().add("path");
        setMinWidth(116);
        setPrefWidth(116);
        for (int i = 0; i < STONES.size(); i++) {
            getChildren().add(button(STONES.get(i), i + 1));
        }
        stop = OneStop.upward(this);
        workbench.stageProperty().addListener((o, a, b) -> refresh());
        show.planProperty().addListener((o, a, b) -> refresh());
        refresh();
    }

    private Button button(Stone stone, int key) {
        SVGPath shape = new SVGPath();
        shape.setContent(stone.path());
        shape.getStyleClass().add("path-stone");
        SVGPath sheen = new SVGPath();
        sheen.setContent("M16 16 C22 9 36 7 48 8");
        sheen.getStyleClass().add("path-sheen");
        Circle dab = new Circle(70, 13, 5, Color.TRANSPARENT);
        dab.getStyleClass().add("path-dab");
        Label name = new Label(stone.name());
        name.getStyleClass().add("path-name");
        Label slip = new Label();
        slip.getStyleClass().add("slip");
        StackPane.setAlignment(slip, Pos.TOP_LEFT);
        StackPane.setMargin(slip, new Insets(0, 0, 0, 6)); // within the rail
        Group pebble = new Group(shape, sheen, dab);
        pebble.setScaleX(1.18);
        pebble.setScaleY(1.22);
        Label number = new Label(String.valueOf(key)); // the path is read from the bottom
        number.getStyleClass().add("path-number");
        HBox words = new HBox(5, number, name);
        words.setAlignment(Pos.CENTER);
        StackPane picture = new StackPane(new Group(pebble), words, slip);
        Button button = new Button();
        button.setGraphic(picture);
        button.setId("stage-" + stone.stage().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        button.getStyleClass().add("path-button");
        Hint.on(button, stone.name() + " (" + key + ")");
        button.setOnAction(e -> workbench.stageProperty().set(stone.stage()));
        buttons.add(button);
        slips.add(slip);
        dabs.add(dab);
        return button;
    }

    private void refresh() {
        PaintPlan plan = show.plan();
        for (int i = 0; i < STONES.size(); i++) {
            Stage stage = STONES.get(i).stage();
            long count = plan == null ? 0
                    : plan.findings().stream().filter(f -> f.stage() == stage && f.weight() != Finding.Weight.TIP).count();
            boolean settled = plan != null && count == 0 && (stage == Stage.STONE || !plan.steps().isEmpty());
            boolean current = workbench.stageProperty().get() == stage;
            buttons.get(i).pseudoClassStateChanged(CURRENT, current);
            if (current) {
                stop.at(buttons.get(i));
            }
            buttons.get(i).pseudoClassStateChanged(SETTLED, settled);
            slips.get(i).setText(count == 0 ? "" : String.valueOf(count));
            slips.get(i).setVisible(count > 0);
            dabs.get(i).setVisible(settled);
            if (settled) {
                dabs.get(i).setFill(mainColour(plan));
            }
            buttons.get(i).setAccessibleText(
                    "Stage " + STONES.get(i).name() + (count > 0 ? ", " + count + " to mind" : settled ? ", settled" : ", open"));
        }
    }

    /** The colour of the largest painted area, or of the stone. */
    private static Color mainColour(PaintPlan plan) {
        return plan.steps().stream().filter(o -> o.kind() == Step.Kind.FILL || o.kind() == Step.Kind.GROUND)
                .max((a, b) -> Double.compare(a.work().areaMm2(), b.work().areaMm2())).flatMap(o -> o.coat())
                .map(c -> Swatch.colour(c.swatch()))
                .orElse(Swatch.colour(plan.survey().stone().colour()));
    }

    @Override
    protected void layoutChildren() {
        double step = Math.min(96, (getHeight() - 40) / STONES.size());
        double start = getHeight() - Math.max(14, (getHeight() - step * STONES.size()) / 2) - 78;
        for (int i = 0; i < buttons.size(); i++) {
            Button button = buttons.get(i);
            button.autosize();
            button.relocate((getWidth() - button.getWidth()) / 2 + STONES.get(i).shift(), start - i * step);
        }
    }
}
