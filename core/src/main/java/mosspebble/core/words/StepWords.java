package mosspebble.core.words;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.blend.Share;
import mosspebble.core.coats.Sheen;
import mosspebble.core.colour.Mix;
import mosspebble.core.drying.Setting;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Planner;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.Tool;
import mosspebble.core.plan.What;
import mosspebble.core.plan.Why;
import mosspebble.core.project.Side;
import mosspebble.core.sketch.DotBorder;
import mosspebble.core.timetable.Durations;
import mosspebble.core.supplies.Amounts;
import mosspebble.core.supplies.Puddle;
import mosspebble.core.units.Facts;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;
import org.locationtech.jts.geom.Geometry;

/** The words of a step: short title, what to do, why, with what, and what it waits for. */
public final class StepWords {

    private static final Pattern GROWS = Pattern.compile("\\b(petal|leaf|leaflet|feather|wing|fin|blade)s?\\b");

    private StepWords() {}

    // --- title

    /** Short, such as "Fill the belly"; what is painted on the back says so, for both faces may have the same parts. */
    public static String title(Step step) {
        boolean back = step.side() == Side.BACK && step instanceof Step.Lay lay
                && lay.doing().what().stream().noneMatch(w -> w.of() == What.Of.EDGE || w.of() == What.Of.EDGE_BAND);
        return of(step) + (back ? " on the back" : "");
    }

    private static String of(Step step) {
        if (step instanceof Step.Earlier) {
            return "Painted earlier";
        }
        if (step instanceof Step.Prepare prepare) {
            return CareWords.title(prepare.task());
        }
        if (step instanceof Step.Pencil pencil) {
            String back = pencil.side() == Side.BACK ? " on the back" : "";
            return (pencil.drawing().chalk() ? "Chalk " : "Pencil ")
                    + (pencil.drawing().again() ? "again what the primer covers" : "the design") + back;
        }
        if (step instanceof Step.Lay lay) {
            boolean outline = lay.kind() == Step.Kind.OUTLINE || lay.kind() == Step.Kind.LINE_FIRST;
            return outline ? outline(lay) : isGlitter(lay) ? patted(lay)
                    : coat(lay) + (lay.wet().isPresent() || isBlockedIn(lay) ? Words.list(wholes(lay))
                            : PartWords.shortened(lay.doing().what()));
        }
        if (step instanceof Step.Seal seal) {
            return seal.turned() ? "Seal the back" : seal.after().size() > 1 ? "Turn it and seal the front" : "Seal";
        }
        return "Sign it";
    }

    private static String outline(Step.Lay lay) {
        String pen = lay.paint().load().coat().name();
        boolean inner = lay.doing().what().stream().anyMatch(w -> w.of() == What.Of.INNER_LINES);
        boolean outer = lay.doing().what().stream().anyMatch(w -> w.of() == What.Of.OUTLINES);
        return lay.doing().count().number() > 1 ? "Go over the outline with the " + pen + " once more"
                : !inner ? "Outline with the " + pen : outer ? "Outline with the " + pen + ", and a second line inside"
                : "Second line with the " + pen;
    }

    /** Short, without the number of the coat, for where that stands beside it. */
    public static String brief(Step step) {
        boolean counted = step instanceof Step.Lay lay && lay.doing().count().of() > 1;
        String title = title(step);
        return counted && title.contains(" coat: ") ? Words.upper(title.substring(title.indexOf(": ") + 2).replaceFirst("^the ", ""))
                : title;
    }

    /** Which coat of how many, such as "2 of 3"; empty where there is one. */
    public static String coatOf(Step step) {
        return step instanceof Step.Lay lay && lay.doing().count().of() > 1
                ? lay.doing().count().number() + " of " + lay.doing().count().of() : "";
    }

    /** Whether it is glitter laid over a colour of its own. */
    private static boolean isGlitter(Step.Lay lay) {
        return lay.share(lay.paint()).kind() == Share.Kind.GLAZE && lay.paint().load().coat().sheen() == Sheen.GLITTER;
    }

    /** Such as "Pat the first layer of star glitter on the bobble". */
    private static String patted(Step.Lay lay) {
        Share share = lay.share(lay.paint());
        return "Pat " + (share.of() > 1 ? "the " + Words.ordinal(share.number()) + " layer of " : "") + lay.paint().load().coat().name()
                + " on " + Words.list(wholes(lay));
    }

    /** What is worked wet, without its bands and joins. */
    private static List<String> wholes(Step.Lay lay) {
        return PartWords.names(lay.doing().what().stream().map(What::whole).distinct().toList());
    }

