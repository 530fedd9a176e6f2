package mosspebble.app.shell;

import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Late;
import mosspebble.app.control.Pulses;
import mosspebble.app.basket.BasketScreen;
import mosspebble.app.book.BookModel;
import mosspebble.app.book.BookScreen;
import mosspebble.app.buildup.BuildUpScreen;
import mosspebble.app.buildup.MendModel;
import mosspebble.app.buildup.PaintTool;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.cloth.ClothView;
import mosspebble.app.cloth.OtherSideView;
import mosspebble.app.cloth.DaubString;
import mosspebble.app.cloth.SliceLine;
import mosspebble.app.cloth.SliceEdge;
import mosspebble.app.cloth.SliceView;
import mosspebble.app.cloth.StepBar;
import mosspebble.app.colour.ColourScreen;
import mosspebble.app.compare.CompareScreen;
import mosspebble.app.control.TextSize;
import mosspebble.app.finish.FinishModel;
import mosspebble.app.finish.FinishScreen;
import mosspebble.app.model.Action;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Navigator;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.photo.PhotoScreen;
import mosspebble.app.proof.ProofScreen;
import mosspebble.app.repertoire.Catalogue;
import mosspebble.app.repertoire.LibraryScreen;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.app.shelf.ShelfScreen;
import mosspebble.app.sitting.SittingModel;
import mosspebble.app.sitting.SittingScreen;
import mosspebble.app.sitting.WorkAlongView;
import mosspebble.app.sketch.SketchModel;
import mosspebble.app.sketch.SketchScreen;
import mosspebble.app.stone.StoneModel;
import mosspebble.app.stone.StoneScreen;
import mosspebble.core.book.Page;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.TakenOut;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.rules.WhereFound;
import mosspebble.core.words.BookWords;
import mosspebble.core.timetable.Timetable;
import mosspebble.files.BookKeeping;
import mosspebble.files.FileTrouble;
import mosspebble.files.Journal;
import mosspebble.instruments.BenchCamera;
import mosspebble.instruments.ClimateProbe;
import mosspebble.instruments.KitchenScale;
import mosspebble.instruments.StripeReader;

/** The whole window: path, cloth, stage, tray, name, command field. */
public final class Shell extends StackPane {

    /** Share of the window that a column of larger words takes at most. */
    private static final double MOST_OF_WINDOW = 0.5;

    /** How high the hem with its figures is, px. */
    private static final double HEM = 36;

    /** So often the window is drawn before its column is made. */
    private static final int FIRST_PULSES = 4;

    /** Seconds to wait for the book at the end: a large photo may be on its way. */
    private static final long LONGEST_WRITING = 20;

    private final Workbench workbench;
    private final Results show;
    private final PlanWorker worker;
    private final Navigator navigator;
    private final House house;
    private final Clock clock;
    private final FileWork files;
    private final Notices notices;
    private final List<Screen> screens;
    private final List<Action> actions = new ArrayList<>();
    private final MendModel mend;
    private final MoreLikeIt more;
    private final WholeStudio whole;
    private final SittingModel sitting;
    private final FinishModel finish;
    private final StoneModel stone;
    private final SketchModel sketch;
    private final BookModel book;
    /** Where the book is read and written; what comes after the end is dropped. */
    private final ExecutorService writing = new ThreadPoolExecutor(1, 1, 0, TimeUnit.SECONDS, new LinkedBlockingQueue<>(), work -> {
        Thread thread = new Thread(work, "book");
        thread.setDaemon(true);
        return thread;
    }, new ThreadPoolExecutor.DiscardPolicy());
    private final ClothView cloth;
    private final StackPane onCloth;
    private final StackPane middle;
    private final ScrollPane stagePane = new ScrollPane();
    private boolean filled;
    private boolean coming;
    private final FindingsBox findings;
    private final FlowPane stageHead = new FlowPane();
    private final Label stageName = new Label();
    private final SliceView sliceView;
    private final SliceEdge sliceEdge;
    private final VBox column = new VBox();
    private boolean sliceOpen;
    private final StepBar stepBar;
    private final DaubString daubs;
    private final Beginnings beginnings;
    private final FirstStone firstStone;
    private final Covers covers = new Covers(this);
    private final Covers.Cover<Drawer> drawer;
    private final Covers.Cover<HelpView> help;
    private final Covers.Cover<ComfortView> comfort;
    private final Covers.Cover<AboutView> about;
    private final Covers.Cover<WorkAlongView> along;
    private final Covers.Cover<Reading> log;
    private final Covers.Cover<Reading> told;
    private final Announcer announcer;
    private final StudioFiles studioFiles;
    private final BorderPane frame;
    private final PathRail path;
    private final Unseen unseen;
    private final Rehearsal rehearsal;
    private final Dress dress;
    private Screen opened;

