package mosspebble.app.buildup;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.OneStop;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.advice.Correction;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Shelf;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.AdviceWords;

/** Point at a mistake on the stone, say what it is, and the steps that mend it stand here. */
final class MendPage extends PageView {

    private final Panel panel;
    private final MendModel mend;
    private final Label place = new Label();
    private final Choice<Correction.Mishap> mishap;
    private final Label which = Panel.quiet("");
    private final FlowPane colours = new FlowPane(5, 5);
    private final VBox steps = new VBox(8);

    /** @param hold holds a photo against the plan */
    MendPage(Panel panel, MendModel mend, Runnable hold) {
        this.panel = panel;
        this.mend = mend;
        place.setId("mend-place");
        place.setWrapText(true);
        place.getStyleClass().add("answer");
        mishap = new Choice<>("What happened", mend.mishapProperty()::set);
        for (Correction.Mishap each : Correction.Mishap.values()) {
            mishap.option("mishap-" + each.name().toLowerCase(Locale.ROOT), AdviceWords.label(each), each, AdviceWords.sentence(each));
        }
        steps.setId("mend-steps");
        colours.setId("mend-colours");
        OneStop.in(colours);
        Button against = Panel.button("mend-proof", "Hold a photo against the plan …",
                "Says in mm where the pencilled or painted stone strays from its plan", hold);
        Label click = Panel
                .quiet("Click the place on the stone, or press Enter on the cloth and use the arrow keys. It counts as painted as "
                        + "far as the slider stands.");
        getChildren().addAll(against, click, mishap, which, colours, place, steps);
        fill(Optional.empty());
        mend.correctionProperty().addListener((o, a, b) -> fill(Optional.ofNullable(b)));
        mend.placeProperty().addListener((o, a, b) -> refresh());
        mend.mishapProperty().addListener((o, a, b) -> refresh());
        mend.slippedProperty().addListener((o, a, b) -> refresh());
        panel.workbench.stepProperty().addListener((o, a, b) -> refresh());
    }

    @Override
    public void refresh() {
        if (!mend.pointingProperty().get()) {
            return;
        }
        mishap.show(mend.mishapProperty().get());
        boolean asks = mend.mishapProperty().get().hasColour();
        which.setText(mend.mishapProperty().get() == Correction.Mishap.WRONG_COLOUR ? "Which colour should be there?"
                : "Which colour lies where it should not?");
        Panel.present(which, asks);
        Panel.present(colours, asks);
        colours();
        mend.ask();
    }

    private void fill(Optional<Correction> correction) {
        steps.getChildren().clear();
        place.setText(correction.map(c -> "At " + AdviceWords.place(c)).orElse("Nothing pointed at yet"));
        correction.ifPresent(c -> {
            for (int i = 0; i < c.steps().size(); i++) {
                steps.getChildren().add(row(i + 1, c.steps().get(i)));
            }
        });
    }

    private Node row(int number, Correction.Repair step) {
        Label n = new Label(String.valueOf(number));
        n.getStyleClass().add("step-number");
        Label words = new Label(AdviceWords.sentence(step));
        words.setWrapText(true);
        VBox text = new VBox(1, words);
        if (!step.waits().isZero()) {
            Label wait = new Label("then wait " + Durations.words(step.waits()));
            wait.getStyleClass().add("moss");
            text.getChildren().add(wait);
        }
        HBox.setHgrow(text, Priority.ALWAYS);
        HBox row = new HBox(6, n, text);
        row.setAlignment(Pos.TOP_LEFT);
        return row;
    }

    /** The colours of this plan, then the pens. */
    private void colours() {
        PaintPlan plan = panel.show.plan();
        Shelf shelf = panel.workbench.studio().shelf();
        Map<Mix, Srgb> looks = new LinkedHashMap<>();
        if (plan != null) {
            plan.steps().stream().filter(o -> o.kind() != Step.Kind.SEAL && o.coat().isPresent())
                    .forEach(o -> looks.putIfAbsent(o.mix().orElseThrow(), o.coat().get().swatch()));
        }
        shelf.that(PaintKind.Use.DRAWS).forEach(p -> looks.putIfAbsent(Mix.of(p.id()), p.swatch()));
        colours.getChildren().clear();
        looks.forEach((mix, look) -> {
            String words = shelf.words(mix);
            Button dab = Panel.button("slipped-" + (mix.isSingle() ? mix.parts().get(0).paint() : colours.getChildren().size()), "", words,
                    () -> mend.slippedProperty().set(mix));
            dab.getStyleClass().setAll("button", "dab");
            if (mix.equals(mend.slippedProperty().get())) {
                dab.getStyleClass().add("chosen");
            }
            dab.setStyle("-fx-background-color: " + look.hex() + ";");
            dab.setAccessibleText(words);
            colours.getChildren().add(dab);
        });
    }
}
