package mosspebble.torture;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.stage.Window;
import mosspebble.app.Main;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Studio;
import mosspebble.files.Journal;
import mosspebble.files.StudioStore;
import picocli.CommandLine;

/** Thousands of random edits in the real window, with undo and redo, stages and stones changed in between. */
final class LongRun {

    /** As many as undo keeps. */
    private static final int UNDO = 500;

    private static final int SETTLE = 40;

    /** The longest that the interface thread let us wait since the last look, ms. */
    private static final java.util.concurrent.atomic.AtomicLong LONGEST_WAIT = new java.util.concurrent.atomic.AtomicLong();

    private final Tally tally;
    private final SplittableRandom random;
    private final long seed;
    private final Path folder;

    LongRun(Tally tally, long seed, Path folder) {
        this.tally = tally;
        this.random = new SplittableRandom(seed);
        this.seed = seed;
        this.folder = folder;
    }

    /** The window's workbench, once it is open. */
    static final class OpenWindow {
        final Workbench workbench;
        final Results show;

        private OpenWindow(Workbench workbench, Results show) {
            this.workbench = workbench;
            this.show = show;
        }

        /** Opens the real application in this process, on the display or, without one, on none. */
        static OpenWindow open(Path studio) throws Exception {
            if (System.getenv("DISPLAY") == null) {
                System.setProperty("glass.platform", "Monocle");
                System.setProperty("monocle.platform", "Headless");
            }
            System.setProperty("prism.order", "sw");
            Thread app = new Thread(() -> new CommandLine(new Main()).execute("demo", "--studio", studio.toString()), "app");
            app.setDaemon(true);
            app.start();
            for (int i = 0; i < 600; i++) {
                Thread.sleep(50);
                try {
                    OpenWindow found = on(() -> Window.getWindows().isEmpty() || Window.getWindows().get(0).getScene() == null ? null
                            : of(Window.getWindows().get(0)));
                    if (found != null) {
                        return found;
                    }
                } catch (IllegalStateException notYet) {
                    continue; // the toolkit has not begun
                }
            }
            throw new IllegalStateException("the window did not open");
        }

        private static OpenWindow of(Window window) {
            Object workbench = window.getScene().getRoot().getProperties().get(Workbench.class);
            Object show = window.getScene().getRoot().getProperties().get(Results.class);
            return workbench == null ? null : new OpenWindow((Workbench) workbench, (Results) show);
        }
    }

    /** Does something on the interface thread and waits for it; where that takes long, says what it was at. */
    static <T> T on(Callable<T> what) throws Exception {
        CompletableFuture<T> done = new CompletableFuture<>();
        CompletableFuture.delayedExecutor(Tally.SLOW_MS * 3 / 4, TimeUnit.MILLISECONDS).execute(() -> {
            if (!done.isDone()) {
                Thread.getAllStackTraces().forEach((thread, frames) -> {
                    if (thread.getName().startsWith("JavaFX Application")) {
                        System.out.println("  the window is busy at "
                                + java.util.Arrays.stream(frames).filter(f -> f.getClassName().startsWith("mosspebble")).limit(6).toList());
                    }
                });
            }
        });
        Platform.runLater(() -> {
            try {
                done.complete(what.call());
            } catch (Exception | Error e) {
                done.completeExceptionally(e);
            }
        });
        long from = System.nanoTime();
        T result = done.get(120, TimeUnit.SECONDS);
        long ms = (System.nanoTime() - from) / 1_000_000;
        LONGEST_WAIT.accumulateAndGet(ms, Math::max);
        return result;
    }

