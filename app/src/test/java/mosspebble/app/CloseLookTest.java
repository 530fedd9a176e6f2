package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.SnapshotParameters;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.image.ImageView;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;
import mosspebble.app.model.Results;
import mosspebble.app.model.SeenBy;
import mosspebble.core.area.Grid;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.util.WaitForAsyncUtils;

/** The stone looked at closely on its cloth: by keys, wheel and hand. */
class CloseLookTest {

    @TempDir
    private Path folder;

    private static Grid shown(Driver app) {
        return app.show().pictureProperty().get().terrain().grid();
    }

    /** Waits for the picture with full care of what is seen now. */
    private static Results.Lit lit(Driver app) {
        app.until("full care", () -> app.show().idle() && app.show().litProperty().get() != null
                && app.show().litProperty().get().moment().of() == app.show().pictureProperty().get());
        return app.show().litProperty().get();
    }

    private static void wheel(Driver app, Node cloth, double x, double y, double by) {
        Point2D at = cloth.localToScreen(x, y);
        app.robot.interact(() -> cloth.fireEvent(new ScrollEvent(ScrollEvent.SCROLL, x, y, at.getX(), at.getY(), false, true, false, false,
                true, false, 0, by, 0, by, ScrollEvent.HorizontalTextScrollUnits.NONE, 0, ScrollEvent.VerticalTextScrollUnits.NONE, 0, 0,
                null)));
    }

    @Test
    void aStoneIsLookedAtCloselyMovedUnderTheHandAndSeenWholeAgain() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.click("#stage-sketch");
            Results.Lit whole = lit(app);
            assertThat(app.show().closeProperty().get()).isNull();
            double cell = shown(app).cellMm();
            assertThat(app.show().draftProperty().get().terrain().grid().cellMm()).as("the draft has half the pixels")
                    .isCloseTo(2 * cell, within(1e-9));

            app.keys(KeyCode.Z);
            app.keys(KeyCode.Z);
            lit(app);
            assertThat(shown(app).cellMm()).as("drawn anew at the pixels of the screen").isCloseTo(cell / 2.25, within(1e-9));
            Node cloth = app.find("#cloth");
            Bounds bounds = cloth.getBoundsInLocal();
            assertThat(shown(app).columns() * shown(app).cellMm()).as("no more than is seen, and what it depends on")
                    .isLessThan(bounds.getWidth() * cell / 2.25 + 8);
            assertThat(lit(app).pixels()).isNotEqualTo(whole.pixels());

            for (int i = 0; i < 20; i++) {
                wheel(app, cloth, 200, 150, 40);
            }
            lit(app);
            assertThat(shown(app).cellMm()).as("eight times and no more").isCloseTo(cell / 8, within(1e-9));
            assertThat((long) shown(app).columns() * shown(app).rows()).isLessThan(Grid.MOST_CELLS);

            double left = shown(app).left();
            Point2D middle = cloth.localToScreen(bounds.getCenterX(), bounds.getCenterY());
            app.robot.moveTo(middle);
            Node still = cloth.lookup("#cloth-stone").getParent();
            assertThat(still.isCache()).as("what lies still is kept as one picture").isTrue();
            assertThat(cloth.getLayoutBounds().contains(still.getBoundsInParent())).as("no larger than the cloth, though the stone is")
                    .isTrue();
            assertThat(cloth.lookup("#cloth-linen").isVisible()).as("nothing of the linen is in sight").isFalse();
            assertThat(((Text) cloth.lookup("#cloth-shown")).getText()).as("how large it is shown, over the stone").startsWith("shown at");
            assertThat(((Parent) still).getChildrenUnmodifiable()).as("the hem lies over the stone").last()
                    .isSameAs(cloth.lookup("#cloth-shown").getParent());
            SnapshotParameters clear = new SnapshotParameters();
            clear.setFill(Color.TRANSPARENT);
            WritableImage beside = WaitForAsyncUtils.asyncFx(() -> cloth.lookup("#hem-beside").snapshot(clear, null)).get();
            assertThat(beside.getHeight()).isEqualTo(bounds.getHeight(), within(1.0));
            assertThat(beside.getPixelReader().getColor(8, (int) bounds.getHeight() - 9).getOpacity()).as("woven").isEqualTo(1);
            Grid before = app.show().closeProperty().get();
            app.robot.press(MouseButton.MIDDLE);
            assertThat(still.isCache()).isFalse();
            List<Grid> asked = new ArrayList<>();
            app.robot.interact(() -> { // all at once, as a hand that does not rest
                for (int k = 1; k <= 12; k++) {
                    cloth.fireEvent(held(cloth, middle.add(-10 * k, 0)));
                    ((Parent) cloth).layout();
                    asked.add(app.show().closeProperty().get());
                }
            });
            assertThat(asked).as("nothing new is drawn under a moving hand").hasSize(12).containsOnly(before);
            app.robot.release(MouseButton.MIDDLE);
            lit(app);
            assertThat(still.isCache()).isTrue();
            assertThat(shown(app).left() - left).as("what was held came along with the hand").isCloseTo(120 / app.scale(),
                    within(3 / app.scale()));
            assertThat(app.plan().project().sketch()).as("nothing of the design was moved")
                    .isEqualTo(app.show().plan().project().sketch());

