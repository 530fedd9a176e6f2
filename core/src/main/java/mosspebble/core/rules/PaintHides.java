package mosspebble.core.rules;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.colour.Shelf;
import mosspebble.core.blend.Blend;
import mosspebble.core.plan.Planner;
import mosspebble.core.project.Project;
import mosspebble.core.project.Habits;
import mosspebble.core.units.Facts;

/** What no number of coats hides. */
final class PaintHides implements Rule {

    /** A paint that a label calls opaque has a contrast ratio from here on (common practice, no source). */
    private static final double HIDES = 0.85;

    private static final int MOST_PARTS = 6;

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        boolean never = on.habits().primer() == Habits.Primer.NEVER;
        return on.plan().noticed().showing().stream().map(what -> {
            boolean primes = never && what.primed();
            Facts facts = Facts.of("what", what.what()).and("most", Planner.MOST_COATS).and("never", primes);
            return Stream
                    .concat(primes
                            ? Stream.of(Remedy.of(Cure.ALLOW_PRIMER, p -> p.withHabits(p.habits().withPrimer(Habits.Primer.WHERE_NEEDED))))
                            : Stream.of(),
                            hiding(what.mix(), on.palette()).stream()
                                    .map(mix -> Remedy.of(Cure.HIDING_MIX, p -> instead(p, what.mix(), mix))))
                    .findFirst().map(remedy -> Finding.of(Code.NEVER_HIDES, facts, remedy))
                    .orElseGet(() -> Finding.of(Code.NEVER_HIDES, facts));
        }).toList();
    }

    /** The nearest mix of paints that hide. */
    private static Optional<Mix> hiding(Mix thin, Palette palette) {
        Palette opaque = new Palette(new Shelf(palette.shelf().paints().stream().filter(p -> p.hiding() >= HIDES).toList()));
        return palette.colour(thin).flatMap(c -> RecipeSearch.nearest(c.lab(), opaque, MOST_PARTS, 3)).map(RecipeSearch.Recipe::mix)
                .filter(mix -> !mix.equals(thin));
    }

    private static Blend instead(Blend blend, Mix old, Mix better) {
        return blend.withColours(blend.more().stream().map(mix -> mix.equals(old) ? better : mix).toList());
    }

    /** One mix in the place of another wherever that is used on this face. */
    private static Project instead(Project project, Mix old, Mix better) {
        Map<String, Mix> colours = new TreeMap<>(project.colours());
        colours.replaceAll((slot, mix) -> mix.equals(old) ? better : mix);
        Project changed = project.withColours(colours).withGround(project.ground().map(g -> g.equals(old) ? better : g));
        for (Map.Entry<String, Blend> each : project.blends().entrySet()) {
            changed = changed.withBlend(each.getKey(),
                    instead(each.getValue(), old, better)
                            .withOver(each.getValue().over().stream().map(o -> instead(o, old, better)).toList()));
        }
        return changed;
    }
}
