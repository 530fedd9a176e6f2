package mosspebble.app.cloth;

import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.transform.Affine;

/** Shows what is carried about on the cloth, and draws it anew only where it is another thing. */
final class CarriedCanvas extends Canvas {

    private Object shows;

    CarriedCanvas() {
        setId("cloth-carried");
        setMouseTransparent(true);
        setVisible(false);
    }

    /**
     * @param carried what is carried; empty for nothing
     * @param device pixels of the screen in one of the window: it lies on whole ones, or all of it is filtered
     */
    void show(Optional<Carried> carried, double device) {
        setVisible(carried.isPresent());
        if (carried.isEmpty()) {
            shows = null;
            setWidth(0); // its pixels are not kept
            setHeight(0);
            return;
        }
        Rectangle2D room = carried.get().room();
        relocate(Math.round((carried.get().at().getX() + room.getMinX()) * device) / device,
                Math.round((carried.get().at().getY() + room.getMinY()) * device) / device);
        if (carried.get().of().equals(shows)) {
            return;
        }
        shows = carried.get().of();
        setWidth(room.getWidth());
        setHeight(room.getHeight());
        GraphicsContext pen = getGraphicsContext2D();
        pen.setTransform(new Affine());
        pen.clearRect(0, 0, room.getWidth(), room.getHeight());
        carried.get().drawing().accept(pen, new Point2D(-room.getMinX(), -room.getMinY()));
    }
}
