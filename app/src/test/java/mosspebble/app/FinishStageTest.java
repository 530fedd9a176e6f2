package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javax.imageio.ImageIO;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import mosspebble.app.model.Workbench;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Pot;
import mosspebble.core.supplies.Jar;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.units.Millilitres;
import mosspebble.files.SheetBook;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The Finish stage in the real window: sheets, seals, jars, pictures. */
class FinishStageTest {

    @TempDir
    private Path folder;

    private static Workbench workbench(Driver app) {
        return (Workbench) app.scene().getRoot().getProperties().get(Workbench.class);
    }

    private static ImageView sheet(Driver app) {
        return (ImageView) app.find("#sheet");
    }

    private static Bounds place(Node node) {
        return node.localToScene(node.getBoundsInLocal());
    }

    @Test
    void theSheetsLieOnTheTableAsTheyArePrintedAndAreLeafedThrough() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl", "snail")) {
            app.settled();
            app.keys(KeyCode.DIGIT6);
            app.until("the first page", () -> app.robot.lookup("#sheet").tryQuery().isPresent() && sheet(app).getImage() != null);
            assertThat(app.text("#sheet-title")).startsWith("Guide at true size").contains("1 of ");
            int pages = Integer.parseInt(app.text("#sheet-title").replaceAll(".* of ", ""));
            app.type("#folder", folder.resolve("sheets").toString());
            app.click("#export-sheets");
            app.until("the sheets", () -> app.text("#export-done").startsWith("Written"));
            try (PDDocument document = Loader.loadPDF(folder.resolve("sheets/owl-keeping-a-lamp-sheets.pdf").toFile())) {
                assertThat(document.getNumberOfPages()).as("what lies on the table is what is written").isEqualTo(pages);
            }
            assertThat(app.present("#export-after")).isTrue();
            assertThat(app.find("#sheet-before").isDisabled()).isTrue();
            app.robot.interact(() -> app.find("#sheet-after").requestFocus());
            app.keys(KeyCode.RIGHT);
            app.until("the second", () -> app.text("#sheet-title").contains("2 of " + pages));
            app.keys(KeyCode.LEFT);
            app.click("#sheet-" + (pages - 1));
            app.until("the last", () -> app.text("#sheet-title").startsWith("Step"));
            assertThat(app.find("#sheet-after").isDisabled()).isTrue();
            app.until("A4", () -> sheet(app).getImage() != null);
            assertThat(place(sheet(app)).getHeight() / place(sheet(app)).getWidth()).isCloseTo(Math.sqrt(2), within(0.01)); // ISO 216
            app.click("#paper-letter");
            app.until("Letter", () -> app.present("#sheet") && sheet(app).getImage() != null
                    && Math.abs(place(sheet(app)).getHeight() / place(sheet(app)).getWidth() - 11 / 8.5) < 0.01);
            app.click("#tray-snail");
            app.until("the sheets of the snail", () -> app.show().plan() != null && app.plan().project().id().equals("snail")
                    && app.show().idle() && app.present("#sheet") && sheet(app).getImage() != null);
            assertThat(place(app.find("#finished")).getMaxX()).isLessThanOrEqualTo(place(app.find("#sheets")).getMaxX());
            int plain = Integer.parseInt(app.text("#sheet-title").replaceAll(".* of ", ""));
            app.click("#mirrored");
            app.until("a page more", () -> app.text("#sheet-title").endsWith("of " + (plain + 1)));
            app.click("#template");
            app.until("and another", () -> app.text("#sheet-title").endsWith("of " + (plain + 2)));
            app.click("#finish-picture");
            app.click("#export-template");
            app.until("the template", () -> app.text("#export-done").contains("-template.svg"));
            assertThat(folder.resolve("sheets/snail-with-post-template.svg")).exists();
        }
    }

    @Test
    void whereThereIsNoPrinterThatIsSaidWithAWayOut() throws Exception {
        assumeTrue(SheetBook.printers().isEmpty(), "a printer would print");
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.keys(KeyCode.DIGIT6);
            app.click("#print");
            app.until("no printer", () -> app.text("#export-done").contains("no printer"));
            assertThat(app.text("#export-done")).contains("Save the PDF");
            assertThat(app.present("#export-after")).isFalse();
        }
    }

    @Test
    void whatRunsOutStandsFirstAndIsToBeBoughtForOneStoneOrForAll() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl", "fox", "snail")) {
            app.settled();
            app.keys(KeyCode.DIGIT6);
            app.click("#finish-jars");
            app.until("all there", () -> app.text("#jars-said").equals("All of it is there.") && app.show().idle()
                    && app.show().thumbs().size() == 3);
            String most = jars(app, List.of("owl")).get(0).paint();
            Paint paint = workbench(app).studio().shelf().find(most).orElseThrow();
            double one = jars(app, List.of("owl")).get(0).needed().value();
            double all = jars(app, List.of("owl", "fox", "snail")).stream().filter(j -> j.paint().equals(most)).findFirst().orElseThrow()
                    .needed().value();
            assertThat(all).as("another stone takes of it too").isGreaterThan(one);
            Pot little = new Pot(new Millilitres((one + all) / 2), new Millilitres(20), 4);
            app.robot.interact(() -> workbench(app).editStudio("Little left", s -> s.withShelf(s.shelf().with(paint.withPot(little)))));
            app.settled();
            assertThat(app.text("#jars-said")).as("enough for the owl").isEqualTo("All of it is there.");
            app.until("all are planned anew", () -> app.show().idle());
            app.click("#jars-all");
            app.until("not for all", () -> app.text("#jars-said").contains(" runs out at "));
            assertThat(app.robot.lookup(".jar").queryAllAs(Node.class).iterator().next().getId()).isEqualTo("jar-" + most);
            assertThat(app.robot.lookup("#buy .label").queryAllAs(Label.class).iterator().next().getText())
                    .startsWith("1 × " + paint.name())
                    .contains("20 ml").endsWith("4.00");
            assertThat(app.text("#cost")).contains("by your prices");
        }
    }

    private static List<Jar> jars(Driver app, List<String> stones) {
        Map<String, List<PaintUse>> uses = new LinkedHashMap<>();
        stones.forEach(s -> uses.put(s, app.show().thumbs().get(s).plan().supplies()));
        return Jar.of(uses);
    }

    @Test
    void aPictureIsOfWhatLiesOnTheClothAndNothingScrolls() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            app.settled();
            app.keys(KeyCode.DIGIT6);
            for (String matter : List.of("sheets", "seal", "jars", "picture")) {
                app.click("#finish-" + matter);
                app.settled();
                assertThat(app.find("#cloth").getParent().isVisible()).as(matter).isEqualTo(matter.equals("picture"));
                assertThat(app.robot.lookup(".stage-scroll > .scroll-bar").queryAllAs(Node.class).stream()
                        .filter(n -> n.isVisible() && n.getScene() != null && n.localToScene(n.getBoundsInLocal()).getHeight() > 60
                                && shown(n)))
                        .as("nothing scrolls in %s", matter).isEmpty();
            }
            app.type("#folder", folder.resolve("sheets").toString());
            app.click("#pixels-1000");
            app.click("#export-picture");
            app.until("the picture", () -> app.text("#export-done").startsWith("Written"));
            assertThat(Files.size(folder.resolve("sheets/owl-keeping-a-lamp-1000.png"))).isGreaterThan(50_000);
            app.click("#export-steps");
            app.until("the six moments", () -> app.text("#export-done").endsWith("-1000-steps.png"));
            BufferedImage strip = ImageIO.read(folder.resolve("sheets/owl-keeping-a-lamp-1000-steps.png").toFile());
            assertThat(strip.getWidth()).as("six stones side by side").isGreaterThan(3 * strip.getHeight());
        }
    }

    private static boolean shown(Node node) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (!n.isVisible()) {
                return false;
            }
        }
        return true;
    }
}
