package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SeenVersionTest {

    @TempDir
    private Path folder;

    @Test
    void aChangeOfVersionIsToldOnceAndANewStudioHasNone() {
        Path fresh = folder.resolve("not/yet/there");
        assertThat(SeenVersion.change(fresh, "0.1.0")).isEmpty();
        assertThat(SeenVersion.change(fresh, "0.1.0")).isEmpty();
        assertThat(SeenVersion.change(fresh, "0.2.0")).contains("0.1.0");
        assertThat(SeenVersion.change(fresh, "0.2.0")).isEmpty();
        assertThat(SeenVersion.change(fresh, "0.1.0")).as("also when an older one is taken up again").contains("0.2.0");
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
