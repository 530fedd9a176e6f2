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
    void theBinaryFormsThatShipAreThoseOfTheSheetThatShipsAndOfTheToolkits() throws Exception {
        Path text = folder.resolve("a.css");
        Path binary = folder.resolve("a.bss");
        Path toolkit = folder.resolve("t.bss");
        try (InputStream sheet = CompiledSheet.class.getResourceAsStream("/mosspebble/app/mosspebble.css")) {
            Files.write(text, sheet.readAllBytes());
        }
        CompiledSheet.main(new String[] {text.toString(), binary.toString(), toolkit.toString()});
        assertThat(rules(shipped("mosspebble.bss"))).hasSizeGreaterThan(200).isEqualTo(rules(binary));
        assertThat(rules(binary)).as("read as text").hasSameSizeAs(new CssParser().parse(text.toUri().toURL()).getRules());
        assertThat(rules(shipped("toolkit.bss"))).hasSizeGreaterThan(100).isEqualTo(rules(toolkit));
    }

    private Path shipped(String name) throws Exception {
        Path copy = folder.resolve("shipped-" + name);
        try (InputStream compiled = CompiledSheet.class.getResourceAsStream("/mosspebble/app/" + name)) {
            Files.write(copy, compiled.readAllBytes());
        }
        return copy;
    }

    private static List<String> rules(Path binary) throws Exception {
        return Stylesheet.loadBinary(binary.toUri().toURL()).getRules().stream().map(Object::toString).toList();
    }
}
