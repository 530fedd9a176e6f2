package mosspebble.app;

import java.util.stream.Stream;
import java.util.stream.IntStream;
import javafx.scene.image.ImageView;
import javafx.scene.image.Image;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Project;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Origin;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.words.StepWords;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Getting to know stones in the real window: by photo, scale, tape, marks, and the basket. */
class StoneStageTest {

    @TempDir
    private Path folder;

    private static Stone stone(Driver app) {
        return app.plan().project().stone();
    }

    /** Screen place of a place on the stone, as the cloth shows it: the measures on its edges tell its scale. */
    private static Point2D onCloth(Driver app, double x, double y) {
        Node cloth = app.find("#cloth");
        Bounds bounds = cloth.localToScreen(cloth.getBoundsInLocal());
        double scale = app.scale();
        return new Point2D(bounds.getMinX() + 16 + bounds.getWidth() / 2 + scale * x,
                bounds.getMinY() + 16 + bounds.getHeight() / 2 + scale * y);
    }

    private static void drag(Driver app, Point2D from, Point2D to) {
        app.robot.moveTo(from);
        app.robot.press(MouseButton.PRIMARY);
        app.robot.moveTo(from.midpoint(to));
        app.robot.moveTo(to);
        app.robot.release(MouseButton.PRIMARY);
    }

    @Test
    void photographsThreeStonesCorrectsOneWeighsItChoosesTheWayUpAndPrintsTheGuide() throws Exception {
        Path studio = folder.resolve("s.pebble");
        Stone left;
        try (Driver app = new Driver(studio, false)) {
            app.click("#first-photo");
            app.click("#photo-take");
            app.until("three stones", () -> app.present("#photo-size-2"));
            assertThat(app.present("#photo-size-3")).isFalse();
            String guessed = app.text("#photo-size-0");
            app.type("#photo-height-0", "4 cm");
            app.until("the size for that height", () -> !app.text("#photo-size-0").equals(guessed));
            app.type("#photo-height-1", "900");
            assertThat(app.text("#photo-height-1-problem")).contains("2 to 400 mm");
            app.keys(KeyCode.ESCAPE);
            app.click("#photo-basket");
            app.until("the basket", () -> app.robot.lookup(".found").queryAll().size() == 3);

            app.robot.clickOn(app.robot.lookup(".found").<Node>query());
            app.type("#found-where", "mill lane, Quillbeck");
            app.click("#found-taking-allowed");
            app.click("#take-up");
            app.settled();
            assertThat(app.plan().project().origin().where()).isEqualTo("mill lane, Quillbeck");
            assertThat(stone(app).shape()).isInstanceOf(Shape.Measured.class);
            assertThat(app.plan().findings()).noneMatch(f -> f.weight() == Finding.Weight.STOP && f.stage() == Finding.Stage.STONE);

            Stone before = stone(app);
            StoneOutline outline = StoneOutline.of(before);
            double radius = outline.radius(0);
            drag(app, onCloth(app, outline.poleX() + radius, outline.poleY()), onCloth(app, outline.poleX() + radius + 6, outline.poleY()));
            app.until("the dragged outline", () -> !stone(app).equals(before));
            app.settled();
            assertThat(stone(app).length().value()).isCloseTo(before.length().value() + 6, within(1.5));
            assertThat(app.text("#undo")).isEqualTo("Undo: drag the outline");

            app.click("#page-weigh");
            app.type("#weigh", "9000");
            assertThat(app.text("#weigh-problem")).contains("9000 g cannot be true");
            app.keys(KeyCode.ESCAPE);
            double full = stone(app).fullness();
            app.click("#read-scale");
            app.until("the fullness from the weight", () -> Math.abs(stone(app).fullness() - full) > 0.05);
            assertThat(app.text("#dome-question")).contains("fullness");
            app.settled();

            app.click("#page-suits");
            app.until("ways up", () -> app.present("#way-up-1"));
            double up = stone(app).wayUp();
            app.click("#way-up-1");
            app.until("another way up", () -> stone(app).wayUp() != up);
            app.settled();

            app.click("#stage-finish");
            app.type("#folder", folder.resolve("sheets").toString());
            app.click("#export-sheets");
            app.until("the sheets", () -> app.text("#export-done").startsWith("Written"));
            left = stone(app);
        }
        Path sheets = folder.resolve("sheets").toFile().listFiles()[0].toPath();
        try (PDDocument document = Loader.loadPDF(sheets.toFile())) {
            assertThat(new PDFTextStripper().getText(document)).contains("Guide at true size").contains("unrolled for the dome");
        }
        try (Driver again = new Driver(studio, false)) {
            again.settled();
            assertThat(stone(again)).isEqualTo(left);
            again.keys(KeyCode.B);
            again.until("the other two", () -> again.robot.lookup(".found").queryAll().size() == 2);
        }
    }

