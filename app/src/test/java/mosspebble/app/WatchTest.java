package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.sitting.SittingModel;
import mosspebble.core.finding.Finding;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.files.StudioStore;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is done while nobody presses anything, round by round and without a window. */
class WatchTest {

    @TempDir
    private Path folder;

    private final Turned clock = new Turned("2026-11-27T18:40:00");
    private final List<Runnable> woken = new ArrayList<>();
    private boolean full;
    private boolean deaf;
    private StudioStore store;
    private Workbench workbench;
    private SittingModel sitting;

    private interface Use {
        void of(Watch watch, Rounds rounds) throws Exception;
    }

    private void with(Use use) throws Exception {
        try (StudioStore kept = StudioStore.open(folder.resolve("s.pebble"), LanternWalk::newcomer);
                PlanWorker desk = new PlanWorker(BuiltIn::repertoire, Runnable::run, error -> {
                    throw new AssertionError(error);
                })) {
            store = kept;
            workbench = new Workbench(kept.studio(), (after, title) -> {
                if (full) {
                    throw new FileTrouble("s.pebble", "No room is left.", "Make room.");
                }
                kept.commit(after, title);
            });
            workbench.stageProperty().set(Finding.Stage.SKETCH);
            sitting = new SittingModel(workbench, new Results(workbench, desk), desk, (known, unwanted) -> Optional.of(known), clock);
            Rounds rounds = new Rounds();
            try (Watch watch = new Watch(sitting, workbench, kept, this::wake, rounds)) {
                use.of(watch, rounds);
            }
            assertThat(rounds.isShutdown()).as("closed with the window").isTrue();
        }
    }

    private void wake(Runnable answer) {
        if (deaf) {
            throw new IllegalStateException("nobody listens");
        }
        woken.add(answer);
    }

    private void listens() {
        woken.forEach(Runnable::run);
        woken.clear();
    }

    @Test
    void aWindowNobodyTouchesIsWokenOnceAMinuteToTellTheTime() throws Exception {
        with((watch, rounds) -> {
            int told = 0;
            for (int i = 0; i < 60; i++) {
                clock.on(Duration.ofSeconds(Watch.AT_REST));
                watch.round();
                told += woken.size();
                listens();
            }
            assertThat(told).as("in four minutes").isEqualTo(4);
            assertThat(sitting.nowProperty().get()).as("of the last minute").isEqualTo(clock.instant());
            assertThat(workbench.noticeProperty().get()).isEmpty();
        });
    }

    /** Writes down what is to be done again and again, and how many seconds apart; does none of it. */
    private static final class Rounds extends ScheduledThreadPoolExecutor {
        private final Map<Future<?>, Long> asked = new LinkedHashMap<>();
        private Runnable last;

        private Rounds() {
            super(1);
        }

        @Override
        public ScheduledFuture<?> scheduleWithFixedDelay(Runnable what, long first, long every, TimeUnit unit) {
            ScheduledFuture<?> future = super.scheduleWithFixedDelay(what, 1, 1, TimeUnit.DAYS); // rounds are gone by the test
            asked.put(future, unit.toSeconds(every));
            last = what;
            return future;
        }

        private List<Long> going() {
            return asked.keySet().stream().filter(f -> !f.isDone()).map(asked::get).toList();
        }
    }

    @Test
    void secondsAreCountedOnlyWhileTheyAreLookedAt() throws Exception {
        with((watch, rounds) -> {
            watch.begin();
            assertThat(rounds.going()).containsExactly(4L);
            workbench.stageProperty().set(Finding.Stage.SITTING);
            assertThat(rounds.going()).containsExactly(4L, 1L);
            workbench.stageProperty().set(Finding.Stage.COLOUR);
            assertThat(rounds.going()).containsExactly(4L);
            sitting.planHere();
            assertThat(rounds.going()).as("pages of sittings in the book").containsExactly(4L, 1L);
        });
    }

    @Test
    void whoStumblesGoesOnTheNextTime() throws Exception {
        with((watch, rounds) -> {
            watch.begin();
            clock.on(Duration.ofMinutes(1));
            deaf = true;
            assertThatCode(rounds.last::run).doesNotThrowAnyException();
            deaf = false;
            rounds.last.run();
            assertThat(woken).hasSize(1);
        });
    }

    @Test
    void aFileThatWasTakenAwayIsWrittenAnewAndThatIsSaid() throws Exception {
        with((watch, rounds) -> {
            Files.delete(store.file());
            watch.round();
            listens();
            assertThat(store.file()).exists();
            assertThat(workbench.noticeProperty().get()).contains("nothing is lost");
        });
    }

    @Test
    void whatIsNotKeptIsTriedAgainUntilItIs() throws Exception {
        with((watch, rounds) -> {
            full = true;
            workbench.editStudio("Judge by eye", s -> s.withLed(!s.view().led()));
            watch.round();
            listens();
            assertThat(workbench.unkeptProperty().get()).isNotEmpty();
            full = false;
            watch.round();
            listens();
            assertThat(workbench.unkeptProperty().get()).isEmpty();
            watch.round();
            assertThat(woken).as("nothing is left to try").isEmpty();
        });
    }
}
