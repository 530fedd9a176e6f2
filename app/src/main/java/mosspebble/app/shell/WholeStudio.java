package mosspebble.app.shell;

import java.io.File;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import mosspebble.app.model.Action;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Studio;
import mosspebble.files.BookKeeping;
import mosspebble.files.StudioFolder;

/** The whole studio as open files, out and in. */
final class WholeStudio {

    private static final FileChooser.ExtensionFilter ZIP = new FileChooser.ExtensionFilter("A studio of open files", "*.zip");

    private final Workbench workbench;
    private final FileWork files;
    private final BookKeeping book;
    private final Clock clock;
    private final Supplier<Window> window;

    WholeStudio(Workbench workbench, FileWork files, BookKeeping book, Clock clock, Supplier<Window> window) {
        this.workbench = workbench;
        this.files = files;
        this.book = book;
        this.clock = clock;
        this.window = window;
    }

    List<Action> actions() {
        return List.of(
                Action.of("Save a zip of the whole studio", this::save).also("export", "open files", "JSON", "schema", "backup",
                        "everything"),
                Action.of("Take in a whole studio from its zip", this::takeIn).also("import", "open files", "restore"));
    }

    private void save() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Where to save the whole studio as open files");
        chooser.setInitialFileName("studio.zip");
        chooser.getExtensionFilters().add(ZIP);
        Optional.ofNullable(chooser.showSaveDialog(window.get())).map(File::toPath).ifPresent(this::save);
    }

    /** Writes it into a zip, or a folder where the name is no zip's. */
    void save(Path to) {
        Studio now = workbench.studio();
        LocalDate today = LocalDate.now(clock);
        files.run("Saving the whole studio", () -> StudioFolder.write(now, book, to, today, (fraction, what) -> {
            files.at("Saving the whole studio, " + Math.round(100 * fraction) + " %");
            return !Thread.currentThread().isInterrupted();
        }), written -> workbench.tell(written ? "The whole studio is saved: " + to : "Stopped; nothing was written."));
    }

    private void takeIn() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("A studio that was saved as open files");
        chooser.getExtensionFilters().add(ZIP);
        File from = chooser.showOpenDialog(window.get());
        if (from == null) {
            return;
        }
        FileChooser into = new FileChooser();
        into.setTitle("Where the studio is to stand");
        into.setInitialFileName(from.getName().replaceFirst("(?i)\\.zip$", "") + ".pebble");
        Optional.ofNullable(into.showSaveDialog(window.get())).ifPresent(to -> takeIn(from.toPath(), to.toPath()));
    }

    /** Makes a studio of its own of it; the one that is open stays as it is. */
    void takeIn(Path from, Path to) {
        files.run("Taking in " + from.getFileName(), () -> StudioFolder.read(from, to), in -> {
            int stones = in.studio().projects().size();
            workbench.tell(
                    (stones == 1 ? "One stone" : stones + " stones") + " and " + (in.pages() == 1 ? "one page" : in.pages() + " pages")
                            + " of a book are in a studio of their own: " + in.file() + ". Open it from your files.");
        });
    }
}