    /** What the window asks of the program around it: the studio's file, its copies and its log. */
    public interface House {
        /** The folder in which the studio lies. */
        Path folder();

        /** Saves a copy of the studio as it is shown, whether or not the disk has taken all of it. */
        void saveCopy(Path to) throws FileTrouble;

        void saveReport(Path to) throws FileTrouble;

        /** The painter's book, in the studio's file. */
        BookKeeping book();

        String log();

        /** Which version this is, and where what is kept lies. */
        AboutView.Facts about();

        /** Opens the demo beside it, in a window of its own. */
        void lookRound();

        void close();
    }

    /** What stands on the bench, and what comes from outside. */
    public record Instruments(ClimateProbe probe, BenchCamera camera, KitchenScale scale, StripeReader reader, Timetable.Solver solver,
            Clock clock) {}

    public Shell(Workbench workbench, Results show, PlanWorker worker, House house, Instruments bench) {
        this.workbench = workbench;
        this.show = show;
        this.worker = worker;
        this.house = house;
        this.clock = bench.clock;
        this.navigator = new Navigator(workbench);
        this.files = new FileWork(workbench, FileWork.aside(), Platform::runLater);
        getStyleClass().add("shell");
        getStylesheets().add(Shell.class.getResource("/mosspebble/app/mosspebble.css").toExternalForm());
        SliceLine line = new SliceLine();
        Surroundings with = new Surroundings(workbench, show, worker, files, navigator, this::toCloth, bench.clock);
        this.more = new MoreLikeIt(workbench);
        this.studioFiles = new StudioFiles(workbench, files, house, () -> getScene().getWindow());
        this.whole = new WholeStudio(workbench, files, house.book(), bench.clock, () -> getScene().getWindow());
        this.sitting = new SittingModel(workbench, show, worker, bench.solver, bench.clock);
        this.finish = new FinishModel(workbench, show, worker);
        finish.inTurn(sitting::inTurn);
        finish.sittings(sitting::pages, sitting::planHere);
        sitting.shownProperty().addListener((o, a, b) -> finish.sittingsChanged());
        this.mend = new MendModel(workbench, show, worker);
        PaintTool painting = new PaintTool(workbench, line, mend);
        StoneScreen stoneScreen = new StoneScreen(with, line, bench.scale);
        SketchScreen sketchScreen = new SketchScreen(with);
        CompareScreen compare = new CompareScreen(with);
        ProofScreen proof = new ProofScreen(with, bench.camera);
        this.stone = stoneScreen.model();
        this.sketch = sketchScreen.model();
        this.book = new BookModel(workbench, show, worker, house.book(), bench.clock, sketch::title, writing,
                Platform::runLater);
        finish.labels(bench.clock, sketch::title);
        finish.toldBy(sealer -> book.told(sealer.name(), finish.outdoors()));
        // a screen more is a folder of its own and one entry here
        this.screens = List.of(stoneScreen, sketchScreen, new ColourScreen(with),
                new BuildUpScreen(with, mend, painting, new BuildUpScreen.Aside(compare::compare, proof::hold)),
                new SittingScreen(with, sitting, bench.probe, painting, this::sitDown),
                new FinishScreen(with, finish, painting, () -> perform("Write this stone into the book")),
                new BookScreen(with, book),
                new PhotoScreen(with, bench.camera), new BasketScreen(with),
                new LibraryScreen(with, sketch, sketchScreen.tracing(), sketchScreen.sheets()),
                new ShelfScreen(with, bench.reader),
                compare, proof);
        Map<Stage, ClothTool> tools = new EnumMap<>(Stage.class);
        screens.forEach(screen -> screen.tool().ifPresent(tool -> tools.put(screen.stage(), tool)));
        cloth = new ClothView(workbench, show, line, tools);
        findings = new FindingsBox(workbench, show, this::perform);
        findings.shownProperty().addListener((o, a, b) -> cloth.pin(b == null || show.plan() == null ? Optional.empty()
                : WhereFound.of(b, show.plan())));
        sliceView = new SliceView(workbench, show, line);
        sliceEdge = new SliceEdge(workbench, show, line, this::openSlice);
        stepBar = new StepBar(workbench, show);
        daubs = new DaubString(workbench, show);
        beginnings = new Beginnings(workbench, navigator, new Beginnings.Ways(this::newStone, house::lookRound,
                this::sampleShelf, () -> perform(ShelfScreen.ADD), () -> perform(ShelfScreen.BRING)));
        notices = new Notices(workbench, files, studioFiles::saveCopy, this::showLog, house::close);
        StackPane.setAlignment(notices, Pos.TOP_CENTER);
        OtherSideView other = new OtherSideView(workbench, show);
        StackPane.setAlignment(other, Pos.TOP_RIGHT);
        StackPane.setMargin(other, new Insets(40, 10, 0, 0));
        StackPane.setAlignment(sliceView, Pos.BOTTOM_CENTER);
        firstStone = new FirstStone(workbench);
        StackPane.setAlignment(firstStone, Pos.TOP_LEFT);
        StackPane.setMargin(firstStone, new Insets(HEM, 12, 0, 40)); // within the hem, above the stone
        onCloth = new StackPane();
        Late.in(onCloth, cloth, other, firstStone);
        middle = new StackPane();
        Late.in(middle, onCloth, beginnings, new FailedBox(workbench, show, this::showLog), notices);
        List.of(onCloth.visibleProperty(), firstStone.visibleProperty(), firstStone.heightProperty())
                .forEach(where -> where.addListener(o -> placeNotices()));
        placeNotices();
        BorderPane centre = new BorderPane(middle);
        VBox below = new VBox();
        Panel.present(stepBar, false);
        Late.in(below, sliceEdge, daubs, stepBar);
        centre.setBottom(below);
        centre.setMinWidth(0);
        frame = new BorderPane(centre);
        frame.setTop(new Head(with, sitting, book, new Head.Deeds(this::escape, () -> perform("Open the book"), this::openDrawer)));
        path = new PathRail(workbench, show);
        column();
        frame.setBottom(new TrayView(workbench, show, sitting, more, this::newStone));
        getChildren().add(frame);
        drawer = covers.with(this::drawer, Drawer::close);
        help = covers.with(() -> new HelpView(this::actions, this::toCloth), HelpView::close);
        comfort = covers.with(() -> new ComfortView(workbench, this::toCloth), ComfortView::close);
        about = covers.with(() -> new AboutView(this::showLog, this::toCloth), AboutView::close);
        announcer = new Announcer(this, workbench, show, clock);
        along = covers.with(() -> new WorkAlongView(workbench, show, worker, sitting,
                new WorkAlongView.Deeds(this::toCloth, this::putRight, announcer::sayInstead)), WorkAlongView::close);
        log = covers.with(() -> new Reading(Reading.WRITTEN_DOWN, this::toCloth,
                Panel.button("log-report", "Save a report …", "All of this in one file", studioFiles::saveReport)), Reading::close);
        told = covers.with(() -> new Reading(Reading.TOLD, this::toCloth), Reading::close);
        unseen = new Unseen(this, screens, middle, covers, List.of(drawer::ready, comfort::ready, help::ready));
        rehearsal = new Rehearsal(this, show::idle, unseen::pieces);
        dress = new Dress(this, new Dress.Sides(frame, column, path), () -> workbench.studio().view(), unseen::putAway, () -> {
            columnWidth(current().columnWidth());
            rehearsal.again();
        });
        workbench.stepProperty().addListener((o, a, b) -> rehearsal.putOff()); // it plays
        makeActions();
        mend.pointingProperty().addListener((o, a, b) -> slice());
        navigator.asideProperty().addListener((o, a, b) -> goTo());
        book.bookProperty().addListener((o, a, b) -> refresh()); // the seals tell what the book knows of them
        stone.pageProperty().addListener((o, a, b) -> stage());
        finish.matterProperty().addListener((o, a, b) -> stage());
        workbench.stageProperty().addListener((o, a, b) -> goTo());
        workbench.shownProperty().addListener((o, a, b) -> {
            boolean underHand = workbench.isDrafting() && a != null && b != null && a.stone().equals(b.stone());
            if (!underHand) { // the column follows when the hand lets go
                refresh();
            }
        });
        workbench.studioProperty().addListener((o, a, b) -> refresh());
        show.planProperty().addListener((o, a, b) -> {
            refresh();
            book.read(); // once the stone on the cloth is there
        });
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        stage();
        refresh();
        Pulses.after(FIRST_PULSES, () -> {
            filled = true;
            stage();
        });
    }

