package mosspebble.core.care;

import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mosspebble.core.care.Quarrel.Way;
import mosspebble.core.colour.Paint;

/**
 * What goes over what: a table of rules (common practice, no source), the first that fits counts. The painter's own tests go before it,
 * then the rules of the painter's own; the product's own sheet goes before all.
 */
public final class Compatibility {

    private static final String SEALER = "use=seals";
    private static final String WATERBORNE = "binder=acrylic & not use=medium";
    private static final String RESIN = "binder=two-part resin";
    private static final String NO_MEDIUM = "not use=medium";

    /** How bad it is. */
    public enum Severity { NEVER, CARE, NOTE }

    /** The rules, in the order in which they count. */
    public enum Rule {
        DYE_UNDER_A_SEALER("binder=dye ink", SEALER, false, Severity.NEVER, Way.NONE, 0),
        ALCOHOL_INK_UNDER_RESIN("binder=alcohol", RESIN, false, Severity.NEVER, Way.ISOLATE, 0),
        ALCOHOL_INK_UNDER_LACQUER("binder=alcohol", "binder=solvent lacquer", false, Severity.NEVER, Way.NONE, 0),
        ALCOHOL_INK_UNDER_A_BRUSHED_VARNISH("binder=alcohol", SEALER, false, Severity.CARE, Way.NONE, 0),
        WATER_BASED_PAINT_ON_ALCOHOL_INK("binder=alcohol", WATERBORNE, false, Severity.NOTE, Way.NONE, 0),
        WATER_OVER_A_WASH("use=dissolves", "binder=acrylic", false, Severity.CARE, Way.SPRAY_BETWEEN, 0),
        WATER_VARNISH_OVER_A_WASH("use=dissolves", "binder=polyurethane", false, Severity.CARE, Way.SPRAY_BETWEEN, 0),
        WATER_BASED_OVER_OIL("binder=oil", "binder=acrylic", false, Severity.NEVER, Way.NONE, 0),
        ANYTHING_ON_WAX("binder=wax", "not binder=wax", false, Severity.NEVER, Way.NONE, 0),
        ANYTHING_OVER_CRACKLE("use=cracks", NO_MEDIUM, true, Severity.CARE, Way.ISOLATE, 0),
        RESIN_OVER_CRACKLE("use=cracks", RESIN, true, Severity.NOTE, Way.WAIT, 72),
        SEALER_OVER_CRACKLE("use=cracks", SEALER, true, Severity.NOTE, Way.WAIT, 24),
        PAINT_ON_GEL("binder=uv gel", "not use=medium & not binder=uv gel & not use=rubbed on", false, Severity.NEVER, Way.ISOLATE, 0),
        PAINT_ON_POWDER("use=rubbed on", NO_MEDIUM, false, Severity.NEVER, Way.ISOLATE, 0),
        SEALER_OVER_GEL("binder=uv gel", SEALER, false, Severity.CARE, Way.NONE, 0),
        SEALER_OVER_POWDER("use=rubbed on", SEALER, false, Severity.NOTE, Way.NONE, 0),
        PAINT_ON_LEAF("use=is leaf", "binder=acrylic & not use=medium", false, Severity.NOTE, Way.ISOLATE, 0),
        RESIN_OVER_PAINT(WATERBORNE, RESIN, false, Severity.NOTE, Way.WAIT, 72),
        ANYTHING_ON_RESIN(RESIN, "not use=seals", false, Severity.CARE, Way.NONE, 0),
        LACQUER_OVER_FRESH_ACRYLIC(WATERBORNE, "binder=solvent lacquer & not use=isolates", false, Severity.CARE, Way.WAIT, 24),
        MATT_OVER_GLITTER_OR_METAL("use=sparkles", "use=seals & finish=matt", false, Severity.NOTE, Way.NONE, 0),
        INK_ON_A_GLOSSY_FILM("finish=gloss & not use=seals", "use=ink", false, Severity.NOTE, Way.NONE, 0);

        private final Who below;
        private final Who above;
        private final boolean anywhere;
        private final Severity severity;
        private final Way way;
        private final Duration wait;

        /**
         * @param anywhere whether it counts however deep the lower one lies, not only directly below
         * @param waitHours how long the lower one must have dried
         */
        Rule(String below, String above, boolean anywhere, Severity severity, Way way, int waitHours) {
            this.below = Who.parse(below);
            this.above = Who.parse(above);
            this.anywhere = anywhere;
            this.severity = severity;
            this.way = way;
            this.wait = Duration.ofHours(waitHours);
        }

        public Severity severity() {
            return severity;
        }

        /** What a plan can do about it. */
        public Way way() {
            return way;
        }

        /** As one of the painter's own, with the words given as its reason. */
        public Quarrel as(String reason) {
            return new Quarrel(below, above, anywhere, severity, way, wait, reason);
        }

        private boolean fits(Paint lower, Paint upper, boolean directly) {
            return (directly || anywhere) && below.fits(lower) && above.fits(upper);
        }
    }

    /**
     * What was found for two products.
     *
     * @param rule the rule that speaks against it, or none
     * @param test the painter's own test that does, or none
     * @param own the painter's own rule that does, or none
     */
    public record Verdict(Severity severity, Way way, Duration rest, Optional<Rule> rule, Optional<SmearTest> test,
            Optional<Quarrel> own) {}

    /**
     * What a painter knows besides the table.
     *
     * @param tests what was tried; the last of a pair counts
     * @param quarrels rules of the painter's own; the last that fits counts
     */
    public record Known(List<SmearTest> tests, List<Quarrel> quarrels) {

        public static final Known NOTHING = new Known(List.of(), List.of());

        public Known {
            tests = List.copyOf(tests);
            quarrels = List.copyOf(quarrels);
            if (quarrels.size() > Quarrel.MOST) {
                throw new IllegalArgumentException("at most " + Quarrel.MOST + " rules of your own");
            }
        }

        /** The painter's last test of one product over another. */
        public Optional<SmearTest> test(Paint below, Paint above) {
            return tests.stream().filter(t -> t.below().equals(below.id()) && t.above().equals(above.id())).reduce((a, b) -> b);
        }

        /**
         * What is known of one product over another; empty if nothing speaks against it.
         *
         * @param directly whether they touch
         */
        public Optional<Verdict> of(Paint below, Paint above, boolean directly) {
            Optional<SmearTest> test = directly ? test(below, above) : Optional.empty();
            if (test.isPresent()) {
                return test.filter(t -> t.outcome() != SmearTest.Outcome.FINE).map(t -> new Verdict(Severity.NEVER, Way.NONE, Duration.ZERO,
                        Optional.empty(), Optional.of(t), Optional.empty()));
            }
            Optional<Quarrel> own = quarrels.stream()
                    .filter(q -> (directly || q.anywhere()) && q.below().fits(below) && q.above().fits(above)).reduce((a, b) -> b);
            return own.map(q -> new Verdict(q.severity(), q.way(), q.rest(), Optional.empty(), Optional.empty(), own))
                    .or(() -> Arrays.stream(Rule.values()).filter(r -> r.fits(below, above, directly)).findFirst().map(
                            r -> new Verdict(r.severity, r.way, r.wait, Optional.of(r), Optional.empty(), Optional.empty())));
        }
    }

    private Compatibility() {}

    /** What is known of one product over another, with nothing but tests besides the table. */
    public static Optional<Verdict> of(Paint below, Paint above, boolean directly, List<SmearTest> tests) {
        return new Known(tests, List.of()).of(below, above, directly);
    }
}
