package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import mosspebble.app.control.Choice;
import mosspebble.core.finding.Finding.Stage;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** One Tab stop a group, arrows inside it. */
class TabStopTest {

    private static final KeyCode[] STAGES = {KeyCode.DIGIT1, KeyCode.DIGIT2, KeyCode.DIGIT3, KeyCode.DIGIT4, KeyCode.DIGIT6};

    @TempDir
    private Path folder;

    private static boolean seen(Node node) {
        for (Node each = node; each != null; each = each.getParent()) {
            if (!each.isVisible()) {
                return false;
            }
        }
        return true;
    }

    private static List<ToggleButton> buttons(Node choice) {
        return choice.lookupAll(".toggle-button").stream().map(ToggleButton.class::cast).filter(TabStopTest::seen).toList();
    }

    private static List<Node> choices(Driver app) {
        return app.robot.lookup(n -> n instanceof Choice<?>).queryAll().stream().filter(TabStopTest::seen)
                .filter(c -> !buttons(c).isEmpty()).toList();
    }

    @Test
    // W3C, ARIA Authoring Practices 1.2, "Managing Focus Within Components Using a Roving tabindex"
    @Tag("outside")
    void everyChoiceIsOneStopThatArrowsGoRound() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            int looked = 0;
            for (KeyCode stage : STAGES) {
                app.keys(stage);
                app.still();
                for (Node choice : choices(app)) {
                    looked++;
                    assertThat(buttons(choice).stream().filter(Node::isFocusTraversable)).as("stops of %s", buttons(choice)).hasSize(1);
                    buttons(choice).stream().filter(ToggleButton::isSelected).findFirst()
                            .ifPresent(chosen -> assertThat(chosen.isFocusTraversable()).as("Tab comes to what is chosen").isTrue());
                }
            }
            assertThat(looked).isGreaterThan(6);
            app.keys(KeyCode.DIGIT1);
            app.still();
            List<ToggleButton> row = choices(app).stream().map(TabStopTest::buttons).filter(b -> b.size() >= 3).findFirst().orElseThrow();
            ToggleButton chosen = row.stream().filter(ToggleButton::isSelected).findFirst().orElseThrow();
            app.robot.interact(chosen::requestFocus);
            List<Node> met = new ArrayList<>();
            for (int i = 0; i < row.size(); i++) {
                app.keys(KeyCode.RIGHT);
                met.add(app.scene().getFocusOwner());
                assertThat(chosen.isSelected()).as("looking round chooses nothing").isTrue();
            }
            assertThat(met).containsExactlyInAnyOrderElementsOf(row);
            assertThat(app.scene().getFocusOwner()).as("round once").isSameAs(chosen);
            app.keys(KeyCode.END);
            assertThat(app.scene().getFocusOwner()).isSameAs(row.get(row.size() - 1));
            app.keys(KeyCode.HOME);
            ToggleButton first = row.get(0) == chosen ? row.get(1) : row.get(0);
            app.robot.interact(first::requestFocus);
            app.keys(KeyCode.SPACE);
            app.until("Space chooses", first::isSelected);
            assertThat(chosen.isSelected()).isFalse();
        }
    }

    @Test
    void pathAndTrayAreOneStopEach() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail", "owl", "lettering")) {
            app.settled();
            app.keys(KeyCode.DIGIT2);
            app.settled();
            app.robot.interact(() -> app.find("#stage-sketch").requestFocus());
            app.keys(KeyCode.UP);
            assertThat(app.scene().getFocusOwner().getId()).as("the path is read from the bottom").isEqualTo("stage-colour");
            app.keys(KeyCode.DOWN);
            app.keys(KeyCode.DOWN);
            assertThat(app.scene().getFocusOwner().getId()).isEqualTo("stage-stone");
            assertThat(show(app)).isEqualTo(Stage.SKETCH);
            app.keys(KeyCode.SPACE);
            app.until("taken", () -> show(app) == Stage.STONE);
            app.keys(KeyCode.TAB);
            assertThat(String.valueOf(app.scene().getFocusOwner().getId())).as("on to what comes next").doesNotStartWith("stage-");

            app.robot.interact(() -> app.find("#tray-lettering").requestFocus());
            app.keys(KeyCode.RIGHT);
            String next = app.scene().getFocusOwner().getId();
            assertThat(next).startsWith("tray-").isNotEqualTo("tray-lettering");
            app.keys(KeyCode.TAB);
            assertThat(app.scene().getFocusOwner().getId()).isEqualTo("new-stone");
            long stops = app.robot.lookup(".tray-stone").queryAll().stream().filter(Node::isFocusTraversable).count();
            assertThat(stops).isEqualTo(1);
        }
    }

    /** A shelf of sixty cards is not sixty stops; nor are twenty dabs of paint (the same patterns as above). */
    @Test
    @Tag("outside")
    void rowsOfCardsAndDabsAreOneStopEach() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.settled();
            app.keys(KeyCode.DIGIT2);
            app.does("Sketch: add something from the library");
            app.still();
            everyRowIsOneStop(app, ".planks-card", 3);
            List<Node> row = rows(app, ".planks-card").get(0);
            app.robot.interact(row.get(0)::requestFocus);
            app.keys(KeyCode.RIGHT);
            assertThat(app.scene().getFocusOwner()).isSameAs(row.get(1));
            app.keys(KeyCode.TAB);
            assertThat(row).as("on to the next shelf").doesNotContain(app.scene().getFocusOwner());
            app.robot.press(KeyCode.ESCAPE).release(KeyCode.ESCAPE);
            app.does("Look at the shelf");
            app.still();
            everyRowIsOneStop(app, ".shelf-card", 3);
            app.robot.press(KeyCode.ESCAPE).release(KeyCode.ESCAPE);
            app.does("Colour: paints");
            app.still();
            everyRowIsOneStop(app, ".dab", 1);
            app.does("Stone: skin");
            app.still();
            everyRowIsOneStop(app, ".dab", 1);
        }
    }

    /** What stands in one row, row by row. */
    private static List<List<Node>> rows(Driver app, String style) {
        return List.copyOf(app.robot.lookup(style).queryAll().stream().filter(TabStopTest::seen)
                .collect(Collectors.groupingBy(Node::getParent, LinkedHashMap::new, Collectors.toList())).values());
    }

    private static void everyRowIsOneStop(Driver app, String style, int least) {
        List<List<Node>> rows = rows(app, style);
        assertThat(rows).as(style).hasSizeGreaterThanOrEqualTo(least);
        assertThat(rows).as(style).allSatisfy(row -> assertThat(row.stream().filter(Node::isFocusTraversable)).hasSize(1));
    }

    private static Stage show(Driver app) {
        return ((mosspebble.app.model.Workbench) app.scene().getRoot().getProperties().get(mosspebble.app.model.Workbench.class))
                .stageProperty().get();
    }
}
