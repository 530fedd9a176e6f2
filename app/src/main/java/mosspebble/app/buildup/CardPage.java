package mosspebble.app.buildup;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.PuddleView;
import mosspebble.app.control.Swatch;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Words;
import mosspebble.core.words.HazardWords;
import mosspebble.core.words.StepWords;

/** The card of the pass in hand: what to do, with what, how long, why; what comes next, and what to do when it went wrong. */
final class CardPage extends PageView {

    private static final int MOST_WAITS = 2;
    private static final int NEXT = 3;

    private final BuildUpPanel panel;
    private final Label title = new Label();
    private static final PseudoClass LONG = PseudoClass.getPseudoClass("long");
    private static final int LONG_FROM = 160;

    private final Label sentence = new Label();
    private final PuddleView puddle = new PuddleView();
    private final Label facts = new Label();
    private final ToggleButton why = new ToggleButton("Why");
    private final Label care = Panel.quiet("");
    private final Label reason = Panel.quiet("");
    private final Label figures = Panel.quiet("");
    private final VBox waits = new VBox(2);
    private final Button done;
    private final Button wrong;
    private final VBox next = new VBox(0);

    CardPage(BuildUpPanel panel) {
        this.panel = panel;
        title.getStyleClass().add("card-title");
        title.setWrapText(true);
        title.setMinHeight(Region.USE_PREF_SIZE);
        sentence.setId("step-sentence");
        sentence.getStyleClass().add("step-sentence");
        sentence.setWrapText(true);
        sentence.setMinHeight(Region.USE_PREF_SIZE);
        facts.setId("step-facts");
        facts.getStyleClass().add("moss");
        facts.setWrapText(true);
        facts.setMinWidth(0);
        HBox.setHgrow(facts, Priority.ALWAYS);
        facts.setMaxWidth(Double.MAX_VALUE);
        reason.setId("step-reason");
        figures.setId("step-figures");
        waits.setId("step-waits");
        why.setId("step-why");
        why.getStyleClass().addAll("pebble", "tight");
        Hint.on(why, "The reason, the figures behind it, and what it waits for");
        why.setMinWidth(Region.USE_PREF_SIZE);
        VBox behind = new VBox(4, reason, figures, waits);
        behind.setId("step-behind");
        behind.visibleProperty().bind(why.selectedProperty());
        behind.managedProperty().bind(why.selectedProperty());
        HBox pace = new HBox(8, facts, why);
        pace.getStyleClass().add("card-hands");
        pace.setAlignment(Pos.CENTER_LEFT);
        done = Panel.button("step-done", "Done, next", "The next pass; from now on the order stays (.)", this::done);
        done.getStyleClass().add("main");
        done.setMaxWidth(Double.MAX_VALUE);
        done.setPrefHeight(52);
        HBox.setHgrow(done, Priority.ALWAYS);
        wrong = Panel.button("step-wrong", "It went wrong", "Point at the mistake and learn how to mend it",
                () -> panel.pageProperty().set(BuildUpPanel.Page.MEND));
        wrong.setPrefHeight(52);
        wrong.setMinWidth(Region.USE_PREF_SIZE);
        HBox hands = new HBox(8, done, wrong);
        next.setId("step-next");
        care.setId("step-care");
        VBox card = new VBox(8, title, sentence, care, puddle, pace, behind, hands, next);
        card.getStyleClass().add("inset");
        getChildren().add(card);
        panel.workbench.stepProperty().addListener((o, a, b) -> refresh());
    }

    /** Takes the next pass in hand; the order is kept from the first one that is done. */
    private void done() {
        PaintPlan plan = panel.show.plan();
        int count = panel.show.steps();
        if (plan == null || plan.steps().isEmpty()) {
            return;
        }
        if (count >= plan.steps().size()) {
            panel.workbench.stepProperty().set(1);
            return;
        }
        boolean open = panel.project().filter(p -> p.order().isEmpty()).isPresent();
        if (open && count > 0 && plan.steps().get(count - 1) instanceof Step.Lay) {
            List<String> keys = plan.order();
            panel.edit("Keep the order", p -> p.withOrder(keys));
        }
        panel.workbench.stepProperty().set(count + 1);
    }

