package mosspebble.app.sketch;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.blend.Blend;
import mosspebble.core.colour.Mix;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.advice.Proposals;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Arrange;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Support;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.Lettering;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Strokes;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.family.Families;
import mosspebble.core.stone.Patch;
import mosspebble.core.units.Numbers;
import mosspebble.files.BuiltIn;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/**
 * Everything one does with the things on the stone. What needs searching is worked out on the plan desk; each is one edit that can be
 * undone.
 */
public final class SketchModel {

    /** What the library's next choice is for. */
    public enum Choosing { ADD, EXCHANGE }

    /** Most in a group made at once. */
    public static final int MOST_SEVERAL = 15;

    /** Smaller letters are not written beside the others but over them, where they can be moved, mm (common practice, no source). */
    private static final double LEAST_CAP_MM = 4;

    private final Workbench workbench;
    private final PlanWorker desk;
    private final Results show;
    private final PlanWorker.Line fitting = new PlanWorker.Line();
    private final PlanWorker.Line colouring = new PlanWorker.Line();
    private long scatter;
    private final BooleanProperty pencil = new SimpleBooleanProperty();
    private final ObjectProperty<Subject.Becomes> becomes = new SimpleObjectProperty<>(Subject.Becomes.LINE);
    private final ObjectProperty<Choosing> choosing = new SimpleObjectProperty<>(Choosing.ADD);

    public SketchModel(Workbench workbench, PlanWorker desk, Results show) {
        this.workbench = workbench;
        this.desk = desk;
        this.show = show;
    }

    /** Whether the pencil is in the hand. */
    public BooleanProperty pencilProperty() {
        return pencil;
    }

    /** What the next stroke of the pencil becomes. */
    public ObjectProperty<Subject.Becomes> becomesProperty() {
        return becomes;
    }

    /** Whether a choice in the library comes in front of the others or takes the place of the thing in hand. */
    public ObjectProperty<Choosing> choosingProperty() {
        return choosing;
    }

    private Optional<Project> project() {
        return workbench.shown();
    }

    private Optional<Item> inHand() {
        return workbench.itemInHand();
    }

    private Optional<Sketch> sketch() {
        return project().flatMap(Project::sketch);
    }

    /** The thing in hand as the plan has it. */
    public Optional<PlacedItem> placedInHand() {
        return inHand().flatMap(i -> design().flatMap(d -> d.item(i.id())));
    }

    /** The whole sketch as the plan has it; empty until there is one. */
    Optional<PlacedDesign> design() {
        return Optional.ofNullable(show.plan())
                .filter(p -> project().map(Project::id).filter(id -> id.equals(p.project().id())).isPresent()).flatMap(PaintPlan::design);
    }

    private static Support bed(PlanWorker d, Project project) {
        return new Support(d.survey(project.stone()), project.viewpoint());
    }

    /** The painter's name for a thing. */
    public String title(Item item) {
        Studio studio = workbench.studio();
        return item.subject().match(
                figure -> BuiltIn.titles().stream().filter(t -> t.id().equals(figure.motif())).map(BuiltIn.Title::title).findFirst()
                        .or(() -> studio.own().stream().filter(o -> o.id().equals(figure.motif())).map(o -> o.title()).findFirst())
                        .orElse(figure.motif()),
                Subject.Word::text,
                dots -> "Dots",
                pattern -> Families.list().stream().filter(f -> f.id().equals(pattern.family())).map(f -> f.title()).findFirst()
                        .orElse(pattern.family()),
                stroke -> switch (stroke.becomes()) {
                    case AREA -> "Drawn area";
                    case LINE -> "Drawn line";
                    case DOTS -> "Drawn dots";
                    case GUIDE -> "Drawn guide";
                },
                guide -> guide.kind().title());
    }

    // --- choosing

    /** Takes a subject as the library's choice is meant. */
    public void choose(Subject subject) {
        take(subject, choosing.get() == Choosing.ADD || inHand().isEmpty());
    }

    /**
     * Takes a subject, fits it to the face and proposes colours for slots that have none.
     *
     * @param added whether it comes in front of the others; else it takes the place of the thing in hand
     */
    public void take(Subject subject, boolean added) {
        project().ifPresent(project -> {
            Studio studio = workbench.studio();
            String inHand = workbench.itemProperty().get();
            desk.ask(fitting, d -> taken(d, project, studio, inHand, subject, added), Runnable::run);
        });
    }

