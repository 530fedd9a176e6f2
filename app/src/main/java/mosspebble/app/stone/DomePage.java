package mosspebble.app.stone;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Measure;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneFacts;
import mosspebble.core.stone.ZoneLimits;
import mosspebble.core.units.Numbers;

/** The dome: how the height is shared, how full it is, by eye; limits of the face; areas of the places to paint. */
final class DomePage extends PageView {

    private final StonePanel panel;
    private final Choice<Boolean> back;
    private final Measure share;
    private final Measure fullness;
    private final Measure face;
    private final Label places = Panel.quiet("");

    DomePage(StonePanel panel) {
        this.panel = panel;
        back = new Choice<>("Back",
                flat -> panel.edit("Back", p -> p.withStone(p.stone().withDome(flat ? 1 : Stone.ROUNDED_FACE, p.stone().fullness()))));
        back.option("back-flat", "flat", true, "It lies flat: all of its height is above the table").option("back-round", "rounded", false,
                "The back is rounded and takes part of the height");
        share = new Measure("face-share", "Above the girdle", "How much of the height lies above the widest line", 0.3, 0.95, 0.05,
                () -> panel.stone().faceShare(),
                v -> Math.round(100 * v) + " %", v -> panel.workbench.draft(p -> p.withStone(p.stone().withDome(v, p.stone().fullness()))),
                v -> panel.edit("Face and back", p -> p.withStone(p.stone().withDome(v, p.stone().fullness()))));
        fullness = new Measure("fullness", "Top", "From a dome to a flat face with round shoulders", 1, Stone.FULLEST, 0.1,
                () -> panel.stone().fullness(),
                v -> v < 1.6 ? "domed" : v < 3 ? "flattish" : "flat face", v -> panel.workbench.draft(p -> p.withStone(full(p.stone(), v))),
                v -> panel.edit("Top", p -> p.withStone(full(p.stone(), v))));
        face = new Measure("face-tilt", "Face ends at", "Tilt of the surface at which the face ends and the shoulder begins", 10, 60, 1,
                () -> panel.stone().limits().faceTilt(), v -> Math.round(v) + "° tilt",
                v -> panel.workbench.draft(p -> p.withStone(p.stone().withLimits(new ZoneLimits(v, Math.max(65, v + 5))))),
                v -> panel.edit("Face limit", p -> p.withStone(p.stone().withLimits(new ZoneLimits(v, Math.max(65, v + 5))))));
        HBox shape = pair(fullness, share);
        HBox limits = new HBox(22, back, face);
        HBox.setHgrow(face, Priority.ALWAYS);
        places.setId("dome-places");
        getChildren().addAll(shape, limits, places);
    }

    private static HBox pair(Measure left, Measure right) {
        HBox both = new HBox(22, left, right);
        for (Measure each : List.of(left, right)) {
            HBox.setHgrow(each, Priority.ALWAYS);
            each.setPrefWidth(100);
        }
        return both;
    }

    /** A stone whose dome is as full as that, and its rounded back too. */
    static Stone full(Stone stone, double m) {
        Stone changed = stone.withDome(stone.faceShare(), m);
        return stone.flatBack() ? changed : changed.withBackFullness(m);
    }

    @Override
    public void refresh() {
        back.show(panel.stone().flatBack());
        Panel.present(share, !panel.stone().flatBack());
        share.refresh();
        fullness.refresh();
        face.refresh();
        PaintPlan plan = panel.show.plan();
        if (plan != null) {
            StoneFacts facts = plan.survey().facts();
            places.setText("Face " + cm2(facts.faceMm2()) + ", shoulder " + cm2(facts.shoulderMm2()) + "; edge all round "
                    + cm2(facts.edgeMm2()) + "; back " + cm2(facts.backMm2()) + ". Volume "
                    + Numbers.text(facts.volumeMm3() / 1000, 1) + " cm³.");
        }
    }

    private static String cm2(double mm2) {
        return Numbers.text(mm2 / 100, 1) + " cm²";
    }
}
