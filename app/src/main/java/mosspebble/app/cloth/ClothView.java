package mosspebble.app.cloth;

import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Scene;
import javafx.scene.CacheHint;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.paint.ImagePattern;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.TextAlignment;
import javafx.scene.transform.Affine;
import javafx.stage.Window;
import javafx.util.Duration;
import mosspebble.app.control.TrueSize;
import mosspebble.app.control.TextSize;
import mosspebble.app.control.Token;
import mosspebble.app.control.Token.Theme;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.area.Grid;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.Shadow;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.stone.Eye;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * The stone on the cloth at a stated multiple of its true size: hem ticks, measures, guides, the design under the hand, and the line of the
 * slice. Gestures and keys are told to the
 * workbench; what is drawn comes from the plan.
 */
public final class ClothView extends Region {

    private final Workbench workbench;
    private final Results show;
    private final SliceLine slice;
    private final Map<Stage, ClothTool> tools;
    private final Canvas linen = new Canvas();
    private final ImageView shadow = new ImageView();
    /** The draft, and over it the picture with full care, or as much of it as is looked at. */
    private final ImageView draft = new ImageView();
    private final ImageView stone = new ImageView();
    private final Hem hem = new Hem();
    private final Pane still = new Pane(linen, shadow, draft, stone, hem);
    private final Canvas overlay = new Canvas();
    /** What the overlay shows while something is carried over it; null while nothing is. */
    private Object overlayShows;
    private final CarriedCanvas carried = new CarriedCanvas();
    private Object linenShows;
    private Color linenTone;
    private final Color firstTone;
    private CompletableFuture<int[]> weaving;
    private ImagePattern woven;
    private Stone outlineOf;
    private StoneOutline outline;
    private StoneImage draftImage;
    private StoneImage fullImage;
    private Results.Moment asked;
    private Results.Moment drafted;
    private Grid shadowGrid;
    /** Pixels a mm, with the whole stone on the cloth and as it is looked at now. */
    private double fit = 1;
    private double scale = 1;
    /** Pixels of the screen in one of the window. */
    private double device = 1;
    private final CloseLook near = new CloseLook();
    /** Place of the stone that the hand holds, mm; null for none. */
    private Point2D heldAt;
    private final PauseTransition rest = new PauseTransition(Duration.millis(200));
    private boolean hover;
    private Point2D handAt = Point2D.ZERO;
    /** Whether the bare stone lies drawn already below what is dragged. */
    private boolean bareUnderHand;

    /** Head of a pin, px. */
    private static final double PIN = 16;

    /** What is shown of a picture that is not of now. */
    private static final double VEILED = 0.55;

    private Optional<Coordinate> pinned = Optional.empty();

    private ObservableValue<Number> screenScale;

