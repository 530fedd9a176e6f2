package mosspebble.files;

import java.util.Locale;

/** Paper for sheets: ISO 216 A4 and US Letter, mm. */
public enum Paper {
    A4("A4", 210, 297),
    LETTER("US Letter", 215.9, 279.4);

    private final String label;
    private final double widthMm;
    private final double heightMm;

    Paper(String label, double widthMm, double heightMm) {
        this.label = label;
        this.widthMm = widthMm;
        this.heightMm = heightMm;
    }

    public String label() {
        return label;
    }

    public double widthMm() {
        return widthMm;
    }

    public double heightMm() {
        return heightMm;
    }

    /** What is usual in a country: Letter in North America and a few others, else A4. */
    public static Paper usualIn(Locale locale) {
        return switch (locale.getCountry()) {
            case "US", "CA", "MX", "PH", "CL", "CO", "VE" -> LETTER;
            default -> A4;
        };
    }
}
