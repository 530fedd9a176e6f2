package mosspebble.app.stone;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.care.Preparation;
import mosspebble.core.drying.SteadyMass;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.stone.Casting;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Numbers;
import mosspebble.core.words.CareWords;

/** What the bare stone needs before the first pencil line; casting one; weighing it until its mass is steady. */
final class ReadyPage extends PageView {

    private final StonePanel panel;
    private final VBox steps = new VBox(7);
    private final VBox casting;
    private final Choice<Casting.Powder> powder;
    private final Entry mould;
    private final Entry ratio;
    private final Entry spare;
    private final Label mix = new Label();
    private final Entry hours;
    private final Entry grams;
    private final Label steady = new Label();
    private final Button forget;
    private Casting.Powder kind = Casting.Powder.CASTING_PLASTER;
    private double mouldMl;
    private double waterRatio = Casting.Powder.CASTING_PLASTER.waterRatio();
    private double spareShare = 0.08;
    private double atHours;

    ReadyPage(StonePanel panel) {
        this.panel = panel;
        powder = new Choice<>("Cast it from", k -> {
            kind = k;
            waterRatio = k.waterRatio();
            panel.edit("Cast stone", p -> p.withStone(p.stone().withSkin(p.stone().skin().withRock(k.rock()))));
            refresh();
        });
        for (Casting.Powder k : Casting.Powder.values()) {
            powder.option("powder-" + k.name().toLowerCase(Locale.ROOT), k.label(), k,
                    Numbers.shortText(100 * k.waterRatio()) + " g of water to 100 g, pours for " + k.workMinutes() + " min");
        }
        mould = new Entry("mould", "Mould, ml", "Volume of the mould; fill it with water and weigh that", () -> Numbers.text(mouldMl(), 0),
                text -> Panel.number(text, "120", v -> {
                    Casting.of(kind, new Millilitres(v), waterRatio, spareShare);
                    mouldMl = v;
                    refresh();
                    return Optional.empty();
                }));
        ratio = new Entry("water-ratio", "Water to 100 g", "Grams of water to 100 g of powder; the bag says it",
                () -> Numbers.shortText(100 * waterRatio), text -> Panel.number(text, "70", v -> {
                    Casting.of(kind, new Millilitres(mouldMl()), v / 100, spareShare);
                    waterRatio = v / 100;
                    refresh();
                    return Optional.empty();
                }));
        spare = new Entry("spare", "Spare %", "Mixed beyond the mould's volume", () -> Numbers.text(100 * spareShare, 0),
                text -> Panel.number(text, "8", v -> {
                    Casting.of(kind, new Millilitres(mouldMl()), waterRatio, v / 100);
                    spareShare = v / 100;
                    refresh();
                    return Optional.empty();
                }));
        HBox amounts = new HBox(8, mould, ratio, spare);
        amounts.getChildren().forEach(e -> HBox.setHgrow(e, Priority.ALWAYS));
        mix.setId("mix");
        mix.setWrapText(true);
        hours = new Entry("weigh-hours", "After h", "Hours since the first weighing", () -> Numbers.shortText(atHours),
                text -> Panel.number(text, "24", v -> {
                    atHours = v;
                    return Optional.empty();
                }));
        grams = new Entry("weigh-grams", "it weighs, g",
                "Weigh it, write it here, press Enter; three times some hours apart tell when it is ready", () -> "", this::weigh);
        HBox weighing = new HBox(8, hours, grams);
        HBox.setHgrow(hours, Priority.ALWAYS);
        HBox.setHgrow(grams, Priority.ALWAYS);
        steady.setId("steady");
        steady.setWrapText(true);
        forget = Panel.button("weighings-forget", "Forget the weighings", "Begin the weighings anew",
                () -> panel.edit("Forget the weighings", p -> p.withWeighings(List.of())));
        casting = new VBox(10, amounts, mix,
                Panel.quiet("Plaster dust: mask on. Set plaster never round a hand, it heats. The bag's own sheet comes first."));
        getChildren().addAll(Panel.heading("Before the first line"), steps, Panel.heading("Drying on the scale"), weighing, steady, forget,
                Panel.heading("A cast stone"), powder.unlabelled(), casting);
    }

