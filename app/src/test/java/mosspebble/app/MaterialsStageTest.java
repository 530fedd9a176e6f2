package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Label;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Powder on gel, what glitter does over dark and light, the hours to seal in and the test sheet, in the real window. */
class MaterialsStageTest {

    @TempDir
    private Path folder;

    private static List<String> titles(Driver app) {
        return StepWords.titles(app.plan());
    }

    @Test
    void powderIsLaidOnGelWithAMaterialOfTheShelf() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#stage-colour");
            app.click("#slot-wings");
            app.click("#colour-paints");
            app.click("#paint-glitter");
            app.click("#colour-mix");
            app.until("glitter over dark and light", () -> app.present("#over-dark") && app.present("#over-light"));
            app.settled();
            app.click("#colour-paints");
            app.click("#paint-umber");
            app.click("#colour-mix");
            app.until("paint hides what is below", () -> !app.present("#over-dark"));
            app.settled();
            app.click("#colour-blend");
            app.click("#blend-kind");
            app.click("#blend-powdered");
            app.until("powder is planned", () -> titles(app).stream().anyMatch(t -> t.startsWith("Gel, lamp and powder")));
            assertThat(app.plan().project().blends().get("wings").more()).as("the first powder of the shelf is proposed")
                    .containsExactly(Mix.of("powder"));
            app.settled();
            app.click("#blend-change-0");
            app.settled();
            assertThat(app.present("#blend-paint-flakes")).isTrue();
            assertThat(app.present("#blend-paint-white")).as("what is no powder is not offered").isFalse();
            app.click("#blend-paint-flakes");
            app.until("flakes", () -> app.plan().project().blends().get("wings").more().equals(List.of(Mix.of("flakes"))));
            app.settled();
            app.click("#blend-kind");
            app.click("#blend-raised");
            app.until("raised with paste", () -> app.plan().project().blends().get("wings").kind() == BlendKind.RAISED
                    && titles(app).stream().anyMatch(t -> t.startsWith("Raise with paste")));
        }
    }

    @Test
    void aForecastTellsWhenToSealAndPensNeverTriedGetASheet() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            app.settled();
            app.click("#stage-finish");
            app.click("#finish-seal");
            app.until("the seals", () -> app.present("#seal-take-varnish-matt"));
            app.click("#seal-take-varnish-matt");
            app.click("#finish-sheets");
            app.until("what was never tried", () -> app.present("#untried"));
            app.settled();
            assertThat(app.robot.lookup("#untried .label").queryAllAs(Label.class).iterator().next().getText())
                    .startsWith("Not tried yet under matt varnish: ");
            app.click("#finish-seal");
            app.type("#forecast", "tomorrow");
            assertThat(app.text("#forecast-problem")).contains("no hour of a forecast");
            app.type("#forecast", "8 12 80, 12 19 55, 18 18 60");
            app.until("the hours", () -> app.text("#seal-hours").startsWith("2 coats: begin between "));
            app.type("#forecast", "8 5 80, 18 7 60");
            app.until("too cold", () -> app.text("#seal-hours").contains("too cold"));
            app.click("#finish-sheets");
            app.type("#folder", folder.resolve("sheets").toString());
            app.click("#export-tests");
            app.until("the sheet", () -> app.text("#export-done").startsWith("Written: "));
            assertThat(Files.list(folder.resolve("sheets")).map(f -> f.getFileName().toString()))
                    .containsExactly("owl-keeping-a-lamp-tests.pdf");
        }
    }
}
