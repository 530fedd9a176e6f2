package mosspebble.app.repertoire;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
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
import mosspebble.core.advice.Proposals;
import mosspebble.core.area.Grid;
import mosspebble.core.colour.Mix;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Tracing;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.Support;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.files.FileTrouble;
import mosspebble.files.Journal;
import mosspebble.files.OwnFiles;

/** A subject painted on a small round stone with what is on the shelf: planned and drawn as on the cloth. */
final class Sample extends StackPane {

    static final double WIDE = 104;
    static final double HIGH = 84;
    private static final double LONG_MM = 72;
    private static final double PIXELS_PER_MM = 96 / LONG_MM;
    /** Round a stone on its picture, mm. */
    private static final double ROUND_MM = 6;

    private static final Stone PALE = Stone.cobble().withShape(new Shape.Grown(Form.OVAL, 0.9, 0.1))
            .withSize(new Millimetres(LONG_MM), new Millimetres(60), new Millimetres(22)).withDome(1, 4)
            .withSkin(Skin.of(RockKind.GRANITE, Texture.SMOOTH, Srgb.ofHex("#b4b0a6")));
    private static final Stone DARK = PALE.withSkin(PALE.skin().withColour(Srgb.ofHex("#5a5e5b")));

    /**
     * As worked out.
     *
     * @param guides drawn in pencil; none where the subject is painted
     */
    private record Painted(Results.Lit lit, double pixelsPerMm, List<PlacedPart> guides) {

        /** With all its steps, dry, by daylight. */
        static Painted of(PaintPlan plan, PlanWorker d, double pixelsPerMm, double outputScale, List<PlacedPart> guides) {
            StonePicture picture = d.picture(plan, pixelsPerMm * outputScale, StoneState.DRY);
            double light = plan.project().habits().light().from();
            return new Painted(d.lit(Results.Moment.after(picture.steps(), picture, light)), pixelsPerMm, guides);
        }
    }

    private final Runnable ask;
    private boolean asked;

    /**
     * @param outputScale pixels of the screen per pixel of the interface
     * @param wanted whether anybody still looks at it; from any thread
     */
    Sample(Subject subject, Studio studio, PlanWorker desk, double outputScale, BooleanSupplier wanted) {
        this(d -> painted(subject, studio, d, outputScale), desk, wanted);
    }

    /** The same for a tracing that was kept, on the stone it was taken from. */
    Sample(OwnFile kept, Studio studio, PlanWorker desk, double outputScale, BooleanSupplier wanted) {
        this(d -> traced(kept, studio, d, outputScale), desk, wanted);
    }

    private Sample(Function<PlanWorker, Painted> painting, PlanWorker desk, BooleanSupplier wanted) {
        setMinSize(WIDE, HIGH);
        setMaxSize(WIDE, HIGH);
        setMouseTransparent(true);
        ask = () -> desk.askLater(new PlanWorker.Line(),
                d -> wanted.getAsBoolean() ? Optional.ofNullable(painting.apply(d)) : Optional.<Painted>empty(),
                done -> done.ifPresentOrElse(this::show, () -> asked = false));
    }

    /** Has it painted, the first time it is seen. */
    void seen() {
        if (!asked) {
            asked = true;
            ask.run();
        }
    }

    private static Painted painted(Subject subject, Studio studio, PlanWorker d, double outputScale) {
        Support bed = Support.of(d.survey(PALE));
        boolean wears = subject instanceof Subject.Dots || subject instanceof Subject.Guide guide && guide.kind().wholeStone()
                || Designs.motif(subject, d.repertoire(studio)).filter(m -> m.prefersWearing()).isPresent();
        Item item = Item.of(subject, wears ? ItemMode.WEARING : ItemMode.ON_STONE,
                new Placement(0, 0, 0, subject instanceof Subject.Guide guide ? guide.mm() : 10), 1);
        Optional<Placement> fit = wears || subject instanceof Subject.Guide ? Optional.of(item.placement())
                : Designs.fit(item, d.repertoire(studio), bed);
        Optional<Sketch> sketch = fit.map(p -> new Sketch(List.of(item.withPlacement(p))));
        Optional<PlacedDesign> design = sketch.flatMap(s -> Designs.place(s, d.repertoire(studio), bed));
        Stone stone = design.filter(Sample::isPale).isPresent() ? DARK : PALE;
        Project project = Project.begin("sample", "Sample", stone).withSketch(sketch);
        Optional<Motif> motif = Designs.motif(subject, d.repertoire(studio));
        Map<String, Mix> colours = motif.map(m -> Proposals.nearest(m, item, d.palette(studio.shelf()))).orElse(Map.of());
        PaintPlan plan = d.planAside(project.withColours(colours), studio);
        return Painted.of(plan, d, PIXELS_PER_MM, outputScale,
                design.map(p -> p.parts().stream().filter(part -> part.part().role() == Role.GUIDE).toList()).orElse(List.of()));
    }

    /** Nothing where it cannot be read any more; choosing it says why. */
    private static Painted traced(OwnFile kept, Studio studio, PlanWorker d, double outputScale) {
        Tracing tracing;
        try {
            tracing = OwnFiles.tracing(kept);
        } catch (FileTrouble e) {
            Journal.trouble("drawing a tracing", e);
            return null;
        }
        Stone stone = tracing.stone();
        PaintPlan plan = d.planAside(tracing.laidOn(Project.begin("sample", kept.title(), stone).withViewpoint(tracing.viewpoint()),
                d.repertoire(studio)).project(), studio);
        StoneOutline outline = plan.survey().dome().outline();
        double perMm = Math.min(WIDE / (outline.halfWidth() + ROUND_MM), HIGH / (outline.halfHeight() + ROUND_MM)) / 2;
        return Painted.of(plan, d, perMm, outputScale, List.of());
    }

    private void show(Painted painted) {
        ImageView image = new ImageView(StoneImage.still(painted.lit));
        Grid grid = painted.lit.moment().of().terrain().grid();
        image.setFitWidth(grid.columns() * grid.cellMm() * painted.pixelsPerMm);
        image.setFitHeight(grid.rows() * grid.cellMm() * painted.pixelsPerMm);
        getChildren().setAll(image);
        if (!painted.guides.isEmpty()) {
            Canvas canvas = new Canvas(WIDE, HIGH);
            GraphicsContext pen = canvas.getGraphicsContext2D();
            pen.setTransform(new Affine(PIXELS_PER_MM, 0, WIDE / 2, 0, PIXELS_PER_MM, HIGH / 2));
            pen.setStroke(Token.GRAPHITE.colour());
            pen.setLineWidth(0.5);
            painted.guides.forEach(part -> Geometries.stroke(pen, part.drawn()));
            getChildren().add(canvas);
        }
    }

    /** Whether most of what is painted is pale and wants a dark stone. */
    private static boolean isPale(PlacedDesign design) {
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
