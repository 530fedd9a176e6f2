package mosspebble.torture;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import mosspebble.files.FileTrouble;

/** What every message must be: where, what, what to do, in sentences, without the names of classes. */
final class Clear {

    private static final int LONGEST = 700;
    private static final Pattern INSIDE = Pattern
            .compile("Exception|\\bjava[.x]|mosspebble\\.|\\borg\\.|\\bcom\\.fasterxml|\\bnull\\b|SQLITE_|@[0-9a-f]{6,}|Error:");

    private Clear() {}

    /** What is wrong with it; empty for nothing. */
    static List<String> wrong(FileTrouble e) {
        List<String> wrong = new ArrayList<>();
        String said = e.getMessage();
        String ours = said.startsWith(e.place()) ? said.substring(e.place().length()) : said;
        if (e.place().isBlank()) {
            wrong.add("no place");
        }
        if (!e.found().matches("(?s).*[.!?]") || !e.remedy().matches("(?s).*[.!?]")) {
            wrong.add("no sentences");
        }
        if (INSIDE.matcher(ours.replaceAll("\"[^\"]*\"", "")).find()) { // what is quoted is the file's own
            wrong.add("words from inside the program");
        }
        if (said.length() > LONGEST) {
            wrong.add("too long");
        }
        if (said.codePoints().anyMatch(c -> Character.getType(c) == Character.SURROGATE || Character.isISOControl(c))) {
            wrong.add("half letters");
        }
        return wrong;
    }
}
