package mosspebble.app.model;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.PriorityBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Remembered;
import mosspebble.core.care.Lessons;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.colour.Lamp;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.Shadow;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.picture.StoneTerrain;
import mosspebble.core.plan.StoneState;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.rules.Taught;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.LengthUnit;
import mosspebble.files.FileTrouble;
import mosspebble.files.Journal;
import mosspebble.files.OwnFiles;
import mosspebble.files.Paper;
import mosspebble.files.SheetBook;
import mosspebble.files.Sheets;

/**
 * Works out plans and pictures away from the interface thread, one thread, the latest request of each line of work wins; what it is asked
 * again (the same stone, the same shelf,
 * the same picture size) it remembers. Answers are posted to the given executor; a superseded answer is never posted.
 */
public class PlanWorker implements AutoCloseable {

    /** A line of work in which only the newest request counts. */
    public static final class Line {
        private final AtomicLong newest = new AtomicLong();

        /** Whether anything newer was asked on this line than what was asked last when this is called. */
        BooleanSupplier overtaken() {
            long asked = newest.get();
            return () -> newest.get() != asked;
        }

        /** What was asked is of no use any more: no answer is given to it. */
        public void drop() {
            newest.incrementAndGet();
        }
    }

    /** A larger picture is drawn a little coarser, so that it has room in the memory; on a slow machine fewer can be asked for. */
    public static final double MOST_PIXELS = Integer.getInteger("mosspebble.pixels", 3_500_000);

    /** How many times as much is kept as one window needs: more pays where many are opened one after the other, as by tests. */
    private static final int WINDOWS = Math.max(1, Integer.getInteger("mosspebble.windows", 1));

    /** Palettes and repertoires. */
    private static final int REMEMBERED = 12;

    /** Stones that were shown last, each with all that a change is planned anew with: 2 to 4 MB. */
    private static final int IN_HAND = 3;

    /** Cells of the terrains kept, about 50 bytes each. */
    private static final long CELLS = 1_600_000L * WINDOWS;

    /** Pixels of what was drawn to be seen, 4 bytes each. */
    private static final long PIXELS = 2_400_000L * WINDOWS;

    /** Plans and pictures kept; a picture with its terrain is 12 to 30 MB at the scale of the cloth, a plan 1 to 2. */
    private static final int PLANS = 12 * WINDOWS;
    private static final int PICTURES = 6 * WINDOWS;
    private static final int BOOKS = 3 * WINDOWS;

    /** So long what can wait stands back until answers are heard; an interface thread that is busy for longer is not waited for. */
    private static final int HEARING_MS = 200;

    private record TerrainKey(Stone stone, Grid grid) {}

    /** What a repertoire is made from; the shipped one is told by being that very one. */
    private record RepertoireKey(Repertoire shipped, List<OwnFile> own) {}

    /** All that a plan is made from. */
    private record TaughtKey(Same plan, Lessons lessons) {}

    private record PlanKey(Project project, Workshop workshop) {}

    /** All that a shadow on the cloth is made from. */
    private record ShadowKey(Stone stone, double lightFrom) {}

    /** All that a picture is made from. */
    private record PictureKey(Same schedule, Same face, Grid grid, StoneState look, Lamp lamp) {}

    /** All that sheets are made from. */
    private record SheetsKey(Same plan, Paper paper, LengthUnit unit, Sheets.Layout layout) {}

