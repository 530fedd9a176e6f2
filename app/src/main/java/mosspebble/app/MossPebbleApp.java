package mosspebble.app;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Supplier;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import javafx.stage.Stage;
import mosspebble.app.model.PlanDesk;
import mosspebble.app.model.Show;
import mosspebble.app.model.Workbench;
import mosspebble.app.view.Shell;
import mosspebble.app.view.TroubleView;
import mosspebble.core.plan.Finding;
import mosspebble.core.plan.Studio;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Grams;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.files.StudioStore;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.SimulatedBenchCamera;
import mosspebble.instruments.SimulatedClimateProbe;
import mosspebble.instruments.SimulatedKitchenScale;

/** The window and what it stands on: store, workbench, plan desk. */
public final class MossPebbleApp extends Application {

    /** What the command line asked for. */
    public record Wish(Path studio, boolean demo, Path shot, boolean once, Finding.Stage stage, String stone, List<String> deeds) {}

    private static final long FIRST_SCENE = 309;

    private static volatile Wish launched;
    private static volatile CompletableFuture<StudioStore> launchedOpening;

    private final Wish wish;
    private final CompletableFuture<StudioStore> opening;
    private StudioStore store;
    private PlanDesk desk;

    /** Made by the toolkit for {@link #launchWith}. */
    public MossPebbleApp() {
        this(launched, launchedOpening);
    }

    MossPebbleApp(Wish wish) {
        this(wish, opening(wish, wish.studio()));
    }

    private MossPebbleApp(Wish wish, CompletableFuture<StudioStore> opening) {
        this.wish = wish;
        this.opening = opening;
    }

    /** Opens the studio beside the toolkit's own start, which takes as long. */
    private static CompletableFuture<StudioStore> opening(Wish wish, Path file) {
        Supplier<Studio> fresh = wish.demo() ? () -> LanternWalk.studio(BuiltIn.repertoire()) : LanternWalk::newcomer;
        return CompletableFuture.supplyAsync(() -> {
            try {
                return StudioStore.open(file, fresh);
            } catch (FileTrouble trouble) {
                throw new CompletionException(trouble);
            }
        });
    }

    static void launchWith(Wish what) {
        launched = what;
        launchedOpening = opening(what, what.studio());
        launch(MossPebbleApp.class);
    }

    @Override
    public void start(Stage window) {
        fonts();
        window.setTitle("Moss Pebble");
        window.setMinWidth(1100);
        window.setMinHeight(720);
        open(window, wish.studio(), opening);
        window.setWidth(1280);
        window.setHeight(800);
        window.show();
        if (desk != null) {
            Platform.runLater(desk::begin);
        }
        if (Boolean.getBoolean("mosspebble.endWhenUsable")) {
            endAfterPulses(3);
        }
    }

    /** For measuring the start: says so and ends once the window has been drawn and answers. */
    private static void endAfterPulses(int count) {
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                if (++pulses == count) {
                    stop();
                    System.out.println("usable");
                    Platform.exit();
                }
            }
        }.start();
    }

    /** Loads the shipped fonts. */
    public static void fonts() {
        for (String name : new String[] {"AtkinsonHyperlegible_400Regular", "AtkinsonHyperlegible_700Bold", "ZillaSlab_600SemiBold"}) {
            Font.loadFont(BuiltIn.class.getResourceAsStream("fonts/" + name + ".ttf"), 14);
        }
    }

    private void open(Stage window, Path file, CompletableFuture<StudioStore> coming) {
        try {
            store = coming.join();
            Workbench workbench = new Workbench(store.studio(), store::commit);
            if (wish.stone() != null) {
                workbench.choose(wish.stone());
            }
            workbench.stageProperty().set(wish.stage());
            Shell shell = scene(workbench);
            window.setScene(new Scene(shell, 1280, 800));
            wish.deeds().forEach(shell::perform);
            if (wish.shot() != null) {
                new Screenshot(window.getScene(), wish.shot(), wish.once()).whenSettled();
            }
        } catch (CompletionException e) {
            if (!(e.getCause() instanceof FileTrouble trouble)) {
                throw e;
            }
            Path beside = beside(file);
            window.setScene(new Scene(new TroubleView(trouble, beside, () -> open(window, beside, opening(wish, beside)), Platform::exit), 1280, 800));
        }
    }

    private Shell scene(Workbench workbench) {
        desk = new PlanDesk(BuiltIn::repertoire, Platform::runLater, error -> workbench.tell(error.getMessage() == null ? error.toString() : error.getMessage()));
        Show show = new Show(workbench, desk);
        Shell shell = new Shell(workbench, show, desk, new SimulatedClimateProbe(7), new SimulatedBenchCamera(MossPebbleApp::bench),
                new SimulatedKitchenScale(11, () -> show.plan() == null ? new Grams(0) : lying(show.plan().survey())));
        shell.getStylesheets().add(MossPebbleApp.class.getResource("mosspebble.css").toExternalForm());
        shell.getProperties().put(Show.class, show);
        return shell;
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
        if (desk != null) {
            desk.close();
        }
        if (store != null) {
            store.close();
        }
    }
}
