package mosspebble.core.advice;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.colour.ColourVision;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Habits;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Srgb;

/**
 * Palettes from the shelf for all slots of a design at once: near to what each slot wishes, turned by a mood, with neighbours kept apart
 * for all kinds of eyes. Slots are changed one
 * after the other to the candidate that costs least until nothing changes; the cost is the difference to the mood's wish and what
 * neighbours lack in difference.
 */
public final class Schemes {

    /** A mood turns what a slot wishes. */
    public enum Mood {
        /** Each slot as the motif wishes. */
        WISHED,
        /** Warm, as lit by a flame. */
        LANTERN,
        /** Darker and bluer. */
        DUSK,
        /** Pale, of little strength. */
        QUIET,
        /** Strong, with more contrast. */
        BOLD;

        Lab turned(Lab wish) {
            return switch (this) {
                case WISHED -> wish;
                case LANTERN -> new Lab(Math.min(97, wish.l() * 0.96 + 4), wish.a() + 7, wish.b() + 16);
                case DUSK -> new Lab(wish.l() * 0.78, wish.a() * 0.8 + 4, wish.b() * 0.6 - 13);
                case QUIET -> new Lab(wish.l() + (88 - wish.l()) * 0.45, wish.a() * 0.5, wish.b() * 0.5);
                case BOLD -> new Lab(Math.max(8, Math.min(96, 50 + (wish.l() - 50) * 1.3)), wish.a() * 1.5, wish.b() * 1.5);
            };
        }
    }

    /**
     * One palette.
     *
     * @param least smallest difference of any two neighbours without a line between, for any eyes; infinite if there are none
     */
    public record Scheme(Mood mood, Map<String, Mix> colours, Map<String, Srgb> looks, double least) {}

    /** Neighbours should differ by so much, with a line between them by less, CIEDE2000 (common practice, no source). */
    private static final double APART = 18;

    private static final double APART_WITH_LINE = 9;

    private static final int MOST_PARTS = 4;

    private static final int SWEEPS = 8;

    private record Candidate(Mix mix, Srgb look, Lab[] seen) {
        static Candidate of(Palette.Colour colour) {
            Srgb look = colour.optics().full().toSrgb();
            Lab[] seen = new Lab[ColourVision.values().length];
            for (ColourVision eyes : ColourVision.values()) {
                seen[eyes.ordinal()] = Lab.of(eyes.seen(look));
            }
            return new Candidate(colour.mix(), look, seen);
        }