    @Test
    void marksArePlacedMovedSizedTakenAwayAndUndone() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#page-marks");
            app.click("#mark-dent");
            app.robot.clickOn(onCloth(app, 10, -12));
            app.until("the dent", () -> stone(app).patches().size() == 1);
            Patch dent = stone(app).patches().get(0);
            assertThat(dome(app).heightAt(10, -12)).isLessThan(dome(app).smoothHeightAt(10, -12) - 0.5);
            app.until("it is in hand", () -> app.present("#mark-depth"));
            app.type("#mark-depth", "2.4");
            app.until("its depth", () -> stone(app).patches().get(0).depthMm() == 2.4);
            app.type("#mark-depth", "300");
            assertThat(app.text("#mark-depth-problem")).contains("0.05 to 60 mm");
            app.keys(KeyCode.ESCAPE);
            app.click("#mark-crack");
            drag(app, onCloth(app, -20, 20), onCloth(app, 5, 30));
            app.until("the crack as long as it was drawn",
                    () -> stone(app).patches().size() == 2 && Math.abs(length(stone(app).patches().get(1)) - Math.hypot(25, 10)) < 1);
            app.settled();
            app.until("what the plan says", () -> app.plan().findings().stream().anyMatch(f -> f.code() == Code.CRACKS_MARKED));
            assertThat(app.plan().steps()).anyMatch(o -> StepWords.title(o).equals("Fill the crack"));
            app.click("#mark-row-0");
            app.robot.interact(() -> app.find("#cloth").requestFocus());
            app.keys(KeyCode.DELETE);
            app.until("the dent gone", () -> stone(app).patches().size() == 1);
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("the dent back", () -> stone(app).patches().size() == 2);
            assertThat(stone(app).patches().get(0).kind()).isEqualTo(dent.kind());
        }
    }

    private static double length(Patch crack) {
        return Math.hypot(crack.toX() - crack.x(), crack.toY() - crack.y());
    }

    private static Dome dome(Driver app) {
        app.settled();
        return app.plan().survey().dome();
    }

    @Test
    void everythingAboutTheStoneIsReachedByKeys() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.robot.interact(() -> app.find("#cloth").requestFocus());
            Project before = app.plan().project();
            app.keys(KeyCode.CLOSE_BRACKET);
            app.keys(KeyCode.CLOSE_BRACKET);
            app.until("two degrees", () -> stone(app).wayUp() == (before.stone().wayUp() + 2) % 360);
            app.keys(KeyCode.R);
            app.until("a quarter", () -> stone(app).wayUp() == (before.stone().wayUp() + 92) % 360);
            app.keys(KeyCode.V);
            app.until("turned over", () -> app.plan().project().below().isPresent());
            assertThat(app.plan().project().sketch()).as("the back has no picture yet").isEmpty();
            app.keys(KeyCode.V);
            app.until("and back", () -> app.plan().project().sketch().equals(before.sketch()));
            app.keys(KeyCode.SLASH);
            app.robot.write("stone: seen", 0);
            app.keys(KeyCode.ENTER);
            app.until("the page", () -> app.present("#seen-table"));
            app.click("#seen-table");
            app.until("from the table", () -> app.plan().project().viewpoint().eyeDistance() > 0);
            app.settled();
            app.until("the sentence", () -> app.text("#seen-words").contains("lifted"));
            app.robot.interact(() -> app.find("#cloth").requestFocus());
            double lean = app.plan().project().viewpoint().lean();
            app.keys(KeyCode.PAGE_UP);
            app.until("leaning more", () -> app.plan().project().viewpoint().lean() == lean + 5);
            app.settled();
            drag(app, onCloth(app, 0, 10), onCloth(app, 0, -10));
            app.until("dragged up: leaning more still", () -> app.plan().project().viewpoint().lean() > lean + 10);
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("the tilt undone", () -> app.plan().project().viewpoint().lean() == lean + 5);
            app.keys(KeyCode.P);
            assertThat(app.present("#photo-take")).isTrue();
            app.keys(KeyCode.ESCAPE);
            app.until("the cloth", () -> app.find("#cloth").isVisible());
        }
    }

    @Test
    void theSkinIsLearntFromADropAndTheFormsFollow() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#page-skin");
            app.type("#drop-seconds", "3");
            app.until("porous", () -> stone(app).porosity() > 0.15);
            app.type("#drop-seconds", "soon");
            assertThat(app.text("#drop-seconds-problem")).contains("not a number");
            app.keys(KeyCode.ESCAPE);
            app.settled();
            assertThat(app.text("#darker")).contains("L* darker");
            app.until("three pictures", () -> Stream.of("dry", "wet", "sealed").allMatch(look -> picture(app, look) != null));
            assertThat(darkness(picture(app, "wet"))).as("a wet stone is darker").isGreaterThan(darkness(picture(app, "dry")) + 0.02);
            app.click("#page-outline");
            app.click("#form-pear");
            app.until("a pear", () -> stone(app).shape() instanceof Shape.Grown g && g.form() == Form.PEAR);
            app.click("#way-callipers");
            app.until("callipers", () -> app.present("#calliper-0"));
            app.type("#calliper-0", "52");
            app.until("the measure", () -> stone(app).shape() instanceof Shape.Measured m && m.spokes().get(0).mm() == 52);
            app.click("#page-dome");
            Slider face = app.find("#face-tilt");
            app.settled();
            double area = app.plan().survey().facts().faceMm2();
            app.robot.interact(() -> face.setValue(50));
            app.until("a larger face", () -> app.plan().survey().facts().faceMm2() > area * 1.02);
            app.click("#page-ready");
            app.until("washing", () -> app.present("#weigh-grams"));
            for (String[] w : new String[][] {{"0", "180"}, {"24", "150"}, {"48", "138"}}) {
                app.type("#weigh-hours", w[0]);
                app.type("#weigh-grams", w[1]);
            }
            app.until("the end of drying", () -> app.text("#steady").contains("ready"));
            app.until("three weighings", () -> app.plan().project().weighings().size() == 3);
        }
    }

    /** A stone half as long again as wide cannot be round: each form is offered once, and drawn as this stone would have it. */
    @Test
    void formsAreOfferedAsThisVeryStoneWouldHaveThem() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.type("#length", "120");
            app.type("#width", "60");
            app.until("long", () -> stone(app).width().value() == 60 && stone(app).length().value() == 120);
            app.settled();
            assertThat(app.present("#form-round")).isFalse();
            Bounds oval = drawing(app, "#form-oval");
            assertThat(oval.getWidth() / oval.getHeight()).isCloseTo(2, within(0.2));
            app.type("#width", "115");
            app.until("round", () -> app.present("#form-round") && !app.present("#form-oval"));
            assertThat(app.<ToggleButton>find("#form-round").isSelected()).isTrue();
            Bounds pear = drawing(app, "#form-pear");
            assertThat(pear.getWidth() / pear.getHeight()).isCloseTo(120.0 / 115, within(0.05));
            assertThat(app.find("#form-pear").getAccessibleText()).as("spoken, though drawn").contains("pear");
        }
    }

    private static Bounds drawing(Driver app, String form) {
        return app.<ToggleButton>find(form).getGraphic().getLayoutBounds();
    }

    private static Origin origin(Driver app) {
        return app.plan().project().origin();
    }

    @Test
    void whereAStoneWasFoundIsNotedAndGoesWithItIntoTheBasket() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            app.settled();
            assertThat(app.present("#stone-where")).as("not in the way of the outline").isFalse();
            app.click("#page-found");
            app.type("#stone-where", "  under the bridge ");
            app.until("where it lay", () -> origin(app).where().equals("under the bridge"));
            app.click("#stone-taking-forbidden");
            app.until("it was not allowed", () -> origin(app).taking() == Origin.Taking.FORBIDDEN);
            app.type("#stone-note", "goes back in spring");
            app.until("a note", () -> origin(app).note().equals("goes back in spring"));
            app.click("#undo");
            app.until("no note", () -> origin(app).note().isEmpty() && app.text("#stone-note").isEmpty());
            app.does("Lay this stone back into the basket");
            app.keys(KeyCode.B);
            app.click("#found-owl");
            app.until("its place", () -> app.present("#found-where") && app.text("#found-where").equals("under the bridge"));
        }
    }

    @Test
    void theBasketIsSortedRankedAndStonesGoThereAndBack() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.keys(KeyCode.B);
            app.until("four stones", () -> app.robot.lookup(".found").queryAll().size() == 4);
            app.click("#shape-round");
            app.until("round ones", () -> app.robot.lookup(".found").queryAll().size() == 2);
            app.click("#shape-all");
            app.click("#find-sandstone");
            app.until("the sandstone", () -> app.robot.lookup(".found").queryAll().size() == 1);
            app.click("#find-all");
            app.choose("best-for", "owl-lamp");
            app.until("ranked", () -> app.robot.lookup(".moss").queryAll().size() == 4);
            app.click("#found-sand");
            app.click("#take-up");
            app.settled();
            assertThat(app.text("#name")).isEqualTo("Field sandstone");
            app.keys(KeyCode.SLASH);
            app.robot.write("lay this stone back", 0);
            app.keys(KeyCode.ENTER);
            app.until("back in the basket", () -> !app.text("#name").equals("Field sandstone"));
            app.keys(KeyCode.B);
            app.until("four again", () -> app.robot.lookup(".found").queryAll().size() == 4);
        }
    }

    private static Image picture(Driver app, String look) {
        return ((ImageView) app.find("#look-" + look)).getImage();
    }

    /** Mean over the middle third, 0 white to 1 black. */
    private static double darkness(Image image) {
        int wide = (int) image.getWidth();
        int high = (int) image.getHeight();
        return 1 - IntStream.range(0, wide * high).filter(i -> i % wide > wide / 3 && i % wide < 2 * wide / 3 && i / wide > high / 3
                && i / wide < 2 * high / 3).mapToDouble(i -> image.getPixelReader().getColor(i % wide, i / wide).getBrightness()).average()
                .orElseThrow();
    }
}
