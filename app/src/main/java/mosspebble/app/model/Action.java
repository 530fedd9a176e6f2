package mosspebble.app.model;

import java.util.List;
import java.util.Locale;
import java.util.function.BooleanSupplier;

/**
 * Something that can be done: by name in the command field, by key, by button.
 *
 * @param name as it stands in the command field
 * @param synonyms other words by which it is found
 * @param key as it is written beside it, such as "F", "Shift F", "Ctrl Z", "Delete", "?"; empty for none
 * @param where whether its key acts now; by name it can always be done
 */
public record Action(String name, List<String> synonyms, String key, BooleanSupplier where, Runnable run) {

    public Action {
        synonyms = List.copyOf(synonyms);
    }

    public static Action of(String name, Runnable run) {
        return new Action(name, List.of(), "", () -> true, run);
    }

    public Action key(String newKey) {
        return new Action(name, synonyms, newKey, where, run);
    }

    /** Also found under these words. */
    public Action also(String... words) {
        return new Action(name, List.of(words), key, where, run);
    }

    /** Its key acts only there. */
    public Action where(BooleanSupplier newWhere) {
        return new Action(name, synonyms, key, newWhere, run);
    }

    /** Whether all words stand in its name or its synonyms. */
    public boolean isFoundBy(String words) {
        String all = (name + " " + String.join(" ", synonyms)).toLowerCase(Locale.ROOT);
        for (String word : words.toLowerCase(Locale.ROOT).strip().split("\\s+")) {
            if (!all.contains(word)) {
                return false;
            }
        }
        return true;
    }
}
