package mosspebble.app.view;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import mosspebble.app.model.Show;
import mosspebble.app.model.Workbench;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Project;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Placement;
import org.locationtech.jts.geom.Envelope;

/** The hand in Sketch: takes the things on the stone, moves, turns and sizes them, and shows them while it does. */
final class SketchTool {

    private static final double HANDLE = 11;

    private enum Grip { NONE, MOVE, SIZE, TURN }

    private final Workbench workbench;
    private final Show show;
    private Grip grip = Grip.NONE;
    private Point2D grabbed = Point2D.ZERO;
    private Placement grabbedPlacement;
    private Palette cachedPalette;

    SketchTool(Workbench workbench, Show show) {
        this.workbench = workbench;
        this.show = show;
    }

    /** Whether a thing is under the hand just now. */
    boolean dragging() {
        return grip != Grip.NONE;
    }

    // --- drawing

    /** @param handled whether the handles show while nothing is dragged */
    void draw(GraphicsContext pen, ClothFrame frame, PaintPlan plan, boolean handled) {
        Optional<Item> item = movable();
        Optional<Project> project = workbench.shown();
        if (item.isEmpty() || project.isEmpty()) {
            return;
        }
        if (dragging()) {
            frame.inMm(pen);
            ghost(pen, plan, project.get(), item.get());
            ClothFrame.inPixels(pen);
        }
        if (handled || dragging()) {
            handles(pen, frame, plan);
        }
    }

    /** The thing in hand, if it can be moved. */
    private Optional<Item> movable() {
        return workbench.itemInHand().filter(i -> !i.wearing());
    }

    /** The design as coloured shapes while it is under the hand, moved from where the plan has it. */
    private void ghost(GraphicsContext pen, PaintPlan plan, Project project, Item now) {
        Optional<PlacedItem> placed = plan.design().flatMap(d -> d.item(now.id()));
        if (placed.isEmpty()) {
            return;
        }
        for (PlacedItem other : plan.design().get().items()) {
            if (other != placed.get()) {
                parts(pen, other.parts(), project, 0.45);
            }
        }
        Placement from = placed.get().item().placement();
        Placement to = now.placement();
        pen.translate(to.x(), to.y());
        pen.rotate(to.turn() - from.turn());
        pen.scale(to.scale() / from.scale(), to.scale() / from.scale());
        pen.translate(-from.x(), -from.y());
        parts(pen, placed.get().parts(), project, 1);
    }

    private void parts(GraphicsContext pen, List<PlacedPart> parts, Project project, double opacity) {
        Palette palette = ghostPalette();
        pen.setGlobalAlpha(opacity);
        for (PlacedPart part : parts) {
            Optional<Palette.Colour> colour = Optional.ofNullable(project.colours().get(part.part().slot())).flatMap(palette::colour);
            Paint paint = colour.map(c -> (Paint) Swatch.colour(c.optics().full().toSrgb())).orElse(Color.web("#cccccc"));
            pen.setFill(paint);
            Geometries.fill(pen, part.painted());
            if (part.part().outlined()) {
                pen.setStroke(Color.web("#26241f", 0.75));
                pen.setLineWidth(0.4);
                Geometries.stroke(pen, part.drawn());
            }
        }
        pen.setGlobalAlpha(1);
    }

    private Palette ghostPalette() {
        if (cachedPalette == null || !cachedPalette.shelf().equals(workbench.studio().shelf())) {
            cachedPalette = new Palette(workbench.studio().shelf());
        }
        return cachedPalette;
    }

    private static double[] box(PaintPlan plan, Item item) {
        Placement p = item.placement();
        Envelope size = plan.design().flatMap(d -> d.item(item.id())).map(i -> i.motif().sitting().getEnvelopeInternal()).orElse(new Envelope(-1, 1, -1, 1));
        return new double[] {p.x(), p.y(), size.getWidth() * p.scale() / 2, size.getHeight() * p.scale() / 2, p.turn()};
    }

    private static Point2D corner(ClothFrame frame, double[] box, double sx, double sy, double reach) {
        double c = Math.cos(Math.toRadians(box[4]));
        double s = Math.sin(Math.toRadians(box[4]));
        double x = sx * box[2];
        double y = sy * box[3] + sy * reach / frame.scale();
        return frame.toPixels(box[0] + x * c - y * s, box[1] + x * s + y * c);
    }

    private void handles(GraphicsContext pen, ClothFrame frame, PaintPlan plan) {
        double[] box = box(plan, movable().orElseThrow());
        Point2D[] corners = {corner(frame, box, -1, -1, 0), corner(frame, box, 1, -1, 0), corner(frame, box, 1, 1, 0), corner(frame, box, -1, 1, 0)};
        pen.setStroke(Color.web("#fffdf5"));
        pen.setLineWidth(1);
        for (int i = 0; i < 4; i++) {
            Point2D a = corners[i];
            Point2D next = corners[(i + 1) % 4];
            Point2D before = corners[(i + 3) % 4];
            for (Point2D toward : new Point2D[] {next, before}) {
                Point2D way = toward.subtract(a).normalize().multiply(14);
                pen.strokeLine(a.getX(), a.getY(), a.getX() + way.getX(), a.getY() + way.getY());
            }
        }
        knob(pen, corners[2]);
        Point2D turn = corner(frame, box, 0, -1, 26);
        Point2D top = corner(frame, box, 0, -1, 0);
        pen.strokeLine(top.getX(), top.getY(), turn.getX(), turn.getY());
        knob(pen, turn);
    }

