package mosspebble.app.sketch;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.PlacedItem;

/** The parts of the thing in hand: each can be left out; what cannot be painted says so. */
final class PartsPage extends PageView {

    private final SketchPanel panel;
    private final SketchModel sketch;
    private final VBox list = new VBox(2);
    private final Label none = Panel.quiet("");
    private List<Object> shows = List.of();

    PartsPage(SketchPanel panel, SketchModel sketch) {
        this.panel = panel;
        this.sketch = sketch;
        setSpacing(8);
        list.setId("parts");
        getChildren().addAll(none, list);
    }

    @Override
    public void refresh() {
        Item item = panel.workbench.itemInHand().orElseThrow();
        PaintPlan plan = panel.show.plan();
        PlacedItem placed = sketch.placedInHand().orElse(null);
        if (placed == null || plan == null) {
            none.setText("It has no parts on the stone.");
            list.getChildren().clear();
            shows = List.of();
            return;
        }
        List<Object> now = List.of(placed.motif().parts(), item.leftOut(), plan.hardToPaint());
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
            box.setTooltip(new Tooltip("Untick to leave it out"));
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
            list.getChildren().add(row);
        }
    }
}
