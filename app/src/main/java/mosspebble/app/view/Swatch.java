package mosspebble.app.view;

import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import mosspebble.core.units.Srgb;

/** A dab of a painter's colour; never touched by the theme. */
final class Swatch extends Region {

    Swatch(Srgb colour, double size) {
        getStyleClass().add("swatch");
        setMinSize(size, size);
        setPrefSize(size, size);
        setMaxSize(size, size);
        set(colour);
    }

    void set(Srgb colour) {
        setStyle("-fx-background-color: " + colour.hex() + ";");
    }

    static Color colour(Srgb colour) {
        return Color.rgb(colour.red(), colour.green(), colour.blue());
    }
}
