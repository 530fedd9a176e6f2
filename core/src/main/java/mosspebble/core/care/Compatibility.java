package mosspebble.core.care;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;

/**
 * What goes over what: a table of rules (common practice, no source), the first that fits counts; the painter's own tests go before it. The
 * product's own sheet goes before both.
 */
public final class Compatibility {

    /** How bad it is. */
    public enum Severity { NEVER, CARE, NOTE }

    /** The rules, in the order in which they count. */
    public enum Rule {
        DYE_UNDER_A_SEALER(p -> p.binder() == Binder.DYE_INK, Compatibility::sealer, false, Severity.NEVER),
        ALCOHOL_INK_UNDER_RESIN_OR_LACQUER(p -> p.binder() == Binder.ALCOHOL, p -> resin(p) || p.binder() == Binder.SOLVENT_LACQUER, false,
                Severity.NEVER),
        ALCOHOL_INK_UNDER_A_BRUSHED_VARNISH(p -> p.binder() == Binder.ALCOHOL, Compatibility::sealer, false, Severity.CARE),
        WATER_BASED_PAINT_ON_ALCOHOL_INK(p -> p.binder() == Binder.ALCOHOL, Compatibility::waterborne, false, Severity.NOTE),
        WATER_BASED_OVER_OIL(p -> p.binder() == Binder.OIL, p -> p.binder() == Binder.ACRYLIC, false, Severity.NEVER),
        ANYTHING_OVER_CRACKLE(p -> p.kind().does(PaintKind.Use.CRACKS), p -> !p.kind().clear(), true, Severity.CARE),
        SEALER_OVER_CRACKLE(p -> p.kind().does(PaintKind.Use.CRACKS), Compatibility::sealer, true, Severity.NOTE),
        PAINT_ON_GEL(p -> p.binder() == Binder.UV_GEL, p -> !p.kind().clear() && p.binder() != Binder.UV_GEL, false, Severity.NEVER),
        SEALER_OVER_GEL(p -> p.binder() == Binder.UV_GEL, Compatibility::sealer, false, Severity.CARE),
        RESIN_OVER_PAINT(Compatibility::waterborne, Compatibility::resin, false, Severity.NOTE),
        RESIN_ON_RESIN(Compatibility::resin, p -> !p.kind().clear(), false, Severity.CARE),
        LACQUER_OVER_FRESH_ACRYLIC(Compatibility::waterborne, p -> p.binder() == Binder.SOLVENT_LACQUER, false, Severity.CARE),
        MATT_OVER_GLITTER_OR_METAL(p -> p.kind().does(PaintKind.Use.SPARKLES), p -> sealer(p) && p.finish() == Finish.MATT, false,
                Severity.NOTE),
        INK_ON_A_GLOSSY_FILM(p -> p.finish() == Finish.GLOSS && !sealer(p), p -> p.kind().does(PaintKind.Use.INK), false, Severity.NOTE);

        private final Predicate<Paint> below;
        private final Predicate<Paint> above;
        private final boolean anywhere;
        private final Severity severity;

        /** @param anywhere whether it counts however deep the lower one lies, not only directly below */
        Rule(Predicate<Paint> below, Predicate<Paint> above, boolean anywhere, Severity severity) {
            this.below = below;
            this.above = above;
            this.anywhere = anywhere;
            this.severity = severity;
        }

        public Severity severity() {
            return severity;
        }

        private boolean fits(Paint lower, Paint upper, boolean directly) {
            return (directly || anywhere) && below.test(lower) && above.test(upper);
        }
    }

    /**
     * What was found for two products.
     *
     * @param rule the rule that speaks against it, or none
     * @param test the painter's own test that does, or none
     */
    public record Verdict(Severity severity, Optional<Rule> rule, Optional<SmearTest> test) {}

    private Compatibility() {}

    private static boolean sealer(Paint paint) {
        return paint.kind().does(PaintKind.Use.SEALS);
    }

    private static boolean resin(Paint paint) {
        return paint.binder() == Binder.RESIN;
    }

    private static boolean waterborne(Paint paint) {
        return paint.binder() == Binder.ACRYLIC && !paint.kind().clear();
    }

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
                            : Optional.of(new Verdict(Severity.NEVER, Optional.empty(), Optional.of(test)));
                }
            }
        }
        return Arrays.stream(Rule.values()).filter(r -> r.fits(below, above, directly)).findFirst()
                .map(r -> new Verdict(r.severity(), Optional.of(r), Optional.empty()));
    }
}
