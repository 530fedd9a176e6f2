package mosspebble.core.units;

/** Small changes to words. */
public final class Words {

    private Words() {}

    /** With a capital. */
    public static String upper(String text) {
        return text.isEmpty() ? text : text.substring(0, text.offsetByCodePoints(0, 1)).toUpperCase(java.util.Locale.ROOT)
                + text.substring(text.offsetByCodePoints(0, 1));
    }

    /** With a capital and a full stop. */
    public static String sentence(String text) {
        return text.isEmpty() ? text : upper(text) + (text.endsWith(".") ? "" : ".");
    }

    /** A number of coats: "1 coat", "2 coats". */
    public static String coats(int coats) {
        return coats == 1 ? "1 coat" : coats + " coats";
    }
}
