package mosspebble.app.stone;

import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Measure;
import mosspebble.app.stone.StoneModel.Guide;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.stone.Eye;
import mosspebble.core.stone.Viewpoint;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import org.locationtech.jts.geom.Coordinate;

/** How the stone will be seen, and how a line or ring must be drawn to look straight or round from there. */
final class SeenPage extends PageView {

    private final StonePanel panel;
    private final StoneModel bench;
    private final Choice<Viewpoint> from;
    private final Measure lean;
    private final Entry height;
    private final Entry distance;
    private final Choice<Guide> guide;
    private final Label words = new Label();

    SeenPage(StonePanel panel, StoneModel bench) {
        this.panel = panel;
        this.bench = bench;
        from = new Choice<>("It will be seen", v -> panel.edit("How it is seen", p -> p.withViewpoint(v)));
        from.option("seen-above", "from above", Viewpoint.above(), "Straight down")
                .option("seen-table", "on a table", Viewpoint.table(), "By someone who sits at it")
                .option("seen-shelf", "on a shelf", Viewpoint.shelf(), "Standing, at eye level")
                .option("seen-leaning", "leaning by a path", Viewpoint.leaning(), "By someone who walks past");
        lean = new Measure("lean", "Leans", "Angle of the stone against the table (Page Up, Page Down)", 0, 90, 1, () -> view().lean(),
                v -> Numbers.text(v, 0) + "°",
                v -> panel.workbench.draft(p -> p.withViewpoint(new Viewpoint(v, view().eyeHeight(), view().eyeDistance()))),
                v -> panel.edit("Tilt the stone",
                        p -> p.withViewpoint(new Viewpoint(v, p.viewpoint().eyeHeight(), p.viewpoint().eyeDistance()))));
        height = panel.lengthEntry("eye-height", "Eye above it", "Height of the eye over the stone's middle",
                () -> new Millimetres(view().eyeHeight()),
                v -> panel.tryEdit("Eye height",
                        p -> p.withViewpoint(new Viewpoint(p.viewpoint().lean(), v.value(), p.viewpoint().eyeDistance()))));
        distance = panel.lengthEntry("eye-distance", "Eye away", "Level distance of the eye", () -> new Millimetres(view().eyeDistance()),
                v -> panel.tryEdit("Eye distance",
                        p -> p.withViewpoint(new Viewpoint(p.viewpoint().lean(), p.viewpoint().eyeHeight(), v.value()))));
        HBox eye = new HBox(8, height, distance);
        HBox.setHgrow(height, Priority.ALWAYS);
        HBox.setHgrow(distance, Priority.ALWAYS);
        guide = new Choice<>("What shall look true", g -> {
            bench.guideProperty().set(g);
            refresh();
        });
        guide.option("guide-line", "a level line", Guide.LINE, "Straight and level from there")
                .option("guide-ring", "a ring", Guide.RING, "Round from there").option("guide-none", "nothing", Guide.NONE, "No guide");
        words.setId("seen-words");
        words.setWrapText(true);
        bench.guideAtProperty().addListener((o, a, b) -> refresh());
        getChildren().addAll(from, guide, words, lean, eye, Panel.quiet(
                "Bright: as it must be drawn. Yellow, dashed: as ruled or drawn with compasses. Arrow keys move it; drag the stone up or "
                        + "down to tilt it."));
    }

    private Viewpoint view() {
        return panel.project().map(Project::viewpoint).orElse(Viewpoint.above());
    }

    @Override
    public void refresh() {
        from.show(view());
        lean.refresh();
        height.refresh();
        distance.refresh();
        guide.show(bench.guideProperty().get());
        PaintPlan plan = panel.show.plan();
        words.setText(plan == null ? "" : sentence(plan).orElse(""));
        Panel.present(words, !words.getText().isEmpty());
    }

    private Optional<String> sentence(PaintPlan plan) {
        Guide kind = bench.guideProperty().get();
        if (kind == Guide.NONE) {
            return Optional.empty();
        }
        Eye.Corrected corrected = StoneTool.corrected(plan, view().eye(), bench.guideAtProperty().get(), kind);
        int n = corrected.points().size();
        if (n < 3) {
            return Optional.of("From there that place cannot be seen.");
        }
        if (kind == Guide.LINE) {
            double left = corrected.liftedMm().get(0);
            double right = corrected.liftedMm().get(n - 1);
            if (Math.max(Math.abs(left), Math.abs(right)) < 0.3) {
                return Optional.of("A ruled line looks straight from there.");
            }
            return Optional.of("Against a ruled line, " + lifted("the left end", left) + " and " + lifted("the right end", right)
                    + ", so that it looks straight.");
        }
        double wide = extent(corrected, true);
        double high = extent(corrected, false);
        return Optional.of("To look round it is drawn " + mm(wide) + " wide and " + mm(high) + " high" + (Math.abs(corrected.most()) < 0.3
                ? ", as compasses draw it." : ", up to " + mm(Math.abs(corrected.most())) + " off a compass ring."));
    }

    private static double extent(Eye.Corrected corrected, boolean across) {
        double low = corrected.points().stream().mapToDouble((Coordinate c) -> across ? c.x : c.y).min().orElse(0);
        double high = corrected.points().stream().mapToDouble((Coordinate c) -> across ? c.x : c.y).max().orElse(0);
        return high - low;
    }

    private String lifted(String which, double by) {
        return which + " is " + (by >= 0 ? "lifted " : "lowered ") + mm(Math.abs(by));
    }

    private String mm(double value) {
        return panel.words(new Millimetres(value));
    }
}
