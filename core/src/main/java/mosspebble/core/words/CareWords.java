package mosspebble.core.words;

import java.time.Duration;
import java.util.List;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Plaque;
import mosspebble.core.care.Preparation;
import mosspebble.core.care.Quarrel;
import mosspebble.core.care.Resin;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Paint;
import mosspebble.core.plan.Untested;
import mosspebble.core.drying.SteadyMass;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Skin;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Facts;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;

/** The words about preparing a stone, about what goes over what, and about sealing. */
public final class CareWords {

    /** Less is "a touch": nobody measures it, ml (common practice, no source). */
    private static final double LEAST_ML = 0.1;

    private CareWords() {}

    // --- preparing

    /** What is to be done, in a few words. */
    public static String title(Preparation.Task task) {
        return switch (task.act()) {
            case CAST -> "Cast the stone";
            case DRY_CAST -> "Let the cast stone dry";
            case BRUSH -> task.facts().is("cast") ? "Brush off the dust" : "Brush off loose grains";
            case WASH -> "Wash and dry the stone";
            case STRIP -> "Take the old paint off";
            case SAND -> "Sand the old paint smooth";
            case DULL -> switch (before(task.facts())) {
                case SEALER -> "Dull the old sealer";
                case PAINT_KEPT -> "Dull the old paint";
                default -> "Dull the glassy skin";
            };
            case FILL -> "Fill " + (task.facts().count("marks") == 1 ? "the " + task.facts().choice("kind", Patch.Kind.class).label()
                    : task.facts().count("marks") + " holes and cracks");
        };
    }

    /** What to do. */
    public static String sentence(Preparation.Task task) {
        return switch (task.act()) {
            case CAST -> (task.facts().is("plaster")
                    ? "Strew " + grams(task.facts(), "powder") + " of plaster into " + grams(task.facts(), "water")
                            + " of water, wait a minute, stir slowly, pour"
                    : "Mix " + grams(task.facts(), "powder") + " of cement with " + grams(task.facts(), "sand") + " of sand, then with "
                            + grams(task.facts(), "water") + " of water, press it in")
                    + "; tap the mould until no bubbles rise. What is over makes a thin half: to practise on, or glued to a plaque.";
            case DRY_CAST -> "Stand it on edge in moving air; weigh it every day until the mass is steady.";
            case BRUSH -> task.facts().is("cast") ? "Brush and wipe dry; a cast is not washed: it would drink the water."
                    : "Brush dry in all directions until nothing comes off; in the open or with a mask on, for stone dust harms the lungs.";
            case WASH -> "Wash with soap and water, rinse, let it dry through.";
            case STRIP ->
                    "Brush on the stripper its label names for acrylics, let it work, lift the paint off, rinse until nothing smears. "
                            + "Gloves, fresh air.";
            case SAND -> "Wet, with medium and then fine paper, until no edge of it is felt; wipe clean. Mask on; never dry-sand paint of "
                    + "unknown age.";
            case DULL -> "Rub with fine paper, wet so that no dust flies, until the shine is gone; wipe clean.";
            case FILL -> "Press in filler or thick gesso, " + about(task.facts().number("ml")) + ", in layers of at most 2 mm; level it.";
        };
    }

    /** Why. */
    public static String reason(Preparation.Task task) {
        Facts facts = task.facts();
        return switch (task.act()) {
            case CAST -> "By weight, as the bag says; it sets by itself. Dust mask and gloves; never round a hand: it heats and burns.";
            case DRY_CAST ->
                    "A fresh cast holds mixing water for days; paint over it peels. At " + new Celsius(facts.number("celsius")) + " and "
                            + Numbers.text(100 * facts.number("humidity"), 0) + " % humidity that takes about "
                            + Words.number((int) Math.max(1, Math.round(facts.time("dry").toHours() / 24.0)))
                            + " days, less if it was poured long ago: the scale tells. Plaster dust: mask on when sanding.";
            case BRUSH ->
                    facts.is("cast") ? "Mould dust under paint makes it peel."
                            : facts.is("loose") ? "Grains rub off this stone and would take the paint along."
                            : "Rough stone holds dust in its pits.";
            case WASH -> "Dirt, salt and damp under paint make it peel. With " + Numbers.text(100 * facts.number("pores"), 0)
                    + " % pores, at " + new Celsius(facts.number("celsius")) + " and "
                    + Numbers.text(100 * facts.number("humidity"), 0) + " % humidity, it dries in about " + hours(facts.time("dry")) + ".";
            case STRIP -> "Down to the stone, the first coat grips again and nothing old shows through.";
            case SAND -> "The edges of old paint show through every new coat. It closes the pores: the stone drinks nothing.";
            case DULL -> switch (before(facts)) {
                case SEALER -> "Paint does not grip a sealed, smooth skin.";
                case PAINT_KEPT -> "Old paint stays as the ground; the new grips only where it is dull. Loose spots come off first.";
                default -> "Paint does not grip a glassy skin.";
            };
            case FILL -> "Paint bridges a " + Numbers.text(facts.number("deepestMm"), 1) + " mm hollow and cracks there.";
        };
    }

