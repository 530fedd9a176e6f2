package mosspebble.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Studio;
import mosspebble.files.BookInHand;
import mosspebble.files.BookKeeping;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.files.StoneFile;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class StudioFilesTest {

    private static final Studio WALK = LanternWalk.studio(BuiltIn.repertoire());

    @TempDir
    private Path folder;

    private final Workbench workbench = new Workbench(WALK.withProjects(WALK.projects().subList(0, 1)), (s, title) -> {});
    private final FileWork work = new FileWork(workbench, Runnable::run, Runnable::run);
    private final List<Path> copies = new ArrayList<>();
    private boolean full;
    private StudioFiles files;

    /** A house without a window. */
    private final class Bare implements Shell.House {
        @Override
        public Path folder() {
            return folder;
        }

        @Override
        public void saveCopy(Path to) throws FileTrouble {
            if (full) {
                throw new FileTrouble(to.toString(), "The disk is full.", "Make room on it.");
            }
            copies.add(to);
        }

        @Override
        public void saveReport(Path to) throws FileTrouble {
            saveCopy(to);
        }

        @Override
        public BookKeeping book() {
            return new BookInHand(List.of());
        }

        @Override
        public String log() {
            return "";
        }

        @Override
        public AboutView.Facts about() {
            return new AboutView.Facts("0", folder, "");
        }

        @Override
        public void lookRound() {}

        @Override
        public void close() {}
    }

    @BeforeEach
    void open() {
        files = new StudioFiles(workbench, work, new Bare(), () -> null);
    }

    @Test
    void aCopyIsSavedWhereItIsWantedAndAFullDiskIsSaid() {
        Path to = folder.resolve("copy.pebble");
        files.saveCopy(to);
        assertThat(copies).containsExactly(to);
        assertThat(workbench.noticeProperty().get()).startsWith("A copy is saved").contains("copy.pebble");
        full = true;
        files.saveCopy(folder.resolve("more.pebble"));
        assertThat(copies).hasSize(1);
        assertThat(workbench.noticeProperty().get()).contains("more.pebble", "The disk is full.", "Make room on it.");
    }

    @Test
    void aStoneIsTakenInWithThePaintsItNamesInOneStepOfUndo() throws Exception {
        Path sent = folder.resolve("fox.json");
        StoneFile.write(WALK.project("fox").orElseThrow(), WALK, sent);
        Studio before = workbench.studio();
        files.takeIn(sent);
        assertThat(workbench.shown().map(p -> p.name())).contains("Sleeping fox");
        assertThat(workbench.studio().projects()).hasSize(2);
        assertThat(workbench.noticeProperty().get()).isEqualTo("Sleeping fox is taken in.");
        workbench.undo();
        assertThat(workbench.studio()).isEqualTo(before);
    }

    @Test
    void whatIsNoStoneIsSaidAndNothingChanges() throws Exception {
        Studio before = workbench.studio();
        files.takeIn(Files.writeString(folder.resolve("list.json"), "bread, milk"));
        assertThat(workbench.noticeProperty().get()).contains("list.json");
        files.takeIn(folder.resolve("nowhere.json"));
        assertThat(workbench.noticeProperty().get()).contains("nowhere.json");
        assertThat(workbench.studio()).isEqualTo(before);
    }
}
