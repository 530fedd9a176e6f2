package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import mosspebble.app.model.AnswersInTurn;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.SeenBy;
import mosspebble.app.model.Workbench;
import mosspebble.app.photo.PhotoModel;
import mosspebble.core.area.Grid;
import mosspebble.core.finding.Finding;
import mosspebble.core.photo.Photo;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.units.Millimetres;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.instruments.BenchCamera;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the workbench, the plan desk and the file work do when something fails; without a window. */
class WorkbenchTest {

    private static final Studio DEMO = LanternWalk.studio(BuiltIn.repertoire());

    @TempDir
    private Path folder;

    /** A keeper that can be told to refuse. */
    private static final class Disk implements Workbench.Keeper {
        private boolean full;
        private Studio kept = DEMO;
        private final List<String> titles = new ArrayList<>();

        @Override
        public void commit(Studio studio, String title) throws FileTrouble {
            if (full) {
                throw new FileTrouble("studio.pebble", "The edit \"" + title + "\" is not kept: the disk is full.",
                        "Make room on the disk.");
            }
            kept = studio;
            titles.add(title);
        }
    }

    private final Disk disk = new Disk();
    private final Workbench workbench = new Workbench(DEMO, disk);
    private final AnswersInTurn answers = new AnswersInTurn();

    @Test
    void undoTellsTheOneValueThatAChangeChanged() {
        workbench.choose("owl");
        workbench.edit("Top", p -> p.withStone(p.stone().withDome(p.stone().faceShare(), 3.25)));
        assertThat(workbench.undoTitleProperty().get()).matches("Top, [0-9.]+ to 3\\.25");
        workbench.edit("Primer", p -> p.withHabits(p.habits().withPrimer(Habits.Primer.NEVER)));
        assertThat(workbench.undoTitleProperty().get()).isEqualTo("Primer, where needed to never");
        workbench.edit("Light from", p -> p.withHabits(p.habits().withLight(p.habits().light().withFrom(45))));
        assertThat(workbench.undoTitleProperty().get()).isEqualTo("Light from, 320 to 45");
        workbench.edit("Length 90 to 96 mm",
                p -> p.withStone(p.stone().withSize(new Millimetres(91.5), p.stone().width(), p.stone().height())));
        assertThat(workbench.undoTitleProperty().get()).as("it says so itself").isEqualTo("Length 90 to 96 mm");
        workbench.edit("Move the design",
                p -> p.withSketch(
                        p.sketch().map(s -> s.with(s.items().get(0).id(), item -> item.withPlacement(item.placement().movedBy(2, 1))))));
        assertThat(workbench.undoTitleProperty().get()).as("two values at once are no value").isEqualTo("Move the design");
        workbench.undo();
        workbench.undo();
        workbench.undo();
        assertThat(workbench.noticeProperty().get()).isEqualTo("Undone: Light from, 320 to 45");
    }

    @Test
    void whatTheDiskDoesNotTakeStaysInHandAndIsToldUntilItDoes() {
        disk.full = true;
        assertThat(workbench.editStudio("Take off", s -> s.without("snail"))).isTrue();
        assertThat(workbench.studio().project("snail")).isEmpty();
        assertThat(disk.kept).isEqualTo(DEMO);
        assertThat(workbench.unkeptProperty().get()).contains("\"Take off\" is not kept yet: the disk is full").contains("stays in hand")
                .contains("Make room");

        workbench.edit("Name", p -> p.withName("Night owl", ""));
        workbench.keepAgain();
        assertThat(workbench.unkeptProperty().get()).startsWith("2 changes are not kept yet, the last is \"Name\"");

        disk.full = false;
        workbench.keepAgain();
        assertThat(workbench.unkeptProperty().get()).isEmpty();
        assertThat(workbench.noticeProperty().get()).isEqualTo("All 2 changes are kept now.");
        assertThat(disk.kept).isEqualTo(workbench.studio());
        assertThat(disk.kept.project("owl").orElseThrow().name()).isEqualTo("Night owl");
    }

    @Test
    void theNextEditKeepsWhatWasInHandToo() {
        disk.full = true;
        workbench.editStudio("Take off", s -> s.without("snail"));
        disk.full = false;
        workbench.edit("Name", p -> p.withName("Night owl", ""));
        assertThat(workbench.unkeptProperty().get()).isEmpty();
        assertThat(disk.kept.project("snail")).isEmpty();
    }

    @Test
    void undoWorksOnWhatIsInHand() {
        disk.full = true;
        workbench.editStudio("Take off", s -> s.without("snail"));
        workbench.undo();
        assertThat(workbench.studio()).isEqualTo(DEMO);
        workbench.redo();
        assertThat(workbench.studio().project("snail")).isEmpty();
        disk.full = false;
        workbench.undo();
        assertThat(workbench.unkeptProperty().get()).isEmpty();
        assertThat(disk.kept).isEqualTo(DEMO);
    }

