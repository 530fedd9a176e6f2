package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import mosspebble.app.control.Hint;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What waits until it is wanted: tooltips until a pointer comes, the column until the window has been drawn. */
class HintTest {

    @TempDir
    private Path folder;

    /** The window with the words, as the toolkit keeps it beside a control. */
    private static Tooltip tooltip(Node node) {
        return (Tooltip) node.getProperties().get("javafx.scene.control.Tooltip");
    }

    @Test
    void aHintIsMadeWhenAPointerRestsOnItAndIsSaidToWhoeverListensAllTheTime() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.keys(KeyCode.DIGIT5);
            app.until("the hem", () -> app.present("#sit-down"));
            app.click("#sitting-week");
            Node button = app.find("#take-along");
            assertThat(Hint.of(button)).startsWith("Saves the sittings");
            assertThat(button.getAccessibleHelp()).isEqualTo(Hint.of(button));
            assertThat(tooltip(button)).as("nobody looked").isNull();
            app.robot.moveTo(button);
            app.until("the hint", () -> tooltip(button) != null);
            Tooltip shown = tooltip(button);
            assertThat(shown.getText()).isEqualTo(Hint.of(button));
            app.robot.interact(() -> Hint.on(button, "Something else"));
            assertThat(shown.getText()).isEqualTo("Something else");
        }
    }

    @Test
    void theColumnIsThereSoonAfterTheWindow() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.until("the column", () -> app.robot.lookup(".stage-scroll").queryAllAs(ScrollPane.class).stream()
                    .anyMatch(pane -> pane.getContent() != null && pane.getContent().getStyleClass().contains("panel")));
            app.until("its fields", () -> app.present("#length"));
        }
    }
}
