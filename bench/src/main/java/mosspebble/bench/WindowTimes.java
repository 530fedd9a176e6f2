package mosspebble.bench;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import mosspebble.app.control.ToolkitSheet;
import mosspebble.app.MossPebbleApp;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.cloth.ClothView;
import mosspebble.app.control.Pulses;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.shell.AboutView;
import mosspebble.app.shell.Shell;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Project;
import mosspebble.core.units.Grams;
import mosspebble.files.BookInHand;
import mosspebble.files.BookKeeping;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import mosspebble.instruments.CpSatSolver;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.SimulatedBenchCamera;
import mosspebble.instruments.SimulatedClimateProbe;
import mosspebble.instruments.SimulatedKitchenScale;
import mosspebble.instruments.SimulatedStripeReader;

/**
 * Drags a thing over each demo stone that has one to drag and prints how far its frames are apart and how long each keeps the interface
 * thread: {@code frame ID median 95th median 95th}, ms; looks closer and moves the cloth about: {@code pan ID} and the same. Presses what
 * leads from place to place and prints after how long it is answered, and what takes too long: {@code press median 95th NAMES}; and the
 * same until all that belongs there is laid out: {@code whole}. Then works along at the table and prints how long after a press the next
 * picture is there, small and sharp: {@code step median 95th median 95th}.
 */
public final class WindowTimes extends Application {

    private static final int MOVES = 150;
    private static final int STEPS = 24;
    /** So soon a press should be answered, ms. */
    private static final double ANSWERED = 100;

    /** What leads from place to place, as it is called in the drawer, and what changes what is seen there. */
    private static final List<String> PLACES = List.of("Go to Stone", "Stone: dome", "Stone: weigh", "Stone: rock", "Stone: skin",
            "Stone: marks", "Stone: seen", "Stone: suits", "Stone: ready", "Stone: found", "Stone: outline", "Go to Sketch",
            "Sketch: how it lies", "Sketch: where", "Sketch: parts", "Sketch: what it is", "Go to Colour", "Colour: paints",
            "Colour: wish", "Colour: blend", "Colour: beside", "Colour: palettes", "Colour: edge", "Colour: mix", "Go to Build-up",
            "Build-up: all passes", "Build-up: put it right", "Build-up: habits", "Build-up: in hand", "Step before", "Step before",
            "Look: dry, wet, curing, sealed", "Light on the stone: day, warm lamp, cool lamp, flat", "Look closer at the stone",
            "See the whole stone", "Go to Sitting", "Sitting: week and room", "Sitting: who is ready when", "Go to Finish",
            "Finish: seal", "Finish: jars", "Finish: picture", "Finish: sheets", "Look at the shelf", "Shelf: sealers",
            "Shelf: over what", "Look into the basket", "Sketch: add something from the library", "Open the book", "Go to Stone",
            "Words larger", "Words smaller", "Evening or day light on the screen", "Take up Moon ring", "Take up Owl keeping a lamp");

    /** Within a sitting of the demo's week. */
    private static final LocalDateTime AT_THE_TABLE = LocalDateTime.of(2026, 11, 28, 14, 1);

    private Workbench workbench;
    private Results show;
    private PlanWorker desk;
    private Shell shell;
    private Node cloth;
    private List<String> stones;
    private long pressed;

    /**
     * Starts it; apart from the class itself so that the toolkit may come from the module path.
     *
     * @param args {@code presses} for what is pressed alone, without frames; {@code unready} for presses to what was not made ready before
     */
    public static void main(String[] args) {
        launch(WindowTimes.class, args);
    }

