package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.Set;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Share;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Geometry;

/**
 * The plans of a studio written in November 2026, held against how a practised hand goes through a stone (common practice, no source,
 * unless another is named).
 */
@Tag("outside")
class PracticedHandTest {

    private static final Map<String, PaintPlan> PLANS = new HashMap<>();

    @BeforeAll
    static void plan(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("studio.pebble");
        Files.copy(Objects.requireNonNull(PracticedHandTest.class.getResourceAsStream("/lantern-walk-2026-11.pebble")), file);
        Studio studio;
        try (StudioStore store = StudioStore.open(file, () -> {
            throw new AssertionError("the studio is there");
        })) {
            studio = store.studio();
        }
        Workshop workshop = new Workshop(new Palette(studio.shelf()), OwnFiles.with(BuiltIn.repertoire(), studio.own()), studio.climate(),
                studio.known());
        for (Project project : studio.projects()) {
            PLANS.put(project.id(), Plans.plan(project, Surveys.of(project.stone()), workshop, new Remembered()));
        }
    }

    private static List<Step.Lay> laid(PaintPlan plan) {
        return plan.steps().stream().filter(s -> s instanceof Step.Lay).map(s -> (Step.Lay) s).toList();
    }

    /** Nobody rinses a brush of a load to fill it with the same load at once, but where the paint must dry between. */
    @Test
    void noLoadIsPutAwayToBeTakenUpAgainAtOnce() {
        List<PaintPlan> plans = new ArrayList<>(PLANS.values());
        List.of("harbour", "fox", "toadstool").forEach(stone -> plans.add(WalkPlans.of(stone)));
        for (PaintPlan plan : plans) {
            for (int k = 1; k < plan.steps().size(); k++) {
                if (plan.steps().get(k - 1) instanceof Step.Lay before && plan.steps().get(k) instanceof Step.Lay then
                        && isPlainFill(before) && isPlainFill(then)
                        && before.paint().load().mix().equals(then.paint().load().mix())
                        && before.paint().load().thin() == then.paint().load().thin()) { // spots are set thick
                    int first = k - 1;
                    assertThat(then.after()).as("%s, right after %s", StepWords.title(then), StepWords.title(before))
                            .anyMatch(a -> a.step() == first);
                }
            }
        }
    }

    private static boolean isPlainFill(Step.Lay lay) {
        return lay.kind() == Step.Kind.FILL && lay.wet().isEmpty() && lay.doing().count().number() == 1 && lay.layers().stream()
                .allMatch(l -> lay.share(l).kind() == Share.Kind.WHOLE);
    }

    /** The broken edge hides the ends of the stripes, so it comes after all of them, and nothing is dodged (common practice, no source). */
    @Test
    void aBrokenEdgeHidesTheEndsOfTheStripesAndComesLast() {
        List<String> titles = walk("window");
        List<Integer> edges = IntStream.range(0, titles.size()).filter(k -> titles.get(k).startsWith("Fill the broken edge")).boxed()
                .toList();
        assertThat(edges).as("one on each face").hasSize(2);
        int turned = titles.indexOf("Chalk the design on the back");
        assertThat(titles.subList(edges.get(0), turned)).as("the front").noneMatch(t -> t.contains("stripe"));
        assertThat(titles.subList(edges.get(1), titles.size())).as("the back").noneMatch(t -> t.contains("stripe"));
        assertThat(titles.subList(0, edges.get(0))).filteredOn(t -> t.contains("stripe")).hasSize(6);
    }

    /** What is small and darker is set on its dry ground; nobody paints round a door (common practice, no source). */
    @Test
    void smallDarkThingsAreSetOnWhatTheyStandOn() {
        List<String> toadstool = walk("toadstool");
        assertThat(toadstool.indexOf("Fill the door")).isGreaterThan(first(toadstool, "the stem"));
        assertThat(passOf("harbour", "upper red band")).isGreaterThan(passOf("harbour", "tower"));
        List<String> fox = walk("fox");
        assertThat(first(fox, "the nose")).isGreaterThan(first(fox, "the head"));
        assertThat(first(fox, "the insides of both ears")).isGreaterThan(first(fox, "both ears, the head"));
        assertThat(fox).as("both ears alike").filteredOn(t -> t.contains("inside")).isNotEmpty()
                .allMatch(t -> t.contains("the insides of both ears"));
    }

