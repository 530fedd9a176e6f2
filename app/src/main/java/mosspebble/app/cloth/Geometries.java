package mosspebble.app.cloth;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.FillRule;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.util.LinearComponentExtracter;

/** Shapes in mm onto a canvas whose transform maps mm to pixels. */
public final class Geometries {

    private Geometries() {}

    public static void trace(GraphicsContext pen, Geometry shape) {
        pen.beginPath();
        for (Object component : LinearComponentExtracter.getLines(shape)) {
            LineString line = (LineString) component;
            Coordinate[] points = line.getCoordinates();
            for (int i = 0; i < points.length; i++) {
                if (i == 0) {
                    pen.moveTo(points[i].x, points[i].y);
                } else {
                    pen.lineTo(points[i].x, points[i].y);
                }
            }
            if (line.isClosed()) {
                pen.closePath();
            }
        }
    }

    public static void fill(GraphicsContext pen, Geometry area) {
        trace(pen, area);
        pen.setFillRule(FillRule.EVEN_ODD);
        pen.fill();
    }

    public static void stroke(GraphicsContext pen, Geometry shape) {
        trace(pen, shape);
        pen.stroke();
    }
}
