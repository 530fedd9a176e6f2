package mosspebble.core.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.blend.Share;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Preparation;
import mosspebble.core.care.Quarrel;
import mosspebble.core.care.SmearTest;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.Sheen;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.PaintOptics;
import mosspebble.core.drying.SteadyMass;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintOrder;
import mosspebble.core.plan.Soft;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.Tool;
import mosspebble.core.plan.What;
import mosspebble.core.plan.Why;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Side;
import mosspebble.core.sketch.LineWish;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Patch;
import mosspebble.core.units.Facts;
import mosspebble.core.units.Srgb;
import mosspebble.core.units.Words;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Whatever can be found, done or doubted has its words, and they are made of the facts alone. */
class WordsTest {

    private static final What WING = new What(What.Of.PART, "left wing", Share.WHOLE, List.of());
    private static final Coat COAT = new Coat("blue", Srgb.ofHex("#2244aa"), PaintOptics.clear(), 20, 0, Sheen.SATIN, 0);
    private static final Step STEP = lay(Step.Kind.FILL, WING, Why.Reason.NONE, 2);

    /** Every fact that any sentence asks for. */
    private static final Facts FACTS = Facts.of("where", "the ford").and("words", "mind the step").and("cracks", 2).and("grams", 3.2)
            .and("length", true).and("width", false).and("height", true)
            .and("left", 4.5).and("needed", 6.1)
            .and("paint", "white").and("mm2", 83.0).and("coats", 3).and("most", 7).and("dryL", 60.0).and("sealedL", 48.0)
            .and("thing", "word").and("name", "lantern").and("face", "heavy slab").and("letters", "q").and("dots", true)
            .and("part", "left wing").and("mm", 2.4).and("mostMm", 3.0).and("offStone", false).and("others", 2)
            .and("larger", "left ear").and("smaller", "right ear").and("percent", 7.0).and("wideMm", 0.6).and("neededMm", 1.4)
            .and("rough", true).and("one", "a").and("gapMm", 0.2).and("slot", "Wings")
            .and("mix", "2 blue : 1 white").and("blend", BlendKind.BANDS).and("ground", false).and("upon", false).and("colours", 2)
            .and("contrast", 5.0).and("medium", PaintKind.Use.GELS).and("way", BlendKind.POWDERED).and("gem", "red stone")
            .and("holdsMm", 2.5)
            .and("lacks", true).and("before", Skin.Before.PAINT_KEPT)
            .and("pieces", false).and("worn", 3).and("stones", 5).and("months", 9.2).and("times", 1.4).and("outdoors", true)
            .and("what", WING).and("colour", "grey brown").and("lost", 0.6)
            .and("first", WING).and("then", WING).and("because", PaintOrder.Because.LIES_ON).and("under", WING).and("never", false)
            .and("step", STEP).and("um", 300.0).and("limitUm", 260.0).and("glassy", true).and("rim", false)
            .and("above", "varnish").and("below", "alcohol pen").and("rule", Compatibility.Rule.DYE_UNDER_A_SEALER)
            .and("work", Duration.ofMinutes(30)).and("open", Duration.ofMinutes(12)).and("celsius", 14.0).and("least", 10.0)
            .and("humidity", 0.98).and("aboveDew", 1.2).and("low", 15.0).and("high", 30.0).and("damp", 0.65)
            .and("varnish", true).and("wanted", Habits.Seal.MATT).and("sealer", "gloss varnish").and("factor", 1.4).and("pen", "black pen")
            .and("parts", 2).and("number", 1)
            .and("line", LineWish.Colour.GREY).and("finestMm", 0.6).and("lowestMm", 4.0).and("roomMm", 1.0);

