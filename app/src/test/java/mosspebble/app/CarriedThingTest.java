package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.input.MouseButton;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.Placement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.util.WaitForAsyncUtils;

/** A thing under the hand in the real window: drawn once, and then only laid elsewhere. */
class CarriedThingTest {

    /** Nothing of the program has this colour. */
    private static final Color MARK = Color.web("#ff00fe");

    @TempDir
    private Path folder;

    private static Workbench workbench(Driver app) {
        return (Workbench) app.scene().getRoot().getProperties().get(Workbench.class);
    }

    private static Canvas canvas(Driver app, String name) {
        return (Canvas) app.find("#cloth").lookup(name);
    }

    /** The first thing of the stone that can be moved, in hand in Sketch, and the place of its middle on the screen. */
    private static Point2D take(Driver app) {
        app.settled();
        app.click("#stage-sketch");
        Item item = app.plan().project().sketch().orElseThrow().items().stream().filter(i -> !i.wearing()).findFirst().orElseThrow();
        app.robot.interact(() -> workbench(app).itemProperty().set(item.id()));
        app.settled();
        return at(app, item.placement());
    }

    private static Point2D at(Driver app, Placement placement) {
        Node cloth = app.find("#cloth");
        return cloth.localToScreen(16 + cloth.getLayoutBounds().getWidth() / 2 + placement.x() * app.scale(),
                16 + cloth.getLayoutBounds().getHeight() / 2 + placement.y() * app.scale());
    }

    private static void mark(Driver app, Canvas canvas) {
        app.robot.interact(() -> {
            canvas.getGraphicsContext2D().setFill(MARK);
            canvas.getGraphicsContext2D().fillRect(0, 0, 3, 3);
        });
    }

    private static WritableImage picture(Canvas canvas) throws Exception {
        SnapshotParameters clear = new SnapshotParameters();
        clear.setFill(Color.TRANSPARENT);
        return WaitForAsyncUtils.asyncFx(() -> canvas.snapshot(clear, null)).get();
    }

    private static boolean isMarked(Canvas canvas) throws Exception {
        return picture(canvas).getPixelReader().getColor(1, 1).equals(MARK);
    }

    /** How much of a picture is covered, 0..1. */
    private static double covered(WritableImage picture) {
        PixelReader reader = picture.getPixelReader();
        int covered = 0;
        for (int y = 0; y < picture.getHeight(); y++) {
            for (int x = 0; x < picture.getWidth(); x++) {
                covered += reader.getArgb(x, y) >>> 24 > 200 ? 1 : 0;
            }
        }
        return covered / (picture.getWidth() * picture.getHeight());
    }

    @Test
    void aThingThatIsMovedIsDrawnOnceAndNothingElseIsDrawnAnewForIt() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "toadstool")) {
            Point2D middle = take(app);
            Canvas carried = canvas(app, "#cloth-carried");
            Canvas overlay = canvas(app, "#cloth-overlay");
            assertThat(carried.isVisible()).isFalse();
            Text shown = (Text) app.find("#cloth-shown");
            assertThat(shown.getFont().getSize()).as("its size is the sheet's").isEqualTo(12);
            assertThat(shown.getX() + shown.getLayoutBounds().getWidth()).as("it ends on the cloth")
                    .isCloseTo(overlay.getWidth() - 14, within(0.5));
            app.robot.moveTo(middle).press(MouseButton.PRIMARY).moveBy(14, 9);
            app.until("it is carried", carried::isVisible);
            WritableImage thing = picture(carried);
            assertThat(covered(thing)).as("the thing with its colours").isBetween(0.05, 0.9);
            assertThat(thing.getWidth() * thing.getHeight()).as("no more room than it takes")
                    .isLessThan(0.7 * overlay.getWidth() * overlay.getHeight());
            assertThat(covered(picture(overlay))).as("of the rest only lines and pale shapes").isLessThan(0.05);

            mark(app, carried);
            mark(app, overlay);
            double x = carried.getLayoutX();
            double y = carried.getLayoutY();
            app.robot.moveBy(-40, 0).moveBy(11, 23);
            app.until("laid elsewhere", () -> carried.getLayoutY() != y);
            Project drafted = workbench(app).shown().orElseThrow();
            assertThat(carried.getLayoutX() - x).isCloseTo(-29, within(1.0));
            assertThat(carried.getLayoutY() - y).isCloseTo(23, within(1.0));
            assertThat(new double[] {carried.getLayoutX(), carried.getLayoutY()}).as("on whole pixels").containsExactly(
                    Math.rint(carried.getLayoutX()), Math.rint(carried.getLayoutY()));
            assertThat(isMarked(carried)).as("not drawn again").isTrue();
            assertThat(isMarked(overlay)).as("nor what lies round it").isTrue();
            assertThat(drafted).as("it has moved").isNotEqualTo(app.plan().project());

            app.robot.release(MouseButton.PRIMARY);
            app.settled();
            assertThat(carried.isVisible()).isFalse();
            assertThat(carried.getWidth()).as("its pixels are not kept").isZero();
            assertThat(isMarked(overlay)).as("all is drawn again").isFalse();
        }
    }

    @Test
    void aThingLargerThanTheClothIsDrawnWithTheRest() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            Point2D middle = take(app);
            app.robot.interact(() -> {
                for (int i = 0; i < 5; i++) {
                    app.does("Look closer at the stone");
                }
            });
            app.settled();
            app.robot.moveTo(middle).press(MouseButton.PRIMARY).moveBy(14, 9);
            app.until("it is under the hand", () -> workbench(app).isDrafting());
            assertThat(canvas(app, "#cloth-carried").isVisible()).isFalse();
            assertThat(covered(picture(canvas(app, "#cloth-overlay")))).as("the thing all over the cloth").isGreaterThan(0.5);
            app.robot.release(MouseButton.PRIMARY);
        }
    }

    @Test
    void aThingThatIsTurnedIsDrawnWithTheRest() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "toadstool")) {
            Point2D middle = take(app);
            double rests = covered(picture(canvas(app, "#cloth-overlay")));
            Item item = workbench(app).itemInHand().orElseThrow();
            double up = app.plan().design().orElseThrow().item(item.id()).orElseThrow().motif().sitting().getEnvelopeInternal().getHeight()
                    * item.placement().scale() / 2 * app.scale() + 26;
            double turn = Math.toRadians(item.placement().turn());
            app.robot.moveTo(middle.add(Math.sin(turn) * up, -Math.cos(turn) * up)).press(MouseButton.PRIMARY).moveBy(40, 12);
            app.until("it turns", () -> workbench(app).itemInHand().orElseThrow().placement().turn() != item.placement().turn());
            assertThat(canvas(app, "#cloth-carried").isVisible()).isFalse();
            assertThat(covered(picture(canvas(app, "#cloth-overlay")))).as("the thing with its colours")
                    .isGreaterThan(rests + 0.015);
            app.robot.release(MouseButton.PRIMARY);
        }
    }
}
