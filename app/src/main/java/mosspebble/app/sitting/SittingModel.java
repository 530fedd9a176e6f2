package mosspebble.app.sitting;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.MapChangeListener;
import mosspebble.app.control.TextSize;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.DoneSteps;
import mosspebble.core.plan.InTime;
import mosspebble.core.plan.ManyStones;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.SittingPage;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Diary;
import mosspebble.core.project.OldPaint;
import mosspebble.core.project.Project;
import mosspebble.core.project.Room;
import mosspebble.core.project.Studio;
import mosspebble.core.timetable.Learned;
import mosspebble.core.timetable.Span;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.words.StepWords;
import mosspebble.core.words.TimetableWords;

/** When is done what on all stones in hand, what is in hand now, and what is done. Follows the plans and the diary. */
public final class SittingModel {

    /**
     * The timetable with what it is made from.
     *
     * @param plans by id of the stone, in the order of the tray
     * @param table null where there can be none
     * @param trouble why there is none, a sentence; empty where there is
     */
    public record Shown(Map<String, PaintPlan> plans, Timetable table, String trouble) {
        static final Shown NOTHING = new Shown(Map.of(), null, "");

        /** The piece that comes next; empty where all is done. */
        public Optional<Timetable.Placed> next() {
            return table == null ? Optional.empty() : table.placed().stream().findFirst();
        }

        Workload.Piece piece(Timetable.Placed placed) {
            return table.of().pieces().get(placed.piece());
        }

        Step step(Workload.Piece piece) {
            return plans.get(piece.stone()).steps().get(piece.step());
        }
    }

    /** Work begun: which piece, and since when. */
    public record InHand(String stone, String step, int part, Instant since) {
        boolean of(Workload.Piece piece, List<String> names) {
            return stone.equals(piece.stone()) && step.equals(names.get(piece.step())) && part == piece.part();
        }
    }

    /** So often the time is told where it is looked at. */
    private static final Duration LOOKED_AT = Duration.ofSeconds(1);

    /** Later than planned by so much, the timetable is brought up to the clock. */
    private static final Duration SLACK = Duration.ofMinutes(2);

    /** So much more than usual is not all painting. */
    private static final Duration IDLE = Duration.ofMinutes(10);

    private final Workbench workbench;
    private final Results results;
    private final PlanWorker desk;
    private final Clock clock;
    private final Timetable.Solver solver;
    private final PlanWorker.Line planning = new PlanWorker.Line();
    private final PlanWorker.Line drying = new PlanWorker.Line();
    private final PlanWorker.Line helping = new PlanWorker.Line();
    private final PlanWorker.Line laying = new PlanWorker.Line();
    private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>(Shown.NOTHING);
    private final ReadOnlyObjectWrapper<List<InTime.Way>> ways = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyObjectWrapper<Instant> now = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<InHand> inHand = new SimpleObjectProperty<>();
    private final BooleanProperty atTable = new SimpleBooleanProperty();
    private final Map<String, Instant> notYet = new HashMap<>();
    private Optional<Laid> laid = Optional.empty();
    private Duration usual = Duration.ZERO;
    private boolean withoutSolver;
    private Object askedFrom;
    /** Whether the time is looked at, and when it was told last; read by the watch. */
    private volatile boolean looked;
    private final ReadOnlyBooleanWrapper lookedAt = new ReadOnlyBooleanWrapper();
    private volatile Instant told;
    private Finding.Stage lookedAtAlso;
    private Shown paged;
    private Optional<List<SittingPage>> pages = Optional.empty();
    private final Map<String, Known> dries = new HashMap<>();
    private Diary dryFrom;
    private Room dryIn;
    private Timetable readyBy;
    private Map<String, Timetable.Ready> ready = Map.of();