    private static Step.Lay lay(Step.Kind kind, What what, Why.Reason reason, int coats) {
        Facts facts = Facts.of("over", 2).and("primer", 1).and("alone", 9).and("most", 7).and("mm", 1.0).and("blend", BlendKind.GLAZE)
                .and("light", "10 o'clock").and("restores", true).and("darkest", false).and("liner", false)
                .and("inside", 20.0).and("outside", 30.0).and("shaded", true).and("below", "white").and("above", "black pen")
                .and("coats", 2);
        Step.Doing doing = new Step.Doing(List.of(what), true, new Why(reason, facts, List.of(WING)),
                new Step.Count(1, coats, 2, new Step.Hiding(coats, coats + 1, 1.4)), 2, true,
                Step.Turn.HALF_ROUND, Optional.empty());
        return new Step.Lay("key", kind, doing,
                List.of(new Step.Layer(Side.FRONT, Shapes.nothing(), Soft.CRISP, new Step.Load(Mix.of("blue"), COAT, 1), 1,
                        Shapes.nothing())),
                new Tool(Tool.Kind.DOT_END, 3),
                new Step.Work(100, Duration.ofMinutes(3), Duration.ZERO, Duration.ofMinutes(7), Duration.ofMinutes(9)),
                Optional.empty(), List.of());
    }

    private static void readable(String sentence) {
        assertThat(sentence).isNotBlank().endsWith(".").doesNotContain("null", "  ", "Facts", "..", "[", "_");
        assertThat(Character.isLowerCase(sentence.codePointAt(0))).as(sentence).isFalse();
    }

    private static Facts with(String name, Object value) {
        return FACTS.and(name, value);
    }

    /** Two passes in a row may both want it: told to turn it, one would turn it back. */
    @Test
    void howTheStoneLiesIsSaidAndNotWhatWasDoneToIt() {
        assertThat(StepWords.sentence(lay(Step.Kind.SHADE, WING, Why.Reason.NONE, 1)))
                .endsWith(" Work with the top of the stone toward you: else the hand would rest on what was painted before.");
    }

    /** Turned to pull every stroke toward the hand and kept as it lies: nobody can do both. For a glint nobody turns a stone. */
    @Test
    void whoDrawsIsToldOnceHowTheStoneLiesAndForATouchTheHandIsKeptOff() {
        for (Step.Kind kind : new Step.Kind[] {Step.Kind.OUTLINE, Step.Kind.DETAIL, Step.Kind.LINE_FIRST}) {
            assertThat(StepWords.sentence(lay(kind, WING, Why.Reason.NONE, 1))).as("%s", kind)
                    .startsWith("Draw with blue, lightly, the top of the stone toward you: else the hand would rest on")
                    .containsOnlyOnce("toward you").doesNotContain("turning");
        }
        assertThat(StepWords.sentence(lay(Step.Kind.HIGHLIGHT, WING, Why.Reason.NONE, 1)))
                .endsWith(" Keep the hand off the stone: it would rest on what was painted before.").doesNotContain("toward you");
    }

    @ParameterizedTest
    @EnumSource(Code.class)
    void everyFindingHasItsSentence(Code code) {
        Facts facts = code == Code.STILL_DAMP ? with("left", Duration.ofHours(3)) : FACTS;
        readable(FindingWords.sentence(Finding.of(code, facts)));
        Facts other = facts.and("cracks", 1).and("where", "").and("dots", false).and("offStone", true).and("others", 0).and("rough", false)
                .and("ground", true).and("never", true).and("glassy", false).and("rim", true).and("varnish", false).and("pieces", true);
        readable(FindingWords.sentence(Finding.of(code, other)));
    }

    @Test
    void aFactThatIsMissingIsAnErrorOfTheProgramAndNotASentence() {
        assertThatThrownBy(() -> FindingWords.sentence(Finding.of(Code.RUNS_OUT, Facts.of("paint", "white").and("pieces", false))))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("needed");
        assertThatThrownBy(() -> Facts.of("place", Shapes.nothing())).hasMessageContaining("place");
        assertThatThrownBy(() -> FACTS.text("cracks")).hasMessageContaining("cracks");
    }