    /** "Second coat: " where there are several, else what the hand does. */
    private static String coat(Step.Lay lay) {
        Step.Count count = lay.doing().count();
        return count.of() > 1 ? Words.upper(Words.ordinal(count.number())) + " coat: " : verb(lay) + " ";
    }

    private static String verb(Step.Lay lay) {
        if (lay.wet().isPresent()) {
            return isLoaded(lay) ? "With the loaded brush:" : isRun(lay) ? "Let run together:" : has(lay, Share.Kind.GEL)
                    ? "Gel, lamp and powder:" : has(lay, Share.Kind.GEM) ? gems(lay) == 1 ? "Glue the gem on:" : "Glue the gems on:"
                    : "Work wet into wet:";
        }
        return switch (lay.kind()) {
            case PRIME -> "Prime";
            case GROUND -> lay.doing().hides() ? "Paint" : "Lay";
            case SHADE -> lightens(lay) ? "Lighten" : "Glaze";
            case LINE_FIRST, DETAIL, OUTLINE -> "Draw";
            case HIGHLIGHT -> "Set";
            default -> has(lay, Share.Kind.ISOLATED) ? "Isolate" : has(lay, Share.Kind.PASTE) ? "Raise with paste:"
                    : isTouched(lay) ? "Set" : lay.doing().hides() ? "Fill" : "Lay";
        };
    }

    /** Whether it is set dot by dot, each with one thick touch. */
    private static boolean isTouched(Step.Lay lay) {
        return lay.kind() == Step.Kind.FILL && lay.doing().hides()
                && (lay.tool().kind() == Tool.Kind.DOT_END || lay.paint().load().thin() > 1);
    }

    private static final String TOP_TOWARD = "the top of the stone toward you: else the hand would rest on what was painted before.";

    /** So many are set with the hand in the air (common practice, no source). */
    private static final int FEW_COLOURS = 3;
    private static final int FEW_TOUCHES = 4;

    /** Dots whose areas differ by more than so many times are not of one size: a run that shrinks. */
    private static final double SHRINKS = 2;

    private static String touched(Step.Lay lay, String coat, String on) {
        if (lay.tool().kind() == Tool.Kind.PEN) {
            return coat + on + ", each with one touch; do not go over it while it is wet.";
        }
        double[] sizes = lay.layers().stream().map(Step.Layer::place)
                .flatMap(g -> IntStream.range(0, g.getNumGeometries()).mapToObj(g::getGeometryN)).mapToDouble(Geometry::getArea).sorted()
                .toArray();
        if (sizes.length <= 1) {
            return coat + ", one thick touch; lift straight and slowly.";
        }
        if (lay.tool().kind() != Tool.Kind.DOT_END) {
            return coat + on + ", one thick touch of a full brush each; lift straight and slowly.";
        }
        return coat + on + ", one thick touch each; lift straight and slowly, reload for every dot"
                + (sizes[sizes.length - 1] > SHRINKS * sizes[0] ? " of equal size; a row that shrinks is set with one load." : ".");
    }

    private static boolean isLoaded(Step.Lay lay) {
        return has(lay, Share.Kind.INNER_COLOUR);
    }

    /** Whether the colours of a blend are laid side by side, to be worked into each other in the coat that follows. */
    private static boolean isBlockedIn(Step.Lay lay) {
        return lay.wet().isEmpty() && lay.layers().stream().map(l -> l.load().mix()).distinct().count() > 1;
    }

    private static int gems(Step.Lay lay) {
        return lay.layers().get(1).place().getNumGeometries();
    }

    private static boolean isRun(Step.Lay lay) {
        return has(lay, Share.Kind.RUN);
    }

    private static boolean has(Step.Lay lay, Share.Kind share) {
        return lay.doing().what().stream().anyMatch(w -> w.share().kind() == share);
    }

    private static boolean lightens(Step.Lay lay) {
        return lay.doing().what().get(0).of() == What.Of.LIGHT_SIDE;
    }

    /** What a step is done to, in the painter's words. */
    public static String what(Step step) {
        if (step instanceof Step.Lay lay) {
            return PartWords.shortened(lay.doing().what());
        }
        return step instanceof Step.Seal ? "the whole stone" : title(step);
    }

    // --- what to do

