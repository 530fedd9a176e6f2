package mosspebble.app.view;

import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.model.Show;
import mosspebble.app.model.Workbench;
import mosspebble.core.plan.Habits;
import mosspebble.core.plan.Operation;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Srgb;

/** The ordered plan and the habits that shape it. */
final class BuildUpPanel extends Panel {

    private final ListView<Operation> steps = new ListView<>();
    private final Label title = new Label();
    private final Label sentence = new Label();
    private final Label reason = quiet("");
    private final Label facts = new Label();
    private boolean showing;

    BuildUpPanel(Workbench workbench, Show show) {
        super(workbench, show);
        steps.setId("steps");
        steps.setAccessibleText("Steps in order");
        steps.setPrefHeight(236);
        steps.setMinHeight(160);
        steps.setCellFactory(list -> new StepCell());
        steps.getSelectionModel().selectedIndexProperty().addListener((o, before, now) -> {
            if (!showing && now.intValue() >= 0) {
                workbench.stepProperty().set(now.intValue() + 1);
            }
        });
        workbench.stepProperty().addListener((o, before, now) -> select());
        title.getStyleClass().add("step-title");
        title.setWrapText(true);
        sentence.setId("step-sentence");
        sentence.setWrapText(true);
        facts.getStyleClass().add("moss");
        facts.setWrapText(true);
        reason.setId("step-reason");
        VBox detail = new VBox(4, title, sentence, facts, reason);
        detail.getStyleClass().add("inset");
        Choice<Habits.Ground> ground = new Choice<>("Ground colour", g -> habits("Ground " + g.name().toLowerCase(Locale.ROOT), h -> h.with(g)));
        ground.option("ground-around", "around", Habits.Ground.AROUND, "Only around the subject, 1 mm under its edge").option("ground-under", "under all", Habits.Ground.UNDER, "Under everything")
                .option("ground-bare", "bare stone", Habits.Ground.BARE, "No ground colour");
        Choice<Habits.Primer> primer = new Choice<>("Primer", p -> habits("Primer", h -> h.with(p)));
        primer.option("primer-needed", "where it saves coats", Habits.Primer.WHERE_NEEDED, "Only under areas that would need more coats without it")
                .option("primer-whole", "whole", Habits.Primer.WHOLE, "Everywhere: even and bright").option("primer-never", "never", Habits.Primer.NEVER, "The first coat soaks in and grips");
        Choice<Habits.Lines> lines = new Choice<>("Outline", l -> habits("Outline", h -> h.with(l)));
        lines.option("lines-last", "last", Habits.Lines.LAST, "Fill first, line last").option("lines-first", "first and restored", Habits.Lines.FIRST, "Line first, fill up to it, restore it");
        Choice<Habits.LineColour> lineColour = new Choice<>("Line colour", l -> habits("Line colour", h -> h.with(l)));
        lineColour.option("line-contrast", "by contrast", Habits.LineColour.CONTRAST, "Black beside light, white beside dark").option("line-dark", "always dark", Habits.LineColour.DARK, "The darkest pen");
        Choice<Double> tolerance = new Choice<>("Cover", t -> habits("Cover", h -> h.withTolerance(t)));
        tolerance.option("cover-fussy", "fussy", 1.0, "Nothing shows through: difference under 1").option("cover-usual", "usual", 2.0, "Difference under 2").option("cover-easy", "easy", 3.0, "Difference under 3");
        Measure shade = new Measure("shade", "Shade", "Amount of shade and contact shadow", 0, 1, 0.1, () -> habits().light().shade(), v -> v == 0 ? "none" : Math.round(100 * v) + " %",
                v -> { }, v -> habits("Shade", h -> h.with(h.light().with(v, v, h.light().highlight(), h.light().halo()))));
        Measure light = new Measure("light", "Light from", "Where the light on the stone comes from", 0, 345, 15, () -> habits().light().from(), v -> clock(v),
                v -> workbench.draft(p -> p.withHabits(p.habits().with(p.habits().light().comingFrom(v)))), v -> habits("Light", h -> h.with(h.light().comingFrom(v))));
        getChildren().addAll(steps, detail, heading("Habits"), ground, primer, lines, lineColour, tolerance, shade, light);
        onRefresh(() -> {
            PaintPlan plan = show.plan();
            showing = true;
            steps.getItems().setAll(plan == null ? List.of() : plan.operations());
            showing = false;
            select();
            Habits h = habits();
            ground.show(h.ground());
            primer.show(h.primer());
            lines.show(h.lines());
            lineColour.show(h.lineColour());
            tolerance.show(h.tolerance());
            shade.refresh();
            light.refresh();
        });
    }

    private Habits habits() {
        return project().map(p -> p.habits()).orElseGet(Habits::usual);
    }

    private void habits(String what, UnaryOperator<Habits> change) {
        edit(what, p -> p.withHabits(change.apply(p.habits())));
    }

    private static String clock(double degrees) {
        int hour = (int) Math.round(degrees / 30) % 12;
        return (hour == 0 ? 12 : hour) + " o’clock";
    }

    private void select() {
        PaintPlan plan = show.plan();
        int count = show.steps();
        showing = true;
        if (count > 0 && count <= steps.getItems().size()) {
            steps.getSelectionModel().select(count - 1);
            steps.scrollTo(Math.max(0, count - 3));
        } else {
            steps.getSelectionModel().clearSelection();
        }
        showing = false;
        if (plan == null || count == 0 || count > plan.operations().size()) {
            title.setText("The bare stone");
            sentence.setText(plan == null || plan.operations().isEmpty() ? "No plan yet: choose a subject in Sketch." : "Step through the painting with the slider, the list, or , and .");
            facts.setText("");
            reason.setText("");
            return;
        }
        Operation step = plan.operations().get(count - 1);
        title.setText(step.title());
        sentence.setText(step.sentence());
        facts.setText(step.tool() + " · hand " + Durations.words(step.hand()) + (step.between().isZero() ? "" : " · " + Durations.words(step.between()) + " between coats")
                + (step.dries().isZero() ? "" : " · then dries " + Durations.words(step.dries())));
        reason.setText(step.reason());
    }

    private static final class StepCell extends ListCell<Operation> {
        @Override
        protected void updateItem(Operation step, boolean empty) {
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
            Label words = new Label(step.title());
            words.setMinWidth(0);
            Region gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            Label coats = new Label(step.coats() > 1 ? "× " + step.coats() : "");
            coats.getStyleClass().add("value");
            HBox row = new HBox(7, number, dab, words, gap, coats);
            row.setAlignment(Pos.CENTER_LEFT);
            coats.setMinWidth(Region.USE_PREF_SIZE);
            setPrefWidth(0); // as wide as the list: long titles are shortened, not scrolled
            setGraphic(row);
            setText(null);
            setAccessibleText("Step " + (getIndex() + 1) + ": " + step.title() + (step.coats() > 1 ? ", " + step.coats() + " coats" : ""));
        }
    }
}
