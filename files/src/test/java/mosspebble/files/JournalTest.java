package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import mosspebble.core.project.Studio;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class JournalTest {

    @TempDir
    private Path folder;

    @AfterEach
    void close() {
        Journal.close();
    }

    @Test
    void anErrorIsKeptWithItsPlacesAndWithoutThePaintersWords() {
        Journal.beside(folder, "0.1.0");
        IllegalArgumentException inner = new IllegalArgumentException("Grandmother's garden stone must be 8 to 600 mm");
        Journal.trouble("working something out", new IllegalStateException("of \"Grandmother\"", inner));
        Journal.trouble("reading", new IOException("/home/somebody/Grandmother.svg (No such file)"));
        String log = Journal.read(folder);
        assertThat(log).contains("version 0.1.0").contains("working something out").contains("IllegalStateException")
                .contains("caused by java.lang.IllegalArgumentException").contains("JournalTest.anErrorIsKept")
                .contains("No such file");
        assertThat(log).doesNotContain("Grandmother").doesNotContain("somebody");
    }

    @Test
    void theFilesReplaceOneAnotherAndStaySmall() throws IOException {
        Journal.beside(folder, "0.1.0");
        for (int i = 0; i < 600; i++) {
            Journal.trouble("again", new IllegalStateException("x"));
        }
        assertThat(Journal.files(folder)).hasSizeBetween(2, 3);
        long bytes = 0;
        for (Path file : Journal.files(folder)) {
            bytes += Files.size(file);
        }
        assertThat(bytes).isLessThan(700_000);
    }

    @Test
    void aFolderThatTakesNoLogKeepsNobodyFromWorking() throws IOException {
        Path file = Files.writeString(folder.resolve("file"), "");
        Journal.beside(file, "0.1.0");
        Journal.note("goes nowhere");
        assertThat(Journal.read(file)).isEmpty();
    }

    @Test
    void aReportTellsTheShapeOfTheStudioAndNoneOfItsWords() throws Exception {
        Studio studio = LanternWalk.studio(BuiltIn.repertoire());
        Path file = folder.resolve("report.txt");
        TroubleReport.write(file, "0.1.0", folder, studio);
        String report = Files.readString(file);
        assertThat(report).contains("Moss Pebble 0.1.0").contains("Java " + System.getProperty("java.version")).contains("\"projects\"")
                .contains("\"length\" : 96").contains("GRANITE");
        for (String word : List.of("Owl", "keeping a lamp", "LANTERN", "WALK", "mind the step", "Quillbeck", "toadstool", "bone black",
                "gate")) {
            assertThat(report).as("no word of the painter's").doesNotContain(word);
        }
    }

    @Test
    void aFileIsWrittenWholeOrNotAtAll() throws Exception {
        Path target = folder.resolve("plan.json");
        Files.writeString(target, "before");
        assertThatThrownBy(() -> SafeWrite.write(target, out -> {
            out.write(new byte[10_000]);
            throw new IOException("No space left on device");
        })).hasMessageContaining("the disk is full").hasMessageContaining("nothing is left half done");
        assertThat(target).hasContent("before");
        assertThat(SafeWrite.part(target)).doesNotExist();
        Path dir = Files.createDirectory(folder.resolve("dir"));
        assertThatThrownBy(() -> SafeWrite.write(dir, out -> out.write(1))).hasMessageContaining("A folder of that name");
        assertThatThrownBy(() -> SafeWrite.write(target.resolve("x.json"), out -> out.write(1)))
                .hasMessageContaining("a file stands where a folder is needed");
        SafeWrite.write(target, out -> {
            out.write("after".getBytes());
            out.close(); // some writers do
        });
        assertThat(target).hasContent("after");
    }
}
