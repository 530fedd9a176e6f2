package mosspebble.app.stone;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Entry;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.stone.FullnessFit;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Grams;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.UnitTextException;
import mosspebble.instruments.KitchenScale;

/** How full the dome is, by weight or by readings of its height. */
final class WeighPage extends PageView {

    private final StonePanel panel;
    private final Entry inside;
    private final Entry gauge;
    private final Entry weight;
    private final Label question = new Label();
    private final List<FullnessFit.Gauge> readings = new ArrayList<>();
    private Millimetres gaugeInside = new Millimetres(8);
    private Stone readingsOf;
    private String typedWeight = "";

    WeighPage(StonePanel panel, KitchenScale scale) {
        this.panel = panel;
        inside = panel.lengthEntry("gauge-inside", "In from the edge", "Along the width, through the middle", () -> gaugeInside, v -> {
            gaugeInside = v;
            return Optional.empty();
        });
        gauge = new Entry("gauge-height", "Height there",
                "Height of the stone there, from the table to the top, lying on its back; every reading is added", () -> "", this::gauge);
        weight = new Entry("weigh", "Weight, g", "What the scale shows; density and weight settle how full the dome is", () -> typedWeight,
                text -> Panel.number(text, "371", this::weigh));
        Button read = Panel.button("read-scale", scale.button("Read the scale"), "Takes the weight from the " + scale.label(),
                () -> weigh(scale.read().value()).ifPresent(this::ask));
        VBox gauges = Entry.row(inside, gauge);
        HBox.setHgrow(inside, Priority.ALWAYS);
        HBox.setHgrow(gauge, Priority.ALWAYS);
        question.setId("dome-question");
        question.getStyleClass().add("answer");
        question.setWrapText(true);
        getChildren().addAll(new VBox(5, weight, read), gauges, question);
    }

    private Optional<String> gauge(String text) {
        if (text.isBlank()) {
            return Optional.empty();
        }
        try {
            Millimetres high = LengthText.parse(text, panel.workbench.studio().unit());
            PaintPlan plan = panel.show.plan();
            if (plan == null) {
                return Optional.of("Wait until the stone is worked out.");
            }
            List<FullnessFit.Gauge> all = new ArrayList<>(readings);
            all.add(new FullnessFit.Gauge(gaugeInside, high));
            FullnessFit fit = FullnessFit.ofHeights(panel.stone(), plan.survey().dome(), all);
            Optional<String> refused = panel.tryEdit("Fullness by gauge", p -> p.withStone(DomePage.full(p.stone(), fit.fullness())));
            if (refused.isEmpty()) {
                readings.clear();
                readings.addAll(all);
                ask(fit.question()
                        .orElse(all.size() + (all.size() == 1 ? " reading" : " readings") + ", fullness " + Numbers.text(fit.fullness(), 1)
                                + (all.size() > 1 ? ", off by " + Numbers.text(fit.offMm(), 1) + " mm" : "") + "."));
            }
            return refused;
        } catch (UnitTextException | IllegalArgumentException e) {
            return Optional.of(e.getMessage());
        }
    }

    private Optional<String> weigh(double grams) {
        PaintPlan plan = panel.show.plan();
        if (!(grams >= 1 && grams <= 100_000)) {
            return Optional.of("A stone weighs 1 g to 100 kg, was " + Numbers.shortText(grams) + " g.");
        }
        if (plan == null) {
            return Optional.of("Wait until the stone is worked out.");
        }
        FullnessFit fit = FullnessFit.ofWeight(panel.stone(), plan.survey().dome(), new Grams(grams));
        if (fit.question().isPresent()) {
            return fit.question();
        }
        Optional<String> refused = panel.tryEdit("Weigh the stone", p -> p.withStone(DomePage.full(p.stone(), fit.fullness())));
        if (refused.isEmpty()) {
            typedWeight = Numbers.text(grams, 0);
            weight.reset();
            ask(Numbers.text(grams, 0) + " g as " + panel.stone().rock().label() + ": fullness " + Numbers.text(fit.fullness(), 1) + ".");
        }
        return refused;
    }

    private void ask(String words) {
        question.setText(words);
    }

    @Override
    public void refresh() {
        inside.refresh();
        Stone stone = panel.stone();
        if (readingsOf == null || !readingsOf.shape().equals(stone.shape()) || !readingsOf.height().equals(stone.height())) {
            readings.clear();
            typedWeight = "";
            weight.reset();
            question.setText("");
        }
        readingsOf = stone;
        Panel.present(question, !question.getText().isEmpty());
    }
}