    /** What to do. */
    public static String sentence(Step step) {
        if (step instanceof Step.Earlier) {
            List<String> colours = step.layers().stream().map(l -> l.load().coat().name()).distinct().toList();
            return "Nothing to do: "
                    + (colours.size() > FEW_COLOURS ? "what was painted lies there already, in " + colours.size() + " colours."
                            : Words.list(colours) + (colours.size() == 1 ? " lies" : " lie") + " there already.");
        }
        if (step instanceof Step.Prepare prepare) {
            return CareWords.sentence(prepare.task());
        }
        if (step instanceof Step.Pencil pencil) {
            return (pencil.after().stream().anyMatch(a -> a.waits() == Step.Waits.HANDLED) ? "Turn the stone over, onto something soft. "
                    : "") + "Transfer the guide and draw " + (pencil.drawing().chalk() ? "in white chalk." : "lightly.");
        }
        if (step instanceof Step.Sign sign) {
            return "Small, on the back or low on the front, with a " + (sign.sealed() ? "pen that does not smear under varnish."
                    : "fine pen that stays when it is rubbed: no seal comes over it.");
        }
        if (step instanceof Step.Seal seal) {
            return SealWords.lines(seal) + SealWords.sentence(seal.advice(), seal.varnish().load().coat().name())
                    + (seal.advice().why().poured() ? " " + SealWords.pour(seal.work().areaMm2()) : "")
                    + (seal.lying().gems() ? " " + SealWords.overGems(seal.advice()) : "") + (seal.turned()
                            ? " Then lay it on clean baking paper, sealed side down, once it no longer gives under a fingernail." : "");
        }
        Step.Lay lay = (Step.Lay) step;
        boolean several = lay.doing().what().size() > 1;
        String it = several ? "them" : "it";
        String pencil = lay.doing().pencil().map(p -> drawn(p, lay.doing().hides(), several)).orElse("");
        String first = pencil + Words.upper(how(lay));
        String edge = lay.doing().widened() && !isLoaded(lay) && !isRun(lay) ? " First widen " + (several ? "their edges" : "its edge")
                + " by " + Numbers.text(Step.EDGE_MM, 0)
                + " mm with the small brush, so that the large one never comes near " + it + "." : "";
        String more = lay.doing().count().perhapsMore() && lay.doing().hides() && lay.kind().spreads()
                ? " Look at it dry: where what is below still shows, one more."
                : "";
        return first + edge + more
                + (isPatch(lay) ? " Thin it out at its rim; where the patch is still seen when dry, one coat over the whole."
                        : "")
                + hand(lay);
    }

    /** Whether it closes a flat colour where old paint lay in it (common practice, no source: a hard rim is what is seen of a patch). */
    private static boolean isPatch(Step.Lay lay) {
        return (lay.kind() == Step.Kind.FILL || lay.kind() == Step.Kind.GROUND) && lay.wet().isEmpty()
                && lay.doing().count().number() == lay.doing().count().of()
                && lay.doing().what().stream().anyMatch(w -> w.on().stream().anyMatch(below -> below.of() == What.Of.OLD_PAINT));
    }

    /** Where the hand is meanwhile. For a touch or two nobody turns the stone, and who draws is told with the drawing. */
    private static String hand(Step.Lay lay) {
        return switch (lay.doing().turn()) {
            case AS_IT_LIES -> "";
            case HALF_ROUND ->
                    isDrawn(lay) ? "" : isFewTouches(lay) ? " Keep the hand off the stone: it would rest on what was painted before."
                            : " Work with " + TOP_TOWARD;
            case LEFT_TO_RIGHT -> " From the upper left to the right, so that the hand never rests on wet paint.";
            case RIGHT_TO_LEFT -> " From the upper right to the left, so that the hand never rests on wet paint.";
        };
    }

    private static boolean isDrawn(Step.Lay lay) {
        return switch (lay.kind()) {
            case OUTLINE, LINE_FIRST, DETAIL -> lay.wet().isEmpty() && !isBlockedIn(lay);
            default -> false;
        };
    }

    private static boolean isFewTouches(Step.Lay lay) {
        return (lay.kind() == Step.Kind.HIGHLIGHT || isTouched(lay)) && touches(lay) <= FEW_TOUCHES;
    }

    private static int touches(Step.Lay lay) {
        return lay.layers().stream().mapToInt(l -> l.place().getNumGeometries()).sum();
    }

    /** How it is drawn on dry paint before it is laid; what is clear would show the line for good. */
    private static String drawn(Step.Drawing drawing, boolean hides, boolean several) {
        if (!hides) {
            return "Mark where " + (several ? "they end" : "it ends") + (drawing.chalk() ? " with dots of chalk and wipe each away"
                    : " with dots of pencil and rub each out") + " as you come to it: what is clear hides no line. ";
        }
        String it = several ? "them" : "it";
        return drawing.chalk() ? "Draw " + it + " in chalk on the dry paint first. " : "Pencil " + it + " lightly on the dry paint first. ";
    }

