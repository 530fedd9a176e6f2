package mosspebble.app.cloth;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import mosspebble.core.plan.PaintPlan;

/** What a stage does on the cloth: what it draws over the stone, and what the hand and the keys do there. */
public interface ClothTool {

    /**
     * Draws over the stone.
     *
     * @param plan of the stone on the cloth; null while there is none
     * @param handled whether the hand is on a thing, or the cloth has the focus
     */
    void draw(GraphicsContext pen, ClothFrame frame, PaintPlan plan, boolean handled);

    Cursor cursor(ClothFrame frame, double x, double y);

    /** The hand moves without pressing; answers whether what is drawn changed. */
    boolean move(ClothFrame frame, MouseEvent e);

    void press(ClothFrame frame, MouseEvent e);

    /** Answers whether what is drawn changed. */
    boolean drag(ClothFrame frame, MouseEvent e);

    void release();

    /** Answers whether the key was used. */
    boolean key(KeyEvent e);

    default void wheel(ScrollEvent e) {}

    /** Takes away the point that is under the hand; answers whether there was one. */
    default boolean pointAway() {
        return false;
    }

    /** Whether a thing is under the hand, so that only the bare stone lies below it. */
    default boolean dragging() {
        return false;
    }

    /**
     * What is moved about under the hand as it is, which the drawing over the stone then lacks; empty for nothing.
     *
     * @param plan of the stone on the cloth
     */
    default Optional<Carried> carried(ClothFrame frame, PaintPlan plan) {
        return Optional.empty();
    }

    /** Whether the stone is shown as it will be seen, not from above. */
    default boolean seen() {
        return false;
    }

    /** Whether the face's end is drawn on the stone. */
    default boolean showsFace() {
        return false;
    }

    /** Whether length and width are drawn beside the stone. */
    default boolean showsMeasures() {
        return false;
    }

    /** Whether the stone is shown as it is painted, so that two moments can be held side by side. */
    default boolean showsPainting() {
        return false;
    }

    /** What must change for the stone itself to be drawn anew. */
    default List<ObservableValue<?>> views() {
        return List.of();
    }

    /** What must change for the drawing over it to change. */
    default List<ObservableValue<?>> causes() {
        return List.of();
    }
}
