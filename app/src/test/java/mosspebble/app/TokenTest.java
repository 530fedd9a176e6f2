package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.scene.paint.Color;
import mosspebble.app.control.Token;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The style sheet is the one place where the interface's colours are written down. */
class TokenTest {

    private static final Pattern CODE = Pattern.compile("Color\\.(web|rgb|color)\\(\"?[#0-9]");

    @Test
    void everyTokenStandsInTheStyleSheet() {
        for (Token token : Token.values()) {
            assertThat(token.colour()).as(token.name()).isNotNull();
            assertThat(token.colour(true)).as(token.name() + " in the evening").isNotNull();
        }
        assertThat(Token.INK.colour(false)).isNotEqualTo(Token.INK.colour(true));
        assertThat(Token.CHALK.colour(true)).as("chalk is chalk at any hour").isEqualTo(Token.CHALK.colour(false));
        assertThat(Token.CHALK.colour(false, 0.5).getOpacity()).isEqualTo(0.5);
    }

    @Test
    void noClassOfTheInterfaceWritesAColourDown() throws IOException {
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            List<Path> found = files.filter(f -> f.toString().endsWith(".java")).filter(TokenTest::hasCode).toList();
            assertThat(found).isEmpty();
        }
    }

    private static boolean hasCode(Path file) {
        try {
            return CODE.matcher(Files.readString(file)).find();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    @Tag("outside") // WCAG 2.2, success criterion 1.4.3: at least 4.5 to 1 for text
    void inkAndQuietWordsAreReadableOnWhatTheyStandOn() {
        for (boolean evening : new boolean[] {false, true}) {
            assertThat(contrast(Token.INK.colour(evening), Token.SLICE.colour(evening))).isGreaterThan(4.5);
            assertThat(contrast(Token.QUIET.colour(evening), Token.SLICE.colour(evening))).isGreaterThan(4.5);
            assertThat(contrast(Token.HEM_INK.colour(evening), Token.LINEN.colour(evening))).isGreaterThan(4.5);
        }
        assertThat(contrast(Token.ON_PALE.colour(), Token.CHALK.colour())).isGreaterThan(4.5);
    }

    /** WCAG 2.2, contrast ratio of relative luminances. */
    private static double contrast(Color a, Color b) {
        double one = luminance(a);
        double other = luminance(b);
        return (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);
    }

    private static double luminance(Color c) {
        return 0.2126 * linear(c.getRed()) + 0.7152 * linear(c.getGreen()) + 0.0722 * linear(c.getBlue());
    }

    private static double linear(double v) {
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }
}
