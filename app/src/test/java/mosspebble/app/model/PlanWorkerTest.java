package mosspebble.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import mosspebble.core.area.Grid;
import mosspebble.core.colour.Lamp;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.project.Habits;
import mosspebble.core.units.Celsius;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import org.junit.jupiter.api.Test;

/** Long work beside the desk: the newest counts, what is old is given up, plans need not wait. */
class PlanWorkerTest {

    private final List<String> answers = Collections.synchronizedList(new ArrayList<>());

    private PlanWorker desk() {
        PlanWorker desk = new PlanWorker(BuiltIn::repertoire, Runnable::run, error -> answers.add("desk: " + error.getMessage()));
        desk.begin();
        return desk;
    }

    private static void idle(PlanWorker desk) {
        for (int i = 0; i < 12_000 && !desk.idle(); i++) {
            LockSupport.parkNanos(5_000_000);
        }
        assertThat(desk.idle()).isTrue();
    }

    @Test
    void theNewestCountsAndTheOldOneIsToldThatNobodyWaits() throws Exception {
        try (PlanWorker desk = desk()) {
            PlanWorker.Line line = new PlanWorker.Line();
            CountDownLatch begun = new CountDownLatch(1);
            CountDownLatch goOn = new CountDownLatch(1);
            boolean[] unwanted = new boolean[2];
            desk.askBeside(line, old -> {
                unwanted[0] = old.getAsBoolean();
                begun.countDown();
                await(goOn);
                unwanted[1] = old.getAsBoolean();
                return "first";
            }, answers::add, error -> {});
            assertThat(begun.await(10, TimeUnit.SECONDS)).isTrue();
            desk.askBeside(line, old -> "second", answers::add, error -> {});
            goOn.countDown();
            idle(desk);
            assertThat(answers).containsExactly("second");
            assertThat(unwanted).containsExactly(false, true);
        }
    }

    /** A small picture asked for before or beside a plan must not come between that plan and its own picture. */
    @Test
    void whatCanWaitComesAfterWhatIsAskedUponAnAnswer() throws Exception {
        AnswersInTurn thread = new AnswersInTurn();
        List<String> worked = Collections.synchronizedList(new ArrayList<>());
        try (PlanWorker desk = new PlanWorker(BuiltIn::repertoire, thread, error -> answers.add("desk: " + error.getMessage()))) {
            desk.begin();
            for (String thing : List.of("one", "another")) {
                desk.askLater(new PlanWorker.Line(), d -> worked.add("small picture of " + thing), answer -> {});
            }
            desk.ask(new PlanWorker.Line(), d -> worked.add("plan"), plan -> desk.ask(new PlanWorker.Line(),
                    d -> worked.add("draft"), draft -> desk.ask(new PlanWorker.Line(), d -> worked.add("picture"), picture -> {})));
            thread.until(() -> worked.size() == 5);
        }
        assertThat(worked).containsExactly("plan", "draft", "picture", "small picture of one", "small picture of another");
    }

    /** The thread on which answers are heard may be busy for long; what can wait is worked out meanwhile. */
    @Test
    void whatCanWaitIsNotHeldUpByAnswersThatNobodyHears() throws Exception {
        CountDownLatch worked = new CountDownLatch(2);
        try (PlanWorker desk = new PlanWorker(BuiltIn::repertoire, new AnswersInTurn(), error -> {})) {
            desk.begin();
            for (int i = 0; i < 2; i++) {
                desk.askLater(new PlanWorker.Line(), d -> {
                    worked.countDown();
                    return "";
                }, answer -> {});
            }
            assertThat(worked.await(20, TimeUnit.SECONDS)).isTrue();
        }
    }

    @Test
    void theDeskGoesOnWhileSomethingIsSearchedForBeside() throws Exception {
        try (PlanWorker desk = desk()) {
            CountDownLatch goOn = new CountDownLatch(1);
            desk.askBeside(new PlanWorker.Line(), old -> {
                await(goOn);
                return "search";
            }, answers::add, error -> {});
            CountDownLatch planned = new CountDownLatch(1);
            desk.ask(new PlanWorker.Line(), d -> "plan", plan -> {
                answers.add(plan);
                planned.countDown();
            });
            assertThat(planned.await(10, TimeUnit.SECONDS)).as("though the search is not done").isTrue();
            assertThat(desk.idle()).as("for it is waited all the same").isFalse();
            goOn.countDown();
            idle(desk);
            assertThat(answers).containsExactly("plan", "search");
        }
    }

