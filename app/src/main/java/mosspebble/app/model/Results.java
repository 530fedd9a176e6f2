package mosspebble.app.model;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.MapChangeListener;
import javafx.collections.ObservableMap;
import javafx.collections.ObservableSet;
import mosspebble.core.area.Grid;
import mosspebble.core.colour.Lamp;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.EdgePicture;
import mosspebble.core.picture.SeenPicture;
import mosspebble.core.picture.Shadow;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.care.Lessons;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.TakenOut;
import mosspebble.core.project.Diary;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Viewpoint;

/**
 * What has been worked out for the screen: the plan and picture of the stone on the cloth, and small pictures for the tray. Follows the
 * workbench; the old answer stays until
 * the new one is there.
 */
public final class Results {

    /** A stone in the tray as worked out last, and how it looks when it is done. */
    public record Thumb(Project project, PaintPlan plan, StonePicture picture, Lit lit) {}

    /**
     * A moment of the painting under a light.
     *
     * @param coats of the last of the steps; 0 for all
     * @param lightFrom degrees clockwise from straight up
     * @param held steps of the moment that the left half is held at; -1 for none
     */
    public record Moment(StonePicture of, int steps, int coats, double lightFrom, int held, SeenBy by) {

        /** A picture after so many of its steps, or all if it has fewer, by daylight. */
        public static Moment after(int steps, StonePicture of, double lightFrom) {
            return new Moment(of, Math.min(steps, of.steps()), 0, lightFrom, -1, SeenBy.DAY);
        }

        /** The same moment in another picture of the same plan. */
        public Moment of(StonePicture other) {
            return new Moment(other, steps, coats, lightFrom, held, by);
        }

        /** Its pixels, premultiplied ARGB on the picture's grid; unfinished if they are no longer wanted. */
        public int[] draw(Care care, BooleanSupplier unwanted) {
            Grid grid = of.terrain().grid();
            int[] pixels = new int[grid.cells()];
            of.draw(new StonePicture.Shown(steps, coats, lightFrom, by.care(care)), unwanted, pixels);
            if (held >= 0) {
                int[] before = new int[grid.cells()];
                of.draw(new StonePicture.Shown(held, 0, lightFrom, by.care(care)), unwanted, before);
                for (int row = 0; row < grid.rows(); row++) {
                    System.arraycopy(before, row * grid.columns(), pixels, row * grid.columns(), grid.columns() / 2);
                }
            }
            return pixels;
        }
    }

    /** A moment drawn with full care. */
    public record Lit(Moment moment, int[] pixels) {}

    /** The whole bare stone by daylight, drawn with full care: what a window begins with. */
    public record Bare(Project of, Grid grid, int[] pixels) {}

    /** The stone as seen from its viewpoint: premultiplied ARGB on the picture's grid. */
    public record Seen(StonePicture from, Viewpoint viewpoint, int[] pixels) {}

    /**
     * What the cloth does not show of the stone on it.
     *
     * @param plan seen from the other face
     * @param face the other face; null if it is not painted
     * @param edge the unrolled edge; null if it is not painted
     */
    public record Other(PaintPlan plan, StonePicture face, EdgePicture edge) {}

    private static final int EDGE_COLUMNS = 480;
    private static final double THUMB_PIXELS_PER_MM = 1.6;

    /** A picture shown so many times as large as it was drawn for looks worse than a draft. */
    private static final double MOST_STRETCHED = 2;

    private final Workbench workbench;
    private final PlanWorker desk;
    private final PlanWorker.Line planLine = new PlanWorker.Line();
    private final PlanWorker.Line handLine = new PlanWorker.Line();
    private final PlanWorker.Line shadowLine = new PlanWorker.Line();
    private final PlanWorker.Line draftLine = new PlanWorker.Line();
    private final PlanWorker.Line partLine = new PlanWorker.Line();
    private final PlanWorker.Line pictureLine = new PlanWorker.Line();
    private final PlanWorker.Line litLine = new PlanWorker.Line();
    private final Map<String, PlanWorker.Line> thumbLines = new LinkedHashMap<>();
    private final Map<String, Project> thumbAsked = new LinkedHashMap<>();
    private Object thumbsFrom;
    private boolean takesInHand;
    private Diary takenBy;
    private Map<String, Double> taken;
    private Project asked;
    private Object shadowOf;
    private PaintPlan draftedPlan;
    private Object draftedAs;
    private final ReadOnlyObjectWrapper<PaintPlan> plan = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Shadow> shadow = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<StonePicture> picture = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<StonePicture> draft = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<StonePicture> draftOfPart = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Lit> lit = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Bare> before = new ReadOnlyObjectWrapper<>();
    private Bare first;
    private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper();
    private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");
    private final ReadOnlyObjectWrapper<Seen> seen = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Other> other = new ReadOnlyObjectWrapper<>();
    private final PlanWorker.Line otherLine = new PlanWorker.Line();
    private final PlanWorker.Line seenLine = new PlanWorker.Line();
    private final DoubleProperty pixelsPerMm = new SimpleDoubleProperty();
    private final ObjectProperty<Grid> close = new SimpleObjectProperty<>();
    private final ObservableSet<String> troubled = FXCollections.observableSet(new TreeSet<>());
    private final ObservableMap<String, Thumb> thumbs = FXCollections.observableMap(new LinkedHashMap<>());

