package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.control.Button;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.Window;
import mosspebble.app.cloth.ClothView;
import mosspebble.app.shell.Elsewhere;
import mosspebble.app.shell.Shell;
import mosspebble.core.colour.Mix;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Placement;
import mosspebble.core.words.FindingWords;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import mosspebble.files.LanternWalk;
import mosspebble.files.StudioStore;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A newcomer's first afternoon, in the real window. */
class NewcomerTest {

    @TempDir
    private Path folder;

    @Test
    void measuresAStoneFitsTheOwlChangesAColourWalksTheStepsExportsAndFindsItAgain() throws Exception {
        Path studio = folder.resolve("studio.pebble");
        Project left;
        try (Driver app = Driver.ofANewcomer(studio)) {
            app.click("#first-stone");
            app.settled();
            String before = app.text("#fact-weight");
            app.until("a stand-in's size on the cloth", () -> app.find("#cloth").getAccessibleText().matches(".*, about \\d+ mm long"));
            assertThat(List.of(app.text("#length"), app.text("#width"), app.text("#height"))).as("what nobody measured").containsOnly("");
            app.until("what is missing", () -> app.text("#finding").startsWith("Length, width and height of a stand-in so far"));
            app.type("#length", "4 1/8 in");
            app.until("what is still missing", () -> app.text("#finding").startsWith("Width and height of a stand-in"));
            app.type("#width", "8.2 cm");
            app.type("#height", "30mm");
            assertThat(app.text("#length")).isEqualTo("104.8");
            assertThat(app.text("#width")).isEqualTo("82");
            app.until("all is measured", () -> app.plan().findings().stream().noneMatch(f -> f.code() == Code.NOT_MEASURED));
            app.until("another weight", () -> !app.text("#fact-weight").equals(before));
            app.click("#page-rock");
            app.click("#rock-limestone");
            app.click("#page-dome");
            app.click("#back-flat");
            app.click("#page-outline");
            app.type("#stone-name", "Gate owl");
            assertThat(app.text("#name")).isEqualTo("Gate owl");
            app.click("#turn-stone");

            app.click("#stage-sketch");
            app.click("#first-paints-sample");
            app.click("#thing-add");
            app.click("#subject-owl-lamp");
            app.until("a plan with steps", () -> app.plan() != null && !app.plan().steps().isEmpty());
            app.settled();
            assertThat(app.plan().findings()).noneMatch(f -> f.stage() == Finding.Stage.SKETCH && f.weight() == Finding.Weight.STOP);
            double fitted = app.plan().project().sketch().orElseThrow().items().get(0).placement().scale();
            app.click("#sketch-lies");
            app.type("#design-width", "30");
            app.settled();
            app.click("#lies-fit");
            app.until("the fit", () -> app.plan().project().sketch().orElseThrow().items().get(0).placement().scale() > 0.98 * fitted);

            app.click("#stage-colour");
            app.click("#slot-eyes");
            app.click("#colour-paints");
            app.click("#paint-brick");
            app.until("brick eyes", () -> Mix.of("brick").equals(app.plan().project().colours().get("eyes")));

            app.click("#stage-build-up");
            app.settled();
            int steps = app.plan().steps().size();
            app.click("#build-list");
            app.click("#steps");
            app.keys(KeyCode.HOME);
            assertThat(app.text("#step-words")).startsWith("1 of " + steps);
            app.keys(KeyCode.PERIOD);
            assertThat(app.text("#step-words")).startsWith("2 of " + steps);
            app.click("#build-steps");
            assertThat(app.text("#step-sentence")).isNotBlank();
            app.click("#look-sealed");

            app.click("#stage-finish");
            app.type("#folder", folder.resolve("sheets").toString());
            app.click("#export-sheets");
            app.until("the sheets", () -> app.text("#export-done").startsWith("Written"));
            app.click("#finish-picture");
            app.click("#export-plan");
            app.until("the plan file", () -> app.text("#export-done").contains("plan.json"));
            app.click("#pixels-1000");
            app.click("#behind-clear");
            app.click("#export-picture");
            app.until("the picture", () -> app.text("#export-done").contains("1000.png"));
            app.click("#pixels-8000");
            app.click("#export-picture");
            app.until("it is at it", () -> app.present("#export-cancel"));
            app.click("#export-cancel");
            app.until("it has stopped", () -> app.text("#export-done").startsWith("Stopped"));
            app.until("nothing of it is left", () -> folder.resolve("sheets").toFile().list().length == 3);
            left = app.plan().project();
        }
        try (PDDocument sheets = Loader.loadPDF(folder.resolve("sheets/gate-owl-sheets.pdf").toFile())) {
            assertThat(sheets.getNumberOfPages()).isGreaterThanOrEqualTo(4);
        }
        assertThat(folder.resolve("sheets/gate-owl-plan.json")).content().contains("\"Gate owl\"");
        BufferedImage picture = ImageIO.read(folder.resolve("sheets/gate-owl-1000.png").toFile());
        assertThat(Math.max(picture.getWidth(), picture.getHeight())).isEqualTo(1_000);
        assertThat(picture.getRGB(0, 0) >>> 24).as("transparent beside the stone").isZero();
        assertThat(folder.resolve("sheets").toFile().list()).as("nothing of the stopped one").hasSize(3);

        try (Driver again = Driver.ofANewcomer(studio)) {
            again.settled();
            assertThat(again.text("#name")).isEqualTo("Gate owl");
            assertThat(again.plan().project()).isEqualTo(left);
        }
    }

