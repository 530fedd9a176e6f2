package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.scene.paint.Color;
import mosspebble.app.control.Token;
import mosspebble.app.control.Token.Theme;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The style sheet is the one place where the interface's colours are written down. */
class TokenTest {

    private static final Theme DAY = new Theme(false, false);
    private static final Theme EVENING = new Theme(true, false);
    private static final Pattern CODE = Pattern.compile("Color\\.(web|rgb|color)\\(\"?[#0-9]");

    @Test
    void everyTokenStandsInTheStyleSheet() {
        for (Token token : Token.values()) {
            assertThat(token.colour()).as(token.name()).isNotNull();
            assertThat(token.colour(EVENING)).as(token.name() + " in the evening").isNotNull();
        }
        assertThat(Token.INK.colour(DAY)).isNotEqualTo(Token.INK.colour(EVENING));
        assertThat(Token.CHALK.colour(EVENING)).as("chalk is chalk at any hour").isEqualTo(Token.CHALK.colour(DAY));
        assertThat(Token.CHALK.colour(DAY, 0.5).getOpacity()).isEqualTo(0.5);
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
        for (Theme theme : List.of(DAY, EVENING, new Theme(false, true), new Theme(true, true))) {
            double least = theme.contrast() ? 7 : 4.5; // 1.4.6, enhanced: 7 to 1
            assertThat(contrast(Token.INK.colour(theme), Token.SLICE.colour(theme))).isGreaterThan(least);
            assertThat(contrast(Token.QUIET.colour(theme), Token.SLICE.colour(theme))).isGreaterThan(least);
            assertThat(contrast(Token.HEM_INK.colour(theme), Token.LINEN.colour(theme))).isGreaterThan(least);
        }
        assertThat(contrast(Token.ON_PALE.colour(), Token.CHALK.colour())).isGreaterThan(4.5);
    }

    @Test
    @Tag("outside") // WCAG 2.2, success criterion 1.4.3: at least 4.5 to 1 for text
    void figuresOnACoatStandOutWhateverItsColour() {
        for (int red = 0; red <= 255; red += 15) {
            for (int green = 0; green <= 255; green += 15) {
                for (int blue = 0; blue <= 255; blue += 15) {
                    Srgb coat = new Srgb(red, green, blue);
                    assertThat(contrast(Token.on(coat).colour(), Color.rgb(red, green, blue))).as(coat.hex()).isGreaterThanOrEqualTo(4.5);
                }
            }
        }
    }

    /** Letters drawn by hand are as large as those of the style sheet are at least; the figures of a ruler may be smaller. */
    @Test
    void noLettersDrawnByHandAreSmall() throws IOException {
        Pattern font = Pattern.compile("TextSize\\.font\\([^;]*, ([0-9.]+)\\)");
        List<String> found = new ArrayList<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                font.matcher(Files.readString(file)).results().forEach(r -> found.add(file.getFileName() + " " + r.group(1)));
            }
        }
        assertThat(found).contains("Hem.java 10").hasSizeGreaterThan(4);
        assertThat(found).filteredOn(f -> Double.parseDouble(f.split(" ")[1]) < 12).containsExactly("Hem.java 10");
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
