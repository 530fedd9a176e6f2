package mosspebble.app.view;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import mosspebble.app.model.Show;
import mosspebble.app.model.Workbench;
import mosspebble.core.colour.Lab;
import mosspebble.core.plan.Look;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Project;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneFacts;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;
import mosspebble.core.units.UnitTextException;

/** The bare stone: measures, form, rock and skin, and what follows from them. */
final class StonePanel extends Panel {

    private static final List<String> TONES = List.of("#e4ddcd", "#cfc9bb", "#b8ad97", "#b89a6e", "#a9835f", "#918f8a", "#8a6f63", "#7d8288", "#5f605d", "#5a6a62", "#454a4f", "#2f3134");

    StonePanel(Workbench workbench, Show show) {
        super(workbench, show);
        Entry length = length("length", "Length", Stone::length, (s, v) -> s.withSize(v, s.width(), s.height()));
        Entry width = length("width", "Width", Stone::width, (s, v) -> s.withSize(s.length(), v, s.height()));
        Entry height = length("height", "Height", Stone::height, (s, v) -> s.withSize(s.length(), s.width(), v));
        for (Entry entry : new Entry[] {length, width, height}) {
            HBox.setHgrow(entry, Priority.ALWAYS);
            entry.setMaxWidth(Double.MAX_VALUE);
            entry.setPrefWidth(90);
        }
        Choice<LengthUnit> unit = new Choice<>("", u -> workbench.editStudio("Measure in " + u.symbol(), s -> s.withView(u, s.evening())));
        for (LengthUnit u : LengthUnit.values()) {
            unit.option("unit-" + u.symbol(), u.symbol(), u, "Show lengths in " + u.symbol() + "; any unit can be typed");
        }
        Choice<Boolean> back = new Choice<>("Back", flat -> form("Back", s -> s.withForm(s.roundness(), s.irregularity(), s.flatTop(), flat, s.wayUp())));
        back.option("back-flat", "flat", true, "It lies flat: all of its height is above the table").option("back-round", "rounded", false, "The back is rounded and takes part of the height");
        Button turn = button("turn-stone", "Turn ↻ 90°", "Turn the stone a quarter clockwise (R)", this::turn);
        Choice<RockKind> rock = new Choice<>("Rock", kind -> form("Rock kind", s -> s.withSurface(kind, s.texture(), kind.porosity(), s.colour())));
        for (RockKind kind : RockKind.values()) {
            rock.option("rock-" + kind.name().toLowerCase(Locale.ROOT), kind.label(), kind, kind.label() + ", about " + Numbers.shortText(kind.density()) + " g/cm³");
        }
        Choice<Texture> texture = new Choice<>("Skin", t -> form("Skin", s -> s.withSurface(s.rock(), t, s.porosity(), s.colour())));
        for (Texture t : Texture.values()) {
            texture.option("skin-" + t.label(), t.label(), t, "The stone feels " + t.label());
        }
        Measure roundness = measure("roundness", "Outline", "From soft-cornered slab to ellipse", Stone::roundness, v -> v < 0.25 ? "slab" : v < 0.6 ? "squarish" : v < 0.9 ? "rounded" : "oval",
                (s, v) -> s.withForm(v, s.irregularity(), s.flatTop(), s.flatBack(), s.wayUp()));
        Measure irregularity = measure("irregularity", "Irregular", "How far the outline departs from that", Stone::irregularity, StonePanel::percent,
                (s, v) -> s.withForm(s.roundness(), v, s.flatTop(), s.flatBack(), s.wayUp()));
        Measure flatTop = measure("flat-top", "Top", "From a dome to a flat face with round shoulders", Stone::flatTop, v -> v < 0.15 ? "domed" : v < 0.5 ? "flattish" : "flat face",
                (s, v) -> s.withForm(s.roundness(), s.irregularity(), v, s.flatBack(), s.wayUp()));
        Measure porosity = new Measure("porosity", "Porosity", "Open pores: a drop of water beads on a glassy stone and soaks into a porous one", 0, 0.5, 0.01, () -> stone().porosity(),
                v -> Numbers.text(100 * v, 0) + " %, " + (v < 0.02 ? "glassy" : v < 0.06 ? "tight" : v < 0.15 ? "porous" : "very porous"),
                v -> workbench.draft(p -> p.withStone(p.stone().withSurface(p.stone().rock(), p.stone().texture(), v, p.stone().colour()))),
                v -> form("Porosity", s -> s.withSurface(s.rock(), s.texture(), v, s.colour())));
        FlowPane tones = new FlowPane(5, 5);
        for (String tone : TONES) {
            Button dab = new Button();
            dab.getStyleClass().add("dab");
            dab.setStyle("-fx-background-color: " + tone + ";");
            dab.setAccessibleText("Stone colour " + tone);
            dab.setTooltip(new Tooltip("Dry colour " + tone));
            dab.setOnAction(e -> form("Stone colour", s -> s.withSurface(s.rock(), s.texture(), s.porosity(), Srgb.ofHex(tone))));
            tones.getChildren().add(dab);
        }
        Entry colour = new Entry("stone-colour", "Dry colour", "A colour code such as #8d8b86, or choose a tone", () -> stone().colour().hex(),
                text -> tryEdit("Stone colour", p -> p.withStone(p.stone().withSurface(p.stone().rock(), p.stone().texture(), p.stone().porosity(), Srgb.ofHex(text.strip())))));
        colour.setPrefWidth(92);
        HBox tonesRow = new HBox(10, colour, tones);
        HBox.setHgrow(tones, Priority.ALWAYS);
        Entry name = new Entry("stone-name", "Name", "What you call this stone", () -> project().map(Project::name).orElse(""), text -> tryEdit("Name", p -> p.withName(text.strip(), p.purpose())));
        Facts facts = new Facts();
        turn.setMinWidth(Region.USE_PREF_SIZE);
        HBox turnRow = new HBox(12, back, turn);
        turnRow.setAlignment(Pos.BOTTOM_LEFT);
        getChildren().addAll(new HBox(8, length, width, height), unit, facts, roundness, irregularity, flatTop, turnRow, rock, texture, porosity, tonesRow, name);
        onRefresh(() -> {
            length.refresh();
            width.refresh();
            height.refresh();
            unit.show(workbench.studio().unit());
            back.show(stone().flatBack());
            rock.show(stone().rock());
            texture.show(stone().texture());
            roundness.refresh();
            irregularity.refresh();
            flatTop.refresh();
            porosity.refresh();
            colour.refresh();
            name.refresh();
            facts.show(show.plan());
        });
    }

