package mosspebble.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OpenerTest {

    @TempDir
    private Path folder;

    @Test
    void theFirstCommandThatIsThereGetsThePathAndWithoutAnyItIsSaid() throws Exception {
        Path file = Files.writeString(folder.resolve("a sheet.pdf"), "pdf");
        List<String> said = new ArrayList<>();
        Path copy = folder.resolve("seen");
        Path script = Files.writeString(folder.resolve("open.sh"),
                "cp \"$1\" \"" + copy + ".part\"; mv \"" + copy + ".part\" \"" + copy + "\"");
        new Opener(List.of(List.of("no-such-command-anywhere"), List.of("sh", script.toString()))).open(file, said::add);
        for (int tries = 0; tries < 400 && !Files.exists(copy); tries++) {
            Thread.sleep(25);
        }
        assertThat(copy).hasContent("pdf");
        assertThat(said).isEmpty();
        new Opener(List.of(List.of("no-such-command-anywhere"))).open(file, said::add);
        assertThat(said).singleElement().asString().contains(file.toString());
    }
}