    @Test
    void anEditThatIsRefusedIsNotInHand() {
        assertThat(workbench.edit("Name", p -> p.withName("", ""))).isFalse();
        assertThat(workbench.unkeptProperty().get()).isEmpty();
        assertThat(workbench.studio()).isEqualTo(DEMO);
        assertThat(disk.titles).isEmpty();
    }

    @Test
    void theLightOnTheScreenIsNoMatterForUndo() {
        workbench.edit("Name", p -> p.withName("Night owl", ""));
        workbench.look(s -> s.withView(s.unit(), true));
        assertThat(disk.kept.evening()).isTrue();
        assertThat(workbench.undoTitleProperty().get()).isEqualTo("Name");
        workbench.undo();
        assertThat(workbench.studio().project("owl").orElseThrow().name()).isEqualTo("Owl keeping a lamp");
        assertThat(workbench.studio().evening()).as("the light stays as it is").isTrue();
        workbench.redo();
        assertThat(workbench.studio().evening()).isTrue();
        assertThat(disk.kept).isEqualTo(workbench.studio());
    }

    @Test
    void undoLeadsToTheStageAndTheStoneOfTheChange() {
        workbench.choose("moon");
        workbench.stageProperty().set(Finding.Stage.COLOUR);
        workbench.edit("Ground", p -> p.withGround(java.util.Optional.empty()).withName("Moon", ""));
        workbench.choose("fox");
        workbench.stageProperty().set(Finding.Stage.FINISH);
        workbench.undo();
        assertThat(workbench.shown().orElseThrow().id()).isEqualTo("moon");
        assertThat(workbench.stageProperty().get()).isEqualTo(Finding.Stage.COLOUR);
    }

    // --- failing plans

    private interface Use {
        void of(Results show, PlanWorker desk) throws Exception;
    }

    /** With a desk that fails for the stones named. */
    private void failingFor(List<String> ids, AtomicInteger failures, Use use) throws Exception {
        Repertoire sound = BuiltIn.repertoire();
        try (PlanWorker desk = new PlanWorker(() -> sound, answers, error -> failures.incrementAndGet()) {
            @Override
            public mosspebble.core.plan.PaintPlan plan(Project project, Studio studio) {
                return super.plan(failing(project), studio);
            }

            @Override
            public mosspebble.core.plan.PaintPlan planAside(Project project, Studio studio) {
                return super.planAside(failing(project), studio);
            }

            private Project failing(Project project) {
                if (ids.contains(project.id())) {
                    throw new IllegalStateException("made to fail");
                }
                return project;
            }
        }) {
            Results show = new Results(workbench, desk);
            show.pixelsPerMmProperty().set(1);
            desk.begin();
            use.of(show, desk);
        }
    }

    @Test
    void aFailedPlanLeavesNothingOfAnotherStoneAndIsNotBusyForEver() throws Exception {
        AtomicInteger failures = new AtomicInteger();
        failingFor(List.of("snail"), failures, (show, desk) -> {
            answers.until(() -> show.plan() != null && show.pictureProperty().get() != null);
            workbench.choose("snail");
            answers.until(() -> !show.busyProperty().get() && desk.idle());
            assertThat(show.plan()).isNull();
            assertThat(show.pictureProperty().get()).isNull();
            assertThat(show.troubleProperty().get()).isEqualTo("Snail with post cannot be worked out as it is now.");
            assertThat(show.troubled()).containsExactly("snail");
            assertThat(failures.get()).as("told where it belongs, not once more to everybody").isZero();
            workbench.choose("moon");
            answers.until(() -> show.plan() != null);
            assertThat(show.troubleProperty().get()).isEmpty();
            assertThat(show.plan().project().id()).isEqualTo("moon");
        });
    }

