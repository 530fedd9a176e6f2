package mosspebble.app.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import mosspebble.app.cloth.ClothFrame;
import mosspebble.app.control.Token;
import mosspebble.app.model.Workbench;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Strokes;
import mosspebble.core.sketch.Subject;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.geom.util.NoninvertibleTransformationException;

/** The pencil in the hand: what it draws, and the points of the stroke that is in hand. */
final class StrokeTool {

    private final Workbench workbench;
    private final SketchModel sketch;
    private final List<Coordinate> drawn = new ArrayList<>();
    private int point = -1;

    StrokeTool(Workbench workbench, SketchModel sketch) {
        this.workbench = workbench;
        this.sketch = sketch;
    }

    // --- drawing

    void begin(ClothFrame frame, MouseEvent e) {
        drawn.clear();
        drawn.add(new Coordinate(frame.toX(e.getX()), frame.toY(e.getY())));
    }

    void draw(ClothFrame frame, MouseEvent e) {
        Coordinate here = new Coordinate(frame.toX(e.getX()), frame.toY(e.getY()));
        if (drawn.isEmpty() || drawn.get(drawn.size() - 1).distance(here) > 0.15) {
            drawn.add(here);
        }
    }

    void end() {
        List<Coordinate> places = List.copyOf(drawn);
        drawn.clear();
        sketch.drawn(places);
    }

    /** What the pencil has drawn so far. */
    void trail(GraphicsContext pen, ClothFrame frame) {
        if (drawn.size() < 2) {
            return;
        }
        pen.setStroke(Token.UNDER_CHALK.colour(0.5));
        pen.setLineWidth(3.4);
        for (int pass = 0; pass < 2; pass++) {
            pen.beginPath();
            for (int i = 0; i < drawn.size(); i++) {
                Point2D at = frame.toPixels(drawn.get(i).x, drawn.get(i).y);
                if (i == 0) {
                    pen.moveTo(at.getX(), at.getY());
                } else {
                    pen.lineTo(at.getX(), at.getY());
                }
            }
            pen.stroke();
            pen.setStroke(Token.CHALK.colour());
            pen.setLineWidth(1.6);
        }
    }

    // --- points

    private Optional<Item> inHand() {
        return workbench.itemInHand().filter(i -> !i.wearing());
    }

    /** Takes a point in hand, or adds one after it (Alt), or takes it away (Ctrl); answers whether it stays in hand. */
    boolean take(int number, MouseEvent e) {
        point = number;
        if (e.isControlDown()) {
            pointAway();
        } else if (e.isAltDown()) {
            keepingPlace("Add a point", s -> Strokes.plus(s, number));
        }
        return !e.isControlDown() && !e.isAltDown();
    }

    void leave() {
        point = -1;
    }

    private Optional<Subject.Stroke> stroke() {
        return workbench.itemInHand().map(i -> i.subject() instanceof Subject.Stroke s ? s : null);
    }

    /** From units of the stroke to mm on the stone. */
    private AffineTransformation toStone(Item item, Subject.Stroke stroke) {
        Coordinate own = Strokes.middle(stroke); // not the plan's, which may not be there yet
        Placement p = item.placement();
        AffineTransformation way = new AffineTransformation().translate(-own.x, -own.y);
        if (item.mirrored()) {
            way.scale(-1, 1);
        }
        return way.scale(p.scale(), p.scale()).rotate(Math.toRadians(p.turn())).translate(p.x(), p.y());
    }

    private List<Coordinate> pointsOnStone(Item item) {
        List<Coordinate> places = new ArrayList<>();
        stroke().ifPresent(s -> {
            AffineTransformation way = toStone(item, s);
            Strokes.points(s).forEach(c -> places.add(way.transform(c, new Coordinate())));
        });
        return places;
    }

    /** The points of the stroke in hand. */
    void points(GraphicsContext pen, ClothFrame frame, Item item) {
        List<Coordinate> places = pointsOnStone(item);
        for (int i = 0; i < places.size(); i++) {
            Point2D at = frame.toPixels(places.get(i).x, places.get(i).y);
            double r = i == point ? 5 : 3.5;
            pen.setFill((i == point ? Token.TAKEN : Token.CHALK).colour());
            pen.fillOval(at.getX() - r, at.getY() - r, 2 * r, 2 * r);
            pen.setStroke(Token.RIM.colour());
            pen.setLineWidth(1);
            pen.strokeOval(at.getX() - r, at.getY() - r, 2 * r, 2 * r);
        }
    }

    /** The number of the point at a place; -1 for none. */
    int pointAt(ClothFrame frame, double x, double y) {
        List<Coordinate> places = inHand().map(this::pointsOnStone).orElse(List.of());
        int best = -1;
        double near = 9;
        for (int i = 0; i < places.size(); i++) {
            double far = frame.toPixels(places.get(i).x, places.get(i).y).distance(x, y);
            if (far < near) {
                near = far;
                best = i;
            }
        }
        return best;
    }

    /** Takes away the point last touched; answers whether there was one. */
    boolean pointAway() {
        Optional<Subject.Stroke> stroke = stroke();
        if (point < 0 || stroke.isEmpty() || point >= stroke.get().points().size() / 2) {
            return false;
        }
        int at = point;
        point = -1;
        keepingPlace("Take a point away", s -> Strokes.without(s, at));
        return true;
    }

    /** Changes the stroke's points; since its middle moves with them, its placement follows so that the others stay where they are. */
    private void keepingPlace(String title, UnaryOperator<Subject.Stroke> change) {
        workbench.editItem(title, i -> kept(i, change));
    }

    private static Item kept(Item item, UnaryOperator<Subject.Stroke> change) {
        Subject.Stroke before = (Subject.Stroke) item.subject();
        Subject.Stroke after = change.apply(before);
        Coordinate from = Strokes.middle(before);
        Coordinate to = Strokes.middle(after);
        Placement p = item.placement();
        double dx = (to.x - from.x) * p.scale() * (item.mirrored() ? -1 : 1);
        double dy = (to.y - from.y) * p.scale();
        double turn = Math.toRadians(p.turn());
        return item.showing(after)
                .withPlacement(p.movedBy(dx * Math.cos(turn) - dy * Math.sin(turn), dx * Math.sin(turn) + dy * Math.cos(turn)));
    }

    /** The thing with the point in hand moved to the pointer. */
    Item movedPoint(Item item, ClothFrame frame, MouseEvent e) {
        Subject.Stroke stroke = (Subject.Stroke) item.subject();
        try {
            Coordinate own = toStone(item, stroke).getInverse().transform(new Coordinate(frame.toX(e.getX()), frame.toY(e.getY())),
                    new Coordinate());
            return kept(item, s -> Strokes.moved(s, point, own.x, own.y));
        } catch (NoninvertibleTransformationException impossible) {
            return item; // a placement is never flat
        }
    }
}