    public Results(Workbench workbench, PlanWorker desk) {
        this.workbench = workbench;
        this.desk = desk;
        workbench.shownProperty().addListener((o, before, now) -> askPlan());
        workbench.studioProperty().addListener((o, before, now) -> {
            if (!Objects.equals(before.shelf(), now.shelf()) || !before.known().equals(now.known())
                    || !before.climate().equals(now.climate()) || !drawnWith(before).equals(drawnWith(now))) {
                askPlan();
            }
            if (!Objects.equals(asked, workbench.shownProperty().get())) {
                askPlan(); // a draft that was accepted as it stood is no news to the one who listens to what is shown
            }
            askThumbs();
        });
        workbench.lookProperty().addListener((o, before, now) -> askPicture());
        workbench.seenByProperty().addListener((o, before, now) -> askPicture());
        pixelsPerMm.addListener((o, before, now) -> askPicture());
        close.addListener((o, before, now) -> askPicture());
        plan.addListener((o, before, now) -> askShadow());
        plan.addListener((o, before, now) -> askPicture());
        plan.addListener((o, before, now) -> askOther());
        workbench.lookProperty().addListener((o, before, now) -> askOther());
        thumbs.addListener((MapChangeListener<String, Thumb>) change -> taken = null);
        askPlan();
        askThumbs();
    }

    /** Plan of the stone on the cloth; null before the first and when there is none. */
    public ReadOnlyObjectProperty<PaintPlan> planProperty() {
        return plan.getReadOnlyProperty();
    }

    public PaintPlan plan() {
        return plan.get();
    }

    /** What it throws on the cloth by its light; null before the first. */
    public ReadOnlyObjectProperty<Shadow> shadowProperty() {
        return shadow.getReadOnlyProperty();
    }

    /** Its picture at half the cloth's scale, for what must be quick; null before the first. */
    public ReadOnlyObjectProperty<StonePicture> draftProperty() {
        return draft.getReadOnlyProperty();
    }

    /** The part looked at closely at half its pixels, where what was drawn before is too coarse to be stretched; else null. */
    public ReadOnlyObjectProperty<StonePicture> draftOfPartProperty() {
        return draftOfPart.getReadOnlyProperty();
    }

    /** What was drawn last with full care. */
    public ReadOnlyObjectProperty<Lit> litProperty() {
        return lit.getReadOnlyProperty();
    }

    /** Asks for a moment drawn with full care; what was asked before is given up. */
    public void askLit(Moment moment) {
        desk.ask(litLine, d -> d.lit(moment, litLine.overtaken()), drawn -> {
            remember(drawn);
            lit.set(drawn);
        });
    }

    private void remember(Lit drawn) {
        Moment moment = drawn.moment();
        boolean bare = moment.steps() == 0 && moment.held() < 0 && moment.by() == SeenBy.DAY
                && workbench.lookProperty().get() == StoneState.DRY && close.get() == null;
        if (bare && plan.get() != null && !busy.get() && !workbench.isDrafting()
                && plan.get().project().id().equals(workbench.studio().projects().get(0).id())) {
            first = new Bare(plan.get().project(), moment.of().terrain().grid(), drawn.pixels());
        }
    }

    /** The picture of the stone that a window begins with, as it was drawn last; empty if it was not. */
    public Optional<Bare> first() {
        return Optional.ofNullable(first);
    }

    /** The picture kept from the last time until there is one of now; null where there is none. */
    public ReadOnlyObjectProperty<Bare> beforeProperty() {
        return before.getReadOnlyProperty();
    }

    /** Shows a picture kept from the last time, if nothing has been drawn yet. */
    public void showBefore(Bare kept) {
        if (picture.get() == null) {
            before.set(kept);
        }
    }

    /** Its picture at the cloth's scale, or for a moment the one at half of it; null before the first. */
    public ReadOnlyObjectProperty<StonePicture> pictureProperty() {
        return picture.getReadOnlyProperty();
    }

    /** Whether something newer is being worked out. */
    public ReadOnlyBooleanProperty busyProperty() {
        return busy.getReadOnlyProperty();
    }