    private interface With {
        Stone with(Stone stone, Millimetres value);
    }

    private interface WithShare {
        Stone with(Stone stone, double value);
    }

    private Entry length(String id, String name, Function<Stone, Millimetres> get, With with) {
        return new Entry(id, name, name + " of the stone: 92 mm, 9.2 cm, 3 3/4 in or a sum; arrow keys step",
                () -> LengthText.number(get.apply(stone()), workbench.studio().unit()),
                text -> {
                    try {
                        Millimetres value = LengthText.parse(text, workbench.studio().unit());
                        return tryEdit(name, p -> p.withStone(with.with(p.stone(), value)));
                    } catch (UnitTextException e) {
                        return Optional.of(e.getMessage());
                    }
                }).stepping(steps -> edit(name, p -> p.withStone(with.with(p.stone(), new Millimetres(get.apply(p.stone()).value() + steps)))));
    }

    private Measure measure(String id, String name, String tooltip, Function<Stone, Double> get, DoubleFunction<String> words, WithShare with) {
        return new Measure(id, name, tooltip, 0, 1, 0.05, () -> get.apply(stone()), words, v -> workbench.draft(p -> p.withStone(with.with(p.stone(), v))),
                v -> form(name, s -> with.with(s, v)));
    }

    private void form(String title, UnaryOperator<Stone> change) {
        edit(title, p -> p.withStone(change.apply(p.stone())));
    }

    /** Turns the stone a quarter clockwise. */
    void turn() {
        form("Turn the stone", s -> s.withForm(s.roundness(), s.irregularity(), s.flatTop(), s.flatBack(), (s.wayUp() + 90) % 360));
    }

    private static String percent(double v) {
        return Math.round(v * 100) + " %";
    }

    /** The numbers that follow. */
    private static final class Facts extends GridPane {

        private final NumberLine weight = new NumberLine("fact-weight", "weighs about");
        private final NumberLine area = new NumberLine("fact-paintable", "to paint on");
        private final NumberLine face = new NumberLine("fact-face", "of it face");
        private final NumberLine sealed = new NumberLine("fact-sealed", "dry → sealed");

        Facts() {
            getStyleClass().add("facts");
            setHgap(10);
            setVgap(6);
            add(weight, 0, 0);
            add(area, 1, 0);
            add(face, 0, 1);
            add(sealed, 1, 1);
            for (NumberLine line : new NumberLine[] {weight, area, face, sealed}) {
                GridPane.setHgrow(line, Priority.ALWAYS);
                line.setPrefWidth(130);
            }
        }

        void show(PaintPlan plan) {
            if (plan == null) {
                return;
            }
            StoneFacts facts = plan.survey().facts();
            weight.show(facts.weight().value() < 1000 ? Numbers.text(facts.weight().value(), 0) : Numbers.text(facts.weight().value() / 1000, 2), facts.weight().value() < 1000 ? "g" : "kg");
            area.show(Numbers.text(facts.paintableMm2() / 100, 1), "cm²");
            face.show(Numbers.text(facts.faceMm2() / 100, 1), "cm²");
            double dry = Lab.of(plan.survey().stone().colour()).l();
            double wet = Lab.of(PaintPlan.bare(plan.survey().stone(), Look.SEALED)).l();
            sealed.show(Numbers.text(dry, 0) + " → " + Numbers.text(wet, 0), "L*");
        }
    }
}