    @Test
    void theFactsShowInTheSentence() {
        assertThat(FindingWords.sentence(Finding.of(Code.LEAVES, FACTS)))
                .isEqualTo("The left wing leaves the face by 2.4 mm, and two more.");
        assertThat(FindingWords.sentence(Finding.of(Code.LEAVES, with("part", "ears").and("lettersMm", 8.0))))
                .isEqualTo("The ears leave the face by 2.4 mm, and two more; 8 mm letters fit.");
        assertThat(FindingWords.sentence(Finding.of(Code.NOT_MEASURED, FACTS))).startsWith("Length and height of a stand-in so far: ");
        assertThat(FindingWords.sentence(Finding.of(Code.ORDER_BROKEN, FACTS))).isEqualTo(
                "In your order the left wing comes after the left wing, which lies on the left wing: it would cover what lies on it.");
    }

    @ParameterizedTest
    @EnumSource(Finding.Cure.class)
    void everyCureHasItsButton(Finding.Cure cure) {
        assertThat(FindingWords.label(new Finding.Remedy(cure, FACTS, p -> p))).isNotBlank().hasSizeLessThan(40).doesNotEndWith(".");
    }

    @Test
    void everyStepHasItsWords() {
        for (Step.Kind kind : Step.Kind.values()) {
            for (What.Of of : What.Of.values()) {
                for (Share.Kind share : Share.Kind.values()) {
                    Step step = lay(kind,
                            new What(of, "wing", new Share(share, 1, 3), share == Share.Kind.FOAM ? List.of(WING) : List.of()),
                            Why.Reason.NONE, 2);
                    assertThat(StepWords.title(step)).isNotBlank().doesNotContain("null").doesNotEndWith(" ");
                    readable(StepWords.sentence(step));
                }
                for (Why.Reason reason : Why.Reason.values()) {
                    Step step = lay(kind, new What(of, "wing", new Share(Share.Kind.values()[0], 1, 3), List.of()), reason, 2);
                    assertThat(StepWords.reason(step)).isNotBlank().endsWith(".");
                }
            }
        }
        for (Step.Waits waits : Step.Waits.values()) {
            assertThat(StepWords.reason(new Step.After(0, waits))).isNotBlank();
        }
        assertThat(StepWords.tool(STEP)).contains("reloaded for every dot");
    }

    private static Geometry disc(double x) {
        return new GeometryFactory().createPoint(new Coordinate(x, 0)).buffer(1);
    }

    private static String touched(Tool tool, double thin, double... diameters) {
        Step.Lay one = lay(Step.Kind.FILL, WING, Why.Reason.NONE, 1);
        List<Geometry> dots = new ArrayList<>();
        for (double mm : diameters) {
            dots.add(new GeometryFactory().createPoint(new Coordinate(20 * dots.size(), 0)).buffer(mm / 2));
        }
        Step.Layer layer = one.layers().get(0);
        return StepWords.sentence(new Step.Lay("k", Step.Kind.FILL, one.doing(),
                List.of(new Step.Layer(layer.side(), Shapes.union(dots), layer.soft(),
                        new Step.Load(layer.load().mix(), layer.load().coat(), thin), 1, layer.again())),
                tool, one.work(), Optional.empty(), List.of()));
    }