    @Test
    void aDraftComesFirstThePictureAfterItAndTheNewestMomentIsLit() throws Exception {
        failingFor(List.of(), new AtomicInteger(), (show, desk) -> {
            List<Double> cells = new CopyOnWriteArrayList<>();
            show.pictureProperty().addListener((o, a, b) -> cells.add(b.terrain().grid().cellMm()));
            answers.until(() -> show.plan() != null && desk.idle() && cells.size() >= 2);
            assertThat(cells).as("half the pixels first, then all").endsWith(2.0, 1.0);
            assertThat(show.draftProperty().get().steps()).isEqualTo(show.pictureProperty().get().steps());
            Results.Moment first = new Results.Moment(show.pictureProperty().get(), 2, 0, 320, -1, SeenBy.DAY);
            Results.Moment last = new Results.Moment(show.pictureProperty().get(), 5, 0, 200, 3, SeenBy.DAY);
            for (int i = 0; i < 20; i++) {
                show.askLit(first);
            }
            show.askLit(last);
            answers.until(() -> desk.idle() && show.litProperty().get() != null && last.equals(show.litProperty().get().moment()));
            int[] pixels = show.litProperty().get().pixels();
            assertThat(pixels).as("whole, though others were given up").isEqualTo(last.draw(Care.FULL, () -> false));
            Grid grid = last.of().terrain().grid();
            int[] held = new Results.Moment(last.of(), 3, 0, 200, -1, SeenBy.DAY).draw(Care.FULL, () -> false);
            int middle = grid.rows() / 2 * grid.columns();
            assertThat(Arrays.copyOfRange(pixels, middle, middle + grid.columns() / 2)).as("the left half is held")
                    .isEqualTo(Arrays.copyOfRange(held, middle, middle + grid.columns() / 2));
            workbench.seenByProperty().set(SeenBy.WARM_LAMP);
            StonePicture day = last.of();
            answers.until(() -> desk.idle() && show.pictureProperty().get() != day && show.pictureProperty().get().terrain()
                    .grid().cellMm() == 1);
            assertThat(show.pictureProperty().get().colourAt(0, 1, 1)).as("by a lamp the stone has another colour")
                    .isNotEqualTo(day.colourAt(0, 1, 1));
            show.closeProperty().set(new Grid(-5, -5, 0.1, 100, 100));
            answers.until(() -> desk.idle() && show.pictureProperty().get().terrain().grid().cellMm() == 0.1);
            assertThat(show.draftProperty().get().terrain().grid().cellMm()).as("the draft stays the whole stone").isEqualTo(2.0);
        });
    }

    @Test
    void nothingOfTheStoneBeforeStandsUnderTheNameOfTheOneChosen() throws Exception {
        failingFor(List.of(), new AtomicInteger(), (show, desk) -> {
            answers.until(() -> show.plan() != null && show.pictureProperty().get() != null);
            List<String> wrong = new ArrayList<>();
            show.planProperty().addListener((o, a, b) -> {
                if (b != null && !b.project().id().equals(workbench.shown().orElseThrow().id())) {
                    wrong.add(b.project().id());
                }
            });
            for (String id : List.of("snail", "moon", "owl", "fox")) {
                workbench.choose(id);
                assertThat(show.plan() == null || show.plan().project().id().equals(id)).as("right after choosing %s", id).isTrue();
            }
            answers.until(() -> show.plan() != null && desk.idle());
            assertThat(wrong).isEmpty();
        });
    }

    @Test
    void aPhotoThatTheReaderStumblesOverEndsTheBusyMark() throws Exception {
        failingFor(List.of(), new AtomicInteger(), (show, desk) -> {
            PhotoModel photos = new PhotoModel(workbench, desk, new BenchCamera() {
                @Override
                public String label() {
                    return "broken camera";
                }

                @Override
                public Photo take() {
                    throw new IllegalStateException("made to fail");
                }
            });
            photos.take();
            answers.until(() -> !photos.busyProperty().get());
            assertThat(photos.troubleProperty().get()).contains("could not be read");
        });
    }

    // --- files

    @Test
    void fileWorkSaysWhatItIsAtAnswersOnceAndTellsTrouble() {
        Deque<Runnable> waiting = new ArrayDeque<>();
        FileWork files = new FileWork(workbench, Runnable::run, waiting::add);
        List<String> done = new ArrayList<>();
        files.<String>run("Reading kite.svg", () -> "kite", done::add);
        assertThat(files.atProperty().get()).isEqualTo("Reading kite.svg");
        waiting.remove().run();
        assertThat(files.atProperty().get()).isEmpty();
        files.<String>run("Reading none.svg", () -> {
            throw new FileTrouble("none.svg", "There is no such file.", "Check its name.");
        }, done::add);
        waiting.remove().run();
        assertThat(workbench.noticeProperty().get()).isEqualTo("none.svg: There is no such file. Check its name.");
        files.<String>run("Reading bad.svg", () -> {
            throw new IllegalStateException("made to fail");
        }, done::add);
        waiting.remove().run();
        assertThat(workbench.noticeOfTroubleProperty().get()).isTrue();
        assertThat(workbench.noticeProperty().get()).contains("Nothing was changed").doesNotContain("IllegalState");
        assertThat(done).containsExactly("kite");
    }

    @Test
    void whatIsStoppedOrOvertakenIsNotTakenOver() throws IOException {
        Deque<Runnable> working = new ArrayDeque<>();
        FileWork files = new FileWork(workbench, working::add, Runnable::run);
        List<String> done = new ArrayList<>();
        files.<String>run("Reading one", () -> "one", done::add);
        files.stop();
        assertThat(files.atProperty().get()).isEmpty();
        working.remove().run();
        files.<String>run("Reading two", () -> "two", done::add);
        files.<String>run("Reading three", () -> "three", done::add);
        working.forEach(Runnable::run);
        assertThat(done).containsExactly("three");
        assertThat(Files.list(folder)).isEmpty();
    }
}
