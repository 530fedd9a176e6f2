package mosspebble.app.control;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.css.Stylesheet;

/** Puts style sheets into the toolkit's own binary form, which it takes in place of the text beside it and need not parse at a start. */
public final class CompiledSheet {

    private CompiledSheet() {}

    /** @param args our style sheet, where its binary form is written, and where that of the toolkit's: called by the build */
    public static void main(String[] args) throws IOException {
        Stylesheet.convertToBinary(new File(args[0]), new File(args[1]));
        Path text = Files.createTempFile("toolkit", ".css");
        try {
            Files.writeString(text, ToolkitSheet.without(ToolkitSheet.whole()));
            Stylesheet.convertToBinary(text.toFile(), new File(args[2]));
        } finally {
            Files.delete(text);
        }
    }
}