    private static String grams(Facts facts, String what) {
        return Math.round(facts.number(what) / 5) * 5 + " g";
    }

    /** What a stone glued to a board asks for. */
    public static String plaque(Plaque plaque) {
        return "The stone weighs " + Numbers.text(plaque.newtons() / 9.81 * 1000, 0)
                + " g. Two-part epoxy or building adhesive on at least "
                + Numbers.text(plaque.neededMm2() / 100, 1) + " cm² of clean, dulled back; "
                + (plaque.holds() ? Numbers.text(plaque.contactMm2() / 100, 0) + " cm² can touch the board." : "only "
                        + Numbers.text(plaque.contactMm2() / 100, 1) + " cm² can touch it: sand the back flat, or bed it in filler.")
                + " Let it harden lying for a day. A hanger for " + Numbers.text(Math.max(0.5, plaque.hangerKg()), 1)
                + " kg; not over a bed or where children play.";
    }

    private static Skin.Before before(Facts facts) {
        return facts.choice("before", Skin.Before.class);
    }

    private static String about(double ml) {
        return ml < LEAST_ML ? "a touch of it" : "about " + Numbers.text(ml, 1) + " ml";
    }

    static String tool(Preparation.Task task) {
        return switch (task.act()) {
            case CAST -> "mould, bowl, scale, mask";
            case DRY_CAST -> "rack, scale";
            case BRUSH -> "stiff brush";
            case WASH -> "soap, brush, cloth";
            case STRIP -> "stripper, scraper, brush, gloves";
            case SAND, DULL -> "fine sandpaper, cloth";
            case FILL -> "palette knife";
        };
    }

    private static String hours(Duration duration) {
        double hours = duration.toMinutes() / 60.0;
        return hours < 1.5 ? duration.toMinutes() + " min" : Numbers.text(hours, 0) + " h";
    }

    /** What is odd about weighings. */
    public static String sentence(SteadyMass.Doubt doubt) {
        return switch (doubt.odd()) {
            case GROWS_HEAVIER ->
                    "The stone grows heavier: it takes up water from the air, or the scale drifts. Move it to a dry place and weigh again.";
            case NO_END_IN_SIGHT -> "It still loses water as fast as at first, so no end can be told yet. Weigh again after "
                    + Numbers.text(doubt.value(), 0) + " h.";
            case SCATTERS -> "The weighings scatter by " + Numbers.text(doubt.value(), 1) + " g round the curve; check the scale.";
        };
    }

    // --- what goes over what

    /** What a rule is about. */
    public static String title(Compatibility.Rule rule) {
        return switch (rule) {
            case DYE_UNDER_A_SEALER -> "dye under a sealer";
            case ALCOHOL_INK_UNDER_RESIN -> "alcohol ink under resin";
            case ALCOHOL_INK_UNDER_LACQUER -> "alcohol ink under lacquer";
            case ALCOHOL_INK_UNDER_A_BRUSHED_VARNISH -> "alcohol ink under a brushed varnish";
            case WATER_BASED_PAINT_ON_ALCOHOL_INK -> "water-based paint on alcohol ink";
            case WATER_OVER_A_WASH -> "water-based over a wash";
            case WATER_VARNISH_OVER_A_WASH -> "water-based varnish over a wash";
            case ANYTHING_ON_WAX -> "anything on wax";
            case WATER_BASED_OVER_OIL -> "water-based over oil";
            case ANYTHING_OVER_CRACKLE -> "anything over crackle";
            case RESIN_OVER_CRACKLE -> "resin over crackle";
            case SEALER_OVER_CRACKLE -> "sealer over crackle";
            case PAINT_ON_GEL -> "paint on gel";
            case PAINT_ON_POWDER -> "paint on rubbed powder";
            case SEALER_OVER_POWDER -> "sealer over rubbed powder";
            case PAINT_ON_LEAF -> "paint on leaf";
            case SEALER_OVER_GEL -> "sealer over gel";
            case RESIN_OVER_PAINT -> "resin over paint";
            case ANYTHING_ON_RESIN -> "anything on resin";
            case LACQUER_OVER_FRESH_ACRYLIC -> "lacquer over fresh acrylic";
            case MATT_OVER_GLITTER_OR_METAL -> "matt over glitter or metal";
            case INK_ON_A_GLOSSY_FILM -> "ink on a glossy film";
        };
    }

