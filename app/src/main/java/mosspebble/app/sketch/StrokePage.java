package mosspebble.app.sketch;

import java.util.Optional;
import javafx.scene.control.Label;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.Millimetres;

/** A stroke drawn by hand: what it is, and how broad. */
final class StrokePage extends PageView {

    private final SketchPanel panel;
    private final Label words = Panel.quiet("");
    private final Choice<Subject.Becomes> becomes;
    private final Entry pen;

    StrokePage(SketchPanel panel, SketchModel sketch) {
        this.panel = panel;
        words.setId("stroke-words");
        becomes = new Choice<>("It is",
                what -> sketch.change("What the stroke is", s -> s instanceof Subject.Stroke k ? k.becoming(what) : s));
        becomes.option("stroke-line", "a line", Subject.Becomes.LINE, "A pen line")
                .option("stroke-area", "an area", Subject.Becomes.AREA, "Filled")
                .option("stroke-dots", "dots", Subject.Becomes.DOTS, "Equal dots along it")
                .option("stroke-guide", "a guide", Subject.Becomes.GUIDE, "A pencil line that is never painted");
        pen = panel.lengthEntry("stroke-pen", "Broad", "Width of the line or of a dot",
                () -> new Millimetres(stroke().map(Subject.Stroke::penMm).orElse(0.7)),
                value -> panel.tryEdit("Width of the stroke",
                        p -> p.withSketch(p.sketch().map(s -> s.with(panel.workbench.itemInHand().orElseThrow().id(),
                                i -> i.showing(((Subject.Stroke) i.subject()).pen(value.value())))))));
        getChildren().addAll(becomes, pen, words);
    }

    private Optional<Subject.Stroke> stroke() {
        return panel.workbench.itemInHand().map(i -> i.subject() instanceof Subject.Stroke s ? s : null);
    }

    @Override
    public void refresh() {
        stroke().ifPresent(s -> {
            becomes.show(s.becomes());
            words.setText(
                    s.points().size() / 2 + " points. Drag one on the stone to move it; Alt click adds one, Ctrl click takes one away.");
            Panel.present(pen, s.becomes() == Subject.Becomes.LINE || s.becomes() == Subject.Becomes.DOTS);
        });
        pen.refresh();
    }
}