    @Test
    void whatFailsIsToldToWhoAskedUnlessSomethingNewerWasAsked() {
        try (PlanWorker desk = desk()) {
            PlanWorker.Line line = new PlanWorker.Line();
            desk.askBeside(line, old -> {
                throw new IllegalStateException("broken");
            }, answer -> answers.add("answer"), error -> answers.add("told: " + error.getMessage()));
            idle(desk);
            assertThat(answers).containsExactly("told: broken");
        }
    }

    @Test
    void whatIsDroppedIsNotAnsweredAndWhatIsAskedAfterItIs() throws Exception {
        try (PlanWorker desk = desk()) {
            PlanWorker.Line line = new PlanWorker.Line();
            PlanWorker.Line other = new PlanWorker.Line();
            CountDownLatch begun = new CountDownLatch(1);
            CountDownLatch goOn = new CountDownLatch(1);
            boolean[] unwanted = new boolean[1];
            desk.askBeside(line, old -> {
                begun.countDown();
                await(goOn);
                unwanted[0] = old.getAsBoolean();
                return "dropped";
            }, answers::add, error -> answers.add("failed"));
            desk.ask(other, d -> "of another line", answers::add);
            assertThat(begun.await(10, TimeUnit.SECONDS)).isTrue();
            line.drop();
            goOn.countDown();
            idle(desk);
            assertThat(unwanted[0]).as("it is told to give up").isTrue();
            assertThat(answers).containsExactly("of another line");
            desk.askBeside(line, old -> "asked after it", answers::add, error -> {});
            idle(desk);
            assertThat(answers).containsExactly("of another line", "asked after it");
        }
    }

