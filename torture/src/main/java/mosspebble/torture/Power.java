package mosspebble.torture;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosspebble.core.project.Studio;
import mosspebble.files.FileTrouble;
import mosspebble.files.StudioStore;

/**
 * Power that fails: every write of a process that edits is recorded by the system (strace), and the files are set up again as they stood
 * after each write, also with the last one torn; each such state must open and
 * hold what was acknowledged until then. Writes that the disk puts in another order are not covered.
 */
final class Power {

    private static final Pattern OPEN = Pattern.compile("openat\\(AT_FDCWD, \"([^\"]*)\", ([A-Z_|]+).*\\) = (\\d+)");
    private static final Pattern WRITE = Pattern
            .compile("(pwrite64|write)\\((\\d+), \"((?:\\\\x[0-9a-f]{2})*)\", (\\d+)(?:, (\\d+))?\\)\\s*= (\\d+)");
    private static final Pattern CUT = Pattern.compile("ftruncate\\((\\d+), (\\d+)\\)\\s*= 0");
    private static final Pattern CLOSE = Pattern.compile("close\\((\\d+)\\)\\s*= 0");
    private static final Pattern GONE = Pattern.compile("unlink\\(\"([^\"]*)\"\\)\\s*= 0");
    private static final Pattern MOVED = Pattern.compile("rename\\(\"([^\"]*)\", \"([^\"]*)\"\\)\\s*= 0");

    private final Tally tally;
    private final SplittableRandom random;
    private final Path folder;
    private final long seed;

    Power(Tally tally, long seed, Path folder) {
        this.tally = tally;
        this.random = new SplittableRandom(seed);
        this.folder = folder;
        this.seed = seed;
    }

    private boolean strace(List<String> options, Path file, int edits, long editSeed) throws Exception {
        List<String> command = new ArrayList<>(List.of("strace"));
        command.addAll(options);
        command.addAll(Processes.command("edit", file.toString(), String.valueOf(editSeed), String.valueOf(edits)));
        try {
            Process process = new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
            return process.waitFor(300, TimeUnit.SECONDS) && process.exitValue() == 0;
        } catch (IOException e) {
            return false;
        }
    }

    void run(int edits, long until) throws Exception {
        Tally.Row row = tally.row("power fails after each write");
        Tally.Row torn = tally.row("power fails within a write");
        Path live = folder.resolve("live");
        Path trace = Files.createDirectories(folder.resolve("trace"));
        Path file = Files.createDirectories(live).resolve("studio.pebble");
        boolean traced = strace(List.of("-ff", "-qq", "-xx", "-s", "9000000", "-e",
                "trace=openat,write,pwrite64,ftruncate,unlink,rename,close", "-e", "signal=none", "-o", trace.resolve("t").toString()),
                file, edits, seed);
        if (!traced) {
            System.out.println("strace is not here or may not be used: the loss of power is not covered.");
            return;
        }
        Path main = null;
        for (String name : Disk.names(trace)) {
            Path each = trace.resolve(name);
            if (main == null || Files.size(each) > Files.size(main)) {
                main = each; // the thread that edits writes the most
            }
        }
        List<Studio> states = new ArrayList<>(List.of(Child.fresh().get()));
        Edits replay = new Edits(seed);
        for (int i = 0; i < edits; i++) {
            states.add(replay.next(states.get(i)).after());
        }
        play(main, live, states, row, torn, until);
    }

    private void play(Path trace, Path live, List<Studio> states, Tally.Row row, Tally.Row torn, long until) throws Exception {
        Map<String, byte[]> files = new TreeMap<>();
        Map<Integer, String> open = new HashMap<>();
        Map<Integer, Integer> at = new HashMap<>();
        int acknowledged = -1; // nothing is promised before the studio has been opened
        try (var lines = Files.lines(trace, StandardCharsets.ISO_8859_1)) {
            for (String line : (Iterable<String>) lines::iterator) {
                if (System.currentTimeMillis() > until) {
                    return;
                }
                Matcher m = OPEN.matcher(line);
                if (m.find()) {
                    String name = text(m.group(1));
                    if (name.startsWith(live.toString())) {
                        open.put(Integer.parseInt(m.group(3)), name);
                        at.put(Integer.parseInt(m.group(3)), 0);
                        if (m.group(2).contains("O_CREAT") && (m.group(2).contains("O_TRUNC") || !files.containsKey(name))) {
                            files.put(name, new byte[0]);
                        }
                    }
                    continue;
                }
                m = WRITE.matcher(line);
                if (m.find()) {
                    int handle = Integer.parseInt(m.group(2));
                    byte[] bytes = bytes(m.group(3));
                    if (handle == 1) {
                        String said = new String(bytes, StandardCharsets.UTF_8);
                        acknowledged = said.startsWith("begin") ? 0 : said.startsWith("ack ") ? Integer.parseInt(said.strip().substring(4))
                                : acknowledged;
                        continue;
                    }
                    String name = open.get(handle);
                    if (name == null) {
                        continue;
                    }
                    int from = m.group(1).equals("pwrite64") ? Integer.parseInt(m.group(5)) : at.get(handle);
                    byte[] before = files.getOrDefault(name, new byte[0]);
                    if (bytes.length > 1 && random.nextInt(3) == 0) {
                        files.put(name, written(before, bytes, from, 1 + random.nextInt(bytes.length - 1)));
                        state(torn, files, live, states, acknowledged);
                    }
                    files.put(name, written(before, bytes, from, bytes.length));
                    at.put(handle, from + bytes.length);
                    state(row, files, live, states, acknowledged);
                    continue;
                }
                acknowledged = other(line, files, open, acknowledged);
            }
        }
    }

