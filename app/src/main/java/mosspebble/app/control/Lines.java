package mosspebble.app.control;

import java.util.function.DoubleSupplier;
import javafx.scene.control.Label;

/**
 * Words in lines of a width of their own, for what is the graphic of a button: a button asks how high its content is before it says how
 * wide, and a usual label answers with the height of one line.
 */
public final class Lines extends Label {

    private final DoubleSupplier wide;

    /** @param wide of the lines, px; asked whenever they are laid out */
    public Lines(String words, DoubleSupplier wide) {
        super(words);
        this.wide = wide;
        setWrapText(true);
        setMinSize(USE_PREF_SIZE, USE_PREF_SIZE);
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
    }

    @Override
    protected double computePrefWidth(double height) {
        return wide.getAsDouble();
    }

    @Override
    protected double computePrefHeight(double width) {
        return super.computePrefHeight(wide.getAsDouble());
    }
}
