package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.event.Event;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyCode;
import mosspebble.app.model.Workbench;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Item;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is taken from one stone to another, and more stones like one. */
class AgainStageTest {

    @TempDir
    private Path folder;

    private Driver open() throws Exception {
        Driver app = new Driver(folder.resolve("studio.pebble"), "lettering", "snail");
        app.settled();
        app.click("#tray-lettering");
        app.keys(KeyCode.DIGIT2);
        app.until("the sketch of the letters", () -> app.plan() != null && app.plan().project().id().equals("lettering")
                && app.present("#thing-trace"));
        app.settled();
        return app;
    }

    private static List<Item> items(Driver app) {
        return app.plan().project().sketch().map(s -> s.items()).orElse(List.of());
    }

    @Test
    void aThingIsTracedAndLaidOnAnotherStoneAndTheStepIsUndone() throws Exception {
        try (Driver app = open()) {
            assertThat(app.present("#tracing")).isFalse();
            app.keys(KeyCode.CONTROL, KeyCode.V);
            assertThat(app.text("#notice")).isEqualTo("Nothing is on the tracing paper yet. Trace something first.");
            app.click("#thing-0");
            app.keys(KeyCode.ESCAPE);
            app.keys(KeyCode.CONTROL, KeyCode.C);
            assertThat(app.text("#tracing-what")).isEqualTo("On tracing paper: one thing from Lantern Walk");
            app.click("#tray-snail");
            app.until("the snail", () -> app.plan() != null && app.plan().project().id().equals("snail"));
            List<Item> before = items(app);
            app.keys(KeyCode.CONTROL, KeyCode.V);
            app.until("one thing more", () -> app.plan() != null && items(app).size() == before.size() + 1);
            Item laid = items(app).get(before.size());
            assertThat(items(app).subList(0, before.size())).isEqualTo(before);
            assertThat(app.text("#notice")).matches("Traced from Lantern Walk, it lies here at 0\\.\\d+ of its size\\.");
            assertThat(app.plan().project().colours().keySet()).as("its colours come along")
                    .anyMatch(slot -> slot.startsWith(laid.id() + "/"));
            assertThat(app.text("#undo")).isEqualTo("Undo: lay the tracing on");
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("undone", () -> app.plan() != null && items(app).equals(before));
            app.click("#tracing-away");
            app.until("put away", () -> !app.present("#tracing"));
        }
    }

