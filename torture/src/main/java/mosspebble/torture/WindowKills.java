package mosspebble.torture;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.project.Studio;
import mosspebble.files.FileTrouble;
import mosspebble.files.StudioStore;

/** kill -9 while the real window edits. */
final class WindowKills {

    private final Tally tally;
    private final SplittableRandom random;
    private final Path folder;

    WindowKills(Tally tally, long seed, Path folder) {
        this.tally = tally;
        this.random = new SplittableRandom(seed);
        this.folder = folder;
    }

    void run(int most, long until) throws Exception {
        Tally.Row row = tally.row("kill the window while editing");
        Path file = folder.resolve("studio.pebble");
        for (int i = 0; i < most && System.currentTimeMillis() < until; i++) {
            Studio start;
            try (StudioStore store = StudioStore.open(file, Child.fresh())) {
                start = store.studio();
            }
            long seed = random.nextInt(1 << 28);
            int acknowledged = 0;
            List<String> command = new ArrayList<>(Processes.command());
            command.remove("-XX:TieredStopAtLevel=1");
            command.set(command.size() - 1, EditingWindow.class.getName());
            command.addAll(List.of(file.toString(), String.valueOf(seed)));
            try (Processes.Running child = new Processes.Running(
                    new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start())) {
                int wanted = 1 + random.nextInt(60);
                while (acknowledged < wanted) { // no line is taken that is not counted: once one was, and kept edits seemed lost
                    String line = child.line();
                    if (line == null) {
                        break;
                    }
                    acknowledged = line.startsWith("ack ") ? Integer.parseInt(line.substring(4)) : acknowledged;
                }
                Thread.sleep(random.nextInt(20));
                for (String line : child.kill()) {
                    acknowledged = line.startsWith("ack ") ? Integer.parseInt(line.substring(4)) : acknowledged;
                }
            }
            row.runs++;
            row.acknowledged += acknowledged;
            Edits edits = new Edits(seed);
            Studio kept = start;
            for (int k = 0; k < acknowledged; k++) {
                kept = edits.next(kept).after();
            }
            try (StudioStore store = StudioStore.open(file, Child.fresh())) {
                if (!store.studio().equals(kept) && !store.studio().equals(edits.next(kept).after())) {
                    row.lost++;
                    tally.fault("window killed, seed " + seed + " after " + acknowledged + ", the file holds edit "
                            + held(start, seed, store.studio(), acknowledged));
                }
            } catch (FileTrouble e) {
                row.unopened++;
                tally.fault("window killed: " + e.getMessage());
            }
        }
    }

    /** How many of the edits a studio holds; -1 if it is none of the states there were. */
    private static int held(Studio start, long seed, Studio found, int acknowledged) {
        Edits edits = new Edits(seed);
        Studio state = start;
        for (int k = 0; k < acknowledged + 10; k++) {
            if (state.equals(found)) {
                return k;
            }
            state = edits.next(state).after();
        }
        return -1;
    }

    /** The process that is killed: the real application, edited on its own interface thread. */
    static final class EditingWindow {
        public static void main(String[] args) throws Exception {
            LongRun.OpenWindow window = LongRun.OpenWindow.open(Path.of(args[0]));
            Edits edits = new Edits(Long.parseLong(args[1]));
            for (int i = 1;; i++) {
                Edits.Edit edit = edits.next(window.workbench.studio());
                LongRun.on(() -> window.workbench.editStudio(edit.title(), s -> edit.after()));
                String unkept = window.workbench.unkeptProperty().get();
                Child.say(unkept.isEmpty() ? "ack " + i : "unkept " + i + ": " + unkept); // what it says is not kept may be gone
            }
        }
    }
}
