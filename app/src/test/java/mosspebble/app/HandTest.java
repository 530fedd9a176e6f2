package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.lang.ref.WeakReference;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import mosspebble.app.control.Hint;
import mosspebble.app.model.Action;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.shell.AboutView;
import mosspebble.app.shell.Shell;
import mosspebble.core.project.Studio;
import mosspebble.core.units.Grams;
import mosspebble.files.BookInHand;
import mosspebble.files.BookKeeping;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.SimulatedBenchCamera;
import mosspebble.instruments.SimulatedClimateProbe;
import mosspebble.instruments.SimulatedKitchenScale;
import mosspebble.instruments.SimulatedStripeReader;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/**
 * The window over a disk that can be told to refuse, and over work with files that can be told to last: what stays in hand is seen, kept
 * and not closed over.
 */
class HandTest {

    private static final Studio DEMO = LanternWalk.studio(BuiltIn.repertoire());

    @TempDir
    private Path folder;

    private final FxRobot robot = new FxRobot();
    private final AtomicBoolean full = new AtomicBoolean();
    private final AtomicReference<Studio> kept = new AtomicReference<>(DEMO);
    private final AtomicReference<Studio> copied = new AtomicReference<>();
    private final AtomicInteger closed = new AtomicInteger();
    private final BookInHand book = new BookInHand(List.of());
    private final AtomicReference<Results> results = new AtomicReference<>();
    private final CountDownLatch goOn = new CountDownLatch(1);
    private final CountDownLatch ending = new CountDownLatch(1);
    private final Workbench workbench = new Workbench(DEMO, (studio, title) -> {
        if (full.get()) {
            throw new FileTrouble("studio.pebble", "The edit \"" + title + "\" is not kept: the disk is full.", "Make room on the disk.");
        }
        kept.set(studio);
    });
    private PlanWorker desk;
    private Shell shell;
    private Stage stage;

    @BeforeEach
    void open() throws Exception {
        stage = FxToolkit.registerPrimaryStage();
        Driver.unpainted(stage);
        robot.interact(() -> {
            desk = new PlanWorker(BuiltIn::repertoire, Platform::runLater, error -> workbench.tellTrouble("failed"));
            Results show = new Results(workbench, desk);
            results.set(show);
            shell = shell(workbench, show, desk, slow());
            stage.setScene(new Scene(shell, 1280, 800));
            stage.show();
            desk.begin();
        });
        until(() -> seen("#length")); // the column is made some pulses after the window
    }

    private Shell shell(Workbench bench, Results show, PlanWorker plans, BookKeeping pages) {
        return new Shell(bench, show, plans, house(pages), new Shell.Instruments(new SimulatedClimateProbe(1),
                new SimulatedBenchCamera(shot -> BenchScene.varied(shot, 800, 600)), new SimulatedKitchenScale(1, () -> new Grams(100)),
                new SimulatedStripeReader(5), (known, unwanted) -> Optional.of(known), Clock.systemDefaultZone()));
    }

    @AfterEach
    void close() {
        goOn.countDown();
        ending.countDown();
        desk.close();
        robot.interact(stage::hide);
    }

    /** A book on a disk that takes its time for a page. */
    private BookKeeping slow() {
        return (BookKeeping) Proxy.newProxyInstance(getClass().getClassLoader(), new Class<?>[] {BookKeeping.class},
                (proxy, method, arguments) -> {
                    if (method.getName().equals("add")) {
                        ending.await();
                        Thread.sleep(300);
                    }
                    try {
                        return method.invoke(book, arguments);
                    } catch (InvocationTargetException e) {
                        throw e.getCause();
                    }
                });
    }

    private Shell.House house(BookKeeping pages) {
        return new Shell.House() {
            @Override
            public Path folder() {
                return folder;
            }

            @Override
            public void saveCopy(Path to) {
                copied.set(workbench.studio());
                try {
                    goOn.await();
                } catch (InterruptedException e) {
                    copied.set(null); // stopped: nothing is saved
                }
            }

            @Override
            public void saveReport(Path to) {}

            @Override
            public BookKeeping book() {
                return pages;
            }

            @Override
            public AboutView.Facts about() {
                return new AboutView.Facts("0", Path.of("made-up.pebble"), "none so far");
            }

            @Override
            public String log() {
                return "2026-11-25 09:00:00  started: version 0.1.0";
            }

            @Override
            public void lookRound() {}

            @Override
            public void close() {
                closed.incrementAndGet();
            }
        };
    }