    private Runnable taken(PlanWorker d, Project project, Studio studio, String inHand, Subject subject, boolean added) {
        Motif motif = Designs.motif(subject, d.repertoire(studio)).orElse(null);
        if (motif == null) {
            return () -> workbench.tell(subject instanceof Subject.Word
                    ? "None of these letters is in the face. Write it with other letters or take another face."
                    : "That is not in the repertoire. Choose another.");
        }
        Optional<Item> now = added ? Optional.empty() : project.sketch().map(s -> s.inHand(inHand));
        double margin = now.map(Item::marginMm).orElse(1.0);
        boolean first = project.sketch().isEmpty();
        boolean along = subject instanceof Subject.Dots;
        ItemMode manner = motif.prefersWearing()
                && (first || !added || subject instanceof Subject.Pattern || subject instanceof Subject.Guide) || along ? ItemMode.WEARING
                        : ItemMode.ON_STONE;
        Item begun = Item.of(subject, manner, now.map(Item::placement).orElse(new Placement(0, 0, 0, 10)), margin)
                .withId(now.map(Item::id).orElse(""));
        boolean straightened = begun.placement().turn() != 0 && !(subject instanceof Subject.Word);
        Item tried = straightened ? begun.withPlacement(new Placement(0, 0, 0, 1)) : begun;
        Optional<Placement> fitted = subject instanceof Subject.Guide guide && !guide.kind().wholeStone()
                ? Optional.of(new Placement(0, 0, 0, guide.mm()))
                : Designs.fit(tried.withManner(ItemMode.ON_STONE), d.repertoire(studio), bed(d, project));
        if (fitted.isEmpty()) {
            return () -> workbench.tell("The face leaves no room with a margin of " + Numbers.shortText(margin) + " mm.");
        }
        boolean written = added && !first && subject instanceof Subject.Word && !onRim(subject);
        Optional<Placement> free = written
                ? Designs.place(project.sketch().get(), d.repertoire(studio), bed(d, project))
                        .flatMap(design -> Designs.beside(design, tried.withId("new"), Set.of(), d.repertoire(studio), bed(d, project)))
                        .filter(at -> at.scale() >= LEAST_CAP_MM)
                : Optional.empty();
        boolean smaller = added && !first && manner == ItemMode.ON_STONE && !(subject instanceof Subject.Guide) && !onRim(subject);
        Item item = begun.withPlacement(free.orElse(smaller ? fitted.get().sizedBy(0.5) : fitted.get()));
        Sketch sketch = first ? new Sketch(List.of(item)) : added ? project.sketch().get().plus(item)
                : project.sketch().get().with(item.id(), i -> item.withGroup(i.group()));
        Item taken = added && !first ? sketch.items().get(sketch.items().size() - 1) : item;
        Map<String, Mix> colours = Proposals.nearest(motif, taken, d.palette(studio.shelf()));
        return () -> {
            workbench.edit("Choose " + motif.title(), p -> {
                Project changed = p.withSketch(Optional.of(sketch));
                for (Map.Entry<String, Mix> slot : colours.entrySet()) {
                    changed = changed.colours().containsKey(slot.getKey()) ? changed : changed.withColour(slot.getKey(), slot.getValue());
                }
                return changed;
            });
            workbench.itemProperty().set(taken.id());
        };
    }

    private static boolean onRim(Subject subject) {
        return subject instanceof Subject.Word word && word.setting().path() == LetterSetting.Path.RIM;
    }

    /** Changes the subject of the thing in hand and keeps its place; new colour slots get the nearest mix. */
    public boolean change(String title, UnaryOperator<Subject> change) {
        Optional<Item> item = inHand();
        if (item.isEmpty()) {
            return false;
        }
        boolean done = workbench.editItem(title, i -> i.showing(change.apply(i.subject())));
        project().ifPresent(project -> {
            Studio studio = workbench.studio();
            workbench.itemInHand()
                    .ifPresent(
                            now -> desk
                                    .ask(colouring,
                                            d -> Designs.motif(now.subject(), d.repertoire(studio))
                                                    .map(m -> Proposals.nearest(m, now, d.palette(studio.shelf()))).orElse(Map.of()),
                                            found -> {
                                                boolean missing = found.keySet().stream().anyMatch(
                                                        slot -> project().filter(p -> !p.colours().containsKey(slot)).isPresent());
                                                if (missing) {
                                                    workbench.amend(p -> {
                                                        Project changed = p;
                                                        for (Map.Entry<String, Mix> slot : found.entrySet()) {
                                                            changed = changed.colours().containsKey(slot.getKey()) ? changed
                                                                    : changed.withColour(slot.getKey(), slot.getValue());
                                                        }
                                                        return changed;
                                                    });
                                                }
                                            }));
        });
        return done;
    }

