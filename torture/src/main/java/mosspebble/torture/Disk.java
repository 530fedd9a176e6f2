package mosspebble.torture;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import mosspebble.core.project.Studio;
import mosspebble.files.FileTrouble;
import mosspebble.files.StudioStore;

/**
 * A full, a read-only and a slow disk, and power that fails: on a small file system in memory where one may be mounted, else with a limited
 * size of files.
 */
final class Disk {

    /** Room for the studio, its log, its copy and a little more. */
    private static final String SIZE = "900k";

    private final Tally tally;
    private final SplittableRandom random;
    private final Path folder;
    private long seed;

    Disk(Tally tally, long seed, Path folder) {
        this.tally = tally;
        this.random = new SplittableRandom(seed);
        this.seed = seed;
        this.folder = folder;
    }

    void run(int each, long until) throws Exception {
        Path mount = Files.createDirectories(folder.resolve("small"));
        boolean mounted = sh("mount", "-t", "tmpfs", "-o", "size=" + SIZE, "tmpfs", mount.toString());
        try {
            if (mounted) {
                full(mount, each, until);
                firstStartOnFull(mount, Math.max(1, each / 4), until);
                readOnly(mount, Math.max(1, each / 4), until);
            } else {
                System.out.println(
                        "No small file system can be mounted here: files are limited in size instead, and a read-only disk is not "
                                + "covered.");
                limited(each, until);
            }
        } finally {
            if (mounted) {
                sh("umount", mount.toString());
            }
        }
        Power power = new Power(tally, random.nextLong() & 0xFFFF, Files.createDirectories(folder.resolve("power")));
        power.run(Math.max(3, each / 8), until);
        power.slow(Math.max(1, each / 50));
    }

    private static boolean sh(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
        return process.waitFor(20, TimeUnit.SECONDS) && process.exitValue() == 0;
    }

    /** Edits go on while the disk fills up and is emptied again; whatever was refused must not be there, whatever was acknowledged must. */
    private void full(Path mount, int each, long until) throws Exception {
        Tally.Row row = tally.row("full disk while editing");
        for (int i = 0; i < each && System.currentTimeMillis() < until; i++) {
            Processes.clear(mount.resolve("s"));
            Path file = Files.createDirectories(mount.resolve("s")).resolve("studio.pebble");
            Path filler = mount.resolve("filler");
            Files.deleteIfExists(filler);
            long edited = seed + i;
            Edits edits = new Edits(edited);
            Studio acknowledged;
            StudioStore store = StudioStore.open(file, Child.fresh());
            try {
                Studio studio = store.studio();
                acknowledged = studio;
                int fillAt = random.nextInt(12);
                int freeAt = fillAt + 1 + random.nextInt(10);
                for (int k = 0; k < 24; k++) {
                    if (k == fillAt) {
                        fill(filler, random.nextInt(40_000));
                    }
                    if (k == freeAt) {
                        Files.deleteIfExists(filler);
                    }
                    Studio next = edits.next(studio).after();
                    long from = System.nanoTime();
                    try {
                        store.commit(next, "edit " + k);
                        acknowledged = next;
                        studio = next;
                        row.acknowledged++;
                    } catch (FileTrouble e) {
                        clear(row, e, "full disk");
                        studio = random.nextBoolean() ? next : studio; // kept in hand, or let go
                        if (k > freeAt) {
                            row.unclear++;
                            tally.fault("full disk, seed " + edited + ": refused although there is room again: " + e.getMessage());
                        }
                    }
                    row.took((System.nanoTime() - from) / 1_000_000);
                    if (!store.studio().equals(acknowledged)) {
                        row.lost++;
                        tally.fault("full disk, seed " + edited + ": the store says it holds something else than was acknowledged");
                    }
                }
            } finally {
                Files.deleteIfExists(filler);
                store.close();
            }
            row.runs++;
            compare(row, file, acknowledged, "full disk, seed " + edited);
        }
    }

    /** A studio made on a disk without room: there is none, or a whole one. */
    private void firstStartOnFull(Path mount, int each, long until) throws Exception {
        Tally.Row row = tally.row("full disk at the first start");
        for (int i = 0; i < each && System.currentTimeMillis() < until; i++) {
            Processes.clear(mount.resolve("s"));
            Path file = Files.createDirectories(mount.resolve("s")).resolve("studio.pebble");
            Path filler = mount.resolve("filler");
            fill(filler, random.nextInt(140_000));
            row.runs++;
            try {
                StudioStore.open(file, Child.fresh()).close();
            } catch (FileTrouble e) {
                clear(row, e, "full disk at the first start");
            }
            Files.deleteIfExists(filler);
            compare(row, file, Child.fresh().get(), "first start on a full disk");
        }
    }

