package mosspebble.bench;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalLong;

/** What the program takes while nobody touches it, beside an empty window of the same toolkit. */
final class AtRest {

    /** Until all plans and pictures of the demo are made, and looked at from then on. */
    private static final Duration SETTLES = Duration.ofSeconds(45);
    private static final Duration LOOKED_AT = Duration.ofSeconds(30);

    /** So much of a core it may take at the table, a screen that is on taking far more, % (our own judgement). */
    private static final double MOST_ALONG = 5;

    /** More than an empty window it may take so much of a core, %: what is told as 0.0. */
    private static final double MOST_BEYOND = 0.05;

    private AtRest() {}

    /**
     * What a process takes.
     *
     * @param resident memory that is held, MB; empty where the system does not tell
     * @param cores share of one core over the time it was looked at, 0 to the number of cores
     */
    record Taken(OptionalDouble resident, double cores) {}

    /**
     * Both side by side in the same seconds, since a machine that is now quick, now slow, would tell of itself otherwise.
     *
     * @param emptyWindow as it is started, {@code demo} likewise with a studio in the folder
     * @param along what the demo is asked for in order to be at the table
     */
    static void print(Figures figures, List<String> emptyWindow, List<String> demo, List<String> along, Path folder) throws Exception {
        List<Taken> both = of(emptyWindow, demo);
        add(figures, "an empty JavaFX window at rest", both.get(0), Figures.Goal.NONE, Figures.Goal.NONE);
        add(figures, "Moss Pebble with the demo at rest", both.get(1), Figures.Goal.median(350), Figures.Goal.NONE);
        figures.one("the same beyond the empty window, of a core", "%", Math.max(0, 100 * (both.get(1).cores - both.get(0).cores)),
                Figures.Goal.median(MOST_BEYOND), "");
        List<String> atTable = new ArrayList<>(demo);
        atTable.addAll(along);
        add(figures, "Moss Pebble working along, its clocks running", of(atTable).get(0), Figures.Goal.NONE,
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

    @SafeVarargs
    private static List<Taken> of(List<String>... commands) throws Exception {
        List<Process> started = new ArrayList<>();
        try {
            for (List<String> command : commands) {
                started.add(new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD)
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD).start());
            }
            Thread.sleep(SETTLES.toMillis());
            return taken(started, LOOKED_AT);
        } finally {
            for (Process process : started) {
                process.destroy();
                process.waitFor();
            }
        }
    }

    /** Looks at processes for so long. */
    static List<Taken> taken(List<Process> processes, Duration time) throws InterruptedException {
        List<Map<Long, Long>> before = processes.stream().map(Process::toHandle).map(AtRest::worked).toList();
        long from = System.nanoTime();
        Thread.sleep(time.toMillis());
        List<Map<Long, Long>> after = processes.stream().map(Process::toHandle).map(AtRest::worked).toList();
        double nanos = System.nanoTime() - from;
        List<Taken> taken = new ArrayList<>();
        for (int i = 0; i < processes.size(); i++) {
            Map<Long, Long> then = before.get(i);
            long work = after.get(i).entrySet().stream().mapToLong(e -> e.getValue() - then.getOrDefault(e.getKey(), 0L)).sum();
            taken.add(new Taken(resident(processes.get(i).pid()), work / nanos));
        }
        return taken;
    }

    /**
     * How long each thread of a process has run, ns, as Linux counts it (schedstat, its first number); elsewhere for the whole process and
     * in hundredths of a second. A thread that is gone is not there.
     */
    static Map<Long, Long> worked(ProcessHandle process) {
        Map<Long, Long> threads = new HashMap<>();
        try (var tasks = Files.newDirectoryStream(Path.of("/proc", String.valueOf(process.pid()), "task"))) {
            for (Path task : tasks) {
                ran(task).ifPresent(ns -> threads.put(Long.parseLong(task.getFileName().toString()), ns));
            }
        } catch (IOException e) {
            threads.clear();
        }
        if (threads.isEmpty()) {
            threads.put(process.pid(), process.info().totalCpuDuration().orElse(Duration.ZERO).toNanos());
        }
        return threads;
    }

    private static OptionalLong ran(Path task) {
        try {
            return OptionalLong.of(Long.parseLong(Files.readString(task.resolve("schedstat")).split(" ")[0]));
        } catch (IOException e) { // ended meanwhile, or a kernel that does not count
            return OptionalLong.empty();
        }
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
