package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What suits eyes and hands: chosen in the window, seen at once, kept for the next time. */
class ComfortTest {

    @TempDir
    private Path folder;

    @Test
    void wordsInkAndTheSideOfTheColumnAreChosenSeenAtOnceAndKept() throws Exception {
        Path file = folder.resolve("s.pebble");
        double usual;
        try (Driver app = new Driver(file, "snail")) {
            app.settled();
            usual = words(app);
            assertThat(column(app).getMinX()).isGreaterThan(cloth(app).getMaxX() - 1);

            app.robot.press(KeyCode.CONTROL, KeyCode.PLUS).release(KeyCode.PLUS, KeyCode.CONTROL);
            app.until("larger", () -> words(app) > usual);
            assertThat(words(app)).isCloseTo(1.25 * usual, within(0.06)); // tenths of a pixel
            app.robot.press(KeyCode.CONTROL, KeyCode.MINUS).release(KeyCode.MINUS, KeyCode.CONTROL);
            app.until("smaller", () -> words(app) == usual);

            app.robot.interact(() -> app.does("Eyes and hands"));
            app.click("#text-200");
            app.click("#contrast-strong");
            app.click("#light-evening");
            app.click("#still-on");
            app.click("#hand-left");
            app.robot.press(KeyCode.ESCAPE).release(KeyCode.ESCAPE);
            app.until("closed", () -> !app.find("#comfort").isVisible());
            app.until("twice as large", () -> words(app) == 2 * usual);
            assertThat(column(app).getMaxX()).isLessThan(cloth(app).getMinX() + 1);
            assertThat(app.scene().getRoot().getStyleClass()).contains("contrast", "evening");
        }
        try (Driver again = new Driver(file, "snail")) {
            again.settled();
            again.until("twice as large", () -> words(again) == 2 * usual);
            assertThat(column(again).getMaxX()).isLessThan(cloth(again).getMinX() + 1);
            assertThat(again.scene().getRoot().getStyleClass()).contains("contrast", "evening");
        }
    }

    private static double words(Driver app) {
        return ((Label) app.find(".stage-name")).getFont().getSize();
    }

    private static Bounds column(Driver app) {
        return place(app.find(".stage"));
    }

    private static Bounds cloth(Driver app) {
        return place(app.find("#cloth"));
    }

    private static Bounds place(Node node) {
        return node.localToScene(node.getLayoutBounds());
    }
}
