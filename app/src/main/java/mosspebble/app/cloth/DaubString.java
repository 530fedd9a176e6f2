package mosspebble.app.cloth;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Circle;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Swatch;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.colour.Lab;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.StepWords;

/**
 * The whole painting as a string of daubs below the stone: one for each pass in its own colour, a ring for every coat after the first, a
 * length of thread for a wait. A click takes that moment in hand; a daub that is dragged moves its pass.
 */
public final class DaubString extends HBox {

    private static final double LARGEST = 26;
    private static final double SMALLEST = 13;
    /** A hand with paint on it finds it. */
    private static final double HIGH = 36;
    private static final double THREAD = 12;
    private static final double SHORTEST = 3;
    private static final double GAP = 2;

    /** A wait shorter than this is no gap: the hand is busy with something small meanwhile. */
    private static final Duration SHOWN = Duration.ofMinutes(8);

    private final Workbench workbench;
    private final Results show;
    private List<Step> shows = List.of();
    private double size;
    private double thread;
    private int dragged = -1;

    public DaubString(Workbench workbench, Results show) {
        this.workbench = workbench;
        this.show = show;
        setId("daubs");
        getStyleClass().add("daubs");
        setAlignment(Pos.CENTER_LEFT);
        setSpacing(GAP);
        setMinWidth(0);
        workbench.stepProperty().addListener((o, a, b) -> mark());
        widthProperty().addListener((o, a, b) -> refresh());
    }

    /** Shows the plan of what is shown. */
    public void refresh() {
        PaintPlan plan = show.plan();
        List<Step> now = plan == null ? List.of() : plan.steps();
        if (fit(plan, now) || now != shows) {
            shows = now;
            getChildren().clear();
            string(plan);
        }
        mark();
    }

    /** How large each daub is and how long the threads between them; answers whether that changed. */
    private boolean fit(PaintPlan plan, List<Step> steps) {
        double sizeBefore = size;
        double threadBefore = thread;
        long waits = 0;
        for (int i = 1; i < steps.size(); i++) {
            waits += waited(plan, i).compareTo(SHOWN) >= 0 ? 1 : 0;
        }
        double room = Math.max(200, getWidth() - getPadding().getLeft() - getPadding().getRight());
        size = Math.max(SMALLEST, Math.min(LARGEST, Math.floor((room - waits * (THREAD + GAP)) / Math.max(1, steps.size()) - GAP)));
        thread = Math.max(SHORTEST, Math.min(THREAD, (room - steps.size() * (size + GAP)) / Math.max(1, waits) - GAP));
        return size != sizeBefore || thread != threadBefore;
    }

    private void string(PaintPlan plan) {
        List<Step> steps = shows;
        for (int i = 0; i < steps.size(); i++) {
            Duration waited = waited(plan, i);
            if (i > 0 && waited.compareTo(SHOWN) >= 0) {
                Region length = new Region();
                length.getStyleClass().add("thread");
                length.setMinWidth(thread);
                length.setPrefWidth(thread);
                getChildren().add(length);
            }
            getChildren().add(daub(steps.get(i), i, waited));
        }
    }

    private static Duration waited(PaintPlan plan, int step) {
        return plan.sitting().steps().get(step).waited();
    }

    private Button daub(Step step, int index, Duration waited) {
        StackPane drawn = new StackPane();
        Circle whole = new Circle(size / 2 - 2);
        whole.getStyleClass().add(step instanceof Step.Lay ? "daub-paint" : "daub-plain");
        drawn.getChildren().add(whole);
        if (step instanceof Step.Lay lay) {
            Srgb colour = lay.paint().load().coat().swatch();
            whole.setFill(Swatch.colour(colour));
            for (int ring = 1; ring < lay.doing().count().number(); ring++) {
                Circle inner = new Circle(Math.max(1.5, size / 2 - 2 - 3 * ring));
                inner.getStyleClass().add(Lab.of(colour).l() > 60 ? "daub-ring-dark" : "daub-ring-pale");
                drawn.getChildren().add(inner);
            }
        }
        Button daub = new Button("", drawn);
        daub.setId("daub-" + (index + 1));
        daub.getStyleClass().add("daub");
        double high = Math.max(HIGH, size + 8);
        daub.setMinSize(size, high);
        daub.setPrefSize(size, high);
        daub.setMaxSize(size, high);
        daub.setFocusTraversable(false);
        String words = (index + 1) + "  " + StepWords.title(step) + (waited.compareTo(SHOWN) >= 0 && index > 0
                ? ", after a wait of " + Durations.words(waited)
                : "");
        Hint.on(daub, words);
        daub.setAccessibleText(words);
        daub.setOnAction(e -> workbench.stepProperty().set(index + 1));
        daub.setOnMouseDragged(e -> {
            dragged = Math.abs(e.getX() - size / 2) > size ? index : dragged;
            daub.setTranslateX(dragged == index ? e.getX() - size / 2 + daub.getTranslateX() : 0);
        });
        daub.setOnMouseReleased(e -> {
            if (dragged == index) {
                dragged = -1;
                daub.setTranslateX(0);
                drop(index, e.getSceneX());
                e.consume();
            }
        });
        return daub;
    }

    /** Moves a pass to the place of the daub nearest to where it was let go. */
    private void drop(int step, double sceneX) {
        PaintPlan plan = show.plan();
        int to = step;
        double nearest = Double.POSITIVE_INFINITY;
        for (Node each : getChildren()) {
            if (each instanceof Button) {
                int number = Integer.parseInt(each.getId().substring("daub-".length())) - 1;
                double away = Math.abs(each.localToScene(each.getBoundsInLocal()).getCenterX() - sceneX);
                if (away < nearest) {
                    nearest = away;
                    to = number;
                }
            }
        }
        if (plan == null || step >= plan.steps().size() || to >= plan.steps().size()) {
            return;
        }
        Optional<List<String>> moved = plan.moved(step, to);
        if (moved.isEmpty()) {
            workbench.tell(to == step ? "" : "That keeps its place.");
            return;
        }
        workbench.edit("Move: " + StepWords.title(plan.steps().get(step)), p -> p.withOrder(moved.get()));
    }

    /** The moment in hand is ringed; what comes after it is pale. */
    private void mark() {
        int count = show.steps();
        getChildren().stream().filter(n -> n instanceof Button).forEach(n -> {
            int number = Integer.parseInt(n.getId().substring("daub-".length()));
            n.getStyleClass().remove("in-hand");
            if (number == count) {
                n.getStyleClass().add("in-hand");
            }
            n.setOpacity(number > count ? 0.4 : 1);
        });
    }
}