    public SittingModel(Workbench workbench, Results results, PlanWorker desk, Timetable.Solver solver, Clock clock) {
        this.solver = solver;
        this.workbench = workbench;
        this.results = results;
        this.desk = desk;
        this.clock = clock;
        now.addListener((o, a, b) -> told = b);
        now.set(instant());
        lookedAt.addListener((o, a, b) -> looked = b);
        lookedAt.set(active());
        workbench.stageProperty().addListener((o, a, b) -> lookedAt.set(active()));
        results.thumbs().addListener((MapChangeListener<String, Results.Thumb>) change -> ask());
        workbench.studioProperty().addListener((o, a, b) -> ask());
        shown.addListener((o, a, b) -> b.next().map(n -> b.step(b.piece(n))).filter(Step.Lay.class::isInstance)
                .ifPresent(this::lookWhereItLies));
    }

    /** Where the paint of a step lies. */
    private record Laid(Step step, List<OldPaint> where) {}

    /** Finds out where the paint of what comes next lies before it is done, so that nobody waits for it then. */
    private void lookWhereItLies(Step next) {
        if (laid.filter(l -> l.step == next).isEmpty()) {
            desk.askBeside(laying, unwanted -> DoneSteps.laid(next), where -> laid = Optional.of(new Laid(next, where)), error -> {});
        }
    }

    private List<OldPaint> whereItLies(Step step) {
        return laid.filter(l -> l.step == step).map(Laid::where).orElseGet(() -> DoneSteps.laid(step));
    }

    /** A timetable nobody looks at is not searched for. */
    private boolean active() {
        return workbench.stageProperty().get() == Finding.Stage.SITTING || workbench.stageProperty().get() == lookedAtAlso;
    }

    /** Has it searched for at the stage one is at as well: its pages are looked at there. */
    public void planHere() {
        lookedAtAlso = workbench.stageProperty().get();
        lookedAt.set(true);
        ask();
    }

    /** A page for each sitting; empty while none is planned. */
    public Optional<List<SittingPage>> pages() {
        Shown now = shown.get();
        if (now != paged) {
            paged = now;
            pages = now.table() == null ? Optional.empty() : Optional.of(SittingPage.of(now.table(), now.plans()));
        }
        return pages;
    }

    /** Brings it up to date when one comes to the stage; from then on it follows until one leaves. */
    public void activate() {
        now.set(instant());
        diary().last().filter(d -> d.to().isAfter(now.get().plus(SLACK)))
                .ifPresent(d -> tell(TimetableWords.clockBehind(now.get(), d.to(), zone())));
        ask();
    }

    public ReadOnlyObjectProperty<Shown> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    public Shown shown() {
        return shown.get();
    }

    /** What would help where stones are late. */
    public ReadOnlyObjectProperty<List<InTime.Way>> waysProperty() {
        return ways.getReadOnlyProperty();
    }

    /** The time as told last. */
    public ReadOnlyObjectProperty<Instant> nowProperty() {
        return now.getReadOnlyProperty();
    }

    /** What was begun and is not done; null for nothing. */
    public ObjectProperty<InHand> inHandProperty() {
        return inHand;
    }

    /** Whether one works along: nothing else is seen meanwhile. */
    public BooleanProperty atTableProperty() {
        return atTable;
    }

    /** Follows the timetable, but for while one works along; then once after it. */
    public void follow(Runnable show) {
        shown.addListener((o, a, b) -> {
            if (!atTable.get()) {
                show.run();
            }
        });
        atTable.addListener((o, a, b) -> {
            if (!b) {
                show.run();
            }
        });
    }

    public ZoneId zone() {
        return clock.getZone();
    }

    public Diary diary() {
        return workbench.studio().diary();
    }

    public Room room() {
        return workbench.studio().room();
    }

    /** How much larger than usual words are. */
    double wordsAt() {
        return TextSize.of(workbench.studio());
    }

    String name(String stone) {
        return workbench.studio().project(stone).map(Project::name).orElse(stone);
    }

    /** The time in whole seconds, as it is planned and written down. */
    private Instant instant() {
        return clock.instant().truncatedTo(ChronoUnit.SECONDS);
    }

    private Optional<PaintPlan> plan(String stone) {
        return Optional.ofNullable(results.thumbs().get(stone)).map(Results.Thumb::plan);
    }

    // --- following