    private static int other(String line, Map<String, byte[]> files, Map<Integer, String> open, int acknowledged) {
        Matcher m = CUT.matcher(line);
        if (m.find() && open.containsKey(Integer.parseInt(m.group(1)))) {
            files.computeIfPresent(open.get(Integer.parseInt(m.group(1))),
                    (n, b) -> java.util.Arrays.copyOf(b, Integer.parseInt(m.group(2))));
        }
        Matcher gone = GONE.matcher(line);
        if (gone.find()) {
            files.remove(text(gone.group(1)));
        }
        Matcher moved = MOVED.matcher(line);
        if (moved.find()) {
            byte[] content = files.remove(text(moved.group(1)));
            if (content != null) {
                files.put(text(moved.group(2)), content);
            }
        }
        Matcher closed = CLOSE.matcher(line);
        if (closed.find()) {
            open.remove(Integer.parseInt(closed.group(1)));
        }
        return acknowledged;
    }

    private static byte[] written(byte[] before, byte[] bytes, int from, int count) {
        byte[] after = java.util.Arrays.copyOf(before, Math.max(before.length, from + count));
        System.arraycopy(bytes, 0, after, from, count);
        return after;
    }

    private static String text(String escaped) {
        return escaped.startsWith("\\x") ? new String(bytes(escaped), StandardCharsets.UTF_8) : escaped;
    }

    private static byte[] bytes(String escaped) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(escaped.length() / 4);
        for (int i = 0; i + 3 < escaped.length(); i += 4) {
            out.write(Character.digit(escaped.charAt(i + 2), 16) << 4 | Character.digit(escaped.charAt(i + 3), 16));
        }
        return out.toByteArray();
    }

    /** Sets the files up as they stood and opens the studio. */
    private void state(Tally.Row row, Map<String, byte[]> files, Path live, List<Studio> states, int acknowledged) throws Exception {
        Path again = folder.resolve("again");
        Processes.clear(again);
        Files.createDirectories(again);
        for (Map.Entry<String, byte[]> each : files.entrySet()) {
            Path file = again.resolve(live.relativize(Path.of(each.getKey())));
            Files.createDirectories(file.getParent());
            Files.write(file, each.getValue());
        }
        row.runs++;
        long from = System.nanoTime();
        try (StudioStore store = StudioStore.open(again.resolve("studio.pebble"), Child.fresh())) {
            row.took((System.nanoTime() - from) / 1_000_000);
            int held = states.indexOf(store.studio());
            row.acknowledged += acknowledged > 0 ? 1 : 0;
            if (held < Math.max(0, acknowledged) || held > acknowledged + 1) {
                row.lost++;
                tally.fault("power, seed " + seed + ": " + acknowledged + " edits were acknowledged, the file holds state " + held);
            }
        } catch (FileTrouble e) {
            row.unopened++;
            tally.fault("power, seed " + seed + " after " + acknowledged + " edits: " + e.getMessage());
        }
    }

    /** A disk that takes a fifth of a second for every flush: slow, but nothing fails. */
    void slow(int runs) throws Exception {
        Tally.Row row = tally.row("slow disk (0.2 s a flush)");
        for (int i = 0; i < runs; i++) {
            Path file = Files.createDirectories(folder.resolve("slow-" + i)).resolve("studio.pebble");
            if (!strace(List.of("-f", "-qq", "-e", "trace=fsync,fdatasync", "-e", "inject=fsync,fdatasync:delay_exit=200000", "-e",
                    "signal=none", "-o", "/dev/null"), file, 12, seed + i)) {
                System.out.println("strace cannot slow the disk down here: not covered.");
                return;
            }
            row.runs++;
            Edits edits = new Edits(seed + i);
            Studio studio = Child.fresh().get();
            for (int k = 0; k < 12; k++) {
                studio = edits.next(studio).after();
                row.acknowledged++;
            }
            try (StudioStore store = StudioStore.open(file, Child.fresh())) {
                row.lost += store.studio().equals(studio) ? 0 : 1;
            } catch (FileTrouble e) {
                row.unopened++;
                tally.fault("slow disk: " + e.getMessage());
            }
        }
    }
}
