package mosspebble.app;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Application;
import javafx.application.ConditionalFeature;
import javafx.application.Platform;
import mosspebble.core.plan.PaintPlan;
import javafx.beans.value.ObservableValue;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Dimension2D;
import javafx.geometry.Rectangle2D;
import javafx.scene.Scene;
import javafx.scene.image.Image;
import javafx.scene.text.Font;
import javafx.stage.FileChooser;
import javafx.stage.Screen;
import javafx.stage.Stage;
import mosspebble.app.control.Pulses;
import mosspebble.app.control.ToolkitSheet;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.shell.AboutView;
import mosspebble.files.SeenVersion;
import java.util.Comparator;
import mosspebble.app.shell.Shell;
import mosspebble.app.shell.TroubleView;
import mosspebble.app.sitting.SittingModel;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Studio;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Grams;
import mosspebble.files.BookKeeping;
import mosspebble.files.Backups;
import mosspebble.files.BuiltIn;
import mosspebble.files.CacheFolder;
import mosspebble.files.FileTrouble;
import mosspebble.files.Instead;
import mosspebble.files.Journal;
import mosspebble.files.LanternWalk;
import mosspebble.files.LastPicture;
import mosspebble.files.StudioStore;
import mosspebble.files.TroubleReport;
import mosspebble.instruments.CpSatSolver;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.SimulatedBenchCamera;
import mosspebble.instruments.SimulatedClimateProbe;
import mosspebble.instruments.SimulatedKitchenScale;
import mosspebble.instruments.SimulatedStripeReader;

/** The window and what it stands on: store, workbench, plan desk. */
public final class MossPebbleApp extends Application {

    /** What the command line asked for. */
    public record Wish(Path studio, boolean demo, Path shot, boolean once, Finding.Stage stage, String stone, List<String> deeds,
            Dimension2D size) {}

    private static final long FIRST_SCENE = 309;

    private static final GraphicsCard CARD = GraphicsCard.ofThisMachine(CacheFolder.path());

    private static volatile Wish launched;
    private static volatile CompletableFuture<StudioStore> launchedOpening;
    private static volatile Clock launchedClock = Clock.systemDefaultZone();

    private final Wish wish;
    private final CompletableFuture<StudioStore> opening;
    private final Clock clock;
    /** Whether what can be gone to is made before it is. */
    private final boolean rehearses;
    private StudioStore store;
    private PlanWorker desk;
    private Workbench workbench;
    private Shell shell;
    private Watch watch;
    private Stage window;
    /** The demo looked at beside this, if it is. */
    private MossPebbleApp round;
    private boolean guest;

    /** Made by the toolkit for {@link #launchWith}. */
    public MossPebbleApp() {
        this(launched, launchedOpening, launchedClock, launched.shot() == null);
    }

    MossPebbleApp(Wish wish) {
        this(wish, Clock.systemDefaultZone());
    }

    /** @param clock what time it is, and where */
    MossPebbleApp(Wish wish, Clock clock) {
        this(wish, opening(wish, wish.studio()), clock, false);
    }

    private MossPebbleApp(Wish wish, CompletableFuture<StudioStore> opening, Clock clock, boolean rehearses) {
        this.wish = wish;
        this.opening = opening;
        this.clock = clock;
        this.rehearses = rehearses;
    }

    /** Opens the studio beside the toolkit's own start, which takes as long; where another was begun in its place, that one. */
    private static CompletableFuture<StudioStore> opening(Wish wish, Path asked) {
        Path file = Instead.of(asked);
        if (file.toAbsolutePath().getParent() != null) {
            Journal.beside(file.toAbsolutePath().getParent(), Version.TEXT);
        }
        Supplier<Studio> fresh = wish.demo() ? () -> LanternWalk.studio(BuiltIn.repertoire()) : LanternWalk::newcomer;
        return CompletableFuture.supplyAsync(() -> {
            try {
                return StudioStore.open(file, fresh, () -> wish.demo() ? LanternWalk.book(BuiltIn.repertoire()) : List.of());
            } catch (FileTrouble trouble) {
                Journal.trouble("opening the studio", trouble);
                throw new CompletionException(trouble);
            }
        });
    }

    static void launchWith(Wish what, Clock clock) {
        launched = what;
        launchedClock = clock;
        launchedOpening = opening(what, what.studio());
        CARD.spareSearch();
        launch(MossPebbleApp.class);
    }

