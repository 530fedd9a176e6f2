package mosspebble.core.words;

import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.SmearTest;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintOrder;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.What;
import mosspebble.core.project.Habits;
import mosspebble.core.sketch.LineWish;
import mosspebble.core.stone.Skin;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Facts;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;
import mosspebble.core.words.StepWords;

/** The words of a finding: a plain sentence with the number and the reason, and what stands on the button that mends it. */
public final class FindingWords {

    /** Names of parts that stand for several: the first word, or the only one, ends in s but not in ss. */
    private static final Pattern PLURAL = Pattern.compile("[^ ]*[a-rt-z]s( .*)?");

    private FindingWords() {}

    /** What was found. */
    public static String sentence(Finding finding) {
        return finding.below() ? "On the other side: " + own(finding) : own(finding);
    }

    /** The figures behind the sentence; empty where there are none. */
    public static String figures(Finding finding) {
        Facts f = finding.facts();
        return switch (finding.code()) {
            case DARKENS_SEALED -> "L* " + Numbers.text(f.number("dryL"), 0) + " dry, " + Numbers.text(f.number("sealedL"), 0) + " sealed.";
            case FAINT_OUTLINE, VANISHES -> "Difference " + Numbers.text(f.number("contrast"), 0) + " (CIEDE2000).";
            default -> "";
        };
    }

    private static String own(Finding finding) {
        return switch (finding.stage()) {
            case STONE -> stone(finding);
            case SKETCH -> sketch(finding);
            case COLOUR -> colour(finding);
            default -> work(finding);
        };
    }

    private static String stone(Finding finding) {
        Facts f = finding.facts();
        return switch (finding.code()) {
            case TAKING_FORBIDDEN -> "Taking this stone was not allowed" + (f.text("where").isBlank() ? "" : " (" + f.text("where") + ")")
                    + ". Bring it back; protected beaches and parks forbid it, local rules come first.";
            case NOT_MEASURED -> Words.upper(Words.list(Stream.of("length", "width", "height").filter(f::is).toList()))
                    + " of a stand-in so far: measure yours, or the guide that is printed will not fit it.";
            case CRACKS_MARKED -> f.count("cracks") == 1 ? "One crack is marked: keep faces and letters off it."
                    : f.count("cracks") + " cracks are marked: keep faces and letters off them.";
            case SEALED_BEFORE -> switch (f.choice("before", Skin.Before.class)) {
                case SEALER, NOTHING, TO_BE_CAST ->
                        "The stone has been sealed before. Dull it with fine paper first, or the paint peels off whole.";
                case PAINT_STRIPPED ->
                        "The stone has been painted before: strip it where the air is fresh, with gloves, as the stripper's label "
                                + "says.";
                default ->
                        "The stone has been painted before: press tape on the old paint and pull it off; what comes along must go first.";
            };
            case LOOSE_GRAINS ->
                    "Grains rub off this stone, and paint comes off with them. Brush it, wash it, and bind it with a thin coat of sealer "
                            + "first.";
            case STILL_DAMP -> "The stone still holds about " + Numbers.text(f.number("grams"), 1)
                    + " g of water; paint on a damp stone peels. It is steady in about " + Durations.words(f.time("left")) + ".";
            case PALE_NEEDS_PRIMER -> "Primer is needed for pale colours here: " + f.text("paint") + " takes "
                    + StepWords.atMost(f.count("coats"), f.count("most")) + " coats on this stone as it looks sealed.";
            case DARKENS_SEALED -> "Sealed, this bare stone gets " + Seen.darker(f.number("dryL") - f.number("sealedL"))
                    + ". Colours are judged against the darker one.";
            default -> throw new IllegalArgumentException("no words for " + finding.code());
        };
    }