    /** What is told lies below the figures of the hem, and below what leads through the first stone. */
    private void placeNotices() {
        double led = firstStone.isVisible() ? firstStone.getHeight() + 8 : 0;
        StackPane.setMargin(notices, new Insets(onCloth.isVisible() ? HEM + led : 0, 0, 0, 0));
    }

    private void column() {
        stagePane.setFitToWidth(true);
        stagePane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        stagePane.getStyleClass().add("stage-scroll");
        VBox.setVgrow(stagePane, Priority.ALWAYS);
        stageName.getStyleClass().add("stage-name");
        stageHead.getStyleClass().add("stage-head");
        stageHead.setMinHeight(Region.USE_PREF_SIZE);
        stageHead.getChildren().add(stageName);
        column.getChildren().setAll(stageHead, stagePane, sliceView, findings);
        column.getStyleClass().add("stage");
        widthProperty().addListener((o, a, b) -> columnWidth(current().columnWidth()));
    }

    private void columnWidth(double wide) {
        double wished = wide * TextSize.column(workbench.studio());
        double grown = Math.min(wished, Math.max(wide, MOST_OF_WINDOW * getWidth()));
        column.setMinWidth(grown);
        column.setPrefWidth(grown);
        column.setMaxWidth(grown);
    }

    private void sampleShelf() {
        perform(ShelfScreen.SAMPLE);
        toCloth();
    }

