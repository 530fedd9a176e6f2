package mosspebble.app.stone;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.paint.Color;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import javafx.util.Duration;
import mosspebble.app.cloth.ClothFrame;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.cloth.SliceLine;
import mosspebble.app.control.TextSize;
import mosspebble.app.control.Token;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.stone.StoneModel.Guide;
import mosspebble.app.stone.StoneModel.Page;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.stone.Eye;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.stone.SurfacePath;
import mosspebble.core.stone.Viewpoint;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.Millimetres;
import org.locationtech.jts.geom.Coordinate;

/**
 * What can be drawn and done on the cloth in the Stone stage: points of the outline, the tape, marks, a line or ring that shall look true,
 * turning.
 */
public final class StoneTool implements ClothTool {

    private static final int POINTS = 24;
    private static final double NEAR = 13;
    private static final double TURN_KNOB = 30;
    private static final double DEGREES_A_PIXEL = 0.4;
    private static final Color CREAM = Token.CHALK.colour();
    private static final Color DARK = Token.UNDER_CHALK.colour(0.55);
    private static final Color MOSS = Token.RIM.colour();

    private enum Grip { NONE, POINT, TAPE_A, TAPE_B, TAPE_BOTH, MARK, GUIDE, TILT, TURN }

    private Stone pointsOf;
    private List<double[]> lastPoints = List.of();
    private final Workbench workbench;
    private final Results show;
    private final StoneModel bench;
    private final SliceLine tape;
    private final PauseTransition wheelRest = new PauseTransition(Duration.millis(350));
    private Grip grip = Grip.NONE;
    private int index;
    private double[] grabbed;
    private double[] grabbedTape;
    private double grabbedPixel;
    private Viewpoint grabbedView;
    private Stone grabbedStone;
    private SurfacePath path;
    private Object pathFor;
    private boolean nearOutline;

    public StoneTool(Workbench workbench, Results show, StoneModel bench, SliceLine tape) {
        this.workbench = workbench;
        this.show = show;
        this.bench = bench;
        this.tape = tape;
        wheelRest.setOnFinished(e -> commitDraft("Turn the stone"));
    }

    private Optional<PaintPlan> plan() {
        PaintPlan plan = show.plan();
        return Optional.ofNullable(plan).filter(p -> workbench.shown().map(Project::id).filter(p.project().id()::equals).isPresent());
    }

    /** Whether the stone is shown from its viewpoint and not from above. */
    @Override
    public boolean seen() {
        return bench.pageProperty().get() == Page.SEEN && workbench.shown().filter(p -> !p.viewpoint().straightDown()).isPresent();
    }

    @Override
    public boolean showsFace() {
        return !seen();
    }

    @Override
    public boolean showsMeasures() {
        return bench.pageProperty().get() == Page.OUTLINE;
    }

    @Override
    public List<ObservableValue<?>> causes() {
        return List.of(bench.guideProperty(), bench.guideAtProperty(), bench.placingProperty(), bench.markProperty(),
                bench.pointsProperty(), bench.pageProperty());
    }

    @Override
    public List<ObservableValue<?>> views() {
        return List.of(bench.pageProperty());
    }

    // --- drawing

    @Override
    public void draw(GraphicsContext pen, ClothFrame frame, PaintPlan planned, boolean handled) {
        if (plan().isEmpty() || workbench.shown().isEmpty()) {
            return;
        }
        Stone stone = workbench.shown().get().stone();
        switch (bench.pageProperty().get()) {
            case OUTLINE -> {
                if (bench.pointsProperty().get() || nearOutline || grip == Grip.POINT) {
                    points(pen, frame, stone);
                }
                turnKnob(pen, frame, stone);
            }
            case DOME -> tape(pen, frame);
            case MARKS -> marks(pen, frame, stone);
            case SEEN -> guide(pen, frame);
            case SKIN, SUITS, READY -> {}
        }
    }

    private void points(GraphicsContext pen, ClothFrame frame, Stone stone) {
        for (double[] point : placedPoints(stone)) {
            dot(pen, frame.toPixels(point[0], point[1]), 9);
        }
    }