    private static String sketch(Finding finding) {
        Facts f = finding.facts();
        return switch (finding.code()) {
            case LEFT_OUT -> thing(f)
                    + " cannot be worked out as it lies here, and this plan leaves it out. Move it a little, change its size, or take it "
                    + "away.";
            case NO_SUBJECT -> "No subject yet. Choose one and it is fitted to the face.";
            case EMPTY_FACE ->
                    "Nothing is on this face yet; only what else is painted of the stone is planned. Choose a subject, or leave it bare.";
            case BAND_TOO_THIN -> "Band " + f.count("number") + " round the edge is " + Numbers.text(f.number("wideMm"), 1)
                    + " mm wide; what paints it makes " + Numbers.text(f.number("finestMm"), 1) + " mm at the finest.";
            case BAND_LEAVES_EDGE -> f.number("lowestMm") < f.number("finestMm")
                    ? "The edge is only " + Numbers.text(f.number("lowestMm"), 1)
                            + " mm high at its lowest, thinner than any brush: no band goes all round it."
                    : "Band " + f.count("number") + " leaves the edge: of its " + Numbers.text(f.number("wideMm"), 1) + " mm only "
                            + Numbers.text(f.number("roomMm"), 1) + " mm lie on it where it is lowest.";
            case MISSING_LETTERS -> "The face " + f.text("face") + " has no " + f.text("letters") + ". Write it with other letters.";
            case NO_ROOM -> "There is no room for the " + (f.is("dots") ? "border of dots" : "guide")
                    + " where it runs. Make it smaller or bring it nearer the edge.";
            case WORDS_TOO_LONG -> "The words are longer than the rim" + (f.has("lettersMm")
                    ? "; letters of " + Numbers.text(f.number("lettersMm"), 1) + " mm go round it." : ". Take fewer words.");
            case NOT_IN_REPERTOIRE -> "The chosen subject is not in the repertoire. Choose another.";
            case RUNS_OFF -> Words.upper(PartWords.the(f.text("part")))
                    + (plural(f.text("part")) ? " run off the face by " : " runs off the face by ")
                    + Numbers.text(f.number("mm"), 1) + " mm, as decided (at most "
                    + Numbers.text(f.number("mostMm"), 1) + " mm).";
            case LEAVES -> Words.upper(PartWords.the(f.text("part"))) + (plural(f.text("part")) ? " leave the " : " leaves the ")
                    + (f.is("offStone") ? "stone or its face" : "face") + " by " + Numbers.text(f.number("mm"), 1) + " mm"
                    + more(f, "") + (f.has("lettersMm") ? "; " + Numbers.text(f.number("lettersMm"), 0) + " mm letters fit" : "") + ".";
            case UNEQUAL_PAIR -> "The " + f.text("larger") + " is " + Numbers.text(f.number("percent"), 0) + " % larger than the "
                    + f.text("smaller") + more(f, f.count("others") == 1 ? " pair differs" : " pairs differ")
                    + ": the stone's shape pulls them apart.";
            case OVER_CRACK -> Words.upper(PartWords.the(f.text("part"))) + " lies over the crack.";
            case COVERS_FACE -> "The words " + f.text("words") + " lie over the " + f.text("part") + more(f, "") + " of the "
                    + f.text("thing") + ".";
            case TOO_NARROW -> Words.upper(PartWords.the(f.text("part"))) + (plural(f.text("part")) ? " are " : " is ")
                    + Numbers.text(Math.floor(10 * f.number("wideMm")) / 10, 1)
                    + " mm wide, too narrow: " + (f.has("pen") ? "the " + f.text("pen") : "a fine brush")
                    + " needs " + Numbers.text(f.number("neededMm"), 1) + " mm" + (f.is("rough") ? " on stone as rough as this" : "")
                    + (f.count("others") == 0 ? "." : ". " + Words.upper(Words.number(f.count("others"))) + " more "
                            + (f.count("others") == 1 ? "is" : "are") + ", too.");
            case TOO_TIGHT -> (f.has("other") ? "Between the " + f.text("one") + " and the " + f.text("other")
                    : "Between the lines of the " + f.text("one")) + " there is " + Numbers.text(f.number("gapMm"), 1) + " mm; below "
                    + Numbers.text(f.number("neededMm"), 1) + " mm they run together.";
            default -> throw new IllegalArgumentException("no words for " + finding.code());
        };
    }