    private boolean seen(String query) {
        return robot.lookup(query).tryQuery().filter(HandTest::wholly).isPresent();
    }

    private static boolean wholly(Node node) {
        for (Node each = node; each != null; each = each.getParent()) {
            if (!each.isVisible()) {
                return false;
            }
        }
        return true;
    }

    private static void until(Callable<Boolean> condition) throws Exception {
        WaitForAsyncUtils.waitFor(30, TimeUnit.SECONDS, condition);
        WaitForAsyncUtils.waitForFxEvents(1);
    }

    /** What a window keeps of a studio it showed before would be kept as long as the program runs: its stones, its pictures. */
    @Test
    void aWindowThatGoesOnWithAnotherStudioLetsGoOfTheOneBefore() throws Exception {
        WeakReference<Workbench> before = shownForAWhile();
        for (int k = 0; k < 5 && before.get() != null; k++) {
            System.gc();
            WaitForAsyncUtils.waitForFxEvents(4); // which look round for what is left
        }
        assertThat(before.get() == null).as("let go of").isTrue();
    }

    private WeakReference<Workbench> shownForAWhile() throws Exception {
        Workbench bench = new Workbench(DEMO, (studio, title) -> {});
        PlanWorker plans = new PlanWorker(BuiltIn::repertoire, Platform::runLater, error -> {});
        robot.interact(() -> {
            Shell one = shell(bench, new Results(bench, plans), plans, new BookInHand(Year.pages()));
            stage.getScene().setRoot(one);
            one.perform("Open the book");
        });
        until(() -> seen(".book-card"));
        plans.close();
        robot.interact(() -> stage.getScene().setRoot(shell));
        return new WeakReference<>(bench);
    }

    @Test
    void theBandStandsUntilTheDiskTakesWhatIsInHand() throws Exception {
        assertThat(seen("#unkept")).isFalse();
        full.set(true);
        robot.interact(() -> workbench.edit("Turn", p -> p.withStone(p.stone().withWayUp(90))));
        until(() -> seen("#unkept"));
        assertThat(robot.lookup("#unkept").queryLabeled().getText()).contains("\"Turn\" is not kept yet: the disk is full")
                .contains("Make room on the disk.");
        assertThat(kept.get()).isEqualTo(DEMO);
        assertThat(workbench.shown().orElseThrow().stone().wayUp()).isEqualTo(90);

        robot.clickOn("#keep-again");
        assertThat(seen("#unkept")).as("still full").isTrue();
        full.set(false);
        robot.clickOn("#keep-again");
        until(() -> !seen("#unkept"));
        assertThat(kept.get().project("owl").orElseThrow().stone().wayUp()).isEqualTo(90);
        assertThat(robot.lookup("#notice").queryLabeled().getText()).isEqualTo("The change is kept now.");
    }

    @Test
    void aPageThatIsBeingWrittenIsKeptBeforeTheWindowEnds() throws Exception {
        Results show = results.get();
        until(() -> show.plan() != null && !show.busyProperty().get());
        robot.interact(() -> shell.perform("Write this stone into the book"));
        until(() -> robot.lookup("#book-page-name").tryQuery().isPresent());
        assertThat(book.book().pages()).as("it is on its way").isEmpty();
        robot.interact(() -> {
            ending.countDown();
            shell.end();
        });
        assertThat(workbench.noticeProperty().get()).as("nobody asks for a page before it is there").doesNotContain("no such page");
        assertThat(book.book().pages()).hasSize(1);
    }

    @Test
    void theWindowAsksBeforeItClosesOverWhatIsNotKept() throws Exception {
        full.set(true);
        robot.interact(() -> workbench.edit("Turn", p -> p.withStone(p.stone().withWayUp(90))));
        until(() -> seen("#unkept"));
        assertThat(seen("#close-anyway")).isFalse();
        robot.interact(shell::askBeforeClosing);
        until(() -> seen("#close-anyway"));
        assertThat(closed.get()).isZero();
        robot.clickOn("#close-anyway");
        assertThat(closed.get()).isEqualTo(1);
    }

