package mosspebble.core.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Srgb;

/**
 * What to buy so that a wanted colour comes nearer: each of some usual strong colours is tried beside the shelf, and the one that helps
 * most is named.
 */
public final class Closer {

    /** Plain colours that shops have; opaque as their pigments usually are (common practice, no source). */
    private static final List<Paint> USUAL = List.of(paint("clean white", "#fbfaf5", 0.88), paint("bright yellow", "#ffdf00", 0.68),
            paint("warm yellow", "#ffb300", 0.75), paint("bright orange", "#f26b0f", 0.85),
            paint("clear red", "#d4141c", 0.88), paint("deep red", "#8e1020", 0.92), paint("clean pink", "#f07fa8", 0.85),
            paint("magenta", "#b5106c", 0.85), paint("violet", "#5a2382", 0.9),
            paint("deep blue", "#162f8a", 0.92), paint("clear blue", "#0b63c4", 0.9), paint("turquoise", "#0a9aa5", 0.85),
            paint("pale sky blue", "#a9d6f0", 0.85), paint("cold green", "#00704a", 0.9),
            paint("leaf green", "#3f9b2f", 0.85), paint("yellow green", "#b4cf28", 0.75), paint("ochre", "#c28a2c", 0.9),
            paint("red brown", "#7a3a20", 0.95), paint("black", "#141416", 0.99));

    private static final double WORTH = 1;

    private Closer() {}

    private static Paint paint(String name, String hex, double hiding) {
        return Paint.usual(Paint.idOf("new " + name), name, PaintKind.BRUSH, Srgb.ofHex(hex), new Millilitres(0)).withHiding(hiding,
                Opacity.SPREAD);
    }

    /**
     * @param paint to be bought
     * @param recipe with it
     */
    public record Purchase(Paint paint, RecipeSearch.Recipe recipe, String words) {}

    /** The purchase that brings the wanted colour nearest; empty if none brings it nearer by 1 (CIEDE2000). */
    public static Optional<Purchase> of(Lab wanted, Palette palette, int mostParts) {
        double now = RecipeSearch.nearest(wanted, palette, mostParts, 3).map(RecipeSearch.Recipe::difference)
                .orElse(Double.POSITIVE_INFINITY);
        Purchase best = null;
        for (Paint each : USUAL) {
            List<Paint> more = new ArrayList<>(palette.shelf().paints());
            more.removeIf(p -> p.id().equals(each.id()));
            more.add(each);
            Palette with = new Palette(new Shelf(more));
            Optional<RecipeSearch.Recipe> recipe = RecipeSearch.nearestWith(each.id(), wanted, with, mostParts, 3);
            if (recipe.isPresent() && recipe.get().difference() < now - WORTH
                    && (best == null || recipe.get().difference() < best.recipe.difference())) {
                best = new Purchase(each, recipe.get(), with.shelf().words(recipe.get().mix()));
            }
        }
        return Optional.ofNullable(best);
    }
}