    private static String colour(Finding finding) {
        Facts f = finding.facts();
        return switch (finding.code()) {
            case EMPTY_SHELF -> "The shelf is empty. Without paints nothing can be planned.";
            case NO_COLOUR -> f.text("slot") + (f.has("mix") ? " uses " + f.text("mix") : " has no colour yet")
                    + "; its parts are left out of the plan.";
            case EDGE_NOT_ON_SHELF -> "The edge uses " + f.text("mix") + ". Choose another.";
            case GROUND_NOT_ON_SHELF -> "The ground uses " + f.text("mix") + ". Choose another.";
            case NO_WHITE ->
                    "The shelf lacks a white brush paint: nothing can be lightened, and pale colours are out of reach. Buy a white first.";
            case BLEND_LACKS_COLOURS ->
                    f.is("upon")
                            ? "Over " + (f.is("ground") ? "the ground" : f.text("slot").toLowerCase(Locale.ROOT)) + " there are to be "
                                    + f.choice("blend", BlendKind.class).label() + ", but the colour for it is not there; it is left out."
                            : (f.is("ground") ? "The ground" : f.text("slot")) + " is to be " + f.choice("blend", BlendKind.class).label()
                                    + " but has not the " + f.count("colours") + " colours for it; it is planned flat.";
            case LACKS_MEDIUM -> (f.is("ground") ? "The ground" : f.text("slot")) + " is to be "
                    + f.choice("blend", BlendKind.class).label() + ", but the shelf has no "
                    + BlendWords.medium(f.choice("medium", PaintKind.Use.class))
                    + (f.is("upon") ? "; it is left out." : "; it is planned flat.");
            case NO_LAMP -> (f.is("ground") ? "The ground" : f.text("slot")) + " is to be " + f.choice("blend", BlendKind.class).label()
                    + ", but gel hardens only under a lamp, and there is none: take metallic paint or leaf, or say in Habits that there "
                    + "is one.";
            case NEEDS_ITS_WAY -> Words.upper(f.text("paint")) + " does not hold on " + f.text("slot").toLowerCase(Locale.ROOT)
                    + " by itself: it is laid as " + f.choice("way", BlendKind.class).label() + ".";
            case GEM_TOO_LARGE -> Words.upper(f.text("gem")) + " of " + Numbers.text(f.number("mm"), 1) + " mm is larger than its seat: "
                    + f.text("slot").toLowerCase(Locale.ROOT) + " holds " + (f.number("holdsMm") < 1 ? "none"
                            : "at most " + Numbers.text(f.number("holdsMm"), 1) + " mm")
                    + ". Take a smaller gem or a larger seat; it is left out.";
            case FAINT_OUTLINE -> "No pen on the shelf stands out round the " + f.text("part") + ": the best "
                    + Seen.apart(f.number("contrast")) + " one of its sides.";
            case LINE_NOT_ON_SHELF ->
                    (f.has("thing") ? "The " + f.text("thing") + (plural(f.text("thing")) ? " are" : " is") : "The stone is")
                            + " to have a line in "
                            + line(f) + ", which no pen on the shelf draws; it is drawn by contrast.";
            case VANISHES -> Words.upper(PartWords.the(f.text("part"))) + " " + Seen.apart(f.number("contrast"))
                    + " what is behind it and would vanish.";
            case PRODUCT_FAILED -> "Your book: " + f.text("paint") + " smeared, bled or lifted on " + Words.number(f.count("worn")) + " of "
                    + Words.number(f.count("stones")) + " stones. Try it on a piece of this rock first.";
            case MUD -> "Where the colours of " + name(f, "what") + " run together they go to mud (" + f.text("colour") + ", "
                    + Math.round(100 * f.number("lost"))
                    + " % of the colour lost). Put a pale or a neighbouring colour between them, or let one dry and glaze.";
            default -> throw new IllegalArgumentException("no words for " + finding.code());
        };
    }

    private static String line(Facts f) {
        LineWish.Colour colour = f.choice("line", LineWish.Colour.class);
        return colour != LineWish.Colour.PAINT ? colour.name().toLowerCase(Locale.ROOT)
                : f.has("paint") ? f.text("paint") : "a paint that is gone";
    }