    private static String how(Step.Lay lay) {
        String coat = lay.paint().load().coat().name();
        Step.Count count = lay.doing().count();
        if (lay.wet().isPresent() && isLoaded(lay)) {
            return Words.list(loads(lay))
                    + " side by side on the flat brush: " + stroke(lay.doing().what().get(0)) + ". Two or three strokes, "
                    + "rinse, wipe, load again" + (isPetal(lay.doing().what().get(0)) ? "; one is finished before the next." : ".")
                    + pieces(lay.wet().get());
        }
        if (lay.wet().isPresent() && isRun(lay)) {
            return Words.list(loads(lay)) + " side by side, wet and generous, quickly one after the other. While all are wet push them "
                    + "into each other with moving air, the dryer cool or a straw, and tilt the stone; then lay it level and leave it."
                    + pieces(lay.wet().get());
        }
        if (lay.wet().isPresent() && has(lay, Share.Kind.GEL)) {
            return gel(lay);
        }
        if (lay.wet().isPresent() && has(lay, Share.Kind.GEM)) {
            boolean one = gems(lay) == 1;
            return Words.upper(coat) + ": a drop in the middle of " + (one ? "the" : "each") + " seat. Set a "
                    + lay.layers().get(1).load().coat().name()
                    + " in it with tweezers, press until it no longer slides, take off what comes "
                    + "out round it; leave the stone level until the glue is hard. Small gems come off in small mouths: not for children.";
        }
        if (lay.wet().isPresent()) {
            return "All loads ready first, as they dry while you work. One after the other, wet into wet: " + Words.list(loads(lay))
                    + "; a little more paint at each join, worked until no edge is seen." + pieces(lay.wet().get());
        }
        if (isBlockedIn(lay)) {
            return "Block " + (lay.doing().what().stream().map(What::whole).distinct().count() > 1 ? "them" : "it") + " in with "
                    + Words.list(loads(lay))
                    + ", each in its place, so that what is below is covered; where they meet they may run into each other.";
        }
        return switch (lay.kind()) {
            case SHADE -> "Lay a thin line of " + coat + " along the " + (lightens(lay) ? "lit" : "dark")
                    + " edge and draw it out with a damp, clean brush.";
            case OUTLINE, LINE_FIRST, DETAIL -> "Draw with " + coat + ", lightly, " + (lay.doing().turn() == Step.Turn.HALF_ROUND
                    ? TOP_TOWARD
                    : "turning the stone so that the hand pulls toward you.");
            case HIGHLIGHT -> {
                boolean one = touches(lay) == 1;
                yield lay.tool().kind() == Tool.Kind.PEN
                        ? "With " + coat + ", one touch or one stroke" + (one ? "" : " each") + "; do not go over it while it is wet."
                        : one ? "Touch on " + coat + " with one stroke of a full brush; lift and leave it."
                        : "Touch on " + coat + ", one stroke of a full brush each; reload for every one of equal size.";
            }
            default -> {
                What first = lay.doing().what().get(0);
                String own = isGlitter(lay) ? glitter(first.share()) : how(first);
                String on = lay.doing().what().size() > 1 ? " on " + Words.list(PartWords.names(lay.doing().what())) : "";
                yield !own.isEmpty() ? Words.upper(coat) + ". " + own
                        : isTouched(lay) ? touched(lay, coat, on)
                        : count.of() == 1 ? coat + on + ", thin and even."
                        : count.number() == 1 ? "a thin coat of " + coat + on + enough(lay)
                                + (lay.doing().hides() ? "it may be streaky, the next one closes it."
                                        : lay.doing().why().reason() == Why.Reason.GLOWS ? "the next one adds to it."
                                        : "it may leave bald patches, the next one closes them.")
                        : "a thin coat of " + coat + on + ", once the one before no longer feels cool.";
            }
        };
    }

    /** What one coat does for while the rest takes another; up to where it is said what that is for. */
    private static String enough(Step.Lay lay) {
        List<What> enough = lay.doing().count().enough();
        List<What> rest = lay.doing().what().stream().filter(w -> !enough.contains(w)).toList();
        return enough.isEmpty() ? "; "
                : ", enough for " + Words.list(PartWords.names(enough)) + "; on " + Words.list(PartWords.names(rest)) + " ";
    }

