package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javafx.geometry.Bounds;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Every screen in a small, a usual and a large window, measured on what is shown: nothing cut short, no scrolling within scrolling. */
class LayoutTest {

    /** Where words may end in an ellipsis, since they are a painter's own, or stand whole elsewhere. */
    private static final Set<String> OWN_WORDS = Set.of("tray-name", "hem-stone", "title", "shortened");

    private static final List<String> SCREENS = List.of("Go to Stone", "Stone: dome", "Stone: skin", "Go to Sketch", "Sketch: how it lies",
            "Go to Colour", "Colour: blend", "Go to Build-up", "Build-up: all passes", "Build-up: habits", "Go to Sitting",
            "Finish: sheets",
            "Finish: seal", "Finish: jars", "Finish: picture", "Look at the shelf", "Look into the basket", "Compare two habits",
            "Sketch: add something from the library");

    @TempDir
    private Path folder;

    @Test
    void nothingIsCutShortAndNothingScrollsWithinWhatScrolls() throws Exception {
        Set<String> wrong = new TreeSet<>();
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl", "harbour")) {
            app.settled();
            for (int[] size : new int[][] {{1100, 720}, {1280, 800}, {2560, 1440}}) {
                app.robot.interact(() -> {
                    app.scene().getWindow().setWidth(size[0]);
                    app.scene().getWindow().setHeight(size[1]);
                });
                for (String screen : SCREENS) {
                    app.robot.interact(() -> app.does(screen));
                    assertThat(app.robot.lookup("#notice").tryQuery().map(n -> ((Label) n).getText()).orElse("")).as(screen)
                            .doesNotStartWith("There is nothing called");
                    app.until(screen, () -> app.show().idle());
                    app.robot.interact(() -> look(app.scene().getRoot(), false, screen + " at " + size[0], wrong));
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    private static void look(Node node, boolean scrolls, String where, Set<String> wrong) {
        if (!node.isVisible()) {
            return;
        }
        boolean within = scrolls;
        if (node instanceof ScrollPane pane) {
            boolean bar = shows(pane);
            if (bar && scrolls) {
                wrong.add(where + ": scrolls within what scrolls, " + name(node));
            }
            within |= bar;
        }
        if (node instanceof Labeled labeled && labeled.getText() != null && !labeled.getText().isEmpty()
                && (node instanceof Label || node instanceof Button
                        || node instanceof ToggleButton)
                && OWN_WORDS.stream().noneMatch(node.getStyleClass()::contains)) {
            for (Node part : labeled.getChildrenUnmodifiable()) {
                if (part instanceof Text text && text.isVisible() && !text.getText().equals(labeled.getText())
                        && text.getText().endsWith(labeled.getEllipsisString())) {
                    wrong.add(where + ": cut short, " + name(node) + " \"" + labeled.getText() + "\"");
                }
            }
        }
        if (node instanceof Parent parent) {
            for (Node child : new ArrayList<>(parent.getChildrenUnmodifiable())) {
                look(child, within, where, wrong);
            }
        }
    }

    /** Whether its upright bar is shown, so that there is something to scroll. */
    private static boolean shows(ScrollPane pane) {
        return pane.lookupAll(".scroll-bar").stream().filter(n -> n instanceof ScrollBar b && b.getOrientation() == Orientation.VERTICAL
                && b.getParent() == pane).anyMatch(n -> n.isVisible() && high(n) > 20);
    }

    private static double high(Node node) {
        Bounds bounds = node.getLayoutBounds();
        return bounds.getHeight();
    }

    private static String name(Node node) {
        return node.getId() == null ? String.join(".", node.getStyleClass()) : "#" + node.getId();
    }
}