    @Test
    void wrongEntriesAreAnsweredBesideTheFieldAndNothingIsLost() throws Exception {
        try (Driver app = Driver.ofANewcomer(folder.resolve("s.pebble"))) {
            app.click("#first-stone");
            app.type("#length", "96");
            app.until("its size on the cloth", () -> app.find("#cloth").getAccessibleText().endsWith(", 96 mm long"));
            app.until("measured, as long as the stand-in", () -> app.plan() != null && app.plan().project().unmeasured().size() == 2);
            app.settled();
            Project before = app.plan().project();
            for (String[] wrong : List.of(new String[] {"-3", "8 to 600 mm"}, new String[] {"abc", "not understood"},
                    new String[] {"9999 mm", "8 to 600 mm"}, new String[] {"", "Nothing was typed"})) {
                app.type("#length", wrong[0]);

                assertThat(app.text("#length-problem")).as("answer to \"%s\"", wrong[0]).contains(wrong[1]);
                assertThat(app.find("#length-problem").isVisible()).isTrue();
                assertThat(app.text("#length")).as("what was typed stays").isEqualTo(wrong[0]);
                assertThat(app.plan().project()).isEqualTo(before);
            }
            app.keys(KeyCode.ESCAPE);
            assertThat(app.text("#length")).isEqualTo("96");
            assertThat(app.present("#length-problem")).isFalse();
        }
    }

