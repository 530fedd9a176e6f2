package mosspebble.app.sketch;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Swatch;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.sketch.Exposed;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.Within;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.UnitTextException;
import org.locationtech.jts.geom.Envelope;

/** How the thing in hand lies: its manner, size, turn, room. */
final class LiesPage extends PageView {

    private final SketchPanel panel;
    private final SketchModel sketch;
    private final Choice<ItemMode> manner;
    private final Choice<Boolean> matched;
    private final Entry wide;
    private final Entry high;
    private final Entry turn;
    private final Entry margin;
    private final Entry mostTurn;
    private final Entry runOff;
    private final Entry fringe;
    private final VBox placing;
    private final VBox free;
    private final MenuButton within = new MenuButton();
    private final Label nothingIn = Panel.quiet("Nothing of it lies there, so it is not cut.");
    private final VBox exposes = new VBox(3);

    private static final int MOST_OFFERED = 12;

    LiesPage(SketchPanel panel, SketchModel sketch) {
        this.panel = panel;
        this.sketch = sketch;
        manner = new Choice<>("It lies",
                m -> panel.workbench.editItem(
                        m == ItemMode.WEARING ? "Wear the stone" : m == ItemMode.ON_STONE ? "Lie on the stone" : "Leave it free",
                        i -> i.withManner(m)));
        manner.option("sits-on", "on the stone", ItemMode.ON_STONE, "Keeps its proportions")
                .option("wears", "wears the stone", ItemMode.WEARING, "Its silhouette becomes the stone's outline")
                .option("left-free", "left free", ItemMode.LEFT_FREE,
                        "Its silhouette stays unpainted: what lies behind is cut out round it");
        manner.unlabelled();
        matched = new Choice<>("Pairs", m -> panel.workbench.editItem("Pairs", i -> i.withMatched(m)));
        matched.option("pairs-free", "as they come", false, "Eyes and ears as the stone's shape makes them").option("pairs-equal",
                "made equal", true, "The larger of each pair becomes the mirror image of the smaller");
        Button fit = Panel.button("lies-fit", "Fit to the face", "As large as the face allows, near its middle (F)", sketch::fit);
        fit.getStyleClass().add("main");
        Button beside = Panel.button("fit-beside", "beside the others", "As large as the room that the other things leave (Shift F)",
                sketch::fitBeside);
        HBox.setHgrow(fit, Priority.ALWAYS);
        fit.setMaxWidth(Double.MAX_VALUE);
        high = new Entry("design-height", "High", "Height of the design, any unit", () -> number(1), text -> size(text, 1));
        wide = new Entry("design-width", "Wide", "Width of the design, any unit", () -> number(0), text -> size(text, 0));
        turn = new Entry("design-turn", "Turned °", "Degrees clockwise",
                () -> item().map(s -> Numbers.text(s.placement().turn(), 1)).orElse("–"),
                text -> Panel.number(text, "12", v -> place("Turn the design", p -> new Placement(p.x(), p.y(), v, p.scale()))));
        margin = panel.lengthEntry("design-margin", "Margin", "Kept clear inside the face when fitting", () -> mm(Item::marginMm),
                v -> change("Margin", i -> i.withMarginMm(v.value())));
        mostTurn = new Entry("most-turn", "May turn °", "To either side when it is fitted, 0 to 180",
                () -> item().map(i -> Numbers.shortText(i.mostTurn())).orElse("–"),
                text -> Panel.number(text, "15",
                        v -> change("Allowed turn", i -> i.withRoom(new Item.Room(i.marginMm(), v, i.runOffMm())))));
        runOff = panel.lengthEntry("run-off", "May run off", "How far it may leave the face, as a decision", () -> mm(Item::runOffMm),
                v -> change("Allowed run-off", i -> i.withRoom(new Item.Room(i.marginMm(), i.mostTurn(), v.value()))));
        placing = new VBox(8, new HBox(4, fit, beside), row(wide, high, turn), row(margin, mostTurn, runOff));
        fringe = panel.lengthEntry("fringe", "Fringe", "Fine strokes along the edge, as of hair or feathers; 0 for a clean edge",
                () -> mm(Item::fringeMm), v -> change("Fringe", i -> i.withFringeMm(v.value())));
        within.setId("kept-within");
        within.getItems().add(new MenuItem("the stone")); // the others are made when the menu is opened
        within.getStyleClass().add("pebble");
        within.setMaxWidth(Double.MAX_VALUE);
        Hint.on(within, "Cuts it to a part of a thing behind it, such as a pattern to a coat, and keeps it off what lies on that");
        nothingIn.setWrapText(true);
        exposes.setId("exposes");
        free = new VBox(8, fringe, Panel.quiet("It lets be seen:"), exposes);
        getChildren().addAll(manner, within, nothingIn, matched, placing, free);
    }

    private Optional<Item> item() {
        return panel.workbench.itemInHand();
    }

    private interface Get {
        double of(Item item);
    }

    private Millimetres mm(Get get) {
        return new Millimetres(item().map(get::of).orElse(0.0));
    }

    private Optional<String> change(String title, UnaryOperator<Item> change) {
        Optional<Item> item = item();
        return item.isEmpty() ? Optional.empty()
                : panel.tryEdit(title, p -> p.withSketch(p.sketch().map(s -> s.with(item.get().id(), change))));
    }

    private Optional<String> place(String title, UnaryOperator<Placement> change) {
        Optional<Item> item = item();
        return item.isEmpty() ? Optional.empty()
                : panel.tryEdit(title, p -> p.withSketch(p.sketch().map(s -> SketchModel.placed(s, item.get().id(), change))));
    }

