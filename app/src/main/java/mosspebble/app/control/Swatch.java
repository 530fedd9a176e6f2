package mosspebble.app.control;

import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import mosspebble.core.units.Srgb;

/** A dab of a painter's colour; never touched by the theme. */
public final class Swatch extends Region {

    public Swatch(Srgb colour, double size) {
        getStyleClass().add("swatch");
        setMinSize(size, size);
        setPrefSize(size, size);
        setMaxSize(size, size);
        set(colour);
    }

    public void set(Srgb colour) {
        setStyle("-fx-background-color: " + colour.hex() + ";");
    }

    public static Color colour(Srgb colour) {
        return Color.rgb(colour.red(), colour.green(), colour.blue());
    }
}
