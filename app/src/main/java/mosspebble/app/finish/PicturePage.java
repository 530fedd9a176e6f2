package mosspebble.app.finish;

import java.util.Locale;
import javafx.scene.control.Button;
import mosspebble.app.control.Choice;
import mosspebble.app.model.SeenBy;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.LargePicture;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Studio;
import mosspebble.core.units.Numbers;
import mosspebble.files.DesignSvg;
import mosspebble.files.PictureFile;
import mosspebble.files.StoneFile;
import mosspebble.files.PlanJson;

/** Writes the stone as it lies on the cloth, and the plan. */
final class PicturePage extends PageView {

    /** So much linen is seen round a stone in a picture, mm. */
    private static final double ROUND_MM = 14;

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
        Button json = Panel.button("export-plan", "Save the plan (JSON)", "The whole plan in an open format", this::json);
        json.setMaxWidth(Double.MAX_VALUE);
        json.setMinHeight(44);
        Button svg = Panel.button("export-design", "Save the design (SVG, mm)",
                "Outline and parts at true size, for a cutter or a drawing program",
                this::design);
        svg.setMaxWidth(Double.MAX_VALUE);
        svg.setMinHeight(44);
        Button stencil = Panel.button("export-template", "Save a template to cut (SVG, mm)",
                "The design cut out of a sheet, with bridges for what would fall out, in the order of cutting", this::stencil);
        stencil.setMaxWidth(Double.MAX_VALUE);
        stencil.setMinHeight(44);
        Button send = Panel.button("export-stone", "Save the stone to send",
                "Everything decided for it in one file, for a friend to take in",
                this::stone);
        send.setMaxWidth(Double.MAX_VALUE);
        send.setMinHeight(44);
        getChildren().addAll(Panel.quiet("The stone as it lies on the cloth: its step, its look and its light."), sizes, grounds, image,
                svg, stencil, json, send);
    }

    @Override
    public void refresh() {}

    /** Writes a picture of the stone as the cloth shows it. */
    void picture() {
        int pixels = longest;
        PictureFile.Ground ground = behind;
        StoneState look = panel.workbench.lookProperty().get();
        SeenBy by = panel.workbench.seenByProperty().get();
        int asked = panel.workbench.stepProperty().get();
        model.exports.write("-" + pixels + ".png", (plan, file, progress) -> PictureFile.write(plan,
                new LargePicture.Wish(pixels, ground == PictureFile.Ground.CLEAR ? 1 : ROUND_MM, look, by.lamp(),
                        new StonePicture.Shown(Math.min(asked, plan.steps().size()), 0, plan.project().habits().light().from(),
                                by.care(Care.FULL))),
                ground, file, progress));
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
