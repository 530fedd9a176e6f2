package mosspebble.core.words;

import java.util.List;
import mosspebble.core.advice.Correction;
import mosspebble.core.advice.Schemes;
import mosspebble.core.advice.Suitability;
import mosspebble.core.coats.Coat;
import mosspebble.core.plan.Step;
import mosspebble.core.sketch.WayUp;
import mosspebble.core.units.Facts;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;

/** The words of advice: putting a mistake right, moods of a palette, how a stone suits a subject and which way up it lies best. */
public final class AdviceWords {

    private AdviceWords() {}

    // --- putting right

    /** What went wrong, in a word or two. */
    public static String label(Correction.Mishap mishap) {
        return switch (mishap) {
            case SLIP -> "slip";
            case BLED -> "bled edge";
            case WRONG_COLOUR -> "wrong colour";
            case CRACKED -> "cracked";
            case BALD_GLITTER -> "bald glitter";
            case SMUDGE -> "smudge";
        };
    }

    /** What went wrong. */
    public static String sentence(Correction.Mishap mishap) {
        return switch (mishap) {
            case SLIP -> "Another colour slipped onto it";
            case BLED -> "An edge ran into its neighbour";
            case WRONG_COLOUR -> "It should have another colour";
            case CRACKED -> "The paint cracked";
            case BALD_GLITTER -> "Bald places in the glitter";
            case SMUDGE -> "A grey smudge from erasing";
        };
    }

    /** What lies at the place. */
    public static String place(Correction correction) {
        return correction.place().map(p -> StepWords.what(p.on()) + ", " + p.colour()).orElse("bare stone");
    }

    /** What to do. */
    public static String sentence(Correction.Repair repair) {
        Facts facts = repair.facts();
        return switch (repair.act()) {
            case DULL_SEAL ->
                    "The stone is sealed here: wipe it, dull the place with very fine paper so that paint grips, and dust it off.";
            case SEAL_AGAIN -> "Seal the place again once it is dry through.";
            case WIPE_OFF_STONE ->
                    "On bare stone: wipe it off at once with a damp cloth; once dry, rub with a damp melamine sponge or fine "
                            + "paper until the stone shows.";
            case LET_DRY -> "Let it dry; wet on wet makes it worse.";
            case LET_BOTH_DRY -> "Do not touch it while it is wet: wet on wet makes it worse. Let both sides dry.";
            case LIFT -> "Even " + facts.count("coats") + " coats of " + facts.text("colour")
                    + " would not hide it. Lift what slipped first: roll a barely damp swab over it, do not rub.";
            case BLOCK -> "Two thin coats of " + facts.text("colour") + " on the spot only.";
            case COVER -> Words.upper(Words.coats(facts.count("coats"))) + " of " + facts.text("colour")
                    + " with a small brush, feathered out at the edge" + (facts.count("coats") > 1 ? "; each dry before the next." : ".");
            case RESTORE_LINE -> line(facts.thing("line", Step.class));
            case CHOOSE -> "Choose the colour that should be there.";
            case LET_WRONG_DRY -> "Let the wrong colour dry.";
            case PRIME_FIRST -> "Prime the area with two coats first; " + facts.text("colour") + " alone never hides what is there.";
            case REPAINT -> Words.upper(Words.coats(facts.count("coats"))) + " of " + facts.text("colour")
                    + " over the whole area, each dry before the next.";
            case STRIP_CRACKLE ->
                    "Crackle medium lies beneath and will crack every coat: the paint must come off down to it, and the medium "
                            + "too.";
            case WAIT_HARD -> "It cracked because the coat was thick or its ground was wet. Wait until it is hard right through.";
            case SAND -> "Sand the cracked place level with fine paper, wet, and wipe the dust away. Wear a dust mask.";
            case SAY_GLITTER -> "The binder of glitter paint is clear; bald places show what is below. A coat of a matching colour beneath "
                    + "would have hidden them.";
            case DAB_GLITTER -> "One or two further coats of the glitter paint, dabbed rather than brushed, each dry.";
            case BRUSH_CRUMBS ->
                    "Brush the crumbs away; do not wash. A soft kneaded eraser lifts graphite, a hard one takes paint with it.";
            case WIPE_STONE -> "On bare stone: wipe with a barely damp cloth and let it dry.";
            case CLEAN_UP -> "One clean-up coat of " + facts.text("colour") + " round the sketch.";
        };
    }

