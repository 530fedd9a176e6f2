package mosspebble.app.compare;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.ImageView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import mosspebble.app.control.Hint;
import mosspebble.app.buildup.HabitsPage;
import mosspebble.app.cloth.OtherSideView;
import mosspebble.app.cloth.StoneImage;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.picture.Differences;
import mosspebble.core.picture.EdgePicture;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.PlanFigures;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Numbers;

/**
 * Two ways to work on the same stone side by side: as it is planned, and with one habit changed; picture, coats, film, hand time, waiting,
 * paint.
 */
public final class CompareView extends BorderPane {

    private static final double PIXELS_PER_MM = 3;

    /** One side worked out. */
    /** Cells along the edge. */
    private static final int EDGE_COLUMNS = 184;

    /** So many places are circled where two ways do not look alike, none smaller than that, px. */
    private static final int CIRCLES = 4;
    private static final double RING = 12;

    private record Side(PaintPlan plan, PlanFigures figures, Results.Lit lit, Optional<Results.Lit> back,
            Optional<EdgePicture> edge) {}

    private final Workbench workbench;
    private final PlanWorker desk;
    private final PlanWorker.Line line = new PlanWorker.Line();
    private final FlowPane choices = new FlowPane(5, 5);
    private final FlowPane answers = new FlowPane(5, 5);
    private final HBox pictures = new HBox(20);
    private final GridPane table = new GridPane();
    private final Button take;
    private Habits other = Habits.usual();
    private String changed = "";
    private HabitsPage.Question<?> question = HabitsPage.QUESTIONS.get(1);

    public CompareView(Workbench workbench, PlanWorker desk, Runnable close) {
        this.workbench = workbench;
        this.desk = desk;
        setId("compare-view");
        getStyleClass().addAll("basket", "planks");
        VBox top = new VBox(7, choices, answers);
        top.getStyleClass().add("planks-top");
        answers.setMinHeight(28);
        setTop(top);
        pictures.setAlignment(Pos.CENTER);
        for (int i = 0; i < 3; i++) {
            ColumnConstraints column = new ColumnConstraints();
            column.setPercentWidth(i == 1 ? 30 : 35);
            column.setHalignment(i == 0 ? HPos.RIGHT : i == 1 ? HPos.CENTER : HPos.LEFT);
            table.getColumnConstraints().add(column);
        }
        table.setVgap(3);
        table.setMaxWidth(640);
        table.setId("compare-table");
        take = Panel.button("compare-take", "Work the right way", "Takes the habit of the right side", this::take);
        take.getStyleClass().add("main");
        Button back = Panel.button("compare-back", "Leave it as it is", "Nothing changes (Escape)", close);
        HBox buttons = new HBox(8, take, back);
        buttons.setAlignment(Pos.CENTER);
        VBox below = new VBox(10, table, buttons);
        below.setAlignment(Pos.CENTER);
        below.setStyle("-fx-padding: 2 20 14 20;");
        setCenter(pictures);
        setBottom(below);
    }

    /** Shown anew: the other school of the first question whose answer makes a difference. */
    public void open() {
        workbench.shown().ifPresent(p -> ask(question));
    }

    private <T> void ask(HabitsPage.Question<T> asked) {
        question = asked;
        Habits now = workbench.shown().orElseThrow().habits();
        T current = asked.get().apply(now);
        HabitsPage.Answer<T> another = asked.answers().stream().filter(a -> !a.value().equals(current)).findFirst().orElseThrow();
        answer(asked, another);
    }

    private <T> void answer(HabitsPage.Question<T> asked, HabitsPage.Answer<T> answer) {
        Habits now = workbench.shown().orElseThrow().habits();
        UnaryOperator<Habits> change = asked.set().apply(answer.value());
        other = change.apply(now);
        changed = asked.title() + ": " + answer.words();
        choices.getChildren().clear();
        answers.getChildren().clear();
        for (HabitsPage.Question<?> each : HabitsPage.QUESTIONS) {
            choices.getChildren().add(choice("compare-" + each.id(), each.title(), "Compares this habit", each == asked, () -> ask(each)));
        }
        T current = asked.get().apply(now);
        Label against = new Label("as planned against");
        against.getStyleClass().add("quiet");
        answers.getChildren().add(against);
        for (HabitsPage.Answer<T> each : asked.answers()) {
            if (!each.value().equals(current)) {
                answers.getChildren()
                        .add(choice("against-" + each.id(), each.words(), each.tooltip(), each == answer, () -> answer(asked, each)));
            }
        }
        String own = asked.answers().stream().filter(a -> a.value().equals(current)).map(HabitsPage.Answer::words).findFirst()
                .orElse("as it is");
        work(asked.title() + ": " + own);
    }

    private static ToggleButton choice(String id, String words, String tooltip, boolean chosen, Runnable action) {
        ToggleButton button = new ToggleButton(words);
        button.setId(id);
        button.getStyleClass().addAll("pebble", "tight");
        Hint.on(button, tooltip);
        button.setSelected(chosen);
        button.setOnAction(e -> action.run());
        return button;
    }