        double apart(Candidate other) {
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i < seen.length; i++) {
                least = Math.min(least, seen[i].differenceTo(other.seen[i]));
            }
            return least;
        }
    }

    private Schemes() {}

    /** A palette for each mood; empty if the shelf has nothing to mix. */
    public static List<Scheme> of(PaintPlan plan, Palette palette) {
        Optional<PlacedDesign> design = plan.design();
        List<Candidate> areas = candidates(palette);
        if (design.isEmpty() || areas.isEmpty()) {
            return List.of();
        }
        List<Candidate> pens = palette.shelf().that(PaintKind.Use.DRAWS).stream()
                .map(p -> Candidate.of(palette.colour(Mix.of(p.id())).orElseThrow())).toList();
        List<Neighbours.Edge> edges = Neighbours.edges(design.get());
        Optional<Palette.Colour> ground = plan.project().ground().flatMap(palette::colour)
                .filter(g -> plan.project().habits().ground() != Habits.Ground.BARE);
        Srgb behind = ground.map(g -> g.optics().full().toSrgb()).orElse(
                PaintPlan.bare(plan.survey().stone(), plan.project().habits().outdoors() ? StoneState.SEALED : StoneState.DRY).toSrgb());
        Candidate back = new Candidate(Mix.of("-"), behind, seen(behind));
        Set<String> lines = new HashSet<>();
        for (Slot slot : design.get().slots()) {
            if (design.get().parts().stream().filter(p -> p.part().slot().equals(slot.id())).noneMatch(p -> p.part().isArea())) {
                lines.add(slot.id());
            }
        }
        List<Scheme> schemes = new ArrayList<>();
        for (Mood mood : Mood.values()) {
            schemes.add(solved(mood, design.get(), edges, areas, pens.isEmpty() ? areas : pens, lines, back));
        }
        return schemes;
    }

    private static Lab[] seen(Srgb colour) {
        Lab[] seen = new Lab[ColourVision.values().length];
        for (ColourVision eyes : ColourVision.values()) {
            seen[eyes.ordinal()] = Lab.of(eyes.seen(colour));
        }
        return seen;
    }

    /** Every brush paint, and every two of them in up to four parts. */
    private static List<Candidate> candidates(Palette palette) {
        List<Paint> paints = palette.shelf().that(PaintKind.Use.FILLS);
        List<Candidate> found = new ArrayList<>();
        for (int a = 0; a < paints.size(); a++) {
            found.add(Candidate.of(palette.colour(Mix.of(paints.get(a).id())).orElseThrow()));
            for (int b = a + 1; b < paints.size(); b++) {
                for (int total = 2; total <= MOST_PARTS; total++) {
                    for (int k = 1; k < total; k++) {
                        if (total == 4 && k == 2) {
                            continue;
                        }
                        Mix mix = new Mix(List.of(new Mix.Part(paints.get(a).id(), k), new Mix.Part(paints.get(b).id(), total - k)));
                        found.add(Candidate.of(palette.colour(mix).orElseThrow()));
                    }
                }
            }
        }
        return found;
    }

    private static Scheme solved(Mood mood, PlacedDesign design, List<Neighbours.Edge> edges, List<Candidate> areas, List<Candidate> pens,
            Set<String> lines, Candidate back) {
        Map<String, Candidate> chosen = new LinkedHashMap<>();
        Map<String, Lab> wishes = new LinkedHashMap<>();
        for (Slot slot : design.slots()) {
            wishes.put(slot.id(), mood.turned(Lab.of(slot.wish())));
            Lab wish = wishes.get(slot.id());
            chosen.put(slot.id(), (lines.contains(slot.id()) ? pens : areas).stream()
                    .min((p, q) -> Double.compare(p.seen[0].differenceTo(wish), q.seen[0].differenceTo(wish))).orElseThrow());
        }
        boolean changed = true;
        for (int sweep = 0; sweep < SWEEPS && changed; sweep++) {
            changed = false;
            for (String slot : chosen.keySet()) {
                List<Candidate> from = lines.contains(slot) ? pens : areas;
                Candidate best = chosen.get(slot);
                double least = cost(slot, best, wishes.get(slot), chosen, edges, back);
                for (Candidate each : from) {
                    double far = each.seen[0].differenceTo(wishes.get(slot));
                    if (far < least - 1e-9) {
                        double cost = cost(slot, each, wishes.get(slot), chosen, edges, back);
                        if (cost < least - 1e-9) {
                            least = cost;
                            best = each;
                            changed = true;
                        }
                    }
                }
                chosen.put(slot, best);
            }
        }
        double apart = Double.POSITIVE_INFINITY;
        for (Neighbours.Edge edge : edges) {
            if (!edge.outlined()) {
                Candidate other = edge.other().equals(Neighbours.BEHIND) ? back : chosen.get(edge.other());
                apart = Math.min(apart, chosen.get(edge.one()).apart(other));
            }
        }
        Map<String, Mix> colours = new LinkedHashMap<>();
        Map<String, Srgb> looks = new LinkedHashMap<>();
        chosen.forEach((slot, candidate) -> {
            colours.put(slot, candidate.mix);
            looks.put(slot, candidate.look);
        });
        return new Scheme(mood, colours, looks, apart);
    }

    private static double cost(String slot, Candidate candidate, Lab wish, Map<String, Candidate> chosen, List<Neighbours.Edge> edges,
            Candidate back) {
        double cost = candidate.seen[0].differenceTo(wish);
        for (Neighbours.Edge edge : edges) {
            boolean first = edge.one().equals(slot);
            if (first || edge.other().equals(slot)) {
                String name = first ? edge.other() : edge.one();
                Candidate other = name.equals(Neighbours.BEHIND) ? back : chosen.get(name);
                double wanted = edge.outlined() ? APART_WITH_LINE : APART;
                cost += 1.5 * Math.max(0, wanted - candidate.apart(other));
            }
        }
        return cost;
    }
}