    private double[] size() {
        Optional<PlacedItem> placed = sketch.placedInHand();
        if (placed.isEmpty() || item().isEmpty()) {
            return new double[] {0, 0};
        }
        Envelope own = placed.get().motif().sitting().getEnvelopeInternal();
        double scale = placed.get().item().subject() instanceof Subject.Word w && w.setting().path() == LetterSetting.Path.RIM ? 1
                : item().get().placement().scale();
        return new double[] {own.getWidth() * scale, own.getHeight() * scale};
    }

    private String number(int axis) {
        return LengthText.number(new Millimetres(size()[axis]), panel.workbench.studio().unit());
    }

    private Optional<String> size(String text, int axis) {
        try {
            double wanted = LengthText.parse(text, panel.workbench.studio().unit()).value();
            if (!(wanted >= 2 && wanted <= 600)) {
                return Optional.of("A design is 2 to 600 mm, was " + Numbers.shortText(wanted) + " mm.");
            }
            double now = size()[axis];
            return now <= 0 ? Optional.empty() : place("Size the design", p -> p.sizedBy(wanted / now));
        } catch (UnitTextException e) {
            return Optional.of(e.getMessage());
        }
    }

    @Override
    public void refresh() {
        Item item = item().orElseThrow();
        Optional<Motif> motif = sketch.placedInHand().map(PlacedItem::motif);
        boolean wears = motif.filter(Motif::wears).isPresent();
        boolean figure = item.subject() instanceof Subject.Figure || item.subject() instanceof Subject.Pattern;
        boolean guide = item.subject() instanceof Subject.Guide;
        manner.allow(ItemMode.WEARING, wears);
        manner.allow(ItemMode.LEFT_FREE, !guide && !(item.subject() instanceof Subject.Dots));
        Panel.present(manner, !guide);
        manner.show(item.manner());
        Panel.present(matched, figure && motif.filter(m -> m.parts().stream().anyMatch(p -> p.mirror().isPresent())).isPresent());
        matched.show(item.matched());
        Panel.present(placing, !item.wearing());
        Panel.present(free, item.manner() == ItemMode.LEFT_FREE);
        for (Entry entry : new Entry[] {wide, high, turn, margin, mostTurn, runOff, fringe}) {
            entry.refresh();
        }
        within(item, guide);
        if (item.manner() == ItemMode.LEFT_FREE) {
            exposes(item);
        }
    }

    /** What it can be kept within is asked when the menu is opened. */
    private void within(Item item, boolean guide) {
        Optional<PlacedDesign> design = sketch.design();
        List<PlacedItem> behind = design.map(d -> d.items().stream().takeWhile(i -> !i.item().id().equals(item.id())).toList())
                .orElse(List.of());
        Panel.present(within, !guide && (!behind.isEmpty() || item.within().isPresent()));
        within.setText(item.within().isEmpty() ? "Kept within: the stone" : "Kept within: " + named(item.within().get(), behind));
        Panel.present(nothingIn, item.within().isPresent()
                && design.filter(d -> Within.offered(d, item.id()).stream().noneMatch(p -> p.part().id().equals(item.within().get())))
                        .isPresent());
        within.setOnShowing(e -> {
            within.getItems().clear();
            choice("kept-within-stone", "the stone", item, Optional.empty());
            design.ifPresent(d -> Within.offered(d, item.id()).stream().limit(MOST_OFFERED)
                    .forEach(p -> choice("kept-within-" + p.part().id().replace('/', '-'), named(p.part().id(), behind), item,
                            Optional.of(p.part().id()))));
            if (within.getItems().size() == 1) {
                MenuItem none = new MenuItem("It lies on no part of a thing behind it");
                none.setDisable(true);
                within.getItems().add(none);
            }
        });
    }

    private void choice(String id, String words, Item item, Optional<String> part) {
        MenuItem choice = new MenuItem(words);
        choice.setId(id);
        choice.setOnAction(e -> panel.workbench.editItem(part.isEmpty() ? "Keep within the stone" : "Keep within " + words,
                i -> i.withWithin(part)));
        within.getItems().add(choice);
    }

    private String named(String part, List<PlacedItem> behind) {
        return behind.stream().flatMap(thing -> thing.parts().stream().filter(p -> p.part().id().equals(part))
                .map(p -> "the " + p.part().title() + (behind.size() > 1 ? ", " + sketch.title(thing.item()) : ""))).findFirst()
                .orElse("a part that is gone");
    }

    private void exposes(Item item) {
        PaintPlan plan = panel.show.plan();
        exposes.getChildren().clear();
        if (plan == null || plan.design().flatMap(d -> d.item(item.id())).isEmpty()) {
            return;
        }
        Palette palette = new Palette(panel.workbench.studio().shelf());
        for (Map.Entry<String, Double> share : Exposed.of(plan.design().get(), item.id()).entrySet()) {
            HBox line = new HBox(8);
            line.setAlignment(Pos.CENTER_LEFT);
            String name = plan.design().get().slots().stream().filter(s -> s.id().equals(share.getKey())).map(s -> s.title()).findFirst()
                    .orElse(plan.project().ground().isPresent() ? "the ground" : "the bare stone");
            Optional<Palette.Colour> colour = Optional.ofNullable(plan.project().colours().get(share.getKey())).flatMap(palette::colour);
            line.getChildren().add(new Swatch(colour.map(c -> c.optics().full().toSrgb()).orElse(plan.project().stone().colour()), 16));
            line.getChildren().add(new Label(Numbers.text(100 * share.getValue(), 0) + " % " + name));
            exposes.getChildren().add(line);
        }
    }
}