    @Test
    @Tag("outside") // reload for every dot of equal size, not for a row that shrinks; lift straight and slowly (common practice, no source)
    void dotsAreTouchedOnAndNotFilled() {
        Tool end = new Tool(Tool.Kind.DOT_END, 3);
        assertThat(StepWords.title(lay(Step.Kind.FILL, WING, Why.Reason.NONE, 1))).startsWith("Set ");
        assertThat(touched(end, 3, 3, 3, 3)).contains("one thick touch each", "reload for every dot.").doesNotContain("thin and even");
        assertThat(touched(end, 3, 4, 3, 2, 1)).contains("reload for every dot of equal size", "shrinks is set with one load");
        assertThat(touched(end, 3, 3)).as("a single one").contains("one thick touch; lift").doesNotContain("reload", "each");
        assertThat(touched(new Tool(Tool.Kind.SMALL_ROUND, 3), 2, 7, 6)).contains("of a full brush each");
        assertThat(touched(new Tool(Tool.Kind.SMALL_ROUND, 3), 1, 7, 6)).contains("thin and even");
        assertThat(touched(new Tool(Tool.Kind.PEN, 1), 2, 3, 3)).as("a pen is no brush").contains("each with one touch")
                .doesNotContain("full brush", "reload");
        Step.Lay shine = lay(Step.Kind.HIGHLIGHT, WING, Why.Reason.NONE, 1);
        assertThat(StepWords.sentence(shine)).as("a single one").contains("one stroke of a full brush").doesNotContain("reload");
        Step.Layer light = shine.layers().get(0);
        Step.Layer several = new Step.Layer(light.side(), Shapes.union(disc(0), disc(9)), light.soft(), light.load(), 1,
                light.again());
        assertThat(StepWords.sentence(new Step.Lay("k", Step.Kind.HIGHLIGHT, shine.doing(), List.of(several), shine.tool(), shine.work(),
                Optional.empty(), List.of()))).contains("each; reload for every one of equal size");
        assertThat(StepWords.sentence(new Step.Lay("k", Step.Kind.HIGHLIGHT, shine.doing(), shine.layers(), new Tool(Tool.Kind.PEN, 0.7),
                shine.work(), Optional.empty(), List.of()))).as("nobody reloads a pen").doesNotContain("reload", " each")
                .contains("one stroke");
        assertThat(StepWords.sentence(new Step.Lay("k", Step.Kind.HIGHLIGHT, shine.doing(), List.of(several), new Tool(Tool.Kind.PEN, 0.7),
                shine.work(), Optional.empty(), List.of()))).as("of several").contains("one touch or one stroke each;");
    }

    @Test
    void whoSignsKnowsWhetherASealComesOverIt() {
        assertThat(StepWords.sentence(new Step.Sign(STEP.work(), List.of(), true))).contains("under varnish");
        assertThat(StepWords.sentence(new Step.Sign(STEP.work(), List.of(), false))).doesNotContain("varnish").contains("no seal");
    }

    private static List<What> numbered(String stem, int... numbers) {
        return IntStream.of(numbers).mapToObj(n -> new What(What.Of.PART, stem + " " + n, Share.WHOLE, List.of(), new What.Row("", 0, 6)))
                .toList();
    }

    private static List<What> pair(String stem, int one, int other) {
        return IntStream.of(one, other)
                .mapToObj(n -> new What(What.Of.PART, stem + " " + n, Share.WHOLE, List.of(), new What.Row("", 0, 2))).toList();
    }

    @Test
    void aCoatThatIsEnoughForSomeOfItSaysSo() {
        What flame = new What(What.Of.PART, "flame", Share.WHOLE, List.of());
        What foot = new What(What.Of.PART, "foot", Share.WHOLE, List.of());
        Step.Lay one = (Step.Lay) STEP;
        Step.Count count = new Step.Count(1, 2, 2, new Step.Hiding(2, 2, 0), List.of(foot));
        Step step = new Step.Lay("k", Step.Kind.FILL, new Step.Doing(List.of(flame, foot), true, one.doing().why(), count, 2, false,
                Step.Turn.AS_IT_LIES, Optional.empty()), one.layers(), new Tool(Tool.Kind.SMALL_ROUND, 3), one.work(), Optional.empty(),
                List.of());
        assertThat(StepWords.sentence(step)).isEqualTo(
                "A thin coat of blue on the flame and the foot, enough for the foot; on the flame it may be streaky, "
                        + "the next one closes it.");
        Step clear = new Step.Lay("k", Step.Kind.FILL, new Step.Doing(List.of(flame, foot), false, one.doing().why(), count, 2, false,
                Step.Turn.AS_IT_LIES, Optional.empty()), one.layers(), new Tool(Tool.Kind.SMALL_ROUND, 3), one.work(), Optional.empty(),
                List.of());
        assertThat(StepWords.sentence(clear)).isEqualTo(
                "A thin coat of blue on the flame and the foot, enough for the foot; on the flame it may leave bald patches, "
                        + "the next one closes them.");
    }

