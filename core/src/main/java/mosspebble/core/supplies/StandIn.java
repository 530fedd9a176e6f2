package mosspebble.core.supplies;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.colour.Shelf;

/**
 * What could stand in for a paint that does not reach: for a paint the nearest mix of what the other jars can spare, for a pen the nearest
 * other pen.
 *
 * @param mix of paints of which enough is left when all that is planned is painted
 * @param difference to the paint it stands for, CIEDE2000
 */
public record StandIn(Mix mix, double difference) {

    /** Mixes that are looked at, the nearest first. */
    private static final int TRIED = 60;
    /** A hand counts no more parts. */
    private static final int MOST_PARTS = 6;
    /** What differs by more is another colour and stands for nothing. */
    private static final double ANOTHER_COLOUR = 25;

    /**
     * @param jars all that is planned takes of the shelf
     * @return empty where the paint reaches, is no colour (a sealer, a medium), or nothing on the shelf comes near
     */
    public static Optional<StandIn> of(Jar missing, List<Jar> jars, Shelf shelf) {
        Optional<Paint> paint = shelf.find(missing.paint());
        if (missing.missing().value() <= 0 || paint.isEmpty() || paint.get().kind().clear()) {
            return Optional.empty();
        }
        Map<String, Jar> byPaint = jars.stream().collect(Collectors.toMap(Jar::paint, Function.identity()));
        Palette all = new Palette(shelf);
        Optional<Palette.Colour> wanted = all.colour(Mix.of(missing.paint()));
        if (wanted.isEmpty()) {
            return Optional.empty();
        }
        double needed = missing.missing().value();
        if (paint.get().kind().pen()) {
            return shelf.paints().stream().filter(p -> p.kind() == paint.get().kind() && !p.id().equals(missing.paint()))
                    .filter(p -> spare(p, byPaint) >= needed)
                    .flatMap(p -> all.colour(Mix.of(p.id())).stream())
                    .map(c -> new StandIn(c.mix(), c.lab().differenceTo(wanted.get().lab())))
                    .filter(s -> s.difference <= ANOTHER_COLOUR).min(Comparator.comparingDouble(StandIn::difference));
        }
        if (!paint.get().kind().mixable() || !paint.get().kind().does(PaintKind.Use.FILLS)) {
            return Optional.empty();
        }
        Palette others = new Palette(shelf.without(missing.paint()));
        return RecipeSearch.best(wanted.get().lab(), others, MOST_PARTS, 3, TRIED).stream()
                .filter(r -> r.difference() <= ANOTHER_COLOUR).filter(r -> reaches(r.mix(), needed, byPaint, shelf)).findFirst()
                .map(r -> new StandIn(r.mix(), r.difference()));
    }

    private static boolean reaches(Mix mix, double ml, Map<String, Jar> jars, Shelf shelf) {
        return mix.parts().stream().allMatch(part -> shelf.find(part.paint())
                .filter(p -> spare(p, jars) >= ml * part.parts() / mix.totalParts()).isPresent());
    }

    /** What is left of a paint when all that is planned is painted, ml. */
    private static double spare(Paint paint, Map<String, Jar> jars) {
        return Optional.ofNullable(jars.get(paint.id())).map(j -> j.after().value()).orElse(paint.left().value());
    }
}