    @Override
    public void start(Stage stage) {
        ToolkitSheet.wear();
        MossPebbleApp.fonts();
        workbench = new Workbench(LanternWalk.studio(BuiltIn.repertoire()), (studio, title) -> {});
        desk = new PlanWorker(BuiltIn::repertoire, Platform::runLater, Throwable::printStackTrace);
        show = new Results(workbench, desk);
        shell = new Shell(workbench, show, desk, house(), new Shell.Instruments(new SimulatedClimateProbe(7),
                new SimulatedBenchCamera(shot -> BenchScene.varied(shot, 800, 600)), new SimulatedKitchenScale(1, () -> new Grams(100)),
                new SimulatedStripeReader(5), new CpSatSolver(), clock()));
        cloth = shell.cloth();
        stage.setScene(new Scene(shell, 1280, 800));
        stage.show();
        desk.begin();
        workbench.stageProperty().set(Finding.Stage.SKETCH);
        if (!getParameters().getRaw().contains("unready")) {
            shell.rehearse();
        }
        if (getParameters().getRaw().contains("presses")) {
            stones = List.of();
            next();
            return;
        }
        stones = new ArrayList<>(workbench.studio().projects().stream()
                .filter(p -> p.sketch().orElseThrow().items().stream().anyMatch(i -> !i.wearing())).map(Project::id).toList());
        next();
    }

    private void next() {
        if (stones.isEmpty()) {
            calm(shell::isRehearsed, () -> answers(0, new double[PLACES.size()], new double[PLACES.size()]));
            return;
        }
        String stone = stones.remove(0);
        workbench.choose(stone);
        workbench.shown().flatMap(Project::sketch).ifPresent(
                s -> s.items().stream().filter(i -> !i.wearing()).findFirst().ifPresent(i -> workbench.itemProperty().set(i.id())));
        calm(() -> show.plan() != null && show.plan().project().id().equals(stone),
                () -> drag("frame " + stone, MouseButton.PRIMARY, middle(), () -> lookCloser(stone)));
    }

    /**
     * Presses what leads from place to place, each for the first time in this window, and notes after how long its answer is laid out, and
     * after how long all that belongs there.
     */
    private void answers(int number, double[] times, double[] whole) {
        if (number == PLACES.size()) {
            System.out.println("press " + summary(times));
            System.out.println("whole " + summary(whole));
            atTheTable();
            return;
        }
        calm(() -> true, () -> {
            pressed = System.nanoTime();
            shell.perform(PLACES.get(number));
            shell.getScene().addPostLayoutPulseListener(new Runnable() {
                @Override
                public void run() {
                    double after = (System.nanoTime() - pressed) / 1e6;
                    times[number] = times[number] == 0 ? after : times[number];
                    if (Pulses.isWaiting()) {
                        Platform.requestNextPulse();
                        return;
                    }
                    shell.getScene().removePostLayoutPulseListener(this);
                    whole[number] = after;
                    Platform.runLater(() -> answers(number + 1, times, whole));
                }
            });
            Platform.requestNextPulse();
        });
    }

