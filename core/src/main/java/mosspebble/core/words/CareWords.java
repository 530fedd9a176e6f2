package mosspebble.core.words;

import java.time.Duration;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.Optional;
import java.util.Map;
import java.util.Locale;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Plaque;
import mosspebble.core.care.Preparation;
import mosspebble.core.care.Quarrel;
import mosspebble.core.care.Resin;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.care.SealChoice;
import mosspebble.core.care.SealHours;
import mosspebble.core.care.SealKind;
import mosspebble.core.care.SealTrouble;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Paint;
import mosspebble.core.plan.Step;
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
                    : "Brush dry in all directions until nothing comes off.";
            case WASH -> "Wash with soap and water, rinse, let it dry through.";
            case STRIP ->
                    "Brush on the stripper its label names for acrylics, let it work, lift the paint off, rinse until nothing smears. "
                            + "Gloves, fresh air.";
            case SAND -> "Wet, with medium and then fine paper, until no edge of it is felt; wipe clean. Mask on; never dry-sand paint of "
                    + "unknown age.";
            case DULL -> "Rub with fine paper, wet, until the shine is gone, wipe clean.";
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
                        + Numbers.text(plaque.contactMm2() / 100, 1) + " cm² can touch the board: sand the back flat, or bed it in filler.")
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

    // --- sealing

    /** What to do. */
    static String sentence(SealAdvice advice, String sealer) {
        String coats = advice.coats() + " coats of " + sealer;
        return switch (advice.kind()) {
            case RESIN ->
                    "One pour of " + sealer + " on the stone lying level, a dam of tape where it must not run over; spread it to the rim, "
                            + "prick the bubbles for the first quarter of an hour, cover it against dust.";
            case SPRAY_VARNISH -> coats + ", thin mist, " + again(advice.kind()) + ".";
            case WAX -> coats + ", rubbed on thin with a cloth; buff each once it is dull.";
            case GLOSS_GLAZE, POLYURETHANE, BRUSH_VARNISH -> coats + ", " + again(advice.kind()) + ".";
            case TOP_COAT -> coats + ", thin, each fully dry before the next.";
        };
    }

    /** Before a seal what is left of the drawing goes, or it stays for good (common practice, no source). */
    static String lines(Step.Seal seal) {
        boolean sprayed = seal.advice().kind() == SealKind.SPRAY_VARNISH || seal.advice().kind() == SealKind.GLOSS_GLAZE;
        return switch (seal.lying().lines()) {
            case NONE -> "";
            case GRAPHITE -> "Lift what is left of the pencil with a kneaded eraser: " + (sprayed ? "a spray fixes it for good. "
                    : "under the seal it smears grey. ");
            case CHALK ->
                    "Wipe off what is left of the chalk with a damp cloth: it vanishes while the seal is wet and ghosts when it is dry. ";
            case BOTH -> "Lift what is left of the pencil with a kneaded eraser and of the chalk with a damp cloth: under a seal they "
                    + (sprayed ? "stay for good. " : "smear and ghost. ");
        };
    }

    /** What the gems ask for. */
    static String overGems(SealAdvice advice) {
        return advice.why().poured() ? "Pour it over the gems too: it holds them." : "Go round the gems, not over them: it dulls them.";
    }

    /** When the next coat may follow, and until when. */
    private static String again(SealKind kind) {
        return "the next after " + Durations.words(kind.between()) + kind.latest()
                .map(latest -> " and within " + Durations.words(latest) + ", else dull the one before with fine paper").orElse("");
    }

    /** What is stirred for a pour over an area, mm2, and how long it can be worked. */
    static String pour(double areaMm2) {
        Resin.Amount amount = Resin.USUAL.amount(areaMm2, Resin.LEVEL_MM);
        Celsius usual = new Celsius(23);
        return "Stir " + Numbers.text(amount.gramsA(), 0) + " g of resin and " + Numbers.text(amount.gramsB(), 0)
                + " g of hardener (2 : 1 by volume; the label decides); it can be worked about "
                + Math.round(Resin.workingMinutes(amount.grams(), usual) / 5) * 5 + " min at " + usual + ", half as long 10 K warmer.";
    }

    /** What a pour does on a domed face. */
    static String slope() {
        return "It stands " + Numbers.text(Resin.standsMm(), 1)
                + " mm high on a flat face with a sharp rim; where the face is steeper than "
                + Numbers.text(Resin.steepest(0.3, 20), 0) + "° it runs down to under 0.3 mm: wipe drips from the rim every few minutes.";
    }

    /** Why so, and so often. */
    public static String reason(SealAdvice advice) {
        if (advice.why().poured()) {
            return "One pour levels itself and shows the colours deepest. It must lie level and free of dust for a day. " + slope();
        }
        if (advice.kind() == SealKind.WAX) {
            return "Wax gives a soft shine and is renewed easily; it is for indoors only.";
        }
        String coats = advice.why().porous() ? "The stone is porous and drinks the first coat of varnish."
                : "Two thin coats close the surface of a tight stone.";
        String outdoors = advice.why().outdoors() ? " Outdoors an unsealed picture would not last." : "";
        return coats + outdoors + switch (advice.why().finish()) {
            case MATT -> " Matt shows where pen and brush paint differ in sheen.";
            case GLOSS -> " Gloss hides the difference between pen and brush paint.";
            default -> "";
        };
    }

    /** A way to seal in short lines: how often, when it may go out, what it takes, how it keeps, what speaks against it. */
    public static List<String> choice(SealChoice choice) {
        SealKind kind = choice.advice().kind();
        List<String> lines = new ArrayList<>();
        lines.add(kind == SealKind.RESIN ? "one pour" : choice.advice().coats() + " coats, " + Durations.words(choice.advice().between())
                + " apart");
        lines.add("ready after " + Durations.words(choice.days()));
        lines.add("takes " + Numbers.millilitres(choice.millilitres())
                + (choice.cost() > 0 ? ", costs " + Numbers.text(choice.cost(), 2) : ""));
        lines.add(switch (choice.sealer().finish()) {
            case MATT -> "matt: pen shows beside brush";
            case GLOSS -> "gloss: hides pen beside brush";
            default -> "a soft shine";
        });
        lines.add(switch (kind.yellowing()) {
            case NONE -> "stays clear";
            case SLIGHT -> "yellows a little with the years";
            case MARKED -> "yellows in the sun";
        });
        lines.add(switch (kind.mending()) {
            case EASY -> "easy to mend";
            case SANDED -> "mended after sanding";
            case HARDLY -> "hard to mend";
        });
        switch (kind.fumes()) {
            case SOLVENT -> lines.add("solvent: outdoors, with a mask");
            case STRONG -> lines.add("gloves and fresh air");
            default -> {}
        }
        if (!choice.lasts()) {
            lines.add("does not last outdoors");
        }
        if (!choice.ruins().isEmpty()) {
            lines.add("ruins " + Words.list(choice.ruins().stream().map(Paint::name).toList()));
        }
        return lines;
    }

    /** When a seal may be laid by a forecast, or what keeps it from that. */
    public static String hours(List<SealHours.Hour> forecast, SealAdvice advice, boolean inTheOpen) {
        List<SealHours.Window> windows = SealHours.of(forecast, advice, inTheOpen);
        String coats = advice.coats() == 1 ? "the pour" : Words.coats(advice.coats());
        if (!windows.isEmpty()) {
            return Words.upper(coats) + (windows.size() == 1 ? ": " : ", in one of these: ")
                    + Words.list(windows.stream().map(w -> (w.day() == 0
                            ? "" : w.day() == 1 ? "the next day " : "on day " + (w.day() + 1) + " ") + (w.fromHour() == w.latestHour()
                                    ? "begin at " + clock(w.fromHour())
                                    : "begin between " + clock(w.fromHour()) + " and " + clock(w.latestHour())))
                            .toList())
                    + ".";
        }
        Optional<SealHours.Against> first = forecast.stream().flatMap(h -> SealHours.against(h, advice.kind(), inTheOpen).stream())
                .collect(Collectors.groupingBy(a -> a, Collectors.counting())).entrySet().stream().max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey);
        return "No stretch of " + Durations.words(SealHours.takes(advice)) + " suits" + first.map(a -> switch (a) {
            case TOO_COLD -> ": it is too cold";
            case TOO_WARM -> ": it is too warm";
            case TOO_DAMP -> ": it is too damp";
            case NEAR_DEW -> ": the air is too near its dew point";
            case RAIN -> ": it rains";
        }).orElse("") + ". Wait, or seal where the air is warmer and drier.";
    }

    private static String clock(int hour) {
        return hour + ":00";
    }

    /** When a seal is looked at again. */
    public static String renew(SealKind kind, boolean outdoors, LocalDate ready) {
        int months = kind.renewMonths(outdoors);
        LocalDate then = ready.plusMonths(months);
        String when = months < 24 ? Words.number(months) + (months == 1 ? " month" : " months") : Words.number(months / 12) + " years";
        return "Look at it again after " + when + ", in " + then.getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH) + " "
                + then.getYear() + (kind == SealKind.WAX ? ": rub on a little wax and buff." : ": wash it, dull what is thin or milky, one "
                        + "more coat.");
    }

    /** What has gone wrong, in two or three words. */
    public static String title(SealTrouble trouble) {
        return switch (trouble) {
            case CLOUDS -> "It clouds";
            case WRINKLES -> "It wrinkles";
            case PEELS -> "It peels";
            case YELLOWS -> "It yellows";
            case STAYS_STICKY -> "It stays sticky";
            case SCRATCHED -> "It is scratched";
        };
    }

    /** Why that happens, and what mends it. */
    public static String mend(SealTrouble trouble, SealKind kind) {
        return switch (trouble) {
            case CLOUDS -> kind == SealKind.WAX ? "Too much wax: warm it with the hand and buff."
                    : kind == SealKind.RESIN ? "Damp was locked in. It does not clear: dull it and pour a thin new coat in dry air."
                    : "Damp was locked in, or the air was damp. Keep it warm and dry for two days; if it stays, dull it and lay one thin "
                            + "coat in dry air.";
            case WRINKLES ->
                    "The coat below was not dry through, or the next came too late and bit into it. Let it harden a week, sand the "
                            + "wrinkles level, thin coats then.";
            case PEELS -> "It does not grip: dirt, gloss or wax below. Scrape off what is loose, dull the edge, seal the place anew.";
            case YELLOWS -> "Sun, and oil or resin in it. What is yellow stays: dull it and tone it down with a matt coat, or sand it off "
                    + "and take a clear water-based one.";
            case STAYS_STICKY -> kind == SealKind.RESIN
                    ? "The parts were not in their measure or not stirred long enough. Scrape off what is soft, wipe, pour anew."
                    : "Too thick or too cold. Put it warm and dry for a week; a coat of wax takes the tack from what stays.";
            case SCRATCHED -> kind.mending() == SealKind.Mending.EASY ? "Clean it and lay one more coat over the place."
                    : kind.mending() == SealKind.Mending.SANDED ? "Dull round the scratch with fine paper, wipe, one thin coat over all."
                    : "Sand it with finer and finer paper and polish, or pour a thin new coat.";
        };
    }

    static String tool(SealAdvice advice) {
        return switch (advice.kind()) {
            case RESIN -> "mixing stick, level rest";
            case SPRAY_VARNISH -> "spray can";
            case WAX -> "soft cloth";
            default -> "wide soft brush";
        };
    }

    /** What can hurt, and how not to get hurt. */
    public static List<String> cautions(SealAdvice advice) {
        List<String> cautions = new ArrayList<>();
        if (advice.why().poured()) {
            cautions.add(
                    "Resin: gloves, eye protection and fresh air; mix exactly as its sheet says, and never more than that at once: a "
                            + "large cup heats up.");
        }
        cautions.add(
                "Varnish with the window open; sprays and solvent products only outdoors, away from flames, with a suitable mask. The "
                        + "product's own sheet comes first.");
        cautions.add("A painted stone is not for food, aquaria or heating: a wet stone in a fire can burst.");
        cautions.add("Small stones are a choking hazard. Children paint with an adult.");
        return cautions;
    }
}