    @Override
    public void start(Stage window) {
        ToolkitSheet.wear();
        this.window = window;
        fonts();
        Thread.setDefaultUncaughtExceptionHandler((thread, error) -> stumbled("in " + thread.getName(), error));
        window.setTitle("Moss Pebble");
        window.setOnCloseRequest(e -> {
            if (workbench != null && !workbench.unkeptProperty().get().isEmpty()) {
                workbench.keepAgain();
                if (!workbench.unkeptProperty().get().isEmpty()) {
                    e.consume();
                    shell.askBeforeClosing();
                }
            }
        });
        window.setMinWidth(1100);
        window.setMinHeight(720);
        open(window, wish.studio(), opening);
        Rectangle2D screen = Screen.getPrimary().getVisualBounds();
        window.setWidth(Math.max(window.getMinWidth(), Math.min(wish.size().getWidth(), screen.getWidth())));
        window.setHeight(Math.max(window.getMinHeight(), Math.min(wish.size().getHeight(), screen.getHeight())));
        window.show();
        if (desk != null) {
            Pulses.after(3, desk::begin); // the window first, then what it shows
        }
        Pulses.after(6, () -> window.getIcons().add(new Image(MossPebbleApp.class.getResourceAsStream("icon.png"))));
        if (wish.shot() == null) {
            Pulses.after(8, this::lookForNews);
        }
        boolean found = Platform.isSupported(ConditionalFeature.SCENE3D); // which is drawn by a card alone
        Pulses.after(9, () -> CompletableFuture.runAsync(() -> CARD.remember(found)));
        if (Boolean.getBoolean("mosspebble.endWhenUsable")) {
            Pulses.after(3, () -> {
                System.out.println("usable");
                CARD.remember(found);
                Platform.exit();
            });
        }
    }

    /** After an update what changed is told, once; where a newer version was open here, which this one is. */
    private void lookForNews() {
        if (store == null) {
            return;
        }
        Path folder = store.file().toAbsolutePath().getParent();
        CompletableFuture.supplyAsync(() -> SeenVersion.change(folder, Version.TEXT))
                .thenAccept(before -> before.ifPresent(b -> Platform.runLater(() -> tell(b))));
    }

    private void tell(SeenVersion.Other other) {
        if (other.older()) {
            workbench.tell("This is Moss Pebble " + Version.TEXT + "; the newer " + other.version() + " was open here before.");
        } else {
            shell.tellNews();
        }
    }

    /** What no other place caught: written down, and told to the painter. */
    private void stumbled(String where, Throwable error) {
        Journal.trouble(where, error);
        Platform.runLater(() -> {
            if (workbench != null) {
                workbench.tellTrouble(
                        "The program stumbled over something. What you decided is kept; if it happens again, undo the last change.");
            }
        });
    }

    /** Loads the shipped fonts. */
    public static void fonts() {
        for (String name : new String[] {"AtkinsonHyperlegible_400Regular", "AtkinsonHyperlegible_700Bold", "ZillaSlab_600SemiBold"}) {
            Font.loadFont(BuiltIn.class.getResourceAsStream("fonts/" + name + ".ttf"), 14);
        }
    }

    private void open(Stage window, Path asked, CompletableFuture<StudioStore> coming) {
        try {
            store = coming.join();
            workbench = new Workbench(store.studio(), store::commit);
            Path file = store.file();
            Studio studio = store.studio();
            CompletableFuture<Optional<LastPicture>> last = CompletableFuture
                    .supplyAsync(() -> studio.projects().stream().findFirst().flatMap(p -> LastPicture.read(file, p, Version.TEXT)));
            if (wish.stone() != null) {
                workbench.choose(wish.stone());
            }
            workbench.stageProperty().set(wish.stage());
            shell = scene();
            if (window.getScene() == null) {
                window.setScene(new Scene(shell, 1280, 800));
            } else {
                window.getScene().setRoot(shell);
            }
            if (desk != null && window.isShowing()) {
                Platform.runLater(desk::begin);
            }
            if (rehearses) {
                shell.rehearse();
            }
            keepWatch(asked);
            Results results = (Results) shell.getProperties().get(Results.class);
            last.thenAccept(found -> found.ifPresent(p -> Platform.runLater(
                    () -> results.showBefore(new Results.Bare(studio.projects().get(0), p.grid(), p.pixels())))));
            perform(results);
            if (wish.shot() != null) {
                new Screenshot(window.getScene(), wish.shot(), wish.once()).whenSettled();
            }
        } catch (CompletionException e) {
            if (!(e.getCause() instanceof FileTrouble trouble)) {
                throw e;
            }
            trouble(window, asked, trouble);
            if (wish.shot() != null && wish.once()) {
                new Screenshot(window.getScene(), wish.shot(), true).whenShown();
            }
        }
    }

