package mosspebble.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import mosspebble.app.Year;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Studio;
import mosspebble.files.BookInHand;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import mosspebble.files.StudioStore;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WholeStudioTest {

    private static final Studio SNAIL = LanternWalk.studio(BuiltIn.repertoire());

    @TempDir
    private Path folder;

    private final Workbench workbench = new Workbench(
            SNAIL.withProjects(SNAIL.projects().stream().filter(p -> p.id().equals("snail")).toList()), (s, title) -> {});
    private final FileWork files = new FileWork(workbench, Runnable::run, Runnable::run);
    private final WholeStudio whole = new WholeStudio(workbench, files,
            new BookInHand(Year.pages().subList(0, 3)), Clock.systemUTC(), () -> null);

    @Test
    void itGoesOutWithProgressAndComesInAsAStudioOfItsOwn() throws Exception {
        List<String> told = new ArrayList<>();
        files.atProperty().addListener((o, a, b) -> told.add(b));
        Path zip = folder.resolve("walk.zip");
        whole.save(zip);
        assertThat(workbench.noticeProperty().get()).contains("The whole studio is saved").contains("walk.zip");
        assertThat(told).anyMatch(t -> t.matches("Saving the whole studio, [1-9][0-9]? %"));
        whole.takeIn(zip, folder.resolve("other.pebble"));
        assertThat(workbench.noticeProperty().get()).startsWith("One stone and 3 pages of a book are in a studio of their own");
        try (StudioStore store = StudioStore.open(folder.resolve("other.pebble"), LanternWalk::newcomer)) {
            assertThat(store.studio()).isEqualTo(workbench.studio());
        }
    }

    @Test
    void whatCannotBeIsSaidAndNothingIsLeft() throws Exception {
        Path text = Files.writeString(folder.resolve("list.zip"), "bread, milk");
        whole.takeIn(text, folder.resolve("other.pebble"));
        assertThat(workbench.noticeProperty().get()).contains("list.zip").contains("no zip");
        Thread.currentThread().interrupt(); // as Stop does
        whole.save(folder.resolve("stopped.zip"));
        assertThat(Thread.interrupted()).isTrue();
        assertThat(workbench.noticeProperty().get()).isNotEmpty();
        try (var left = Files.list(folder)) {
            assertThat(left.map(p -> p.getFileName().toString())).containsExactly("list.zip");
        }
    }
}