    private void toCloth() {
        cloth.requestFocus();
    }

    // --- what lies over the window

    private void showLog() {
        files.run("Reading the log", house::log, text -> log.onTop().open(text));
    }

    private void openAbout(AboutView.Page page) {
        AboutView view = about.onTop();
        view.open(page);
        files.run("Looking what is kept", house::about, view::tell);
    }

    /** What changed, after an update. */
    public void tellNews() {
        openAbout(AboutView.Page.CHANGED);
    }

    /** Opens what helps at the table. */
    private void sitDown() {
        sitting.activate();
        along.onTop().open();
    }

    private Drawer drawer() {
        Drawer made = new Drawer(this::actions, () -> stageScreen().title(), this::spoken, this::toCloth);
        StackPane.setAlignment(made, Pos.TOP_RIGHT);
        return made;
    }

    private void openDrawer() {
        drawer.onTop().open();
    }

    /** Asks before the window closes over what is not kept. */
    public void askBeforeClosing() {
        notices.askBeforeClosing();
    }

    // --- actions

    private void makeActions() {
        actions.add(Action.of("Everything by name", this::openDrawer).key("/").also("command", "find", "do"));
        actions.add(Action.of("All keys and what they do", () -> help.onTop().open()).key("?").also("help", "shortcuts"));
        for (Screen screen : screens) {
            if (!screen.isAside()) {
                actions.add(
                        Action.of("Go to " + screen.title(), screen::go).key(String.valueOf(screen.stage().ordinal() + 1)).also("stage"));
            }
        }
        actions.add(Action.of("New stone", this::newStone).key("N").also("begin", "add a stone"));
        actions.addAll(more.actions());
        screens.forEach(screen -> screen.actions().forEach(a -> actions.add(a.in(home(screen)))));
        actions.add(Action.of("Play the painting", stepBar::toggle).key("Y").where(this::painted).also("film", "animate"));
        actions.add(Action.of("Hold this moment to compare", stepBar::hold).key("H").where(this::painted));
        actions.add(Action.of("Next step", () -> stepBar.by(1)).key("."));
        actions.add(Action.of("Step before", () -> stepBar.by(-1)).key(","));
        actions.add(Action.of("Look: dry, wet, curing, sealed", stepBar::nextLook).key("L").also("wet", "varnish"));
        actions.add(Action.of("Light on the stone: day, warm lamp, cool lamp, flat",
                () -> workbench.seenByProperty().set(workbench.seenByProperty().get().next())).key("T").also("LED", "candle", "colours"));
        actions.add(Action.of("The slice through the paint, open or shut", () -> {
            navigator.go(Stage.BUILD_UP);
            openSlice();
        }).also("cut", "film", "thickness", "coats"));
        actions.add(Action.of("Look closer at the stone", cloth::closer).key("Z").where(this::onCloth).also("zoom", "enlarge"));
        actions.add(Action.of("Look from farther", cloth::farther).key("Shift Z").where(this::onCloth).also("zoom out"));
        actions.add(Action.of("Show the stone as large as it is", cloth::trueSize).where(this::onCloth).also("true size", "1:1", "zoom"));
        actions.add(Action.of("See the whole stone", cloth::whole).key("W").where(this::onCloth).also("fit", "zoom"));
        actions.add(Action.of("Evening or day light on the screen", () -> workbench.look(s -> s.withView(s.unit(), !s.evening()))).key("E")
                .also("dark", "bright", "night"));
        actions.add(Action.of("Words larger", () -> words(true)).key("Ctrl +").also("text", "font", "zoom", "bigger"));
        actions.add(Action.of("Words smaller", () -> words(false)).key("Ctrl -").also("text", "font"));
        actions.add(
                Action.of("Eyes and hands", () -> comfort.onTop().open()).also("settings", "contrast", "left-handed", "text size", "motion",
                        "flash"));
        actions.add(Action.of("Take in a stone from a file", studioFiles::takeIn).also("open", "import", "friend", "load"));
        actions.add(Action.of("Save a copy of the studio", studioFiles::saveCopy).also("backup"));
        actions.addAll(whole.actions());
        actions.add(Action.of("Read what was told", () -> told.onTop().open(announcer.toRead())).key("Ctrl T").also("notice", "message",
                "finding", "again", "hear"));
        actions.add(Action.of("Show the log", this::showLog).also("trouble", "error"));
        actions.add(
                Action.of("About Moss Pebble", () -> openAbout(AboutView.Page.KEPT)).also("version", "licence", "where", "folder", "news"));
        actions.add(Action.of("Save a report for whoever helps", studioFiles::saveReport).also("bug"));
        actions.add(Action.of("Take this stone off the cloth", this::remove).also("delete", "remove"));
        actions.add(Action.of("Undo", workbench::undo).key("Ctrl Z"));
        actions.add(Action.of("Redo", workbench::redo).key("Ctrl Shift Z"));
        actions.add(Action.of("Back to the cloth", this::escape).key("Escape").where(() -> !navigator.onCloth()).also("close"));
    }