    /** Does what was asked for on the command line, once there is a plan to do it with. */
    private void perform(Results results) {
        if (results.plan() != null || workbench.shown().isEmpty() || wish.deeds().isEmpty()) {
            wish.deeds().forEach(shell::perform);
            return;
        }
        results.planProperty().addListener(new ChangeListener<PaintPlan>() {
            @Override
            public void changed(ObservableValue<? extends PaintPlan> plan, PaintPlan before, PaintPlan now) {
                results.planProperty().removeListener(this);
                wish.deeds().forEach(shell::perform);
            }
        });
    }

    private void trouble(Stage window, Path asked, FileTrouble trouble) {
        Path file = Instead.of(asked);
        Path beside = beside(file);
        Backups backups = Backups.of(file);
        TroubleView view = new TroubleView(trouble, beside, backups.list(), new TroubleView.Ways() {
            @Override
            public void fresh() {
                try {
                    CompletableFuture<StudioStore> coming = opening(wish, beside);
                    coming.join();
                    if (!trouble.passes()) {
                        Instead.remember(file, beside);
                    }
                    open(window, asked, coming);
                } catch (FileTrouble | CompletionException e) {
                    FileTrouble next = e instanceof FileTrouble t ? t : (FileTrouble) e.getCause();
                    trouble(window, asked, next);
                }
            }

            @Override
            public void restore(Backups.Copy copy) {
                try {
                    Optional<Path> aside = backups.restore(copy);
                    open(window, asked, opening(wish, file));
                    aside.ifPresent(old -> workbench.tell("The copy of " + copy.day()
                            + " is back. The studio that stayed closed is now called " + old.getFileName() + "."));
                } catch (FileTrouble e) {
                    trouble(window, asked, e);
                }
            }

            @Override
            public void look(Backups.Copy copy, Consumer<Studio> found, Consumer<String> damaged) {
                CompletableFuture.runAsync(() -> {
                    try {
                        Studio studio = Backups.look(copy);
                        Platform.runLater(() -> found.accept(studio));
                    } catch (FileTrouble e) {
                        Journal.trouble("looking into a copy", e);
                        Platform.runLater(() -> damaged.accept("This copy is damaged too. " + e.remedy()));
                    }
                });
            }

            @Override
            public void again() {
                open(window, asked, opening(wish, asked));
            }

            @Override
            public void report() {
                FileChooser chooser = new FileChooser();
                chooser.setInitialFileName("moss-pebble-report.txt");
                File to = chooser.showSaveDialog(window);
                if (to != null) {
                    try {
                        TroubleReport.write(to.toPath(), Version.TEXT, file.toAbsolutePath().getParent(), LanternWalk.newcomer());
                    } catch (FileTrouble e) {
                        trouble(window, asked, e);
                    }
                }
            }

            @Override
            public void close() {
                Platform.exit();
            }
        });
        if (window.getScene() == null) {
            window.setScene(new Scene(view, 1280, 800));
        } else {
            window.getScene().setRoot(view);
        }
    }

    /** Says if another studio stands in for the one asked for, and sets the watch. */
    private void keepWatch(Path asked) {
        Path file = store.file();
        if (!Instead.of(asked).equals(asked)) {
            workbench.tell(asked.getFileName() + " stays closed, since it could not be opened; this is " + file.getFileName()
                    + ", begun in its place. \"Try " + asked.getFileName() + " again\" is under Do …");
            shell.offer("Try " + asked.getFileName() + " again", () -> {
                try {
                    Instead.forget(asked);
                    workbench.tell(asked.getFileName() + " is tried again when the program starts next time.");
                } catch (FileTrouble e) {
                    workbench.tell(e.getMessage());
                }
            });
        }
        watch = new Watch(shell.sitting(), workbench, store, Platform::runLater, Watch.thread());
        watch.begin();
    }