    private static String work(Finding finding) {
        Facts f = finding.facts();
        return switch (finding.code()) {
            case ORDER_BROKEN -> "In your order " + name(f, "first") + " comes after " + name(f, "then") + ", which " + because(f)
                    + ": it would cover what lies on it.";
            case NEVER_HIDES -> "Even " + f.count("most") + " coats on " + name(f, "what") + " let what is below show through."
                    + (f.is("never") ? "" : " Choose a paint that hides better.");
            case RUNS_OUT -> Words.upper(f.text("paint")) + " will run out: " + (f.is("pieces")
                    ? Numbers.text(f.number("needed"), 0) + " needed, " + Numbers.text(f.number("left"), 0) + " left."
                    : Numbers.millilitres(f.number("needed")) + " needed, " + Numbers.text(f.number("left"), 1) + " ml left.");
            case OLD_PAINT_SEEN -> "Old paint is seen on " + Numbers.text(Math.max(0.1, f.number("mm2") / 100), 1)
                    + " cm²: nothing planned lies over it. Take it off with a wooden scraper, or lay a ground over it.";
            case FILM_THICK -> "The film is thickest under " + StepWords.what(f.thing("step", Step.class)) + ": "
                    + Numbers.text(f.number("um"), 0) + " µm in " + f.count("coats") + " coats; over "
                    + Numbers.text(f.number("limitUm"), 0) + " µm it may peel"
                    + (f.is("glassy") ? f.is("rim") ? " from a rim of stone as glassy as this" : " from a stone as glassy as this"
                            : f.is("rim") ? " where it bends over the rim" : "")
                    + ".";
            case RIM_CHIPS -> f.count("coats") + " coats meet on the rim by " + StepWords.what(f.thing("step", Step.class))
                    + "; edges chip first. Thin them out toward the rim.";
            case INCOMPATIBLE -> Words.upper(f.text("above")) + " over " + f.text("below") + ": "
                    + (f.has("rule") ? CareWords.sentence(f.choice("rule", Compatibility.Rule.class))
                            : f.has("reason") ? CareWords.ownRule(f.text("reason"))
                            : CareWords.ownTest(f.choice("outcome", SmearTest.Outcome.class), f.text("note")))
                    + (f.is("lacks") ? " The shelf has no isolating coat." : "");
            case WET_TOO_LONG -> "\"" + StepWords.title(f.thing("step", Step.class)) + "\" takes the hand "
                    + Durations.words(f.time("work")) + ", but the paint stays open only " + Durations.words(f.time("open"))
                    + ". Mix a little slow medium in, work a piece at a time, or build the join from glazes.";
            case TOO_COLD -> "The room is at " + new Celsius(f.number("celsius")) + ". Below about " + new Celsius(f.number("least"))
                    + " water-borne paint forms no film and comes off later; the label decides. Warm the room, the stone and the paint.";
            case NEVER_DRIES -> "At " + Numbers.text(100 * f.number("humidity"), 0)
                    + " % humidity a thin coat takes more than a working day to dry. Warm or air the room, or wait for drier air.";
            case DEW -> "The room is at " + new Celsius(f.number("celsius")) + ", only " + Numbers.text(f.number("aboveDew"), 1)
                    + " K above the dew point. Do not seal below 3 K: damp is locked in.";
            case SEAL_AIR -> Words.upper(f.text("sealer")) + " wants " + Numbers.text(f.number("low"), 0) + " to "
                    + new Celsius(f.number("high")) + " and at most " + Numbers.text(100 * f.number("damp"), 0)
                    + " % humidity; the room has "
                    + new Celsius(f.number("celsius")) + " and " + Numbers.text(100 * f.number("humidity"), 0)
                    + " %. Wait for better air, or warm the room, the stone and the sealer.";
            case SEAL_INDOORS_ONLY -> Words.upper(f.text("sealer")) + " does not last outdoors: take a varnish there.";
            case UNSEALED_OUTDOORS -> f.is("varnish")
                    ? "Outdoors an unsealed picture does not last: seal it with " + f.count("coats") + " coats."
                    : "There is no varnish on the shelf, and outdoors the stone must be sealed with " + f.count("coats") + " coats.";
            case UNTESTED -> "Not tried yet under " + f.text("above") + ": " + f.text("below") + ". A test sheet for it lies in Finish.";
            case SEALER_WORE -> "Your book: " + (f.is("outdoors") ? "outdoors " : "indoors ") + f.text("sealer") + " was worn on "
                    + Words.number(f.count("worn")) + " of " + Words.number(f.count("stones")) + " stones, half of them within "
                    + BookWords.months(f.number("months")) + ". Finish, Seal, shows what lasted longer.";
            case TOOK_LONGER -> "Your book: stones took you " + Numbers.text(f.number("times"), 1) + " times as long as planned, from "
                    + Words.number(f.count("stones")) + " that were timed. Leave room for it.";
            case OTHER_SEALER -> "The shelf has no " + f.choice("wanted", Habits.Seal.class).name().toLowerCase(Locale.ROOT) + " sealer; "
                    + f.text("sealer") + " is planned instead.";
            default -> throw new IllegalArgumentException("no words for " + finding.code());
        };
    }