    /**
     * Points of the outline where they lie on the cloth, with their spokes: x, y, degrees, mm. Asked at every move of the pointer, so the
     * last answer is remembered.
     */
    private List<double[]> placedPoints(Stone stone) {
        if (!stone.equals(pointsOf)) {
            pointsOf = stone;
            lastPoints = pointsOf(stone);
        }
        return lastPoints;
    }

    private static List<double[]> pointsOf(Stone stone) {
        StoneOutline outline = StoneOutline.of(stone);
        Shape.Measured spokes = StoneOutline.spokes(stone, POINTS);
        StoneOutline own = StoneOutline.of(stone.withWayUp(0));
        List<double[]> points = new ArrayList<>();
        double poleX = own.poleX();
        double poleY = own.poleY();
        for (Shape.Spoke spoke : spokes.spokes()) {
            double a = Math.toRadians(spoke.degrees());
            double r = own.radius(a);
            Coordinate at = outline.placed(poleX + r * Math.cos(a), poleY + r * Math.sin(a));
            points.add(new double[] {at.x, at.y, spoke.degrees(), r});
        }
        return points;
    }

    private static void dot(GraphicsContext pen, Point2D at, double size) {
        pen.setFill(CREAM);
        pen.fillOval(at.getX() - size / 2, at.getY() - size / 2, size, size);
        pen.setStroke(MOSS);
        pen.setLineWidth(1.4);
        pen.strokeOval(at.getX() - size / 2, at.getY() - size / 2, size, size);
    }

    private static Point2D knobAt(ClothFrame frame, Stone stone) {
        StoneOutline outline = StoneOutline.of(stone);
        return frame.toPixels(outline.halfWidth(), -outline.halfHeight()).add(TURN_KNOB * 0.4, -TURN_KNOB * 0.1);
    }

    private void turnKnob(GraphicsContext pen, ClothFrame frame, Stone stone) {
        Point2D at = knobAt(frame, stone);
        pen.setStroke(Token.DEEP_MOSS.colour(Token.Theme.of(workbench.studio())));
        pen.setLineWidth(1.6);
        pen.strokeArc(at.getX() - 9, at.getY() - 9, 18, 18, 60, -250, ArcType.OPEN);
        pen.strokeLine(at.getX() + 4.5, at.getY() - 7.8, at.getX() + 10, at.getY() - 8.5);
        pen.strokeLine(at.getX() + 4.5, at.getY() - 7.8, at.getX() + 5.5, at.getY() - 2.6);
    }

    private void tape(GraphicsContext pen, ClothFrame frame) {
        double[] line = tape.get();
        PaintPlan plan = plan().orElseThrow();
        Object key = List.of(plan.survey().stone(), line[0], line[1], line[2], line[3]);
        if (!key.equals(pathFor)) {
            path = SurfacePath.between(plan.survey().dome(), line[0], line[1], line[2], line[3]);
            pathFor = key;
        }
        pen.setLineCap(StrokeLineCap.ROUND);
        for (int pass = 0; pass < 2; pass++) {
            pen.setStroke(pass == 0 ? DARK : CREAM);
            pen.setLineWidth(pass == 0 ? 4 : 2);
            pen.beginPath();
            for (int i = 0; i < path.size(); i++) {
                Point2D at = frame.toPixels(path.x(i), path.y(i));
                if (i == 0) {
                    pen.moveTo(at.getX(), at.getY());
                } else {
                    pen.lineTo(at.getX(), at.getY());
                }
            }
            pen.stroke();
        }
        Point2D a = frame.toPixels(line[0], line[1]);
        Point2D b = frame.toPixels(line[2], line[3]);
        end(pen, a, "A");
        end(pen, b, "B");
        double straight = Math.hypot(line[2] - line[0], line[3] - line[1]);
        label(pen, a.midpoint(b).getX(), a.midpoint(b).getY() - 14,
                "along the stone " + length(path.lengthMm()) + ", seen from above " + length(straight));
    }

