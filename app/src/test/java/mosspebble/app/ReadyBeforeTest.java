package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import javafx.beans.Observable;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Pane;
import javafx.scene.text.Text;
import mosspebble.app.shell.Shell;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What can be gone to is made and styled while nobody asks anything, and is seen only when it is gone to. */
class ReadyBeforeTest {

    private static final List<String> PLACES = List.of("#shelf", "#library", "#basket", "#book", "#hem", "#finish-jars", "#colour-edge",
            "#comfort");

    @TempDir
    Path folder;

    private static Shell shell(Driver app) {
        return (Shell) app.scene().getRoot();
    }

    private static void rehearsed(Driver app) {
        app.until("everything to be ready", () -> shell(app).isRehearsed());
    }

    private static boolean seen(Node node) {
        return node == null || node.isVisible() && seen(node.getParent());
    }

    @Test
    void whatIsGoneToIsThereStyledAndUnseen() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            assertThat(PLACES).as("nothing before it is wanted").allMatch(p -> app.scene().lookup(p) == null);
            app.robot.interact(() -> shell(app).rehearse());
            rehearsed(app);
            app.robot.interact(() -> {
                assertThat(PLACES).allSatisfy(p -> assertThat(app.scene().lookup(p)).as(p).isNotNull().matches(n -> !seen(n), "unseen"));
                Parent column = (Parent) app.scene().lookup("#finish-jars").getParent();
                assertThat(column.lookupAll(".text")).as("letters of a column nobody has gone to").isNotEmpty()
                        .allMatch(t -> ((Text) t).getFont().getFamily().startsWith("Atkinson"));
            });
            Node finish = app.scene().lookup("#finish-jars");
            app.does("Go to Finish");
            app.until("the column", () -> app.present("#finish-jars"));
            assertThat(app.scene().lookup("#finish-jars")).as("the very one that was made ready").isSameAs(finish);
            app.robot.interact(() -> assertThat(List.of("#shelf", "#library", "#basket", "#book", "#hem")).as("still unseen")
                    .noneMatch(p -> seen(app.scene().lookup(p))));
            theCardsOfTheLibraryAreNotLaidAnew(app);
        }
    }

    private static void theCardsOfTheLibraryAreNotLaidAnew(Driver app) {
        List<String> changes = new CopyOnWriteArrayList<>();
        app.robot.interact(() -> {
            ScrollPane pane = (ScrollPane) app.scene().lookup("#library").lookup(".stage-scroll");
            Pane shelves = (Pane) pane.getContent();
            assertThat(shelves.lookupAll(".planks-card")).as("cards").hasSizeGreaterThan(40);
            shelves.getChildren().addListener((Observable o) -> changes.add("laid"));
            shell(app).perform("Sketch: add something from the library");
        });
        app.until("the library", () -> app.present("#library"));
        app.settled();
        assertThat(changes).isEmpty();
        app.click("#library-search");
        app.robot.write("lantern", 0);
        app.until("what is sought to be laid out", () -> !changes.isEmpty());
    }

    @Test
    void whatIsNotSeenLeavesWhileTheWindowIsDressedAndIsMadeReadyAnew() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.robot.interact(() -> shell(app).rehearse());
            rehearsed(app);
            List<String> styled = new CopyOnWriteArrayList<>();
            app.robot.interact(() -> {
                shell(app).getStylesheets().addListener((Observable o) -> {
                    styled.add("the window");
                    PLACES.stream().filter(p -> app.scene().lookup(p) != null).forEach(styled::add);
                });
                shell(app).perform("Words larger");
            });
            assertThat(styled).as("and not what nobody sees").containsOnly("the window");
            rehearsed(app);
            app.robot.interact(() -> assertThat(PLACES).allMatch(p -> app.scene().lookup(p) != null && !seen(app.scene().lookup(p))));
        }
    }

    @Test
    void aStudioWithoutAnyStoneIsMadeReadyToo() throws Exception {
        try (Driver app = Driver.ofANewcomer(folder.resolve("new.pebble"))) {
            List<Throwable> thrown = new CopyOnWriteArrayList<>();
            app.robot.interact(() -> {
                Thread.currentThread().setUncaughtExceptionHandler((thread, error) -> thrown.add(error));
                shell(app).rehearse();
            });
            rehearsed(app);
            app.robot.interact(() -> Thread.currentThread().setUncaughtExceptionHandler(null));
            assertThat(thrown).isEmpty();
            assertThat(app.present("#notice")).as("nothing stumbled").isFalse();
            app.robot.interact(() -> assertThat(PLACES).allMatch(p -> app.scene().lookup(p) != null && !seen(app.scene().lookup(p))));
        }
    }
}