    /** @param tools what each stage does on the cloth */
    public ClothView(Workbench workbench, Results show, SliceLine slice, Map<Stage, ClothTool> tools) {
        this.workbench = workbench;
        this.show = show;
        this.slice = slice;
        this.tools = new EnumMap<>(tools);
        firstTone = Token.LINEN.colour(theme());
        weaving = CompletableFuture.supplyAsync(() -> Linen.woven(firstTone)); // while the rest of the window is put together
        setId("cloth");
        followScreen();
        getStyleClass().add("cloth");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        stone.setSmooth(true);
        // what lies still is kept as one picture, so that a frame under the hand costs the overlay only
        still.setMouseTransparent(true);
        still.setClip(edge()); // looked at closely the stone reaches far beyond the cloth; what is kept does not
        still.setCache(true);
        still.setCacheHint(CacheHint.SPEED);
        linen.setId("cloth-linen");
        draft.setId("cloth-draft");
        stone.setId("cloth-stone");
        getChildren().addAll(still, overlay, carried);
        overlay.setMouseTransparent(true);
        overlay.setId("cloth-overlay");
        for (ObservableValue<?> cause : new ObservableValue<?>[] {show.planProperty(), workbench.stageProperty(), workbench.shownProperty(),
            slice, workbench.itemProperty(), focusVisibleProperty(), focusedProperty(), workbench.studioProperty()}) {
            cause.addListener((o, a, b) -> redrawOverlay());
        }
        for (ClothTool tool : new LinkedHashSet<>(tools.values())) {
            tool.causes().forEach(cause -> cause.addListener((o, a, b) -> redrawOverlay()));
            tool.views().forEach(cause -> cause.addListener((o, a, b) -> redrawStone()));
        }
        show.seenProperty().addListener((o, a, b) -> drawSeen(b));
        show.shadowProperty().addListener((o, a, b) -> throwShadow(b));
        show.pictureProperty().addListener((o, a, b) -> redrawStone());
        show.beforeProperty().addListener((o, a, b) -> redrawStone());
        show.litProperty().addListener((o, a, b) -> drawLit(b));
        show.draftOfPartProperty().addListener((o, a, b) -> drawPart(b));
        workbench.stepProperty().addListener((o, a, b) -> redrawStone());
        workbench.coatProperty().addListener((o, a, b) -> redrawStone());
        workbench.seenByProperty().addListener((o, a, b) -> {
            redrawStone();
            drawLinen();
        });
        workbench.heldProperty().addListener((o, a, b) -> {
            redrawStone();
            redrawOverlay();
        });
        workbench.shownProperty().addListener((o, a, b) -> {
            if (!(tool().dragging() && bareUnderHand)) {
                redrawStone();
            }
            if (a == null || b == null || !a.stone().equals(b.stone())) {
                requestLayout();
            }
            if (b != null && (a == null || !a.id().equals(b.id()))) {
                whole();
                crossStone(b);
            }
        });
        workbench.shown().ifPresent(this::crossStone);
        workbench.studioProperty().addListener((o, a, b) -> {
            if (!a.view().equals(b.view())) {
                requestLayout();
            }
        });
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
        addEventHandler(MouseEvent.MOUSE_RELEASED, this::release);
        addEventHandler(MouseEvent.MOUSE_MOVED, this::move);
        addEventHandler(MouseEvent.MOUSE_EXITED, e -> {
            hover = false;
            slice.pointAway();
            redrawOverlay();
        });
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        setOnScroll(e -> {
            if (e.isControlDown() && e.getDeltaY() != 0) {
                zoom(e.getDeltaY() > 0 ? 1.25 : 1 / 1.25, e.getX(), e.getY());
                e.consume();
            } else {
                tool().wheel(e);
            }
        });
        rest.setOnFinished(e -> requestLayout());
        setOnZoom(e -> zoom(e.getZoomFactor(), e.getX(), e.getY()));
        setClip(edge());
    }

    private Rectangle edge() {
        Rectangle edge = new Rectangle();
        edge.widthProperty().bind(widthProperty());
        edge.heightProperty().bind(heightProperty());
        return edge;
    }

    private ClothTool tool() {
        return tools.get(workbench.stageProperty().get());
    }

    private boolean seen() {
        return tool().seen();
    }

    private ClothFrame frame() {
        return new ClothFrame(scale, middleX(), middleY());
    }

    private void drawSeen(Results.Seen picture) {
        if (picture != null && seen() && fullImage != null && fullImage.fits(picture.from().terrain().grid())) {
            fullImage.draw(picture.pixels());
        }
    }

    /** On another screen, with other pixels, it is drawn for those. */
    private void followScreen() {
        screenScale = sceneProperty().flatMap(Scene::windowProperty).flatMap(Window::renderScaleXProperty);
        screenScale.addListener((o, a, b) -> requestLayout());
    }

    // --- layout