    /** Changes the words or their setting and fits them again where they stand straight on the stone. */
    public void words(String title, UnaryOperator<Subject.Word> change) {
        inHand().filter(i -> i.subject() instanceof Subject.Word).ifPresent(item -> {
            Subject.Word word;
            try {
                word = change.apply((Subject.Word) item.subject());
            } catch (IllegalArgumentException e) {
                workbench.tell(e.getMessage());
                return;
            }
            project().ifPresent(project -> {
                Studio studio = workbench.studio();
                Item changed = item.showing(word);
                desk.ask(fitting, d -> {
                    if (Designs.motif(word, d.repertoire(studio)).isEmpty()) {
                        return new Refit(Optional.empty(), false);
                    }
                    Optional<Placement> beside = besideAsBefore(d, project, studio, item, changed);
                    return new Refit(beside.or(() -> Designs.fit(changed, d.repertoire(studio), bed(d, project))), beside.isPresent());
                }, refit -> {
                    Optional<Placement> fit = refit.placement();
                    if (fit.isEmpty()) {
                        workbench.tell("With these letters nothing fits. Write it with other letters, or take another face or path.");
                        return;
                    }
                    boolean same = ((Subject.Word) item.subject()).setting().path() == word.setting().path();
                    double size = same ? Math.min(fit.get().scale(), item.placement().scale()) : fit.get().scale();
                    boolean whole = refit.beside() || item.placement().scale() > 0.9 * fit.get().scale() || !same;
                    if (workbench.edit(title, p -> p.withSketch(p.sketch().map(s -> s.with(item.id(), i -> i.showing(word)
                            .withPlacement(whole ? fit.get()
                                    : new Placement(i.placement().x(), i.placement().y(), i.placement().turn(), size))))))) {
                        change(title, s -> s);
                    }
                });
            });
        });
    }

    /**
     * Words fitted again.
     *
     * @param beside whether into the room that the others leave
     */
    private record Refit(Optional<Placement> placement, boolean beside) {}

    /** New words in the room that the others leave, where the old ones lay in it too. */
    private static Optional<Placement> besideAsBefore(PlanWorker d, Project project, Studio studio, Item before, Item after) {
        if (before.manner() != ItemMode.ON_STONE || onRim(after.subject()) || project.sketch().orElseThrow().items().size() < 2) {
            return Optional.empty();
        }
        return Designs.place(project.sketch().orElseThrow(), d.repertoire(studio), bed(d, project))
                .filter(design -> design.items().stream().filter(i -> i.item().id().equals(before.id())).findFirst()
                        .filter(own -> design.items().stream().noneMatch(
                                i -> i != own && i.item().manner() == ItemMode.ON_STONE && i.silhouette().intersects(own.silhouette())))
                        .isPresent())
                .flatMap(design -> Designs.beside(design, after, Set.of(), d.repertoire(studio), bed(d, project)))
                .filter(at -> at.scale() >= LEAST_CAP_MM);
    }

    /** Breaks the words into the lines with which the letters become largest. */
    public void bestBreak() {
        inHand().filter(i -> i.subject() instanceof Subject.Word).ifPresent(item -> project().ifPresent(project -> {
            Studio studio = workbench.studio();
            Subject.Word word = (Subject.Word) item.subject();
            desk.ask(fitting, d -> d.repertoire(studio).typeface(word.typeface())
                    .flatMap(face -> Lettering.arranged(word, face, bed(d, project), item.marginMm())), found -> {
                        if (found.isPresent()) {
                            workbench.editItem("Best line break",
                                    i -> i.showing(new Subject.Word(found.get().lines(), word.typeface(), word.setting()))
                                            .withManner(ItemMode.ON_STONE).withPlacement(found.get().placement()));
                            workbench.tell("Letters " + Numbers.text(found.get().capMm(), 1) + " mm high in "
                                    + (found.get().lines().size() == 1 ? "one line." : found.get().lines().size() + " lines."));
                        } else {
                            workbench.tell("These words fit in no way with a margin of " + Numbers.shortText(item.marginMm()) + " mm.");
                        }
                    });
        }));
    }