    @Test
    void whatLastsIsSaidAndCanBeStoppedByKey() throws Exception {
        robot.interact(() -> shell.files().saveCopy(folder.resolve("copy.pebble")));
        until(() -> seen("#file-work"));
        assertThat(robot.lookup("#file-work").queryLabeled().getText()).isEqualTo("Saving a copy …");
        assertThat(Hint.of(robot.lookup("#file-stop").queryButton())).contains("Escape");
        robot.interact(() -> workbench.edit("Turn", p -> p.withStone(p.stone().withWayUp(90))));
        assertThat(kept.get()).as("work goes on meanwhile").isNotEqualTo(DEMO);
        robot.interact(() -> robot.lookup("#cloth").query().requestFocus());
        robot.type(KeyCode.ESCAPE);
        until(() -> !seen("#file-work"));
        until(() -> copied.get() == null);
        assertThat(seen("#notice-band")).as("nothing is claimed to be saved").isFalse();
    }

    @Test
    void aCopyIsOfTheStudioInHandWhetherOrNotTheDiskTookIt() throws Exception {
        full.set(true);
        robot.interact(() -> workbench.editStudio("Take off", s -> s.without("snail")));
        robot.interact(() -> shell.files().saveCopy(folder.resolve("copy.pebble")));
        until(() -> copied.get() != null);
        goOn.countDown();
        until(() -> seen("#notice") && robot.lookup("#notice").queryLabeled().getText().contains("A copy is saved"));
        assertThat(copied.get().project("snail")).isEmpty();
        assertThat(kept.get().project("snail")).isPresent();
    }

    @Test
    void anErrorOfTheProgramOffersTheLogAndLettersDoNothingWhileItIsRead() throws Exception {
        robot.interact(() -> workbench.tellTrouble("The program stumbled over something."));
        until(() -> seen("#notice-log"));
        robot.clickOn("#notice-log");
        until(() -> seen("#log-text"));
        int stones = workbench.studio().projects().size();
        robot.type(KeyCode.N, KeyCode.V, KeyCode.DIGIT4);
        assertThat(workbench.studio().projects()).hasSize(stones);
        assertThat(workbench.studio()).isEqualTo(DEMO);
        robot.clickOn("#log-close");
        until(() -> !seen("#log-text"));
        robot.interact(() -> workbench.tell("plain words"));
        assertThat(seen("#notice-log")).as("a plain notice has no log").isFalse();
    }

    @Test
    void theEmptySketchPageKeepsToItsColumn() throws Exception {
        robot.interact(() -> {
            workbench.add(mosspebble.core.project.Project.begin("empty", "Milestone", mosspebble.core.stone.Stone.cobble()));
            shell.perform("Go to Sketch");
        });
        until(() -> seen("#thing-add"));
        javafx.geometry.Bounds pencil = robot.lookup("#pencil").query().localToScene(robot.lookup("#pencil").query().getBoundsInLocal());
        assertThat(pencil.getMaxX()).isLessThan(1280);
    }

    @Test
    void aStoneMadeLaterCanBeTakenUpByName() throws Exception {
        robot.interact(() -> {
            workbench.add(mosspebble.core.project.Project.begin("later", "Milestone", mosspebble.core.stone.Stone.cobble()));
            workbench.choose("owl");
            shell.perform("Take up Milestone");
        });
        assertThat(workbench.shown().orElseThrow().name()).isEqualTo("Milestone");
        robot.interact(() -> {
            workbench.edit("Name", p -> p.withName("Gatestone", ""));
            workbench.choose("owl");
            shell.perform("Take up Gatestone");
        });
        assertThat(workbench.shown().orElseThrow().id()).isEqualTo("later");
    }

    @Test
    void whatIsWrongWithAFieldStandsOnAFullLineAndALongNameSqueezesNobody() throws Exception {
        robot.clickOn("#width").push(KeyCode.CONTROL, KeyCode.A).write("wide", 0).type(KeyCode.ENTER);
        until(() -> seen("#width-problem"));
        assertThat(robot.lookup("#width-problem").queryLabeled().getWidth()).isGreaterThan(200);
        robot.interact(() -> workbench.edit("Name",
                p -> p.withName("W".repeat(80), "by the gate, where the lane turns down to the water and the old wall ends")));
        WaitForAsyncUtils.waitForFxEvents(2);
        assertThat(robot.lookup("#find").queryButton().getWidth())
                .isGreaterThanOrEqualTo(robot.lookup("#find").queryButton().prefWidth(-1) - 1);
        assertThat(robot.lookup("#undo").queryButton().getWidth()).isGreaterThan(80);
        assertThat(robot.lookup("#find").queryButton().localToScene(robot.lookup("#find").queryButton().getBoundsInLocal()).getMaxX())
                .isLessThan(1280);
    }

