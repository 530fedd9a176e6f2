package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The formatter breaks code; comments and texts are broken by hand, and nobody would notice. */
class LinesTest {

    private static final int WIDEST = 140;

    @Test
    void noLineIsWiderThanTheScreenOfWhoeverReadsIt() throws IOException {
        List<String> wide = new ArrayList<>();
        int read = 0;
        for (String module : List.of("core", "files", "instruments", "app", "bench", "torture", "mutants")) {
            try (Stream<Path> files = Files.walk(Path.of("..", module, "src"))) {
                for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    wide.addAll(wide(file));
                    read++;
                }
            }
        }
        assertThat(read).isGreaterThan(400);
        assertThat(wide).isEmpty();
    }

    /** Lines of text blocks are as they are. */
    private static List<String> wide(Path file) throws IOException {
        List<String> found = new ArrayList<>();
        boolean block = false;
        List<String> lines = Files.readAllLines(file);
        for (int i = 0; i < lines.size(); i++) {
            boolean mark = lines.get(i).contains("\"\"\"");
            if (!block && !mark && lines.get(i).length() > WIDEST) {
                found.add(file + ":" + (i + 1));
            }
            block = mark != block;
        }
        return found;
    }
}