    /**
     * Whether the time is to be told again: every second where it is looked at, else once a minute, in which times are told, so that a
     * window nobody touches is left at rest. Any thread may ask.
     */
    public boolean isDue() {
        Instant at = clock.instant();
        return looked ? Duration.between(told, at).abs().compareTo(LOOKED_AT) >= 0
                : !told.truncatedTo(ChronoUnit.MINUTES).equals(at.truncatedTo(ChronoUnit.MINUTES));
    }

    /** Whether the time is looked at. */
    public ReadOnlyBooleanProperty lookedAtProperty() {
        return lookedAt.getReadOnlyProperty();
    }

    /** Tells the time: a plan that lies behind the clock is moved on. */
    public void tick() {
        now.set(instant());
        Shown known = shown.get();
        boolean late = known.next().filter(n -> n.start().plus(SLACK).isBefore(now.get())).isPresent();
        if (active() && late && inHand.get() == null) {
            askedFrom = null;
            ask();
        }
    }

    private void ask() {
        Studio studio = workbench.studio();
        if (!active()) {
            return;
        }
        Map<String, PaintPlan> plans = new LinkedHashMap<>();
        for (Project project : studio.projects()) {
            Results.Thumb thumb = results.thumbs().get(project.id());
            if (thumb != null && isPlanned(thumb, project)) {
                if (!thumb.plan().steps().isEmpty()) {
                    plans.put(project.id(), thumb.plan());
                }
            } else if (!results.troubled().contains(project.id())) {
                return; // still being planned
            }
        }
        Object from = List.of(List.copyOf(plans.values()), studio.diary(), studio.room());
        if (from.equals(askedFrom)) {
            return;
        }
        askedFrom = from;
        Shown before = shown.get();
        InHand begun = inHand.get();
        if (begun != null && studio.diary().done(begun.stone, begun.step, begun.part).isPresent()) {
            inHand.set(null);
        }
        Instant moment = inHand.get() == null ? instant() : inHand.get().since();
        InHand held = inHand.get();
        Map<String, Instant> later = Map.copyOf(notYet);
        Supplier<Begun> begins = () -> {
            try {
                Workload workload = left(ManyStones.workload(List.copyOf(plans.values()), studio.diary(), studio.room(), moment, zone()),
                        plans, held, later);
                Optional<Timetable> going = before.table == null ? Optional.empty() : before.table.goingOnAsItIs(workload);
                return new Begun(going.orElseGet(() -> Timetable.quick(workload)), "");
            } catch (IllegalArgumentException e) {
                return new Begun(null, e.getMessage());
            }
        };
        if (before == Shown.NOTHING) {
            desk.askBeside(planning, unwanted -> begins.get(), first -> go(plans, studio, first), error -> {});
        } else {
            go(plans, studio, begins.get());
        }
    }

    /** Whether a plan is that of a stone as it is now: one whose order was only made to stay is planned already. */
    private static boolean isPlanned(Results.Thumb thumb, Project project) {
        return thumb.project().equals(project)
                || project.order().equals(thumb.plan().order()) && thumb.project().withOrder(project.order()).equals(project);
    }

    /**
     * A first answer.
     *
     * @param table null where there is none; then there is trouble
     */
    private record Begun(Timetable table, String trouble) {}

    /** Shows a first answer, then better ones as they come. */
    private void go(Map<String, PaintPlan> plans, Studio studio, Begun first) {
        shown.set(new Shown(plans, first.table, first.trouble));
        now.set(instant()); // after it, so that nobody looks at what was planned before with the time of now
        drying.drop(); // what would help is found anew: what was found before was found for other hours
        helping.drop();
        ways.set(List.of());
        if (first.table == null) {
            planning.drop();
            return;
        }
        desk.askBeside(planning, unwanted -> first.table.goingOn(first.table.of(), unwanted), found -> {
            shown.set(new Shown(plans, found, ""));
            if (found.proven() || atTable.get()) {
                help(plans, studio);
                return;
            }
            desk.askBeside(planning, unwanted -> solver.better(found, unwanted), better -> {
                withoutSolver = better.isEmpty();
                better.filter(b -> !b.equals(found)).ifPresent(b -> shown.set(new Shown(plans, b, "")));
                help(plans, studio);
            }, error -> help(plans, studio));
        }, error -> {});
    }

