package mosspebble.app.sitting;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import mosspebble.files.Journal;

/**
 * Keeps the screen from going dark, where the system has a command for it that lasts as long as another one runs. That other one reads what
 * never comes, so that it ends with the program, whatever becomes of it.
 */
final class Awake {

    /** The commands that are tried, the first that stays counts; none for Windows, which has none. */
    private static final List<List<String>> COMMANDS = List.of(List.of("gnome-session-inhibit", "--inhibit", "idle", "cat"),
            List.of("systemd-inhibit", "--what=idle", "--who=Moss Pebble", "--why=working along", "cat"),
            List.of("caffeinate", "-d", "cat"));

    /** A command that is refused ends within so long. */
    private static final long REFUSED_MS = 1_500;

    private final List<List<String>> commands;
    private final ExecutorService beside = Executors.newSingleThreadExecutor(run -> {
        Thread thread = new Thread(run, "awake");
        thread.setDaemon(true);
        return thread;
    });
    private Process holding;

    Awake() {
        this(COMMANDS);
    }

    Awake(List<List<String>> commands) {
        this.commands = commands;
    }

    /** From now on the screen stays lit, or it may go dark again. Returns at once. */
    void hold(boolean awake) {
        beside.execute(awake ? this::hold : this::release);
    }

    private void hold() {
        for (List<String> command : commands) {
            if (holding != null && holding.isAlive()) {
                return;
            }
            try {
                holding = new ProcessBuilder(command).redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .redirectError(ProcessBuilder.Redirect.DISCARD).start();
                holding.waitFor(REFUSED_MS, TimeUnit.MILLISECONDS);
            } catch (IOException e) {
                holding = null; // there is no such command here
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
        }
        if (holding == null || !holding.isAlive()) {
            Journal.note("the screen cannot be kept lit here");
        }
    }

    private void release() {
        if (holding != null) {
            try {
                holding.getOutputStream().close();
            } catch (IOException e) {
                Journal.note("what kept the screen lit had ended");
            }
            holding.destroy();
            holding = null;
        }
    }
}
