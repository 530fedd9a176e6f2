package mosspebble.core.units;

import java.util.Locale;

/** A display colour code, IEC 61966-2-1 sRGB, 8 bits a channel. What it means as light is decided in the colour stage. */
public record Srgb(int red, int green, int blue) {

    /** @throws IllegalArgumentException if a channel is not 0 to 255 */
    public Srgb {
        if ((red & ~255 | green & ~255 | blue & ~255) != 0) {
            throw new IllegalArgumentException("sRGB channels must be 0 to 255, were " + red + ", " + green + ", " + blue);
        }
    }

    /** @param hex six hexadecimal digits with or without #, such as {@code #8a7f6c} */
    public static Srgb ofHex(String hex) {
        String digits = hex.startsWith("#") ? hex.substring(1) : hex;
        if (!digits.matches("[0-9a-fA-F]{6}")) {
            throw new IllegalArgumentException("a colour code is # and six hexadecimal digits such as #8a7f6c, was " + hex);
        }
        return ofRgb(Integer.parseInt(digits, 16));
    }

    /** @param rgb 0xRRGGBB; higher bits are ignored */
    public static Srgb ofRgb(int rgb) {
        return new Srgb(rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255);
    }

    public int rgb() {
        return red << 16 | green << 8 | blue;
    }

    public String hex() {
        return String.format(Locale.ROOT, "#%06x", rgb());
    }
}
