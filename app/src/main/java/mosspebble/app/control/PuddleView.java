package mosspebble.app.control;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.shape.SVGPath;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Shelf;
import mosspebble.core.plan.Step;
import mosspebble.core.units.Srgb;

/** What a pass is painted with, as puddles on the palette: the mix, and beside it the paints it is made of, so many parts of each. */
public final class PuddleView extends HBox {

    /** A puddle as it runs out on a flat palette, about 60 px wide. */
    private static final String SHAPE = "M30 2 C44 0 57 9 58 25 C60 38 52 52 38 56 C26 60 9 56 4 43 C-2 30 4 14 15 7 C20 4 24 3 30 2 Z";
    private static final int MOST = 3;

    public PuddleView() {
        super(12);
        setId("puddle");
        setAlignment(Pos.CENTER_LEFT);
    }

    /** @param words how it is counted out; may be empty */
    public void show(Step step, Shelf shelf, String words) {
        getChildren().clear();
        List<Step.Layer> layers = step.layers().stream().limit(MOST).toList();
        for (Step.Layer layer : layers) {
            getChildren().add(puddle(layer.load().coat().swatch(), layers.size() > 1 ? 0.66 : 1));
        }
        if (layers.isEmpty()) {
            return;
        }
        VBox parts = new VBox(2);
        parts.setAlignment(Pos.CENTER_LEFT);
        parts.getStyleClass().add("puddle-parts");
        if (layers.size() == 1) {
            Mix mix = layers.get(0).load().mix();
            for (Mix.Part part : mix.parts()) {
                Paint paint = shelf.find(part.paint()).orElse(null);
                Label name = new Label((mix.isSingle() ? "" : part.parts() + " × ") + (paint == null ? part.paint() : paint.name()));
                HBox row = new HBox(7, new Swatch(paint == null ? layers.get(0).load().coat().swatch() : paint.swatch(), 14), name);
                row.setAlignment(Pos.CENTER_LEFT);
                parts.getChildren().add(row);
            }
        }
        if (!words.isEmpty()) {
            Label counted = new Label(words);
            counted.setWrapText(true);
            counted.getStyleClass().add("quiet");
            parts.getChildren().add(counted);
        }
        getChildren().add(parts);
    }

    private static Node puddle(Srgb colour, double size) {
        SVGPath shape = new SVGPath();
        shape.setContent(SHAPE);
        shape.setFill(Swatch.colour(colour));
        shape.getStyleClass().add("puddle");
        shape.setScaleX(size);
        shape.setScaleY(size);
        return new Group(shape);
    }
}