    @Override
    protected void layoutChildren() {
        double w = getWidth();
        double h = getHeight();
        if (w < 1 || h < 1) {
            return;
        }
        if (seen()) {
            near.whole();
        }
        linen.setWidth(w);
        linen.setHeight(h);
        overlay.setWidth(w);
        overlay.setHeight(h);
        workbench.shown().ifPresent(project -> {
            StoneOutline outline = outline(project);
            double larger = tool().showsMeasures() ? 60 * (TextSize.of(workbench.studio()) - 1) : 0; // measures over the hem's words
            double room = Math.min((w - 2 * Hem.WIDE - 84 - larger) / (2 * outline.halfWidth()),
                    (h - 2 * Hem.WIDE - 66 - larger) / (2 * outline.halfHeight()));
            fit = Math.max(0.3, Math.min(9, Math.floor(room * 20) / 20));
            if (near.isTrueSize()) {
                near.trueSize(pixelsPerMm() / fit);
            }
            scale = fit * near.times();
            device = getScene() == null || getScene().getWindow() == null ? 1 : getScene().getWindow().getRenderScaleX();
            double output = Math.min(device, Math.sqrt(PlanWorker.MOST_PIXELS / (w * h)));
            if (!workbench.isDrafting() && !(heldAt != null && rest.getStatus() == Animation.Status.RUNNING)) {
                show.pixelsPerMmProperty().set(fit * output);
                show.closeProperty().set(near.part(frame(), w, h, outline, 1 / (scale * output)).orElse(null));
            }
        });
        hideBehindStone();
        drawLinen();
        placeStone();
        redrawOverlay();
    }

    /** The slice begins from rim to rim a little below the middle, where it hides least. */
    private void crossStone(Project project) {
        StoneOutline outline = outline(project);
        double y = 0.12 * outline.halfHeight();
        slice.set(-0.94 * outline.halfWidth(), y, 0.94 * outline.halfWidth(), y);
    }

    private StoneOutline outline(Project project) {
        if (project.stone() != outlineOf && !project.stone().equals(outlineOf)) {
            outlineOf = project.stone();
            outline = StoneOutline.of(project.stone());
        }
        return outline;
    }

    private double middleX() {
        return whole(Hem.WIDE / 2 + getWidth() / 2 - near.x() * scale);
    }

    private double middleY() {
        return whole(Hem.WIDE / 2 + getHeight() / 2 - near.y() * scale);
    }

    /** A place on a pixel of the screen: a picture between two pixels is blurred, and takes longer to be laid there. */
    private double whole(double at) {
        return Math.round(at * device) / device;
    }

    /** Looks closer, or from farther away; what lies at a place of the cloth stays there. */
    private void zoom(double by, double x, double y) {
        double atX = frame().toX(x);
        double atY = frame().toY(y);
        if (!seen() && workbench.shown().isPresent() && near.by(by)) {
            scale = fit * near.times();
            look(atX - (x - Hem.WIDE / 2 - getWidth() / 2) / scale, atY - (y - Hem.WIDE / 2 - getHeight() / 2) / scale);
        }
    }

    private void look(double x, double y) {
        near.at(x, y, outline(workbench.shown().orElseThrow()));
        requestLayout();
    }

    /** Looks closer at what lies in the middle of the cloth. */
    public void closer() {
        zoom(1.5, Hem.WIDE / 2 + getWidth() / 2, Hem.WIDE / 2 + getHeight() / 2);
    }

    public void farther() {
        zoom(1 / 1.5, Hem.WIDE / 2 + getWidth() / 2, Hem.WIDE / 2 + getHeight() / 2);
    }

    /** Shows the whole stone. */
    public void whole() {
        near.whole();
        requestLayout();
    }

    /** Shows the stone as large as it is, and keeps it so however the window changes. */
    public void trueSize() {
        if (!seen() && workbench.shown().isPresent()) {
            near.trueSize(pixelsPerMm() / fit);
            requestLayout();
            if (workbench.studio().view().comfort().cardPx() == 0) {
                workbench.tell("How large a millimetre is was taken from the screen. Lay a card on it once: Eyes and hands.");
            }
        }
    }

    private double pixelsPerMm() {
        return TrueSize.pixelsPerMm(workbench.studio().view().comfort());
    }

    /** Pixels of the window a mm, as it is looked at now. */
    public double scale() {
        return scale;
    }

    /** So many times as large as it is the stone is shown. */
    public double timesTrue() {
        return scale / pixelsPerMm();
    }

    private void place(ImageView view, StoneImage image) {
        if (image != null) {
            Grid grid = image.grid();
            double size = grid.cellMm() * scale;
            view.setFitWidth(grid.columns() * size);
            view.setFitHeight(grid.rows() * size);
            view.relocate(onPixel(middleX() + grid.left() * scale), onPixel(middleY() + grid.top() * scale));
        }
    }

