package mosspebble.bench;

import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import mosspebble.app.MossPebbleApp;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.shell.Shell;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Project;
import mosspebble.core.units.Grams;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.SimulatedBenchCamera;
import mosspebble.instruments.SimulatedClimateProbe;
import mosspebble.instruments.SimulatedKitchenScale;
import mosspebble.instruments.SimulatedStripeReader;

/** Drags a thing over each demo stone that has one to drag and prints how far its frames are apart: {@code frame ID median 95th}, ms. */
public final class DragFrames extends Application {

    private static final int MOVES = 150;

    private Workbench workbench;
    private Results show;
    private PlanWorker desk;
    private Node cloth;
    private List<String> stones;

    /** Starts it; apart from the class itself so that the toolkit may come from the module path. */
    public static void main(String[] args) {
        launch(DragFrames.class);
    }

    @Override
    public void start(Stage stage) {
        MossPebbleApp.fonts();
        workbench = new Workbench(LanternWalk.studio(BuiltIn.repertoire()), (studio, title) -> {});
        desk = new PlanWorker(BuiltIn::repertoire, Platform::runLater, Throwable::printStackTrace);
        show = new Results(workbench, desk);
        Shell shell = new Shell(workbench, show, desk, house(), new Shell.Instruments(new SimulatedClimateProbe(7),
                new SimulatedBenchCamera(shot -> BenchScene.varied(shot, 800, 600)), new SimulatedKitchenScale(1, () -> new Grams(100)),
                new SimulatedStripeReader(5), Clock.systemDefaultZone()));
        shell.getStylesheets().add(MossPebbleApp.class.getResource("mosspebble.css").toExternalForm());
        cloth = shell.cloth();
        stage.setScene(new Scene(shell, 1280, 800));
        stage.show();
        desk.begin();
        workbench.stageProperty().set(Finding.Stage.SKETCH);
        stones = new ArrayList<>(workbench.studio().projects().stream()
                .filter(p -> p.sketch().orElseThrow().items().stream().anyMatch(i -> !i.wearing())).map(Project::id).toList());
        next();
    }

    private void next() {
        if (stones.isEmpty()) {
            desk.close();
            Platform.exit();
            return;
        }
        String stone = stones.remove(0);
        workbench.choose(stone);
        workbench.shown().flatMap(Project::sketch).ifPresent(
                s -> s.items().stream().filter(i -> !i.wearing()).findFirst().ifPresent(i -> workbench.itemProperty().set(i.id())));
        new AnimationTimer() {
            private int calm;

            @Override
            public void handle(long now) {
                calm = show.idle() && show.plan() != null && show.plan().project().id().equals(stone) ? calm + 1 : 0;
                if (calm > 40) {
                    stop();
                    drag(stone);
                }
            }
        }.start();
    }

    private void drag(String stone) {
        double[] at = middle();
        fire(MouseEvent.MOUSE_PRESSED, at[0], at[1]);
        List<Double> apart = new ArrayList<>();
        new AnimationTimer() {
            private long before;
            private int moves;

            @Override
            public void handle(long now) {
                long clock = System.nanoTime();
                if (before > 0 && moves > 20) {
                    apart.add((clock - before) / 1e6);
                }
                before = clock;
                if (++moves > MOVES) {
                    stop();
                    fire(MouseEvent.MOUSE_RELEASED, at[0], at[1]);
                    apart.sort(null);
                    System.out.printf(Locale.ROOT, "frame %s %.2f %.2f%n", stone, apart.get(apart.size() / 2),
                            apart.get((int) (apart.size() * 0.95)));
                    next();
                    return;
                }
                fire(MouseEvent.MOUSE_DRAGGED, at[0] + 14 * Math.sin(moves / 9.0), at[1] + 10 * Math.cos(moves / 7.0));
            }
        }.start();
    }

    /** Where the thing in hand has its middle on the cloth, pixels. */
    private double[] middle() {
        var placement = workbench.itemInHand().orElseThrow().placement();
        double scale = show.pixelsPerMmProperty().get();
        return new double[] {16 + cloth.getLayoutBounds().getWidth() / 2 + placement.x() * scale,
            16 + cloth.getLayoutBounds().getHeight() / 2 + placement.y() * scale};
    }

    private void fire(EventType<MouseEvent> type, double x, double y) {
        Event.fireEvent(cloth, new MouseEvent(type, x, y, x, y, MouseButton.PRIMARY, 1, false, false, false, false, true, false, false,
                true, false, false, null));
    }

    /** Nothing is kept here. */
    private static Shell.House house() {
        return new Shell.House() {
            @Override
            public Path folder() {
                return Path.of(".");
            }

            @Override
            public void saveCopy(Path to) {}

            @Override
            public void saveReport(Path to) {}

            @Override
            public String log() {
                return "";
            }

            @Override
            public void close() {}
        };
    }
}