    /** Title of the stage that a screen is, or to which it belongs. */
    private String home(Screen screen) {
        return screens.stream().filter(s -> !s.isAside() && s.stage() == screen.stage()).findFirst().orElse(screen).title();
    }

    private boolean onCloth() {
        return workbench.shown().isPresent() && onCloth.isVisible();
    }

    private boolean painted() {
        return workbench.stageProperty().get().compareTo(Stage.COLOUR) >= 0;
    }

    /** Everything that can be done by name now: what always can, and taking up each stone there is. */
    public List<Action> actions() {
        List<Action> all = new ArrayList<>(actions);
        workbench.studio().projects()
                .forEach(p -> all.add(Action.of("Take up " + p.name(), () -> workbench.choose(p.id())).in("Stones in hand")));
        return all;
    }

    /** Adds something that can be done here and now. */
    public void offer(String name, Runnable run) {
        actions.add(Action.of(name, run));
    }

    private void words(boolean larger) {
        workbench.look(s -> s.withComfort(s.view().comfort().sized(larger)));
        workbench.tell("Words are " + workbench.studio().view().comfort().textPercent() + " % of their usual size.");
    }

    /** To where a mistake is pointed at. */
    private void putRight() {
        perform("Build-up: put it right");
    }

    /** What was asked for in so many words, everything of the library that has them in its title, and pages of the book that have them. */
    private List<Action> spoken(String text) {
        if (text.strip().length() < 3) {
            return List.of();
        }
        Stream<Action> put = Catalogue.found(workbench.studio(), text).stream().limit(12)
                .map(offer -> Action.of("Put on the stone: " + offer.title(), () -> {
                    navigator.go(Stage.SKETCH);
                    sketch.take(offer.subject(), true);
                }));
        Stream<Action> turn = Optional.ofNullable(book.bookProperty().get()).stream().flatMap(b -> b.found(text).stream()).limit(6)
                .map(page -> Action.of("Turn to " + page.stone().name() + " of " + BookWords.shortDay(page.made().finished()), () -> {
                    book.turnTo(page.id());
                    perform("Open the book");
                }));
        return Stream.concat(put, turn).toList();
    }

