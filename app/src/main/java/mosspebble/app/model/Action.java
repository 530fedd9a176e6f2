package mosspebble.app.model;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.BooleanSupplier;

/**
 * Something that can be done: by name in the drawer, by key, by button.
 *
 * @param name as it stands in the drawer
 * @param synonyms other words by which it is found
 * @param key as it is written beside it, such as "F", "Shift F", "Ctrl Z", "Delete", "?"; empty for none
 * @param group of the drawer, such as the stage it belongs to; empty for what is at home nowhere
 * @param where whether its key acts now; by name it can always be done
 */
public record Action(String name, List<String> synonyms, String key, String group, BooleanSupplier where, Runnable run) {

    public Action {
        synonyms = List.copyOf(synonyms);
    }

    public static Action of(String name, Runnable run) {
        return new Action(name, List.of(), "", "", () -> true, run);
    }

    public Action key(String newKey) {
        return new Action(name, synonyms, newKey, group, where, run);
    }

    /** Also found under these words. */
    public Action also(String... words) {
        return new Action(name, List.of(words), key, group, where, run);
    }

    /** Its key acts only there. */
    public Action where(BooleanSupplier newWhere) {
        return new Action(name, synonyms, key, group, newWhere, run);
    }

    /** In a group of the drawer. */
    public Action in(String newGroup) {
        return new Action(name, synonyms, key, newGroup, where, run);
    }

    /** Whether all words stand in its name or its synonyms. */
    public boolean isFoundBy(String words) {
        return fit(words) > 0;
    }

    /**
     * How well it is called by some words: 4 where its name begins with them, 3 where each begins a word of its name, 2 where each begins a
     * word of its name or of a synonym, 1 where each stands somewhere in them, else 0.
     */
    public int fit(String words) {
        String own = name.toLowerCase(Locale.ROOT);
        String all = (own + " " + String.join(" ", synonyms)).toLowerCase(Locale.ROOT);
        String asked = words.toLowerCase(Locale.ROOT).strip();
        String[] each = asked.split("\\s+");
        return own.startsWith(asked) ? 4 : begun(own, each) ? 3 : begun(all, each) ? 2 : standing(all, each) ? 1 : 0;
    }

    private static boolean begun(String in, String[] words) {
        String spaced = " " + in.replaceAll("[^\\p{L}\\p{N}/?.]+", " ");
        for (String word : words) {
            if (!spaced.contains(" " + word)) {
                return false;
            }
        }
        return true;
    }

    private static boolean standing(String in, String[] words) {
        for (String word : words) {
            if (!in.contains(word)) {
                return false;
            }
        }
        return true;
    }

    /** How much its name or a synonym looks like a word, 0 to 1: letter pairs they share (L. R. Dice 1945). */
    public double likeness(String word) {
        double most = 0;
        for (String own : (name + " " + String.join(" ", synonyms)).toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+")) {
            Set<String> a = pairs(own);
            Set<String> b = pairs(word.toLowerCase(Locale.ROOT).strip());
            int size = a.size() + b.size();
            a.retainAll(b);
            most = Math.max(most, size == 0 ? 0 : 2.0 * a.size() / size);
        }
        return most;
    }

    private static Set<String> pairs(String word) {
        Set<String> pairs = new HashSet<>();
        for (int i = 0; i + 1 < word.length(); i++) {
            pairs.add(word.substring(i, i + 2));
        }
        return pairs;
    }
}
