package mosspebble.app.sketch;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Point2D;
import javafx.geometry.Rectangle2D;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Paint;
import mosspebble.app.cloth.Carried;
import mosspebble.app.cloth.ClothFrame;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.cloth.Geometries;
import mosspebble.app.control.Swatch;
import mosspebble.app.control.Token;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Guides;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Subject;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;

/** The hand in Sketch: takes the things on the stone, moves, turns and sizes them, and shows them while it does. */
public final class SketchTool implements ClothTool {

    private static final double HANDLE = 11;
    /** From the frame of a thing to the knob it is turned by, px. */
    private static final double TURN_REACH = 26;
    /** What takes up more, px, because it is looked at closely, is drawn with the rest, of which only what is in sight is. */
    private static final double MOST_CARRIED = 1_500_000;

    /** Within so many mm things snap to guides; the hand can hold them free with Alt. */
    private static final double SNAP_MM = 1.6;

    private enum Grip { NONE, MOVE, SIZE, TURN, POINT, DRAW }

    private final Workbench workbench;
    private final Results show;
    private final SketchModel sketch;
    private final StrokeTool stroke;
    private final SheetModel sheets;
    private final SheetTool sheet;
    private final PlanWorker worker;
    private List<Geometry> snaps = List.of();
    private Coordinate snapped;
    private Grip grip = Grip.NONE;
    private Point2D grabbed = Point2D.ZERO;
    private Placement grabbedPlacement;

    public SketchTool(Workbench workbench, Results show, SketchModel sketch, SheetModel sheets, PlanWorker worker) {
        this.sheets = sheets;
        this.sheet = new SheetTool(sheets);
        this.worker = worker;
        this.workbench = workbench;
        this.show = show;
        this.sketch = sketch;
        this.stroke = new StrokeTool(workbench, sketch);
    }

    /** Whether a thing is under the hand just now. */
    @Override
    public boolean dragging() {
        return grip == Grip.MOVE || grip == Grip.SIZE || grip == Grip.TURN || grip == Grip.POINT;
    }

    // --- drawing

    /** @param handled whether the handles show while nothing is dragged */
    @Override
    public void draw(GraphicsContext pen, ClothFrame frame, PaintPlan plan, boolean handled) {
        if (plan == null) {
            return;
        }
        sheet.draw(pen, frame);
        guides(pen, frame, plan);
        if (grip == Grip.DRAW) {
            stroke.trail(pen, frame);
        }
        Optional<Item> item = movable();
        if (item.isEmpty() || workbench.shown().isEmpty() || sketch.pencilProperty().get() || sheet.takesTheHand()) {
            return;
        }
        boolean carried = carried(frame, plan).isPresent();
        if (dragging()) {
            others(pen, frame, plan, item.get());
        }
        if (dragging() && !carried) {
            ghost(pen, frame, plan, item.get());
        }
        if ((handled || dragging()) && !carried) {
            handles(pen, frame, box(plan, item.get()));
        }
        if (!dragging() || grip == Grip.POINT) {
            stroke.points(pen, frame, item.get());
        }
        if (snapped != null && dragging()) {
            Point2D at = frame.toPixels(snapped.x, snapped.y);
            pen.setStroke(Token.CHALK.colour());
            pen.setLineWidth(1.5);
            pen.strokeOval(at.getX() - 6, at.getY() - 6, 12, 12);
        }
    }

    /** The pencil's guide lines, as chalk on dark stone and graphite on pale. */
    private void guides(GraphicsContext pen, ClothFrame frame, PaintPlan plan) {
        List<Geometry> lines = plan.design().map(PlacedDesign::guides).orElse(List.of());
        if (lines.isEmpty() || dragging()) {
            return;
        }
        frame.inMm(pen);
        boolean pale = Lab.of(plan.project().stone().colour()).l() > 48;
        pen.setLineWidth(0.9 / frame.scale());
        for (Geometry line : lines) {
            pen.setStroke(pale ? Token.GRAPHITE.colour(0.75) : Token.CHALK.colour(0.85));
            Geometries.stroke(pen, line);
        }
        ClothFrame.inPixels(pen);
    }

    /** The thing in hand, if it can be moved. */
    private Optional<Item> movable() {
        return workbench.itemInHand().filter(i -> !i.wearing());
    }

    /** The rest of the design as pale shapes while a thing is under the hand. */
    private void others(GraphicsContext pen, ClothFrame frame, PaintPlan plan, Item now) {
        Project project = workbench.shown().orElseThrow();
        frame.inMm(pen);
        for (PlacedItem other : plan.design().map(PlacedDesign::items).orElse(List.of())) {
            if (!other.item().id().equals(now.id())) {
                parts(pen, other.parts(), project, 0.45);
            }
        }
        ClothFrame.inPixels(pen);
    }