            app.keys(KeyCode.W);
            lit(app);
            assertThat(app.show().closeProperty().get()).isNull();
            assertThat(cloth.lookup("#cloth-linen").isVisible()).isTrue();
            assertThat(shown(app)).isEqualTo(whole.moment().of().terrain().grid());
            assertThat(lit(app).pixels()).as("the same stone again").isEqualTo(whole.pixels());
        }
    }

    /** Takes hold of the middle of the cloth and moves it in steps that are no whole pixels; looks after each. */
    private static void movedAbout(Driver app, int steps, Runnable look) {
        Node cloth = app.find("#cloth");
        Bounds bounds = cloth.getBoundsInLocal();
        Point2D middle = cloth.localToScreen(bounds.getCenterX(), bounds.getCenterY());
        app.robot.moveTo(middle);
        app.robot.press(MouseButton.MIDDLE);
        app.robot.interact(() -> {
            for (int k = 1; k <= steps; k++) {
                cloth.fireEvent(held(cloth, middle.add(-3.37 * k, 2.21 * k)));
                look.run();
            }
        });
        app.robot.release(MouseButton.MIDDLE);
    }

    @Test
    void picturesLieOnWholePixelsWhereverTheClothIsMoved() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.click("#stage-sketch");
            Node cloth = app.find("#cloth");
            ImageView draft = (ImageView) cloth.lookup("#cloth-draft");
            List<Double> middles = new ArrayList<>();
            Runnable note = () -> {
                ((Parent) cloth).layout();
                middles.add(draft.getLayoutX() + draft.getFitWidth() / 2); // an even number of cells to both sides of the stone's middle
                middles.add(draft.getLayoutY() + draft.getFitHeight() / 2);
            };
            lit(app);
            app.robot.interact(() -> {
                Bounds wide = cloth.getLayoutBounds();
                for (int k = 0; k < 4; k++) { // an odd number of pixels has no middle one
                    cloth.resize(wide.getWidth() - k, wide.getHeight() - k);
                    note.run();
                }
                cloth.resize(wide.getWidth(), wide.getHeight());
                ((Parent) cloth).layout();
            });
            app.keys(KeyCode.Z);
            app.keys(KeyCode.Z);
            lit(app);
            movedAbout(app, 6, note);
            assertThat(middles).hasSizeGreaterThan(18).allSatisfy(at -> assertThat(at).isCloseTo(Math.rint(at), within(1e-6)));
            assertThat(middles.stream().distinct().count()).as("it was moved").isGreaterThan(8);
        }
    }

    @Test
    void aSharpPictureHasNotACrumbOfAPixelBesideThoseOfTheScreen() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.click("#stage-sketch");
            Region cloth = (Region) app.find("#cloth");
            app.robot.interact(() -> cloth.setMaxSize(280, 210)); // so few pixels that tests draw all of them
            app.keys(KeyCode.Z);
            app.keys(KeyCode.Z);
            lit(app);
            app.until("sharp", () -> Math.abs(lit(app).moment().of().terrain().grid().cellMm() * app.scale() - 1) < 1e-9);
            ImageView sharp = (ImageView) cloth.lookup("#cloth-stone");
            List<Double> edges = new ArrayList<>();
            movedAbout(app, 12, () -> {
                cloth.layout();
                edges.add(sharp.getLayoutX());
                edges.add(sharp.getLayoutY());
            });
            assertThat(edges).as("or all of it is filtered in every frame").hasSize(24)
                    .allSatisfy(at -> assertThat(at).isEqualTo(Math.rint(at)));
            assertThat(edges.stream().distinct().count()).as("it was moved").isGreaterThan(15);
        }
    }

    @Test
    void whatComesMuchNearerIsDrawnRoughlyFirstAndASmallStepIsStretched() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.click("#stage-sketch");
            double cell = lit(app).moment().of().terrain().grid().cellMm();
            List<Grid> rough = new ArrayList<>();
            List<Grid> before = new ArrayList<>();
            List<Double> lies = new ArrayList<>();
            Node cloth = app.find("#cloth");
            ImageView stone = (ImageView) cloth.lookup("#cloth-stone");
            app.robot.interact(() -> app.show().draftOfPartProperty().addListener((o, a, b) -> {
                if (b != null) {
                    rough.add(b.terrain().grid());
                    before.add(app.show().pictureProperty().get().terrain().grid());
                    lies.add(stone.isVisible() ? stone.getImage().getWidth() : 0);
                }
            }));
            app.keys(KeyCode.Z);
            lit(app);
            assertThat(rough).as("one and a half times as near").isEmpty();
            app.robot.interact(() -> { // all at once, as a wheel that is spun
                for (int i = 0; i < 20; i++) {
                    wheel(app, cloth, 200, 150, 40);
                }
                ((Parent) cloth).layout();
            });
            Grid sharp = lit(app).moment().of().terrain().grid();
            assertThat(sharp.cellMm()).isCloseTo(cell / 8, within(1e-9));
            assertThat(rough).hasSize(1);
            assertThat(rough.get(0).cellMm()).as("at half its pixels").isCloseTo(2 * sharp.cellMm(), within(1e-9));
            assertThat(rough.get(0).left()).isCloseTo(sharp.left(), within(1e-9));
            assertThat(lies).as("it lies on the cloth").containsExactly((double) rough.get(0).columns());
            assertThat(before.get(0).cellMm()).as("before what is sharp").isGreaterThan(4 * sharp.cellMm());
            assertThat(stone.getImage().getWidth()).as("then all of it").isEqualTo(sharp.columns());
            assertThat(app.show().draftOfPartProperty().get()).as("let go of").isNull();
        }
    }

    /** The hand moves with the middle button held. */
    private static MouseEvent held(Node cloth, Point2D at) {
        Point2D on = cloth.localToScene(cloth.screenToLocal(at)); // as for every event that is sent on, within the window
        return new MouseEvent(MouseEvent.MOUSE_DRAGGED, on.getX(), on.getY(), at.getX(), at.getY(), MouseButton.MIDDLE, 1, false, false,
                false, false, false, true, false, false, false, false, null);
    }

    @Test
    void aHandThatRestsSeesWhatItHasMovedSharplyThoughItStillHolds() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.click("#stage-sketch");
            app.keys(KeyCode.Z);
            app.keys(KeyCode.Z);
            lit(app);
            Node cloth = app.find("#cloth");
            Point2D middle = cloth.localToScreen(cloth.getBoundsInLocal().getCenterX(), cloth.getBoundsInLocal().getCenterY());
            Grid before = app.show().closeProperty().get();
            app.robot.moveTo(middle);
            app.robot.press(MouseButton.MIDDLE);
            app.robot.interact(() -> cloth.fireEvent(held(cloth, middle.add(-90, 40))));
            app.until("drawn anew while held", () -> !before.equals(app.show().closeProperty().get()));
            lit(app);
            app.robot.release(MouseButton.MIDDLE);
        }
    }

    @Test
    void theStoneIsSeenByALampByAnLedAndFlatToJudgeItsColours() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.click("#stage-sketch");
            int[] day = lit(app).pixels();
            app.keys(KeyCode.T);
            app.until("the lamp", () -> app.show().litProperty().get().moment().by() == SeenBy.WARM_LAMP);
            int[] lamp = lit(app).pixels();
            assertThat(meanBlue(lamp)).as("by a lamp all is a little warmer").isLessThan(meanBlue(day));
            app.keys(KeyCode.T);
            app.keys(KeyCode.T);
            app.until("flat", () -> app.show().litProperty().get().moment().by() == SeenBy.FLAT);
            Results.Lit flat = lit(app);
            Grid grid = shown(app);
            int steps = flat.moment().steps();
            int same = 0;
            for (int k = 1; k < 20; k++) {
                int c = grid.columns() * k / 20;
                int pixel = flat.pixels()[grid.rows() / 2 * grid.columns() + c];
                int model = app.show().pictureProperty().get().colourAt(steps, c, grid.rows() / 2);
                same += pixel >>> 24 == 255 && Math.abs((pixel >> 8 & 255) - (model >> 8 & 255)) <= 1 ? 1 : 0;
            }
            assertThat(same).as("what is painted shows the colour of the model").isGreaterThan(3);
            app.keys(KeyCode.T);
            app.until("day", () -> app.show().litProperty().get().moment().by() == SeenBy.DAY);
            assertThat(lit(app).pixels()).isEqualTo(day);
        }
    }

    private static double meanBlue(int[] pixels) {
        return java.util.Arrays.stream(pixels).filter(p -> p >>> 24 == 255).mapToDouble(p -> p & 255).average().orElseThrow();
    }

    @Test
    void whileStepsRunADraftIsShownAndFullCareFollows() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.click("#stage-build-up");
            lit(app);
            for (int i = 0; i < 6; i++) {
                app.keys(KeyCode.COMMA);
            }
            app.until("full care of the step shown", () -> app.show().litProperty().get().moment().steps() == app.show().steps());
            lit(app);
            ImageView stone = app.robot.lookup(n -> n instanceof ImageView view && view.getImage() != null
                    && view.getImage().getWidth() == shown(app).columns()).query();
            assertThat(stone.isVisible()).as("what lies on the cloth has full care").isTrue();
        }
    }
}