    /** The walk is there to be looked up to: nothing on it is too narrow for a brush, leaves its face, or must not be painted so. */
    @ParameterizedTest
    @ValueSource(strings = {"owl", "harbour", "lettering", "snail", "moon", "fox", "heron", "window", "toadstool"})
    void nothingIsWrongWithTheSketchesOfTheWalk(String stone) {
        assertThat(WalkPlans.of(stone).findings()).filteredOn(f -> f.stage() == Finding.Stage.SKETCH && f.weight() != Finding.Weight.TIP)
                .extracting(FindingWords::sentence).isEmpty();
    }

    /** The titles of a stone of the demo as it is today. */
    private static List<String> walk(String stone) {
        return StepWords.titles(WalkPlans.of(stone));
    }

    private static int first(List<String> titles, String words) {
        return IntStream.range(0, titles.size()).filter(k -> titles.get(k).contains(words)).findFirst().orElseThrow();
    }

    /** Number of the first pass that fills a part, whatever else it does. */
    private static int passOf(String stone, String part) {
        List<Step> steps = WalkPlans.of(stone).steps();
        return IntStream.range(0, steps.size())
                .filter(k -> steps.get(k) instanceof Step.Lay lay && lay.kind() == Step.Kind.FILL
                        && lay.doing().what().stream().anyMatch(w -> w.part().equals(part)))
                .findFirst().orElseThrow();
    }

    private static List<String> titles(String stone) {
        return StepWords.titles(PLANS.get(stone));
    }

    // --- how many, how long

    @Test
    void passesAndWaitsAreNoMoreThanWereReached() throws Exception {
        int allPasses = 0;
        long allIdle = 0;
        String table = new String(Objects.requireNonNull(PracticedHandTest.class.getResourceAsStream("/passes.csv")).readAllBytes(),
                StandardCharsets.UTF_8);
        List<String> rows = table.lines().filter(l -> !l.startsWith("#")).skip(1).toList();
        assertThat(rows).hasSize(PLANS.size());
        for (String row : rows) {
            String[] cells = row.split(",");
            PaintPlan plan = PLANS.get(cells[0]);
            int passes = plan.steps().stream().mapToInt(s -> Math.max(1, s.coats())).sum();
            long idle = idle(plan).toMinutes();
            assertThat(passes).as("passes of %s", cells[0]).isLessThanOrEqualTo(Integer.parseInt(cells[1]));
            assertThat(idle).as("minutes of waiting, %s", cells[0]).isLessThanOrEqualTo(Long.parseLong(cells[2]));
            allPasses += passes;
            allIdle += idle;
        }
        assertThat(allPasses).as("wanted of nine stones").isLessThanOrEqualTo(230);
        assertThat(allIdle).as("wanted of nine stones").isLessThanOrEqualTo(1600);
    }

    /** Idle time between the first paint and signing. */
    private static Duration idle(PaintPlan plan) {
        int first = plan.steps().indexOf(laid(plan).get(0));
        Duration hand = Duration.ZERO;
        for (int i = first; i < plan.steps().size(); i++) {
            if (plan.steps().get(i) instanceof Step.Sign) {
                return plan.sitting().steps().get(i).start().minus(plan.sitting().steps().get(first).start()).minus(hand);
            }
            hand = hand.plus(plan.steps().get(i).work().hand());
        }
        throw new AssertionError("it is never signed");
    }

