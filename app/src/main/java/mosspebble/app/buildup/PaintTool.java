package mosspebble.app.buildup;

import java.util.List;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import mosspebble.app.cloth.ClothFrame;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.cloth.Geometries;
import mosspebble.app.cloth.SliceLine;
import mosspebble.app.control.Token;
import mosspebble.app.model.Workbench;
import mosspebble.core.plan.PaintPlan;
import org.locationtech.jts.geom.Geometry;

/**
 * The hand on a painted stone: a click takes a colour in hand, the line of the slice is dragged, the pointer tells what lies below it, and
 * a mistake is pointed at.
 */
public final class PaintTool implements ClothTool {

    private enum Grip { NONE, A, B, BOTH }

    private static final double NEAR = 14;

    private final SliceLine slice;
    private final MendModel mend;
    private final Workbench workbench;
    private final BooleanProperty lit = new SimpleBooleanProperty();
    private Grip grip = Grip.NONE;
    private Point2D grabbed = Point2D.ZERO;
    private double[] grabbedSlice;

    public PaintTool(Workbench workbench, SliceLine slice, MendModel mend) {
        this.workbench = workbench;
        this.slice = slice;
        this.mend = mend;
    }

    /** Whether all of the stone is dimmed but for where the pass in hand is laid. */
    public BooleanProperty litProperty() {
        return lit;
    }

    private void dim(GraphicsContext pen, ClothFrame frame, PaintPlan plan) {
        int count = plan == null ? 0 : Math.min(workbench.stepProperty().get(), plan.steps().size());
        if (count == 0 || plan.steps().get(count - 1).side() != plan.up().side()) {
            return;
        }
        Geometry place = plan.steps().get(count - 1).place();
        if (place.isEmpty()) {
            return;
        }
        frame.inMm(pen);
        pen.setFill(Token.UNDER_CHALK.colour(0.62));
        Geometries.fill(pen, place.getFactory().createGeometryCollection(new Geometry[] {plan.survey().zones().outline(), place}));
        pen.setStroke(Token.CHALK.colour());
        pen.setLineWidth(1 / frame.scale());
        Geometries.stroke(pen, place);
        ClothFrame.inPixels(pen);
    }

    @Override
    public void draw(GraphicsContext pen, ClothFrame frame, PaintPlan plan, boolean handled) {
        if (lit.get()) {
            dim(pen, frame, plan);
        }
        double[] line = slice.get();
        Point2D a = frame.toPixels(line[0], line[1]);
        Point2D b = frame.toPixels(line[2], line[3]);
        pen.setLineDashes(2, 5);
        pen.setLineCap(StrokeLineCap.ROUND);
        pen.setStroke(Token.UNDER_CHALK.colour(0.55));
        pen.setLineWidth(3);
        pen.strokeLine(a.getX(), a.getY(), b.getX(), b.getY());
        pen.setStroke(Token.CHALK.colour());
        pen.setLineWidth(1.4);
        pen.strokeLine(a.getX(), a.getY(), b.getX(), b.getY());
        pen.setLineDashes();
        end(pen, a, "A");
        end(pen, b, "B");
        if (mend.pointingProperty().get() && mend.placeProperty().get() != null) {
            Point2D at = frame.toPixels(mend.placeProperty().get()[0], mend.placeProperty().get()[1]);
            pen.setStroke(Token.UNDER_CHALK.colour(0.6));
            pen.setLineWidth(5);
            pen.strokeOval(at.getX() - 13, at.getY() - 13, 26, 26);
            pen.setStroke(Token.MEND.colour());
            pen.setLineWidth(2.6);
            pen.strokeOval(at.getX() - 13, at.getY() - 13, 26, 26);
        }
    }

    private static void end(GraphicsContext pen, Point2D at, String name) {
        pen.setFill(Token.CHALK.colour());
        pen.fillOval(at.getX() - 8, at.getY() - 8, 16, 16);
        pen.setStroke(Token.RIM.colour());
        pen.setLineWidth(1.2);
        pen.strokeOval(at.getX() - 8, at.getY() - 8, 16, 16);
        pen.setFill(Token.ON_PALE.colour());
        pen.setFont(Font.font("Atkinson Hyperlegible", 11));
        pen.setTextAlign(TextAlignment.CENTER);
        pen.fillText(name, at.getX(), at.getY() + 4);
        pen.setTextAlign(TextAlignment.LEFT);
    }