    /** Median, 95th percentile, and what takes too long. */
    private static String summary(double[] times) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        String over = IntStream.range(0, times.length).filter(i -> times[i] > ANSWERED).boxed()
                .sorted((a, b) -> Double.compare(times[b], times[a]))
                .map(i -> String.format(Locale.ROOT, "%s %.0f ms", PLACES.get(i), times[i])).collect(Collectors.joining(", "));
        return String.format(Locale.ROOT, "%.1f %.1f %s", sorted[sorted.length / 2], sorted[(int) (sorted.length * 0.95)],
                over.isEmpty() ? "none" : over);
    }

    /** Once nothing is computed any more and something is so. */
    private void calm(BooleanSupplier so, Runnable then) {
        new AnimationTimer() {
            private int calm;

            @Override
            public void handle(long now) {
                calm = show.idle() && desk.idle() && so.getAsBoolean() ? calm + 1 : 0;
                if (calm > 40) {
                    stop();
                    then.run();
                }
            }
        }.start();
    }

    private static Clock clock() {
        ZoneId zone = ZoneId.systemDefault();
        return Clock.offset(Clock.system(zone), Duration.between(Instant.now(), AT_THE_TABLE.atZone(zone).toInstant()));
    }

    /** Sits down and says done again and again. */
    private void atTheTable() {
        workbench.stageProperty().set(Finding.Stage.SITTING);
        calm(() -> shell.lookup("#sit-down") != null && shell.lookup(".hem-stitch") != null, () -> {
            ((Button) shell.lookup("#sit-down")).fire();
            ImageView image = (ImageView) shell.lookup("#work-picture").lookup(".image-view");
            List<double[]> times = new ArrayList<>();
            image.imageProperty().addListener((o, a, b) -> {
                double[] last = times.isEmpty() ? new double[3] : times.get(times.size() - 1);
                double after = (System.nanoTime() - pressed) / 1e6;
                last[1] = last[1] == 0 ? after : last[1];
                last[2] = after;
            });
            calm(() -> image.getImage() != null, () -> press(times));
        });
    }

    private void press(List<double[]> times) {
        if (times.size() == STEPS) {
            double[] small = times.stream().mapToDouble(t -> t[1]).filter(t -> t > 0).sorted().toArray();
            double[] sharp = times.stream().mapToDouble(t -> t[2]).filter(t -> t > 0).sorted().toArray();
            System.out.printf(Locale.ROOT, "step %.1f %.1f %.1f %.1f%n", small[small.length / 2], small[(int) (small.length * 0.95)],
                    sharp[sharp.length / 2], sharp[(int) (sharp.length * 0.95)]);
            desk.close();
            Platform.exit();
            return;
        }
        times.add(new double[3]);
        pressed = System.nanoTime();
        Node along = shell.lookup("#work-along");
        Event.fireEvent(along, new KeyEvent(KeyEvent.KEY_PRESSED, " ", " ", KeyCode.SPACE, false, false, false, false));
        calm(() -> true, () -> press(times));
    }

    /** Looks four times closer, moves the cloth about, and looks at the whole stone again. */
    private void lookCloser(String stone) {
        ClothView near = (ClothView) cloth;
        for (int k = 0; k < 4; k++) {
            near.closer();
        }
        double[] at = {16 + near.getWidth() / 2, 16 + near.getHeight() / 2};
        calm(() -> true, () -> drag("pan " + stone, MouseButton.MIDDLE, at, () -> {
            near.whole();
            next();
        }));
    }

    private void drag(String what, MouseButton button, double[] at, Runnable then) {
        fire(MouseEvent.MOUSE_PRESSED, button, at[0], at[1]);
        Frames frames = new Frames(MOVES);
        Runnable laidOut = () -> frames.isLaidOut(System.nanoTime());
        shell.getScene().addPostLayoutPulseListener(laidOut);
        new AnimationTimer() {
            private int moves;

            @Override
            public void handle(long now) {
                if (frames.begins(System.nanoTime())) {
                    moves++;
                    fire(MouseEvent.MOUSE_DRAGGED, button, at[0] + 14 * Math.sin(moves / 9.0), at[1] + 10 * Math.cos(moves / 7.0));
                } else {
                    stop();
                    shell.getScene().removePostLayoutPulseListener(laidOut);
                    fire(MouseEvent.MOUSE_RELEASED, button, at[0], at[1]);
                    System.out.println(what + " " + frames.summary());
                    then.run();
                }
            }
        }.start();
    }

    /** Where the thing in hand has its middle on the cloth, pixels. */
    private double[] middle() {
        var placement = workbench.itemInHand().orElseThrow().placement();
        double scale = ((ClothView) cloth).scale();
        return new double[] {16 + cloth.getLayoutBounds().getWidth() / 2 + placement.x() * scale,
            16 + cloth.getLayoutBounds().getHeight() / 2 + placement.y() * scale};
    }

    private void fire(EventType<MouseEvent> type, MouseButton button, double x, double y) {
        Event.fireEvent(cloth, new MouseEvent(type, x, y, x, y, button, 1, false, false, false, false, button == MouseButton.PRIMARY,
                button == MouseButton.MIDDLE, false, true, false, false, null));
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
            public BookKeeping book() {
                return new BookInHand(List.of());
            }

            @Override
            public AboutView.Facts about() {
                return new AboutView.Facts("0", Path.of("made-up.pebble"), "none so far");
            }

            @Override
            public String log() {
                return "";
            }

            @Override
            public void lookRound() {}

            @Override
            public void close() {}
        };
    }
}