    /** A place on a pixel of the screen but for rounding, on it: the least crumb of a pixel has the whole picture filtered. */
    private double onPixel(double at) {
        return Math.abs(whole(at) - at) < 1e-6 ? whole(at) : at;
    }

    private void placeStone() {
        place(draft, draftImage);
        place(stone, fullImage);
        Grid part = show.closeProperty().get();
        if (!seen() && part != null && fullImage != null && (!fullImage.fits(part) || heldAt != null)) {
            boolean all = stone.isVisible() && stone.getBoundsInParent().contains(linen.getBoundsInParent());
            draft.setVisible(draftImage != null && !all); // what comes into sight beside the sharp part
        }
        if (shadowGrid == null) {
            return;
        }
        double cell = shadowGrid.cellMm() * scale;
        double left = middleX() + shadowGrid.left() * scale;
        double top = shadowGrid.top() * scale;
        shadow.setFitWidth(shadowGrid.columns() * cell);
        if (seen()) { // on the table below the stone, as deep as the view is steep
            Eye eye = workbench.shown().orElseThrow().viewpoint().eye();
            double steep = Math.max(0.35, eye.z() / Math.hypot(eye.y(), eye.z()));
            shadow.setFitHeight(shadowGrid.rows() * cell * steep);
            shadow.relocate(left, middleY() + top * steep + 70 * (1 - steep));
            return;
        }
        shadow.setFitHeight(shadowGrid.rows() * cell);
        shadow.relocate(left, middleY() + top);
    }

    /** What cannot be seen for the stone is not drawn: it takes longer than the stone itself. */
    private void hideBehindStone() {
        boolean covered = !seen() && !near.isWhole() && stone.isVisible() && show.plan() != null
                && workbench.shown().filter(p -> p.stone().equals(show.plan().project().stone())).isPresent()
                && isAllStone(show.plan().survey().zones().outline());
        linen.setVisible(!covered);
        shadow.setOpacity(covered ? 0 : 1);
    }

    /** Whether nothing but stone is in sight. */
    private boolean isAllStone(Geometry outline) {
        Envelope sight = new Envelope(frame().toX(0), frame().toX(getWidth()), frame().toY(0), frame().toY(getHeight()));
        return outline.covers(outline.getFactory().toGeometry(sight));
    }

    private void redrawStone() {
        StonePicture picture = show.pictureProperty().get();
        boolean present = picture != null && workbench.shown().isPresent();
        shadow.setVisible(present);
        if (!present) {
            asked = null; // what comes next is drawn, even if it is what lay there before
            drafted = null;
            stone.setVisible(false);
            draft.setVisible(drawBefore());
            return;
        }
        draft.setOpacity(1);
        int steps = Math.min(workbench.stepProperty().get(), picture.steps());
        if (seen()) {
            asked = null;
            drafted = null;
            fullImage = lie(stone, fullImage, picture.terrain().grid());
            stone.setVisible(true);
            draft.setVisible(false);
            show.askSeen(workbench.shown().orElseThrow().viewpoint());
            placeStone();
            return;
        }
        bareUnderHand = tool().dragging();
        double light = workbench.shown().map(p -> p.habits().light().from()).orElse(320.0);
        int held = tool().showsPainting() ? workbench.heldProperty().get() : -1;
        StonePicture quick = show.draftProperty().get() == null ? picture : show.draftProperty().get();
        Results.Moment moment = new Results.Moment(picture, bareUnderHand ? 0 : steps, bareUnderHand ? 0 : workbench.coatProperty().get(),
                light, held < 0 ? -1 : Math.min(held, picture.steps()), workbench.seenByProperty().get());
        if (moment.equals(asked)) {
            placeStone();
            return; // it lies there, or will soon
        }
        asked = moment;
        Results.Moment soon = moment.of(quick);
        draft.setVisible(true);
        if (!soon.equals(drafted)) {
            drafted = soon;
            draftImage = lie(draft, draftImage, quick.terrain().grid());
            draftImage.draw(soon.draw(Care.QUICK, () -> false));
            stone.setVisible(false); // else only its place has changed, and what is sharp of it stays
        }
        if (quick != picture) {
            show.askLit(moment);
        }
        placeStone();
    }

