package mosspebble.app.colour;

import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import mosspebble.app.cloth.ClothFrame;
import mosspebble.app.cloth.ClothTool;
import mosspebble.core.plan.PaintPlan;

/** In the colour stage a click takes the colour below it in hand. */
final class ColourTool implements ClothTool {

    private final ColourModel colours;

    ColourTool(ColourModel colours) {
        this.colours = colours;
    }

    @Override
    public void draw(GraphicsContext pen, ClothFrame frame, PaintPlan plan, boolean handled) {}

    @Override
    public Cursor cursor(ClothFrame frame, double x, double y) {
        return Cursor.HAND;
    }

    @Override
    public boolean move(ClothFrame frame, MouseEvent e) {
        return false;
    }

    @Override
    public void press(ClothFrame frame, MouseEvent e) {
        colours.pick(frame.toX(e.getX()), frame.toY(e.getY()));
    }

    @Override
    public boolean drag(ClothFrame frame, MouseEvent e) {
        return false;
    }

    @Override
    public void release() {}

    @Override
    public boolean key(KeyEvent e) {
        return false;
    }

    @Override
    public boolean showsPainting() {
        return true;
    }
}