    /** Gel, lamp and powder are one work: the powder sticks only while the gel is fresh from the lamp. */
    private static String gel(Step.Lay lay) {
        return "A thin, even coat of " + lay.paint().load().coat().name() + " on what is quite dry; " + Setting.LAMP.toSeconds()
                + " s under the lamp, 60 to 120 by its label; do not look into it. At once rub " + lay.layers().get(1).load().coat().name()
                + " on with a soft tip until it shines, brush off the rest over paper and pour it back; do not breathe it in.";
    }

    /** Flakes sink and lie edge up where they are brushed out or thinned. */
    private static String glitter(Share share) {
        return "Stir it up; pat it on and do not brush it out, so that the flakes lie flat."
                + (share.number() < share.of() ? " The next one closes what bald patches are left." : "");
    }

    /** How it is cut up where the paint does not stay open long enough for all of it. */
    private static String pieces(Step.Wet wet) {
        return wet.pieces() == 1 ? "" : " The paint stays open " + Durations.words(wet.open()) + ", the hand takes "
                + Durations.words(wet.work()) + ": "
                + (wet.inTime()
                        ? "work it in " + Words.number(wet.pieces()) + " pieces, each with all its colours, and go on at the wet edge."
                        : "take slow medium, or build the join from glazes.");
    }

    /** The loads of a wet pass, less what comes about on the stone where two of them meet. */
    private static List<String> loads(Step.Lay lay) {
        List<String> loads = new ArrayList<>();
        for (Step.Layer layer : lay.layers()) {
            if (lay.share(layer).kind() != Share.Kind.MIXED_STEP) {
                loads.add(layer.load().coat().name());
            }
        }
        return loads.stream().distinct().toList();
    }

    /** Whether it is painted stroke by stroke from tip to foot: one of many alike, or a thing that grows. */
    private static boolean isPetal(What what) {
        return what.row().size() > 1 || GROWS.matcher(what.part()).find();
    }

    private static String stroke(What what) {
        return isPetal(what) ? "press at the tip, release toward the foot"
                : "pull stroke beside stroke the way it bulges, each a little over the last";
    }

    /** What the hand does, where that is not the usual. */
    private static String how(What what) {
        if (what.of() == What.Of.HALO) {
            return "A thin darker line close to the subject, drawn out with a damp brush.";
        }
        Share share = what.share();
        return switch (share.kind()) {
            case WHOLE -> "";
            case FIRST_PART -> "Pencil the arched join first; paint up to it.";
            case SECOND_PART -> "Along the join with the small brush, once the first colour is dry.";
            case THIN_WASH -> "One wet coat, smoothed by a finger at once to a thin wash; the stone shows through.";
            case DARK_BEHIND -> "While the ground is wet, darker close to the subject; draw it out toward the rim until it is gone.";
            case BAND -> "Block it in, so that the stone is covered.";
            case MIXED_STEP -> "A thin glaze on dry paint, pass " + share.number() + " of " + share.of() + ".";
            case STREAKS -> "Wipe the brush until it is nearly dry, then drag it lightly, always the same way.";
            case FOAM -> "Dab with a damp sponge, thickest where the water breaks; lift straight.";
            case DABS -> "A nearly dry sponge, turned for every dab so that no pattern repeats.";
            case FACETS -> "Small facets side by side, the tool turned each time; let each colour dry.";
            case RUN -> "Side by side with the others, while all are wet.";
            case STROKES -> "Set the tip down, pull a short way, lift; each a little askew, none over another.";
            case ARM -> "From the middle outward, turning the stone; let it dry before the arm beside it.";
            case WHITE_IN_LOAD ->
                    "The first coat, with white in the load: " + stroke(what) + ". It may show what is below.";
            case TIP_COLOUR ->
                    "Load the flat brush with all colours side by side; " + stroke(what) + ". Reload every two or three strokes.";
            case INNER_COLOUR -> "In the same strokes, from the other corner of the brush.";
            case GLAZE ->
                    "Thin with water until it is glass-clear; one even pass over dry paint, " + share.number() + " of " + share.of() + ".";
            case BASE, GEL, POWDER, GLUE, GEM -> "";
            case SIZE -> "A thin coat, no puddles; let it turn clear and tacky: a knuckle laid on it clicks when lifted. "
                    + "Leaf goes on within a day.";
            case LEAF ->
                    "Lay it on the tacky size in pieces that overlap, press with a soft dry brush, brush off what does not stick; the gaps "
                            + "take small pieces.";
            case PASTE -> "With a knife or stiff brush, at most 2 mm at once; smooth or shape it while it is soft, let it dry through.";
            case ISOLATED -> "A thin, even coat, not gone over; it may fall on what lies beside it.";
            case CRACKLE -> "One even coat over the dry colour; thicker for larger flakes. Let it dry until it no longer feels tacky, and "
                    + "paint over it within a day.";
            case CRACKED -> "One full coat, each stroke once and not gone over: it tears within the hour and shows the colour below.";
            case DROPPED_WASH -> "Mostly water; drop it into the middle and dab the edge with a corner of cloth.";
        };
    }

