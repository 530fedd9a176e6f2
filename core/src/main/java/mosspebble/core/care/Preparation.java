package mosspebble.core.care;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Evaporation;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Numbers;

/** What a bare stone needs before the first pencil line. */
public final class Preparation {

    /** Washing wets pores to this depth, mm (common practice, no source). */
    private static final double WETTED_MM = 3;

    /** Water in pores leaves at this share of the rate of a free surface (common practice, no source). */
    private static final double FROM_PORES = 0.35;

    /** Holes and cracks deeper than this are filled, mm (common practice, no source). */
    public static final double FILLED_MM = 0.8;

    private static final Duration MOST = Duration.ofDays(5);

    /** One thing to do: what, why, how long the hand takes, how long it waits. */
    public record Step(String title, String sentence, String reason, String tool, Duration hand, Duration waits) {}

    private Preparation() {}

    public static List<Step> of(Survey survey, Climate climate) {
        Stone stone = survey.stone();
        List<Step> steps = new ArrayList<>();
        if (stone.rock().isCast()) {
            steps.add(new Step("Let the cast stone dry", "Stand it on edge in moving air; weigh it every day until the mass is steady.",
                    "A fresh cast holds mixing water for days; paint over it peels. Plaster dust: mask on when sanding.", "rack, scale", Duration.ofMinutes(5), Duration.ofDays(3)));
        }
        if (stone.skin().loose() || stone.texture() == Texture.ROUGH) {
            steps.add(new Step("Brush off loose grains", "Brush dry in all directions until nothing comes off.", stone.skin().loose() ? "Grains rub off this stone and would take the paint along."
                    : "Rough stone holds dust in its pits.", "stiff brush", Duration.ofMinutes(4), Duration.ZERO));
        }
        Duration dry = dryAfterWashing(stone, climate);
        steps.add(new Step("Wash and dry the stone", "Wash with soap and water, rinse, let it dry through.", "Dirt, salt and damp under paint make it peel. With " + Numbers.text(100 * stone.porosity(), 0)
                + " % pores, at " + climate.temperature() + " and " + Numbers.text(100 * climate.humidity(), 0) + " % humidity, it dries in about " + hours(dry) + ".",
                "soap, brush, cloth", Duration.ofMinutes(5), dry));
        if (stone.skin().sealed()) {
            steps.add(new Step("Dull the old sealer", "Rub with fine paper until the shine is gone, wipe clean.", "Paint does not grip a sealed, smooth skin.", "fine sandpaper, cloth", Duration.ofMinutes(6), Duration.ofMinutes(15)));
        }
        List<Patch> deep = survey.dome().patches().stream().filter(p -> (p.kind() == Patch.Kind.HOLE || p.kind() == Patch.Kind.CRACK) && p.depthMm() >= FILLED_MM).toList();
        if (!deep.isEmpty()) {
            double millilitres = deep.stream().mapToDouble(Preparation::volumeMm3).sum() / 1000;
            steps.add(new Step("Fill " + (deep.size() == 1 ? "the " + deep.get(0).kind().label() : deep.size() + " holes and cracks"), "Press in filler or thick gesso, about " + Numbers.text(millilitres, 1)
                    + " ml, in layers of at most 2 mm; level it.", "Paint bridges a " + Numbers.text(deep.stream().mapToDouble(Patch::depthMm).max().orElse(0), 1)
                    + " mm hollow and cracks there.", "palette knife", Duration.ofMinutes(4L * deep.size()), Duration.ofHours(3)));
        }
        return steps;
    }

    /** Volume of a mark, mm3: a bowl of radius R and depth d holds {@code pi R^2 d / 3}, a crack its section {@code 16/15 R d} along its length. */
    private static double volumeMm3(Patch patch) {
        if (patch.kind() == Patch.Kind.CRACK) {
            return 16.0 / 15 * patch.radiusMm() * patch.depthMm() * Math.hypot(patch.toX() - patch.x(), patch.toY() - patch.y());
        }
        return Math.PI * patch.radiusMm() * patch.radiusMm() * patch.depthMm() * (patch.kind() == Patch.Kind.HOLE ? 0.7 : 1 / 3.0);
    }

    /**
     * Time until a washed stone is dry: the water in the wetted skin over the evaporation of the room (Carrier), slowed as it comes out of pores, and a quarter of an hour for the film on top.
     */
    public static Duration dryAfterWashing(Stone stone, Climate climate) {
        double grams = stone.skin().sealed() ? 0 : 1000 * WETTED_MM * stone.porosity(); // per m2
        double rate = Evaporation.rate(climate, climate.temperature());
        double seconds = rate > 0 ? 900 + grams / (rate * FROM_PORES) : Double.POSITIVE_INFINITY;
        return seconds < MOST.toSeconds() ? Duration.ofMinutes(Math.round(seconds / 60)) : MOST;
    }

    private static String hours(Duration duration) {
        double hours = duration.toMinutes() / 60.0;
        return hours < 1.5 ? duration.toMinutes() + " min" : Numbers.text(hours, 0) + " h";
    }
}
