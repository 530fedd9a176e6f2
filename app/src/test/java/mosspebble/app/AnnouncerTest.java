package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import mosspebble.app.model.Workbench;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Project;
import mosspebble.core.units.Millimetres;
import mosspebble.core.words.FindingWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a screen reader hears without having asked for it: it is put before the name of what has the focus. */
class AnnouncerTest {

    @TempDir
    private Path folder;

    private static Workbench workbench(Driver app) {
        return (Workbench) app.scene().getRoot().getProperties().get(Workbench.class);
    }

    private static String heard(Driver app) {
        Node focused = app.scene().getFocusOwner();
        return focused.getAccessibleText() == null ? "" : focused.getAccessibleText();
    }

    private static List<String> toRead(Driver app) {
        app.keys(KeyCode.CONTROL, KeyCode.T);
        app.until("it lies there", () -> app.present("#told") && app.find("#told").isVisible());
        List<String> lines = ((TextArea) app.find("#told-text")).getText().lines().toList();
        app.keys(KeyCode.ESCAPE);
        app.until("it is closed again", () -> !app.find("#told").isVisible());
        return lines;
    }

    @Test
    void aNoticeAndWhatAnEditBroughtToLightAreSaid() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), new Turned("2026-11-27T18:40:00"), "owl")) {
            app.settled();
            assertThat(toRead(app)).containsExactly("Nothing has been told yet.");
            app.still();
            Node cloth = app.scene().getFocusOwner();
            String name = cloth.getAccessibleText();
            assertThat(name).as("the stone has a name of its own").contains("Owl");
            app.robot.interact(() -> workbench(app).tell("The jar of moss green is empty."));
            app.until("it is said", () -> heard(app).equals("The jar of moss green is empty. " + name));
            app.robot.interact(() -> {
                workbench(app).tell("So is the jar of black.");
                workbench(app).tell("And that of white.");
            });
            app.until("what comes at once is heard together",
                    () -> heard(app).endsWith("So is the jar of black. And that of white. " + name));
            app.robot.interact(() -> app.find("#new-stone").requestFocus());
            assertThat(cloth.getAccessibleText()).as("its own name, once the focus went on").isEqualTo(name);

            String button = heard(app);
            List<Finding> before = app.plan().findings();
            UnaryOperator<Project> smaller = p -> p
                    .withStone(p.stone().withSize(new Millimetres(48), new Millimetres(37), new Millimetres(20)));
            app.robot.interact(() -> workbench(app).draft(smaller));
            app.until("there is something new to know", () -> app.show().idle()
                    && app.plan().findings().stream().anyMatch(f -> before.stream().noneMatch(b -> b.code() == f.code())));
            assertThat(heard(app)).as("under the hand nothing is said").isEqualTo(button);
            app.robot.interact(() -> workbench(app).edit("Size", smaller));
            Finding fresh = app.plan().findings().stream().filter(f -> before.stream().noneMatch(b -> b.code() == f.code())).findFirst()
                    .orElseThrow();
            app.until("it is said", () -> heard(app).startsWith(FindingWords.sentence(fresh)));
            app.until("the button has its own name again", () -> heard(app).equals(button));
            List<String> told = toRead(app);
            assertThat(told).hasSize(4);
            assertThat(told.get(0)).isEqualTo("18:40  The jar of moss green is empty.");
            assertThat(told.get(3)).startsWith("18:40  " + FindingWords.sentence(fresh));
            app.robot.interact(() -> workbench(app).undo());
            app.until("it is as before", () -> app.show().idle() && app.plan().findings().size() == before.size());
            assertThat(toRead(app)).as("what is mended is not news").hasSize(5).last().isEqualTo("18:40  Undone: Size");
        }
    }
}