    // --- placing

    /** Fits the thing in hand to the face. */
    public void fit() {
        fit("Fit to the face", "The face leaves no room with this margin. Take a smaller margin.", Designs::fit);
    }

    /** Fits the thing in hand into the room that the others leave. */
    public void fitBeside() {
        Set<String> own = inHand().flatMap(i -> sketch().map(s -> s.together(i.id()).stream().map(Item::id).collect(Collectors.toSet())))
                .orElse(Set.of());
        Optional<PlacedDesign> design = design();
        fit("Fit beside the others", "The others leave no room. Move or shrink them first.",
                (item, all, bed) -> design.map(d -> Designs.beside(d, item, own, all, bed)).orElse(Designs.fit(item, all, bed)));
    }

    private interface Fitting {
        Optional<Placement> fit(Item item, Repertoire repertoire, Support bed);
    }

    private void fit(String title, String none, Fitting way) {
        project().ifPresent(project -> inHand().ifPresent(item -> {
            Studio studio = workbench.studio();
            desk.ask(fitting, d -> way.fit(item.manner() == ItemMode.WEARING ? item.withManner(ItemMode.ON_STONE) : item,
                    d.repertoire(studio), bed(d, project)), found -> {
                        if (found.isPresent()) {
                            workbench.editItem(title,
                                    i -> i.withManner(i.manner() == ItemMode.WEARING ? ItemMode.ON_STONE : i.manner())
                                            .withPlacement(found.get()));
                        } else {
                            workbench.tell(none);
                        }
                    });
        }));
    }

    /** Moves, turns or sizes the thing in hand, and its group with it. */
    public void place(String title, UnaryOperator<Placement> change) {
        inHand().ifPresent(item -> workbench.edit(title, p -> p.withSketch(p.sketch().map(s -> placed(s, item.id(), change)))));
    }

    /** The sketch with a thing and its group placed anew, each about the middle of the thing. */
    public static Sketch placed(Sketch sketch, String id, UnaryOperator<Placement> change) {
        Placement before = sketch.inHand(id).placement();
        Placement after = change.apply(before);
        double factor = after.scale() / before.scale();
        double turn = Math.toRadians(after.turn() - before.turn());
        Sketch changed = sketch;
        for (Item item : sketch.together(id)) {
            Placement p = item.placement();
            double dx = (p.x() - before.x()) * factor;
            double dy = (p.y() - before.y()) * factor;
            Placement moved = item.id().equals(sketch.inHand(id).id()) ? after
                    : new Placement(after.x() + dx * Math.cos(turn) - dy * Math.sin(turn),
                            after.y() + dx * Math.sin(turn) + dy * Math.cos(turn), p.turn() + Math.toDegrees(turn), p.scale() * factor);
            changed = changed.with(item.id(), i -> i.withPlacement(moved));
        }
        return changed;
    }

    public void mirror() {
        workbench.editItem("Mirror", i -> i.withMirrored(!i.mirrored()));
    }

    /** To the upright middle line, the level middle line, or along the stone's long axis. */
    public void align(boolean upright, boolean level, boolean axis) {
        PaintPlan plan = show.plan();
        if (plan == null) {
            return;
        }
        Coordinate middle = plan.survey().zones().paintable().getEnvelopeInternal().centre();
        double lean = Arrange.longAxis(Support.of(plan.survey()));
        place("Align", p -> new Placement(upright ? middle.x : p.x(), level ? middle.y : p.y(), axis ? lean : p.turn(), p.scale()));
    }