    /** The bare stone as it was drawn last time, veiled, until it is worked out anew; whether there is such a picture. */
    private boolean drawBefore() {
        Results.Bare before = show.beforeProperty().get();
        boolean bare = workbench.stepProperty().get() == 0 && workbench.shown().filter(p -> before != null
                && p.stone().equals(before.of().stone()) && p.habits().light().equals(before.of().habits().light())).isPresent();
        if (!bare || seen()) {
            return false;
        }
        draftImage = lie(draft, draftImage, before.grid());
        draftImage.draw(before.pixels());
        draft.setOpacity(VEILED);
        placeStone();
        return true;
    }

    /** Lays an image of a grid on the cloth: the one given, if it fits. */
    private static StoneImage lie(ImageView view, StoneImage before, Grid grid) {
        StoneImage image = before != null && before.fits(grid) ? before : new StoneImage(grid);
        view.setImage(image.image());
        return image;
    }

    private void drawLit(Results.Lit lit) {
        if (lit != null && !seen() && lit.moment().equals(asked)) {
            fullImage = lie(stone, fullImage, lit.moment().of().terrain().grid());
            fullImage.draw(lit.pixels());
            stone.setVisible(true);
            draft.setVisible(false);
            placeStone();
        }
    }

    /** Lays the draft of what is looked at closely over what was drawn from farther away. */
    private void drawPart(StonePicture part) {
        if (part != null && asked != null && !seen() && !near.isWhole()) {
            fullImage = lie(stone, fullImage, part.terrain().grid());
            fullImage.draw(asked.of(part).draw(Care.QUICK, () -> false));
            stone.setVisible(true);
            placeStone();
        }
    }

    private void throwShadow(Shadow thrown) {
        shadowGrid = thrown == null ? null : thrown.grid();
        if (thrown == null) {
            shadow.setImage(null);
            return;
        }
        StoneImage image = new StoneImage(shadowGrid);
        image.draw(thrown.pixels());
        shadow.setImage(image.image());
        placeStone();
    }

    // --- linen

    private Theme theme() {
        return Theme.of(workbench.studio());
    }

    private Color ink() {
        return Token.INK.colour(theme());
    }

    /** Draws linen and hem again if anything they show has changed. */
    private void drawLinen() {
        double w = linen.getWidth();
        double h = linen.getHeight();
        Color tone = Token.LINEN.colour(theme());
        if (!tone.equals(linenTone)) { // woven once a theme, not once a frame
            linenTone = tone;
            woven = Linen.of(weaving != null && tone.equals(firstTone) ? weaving.join() : Linen.woven(tone));
            weaving = null; // a picture by now
        }
        hem.draw(workbench.studio(), woven, w, h, frame(), workbench.shown().isPresent() ? howLarge() : "", !near.isWhole());
        Object shows = List.of(w, h, woven);
        if (linen.isVisible() && !shows.equals(linenShows)) {
            linenShows = shows;
            GraphicsContext pen = linen.getGraphicsContext2D();
            pen.setFill(woven);
            pen.fillRect(0, 0, w, h);
        }
    }

    private String howLarge() {
        String times = Math.abs(timesTrue() - 1) < 5e-4 ? "as large as it is" : "at " + Numbers.text(timesTrue(), 1) + " × true size";
        String by = workbench.seenByProperty().get().words();
        return "shown " + times + ", hem in " + workbench.studio().unit().symbol() + (by.isEmpty() ? "" : ", " + by);
    }

    // --- overlay