    /** Whether the timetable was found without the solver, which does not work on this machine. */
    boolean isWithoutSolver() {
        return withoutSolver;
    }

    /** Less what was found still wet; what is in hand stays in hand. */
    private static Workload left(Workload all, Map<String, PaintPlan> plans, InHand held, Map<String, Instant> notYet) {
        Workload.Shared shared = all.shared();
        List<Workload.Piece> pieces = all.pieces().stream().map(p -> {
            Workload.Window when = p.when();
            if (isHeld(p, plans, held)) {
                when = new Workload.Window(Optional.empty(), Optional.of(held.since.plus(p.hand())));
            } else if (notYet.containsKey(p.stone())) {
                when = when.after(notYet.get(p.stone()));
            }
            return new Workload.Piece(p.stone(), p.step(), p.part(), p.hand(), p.dries(), p.load(), p.tool(), when);
        }).toList();
        Set<Integer> warm = shared.cold().pieces().stream().filter(i -> !isHeld(all.pieces().get(i), plans, held))
                .collect(Collectors.toSet()); // who holds it knows how cold it is
        return new Workload(pieces, all.waits(), all.hours(), all.from(), all.due(), all.drying(), new Workload.Shared(shared.places(),
                shared.stays(), shared.slower(), new Workload.Cold(warm, shared.cold().sittings()), shared.mixing()));
    }

    private static boolean isHeld(Workload.Piece piece, Map<String, PaintPlan> plans, InHand held) {
        return held != null && held.of(piece, plans.get(piece.stone()).names());
    }

    /** Looks for what would help, if anything is late. */
    private void help(Map<String, PaintPlan> plans, Studio studio) {
        Diary diary = studio.diary();
        Timetable table = shown.get().table;
        ways.set(List.of());
        List<String> late = table.ready().values().stream().filter(r -> !r.late().isZero()).map(Timetable.Ready::stone).toList();
        if (late.isEmpty()) {
            return;
        }
        desk.ask(drying, d -> {
            Map<String, PaintPlan> dried = new TreeMap<>();
            for (String id : late) {
                studio.project(id).filter(p -> !p.habits().dryer())
                        .ifPresent(p -> dried.put(id, d.planAside(p.withHabits(p.habits().withDryer(true)), studio)));
            }
            return dried;
        }, dried -> {
            List<PaintPlan> all = List.copyOf(plans.values());
            desk.askBeside(helping, unwanted -> new InTime(all, dried, diary, studio.room(), table, zone(), unwanted).ways(), ways::set,
                    error -> {});
        });
    }

    // --- changes of the diary

    public boolean edit(String title, UnaryOperator<Diary> change) {
        return workbench.editStudio(title, s -> s.withDiary(change.apply(s.diary())));
    }

    /** Another air on one day; as usual for none. */
    void air(LocalDate date, Optional<Climate> climate) {
        LocalDate today = LocalDate.ofInstant(instant(), zone());
        workbench.editStudio("The room on " + TimetableWords.day(date), s -> s.withRoom(s.room().with(date, climate, today)));
    }

    /** Another air in one sitting; as on the rest of its day for none. */
    void air(LocalDateTime sitting, Optional<Climate> climate) {
        LocalDate today = LocalDate.ofInstant(instant(), zone());
        workbench.editStudio("The room on " + TimetableWords.day(sitting.toLocalDate()),
                s -> s.withRoom(s.room().with(sitting, climate, today)));
    }

    /** Does what would help. */
    void take(InTime.Means means) {
        if (means instanceof InTime.Means.Dryer dryer) {
            workbench.editStudio("Use the dryer on " + name(dryer.stone()),
                    s -> s.edit(dryer.stone(), p -> p.withHabits(p.habits().withDryer(true))));
        } else {
            edit("Make it in time", d -> InTime.changed(d, means));
        }
    }

