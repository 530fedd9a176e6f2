package mosspebble.app.view;

import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.transform.Affine;

/** Between millimetres on the stone and pixels on the cloth. */
record ClothFrame(double scale, double middleX, double middleY) {

    Point2D toPixels(double x, double y) {
        return new Point2D(middleX + scale * x, middleY + scale * y);
    }

    double toX(double pixel) {
        return (pixel - middleX) / scale;
    }

    double toY(double pixel) {
        return (pixel - middleY) / scale;
    }

    /** Lets a pen draw in millimetres. */
    void inMm(GraphicsContext pen) {
        pen.setTransform(new Affine(scale, 0, middleX, 0, scale, middleY));
    }

    static void inPixels(GraphicsContext pen) {
        pen.setTransform(new Affine());
    }
}
