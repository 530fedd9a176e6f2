package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import mosspebble.app.shell.Shell;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A stone saved in one studio and taken in by another, in the window. */
class SentStoneTest {

    @TempDir
    private Path folder;

    @Test
    void aStoneGoesFromOneStudioToAnotherAndCanBeUndone() throws Exception {
        try (Driver app = new Driver(folder.resolve("mine.pebble"), "snail")) {
            app.settled();
            app.click("#stage-finish");
            app.click("#finish-picture");
            app.type("#folder", folder.resolve("out").toString());
            app.click("#export-stone");
            app.until("the file", () -> app.text("#export-done").contains("snail-with-post-stone.json"));
        }
        Path sent = folder.resolve("out/snail-with-post-stone.json");
        try (Driver friend = new Driver(folder.resolve("friend.pebble"), false)) {
            Shell shell = (Shell) friend.scene().getRoot();
            Path bad = Files.writeString(folder.resolve("bad.json"), "{}");
            friend.robot.interact(() -> shell.files().takeIn(bad));
            friend.until("the trouble", () -> friend.present("#notice") && friend.text("#notice").contains("no stone of Moss Pebble"));
            assertThat(friend.present("#first-stone")).isTrue();

            friend.robot.interact(() -> shell.files().takeIn(sent));
            friend.until("the stone", () -> friend.text("#name").equals("Snail with post"));
            friend.settled();
            assertThat(friend.plan().steps()).isNotEmpty();
            friend.robot.interact(() -> friend.does("Undo"));
            friend.until("bare again", () -> friend.present("#first-stone"));
        }
    }
}