    @Test
    void undoNamesAMeasureWithItsValues() throws Exception {
        robot.clickOn("#length").push(KeyCode.CONTROL, KeyCode.A).write("12,0 cm", 0).type(KeyCode.ENTER);
        until(() -> workbench.shown().orElseThrow().stone().length().value() == 120);
        assertThat(robot.lookup("#undo").queryButton().getText()).isEqualTo("Undo: length 96 to 120 mm");
        robot.clickOn("#undo");
        assertThat(workbench.shown().orElseThrow().stone().length().value()).isEqualTo(96);
        assertThat(robot.lookup("#notice").queryLabeled().getText()).isEqualTo("Undone: Length 96 to 120 mm");
    }

    @Test
    void aFileOfOnesOwnCanBeTakenOutAgain() throws Exception {
        robot.interact(() -> {
            workbench.editStudio("Bring Kite", s -> s
                    .plus(new mosspebble.core.sketch.OwnFile(mosspebble.core.sketch.OwnFile.Kind.MOTIF, "own-kite", "Kite", "<svg/>")));
            shell.perform("Sketch: add something from the library");
        });
        until(() -> seen("#subject-own-kite"));
        robot.interact(() -> robot.lookup("#subject-own-kite").query().requestFocus());
        robot.type(KeyCode.DELETE);
        until(() -> workbench.studio().own().isEmpty());
        robot.interact(workbench::undo);
        assertThat(workbench.studio().own()).extracting(mosspebble.core.sketch.OwnFile::title).containsExactly("Kite");
    }

    @Test
    void everythingNewCanBeCalledByName() throws Exception {
        for (String name : List.of("Save a copy of the studio", "Show the log", "Save a report for whoever helps")) {
            robot.interact(() -> robot.lookup("#cloth").query().requestFocus());
            robot.type(KeyCode.SLASH);
            until(() -> seen("#command"));
            robot.write(name, 0);
            WaitForAsyncUtils.waitForFxEvents(2);
            assertThat(robot.lookup("#command-found").<Action>queryListView().getItems()).extracting(Action::name).contains(name);
            robot.type(KeyCode.ESCAPE);
        }
        assertThat(Files.list(folder)).isEmpty();
    }

    @Test
    void theDrawerShowsThisStageFirstAndSaysWhatMayHaveBeenMeant() throws Exception {
        robot.interact(() -> workbench.stageProperty().set(mosspebble.core.finding.Finding.Stage.COLOUR));
        robot.interact(() -> robot.lookup("#cloth").query().requestFocus());
        robot.type(KeyCode.SLASH);
        until(() -> seen("#command"));
        List<Action> all = List.copyOf(robot.lookup("#command-found").<Action>queryListView().getItems());
        assertThat(all.get(0).group()).isEqualTo("Colour");
        List<String> groups = all.stream().map(Action::group).distinct().toList();
        assertThat(groups).startsWith("Colour", "").contains("Stone", "Sketch", "Build-up", "Sitting", "Finish", "Stones in hand");
        for (String group : groups) {
            assertThat(
                    all.stream().map(Action::group).toList().lastIndexOf(group) - all.stream().map(Action::group).toList().indexOf(group))
                    .as("%s in one piece", group).isEqualTo(all.stream().filter(a -> a.group().equals(group)).count() - 1);
        }
        robot.write("shelv", 0);
        WaitForAsyncUtils.waitForFxEvents(2);
        assertThat(robot.lookup("#command-nothing").queryLabeled().getText()).endsWith("Did you mean:");
        assertThat(robot.lookup("#command-found").<Action>queryListView().getItems()).extracting(Action::name)
                .contains("Look at the shelf");
        robot.push(KeyCode.CONTROL, KeyCode.A).write("qqqq", 0);
        WaitForAsyncUtils.waitForFxEvents(2);
        assertThat(robot.lookup("#command-nothing").queryLabeled().getText()).isEqualTo("Nothing here is called that.");
        robot.type(KeyCode.ESCAPE);
    }
}
