package mosspebble.core.advice;

import java.util.LinkedHashMap;
import java.util.Map;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Slot;

/** What the program proposes before the painter decides. */
public final class Proposals {

    private static final int MOST_PARTS = 6;

    private Proposals() {}

    /** For each slot of a thing the nearest mix of up to two paints on the shelf; for slots of lines only the nearest pen. */
    public static Map<String, Mix> nearest(Motif motif, Item item, Palette palette) {
        Map<String, Mix> colours = new LinkedHashMap<>();
        for (Slot slot : motif.slots()) {
            Lab wish = Lab.of(slot.wish());
            boolean linesOnly = motif.parts().stream().filter(p -> p.slot().equals(slot.id())).noneMatch(MotifPart::isArea);
            RecipeSearch.nearest(wish, palette, MOST_PARTS, 2).ifPresent(recipe -> colours.put(item.named(slot.id()), recipe.mix()));
            if (linesOnly) {
                palette.shelf().that(PaintKind.Use.DRAWS).stream().map(p -> palette.colour(Mix.of(p.id())).orElseThrow())
                        .min((a, b) -> Double.compare(a.lab().differenceTo(wish), b.lab().differenceTo(wish)))
                        .ifPresent(pen -> colours.put(item.named(slot.id()), pen.mix()));
            }
        }
        return colours;
    }
}
