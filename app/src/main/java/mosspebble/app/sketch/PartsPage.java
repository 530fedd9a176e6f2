package mosspebble.app.sketch;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.LineWish;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.Role;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.UnitTextException;

/** The parts of the thing in hand: each can be left out and has a line of its own choice; what cannot be painted says so. */
final class PartsPage extends PageView {

    private final SketchPanel panel;
    private final SketchModel sketch;
    private final VBox list = new VBox(2);
    private final LineMenu lines;
    private final Choice<LineWish.Style> style;
    private final Entry width;
    private final Label none = Panel.quiet("");
    private List<Object> shows = List.of();

    PartsPage(SketchPanel panel, SketchModel sketch) {
        this.panel = panel;
        this.sketch = sketch;
        list.setId("parts");
        lines = new LineMenu("lines", "the lines round it", "as the stone’s", panel.workbench);
        style = new Choice<>("Its lines are", chosen -> wish(w -> w.withStyle(chosen)));
        style.option("line-style-open", "as the stone’s", LineWish.Style.OPEN, "As the habits of this stone have it")
                .option("line-style-even", "even", LineWish.Style.EVEN, "The nib’s width all the way")
                .option("line-style-shaded", "thick in shade", LineWish.Style.SHADED, "Thicker on the side away from the light")
                .option("line-style-double", "double", LineWish.Style.DOUBLE, "A second line just inside")
                .option("line-style-metallic", "metal inside", LineWish.Style.METALLIC, "A metallic line just inside");
        width = new Entry("line-width", "Line width", "0.2 to 3 mm; empty: as the pen and the size of the thing make it",
                () -> panel.workbench.itemInHand().map(i -> i.lines().whole().widthMm()).filter(mm -> mm > 0).map(Numbers::shortText)
                        .map(mm -> mm + " mm").orElse("as the pen"),
                this::width);
        HBox whole = new HBox(8, new Label("Line round it"), lines);
        whole.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(whole, style, width, none, list);
    }

    private void wish(UnaryOperator<LineWish> change) {
        panel.workbench.editItem("Line", i -> i.withLines(i.lines().withWhole(change.apply(i.lines().whole()))));
    }

    private Optional<String> width(String text) {
        String typed = text.trim();
        if (typed.isEmpty() || typed.equals("as the pen")) {
            wish(w -> w.withWidthMm(0));
            return Optional.empty();
        }
        try {
            double mm = LengthText.parse(typed, LengthUnit.MM).value();
            if (!(mm >= 0.2 && mm <= 3)) {
                return Optional.of("A line is 0.2 to 3 mm wide, was " + Numbers.shortText(mm) + " mm. Empty it for the pen’s own width.");
            }
            wish(w -> w.withWidthMm(mm));
            return Optional.empty();
        } catch (UnitTextException e) {
            return Optional.of(e.getMessage());
        }
    }

    @Override
    public void refresh() {
        Item item = panel.workbench.itemInHand().orElseThrow();
        lines.show(item.lines().whole(), w -> panel.workbench.editItem("Line", i -> i.withLines(i.lines().withWhole(w))));
        style.show(item.lines().whole().style());
        width.refresh();
        PaintPlan plan = panel.show.plan();
        PlacedItem placed = sketch.placedInHand().orElse(null);
        if (placed == null || plan == null) {
            none.setText("It has no parts on the stone.");
            list.getChildren().clear();
            shows = List.of();
            return;
        }
        List<Object> now = List.of(placed.motif().parts(), item.leftOut(), plan.hardToPaint(), item.lines(),
                panel.workbench.studio().shelf());
        if (now.equals(shows)) {
            return;
        }
        shows = now;
        Set<String> hard = new LinkedHashSet<>();
        plan.hardToPaint().stream().filter(id -> id.startsWith(item.named("")))
                .forEach(id -> hard.add(id.substring(item.named("").length())));
        none.setText(hard.isEmpty() ? "Every part can be painted with the tools on the shelf."
                : hard.size() + (hard.size() == 1 ? " part is" : " parts are") + " too narrow for its tool; see the findings.");
        list.getChildren().clear();
        for (MotifPart part : placed.motif().parts()) {
            CheckBox box = new CheckBox(part.title());
            box.setId("part-" + part.id());
            box.setSelected(!item.leftOut().contains(part.id()));
            Hint.on(box, "Untick to leave it out");
            box.setMaxWidth(Double.MAX_VALUE);
            box.setOnAction(e -> sketch.leaveOut(part.id(), !box.isSelected()));
            HBox.setHgrow(box, Priority.ALWAYS);
            HBox row = new HBox(6, box);
            row.setAlignment(Pos.CENTER_LEFT);
            if (hard.contains(part.id())) {
                Label narrow = new Label("too narrow");
                narrow.getStyleClass().addAll("weight", "mind");
                narrow.setMinWidth(Region.USE_PREF_SIZE);
                row.getChildren().add(narrow);
            }
            if (part.role() == Role.FILL) {
                LineMenu line = new LineMenu("line-" + part.id(), "the line round the " + part.title(), "line", panel.workbench);
                line.show(item.lines().parts().getOrDefault(part.id(), LineWish.OPEN),
                        w -> panel.workbench.editItem("Line round the " + part.title(), i -> i.withLines(i.lines().with(part.id(), w))));
                row.getChildren().add(line);
            }
            list.getChildren().add(row);
        }
    }
}