    /** Other hours for one sitting of a day, with its air and what is pinned to it. */
    boolean resize(LocalDate date, Span was, Span now) {
        return workbench.editStudio("Sitting on " + date, s -> s.withDiary(s.diary().withHours(date, was, now))
                .withRoom(s.room().withMoved(date.atTime(was.from()), date.atTime(now.from()))));
    }

    void addSitting(LocalDate date, Span span) {
        edit("One more sitting", d -> {
            List<Span> more = new ArrayList<>(d.on(date));
            more.add(span);
            return d.withDay(date, more);
        });
    }

    void dropSitting(LocalDate date, Span span) {
        edit("No sitting", d -> d.withDay(date, d.on(date).stream().filter(s -> !s.equals(span)).toList()));
    }

    /** Puts steps of a stone into a sitting, or frees them. */
    void pin(String stone, List<String> steps, Optional<LocalDateTime> sitting) {
        edit(sitting.isPresent() ? "Pin to a sitting" : "Free from its sitting", d -> {
            Diary changed = d;
            for (String step : steps) {
                changed = changed.withPin(stone, step, sitting);
            }
            return changed;
        });
    }

    /** The steps of a stitch by their names. */
    List<String> steps(Bundle bundle) {
        return bundle.placed().stream().map(p -> stepName(shown.get().piece(p))).distinct().toList();
    }

    /** When the sitting of a moment begins. */
    Optional<LocalDateTime> sitting(Instant at) {
        return diary().sitting(at.atZone(zone()).toLocalDateTime());
    }

    /** Pins a stitch to a sitting and says at once what that breaks. */
    void pinAndSay(Bundle bundle, LocalDateTime begins) {
        Timetable before = shown.get().table;
        pin(bundle.stone(), steps(bundle), Optional.of(begins));
        Timetable after = shown.get().table;
        if (after != null && before != null) {
            tell(TimetableWords.pinned(name(bundle.stone()), begins, before, after, this::name, zone()));
        }
    }

    void tell(String words) {
        workbench.tell(words);
    }

    // --- at the table

    /** Takes the next piece in hand: from now on its time counts. Begun before or after it was thought to be dry, that is written down. */
    void begin() {
        shown.get().next().ifPresent(next -> {
            Workload.Piece piece = shown.get().piece(next);
            Instant at = instant();
            boolean early = next.start().isAfter(at.plus(SLACK));
            boolean late = notYet.remove(piece.stone()) != null;
            Optional<Diary.Drying> told = early || late ? waitedFor(piece, at) : Optional.empty();
            inHand.set(new InHand(piece.stone(), stepName(piece), piece.part(), at));
            told.ifPresent(dry -> edit("Dry after all", d -> d.withDryings(plus(d.dryings(), dry))));
            if (early) {
                askedFrom = null;
                ask();
            }
        });
    }

    private static List<Diary.Drying> plus(List<Diary.Drying> known, Diary.Drying one) {
        List<Diary.Drying> more = new ArrayList<>(known);
        more.add(one);
        return more;
    }

    /** The drying that a piece waited for the longest, if it waited for paint. */
    private Optional<Diary.Drying> waitedFor(Workload.Piece piece, Instant at) {
        PaintPlan plan = shown.get().plans.get(piece.stone());
        DoneSteps done = new DoneSteps(plan, diary());
        Instant longest = Instant.MIN;
        Diary.Drying found = null;
        for (Step.After after : plan.steps().get(piece.step()).after()) {
            Step before = plan.steps().get(after.step());
            Optional<Diary.Deed> deed = done.done(after.step(), ManyStones.parts(before) - 1);
            Duration lag = deed.map(d -> wait(plan, before, after.lag(before), d.to())).orElse(Duration.ZERO);
            if (deed.isPresent() && lag.toSeconds() > 0 && deed.get().to().plus(lag).isAfter(longest)) {
                longest = deed.get().to().plus(lag);
                found = new Diary.Drying(ManyStones.load(before), lag.toSeconds(),
                        Math.max(0, Duration.between(deed.get().to(), at).toSeconds()));
            }
        }
        return Optional.ofNullable(found);
    }