    private void readOnly(Path mount, int each, long until) throws Exception {
        Tally.Row row = tally.row("read-only disk");
        Files.deleteIfExists(mount.resolve("filler"));
        for (int i = 0; i < each && System.currentTimeMillis() < until; i++) {
            Processes.clear(mount.resolve("s"));
            Path file = Files.createDirectories(mount.resolve("s")).resolve("studio.pebble");
            StudioStore.open(file, Child.fresh()).close();
            sh("mount", "-o", "remount,ro", mount.toString());
            long from = System.nanoTime();
            try {
                StudioStore.open(file, Child.fresh()).close();
                row.unclear++;
                tally.fault("a studio on a read-only disk was opened as if it could be written");
            } catch (FileTrouble e) {
                clear(row, e, "read-only disk");
            }
            long ms = (System.nanoTime() - from) / 1_000_000;
            row.slowestMs = Math.max(row.slowestMs, ms);
            row.slow += ms > 1000 ? 1 : 0;
            sh("mount", "-o", "remount,rw", mount.toString());
            row.runs++;
            compare(row, file, Child.fresh().get(), "read-only disk");
        }
    }

    /** Where nothing may be mounted: a process whose files may not grow beyond a size. */
    private void limited(int each, long until) throws Exception {
        Tally.Row row = tally.row("limited size of files");
        Processes.prepare();
        for (int i = 0; i < each && System.currentTimeMillis() < until; i++) {
            Path file = Files.createDirectories(folder.resolve("limited")).resolve("studio.pebble");
            Processes.clear(file.getParent());
            StudioStore.open(file, Child.fresh()).close();
            String command = "ulimit -f " + (100 + random.nextInt(200)) + "; exec " + String.join(" ",
                    Processes.command("edit", file.toString(), String.valueOf(seed + i), "60").stream().map(w -> "'" + w + "'").toList());
            int acknowledged = 0;
            try (Processes.Running child = new Processes.Running(
                    new ProcessBuilder("bash", "-c", command).redirectError(ProcessBuilder.Redirect.DISCARD).start())) {
                for (String line = child.line(); line != null; line = child.line()) {
                    acknowledged = line.startsWith("ack ") ? Integer.parseInt(line.substring(4)) : acknowledged;
                }
            }
            Edits edits = new Edits(seed + i);
            Studio studio = Child.fresh().get();
            for (int k = 0; k < acknowledged; k++) {
                studio = edits.next(studio).after();
            }
            row.runs++;
            row.acknowledged += acknowledged;
            compare(row, file, studio, "limited files, seed " + (seed + i));
        }
    }

    private static void fill(Path filler, int left) throws IOException {
        byte[] piece = new byte[4096];
        try (OutputStream out = Files.newOutputStream(filler)) {
            while (true) {
                out.write(piece);
            }
        } catch (IOException full) {
            // that was the point
        }
        try (var channel = java.nio.channels.FileChannel.open(filler, java.nio.file.StandardOpenOption.WRITE)) {
            channel.truncate(Math.max(0, channel.size() - left));
        }
    }

    private void clear(Tally.Row row, FileTrouble e, String how) {
        List<String> wrong = Clear.wrong(e);
        if (!wrong.isEmpty()) {
            row.unclear++;
            tally.fault(how + ": " + wrong + " in: " + e.getMessage());
        }
    }

    private void compare(Tally.Row row, Path file, Studio acknowledged, String how) {
        try (StudioStore again = StudioStore.open(file, Child.fresh())) {
            if (!again.studio().equals(acknowledged)) {
                row.lost++;
                tally.fault(how + ": the file does not hold what was acknowledged");
            }
        } catch (FileTrouble e) {
            row.unopened++;
            tally.fault(how + ": " + e.getMessage());
        }
    }

    /** Names of files in a folder, for a message. */
    static List<String> names(Path folder) throws IOException {
        List<String> names = new ArrayList<>();
        try (var all = Files.list(folder)) {
            all.forEach(f -> names.add(f.getFileName().toString()));
        }
        return names;
    }
}
