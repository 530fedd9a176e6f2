package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What one start found out about the graphics card, and the next one makes of it. */
class GraphicsCardTest {

    @TempDir
    Path folder;

    private String order;

    @BeforeEach
    void nothingIsSet() throws IOException {
        order = System.clearProperty("prism.order"); // the tests themselves draw without a card
        Files.writeString(folder.resolve("boot"), "first");
    }

    @AfterEach
    void asItWas() {
        System.clearProperty("prism.order");
        if (order != null) {
            System.setProperty("prism.order", order);
        }
    }

    private GraphicsCard on(String display) {
        return new GraphicsCard(folder.resolve("cache"), folder.resolve("boot"), display);
    }

    private String next(String display) {
        on(display).spareSearch();
        return System.getProperty("prism.order");
    }

    @Test
    void whereNoneWasFoundNoneIsLookedForAgain() {
        assertThat(next(":0")).isNull();
        on(":0").remember(false);
        assertThat(next(":0")).isEqualTo("sw");
    }

    @Test
    void oneThatWasFoundIsLookedForEachTime() {
        on(":0").remember(true);
        assertThat(next(":0")).isNull();
        on(":0").remember(false);
        on(":0").remember(true);
        assertThat(next(":0")).isNull();
    }

    @Test
    void anotherDisplayAndAnotherDayAreOtherMachines() throws IOException {
        on(":0").remember(false);
        assertThat(next(":1")).isNull();
        assertThat(next(null)).isNull();
        Files.writeString(folder.resolve("boot"), "second");
        assertThat(next(":0")).isNull();
    }

    @Test
    void whatIsSetByHandStandsAndIsNotTakenForASearch() {
        on(":0").remember(false);
        System.setProperty("prism.order", "es2");
        assertThat(next(":0")).isEqualTo("es2");
        on(":0").remember(true);
        System.clearProperty("prism.order");
        assertThat(next(":0")).as("nothing new was found out").isEqualTo("sw");
    }

    @Test
    void aFileThatIsNoneKeepsNobodyOut() throws IOException {
        Files.createDirectories(folder.resolve("cache"));
        for (byte[] found : new byte[][] {{}, {(byte) 0xff, (byte) 0xfe}, new byte[5000]}) {
            Files.write(folder.resolve("cache/graphics.txt"), found);
            assertThat(next(":0")).isNull();
        }
        Files.delete(folder.resolve("boot"));
        on(":0").remember(false);
        assertThat(next(":0")).as("without a way to tell one day from another").isNull();
    }
}
