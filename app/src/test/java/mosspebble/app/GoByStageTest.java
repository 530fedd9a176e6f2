package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import mosspebble.app.model.Workbench;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.SheetBelow;
import mosspebble.core.sketch.OwnFile;
import mosspebble.files.OwnFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A drawing of one's own lies on the stone to go by: brought, moved, hidden, taken away, and never painted. */
class GoByStageTest {

    @TempDir
    private Path folder;

    private Path drawing() throws Exception {
        BufferedImage image = new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, 400, 300);
        pen.setColor(Color.BLACK);
        pen.setStroke(new BasicStroke(12));
        pen.drawOval(100, 50, 200, 200);
        pen.dispose();
        Path file = folder.resolve("lantern.png");
        ImageIO.write(image, "png", file.toFile());
        return file;
    }

    private static Workbench workbench(Driver app) {
        return (Workbench) app.scene().getRoot().getProperties().get(Workbench.class);
    }

    private static List<OwnFile> own(Driver app) {
        return workbench(app).studio().own();
    }

    private static SheetBelow lying(Driver app) throws Exception {
        return OwnFiles.sheet(own(app).get(0));
    }

    private static int dark(Driver app) {
        int[] count = new int[1];
        app.robot.interact(() -> {
            WritableImage seen = app.find("#cloth").snapshot(new SnapshotParameters(), null);
            for (int y = 0; y < seen.getHeight(); y++) {
                for (int x = 0; x < seen.getWidth(); x++) {
                    count[0] += seen.getPixelReader().getColor(x, y).getBrightness() < 0.42 ? 1 : 0;
                }
            }
        });
        return count[0];
    }

    @Test
    void aDrawingIsBroughtMovedHiddenAndTakenAwayAndNothingIsPaintedOfIt() throws Exception {
        Path drawing = drawing();
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.click("#stage-sketch");
            app.still();
            PaintPlan before = app.plan();
            int bare = dark(app);
            assertThat(app.present("#sheet-below")).isFalse();
            app.keys(KeyCode.A);
            app.until("the library",
                    () -> app.scene().getFocusOwner() != null && "library-search".equals(app.scene().getFocusOwner().getId()));
            app.robot.interact(() -> ((javafx.scene.control.TextField) app.find("#library-search")).setText(drawing.toString()));
            app.keys(KeyCode.ENTER);
            app.until("it lies there", () -> app.present("#sheet-below") && own(app).size() == 1);
            assertThat(app.text("#sheet-what")).startsWith("To go by: lantern.png, ");
            SheetBelow first = lying(app);
            app.still();
            assertThat(dark(app)).as("its lines are seen").isGreaterThan(bare + 300);

            app.robot.interact(() -> app.find("#cloth").requestFocus());
            app.keys(KeyCode.RIGHT);
            app.keys(KeyCode.CLOSE_BRACKET);
            assertThat(lying(app).x()).isCloseTo(first.x() + 0.5, within(1e-9));
            assertThat(lying(app).turn()).isCloseTo(1, within(1e-9));
            Node cloth = app.find("#cloth");
            Bounds place = cloth.localToScreen(cloth.getBoundsInLocal());
            app.robot.drag(place.getCenterX(), place.getCenterY(), javafx.scene.input.MouseButton.PRIMARY).dropBy(0, 40);
            app.until("it was moved by the hand", () -> lying(app).y() > first.y() + 2);
            assertThat(app.plan()).as("no plan is made anew for it").isSameAs(before);

            app.click("#sheet-hide");
            assertThat(lying(app).shown()).isFalse();
            app.until("out of sight", () -> dark(app) < bare + 100);
            app.click("#sheet-away");
            assertThat(own(app)).isEmpty();
            app.until("away", () -> !app.present("#sheet-below"));
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("back", () -> own(app).size() == 1);
            assertThat(app.plan().project().sketch()).isEqualTo(before.project().sketch());

            app.robot.interact(() -> app.does("Take this stone off the cloth"));
            assertThat(own(app)).as("it goes with its stone").isEmpty();
        }
    }

    @Test
    void whatIsNoPictureIsRefusedInASentence() throws Exception {
        Path text = Files.writeString(folder.resolve("notes.png"), "three stones by the gate");
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.click("#stage-sketch");
            app.keys(KeyCode.A);
            app.until("the library",
                    () -> app.scene().getFocusOwner() != null && "library-search".equals(app.scene().getFocusOwner().getId()));
            app.robot.interact(() -> ((javafx.scene.control.TextField) app.find("#library-search")).setText(text.toString()));
            app.keys(KeyCode.ENTER);
            app.until("told", () -> app.present("#notice") && app.text("#notice").contains("neither PNG nor JPEG"));
            assertThat(own(app)).isEmpty();
            assertThat(app.present("#sheet-below")).isFalse();
        }
    }
}
