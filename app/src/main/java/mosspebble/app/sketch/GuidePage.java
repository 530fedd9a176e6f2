package mosspebble.app.sketch;

import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.control.Label;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.colour.Lab;
import mosspebble.core.sketch.GuideKind;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.Millimetres;

/** A pencil guide: how many lines, how far apart. */
final class GuidePage extends PageView {

    private final SketchPanel panel;
    private final Label title = Panel.heading("");
    private final Label words = Panel.quiet("");
    private final Choice<Boolean> toEye;
    private Entry count;
    private Entry apart;
    private GuideKind shown;
    private final SketchModel sketch;

    GuidePage(SketchPanel panel, SketchModel sketch) {
        this.panel = panel;
        this.sketch = sketch;
        title.setId("guide-title");
        toEye = new Choice<>("Straight",
                eye -> sketch.change("Straight to the eye", s -> s instanceof Subject.Guide g ? g.with(g.count(), g.mm(), eye) : s));
        toEye.option("guide-ruled", "ruled", false, "As ruled on flat paper").option("guide-eye", "to the eye", true,
                "Lifted over the dome until it looks straight from the viewpoint (Stone, Seen)");
    }

    private Optional<Subject.Guide> guide() {
        return panel.workbench.itemInHand().map(i -> i.subject() instanceof Subject.Guide g ? g : null);
    }

    private Optional<String> take(UnaryOperator<Subject.Guide> change) {
        if (sketch.change("Guide", s -> s instanceof Subject.Guide g ? change.apply(g) : s)) {
            return Optional.empty();
        }
        String reason = panel.workbench.noticeProperty().get();
        panel.workbench.tell("");
        return Optional.of(reason);
    }

    private void build(GuideKind kind) {
        shown = kind;
        title.setText(kind.title());
        count = new Entry("guide-count", kind.counted(), "1 to 60", () -> guide().map(g -> String.valueOf(g.count())).orElse("–"),
                text -> Panel.number(text, "6", v -> take(g -> g.with((int) Math.round(v), g.mm(), g.toEye()))));
        apart = panel.lengthEntry("guide-mm", kind.measured(), "Any unit",
                () -> new Millimetres(guide().map(Subject.Guide::mm).orElse(1.0)), v -> take(g -> g.with(g.count(), v.value(), g.toEye())));
        getChildren().setAll(title, count, apart, toEye, words);
    }

    @Override
    public void refresh() {
        guide().ifPresent(g -> {
            if (g.kind() != shown) {
                build(g.kind());
            }
            count.refresh();
            apart.refresh();
            Panel.present(count, g.kind() != GuideKind.CENTRE);
            Panel.present(toEye, g.kind() != GuideKind.BOUNDARY);
            toEye.show(g.toEye());
            boolean pale = Lab.of(panel.stone().colour()).l() > 48;
            words.setText("Drawn with " + (pale ? "a graphite pencil" : "a white chalk pencil, since the stone is dark")
                    + "; on the sheets as pencil lines. Things snap to it while they are moved; hold Alt to keep them free.");
        });
    }
}
