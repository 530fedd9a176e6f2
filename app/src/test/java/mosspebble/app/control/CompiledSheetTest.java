package mosspebble.app.control;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.css.CssParser;
import javafx.css.Stylesheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The toolkit takes the binary form in place of the text: it must say the same. */
class CompiledSheetTest {

    @TempDir
    private Path folder;

    @Test
    void theBinaryFormThatShipsIsThatOfTheSheetThatShips() throws Exception {
        Path text = folder.resolve("a.css");
        Path binary = folder.resolve("a.bss");
        Path shipped = folder.resolve("b.bss");
        try (InputStream sheet = CompiledSheet.class.getResourceAsStream("/mosspebble/app/mosspebble.css");
                InputStream compiled = CompiledSheet.class.getResourceAsStream("/mosspebble/app/mosspebble.bss")) {
            Files.write(text, sheet.readAllBytes());
            Files.write(shipped, compiled.readAllBytes());
        }
        CompiledSheet.main(new String[] {text.toString(), binary.toString()});
        assertThat(rules(shipped)).hasSizeGreaterThan(200).isEqualTo(rules(binary));
        assertThat(rules(shipped)).as("read as text").hasSameSizeAs(new CssParser().parse(text.toUri().toURL()).getRules());
    }

    private static List<String> rules(Path binary) throws Exception {
        return Stylesheet.loadBinary(binary.toUri().toURL()).getRules().stream().map(Object::toString).toList();
    }
}
