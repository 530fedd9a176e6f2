package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.application.Application;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.Slider;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Srgb;
import mosspebble.files.LanternWalk;
import mosspebble.files.StudioStore;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What holds for the whole window: trouble at the start, names for screen readers, contrast, room for the text. */
class WindowTest {

    @TempDir
    private Path folder;

    @Test
    void aStudioThatIsNoStudioIsLeftUntouchedAndANewOneOffered() throws Exception {
        Path broken = folder.resolve("studio.pebble");
        Files.writeString(broken, "this is a shopping list, not a studio. ".repeat(20));
        byte[] before = Files.readAllBytes(broken);
        try (Driver app = new Driver(broken, false)) {
            assertThat(app.text("#trouble")).contains("not a studio").contains("untouched");
            assertThat(app.text("#trouble-place")).contains(broken.toString());
            app.click("#new-studio");
            app.until("the new studio", () -> app.present("#first-stone"));
        }
        assertThat(Files.readAllBytes(broken)).isEqualTo(before);
        assertThat(folder.resolve("studio-2.pebble")).exists();
    }

    @Test
    void aStudioOpenElsewhereIsSaid() throws Exception {
        Path file = folder.resolve("studio.pebble");
        try (StudioStore other = StudioStore.open(file, LanternWalk::newcomer); Driver app = new Driver(file, false)) {
            assertThat(app.text("#trouble")).contains("already open");
            assertThat(other.studio().projects()).isEmpty();
        }
    }

    /** What is told leaves the figures of the hem to be read, and what leads through the first stone to be pressed away. */
    @Test
    void whatIsToldLiesOverNeitherTheHemNorTheFirstWords() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), false)) {
            assertThat(Application.getUserAgentStylesheet()).as("dressed without what no window has").endsWith("toolkit.bss");
            app.does("New stone");
            app.until("the first words", () -> app.present("#first-words"));
            app.does("no such thing");
            app.until("a notice", () -> app.present("#notice"));
            app.settled();
            double over = place(app, "#notice").getMinY();
            assertThat(over).isGreaterThan(place(app, "#first-words").getMaxY());
            app.robot.interact(() -> app.scene().lookup("#first-words").setVisible(false));
            app.until("the notice to move up", () -> place(app, "#notice").getMinY() < over);
            assertThat(place(app, "#notice").getMinY()).as("below the figures").isGreaterThan(place(app, "#cloth").getMinY() + 30);
        }
    }

    private static Bounds place(Driver app, String what) {
        return app.find(what).localToScene(app.find(what).getLayoutBounds());
    }

    @Test
    void everyControlHasANameAndNoTextIsCutInItsButton() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"))) {
            app.settled();
            for (int stage = 0; stage < Finding.Stage.values().length; stage++) {
                app.robot.clickOn("#cloth");
                app.keys(KeyCode.valueOf("DIGIT" + (stage + 1)));
                app.settled();
                List<Node> nodes = new ArrayList<>();
                collect(app.scene().getRoot(), nodes);
                for (Node node : nodes) {
                    if (node instanceof Slider || node instanceof TextInputControl
                            || node instanceof ButtonBase b && (b.getText() == null || b.getText().isBlank())) {
                        assertThat(node.getAccessibleText()).as("name of %s in stage %d", node, stage + 1).isNotBlank();
                    }
                    if (node instanceof Button button && button.getText() != null && !button.getText().isBlank() && button.getWidth() > 0) {
                        assertThat(button.getWidth()).as("room in \"%s\"", button.getText())
                                .isGreaterThanOrEqualTo(button.prefWidth(-1) - 1);
                    }
                    if (node instanceof Labeled label && label.getId() != null && label.getId().equals("name")) {
                        Bounds bounds = label.localToScene(label.getBoundsInLocal());
                        assertThat(bounds.getMaxX()).isLessThan(app.scene().getWidth());
                    }
                }
            }
        }
    }

    private static void collect(Node node, List<Node> found) {
        if (!node.isVisible()) {
            return;
        }
        found.add(node);
        if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> collect(child, found));
        }
    }

    @Test
    @Tag("outside") // WCAG 2.x: relative luminance and contrast ratio, at least 4.5 to 1 for text
    void textStandsOutInBothThemes() throws Exception {
        String css;
        try (InputStream in = MossPebbleApp.class.getResourceAsStream("mosspebble.css")) {
            css = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        Map<String, String> day = tokens(css.substring(css.indexOf(".root, .shell {"), css.indexOf(".shell.evening {")));
        Map<String, String> evening = tokens(css.substring(css.indexOf(".shell.evening {"), css.indexOf(".shell.contrast {")));

        assertThat(evening.keySet()).as("the same names in both themes").isSubsetOf(day.keySet()).hasSizeGreaterThan(15);
        for (Map<String, String> theme : List.of(day, evening)) {
            for (String text : List.of("ink", "quiet", "moss", "clay", "ochre", "river")) {
                for (String ground : List.of("paper", "raised")) {
                    assertThat(contrast(theme.get(text), theme.get(ground)))
                            .as("%s on %s: %s on %s", text, ground, theme.get(text), theme.get(ground)).isGreaterThanOrEqualTo(4.5);
                }
            }
            assertThat(contrast(theme.get("on-moss"), theme.get("moss"))).isGreaterThanOrEqualTo(4.5);
            assertThat(contrast(theme.get("ink"), theme.get("slip"))).isGreaterThanOrEqualTo(4.5);
            assertThat(contrast(theme.get("ink"), theme.get("tray"))).isGreaterThanOrEqualTo(4.5);
        }
    }

    private static Map<String, String> tokens(String block) {
        Map<String, String> tokens = new LinkedHashMap<>();
        Matcher matcher = Pattern.compile("-mp-([a-z-]+): (#[0-9A-Fa-f]{6});").matcher(block);
        while (matcher.find()) {
            tokens.put(matcher.group(1), matcher.group(2));
        }
        return tokens;
    }

    private static double contrast(String one, String other) {
        double a = luminance(Srgb.ofHex(one));
        double b = luminance(Srgb.ofHex(other));
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    private static double luminance(Srgb colour) {
        double sum = 0;
        int[] channels = {colour.red(), colour.green(), colour.blue()};
        double[] weights = {0.2126, 0.7152, 0.0722};
        for (int i = 0; i < 3; i++) {
            double v = channels[i] / 255.0;
            sum += weights[i] * (v <= 0.03928 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4));
        }
        return sum;
    }
}
