package mosspebble.app.shell;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Workbench;
import mosspebble.files.StoneFile;

/** Copies of the studio and reports out, stones that somebody sent in. */
public final class StudioFiles {

    private final Workbench workbench;
    private final FileWork files;
    private final Shell.House house;
    private final Supplier<Window> window;

    StudioFiles(Workbench workbench, FileWork files, Shell.House house, Supplier<Window> window) {
        this.workbench = workbench;
        this.files = files;
        this.house = house;
        this.window = window;
    }

    void saveCopy() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Where to save a copy of the studio");
        chooser.setInitialFileName("studio-copy.pebble");
        Optional.ofNullable(chooser.showSaveDialog(window.get())).ifPresent(file -> saveCopy(file.toPath()));
    }

    /** Saves a copy of the studio as it is shown now. */
    public void saveCopy(Path to) {
        files.run("Saving a copy", () -> {
            house.saveCopy(to);
            return to;
        }, file -> workbench.tell("A copy is saved: " + file));
    }

    void saveReport() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Where to save the report");
        chooser.setInitialFileName("moss-pebble-report.txt");
        Optional.ofNullable(chooser.showSaveDialog(window.get())).ifPresent(file -> files.run("Saving the report", () -> {
            house.saveReport(file.toPath());
            return file;
        }, saved -> workbench.tell("The report is saved: " + saved)));
    }

    void takeIn() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("A stone that was sent");
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Stones to send", "*.json"));
        Optional.ofNullable(chooser.showOpenDialog(window.get())).ifPresent(file -> takeIn(file.toPath()));
    }

    /** Takes in a stone that somebody sent, with the paints it names. */
    public void takeIn(Path file) {
        files.run("Reading " + file.getFileName(), () -> StoneFile.read(file), stone -> {
            StoneFile.TakenIn[] in = new StoneFile.TakenIn[1];
            if (workbench.editStudio("Take in " + stone.name(), s -> {
                in[0] = stone.into(s);
                return in[0].studio();
            })) {
                workbench.choose(in[0].stone());
                workbench.tell(stone.name() + " is taken in." + (in[0].paints().isEmpty() ? ""
                        : " Not on your shelf so far, with nothing in the pot: " + String.join(", ", in[0].paints()) + "."));
            }
        });
    }
}