    /** Why there is no plan of the stone on the cloth, a sentence; empty where there is one, or one is coming. */
    public ReadOnlyStringProperty troubleProperty() {
        return trouble.getReadOnlyProperty();
    }

    /** Whether nothing is being worked out. */
    public boolean idle() {
        return desk.idle();
    }

    /** Set by the cloth: device pixels per mm; 0 while it has no size. */
    public DoubleProperty pixelsPerMmProperty() {
        return pixelsPerMm;
    }

    /** The pixels of the part that is looked at closely; null where the whole stone is seen. */
    public ObjectProperty<Grid> closeProperty() {
        return close;
    }

    public ObservableMap<String, Thumb> thumbs() {
        return thumbs;
    }

    /** Millilitres that passes took which are ticked off, over all stones in hand that are planned, by paint. */
    public Map<String, Double> takenOut() {
        Diary diary = workbench.studio().diary();
        if (diary == takenBy && taken != null) {
            return taken; // every card of the shelf asks
        }
        takenBy = diary;
        taken = new TreeMap<>();
        for (Thumb thumb : thumbs.values()) {
            String stone = thumb.project().id();
            if (diary.deeds().stream().anyMatch(d -> d.stone().equals(stone))) {
                new TakenOut(thumb.plan(), diary).byPaint().forEach((paint, ml) -> taken.merge(paint, ml, Double::sum));
            }
        }
        return taken;
    }

    /** Ids of stones of which no small picture could be made as they are now. */
    public ObservableSet<String> troubled() {
        return troubled;
    }

    /** Steps shown: those asked for, at most all. */
    public int steps() {
        return plan.get() == null ? 0 : Math.min(workbench.stepProperty().get(), plan.get().steps().size());
    }

    /** The stone seen from a viewpoint, as last asked; null before. */
    public ReadOnlyObjectProperty<Seen> seenProperty() {
        return seen.getReadOnlyProperty();
    }

    /** The other face and the edge of the stone on the cloth; null where there is nothing of them to be seen. */
    public ReadOnlyObjectProperty<Other> otherProperty() {
        return other.getReadOnlyProperty();
    }

    private void askOther() {
        PaintPlan now = plan.get();
        if (now == null || now.below().isEmpty() && now.edge().isEmpty()) {
            other.set(null);
            desk.ask(otherLine, d -> null, nothing -> {});
            return;
        }
        StoneState look = workbench.lookProperty().get();
        desk.ask(otherLine, d -> {
            PaintPlan turned = now.turnedOver();
            return new Other(turned, now.below().isPresent() ? d.picture(turned, 2 * THUMB_PIXELS_PER_MM, look) : null,
                    now.edge().isPresent() ? new EdgePicture(now, EDGE_COLUMNS, look) : null);
        }, other::set, error -> other.set(null));
    }

    /** Asks for the stone on the cloth, as far as it is painted, seen from a viewpoint. */
    public void askSeen(Viewpoint viewpoint) {
        StonePicture from = picture.get();
        Project project = workbench.shownProperty().get();
        PaintPlan now = plan.get();
        if (from == null || project == null || now == null) {
            return;
        }
        int steps = Math.min(workbench.stepProperty().get(), from.steps());
        desk.ask(seenLine, d -> {
            int[] top = new int[from.terrain().grid().cells()];
            from.draw(new StonePicture.Shown(steps, 0, project.habits().light().from(), Care.FULL), seenLine.overtaken(), top);
            return new Seen(from, viewpoint,
                    SeenPicture.of(now.survey().stone(), now.survey().dome(), top, from.terrain().grid(), viewpoint));
        }, seen::set);
    }

    /** While a thing is under the hand its frames come first: no plan, unless one must see what it lets be seen. */
    private boolean onlyMoved(Project project) {
        boolean sameStone = workbench.isDrafting() && asked != null && asked.withSketch(project.sketch()).equals(project)
                && subjects(asked).equals(subjects(project));
        return sameStone && workbench.itemInHand().filter(i -> i.manner() == ItemMode.LEFT_FREE).isEmpty();
    }

    private static List<Subject> subjects(Project project) {
        return project.sketch().map(s -> s.items().stream().map(Item::subject).toList()).orElse(List.of());
    }

