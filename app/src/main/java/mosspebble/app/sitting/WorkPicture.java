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
import mosspebble.core.colour.Lamp;
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
    private record Moment(PaintPlan plan, int steps, int coats, Step step, boolean lit) {}

    private record Key(PaintPlan plan, double scale) {}

    private record Drawn(StonePicture of, int[] pixels) {}

    private final PlanWorker desk;
    private final Results results;
    private final PlanWorker.Line drafting = new PlanWorker.Line();
    private final PlanWorker.Line drawing = new PlanWorker.Line();
    private final Map<Key, StonePicture> kept = new LinkedHashMap<>(8, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, StonePicture> eldest) {
            return size() > MOST_KEPT;
        }
    };
    private final ImageView image = new ImageView();
    private final Canvas light = new Canvas();
    private Moment moment;

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
        Step step = plan.steps().get(number);
        PaintPlan seen = step.side() == Side.EDGE || step.side() == plan.up().side() ? plan : plan.turnedOver();
        Moment next = new Moment(seen, part > 0 ? number + 1 : number, part, step, lit);
        if (moment == null || moment.plan.steps() != seen.steps() || moment.steps != next.steps || moment.coats != next.coats
                || moment.lit != lit) {
            moment = next;
            draw();
        }
    }

    private double scale() {
        double w = 2 * moment.plan.survey().dome().outline().halfWidth() + 12;
        double h = 2 * moment.plan.survey().dome().outline().halfHeight() + 12;
        return Math.max(0.5, Math.min(9, Math.min(getWidth() / w, getHeight() / h)));
    }

    private void draw() {
        if (moment == null || getWidth() < 50 || getHeight() < 50) {
            return;
        }
        Moment now = moment;
        double scale = scale();
        double output = getScene() == null || getScene().getWindow() == null ? 1 : getScene().getWindow().getOutputScaleX();
        Results.Thumb thumb = results.thumbs().get(now.plan.project().id());
        Key key = new Key(now.plan, scale * output);
        StonePicture known = kept.get(key);
        if (known == null && thumb != null && thumb.plan().steps() == now.plan.steps()
                && thumb.plan().up().side() == now.plan.up().side()) {
            StonePicture small = thumb.picture();
            desk.ask(drafting, d -> new Drawn(small, pixels(small, now)), drawn -> put(drawn, scale, now));
        }
        desk.ask(drawing, d -> {
            StonePicture sharp = known != null ? known
                    : d.picture(now.plan, Grid.around(now.plan.survey().dome().outline().halfWidth() + 6,
                            now.plan.survey().dome().outline().halfHeight() + 6, 1 / key.scale), StoneState.DRY, Lamp.DAYLIGHT);
            return new Drawn(sharp, pixels(sharp, now));
        }, drawn -> {
            kept.put(key, drawn.of);
            put(drawn, scale, now);
        });
    }

    private static int[] pixels(StonePicture picture, Moment now) {
        int[] pixels = new int[picture.terrain().grid().cells()];
        picture.draw(new StonePicture.Shown(now.steps, now.coats, now.plan.project().habits().light().from(), Care.FULL), () -> false,
                pixels);
        return pixels;
    }

    private void put(Drawn drawn, double scale, Moment now) {
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
        pen.setFill(Token.UNDER_CHALK.colour(false, DIM));
        Geometries.fill(pen, place.getFactory()
                .createGeometryCollection(new Geometry[] {now.plan.survey().zones().outline(), place}));
        pen.setStroke(Token.CHALK.colour());
        pen.setLineWidth(1.4 / scale);
        Geometries.stroke(pen, place);
    }
}
