package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SeenVersionTest {

    @TempDir
    private Path folder;

    private Optional<SeenVersion.Other> open(String version) {
        return SeenVersion.change(folder.resolve("not/yet/there"), version);
    }

    @Test
    void aNewerVersionIsToldOnceAndANewStudioHasNone() {
        assertThat(open("0.1.0")).isEmpty();
        assertThat(open("0.1.0")).isEmpty();
        assertThat(open("0.2.0")).contains(new SeenVersion.Other("0.1.0", false));
        assertThat(open("0.2.0")).isEmpty();
        assertThat(open("0.10.0")).as("ten comes after two").contains(new SeenVersion.Other("0.2.0", false));
    }

    @Test
    void ofTwoThatAreOpenInTurnTheOlderSaysWhichItIsAndTheNewerTellsNothingAgain() {
        open("0.9.0");
        open("0.10.0");
        for (int turn = 0; turn < 2; turn++) {
            assertThat(open("0.9.0")).contains(new SeenVersion.Other("0.10.0", true));
            assertThat(open("0.10.0")).isEmpty();
        }
        assertThat(open("0.10")).as("shorter, so sooner").contains(new SeenVersion.Other("0.10.0", true));
        assertThat(open("1.0.0")).contains(new SeenVersion.Other("0.10.0", false));
    }

    @Test
    void whatCannotBeReadOrWrittenIsNoVersionAndStopsNothing() throws Exception {
        Path file = folder.resolve("version-seen.txt");
        Files.writeString(file, "x".repeat(5_000));
        assertThat(SeenVersion.change(folder, "0.3.0")).isEmpty();
        assertThat(file).hasContent("0.3.0");
        Files.write(file, new byte[] {(byte) 0xC3, (byte) 0x28});
        assertThat(SeenVersion.change(folder, "0.3.0")).as("no text").isEmpty();
        Files.delete(file);
        Files.createDirectory(file);
        assertThat(SeenVersion.change(folder, "0.4.0")).isEmpty();
        Path inFile = Files.writeString(folder.resolve("file"), "");
        assertThat(SeenVersion.change(inFile, "0.4.0")).as("no folder can be there").isEmpty();
    }
}