    @Test // light on the water does not lie on the sail before it
    void nothingIsDraggedOverWhatIsDoneBeforeIt() {
        PaintPlan plan = PLANS.get("harbour");
        Geometry before = Shapes.nothing();
        int streaks = 0;
        for (Step.Lay step : laid(plan)) {
            for (Step.Layer layer : step.layers()) {
                Share.Kind kind = step.share(layer).kind();
                if (kind == Share.Kind.STREAKS || kind == Share.Kind.FOAM) {
                    assertThat(Shapes.common(layer.place(), before).getArea()).as(step.key()).isLessThan(1);
                    streaks++;
                } else if (step.doing().what().stream().anyMatch(w -> w.part().equals("sail") || w.part().equals("hull"))) {
                    before = before.union(layer.place());
                }
            }
        }
        assertThat(streaks).isPositive();
    }

    /** Both colours of a ground or a word are blocked in at once, and all letters get as many coats (common practice, no source). */
    @Test
    void whatRunsFromColourToColourIsBlockedInAtOnce() {
        assertThat(walk("lettering")).containsSubsequence("First coat: the ground", "Work wet into wet: the ground",
                "First coat: the words LANTERN and WALK", "Work wet into wet: the words LANTERN and WALK", "Sign it")
                .noneMatch(t -> t.contains("part of"));
        assertThat(walk("heron")).contains("First coat: bands 2 and 3").noneMatch(t -> t.contains("part of"));
    }

    /** A coat that does for one thing and not for the other says so; nobody waits for a coat that never comes. */
    @Test
    void whatTakesOneCoatAmongThingsThatTakeTwoIsTold() {
        for (Project project : LanternWalk.studio(BuiltIn.repertoire()).projects()) {
            List<Step.Lay> all = laid(WalkPlans.of(project.id()));
            for (int k = 0; k < all.size(); k++) {
                Step.Lay coat = all.get(k);
                Step.Count count = coat.doing().count();
                if (coat.kind() == Step.Kind.FILL && coat.wet().isEmpty() && count.number() < count.of()) {
                    List<String> later = all.subList(k + 1, all.size()).stream().filter(s -> s.kind() == Step.Kind.FILL)
                            .flatMap(s -> s.doing().what().stream()).map(w -> w.part() + w.share()).toList();
                    assertThat(coat.doing().what().stream().filter(w -> !later.contains(w.part() + w.share())))
                            .as(StepWords.title(coat)).containsExactlyElementsOf(count.enough());
                }
            }
        }
    }

    /** Water and sandpaper come before paint, on both faces at once (common practice, no source). */
    @Test
    void aStoneIsRubbedDownBeforeEitherFaceIsPainted() {
        List<String> window = walk("window");
        assertThat(window).containsOnlyOnce("Dull the glassy skin");
        assertThat(window.subList(0, window.indexOf("Chalk the design"))).contains("Dull the glassy skin");
    }

    /** Glitter goes over its own colour and over the shade of that (common practice, no source). */
    @Test
    void glitterComesWhenItsColourIsShaded() {
        List<String> moon = walk("moon");
        assertThat(first(moon, "shade side of the cap band")).isLessThan(first(moon, "glitter on the cap band and the bobble"));
        assertThat(first(moon, "the cap band and the bobble")).isLessThan(first(moon, "shade side of the cap band"));
    }

    @Test
    void theSecondSpongeComesAfterTheFirst() {
        List<String> moon = walk("moon");
        assertThat(first(moon, "first sponge dabs on the ground")).isBetween(0, first(moon, "second sponge dabs on the ground"));
    }

    /** From the far to the near, lines and dots on what is shaded, lights last (common practice, no source). */
    @Test
    void oneGoesFromTheFarToTheNear() {
        List<String> harbour = walk("harbour");
        assertThat(first(harbour, "the low sky")).isLessThan(first(harbour, "Fill the sea"));
        assertThat(first(harbour, "the lamp beam")).isLessThan(first(harbour, "the tower"));
        assertThat(first(harbour, "Set the stars")).isGreaterThan(first(harbour, "Outline with the black pen"));
        List<String> moon = walk("moon");
        assertThat(first(moon, "closed eyes")).isGreaterThan(first(moon, "Glaze the shade side of the moon"));
        assertThat(first(moon, "Set the dots")).isGreaterThan(first(moon, "Glaze the shade side of the night cap"));
        assertThat(first(walk("toadstool"), "the shine on the cap")).isGreaterThan(first(walk("toadstool"), "Outline with the black pen"));
        assertThat(first(walk("fox"), "the shine on the nose")).isGreaterThan(first(walk("fox"), "Outline with the black pen"));
        List<String> snail = walk("snail");
        assertThat(first(snail, "the letter")).isGreaterThan(first(snail, "Work wet into wet: the shell"));
    }