    /** Sets the eye or centre of the thing in hand, or its middle, on the next mark of the stone. */
    public void onMark() {
        PaintPlan plan = show.plan();
        placedInHand().filter(i -> plan != null).ifPresent(placed -> {
            List<Patch> marks = Arrange.places(Support.of(plan.survey()));
            if (marks.isEmpty()) {
                workbench.tell("The stone has no bump or dent marked. Mark one at Stone, Marks.");
                return;
            }
            Placement now = placed.item().placement();
            Patch mark = marks.stream().min(
                    (a, b) -> Double.compare(Math.hypot(a.x() - now.x(), a.y() - now.y()), Math.hypot(b.x() - now.x(), b.y() - now.y())))
                    .orElseThrow();
            Optional<PlacedPart> anchor = Arrange.anchor(placed, mark);
            Placement there = anchor.map(part -> Arrange.onMark(placed, part, mark))
                    .orElse(new Placement(mark.x(), mark.y(), now.turn(), now.scale()));
            place("Set on the " + mark.kind().label(), p -> there);
            workbench.tell("The " + anchor.map(a -> a.part().title()).orElse("middle") + " is on the " + mark.kind().label() + ".");
        });
    }

    /** Moves the thing in hand so that it hides the marks that are neither bump nor crack. */
    public void coverMark() {
        PaintPlan plan = show.plan();
        placedInHand().filter(i -> plan != null).ifPresent(placed -> {
            GeometryFactory factory = new GeometryFactory();
            Optional<Patch> spot = plan.survey().dome().patches().stream()
                    .filter(p -> p.kind() == Patch.Kind.HOLE || p.kind() == Patch.Kind.FLAT).findFirst()
                    .or(() -> plan.survey().dome().patches().stream()
                            .filter(p -> p.kind() == Patch.Kind.CRACK || p.kind() == Patch.Kind.DENT).findFirst());
            if (spot.isEmpty()) {
                workbench.tell("No bad spot is marked. Mark a hole, flat or crack at Stone, Marks.");
                return;
            }
            Patch mark = spot.get();
            Geometry area = factory
                    .createLineString(new Coordinate[] {new Coordinate(mark.x(), mark.y()), new Coordinate(mark.toX(), mark.toY())})
                    .buffer(mark.radiusMm());
            desk.ask(fitting, d -> Arrange.covering(placed, area, Support.of(plan.survey())), found -> {
                if (found.isPresent()) {
                    place("Hide the " + mark.kind().label(), p -> found.get());
                } else {
                    workbench.tell("It is too small to hide the " + mark.kind().label() + " (" + Numbers.text(2 * mark.radiusMm(), 0)
                            + " mm across).");
                }
            });
        });
    }

    // --- several things

    /** The same thing again, a little aside, with its colours. */
    public void twin() {
        inHand().ifPresent(item -> {
            if (workbench.edit("Twin", p -> copied(p, item, item
                    .withManner(item.manner() == ItemMode.WEARING ? ItemMode.ON_STONE : item.manner())
                    .withPlacement(item.placement().movedBy(8, 4))))) {
                takeFront();
            }
        });
    }

    private void takeFront() {
        sketch().ifPresent(s -> workbench.itemProperty().set(s.items().get(s.items().size() - 1).id()));
    }

    /** A project with a copy of a thing in front, its colours and how they are laid with it. */
    private static Project copied(Project p, Item from, Item copy) {
        Sketch more = p.sketch().orElseThrow().plus(copy);
        Item added = more.items().get(more.items().size() - 1);
        Project changed = p.withSketch(Optional.of(more));
        int before = from.named("").length();
        for (Map.Entry<String, Mix> colour : p.colours().entrySet()) {
            changed = from.owns(colour.getKey()) ? changed.withColour(added.named(colour.getKey().substring(before)), colour.getValue())
                    : changed;
        }
        for (Map.Entry<String, Blend> blend : p.blends().entrySet()) {
            boolean own = from.owns(blend.getKey()) && !blend.getKey().equals(Project.GROUND);
            changed = own ? changed.withBlend(added.named(blend.getKey().substring(before)), blend.getValue()) : changed;
        }
        return changed;
    }