    /** A thing as coloured shapes while it is under the hand, moved from where the plan has it. */
    private void ghost(GraphicsContext pen, ClothFrame frame, PaintPlan plan, Item now) {
        Optional<PlacedItem> placed = plan.design().flatMap(d -> d.item(now.id()));
        if (placed.isEmpty()) {
            return;
        }
        frame.inMm(pen);
        Placement from = placed.get().item().placement();
        Placement to = now.placement();
        pen.translate(to.x(), to.y());
        pen.rotate(to.turn() - from.turn());
        pen.scale(to.scale() / from.scale(), to.scale() / from.scale());
        pen.translate(-from.x(), -from.y());
        parts(pen, placed.get().parts(), workbench.shown().orElseThrow(), 1);
        ClothFrame.inPixels(pen);
    }

    /** While a thing is moved as it is, that thing with its handles. */
    @Override
    public Optional<Carried> carried(ClothFrame frame, PaintPlan plan) {
        Optional<Item> now = movable();
        Optional<PlacedItem> placed = now.flatMap(i -> plan.design().flatMap(d -> d.item(i.id())));
        if (grip != Grip.MOVE || placed.isEmpty()) {
            return Optional.empty();
        }
        Placement to = now.get().placement();
        Rectangle2D room = room(frame, plan, placed.get(), now.get());
        if (room.getWidth() * room.getHeight() > MOST_CARRIED) {
            return Optional.empty();
        }
        Project project = workbench.shown().orElseThrow();
        List<Object> of = List.of(plan, now.get().id(), to.turn(), to.scale(), frame.scale(), project.colours(), workbench.studio().view(),
                Optional.ofNullable(snapped), Optional.ofNullable(sheets.sheetProperty().get()));
        return Optional.of(new Carried(of, frame.toPixels(to.x(), to.y()), room, (pen, origin) -> {
            ClothFrame there = around(frame.scale(), to, origin);
            ghost(pen, there, plan, now.get());
            handles(pen, there, box(plan, now.get()));
        }));
    }

    /** A frame in which a placement's middle lies at a point. */
    private static ClothFrame around(double scale, Placement placement, Point2D at) {
        return new ClothFrame(scale, at.getX() - scale * placement.x(), at.getY() - scale * placement.y());
    }

    /** What a thing takes up round its place with its handles, px. */
    private static Rectangle2D room(ClothFrame frame, PaintPlan plan, PlacedItem placed, Item now) {
        Placement from = placed.item().placement();
        Placement to = now.placement();
        AffineTransformation moved = AffineTransformation.translationInstance(-from.x(), -from.y())
                .rotate(Math.toRadians(to.turn() - from.turn()))
                .scale(frame.scale() * to.scale() / from.scale(), frame.scale() * to.scale() / from.scale());
        Envelope room = new Envelope();
        GeometryFactory shapes = new GeometryFactory();
        for (PlacedPart part : placed.parts()) {
            Envelope drawn = part.drawn().getEnvelopeInternal();
            drawn.expandToInclude(part.painted().getEnvelopeInternal());
            room.expandToInclude(moved.transform(shapes.toGeometry(drawn)).getEnvelopeInternal());
        }
        ClothFrame around = around(frame.scale(), to, Point2D.ZERO);
        double[] box = box(plan, now);
        for (double[] side : new double[][] {{-1, -1, 0}, {1, -1, 0}, {1, 1, 0}, {-1, 1, 0}, {0, -1, TURN_REACH}}) {
            Point2D at = corner(around, box, side[0], side[1], side[2]);
            room.expandToInclude(at.getX(), at.getY());
        }
        room.expandBy(HANDLE);
        return new Rectangle2D(Math.floor(room.getMinX()), Math.floor(room.getMinY()), Math.ceil(room.getWidth()) + 1,
                Math.ceil(room.getHeight()) + 1);
    }

    private void parts(GraphicsContext pen, List<PlacedPart> parts, Project project, double opacity) {
        Palette palette = worker.palette(workbench.studio().shelf());
        pen.setGlobalAlpha(opacity);
        for (PlacedPart part : parts) {
            Optional<Palette.Colour> colour = Optional.ofNullable(project.colours().get(part.part().slot())).flatMap(palette::colour);
            Paint paint = colour.map(c -> (Paint) Swatch.colour(c.optics().full().toSrgb())).orElse(Token.UNKNOWN.colour());
            pen.setFill(paint);
            Geometries.fill(pen, part.painted());
            if (part.part().role() == Role.GUIDE) {
                pen.setStroke(Token.CHALK.colour(0.9));
                pen.setLineWidth(0.3);
                Geometries.stroke(pen, part.drawn());
            }
            if (part.part().outlined()) {
                pen.setStroke(Token.UNDER_CHALK.colour(0.75));
                pen.setLineWidth(0.4);
                Geometries.stroke(pen, part.drawn());
            }
        }
        pen.setGlobalAlpha(1);
    }

