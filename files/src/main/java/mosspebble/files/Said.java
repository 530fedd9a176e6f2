package mosspebble.files;

/** Words of a painter or a file, fit to stand in one of our sentences: short, in one line, and never cut inside a letter. */
final class Said {

    private static final String MORE = "…";

    private Said() {}

    /**
     * @param most code points kept; what is longer ends with an ellipsis
     * @return without line breaks, other control characters and quotation marks, which stand around it
     */
    static String shortly(String text, int most) {
        int points = text.codePointCount(0, Math.min(text.length(), 4 * most + 4));
        String kept = points <= most ? text.substring(0, Math.min(text.length(), 4 * most + 4))
                : text.substring(0, text.offsetByCodePoints(0, most));
        String plain = kept.codePoints()
                .map(c -> Character.isISOControl(c) || Character.getType(c) == Character.SURROGATE ? ' ' : c == '"' ? '\'' : c)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append).toString().strip();
        return kept.length() < text.length() ? plain + MORE : plain;
    }

    /** The first code points of a text, for names that are kept. */
    static String first(String text, int most) {
        return text.codePointCount(0, text.length()) <= most ? text : text.substring(0, text.offsetByCodePoints(0, most));
    }
}