    @Test
    void severalThingsAreNamedUpToThree() {
        Step.Lay one = (Step.Lay) STEP;
        List<What> many = List.of(WING, new What(What.Of.PART, "right wing", Share.WHOLE, List.of()), WING,
                new What(What.Of.PART, "tail", Share.WHOLE, List.of()), new What(What.Of.PART, "beak", Share.WHOLE, List.of()));
        Step.Doing doing = one.doing();
        Step step = new Step.Lay("k", Step.Kind.FILL,
                new Step.Doing(many, true, doing.why(), new Step.Count(1, 1, 1, new Step.Hiding(1, 1, 0.6)), 2, false,
                        Step.Turn.AS_IT_LIES, Optional.empty()),
                one.layers(), new Tool(Tool.Kind.SMALL_ROUND, 3), one.work(), Optional.empty(), List.of());
        assertThat(StepWords.title(step)).isEqualTo("Fill both wings, the tail and the beak");
        List<What> row = IntStream.rangeClosed(1, 12).mapToObj(i -> new What(What.Of.PART, "ray " + i, Share.WHOLE, List.of())).toList();
        Step second = new Step.Lay("k", Step.Kind.FILL,
                new Step.Doing(row, true, doing.why(), new Step.Count(2, 2, 2, new Step.Hiding(1, 3, 1.8)), 2, false,
                        Step.Turn.AS_IT_LIES, Optional.empty()),
                one.layers(), one.tool(), one.work(), Optional.empty(), List.of());
        assertThat(StepWords.title(second)).isEqualTo("Second coat: the twelve rays");
        assertThat(PartWords.names(numbered("band", 2, 3))).containsExactly("bands 2 and 3");
        assertThat(PartWords.names(numbered("band", 2, 3, 4))).containsExactly("bands 2 to 4");
        assertThat(PartWords.names(numbered("band", 2, 5))).as("numbers that do not follow each other say little")
                .containsExactly("two of the bands");
        assertThat(PartWords.names(pair("plank", 1, 3))).as("the one between is of another sort").containsExactly("planks 1 and 3");
        assertThat(PartWords.names(pair("plank", 1, 2))).containsExactly("the two planks");
        assertThat(PartWords.name(new What(What.Of.SHADE_SIDE, "arm 2", Share.WHOLE, List.of()))).isEqualTo("the shade side of arm 2");
        assertThat(PartWords.names(Stream.of("cap band", "bobble")
                .map(t -> new What(What.Of.PART, t, new Share(Share.Kind.GLAZE, 1, 2), List.of())).toList()))
                .containsExactly("the first glaze on the cap band and the bobble");
        assertThat(PartWords.names(Stream.of("left eye", "right eye").map(t -> new What(What.Of.SHADE_SIDE, t, Share.WHOLE, List.of()))
                .toList())).containsExactly("the shade side of both eyes");
        assertThat(List.of(Words.plural("wing feathers"), Words.plural("glass"), Words.plural("belly"), Words.plural("ray"),
                Words.plural("oak leaf"), Words.plural("brush"))).containsExactly("wing feathers", "glasses", "bellies", "rays",
                        "oak leaves",
                        "brushes");
        List<What> word = Stream.of("first L", "a in Lamp", "m in Lamp", "last p")
                .map(t -> new What(What.Of.PART, t, Share.WHOLE, List.of())).toList();
        assertThat(PartWords.names(word)).containsExactly("the word Lamp");
        assertThat(PartWords.names(word.subList(1, 3))).as("two letters by their names").hasSize(2);
        List<What> shades = word.stream().map(w -> new What(What.Of.PART, "shade of the " + w.part(), Share.WHOLE, List.of())).toList();
        assertThat(PartWords.names(Stream.concat(word.stream(), shades.stream()).toList())).as("letters and their shade")
                .containsExactly("the word Lamp", "the shade of the word Lamp");
        Share upper = Share.of(Share.Kind.BAND, 1);
        assertThat(PartWords.names(word.stream().map(w -> new What(What.Of.PART, w.part(), upper, List.of())).toList()))
                .as("the same share of every letter").containsExactly("the first part of the word Lamp");
        assertThat(PartWords.names(Stream.concat(word.stream(), Stream.of(WING)).toList())).containsExactly("the word Lamp",
                "the left wing");
        assertThat(StepWords.brief(second) + ", " + StepWords.coatOf(second)).isEqualTo("Twelve rays, 2 of 2");
        assertThat(StepWords.brief(step)).isEqualTo(StepWords.title(step));
        assertThat(StepWords.coatOf(step)).isEmpty();
    }

