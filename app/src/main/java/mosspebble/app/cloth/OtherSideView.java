package mosspebble.app.cloth;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.area.Grid;
import mosspebble.core.picture.EdgePicture;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.project.Project;

/**
 * What the cloth does not show of a stone, small in its corner: the other face and the unrolled edge, as far as they are painted. A click
 * turns the stone over.
 */
public final class OtherSideView extends VBox {

    private static final double WIDE = 92;
    private static final double STRIP = 92;

    private final Workbench workbench;
    private final Results results;
    private final ImageView face = new ImageView();
    private final ImageView strip = new ImageView();
    private final Label words = new Label();
    private final Label edgeWords = new Label("edge, unrolled");
    private final Button turn = new Button();

    public OtherSideView(Workbench workbench, Results results) {
        this.workbench = workbench;
        this.results = results;
        setId("other-side");
        getStyleClass().add("other-side");
        setAlignment(Pos.CENTER);
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        face.setPreserveRatio(true);
        face.setSmooth(true);
        strip.setSmooth(true);
        words.getStyleClass().add("quiet");
        edgeWords.getStyleClass().add("quiet");
        turn.setId("other-side-turn");
        turn.getStyleClass().setAll("button", "other-turn");
        VBox picture = new VBox(2, face, words);
        picture.setAlignment(Pos.CENTER);
        turn.setGraphic(picture);
        Hint.on(turn, "Turn the stone over (V)");
        turn.setOnAction(e -> workbench.edit("Turn the stone over", Project::turnedOver));
        getChildren().addAll(turn, strip, edgeWords);
        results.otherProperty().addListener((o, a, b) -> refresh());
        workbench.stepProperty().addListener((o, a, b) -> refresh());
        workbench.stageProperty().addListener((o, a, b) -> refresh());
        refresh();
    }

    private void refresh() {
        Results.Other other = results.otherProperty().get();
        boolean below = other != null && other.face() != null;
        boolean edge = other != null && other.edge() != null;
        setVisible(below || edge);
        setManaged(isVisible());
        show(turn, below);
        show(strip, edge);
        show(edgeWords, edge);
        if (below) {
            StonePicture picture = other.face();
            Grid grid = picture.terrain().grid();
            StoneImage image = new StoneImage(grid);
            image.draw(picture, steps(picture.steps()), other.plan().project().habits().light().from());
            face.setImage(image.image());
            double scale = Math.min(WIDE / grid.columns(), WIDE * 0.8 / grid.rows());
            face.setFitWidth(grid.columns() * scale);
            words.setText(other.plan().up().side().name().toLowerCase(java.util.Locale.ROOT) + ", below");
            turn.setAccessibleText("The other face. Turn the stone over");
        }
        if (edge) {
            fill(strip, other.edge(), steps(other.plan().steps().size()));
        }
    }

    private int steps(int all) {
        return Math.min(workbench.stepProperty().get(), all);
    }

    /** The unrolled edge after so many steps. */
    public static ImageView strip(EdgePicture picture, int steps) {
        ImageView strip = new ImageView();
        fill(strip, picture, steps);
        return strip;
    }

    private static void fill(ImageView strip, EdgePicture picture, int steps) {
        strip.setImage(image(picture, steps));
        strip.setFitWidth(STRIP);
        strip.setFitHeight(Math.max(10, STRIP * picture.rows() / picture.columns()));
    }

    private static Image image(EdgePicture picture, int steps) {
        WritableImage image = new WritableImage(picture.columns(), picture.rows());
        image.getPixelWriter().setPixels(0, 0, picture.columns(), picture.rows(), PixelFormat.getIntArgbInstance(), picture.pixels(steps),
                0, picture.columns());
        return image;
    }

    private static void show(javafx.scene.Node node, boolean shown) {
        node.setVisible(shown);
        node.setManaged(shown);
    }
}
