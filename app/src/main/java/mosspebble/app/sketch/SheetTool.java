package mosspebble.app.sketch;

import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import mosspebble.app.cloth.ClothFrame;
import mosspebble.core.project.SheetBelow;

/** The hand on the picture one goes by: moves, turns and sizes it. */
final class SheetTool {

    private static final double NEAR = 14;

    private enum Grip { NONE, MOVE, SIZE, TURN }

    private final SheetModel model;
    private Grip grip = Grip.NONE;
    private Point2D grabbed = Point2D.ZERO;
    private SheetBelow before;

    SheetTool(SheetModel model) {
        this.model = model;
    }

    /** Whether the hand is on the picture, and on nothing else. */
    boolean takesTheHand() {
        return model.movingProperty().get() && model.sheetProperty().get() != null && model.sheetProperty().get().shown();
    }

    /** Middle, half size and turn of its frame, mm and degrees. */
    private double[] box(SheetBelow sheet) {
        Image image = model.image();
        return new double[] {sheet.x(), sheet.y(), sheet.wideMm() / 2, sheet.wideMm() / 2 * image.getHeight() / image.getWidth(),
            sheet.turn()};
    }

    void draw(GraphicsContext pen, ClothFrame frame) {
        SheetBelow sheet = model.sheetProperty().get();
        Image image = model.image();
        if (sheet == null || !sheet.shown() || image == null || image.getWidth() < 1) {
            return;
        }
        double[] box = box(sheet);
        pen.save();
        frame.inMm(pen);
        pen.translate(box[0], box[1]);
        pen.rotate(box[4]);
        pen.drawImage(image, -box[2], -box[3], 2 * box[2], 2 * box[3]);
        pen.restore();
        if (takesTheHand()) {
            SketchTool.handles(pen, frame, box);
        }
    }

    private Grip gripAt(ClothFrame frame, double x, double y) {
        double[] box = box(model.sheetProperty().get());
        return SketchTool.corner(frame, box, 1, 1, 0).distance(x, y) < NEAR ? Grip.SIZE
                : SketchTool.corner(frame, box, 0, -1, 26).distance(x, y) < NEAR ? Grip.TURN : Grip.MOVE;
    }

    Cursor cursor(ClothFrame frame, double x, double y) {
        return switch (gripAt(frame, x, y)) {
            case SIZE -> Cursor.SE_RESIZE;
            case TURN -> Cursor.HAND;
            default -> Cursor.OPEN_HAND;
        };
    }

    void press(ClothFrame frame, MouseEvent e) {
        grip = gripAt(frame, e.getX(), e.getY());
        grabbed = new Point2D(e.getX(), e.getY());
        before = model.sheetProperty().get();
    }

    void drag(ClothFrame frame, MouseEvent e) {
        if (grip == Grip.NONE) {
            return;
        }
        Point2D middle = frame.toPixels(before.x(), before.y());
        model.draft(switch (grip) {
            case SIZE -> before.sizedBy(Math.max(0.05, middle.distance(e.getX(), e.getY()) / Math.max(5, middle.distance(grabbed))));
            case TURN -> before.turnedBy(Math.round(angle(middle, e.getX(), e.getY()) - angle(middle, grabbed.getX(), grabbed.getY())));
            default -> before.movedBy((e.getX() - grabbed.getX()) / frame.scale(), (e.getY() - grabbed.getY()) / frame.scale());
        });
    }

    private static double angle(Point2D middle, double x, double y) {
        return Math.toDegrees(Math.atan2(y - middle.getY(), x - middle.getX()));
    }

    void release() {
        SheetBelow lying = model.sheetProperty().get();
        Grip was = grip;
        grip = Grip.NONE;
        if (was != Grip.NONE && lying != null && !lying.equals(before)) {
            model.change(was == Grip.SIZE ? "Size the picture" : was == Grip.TURN ? "Turn the picture" : "Move the picture", s -> lying);
        }
    }

    /** @return whether the key was used */
    boolean key(KeyEvent e) {
        double step = e.isShiftDown() ? 5 : 0.5;
        switch (e.getCode()) {
            case LEFT -> model.change("Move the picture", s -> s.movedBy(-step, 0));
            case RIGHT -> model.change("Move the picture", s -> s.movedBy(step, 0));
            case UP -> model.change("Move the picture", s -> s.movedBy(0, -step));
            case DOWN -> model.change("Move the picture", s -> s.movedBy(0, step));
            case OPEN_BRACKET -> model.change("Turn the picture", s -> s.turnedBy(-1));
            case CLOSE_BRACKET -> model.change("Turn the picture", s -> s.turnedBy(1));
            case PLUS, ADD, EQUALS -> model.change("Size the picture", s -> s.sizedBy(1.02));
            case MINUS, SUBTRACT -> model.change("Size the picture", s -> s.sizedBy(1 / 1.02));
            case ESCAPE -> model.movingProperty().set(false);
            default -> {
                return false;
            }
        }
        return true;
    }
}
