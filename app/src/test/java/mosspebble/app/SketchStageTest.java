package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.Map;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Button;
import javafx.scene.control.Slider;
import javafx.scene.control.TextArea;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelReader;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.control.MenuButton;
import mosspebble.app.model.Workbench;
import mosspebble.core.colour.Mix;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Habits;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.LineWish;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Strokes;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import mosspebble.core.sketch.LetterSetting;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** The Sketch stage in the real window: stones built from nothing, by pointer and by keys. */
class SketchStageTest {

    @TempDir
    private Path folder;

    private static List<PlacedItem> items(Driver app) {
        return app.plan() == null ? List.of() : app.plan().design().map(PlacedDesign::items).orElse(List.of());
    }

    private static Item item(Driver app, int index) {
        return app.plan().project().sketch().orElseThrow().items().get(index);
    }

    private static void noStop(Driver app) {
        assertThat(app.plan().findings()).filteredOn(f -> f.stage() == Finding.Stage.SKETCH && f.weight() == Finding.Weight.STOP).isEmpty();
    }

    private static void words(Driver app, String words) {
        app.until("the field for words", () -> app.present("#words"));
        app.click("#words");
        app.robot.interact(() -> ((TextArea) app.find("#words")).setText(words));
        app.click("#set-words");
    }