    private void remove() {
        workbench.shown().ifPresent(project -> workbench.editStudio("Take " + project.name() + " off the cloth", s -> {
            Studio without = s.without(project.id());
            PaintPlan plan = show.plan();
            return plan == null || !plan.project().id().equals(project.id()) ? without // what its passes took stays out of the jars
                    : without.withShelf(TakenOut.from(s.shelf(), new TakenOut(plan, s.diary()).byPaint()));
        }));
    }

    private void newStone() {
        int number = workbench.studio().projects().size() + workbench.studio().basket().size() + 1;
        workbench.add(Project.standIn("stone-" + UUID.randomUUID(), "Stone " + number));
        navigator.go(Stage.STONE);
    }

    /** Does what has this name in the command field, or puts on the stone what is asked for in so many words. */
    public void perform(String name) {
        actions().stream().filter(d -> d.name().equalsIgnoreCase(name)).findFirst().or(() -> spoken(name).stream().findFirst())
                .ifPresentOrElse(d -> d.run().run(), () -> workbench.tell("There is nothing called \"" + name + "\"."));
    }

    private void key(KeyEvent e) {
        if (e.isControlDown() && e.getCode() == KeyCode.K) {
            openDrawer();
            e.consume();
            return;
        }
        if (e.isControlDown() && e.getCode() == KeyCode.Y && !typing(e)) {
            workbench.redo();
            e.consume();
            return;
        }
        if (e.getCode() == KeyCode.ESCAPE && covers.uncover()) { // also when the focus has gone elsewhere
            e.consume();
            return;
        }
        if (e.isControlDown() ? typing(e) : covers.any() || e.isAltDown() || Keys.belongToTheFocus(e)) {
            return;
        }
        if (e.getCode() == KeyCode.ESCAPE) {
            boolean away = !navigator.onCloth();
            escape();
            if (away) {
                e.consume();
            }
            return;
        }
        Optional<Action> meant = actions.stream().filter(a -> Keys.match(a.key(), e) && a.where().getAsBoolean()).findFirst();
        meant.ifPresent(action -> {
            action.run().run();
            e.consume();
        });
    }

