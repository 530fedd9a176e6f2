package mosspebble.app.control;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.text.Font;
import mosspebble.core.project.Studio;

/** Words larger than usual: the style sheet's own sizes, and those of what is drawn by hand. */
public final class TextSize {

    /** Rules with nothing nested, as our sheet has them: what they are for, and what they say. */
    private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)\\}");
    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
    /** Sizes that grow with the words in them. */
    private static final Pattern SIZE = Pattern.compile("(-fx-(?:font-size|(?:min|pref|max)-(?:height|width))):\\s*([0-9.]+)(?:px)?\\s*;");

    /** Rules that say nothing of words, but how much room these have. */
    private static final Set<String> ROOM = Set.of(".tray", ".jar", ".hem-foot", ".planks-card", ".planks-title", ".basket-card",
            ".book-card", ".book-name",
            ".sitting-row");

    /** Words that are large already, px, grow by half. */
    private static final double LARGE = 26;

    /** What stands in a column moves closer together where its words need the room. */
    private static final String CLOSER = ".stage-head { -fx-padding: 4 16 2 16; }\n"
            + ".panel { -fx-spacing: 4; -fx-padding: 0 16 4 16; }\n.matter { -fx-spacing: 5; }\n";

    private TextSize() {}

    /** How much larger than usual words are. */
    public static double of(Studio studio) {
        return studio.view().comfort().textPercent() / 100.0;
    }

    /** How much wider than usual columns are: lines hold fewer words then, but the cloth keeps its room. */
    public static double column(Studio studio) {
        return 1 + 0.65 * (of(studio) - 1);
    }

    /** The font of what is drawn by hand. @param size usual size, px */
    public static Font font(Studio studio, double size) {
        return Font.font("Atkinson Hyperlegible", size * of(studio));
    }

    /** A style sheet to lie over the usual one, as a data URI. @param percent 100 to 200 */
    public static String sheet(int percent) {
        byte[] words = (larger(usual(), percent / 100.0) + CLOSER).getBytes(StandardCharsets.UTF_8);
        return "data:text/css;base64," + Base64.getEncoder().encodeToString(words);
    }

    /** Every rule of a sheet that says how large words are, with its sizes so many times as large; nothing else. */
    static String larger(String sheet, double times) {
        StringBuilder larger = new StringBuilder();
        Matcher rules = RULE.matcher(COMMENT.matcher(sheet).replaceAll(""));
        while (rules.find()) {
            boolean words = rules.group(2).contains("-fx-font-size") || ROOM.contains(rules.group(1).strip());
            boolean farOff = rules.group(1).contains("work-"); // to be read from 1.5 m: as large as its view lets it
            boolean onPath = rules.group(1).contains(".path-"); // its pebbles stay as large as they are
            if (words && !farOff) {
                larger.append(rules.group(1).strip()).append(" {");
                Matcher sizes = SIZE.matcher(rules.group(2) + ";");
                while (sizes.find()) {
                    double size = Double.parseDouble(sizes.group(2));
                    boolean large = "-fx-font-size".equals(sizes.group(1)) && size >= LARGE;
                    double grown = onPath ? (2 + times) / 3 : large ? (1 + times) / 2 : times;
                    larger.append(String.format(Locale.ROOT, " %s: %.1fpx;", sizes.group(1), size * grown));
                }
                larger.append(" }\n");
            }
        }
        return larger.toString();
    }

    private static String usual() {
        try (InputStream in = TextSize.class.getResourceAsStream("/mosspebble/app/mosspebble.css")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("the style sheet cannot be read", e);
        }
    }
}
