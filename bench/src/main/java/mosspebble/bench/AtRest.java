package mosspebble.bench;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/** What the program takes while nobody touches it, beside an empty window of the same toolkit. */
final class AtRest {

    /** Until all plans and pictures of the demo are made, and looked at from then on. */
    private static final Duration SETTLES = Duration.ofSeconds(45);
    private static final Duration LOOKED_AT = Duration.ofSeconds(30);

    /** So much of a core it may take at the table, a screen that is on taking far more, % (our own judgement). */
    private static final double MOST_ALONG = 5;

    private AtRest() {}

    /**
     * What a process takes.
     *
     * @param resident memory that is held, MB; empty where the system does not tell
     * @param cores share of one core over the time it was looked at, 0 to the number of cores
     */
    record Taken(OptionalDouble resident, double cores) {}

    /**
     * @param emptyWindow as it is started, {@code demo} likewise with a studio in the folder
     * @param along what the demo is asked for in order to be at the table
     */
    static void print(Figures figures, List<String> emptyWindow, List<String> demo, List<String> along, Path folder) throws Exception {
        Taken empty = of(emptyWindow, Duration.ofSeconds(8));
        Taken ours = of(demo, SETTLES);
        add(figures, "an empty JavaFX window at rest", empty, Figures.Goal.NONE, Figures.Goal.NONE);
        add(figures, "Moss Pebble with the demo at rest", ours, Figures.Goal.median(350), Figures.Goal.median(100 * empty.cores));
        List<String> atTable = new ArrayList<>(demo);
        atTable.addAll(along);
        add(figures, "Moss Pebble working along, its clocks running", of(atTable, SETTLES), Figures.Goal.NONE,
                Figures.Goal.median(MOST_ALONG));
        try (var files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
        }
    }

    /** Adds both; where the system does not tell what memory is held, the work alone. */
    static void add(Figures figures, String what, Taken taken, Figures.Goal memory, Figures.Goal work) {
        taken.resident.ifPresent(mb -> figures.one(what + ", memory held", "MB", mb, memory, ""));
        figures.one(what + ", of a core", "%", 100 * taken.cores, work, "");
    }

    private static Taken of(List<String> command, Duration settles) throws Exception {
        Process process = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
        try {
            Thread.sleep(settles.toMillis());
            return taken(process, LOOKED_AT);
        } finally {
            process.destroy();
            process.waitFor();
        }
    }

    /** Looks at a process for so long. */
    static Taken taken(Process process, Duration time) throws InterruptedException {
        Duration before = worked(process);
        long from = System.nanoTime();
        Thread.sleep(time.toMillis());
        double seconds = (System.nanoTime() - from) / 1e9;
        return new Taken(resident(process.pid()), worked(process).minus(before).toNanos() / 1e9 / seconds);
    }

    private static Duration worked(Process process) {
        return process.toHandle().info().totalCpuDuration().orElse(Duration.ZERO);
    }

    /** Memory held by a process, MB, as Linux tells it (proc(5): VmRSS, in kB). */
    static OptionalDouble resident(long process) {
        try {
            return Files.readAllLines(Path.of("/proc", String.valueOf(process), "status")).stream().filter(l -> l.startsWith("VmRSS:"))
                    .mapToDouble(l -> Double.parseDouble(l.replaceAll("[^0-9]", "")) / 1000).findFirst();
        } catch (IOException e) {
            return OptionalDouble.empty();
        }
    }
}
