package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.proof.ProofModel;
import mosspebble.core.photo.Photo;
import mosspebble.core.sketch.Placement;
import mosspebble.files.BuiltIn;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.SimulatedBenchCamera;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A photo held against the plan: what is said, where it is pinned, and how the plan follows. */
class ProofStageTest {

    @TempDir
    private Path folder;

    private static Workbench workbench(Driver app) {
        return (Workbench) app.scene().getRoot().getProperties().get(Workbench.class);
    }

    private static List<String> shown(Driver app, String query) {
        return app.robot.lookup(query).queryAllAs(Label.class).stream().filter(Node::isVisible).map(Label::getText).toList();
    }

    @Test
    void aCrookedWordIsSaidAndThePlanFollowsItAndUndoTakesThatBack() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.robot.interact(() -> workbench(app).choose("lettering"));
            app.settled();
            app.keys(KeyCode.DIGIT4);
            app.click("#build-mend");
            app.click("#mend-proof");
            app.until("the empty table", () -> app.present("#proof-take") && !app.present("#proof-summary"));
            assertThat(app.present("#proof-so-far")).as("nothing was done yet").isFalse();
            app.click("#proof-take");
            app.until("something to look at", () -> app.present("#proof-finding-0"));
            assertThat(app.text("#proof-summary")).isEqualTo("Two things compared, one place to look at.");
            assertThat(app.text("#proof-finding-0")).as("the first made-up hand turns one thing")
                    .containsPattern("(climbs|falls) by \\d\\.?\\d?° \\(±");
            assertThat(shown(app, "#proof-things .label")).hasSize(2).anyMatch(l -> l.startsWith("\"LANTERN WALK\": "));
            Placement before = placement(app);
            app.click("#proof-follow-0");
            app.until("as planned now", () -> app.text("#proof-summary").equals("Two things compared: all as planned."));
            assertThat(placement(app)).as("the plan has it as it lies").isNotEqualTo(before);
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("crooked again", () -> app.text("#proof-summary").endsWith("one place to look at."));
            assertThat(placement(app)).isEqualTo(before);
            app.keys(KeyCode.ESCAPE);
            app.until("the cloth", () -> app.present("#cloth"));
        }
    }

    private static Placement placement(Driver app) {
        var sketch = workbench(app).shown().orElseThrow().sketch().orElseThrow();
        return sketch.items().stream().map(i -> i.placement())
                .reduce((a, b) -> new Placement(a.x() + b.x(), a.y() + b.y(), a.turn() + b.turn(),
                        a.scale() + b.scale()))
                .orElseThrow();
    }

    @Test
    void aPhotoOfOtherStonesIsRefusedInASentenceAndNothingChanges() throws Exception {
        Path other = folder.resolve("others.png");
        write(SimulatedBenchCamera.photograph(BenchScene.varied(3, 1200, 900)), other);
        Path broken = folder.resolve("broken.png");
        Files.write(broken, new byte[] {1, 2, 3});
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.robot.interact(() -> workbench(app).choose("snail"));
            app.settled();
            PlanWorker desk = new PlanWorker(BuiltIn::repertoire, javafx.application.Platform::runLater, e -> {});
            Results results = (Results) app.scene().getRoot().getProperties().get(Results.class);
            ProofModel model = new ProofModel(workbench(app), results, desk, new SimulatedBenchCamera(n -> BenchScene.varied(n, 320, 240)));
            app.robot.interact(() -> model.open(other));
            app.until("an answer", () -> model.sightProperty().get() != null && !model.busyProperty().get());
            assertThat(model.sightProperty().get().proof().face()).isEmpty();
            assertThat(ProofModel.summary(model.sightProperty().get())).isEqualTo("Not compared.");
            app.robot.interact(() -> model.open(broken));
            app.until("the trouble", () -> !model.troubleProperty().get().isEmpty() && !model.busyProperty().get());
            assertThat(model.troubleProperty().get()).contains("broken.png");
            app.robot.interact(() -> {
                model.take();
                model.cancel();
            });
            assertThat(model.busyProperty().get()).isFalse();
            app.robot.interact(() -> workbench(app).choose("owl"));
            app.until("forgotten with its stone", () -> model.sightProperty().get() == null);
            desk.close();
        }
    }

    private static void write(Photo photo, Path file) throws Exception {
        BufferedImage image = new BufferedImage(photo.width(), photo.height(), BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < photo.height(); y++) {
            for (int x = 0; x < photo.width(); x++) {
                image.setRGB(x, y, photo.at(x, y));
            }
        }
        ImageIO.write(image, "png", file.toFile());
    }
}