    private String length(double mm) {
        return LengthText.format(new Millimetres(mm), workbench.studio().unit());
    }

    private static void end(GraphicsContext pen, Point2D at, String name) {
        dot(pen, at, 17);
        pen.setFill(Token.ON_PALE.colour());
        pen.setFont(Font.font("Atkinson Hyperlegible", 11)); // within a knob
        pen.setTextAlign(TextAlignment.CENTER);
        pen.fillText(name, at.getX(), at.getY() + 4);
        pen.setTextAlign(TextAlignment.LEFT);
    }

    private void label(GraphicsContext pen, double x, double y, String words) {
        pen.setFont(TextSize.font(workbench.studio(), 13));
        pen.setTextAlign(TextAlignment.CENTER);
        double wide = 6.6 * TextSize.of(workbench.studio()) * words.length() + 16;
        pen.setFill(Token.ON_PALE.colour(0.82));
        pen.fillRoundRect(x - wide / 2, y - 15, wide, 21, 12, 12);
        pen.setFill(CREAM);
        pen.fillText(words, x, y);
        pen.setTextAlign(TextAlignment.LEFT);
    }

    private void marks(GraphicsContext pen, ClothFrame frame, Stone stone) {
        StoneOutline outline = StoneOutline.of(stone);
        for (int i = 0; i < stone.patches().size(); i++) {
            Patch patch = stone.patches().get(i);
            if (patch.onBack()) {
                continue;
            }
            Coordinate from = outline.placed(patch.x(), patch.y());
            Coordinate to = outline.placed(patch.toX(), patch.toY());
            Point2D a = frame.toPixels(from.x, from.y);
            Point2D b = frame.toPixels(to.x, to.y);
            boolean chosen = bench.markProperty().get() == i;
            double r = patch.radiusMm() * frame.scale();
            pen.setLineDashes(chosen ? new double[0] : new double[] {4, 4});
            for (int pass = 0; pass < 2; pass++) {
                pen.setStroke(pass == 0 ? DARK : CREAM);
                pen.setLineWidth(pass == 0 ? 3 : 1.4);
                if (patch.kind() == Patch.Kind.CRACK) {
                    pen.strokeLine(a.getX(), a.getY(), b.getX(), b.getY());
                } else {
                    pen.strokeOval(a.getX() - r, a.getY() - r, 2 * r, 2 * r);
                }
            }
            pen.setLineDashes();
            if (chosen) {
                label(pen, a.getX(), a.getY() - Math.max(r, 8) - 10,
                        patch.kind().label() + ", " + length(patch.depthMm()) + (patch.kind() == Patch.Kind.BUMP ? " high" : " deep"));
            }
        }
        if (bench.placingProperty().get() != null) {
            label(pen, frame.middleX(), frame.middleY() + frame.scale() * outline.halfHeight() - 16,
                    bench.placingProperty().get() == Patch.Kind.CRACK ? "drag along the crack"
                            : "click where the " + bench.placingProperty().get().label() + " is");
        }
    }

