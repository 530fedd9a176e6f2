package mosspebble.app.control;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.paint.Color;
import mosspebble.core.colour.ColourVision;
import mosspebble.core.project.Studio;
import mosspebble.core.units.Srgb;

/**
 * A colour by role, as the style sheet has it, for what is drawn by hand on a canvas and cannot be styled. The style sheet is the only
 * place where such a colour is written down.
 */
public enum Token {
    INK, QUIET, MOSS, DEEP_MOSS, LINEN, STITCH, PAPER, CLAY,
    /** Stitches of the hem, and the figures along it. */
    HEM, HEM_INK,
    /** What is drawn over the stone's picture: white chalk, graphite, the dark below chalk, a knob's rim, a point taken. */
    CHALK, GRAPHITE, UNDER_CHALK, RIM, TAKEN,
    /** A line on a photo, a line that only a ruler thinks straight, the place of a mistake. */
    PHOTO_LINE, RULED, MEND,
    /** The slice: behind it, its lines, clear coats, the shine of wet paint. */
    SLICE, SLICE_LINE, CLEAR, SHINE,
    /** Ink on a pale coat and on a dark one, whatever the theme. */
    ON_PALE, ON_DARK,
    /** A part whose colour is not known. */
    UNKNOWN,
    /** What darkens what lies below it. */
    SHADOW,
    /** A card for drawdowns: its white half, its black half, the rim of what is clear. */
    CARD_WHITE, CARD_BLACK, CARD_CLEAR;

    private static final String SHEET = "/mosspebble/app/mosspebble.css";
    private static final Pattern ENTRY = Pattern.compile("-mp-([a-z-]+):\\s*(#[0-9A-Fa-f]{6,8})\\s*;");
    private static final Map<String, Color> DAY = read(".root, .shell {");
    private static final Map<String, Color> EVENING = read(".shell.evening {");
    private static final Map<String, Color> CONTRAST = read(".shell.contrast {");
    private static final Map<String, Color> EVENING_CONTRAST = read(".shell.evening.contrast {");

    /** How light the screen is, and whether ink is black or white on plain grounds. */
    public record Theme(boolean evening, boolean contrast) {
        public static Theme of(Studio studio) {
            return new Theme(studio.evening(), studio.view().comfort().contrast());
        }
    }

    /** By day; the same in the evening for what lies on the painter's colours. */
    public Color colour() {
        return colour(new Theme(false, false));
    }

    /** By day. @param share of the colour that covers, 0 to 1 */
    public Color colour(double share) {
        return colour(new Theme(false, false), share);
    }

    public Color colour(Theme theme) {
        String name = name().toLowerCase(Locale.ROOT).replace('_', '-');
        Color plain = theme.evening ? EVENING.getOrDefault(name, DAY.get(name)) : DAY.get(name);
        Color colour = theme.contrast ? (theme.evening ? EVENING_CONTRAST : CONTRAST).getOrDefault(name, plain) : plain;
        if (colour == null) {
            throw new IllegalStateException("the style sheet has no colour -mp-" + name);
        }
        return colour;
    }

    /** The ink that stands out more on a painter's colour. */
    public static Token on(Srgb ground) {
        return ColourVision.contrast(ON_DARK.code(), ground) > ColourVision.contrast(ON_PALE.code(), ground) ? ON_DARK : ON_PALE;
    }

    private Srgb code() {
        Color colour = colour();
        return new Srgb((int) Math.round(255 * colour.getRed()), (int) Math.round(255 * colour.getGreen()),
                (int) Math.round(255 * colour.getBlue()));
    }

    /** @param share of the colour that covers, 0 to 1 */
    public Color colour(Theme theme, double share) {
        Color whole = colour(theme);
        return Color.color(whole.getRed(), whole.getGreen(), whole.getBlue(), share);
    }

    private static Map<String, Color> read(String block) {
        try (InputStream in = Token.class.getResourceAsStream(SHEET)) {
            String sheet = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            int from = sheet.indexOf(block);
            Matcher entries = ENTRY.matcher(sheet.substring(from, sheet.indexOf('}', from)));
            Map<String, Color> found = new HashMap<>();
            while (entries.find()) {
                found.put(entries.group(1), Color.web(entries.group(2)));
            }
            return found;
        } catch (IOException e) {
            throw new UncheckedIOException("the style sheet cannot be read", e);
        }
    }
}
