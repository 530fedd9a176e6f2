package mosspebble.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.logging.ErrorManager;
import java.util.logging.FileHandler;
import java.util.logging.Formatter;
import java.util.logging.Level;
import java.util.logging.LogRecord;
import java.util.logging.Logger;

/**
 * What happened, kept beside the studio in a few small files that replace one another: what, where in the program, which version. Nothing
 * of the painter's goes in: no names, no words, no pictures. Of an
 * error it keeps the kind and the places in the code; its message only where the system or the database wrote it, and then without paths.
 */
public final class Journal {

    private static final int LARGEST = 200_000;
    private static final int FILES = 3;
    private static final int MOST_FRAMES = 40;
    private static final int DEEPEST = 6;
    private static final Logger LOG = Logger.getLogger("mosspebble");

    static {
        LOG.setUseParentHandlers(false);
        LOG.setLevel(Level.INFO);
    }

    private static final class Lines extends Formatter {
        private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss").withZone(ZoneId.systemDefault());

        @Override
        public String format(LogRecord record) {
            return TIME.format(record.getInstant()) + "  " + record.getMessage() + System.lineSeparator();
        }
    }

    private Journal() {}

    /**
     * Begins to write beside a studio; what was written elsewhere before is closed.
     *
     * @param folder where the studio lies
     * @param version of the program
     */
    public static synchronized void beside(Path folder, String version) {
        close();
        try {
            Files.createDirectories(folder);
            FileHandler file = new FileHandler(escaped(folder.resolve("moss-pebble.log")) + ".%g", LARGEST, FILES, true);
            file.setErrorManager(new ErrorManager() {
                @Override
                public void error(String message, Exception e, int code) {
                    // a disk that is full takes no log either
                }
            });
            file.setFormatter(new Lines());
            file.setEncoding(StandardCharsets.UTF_8.name());
            LOG.addHandler(file);
            note("started: version " + version + ", Java " + System.getProperty("java.version") + ", " + System.getProperty("os.name") + " "
                    + System.getProperty("os.arch"));
        } catch (IOException | RuntimeException e) {
            // no log can be kept here, which must keep nobody from working
        }
    }

    private static String escaped(Path path) {
        return path.toString().replace("%", "%%");
    }

    /** Closes the files. */
    public static synchronized void close() {
        for (var handler : LOG.getHandlers()) {
            LOG.removeHandler(handler);
            handler.close();
        }
    }

    /** @param what words of the program only, never the painter's */
    public static void note(String what) {
        LOG.info(what);
    }

    /**
     * Keeps an error.
     *
     * @param where what the program was doing, in words of its own
     */
    public static void trouble(String where, Throwable error) {
        StringBuilder text = new StringBuilder("TROUBLE ").append(where);
        int depth = 0;
        for (Throwable each = error; each != null && depth < DEEPEST; each = each.getCause(), depth++) {
            text.append(System.lineSeparator()).append(depth == 0 ? "  " : "  caused by ").append(each.getClass().getName())
                    .append(spoken(each));
            StackTraceElement[] frames = each.getStackTrace();
            for (int i = 0; i < Math.min(MOST_FRAMES, frames.length); i++) {
                text.append(System.lineSeparator()).append("    at ").append(frames[i]);
            }
        }
        LOG.severe(text.toString());
    }

    /** A message of the system, without what might be a path or a name. */
    private static String spoken(Throwable error) {
        boolean system = error instanceof SQLException || error instanceof VirtualMachineError || error instanceof IOException;
        if (!system || error.getMessage() == null) {
            return "";
        }
        return ": "
                + Said.shortly(error.getMessage().replaceAll("\\S*[/\\\\]\\S*", "(path)").replaceAll("\"[^\"]*\"|'[^']*'", "(name)"), 200);
    }

    /** The files beside a studio, the newest first. */
    public static List<Path> files(Path folder) {
        List<Path> files = new ArrayList<>();
        for (int i = 0; i < FILES; i++) {
            Path file = folder.resolve("moss-pebble.log." + i);
            if (Files.isRegularFile(file)) {
                files.add(file);
            }
        }
        return files;
    }

    /** What stands in the files, the oldest first. */
    public static String read(Path folder) {
        StringBuilder all = new StringBuilder();
        List<Path> files = files(folder);
        for (int i = files.size() - 1; i >= 0; i--) {
            try {
                byte[] bytes = Files.readAllBytes(files.get(i));
                all.append(new String(bytes, StandardCharsets.UTF_8));
            } catch (IOException | UncheckedIOException e) {
                all.append("(").append(files.get(i).getFileName()).append(" cannot be read)").append(System.lineSeparator());
            }
        }
        return all.toString();
    }
}
