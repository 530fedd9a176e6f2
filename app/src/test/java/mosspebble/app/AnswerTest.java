package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import mosspebble.app.control.Pulses;
import mosspebble.app.model.Workbench;
import mosspebble.app.shell.Shell;
import mosspebble.core.finding.Finding.Stage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is pressed answers in the next picture of the window, even if what it leads to must be made first. */
class AnswerTest {

    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");

    @TempDir
    static Path folder;

    private static Driver app;

    @BeforeAll
    static void start() throws Exception {
        app = new Driver(folder.resolve("s.pebble"), "owl");
        app.settled();
    }

    @AfterAll
    static void end() throws Exception {
        app.close();
    }

    private static Shell shell() {
        return (Shell) app.scene().getRoot();
    }

    private static Workbench workbench() {
        return (Workbench) shell().getProperties().get(Workbench.class);
    }

    private static boolean seen(String query) {
        Node node = app.scene().lookup(query);
        for (Node each = node; each != null; each = each.getParent()) {
            if (!each.isVisible()) {
                return false;
            }
        }
        return node != null;
    }

    /** What a painter sees when the window is drawn for the first time after a press, before anything more is made. */
    private record Answer(String title, boolean marked, boolean its, boolean others, boolean more) {}

    private static Answer press(String name, String button, String its, String others) {
        Answer[] answer = new Answer[1];
        app.atOnce(() -> {
            shell().perform(name);
            answer[0] = new Answer(((Label) app.scene().lookup(".stage-name")).getText(),
                    app.scene().lookup(button).getPseudoClassStates().contains(CURRENT), seen(its), seen(others), Pulses.isWaiting());
        });
        return answer[0];
    }

    @Test
    void aPlaceIsNamedAtOnceAndWhatBelongsThereFollows() {
        app.does("Stone: outline");
        assertThat(app.present("#stone-name")).isTrue();
        assertThat(press("Go to Finish", "#stage-finish", "#finish-jars", "#stone-name"))
                .as("named and marked; nothing of the place before is left to be taken for it")
                .isEqualTo(new Answer("Finish", true, false, false, true));
        app.until("what belongs there", () -> app.present("#finish-jars"));
        app.does("Stone: outline");
        assertThat(press("Go to Finish", "#stage-finish", "#finish-jars", "#stone-name"))
                .as("made before, it is there at once").isEqualTo(new Answer("Finish", true, true, false, false));
        assertThat(press("Look into the basket", "#stage-stone", "#basket", "#finish-jars"))
                .as("a view beside a stage").isEqualTo(new Answer("Basket", true, false, false, true));
        app.until("the basket", () -> app.present("#basket"));
    }

    @Test
    void whoeverTurnsBackBeforeItIsThereIsNotLedAway() {
        app.does("Stone: outline");
        app.atOnce(() -> {
            shell().perform("Open the book");
            shell().perform("Go to Stone");
        });
        app.settled();
        assertThat(app.present("#stone-name")).isTrue();
        assertThat(app.present("#book")).isFalse();
        assertThat(app.text(".stage-name")).isEqualTo("Stone");
    }

    @Test
    void whatIsAskedOfAPlaceIsDoneWhenItIsThere() {
        app.does("Stone: outline");
        boolean[] thereAtOnce = {true};
        app.atOnce(() -> {
            shell().perform("Shelf: sealers");
            thereAtOnce[0] = seen("#shelf");
        });
        assertThat(thereAtOnce[0]).isFalse();
        app.until("the page that was asked for", () -> app.present("#smear-tests"));
    }

    @Test
    void aPageIsMadeWhenItsPebbleHasAnswered() {
        app.does("Stone: outline");
        app.does("Stone: outline");
        List<Boolean> seen = new ArrayList<>();
        app.atOnce(() -> {
            shell().perform("Stone: dome");
            seen.add(seen("#dome-places"));
            shell().perform("Stone: outline");
            shell().perform("Stone: dome");
            seen.add(seen("#dome-places"));
        });
        assertThat(seen).as("it follows").containsOnly(false);
        app.until("the page", () -> app.present("#dome-places"));
        app.does("Stone: outline");
        app.atOnce(() -> {
            shell().perform("Stone: dome");
            seen.add(seen("#dome-places"));
        });
        assertThat(seen.get(2)).as("made before").isTrue();
    }

    @Test
    void howLargeWordsAreIsToldBeforeAllOfThemAre() {
        List<String> told = new ArrayList<>();
        List<Boolean> larger = new ArrayList<>();
        app.atOnce(() -> {
            shell().perform("Words larger");
            told.add(workbench().noticeProperty().get());
            larger.add(shell().getStylesheets().stream().anyMatch(s -> s.startsWith("data:")));
        });
        app.settled();
        app.atOnce(() -> larger.add(shell().getStylesheets().stream().anyMatch(s -> s.startsWith("data:"))));
        app.does("Words smaller");
        app.atOnce(() -> larger.add(shell().getStylesheets().stream().anyMatch(s -> s.startsWith("data:"))));
        assertThat(told).containsExactly("Words are 125 % of their usual size.");
        assertThat(larger).containsExactly(false, true, false);
    }

    @Test
    void aStoneInTheTrayIsDrawnAnewOnlyIfSomethingOfItChanged() {
        workbenchGoes(Stage.STONE);
        app.still();
        Node before = graphic();
        app.does("Evening or day light on the screen");
        app.does("Evening or day light on the screen");
        app.still();
        assertThat(graphic()).as("light on the screen").isSameAs(before);
        app.atOnce(() -> workbench().edit("Name", p -> p.withName("Another owl")));
        app.still();
        assertThat(graphic()).as("its name").isNotSameAs(before);
        app.atOnce(() -> workbench().undo());
        app.still();
    }

    private static void workbenchGoes(Stage stage) {
        app.atOnce(() -> workbench().stageProperty().set(stage));
    }

    private static Node graphic() {
        return ((Labeled) app.find("#tray-owl")).getGraphic();
    }
}