    @Test
    void aMixIsSeldomTakenApart() {
        int apart = 0;
        for (PaintPlan plan : PLANS.values()) {
            Set<Mix> seen = new HashSet<>();
            for (Step.Lay step : laid(plan)) {
                boolean first = step.kind() == Step.Kind.FILL && step.doing().count().number() == 1;
                apart += first && !seen.add(step.paint().load().mix()) ? 1 : 0;
            }
        }
        assertThat(apart).as("39 before passes").isLessThanOrEqualTo(10);
    }

    // --- stone by stone

    @Test
    void wordsOnADarkSlabGoAsByHand() {
        List<String> painted = titles("lettering").subList(1, titles("lettering").size() - 1);
        assertThat(painted).as("three thin coats of white, then the pencil, each word a pass a coat, the script over it").containsExactly(
                "First coat: the ground", "Second coat: the ground", "Third coat: the ground", "Pencil the design",
                "First coat: the words LANTERN and WALK", "Second coat: the words LANTERN and WALK", "Fill the words mind the step",
                "Sign it");
    }

    @Test
    void crispStripesAlternateAndThePalestBegins() {
        List<Step.Lay> stripes = laid(PLANS.get("window")).stream().filter(s -> s.doing().what().get(0).part().startsWith("stripe"))
                .toList();
        assertThat(stripes.get(0).doing().what().get(0).part()).as("it needs the extra coat").isEqualTo("stripe 5");
        for (int i = 1; i < stripes.size(); i++) {
            Step.Lay before = stripes.get(i - 1);
            Step.Lay step = stripes.get(i);
            if (Math.abs(number(step) - number(before)) == 1) {
                Duration apart = start("window", step).minus(start("window", before).plus(before.work().hand()));
                assertThat(apart).as("%s beside %s", number(step), number(before)).isGreaterThanOrEqualTo(before.work().touch());
            }
        }
        List<String> all = titles("window");
        assertThat(all.indexOf("Fill the broken edge")).as("it hides the ends of all stripes, so it comes last of the areas")
                .isGreaterThan(all.lastIndexOf(all.stream().filter(t -> t.contains("stripe")).reduce((a, b) -> b).orElseThrow()));
        assertThat(titles("window").stream().filter(t -> t.startsWith("Chalk the design"))).hasSize(1);
    }

    /** A line below a clear glaze is seen for good (common practice, no source). */
    @Test
    void nothingIsDrawnUnderWhatIsClear() {
        List<Step.Lay> drawn = laid(WalkPlans.of("harbour")).stream().filter(s -> s.doing().pencil().isPresent()).toList();
        assertThat(drawn).extracting(s -> s.doing().hides()).contains(true, false);
        assertThat(drawn).allSatisfy(s -> assertThat(StepWords.sentence(s).contains("wipe each away")).isEqualTo(!s.doing().hides()));
        assertThat(drawn).filteredOn(s -> !s.doing().hides())
                .allSatisfy(s -> assertThat(StepWords.sentence(s)).doesNotContain("Draw them").doesNotContain("Pencil them"));
    }

    @Test
    void severalEdgesAreSpokenOfAsSeveral() {
        List<Step.Lay> widened = laid(PLANS.get("fox")).stream().filter(s -> s.doing().widened()).toList();
        assertThat(widened).extracting(s -> s.doing().what().size() > 1).as("one thing and several").contains(true, false);
        assertThat(widened).allSatisfy(s -> assertThat(StepWords.sentence(s)).contains(s.doing().what().size() > 1
                ? "widen their edges by 2 mm with the small brush, so that the large one never comes near them"
                : "widen its edge by 2 mm with the small brush, so that the large one never comes near it"));
    }