    /** Middle, half size and turn of the frame round a thing, mm and degrees. */
    private static double[] box(PaintPlan plan, Item item) {
        Placement p = item.placement();
        Optional<PlacedItem> placed = plan.design().flatMap(d -> d.item(item.id()));
        boolean asItLies = item.subject() instanceof Subject.Guide
                || item.subject() instanceof Subject.Word w && w.setting().path() == LetterSetting.Path.RIM;
        if (asItLies && placed.isPresent()) { // its drawing is made for the stone: the frame is that of what is drawn
            Envelope drawn = new Envelope();
            placed.get().parts().forEach(part -> drawn.expandToInclude(part.drawn().getEnvelopeInternal()));
            Placement was = placed.get().item().placement();
            if (drawn.isNull()) {
                return new double[] {p.x(), p.y(), 0, 0, 0};
            }
            return new double[] {drawn.centre().x + p.x() - was.x(), drawn.centre().y + p.y() - was.y(), drawn.getWidth() / 2,
                drawn.getHeight() / 2, 0};
        }
        Envelope size = plan.design().flatMap(d -> d.item(item.id())).map(i -> i.motif().sitting().getEnvelopeInternal())
                .orElse(new Envelope(-1, 1, -1, 1));
        return new double[] {p.x(), p.y(), size.getWidth() * p.scale() / 2, size.getHeight() * p.scale() / 2, p.turn()};
    }

    static Point2D corner(ClothFrame frame, double[] box, double sx, double sy, double reach) {
        double c = Math.cos(Math.toRadians(box[4]));
        double s = Math.sin(Math.toRadians(box[4]));
        double x = sx * box[2];
        double y = sy * box[3] + sy * reach / frame.scale();
        return frame.toPixels(box[0] + x * c - y * s, box[1] + x * s + y * c);
    }

    /** @param box middle, half size and turn, mm and degrees */
    static void handles(GraphicsContext pen, ClothFrame frame, double[] box) {
        Point2D[] corners = {corner(frame, box, -1, -1, 0), corner(frame, box, 1, -1, 0), corner(frame, box, 1, 1, 0),
            corner(frame, box, -1, 1, 0)};
        pen.setStroke(Token.CHALK.colour());
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
        Point2D turn = corner(frame, box, 0, -1, TURN_REACH);
        Point2D top = corner(frame, box, 0, -1, 0);
        pen.strokeLine(top.getX(), top.getY(), turn.getX(), turn.getY());
        knob(pen, turn);
    }

    private static void knob(GraphicsContext pen, Point2D at) {
        pen.setFill(Token.CHALK.colour());
        pen.fillOval(at.getX() - HANDLE / 2, at.getY() - HANDLE / 2, HANDLE, HANDLE);
        pen.setStroke(Token.RIM.colour());
        pen.setLineWidth(1.5);
        pen.strokeOval(at.getX() - HANDLE / 2, at.getY() - HANDLE / 2, HANDLE, HANDLE);
        pen.setStroke(Token.CHALK.colour());
        pen.setLineWidth(1);
    }

    // --- gestures

