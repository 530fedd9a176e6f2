package mosspebble.app.buildup;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import mosspebble.app.control.Swatch;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Side;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.StepWords;

/** All passes in their order, which can be changed. */
final class StepsPage extends PageView {

    private final Panel panel;
    private final ListView<Step> steps = new ListView<>();
    private final Label film = Panel.quiet("");
    private final Button earlier;
    private final Button later;
    private final Button own;
    private boolean showing;

    StepsPage(Panel panel) {
        this.panel = panel;
        steps.setId("steps");
        steps.setAccessibleText("Steps in order; Alt Up and Alt Down move one");
        steps.setPrefHeight(340);
        steps.setMinHeight(140);
        steps.setCellFactory(list -> new StepCell());
        steps.getSelectionModel().selectedIndexProperty().addListener((o, before, now) -> {
            if (!showing && now.intValue() >= 0) {
                panel.workbench.stepProperty().set(now.intValue() + 1);
            }
        });
        steps.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.isAltDown() && (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN)) {
                move(e.getCode() == KeyCode.UP ? -1 : 1);
                e.consume();
            }
        });
        panel.workbench.stepProperty().addListener((o, before, now) -> select());
        earlier = Panel.button("step-earlier", "▲ earlier", "One step earlier (Alt Up); what that breaks is said at once", () -> move(-1));
        later = Panel.button("step-later", "▼ later", "One step later (Alt Down)", () -> move(1));
        own = Panel.button("order-back", "Planner’s order", "Gives your own order up",
                () -> panel.edit("Planner’s order", p -> p.withOrder(List.of())));
        for (Button b : new Button[] {earlier, later, own}) {
            b.getStyleClass().add("tight");
        }
        film.setId("film-words");
        getChildren().addAll(new HBox(4, earlier, later, own), steps, film);
    }

    /** Moves the step in hand in the painter's own order. */
    private void move(int by) {
        PaintPlan plan = panel.show.plan();
        int at = panel.show.steps() - 1;
        if (plan != null && at >= 0 && plan.steps().get(at).kind().movable() && plan.steps().get(at).side() != plan.up().side()) {
            panel.workbench.tell(plan.steps().get(at).side() == Side.EDGE ? "The edge comes when both faces are done."
                    : "Turn the stone over to order the steps of its other face.");
            return;
        }
        if (plan == null || at < 0 || !plan.steps().get(at).kind().movable()) {
            panel.workbench.tell("Washing, pencil, signature and seal keep their place.");
            return;
        }
        int to = at + by;
        Optional<List<String>> moved = to < 0 || to >= plan.steps().size() ? Optional.empty() : plan.moved(at, to);
        while (moved.isEmpty() && to + by >= 0 && to + by < plan.steps().size()) {
            to += by; // over what keeps its place
            moved = plan.moved(at, to);
        }
        if (moved.isEmpty()) {
            panel.workbench.tell(plan.steps().get(at).kind() == Step.Kind.PRIME ? "Primer goes with what it lies under."
                    : "It is the " + (by < 0 ? "first" : "last") + " already.");
            return;
        }
        List<String> keys = moved.get();
        pending = plan.steps().get(at).key();
        panel.edit((by < 0 ? "Earlier: " : "Later: ") + StepWords.title(plan.steps().get(at)), p -> p.withOrder(keys));
    }

    private String pending = "";

    @Override
    public void refresh() {
        PaintPlan plan = panel.show.plan();
        showing = true;
        List<Step> now = plan == null ? List.of() : plan.steps();
        if (!steps.getItems().equals(now)) {
            steps.getItems().setAll(now);
        }
        showing = false;
        for (int i = 0; !pending.isEmpty() && i < now.size(); i++) {
            if (now.get(i).key().equals(pending)) { // the moved step stays in hand
                panel.workbench.stepProperty().set(i + 1);
            }
        }
        pending = "";
        Panel.present(own, panel.project().filter(p -> !p.order().isEmpty()).isPresent());
        film.setText(plan == null ? ""
                : pace(plan) + plan.weakest()
                        .map(w -> "The film is thickest under " + StepWords.what(plan.steps().get(w.top())) + ": " + Numbers.text(w.um(), 0)
                                + " µm in " + w.coats() + " coats"
                                + (w.onRim() ? ", on the rim." : "."))
                        .orElse(""));
        select();
    }

    /** How long the painting takes, and how much of it no order could save. */
    private static String pace(PaintPlan plan) {
        return plan.painting().isZero() ? ""
                : "Painted and dry after " + Durations.words(plan.painting()) + "; no order of these passes takes less than "
                        + Durations.words(plan.schedule().bound()) + ". ";
    }

    private void select() {
        PaintPlan plan = panel.show.plan();
        int count = panel.show.steps();
        showing = true;
        if (count > 0 && count <= steps.getItems().size()) {
            steps.getSelectionModel().select(count - 1);
            steps.scrollTo(Math.max(0, count - 3));
        } else {
            steps.getSelectionModel().clearSelection();
        }
        showing = false;
        boolean none = plan == null || count == 0 || count > plan.steps().size();
        earlier.setDisable(none || !plan.steps().get(count - 1).kind().movable());
        later.setDisable(earlier.isDisable());
    }

    private static String many(Step step) {
        return step.coats() > 1 ? "× " + step.coats() : StepWords.coatOf(step);
    }

    private static final class StepCell extends ListCell<Step> {
        @Override
        protected void updateItem(Step step, boolean empty) {
            super.updateItem(step, empty);
            if (empty || step == null) {
                setGraphic(null);
                setText(null);
                return;
            }
            Label number = new Label(String.valueOf(getIndex() + 1));
            number.getStyleClass().add("step-number");
            Node dab = step.coat().isPresent() ? new Swatch(step.coat().get().swatch(), 14) : new Swatch(Srgb.ofHex("#cfc6b2"), 14);
            dab.setOpacity(step.coat().isPresent() ? 1 : 0.35);
            Label words = new Label(StepWords.brief(step));
            words.getStyleClass().add("shortened"); // whole on the card
            words.setMinWidth(0);
            Region gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            String side = step.side() == Side.FRONT || step.kind() == Step.Kind.PENCIL || step instanceof Step.Seal ? ""
                    : step.side().name().toLowerCase(Locale.ROOT) + " ";
            Label coats = new Label(side + (step.wet().isPresent() ? "wet" : many(step)));
            coats.getStyleClass().add("value");
            HBox row = new HBox(7, number, dab, words, gap, coats);
            row.setAlignment(Pos.CENTER_LEFT);
            coats.setMinWidth(Region.USE_PREF_SIZE);
            setPrefWidth(0); // as wide as the list: long titles are shortened, not scrolled
            setGraphic(row);
            setText(null);
            setAccessibleText(
                    "Step " + (getIndex() + 1) + ": " + StepWords.title(step));
        }
    }
}