    /** How long what was laid at a moment dries in the room of that sitting. */
    private Duration wait(PaintPlan plan, Step step, Duration usual, Instant laid) {
        return ManyStones.driesInAir(plan, step) ? room().wait(usual, sitting(laid).orElse(laid.atZone(zone()).toLocalDateTime())) : usual;
    }

    /** What comes next, if it was begun. */
    Optional<InHand> begun() {
        return shown.get().next().map(n -> shown.get().piece(n)).flatMap(p -> Optional.ofNullable(inHand.get())
                .filter(b -> b.of(p, shown.get().plans.get(p.stone()).names())));
    }

    String stepName(Workload.Piece piece) {
        return shown.get().plans.get(piece.stone()).names().get(piece.step());
    }

    /**
     * What is in hand, or else comes next, is done: its waits begin. The order of its stone stays from the first paint on.
     *
     * @return the time it took, if that is longer than painting takes
     */
    Optional<Duration> done() {
        Shown known = shown.get();
        Optional<Timetable.Placed> next = known.next();
        if (next.isEmpty()) {
            return Optional.empty();
        }
        Workload.Piece piece = known.piece(next.get());
        Instant end = instant();
        String step = stepName(piece);
        Instant since = begun().filter(b -> b.since.isBefore(end)).map(InHand::since).orElse(end);
        Step what = known.step(piece);
        Diary.Deed deed = new Diary.Deed(piece.stone(), step, piece.part(), since, end, false, ManyStones.work(what),
                Math.round(next.get().takes().toSeconds() / diary().hand(ManyStones.work(what)).factor()));
        PaintPlan plan = known.plans.get(piece.stone());
        inHand.set(null);
        usual = next.get().takes();
        workbench.editStudio("Done: " + StepWords.title(known.step(piece)), s -> s.withDiary(lying(s.diary().plus(deed), piece, what,
                step)).edit(piece.stone(),
                        p -> p.order().isEmpty() && known.step(piece) instanceof Step.Lay ? p.withOrder(plan.order()) : p));
        Duration took = Duration.between(since, end);
        return took.compareTo(usual.multipliedBy(3)) > 0 && took.compareTo(usual.plus(IDLE)) > 0 ? Optional.of(took) : Optional.empty();
    }

    private Diary lying(Diary diary, Workload.Piece piece, Step what, String step) {
        return what instanceof Step.Seal ? diary.withoutLaid(piece.stone())
                : what instanceof Step.Lay ? diary.withLaid(piece.stone(), step, whereItLies(what)) : diary;
    }

    /** What was done last took as long as it does as a rule. */
    void asUsual() {
        diary().last().ifPresent(last -> edit("The usual time",
                d -> d.withoutLast()
                        .plus(new Diary.Deed(last.stone(), last.step(), last.part(), last.to().minus(usual), last.to(), false))));
    }

    /** What comes next is not dry yet: its stone is left for a while. */
    void notYet(Duration wait) {
        shown.get().next().ifPresent(next -> {
            inHand.set(null);
            notYet.put(shown.get().piece(next).stone(), instant().plus(wait));
            askedFrom = null;
            ask();
        });
    }

    /** Whether two moments lie in the same sitting. */
    boolean sameSitting(Instant one, Instant other) {
        return sitting(other).filter(begins -> !begins.atZone(zone()).toInstant().isAfter(one)).isPresent();
    }

    /** What was done last counts as not done. */
    boolean back() {
        inHand.set(null);
        return diary().last().filter(d -> !Diary.isOfEarlier(d)).isPresent() && edit("Not done after all", Diary::withoutLast);
    }

    /** What was done last on the stone in hand is to be done again. */
    boolean again() {
        Optional<Diary.Deed> last = diary().last().filter(d -> !d.spoiled() && !Diary.isOfEarlier(d));
        inHand.set(null);
        return last.isPresent() && edit("To be done again",
                d -> d.plus(new Diary.Deed(last.get().stone(), last.get().step(), last.get().part(), last.get().to(),
                        later(instant(), last.get().to()), true)));
    }