    private double mouldMl() {
        PaintPlan plan = panel.show.plan();
        return mouldMl > 0 ? mouldMl : plan == null ? 100 : Math.max(1, plan.survey().facts().volumeMm3() / 1000);
    }

    private Optional<String> weigh(String text) {
        return text.isBlank() ? Optional.empty() : Panel.number(text, "152", v -> panel.tryEdit("Weigh the drying stone", p -> {
            List<SteadyMass.Weighing> all = new ArrayList<>(p.weighings());
            if (!all.isEmpty() && atHours <= all.get(all.size() - 1).hours()) {
                throw new IllegalArgumentException("The last weighing was after " + Numbers.shortText(all.get(all.size() - 1).hours())
                        + " h. Write a later hour first.");
            }
            all.add(new SteadyMass.Weighing(atHours, v));
            return p.withWeighings(all);
        }));
    }

    @Override
    public void refresh() {
        PaintPlan plan = panel.show.plan();
        if (plan == null) {
            return;
        }
        steps.getChildren().clear();
        for (Preparation.Task task : Preparation.of(plan.survey(), panel.workbench.studio().climate())) {
            Label title = new Label(CareWords.title(task) + (task.waits().isZero() ? "" : ", then " + Durations.words(task.waits())));
            title.setWrapText(true);
            steps.getChildren().add(new VBox(1, title, Panel.quiet(CareWords.reason(task))));
        }
        List<SteadyMass.Weighing> weighings = panel.project().map(Project::weighings).orElse(List.of());
        Panel.present(forget, !weighings.isEmpty());
        steady.setText(steadyWords(weighings));
        grams.refresh();
        hours.refresh();
        mould.refresh();
        ratio.refresh();
        spare.refresh();
        boolean cast = panel.stone().rock().isCast();
        powder.show(cast ? kind : null);
        Panel.present(casting, cast);
        if (cast) {
            Casting casts = Casting.of(kind, new Millilitres(mouldMl()), waterRatio, spareShare);
            mix.setText("Mix " + Numbers.text(casts.powder().value(), 0) + " g " + kind.label() + " into "
                    + Numbers.text(casts.water().value(), 0) + " g water; it pours for " + kind.workMinutes()
                    + " min, leaves the mould after "
                    + kind.demouldMinutes() + " min at " + Numbers.text(casts.wet().value(), 0) + " g and is dry at about "
                    + Numbers.text(casts.dry().value(), 0) + " g. " + Numbers.text(casts.leftover().value(), 0)
                    + " ml stay over: a thin half of " + Numbers.text(casts.thinHalfMm(plan.survey().zones().outline().getArea()), 1)
                    + " mm.");
        }
    }

    private static String steadyWords(List<SteadyMass.Weighing> weighings) {
        if (weighings.size() < 3) {
            return weighings.isEmpty() ? "Weigh it, and again some hours later, until the mass is steady."
                    : weighings.size() + " of 3 weighings.";
        }
        SteadyMass fit = SteadyMass.fit(weighings);
        if (fit.doubt().isPresent()) {
            return CareWords.sentence(fit.doubt().get());
        }
        double last = weighings.get(weighings.size() - 1).hours();
        if (fit.readyHours() <= last) {
            return "Steady at " + Numbers.text(fit.steadyGrams(), 1) + " g: it is dry.";
        }
        return "It will be steady at " + Numbers.text(fit.steadyGrams(), 1) + " g, ready " + Numbers.text(fit.readyHours(), 0)
                + " h after the first weighing, "
                + Numbers.text(fit.readyHours() - last, 0) + " h from the last.";
    }
}