    /**
     * Makes a group of the thing in hand.
     *
     * @param count how many in all
     * @param ring in a ring, else scattered with the far ones smaller
     */
    public void several(int count, boolean ring) {
        project().ifPresent(project -> inHand().ifPresent(item -> {
            Studio studio = workbench.studio();
            Item alone = item.withManner(ItemMode.ON_STONE).withGroup(Optional.empty());
            desk.ask(fitting,
                    d -> Designs.shape(item, d.repertoire(studio))
                            .map(motif -> ring ? Arrange.ring(motif, bed(d, project), item.marginMm(), count)
                                    : Arrange.scattered(motif, bed(d, project), item.marginMm(), count, ++scatter))
                            .orElse(List.of()),
                    found -> {
                        if (found.isEmpty()) {
                            workbench.tell("There is no room for " + count + " of them.");
                            return;
                        }
                        String group = "g" + item.id() + count;
                        workbench.edit(count + (ring ? " in a ring" : " scattered"), p -> {
                            Project changed = p.withSketch(
                                    p.sketch().map(
                                            s -> s.with(item.id(), i -> alone.withPlacement(found.get(0)).withGroup(Optional.of(group)))));
                            for (int k = 1; k < found.size(); k++) {
                                changed = copied(changed, item, alone.withPlacement(found.get(k)).withGroup(Optional.of(group)));
                            }
                            return changed;
                        });
                    });
        }));
    }

    /** Groups the thing in hand with the one next behind it, or takes its group apart. */
    public void group() {
        inHand().ifPresent(item -> sketch().ifPresent(s -> {
            if (item.group().isPresent()) {
                workbench.edit("Ungroup",
                        p -> p.withSketch(p.sketch().map(q -> each(q, q.together(item.id()), i -> i.withGroup(Optional.empty())))));
                return;
            }
            int at = s.items().indexOf(s.inHand(item.id()));
            if (s.items().size() < 2) {
                workbench.tell("There is nothing to group it with yet.");
                return;
            }
            Item other = s.items().get(at > 0 ? at - 1 : 1);
            String group = other.group().orElse("g" + s.freshId());
            workbench.edit("Group with " + title(other),
                    p -> p.withSketch(p.sketch().map(q -> each(q, List.of(item, other), i -> i.withGroup(Optional.of(group))))));
        }));
    }

    private static Sketch each(Sketch sketch, List<Item> items, UnaryOperator<Item> change) {
        Sketch changed = sketch;
        for (Item item : items) {
            changed = changed.with(item.id(), change);
        }
        return changed;
    }

    /** Nearer the front (positive) or farther back. */
    public void order(int by) {
        inHand().ifPresent(item -> workbench.edit(by > 0 ? "Nearer the front" : "Farther back",
                p -> p.withSketch(p.sketch().map(s -> s.moved(item.id(), by)))));
    }

    public void takeAway() {
        inHand().ifPresent(
                item -> workbench.edit("Take " + title(item) + " off", p -> p.withSketch(p.sketch().flatMap(s -> s.without(item.id())))));
    }

    /** Leaves a part out, or takes it in again. */
    public void leaveOut(String part, boolean out) {
        workbench.editItem(out ? "Leave out a part" : "Take a part in", i -> {
            Set<String> parts = new HashSet<>(i.leftOut());
            if (out) {
                parts.add(part);
            } else {
                parts.remove(part);
            }
            return i.withLeftOut(parts);
        });
    }

    // --- the pencil

    /** A stroke drawn on the stone joins the picture. */
    public void drawn(List<Coordinate> places) {
        double pen = becomes.get() == Subject.Becomes.DOTS ? 2 : 0.7;
        Strokes.drawn(places, becomes.get(), pen).ifPresentOrElse(stroke -> {
            Item item = Item.of(stroke.stroke(), ItemMode.ON_STONE, stroke.placement(), 1);
            boolean done = workbench.edit("Draw",
                    p -> p.withSketch(Optional.of(p.sketch().map(s -> s.plus(item)).orElse(new Sketch(List.of(item))))));
            if (done) {
                takeFront();
                change("Draw", s -> s);
            }
        }, () -> workbench.tell("The stroke is too short to be one: draw 2 mm at least."));
    }

    /** Guide lines and what else things snap to, mm; those of the thing in hand are left out. */
    public List<Geometry> snaps() {
        String own = inHand().map(Item::id).orElse("");
        List<Geometry> lines = new ArrayList<>();
        design().ifPresent(d -> d.items().stream().filter(i -> !i.item().id().equals(own))
                .forEach(i -> i.parts().stream().filter(p -> p.part().role() == Role.GUIDE).forEach(p -> lines.add(p.drawn()))));
        return lines;
    }
}