    private void guide(GraphicsContext pen, ClothFrame frame) {
        Guide kind = bench.guideProperty().get();
        if (kind == Guide.NONE) {
            return;
        }
        Viewpoint viewpoint = workbench.shown().orElseThrow().viewpoint();
        PaintPlan plan = plan().orElseThrow();
        Eye eye = viewpoint.eye();
        double[] at = bench.guideAtProperty().get();
        Eye.Corrected corrected = corrected(plan, eye, at, kind);
        List<Coordinate> ruled = new ArrayList<>();
        for (int i = 0; i < corrected.points().size(); i++) {
            Coordinate c = corrected.points().get(i);
            ruled.add(kind == Guide.LINE ? new Coordinate(c.x, at[1]) : new Coordinate(at[0] + ring(plan) * Math.cos(2 * Math.PI * i / 72),
                    at[1] + ring(plan) * Math.sin(2 * Math.PI * i / 72)));
        }
        double[] seen = new double[3];
        for (int pass = 0; pass < 2; pass++) {
            List<Coordinate> points = pass == 0 ? ruled : corrected.points();
            pen.setStroke(pass == 0 ? Token.RULED.colour() : CREAM);
            pen.setLineWidth(pass == 0 ? 1.4 : 2.2);
            pen.setLineDashes(pass == 0 ? new double[] {4, 5} : new double[0]);
            pen.beginPath();
            for (int i = 0; i < points.size(); i++) {
                Coordinate c = points.get(i);
                Point2D p;
                if (viewpoint.straightDown()) {
                    p = frame.toPixels(c.x, c.y);
                } else {
                    eye.project(c.x, c.y, plan.survey().dome().heightAt(c.x, c.y), seen);
                    p = frame.toPixels(seen[0], seen[1]);
                }
                if (i == 0) {
                    pen.moveTo(p.getX(), p.getY());
                } else {
                    pen.lineTo(p.getX(), p.getY());
                }
            }
            pen.stroke();
        }
        pen.setLineDashes();
    }

    /** The line or ring of the guide as it must be drawn. */
    static Eye.Corrected corrected(PaintPlan plan, Eye eye, double[] at, Guide kind) {
        double reach = 0.86 * plan.survey().zones().face().getEnvelopeInternal().getWidth() / 2;
        return kind == Guide.LINE ? eye.straight(plan.survey().dome(), at[0], at[1], reach)
                : eye.round(plan.survey().dome(), at[0], at[1], ring(plan));
    }

    /** Radius of the ring guide, mm. */
    static double ring(PaintPlan plan) {
        var box = plan.survey().zones().face().getEnvelopeInternal();
        return 0.3 * Math.min(box.getWidth(), box.getHeight());
    }

    // --- gestures

    private Grip gripAt(ClothFrame frame, double px, double py) {
        if (plan().isEmpty() || workbench.shown().isEmpty()) {
            return Grip.NONE;
        }
        Stone stone = workbench.shown().get().stone();
        double x = frame.toX(px);
        double y = frame.toY(py);
        switch (bench.pageProperty().get()) {
            case OUTLINE -> {
                if (knobAt(frame, stone).distance(px, py) < NEAR + 4) {
                    return Grip.TURN;
                }
                List<double[]> points = placedPoints(stone);
                for (int i = 0; i < points.size(); i++) {
                    if (frame.toPixels(points.get(i)[0], points.get(i)[1]).distance(px, py) < NEAR) {
                        index = i;
                        return Grip.POINT;
                    }
                }
            }
            case DOME -> {
                double[] line = tape.get();
                Point2D a = frame.toPixels(line[0], line[1]);
                Point2D b = frame.toPixels(line[2], line[3]);
                if (a.distance(px, py) < NEAR) {
                    return Grip.TAPE_A;
                }
                if (b.distance(px, py) < NEAR) {
                    return Grip.TAPE_B;
                }
                double length = Math.max(1, a.distance(b));
                double across = Math.abs((b.getX() - a.getX()) * (py - a.getY()) - (b.getY() - a.getY()) * (px - a.getX())) / length;
                double along = ((b.getX() - a.getX()) * (px - a.getX()) + (b.getY() - a.getY()) * (py - a.getY())) / length;
                return across < 12 && along > 0 && along < length ? Grip.TAPE_BOTH : Grip.NONE;
            }
            case MARKS -> {
                StoneOutline outline = StoneOutline.of(stone);
                Coordinate own = outline.own(x, y);
                for (int i = stone.patches().size() - 1; i >= 0; i--) {
                    Patch patch = stone.patches().get(i);
                    if (!patch.onBack() && patch.distance(own.x, own.y) < Math.max(patch.radiusMm(), 8 / frame.scale())) {
                        index = i;
                        return Grip.MARK;
                    }
                }
            }
            case SEEN -> {
                return seen() || bench.guideProperty().get() == Guide.NONE ? Grip.TILT : Grip.GUIDE;
            }
            case SKIN, SUITS, READY -> {
                return Grip.NONE;
            }
        }
        return Grip.NONE;
    }