    private static String thing(Facts f) {
        return switch (f.text("thing")) {
            case "figure" -> "The figure " + f.text("name");
            case "word" -> "\"" + f.text("name") + "\"";
            case "dots" -> "The border of dots";
            case "pattern" -> "The pattern " + f.text("name");
            case "stroke" -> "What was drawn by hand";
            default -> f.text("name");
        };
    }

    private static String because(Facts f) {
        return switch (f.choice("because", PaintOrder.Because.class)) {
            case STANDS_ON_GROUND -> "stands on the ground";
            case LIES_ON -> "lies on " + name(f, "under");
            case OVER_FIRST -> "lies over what is laid first";
            case SHADES_FILLED -> "shades what must be filled before";
            case DRAWN_ON -> "is drawn on " + name(f, "under");
            case HIDES_SEAMS -> "lines hide the seams, so they come after the areas";
            case LIGHT_LAST -> "light comes last";
            case COMES_AFTER -> "comes after " + name(f, "under");
        };
    }

    private static String name(Facts f, String fact) {
        return PartWords.name(f.thing(fact, What.class));
    }

    private static boolean plural(String title) {
        return PLURAL.matcher(title).matches();
    }

    private static String more(Facts f, String verb) {
        return f.count("others") > 0 ? ", and " + Words.number(f.count("others")) + " more" + verb : "";
    }

    /** What stands on the button. */
    public static String label(Finding.Remedy remedy) {
        Facts f = remedy.facts();
        return switch (remedy.cure()) {
            case TAKE_AWAY -> "Take it away";
            case FIT_TO_RIM -> "Make them fit";
            case FIT_TO_FACE -> "Fit to the face";
            case LET_RUN_OFF -> "Let it run off";
            case EQUAL_PAIRS -> "Make the pairs equal";
            case FIT_BESIDE_CRACK -> "Fit beside the crack";
            case FIT_BESIDE_OTHERS -> "Fit beside the others";
            case ENLARGE -> "Enlarge " + Numbers.text(f.number("factor"), 1) + " times";
            case FINER_PEN -> "Use the " + f.text("pen");
            case THICKEN -> "Thicken the strokes";
            case LEAVE_OUT -> f.count("parts") == 1 ? "Leave it out" : "Leave them out";
            case SPACE_LETTERS -> "More space between letters";
            case NEAREST_MIX -> "Take the nearest mix";
            case LAY_FLAT -> "Lay it flat";
            case LAY_IN_ITS_WAY -> "Lay it as " + f.choice("way", BlendKind.class).label();
            case LEAVE_LAYER_OUT -> "Leave it out";
            case ALLOW_PRIMER -> "Allow primer";
            case HIDING_MIX -> "Take the nearest that hides";
            case LINE_BY_CONTRAST -> "By contrast";
            case GLAZES -> "Build joins from glazes";
            case ORDER_BACK -> "Put the order back";
            case SEAL -> "Seal it";
            case AS_LARGE_AS_THIS -> "It is as large as this";
            case WIDEN_BAND -> "Widen it to " + Numbers.text(f.number("mm"), 1) + " mm";
            case BAND_TO_MIDDLE -> "Put it in the middle of the edge";
        };
    }
}