    @Override
    public void refresh() {
        PaintPlan plan = panel.show.plan();
        int count = panel.show.steps();
        boolean none = plan == null || count == 0 || count > plan.steps().size();
        next.getChildren().clear();
        waits.getChildren().clear();
        why.setDisable(none);
        Panel.present(wrong, !none);
        Panel.present(puddle, !none && !plan.steps().get(count - 1).layers().isEmpty());
        done.setDisable(plan == null || plan.steps().isEmpty());
        care.setText(none ? "" : HazardWords.besides(plan.steps().get(count - 1), panel.workbench.studio().shelf()));
        Panel.present(care, !care.getText().isEmpty());
        if (none) {
            title.setText("The bare stone");
            sentence.setText(plan == null || plan.steps().isEmpty() ? "No plan yet: choose a subject in Sketch."
                    : "Step through the painting with the slider, the daubs, or , and .");
            facts.setText("");
            reason.setText("");
            figures.setText("");
            done.setText("Begin");
            return;
        }
        Step step = plan.steps().get(count - 1);
        title.setText(StepWords.title(step));
        sentence.setText(StepWords.sentence(step));
        sentence.pseudoClassStateChanged(LONG, sentence.getText().length() > LONG_FROM);
        puddle.show(step, panel.workbench.studio().shelf(), StepWords.puddles(plan, count - 1));
        facts.setText(Words.unitsKept(facts(step)));
        reason.setText(StepWords.reason(step));
        figures.setText(StepWords.figures(step));
        Panel.present(figures, !figures.getText().isEmpty());
        List<Step.After> after = step.after().stream().filter(a -> plan.steps().get(a.step()).kind().movable()).toList();
        after.subList(Math.max(0, after.size() - MOST_WAITS), after.size()).forEach(a -> waits.getChildren().add(Panel
                .quiet("waits for " + (a.step() + 1) + " " + StepWords.title(plan.steps().get(a.step())) + ": " + StepWords.reason(a))));
        if (after.size() > MOST_WAITS) {
            waits.getChildren().add(Panel.quiet("and for " + (after.size() - MOST_WAITS) + " more before them"));
        }
        boolean last = count == plan.steps().size();
        done.setText(last ? "Begin again" : "Done, next");
        for (int i = count; i < Math.min(plan.steps().size(), count + NEXT); i++) {
            next.getChildren().add(next(plan, i));
        }
    }

    private static String facts(Step step) {
        if (step instanceof Step.Earlier) {
            return "";
        }
        List<String> facts = new ArrayList<>();
        facts.add(StepWords.tool(step));
        facts.add("hand " + Durations.words(step.work().hand()));
        if (!step.work().between().isZero()) {
            facts.add(Durations.words(step.work().between()) + " between coats");
        }
        if (!step.work().dries().isZero()) {
            facts.add("then dries " + Durations.words(step.work().dries()));
        }
        step.wet().ifPresent(w -> facts.add("wet into wet for " + Durations.words(w.work()) + ", open " + Durations.words(w.open())));
        return String.join(" · ", facts);
    }

    /** One of the passes that come next, with what it waits before it begins. */
    private Node next(PaintPlan plan, int index) {
        Step step = plan.steps().get(index);
        Label number = new Label(String.valueOf(index + 1));
        number.getStyleClass().add("step-number");
        Node dab = step.coat().map(c -> (Node) new Swatch(c.swatch(), 16)).orElseGet(() -> {
            Region plain = new Region();
            plain.setMinWidth(16);
            return plain;
        });
        String coat = StepWords.coatOf(step);
        Label words = new Label(StepWords.brief(step) + (coat.isEmpty() ? "" : ", " + coat));
        words.setMinWidth(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        Duration waited = plan.sitting().steps().get(index).waited();
        Label wait = Panel.quiet(waited.toMinutes() < 1 ? "" : "after " + Durations.words(waited));
        wait.setWrapText(false);
        wait.setMinWidth(Region.USE_PREF_SIZE);
        Button row = new Button("", new HBox(9, number, dab, words, wait));
        ((HBox) row.getGraphic()).setAlignment(Pos.CENTER_LEFT);
        ((HBox) row.getGraphic()).prefWidthProperty().bind(row.widthProperty().subtract(20));
        row.setId("next-" + (index - panel.show.steps() + 1));
        row.getStyleClass().add("next-pass");
        row.setMaxWidth(Double.MAX_VALUE);
        row.setMinWidth(0);
        row.setPrefHeight(36);
        row.setAccessibleText("Next, step " + (index + 1) + ": " + StepWords.title(step));
        row.setOnAction(e -> panel.workbench.stepProperty().set(index + 1));
        return row;
    }
}
