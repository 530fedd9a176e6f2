package mosspebble.core.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.Predicate;
import mosspebble.core.blend.Share;
import mosspebble.core.sketch.PartName;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Words;

/** What the parts of a design are called in steps: each by its name, and by the row it belongs to over all things on the face. */
final class Rows {

    private final Map<String, What.Row> rows = new HashMap<>();

    /** @param painted what counts as one of a row; of what is hidden nobody speaks */
    Rows(PlacedDesign design, Predicate<PlacedPart> painted) {
        Map<String, Integer> sizes = new HashMap<>();
        Map<String, String> keys = new HashMap<>();
        Map<String, String> titles = new HashMap<>();
        List<PlacedItem> items = design.items();
        for (PlacedItem item : items) {
            for (PlacedPart part : item.parts()) {
                String title = title(item, part);
                String key = part.part().role() + " " + (title.isEmpty() ? stem(part) : title);
                keys.put(part.part().id(), key);
                titles.put(part.part().id(), title);
                sizes.merge(key, painted.test(part) ? 1 : 0, Integer::sum);
            }
        }
        for (int i = 0; i < items.size(); i++) {
            for (PlacedPart part : items.get(i).parts()) {
                String id = part.part().id();
                rows.put(id, new What.Row(titles.get(id), i, sizes.get(keys.get(id))));
            }
        }
    }

    What what(What.Of of, PlacedPart part) {
        return new What(of, part.part().title(), Share.WHOLE, List.of(),
                rows.getOrDefault(part.part().id(), What.Row.ALONE));
    }

    private static String stem(PlacedPart part) {
        return PartName.of(part.part().title()).stem();
    }

    /** Where one sort of part takes several colours of its own, each colour's title tells them apart; else empty. */
    private static String title(PlacedItem item, PlacedPart part) {
        String stem = stem(part);
        TreeSet<String> slots = new TreeSet<>();
        int alike = 0;
        for (PlacedPart other : item.parts()) {
            if (other.part().role() == part.part().role() && stem(other).equals(stem)) {
                slots.add(other.part().slot());
                alike++;
            }
        }
        if (slots.size() < 2) {
            return spoken(item, part);
        }
        String word = stem.matches(".+ (of|on) .+") ? stem.replaceAll(" (of|on) .*", "") : Words.plural(stem);
        return item.motif().slots().stream().filter(s -> part.part().slot().equals(item.item().named(s.id()))).map(Slot::title)
                .map(t -> t.replaceAll(",.*", "").toLowerCase(Locale.ROOT)).filter(t -> t.contains(word)).findFirst()
                .orElse(alike > slots.size() ? Words.plural(stem) : "");
    }

    /** Parts of one colour whose names end alike, such as "large spot" and "left spot", are a row by the title of their colour. */
    private static String spoken(PlacedItem item, PlacedPart part) {
        List<PlacedPart> same = item.parts().stream()
                .filter(p -> p.part().slot().equals(part.part().slot()) && p.part().role() == part.part().role()).toList();
        String title = item.motif().slots().stream().filter(s -> part.part().slot().equals(item.item().named(s.id()))).map(Slot::title)
                .map(t -> t.toLowerCase(Locale.ROOT)).findFirst().orElse("");
        boolean alike = same.size() > 1
                && same.stream().map(Rows::stem).allMatch(s -> Words.plural(s.substring(s.lastIndexOf(' ') + 1)).equals(title));
        return alike && same.stream().map(Rows::stem).distinct().count() > 1 ? title : "";
    }
}