    /** What happens, and what to do instead. */
    public static String sentence(Compatibility.Rule rule) {
        return switch (rule) {
            case DYE_UNDER_A_SEALER -> "Dye ink runs under every sealer. Take a paint or pigment pen.";
            case ALCOHOL_INK_UNDER_RESIN -> "Resin dissolves alcohol ink: it bleeds. An isolating coat between them keeps it.";
            case ALCOHOL_INK_UNDER_LACQUER ->
                    "Solvent dissolves alcohol ink: it bleeds. Seal it with a brushed water-based varnish only after a test.";
            case ALCOHOL_INK_UNDER_A_BRUSHED_VARNISH -> "Alcohol ink may smear under the brush. Try it on a scrap, or use a paint pen.";
            case WATER_BASED_PAINT_ON_ALCOHOL_INK -> "Alcohol ink strikes through pale paint laid over it.";
            case WATER_OVER_A_WASH, WATER_VARNISH_OVER_A_WASH ->
                    "A dry wash runs again under water. A thin isolating spray keeps it; a brush would smear it.";
            case ANYTHING_ON_WAX -> "Nothing holds on wax. Take it off with a solvent the wax's label names, or let wax be the last.";
            case WATER_BASED_OVER_OIL -> "Water-based paint does not hold on oil: it peels. Lay oil over acrylic, never acrylic over oil.";
            case ANYTHING_OVER_CRACKLE -> "Crackle medium anywhere beneath cracks what is painted on it. Isolate it, or keep off it.";
            case RESIN_OVER_CRACKLE ->
                    "Resin runs into open cracks and bubbles: let them stop opening for three days, better isolate them.";
            case SEALER_OVER_CRACKLE -> "Let the cracks stop opening for a day before sealing.";
            case PAINT_ON_GEL -> "Paint beads and peels on cured gel. Gel comes after the paint, or an isolating coat over it.";
            case PAINT_ON_POWDER -> "Nothing water-based holds on rubbed powder without an isolating coat.";
            case SEALER_OVER_POWDER -> "Varnish dulls the mirror of rubbed powder; a thin coat of gel cured over it, or resin, keeps it.";
            case PAINT_ON_LEAF -> "Thin paint slips on bare leaf; an isolating coat takes it, and keeps the leaf from tarnishing.";
            case SEALER_OVER_GEL -> "Varnish holds only on a gel coat that was cured and wiped.";
            case RESIN_OVER_PAINT -> "Resin clouds over damp paint: wait three days after the last coat.";
            case ANYTHING_ON_RESIN ->
                    "Nothing grips on cured resin, crackle medium and paint neither, unless it is dulled with fine paper.";
            case LACQUER_OVER_FRESH_ACRYLIC -> "Solvent lacquer wrinkles acrylic that is not dry through; spray thin mist coats.";
            case MATT_OVER_GLITTER_OR_METAL -> "A matt sealer takes the sparkle from metal and glitter.";
            case INK_ON_A_GLOSSY_FILM -> "Ink beads on a glossy film; dull it or use a paint pen.";
        };
    }

    public static String sentence(Compatibility.Verdict verdict) {
        return verdict.rule().map(CareWords::sentence).or(() -> verdict.test().map(t -> ownTest(t.outcome(), t.note())))
                .or(() -> verdict.own().map(q -> ownRule(q.reason()))).orElse("");
    }

    /** Over the sheet for trying out. */
    public static final String TEST_TITLE = "Five-minute smear test";

    /** How to try one product under another. */
    public static List<String> testSteps() {
        return List.of("1. Draw or lay each product across its whole field, on this sheet or better on a scrap of the stone. Let it dry.",
                "2. After five minutes brush or spray the sealer over the right half, one stroke as you would on the stone.",
                "3. Wipe a wet finger over the right half when the sealer is dry. Compare the halves and tick what you see.",
                "4. Enter it on the shelf, under the product: your own test goes before every rule.");
    }

    /** Which were never tried; empty for none. */
    public static String untried(List<Untested.Pair> pairs) {
        return pairs.isEmpty() ? "" : "Not tried yet under " + pairs.get(0).above().name() + ": "
                + Words.list(pairs.stream().map(p -> p.below().name()).toList()) + ".";
    }

    public static String under(String sealer) {
        return "under " + sealer;
    }

    /** A rule of one's own in one line. */
    public static String ownRow(Quarrel rule) {
        String way = switch (rule.way()) {
            case NONE -> "";
            case WAIT -> "; wait " + Durations.words(rule.rest());
            case ISOLATE -> "; an isolating coat between";
            case SPRAY_BETWEEN -> "; an isolating spray between";
        };
        return "Yours: " + rule.above() + " over " + rule.below() + way
                + (rule.reason().isBlank() ? "." : ". " + Words.sentence(rule.reason()));
    }

    static String ownRule(String reason) {
        return "A rule of your own" + (reason.isBlank() ? "." : ": " + reason + (reason.endsWith(".") ? "" : "."));
    }

    static String ownTest(SmearTest.Outcome outcome, String note) {
        return "Your own test: it " + outcome.label() + (note.isBlank() ? "" : " (" + note + ")") + ".";
    }
}
