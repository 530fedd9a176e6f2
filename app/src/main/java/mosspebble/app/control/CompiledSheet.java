package mosspebble.app.control;

import java.io.File;
import java.io.IOException;
import javafx.css.Stylesheet;

/** Puts the style sheet into the toolkit's own binary form, which it takes in place of the text beside it and need not parse at a start. */
public final class CompiledSheet {

    private CompiledSheet() {}

    /** @param args the style sheet, and where its binary form is written: called by the build */
    public static void main(String[] args) throws IOException {
        Stylesheet.convertToBinary(new File(args[0]), new File(args[1]));
    }
}
