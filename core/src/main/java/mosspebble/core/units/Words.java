package mosspebble.core.units;

import java.util.List;
import java.util.Map;

/** Small changes to words. */
public final class Words {

    private static final List<String> ORDINALS = List.of("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth",
            "ninth");
    private static final List<String> NUMBERS = List.of("one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten",
            "eleven", "twelve");
    private static final Map<String, String> IRREGULAR = Map.of("foot", "feet", "leaf", "leaves", "tooth", "teeth", "half", "halves",
            "shelf",
            "shelves", "wolf", "wolves", "fish", "fish");

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

    /** "first", "second" ... up to "ninth", then "10th". */
    public static String ordinal(int number) {
        return number >= 1 && number <= ORDINALS.size() ? ORDINALS.get(number - 1) : number + "th";
    }

    /** "two", "three" ... up to "twelve", then figures. */
    public static String number(int number) {
        return number >= 1 && number <= NUMBERS.size() ? NUMBERS.get(number - 1) : String.valueOf(number);
    }

    /** More than one of a thing, by the usual endings. */
    public static String plural(String one) {
        for (Map.Entry<String, String> irregular : IRREGULAR.entrySet()) {
            if (one.equals(irregular.getKey()) || one.endsWith(" " + irregular.getKey())) {
                return one.substring(0, one.length() - irregular.getKey().length()) + irregular.getValue();
            }
        }
        if (one.matches(".*[^sui]s")) {
            return one; // it is more than one already: feathers, whiskers
        }
        return one.matches(".*(s|x|z|ch|sh)") ? one + "es" : one.matches(".*[^aeiou]y") ? one.substring(0, one.length() - 1) + "ies"
                : one + "s";
    }

    /** The same text, but that no line of it ends between a number and its unit. */
    public static String unitsKept(String text) {
        return text.replaceAll("(\\d) (?=\\p{L})", "$1\u00a0");
    }

    /** "this", "this and that", "this, that and the other". */
    public static String list(List<String> all) {
        return all.size() < 2 ? String.join("", all)
                : String.join(", ", all.subList(0, all.size() - 1)) + " and " + all.get(all.size() - 1);
    }
}