    @Test
    void undoBringsBackWhatWasAndRedoDoesItAgain() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#stage-sketch");
            Placement before = app.plan().project().sketch().orElseThrow().items().get(0).placement();
            app.robot.clickOn("#cloth");
            app.keys(KeyCode.SHIFT, KeyCode.RIGHT);
            app.keys(KeyCode.DOWN);
            app.until("the move", () -> app.plan().project().sketch().orElseThrow().items().get(0).placement().x() > before.x() + 4);
            app.settled();
            Placement moved = app.plan().project().sketch().orElseThrow().items().get(0).placement();
            assertThat(moved.x()).isCloseTo(before.x() + 5, within(1e-9));
            assertThat(moved.y()).isCloseTo(before.y() + 0.5, within(1e-9));
            assertThat(app.text("#undo")).isEqualTo("Undo: move the design");

            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("the undo", () -> app.plan().project().sketch().orElseThrow().items().get(0).placement().equals(before));
            app.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
            app.until("the redo", () -> app.plan().project().sketch().orElseThrow().items().get(0).placement().x() == before.x() + 5);
        }
    }

    @Test
    void aDesignDraggedOffTheFaceIsFoundAndItsRemedyMendsIt() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#stage-sketch");
            app.robot.drag("#cloth").moveBy(90, 10).drop();
            app.until("a finding", () -> app.plan().findings().stream().anyMatch(f -> f.stage() == Finding.Stage.SKETCH));
            app.settled();
            assertThat(FindingWords.sentence(app.plan().findings().get(0))).containsPattern("leaves the .* by [0-9.]+ mm");
            int all = (int) app.plan().findings().stream().filter(f -> f.stage() == Finding.Stage.SKETCH).count();
            ClothView cloth = (ClothView) app.find("#cloth");
            app.until("a pin", () -> cloth.pinned().isPresent());
            assertThat(app.plan().survey().zones().outline().getEnvelopeInternal().contains(cloth.pinned().orElseThrow())).isTrue();
            Set<String> told = new HashSet<>();
            for (int k = 0; k < all; k++) {
                told.add(app.text("#finding"));
                assertThat(app.find("#finding").getParent().getParent().getLayoutBounds().getHeight()).as("whole, nothing scrolls")
                        .isGreaterThanOrEqualTo(app.find("#finding").getLayoutBounds().getHeight());
                if (all > 1) {
                    assertThat(app.text("#finding-count")).isEqualTo((k + 1) + " of " + all);
                    app.click("#finding-after");
                }
            }
            assertThat(told).as("one after the other, and round").hasSize(all).contains(app.text("#finding"));
            app.keys(KeyCode.DIGIT4);
            assertThat(app.present("#findings") && told.contains(app.text("#finding"))).as("what belongs to the sketch stands there")
                    .isFalse();
            app.keys(KeyCode.DIGIT2);
            while (!app.present("#remedy-0")) {
                app.click("#finding-after");
            }
            app.click("#remedy-0");
            app.until("the remedy", () -> app.plan().findings().stream().noneMatch(f -> f.stage() == Finding.Stage.SKETCH));
        }
    }

    @Test
    void aBareClothOffersThreeWaysAndTheLanternWalkOpensBesideIt() throws Exception {
        try (Driver app = Driver.ofANewcomer(folder.resolve("mine/s.pebble"))) {
            app.until("the ways", () -> app.present("#first-stone") && app.present("#first-photo") && app.present("#first-look"));
            assertThat(app.robot.lookup("#stage-stone .path-number").queryLabeled().getText()).isEqualTo("1");
            assertThat(app.present("#findings")).as("nothing is told of no stone").isFalse();
            app.keys(KeyCode.DIGIT6);
            assertThat(app.present("#first-stone")).as("nor has it anything to finish").isTrue();
            app.robot.lookup("#sheets").tryQuery()
                    .ifPresent(s -> assertThat(s.getParent().isVisible()).as("no sheets of no stone").isFalse());
            app.keys(KeyCode.DIGIT1);
            app.click("#first-look");
            app.until("a window of its own", () -> walk().isPresent());
            Stage walk = walk().orElseThrow();
            app.until("its nine stones", () -> walk.getScene().getRoot().lookupAll(".tray-stone").size() == 9);
            assertThat(folder.resolve("mine/lantern-walk.pebble")).exists();
            app.robot.interact(() -> ((Button) app.scene().lookup("#first-look")).fire());
            assertThat(Window.getWindows().stream().filter(w -> w instanceof Stage s && s.getTitle().equals("The Lantern Walk")).count())
                    .as("not twice").isEqualTo(1);
            app.robot.interact(walk::hide);
            app.until("back", () -> walk().isEmpty());
            assertThat(app.present("#first-stone")).as("one's own is as it was").isTrue();
        }
    }

    @Test
    void paintsAreAskedForWhereColoursAreWantedAndTheFirstStoneIsLedFromStageToStage() throws Exception {
        Path file = folder.resolve("first/s.pebble");
        try (Driver app = Driver.ofANewcomer(file)) {
            assertThat(app.present("#first-words")).as("nothing is said of no stone").isFalse();
            app.click("#first-stone");
            app.settled();
            assertThat(app.present("#first-paints-sample")).as("a stone needs no paint").isFalse();
            app.until("what to do here", () -> app.present("#first-words") && words(app).contains("A stand-in"));
            app.type("#length", "104");
            app.type("#width", "70");
            app.type("#height", "34");
            app.until("that it is measured", () -> words(app).contains("go on to 2 Sketch"));
            app.click("#stage-colour");
            app.until("which paints", () -> app.present("#first-paints-sample") && app.present("#first-paints-type"));
            assertThat(app.present("#first-words")).as("one thing at a time").isFalse();
            app.click("#first-paints-later");
            assertThat(app.present("#first-paints-sample")).isFalse();
            app.until("where it goes on", () -> words(app).contains("4 Build-up"));
            app.keys(KeyCode.S);
            app.click("#shelf-sample");
            app.until("a shelf", () -> app.present("#shelf-white"));
            app.does("Shelf: lay out a sample");
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("the shelf is bare again, as nothing was laid twice", () -> app.present("#shelf-none"));
            app.does("Shelf: add a paint");
            app.until("a paint", () -> app.text("#paint-title").contains("new"));
            app.does("Shelf: lay out a sample");
            app.click("#stage-stone");
            app.until("still the first stone", () -> app.present("#first-words"));
            app.does("New stone");
            app.until("gone with the second", () -> !app.present("#first-words"));
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("one stone again", () -> app.present("#first-words"));
            app.click("#first-words-close");
            assertThat(app.present("#first-words")).isFalse();
        }
        try (StudioStore store = StudioStore.open(file, LanternWalk::newcomer)) {
            assertThat(store.studio().shelf().paints()).as("one's own paint, and no sample beside it").hasSize(1);
            assertThat(store.studio().view().led()).isFalse();
        }
        try (Driver app = Driver.ofANewcomer(file)) {
            app.settled();
            assertThat(app.present("#first-words")).as("the first stone still, for somebody who knows the way").isFalse();
            assertThat(app.text("#length")).isEqualTo("104");
        }
    }

    @Test
    void whatNoChangeToTheStoneMendsIsMendedInItsPlaceOneButtonAway() throws Exception {
        try (Driver app = Driver.ofANewcomer(folder.resolve("s.pebble"))) {
            app.click("#first-stone");
            app.settled();
            app.until("it is not measured", () -> !app.robot.lookup("It is as large as this").queryAll().isEmpty());
            app.robot.clickOn("It is as large as this");
            app.until("measured by eye", () -> app.plan().project().unmeasured().isEmpty());
            assertThat(app.text("#height")).as("as high as the stand-in").isNotEmpty();
            app.click("#stage-sketch");
            app.click("#first-paints-later");
            app.until("no subject yet", () -> app.text("#finding").startsWith("No subject yet"));
            app.robot.clickOn("To the library");
            app.until("the library", () -> app.present("#subject-owl-lamp"));
            app.click("#subject-owl-lamp");
            app.click("#stage-colour");
            app.until("an empty shelf", () -> app.present("#findings") && app.text("#finding").startsWith("The shelf is empty"));
            app.robot.clickOn("To the shelf");
            app.until("the shelf", () -> app.present("#shelf-sample"));
            for (Code code : Code.values()) {
                Elsewhere.of(code).ifPresent(place -> assertThat(((Shell) app.scene().getRoot()).actions()).as(place.words())
                        .anyMatch(a -> a.name().equals(place.action())));
            }
        }
    }

    private static String words(Driver app) {
        return app.robot.lookup("#first-words .label").queryLabeled().getText();
    }

    private static Optional<Stage> walk() {
        return List.copyOf(Window.getWindows()).stream().filter(w -> w instanceof Stage s && "The Lantern Walk".equals(s.getTitle()))
                .map(w -> (Stage) w).findFirst();
    }

    @Test
    void everythingIsReachedByNameAndThePageTurnsToEvening() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl", "harbour", "lettering")) {
            app.settled();
            app.robot.clickOn("#cloth");
            app.keys(KeyCode.SLASH);
            app.robot.write("evening", 0);
            app.keys(KeyCode.ENTER);
            assertThat(app.scene().getRoot().getStyleClass()).contains("evening");
            app.keys(KeyCode.CONTROL, KeyCode.K);
            app.robot.write("take up harbour", 0);
            app.keys(KeyCode.ENTER);
            assertThat(app.text("#name")).isEqualTo("Harbour light at dusk");
            app.click("#tray-lettering");
            assertThat(app.text("#name")).isEqualTo("Lantern Walk");
            app.keys(KeyCode.DIGIT5);
            app.settled();
            app.until("the hem of all stones", () -> app.present("#bound") && app.text("#bound").contains("ready"));
        }
    }

    @Test
    void fromNothingToASheetWithACharacterAndAWordInTwentyClicksAndKeys() throws Exception {
        try (Driver app = Driver.ofANewcomer(folder.resolve("studio.pebble"))) {
            app.click("#first-stone");
            app.settled();
            app.type("#length", "104");
            app.type("#width", "82");
            app.type("#height", "30");
            app.click("#stage-sketch");
            app.click("#first-paints-sample");
            app.put("owl");
            app.until("the owl", () -> app.plan() != null && !app.plan().steps().isEmpty());
            app.settled();
            app.put("words, rounded");
            app.until("the word", () -> app.plan().project().sketch().orElseThrow().items().size() == 2 && app.present("#words"));
            app.click("#words");
            app.robot.interact(() -> ((TextArea) app.find("#words")).setText("MILL"));
            app.click("#set-words");
            app.settled();
            app.keys(KeyCode.SHIFT, KeyCode.F);
            app.settled();
            app.click("#stage-finish");
            app.type("#folder", folder.resolve("sheets").toString());
            app.click("#export-sheets");
            app.until("the sheets", () -> app.text("#export-done").startsWith("Written"));
            assertThat(app.pressed()).as("the folder is typed for the test's sake only").isLessThanOrEqualTo(20);
            assertThat(app.plan().findings()).noneMatch(f -> f.weight() == Finding.Weight.STOP);
            assertThat(app.text("#export-done")).contains(folder.toString());
        }
    }

    @Test
    void wordsAreSetAndLettersTheFaceLacksAreNamed() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.click("#tray-lettering");
            app.settled();
            app.click("#stage-sketch");
            app.click("#thing-0");
            app.click("#words");
            app.keys(KeyCode.CONTROL, KeyCode.A);
            app.robot.interact(() -> ((TextArea) app.find("#words")).setText("QUILL\nBECK 中"));
            app.click("#set-words");
            app.until("the words", () -> app.plan().design().filter(d -> d.items().get(0).motif().title().startsWith("QUILL")).isPresent());
            assertThat(app.plan().findings()).anyMatch(f -> FindingWords.sentence(f).contains("中"));
            assertThat(app.plan().steps()).isNotEmpty();
            var letters = app.plan().design().orElseThrow().items().get(0).motif().sitting();
            app.click("#face-script");
            app.until("the script", () -> !app.plan().design().orElseThrow().items().get(0).motif().sitting().equalsTopo(letters));
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("the face before", () -> app.plan().design().orElseThrow().items().get(0).motif().sitting().equalsTopo(letters));
        }
    }

    @Test
    void exportIntoAForbiddenPlaceIsSaidAndLeavesNoHalfFile() throws Exception {
        Path blocked = folder.resolve("blocked");
        Files.writeString(blocked, "a file where a folder is needed");
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#stage-finish");
            app.click("#finish-picture");
            app.type("#folder", blocked.resolve("in").toString());
            app.click("#export-plan");
            app.until("the answer", () -> app.text("#export-done").contains("could not be written"));
            assertThat(app.text("#export-done")).contains("Choose another folder");
        }
        assertThat(Files.readString(blocked)).startsWith("a file");
    }
}
