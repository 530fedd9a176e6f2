package mosspebble.core.care;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;

/** What goes over what: a table of rules (common practice, no source), the first that fits counts; the painter's own tests go before it. The product's own sheet goes before both. */
public final class Compatibility {

    /** How bad it is. */
    public enum Severity { NEVER, CARE, NOTE }

    /**
     * One rule.
     *
     * @param anywhere whether it counts however deep the lower one lies, not only directly below
     */
    public record Rule(String name, Predicate<Paint> below, Predicate<Paint> above, boolean anywhere, Severity severity, String sentence) {}

    /** What was found for two products. */
    public record Verdict(Severity severity, String sentence) {}

    private static final Predicate<Paint> SEALER = p -> p.kind() == PaintKind.VARNISH;
    private static final Predicate<Paint> RESIN = p -> p.binder() == Binder.RESIN;
    private static final Predicate<Paint> WATERBORNE = p -> p.binder() == Binder.ACRYLIC && !p.kind().clear();

    /** The table, in order. */
    public static final List<Rule> RULES = List.of(
            new Rule("dye under a sealer", p -> p.binder() == Binder.DYE_INK, SEALER, false, Severity.NEVER, "Dye ink runs under every sealer. Take a paint or pigment pen."),
            new Rule("alcohol ink under resin or lacquer", p -> p.binder() == Binder.ALCOHOL, RESIN.or(p -> p.binder() == Binder.SOLVENT_LACQUER), false, Severity.NEVER, "Solvent dissolves alcohol ink: it bleeds. Seal it with a brushed water-based varnish only after a test."),
            new Rule("alcohol ink under a brushed varnish", p -> p.binder() == Binder.ALCOHOL, SEALER, false, Severity.CARE, "Alcohol ink may smear under the brush. Try it on a scrap, or use a paint pen."),
            new Rule("water-based paint on alcohol ink", p -> p.binder() == Binder.ALCOHOL, WATERBORNE, false, Severity.NOTE, "Alcohol ink strikes through pale paint laid over it."),
            new Rule("water-based over oil", p -> p.binder() == Binder.OIL, p -> p.binder() == Binder.ACRYLIC, false, Severity.NEVER, "Water-based paint does not hold on oil: it peels. Lay oil over acrylic, never acrylic over oil."),
            new Rule("anything over crackle", p -> p.kind() == PaintKind.CRACKLE, p -> !p.kind().clear(), true, Severity.CARE, "Crackle medium anywhere beneath cracks what is painted on it."),
            new Rule("sealer over crackle", p -> p.kind() == PaintKind.CRACKLE, SEALER, true, Severity.NOTE, "Let the cracks stop opening for a day before sealing."),
            new Rule("paint on gel", p -> p.binder() == Binder.UV_GEL, p -> !p.kind().clear() && p.binder() != Binder.UV_GEL, false, Severity.NEVER, "Paint beads and peels on cured gel. Gel comes after the paint."),
            new Rule("sealer over gel", p -> p.binder() == Binder.UV_GEL, SEALER, false, Severity.CARE, "Varnish holds only on a gel coat that was cured and wiped."),
            new Rule("resin over paint", WATERBORNE, RESIN, false, Severity.NOTE, "Resin clouds over damp paint: wait three days after the last coat."),
            new Rule("resin on resin", RESIN, p -> !p.kind().clear(), false, Severity.CARE, "Paint slips off cured resin unless it is dulled with fine paper."),
            new Rule("lacquer over fresh acrylic", WATERBORNE, p -> p.binder() == Binder.SOLVENT_LACQUER, false, Severity.CARE, "Solvent lacquer wrinkles acrylic that is not dry through; spray thin mist coats."),
            new Rule("matt over glitter or metal", p -> p.kind() == PaintKind.GLITTER || p.kind() == PaintKind.METALLIC || p.kind() == PaintKind.COLOUR_SHIFT, SEALER.and(p -> p.finish() == Finish.MATT), false, Severity.NOTE, "A matt sealer takes the sparkle from metal and glitter."),
            new Rule("ink on a glossy film", p -> p.finish() == Finish.GLOSS && !SEALER.test(p), p -> p.kind() == PaintKind.INK, false, Severity.NOTE, "Ink beads on a glossy film; dull it or use a paint pen."));

    private Compatibility() {}

    /**
     * What is known of one product over another; empty if nothing speaks against it.
     *
     * @param directly whether they touch
     * @param tests the painter's own, which win
     */
    public static Optional<Verdict> of(Paint below, Paint above, boolean directly, List<SmearTest> tests) {
        if (directly) {
            for (int i = tests.size() - 1; i >= 0; i--) {
                SmearTest test = tests.get(i);
                if (test.below().equals(below.id()) && test.above().equals(above.id())) {
                    return test.outcome() == SmearTest.Outcome.FINE ? Optional.empty()
                            : Optional.of(new Verdict(Severity.NEVER, "Your own test: it " + test.outcome().label() + (test.note().isBlank() ? "" : " (" + test.note() + ")") + "."));
                }
            }
        }
        return RULES.stream().filter(r -> (directly || r.anywhere()) && r.below().test(below) && r.above().test(above)).findFirst().map(r -> new Verdict(r.severity(), r.sentence()));
    }
}
