package mosspebble.app.sitting;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.ImageView;
import javafx.scene.layout.StackPane;
import javafx.scene.transform.Affine;
import mosspebble.app.cloth.Geometries;
import mosspebble.app.cloth.StoneImage;
import mosspebble.app.control.Token;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.core.area.Grid;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Side;
import org.locationtech.jts.geom.Geometry;

/** A stone as it looks before a pass, with the place of the pass lit; at first from the tray's small picture, then sharp. */
final class WorkPicture extends StackPane {

    private static final int MOST_KEPT = 3;
    private static final double DIM = 0.55;

    /** What is shown. */
    private record Moment(PaintPlan plan, int steps, int coats, Step step, boolean lit) {

        /** @param part coats of a step that are laid already */
        static Moment before(PaintPlan plan, int number, int part, boolean lit) {
            Step step = plan.steps().get(number);
            PaintPlan seen = step.side() == Side.EDGE || step.side() == plan.up().side() ? plan : plan.turnedOver();
            return new Moment(seen, part > 0 ? number + 1 : number, part, step, lit);
        }

        /** Whether the stone looks the same but for what is lit. */
        boolean looksLike(Moment other) {
            return plan.steps() == other.plan.steps() && plan.up().side() == other.plan.up().side() && steps == other.steps
                    && coats == other.coats;
        }
    }

    private record Key(PaintPlan plan, double scale) {}

    private record Drawn(StonePicture of, int[] pixels) {}

    /** Drawn before it is wanted. */
    private record Ahead(Moment moment, double pixelsPerMm, Drawn drawn) {}

    private final PlanWorker desk;
    private final Results results;
    private final PlanWorker.Line drawing = new PlanWorker.Line();
    private final Map<Key, StonePicture> kept = new LinkedHashMap<>(8, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, StonePicture> eldest) {
            return size() > MOST_KEPT;
        }
    };
    private final ImageView image = new ImageView();
    private final Canvas light = new Canvas();
    private final PlanWorker.Line expecting = new PlanWorker.Line();
    private Moment moment;
    private Moment expected;
    private Ahead ahead;

    WorkPicture(PlanWorker desk, Results results) {
        this.desk = desk;
        this.results = results;
        setId("work-picture");
        image.setSmooth(true);
        light.setMouseTransparent(true);
        getChildren().addAll(image, light);
        setMinSize(0, 0);
        widthProperty().addListener((o, a, b) -> draw());
        heightProperty().addListener((o, a, b) -> draw());
    }

    /**
     * @param number of the step that is in hand, from 0
     * @param part its coats that are laid already
     * @param lit whether the place of the step is lit
     */
    void show(PaintPlan plan, int number, int part, boolean lit) {
        Moment next = Moment.before(plan, number, part, lit);
        if (moment == null || !next.looksLike(moment) || moment.step != next.step || moment.lit != lit) {
            moment = next;
            draw();
        }
    }

    /** What is shown next, most likely: it is drawn when nothing else is to be done. */
    void expect(PaintPlan plan, int number, int part) {
        Moment next = Moment.before(plan, number, part, true);
        if (expected != null && next.looksLike(expected) || getWidth() < 50 || getHeight() < 50) {
            return;
        }
        expected = next;
        double fine = scale(next) * output();
        StonePicture known = kept.get(new Key(next.plan, fine));
        desk.askLater(expecting, d -> new Ahead(next, fine, sharp(d, next, known, fine)), drawn -> {
            kept.put(new Key(next.plan, fine), drawn.drawn.of);
            ahead = drawn;
        });
    }

    /** Pixels per mm at which the whole stone is seen. */
    private double scale(Moment of) {
        double w = 2 * of.plan.survey().dome().outline().halfWidth() + 12;
        double h = 2 * of.plan.survey().dome().outline().halfHeight() + 12;
        return Math.max(0.5, Math.min(9, Math.min(getWidth() / w, getHeight() / h)));
    }

    /** The screen's own pixels to one of the window's. */
    private double output() {
        return getScene() == null || getScene().getWindow() == null ? 1 : getScene().getWindow().getRenderScaleX();
    }

    private void draw() {
        if (moment == null || getWidth() < 50 || getHeight() < 50) {
            return;
        }
        Moment now = moment;
        double scale = scale(now);
        double fine = scale * output();
        if (ahead != null && ahead.pixelsPerMm == fine && ahead.moment.looksLike(now)) {
            put(ahead.drawn, scale, now);
            return;
        }
        Results.Thumb thumb = results.thumbs().get(now.plan.project().id());
        StonePicture known = kept.get(new Key(now.plan, fine));
        if (thumb != null && thumb.plan().steps() == now.plan.steps()
                && thumb.plan().up().side() == now.plan.up().side()) {
            put(new Drawn(thumb.picture(), pixels(thumb.picture(), now, Care.QUICK)), scale, now); // a few milliseconds
        }
        desk.ask(drawing, d -> sharp(d, now, known, fine), drawn -> {
            kept.put(new Key(now.plan, fine), drawn.of);
            put(drawn, scale, now);
        });
    }

    private static Drawn sharp(PlanWorker desk, Moment of, StonePicture known, double pixelsPerMm) {
        StonePicture picture = known != null ? known : desk.picture(of.plan, pixelsPerMm, StoneState.DRY);
        return new Drawn(picture, pixels(picture, of, Care.FULL));
    }

    private static int[] pixels(StonePicture picture, Moment now, Care care) {
        int[] pixels = new int[picture.terrain().grid().cells()];
        picture.draw(new StonePicture.Shown(now.steps, now.coats, now.plan.project().habits().light().from(), care), () -> false,
                pixels);
        return pixels;
    }

    private void put(Drawn drawn, double scale, Moment now) {
        if (now != moment) {
            return; // something else is shown by now
        }
        Grid grid = drawn.of.terrain().grid();
        StoneImage still = new StoneImage(grid);
        still.draw(drawn.pixels);
        image.setImage(still.image());
        double w = grid.columns() * grid.cellMm() * scale;
        double h = grid.rows() * grid.cellMm() * scale;
        image.setFitWidth(w);
        image.setFitHeight(h);
        light.setWidth(w);
        light.setHeight(h);
        GraphicsContext pen = light.getGraphicsContext2D();
        pen.setTransform(new Affine());
        pen.clearRect(0, 0, w, h);
        Geometry place = now.step.place();
        if (!now.lit || place.isEmpty() || now.step.side() != now.plan.up().side()) {
            return;
        }
        pen.setTransform(new Affine(scale, 0, w / 2, 0, scale, h / 2));
        pen.setFill(Token.UNDER_CHALK.colour(DIM));
        Geometries.fill(pen, place.getFactory()
                .createGeometryCollection(new Geometry[] {now.plan.survey().zones().outline(), place}));
        pen.setStroke(Token.CHALK.colour());
        pen.setLineWidth(1.4 / scale);
        Geometries.stroke(pen, place);
    }
}