    private Grip gripAt(ClothFrame frame, double x, double y) {
        PaintPlan plan = show.plan();
        if (plan == null || workbench.shown().isEmpty()) {
            return Grip.NONE;
        }
        if (sketch.pencilProperty().get()) {
            return Grip.DRAW;
        }
        if (stroke.pointAt(frame, x, y) >= 0) {
            return Grip.POINT;
        }
        if (movable().isPresent()) {
            double[] box = box(plan, movable().get());
            if (corner(frame, box, 1, 1, 0).distance(x, y) < 14) {
                return Grip.SIZE;
            }
            if (corner(frame, box, 0, -1, TURN_REACH).distance(x, y) < 14) {
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

    @Override
    public Cursor cursor(ClothFrame frame, double x, double y) {
        if (sheet.takesTheHand() && !sketch.pencilProperty().get()) {
            return sheet.cursor(frame, x, y);
        }
        return switch (gripAt(frame, x, y)) {
            case NONE -> Cursor.DEFAULT;
            case MOVE -> Cursor.OPEN_HAND;
            case SIZE -> Cursor.SE_RESIZE;
            case TURN, POINT -> Cursor.HAND;
            case DRAW -> Cursor.CROSSHAIR;
        };
    }

    @Override
    public void press(ClothFrame frame, MouseEvent e) {
        if (sheet.takesTheHand() && !sketch.pencilProperty().get()) {
            sheet.press(frame, e);
            return;
        }
        grip = gripAt(frame, e.getX(), e.getY());
        grabbed = new Point2D(e.getX(), e.getY());
        snapped = null;
        stroke.leave();
        if (grip == Grip.POINT && !stroke.take(stroke.pointAt(frame, e.getX(), e.getY()), e)) {
            grip = Grip.NONE;
            return;
        }
        if (grip == Grip.DRAW) {
            stroke.begin(frame, e);
            return;
        }
        if (grip == Grip.MOVE) {
            itemAt(frame, show.plan(), e.getX(), e.getY()).ifPresent(i -> workbench.itemProperty().set(i.item().id()));
            snaps = sketch.snaps();
        }
        grabbedPlacement = workbench.itemInHand().map(Item::placement).orElse(null);
    }

    @Override
    public boolean move(ClothFrame frame, MouseEvent e) {
        return false;
    }

    @Override
    public boolean showsFace() {
        return true;
    }

    @Override
    public List<ObservableValue<?>> causes() {
        return List.of(sketch.pencilProperty(), sheets.sheetProperty(), sheets.movingProperty());
    }

    /** @return whether the overlay must be drawn again for it */
    @Override
    public boolean drag(ClothFrame frame, MouseEvent e) {
        if (sheet.takesTheHand() && grip == Grip.NONE) {
            sheet.drag(frame, e);
            return true;
        }
        if (grip == Grip.DRAW) {
            stroke.draw(frame, e);
            return true;
        }
        if (grip == Grip.POINT) {
            workbench.draftItem(i -> stroke.movedPoint(i, frame, e));
            return true;
        }
        if (dragging()) {
            Placement to = dragged(frame, e);
            Placement placed = grip == Grip.MOVE && !e.isAltDown() ? snappedTo(to) : to;
            workbench.itemInHand().ifPresent(
                    in -> workbench.draft(p -> p.withSketch(p.sketch().map(s -> SketchModel.placed(s, in.id(), before -> placed)))));
        }
        return false;
    }

    private Placement snappedTo(Placement to) {
        snapped = snaps.isEmpty() ? null : Guides.snapped(snaps, to.x(), to.y(), SNAP_MM).orElse(null);
        return snapped == null ? to : new Placement(snapped.x, snapped.y, to.turn(), to.scale());
    }

    private Placement dragged(ClothFrame frame, MouseEvent e) {
        Point2D middle = frame.toPixels(grabbedPlacement.x(), grabbedPlacement.y());
        boolean onRim = workbench.itemInHand()
                .filter(i -> i.subject() instanceof Subject.Word w && w.setting().path() == LetterSetting.Path.RIM).isPresent();
        if (onRim && grip == Grip.MOVE) { // words on the rim are moved round it
            double from = Math.atan2(frame.toX(grabbed.getX()), -frame.toY(grabbed.getY()));
            double to = Math.atan2(frame.toX(e.getX()), -frame.toY(e.getY()));
            return grabbedPlacement.turnedBy(Math.toDegrees(to - from));
        }
        return switch (grip) {
            case SIZE ->
                    grabbedPlacement.sizedBy(Math.max(0.05, middle.distance(e.getX(), e.getY()) / Math.max(5, middle.distance(grabbed))));
            case TURN -> {
                double from = Math.toDegrees(Math.atan2(grabbed.getY() - middle.getY(), grabbed.getX() - middle.getX()));
                double to = Math.toDegrees(Math.atan2(e.getY() - middle.getY(), e.getX() - middle.getX()));
                yield grabbedPlacement.turnedBy(Math.round(to - from));
            }
            default -> grabbedPlacement.movedBy((e.getX() - grabbed.getX()) / frame.scale(), (e.getY() - grabbed.getY()) / frame.scale());
        };
    }

    @Override
    public void release() {
        sheet.release();
        Grip was = grip;
        grip = Grip.NONE;
        snapped = null;
        if (was == Grip.NONE) {
            return;
        }
        if (was == Grip.DRAW) {
            stroke.end();
            return;
        }
        Optional<Project> drafted = workbench.shown();
        if (workbench.isDrafting() && drafted.isPresent()) {
            String title = was == Grip.SIZE ? "Size the design" : was == Grip.TURN ? "Turn the design" : was == Grip.POINT ? "Move a point"
                    : "Move the design";
            workbench.edit(title, p -> p.withSketch(drafted.get().sketch()));
        }
    }

    /** Takes away the point of a stroke last touched; answers whether there was one. */
    @Override
    public boolean pointAway() {
        return stroke.pointAway();
    }

    /** @return whether the key was used */
    @Override
    public boolean key(KeyEvent e) {
        if (sheet.takesTheHand()) {
            return sheet.key(e);
        }
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
        sketch.place(title, change);
    }
}