    @Test
    void theTwoWordStoneIsBuiltWithThePointer() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), false)) {
            app.click("#first-stone");
            app.settled();
            app.type("#length", "160");
            app.type("#width", "84");
            app.type("#height", "38");
            app.click("#stage-sketch");
            app.click("#thing-add");
            app.click("#subject-word-heavy-slab");
            words(app, "LANTERN\nWALK");
            app.until("the words", () -> items(app).size() == 1 && items(app).get(0).motif().title().equals("LANTERN WALK"));
            noStop(app);
            app.click("#thing-add");
            app.click("#subject-word-script");
            app.until("a second thing", () -> items(app).size() == 2);
            words(app, "mind the step");
            app.until("the second words", () -> items(app).get(1).motif().title().equals("mind the step"));
            app.settled();
            assertThat(items(app).get(1).silhouette().intersects(items(app).get(0).silhouette()))
                    .as("written beside the first, in its room")
                    .isFalse();
            app.command("Fit to the face");
            app.until("it lies over the first", () -> Math.abs(item(app, 1).placement().y()) < 5);
            double before = item(app, 1).placement().y();
            app.robot.drag("#cloth").moveBy(0, 26).drop();
            app.until("it was dragged", () -> item(app, 1).placement().y() > before + 3);
            app.settled();
            assertThat(items(app).get(1).silhouette().intersects(items(app).get(0).silhouette())).as("the second word lies over the first")
                    .isTrue();
            assertThat(item(app, 1).subject()).isInstanceOfSatisfying(Subject.Word.class,
                    w -> assertThat(w.typeface()).isEqualTo("script"));
            assertThat(app.plan().steps()).isNotEmpty();
        }
    }

    @Test
    @Tag("outside") // JTS as a second opinion on what is hidden
    void twoOverlappingSubjectsAreBuiltWithThePointerAndTheOneBehindStopsShort() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), false)) {
            app.click("#first-stone");
            app.settled();
            app.click("#stage-sketch");
            app.click("#thing-add");
            app.click("#subject-fern");
            app.until("the fern", () -> items(app).size() == 1);
            app.click("#thing-add");
            app.click("#subject-toadstool");
            app.until("the toadstool", () -> items(app).size() == 2);
            app.settled();
            Geometry front = items(app).get(1).silhouette();
            Geometry behind = items(app).get(0).silhouette();
            assertThat(front.intersection(behind).getArea()).as("they overlap").isGreaterThan(5);
            Geometry inner = front.buffer(-0.3);
            double own = items(app).get(1).parts().stream()
                    .mapToDouble(p -> (p.part().isArea() ? p.drawn().getBoundary() : p.drawn()).intersection(inner).getLength()).sum();
            double drawn = app.plan().design().orElseThrow().pencilLines().stream().mapToDouble(l -> l.intersection(inner).getLength())
                    .sum();
            assertThat(drawn).as("pencil inside the front thing is its own").isLessThanOrEqualTo(own + 1e-6);
            app.click("#thing-back");
            app.until("it went behind", () -> items(app).get(0).motif().id().equals("toadstool"));
            app.click("#thing-away");
            app.until("one thing", () -> items(app).size() == 1);
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("back again", () -> items(app).size() == 2);
            app.put("Quill  beck"); // nothing is called that: it is written
            app.until("the words", () -> items(app).size() == 3);
            assertThat(item(app, 2).subject()).isInstanceOfSatisfying(Subject.Word.class,
                    w -> assertThat(w.lines()).containsExactly("Quill beck"));
            noStop(app);
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("two again", () -> items(app).size() == 2);
        }
    }

    @Test
    @Tag("outside") // chords of a circle: 2 R sin(pi / N)
    void theMoonRingIsBuiltByKeysAlone() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), false)) {
            app.keys(KeyCode.N);
            app.settled();
            app.command("stone form round");
            app.keys(KeyCode.DIGIT2);
            app.put("sleeping moon");
            app.until("the moon", () -> items(app).size() == 1);
            double fitted = item(app, 0).placement().scale();
            for (int i = 0; i < 3; i++) {
                app.keys(KeyCode.MINUS);
            }
            app.until("a smaller moon", () -> item(app, 0).placement().scale() < 0.95 * fitted);
            app.command("ring of 24 dots");
            app.until("the ring", () -> items(app).size() == 2);
            app.settled();
            assertThat(app.text("#dot-words")).startsWith("24 dots, gaps of ");
            PlacedItem ring = items(app).get(1);
            Geometry dots = ring.parts().get(0).drawn();
            assertThat(dots.getNumGeometries()).isEqualTo(24);
            noStop(app);
            assertThat(app.plan().steps()).as("dots are set with an end made for them")
                    .anySatisfy(o -> assertThat(StepWords.tool(o)).contains("reloaded for every dot"));
        }
    }

    @Test
    void aWholeStoneCharacterOnAKidneyIsBuiltByKeysAlone() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), false)) {
            app.keys(KeyCode.N);
            app.settled();
            app.command("stone form kidney");
            app.until("a kidney", () -> app.plan().project().stone().shape().toString().contains("KIDNEY"));
            app.keys(KeyCode.DIGIT2);
            app.put("sleeping bear");
            app.until("the bear", () -> items(app).size() == 1);
            app.settled();
            assertThat(item(app, 0).manner()).isEqualTo(ItemMode.WEARING);
            Geometry face = app.plan().survey().zones().paintable();
            assertThat(items(app).get(0).silhouette().getArea() / face.getArea()).as("the stone is the bear").isCloseTo(1, within(0.06));
            assertThat(app.plan().findings()).as("the kidney pulls the ears apart")
                    .anySatisfy(f -> assertThat(FindingWords.sentence(f)).contains("larger than the"));
            app.plan().findings().stream().filter(f -> f.code() == Code.UNEQUAL_PAIR).findFirst().flatMap(Finding::remedy)
                    .ifPresent(r -> assertThat(r.cure()).isEqualTo(Finding.Cure.EQUAL_PAIRS));
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("undone", () -> app.plan().project().sketch().isEmpty());
        }
    }

    @Test
    void aRingOfDotsIsMeasuredAnsweredAndAlternated() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.click("#tray-snail");
            app.settled();
            app.keys(KeyCode.DIGIT2);
            app.put("equal dots");
            app.until("a ring", () -> app.present("#dot-words") && app.text("#dot-words").matches("\\d+ dots, gaps of .*"));
            int dots = Integer.parseInt(app.text("#dot-words").split(" ")[0]);
            app.click("#dots-ring");
            app.click("#dots-two");
            app.until("an even number", () -> Integer.parseInt(app.text("#dot-words").split(" ")[0]) % 2 == 0);
            app.click("#dots-each");
            app.type("#dot-mm", "9999 mm");
            assertThat(app.text("#dot-mm-problem")).as("what is wrong is said at the field").isNotBlank();
            app.type("#dot-mm", "1 mm");
            app.until("smaller dots, more of them", () -> Integer.parseInt(app.text("#dot-words").split(" ")[0]) > dots);
            app.click("#dots-ring");
            app.type("#dot-count", "2");
            assertThat(app.text("#dot-count-problem")).contains("3 to 400");
            app.type("#dot-count", "36");
            app.until("just so many", () -> app.text("#dot-words").startsWith("36 dots"));
            app.click("#dots-each");
            app.click("#series-walking");
            app.until("dots that walk", () -> Integer.parseInt(app.text("#dot-words").split(" ")[0]) > 36);
            app.click("#dots-tools");
            assertThat(app.text("#dot-tools")).contains("stylus").contains("a touch of paint");
        }
    }

    private static double dialled(Driver app, String dial) {
        return ((Subject.Pattern) item(app, 0).subject()).values().get(dial);
    }

    @Test
    void aPatternIsMadeToMeasureSeenWhileItIsSlidAndThrownAgain() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "window")) {
            app.settled();
            app.keys(KeyCode.DIGIT2);
            app.click("#thing-0");
            app.until("the opening", () -> app.present("#dial-stripes"));
            app.type("#dial-stripes", "12");
            assertThat(app.text("#dial-stripes-problem")).isEqualTo("Stripes: 2 to 8, was 12.");
            app.type("#dial-stripes", "5");
            app.until("five stripes", () -> dialled(app, "stripes") == 5);
            Slider lean = (Slider) app.scene().lookup("#dial-lean");
            app.robot.interact(() -> {
                lean.setValueChanging(true);
                lean.setValueChanging(false);
            });
            app.settled();
            assertThat(dialled(app, "lean")).as("taken and let go").isEqualTo(-22);
            app.robot.interact(() -> {
                lean.setValueChanging(true);
                lean.setValue(30);
            });
            app.until("it is seen on the stone meanwhile", () -> dialled(app, "lean") == 30);
            assertThat(app.text("#undo")).as("and not done yet").contains("stripes").doesNotContain("lean");
            app.robot.interact(() -> lean.setValueChanging(false));
            app.until("it stays", () -> app.text("#undo").contains("lean of the stripes"));
            double before = dialled(app, "seed");
            app.click("#dial-seed");
            app.until("another", () -> dialled(app, "seed") == before + 1);
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("the one before", () -> dialled(app, "seed") == before);
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("it leans as before", () -> dialled(app, "lean") == -22);
        }
    }

    @Test
    void thePencilsStrokeIsSmoothedToldWhatItIsAndItsPointsAreMoved() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), false)) {
            app.click("#first-stone");
            app.settled();
            app.keys(KeyCode.DIGIT2);
            app.robot.clickOn("#cloth");
            app.keys(KeyCode.Q);
            app.until("the pencil", () -> app.present("#draws-area"));
            app.robot.moveTo("#cloth").press(MouseButton.PRIMARY).moveBy(60, 10).moveBy(0, 50).moveBy(-70, 0).release(MouseButton.PRIMARY);
            app.until("the line", () -> items(app).size() == 1);
            app.keys(KeyCode.ESCAPE);
            app.click("#sketch-itself");
            app.click("#stroke-area");
            app.until("an area", () -> item(app, 0).subject() instanceof Subject.Stroke s && s.becomes() == Subject.Becomes.AREA);
            app.until("which is painted", () -> items(app).get(0).silhouette().getArea() > 20);
            app.settled();
            Subject.Stroke stroke = (Subject.Stroke) item(app, 0).subject();
            Coordinate first = corner(app, stroke, 0);
            Coordinate last = corner(app, stroke, stroke.points().size() / 2 - 1);
            Bounds cloth = app.find("#cloth").localToScreen(app.find("#cloth").getBoundsInLocal());
            double scale = app.scale();
            double x = cloth.getMinX() + 16 + cloth.getWidth() / 2 + first.x * scale;
            double y = cloth.getMinY() + 16 + cloth.getHeight() / 2 + first.y * scale;
            app.robot.moveTo(x, y).press(MouseButton.PRIMARY).moveBy(-20, -20).release(MouseButton.PRIMARY);
            app.until("the point moved", () -> !((Subject.Stroke) item(app, 0).subject()).points().equals(stroke.points()));
            app.settled();
            Subject.Stroke moved = (Subject.Stroke) item(app, 0).subject();
            assertThat(corner(app, moved, 0).distance(new Coordinate(first.x - 20 / scale, first.y - 20 / scale)))
                    .as("it went with the hand").isLessThan(0.4);
            assertThat(corner(app, moved, moved.points().size() / 2 - 1).distance(last)).as("the others stay").isLessThan(0.05);
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("undone", () -> ((Subject.Stroke) item(app, 0).subject()).points().equals(stroke.points()));
        }
    }

    /** A point of a stroke on the stone, mm. */
    private static Coordinate corner(Driver app, Subject.Stroke stroke, int point) {
        Coordinate middle = Strokes.middle(stroke);
        Coordinate own = Strokes.points(stroke).get(point);
        return new Coordinate(item(app, 0).placement().x() + own.x - middle.x, item(app, 0).placement().y() + own.y - middle.y);
    }

    @Test
    void thingsAreMirroredMultipliedGroupedLeftFreeAndLeftOut() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail", "heron")) {
            app.click("#tray-snail");
            app.settled();
            app.keys(KeyCode.DIGIT2);
            app.robot.clickOn("#cloth");
            Geometry before = items(app).get(0).silhouette();
            app.keys(KeyCode.M);
            app.until("mirrored", () -> item(app, 0).mirrored() && !items(app).get(0).silhouette().equalsTopo(before));
            assertThat(items(app).get(0).silhouette().getArea()).isCloseTo(before.getArea(), within(0.01 * before.getArea()));
            assertThat(app.text("#undo")).isEqualTo("Undo: mirror");
            app.click("#sketch-where");
            app.type("#several-count", "3");
            app.click("#scattered");
            app.until("three of it", () -> items(app).size() == 3);
            app.settled();
            assertThat(app.plan().project().sketch().orElseThrow().together("")).as("one group").hasSize(3);
            for (int i = 0; i < 3; i++) {
                for (int k = i + 1; k < 3; k++) {
                    assertThat(items(app).get(i).silhouette().intersects(items(app).get(k).silhouette())).as("%d and %d keep apart", i, k)
                            .isFalse();
                }
            }
            double other = item(app, 1).placement().x();
            app.robot.clickOn("#cloth");
            app.keys(KeyCode.SHIFT, KeyCode.RIGHT);
            app.until("the group moved together", () -> Math.abs(item(app, 1).placement().x() - other - 5) < 1e-9);
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("one again", () -> items(app).size() == 1);
            app.click("#sketch-parts");
            app.click("#part-seal");
            app.until("left out", () -> item(app, 0).leftOut().equals(Set.of("seal")));
            app.until("not planned", () -> items(app).get(0).parts().stream().noneMatch(p -> p.part().id().equals("seal")));
            app.command("take up heron");
            app.until("the heron", () -> app.text("#name").startsWith("Heron"));
            app.settled();
            app.click("#thing-1");
            app.click("#sketch-lies");
            app.until("what it exposes", () -> app.present("#exposes") && app.robot.lookup("#exposes .label").queryAll().size() >= 1);
        }
    }

    @Test
    void lettersAreBentSpacedAndMovedOneMatterAtATime() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "lettering")) {
            app.settled();
            app.click("#stage-sketch");
            app.click("#thing-0");
            LetterSetting before = setting(app);
            assertThat(app.present("#face-script")).isTrue();
            assertThat(app.present("#path-arc")).as("one matter at a time").isFalse();
            app.click("#word-page-path");
            assertThat(app.present("#word-bend")).as("what is straight has no bend").isFalse();
            app.click("#path-arc");
            app.until("an arc", () -> setting(app).path() == LetterSetting.Path.ARC && app.present("#word-bend"));
            app.type("#word-bend", "80");
            app.until("a flatter one", () -> setting(app).bend() == 80);
            app.click("#word-page-letters");
            app.type("#word-swell", "0.5");
            assertThat(app.text("#word-swell-problem")).as("thicker than letters can be").isNotBlank();
            app.keys(KeyCode.ESCAPE);
            app.click("#word-page-spacing");
            app.type("#kern-letter", "3");
            app.type("#kern", "0.05");
            app.until("the third letter moved", () -> setting(app).kerns().equals(Map.of(2, 0.05)));
            assertThat(setting(app).style()).as("nothing else").isEqualTo(before.style());
        }
    }

    private static LetterSetting setting(Driver app) {
        return ((Subject.Word) app.plan().project().sketch().orElseThrow().items().get(0).subject()).setting();
    }

    @Test
    void linesAreChosenForTheStoneAThingAndAPart() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            app.settled();
            app.keys(KeyCode.DIGIT2);
            app.command("sketch: parts");
            app.until("the parts", () -> app.present("#lines"));
            staysWhole(app, "#lines");
            app.choose("lines", "white");
            app.until("white lines", () -> item(app, 0).lines().whole().colour() == LineWish.Colour.WHITE);
            app.settled();
            assertThat(outlines(app)).containsOnly(Mix.of("pen-white"));
            assertThat(app.text("#lines")).isEqualTo("white");
            app.click("#line-style-shaded");
            app.type("#line-width", "1,5 mm");
            app.until("a broad line", () -> item(app, 0).lines().whole().widthMm() == 1.5);
            assertThat(item(app, 0).lines().whole().style()).isEqualTo(LineWish.Style.SHADED);
            app.type("#line-width", "9 mm");
            app.until("why not", () -> app.text("#line-width-problem").contains("0.2 to 3 mm"));
            String part = app.plan().design().orElseThrow().parts().stream().filter(p -> p.part().role() == Role.FILL).findFirst()
                    .orElseThrow().part().id();
            app.choose("line-" + part, "rust");
            app.until("a rust line round it", () -> item(app, 0).lines().of(part).paint().equals("rust"));
            app.settled();
            assertThat(outlines(app)).containsExactlyInAnyOrder(Mix.of("pen-white"), Mix.of("rust"));
            assertThat(item(app, 0).lines().of(part).widthMm()).as("its width is still that of the thing").isEqualTo(1.5);
            app.keys(KeyCode.ESCAPE);
            app.robot.interact(() -> app.find("#cloth").requestFocus());
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("taken back", () -> item(app, 0).lines().parts().isEmpty());
            app.command("build-up: habits");
            app.click("#habits-lines");
            app.click("#line-none");
            app.until("no lines by habit", () -> app.plan().project().habits().lineColour() == Habits.LineColour.NONE);
            app.settled();
            assertThat(outlines(app)).as("the thing still asks for its own").containsOnly(Mix.of("pen-white"));
        }
    }

    /** What is shown anew under an open menu, as when a plan is done, takes nothing out of it. */
    private static void staysWhole(Driver app, String query) {
        MenuButton menu = app.find(query);
        app.click(query);
        app.until("the menu is open", menu::isShowing);
        int offered = menu.getItems().size();
        assertThat(offered).isGreaterThan(2);
        Workbench workbench = (Workbench) app.scene().getRoot().getProperties().get(Workbench.class);
        app.robot.interact(() -> workbench.look(s -> s.withView(LengthUnit.INCH, false)));
        app.robot.interact(() -> workbench.look(s -> s.withView(LengthUnit.MM, false)));
        app.until("all there again", () -> app.show().idle());
        assertThat(menu.getItems()).as("what is open stays under the hand").hasSize(offered);
        app.keys(KeyCode.ESCAPE);
        app.until("the menu is closed", () -> !menu.isShowing());
    }

    @Test
    void aPatternIsKeptWithinAPartOfAThingBehindIt() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            app.settled();
            app.keys(KeyCode.DIGIT2);
            app.click("#sketch-lies");
            assertThat(app.present("#kept-within")).as("nothing lies behind the owl").isFalse();
            app.put("staggered");
            app.until("the ticks", () -> items(app).size() == 2);
            app.settled();
            app.click("#sketch-lies");
            assertThat(app.text("#kept-within")).isEqualTo("Kept within: the stone");
            double whole = items(app).get(1).silhouette().getArea();
            staysWhole(app, "#kept-within");
            app.choose("kept-within", "belly");
            app.until("kept", () -> item(app, 1).within().equals(Optional.of("belly")));
            app.settled();
            assertThat(app.text("#kept-within")).isEqualTo("Kept within: the belly");
            Geometry belly = app.plan().design().orElseThrow().parts().stream().filter(p -> p.part().id().equals("belly")).findFirst()
                    .orElseThrow().drawn();
            Geometry kept = items(app).get(1).silhouette();
            assertThat(kept.getArea()).isLessThan(whole / 2).isGreaterThan(50);
            assertThat(kept.difference(belly).getArea()).isLessThan(1e-3);
            app.robot.interact(() -> app.find("#cloth").requestFocus());
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("free again", () -> item(app, 1).within().isEmpty());
        }
    }

    private static Set<Mix> outlines(Driver app) {
        return app.plan().steps().stream().filter(s -> s.kind() == Step.Kind.OUTLINE).map(s -> s.mix().orElseThrow())
                .collect(Collectors.toSet());
    }

    @Test
    void filesOfOnesOwnAreReadCheckedAndKept() throws Exception {
        Path good = Files.writeString(folder.resolve("kite.svg"),
                """
                        <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100" data-motif="kite" data-title="Kite" data-slots="sail: Sail: #a8352e">
                          <path data-part="sail" data-slot="sail" data-outline="yes" d="M50 5 L85 45 L50 80 L15 45 Z"/></svg>""",
                StandardCharsets.UTF_8);
        Path hostile = Files.writeString(folder.resolve("bad.svg"),
                "<!DOCTYPE svg [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><svg>&x;</svg>", StandardCharsets.UTF_8);
        Path noFont = Files.writeString(folder.resolve("letters.ttf"), "this is a letter to my aunt", StandardCharsets.UTF_8);
        Path studio = folder.resolve("s.pebble");
        try (Driver app = new Driver(studio, false)) {
            app.click("#first-stone");
            app.settled();
            app.keys(KeyCode.DIGIT2);
            for (Object[] wrong : new Object[][] {{hostile, "bad.svg"}, {noFont, "not a font"},
                {folder.resolve("gone.svg"), "no such file"}}) {
                app.put(wrong[0].toString());
                app.until("an answer about " + wrong[1], () -> app.text("#notice").contains(wrong[1].toString()));
                app.keys(KeyCode.ESCAPE);
            }
            app.put(good.toString());
            app.until("it is kept", () -> app.present("#subject-own-kite"));
            app.click("#subject-own-kite");
            app.until("the kite", () -> items(app).size() == 1 && items(app).get(0).motif().title().equals("Kite"));
        }
        try (Driver again = new Driver(studio, false)) {
            again.settled();
            assertThat(items(again)).as("kept in the studio, with or without the file").hasSize(1);
        }
    }

    @Test
    void theLibraryShowsEachSubjectPaintedWithWhatIsOnTheShelf() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.keys(KeyCode.DIGIT2, KeyCode.A);
            app.until("the fox, painted", () -> painted(app, "#subject-fox-asleep") != null);
            assertThat(painted(app, "#subject-fox-asleep").getHue()).as("the fur of a fox, as a hue").isBetween(5.0, 40.0);
            app.until("the frog, painted", () -> painted(app, "#subject-frog-leaf") != null);
            Color moss = painted(app, "#subject-frog-leaf");
            assertThat(moss.getGreen()).as("a frog under a leaf is green").isGreaterThan(moss.getRed() * 1.05);
            assertThat(painted(app, "#subject-guide-spokes")).as("far below what is seen").isNull();
            app.robot.write("spokes", 0);
            app.until("pencil lines over a bare stone", () -> painted(app, "#subject-guide-spokes") != null);
            assertThat(inside(app, "#subject-guide-spokes", Canvas.class)).isPresent();
            assertThat(painted(app, "#subject-guide-spokes").getSaturation()).isLessThan(0.2);
        }
    }

    private static <T extends Node> Optional<T> inside(Driver app, String card, Class<T> kind) {
        StackPane sample = (StackPane) ((VBox) ((Button) app.find(card)).getGraphic()).getChildren().get(0);
        return sample.getChildren().stream().filter(kind::isInstance).map(kind::cast).findFirst();
    }

    /** The colour in the middle third of a card's picture, on the whole; null where there is none yet. */
    private static Color painted(Driver app, String card) {
        return inside(app, card, ImageView.class).map(view -> {
            PixelReader pixels = view.getImage().getPixelReader();
            int w = (int) view.getImage().getWidth();
            int h = (int) view.getImage().getHeight();
            double[] sum = new double[3];
            for (int y = h / 3; y < 2 * h / 3; y++) {
                for (int x = w / 3; x < 2 * w / 3; x++) {
                    Color c = pixels.getColor(x, y);
                    sum[0] += c.getRed();
                    sum[1] += c.getGreen();
                    sum[2] += c.getBlue();
                }
            }
            double most = Math.max(sum[0], Math.max(sum[1], sum[2]));
            return Color.color(sum[0] / most, sum[1] / most, sum[2] / most);
        }).orElse(null);
    }
}
