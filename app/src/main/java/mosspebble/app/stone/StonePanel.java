package mosspebble.app.stone;

import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.cloth.NumberLine;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Navigator;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.screen.PagePlace;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Surroundings;
import mosspebble.app.stone.StoneModel.Page;
import mosspebble.core.colour.Lab;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Stone.Measure;
import mosspebble.core.stone.StoneFacts;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;
import mosspebble.instruments.KitchenScale;

/**
 * The bare stone: its measures and what follows from them, then one matter at a time: outline, dome, weight, rock, skin, marks, how it is
 * seen, what it suits, getting it ready.
 */
public final class StonePanel extends Panel {

    final FileWork files;
    private final StoneModel bench;
    private final PlanWorker desk;
    private final KitchenScale scale;
    private final PagePlace<Page> place = placeFor(List.of(Page.values()), this::made);

    public StonePanel(Surroundings with, StoneModel bench, KitchenScale scale) {
        super(with.workbench(), with.results());
        this.files = with.files();
        this.bench = bench;
        this.desk = with.worker();
        this.scale = scale;
        Entry length = length(Measure.LENGTH, (s, v) -> s.withSize(v, s.width(), s.height()));
        Entry width = length(Measure.WIDTH, (s, v) -> s.withSize(s.length(), v, s.height()));
        Entry height = length(Measure.HEIGHT, (s, v) -> s.withSize(s.length(), s.width(), v));
        for (Entry entry : new Entry[] {length, width, height}) {
            HBox.setHgrow(entry, Priority.ALWAYS);
            entry.setMaxWidth(Double.MAX_VALUE);
            entry.setPrefWidth(90);
        }
        Choice<LengthUnit> unit = new Choice<>("", u -> workbench.look(s -> s.withView(u, s.evening())));
        for (LengthUnit u : LengthUnit.values()) {
            unit.option("unit-" + u.symbol(), u.symbol(), u, "Show lengths in " + u.symbol() + "; any unit can be typed");
        }
        HBox ways = new HBox(4,
                fixed(button("to-photo", "Photo", "Take or open a photo of stones (P)",
                        () -> with.navigator().go(Stage.STONE, Navigator.PHOTO))),
                fixed(button("to-basket", "Basket", "Stones that wait (B)", () -> with.navigator().go(Stage.STONE, Navigator.BASKET))));
        unit.unwrapped();
        besideTitle(new HBox(10, unit, ways));
        Facts facts = new Facts();
        Choice<Page> pages = Choice.pages(p -> bench.pageProperty().set(p));
        for (Page page : Page.values()) {
            pages.option("page-" + page.name().toLowerCase(Locale.ROOT), page.label(), page, switch (page) {
                case OUTLINE -> "Form, callipers, points, which way up";
                case DOME -> "Face and back, fullness and cross-section";
                case WEIGH -> "How full it is, by weight and by tape";
                case ROCK -> "Rock, how it feels, what was on it before";
                case SKIN -> "Drop test, colour dry, wet and sealed";
                case MARKS -> "Dents, holes, bumps, flats and cracks";
                case SEEN -> "How it will be seen; lines that look straight";
                case SUITS -> "Which way up, and which subjects suit it";
                case READY -> "Washing, drying, casting";
                case FOUND -> "Where it lay, and whether it might be taken";
            });
        }
        VBox measures = Entry.row(length, width, height);
        getChildren().addAll(pages, measures, facts, place);
        bench.pageProperty().addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            for (Entry entry : new Entry[] {length, width, height}) {
                entry.prompt(workbench.studio().unit().symbol());
                entry.refresh();
            }
            unit.show(workbench.studio().unit());
            pages.show(bench.pageProperty().get());
            facts.show(show.plan());
            present(measures, bench.pageProperty().get().measures());
            present(facts, bench.pageProperty().get().follows());
            place.show(bench.pageProperty().get());
        });
    }

    private static Button fixed(Button button) {
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    private PageView made(Page page) {
        return switch (page) {
            case OUTLINE -> new OutlinePage(this, bench);
            case DOME -> new DomePage(this);
            case WEIGH -> new WeighPage(this, scale);
            case ROCK -> new RockPage(this);
            case SKIN -> new SkinPage(this, desk);
            case MARKS -> new MarksPage(this, bench);
            case SEEN -> new SeenPage(this, bench);
            case SUITS -> new SuitsPage(this, desk);
            case READY -> new ReadyPage(this);
            case FOUND -> new FoundPage(this);
        };
    }

    void skin(String title, UnaryOperator<Skin> change) {
        edit(title, p -> p.withStone(p.stone().withSkin(change.apply(p.stone().skin()))));
    }

    /** Changes the stone by a length. */
    interface With {
        Stone with(Stone stone, Millimetres value);
    }

    private Entry length(Measure measure, With with) {
        String name = Words.upper(measure.name().toLowerCase(Locale.ROOT));
        Supplier<Millimetres> get = () -> stone().size().of(measure);
        return new Entry(measure.name().toLowerCase(Locale.ROOT), name,
                name + " of the stone: 92 mm, 9.2 cm, 3 3/4 in or a sum; arrow keys step",
                () -> project().filter(p -> p.unmeasured().contains(measure)).isPresent() ? ""
                        : LengthText.number(get.get(), workbench.studio().unit()),
                text -> length(text, value -> tryEdit(changed(name, get.get(), value),
                        p -> p.withStone(with.with(p.stone(), value)).measured(measure))))
                .stepping(steps -> {
                    Millimetres before = get.get();
                    Millimetres after = new Millimetres(before.value() + steps);
                    edit(changed(name, before, after), p -> p.withStone(with.with(p.stone(), after)));
                });
    }

    /** What undo will call it: "Length 96 to 120 mm". */
    private String changed(String name, Millimetres before, Millimetres after) {
        return name + " " + LengthText.number(before, workbench.studio().unit()) + " to "
                + LengthText.format(after, workbench.studio().unit());
    }

    String words(Millimetres length) {
        return LengthText.format(length, workbench.studio().unit());
    }

    /** Turns the stone a quarter clockwise. */
    public void turn() {
        edit("Turn the stone", p -> p.withStone(p.stone().withWayUp(p.stone().wayUp() + 90)));
    }

    /** The numbers that follow. */
    private static final class Facts extends GridPane {

        private final NumberLine weight = new NumberLine("fact-weight", "weighs");
        private final NumberLine area = new NumberLine("fact-paintable", "to paint");
        private final NumberLine face = new NumberLine("fact-face", "face");
        private final NumberLine sealed = new NumberLine("fact-sealed", "L* dry → sealed");

        Facts() {
            getStyleClass().addAll("facts", "compact");
            setHgap(10);
            setVgap(4);
            add(weight, 0, 0);
            add(area, 1, 0);
            add(face, 2, 0);
            add(sealed, 3, 0);
            for (NumberLine line : new NumberLine[] {weight, area, face, sealed}) {
                GridPane.setHgrow(line, Priority.ALWAYS);
            }
        }

        void show(PaintPlan plan) {
            if (plan == null) {
                return;
            }
            StoneFacts facts = plan.survey().facts();
            weight.show(facts.weight().value() < 1000 ? Numbers.text(facts.weight().value(), 0)
                    : Numbers.text(facts.weight().value() / 1000, 2), facts.weight().value() < 1000 ? "g" : "kg");
            area.show(Numbers.text(facts.paintableMm2() / 100, 0), "cm²");
            face.show(Numbers.text(facts.faceMm2() / 100, 0), "cm²");
            double dry = Lab.of(plan.survey().stone().colour()).l();
            double wet = Lab.of(PaintPlan.bare(plan.survey().stone(), StoneState.SEALED)).l();
            sealed.show(Numbers.text(dry, 0) + " → " + Numbers.text(wet, 0), "");
        }
    }
}
