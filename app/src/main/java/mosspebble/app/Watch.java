package mosspebble.app;

import java.util.concurrent.Future;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import mosspebble.app.model.Workbench;
import mosspebble.app.sitting.SittingModel;
import mosspebble.files.FileTrouble;
import mosspebble.files.Journal;
import mosspebble.files.StudioStore;

/**
 * Looks at the clock and at the studio's file while the window is open, keeps the day's copy, and tries again what is not kept. The
 * interface is woken only when there is something to tell it, so that a window nobody touches is left at rest; no animation does this,
 * since that draws at 60 Hz.
 */
final class Watch implements AutoCloseable {

    /** How often the file is looked at, and the clock where nobody looks at it, s. */
    static final int AT_REST = 4;
    /** How often the clock is told where it is looked at, s. */
    static final int LOOKED_AT = 1;

    private final SittingModel sitting;
    private final Workbench workbench;
    private final StudioStore store;
    private final Consumer<Runnable> interfaceThread;
    private final ScheduledThreadPoolExecutor rounds;
    private Future<?> seconds;
    private volatile boolean unkept;

    /**
     * Made on the interface thread.
     *
     * @param rounds what it goes its rounds on, closed with it
     */
    Watch(SittingModel sitting, Workbench workbench, StudioStore store, Consumer<Runnable> interfaceThread,
            ScheduledThreadPoolExecutor rounds) {
        this.sitting = sitting;
        this.workbench = workbench;
        this.store = store;
        this.interfaceThread = interfaceThread;
        this.unkept = !workbench.unkeptProperty().get().isEmpty();
        workbench.unkeptProperty().addListener((o, a, b) -> unkept = !b.isEmpty());
        this.rounds = rounds;
        rounds.setRemoveOnCancelPolicy(true);
    }

    /** One thread that keeps no program from ending. */
    static ScheduledThreadPoolExecutor thread() {
        return new ScheduledThreadPoolExecutor(1, work -> {
            Thread thread = new Thread(work, "watch");
            thread.setDaemon(true);
            return thread;
        });
    }

    /** On the interface thread. */
    void begin() {
        rounds.execute(this::keepDailyCopy);
        rounds.scheduleWithFixedDelay(goesOn(this::round), AT_REST, AT_REST, TimeUnit.SECONDS);
        sitting.lookedAtProperty().addListener((o, a, b) -> countSeconds());
        countSeconds();
    }

    private void countSeconds() {
        if (seconds != null) {
            seconds.cancel(false);
        }
        seconds = sitting.lookedAtProperty().get() && !rounds.isShutdown()
                ? rounds.scheduleWithFixedDelay(goesOn(this::tellTime), LOOKED_AT, LOOKED_AT, TimeUnit.SECONDS)
                : null;
    }

    /** What stumbles once is written down and done again the next time; by itself the round would never be gone again. */
    private static Runnable goesOn(Runnable round) {
        return () -> {
            try {
                round.run();
            } catch (RuntimeException e) {
                Journal.trouble("keeping watch", e);
            }
        };
    }

    /** Looks at all once; on any thread but the interface's. */
    void round() {
        tellTime();
        try {
            store.watch();
        } catch (FileTrouble e) {
            tell(e.getMessage());
        }
        String note = store.takeNote();
        if (!note.isEmpty()) {
            tell(note);
        }
        if (unkept) {
            interfaceThread.accept(workbench::keepAgain);
        }
    }

    private void tellTime() {
        if (sitting.isDue()) {
            interfaceThread.accept(sitting::tick);
        }
    }

    private void keepDailyCopy() {
        try {
            store.keepDailyCopy();
        } catch (FileTrouble e) {
            Journal.trouble("keeping the day's copy", e);
            tell("Today's copy of the studio could not be kept: " + e.reason() + ". " + e.remedy());
        }
    }

    private void tell(String words) {
        interfaceThread.accept(() -> workbench.tell(words));
    }

    @Override
    public void close() {
        rounds.shutdownNow();
    }
}