    private static What row(String part, String title, int thing, int size) {
        return new What(What.Of.PART, part, Share.WHOLE, List.of(), new What.Row(title, thing, size));
    }

    private static String named(What... all) {
        return String.join(" + ", PartWords.names(List.of(all)));
    }

    @Test
    void rowsOverSeveralThingsAreNamedAsOne() {
        What[] caps = IntStream.range(0, 5).mapToObj(i -> row("cap", "", i, 5)).toArray(What[]::new);
        assertThat(named(caps)).isEqualTo("all five caps");
        assertThat(named(caps[0], caps[3])).isEqualTo("two of the caps");
        assertThat(named(caps[2])).isEqualTo("one of the five caps");
        assertThat(named(row("cap", "", 0, 1))).isEqualTo("the cap");
        assertThat(named(row("cap", "", 0, 2), row("cap", "", 1, 2))).isEqualTo("the two caps");
        assertThat(named(row("left eye", "", 0, 2), row("right eye", "", 0, 2))).isEqualTo("both eyes");
        assertThat(named(row("left eye", "", 0, 4), row("right eye", "", 0, 4), row("left eye", "", 1, 4), row("right eye", "", 1, 4)))
                .isEqualTo("all four eyes");
    }

    @Test
    void whatTakesSeveralColoursIsNamedByThem() {
        assertThat(named(row("blade 1", "dark blades", 0, 3), row("blade 4", "dark blades", 0, 3), row("blade 7", "dark blades", 0, 3)))
                .isEqualTo("all three dark blades");
        assertThat(named(row("blade 1", "dark blades", 0, 3))).isEqualTo("one of the dark blades");
        assertThat(named(row("large spot", "spots", 0, 6))).as("by the name of its own").isEqualTo("the large spot");
        assertThat(named(row("large spot", "spots", 0, 3), row("left spot", "spots", 0, 3), row("low spot", "spots", 0, 3)))
                .isEqualTo("all three spots");
        assertThat(named(row("stripe 3", "", 0, 6))).as("its number tells where it is").isEqualTo("stripe 3");
        assertThat(named(row("cell 15", "cells", 0, 18))).as("this one tells nothing").isEqualTo("one of the cells");
    }

    @Test
    void partsOfPartsAreSaidInEnglish() {
        assertThat(named(row("tufts of row 1", "", 0, 2), row("tufts of row 3", "", 0, 2))).isEqualTo("the tufts of two rows");
        assertThat(named(row("foam of wave 1", "", 0, 3), row("foam of wave 2", "", 0, 3), row("foam of wave 3", "", 0, 3)))
                .isEqualTo("the foam of all three waves");
        assertThat(named(row("line on petal 1", "", 0, 6), row("line on petal 2", "", 0, 6))).isEqualTo("the lines on two petals");
        What[] halves = IntStream.range(0, 7).mapToObj(i -> row("light half of the leaf", "", i, 7)).toArray(What[]::new);
        assertThat(named(halves)).isEqualTo("the light half of all seven leaves");
        What[] hatching = IntStream.range(0, 7).mapToObj(i -> row("hatching on one side", "", i, 7)).toArray(What[]::new);
        assertThat(named(hatching)).isEqualTo("the hatching on one side, seven times");
        assertThat(named(row("tufts of row 2", "tufts in front", 0, 2), row("tufts of row 4", "tufts in front", 0, 2)))
                .isEqualTo("all tufts in front");
        assertThat(named(row("tufts of row 2", "tufts in front", 0, 4), row("tufts of row 4", "tufts in front", 0, 4)))
                .isEqualTo("some of the tufts in front");
    }

