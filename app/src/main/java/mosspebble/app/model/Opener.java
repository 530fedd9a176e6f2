package mosspebble.app.model;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import mosspebble.files.Journal;

/** Opens a file or a folder with what the system opens such things with. */
public final class Opener {

    private static final List<List<String>> COMMANDS = List.of(List.of("xdg-open"), List.of("open"), List.of("explorer.exe"));

    private final List<List<String>> commands;

    public Opener() {
        this(COMMANDS);
    }

    Opener(List<List<String>> commands) {
        this.commands = commands;
    }

    /** @param sorry told where there is nothing to open it with */
    public void open(Path path, Consumer<String> sorry) {
        for (List<String> command : commands) {
            List<String> whole = new ArrayList<>(command);
            whole.add(path.toString());
            try {
                new ProcessBuilder(whole).redirectOutput(ProcessBuilder.Redirect.DISCARD).redirectError(ProcessBuilder.Redirect.DISCARD)
                        .start();
                return;
            } catch (IOException e) {
                Journal.note("no " + command.get(0) + " here");
            }
        }
        sorry.accept("Nothing here opens files; it lies at " + path + ".");
    }
}