    private void redrawOverlay() {
        PaintPlan plan = show.plan();
        Optional<Project> project = workbench.shown();
        PaintPlan own = project.filter(p -> plan != null && plan.project().id().equals(p.id())).map(p -> plan).orElse(null);
        Optional<Carried> thing = Optional.ofNullable(own).flatMap(p -> tool().carried(frame(), p));
        carried.show(thing, device);
        Object shows = thing
                .map(t -> List.of(t.of(), frame(), getWidth(), getHeight(), workbench.studio().view(), pinned, isFocusVisible()))
                .orElse(null);
        if (shows != null && shows.equals(overlayShows)) {
            return; // only what is carried has moved
        }
        overlayShows = shows;
        GraphicsContext pen = overlay.getGraphicsContext2D();
        pen.setTransform(new Affine());
        pen.clearRect(0, 0, overlay.getWidth(), overlay.getHeight());
        setAccessibleText(
                project.map(p -> "Stone " + p.name() + ", " + measure(p, Stone.Measure.LENGTH) + " long")
                        .orElse("Empty cloth"));
        if (project.isEmpty()) {
            return;
        }
        double[] cut = slice.get();
        double middle = frame().toPixels((cut[0] + cut[2]) / 2, 0).getX();
        double half = scale * Math.hypot(cut[2] - cut[0], cut[3] - cut[1]) / 2;
        slice.seen(middle - half, middle + half);
        if (own != null && tool().showsFace()) {
            frame().inMm(pen);
            zones(pen, own);
            pen.setTransform(new Affine());
        }
        if (tool().showsMeasures()) {
            measures(pen, project.get());
        }
        tool().draw(pen, frame(), own, hover || isFocused());
        if (own != null) {
            pinned.ifPresent(at -> pin(pen, frame().toPixels(at.x, at.y)));
        }
        if (isFocusVisible()) {
            pen.setStroke(Token.MOSS.colour(theme()));
            pen.setLineWidth(2);
            pen.strokeRect(1, 1, getWidth() - 2, getHeight() - 2);
        }
    }

    /** Sticks a pin where something is to be minded; empty for nowhere. */
    public void pin(Optional<Coordinate> at) {
        pinned = at;
        redrawOverlay();
    }

    /** Where the pin sticks, for tests. */
    public Optional<Coordinate> pinned() {
        return pinned;
    }

    /** A pin with a round head, its point on the place. */
    private static void pin(GraphicsContext pen, Point2D at) {
        double x = at.getX() + PIN * 0.55;
        double y = at.getY() - PIN * 1.5;
        pen.setLineWidth(4);
        pen.setStroke(Token.UNDER_CHALK.colour(0.55));
        pen.strokeLine(at.getX(), at.getY(), x, y);
        pen.setLineWidth(2);
        pen.setStroke(Token.CHALK.colour());
        pen.strokeLine(at.getX(), at.getY(), x, y);
        pen.setFill(Token.UNDER_CHALK.colour(0.55));
        pen.fillOval(x - PIN / 2 - 2, y - PIN / 2 - 2, PIN + 4, PIN + 4);
        pen.setFill(Token.CHALK.colour());
        pen.fillOval(x - PIN / 2, y - PIN / 2, PIN, PIN);
        pen.setFill(Token.MEND.colour());
        pen.fillOval(x - PIN / 2 + 2, y - PIN / 2 + 2, PIN - 4, PIN - 4);
    }

    private void zones(GraphicsContext pen, PaintPlan plan) {
        pen.setLineWidth(2.6 / scale);
        pen.setLineDashes(7 / scale, 5 / scale);
        pen.setStroke(Token.UNDER_CHALK.colour(0.45));
        Geometries.stroke(pen, plan.survey().zones().face());
        pen.setLineWidth(1.3 / scale);
        pen.setStroke(Token.CHALK.colour(0.95));
        Geometries.stroke(pen, plan.survey().zones().face());
        pen.setLineDashes();
    }