    private static void knob(GraphicsContext pen, Point2D at) {
        pen.setFill(Color.web("#fffdf5"));
        pen.fillOval(at.getX() - HANDLE / 2, at.getY() - HANDLE / 2, HANDLE, HANDLE);
        pen.setStroke(Color.web("#2E4326"));
        pen.setLineWidth(1.5);
        pen.strokeOval(at.getX() - HANDLE / 2, at.getY() - HANDLE / 2, HANDLE, HANDLE);
        pen.setStroke(Color.web("#fffdf5"));
        pen.setLineWidth(1);
    }

    // --- gestures

    private Grip gripAt(ClothFrame frame, double x, double y) {
        PaintPlan plan = show.plan();
        if (plan == null || workbench.shown().isEmpty()) {
            return Grip.NONE;
        }
        if (movable().isPresent()) {
            double[] box = box(plan, movable().get());
            if (corner(frame, box, 1, 1, 0).distance(x, y) < 14) {
                return Grip.SIZE;
            }
            if (corner(frame, box, 0, -1, 26).distance(x, y) < 14) {
                return Grip.TURN;
            }
        }
        return itemAt(frame, plan, x, y).filter(i -> !i.item().wearing()).isPresent() ? Grip.MOVE : Grip.NONE;
    }

    /** The thing at a place: the one in hand if its box is there, else the front one whose box is. */
    private Optional<PlacedItem> itemAt(ClothFrame frame, PaintPlan plan, double x, double y) {
        List<PlacedItem> items = plan.design().map(PlacedDesign::items).orElse(List.of());
        Optional<Item> inHand = workbench.itemInHand();
        PlacedItem found = null;
        for (PlacedItem placed : items) {
            Item now = workbench.shown().flatMap(Project::sketch).flatMap(s -> s.item(placed.item().id())).orElse(placed.item());
            double[] box = box(plan, now);
            double dx = frame.toX(x) - box[0];
            double dy = frame.toY(y) - box[1];
            double c = Math.cos(Math.toRadians(-box[4]));
            double s = Math.sin(Math.toRadians(-box[4]));
            boolean inside = Math.abs(dx * c - dy * s) <= box[2] && Math.abs(dx * s + dy * c) <= box[3];
            if (inside && !now.wearing()) {
                boolean kept = found != null && inHand.isPresent() && found.item().id().equals(inHand.get().id());
                found = kept ? found : placed;
            }
        }
        return Optional.ofNullable(found);
    }

    Cursor cursor(ClothFrame frame, double x, double y) {
        return switch (gripAt(frame, x, y)) {
            case NONE -> Cursor.DEFAULT;
            case MOVE -> Cursor.OPEN_HAND;
            case SIZE -> Cursor.SE_RESIZE;
            case TURN -> Cursor.HAND;
        };
    }

    void press(ClothFrame frame, MouseEvent e) {
        grip = gripAt(frame, e.getX(), e.getY());
        grabbed = new Point2D(e.getX(), e.getY());
        if (grip == Grip.MOVE) {
            itemAt(frame, show.plan(), e.getX(), e.getY()).ifPresent(i -> workbench.itemProperty().set(i.item().id()));
        }
        grabbedPlacement = workbench.itemInHand().map(Item::placement).orElse(null);
    }

    void drag(ClothFrame frame, MouseEvent e) {
        if (dragging()) {
            workbench.draftItem(i -> i.at(dragged(frame, e)));
        }
    }

    private Placement dragged(ClothFrame frame, MouseEvent e) {
        Point2D middle = frame.toPixels(grabbedPlacement.x(), grabbedPlacement.y());
        return switch (grip) {
            case SIZE -> grabbedPlacement.sizedBy(Math.max(0.05, middle.distance(e.getX(), e.getY()) / Math.max(5, middle.distance(grabbed))));
            case TURN -> {
                double from = Math.toDegrees(Math.atan2(grabbed.getY() - middle.getY(), grabbed.getX() - middle.getX()));
                double to = Math.toDegrees(Math.atan2(e.getY() - middle.getY(), e.getX() - middle.getX()));
                yield grabbedPlacement.turnedBy(Math.round(to - from));
            }
            default -> grabbedPlacement.movedBy((e.getX() - grabbed.getX()) / frame.scale(), (e.getY() - grabbed.getY()) / frame.scale());
        };
    }

    void release() {
        Grip was = grip;
        grip = Grip.NONE;
        if (was == Grip.NONE) {
            return;
        }
        Optional<Project> drafted = workbench.shown();
        if (workbench.isDrafting() && drafted.isPresent()) {
            String title = was == Grip.SIZE ? "Size the design" : was == Grip.TURN ? "Turn the design" : "Move the design";
            workbench.edit(title, p -> p.withSketch(drafted.get().sketch()));
        }
    }

    /** @return whether the key was used */
    boolean key(KeyEvent e) {
        if (movable().isEmpty()) {
            return false;
        }
        double step = e.isShiftDown() ? 5 : 0.5;
        switch (e.getCode()) {
            case LEFT -> nudge("Move the design", p -> p.movedBy(-step, 0));
            case RIGHT -> nudge("Move the design", p -> p.movedBy(step, 0));
            case UP -> nudge("Move the design", p -> p.movedBy(0, -step));
            case DOWN -> nudge("Move the design", p -> p.movedBy(0, step));
            case OPEN_BRACKET -> nudge("Turn the design", p -> p.turnedBy(-1));
            case CLOSE_BRACKET -> nudge("Turn the design", p -> p.turnedBy(1));
            case PLUS, ADD, EQUALS -> nudge("Size the design", p -> p.sizedBy(1.02));
            case MINUS, SUBTRACT -> nudge("Size the design", p -> p.sizedBy(1 / 1.02));
            case ESCAPE -> workbench.dropDraft();
            default -> {
                return false;
            }
        }
        return true;
    }

    private void nudge(String title, UnaryOperator<Placement> change) {
        workbench.editItem(title, i -> i.at(change.apply(i.placement())));
    }
}
