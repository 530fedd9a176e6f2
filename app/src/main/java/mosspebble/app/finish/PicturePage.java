package mosspebble.app.finish;

import java.nio.file.Path;
import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mosspebble.app.control.Choice;
import mosspebble.app.model.SeenBy;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.LargePicture;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Studio;
import mosspebble.core.units.Numbers;
import mosspebble.files.DesignSvg;
import mosspebble.files.FileTrouble;
import mosspebble.files.PictureFile;
import mosspebble.files.StoneFile;
import mosspebble.files.PlanJson;
import mosspebble.files.Sheets;

/** Writes the stone as it lies on the cloth, and the plan. */
final class PicturePage extends PageView {

    /** So much linen is seen round a stone in a picture, mm. */
    private static final double ROUND_MM = 14;

    /** Pictures in a strip. */
    private static final int MOMENTS = 6;

    private final Panel panel;
    private final FinishModel model;
    private int longest = 2_000;
    private PictureFile.Ground behind = PictureFile.Ground.LINEN;

    PicturePage(Panel panel, FinishModel model) {
        this.panel = panel;
        this.model = model;
        Choice<Integer> sizes = new Choice<>("Longer side, pixels", n -> longest = n);
        for (int n : new int[] {1_000, 2_000, 4_000, 8_000}) {
            sizes.option("pixels-" + n, Numbers.text(n, 0), n, "The longer side; a large one takes its time");
        }
        sizes.show(longest);
        Choice<PictureFile.Ground> grounds = new Choice<>("Behind it", g -> behind = g);
        for (PictureFile.Ground g : PictureFile.Ground.values()) {
            grounds.option("behind-" + g.name().toLowerCase(Locale.ROOT), g.label(), g, g.label());
        }
        grounds.show(behind);
        Button image = Panel.button("export-picture", "Save the picture (PNG)", "The stone as it lies on the cloth now", this::picture);
        image.getStyleClass().addAll("main", "widest");
        image.setMaxWidth(Double.MAX_VALUE);
        Button steps = wide("export-steps", "Save it in six moments (PNG)",
                "Side by side from the bare stone to the finished one, about as much new on each", this::steps);
        Button svg = wide("export-design", "Design (SVG)", "Outline and parts at true size in mm, for a cutter or a drawing program",
                this::design);
        Button stencil = wide("export-template", "Template (SVG)",
                "The design cut out of a sheet, with bridges for what would fall out, in the order of cutting", this::stencil);
        Button json = wide("export-plan", "Plan (JSON)", "The whole plan in an open format", this::json);
        Button send = wide("export-stone", "Stone to send", "Everything decided for it in one file, for a friend to take in", this::stone);
        getChildren().addAll(Panel.quiet("As it lies on the cloth: its step, look and light."), sizes, grounds, image,
                steps, beside(svg, stencil), beside(json, send));
    }

    private static Button wide(String id, String words, String tooltip, Runnable action) {
        Button button = Panel.button(id, words, tooltip, action);
        button.setMaxWidth(Double.MAX_VALUE);
        button.setMinHeight(44);
        return button;
    }

    private static HBox beside(Button one, Button other) {
        HBox row = new HBox(8, one, other);
        for (Button each : new Button[] {one, other}) {
            each.setPrefWidth(10); // half each, whatever stands on them
            HBox.setHgrow(each, Priority.ALWAYS);
        }
        return row;
    }

    @Override
    public void refresh() {}

    /** Writes a picture of the stone as the cloth shows it. */
    void picture() {
        int asked = panel.workbench.stepProperty().get();
        write(".png", (plan, wish, file, progress) -> PictureFile.write(plan,
                wish.at(Math.min(asked, plan.steps().size()), plan.project().habits().light().from()), wish.ground, file, progress));
    }

    /** Writes how the stone is painted, in a few pictures side by side. */
    void steps() {
        write("-steps.png", (plan, wish, file, progress) -> PictureFile.writeStrip(plan,
                wish.at(plan.steps().size(), plan.project().habits().light().from()), MOMENTS, wish.ground, file, progress));
    }

    private interface Writing {
        boolean write(PaintPlan plan, Chosen wish, Path file, Sheets.Progress progress) throws FileTrouble;
    }

    /** What is chosen on this page and on the cloth when the picture is asked for. */
    private record Chosen(int pixels, PictureFile.Ground ground, StoneState look, SeenBy by) {

        LargePicture.Wish at(int steps, double lightFrom) {
            return new LargePicture.Wish(pixels, ground == PictureFile.Ground.CLEAR ? 1 : ROUND_MM, look, by.lamp(),
                    new StonePicture.Shown(steps, 0, lightFrom, by.care(Care.FULL)));
        }
    }

    private void write(String ending, Writing writing) {
        Chosen wish = new Chosen(longest, behind, panel.workbench.lookProperty().get(), panel.workbench.seenByProperty().get());
        model.exports.write("-" + wish.pixels + ending,
                (plan, file, progress) -> writing.write(plan, wish, file, progress));
    }

    /** Writes what is decided for the stone, as it is kept. */
    void stone() {
        Studio studio = panel.workbench.studio();
        model.exports.write("-stone.json", (plan, file, progress) -> {
            StoneFile.write(studio.project(plan.project().id()).orElseThrow(), studio, file);
            return true;
        });
    }

    /** Writes the design of the face that is up. */
    void design() {
        model.exports.write("-design.svg", (plan, file, progress) -> {
            DesignSvg.write(plan, file);
            return true;
        });
    }

    /** Writes the design of the face that is up as a template to cut. */
    void stencil() {
        model.exports.write("-template.svg", (plan, file, progress) -> {
            DesignSvg.writeStencil(plan, file);
            return true;
        });
    }

    /** Writes the plan. */
    void json() {
        model.exports.write("-plan.json", (plan, file, progress) -> {
            PlanJson.write(plan, file);
            return true;
        });
    }
}
