package mosspebble.app.sitting;

import javafx.geometry.Pos;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/** A thin line that fills while something dries. */
public final class Hairline {

    private static final double HIGH = 4;

    private Hairline() {}

    /** An empty one, so many pixels wide. */
    public static StackPane of(double wide) {
        Region whole = new Region();
        whole.getStyleClass().add("hairline");
        Region filled = new Region();
        filled.getStyleClass().add("hairline-filled");
        StackPane line = new StackPane(whole, filled);
        line.setAlignment(Pos.CENTER_LEFT);
        line.setMinSize(wide, HIGH);
        line.setPrefSize(wide, HIGH);
        line.setMaxSize(wide, HIGH);
        fill(line, 0, wide);
        return line;
    }

    /** @param share that is filled, 0 to 1 */
    public static void fill(StackPane line, double share, double wide) {
        Region filled = (Region) line.getChildren().get(1);
        filled.setMinWidth(share * wide);
        filled.setMaxWidth(share * wide);
    }
}