    void run(int most, long until) throws Exception {
        Tally.Row row = tally.row("edits in the window");
        Path file = folder.resolve("studio.pebble");
        OpenWindow window = OpenWindow.open(file);
        Edits edits = new Edits(seed);
        List<Studio> before = new ArrayList<>();
        before.add(on(window.workbench::studio));
        long heapAtStart = 0;
        for (int i = 0; i < most && System.currentTimeMillis() < until; i++) {
            row.runs++;
            int kind = random.nextInt(12);
            if (kind == 0 && before.size() > 3) {
                backAndForth(window, row, before);
            } else if (kind == 1) {
                Finding.Stage stage = Finding.Stage.values()[random.nextInt(6)];
                on(() -> {
                    window.workbench.stageProperty().set(stage);
                    return null;
                });
            } else if (kind == 2) {
                Studio now = on(window.workbench::studio);
                String id = now.projects().isEmpty() ? "" : now.projects().get(random.nextInt(now.projects().size())).id();
                on(() -> {
                    window.workbench.choose(id);
                    return null;
                });
            } else {
                Studio now = on(window.workbench::studio);
                Edits.Edit edit = edits.next(now);
                on(() -> window.workbench.editStudio(edit.title(), s -> edit.after()));
                Studio after = on(window.workbench::studio);
                if (!after.equals(now)) {
                    before.add(after);
                    row.acknowledged++;
                }
            }
            row.took(LONGEST_WAIT.getAndSet(0));
            if (i % SETTLE == SETTLE - 1) {
                for (int k = 0; k < 40 && !window.show.idle(); k++) {
                    Thread.sleep(50);
                }
                if (i / SETTLE == 4) {
                    heapAtStart = heap();
                }
            }
        }
        finish(window, row, before, file, heapAtStart);
    }

    private void backAndForth(OpenWindow window, Tally.Row row, List<Studio> before) throws Exception {
        int steps = 1 + random.nextInt(Math.min(20, before.size() - 1));
        Studio last = on(window.workbench::studio);
        for (int k = 0; k < steps; k++) {
            on(() -> {
                window.workbench.undo();
                return null;
            });
        }
        if (!on(window.workbench::studio).equals(before.get(before.size() - 1 - steps))) {
            row.lost++;
            tally.fault("undo " + steps + " did not lead back, seed " + seed);
        }
        for (int k = 0; k < steps; k++) {
            on(() -> {
                window.workbench.redo();
                return null;
            });
        }
        if (!on(window.workbench::studio).equals(last)) {
            row.lost++;
            tally.fault("redo " + steps + " did not lead forth, seed " + seed);
        }
    }

    private void finish(OpenWindow window, Tally.Row row, List<Studio> before, Path file, long heapAtStart) throws Exception {
        for (int k = 0; k < 100 && !window.show.idle(); k++) {
            Thread.sleep(50);
        }
        long heapWithUndo = heap();
        Studio shown = on(window.workbench::studio);
        int all = Math.min(UNDO, before.size() - 1);
        for (int k = 0; k < all; k++) {
            on(() -> {
                window.workbench.undo();
                return null;
            });
        }
        if (!on(window.workbench::studio).equals(before.get(before.size() - 1 - all))) {
            row.lost++;
            tally.fault("undoing all did not lead back to the start, seed " + seed);
        }
        for (int k = 0; k < all; k++) {
            on(() -> {
                window.workbench.redo();
                return null;
            });
        }
        if (!on(window.workbench::studio).equals(shown)) {
            row.lost++;
            tally.fault("doing all again did not lead to the end, seed " + seed);
        }
        String log = Journal.read(folder);
        String noticed = on(() -> window.workbench.noticeOfTroubleProperty().get() ? window.workbench.noticeProperty().get() : "");
        CompletableFuture<Void> ended = new CompletableFuture<>();
        Platform.runLater(() -> {
            Platform.exit();
            ended.complete(null);
        });
        ended.get(30, TimeUnit.SECONDS);
        for (int k = 0; k < 100 && java.nio.file.Files.exists(folder.resolve("studio.pebble.lock")); k++) {
            Thread.sleep(50);
        }
        try (StudioStore store = StudioStore.open(file, Child.fresh())) {
            if (!store.studio().equals(shown)) {
                row.lost++;
                tally.fault("reopened is not what was shown, seed " + seed);
            }
        }
        row.mostBytes = heapWithUndo;
        System.out.println("heap after " + 5 * SETTLE + " edits " + (heapAtStart >> 20) + " MB, at the end " + (heapWithUndo >> 20)
                + " MB with " + all + " studios kept for undo");
        String[] troubles = log.split("TROUBLE");
        for (int i = 1; i < troubles.length; i++) {
            row.unclear++;
            tally.fault("an error in the window, seed " + seed + ":" + troubles[i]);
        }
        if (!noticed.isEmpty() && troubles.length == 1) {
            row.unclear++;
            tally.fault("told of trouble that is not in the log: " + noticed);
        }
    }

    private static long heap() {
        for (int i = 0; i < 3; i++) {
            System.gc();
        }
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }
}
