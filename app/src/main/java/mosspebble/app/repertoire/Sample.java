package mosspebble.app.repertoire;

import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.StackPane;
import javafx.scene.transform.Affine;
import mosspebble.app.cloth.Geometries;
import mosspebble.app.control.Swatch;
import mosspebble.app.control.Token;
import mosspebble.app.model.PlanWorker;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.Support;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;

/** A subject as it comes out on a small round stone, in the colours it would like to have. */
public final class Sample extends StackPane {

    static final double WIDE = 104;
    static final double HIGH = 84;
    private static final double ROOM = 60;

    private static final Stone PEBBLE = Stone.cobble().withShape(new Shape.Grown(Form.OVAL, 0.9, 0.1))
            .withSize(new Millimetres(72), new Millimetres(60), new Millimetres(22)).withDome(1, 4);

    private final Canvas canvas = new Canvas(WIDE, HIGH);

    Sample(Subject subject, Studio studio, PlanWorker desk) {
        getChildren().add(canvas);
        setMouseTransparent(true);
        desk.askLater(new PlanWorker.Line(), d -> drawn(subject, studio, d), design -> design.ifPresent(this::draw));
    }

    private static Optional<PlacedDesign> drawn(Subject subject, Studio studio, PlanWorker d) {
        Support bed = Support.of(d.survey(PEBBLE));
        boolean wears = subject instanceof Subject.Dots || subject instanceof Subject.Guide guide && guide.kind().wholeStone()
                || Designs.motif(subject, d.repertoire(studio)).filter(m -> m.prefersWearing()).isPresent();
        Item item = Item.of(subject, wears ? ItemMode.WEARING : ItemMode.ON_STONE,
                new Placement(0, 0, 0, subject instanceof Subject.Guide guide ? guide.mm() : 10), 1);
        Optional<Placement> fit = wears || subject instanceof Subject.Guide ? Optional.of(item.placement())
                : Designs.fit(item, d.repertoire(studio), bed);
        return fit.flatMap(p -> Designs.place(new Sketch(List.of(item.withPlacement(p))), d.repertoire(studio), bed));
    }

    private void draw(PlacedDesign design) {
        GraphicsContext pen = canvas.getGraphicsContext2D();
        boolean guide = design.parts().stream().allMatch(p -> p.part().role() == Role.GUIDE);
        boolean light = light(design);
        pen.setFill(Token.SHADOW.colour(false, 0.14));
        pen.fillOval(WIDE / 2 - ROOM * 0.8 + 2, HIGH / 2 - ROOM * 0.66 + 4, ROOM * 1.6, ROOM * 1.33);
        pen.setFill((guide ? Token.SAMPLE_GUIDE : light ? Token.SAMPLE_DARK : Token.SAMPLE_PALE).colour());
        pen.fillOval(WIDE / 2 - ROOM * 0.8, HIGH / 2 - ROOM * 0.66, ROOM * 1.6, ROOM * 1.33);
        double scale = ROOM * 1.6 / 72;
        pen.setTransform(new Affine(scale, 0, WIDE / 2, 0, scale, HIGH / 2));
        for (PlacedPart part : design.parts()) {
            Srgb wish = design.slots().stream().filter(s -> s.id().equals(part.part().slot())).findFirst().map(Slot::wish)
                    .orElse(Srgb.ofHex("#4e4f52"));
            if (part.part().role() == Role.GUIDE) {
                pen.setStroke(Token.GRAPHITE.colour());
                pen.setLineWidth(0.5);
                Geometries.stroke(pen, part.drawn());
                continue;
            }
            pen.setFill(Swatch.colour(wish));
            Geometries.fill(pen, part.painted());
            if (part.part().outlined()) {
                pen.setStroke(Token.UNDER_CHALK.colour(false, 0.7));
                pen.setLineWidth(0.45);
                Geometries.stroke(pen, part.drawn());
            }
        }
        pen.setTransform(new Affine());
    }

    /** Whether most of what is drawn is pale and wants a dark stone. */
    private static boolean light(PlacedDesign design) {
        double area = 0;
        double sum = 0;
        for (PlacedPart part : design.parts()) {
            Optional<Slot> slot = design.slots().stream().filter(s -> s.id().equals(part.part().slot())).findFirst();
            if (slot.isPresent()) {
                Srgb c = slot.get().wish();
                area += part.painted().getArea();
                sum += part.painted().getArea() * (0.3 * c.red() + 0.6 * c.green() + 0.1 * c.blue());
            }
        }
        return area > 0 && sum / area > 150;
    }
}