    private static int number(Step.Lay stripe) {
        return Integer.parseInt(stripe.doing().what().get(0).part().replace("stripe ", ""));
    }

    private static Duration start(String stone, Step step) {
        PaintPlan plan = PLANS.get(stone);
        return plan.sitting().steps().get(plan.steps().indexOf(step)).start();
    }

    @Test
    void aSubjectHasOneColourOfLine() {
        for (Map.Entry<String, PaintPlan> each : PLANS.entrySet()) {
            Set<Mix> pens = new HashSet<>();
            laid(each.getValue()).stream().filter(s -> s.kind() == Step.Kind.OUTLINE).forEach(s -> pens.add(s.paint().load().mix()));
            assertThat(pens.size()).as("pens on %s", each.getKey()).isLessThanOrEqualTo(2);
        }
        assertThat(laid(PLANS.get("moon")).stream().filter(s -> s.kind() == Step.Kind.OUTLINE)).as("three pens before")
                .hasSizeLessThanOrEqualTo(2);
    }

    @Test
    void noShadeBringsANewHueAndNoMixMoreThanTwelveParts() {
        Map<Step, Lab> below = new HashMap<>();
        for (PaintPlan plan : PLANS.values()) {
            for (Step.Lay step : laid(plan)) {
                for (Step.Layer layer : step.layers()) {
                    assertThat(layer.load().mix().totalParts()).as(StepWords.title(step)).isLessThanOrEqualTo(12);
                }
                if (step.kind() == Step.Kind.SHADE) {
                    plan.steps().subList(0, plan.steps().indexOf(step)).stream().filter(s -> s.kind() == Step.Kind.FILL)
                            .filter(s -> Shapes.common(s.place(), step.place()).getArea() > 0.6 * step.place().getArea())
                            .reduce((a, b) -> b).ifPresent(s -> below.put(step, Lab.of(s.coat().orElseThrow().swatch())));
                }
            }
        }
        assertThat(below.size()).as("shades seen").isGreaterThan(8);
        below.forEach((step, base) -> {
            Lab shade = Lab.of(step.coat().orElseThrow().swatch());
            if (base.chroma() > 12 && shade.chroma() > 8) {
                double turn = Math.toDegrees(Math.atan2(shade.b(), shade.a()) - Math.atan2(base.b(), base.a()));
                assertThat(Math.abs(Math.IEEEremainder(turn, 360))).as(StepWords.sentence(step)).isLessThan(40);
            }
        });
    }

    @Test
    void whatIsWorkedWetIsOnePassWithOneClock() {
        List<Step.Lay> wet = new ArrayList<>();
        PLANS.values().forEach(p -> laid(p).stream().filter(s -> s.wet().isPresent()).forEach(wet::add));
        assertThat(wet).hasSizeGreaterThanOrEqualTo(3).allSatisfy(s -> {
            assertThat(s.layers()).as(StepWords.title(s)).hasSizeGreaterThan(1);
            assertThat(s.wet().orElseThrow().work()).isLessThanOrEqualTo(s.work().hand());
            assertThat(StepWords.sentence(s)).containsPattern("wet into wet|side by side on the flat brush");
        });
    }

    // --- said

    @Test
    void noTwoPassesOfAStoneAreCalledAlike() {
        List<PaintPlan> plans = new ArrayList<>(PLANS.values());
        plans.add(WalkPlans.of("moon"));
        plans.add(WalkPlans.of("window")); // painted on both faces with the same parts
        for (PaintPlan plan : plans) {
            List<String> called = plan.steps().stream().map(StepWords::title).toList();
            assertThat(called).as(plan.project().name()).doesNotHaveDuplicates();
        }
    }
}
