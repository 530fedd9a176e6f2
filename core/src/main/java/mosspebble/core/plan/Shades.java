package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;

/**
 * Shades and lights of a colour, in its own family: the colour itself with a touch of something darker or lighter, or its darker neighbour
 * of the same hue; never another hue (common practice, no source).
 */
final class Shades {

    /** A colour of less chroma is grey to the eye; its hue says nothing (common practice, no source). */
    private static final double GREY = 9;

    /** Hues within so many degrees belong to one family (common practice, no source). */
    private static final double FAMILY = 32;

    /** Every degree of hue that a shade strays counts like so much difference (common practice, no source). */
    private static final double STRAYING = 0.25;

    /** So many times the colour as it was mixed to one part of what is added. */
    private static final int MOST_TIMES = 5;

    /** Least difference of lightness that is seen as a shade, L*. */
    private static final double SEEN = 3;

    /** What is as dark as this takes no shade: it would not be seen (common practice, no source), L*. */
    private static final double BLACK = 20;

    private Shades() {}

    /** The colour nearest to what is wanted, darker than the base and of its family; empty if it is near black or the shelf has none. */
    static Optional<Palette.Colour> darker(Palette palette, Palette.Colour base, Lab wanted) {
        return base.lab().l() < BLACK ? Optional.empty() : nearest(palette, base, wanted, true);
    }

    /** The same, lighter. */
    static Optional<Palette.Colour> lighter(Palette palette, Palette.Colour base, Lab wanted) {
        return nearest(palette, base, wanted, false);
    }

    private static Optional<Palette.Colour> nearest(Palette palette, Palette.Colour base, Lab wanted, boolean darker) {
        double sign = darker ? 1 : -1;
        Palette.Colour best = null;
        double least = Double.POSITIVE_INFINITY;
        for (Palette.Colour each : candidates(palette, base)) {
            if (sign * (base.lab().l() - each.lab().l()) < SEEN || !related(base.lab(), each.lab())) {
                continue;
            }
            double cost = each.lab().differenceTo(wanted) + STRAYING * strays(base.lab(), each.lab());
            if (cost < least) {
                least = cost;
                best = each;
            }
        }
        return Optional.ofNullable(best);
    }

    private static List<Palette.Colour> candidates(Palette palette, Palette.Colour base) {
        List<Palette.Colour> found = new ArrayList<>();
        boolean pen = base.mix().parts().stream().anyMatch(p -> palette.shelf().find(p.paint()).filter(Paint::hasNib).isPresent());
        for (Paint paint : palette.shelf().that(PaintKind.Use.FILLS)) {
            palette.colour(Mix.of(paint.id())).ifPresent(found::add);
            if (!pen) { // what is in a pen is not mixed in a dish
                touched(base.mix(), paint.id()).stream().flatMap(m -> palette.colour(m).stream()).forEach(found::add);
            }
        }
        return found;
    }

    /** The mix in its own parts with a touch of another paint, or with a few parts up to as much of it: few enough to be measured. */
    private static List<Mix> touched(Mix base, String paint) {
        boolean held = base.parts().stream().anyMatch(p -> p.paint().equals(paint));
        if (held ? base.isSingle() : base.parts().size() == Mix.MOST_PAINTS) {
            return List.of();
        }
        List<Mix> found = new ArrayList<>();
        int own = base.totalParts();
        for (int times = 1; times <= MOST_TIMES; times++) {
            for (int touch = 1; touch <= (times == 1 ? own : 1) && times * own + touch <= Mix.MEASURED_PARTS; touch++) {
                Map<String, Integer> counts = new LinkedHashMap<>();
                for (Mix.Part part : base.parts()) {
                    counts.put(part.paint(), part.parts() * times);
                }
                counts.merge(paint, touch, Integer::sum);
                found.add(new Mix(counts.entrySet().stream().map(e -> new Mix.Part(e.getKey(), e.getValue())).toList())
                        .inAtMost(Mix.MEASURED_PARTS));
            }
        }
        return found;
    }

    /** Whether both are of one hue, or one of them is grey and the other not stronger than the base. */
    private static boolean related(Lab base, Lab other) {
        if (base.chroma() < GREY) {
            return other.chroma() <= base.chroma() + GREY / 2;
        }
        return other.chroma() < GREY / 2 || strays(base, other) <= FAMILY;
    }

    private static double strays(Lab base, Lab other) {
        if (base.chroma() < GREY || other.chroma() < GREY / 2) {
            return 0;
        }
        double turn = Math.toDegrees(Math.atan2(other.b(), other.a()) - Math.atan2(base.b(), base.a()));
        return Math.abs(Math.IEEEremainder(turn, 360));
    }
}