    private void askPlan() {
        Project project = workbench.shownProperty().get();
        if (project != null && onlyMoved(project)) {
            return;
        }
        boolean another = plan.get() != null && (project == null || !project.id().equals(plan.get().project().id()));
        asked = project;
        if (another) {
            forget(); // nothing of another stone stands under this one's name, not even while its own is worked out
        }
        if (project == null) {
            busy.set(false);
            trouble.set("");
            return;
        }
        if (another) {
            Thumb small = thumbs.get(project.id());
            // its own small picture until the large one is there
            StonePicture known = small != null && small.project().equals(project) ? small.picture() : null;
            draft.set(known);
            picture.set(known);
        }
        Studio studio = workbench.studio();
        busy.set(true);
        desk.ask(planLine, d -> d.plan(project, studio), answer -> {
            busy.set(false);
            trouble.set("");
            plan.set(answer);
            if (takesInHand) {
                desk.askLater(handLine, d -> d.takeInHand(project, studio), done -> {});
            }
        }, error -> {
            busy.set(false);
            forget();
            trouble.set(project.name() + " cannot be worked out as it is now.");
        });
    }

    private void forget() {
        shadowLine.drop();
        shadowOf = null;
        shadow.set(null);
        draftedPlan = null;
        plan.set(null);
        draft.set(null);
        picture.set(null);
        other.set(null);
        seen.set(null);
        draftOfPart.set(null);
    }

    private void askShadow() {
        PaintPlan now = plan.get();
        Object of = now == null ? null : List.of(now.survey().stone(), now.project().habits().light().from());
        if (of != null && !of.equals(shadowOf)) {
            shadowOf = of;
            desk.ask(shadowLine, d -> d.shadow(now), shadow::set);
        }
    }

    private void askPicture() {
        PaintPlan now = plan.get();
        double scale = pixelsPerMm.get();
        if (now == null || scale <= 0) {
            return;
        }
        StoneState look = workbench.lookProperty().get();
        Lamp lamp = workbench.seenByProperty().get().lamp();
        Object drawn = List.of(scale, look, lamp);
        if (now != draftedPlan || !drawn.equals(draftedAs)) { // else only another part of it is looked at
            draftedPlan = now;
            draftedAs = drawn;
            desk.ask(draftLine, d -> d.picture(now, PlanWorker.whole(now, scale / 2), look, lamp), quick -> {
                draft.set(quick);
                picture.set(quick);
            }, error -> {
                draftedPlan = null;
                draft.set(null);
                picture.set(null);
            });
        }
        Grid part = close.get();
        if (part != null && picture.get() != null && picture.get().terrain().grid().cellMm() > MOST_STRETCHED * part.cellMm()) {
            Grid half = new Grid(part.left(), part.top(), 2 * part.cellMm(), (part.columns() + 1) / 2, (part.rows() + 1) / 2);
            desk.ask(partLine, d -> d.picture(now, half, look, lamp), draftOfPart::set, error -> {}); // the whole part says what is wrong
        } else {
            partLine.drop();
        }
        desk.ask(pictureLine, d -> d.picture(now, part == null ? PlanWorker.whole(now, scale) : part, look, lamp), sharp -> {
            draftOfPart.set(null); // the same one is news again when it is asked for again
            picture.set(sharp);
        }, error -> picture.set(null));
    }

    private static List<OwnFile> drawnWith(Studio studio) {
        return studio.own().stream().filter(OwnFile::drawnWith).toList();
    }

    /** Asks for all plans again, since the painter's book teaches something else; what it says nothing to stays as it is. */
    public void taught(Lessons lessons) {
        desk.teach(lessons);
        thumbsFrom = null;
        askPlan();
        askThumbs();
    }

    /** From now on the first change of a stone that was only looked at from afar is answered as quickly as every other. */
    public void takeInHand() {
        takesInHand = true;
    }

    private void askThumbs() {
        Studio studio = workbench.studio();
        troubled.removeIf(id -> studio.project(id).isEmpty());
        thumbs.keySet().removeIf(id -> studio.project(id).isEmpty());
        Object now = List.of(studio.shelf(), studio.known());
        boolean all = !now.equals(thumbsFrom);
        thumbsFrom = now;
        for (Project project : studio.projects()) {
            if (all || !project.equals(thumbAsked.get(project.id()))) {
                thumbAsked.put(project.id(), project);
                Thumb before = thumbs.get(project.id());
                desk.askLater(thumbLines.computeIfAbsent(project.id(), id -> new PlanWorker.Line()), d -> {
                    PaintPlan small = d.planAside(project, studio);
                    // what is only said to a plan changes no picture
                    boolean looksTheSame = before != null && before.plan().schedule() == small.schedule()
                            && before.plan().up() == small.up();
                    StonePicture drawn = looksTheSame ? before.picture() : d.picture(small, THUMB_PIXELS_PER_MM, StoneState.SEALED);
                    return new Thumb(project, small, drawn,
                            d.lit(Moment.after(drawn.steps(), drawn, project.habits().light().from())));
                }, thumb -> {
                    troubled.remove(project.id());
                    thumbs.put(project.id(), thumb);
                }, error -> {
                    troubled.add(project.id());
                    thumbs.remove(project.id());
                });
            }
        }
    }
}