    private void escape() {
        files.stop();
        workbench.tell("");
        sketch.pencilProperty().set(false);
        if (!navigator.onCloth()) {
            navigator.back();
            toCloth();
        }
    }

    /** In a field that has text of its own to undo, Ctrl Z is the field's. */
    private static boolean typing(KeyEvent e) {
        boolean letters = e.getCode() == KeyCode.C || e.getCode() == KeyCode.V; // copied and pasted in a field whatever is in it
        return e.getTarget() instanceof TextInputControl field && (letters || field.isUndoable());
    }

    // --- refresh

    /** The screen that has the middle: a view aside, else that of the stage. */
    private Screen current() {
        String aside = navigator.asideProperty().get();
        return screens.stream()
                .filter(s -> aside.isEmpty() ? !s.isAside() && s.stage() == workbench.stageProperty().get() : s.id().equals(aside))
                .findFirst().orElseThrow();
    }

    private Screen stageScreen() {
        return screens.stream().filter(s -> !s.isAside() && s.stage() == workbench.stageProperty().get()).findFirst().orElseThrow();
    }

    private void goTo() {
        if (!navigator.goesOn()) { // else its own screen is passed by
            stage();
        }
    }

    private void stage() {
        Screen now = current();
        if (filled && !isAtHand(now)) {
            answer(now);
        } else {
            layOut(now);
        }
    }

    private boolean isAtHand(Screen now) {
        return now == opened || unseen.isAtHand(now) && (now.column().isPresent() || unseen.isAtHand(stageScreen()));
    }

    /** Says where the press leads; what stood for another place goes, and what belongs there follows when that has been seen. */
    private void answer(Screen now) {
        screens.stream().filter(Screen::isMade).forEach(each -> each.middle().ifPresent(node -> Panel.present(node, false)));
        Panel.present(this.onCloth, navigator.onCloth());
        stageName.setText(now.title());
        stageHead.getChildren().setAll(stageName);
        stagePane.setContent(null);
        navigator.setOut();
        if (!coming) {
            coming = true;
            Pulses.afterAnswer(() -> {
                coming = false;
                layOut(current());
            });
        }
    }