    /** How its mixes are counted out, or from which step's puddle they come; empty where nothing is mixed. */
    public static String puddles(PaintPlan plan, int step) {
        List<String> words = new ArrayList<>();
        for (Puddle puddle : plan.puddles()) {
            if (!puddle.mix().isSingle() && puddle.steps().contains(step)) {
                String name = mixName(plan.steps().get(step), puddle.mix());
                int first = puddle.steps().get(0);
                words.add(first != step ? "Take " + name + " from the puddle of step " + (first + 1) + ", kept damp."
                        : counted(plan, puddle, name) + kept(puddle.steps().size() - 1));
            }
        }
        return String.join(" ", words);
    }

    /** What one of its mixes is called beside its others: the only one needs no name. */
    static String mixName(Step step, Mix mix) {
        return step.layers().size() == 1 ? "it"
                : step.layers().stream().filter(l -> l.load().mix().equals(mix)).findFirst().map(l -> l.load().coat().name()).orElseThrow();
    }

    /** How a mix is counted out from the pots. */
    static String counted(Amounts amounts, String name) {
        int each = amounts.dropsPerPart();
        return "Mix " + name + ", " + (each == 1 ? "a drop" : Words.number(each) + " drops") + " a part";
    }

    /** How a puddle is counted out, or made of another that is damp. */
    static String counted(PaintPlan plan, Puddle puddle, String name) {
        int drops = puddle.amounts().shares().get(0).drops();
        if (puddle.from().isEmpty()) {
            return counted(puddle.amounts(), name);
        }
        String base = plan.steps().stream().flatMap(s -> s.layers().stream()).filter(l -> l.load().mix().equals(puddle.from().get()))
                .findFirst().map(l -> l.load().coat().name()).orElseThrow();
        return "Bring some of the " + base + " to " + name + ", " + (drops == 1 ? "one drop" : Words.number(drops) + " drops") + " more";
    }

    /** What is said of a puddle that serves others later. */
    static String kept(int more) {
        return more == 0 ? "." : "; keep it damp, it serves " + (more == 1 ? "one more pass." : Words.number(more) + " more passes.");
    }

    // --- why

    /** Why here, why so many coats. */
    public static String reason(Step step) {
        if (step instanceof Step.Earlier) {
            return "It was painted and then left out of the sketch. Coats over it are counted on it.";
        }
        if (step instanceof Step.Prepare prepare) {
            return CareWords.reason(prepare.task());
        }
        if (step instanceof Step.Pencil pencil) {
            Step.Drawing drawing = pencil.drawing();
            String below = drawing.onPaint() ? "paint" : "stone";
            return (drawing.again() ? "The first lines lie below the paint. Clear crumbs away before painting. " : drawing.onPaint()
                    ? "Whatever was drawn before would lie below it. " : "")
                    + (drawing.chalk() ? "The " + below + " is dark: chalk shows, graphite would not."
                            : "Graphite shows on this pale " + below + (drawing.onPaint() ? "; pressed hard it would score it."
                                    : " and does not bleed into it as a pen would."));
        }
        if (step instanceof Step.Sign) {
            return "Try each pen once under each sealer and write it down.";
        }
        if (step instanceof Step.Seal seal) {
            return SealWords.reason(seal.advice());
        }
        Step.Lay lay = (Step.Lay) step;
        Step.Doing doing = lay.doing();
        int coats = doing.count().of();
        if (isGlitter(lay)) {
            return "Its flakes let the colour below through; it goes on when that and its shade are dry.";
        }
        if (isBlockedIn(lay)) {
            return "What is below shows through one coat; the joins are worked in the last, while all is wet.";
        }
        if (doing.why().reason() != Why.Reason.NONE) {
            boolean counts = doing.hides() && coats > 1 && doing.why().reason() != Why.Reason.SHOWS_THROUGH
                    && lay.kind() != Step.Kind.PRIME;
            if (doing.why().reason() == Why.Reason.FLAKES) {
                return reason(doing.why()) + "in " + Words.number(coats) + " thin " + (coats == 1 ? "coat" : "coats")
                        + " no bald patch is left that one would see; what is below is meant to show.";
            }
            return reason(doing.why()) + (counts ? " " + Words.coats(coats) + " until nothing shows through." : "");
        }
        if (lay.share(lay.paint()).kind() == Share.Kind.WHITE_IN_LOAD) {
            return "White in the first load keeps the colours of the next bright.";
        }
        if (!doing.hides()) {
            return "One thin coat; what is below is meant to show.";
        }
        if (doing.count().wanted() > Math.max(coats, Planner.MOST_COATS)) {
            return "Even " + Words.coats(coats) + " let the ground show; see the findings.";
        }
        Step.Count count = doing.count();
        String perhaps = perhaps(count);
        String gone = Seen.left(count.hiding().left());
        return coats == 1 || count.hiding().least() < coats // fewer may do, so nothing is sure to show through
                ? Words.upper(Words.number(coats)) + (coats == 1 ? " coat" : " coats") + perhaps + "; what is below then " + gone + "."
                : "What is below shows through " + Words.number(coats - 1) + (coats == 2 ? " coat" : " coats") + "; after "
                        + Words.number(coats) + perhaps + (perhaps.isEmpty() ? "" : ",") + " it " + gone + ".";
    }

