package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import mosspebble.core.colour.Mix;
import mosspebble.core.plan.Step;
import mosspebble.core.words.SealWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Two ways to seal, side by side. */
class SealsTest {

    @TempDir
    private Path folder;

    private static Step.Seal seal(Driver app) {
        return (Step.Seal) app.plan().steps().get(app.plan().steps().size() - 1);
    }

    private static List<String> lines(Driver app, String card) {
        return app.robot.lookup("#" + card + " .label").queryAllAs(Label.class).stream().map(Label::getText).toList();
    }

    @Test
    void thePlannedSealerStandsBesideTheNextBestAndEitherIsTaken() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            app.settled();
            app.click("#stage-finish");
            app.click("#finish-seal");
            app.until("the seals", () -> app.present("#seal-varnish"));
            assertThat(app.robot.lookup("#seals").queryAs(javafx.scene.layout.HBox.class).getChildren()).hasSize(2);
            assertThat(lines(app, "seal-varnish")).contains("Gloss varnish", "2 coats, 2 h apart", "stays clear", "easy to mend");
            app.click("#live-indoors");
            app.until("resin as the second indoors", () -> app.present("#seal-resin"));
            assertThat(lines(app, "seal-resin")).contains("one pour", "hard to mend", "gloves and fresh air");
            app.click("#seal-take-resin");
            app.until("resin is planned", () -> seal(app).varnish().load().mix().equals(Mix.of("resin")));
            app.settled();
            app.until("it stands first", () -> app.text("#seal-take-resin").equals("planned"));
            assertThat(app.find("#seal-take-resin").isDisabled()).isTrue();
            assertThat(app.text("#sealing")).isEqualTo(SealWords.reason(seal(app).advice())).contains("dust");
            app.robot.interact(() -> app.find("#cloth").requestFocus());
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("varnish again", () -> seal(app).varnish().load().mix().equals(Mix.of("varnish")));
        }
    }
}
