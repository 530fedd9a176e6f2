package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the program tells of itself. */
class AboutTest {

    @TempDir
    private Path folder;

    private static String told(Driver app) {
        return ((TextArea) app.find("#about-text")).getText();
    }

    @Test
    void whatIsKeptWhatChangedAndTheLicencesAreTold() throws Exception {
        Path studio = folder.resolve("s.pebble");
        try (Driver app = new Driver(studio, "snail")) {
            app.settled();
            app.robot.interact(() -> app.does("About Moss Pebble"));
            app.until("all is looked up", () -> app.present("#about") && app.text("#about-title").length() > 12);
            assertThat(app.text("#about-title")).matches("Moss Pebble \\d+\\.\\d+\\.\\d+");
            assertThat(told(app)).contains(studio.toAbsolutePath().toString()).containsPattern("copies: (1 in .*, the last of |none)");
            app.click("#about-changed");
            assertThat(told(app)).startsWith("What changed").contains("0.1.0").contains("•  ").doesNotContain("**").doesNotContain("##");
            app.click("#about-licences");
            assertThat(told(app)).contains("OpenJFX   ·   GPL-2.0 with Classpath Exception").contains("SIL OFL 1.1")
                    .contains("Apache License").contains("END OF TERMS AND CONDITIONS").doesNotContain("|---");
            app.keys(KeyCode.ESCAPE);
            assertThat(app.find("#about").isVisible()).isFalse();
            app.robot.interact(() -> app.does("About Moss Pebble"));
            app.until("it is open again", () -> app.find("#about").isVisible());
            app.click("#about-log");
            app.until("the log instead", () -> app.present("#log") && app.find("#log").isVisible());
            assertThat(app.find("#about").isVisible()).isFalse();
        }
    }

    @Test
    void afterAnUpdateWhatChangedIsToldOnce() throws Exception {
        Path studio = folder.resolve("s.pebble");
        Path seen = folder.resolve("version-seen.txt");
        Files.writeString(seen, "0.0.9");
        try (Driver app = new Driver(studio, "snail")) {
            app.until("it is told", () -> app.present("#about") && told(app).startsWith("What changed"));
            assertThat(app.find("#about").isVisible()).isTrue();
        }
        assertThat(Files.readString(seen)).isEqualToIgnoringNewLines(Version.TEXT);
        try (Driver again = new Driver(studio, "snail")) {
            again.settled();
            again.still();
            assertThat(again.present("#about") && again.find("#about").isVisible()).isFalse();
        }
    }

    @Test
    void theOlderOfTwoVersionsSaysWhichItIs() throws Exception {
        Path seen = folder.resolve("version-seen.txt");
        Files.writeString(seen, "99.0.0");
        try (Driver app = new Driver(folder.resolve("s.pebble"), "snail")) {
            app.until("it is said", () -> app.present("#notice") && app.text("#notice").contains("99.0.0"));
            assertThat(app.text("#notice")).isEqualTo("This is Moss Pebble " + Version.TEXT + "; the newer 99.0.0 was open here before.");
            app.settled();
            assertThat(app.present("#about") && app.find("#about").isVisible()).as("nothing is new in an older one").isFalse();
        }
        assertThat(seen).as("still the newest").hasContent("99.0.0");
    }
}