    /** Another number of coats that it may come to, such as ", perhaps three"; empty where it is sure. */
    private static String perhaps(Step.Count count) {
        Step.Hiding hiding = count.hiding();
        boolean more = hiding.most() > count.of();
        boolean fewer = hiding.least() < count.of();
        return !more && !fewer ? "" : ", perhaps " + (fewer ? Words.number(hiding.least()) : "") + (fewer && more ? " or " : "")
                + (more ? Words.number(hiding.most()) : "");
    }

    /** The figures behind the reason; empty where there are none. */
    public static String figures(Step step) {
        if (step instanceof Step.Pencil pencil) {
            return "L* " + Numbers.text(pencil.drawing().belowL(), 0) + " below it.";
        }
        if (!(step instanceof Step.Lay lay)) {
            return "";
        }
        Facts facts = lay.doing().why().facts();
        if (lay.doing().why().reason() == Why.Reason.STANDS_OUT) {
            return "Differs by " + Numbers.text(facts.number("inside"), 0) + " from the area and by "
                    + Numbers.text(facts.number("outside"), 0) + " from what is behind (CIEDE2000).";
        }
        Step.Count count = lay.doing().count();
        return !lay.doing().hides() || lay.wet().isPresent() || count.hiding().left() == 0 ? ""
                : "After " + Words.coats(count.of()) + " " + Numbers.text(count.hiding().left(), 1) + " is left, "
                        + Numbers.text(lay.doing().tolerance(), 1) + " counts as hidden (CIEDE2000); by the spread of the paint's hiding "
                        + (count.hiding().least() == count.hiding().most() ? Words.coats(count.of())
                                : count.hiding().least() + " to " + Words.coats(count.hiding().most()))
                        + ". " + Numbers.text(lay.paint().load().coat().dryUm(), 0) + " µm dry a coat.";
    }