    /** Cursor over a place; also notes what is near, answers whether that changed. */
    @Override
    public boolean move(ClothFrame frame, MouseEvent e) {
        double px = e.getX();
        double py = e.getY();
        boolean near = false;
        if (bench.pageProperty().get() == Page.OUTLINE && workbench.shown().isPresent()) {
            StoneOutline outline = StoneOutline.of(workbench.shown().get().stone());
            double dx = frame.toX(px) - outline.poleX();
            double dy = frame.toY(py) - outline.poleY();
            near = Math.abs(Math.hypot(dx, dy) - outline.radius(Math.atan2(dy, dx))) * frame.scale() < 16;
        }
        boolean changed = near != nearOutline;
        nearOutline = near;
        return changed;
    }

    @Override
    public Cursor cursor(ClothFrame frame, double px, double py) {
        if (bench.pageProperty().get() == Page.MARKS && bench.placingProperty().get() != null) {
            return Cursor.CROSSHAIR;
        }
        return switch (gripAt(frame, px, py)) {
            case NONE -> Cursor.DEFAULT;
            case POINT, TAPE_A, TAPE_B, TURN, GUIDE -> Cursor.HAND;
            case TILT -> Cursor.V_RESIZE;
            case TAPE_BOTH, MARK -> Cursor.OPEN_HAND;
        };
    }

    @Override
    public void press(ClothFrame frame, MouseEvent e) {
        commitWheel();
        grabbed = new double[] {frame.toX(e.getX()), frame.toY(e.getY())};
        grabbedPixel = e.getY();
        grabbedView = workbench.shown().map(Project::viewpoint).orElse(null);
        grabbedTape = tape.get().clone();
        grabbedStone = workbench.shown().map(Project::stone).orElse(null);
        if (grabbedStone == null) {
            return;
        }
        Patch.Kind kind = bench.placingProperty().get();
        if (bench.pageProperty().get() == Page.MARKS && kind != null && plan().isPresent()
                && plan().get().survey().dome().levelAt(grabbed[0], grabbed[1]) > 0) {
            place(kind);
            grip = Grip.MARK;
            return;
        }
        grip = gripAt(frame, e.getX(), e.getY());
        if (bench.pageProperty().get() == Page.MARKS) {
            bench.markProperty().set(grip == Grip.MARK ? index : -1);
        }
        if (grip == Grip.GUIDE) {
            bench.guideAtProperty().set(grabbed);
        }
    }

    private void place(Patch.Kind kind) {
        Coordinate own = StoneOutline.of(grabbedStone).own(grabbed[0], grabbed[1]);
        double size = Math.min(grabbedStone.length().value(), grabbedStone.width().value());
        Patch patch = kind == Patch.Kind.CRACK ? Patch.crack(own.x, own.y, own.x + 0.1, own.y, Math.max(0.4, size / 120), 1)
                : Patch.at(kind, own.x, own.y, Math.max(1, size * (kind == Patch.Kind.HOLE ? 0.05 : kind == Patch.Kind.FLAT ? 0.15 : 0.1)),
                        Math.max(0.3, size / 50));
        grabbedStone = grabbedStone.plus(patch);
        index = grabbedStone.patches().size() - 1;
        Stone placed = grabbedStone;
        workbench.draft(p -> p.withStone(placed));
    }

