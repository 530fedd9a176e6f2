package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import javafx.event.ActionEvent;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.image.WritableImage;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.shape.Circle;
import javafx.scene.text.Text;
import mosspebble.app.control.Hint;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Opacity;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.finding.Code;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Slot;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.StepWords;
import mosspebble.files.LanternWalk;
import mosspebble.files.StudioStore;
import mosspebble.instruments.SimulatedDrawdown;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.util.WaitForAsyncUtils;

/** Colour and build-up in the real window: match a colour, calibrate a paint, blend, compare two habits, put a slip right, step through. */
class PaintStageTest {

    @TempDir
    private Path folder;

    private Studio saved() throws Exception {
        try (StudioStore store = StudioStore.open(folder.resolve("s.pebble"), LanternWalk::newcomer)) {
            return store.studio();
        }
    }

    @Test
    void aWantedColourIsMatchedNudgedAndUndone() throws Exception {
        Srgb wanted = Srgb.ofHex("#7a8f5a");
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#stage-colour");
            app.click("#slot-belly");
            Mix before = app.plan().project().colours().get("belly");
            app.click("#colour-wish");
            app.type("#wish", "green");
            assertThat(app.text("#wish-problem")).contains("six digits");
            app.until("those for the colour it has", () -> app.present("#proposal-0"));
            double[] high = new double[2];
            app.robot.interact(() -> {
                high[0] = app.find("#proposals").getLayoutBounds().getHeight();
                app.<TextField>find("#wish").setText(wanted.hex());
                app.<TextField>find("#wish").fireEvent(new ActionEvent());
                app.scene().getRoot().applyCss(); // what was made a moment ago as well
                app.scene().getRoot().layout();
                high[1] = app.find("#proposals").getLayoutBounds().getHeight();
            });
            assertThat(high[1]).as("nothing moves while mixes are looked for").isEqualTo(high[0], within(2.0));
            app.until("proposals", () -> app.present("#proposal-0"));
            List<String> wrong = new ArrayList<>();
            app.robot.interact(() -> app.robot.lookup("#proposals .label").queryAllAs(Label.class).stream()
                    .filter(PaintStageTest::isHigherThanItsLines).forEach(l -> wrong.add(l.getText() + ": " + l.getHeight())));
            assertThat(wrong).isEmpty();
            assertThat(app.plan().project().colours().get("belly")).as("nothing is taken unasked").isEqualTo(before);
            app.click("#proposal-0");
            app.until("the recipe", () -> !app.plan().project().colours().get("belly").equals(before));
            Mix taken = app.plan().project().colours().get("belly");
            Palette palette = new Palette(LanternWalk.shelf());
            double off = palette.colour(taken).orElseThrow().lab().differenceTo(Lab.of(wanted));
            assertThat(off).isLessThan(3);
            app.click("#colour-mix");
            app.click("#nudge-lighter");
            app.until("a lighter one", () -> !app.plan().project().colours().get("belly").equals(taken));
            assertThat(palette.colour(app.plan().project().colours().get("belly")).orElseThrow().lab().l())
                    .isGreaterThan(palette.colour(taken).orElseThrow().lab().l());
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("undone", () -> app.plan().project().colours().get("belly").equals(taken));
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("as before", () -> app.plan().project().colours().get("belly").equals(before));
            app.settled();
            assertThat(app.text("#amounts")).contains("ml");
            app.click("#colour-wish");
            app.type("#wish", "#00e5ff");
            app.until("an answer for what no paint reaches", () -> app.present("#proposals") && app.robot.lookup("#proposals .label")
                    .queryAll().stream().anyMatch(n -> n.toString().contains("No mix of this shelf reaches")));
            app.click("#closer");
            app.until("what to buy", () -> app.present("#purchase") && app.text("#purchase").startsWith("Buy "));

            app.click("#colour-mix");
            app.click("#slot-wings");
            String wings = app.text("#slot-title");
            Node cloth = app.find("#cloth");
            app.robot.clickOn(cloth.localToScreen(cloth.getBoundsInLocal().getWidth() / 2, cloth.getBoundsInLocal().getHeight() / 2 + 20));
            app.until("the colour below the pointer, which is not that of the wings", () -> !app.text("#slot-title").equals(wings));
            assertThat(app.plan().design().orElseThrow().slots()).extracting(Slot::title).contains(app.text("#slot-title"));
            app.click("#slot-belly");
            app.click("#colour-mix");
            assertThat(app.present("#mix-paint")).as("it has a recipe").isFalse();
            app.does("Build-up: habits");
            app.click("#ground-around");
            app.click("#stage-colour");
            app.click("#slot-ground");
            app.until("it has none", () -> app.present("#mix-paint"));
            app.click("#mix-paint");
            app.until("the paints", () -> app.present("#paint-brick") && app.present("#ground-none"));
            app.click("#slot-belly");
            assertThat(app.present("#ground-none")).as("only the ground can be left bare").isFalse();
            app.click("#colour-beside");
            assertThat(app.present("#slot-title")).as("neighbours are no matter of one slot").isFalse();
            app.until("how neighbours stand beside each other",
                    () -> app.present("#beside-sum") && app.text("#beside-sum").matches("Every colour stands out.*|.*would vanish.*"));
            app.click("#colour-palettes");
            app.until("palettes", () -> app.present("#palette-dusk"));
            app.click("#palette-dusk");
            app.until("the palette", () -> !app.plan().project().colours().get("belly").equals(before));
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("one undo for all slots", () -> app.plan().project().colours().get("belly").equals(before));
        }
    }

    @Test
    void aPaintIsCalibratedTestedAndTheShelfIsReadFromATable() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.keys(KeyCode.S);
            app.click("#shelf-yellow");
            assertThat(app.text("#paint-title")).isEqualTo("straw yellow");
            assertThat(app.present("#paint-stripe")).as("what it is comes first").isFalse();
            app.click("#shelf-page-film");
            app.click("#paint-stripe");
            app.until("the hiding", () -> !app.text("#paint-hides").contains("± " + Math.round(100 * Opacity.SPREAD)));
            app.click("#paint-wet-dry");
            app.click("#shelf-page-sealers");
            app.click("#test-smears-varnish");
            app.click("#shelf-page-paint");
            app.type("#paint-left", "-4");
            assertThat(app.text("#paint-left-problem")).contains("-4");
            app.type("#paint-left", "21");
            app.type("#paint-name", "chalk white");
            assertThat(app.text("#paint-name-problem")).contains("Another paint");
            app.keys(KeyCode.ESCAPE);

            Path table = folder.resolve("mine.csv");
            Files.writeString(table,
                    "name,kind,colour,left\nfog blue,brush paint,#8fa3b5,30 ml\nstraw yellow,brush paint,#f0c62e,12\nbroken,brush "
                            + "paint,blue,3\n");
            app.type("#shelf-search", table.toString());
            app.until("what the table holds", () -> app.present("#brought"));
            assertThat(app.robot.lookup("#brought .problem").queryAllAs(Label.class))
                    .anyMatch(l -> l.getText().contains("Row 4") && l.getText().contains("no colour"));
            app.click("#brought-take");
            app.until("the new paint", () -> app.present("#shelf-fog-blue"));
        }
        Studio studio = saved();
        Paint kept = studio.shelf().find("yellow").orElseThrow();
        assertThat(kept.left().value()).as("from the table").isEqualTo(12);
        assertThat(studio.shelf().paints().stream().filter(p -> p.name().equals("straw yellow")).toList()).as("replaced, not doubled")
                .hasSize(1);
        assertThat(studio.tests()).contains(new SmearTest("yellow", "varnish", SmearTest.Outcome.SMEARS, ""));
    }

    @Test
    void whatWasReadIsWhatIsInThePot() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.command("look at the shelf");
            app.click("#shelf-sand");
            app.click("#shelf-page-film");
            app.click("#paint-stripe");
            app.until("the reading", () -> !app.text("#paint-hides").contains("± " + Math.round(100 * Opacity.SPREAD)));
            app.click("#paint-wet-dry");
        }
        Paint label = LanternWalk.shelf().find("sand").orElseThrow();
        Paint read = saved().shelf().find("sand").orElseThrow();
        SimulatedDrawdown pot = new SimulatedDrawdown(label, 1);
        assertThat(Math.abs(read.hiding() - pot.hiding())).as("within twice its uncertainty").isLessThan(2 * read.hidingSpread() + 0.01);
        assertThat(read.hidingSpread()).isLessThan(Opacity.SPREAD);
        assertThat(read.dryingShift()).isCloseTo(pot.dryingShift(), within(0.8));
    }

    @Test
    void aBlendIsLaidTunedAndTakenBack() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#stage-colour");
            app.click("#slot-wings");
            app.click("#colour-blend");
            app.click("#blend-kind");
            app.click("#blend-gradient");
            app.until("the gradient", () -> app.plan().project().blends().containsKey("wings"));
            assertThat(app.plan().project().blends().get("wings").more()).as("a second colour is proposed").hasSize(1);
            app.settled();
            assertThat(app.plan().steps()).anyMatch(o -> o.wet().isPresent());
            app.click("#blend-angle");
            app.keys(KeyCode.RIGHT);
            app.until("turned", () -> app.plan().project().blends().get("wings").angle() != 180);
            Slider join = (Slider) app.scene().lookup("#blend-join");
            double before = app.plan().project().blends().get("wings").join();
            app.robot.interact(() -> {
                join.setValueChanging(true);
                join.setValue(before + 0.2);
            });
            app.until("it is seen while it is slid", () -> app.plan().project().blends().get("wings").join() > before + 0.15);
            app.robot.interact(() -> join.setValueChanging(false));
            app.click("#join-glazes");
            app.until("glazes", () -> app.plan().steps().stream().noneMatch(o -> o.wet().isPresent()));
            app.click("#blend-kind");
            app.click("#blend-flat");
            app.until("flat again", () -> app.plan().project().blends().isEmpty());
        }
    }

    @Test
    void layersAreLaidOverAWayOfLayingColourTunedAndTakenAway() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#stage-colour");
            app.click("#slot-wings");
            app.click("#colour-blend");
            app.click("#blend-over");
            app.until("streaks over an even colour", () -> layers(app, "wings").equals(List.of(BlendKind.DRY_BRUSH)));
            app.click("#blend-over");
            app.until("and strokes over them", () -> layers(app, "wings").equals(List.of(BlendKind.DRY_BRUSH, BlendKind.STROKES)));
            app.click("#blend-kind");
            assertThat(app.present("#blend-gradient")).as("a gradient hides what lies below").isFalse();
            app.click("#blend-foam");
            app.until("foam in the place of the strokes", () -> layers(app, "wings").equals(List.of(BlendKind.DRY_BRUSH, BlendKind.FOAM)));
            app.click("#blend-layer-0");
            app.click("#blend-kind");
            app.click("#blend-gradient");
            app.until("the first way is changed and its layers stay", () -> app.plan().project().blends().get("wings")
                    .kind() == BlendKind.GRADIENT && layers(app, "wings").equals(List.of(BlendKind.DRY_BRUSH, BlendKind.FOAM)));
            app.settled();
            assertThat(app.plan().steps().stream().map(StepWords::title)).anyMatch(t -> t.startsWith("Lay streaks over"))
                    .anyMatch(t -> t.startsWith("Lay foam on"));
            app.click("#blend-layer-away-1");
            app.until("without the streaks", () -> layers(app, "wings").equals(List.of(BlendKind.FOAM)));
            app.robot.interact(() -> app.find("#cloth").requestFocus());
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("and back", () -> layers(app, "wings").equals(List.of(BlendKind.DRY_BRUSH, BlendKind.FOAM)));
        }
    }

    private static List<BlendKind> layers(Driver app, String slot) {
        return app.plan().project().blends().getOrDefault(slot, Blend.flat()).over().stream().map(Blend::kind).toList();
    }

    @Test
    void twoHabitsAreComparedAndTheBetterIsTaken() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#stage-build-up");
            app.keys(KeyCode.C);
            app.until("the table", () -> app.present("#compare-left-0"));
            app.click("#compare-dryer");
            app.until("both sides", () -> app.text("#compare-take").contains("dryer"));
            assertThat(app.text("#compare-left-3")).as("hand time is the same").isEqualTo(app.text("#compare-right-3"));
            assertThat(app.text("#compare-left-4")).as("waiting is not").isNotEqualTo(app.text("#compare-right-4"));
            assertThat(app.robot.lookup(".apart").queryAll()).as("the stone looks the same").isEmpty();
            app.click("#compare-line-colour");
            app.until("line colours", () -> app.present("#against-line-white"));
            app.click("#against-line-white");
            app.until("another line", () -> app.text("#compare-take").contains("line") && !app.robot.lookup(".apart").queryAll().isEmpty());
            assertThat(app.robot.lookup(".apart").queryAll().size() % 2).as("the same places on both").isZero();
            app.click("#compare-dryer");
            app.until("both sides again", () -> app.text("#compare-take").contains("dryer"));
            app.click("#compare-take");
            app.until("the habit", () -> app.plan().project().habits().dryer());
            app.keys(KeyCode.ESCAPE);
            app.click("#build-habits");
            assertThat(app.present("#style-double")).as("one matter at a time").isFalse();
            app.click("#habits-lines");
            assertThat(app.present("#primer-whole")).isFalse();
            app.click("#style-double");
            app.until("a second line", () -> app.plan().steps().stream().anyMatch(o -> StepWords.title(o).contains("a second line")));
            app.click("#hand-left");
            app.until("the left hand", () -> app.plan().project().habits().hand() == Habits.Hand.LEFT);
        }
    }

    @Test
    void theOrderIsChangedByHandAndWhatItBreaksIsSaidAtOnce() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#stage-build-up");
            app.settled();
            int outline = first(app, Step.Kind.OUTLINE);
            int fills = (int) app.plan().steps().stream().filter(o -> o.kind() == Step.Kind.FILL).count();
            String key = app.plan().steps().get(outline).key();
            app.click("#build-list");
            app.click("#steps");
            for (int i = 0; i < fills + 6; i++) {
                select(app, index(app, key));
                app.keys(KeyCode.ALT, KeyCode.UP);
                app.settled();
            }
            app.until("said", () -> app.plan().findings().stream().anyMatch(f -> f.code() == Code.ORDER_BROKEN));
            assertThat(index(app, key)).isLessThan(outline);
            app.click("#order-back");
            app.until("the planner's order", () -> app.plan().project().order().isEmpty()
                    && app.plan().findings().stream().noneMatch(f -> f.code() == Code.ORDER_BROKEN));
        }
    }

    private static boolean isHigherThanItsLines(Label label) {
        Text words = new Text(label.getText());
        words.setFont(label.getFont());
        words.setWrappingWidth(label.getWidth());
        return Math.abs(label.getHeight() - words.getLayoutBounds().getHeight()) > 2;
    }

    private static int first(Driver app, Step.Kind kind) {
        List<Step> operations = app.plan().steps();
        return operations.indexOf(operations.stream().filter(o -> o.kind() == kind).findFirst().orElseThrow());
    }

    private static int index(Driver app, String key) {
        return app.plan().steps().stream().map(Step::key).toList().indexOf(key);
    }

    private static void select(Driver app, int step) {
        ListView<?> steps = app.find("#steps");
        app.robot.interact(() -> {
            steps.getSelectionModel().select(step);
            steps.requestFocus();
        });
    }

    @Test
    void aSlipIsPointedAtAndPutRight() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#stage-build-up");
            app.click("#build-mend");
            assertThat(app.text("#mend-place")).contains("Nothing pointed at");
            Node cloth = app.find("#cloth");
            Point2D middle = cloth.localToScreen(cloth.getBoundsInLocal().getWidth() / 2, cloth.getBoundsInLocal().getHeight() / 2 + 60);
            app.robot.clickOn(middle);
            app.until("a place", () -> app.text("#mend-place").startsWith("At "));
            app.click("#slipped-pen-black");
            app.until("steps", () -> app.robot.lookup("#mend-steps .label").queryAll().size() > 4);
            String withMouse = app.text("#mend-place");
            app.robot.interact(cloth::requestFocus);
            app.keys(KeyCode.ENTER);
            for (int i = 0; i < 3; i++) {
                app.keys(KeyCode.SHIFT, KeyCode.DOWN);
            }
            app.until("another place, by keys alone",
                    () -> app.text("#mend-place").startsWith("At ") && !app.text("#mend-place").equals(withMouse));
            app.click("#mishap-smudge");
            assertThat(app.present("#mend-colours")).isFalse();
        }
    }

    @Test
    void thePaintingIsPlayedCoatByCoatAndTwoMomentsAreHeldSideBySide() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.click("#stage-build-up");
            app.until("the picture", () -> app.show().pictureProperty().get() != null);
            int steps = app.plan().steps().size();
            app.keys(KeyCode.Y);
            app.until("it has begun again", () -> app.text("#step-words").matches("[1-9] of " + steps + ".*"));
            app.keys(KeyCode.Y);
            int several = IntStream.range(1, steps).filter(i -> app.plan().steps().get(i).coats() > 1).findFirst().orElseThrow();
            app.click("#daub-" + several);
            app.until("just before a pass of several coats", () -> app.text("#step-words").startsWith(several + " of "));
            app.keys(KeyCode.Y);
            app.until("a first coat by itself", () -> app.text("#step-words").contains("coat 1:"));
            app.keys(KeyCode.Y);
            String stopped = app.text("#step-words");
            app.keys(KeyCode.H);
            assertThat(app.text("#hold")).startsWith("held: ");
            app.keys(KeyCode.PERIOD);
            assertThat(app.text("#step-words")).isNotEqualTo(stopped);
            app.keys(KeyCode.H);
            assertThat(app.text("#hold")).isEqualTo("hold");
            int fill = first(app, Step.Kind.FILL) + 1;
            app.click("#daub-" + fill);
            app.until("that moment", () -> app.text("#step-words").startsWith(fill + " of "));
            app.settled();
            double all = brightness(app);
            app.keys(KeyCode.I);
            app.until("all but the place in hand is dimmed", () -> brightness(app) < 0.97 * all);
            app.keys(KeyCode.I);
            app.until("and lit again", () -> Math.abs(brightness(app) - all) < 0.005);
        }
    }

    /** Mean brightness of all that the cloth shows, 0 to 1. */
    private static double brightness(Driver app) throws Exception {
        WritableImage shown = WaitForAsyncUtils.asyncFx(() -> app.find("#cloth").snapshot(null, null)).get();
        double sum = 0;
        int count = 0;
        for (int y = 0; y < shown.getHeight(); y += 4) {
            for (int x = 0; x < shown.getWidth(); x += 4) {
                sum += shown.getPixelReader().getColor(x, y).getBrightness();
                count++;
            }
        }
        return sum / count;
    }

    @Test
    void theStringOfDaubsShowsEveryPassAndWaitAndTakesOneInHand() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl", "snail", "window")) {
            app.settled();
            assertThat(app.present("#daubs")).as("on the stone's own stage there is none").isFalse();
            app.click("#stage-build-up");
            app.until("the string", () -> app.present("#daubs") && !app.robot.lookup(".daub").queryAll().isEmpty());
            List<Step> steps = app.plan().steps();
            List<Node> daubs = new ArrayList<>(app.robot.lookup(".daub").queryAll());
            assertThat(daubs).hasSameSizeAs(steps);
            long waits = IntStream.range(1, steps.size())
                    .filter(i -> app.plan().sitting().steps().get(i).waited().toMinutes() >= 8).count();
            assertThat(app.robot.lookup(".thread").queryAll()).as("a length of thread for a wait").hasSize((int) waits);
            Bounds string = app.find("#daubs").localToScreen(app.find("#daubs").getBoundsInLocal());
            assertThat(daubs).as("all of it is seen").allSatisfy(
                    d -> assertThat(string.contains(d.localToScreen(d.getBoundsInLocal()))).as(d.getId()).isTrue());
            int second = IntStream.range(0, steps.size())
                    .filter(i -> steps.get(i) instanceof Step.Lay lay && lay.doing().count().number() == 2).findFirst().orElseThrow() + 1;
            app.click("#daub-" + second);
            app.until("that moment", () -> app.text("#step-words").startsWith(second + " of "));
            assertThat(app.find("#daub-" + second).getStyleClass()).contains("in-hand");
            assertThat(app.text("#step-facts")).as("a line may end between facts, not before a unit").contains("\u00a0min")
                    .doesNotContainPattern("\\d \\p{L}");
            assertThat(app.find("#daub-" + steps.size()).getOpacity()).as("what is still to come is pale").isLessThan(0.5);
            assertThat(app.<Node>find("#daub-" + second).lookupAll("*").stream().filter(n -> n instanceof Circle))
                    .as("a ring for the second coat").hasSize(2);
            assertThat(Hint.of(app.find("#daub-" + second))).contains("Second coat");
            app.keys(KeyCode.PERIOD);
            app.until("the next", () -> app.find("#daub-" + (second + 1)).getStyleClass().contains("in-hand"));
            app.click("#tray-snail");
            app.until("the snail's own string",
                    () -> app.robot.lookup(".daub").queryAll().size() == (app.plan() == null ? -1 : app.plan().steps().size()));
            theCardLeadsOnAndKeepsTheOrder(app);
            aDaubIsDragged(app);
            theStringOfManyIsSeenWhole(app);
        }
    }

    private static void theCardLeadsOnAndKeepsTheOrder(Driver app) {
        List<Step> steps = app.plan().steps();
        int lay = IntStream.range(0, steps.size()).filter(i -> StepWords.title(steps.get(i)).startsWith("Fill")).findFirst().orElseThrow();
        app.click("#daub-" + (lay + 1));
        assertThat(app.text("#step-sentence")).isNotBlank();
        assertThat(app.present("#step-care")).as("brush paint hurts nobody").isFalse();
        app.click("#daub-" + steps.size());
        app.until("sealing", () -> app.present("#step-care"));
        assertThat(app.text("#step-care")).contains("window open");
        app.click("#daub-" + (lay + 1));
        assertThat(app.present("#puddle")).as("the mix as a puddle").isTrue();
        assertThat(app.present("#step-behind")).as("the reason is folded").isFalse();
        app.click("#step-why");
        assertThat(app.text("#step-reason")).isNotBlank();
        assertThat(app.text("#step-figures")).contains("CIEDE2000");
        List<String> keys = app.plan().steps().stream().map(Step::key).toList();
        app.click("#step-done");
        app.until("the order is kept", () -> !app.plan().project().order().isEmpty());
        assertThat(app.plan().steps()).extracting(Step::key).as("nothing moved").isEqualTo(keys);
        assertThat(app.text("#step-words")).startsWith(lay + 2 + " of");
        app.click("#next-2");
        assertThat(app.text("#step-words")).startsWith(lay + 4 + " of");
        app.keys(KeyCode.CONTROL, KeyCode.Z);
        app.until("the planner's order", () -> app.plan().project().order().isEmpty());
        app.click("#slice-edge");
        app.until("the slice lies open", () -> app.present("#slice"));
        app.click("#slice-edge");
        app.until("and is shut", () -> !app.present("#slice"));
        app.click("#step-wrong");
        app.until("what mends it", () -> app.present("#mend-steps"));
        app.click("#build-steps");
    }

    private static void theStringOfManyIsSeenWhole(Driver app) {
        app.click("#tray-window");
        app.until("the string of both faces", () -> app.plan() != null && app.plan().project().id().equals("window")
                && app.robot.lookup(".daub").queryAll().size() == app.plan().steps().size());
        app.settled();
        Bounds string = app.find("#daubs").localToScreen(app.find("#daubs").getBoundsInLocal());
        List<Node> many = new ArrayList<>(app.robot.lookup(".daub").queryAll());
        assertThat(many).as("nearly forty of them are seen").hasSizeGreaterThan(35).allSatisfy(
                d -> assertThat(string.contains(d.localToScreen(d.getBoundsInLocal()))).as(d.getId()).isTrue());
    }

    private static void aDaubIsDragged(Driver app) {
        int from = first(app, Step.Kind.FILL);
        String key = app.plan().steps().get(from).key();
        Bounds there = app.find("#daub-" + (from + 4)).localToScreen(app.find("#daub-" + (from + 4)).getBoundsInLocal());
        app.robot.drag("#daub-" + (from + 1)).dropTo(there.getCenterX(), there.getCenterY());
        app.until("an order of one's own", () -> !app.plan().project().order().isEmpty());
        assertThat(index(app, key)).isGreaterThan(from);
        app.keys(KeyCode.CONTROL, KeyCode.Z);
        app.until("back", () -> app.plan().project().order().isEmpty() && index(app, key) == from);
    }

    @Test
    void anEmptyShelfIsAnsweredAndAPaintCanBeAdded() throws Exception {
        Studio bare = LanternWalk.newcomer();
        Studio empty = bare.withShelf(new Shelf(List.of())).plus(Project.begin("p", "Plain", Stone.cobble()));
        StudioStore.open(folder.resolve("s.pebble"), () -> empty).close();
        try (Driver app = new Driver(folder.resolve("s.pebble"), false)) {
            app.settled();
            app.keys(KeyCode.S);
            assertThat(app.text("#shelf-none")).contains("The shelf is empty");
            app.click("#paint-add");
            app.until("a paint", () -> app.present("#paint-title"));
            app.type("#paint-colour", "#3f6a44");
            app.click("#opacity-opaque");
            app.until("it hides", () -> app.text("#paint-hides").contains("96"));
            app.keys(KeyCode.ESCAPE);
        }
        assertThat(saved().shelf().paints()).hasSize(1).allMatch(p -> p.swatch().equals(Srgb.ofHex("#3f6a44")));
    }
}