    private void layOut(Screen now) {
        now.middle().filter(node -> !middle.getChildren().contains(node)).ifPresent(node -> middle.getChildren().add(1, node));
        for (Screen each : screens) {
            if (each.isMade()) {
                each.middle().ifPresent(node -> Panel.present(node, each == now && now.ownsMiddle()));
            }
        }
        boolean onCloth = navigator.onCloth() && (now.middle().isEmpty() || !now.ownsMiddle());
        Panel.present(this.onCloth, onCloth);
        findings.setRoom(navigator.onCloth());
        beginnings.refresh();
        firstStone.refresh(!beginnings.asks());
        stagePane.setVisible(workbench.shown().isPresent() || !onCloth);
        Panel.present(column, workbench.shown().isPresent() || !navigator.onCloth());
        stageName.setText(now.title());
        panel().filter(panel -> stagePane.getContent() != panel).ifPresent(panel -> {
            stagePane.setContent(panel);
            stagePane.setVvalue(0);
            stageHead.getChildren().setAll(stageName, panel.besideTitle());
        });
        slice();
        Panel.present(stepBar, painted() && onCloth && workbench.shown().isPresent());
        columnWidth(now.columnWidth());
        Panel.present(daubs, onCloth && painted() && workbench.stageProperty().get() == Stage.BUILD_UP);
        if (!painted()) {
            stepBar.stop();
            workbench.heldProperty().set(-1);
            workbench.stepProperty().set(workbench.stageProperty().get() == Stage.STONE ? 0 : Integer.MAX_VALUE);
        } else if (workbench.stepProperty().get() == 0) {
            workbench.stepProperty().set(Integer.MAX_VALUE);
        }
        if (workbench.stageProperty().get() != Stage.BUILD_UP) {
            mend.pointingProperty().set(false);
        }
        panel().ifPresent(Panel::refresh);
        if (filled) {
            unseen.seen(now);
            unseen.seen(now.column().isPresent() ? now : stageScreen());
        }
        if (opened != now) {
            opened = now;
            now.opened();
        }
        navigator.arrive();
    }

    /** What stands in the column; nothing until the window has been drawn, which is there sooner so. */
    private Optional<Panel> panel() {
        return filled && !coming ? current().column().or(() -> stageScreen().column()) : Optional.empty();
    }

    /** The slice stands below a painted stone, and below the dome; what mends a mistake needs its room. */
    private void slice() {
        Stage stage = workbench.stageProperty().get();
        boolean cuts = stage == Stage.BUILD_UP && !mend.pointingProperty().get()
                || stage == Stage.STONE && stone.pageProperty().get() == StoneModel.Page.DOME;
        boolean edge = stage == Stage.BUILD_UP;
        Panel.present(sliceEdge, navigator.onCloth() && edge && painted());
        if (edge && !onCloth.getChildren().contains(sliceView)) {
            column.getChildren().remove(sliceView);
            onCloth.getChildren().add(sliceView);
        } else if (!edge && !column.getChildren().contains(sliceView)) {
            onCloth.getChildren().remove(sliceView);
            column.getChildren().add(2, sliceView);
        }
        Panel.present(sliceView, navigator.onCloth() && cuts && (!edge || sliceOpen));
    }

    /** The slice with its figures over the foot of the cloth, or away again. */
    private void openSlice() {
        sliceOpen = !sliceOpen;
        slice();
    }

    /** Makes ready what can be gone to, once nobody asks anything of the window. */
    public void rehearse() {
        rehearsal.begin();
        show.takeInHand();
    }

    /** Whether everything that can be gone to is ready, or nothing was to be made so; for bench and tests. */
    public boolean isRehearsed() {
        return rehearsal.isOver();
    }

    private void refresh() {
        boolean any = workbench.shown().isPresent();
        stagePane.setVisible(any || !navigator.onCloth());
        Panel.present(column, any || !navigator.onCloth()); // nothing is in it before there is a stone
        beginnings.refresh();
        firstStone.refresh(!beginnings.asks());
        dress.follow();
        panel().ifPresent(Panel::refresh);
        stepBar.refresh();
        daubs.refresh();
    }

    /** Waits until what was written into the book is kept; nothing more is taken. To be called before the studio is closed. */
    public void end() {
        writing.shutdown();
        try {
            if (!writing.awaitTermination(LONGEST_WRITING, TimeUnit.SECONDS)) {
                Journal.note("the book was still being written when the window closed");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** What is done when, for bench and tests. */
    public SittingModel sitting() {
        return sitting;
    }

    /** What is saved and taken in, for tests. */
    public StudioFiles files() {
        return studioFiles;
    }

    /** The cloth, for bench and tests. */
    public Node cloth() {
        return cloth;
    }
}
