package mosspebble.app.stone;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Measure;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.stone.FullnessFit;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneFacts;
import mosspebble.core.stone.ZoneLimits;
import mosspebble.core.units.Grams;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.UnitTextException;
import mosspebble.instruments.KitchenScale;

/** The dome: how the height is shared, how full it is, by eye, by gauge or by weight; limits of the face; areas of the places to paint. */
final class DomePage extends PageView {

    private final StonePanel panel;
    private final Choice<Boolean> back;
    private final Measure share;
    private final Measure fullness;
    private final Measure face;
    private final Entry inside;
    private final Entry gauge;
    private final Entry weight;
    private final Label question = new Label();
    private final Label places = Panel.quiet("");
    private final List<FullnessFit.Gauge> readings = new ArrayList<>();
    private Millimetres gaugeInside = new Millimetres(8);
    private Stone readingsOf;
    private String typedWeight = "";

    DomePage(StonePanel panel, KitchenScale scale) {
        this.panel = panel;
        back = new Choice<>("Back",
                flat -> panel.edit("Back", p -> p.withStone(p.stone().withDome(flat ? 1 : Stone.ROUNDED_FACE, p.stone().fullness()))));
        back.option("back-flat", "flat", true, "It lies flat: all of its height is above the table").option("back-round", "rounded", false,
                "The back is rounded and takes part of the height");
        share = new Measure("face-share", "Height above the girdle", "How much of the height lies above the widest line", 0.3, 0.95, 0.05,
                () -> panel.stone().faceShare(),
                v -> Math.round(100 * v) + " %", v -> panel.workbench.draft(p -> p.withStone(p.stone().withDome(v, p.stone().fullness()))),
                v -> panel.edit("Face and back", p -> p.withStone(p.stone().withDome(v, p.stone().fullness()))));
        fullness = new Measure("fullness", "Top", "From a dome to a flat face with round shoulders", 1, Stone.FULLEST, 0.1,
                () -> panel.stone().fullness(),
                v -> v < 1.6 ? "domed" : v < 3 ? "flattish" : "flat face", v -> panel.workbench.draft(p -> p.withStone(full(p.stone(), v))),
                v -> panel.edit("Top", p -> p.withStone(full(p.stone(), v))));
        face = new Measure("face-tilt", "Face ends at", "Tilt of the surface at which the face ends and the shoulder begins", 10, 60, 1,
                () -> panel.stone().limits().faceTilt(), v -> Math.round(v) + "° tilt",
                v -> panel.workbench.draft(p -> p.withStone(p.stone().withLimits(new ZoneLimits(v, Math.max(65, v + 5))))),
                v -> panel.edit("Face limit", p -> p.withStone(p.stone().withLimits(new ZoneLimits(v, Math.max(65, v + 5))))));
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
        VBox weights = new VBox(5, weight, read);
        question.setId("dome-question");
        question.getStyleClass().add("answer");
        question.setWrapText(true);
        places.setId("dome-places");
        setSpacing(10);
        getChildren().addAll(fullness, back, share, weights, gauges, question, face, places);
    }

    private static Stone full(Stone stone, double m) {
        Stone changed = stone.withDome(stone.faceShare(), m);
        return stone.flatBack() ? changed : changed.withBackFullness(m);
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
            Optional<String> refused = panel.tryEdit("Fullness by gauge", p -> p.withStone(full(p.stone(), fit.fullness())));
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
        Optional<String> refused = panel.tryEdit("Weigh the stone", p -> p.withStone(full(p.stone(), fit.fullness())));
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
        back.show(panel.stone().flatBack());
        Panel.present(share, !panel.stone().flatBack());
        share.refresh();
        fullness.refresh();
        face.refresh();
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
        PaintPlan plan = panel.show.plan();
        if (plan != null) {
            StoneFacts facts = plan.survey().facts();
            places.setText("Face " + cm2(facts.faceMm2()) + ", shoulder " + cm2(facts.shoulderMm2()) + "; edge all round "
                    + cm2(facts.edgeMm2()) + "; back " + cm2(facts.backMm2()) + ". Volume "
                    + Numbers.text(facts.volumeMm3() / 1000, 1) + " cm³.");
        }
    }

    private static String cm2(double mm2) {
        return Numbers.text(mm2 / 100, 1) + " cm²";
    }
}
