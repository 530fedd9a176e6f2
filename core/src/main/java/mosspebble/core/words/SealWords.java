package mosspebble.core.words;

import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import mosspebble.core.care.Resin;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.care.SealChoice;
import mosspebble.core.care.SealHours;
import mosspebble.core.care.SealKind;
import mosspebble.core.care.SealTrouble;
import mosspebble.core.colour.Paint;
import mosspebble.core.plan.Hazard;
import mosspebble.core.plan.Step;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;

/** The words about sealing: how, when, with what, what goes wrong and how it is kept. */
public final class SealWords {

    private SealWords() {}

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

    /** What becomes of the drawing under a seal, and how it is taken off before (common practice, no source). */
    public static List<String> drawing(SealKind kind) {
        boolean sprayed = kind.isLaidInTheOpen();
        return List.of("Graphite " + (sprayed ? "stays for good under a spray" : kind == SealKind.RESIN ? "shows for good under the pour"
                : kind == SealKind.WAX ? "smears grey into the wax" : "smears grey under the brush")
                + ". A kneaded eraser lifts it; a hard one takes paint along.",
                "Chalk vanishes while the seal is wet and ghosts when it is dry. A damp cloth takes it off; let it dry.",
                "Charcoal " + (sprayed ? "blows about and then stays" : "muddies the first coat")
                        + ". Blow it off, then dab with a kneaded eraser; a damp cloth drives it in.");
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
                + (choice.cost() > 0 ? ", costs " + Numbers.money(choice.cost()) : ""));
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
        choice.season().ifPresent(a -> lines.add("out of doors " + against(a) + " at this time of the year"));
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
        return "No stretch of " + Durations.words(SealHours.takes(advice)) + " suits"
                + SealHours.mostlyAgainst(forecast, advice.kind(), inTheOpen).map(a -> ": " + against(a)).orElse("")
                + ". Wait, or seal where the air is warmer and drier.";
    }

    private static String against(SealHours.Against against) {
        return switch (against) {
            case TOO_COLD -> "it is too cold";
            case TOO_WARM -> "it is too warm";
            case TOO_DAMP -> "it is too damp";
            case NEAR_DEW -> "the air is too near its dew point";
            case RAIN -> "it rains";
        };
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
        Set<Hazard> hazards = EnumSet.of(Hazard.FOOD_AND_FIRE, Hazard.CHILDREN);
        hazards.addAll(Hazard.of(advice));
        return HazardWords.sentences(hazards);
    }
}