    private static String line(Step line) {
        return "Restore the line where the repair crossed it (" + StepWords.tool(line) + ", "
                + line.coat().map(Coat::name).orElse("as before") + ").";
    }

    // --- palettes

    /** A mood's name. */
    public static String title(Schemes.Mood mood) {
        return switch (mood) {
            case WISHED -> "As the motif wishes";
            case LANTERN -> "Lantern light";
            case DUSK -> "Dusk";
            case QUIET -> "Pale and quiet";
            case BOLD -> "Bold";
        };
    }

    /** What a mood does to the colours. */
    public static String sentence(Schemes.Mood mood) {
        return switch (mood) {
            case WISHED -> "Each part as near to its own colour as the shelf allows.";
            case LANTERN -> "Everything leans to the warm side, as if lit by a flame.";
            case DUSK -> "Darker and bluer, as the last light leaves things.";
            case QUIET -> "Milky colours of little strength.";
            case BOLD -> "Strong colours, light ones lighter and dark ones darker.";
        };
    }

    // --- stone and subject

    /** How well they suit, in a word. */
    public static String word(Suitability suits) {
        return switch (suits.verdict()) {
            case MADE_FOR_IT -> "made for it";
            case GOOD -> "good";
            case WILL_DO -> "will do";
            case POOR -> "poor";
        };
    }

    /** Why they suit or do not, each reason in a few words. */
    public static List<String> reasons(Suitability suits) {
        return suits.reasons().stream().map(AdviceWords::words).toList();
    }

    private static String words(Suitability.Reason reason) {
        Facts facts = reason.facts();
        return switch (reason.sort()) {
            case NO_ROOM -> "the face leaves no room";
            case FILLS -> "fills " + Numbers.text(100 * facts.number("share"), 0) + " % of the face";
            case DETAIL -> "smallest part " + Numbers.text(facts.number("smallestMm"), 1) + " mm"
                    + (facts.number("smallestMm") < facts.number("neededMm")
                            ? ", the finest pen needs " + Numbers.text(facts.number("neededMm"), 1)
                            : "");
            case EVENNESS -> facts.is("even") ? "the outline is as even as the subject"
                    : "the outline is lopsided by " + Numbers.text(100 * facts.number("lopsided"), 0) + " %";
            case MARKS -> facts.count("marks") == 0 ? "no hole or crack in the way"
                    : facts.count("marks") + (facts.count("marks") == 1 ? " mark" : " marks") + " in the way";
        };
    }

    /** What speaks for a way up, each reason in a few words. */
    public static List<String> reasons(WayUp way) {
        return way.reasons().stream().map(AdviceWords::words).toList();
    }

    private static String words(WayUp.Reason reason) {
        Facts facts = reason.facts();
        return switch (reason.sort()) {
            case SIZE -> Numbers.text(facts.number("longMm"), 0) + " mm long" + (facts.number("smaller") < 0.001 ? ", as large as it gets"
                    : ", " + Numbers.text(100 * facts.number("smaller"), 0) + " % smaller than the best");
            case WIDE_END -> facts.is("below") ? "the wide end is below" : "the wide end is on top";
            case POSTURE -> posture(facts.choice("posture", WayUp.Posture.class), facts.is("withSubject"), facts.is("suits"));
            case SLANT -> "on a slant";
        };
    }

    private static String posture(WayUp.Posture posture, boolean withSubject, boolean suits) {
        String stands = switch (posture) {
            case UPRIGHT -> "stands upright";
            case ACROSS -> "lies across";
            case SQUARE -> "as high as wide";
        };
        if (withSubject) {
            return stands + (suits ? ", as the subject does" : "");
        }
        return stands + switch (posture) {
            case UPRIGHT -> ": for a sitting figure";
            case ACROSS -> ": for words and scenes";
            case SQUARE -> "";
        };
    }
}