    @Override
    public boolean drag(ClothFrame frame, MouseEvent e) {
        if (grabbedStone == null || grabbed == null) {
            return false;
        }
        double x = frame.toX(e.getX());
        double y = frame.toY(e.getY());
        double dx = x - grabbed[0];
        double dy = y - grabbed[1];
        switch (grip) {
            case NONE -> {}
            case TAPE_A -> tape.set(grabbedTape[0] + dx, grabbedTape[1] + dy, grabbedTape[2], grabbedTape[3]);
            case TAPE_B -> tape.set(grabbedTape[0], grabbedTape[1], grabbedTape[2] + dx, grabbedTape[3] + dy);
            case TAPE_BOTH -> tape.set(grabbedTape[0] + dx, grabbedTape[1] + dy, grabbedTape[2] + dx, grabbedTape[3] + dy);
            case GUIDE -> bench.guideAtProperty().set(new double[] {x, y});
            case POINT -> workbench.draft(p -> p.withStone(dragged(grabbedStone, index, x, y)));
            case MARK -> workbench.draft(p -> p.withStone(movedMark(x, y)));
            case TILT ->
                    workbench.draft(p -> p.withViewpoint(leaning(grabbedView, Math.round((grabbedPixel - e.getY()) * DEGREES_A_PIXEL))));
            case TURN -> {
                double from = Math.toDegrees(Math.atan2(grabbed[1], grabbed[0]));
                double to = Math.toDegrees(Math.atan2(y, x));
                workbench.draft(p -> p.withStone(grabbedStone.withWayUp(Math.round(grabbedStone.wayUp() + to - from))));
            }
        }
        return false;
    }

    private Stone movedMark(double x, double y) {
        StoneOutline outline = StoneOutline.of(grabbedStone);
        Coordinate from = outline.own(grabbed[0], grabbed[1]);
        Coordinate to = outline.own(x, y);
        List<Patch> patches = new ArrayList<>(grabbedStone.patches());
        Patch patch = patches.get(index);
        boolean drawing = bench.placingProperty().get() == Patch.Kind.CRACK;
        patches.set(index, drawing ? new Patch(patch.kind(), patch.x(), patch.y(), to.x, to.y, patch.radiusMm(), patch.depthMm(), false)
                : patch.movedBy(to.x - from.x, to.y - from.y));
        return grabbedStone.withPatches(patches);
    }

    /** The stone with one point of its outline dragged along its spoke; neighbours follow within some 25 degrees. */
    static Stone dragged(Stone stone, int number, double placedX, double placedY) {
        StoneOutline outline = StoneOutline.of(stone);
        StoneOutline own = StoneOutline.of(stone.withWayUp(0));
        Coordinate to = outline.own(placedX, placedY);
        Shape.Measured spokes = StoneOutline.spokes(stone, 120);
        double angle = 360.0 * number / POINTS;
        double wanted = Math.hypot(to.x - own.poleX(), to.y - own.poleY());
        double now = own.radius(Math.toRadians(angle));
        List<Shape.Spoke> moved = new ArrayList<>();
        for (Shape.Spoke spoke : spokes.spokes()) {
            double off = Math.abs(Math.IEEEremainder(spoke.degrees() - angle, 360));
            double share = Math.exp(-off * off / (2 * 9 * 9));
            moved.add(new Shape.Spoke(spoke.degrees(), Math.max(2, Math.min(600, spoke.mm() + share * (wanted - now)))));
        }
        return stone.withOutline(new Shape.Measured(Shape.Source.HAND, moved));
    }

    @Override
    public void release() {
        switch (grip) {
            case POINT -> commitDraft("Drag the outline");
            case TURN -> commitDraft("Turn the stone");
            case MARK -> {
                Patch.Kind kind = bench.placingProperty().get();
                int placed = index;
                bench.placingProperty().set(null);
                commitDraft(kind != null ? "Mark a " + kind.label() : "Move the mark");
                bench.markProperty().set(placed);
            }
            case TILT -> {
                if (workbench.isDrafting()) {
                    Viewpoint view = workbench.shown().map(Project::viewpoint).orElseThrow();
                    workbench.edit("Tilt the stone", p -> p.withViewpoint(view));
                }
            }
            case NONE, TAPE_A, TAPE_B, TAPE_BOTH, GUIDE -> {}
        }
        grip = Grip.NONE;
    }

    private void commitDraft(String title) {
        if (workbench.isDrafting()) {
            Stone stone = workbench.shown().map(Project::stone).orElseThrow();
            workbench.edit(title, p -> p.withStone(stone));
        }
    }

