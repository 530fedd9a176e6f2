package mosspebble.core.sketch;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The name of a part by the rules that motifs and lettering keep to, so that parts that belong together can be named together: a side
 * ("left eye"), a number in a row ("ray 3"), a letter in a line ("first L", "A in LANTERN", "last N").
 *
 * @param stem without side and number
 * @param side where there is one
 * @param letterOf the line that a letter stands in; empty text where its name does not tell; absent where it is no letter
 * @param with what goes with a letter, "shade of" or "light in"; else empty
 */
public record PartName(String stem, Optional<Side> side, Optional<String> letterOf, String with) {

    /** Left or right. */
    public enum Side { LEFT, RIGHT }

    private static final Pattern SIDED = Pattern.compile("(left|right) (.+)");
    private static final Pattern NUMBERED = Pattern.compile("(.+?) \\d+");
    private static final Pattern LETTER = Pattern.compile("(?:(shade of|light in) the )?(?:(?:first|last) \\S{1,2}|\\S{1,2} in (.+))");

    /** The name of a letter: where it stands in its line. */
    static String ofLetter(String letter, String line, boolean first, boolean last) {
        return last && !first ? "last " + letter : first ? "first " + letter : letter + " in " + line;
    }

    /** Takes a name apart. */
    public static PartName of(String name) {
        Matcher letter = LETTER.matcher(name);
        if (letter.matches()) {
            return new PartName(name, Optional.empty(), Optional.of(Optional.ofNullable(letter.group(2)).orElse("")),
                    Optional.ofNullable(letter.group(1)).orElse(""));
        }
        Matcher sided = SIDED.matcher(name);
        Optional<Side> side = sided.matches() ? Optional.of(sided.group(1).equals("left") ? Side.LEFT : Side.RIGHT) : Optional.empty();
        String rest = sided.matches() ? sided.group(2) : name;
        Matcher numbered = NUMBERED.matcher(rest);
        return new PartName(numbered.matches() ? numbered.group(1) : rest, side, Optional.empty(), "");
    }
}