    private Grip gripAt(ClothFrame frame, double x, double y) {
        double[] line = slice.get();
        Point2D a = frame.toPixels(line[0], line[1]);
        Point2D b = frame.toPixels(line[2], line[3]);
        if (a.distance(x, y) < NEAR) {
            return Grip.A;
        }
        if (b.distance(x, y) < NEAR) {
            return Grip.B;
        }
        double length = a.distance(b);
        double across = length < 1 ? 99
                : Math.abs((b.getX() - a.getX()) * (y - a.getY()) - (b.getY() - a.getY()) * (x - a.getX())) / length;
        double along = length < 1 ? 0 : ((b.getX() - a.getX()) * (x - a.getX()) + (b.getY() - a.getY()) * (y - a.getY())) / length;
        return across < 8 && along > 0 && along < length && !mend.pointingProperty().get() ? Grip.BOTH : Grip.NONE;
    }

    @Override
    public boolean showsPainting() {
        return true;
    }

    @Override
    public List<ObservableValue<?>> causes() {
        return List.of(mend.placeProperty(), mend.pointingProperty(), lit, workbench.stepProperty());
    }

    @Override
    public Cursor cursor(ClothFrame frame, double x, double y) {
        return switch (gripAt(frame, x, y)) {
            case NONE -> mend.pointingProperty().get() ? Cursor.CROSSHAIR : Cursor.DEFAULT;
            case BOTH -> Cursor.OPEN_HAND;
            case A, B -> Cursor.HAND;
        };
    }

    @Override
    public boolean move(ClothFrame frame, MouseEvent e) {
        slice.point(frame.toX(e.getX()), frame.toY(e.getY()));
        return false;
    }

    @Override
    public void press(ClothFrame frame, MouseEvent e) {
        grip = gripAt(frame, e.getX(), e.getY());
        grabbed = new Point2D(e.getX(), e.getY());
        grabbedSlice = slice.get().clone();
        if (grip == Grip.NONE && mend.pointingProperty().get()) {
            mend.placeProperty().set(new double[] {frame.toX(e.getX()), frame.toY(e.getY())});
        }
    }

    @Override
    public boolean drag(ClothFrame frame, MouseEvent e) {
        double dx = (e.getX() - grabbed.getX()) / frame.scale();
        double dy = (e.getY() - grabbed.getY()) / frame.scale();
        switch (grip) {
            case NONE -> {}
            case A -> slice.set(grabbedSlice[0] + dx, grabbedSlice[1] + dy, grabbedSlice[2], grabbedSlice[3]);
            case B -> slice.set(grabbedSlice[0], grabbedSlice[1], grabbedSlice[2] + dx, grabbedSlice[3] + dy);
            case BOTH -> slice.set(grabbedSlice[0] + dx, grabbedSlice[1] + dy, grabbedSlice[2] + dx, grabbedSlice[3] + dy);
        }
        return false;
    }

    @Override
    public void release() {
        grip = Grip.NONE;
    }

    /** Arrow keys move the place pointed at; Enter sets it at the middle; without pointing they move the line. */
    @Override
    public boolean key(KeyEvent e) {
        double step = e.isShiftDown() ? 5 : 0.5;
        double dx = e.getCode() == KeyCode.LEFT ? -step : e.getCode() == KeyCode.RIGHT ? step : 0;
        double dy = e.getCode() == KeyCode.UP ? -step : e.getCode() == KeyCode.DOWN ? step : 0;
        if (mend.pointingProperty().get() && e.getCode() == KeyCode.ENTER) {
            mend.atMiddle();
            return true;
        }
        if (dx == 0 && dy == 0) {
            return false;
        }
        if (mend.pointingProperty().get()) {
            mend.move(dx, dy);
        } else {
            double[] line = slice.get();
            slice.set(line[0] + dx, line[1] + dy, line[2] + dx, line[3] + dy);
        }
        return true;
    }
}
