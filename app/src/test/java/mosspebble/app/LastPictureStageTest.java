package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.image.ImageView;
import javafx.stage.Stage;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.cloth.ClothView;
import mosspebble.app.cloth.SliceLine;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.area.Grid;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import mosspebble.files.LastPicture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** The next window begins with the picture of the last. */
class LastPictureStageTest {

    @TempDir
    Path folder;

    @Test
    void whatWasLookedAtLastIsKeptWhenTheWindowIsClosed() throws Exception {
        Path file = folder.resolve("s.pebble");
        Results.Bare bare;
        try (Driver app = new Driver(file, "snail", "owl")) {
            app.settled();
            app.until("drawn with full care", () -> app.show().first().isPresent() && app.show().idle());
            bare = app.show().first().orElseThrow();
            app.click("#tray-snail");
            app.until("another stone", () -> app.plan() != null && app.plan().project().id().equals("snail") && app.show().idle());
            assertThat(app.show().first()).as("a window begins with the first").contains(bare);
        }
        LastPicture kept = LastPicture.read(file, bare.of(), Version.TEXT).orElseThrow();
        assertThat(bare.of().id()).isEqualTo("owl");
        assertThat(kept.grid()).isEqualTo(bare.grid());
        assertThat(kept.pixels()).isEqualTo(bare.pixels());
        try (Driver again = new Driver(file, "snail", "owl")) {
            again.settled();
            assertThat(again.<ImageView>find("#cloth-stone").isVisible()).as("worked out anew").isTrue();
            assertThat(again.<ImageView>find("#cloth-draft").getOpacity()).as("nothing is veiled").isEqualTo(1);
        }
    }

    /** A hand that does nothing. */
    private static Object idle(Object tool, Method method, Object[] arguments) throws Throwable {
        if (method.isDefault()) {
            return InvocationHandler.invokeDefault(tool, method, arguments);
        }
        return method.getReturnType() == int.class ? (Object) 1 : method.getReturnType() == boolean.class ? tool == arguments[0] : null;
    }

    /** Before anything is worked out the picture is there, veiled; of another stone nothing is shown. */
    @Test
    void itLiesOnTheClothVeiledUntilTheStoneIsWorkedOut() throws Exception {
        Studio studio = LanternWalk.studio(BuiltIn.repertoire());
        FxRobot robot = new FxRobot();
        Stage stage = FxToolkit.registerPrimaryStage();
        AtomicReference<Results> results = new AtomicReference<>();
        Workbench workbench = new Workbench(studio, (s, title) -> {});
        PlanWorker desk = new PlanWorker(BuiltIn::repertoire, Platform::runLater, error -> {});
        Map<Finding.Stage, ClothTool> tools = new EnumMap<>(Finding.Stage.class);
        ClothTool idle = (ClothTool) Proxy.newProxyInstance(getClass().getClassLoader(), new Class<?>[] {ClothTool.class},
                LastPictureStageTest::idle);
        for (Finding.Stage each : Finding.Stage.values()) {
            tools.put(each, idle);
        }
        try {
            robot.interact(() -> {
                results.set(new Results(workbench, desk));
                stage.setScene(new Scene(new ClothView(workbench, results.get(), new SliceLine(), tools), 900, 700));
                stage.show();
            });
            ImageView draft = robot.lookup("#cloth-draft").query();
            assertThat(draft.isVisible() && draft.getImage() != null).as("nothing is known yet").isFalse();
            Grid grid = new Grid(-30, -40, 0.5, 120, 160);
            int[] red = new int[grid.cells()];
            Arrays.fill(red, 0xFFB04020);
            robot.interact(() -> workbench.stepProperty().set(0));
            robot.interact(() -> results.get().showBefore(new Results.Bare(studio.project("fox").orElseThrow(), grid, red)));
            assertThat(draft.isVisible()).as("another stone lies on the cloth").isFalse();
            Project shown = workbench.shown().orElseThrow();
            robot.interact(() -> results.get().showBefore(new Results.Bare(shown, grid, red)));
            assertThat(draft.isVisible()).isTrue();
            assertThat(draft.getOpacity()).as("veiled: it is not of now").isLessThan(0.8);
            assertThat(draft.getImage().getPixelReader().getArgb(60, 80)).isEqualTo(0xFFB04020);
            assertThat(draft.getFitWidth() / draft.getFitHeight()).as("as large as it lies on the stone").isEqualTo(120.0 / 160);
            robot.interact(desk::begin);
            WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> results.get().litProperty().get() != null);
            robot.interact(() -> {});
            assertThat(draft.getOpacity()).isEqualTo(1);
            robot.interact(() -> results.get().showBefore(new Results.Bare(studio.project("fox").orElseThrow(), grid, red)));
            assertThat(results.get().beforeProperty().get().of()).as("too late: it is drawn").isEqualTo(shown);
        } finally {
            desk.close();
            robot.interact(stage::hide);
        }
    }
}
