package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Scene;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.geometry.Dimension2D;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.shell.AboutView;
import mosspebble.app.shell.Shell;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.units.Grams;
import mosspebble.files.BookInHand;
import mosspebble.files.BookKeeping;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import mosspebble.files.StudioStore;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.SimulatedBenchCamera;
import mosspebble.instruments.SimulatedClimateProbe;
import mosspebble.instruments.SimulatedKitchenScale;
import mosspebble.instruments.SimulatedStripeReader;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** Trouble as a painter meets it, in the real window: what is told, and the ways on. */
class TroubleTest {

    @TempDir
    private Path folder;

    private Path file() {
        return folder.resolve("studio.pebble");
    }

    @Test
    void aDamagedStudioIsPutBackFromACopyAfterALookAtWhatIsInIt() throws Exception {
        Studio demo = LanternWalk.studio(BuiltIn.repertoire());
        try (StudioStore store = StudioStore.open(file(), () -> demo)) {
            store.keepDailyCopy();
        }
        try (RandomAccessFile damaged = new RandomAccessFile(file().toFile(), "rw")) {
            damaged.seek(4096);
            damaged.write(new byte[20_000]);
        }
        try (Driver app = new Driver(file(), false)) {
            assertThat(app.text("#trouble")).contains("damaged").contains("untouched");
            assertThat(app.present("#copy-" + LocalDate.now())).isTrue();
            app.until("what is in it", () -> app.text("#copy-holds").contains("9 stones in hand"));
            app.click("#restore");
            app.until("the studio", () -> app.present("#cloth"));
            app.settled();
            assertThat(app.text("#notice")).contains("is back").contains("studio-troubled.pebble");
            assertThat(app.plan().project().id()).isEqualTo("owl");
        }
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio()).isEqualTo(demo);
        }
    }

    @Test
    void aNewStudioBegunInItsPlaceIsOpenedNextTimeAndTheTroubledOneNamed() throws Exception {
        Files.writeString(file(), "a shopping list, no studio at all. ".repeat(9));
        try (Driver app = new Driver(file(), false)) {
            app.click("#new-studio");
            app.until("the new studio", () -> app.present("#first-stone"));
            app.keys(KeyCode.N);
            app.settled();
        }
        try (Driver app = new Driver(file(), false)) {
            app.settled();
            assertThat(app.text("#notice")).contains("studio.pebble stays closed").contains("studio-2.pebble");
            app.command("Try studio.pebble again");
            app.until("the answer", () -> app.text("#notice").contains("tried again"));
        }
        assertThat(folder.resolve("studio.pebble.instead")).doesNotExist();
    }

    @Test
    void theLogIsShownAndEscapeLeadsBack() throws Exception {
        try (Driver app = new Driver(file(), true)) {
            app.settled();
            app.command("Show the log");
            app.until("the log", () -> app.present("#log-text") && app.text("#log-text").contains("started: version"));
            app.keys(KeyCode.ESCAPE);
            assertThat(app.present("#log")).isFalse();
        }
        assertThat(folder.resolve("moss-pebble.log.0")).exists();
    }

    @Test
    void aStudioTakenAwayUnderTheOpenWindowIsThereAgain() throws Exception {
        try (Driver app = new Driver(file(), true)) {
            app.settled();
            Files.delete(file());
            app.until("the studio to be written anew",
                    () -> Files.exists(file()) && app.present("#notice") && app.text("#notice").contains("written anew"));
        }
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio().projects()).hasSize(3);
        }
    }

    // --- a plan that fails

    @Test
    void aStoneThatCannotBeWorkedOutIsSaidSoOnTheClothWithTheWaysOutAndLeavesNoSheet() throws Exception {
        Workbench workbench = new Workbench(LanternWalk.studio(BuiltIn.repertoire()), (studio, title) -> {});
        Stage stage = FxToolkit.registerPrimaryStage();
        FxRobot robot = new FxRobot();
        Path sheets = Files.createDirectory(folder.resolve("sheets"));
        PlanWorker[] desks = new PlanWorker[1];
        Results[] shows = new Results[1];
        robot.interact(() -> {
            PlanWorker desk = new PlanWorker(BuiltIn::repertoire, javafx.application.Platform::runLater,
                    error -> workbench.tellTrouble("Something could not be worked out.")) {
                @Override
                public PaintPlan plan(Project project, Studio studio) {
                    return super.plan(failing(project), studio);
                }

                @Override
                public PaintPlan planAside(Project project, Studio studio) {
                    return super.planAside(failing(project), studio);
                }

                private Project failing(Project project) {
                    if (project.name().contains("fails")) {
                        throw new IllegalStateException("made to fail");
                    }
                    return project;
                }
            };
            Results show = new Results(workbench, desk);
            Shell shell = new Shell(workbench, show, desk, house(), new Shell.Instruments(new SimulatedClimateProbe(1),
                    new SimulatedBenchCamera(shot -> BenchScene.varied(shot, 800, 600)), new SimulatedKitchenScale(1, () -> new Grams(100)),
                    new SimulatedStripeReader(5), (known, unwanted) -> Optional.of(known), Clock.systemDefaultZone()));
            stage.setScene(new Scene(shell, 1280, 800));
            stage.show();
            desk.begin();
            desks[0] = desk;
            shows[0] = show;
        });
        try (PlanWorker desk = desks[0]) {
            until(() -> shows[0].plan() != null);
            robot.interact(() -> workbench.edit("Name", p -> p.withName("Owl that fails", "")));
            until(() -> !shows[0].troubleProperty().get().isEmpty());
            WaitForAsyncUtils.waitForFxEvents();
            assertThat(robot.lookup("#plan-trouble").queryLabeled().getText())
                    .isEqualTo("Owl that fails cannot be worked out as it is now.");
            assertThat(robot.lookup("#ready").queryLabeled().getText()).as("no times of before").isEmpty();
            assertThat(shows[0].plan()).isNull();
            assertThat(robot.lookup("#finding").queryLabeled().getText()).contains("not known");

            robot.interact(() -> workbench.stageProperty().set(Finding.Stage.FINISH));
            robot.clickOn("#finish-picture").clickOn("#folder").push(KeyCode.CONTROL, KeyCode.A).type(KeyCode.DELETE)
                    .write(sheets.toString(), 0).type(KeyCode.ENTER);
            robot.clickOn("#export-plan");
            until(() -> robot.lookup("#export-done").queryLabeled().getText().contains("nothing was written"));
            try (Stream<Path> written = Files.list(sheets)) {
                assertThat(written).isEmpty();
            }

            robot.interact(() -> workbench.undo());
            until(() -> shows[0].plan() != null);
            assertThat(workbench.stageProperty().get()).as("undo leads to where it can be seen").isEqualTo(Finding.Stage.STONE);
            robot.interact(() -> workbench.stageProperty().set(Finding.Stage.FINISH));
            assertThat(shows[0].troubleProperty().get()).isEmpty();
            exportsAreOfTheStoneNamed(robot, workbench, sheets);
        } finally {
            robot.interact(stage::hide);
        }
    }

    /** Right after choosing a stone, and right after an edit: what is written is of that stone as it is. */
    private static void exportsAreOfTheStoneNamed(FxRobot robot, Workbench workbench, Path sheets) throws Exception {
        robot.interact(() -> {
            workbench.choose("snail");
            workbench.edit("Length",
                    p -> p.withStone(p.stone().withSize(new mosspebble.core.units.Millimetres(71), p.stone().width(), p.stone().height())));
            robot.lookup("#export-plan").queryButton().fire();
        });
        Path plan = sheets.resolve("snail-with-post-plan.json");
        until(() -> !robot.lookup("#export-done").queryLabeled().getText().isEmpty());
        assertThat(robot.lookup("#export-done").queryLabeled().getText()).isEqualTo("Written: " + plan);
        assertThat(Files.readString(plan)).contains("\"id\" : \"snail\"").contains("\"length\" : 71").doesNotContain("Owl");
        robot.interact(() -> {
            workbench.choose("moon");
            robot.lookup("#finish-sheets").queryAs(ToggleButton.class).fire();
            robot.lookup("#export-sheets").queryButton().fire();
        });
        Path pdf = sheets.resolve("moon-ring-sheets.pdf");
        until(() -> Files.exists(pdf));
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(new PDFTextStripper().getText(document)).contains("Moon ring").doesNotContain("Snail").doesNotContain("Owl");
        }
    }

    private static void until(java.util.concurrent.Callable<Boolean> condition) throws Exception {
        WaitForAsyncUtils.waitFor(40, java.util.concurrent.TimeUnit.SECONDS, condition);
        WaitForAsyncUtils.waitForFxEvents(1);
    }

    private Shell.House house() {
        return new Shell.House() {
            @Override
            public Path folder() {
                return folder;
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

    // --- the command line

    @Test
    void oddStudiosOnTheCommandLineAreAnsweredInSentences() throws Exception {
        Files.createDirectory(folder.resolve("dir"));
        Files.writeString(folder.resolve("letter.pebble"), "dear painter");
        for (String studio : List.of(folder.resolve("dir").toString(), folder.resolve("letter.pebble").toString(), "/", "/dev/null")) {
            String said = run("check", "--studio", studio);
            assertThat(said).as(studio).matches("(?s).*[.]\\s*").doesNotContain("Exception").doesNotContain("mosspebble.")
                    .doesNotContain("java.");
        }
        assertThat(run("check", "--studio", "a\u0000b")).contains("cannot be the name of a file").doesNotContain("InvalidPathException");
        assertThat(run("--version")).matches("(?s)Moss Pebble [0-9.]+\\s*");
    }

    @Test
    void theSizeOfTheWindowIsReadAndBounded() {
        Main.SizeConverter size = new Main.SizeConverter();
        assertThat(size.convert("1100x720")).isEqualTo(new Dimension2D(1100, 720));
        assertThat(size.convert(" 2560 × 1440 ")).isEqualTo(new Dimension2D(2560, 1440));
        assertThat(run("demo", "--size", "big")).contains("width x height in pixels, such as 1280x800, was big");
        assertThat(run("demo", "--size", "1099x720")).contains("the window is 1100x720 to 7680x4320, was 1099x720");
        assertThat(run("demo", "--size", "9999x9999")).contains("was 9999x9999");
    }

    @Test
    void aTimetableIsPrintedAndWhatCannotBePlannedIsSaid() throws Exception {
        String studio = Driver.made(folder.resolve("t.pebble"), List.of("owl", "lettering", "snail")).toString();
        Path to = folder.resolve("along");
        String said = run("sittings", "--demo", "--studio", studio, "--from", "2026-11-27T18:00", "--due", "owl=2026-12-20T12:00", "--to",
                to.toString(), "--paper", "LETTER");
        assertThat(said).startsWith(to.resolve("timetable.csv").toString()).contains("\nFriday 27 November", "19:00  ")
                .contains("Owl keeping a lamp: Pencil the design, ")
                .contains("Owl keeping a lamp: ready on ").contains("in time.").contains("cannot be ready before ", "a quarter longer");
        assertThat(to).isDirectoryContaining("glob:**/sittings.pdf").isDirectoryContaining("glob:**/timetable.ics")
                .isDirectoryContaining("glob:**/timetable.csv");
        assertThat(run("sittings", "--demo", "--studio", studio, "--hours", "Fri 19:00-19:05")).contains("No sitting is long enough");
        assertThat(run("sittings", "--demo", "--studio", studio, "--hours", "whenever")).contains("is no time of a week");
        assertThat(run("sittings", "--demo", "--studio", studio, "--due", "kite=2026-12-20T12:00")).contains("no stone \"kite\"")
                .contains("owl");
    }

    private static String run(String... args) {
        PrintStream out = System.out;
        PrintStream err = System.err;
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        try (PrintStream both = new PrintStream(said, true, StandardCharsets.UTF_8)) {
            System.setOut(both);
            System.setErr(both);
            Main.commandLine().execute(args);
        } finally {
            System.setOut(out);
            System.setErr(err);
        }
        return said.toString(StandardCharsets.UTF_8);
    }
}