    @Test
    void aTracingIsKeptInTheLibraryAndLaidOnFromThere() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl", "snail")) {
            app.settled();
            app.click("#stage-sketch");
            app.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.C);
            app.until("the paper", () -> app.present("#tracing-keep"));
            app.type("#tracing-name", "Night owl");
            app.until("kept", () -> app.text("#notice").contains("Night owl"));
            app.click("#tray-snail");
            app.settled();
            int before = app.plan().project().sketch().orElseThrow().items().size();
            app.keys(KeyCode.A);
            app.until("the library", () -> app.present("#subject-own-tracing-1"));
            app.click("#subject-own-tracing-1");
            app.until("it lies on the snail's stone",
                    () -> app.plan() != null && app.plan().project().sketch().orElseThrow().items().size() > before);
        }
    }

    @Test
    void aTwinIsLaidInTheWayOfTheFirst() throws Exception {
        try (Driver app = open()) {
            Project before = app.plan().project();
            app.click("#thing-0");
            app.keys(KeyCode.ESCAPE);
            app.keys(KeyCode.D);
            app.until("the twin", () -> app.plan() != null && items(app).size() == 3);
            Project twinned = app.plan().project();
            String twin = items(app).get(2).id();
            Item first = before.sketch().orElseThrow().items().get(0);
            List<String> laid = before.blends().keySet().stream().filter(s -> first.owns(s) && !s.equals(Project.GROUND)).toList();
            assertThat(laid).as("the letters run from one colour to another").isNotEmpty();
            assertThat(laid).allSatisfy(slot -> assertThat(twinned.blends())
                    .containsEntry(twin + "/" + slot.substring(first.named("").length()), before.blends().get(slot)));
            assertThat(twinned.blends()).hasSize(before.blends().size() + laid.size());
        }
    }

    @Test
    void inAFieldCtrlCIsTheFields() throws Exception {
        try (Driver app = open()) {
            app.until("the words of the front one", () -> app.present("#words"));
            app.click("#words");
            app.keys(KeyCode.CONTROL, KeyCode.A);
            app.keys(KeyCode.CONTROL, KeyCode.C);
            assertThat(app.present("#tracing")).as("nothing was traced").isFalse();
            String[] copied = new String[1];
            app.robot.interact(() -> copied[0] = Clipboard.getSystemClipboard().getString());
            assertThat(copied[0]).as("the words were copied").isEqualTo(app.text("#words"));
        }
    }

    @Test
    void aWholeFaceIsLaidOnABareStoneAndOnMeasuredOnesItKeepsWithinTheFace() throws Exception {
        try (Driver app = open()) {
            List<Item> all = items(app);
            app.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.C);
            assertThat(app.text("#tracing-what")).isEqualTo("On tracing paper: 2 things from Lantern Walk");
            app.does("New stone");
            app.keys(KeyCode.DIGIT2);
            app.until("a bare one", () -> app.plan() != null && app.plan().project().name().startsWith("Stone "));
            assertThat(items(app)).isEmpty();
            app.click("#tracing-lay");
            app.until("both things", () -> items(app).size() == all.size());
            assertThat(app.plan().project().ground()).as("the ground comes along").isPresent();
            assertThat(app.plan().findings()).as("it lies within the face")
                    .noneMatch(f -> f.stage() == mosspebble.core.finding.Finding.Stage.SKETCH);
            double size = items(app).get(0).placement().scale() / all.get(0).placement().scale();
            assertThat(items(app).get(1).placement().scale() / all.get(1).placement().scale()).isEqualTo(size);
            assertThat(app.text("#notice")).startsWith("Traced from Lantern Walk, it lies here at " + Math.round(size * 100) / 100.0);
        }
    }

    private static List<String> names(Driver app) {
        return app.robot.lookup(".tray-name").queryAllAs(javafx.scene.control.Label.class).stream().map(l -> l.getText()).toList();
    }

    @Test
    void aSeriesAndAStoneToPractiseOnAreTakenFromTheTray() throws Exception {
        try (Driver app = open()) {
            // the offscreen window does not turn a right click into this, as a real one does
            app.robot.interact(() -> Event.fireEvent(app.find("#tray-snail"),
                    new ContextMenuEvent(ContextMenuEvent.CONTEXT_MENU_REQUESTED, 10, 10, 300, 700, false, null)));
            app.until("what the tray offers", () -> app.robot.lookup("#more-2").tryQuery().isPresent());
            app.robot.clickOn("#more-2");
            app.until("two more", () -> names(app).size() == 4);
            assertThat(names(app)).containsExactly("Lantern Walk", "Snail with post", "Snail with post 2", "Snail with post 3");
            assertThat(app.text("#notice")).startsWith("2 more stones like Snail with post.");
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("taken back in one step", () -> names(app).size() == 2);
            app.does("A stone to practise on");
            app.until("it lies on the cloth", () -> app.plan() != null && app.plan().project().name().equals("Practice for Lantern Walk"));
            Project practice = app.plan().project();
            assertThat(practice.sketch()).isPresent();
            assertThat(app.plan().steps()).as("it is painted").isNotEmpty().noneMatch(s -> s instanceof Step.Seal);
            Studio studio = ((Workbench) app.scene().getRoot().getProperties().get(Workbench.class)).studio();
            assertThat(studio.diary().terms("lettering").after()).as("the real one waits for it").contains(practice.id());
            assertThat(app.text("#notice")).contains("Lantern Walk waits until it is painted");
        }
    }
}