    private void commitWheel() {
        if (wheelRest.getStatus() == Animation.Status.RUNNING) {
            wheelRest.stop();
            commitDraft("Turn the stone");
        }
    }

    /** The wheel turns the stone by 5 degrees, with Shift by 1; kept once it rests. */
    @Override
    public void wheel(ScrollEvent e) {
        double delta = e.getDeltaY() != 0 ? e.getDeltaY() : e.getDeltaX();
        if (delta != 0 && workbench.shown().isPresent()) {
            double step = (delta > 0 ? -1 : 1) * (e.isShiftDown() ? 1 : 5);
            Stone stone = workbench.shown().get().stone();
            workbench.draft(p -> p.withStone(stone.withWayUp(stone.wayUp() + step)));
            wheelRest.playFromStart();
            e.consume();
        }
    }

    /** @return whether the key was used */
    @Override
    public boolean key(KeyEvent e) {
        if (workbench.shown().isEmpty()) {
            return false;
        }
        double step = e.isShiftDown() ? 15 : 1;
        switch (e.getCode()) {
            case OPEN_BRACKET -> turn(-step);
            case CLOSE_BRACKET -> turn(step);
            case PAGE_UP -> lean(5);
            case PAGE_DOWN -> lean(-5);
            case DELETE, BACK_SPACE -> {
                return removeMark();
            }
            case ESCAPE -> {
                boolean used = bench.placingProperty().get() != null || workbench.isDrafting();
                bench.placingProperty().set(null);
                grip = Grip.NONE;
                workbench.dropDraft();
                return used;
            }
            case LEFT, RIGHT, UP, DOWN -> {
                return nudge(e.getCode(), e.isShiftDown() ? 5 : 0.5);
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    private void turn(double by) {
        workbench.edit("Turn the stone", p -> p.withStone(p.stone().withWayUp(p.stone().wayUp() + by)));
    }

    private void lean(double by) {
        workbench.edit("Tilt the stone", p -> p.withViewpoint(leaning(p.viewpoint(), by)));
    }

    /** Leaning so many degrees more; a stone seen from above is first seen from the table. */
    private static Viewpoint leaning(Viewpoint from, double by) {
        Viewpoint view = from.straightDown() ? Viewpoint.table() : from;
        return new Viewpoint(Math.max(0, Math.min(90, view.lean() + by)), view.eyeHeight(), view.eyeDistance());
    }

    private boolean removeMark() {
        int mark = bench.markProperty().get();
        if (bench.pageProperty().get() != Page.MARKS || mark < 0) {
            return false;
        }
        bench.markProperty().set(-1);
        workbench.edit("Take the mark away", p -> {
            List<Patch> kept = new ArrayList<>(p.stone().patches());
            if (mark < kept.size()) {
                kept.remove(mark);
            }
            return p.withStone(p.stone().withPatches(kept));
        });
        return true;
    }

    private boolean nudge(KeyCode code, double by) {
        double dx = code == KeyCode.LEFT ? -by : code == KeyCode.RIGHT ? by : 0;
        double dy = code == KeyCode.UP ? -by : code == KeyCode.DOWN ? by : 0;
        int mark = bench.markProperty().get();
        if (bench.pageProperty().get() == Page.MARKS && mark >= 0) {
            workbench.edit("Move the mark", p -> {
                StoneOutline outline = StoneOutline.of(p.stone());
                Coordinate zero = outline.own(0, 0);
                Coordinate to = outline.own(dx, dy);
                List<Patch> patches = new ArrayList<>(p.stone().patches());
                patches.set(mark, patches.get(mark).movedBy(to.x - zero.x, to.y - zero.y));
                return p.withStone(p.stone().withPatches(patches));
            });
            return true;
        }
        if (bench.pageProperty().get() == Page.SEEN) {
            double[] at = bench.guideAtProperty().get();
            bench.guideAtProperty().set(new double[] {at[0] + dx, at[1] + dy});
            return true;
        }
        return false;
    }
}