    private void measures(GraphicsContext pen, Project project) {
        StoneOutline outline = outline(project);
        LengthUnit unit = workbench.studio().unit();
        boolean upright = Math.abs(Math.sin(Math.toRadians(project.stone().wayUp()))) > 0.7;
        double rx = outline.halfWidth() * scale;
        double ry = outline.halfHeight() * scale;
        pen.setStroke(ink());
        pen.setFill(ink());
        pen.setLineWidth(1);
        pen.setFont(TextSize.font(workbench.studio(), 14));
        boolean square = project.stone().wayUp() % 90 == 0;
        Stone.Measure across = upright ? Stone.Measure.WIDTH : Stone.Measure.LENGTH;
        Stone.Measure down = upright ? Stone.Measure.LENGTH : Stone.Measure.WIDTH;
        double y = middleY() + ry + 16;
        dashed(pen, project, across, square);
        dimension(pen, middleX() - rx, y, middleX() + rx, y);
        pen.setTextAlign(TextAlignment.CENTER);
        pen.fillText(square ? measure(project, across) : LengthText.format(new Millimetres(2 * outline.halfWidth()), unit), middleX(),
                y + 17);
        double x = middleX() - rx - 16;
        dashed(pen, project, down, square);
        dimension(pen, x, middleY() - ry, x, middleY() + ry);
        pen.setLineDashes();
        pen.save();
        pen.translate(x - 6, middleY());
        pen.rotate(-90);
        pen.fillText(square ? measure(project, down) : LengthText.format(new Millimetres(2 * outline.halfHeight()), unit), 0, 0);
        pen.restore();
        pen.setTextAlign(TextAlignment.LEFT);
    }

    /** How large it is, and that it is a stand-in's size where nobody has measured. */
    private String measure(Project project, Stone.Measure measure) {
        String size = LengthText.format(project.stone().size().of(measure), workbench.studio().unit());
        return project.unmeasured().contains(measure) ? "about " + size : size;
    }

    /** The line of what is not measured is broken; askew no line is of one measure. */
    private static void dashed(GraphicsContext pen, Project project, Stone.Measure measure, boolean square) {
        pen.setLineDashes(square && project.unmeasured().contains(measure) ? new double[] {3, 4} : null);
    }

    private static void dimension(GraphicsContext pen, double x0, double y0, double x1, double y1) {
        pen.strokeLine(x0, y0, x1, y1);
        double nx = y1 == y0 ? 0 : 5;
        double ny = y1 == y0 ? 5 : 0;
        pen.strokeLine(x0 - nx, y0 - ny, x0 + nx, y0 + ny);
        pen.strokeLine(x1 - nx, y1 - ny, x1 + nx, y1 + ny);
    }

    // --- gestures

    private void move(MouseEvent e) {
        Cursor cursor = tool().cursor(frame(), e.getX(), e.getY());
        setCursor(cursor);
        boolean near = cursor != Cursor.DEFAULT;
        if (tool().move(frame(), e) || near != hover) {
            hover = near;
            redrawOverlay();
        }
    }

    private void press(MouseEvent e) {
        requestFocus();
        handAt = new Point2D(e.getX(), e.getY());
        if (e.getButton() == MouseButton.MIDDLE) {
            heldAt = new Point2D(frame().toX(e.getX()), frame().toY(e.getY()));
            still.setCache(false); // all of it moves now
            return;
        }
        tool().press(frame(), e);
        redrawOverlay();
    }

    private void drag(MouseEvent e) {
        handAt = new Point2D(e.getX(), e.getY());
        if (heldAt != null) { // what was taken hold of stays under the hand
            rest.playFromStart(); // until the hand rests, what is drawn already is moved
            look(near.x() + heldAt.getX() - frame().toX(e.getX()), near.y() + heldAt.getY() - frame().toY(e.getY()));
            return;
        }
        if (tool().drag(frame(), e)) {
            redrawOverlay();
        }
    }

    private void release(MouseEvent e) {
        if (heldAt != null) {
            heldAt = null;
            still.setCache(true);
            rest.stop();
            requestLayout();
            return;
        }
        if (handAt.distance(e.getX(), e.getY()) > 0.5) { // a quick hand lets go before its last move was told
            drag(e);
        }
        tool().release();
        redrawStone();
        redrawOverlay();
    }

    /** Takes the point of a stroke away that is under the hand; answers whether there was one. */
    public boolean pointAway() {
        return tool().pointAway();
    }

    private void key(KeyEvent e) {
        if (!e.isControlDown() && tool().key(e)) {
            e.consume();
        }
    }
}