    private static Instant later(Instant one, Instant other) {
        return one.isBefore(other) ? other : one;
    }

    // --- what dries

    /** Until when what was done on a stone must not be touched; empty if it can be. */
    public Optional<Drying> drying(String stone) {
        if (diary() != dryFrom || room() != dryIn) {
            dryFrom = diary();
            dryIn = room();
            dries.clear();
        }
        PaintPlan plan = plan(stone).orElse(null);
        Known known = dries.get(stone);
        if (plan != null && (known == null || known.plan != plan)) {
            known = new Known(plan, longest(plan));
            dries.put(stone, known);
        }
        return Optional.ofNullable(known).flatMap(Known::drying).filter(d -> d.until.isAfter(now.get()));
    }

    private record Known(PaintPlan plan, Optional<Drying> drying) {}

    private Optional<Drying> longest(PaintPlan plan) {
        DoneSteps done = new DoneSteps(plan, diary());
        Drying longest = null;
        for (int i = 0; done.begun() && i < plan.steps().size(); i++) {
            Step step = plan.steps().get(i);
            int parts = ManyStones.parts(step);
            Learned dries = diary().dries(ManyStones.load(step));
            for (int part = 0; part < parts; part++) {
                Optional<Diary.Deed> deed = done.done(i, part);
                Duration planned = part < parts - 1 ? step.work().between().dividedBy(parts - 1) : step.work().dries();
                if (deed.isPresent() && !planned.isZero()) {
                    Instant since = deed.get().to();
                    Duration usual = wait(plan, step, planned, since);
                    Drying each = new Drying(since, since.plus(dries.of(usual)), since.plus(dries.atMost(usual)));
                    longest = longest == null || each.until.isAfter(longest.until) ? each : longest;
                }
            }
        }
        return Optional.ofNullable(longest);
    }

    /**
     * Paint that dries.
     *
     * @param until when it is expected to be dry
     * @param latest when it is dry where it takes long
     */
    public record Drying(Instant since, Instant until, Instant latest) {
        /** How far it is, 0 to 1. */
        public double share(Instant at) {
            double whole = Math.max(1, Duration.between(since, until).toMillis());
            return Math.max(0, Math.min(1, Duration.between(since, at).toMillis() / whole));
        }
    }

    /** When a stone is ready by the timetable, if that was made for the stone as it is. */
    public Optional<Instant> ready(PaintPlan plan) {
        Shown known = shown.get();
        String stone = plan.project().id();
        PaintPlan planned = known.plans.get(stone);
        if (known.table == null || planned == null || !planned.project().equals(plan.project())) {
            return Optional.empty();
        }
        if (readyBy != known.table) {
            readyBy = known.table;
            ready = readyBy.ready();
        }
        return Optional.ofNullable(ready.get(stone)).map(Timetable.Ready::at);
    }

    /** Ids of the stones in the order in which they are ready by the timetable; none where there is no timetable. */
    public List<String> inTurn() {
        Timetable table = shown.get().table;
        return table == null ? List.of() : table.ready().values().stream().sorted(Comparator.comparing(Timetable.Ready::at))
                .map(Timetable.Ready::stone).toList();
    }

    /** How many steps of a stone are done from the first on: as far as its picture goes. */
    public int stepsDone(String stone) {
        return plan(stone).map(p -> new DoneSteps(p, diary()).inOrder()).orElse(0);
    }

    /** Plans a stone anew on what lies there, whatever was changed since it was painted. */
    void planOn(String stone) {
        plan(stone).ifPresent(plan -> workbench.editStudio("Plan on from what lies there", s -> s.withDiary(s.diary().begunAnew(stone))
                .edit(stone, p -> p.withOldPaint(new DoneSteps(plan, s.diary()).lying()).withOrder(List.of()))));
    }

    /** Steps done on a stone that its plan knows no more: it was changed since. */
    public int strangers(String stone) {
        return plan(stone).map(p -> new DoneSteps(p, diary()).strangers()).orElse(0);
    }
}