    private static String reason(Why why) {
        Facts facts = why.facts();
        return switch (why.reason()) {
            case NONE -> "";
            case PRIMED_BY_HABIT -> "Everything is primed, as is your habit.";
            case PRIMER_SAVES_COATS ->
                    Words.upper(PartWords.name(why.about().get(0))) + " needs " + Words.coats(facts.count("over")) + " over "
                            + facts.count("primer") + " of primer, "
                            + atMost(facts.count("alone"), facts.count("most")) + " on the bare stone.";
            case GROUND_UNDER_ALL -> "Under everything, as is your habit.";
            case GROUND_AROUND -> "Only around the subject and " + Numbers.text(facts.number("mm"), 1)
                    + " mm under its edge: less film, less paint, less peeling.";
            case LIFTS_OFF -> "A darker shade of the ground close around the subject lifts it off the stone.";
            case BLEND -> BlendWords.sentence(facts.choice("blend", BlendKind.class));
            case TURNS_AWAY ->
                    "The light comes from " + facts.text("light") + "; what turns away from it and what lies below an overlap goes darker.";
            case SUNK -> "The light comes from " + facts.text("light") + "; the edge on that side throws its shade into what lies deeper.";
            case FACES_LIGHT -> "The light comes from " + facts.text("light") + "; the side that faces it goes lighter.";
            case LINE_FIRST -> "Line first, as is your habit: fill up to it.";
            case STANDS_OUT -> (facts.is("restores") ? "Restores the line at the end. " : "")
                    + (facts.is("darkest") ? facts.is("liner") ? "The darkest paint, as is your habit" : "The darkest pen, as is your habit"
                            : "Stands out best on both sides")
                    + "."
                    + (facts.is("shaded") ? " Thicker on the side away from the light." : "");
            case AS_WISHED -> "The line you chose." + (facts.is("shaded") ? " Thicker on the side away from the light." : "");
            case SECOND_LINE -> "A second line just inside the first, as is your habit.";
            case METAL_LINE -> "Metal just inside the first line, as is your habit.";
            case LIGHT_LAST -> "Where the light strikes; nothing is painted over it.";
            case RUNS_ROUND -> "It runs all round, so it comes when both faces can be handled.";
            case DRAWN_ON_AREA -> "After the areas below; a line stops just short of what is in front.";
            case BASE_OF_SPARKLE -> "Its flakes cover thinly: a base of their own colour closes the gaps between them.";
            case WHITE_BELOW_GLOW -> "What glows sends its light also downward: white below sends it back.";
            case FLAKES -> "The flakes lie as they fall: laid on in small areas rather than brushed out, ";
            case GLOWS -> "What shines is in the thickness: two thin coats at least. Light charges it.";
            case KEEPS_APART ->
                    Words.upper(facts.text("above")) + " over " + facts.text("below") + " would not last; this keeps them apart.";
            case SHOWS_THROUGH -> (facts.has("below") ? facts.text("below") : "what is below") + " still shows through "
                    + Words.coats(facts.count("coats")) + " there.";
        };
    }

    static String atMost(int coats, int most) {
        return coats > most ? "more than " + most : String.valueOf(coats);
    }

    // --- with what, after what

    /** The tool. */
    public static String tool(Step step) {
        if (step instanceof Step.Earlier) {
            return "nothing";
        }
        if (step instanceof Step.Prepare prepare) {
            return CareWords.tool(prepare.task());
        }
        if (step instanceof Step.Pencil pencil) {
            return pencil.drawing().chalk() ? "white chalk pencil" : pencil.drawing().onPaint() ? "graphite pencil, lightly"
                    : "graphite pencil";
        }
        if (step instanceof Step.Lay lay) {
            return tool(lay.tool());
        }
        return step instanceof Step.Seal seal ? SealWords.tool(seal.advice()) : "fine pen";
    }

    private static String tool(Tool tool) {
        return switch (tool.kind()) {
            case LARGE_FLAT -> "large flat brush";
            case MEDIUM_ROUND -> "medium round brush";
            case SMALL_ROUND -> "small round brush";
            case FINE_ROUND -> "fine round brush";
            case SPONGE -> "damp sponge";
            case DRY_BRUSH -> "stiff brush, nearly dry";
            case LINER -> "liner brush";
            case PEN -> "pen " + Numbers.text(tool.mm(), 1) + " mm";
            case APPLICATOR -> "soft tip, paper below";
            case LEAF_BRUSH -> "soft dry brush";
            case TWEEZERS -> "tweezers, glue with a fine nozzle";
            case KNIFE -> "palette knife";
            case SPRAY -> "spray can, outdoors, mask on";
            case DOT_END -> DotBorder.tool(tool.mm()) + ", reloaded for every dot";
        };
    }

    /** Why it waits. */
    public static String reason(Step.After after) {
        return switch (after.waits()) {
            case STEP_BEFORE -> "the step before is done";
            case DRY_GROUND -> "the ground below must be dry";
            case BEFORE_PAINT -> "comes before paint";
            case LIES_BELOW -> "lies below";
            case OWN_COAT -> "the coat before";
            case WOULD_BLEED -> "lies within " + Numbers.text(Step.BLEED_MM, 0) + " mm and would bleed while it is wet";
            case HANDLED -> "must be dry enough to be handled and lain on";
            case LIES_ON_SEALED -> "the stone lies on this side now, so it must have hardened";
            case ALL_PAINTED -> "everything is painted first";
            case DRY_THROUGH -> "all paint must be dry through, or the seal clouds and wrinkles";
        };
    }

    /** Titles of all steps, in order. */
    public static List<String> titles(PaintPlan plan) {
        return plan.steps().stream().map(StepWords::title).collect(Collectors.toList());
    }
}
