package mosspebble.app.stone;

import java.util.ArrayList;
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
import mosspebble.app.model.PlanWorker;
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

    private static final List<StoneState> LOOKS = List.of(StoneState.DRY, StoneState.WET, StoneState.SEALED);

    private final StonePanel panel;
    private final PlanWorker desk;
    private final PlanWorker.Line drawing = new PlanWorker.Line();
    private final Measure porosity;
    private final Entry drop;
    private final Entry colour;
    private final HBox looks = new HBox(6);
    private final List<ImageView> pictures = new ArrayList<>();
    private final List<Label> words = new ArrayList<>();
    private final Label darker = Panel.quiet("");
    private Survey shown;
    private String of;

    SkinPage(StonePanel panel, PlanWorker desk) {
        this.panel = panel;
        this.desk = desk;
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
        LOOKS.forEach(this::look);
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
            if (!plan.project().id().equals(of)) { // what is still of another stone is not shown as this one
                pictures.forEach(picture -> picture.setImage(null));
            }
            of = plan.project().id();
            shown = plan.survey();
            double halfWide = shown.dome().outline().halfWidth() + 1;
            double halfHigh = shown.dome().outline().halfHeight() + 1;
            Grid grid = Grid.around(halfWide, halfHigh, 2 * (Math.max(halfWide, halfHigh) - 1) / PICTURE_PX);
            for (int k = 0; k < LOOKS.size(); k++) {
                pictures.get(k).setFitWidth(grid.columns());
                pictures.get(k).setFitHeight(grid.rows());
                words.get(k).setText(LOOKS.get(k).name().toLowerCase(Locale.ROOT) + ", L* "
                        + Numbers.text(Lab.of(PaintPlan.bare(shown.stone(), LOOKS.get(k))).l(), 0));
            }
            draw(plan, grid);
            double dry = Lab.of(shown.stone().colour()).l();
            double sealedL = Lab.of(PaintPlan.bare(shown.stone(), StoneState.SEALED)).l();
            darker.setText("Sealed it is " + Numbers.text(dry - sealedL, 0) + " L* darker than dry; a wetted corner shows it.");
        }
    }

    private void look(StoneState look) {
        ImageView picture = new ImageView();
        picture.setId("look-" + look.name().toLowerCase(Locale.ROOT));
        Label words = Panel.quiet("");
        pictures.add(picture);
        this.words.add(words);
        VBox box = new VBox(3, picture, words);
        box.setAlignment(Pos.BOTTOM_CENTER);
        HBox.setHgrow(box, Priority.ALWAYS);
        box.setMaxWidth(Double.MAX_VALUE);
        looks.getChildren().add(box);
    }

    /** The pictures come when they are drawn; until then those before the last edit stand there. */
    private void draw(PaintPlan plan, Grid grid) {
        desk.ask(drawing, d -> {
            StoneTerrain terrain = StoneTerrain.of(plan.survey(), grid);
            double from = plan.project().habits().light().from();
            return LOOKS.stream().map(look -> StonePicture.bare(plan, terrain, look, from)).toList();
        }, drawn -> {
            for (int k = 0; k < drawn.size(); k++) {
                StoneImage still = new StoneImage(grid);
                still.draw(drawn.get(k));
                pictures.get(k).setImage(still.image());
            }
        });
    }
}