    @Test
    void partsOfAPairArePairedThemselves() {
        assertThat(named(row("left inside of the ear", "", 0, 2), row("right inside of the ear", "", 0, 2)))
                .isEqualTo("the insides of both ears");
        assertThat(named(row("left eye", "", 0, 2), row("right eye", "", 0, 2))).isEqualTo("both eyes");
    }

    @Test
    void sharesOfRowsKeepTheirShare() {
        What[] petals = IntStream.rangeClosed(1, 3)
                .mapToObj(i -> new What(What.Of.PART, "petal " + i, Share.of(Share.Kind.WHITE_IN_LOAD), List.of(),
                        new What.Row("petals", 0, 3)))
                .toArray(What[]::new);
        assertThat(named(petals)).isEqualTo("all three petals, first with white in the load");
        What shade = new What(What.Of.SHADE_SIDE, "cap", Share.WHOLE, List.of(), new What.Row("", 0, 2));
        What other = new What(What.Of.SHADE_SIDE, "cap", Share.WHOLE, List.of(), new What.Row("", 1, 2));
        assertThat(named(shade, other)).isEqualTo("the shade side of the two caps");
    }

    @Test
    void careHasItsWords() {
        Facts facts = Facts.of("loose", true).and("pores", 0.1).and("celsius", 20.0).and("humidity", 0.5).and("dry", Duration.ofHours(5))
                .and("marks", 1).and("kind", Patch.Kind.CRACK).and("ml", 0.4).and("deepestMm", 1.2).and("cast", false)
                .and("before", Skin.Before.SEALER).and("plaster", true).and("powder", 120.0)
                .and("sand", 0.0).and("water", 84.0);
        for (Preparation.Act act : Preparation.Act.values()) {
            Preparation.Task task = new Preparation.Task(act, facts, Duration.ZERO, Duration.ZERO);
            readable(CareWords.sentence(task));
            readable(CareWords.reason(task));
            assertThat(CareWords.title(task)).isNotBlank();
            assertThat(CareWords.tool(task)).isNotBlank();
        }
        Arrays.stream(SteadyMass.Odd.values()).forEach(odd -> readable(CareWords.sentence(new SteadyMass.Doubt(odd, 8))));
        Arrays.stream(BlendKind.values()).forEach(kind -> readable(BlendWords.sentence(kind)));
        readable(CareWords.sentence(new Compatibility.Verdict(Compatibility.Severity.NEVER, Quarrel.Way.NONE, Duration.ZERO,
                Optional.empty(), Optional.of(new SmearTest("a", "b", SmearTest.Outcome.SMEARS, "on a scrap")), Optional.empty())));
        Quarrel own = Compatibility.Rule.PAINT_ON_GEL.as("it came off in the rain");
        assertThat(CareWords.sentence(new Compatibility.Verdict(Compatibility.Severity.CARE, Quarrel.Way.ISOLATE, Duration.ZERO,
                Optional.empty(), Optional.empty(), Optional.of(own)))).isEqualTo("A rule of your own: it came off in the rain.");
    }

    @Test
    void passesOfAGlazeAreToldApart() {
        What one = new What(What.Of.PART, "bobble", new Share(Share.Kind.GLAZE, 1, 1), List.of());
        What second = new What(What.Of.PART, "bobble", new Share(Share.Kind.GLAZE, 2, 2), List.of());
        assertThat(PartWords.name(one)).isEqualTo("the glaze on the bobble");
        assertThat(PartWords.name(second)).isEqualTo("the second glaze on the bobble");
        What dabs = new What(What.Of.GROUND, "", new Share(Share.Kind.DABS, 2, 2), List.of());
        What only = new What(What.Of.GROUND, "", new Share(Share.Kind.DABS, 1, 1), List.of());
        assertThat(PartWords.name(dabs)).isEqualTo("the second sponge dabs on the ground");
        assertThat(PartWords.name(only)).isEqualTo("sponge dabs on the ground");
    }
}
