package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import mosspebble.app.cloth.ClothView;
import mosspebble.app.control.TrueSize;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Studio;
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

    @Test
    void whatIsNotSeenIsTakenOutWhileTheWindowIsDressedAnewAndComesBack() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.robot.interact(() -> app.does("Go to Sitting"));
            app.until("the hem of hours", () -> app.scene().lookup(".hem-day") != null);
            app.robot.interact(() -> app.does("Eyes and hands"));
            app.robot.press(KeyCode.ESCAPE).release(KeyCode.ESCAPE);
            app.until("closed", () -> !app.find("#comfort").isVisible());
            app.robot.interact(() -> app.does("Go to Stone"));
            app.settled();
            assertThat(app.scene().lookup(".hem-day")).as("kept for when it is gone to again").isNotNull();

            app.robot.interact(() -> app.does("Evening or day light on the screen"));
            app.until("evening", () -> app.scene().getRoot().getStyleClass().contains("evening"));
            assertThat(app.scene().lookup(".hem-day")).isNull();
            assertThat(app.scene().lookup("#comfort")).isNull();
            assertThat(app.present("#page-skin")).as("what is seen stays").isTrue();

            app.robot.interact(() -> app.does("Go to Sitting"));
            app.until("it is there again", () -> app.scene().lookup(".hem-day") != null && app.scene().lookup(".hem-day").isVisible());
            app.robot.interact(() -> app.does("Eyes and hands"));
            app.until("and so is this", () -> app.present("#comfort"));
            assertThat(app.present("#text-200")).isTrue();
        }
    }

    @Test
    // ISO/IEC 7810: a card of the size ID-1 is 85.60 mm wide
    void aCardLaidOnTheScreenMakesTrueSizeTrue() throws Exception {
        Path file = folder.resolve("s.pebble");
        double px;
        try (Driver app = new Driver(file, "snail")) {
            app.settled();
            assertThat(comfort(app).cardPx()).isZero();
            app.robot.interact(() -> app.does("Eyes and hands"));
            app.robot.interact(() -> app.find("#card-width").requestFocus());
            double drawn = place(app.find("#card")).getWidth();
            app.keys(KeyCode.RIGHT);
            app.until("measured", () -> comfort(app).cardPx() > 0);
            app.keys(KeyCode.RIGHT);
            app.keys(KeyCode.RIGHT);
            px = comfort(app).cardPx();
            assertThat(px).isCloseTo(drawn + 3, within(0.6));
            app.until("as wide as the card", () -> Math.abs(place(app.find("#card")).getWidth() - px) < 0.6);
            assertThat(TrueSize.pixelsPerMm(comfort(app))).isCloseTo(px / 85.6, within(1e-9));
        }
        try (Driver again = new Driver(file, "snail")) {
            again.settled();
            assertThat(comfort(again).cardPx()).as("kept").isEqualTo(px);
            ClothView cloth = (ClothView) again.find("#cloth");
            assertThat(cloth.timesTrue()).as("the whole stone fills the cloth").isNotCloseTo(1, within(0.05));
            again.robot.interact(() -> again.does("Show the stone as large as it is"));
            again.until("as large as it is", () -> Math.abs(cloth.timesTrue() - 1) < 1e-9);
            again.robot.interact(() -> again.scene().getWindow().setWidth(1120));
            again.until("the cloth is narrower", () -> cloth.getWidth() < 800);
            again.until("and the stone as large as it is", () -> Math.abs(cloth.timesTrue() - 1) < 1e-9);
            again.robot.interact(() -> again.does("Look closer at the stone"));
            again.until("nearer", () -> cloth.timesTrue() > 1.4);
            again.robot.interact(() -> again.does("Eyes and hands"));
            again.click("#card-none");
            assertThat(comfort(again).cardPx()).isZero();
        }
    }

    private static Studio.Comfort comfort(Driver app) {
        return ((Workbench) app.scene().getRoot().getProperties().get(Workbench.class)).studio().view().comfort();
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
