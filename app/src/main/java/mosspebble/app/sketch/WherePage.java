package mosspebble.app.sketch;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import mosspebble.app.control.Entry;
import mosspebble.app.control.OneStop;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.sketch.Item;

/** Where the thing in hand lies by the stone's lines and marks, several of it, and what it is grouped with. */
final class WherePage extends PageView {

    private final SketchPanel panel;
    private final FlowPane align;
    private final Entry howMany;
    private final Button group;
    private int several = 5;

    WherePage(SketchPanel panel, SketchModel sketch) {
        this.panel = panel;
        align = new FlowPane(4, 4,
                Panel.button("align-upright", "middle ↕", "Onto the upright middle line", () -> sketch.align(true, false, false)),
                Panel.button("align-level", "middle ↔", "Onto the level middle line", () -> sketch.align(false, true, false)),
                Panel.button("align-axis", "long axis", "Turned along the stone's long axis", () -> sketch.align(true, true, true)),
                Panel.button("on-mark", "on a bump or dent", "Its eye or centre onto the next mark of the stone", sketch::onMark),
                Panel.button("cover-mark", "hide a bad spot", "Moved so that it covers a hole, flat or crack", sketch::coverMark));
        OneStop.in(align);
        howMany = new Entry("several-count", "How many", "2 to " + SketchModel.MOST_SEVERAL + "; odd numbers look livelier",
                () -> String.valueOf(several), text -> Panel.number(text, "5", v -> {
                    if (v < 2 || v > SketchModel.MOST_SEVERAL) {
                        return Optional.of("2 to " + SketchModel.MOST_SEVERAL + ".");
                    }
                    several = (int) Math.round(v);
                    return Optional.empty();
                }));
        group = Panel.button("group", "Group with the next", "Things of one group move together (G)", sketch::group);
        HBox makes = new HBox(4, howMany,
                Panel.button("scattered", "scattered", "A group, the main one in the middle, far ones smaller",
                        () -> sketch.several(several, false)),
                Panel.button("in-ring", "in a ring", "A ring that follows the face", () -> sketch.several(several, true)));
        makes.setAlignment(Pos.BOTTOM_LEFT);
        howMany.setPrefWidth(84);
        getChildren().addAll(align, Panel.quiet("Several of it"), makes, group);
    }

    @Override
    public void refresh() {
        Item item = panel.workbench.itemInHand().orElseThrow();
        Panel.present(align, !item.wearing());
        group.setText(item.group().isPresent() ? "Take the group apart" : "Group with the next");
        howMany.refresh();
    }
}