    /** Something told by being that very one. */
    private record Same(Object it) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Same same && same.it == it;
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(it);
        }
    }

    // what was worked out in any window of this process: a stone chosen again is there at once, and so is what was undone
    private static final SoftMemory<Shelf, Palette> KNOWN_PALETTES = new SoftMemory<>(REMEMBERED);
    private static final SoftMemory<RepertoireKey, Repertoire> KNOWN_REPERTOIRES = new SoftMemory<>(REMEMBERED);
    private static final SoftMemory<Stone, Survey> KNOWN_SURVEYS = new SoftMemory<>(PLANS);
    private static final SoftMemory<ShadowKey, Shadow> KNOWN_SHADOWS = new SoftMemory<>(PLANS);
    private static final SoftMemory<PlanKey, PaintPlan> KNOWN_PLANS = new SoftMemory<>(PLANS);
    private static final SoftMemory<TaughtKey, PaintPlan> KNOWN_TAUGHT = new SoftMemory<>(PLANS);
    private static final SoftMemory<TerrainKey, StoneTerrain> KNOWN_TERRAINS = new SoftMemory<>(CELLS, key -> key.grid.cells());
    private static final SoftMemory<PictureKey, StonePicture> KNOWN_PICTURES = new SoftMemory<>(PICTURES);
    private static final SoftMemory<Results.Moment, Results.Lit> KNOWN_LIT = new SoftMemory<>(PIXELS,
            moment -> moment.of().terrain().grid().cells());
    private static final SoftMemory<SheetsKey, Optional<SheetBook>> KNOWN_SHEETS = new SoftMemory<>(BOOKS);

    /** Work waits by urgency, then in the order in which it was asked for. */
    private record Job(boolean later, long number, Runnable work) implements Runnable, Comparable<Job> {
        @Override
        public int compareTo(Job other) {
            return later != other.later ? Boolean.compare(later, other.later) : Long.compare(number, other.number);
        }

        @Override
        public void run() {
            work.run();
        }
    }

    private volatile Lessons lessons = Lessons.NOTHING;
    private final ThreadPoolExecutor worker = new ThreadPoolExecutor(1, 1, 0, TimeUnit.SECONDS, new PriorityBlockingQueue<>(), task -> {
        Thread thread = new Thread(task, "plan-desk");
        thread.setDaemon(true);
        return thread;
    });
    private final ExecutorService besides = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "search");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicLong jobs = new AtomicLong();
    private final Executor answers;
    private final Consumer<Throwable> failed;
    private final Supplier<Repertoire> repertoireSource;
    private final Map<String, Remembered> inHand = inHand();
    private final AtomicLong waiting = new AtomicLong();
    private final CountDownLatch begun = new CountDownLatch(1);
    private Repertoire shipped;

    /**
     * @param repertoireSource loaded once, on the worker
     * @param answers where answers are given, such as the interface thread
     * @param failed told of errors of the program
     */
    public PlanWorker(Supplier<Repertoire> repertoireSource, Executor answers, Consumer<Throwable> failed) {
        this.repertoireSource = repertoireSource;
        this.answers = answers;
        this.failed = failed;
        worker.execute(new Job(false, jobs.incrementAndGet(), () -> {
            try {
                begun.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt(); // closed before it began
            }
        }));
    }

    private static <K, V> Map<K, V> inHand() {
        return new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > IN_HAND;
            }
        };
    }

    /** Starts working; requests made before wait, so that the first window need not share the processor. */
    public void begin() {
        begun.countDown();
    }

    /** Computes something from the tools of the desk, on the worker. */
    public <T> void ask(Line line, Work<T> work, Consumer<T> answer) {
        ask(false, line, work, answer, failed);
    }

    /**
     * The same for what leaves a mark while it is being worked out.
     *
     * @param failing told in place of the desk where the work failed, unless something newer was asked
     */
    public <T> void ask(Line line, Work<T> work, Consumer<T> answer, Consumer<Throwable> failing) {
        ask(false, line, work, answer, failing);
    }

    /** The same for what can wait until nothing else does, such as small pictures. */
    public <T> void askLater(Line line, Work<T> work, Consumer<T> answer, Consumer<Throwable> failing) {
        ask(true, line, work, answer, failing);
    }

    public <T> void askLater(Line line, Work<T> work, Consumer<T> answer) {
        ask(true, line, work, answer, failed);
    }

    /**
     * The same for long work that needs nothing of the desk, such as a search: beside it, so that plans and pictures need not wait.
     *
     * @param work given whether anything newer was asked
     */
    public <T> void askBeside(Line line, Function<BooleanSupplier, T> work, Consumer<T> answer, Consumer<Throwable> failing) {
        long number = line.newest.incrementAndGet();
        if (besides.isShutdown()) {
            return;
        }
        waiting.incrementAndGet();
        besides.execute(() -> run(line, number, () -> work.apply(() -> line.newest.get() != number), answer, failing));
    }

    private <T> void ask(boolean later, Line line, Work<T> work, Consumer<T> answer, Consumer<Throwable> failing) {
        long number = line.newest.incrementAndGet();
        if (worker.isShutdown()) {
            return; // the window is closing
        }
        waiting.incrementAndGet();
        long turn = jobs.incrementAndGet();
        Runnable job = () -> run(line, number, () -> work.run(this), answer, failing);
        worker.execute(new Job(later, turn, later ? () -> stepBack(turn, job) : job));
    }

    /** What can wait begins once all answers given so far were heard and nothing was asked upon them, such as the picture of a plan. */
    private void stepBack(long turn, Runnable job) {
        CountDownLatch heard = new CountDownLatch(1);
        answers.execute(heard::countDown);
        try {
            for (int ms = 0; ms < HEARING_MS && !isAsked() && !heard.await(1, TimeUnit.MILLISECONDS); ms++) {}
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt(); // the desk is closed
            return;
        }
        if (isAsked()) {
            worker.execute(new Job(true, turn, () -> stepBack(turn, job)));
        } else {
            job.run();
        }
    }

    /** Whether something waits that cannot. */
    private boolean isAsked() {
        return worker.getQueue().peek() instanceof Job next && !next.later();
    }

    private <T> void run(Line line, long number, Supplier<T> work, Consumer<T> answer, Consumer<Throwable> failing) {
        try {
            if (line.newest.get() != number) {
                return;
            }
            T result = work.get();
            answers.execute(() -> {
                if (line.newest.get() == number) {
                    answer.accept(result);
                }
            });
        } catch (RuntimeException | Error e) {
            Journal.trouble("working something out", e);
            answers.execute(() -> {
                if (line.newest.get() == number) {
                    failing.accept(e);
                }
            });
        } finally {
            waiting.decrementAndGet();
        }
    }

    /** Whether nothing waits and nothing is being worked out. */
    public boolean idle() {
        return waiting.get() == 0;
    }

    /** Work for the desk; runs on its thread and may use the desk's methods below. */
    public interface Work<T> {
        T run(PlanWorker desk);
    }

    /** The repertoire, with the painter's own files; only on the worker. */
    public Repertoire repertoire(Studio studio) {
        if (shipped == null) {
            shipped = repertoireSource.get();
        }
        List<OwnFile> drawn = studio.own().stream().filter(OwnFile::drawnWith).toList();
        return KNOWN_REPERTOIRES.of(new RepertoireKey(shipped, drawn), () -> OwnFiles.with(shipped, drawn));
    }

    /** A survey of a stone; only on the worker. */
    public Survey survey(Stone stone) {
        return KNOWN_SURVEYS.of(stone, () -> Survey.of(stone));
    }

    /** The shadow that the stone of a plan throws on the cloth by its light; only on the worker. */
    public Shadow shadow(PaintPlan plan) {
        double from = plan.project().habits().light().from();
        return KNOWN_SHADOWS.of(new ShadowKey(plan.survey().stone(), from), () -> Shadow.of(plan.survey().dome(), from));
    }

    /** The palette of a shelf; from any thread, since what is on the screen asks for the one the plan was made with. */
    public Palette palette(Shelf shelf) {
        return KNOWN_PALETTES.of(shelf, () -> new Palette(shelf));
    }

    /** The plan of a project that is worked on; only on the worker. */
    public PaintPlan plan(Project project, Studio studio) {
        return plan(project, studio, () -> inHand.computeIfAbsent(project.id(), id -> new Remembered()));
    }

    /** The plan of one of many that are looked at from afar: nothing is kept to plan its changes with; only on the worker. */
    public PaintPlan planAside(Project project, Studio studio) {
        return plan(project, studio, () -> inHand.getOrDefault(project.id(), new Remembered()));
    }

    /**
     * Makes ready what a change of a project is planned with, where that is not in hand; only on the worker.
     *
     * @return whether it was not
     */
    public boolean takeInHand(Project project, Studio studio) {
        if (inHand.get(project.id()) != null) {
            return false;
        }
        Remembered all = new Remembered();
        make(project, workshop(studio), all);
        inHand.put(project.id(), all);
        return true;
    }

    private PaintPlan plan(Project project, Studio studio, Supplier<Remembered> with) {
        Workshop workshop = workshop(studio);
        PaintPlan plan = KNOWN_PLANS.of(new PlanKey(project, workshop), () -> make(project, workshop, with.get()));
        Lessons taught = lessons;
        return taught == Lessons.NOTHING ? plan
                : KNOWN_TAUGHT.of(new TaughtKey(new Same(plan), taught), () -> Taught.by(plan, taught, studio.shelf()));
    }

    private Workshop workshop(Studio studio) {
        return new Workshop(palette(studio.shelf()), repertoire(studio), studio.climate(), studio.known());
    }

    private PaintPlan make(Project project, Workshop workshop, Remembered with) {
        return Plans.plan(project, survey(project.stone()), workshop, with,
                error -> Journal.trouble("planning a thing of a sketch", error));
    }

    /** What the painter's book teaches from now on; plans that were made already are said it when they are asked for again. */
    public void teach(Lessons learnt) {
        lessons = learnt;
    }

    /** The picture of a plan at so many pixels per mm; only on the worker. */
    public StonePicture picture(PaintPlan plan, double pixelsPerMm, StoneState look) {
        return picture(plan, whole(plan, pixelsPerMm), look, Lamp.DAYLIGHT);
    }

    /** Pixels for a whole stone, so many per mm, or as many as a picture may have. */
    static Grid whole(PaintPlan plan, double pixelsPerMm) {
        double halfWide = plan.survey().dome().outline().halfWidth() + 6;
        double halfHigh = plan.survey().dome().outline().halfHeight() + 6;
        return Grid.around(halfWide, halfHigh, Math.max(1 / pixelsPerMm, Math.sqrt(4 * halfWide * halfHigh / MOST_PIXELS)));
    }

    /** The picture of a plan on a grid, such as a part of the stone looked at closely; only on the worker. */
    public StonePicture picture(PaintPlan plan, Grid grid, StoneState look, Lamp lamp) {
        return KNOWN_PICTURES.of(new PictureKey(new Same(plan.schedule()), new Same(plan.up()), grid, look, lamp),
                () -> StonePicture.of(plan, terrain(plan.survey(), grid), look, lamp));
    }

    private static StoneTerrain terrain(Survey survey, Grid grid) {
        return KNOWN_TERRAINS.of(new TerrainKey(survey.stone(), grid), () -> StoneTerrain.of(survey, grid));
    }

    /** The sheets of a plan, as they were made before if they were; from any thread but the window's. Empty if told to stop. */
    public Optional<SheetBook> sheets(PaintPlan plan, Paper paper, LengthUnit unit, Sheets.Layout layout, Sheets.Progress progress)
            throws FileTrouble {
        return KNOWN_SHEETS.of(new SheetsKey(new Same(plan), paper, unit, layout),
                () -> Sheets.book(plan, paper, unit, layout, progress), Optional::isPresent);
    }

    /** A moment drawn with full care; from any thread but the window's. */
    public Results.Lit lit(Results.Moment moment) {
        return lit(moment, () -> false);
    }

    /** The same, unfinished if it is no longer wanted. */
    Results.Lit lit(Results.Moment moment, BooleanSupplier unwanted) {
        return KNOWN_LIT.of(moment, () -> new Results.Lit(moment, moment.draw(Care.FULL, unwanted)), drawn -> !unwanted.getAsBoolean());
    }

    @Override
    public void close() {
        besides.shutdownNow();
        worker.shutdownNow();
    }
}
