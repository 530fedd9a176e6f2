package mosspebble.torture;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.SplittableRandom;
import com.fasterxml.jackson.databind.ObjectMapper;
import mosspebble.core.project.Studio;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.files.StudioStore;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;

/** kill -9 at random instants: while editing, at the first start, in every migration, while writing sheets, on two starts at once. */
final class Kills {

    private final Tally tally;
    private final SplittableRandom random;
    private final Path folder;
    private final Map<Integer, Studio> migrated = new ConcurrentHashMap<>();

    Kills(Tally tally, long seed, Path folder) {
        this.tally = tally;
        this.random = new SplittableRandom(seed);
        this.folder = folder;
    }

    /** So many of each kind, or until the time is over. */
    void run(int each, long until) throws Exception {
        Processes.prepare();
        for (int i = 0; i < each && System.currentTimeMillis() < until; i++) {
            editing(folder.resolve("editing"));
            firstStart(folder.resolve("first-" + i));
            migration(folder.resolve("migration"), 1);
            migration(folder.resolve("migration"), 2);
            migration(folder.resolve("migration"), 3);
            migration(folder.resolve("migration"), 4);
            migration(folder.resolve("migration"), 5);
            export(folder.resolve("export"));
            twoStarts(folder.resolve("two-" + i));
        }
    }

    private void editing(Path at) throws Exception {
        Tally.Row row = tally.row("kill while editing");
        Path file = at.resolve("studio.pebble");
        Studio studio;
        try (StudioStore store = StudioStore.open(file, Child.fresh())) {
            studio = store.studio();
        }
        long seed = random.nextLong() & 0xFFFFFFF;
        int acknowledged = 0;
        long pause = random.nextLong(4_000_000);
        try (Processes.Running child = Processes.child("edit", file.toString(), String.valueOf(seed), "100000")) {
            child.line(); // begin
            int wanted = random.nextInt(60);
            for (int i = 0; i < wanted; i++) {
                acknowledged = acknowledged(child.line(), acknowledged);
            }
            long from = System.nanoTime();
            while (System.nanoTime() - from < pause) {
                Thread.onSpinWait(); // somewhere within the next commit
            }
            for (String line : child.kill()) {
                acknowledged = acknowledged(line, acknowledged);
            }
        }
        row.runs++;
        row.acknowledged += acknowledged;
        Edits edits = new Edits(seed);
        Studio kept = studio;
        for (int i = 0; i < acknowledged; i++) {
            kept = edits.next(kept).after();
        }
        Studio onTheWay = edits.next(kept).after();
        reopened(row, file, "editing, seed " + seed + " after " + acknowledged, List.of(kept, onTheWay));
    }

    private static int acknowledged(String line, int before) {
        return line != null && line.startsWith("ack ") ? Integer.parseInt(line.substring(4)) : before;
    }

    private void firstStart(Path at) throws Exception {
        Tally.Row row = tally.row("kill at the first start");
        Path file = at.resolve("studio.pebble");
        killOpening(file);
        row.runs++;
        reopened(row, file, "first start", List.of(LanternWalk.newcomer()));
        Processes.clear(at);
    }

    /** Kills a process somewhere between its beginning to open a studio and a little after having opened it. */
    private void killOpening(Path file) throws Exception {
        try (Processes.Running child = Processes.child("open", file.toString())) {
            child.line(); // begin
            Thread.sleep(random.nextInt(160), random.nextInt(1_000_000));
            child.kill();
        }
    }

    private void migration(Path at, int format) throws Exception {
        Tally.Row row = tally.row("kill in migration " + format + " to today");
        Processes.clear(at);
        Files.createDirectories(at);
        Path file = at.resolve("studio.pebble");
        Studio expected = migrated.computeIfAbsent(format, f -> old(at.resolve("expected.pebble"), f));
        try (InputStream in = resource(format)) {
            Files.copy(in, file);
        }
        killOpening(file);
        row.runs++;
        reopened(row, file, "migration from " + format, List.of(expected));
    }

    private static InputStream resource(int format) {
        return Kills.class.getResourceAsStream("studio-format-" + format + ".pebble");
    }

    private static Studio old(Path file, int format) {
        try (InputStream in = resource(format)) {
            Files.copy(in, file);
            try (StudioStore store = StudioStore.open(file, LanternWalk::newcomer)) {
                return store.studio();
            }
        } catch (IOException | FileTrouble e) {
            throw new IllegalStateException("the old studio cannot be read", e);
        }
    }

    private void export(Path at) throws Exception {
        Tally.Row row = tally.row("kill while writing sheets");
        Processes.clear(at);
        try (Processes.Running child = Processes.child("export", at.toString())) {
            child.line(); // begin
            for (int i = random.nextInt(4); i > 0; i--) {
                row.acknowledged += child.line() == null ? 0 : 1;
            }
            Thread.sleep(random.nextInt(120));
            child.kill();
        }
        row.runs++;
        Path json = at.resolve("plan.json");
        Path pdf = at.resolve("sheets.pdf");
        try {
            if (Files.exists(json)) {
                new ObjectMapper().readTree(json.toFile()).get("thickestFilmUm").asDouble();
            }
            if (Files.exists(pdf)) {
                try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
                    document.getPage(document.getNumberOfPages() - 1);
                }
            }
        } catch (IOException | RuntimeException e) {
            row.half++;
            tally.fault("half a file after a kill while writing: " + e);
        }
    }

    private void twoStarts(Path at) throws Exception {
        Tally.Row row = tally.row("two starts at once");
        Path file = at.resolve("studio.pebble");
        List<Processes.Running> children = new ArrayList<>();
        try {
            children.add(Processes.child("open", file.toString()));
            children.add(Processes.child("open", file.toString()));
            int open = 0;
            for (Processes.Running child : children) {
                child.line();
                String answer = child.line();
                open += answer != null && answer.startsWith("open") ? 1 : 0;
                if (answer == null || answer.startsWith("trouble")) {
                    row.unclear++;
                    tally.fault("two starts: " + answer);
                }
            }
            row.runs++;
            if (open != 1) {
                row.lost++;
                tally.fault("two starts at once: " + open + " had the studio");
            }
        } finally {
            for (Processes.Running child : children) {
                child.kill();
            }
        }
        reopened(row, file, "two starts", List.of(LanternWalk.newcomer()));
        Processes.clear(at);
    }

    /** Opens a studio after a kill and looks whether it holds what it must. */
    private void reopened(Tally.Row row, Path file, String how, List<Studio> allowed) {
        long from = System.nanoTime();
        try (StudioStore store = StudioStore.open(file, LanternWalk::newcomer)) {
            row.took((System.nanoTime() - from) / 1_000_000);
            if (!allowed.contains(store.studio())) {
                row.lost++;
                tally.fault(how + ": the studio does not hold what was acknowledged");
            }
        } catch (FileTrouble e) {
            row.unopened++;
            tally.fault(how + ": " + e.getMessage());
        }
    }
}
