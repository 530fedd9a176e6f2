package mosspebble.app.cloth;

import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.transform.Affine;

/** Between millimetres on the stone and pixels on the cloth. */
public record ClothFrame(double scale, double middleX, double middleY) {

    public Point2D toPixels(double x, double y) {
        return new Point2D(middleX + scale * x, middleY + scale * y);
    }

    public double toX(double pixel) {
        return (pixel - middleX) / scale;
    }

    public double toY(double pixel) {
        return (pixel - middleY) / scale;
    }

    /** Lets a pen draw in millimetres. */
    public void inMm(GraphicsContext pen) {
        pen.setTransform(new Affine(scale, 0, middleX, 0, scale, middleY));
    }

    public static void inPixels(GraphicsContext pen) {
        pen.setTransform(new Affine());
    }
}
