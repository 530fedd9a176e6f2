package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import mosspebble.app.control.Hint;
import mosspebble.app.model.Action;
import mosspebble.app.model.Workbench;
import mosspebble.app.shell.Shell;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.project.Side;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The window as a list of screens and one table of actions; both faces of a stone in it. */
class ScreensTest {

    @TempDir
    private Path folder;

    private static Shell shell(Driver app) {
        return (Shell) app.scene().getRoot();
    }

    private static Workbench workbench(Driver app) {
        return (Workbench) app.scene().getRoot().getProperties().get(Workbench.class);
    }

    @Test
    void bothFacesArePaintedTurnedOverAndPrinted() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.robot.interact(() -> workbench(app).choose("snail"));
            app.settled();
            app.robot.interact(() -> app.find("#cloth").requestFocus());
            app.keys(KeyCode.V);
            app.until("the bare back", () -> app.plan().findings().stream().anyMatch(f -> f.code() == Code.EMPTY_FACE));
            assertThat(app.plan().up().side()).isEqualTo(Side.BACK);
            app.until("the front in the corner", () -> app.present("#other-side-turn"));
            app.keys(KeyCode.DIGIT2);
            app.put("fern");
            app.until("a job on both faces", () -> app.plan() != null && app.plan().below().isPresent() && app.plan().design().isPresent());
            app.command("colour: edge");
            app.click("#edge-add");
            app.until("a band", () -> app.plan().edge().isPresent());
            app.type("#band-wide-0", "0,2 cm");
            app.until("two millimetres", () -> workbench(app).shown().orElseThrow().edge().bands().get(0).wideMm() == 2);
            app.type("#band-wide-0", "0.1 mm");
            app.until("why not", () -> app.text("#band-wide-0-problem").contains("0.3 to 60 mm"));
            app.type("#band-off-0", "-1.5");
            app.until("toward the back", () -> workbench(app).shown().orElseThrow().edge().bands().get(0).offMm() == -1.5);
            int steps = app.plan().steps().size();
            app.click("#other-side-turn");
            app.until("the front is up", () -> app.plan().up().side() == Side.FRONT);
            assertThat(app.plan().steps()).as("the same job").hasSize(steps);
            app.keys(KeyCode.DIGIT6);
            app.type("#folder", folder.resolve("sheets").toString());
            app.click("#export-sheets");
            app.until("the sheets", () -> app.text("#export-done").startsWith("Written"));
        }
        try (PDDocument sheets = Loader.loadPDF(folder.resolve("sheets/snail-with-post-sheets.pdf").toFile())) {
            assertThat(new PDFTextStripper().getText(sheets)).contains("Front. Guide at true size", "Back. Guide at true size",
                    "Pencil the design on the back", "the band round the edge", "Turn it and seal the front");
        }
    }

    @Test
    void everyActionCanBeCalledByNameAndEveryKeyIsInTheHelpAndTheGuide() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl", "moon")) {
            app.settled();
            List<Action> actions = new ArrayList<>();
            app.robot.interact(() -> actions.addAll(shell(app).actions()));
            assertThat(actions).hasSizeGreaterThan(70).extracting(a -> a.name().toLowerCase(java.util.Locale.ROOT)).doesNotHaveDuplicates();
            assertThat(actions.stream().map(Action::key).filter(k -> !k.isEmpty())).as("one key, one action").doesNotHaveDuplicates()
                    .allMatch(k -> k.matches("(Ctrl )?(Shift )?([A-Z0-9/.,?+-]|Delete|Escape)"));
            assertThat(actions).allMatch(a -> a.isFoundBy(a.name()) && a.synonyms().stream().allMatch(a::isFoundBy));
            for (Action action : actions) {
                if (action.name().startsWith("Save a ") || action.name().startsWith("Print ") || action.name().startsWith("Take in ")
                        || action.name().equals("Take this stone off the cloth")) {
                    continue; // asks in a window of the system; takes paper; takes away what another takes up
                }
                if (action.name().startsWith("Take up ") && shell(app).actions().stream().noneMatch(a -> a.name().equals(action.name()))) {
                    continue; // another one has put it back into the basket
                }
                app.robot.interact(() -> {
                    workbench(app).tell("");
                    shell(app).perform(action.name().toUpperCase(java.util.Locale.ROOT));
                });
                assertThat(workbench(app).noticeProperty().get()).as(action.name()).doesNotStartWith("There is nothing called");
                app.robot.interact(() -> {
                    for (String close : new String[] {"#help-close", "#log-close", "#told-close", "#work-leave", "#comfort-close",
                        "#about-close"}) {
                        app.robot.lookup(close).tryQuery().filter(Node::isVisible).ifPresent(n -> ((javafx.scene.control.Button) n).fire());
                    }
                });
            }
            app.keys(KeyCode.ESCAPE);
            app.robot.interact(() -> app.find("#cloth").requestFocus());
            app.keys(KeyCode.F1);
            app.until("the help", () -> app.present("#help"));
            List<String> shown = app.robot.lookup("#help .key").queryAll().stream()
                    .map(n -> ((Label) n).getText()).toList();
            List<Action> keyed = actions.stream().filter(a -> !a.key().isEmpty()).toList();
            assertThat(shown).containsExactlyInAnyOrderElementsOf(keyed.stream().map(Action::key).toList());
            app.keys(KeyCode.N);
            assertThat(workbench(app).studio().projects().size()).as("no key acts below the help")
                    .isEqualTo(app.robot.from(app.scene().getRoot()).lookup(".tray-stone").queryAll().size());
            app.keys(KeyCode.ESCAPE);
            app.until("closed", () -> !app.present("#help"));
            List<String> guide = Files.readAllLines(Path.of("..", "docs", "guide.md"));
            assertThat(guide).as("the guide's list of keys is that of the table")
                    .containsSubsequence(keyed.stream().map(a -> "| " + a.key() + " | " + a.name() + " |").toList());
        }
    }

    @Test
    void lettersAreLeftToWhatHasTheFocusAndTooltipsTellTheKeysOfTheTable() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            int stones = workbench(app).studio().projects().size();
            app.click("#length");
            app.keys(KeyCode.N);
            app.keys(KeyCode.V);
            assertThat(workbench(app).studio().projects()).as("typed into a field").hasSize(stones);
            assertThat(workbench(app).shown().orElseThrow().below()).isEmpty();
            app.keys(KeyCode.ESCAPE);
            app.robot.interact(() -> app.find("#cloth").requestFocus());
            app.keys(KeyCode.DIGIT4);
            app.click("#build-list");
            app.until("the steps", () -> app.present("#steps"));
            app.robot.interact(() -> app.<ListView<?>>find("#steps").requestFocus());
            app.keys(KeyCode.N);
            app.keys(KeyCode.V);
            assertThat(workbench(app).studio().projects()).as("a list has the focus").hasSize(stones);
            app.keys(KeyCode.COMMA);
            app.keys(KeyCode.DIGIT3);
            app.until("digits go on", () -> workbench(app).stageProperty().get() == Stage.COLOUR);
            app.command("colour: edge");
            app.until("the edge", () -> app.present("#edge-ground"));
            app.robot.interact(() -> {
                ComboBox<?> box = app.find("#edge-ground");
                box.requestFocus();
                box.show();
            });
            app.keys(KeyCode.V);
            app.keys(KeyCode.N);
            assertThat(workbench(app).studio().projects()).as("a choice lies open").hasSize(stones);
            assertThat(workbench(app).shown().orElseThrow().below()).isEmpty();
            app.robot.interact(() -> app.<ComboBox<?>>find("#edge-ground").hide());
            Set<String> keys = new HashSet<>();
            shell(app).actions().forEach(a -> keys.add(a.key()));
            Pattern told = Pattern.compile(".*\\((Ctrl [A-Z]|[A-Z]|Shift [A-Z]|Delete|Escape)\\)$");
            for (Stage stage : Stage.values()) {
                app.robot.interact(() -> workbench(app).stageProperty().set(stage));
                for (Node node : app.robot.lookup(n -> !Hint.of(n).isEmpty()).queryAll()) {
                    Matcher tip = told.matcher(Hint.of(node));
                    if (tip.matches()) {
                        assertThat(keys).as(Hint.of(node)).contains(tip.group(1));
                    }
                }
            }
        }
    }
}
