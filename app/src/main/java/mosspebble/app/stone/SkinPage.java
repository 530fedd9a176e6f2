package mosspebble.app.stone;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.OneStop;
import mosspebble.app.cloth.StoneImage;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Measure;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.colour.Lab;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.picture.StoneTerrain;
import mosspebble.core.plan.StoneState;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.area.Grid;
import mosspebble.core.stone.DropTest;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;

/** The surface: how it drinks, its colour dry, wet and sealed side by side. */
final class SkinPage extends PageView {

    private static final List<String> TONES = List.of("#e4ddcd", "#cfc9bb", "#b8ad97", "#b89a6e", "#a9835f", "#918f8a", "#8a6f63",
            "#7d8288", "#5f605d", "#5a6a62", "#454a4f", "#2f3134");
    private static final double PICTURE_PX = 78;

    private final StonePanel panel;
    private final Measure porosity;
    private final Entry drop;
    private final Entry colour;
    private final HBox looks = new HBox(6);
    private final Label darker = Panel.quiet("");
    private Survey shown;

    SkinPage(StonePanel panel) {
        this.panel = panel;
        porosity = new Measure("porosity", "Porosity", "Open pores: a drop of water beads on a glassy stone and soaks into a porous one", 0,
                0.5, 0.01, () -> panel.stone().porosity(),
                v -> Numbers.text(100 * v, 0) + " %, " + DropTest.word(v),
                v -> panel.workbench.draft(p -> p.withStone(p.stone().withSkin(p.stone().skin().withPorosity(v)))),
                v -> panel.skin("Porosity", s -> s.withPorosity(v)));
        drop = new Entry("drop-seconds", "Drop gone after, s",
                "Lay a drop of water on the dry stone; seconds until it is gone; 600 if it beads", () -> "", this::drop);
        colour = new Entry("stone-colour", "Dry colour", "A colour code such as #8d8b86, or choose a tone",
                () -> panel.stone().colour().hex(),
                text -> panel.tryEdit("Stone colour",
                        p -> p.withStone(p.stone().withSkin(p.stone().skin().withColour(Srgb.ofHex(text.strip()))))));
        FlowPane tones = new FlowPane(4, 4);
        for (String tone : TONES) {
            Button dab = new Button();
            dab.getStyleClass().add("dab");
            dab.setStyle("-fx-background-color: " + tone + ";");
            dab.setAccessibleText("Stone colour " + tone);
            Hint.on(dab, "Dry colour " + tone);
            dab.setOnAction(e -> panel.skin("Stone colour", s -> s.withColour(Srgb.ofHex(tone))));
            tones.getChildren().add(dab);
        }
        OneStop.in(tones);
        HBox row = new HBox(8, colour, drop);
        HBox.setHgrow(colour, Priority.ALWAYS);
        HBox.setHgrow(drop, Priority.ALWAYS);
        looks.setAlignment(Pos.CENTER_LEFT);
        darker.setId("darker");
        getChildren().addAll(looks, darker, porosity, row, tones);
    }

    private Optional<String> drop(String text) {
        return text.isBlank() ? Optional.empty() : Panel.number(text, "20", seconds -> {
            double pores = DropTest.porosity(seconds);
            return panel.tryEdit("Drop test", p -> p.withStone(p.stone().withSkin(p.stone().skin().withPorosity(pores))));
        });
    }

    @Override
    public void refresh() {
        porosity.refresh();
        colour.refresh();
        PaintPlan plan = panel.show.plan();
        if (plan != null && plan.survey() != shown) {
            shown = plan.survey();
            double reach = Math.max(shown.dome().outline().halfWidth(), shown.dome().outline().halfHeight());
            Grid grid = Grid.around(shown.dome().outline().halfWidth() + 1, shown.dome().outline().halfHeight() + 1,
                    2 * reach / PICTURE_PX);
            StoneTerrain terrain = StoneTerrain.of(shown, grid);
            looks.getChildren().clear();
            for (StoneState look : List.of(StoneState.DRY, StoneState.WET, StoneState.SEALED)) {
                ImageView image = new ImageView(
                        StoneImage.still(StonePicture.of(plan, terrain, look), 0, plan.project().habits().light().from()));
                Label words = Panel.quiet(
                        look.name().toLowerCase(Locale.ROOT) + ", L* " + Numbers.text(Lab.of(PaintPlan.bare(shown.stone(), look)).l(), 0));
                VBox box = new VBox(3, image, words);
                box.setAlignment(Pos.BOTTOM_CENTER);
                HBox.setHgrow(box, Priority.ALWAYS);
                box.setMaxWidth(Double.MAX_VALUE);
                looks.getChildren().add(box);
            }
            double dry = Lab.of(shown.stone().colour()).l();
            double sealedL = Lab.of(PaintPlan.bare(shown.stone(), StoneState.SEALED)).l();
            darker.setText("Sealed it is " + Numbers.text(dry - sealedL, 0) + " L* darker than dry; a wetted corner shows it.");
        }
    }
}