    private Shell scene() {
        desk = new PlanWorker(BuiltIn::repertoire, Platform::runLater, error -> workbench
                .tellTrouble("Something could not be worked out: the program stumbled over it. What you decided is kept."));
        Results show = new Results(workbench, desk);
        Shell shell = new Shell(workbench, show, desk, house(), new Shell.Instruments(new SimulatedClimateProbe(7),
                new SimulatedBenchCamera(MossPebbleApp::bench),
                new SimulatedKitchenScale(11, () -> show.plan() == null ? new Grams(0) : lying(show.plan().survey())),
                new SimulatedStripeReader(5), new CpSatSolver(), clock));
        shell.getProperties().put(Results.class, show);
        shell.getProperties().put(Workbench.class, workbench);
        shell.getProperties().put(SittingModel.class, shell.sitting());
        return shell;
    }

    private Shell.House house() {
        return new Shell.House() {
            @Override
            public Path folder() {
                return store.file().getParent();
            }

            @Override
            public void saveCopy(Path to) throws FileTrouble {
                store.copyTo(to, workbench.studio());
            }

            @Override
            public void saveReport(Path to) throws FileTrouble {
                TroubleReport.write(to, Version.TEXT, folder(), workbench.studio());
            }

            @Override
            public BookKeeping book() {
                return store.book();
            }

            @Override
            public String log() {
                return Journal.read(folder());
            }

            @Override
            public AboutView.Facts about() {
                List<Backups.Copy> copies = Backups.of(store.file()).list();
                return new AboutView.Facts(Version.TEXT, store.file().toAbsolutePath(), copies.isEmpty() ? "none so far"
                        : copies.size() + " in " + copies.get(0).file().toAbsolutePath().getParent() + ", the last of "
                                + copies.stream().map(Backups.Copy::day).max(Comparator.naturalOrder()).orElseThrow());
            }

            @Override
            public void lookRound() {
                MossPebbleApp.this.lookRound();
            }

            @Override
            public void close() {
                if (guest) {
                    window.hide();
                } else {
                    Platform.exit();
                }
            }
        };
    }

    /** The demo in a window of its own, beside one's own studio, which stays as it is. */
    private void lookRound() {
        if (round != null && round.window.isShowing()) {
            round.window.toFront();
            return;
        }
        Path walk = store.file().resolveSibling("lantern-walk.pebble");
        MossPebbleApp other = new MossPebbleApp(new Wish(walk, true, null, false, Finding.Stage.BUILD_UP, null, List.of(), wish.size),
                clock);
        other.guest = true;
        round = other;
        Stage beside = new Stage();
        beside.setOnHidden(e -> other.end());
        other.start(beside);
        beside.setTitle("The Lantern Walk");
    }

    /** What lies before the stand-in camera at each shot: three stones first, then one to six. */
    private static BenchScene bench(long shot) {
        return BenchScene.varied(FIRST_SCENE + shot, 2400, 1800);
    }

    /** What the stand-in scale weighs: the stone on the cloth as nature made it, a tenth fuller than the painter thinks. */
    private static Grams lying(Survey survey) {
        Stone stone = survey.stone();
        double fullness = Math.min(Stone.FULLEST, 1.1 * stone.fullness());
        Stone real = stone.withDome(stone.faceShare(), fullness).withBackFullness(stone.flatBack() ? stone.backFullness() : fullness);
        return Survey.of(real).facts().weight();
    }

    /** A free name beside a studio that cannot be opened. */
    static Path beside(Path file) {
        String name = file.getFileName().toString().replaceFirst("\\.pebble$", "");
        for (int i = 2;; i++) {
            Path next = file.resolveSibling(name + "-" + i + ".pebble");
            if (!Files.exists(next)) {
                return next;
            }
        }
    }

    @Override
    public void stop() {
        if (round != null) {
            round.end();
        }
        end();
        Journal.close();
    }

    /** The next window shows the stone it begins with at once. */
    private void keepPicture() {
        ((Results) shell.getProperties().get(Results.class)).first().ifPresent(bare -> {
            try {
                new LastPicture(bare.grid(), bare.pixels()).write(store.file(), bare.of(), Version.TEXT);
            } catch (FileTrouble e) {
                Journal.trouble("keeping the last picture", e);
            }
        });
    }

    /** Closes what this window stands on. */
    private void end() {
        if (shell != null && store != null && !guest) {
            keepPicture();
        }
        if (watch != null) {
            watch.close();
        }
        if (desk != null) {
            desk.close();
        }
        if (shell != null) {
            shell.end();
        }
        if (store != null) {
            store.close();
        }
    }
}