    @Test
    void aClosedDeskAnswersNothing() {
        PlanWorker desk = desk();
        desk.close();
        desk.askBeside(new PlanWorker.Line(), old -> "late", answers::add, error -> {});
        assertThat(answers).isEmpty();
        assertThat(desk.idle()).isTrue();
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await(10, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** What a desk makes of a stone of a studio. */
    private <T> T made(Studio studio, PlanWorker.Work<T> work) {
        try (PlanWorker desk = desk()) {
            return asked(desk, work);
        }
    }

    private static <T> T asked(PlanWorker desk, PlanWorker.Work<T> work) {
        List<T> made = Collections.synchronizedList(new ArrayList<>());
        desk.ask(new PlanWorker.Line(), work, made::add);
        idle(desk);
        return made.get(0);
    }

    @Test
    void anotherWindowFindsThePlanOfTheSameStoneAndMakesAnotherOneWhereAnythingIsAnother() {
        Studio walk = LanternWalk.studio(BuiltIn.repertoire());
        Project owl = walk.project("owl").orElseThrow();
        PaintPlan first = made(walk, d -> d.plan(owl, walk));
        PaintPlan again = made(walk, d -> d.plan(owl, walk));
        assertThat(again).isSameAs(first);

        Studio cold = walk.withClimate(new Climate(new Celsius(11), 0.8, 0.1));
        Studio fewer = walk.withShelf(new Shelf(walk.shelf().paints().subList(0, walk.shelf().paints().size() - 1)));
        Project moved = owl.withSketch(owl.sketch().map(s -> s.with(s.items().get(0).id(),
                item -> item.withPlacement(item.placement().movedBy(0.5, 0)))));
        Habits.Handling hand = owl.wholeHabits().handling();
        Project other = owl.withHabits(owl.wholeHabits().withHandling(hand.withDryer(!hand.dryer())));
        PaintPlan inTheCold = made(cold, d -> d.plan(owl, cold));
        PaintPlan withFewer = made(fewer, d -> d.plan(owl, fewer));
        assertThat(inTheCold).as("another room").isNotEqualTo(first);
        assertThat(withFewer).as("another shelf").isNotSameAs(first);
        assertThat(made(walk, d -> d.plan(moved, walk)).faces()).as("moved").isNotEqualTo(first.faces());
        assertThat(made(walk, d -> d.plan(other, walk)).schedule()).as("dried another way").isNotEqualTo(first.schedule());
    }

    @Test
    void onlyTheStonesThatWereWorkedOnLastAreInHand() {
        Studio studio = LanternWalk.studio(BuiltIn.repertoire());
        List<Project> stones = studio.projects();
        try (PlanWorker desk = desk()) {
            stones.forEach(p -> asked(desk, d -> d.planAside(p, studio)));
            assertThat(notInHand(desk, stones.get(0), studio)).as("one that was looked at from afar").isTrue();
            assertThat(notInHand(desk, stones.get(0), studio)).as("one that is in hand").isFalse();
            for (int i = 1; i < 4; i++) {
                Project next = stones.get(i).withPurpose("asked for at " + System.nanoTime());
                asked(desk, d -> d.plan(next, studio));
                assertThat(notInHand(desk, next, studio)).as("one that was planned to be worked on").isFalse();
            }
            assertThat(notInHand(desk, stones.get(0), studio)).as("three are in hand, and this is the fourth").isTrue();
        }
    }

    private static boolean notInHand(PlanWorker desk, Project project, Studio studio) {
        return asked(desk, d -> d.takeInHand(project, studio));
    }

    @Test
    void aPictureIsFoundAgainForTheSamePlanGridLookAndLamp() {
        Studio walk = LanternWalk.studio(BuiltIn.repertoire());
        Project owl = walk.project("owl").orElseThrow();
        List<StonePicture> drawn = made(walk, d -> {
            PaintPlan plan = d.plan(owl, walk);
            Grid grid = PlanWorker.whole(plan, 1);
            return List.of(d.picture(plan, grid, StoneState.SEALED, Lamp.DAYLIGHT), d.picture(plan, grid, StoneState.SEALED, Lamp.DAYLIGHT),
                    d.picture(plan, grid, StoneState.DRY, Lamp.DAYLIGHT), d.picture(plan, grid, StoneState.SEALED, Lamp.WARM_LAMP),
                    d.picture(plan, PlanWorker.whole(plan, 1.1), StoneState.SEALED, Lamp.DAYLIGHT));
        });
        assertThat(drawn.get(1)).isSameAs(drawn.get(0));
        assertThat(drawn.stream().distinct()).as("another look, another lamp, another grid").hasSize(4);
        Results.Moment done = Results.Moment.after(99, drawn.get(0), 320);
        assertThat(done.steps()).as("it has no more").isEqualTo(drawn.get(0).steps());
        Results.Lit lit = made(walk, d -> d.lit(done));
        Results.Lit again = made(walk, d -> d.lit(Results.Moment.after(99, drawn.get(1), 320)));
        Results.Lit sooner = made(walk, d -> d.lit(Results.Moment.after(1, drawn.get(0), 320)));
        assertThat(again).isSameAs(lit).isNotSameAs(sooner);
    }

    @Test
    void aPictureIsAsFineAsIsAskedForAndNoFinerThanThereIsRoomFor() {
        Studio walk = LanternWalk.studio(BuiltIn.repertoire());
        PaintPlan plan = made(walk, d -> List.of(d.plan(walk.project("owl").orElseThrow(), walk))).get(0);
        assertThat(PlanWorker.whole(plan, 1).cellMm()).isEqualTo(1);
        double wide = 2 * plan.survey().dome().outline().halfWidth() + 12;
        double high = 2 * plan.survey().dome().outline().halfHeight() + 12;
        for (double perMm : new double[] {9, 40, 1000}) {
            Grid grid = PlanWorker.whole(plan, perMm);
            assertThat((double) grid.cells()).as("two cells more all round at most").isLessThan(
                    PlanWorker.MOST_PIXELS + 4 * (grid.columns() + grid.rows()));
            assertThat(grid.cells()).isGreaterThan((int) Math.min(0.9 * PlanWorker.MOST_PIXELS, 0.9 * perMm * perMm * wide * high));
            assertThat(grid.columns() * grid.cellMm()).as("all of the stone").isBetween(wide - 1e-6, wide + 5 * grid.cellMm());
            assertThat(grid.rows() * grid.cellMm()).isBetween(high - 1e-6, high + 5 * grid.cellMm());
        }
    }
}
