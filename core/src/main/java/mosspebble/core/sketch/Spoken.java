package mosspebble.core.sketch;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** A subject asked for in a few words: "ring of 24 dots", "word quillbeck", "walking dots", "8 petals". */
public final class Spoken {

    private static final Pattern DOTS = Pattern
            .compile("(?:(?:ring|border) of )?(?:(\\d{1,3}) )?(equal|alternating|shrinking|walking|dragged)? ?dots?");
    private static final Pattern WORD = Pattern.compile("words? (.+)", Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    private static final Pattern COUNTED = Pattern.compile("(\\d{1,2}) ([a-z]{3,})(?: .*)?");

    private Spoken() {}

    /** What was understood, and its name. */
    public record Understood(Subject subject, String title) {}

    /**
     * @param face of words
     * @param families whose main count may be named before them
     */
    public static Optional<Understood> understood(String text, String face, List<Family> families) {
        String plain = text.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        Matcher dots = DOTS.matcher(plain);
        if (dots.matches()) {
            return dots(dots);
        }
        Matcher word = WORD.matcher(text.strip());
        if (word.matches()) {
            String written = word.group(1).strip();
            return written.codePointCount(0, written.length()) <= Subject.Word.MOST_LETTERS
                    ? Optional.of(new Understood(new Subject.Word(List.of(written), face), "Word: " + written)) : Optional.empty();
        }
        Matcher counted = COUNTED.matcher(plain);
        if (counted.matches()) {
            return families.stream().filter(f -> f.title().toLowerCase(Locale.ROOT).contains(counted.group(2).replaceAll("s$", "")))
                    .flatMap(f -> counted(f, counted)).findFirst();
        }
        return Optional.empty();
    }

    private static Optional<Understood> dots(Matcher dots) {
        int count = dots.group(1) == null ? 0 : Integer.parseInt(dots.group(1));
        if (count != 0 && (count < 3 || count > DotRing.MOST)) {
            return Optional.empty();
        }
        Subject.Series series = dots.group(2) == null ? Subject.Series.EQUAL
                : Subject.Series.valueOf(dots.group(2).toUpperCase(Locale.ROOT));
        Subject.Dots usual = Subject.Dots.usual();
        String kind = series == Subject.Series.EQUAL ? "" : dots.group(2) + " ";
        return Optional.of(new Understood(
                usual.withCounted(new Subject.Dots.Count(count, true, false)).withShrink(new Subject.Dots.Shrink(series, usual.ratio())),
                count == 0 ? "Border of " + kind + "dots" : "Ring of " + count + " " + kind + "dots"));
    }

    private static Stream<Understood> counted(Family family, Matcher counted) {
        int count = Integer.parseInt(counted.group(1));
        return family.dials().stream()
                .filter(d -> d.whole() && count >= d.low() && count <= d.high()
                        && d.title().toLowerCase(Locale.ROOT).startsWith(counted.group(2).substring(0, 3)))
                .limit(1).map(d -> new Understood(new Subject.Pattern(family.id(), Map.of(d.id(), (double) count)),
                        count + " " + counted.group(2) + ": " + family.title()));
    }
}
