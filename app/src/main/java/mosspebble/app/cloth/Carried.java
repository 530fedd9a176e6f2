package mosspebble.app.cloth;

import java.util.function.BiConsumer;
import javafx.geometry.Point2D;
import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.GraphicsContext;

/**
 * A thing that the hand moves about on the cloth: drawn once, and then only laid elsewhere, so that a frame costs no more than the place it
 * leaves and the one it comes to.
 *
 * @param of all that its drawing, and what is drawn over the stone meanwhile, depend on besides the cloth itself; equal for as long as both
 *        stay as they are
 * @param at where it is, px of the cloth
 * @param room what it takes up round there, px
 * @param drawing draws it at a point of a canvas, px
 */
public record Carried(Object of, Point2D at, Rectangle2D room, BiConsumer<GraphicsContext, Point2D> drawing) {}
