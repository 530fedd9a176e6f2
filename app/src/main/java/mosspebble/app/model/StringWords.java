package mosspebble.app.model;

/** Small changes to words. */
public final class StringWords {

    private StringWords() {}

    /** With a capital. */
    public static String upper(String text) {
        return text.isEmpty() ? text : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    /** With a capital and a full stop. */
    public static String sentence(String text) {
        return text.isEmpty() ? text : upper(text) + (text.endsWith(".") ? "" : ".");
    }
}