    private void work(String ownTitle) {
        Project project = workbench.shown().orElseThrow();
        Studio studio = workbench.studio();
        Habits right = other;
        desk.ask(line, d -> {
            Side left = side(d, project, studio);
            Side there = side(d, project.withHabits(right), studio);
            return new Both(left, there, Differences.of(left.lit.moment().of(), there.lit.moment().of(), CIRCLES));
        }, both -> show(both, ownTitle));
    }

    /** Two ways, and where their stones do not look alike. */
    private record Both(Side left, Side right, List<Differences.Place> apart) {}

    private static Side side(PlanWorker desk, Project project, Studio studio) {
        PaintPlan plan = desk.plan(project, studio);
        PaintPlan turned = plan.turnedOver();
        return new Side(plan, PlanFigures.of(plan, studio.shelf()), lit(desk, plan), plan.below().map(b -> lit(desk, turned)),
                plan.edge().map(e -> new EdgePicture(plan, EDGE_COLUMNS, StoneState.SEALED)));
    }

    private static Results.Lit lit(PlanWorker desk, PaintPlan plan) {
        StonePicture picture = desk.picture(plan, PIXELS_PER_MM, StoneState.SEALED);
        return desk.lit(Results.Moment.after(picture.steps(), picture, plan.project().habits().light().from()));
    }

    private void show(Both both, String ownTitle) {
        Side left = both.left;
        Side right = both.right;
        pictures.getChildren().setAll(picture(left, ownTitle, both.apart), picture(right, changed, both.apart));
        table.getChildren().clear();
        PlanFigures a = left.figures;
        PlanFigures b = right.figures;
        row(0, "steps that lay paint", String.valueOf(a.steps()), String.valueOf(b.steps()), b.steps() - a.steps());
        row(1, "coats", String.valueOf(a.coats()), String.valueOf(b.coats()), b.coats() - a.coats());
        row(2, "thickest film", Numbers.text(a.thickestUm(), 0) + " µm", Numbers.text(b.thickestUm(), 0) + " µm",
                b.thickestUm() - a.thickestUm());
        row(3, "hand time", Durations.words(a.hand()), Durations.words(b.hand()), b.hand().compareTo(a.hand()));
        row(4, "waiting while painting", Durations.words(a.waiting()), Durations.words(b.waiting()), b.waiting().compareTo(a.waiting()));
        row(5, "paint", Numbers.text(a.paintMl(), 1) + " ml", Numbers.text(b.paintMl(), 1) + " ml", b.paintMl() - a.paintMl());
        if (a.cost() > 0 || b.cost() > 0) {
            row(6, "cost", Numbers.money(a.cost()), Numbers.money(b.cost()), b.cost() - a.cost());
        }
        take.setText("Work the right way: " + changed.toLowerCase(Locale.ROOT));
        take.setDisable(false);
    }

    private void row(int row, String what, String left, String right, double difference) {
        Label one = new Label(left);
        Label name = new Label(what);
        Label there = new Label(right);
        name.getStyleClass().add("quiet");
        name.setWrapText(true);
        name.setMinHeight(Region.USE_PREF_SIZE);
        one.getStyleClass().add(difference > 1e-9 ? "moss" : "value");
        there.getStyleClass().add(difference < -1e-9 ? "moss" : "value");
        one.setId("compare-left-" + row);
        there.setId("compare-right-" + row);
        table.addRow(row, one, name, there);
    }

    private Node picture(Side side, String title, List<Differences.Place> apart) {
        ImageView image = still(side.lit, 390, 290);
        Label words = new Label(title);
        words.getStyleClass().add("step-title");
        Pane rings = new Pane();
        double scale = image.getLayoutBounds().getWidth() / image.getImage().getWidth();
        rings.setMaxSize(image.getLayoutBounds().getWidth(), image.getLayoutBounds().getHeight());
        for (Differences.Place place : apart) {
            Circle ring = new Circle(place.x() * scale, place.y() * scale, Math.max(RING, place.radius() * scale));
            ring.getStyleClass().add("apart");
            rings.getChildren().add(ring);
        }
        StackPane frame = new StackPane(image, rings);
        frame.setMinSize(390, 292);
        HBox others = new HBox(8);
        others.setAlignment(Pos.CENTER);
        side.back.ifPresent(back -> others.getChildren().addAll(still(back, 62, 46), Panel.quiet("the other face")));
        side.edge.ifPresent(edge -> others.getChildren().addAll(OtherSideView.strip(edge, side.plan.steps().size()),
                Panel.quiet("edge, unrolled")));
        others.setVisible(!others.getChildren().isEmpty());
        others.setManaged(others.isVisible());
        VBox box = new VBox(6, words, frame, others);
        box.setAlignment(Pos.CENTER);
        HBox.setHgrow(box, Priority.NEVER);
        return box;
    }

    private static ImageView still(Results.Lit lit, double wide, double high) {
        ImageView image = new ImageView(StoneImage.still(lit));
        image.setPreserveRatio(true);
        image.setFitWidth(wide);
        image.setFitHeight(high);
        return image;
    }

    private void take() {
        Habits right = other;
        workbench.edit(changed, p -> p.withHabits(right));
        open();
    }
}
