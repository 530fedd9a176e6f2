package mosspebble.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import mosspebble.core.finding.Code;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.colour.Mix;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.Tool;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.stone.Survey;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;

/** Plans of ten made-up pieces, read as a practised hand would read them (common practice, no source, unless another is named). */
@Tag("outside")
class TenPiecesTest {

    private static final Map<String, PaintPlan> PLANS = new LinkedHashMap<>();

    @BeforeAll
    static void plan() {
        Workshop workshop = TenPieces.workshop();
        TenPieces.all().parallelStream()
                .map(p -> Map.entry(p.id(), Plans.plan(p, Survey.of(p.stone()), workshop, new Remembered())))
                .toList().forEach(e -> PLANS.put(e.getKey(), e.getValue()));
        assertThat(PLANS).hasSize(10);
    }

    private static List<Step.Lay> laid(String piece) {
        return PLANS.get(piece).steps().stream().filter(s -> s instanceof Step.Lay).map(s -> (Step.Lay) s).toList();
    }

    private static List<String> titles(String piece) {
        return StepWords.titles(PLANS.get(piece));
    }

    /** Where in the plan the only step with such a title stands. */
    private static int at(String piece, String title) {
        List<String> all = titles(piece);
        List<String> found = all.stream().filter(t -> t.contains(title)).toList();
        assertThat(found).as("%s in %s", title, all).hasSize(1);
        return all.indexOf(found.get(0));
    }

    private static int last(String piece, String title) {
        List<String> all = titles(piece);
        for (int i = all.size() - 1; i >= 0; i--) {
            if (all.get(i).contains(title)) {
                return i;
            }
        }
        throw new AssertionError(title + " in " + all);
    }

    // --- how many, how long

    @Test
    void passesHandAndWaitsAreThoseOfAPractisedHand() throws Exception {
        String table = new String(Objects.requireNonNull(TenPiecesTest.class.getResourceAsStream("/ten-pieces.csv")).readAllBytes(),
                StandardCharsets.UTF_8);
        List<String> rows = table.lines().filter(l -> !l.startsWith("#")).skip(1).toList();
        assertThat(rows).hasSize(PLANS.size());
        for (String row : rows) {
            String[] cells = row.split(",");
            PieceFigures figures = PieceFigures.of(PLANS.get(cells[0]));
            assertThat(figures.passes()).as("passes, %s", cells[0]).isLessThanOrEqualTo(Integer.parseInt(cells[1]));
            assertThat(figures.hand().toMinutes()).as("minutes of the hand, %s", cells[0]).isLessThanOrEqualTo(Long.parseLong(cells[2]));
            assertThat(figures.idle().toMinutes()).as("idle minutes, %s", cells[0]).isLessThanOrEqualTo(Long.parseLong(cells[3]));
        }
        PieceFigures disc = PieceFigures.of(PLANS.get("disc"));
        assertThat(disc.passes()).as("far fewer would be no such disc").isBetween(20, 60);
        assertThat(disc.hand()).isBetween(Duration.ofMinutes(75), Duration.ofMinutes(135));
    }

    @Test
    void noPlanIsBelowItsBoundAndTheSameStoneGivesTheSamePlan() {
        Workshop workshop = TenPieces.workshop();
        for (Project project : TenPieces.all()) {
            PaintPlan plan = PLANS.get(project.id());
            assertThat(plan.painting()).as(project.id()).isGreaterThanOrEqualTo(plan.schedule().bound().minusMinutes(1));
            if (project.id().equals("opening") || project.id().equals("poppies")) {
                PaintPlan again = Plans.plan(project, Survey.of(project.stone()), workshop, new Remembered());
                assertThat(StepWords.titles(again)).isEqualTo(StepWords.titles(plan));
                assertThat(again.painting()).isEqualTo(plan.painting());
            }
        }
    }

    // --- what holds for every plan

    @Test
    void nothingLiesBesideWetPaintOfAnotherColourUnlessItIsWorkedIn() {
        PLANS.forEach((piece, plan) -> {
            List<Step> steps = plan.steps();
            for (int i = 0; i < steps.size(); i++) {
                for (int j = 0; j < i; j++) {
                    if (steps.get(i) instanceof Step.Lay later && steps.get(j) instanceof Step.Lay earlier
                            && !later.paint().load().mix().equals(earlier.paint().load().mix())
                            && meet(earlier.place(), later.place())) {
                        assertThat(start(plan, i)).as("%s: %s beside %s", piece, StepWords.title(later), StepWords.title(earlier))
                                .isGreaterThanOrEqualTo(end(plan, j).plus(earlier.work().touch()));
                    }
                }
            }
        });
    }

    private static boolean meet(Geometry one, Geometry other) {
        return one.getEnvelopeInternal().intersects(other.getEnvelopeInternal()) && Shapes.common(one, other).getArea() > 0.5;
    }

    private static Duration start(PaintPlan plan, int step) {
        return plan.sitting().steps().get(step).start();
    }

    private static Duration end(PaintPlan plan, int step) {
        return plan.sitting().steps().get(step).end();
    }

    @Test
    void theSameMixNeverWaitsBesideItself() {
        PLANS.forEach((piece, plan) -> {
            for (Step step : plan.steps()) {
                for (Step.After after : step.after()) {
                    Step before = plan.steps().get(after.step());
                    if (after.waits() == Step.Waits.WOULD_BLEED && step instanceof Step.Lay lay && before instanceof Step.Lay other
                            && lay.layers().size() == 1 && other.layers().size() == 1) {
                        assertThat(lay.paint().load().mix())
                                .as("%s: %s waits for %s", piece, StepWords.title(step), StepWords.title(before))
                                .isNotEqualTo(other.paint().load().mix());
                    }
                }
            }
        });
    }

    @Test
    void everythingThatIsSeenIsPaintedAndNoPassIsMoreThanOneCoat() {
        PLANS.forEach((piece, plan) -> {
            Geometry painted = Shapes.union(laid(piece).stream().map(Step::place).toList());
            for (PlacedPart part : plan.design().orElseThrow().parts()) {
                if (part.part().role() == Role.FILL) {
                    Geometry inside = Shapes.common(Shapes.grown(part.drawn(), -0.6), Shapes.grown(plan.survey().zones().outline(), -1));
                    double bare = Shapes.minus(inside, painted).getArea();
                    boolean free = piece.equals("free"); // the heron is left free
                    assertThat(bare).as("%s on %s", part.part().title(), piece).isLessThan(free ? 1e9 : 0.5 + 0.01 * inside.getArea());
                }
            }
            assertThat(laid(piece)).allMatch(s -> s.coats() == 1);
        });
    }

    @Test
    void lightsComeLastAndOutlinesAfterAllAreas() {
        PLANS.forEach((piece, plan) -> {
            int lastArea = -1;
            for (int i = 0; i < plan.steps().size(); i++) {
                Step step = plan.steps().get(i);
                if (step.kind() == Step.Kind.FILL || step.kind() == Step.Kind.GROUND || step.kind() == Step.Kind.PRIME) {
                    lastArea = i;
                }
            }
            for (int i = 0; i < plan.steps().size(); i++) {
                Step.Kind kind = plan.steps().get(i).kind();
                if (kind == Step.Kind.OUTLINE || kind == Step.Kind.HIGHLIGHT) {
                    assertThat(i).as("%s: %s", piece, titles(piece).get(i)).isGreaterThan(lastArea);
                }
            }
        });
    }

    @Test
    void noMixHoldsAPenNorMoreThanTwelveParts() {
        PLANS.keySet().forEach(piece -> laid(piece).forEach(s -> s.layers().forEach(l -> {
            Mix mix = l.load().mix();
            assertThat(mix.totalParts()).as(StepWords.title(s)).isLessThanOrEqualTo(12);
            assertThat(mix.isSingle() || mix.parts().stream().noneMatch(p -> p.paint().startsWith("pen-"))).as("%s: %s", piece, mix)
                    .isTrue();
        })));
    }

    @Test
    void noTitleNamesTheSameTwiceOrIsLongerThanALine() {
        PLANS.keySet().forEach(piece -> titles(piece).forEach(t -> {
            assertThat(t.length()).as(t).isLessThan(110);
            List<String> named = new ArrayList<>(List.of(t.replaceAll(".*: ", "").split(", | and ")));
            assertThat(named).as(t).doesNotHaveDuplicates();
        }));
    }

    // --- piece by piece

    @Test
    void sevenLeavesAndFiveCapsAreRowsAndTheDotsOneTouch() {
        assertThat(titles("disc")).anyMatch(t -> t.contains("light half of all seven leaves")).anyMatch(t -> t.contains("all five caps"));
        assertThat(titles("disc").stream().filter(t -> t.startsWith("First coat") && t.contains("leaves")).count()).isLessThanOrEqualTo(3);
        Step.Lay dots = laid("disc").stream().filter(s -> s.tool().kind() == Tool.Kind.DOT_END)
                .filter(s -> s.doing().what().get(0).part().equals("dots")).findFirst().orElseThrow();
        assertThat(dots.place().getNumGeometries()).isEqualTo(40);
        assertThat(dots.doing().count().of()).as("one touch each").isEqualTo(1);
        assertThat(dots.work().hand()).as("about 14 dots a minute").isBetween(Duration.ofSeconds(150), Duration.ofMinutes(6));
        assertThat(laid("disc").stream().filter(s -> s.kind() == Step.Kind.OUTLINE)).as("a black line is drawn once").hasSize(1);
    }

    @Test
    void aWordIsOnePassACoatAndGlitterLiesOverTheWordBelow() {
        assertThat(titles("glitter").subList(2, titles("glitter").size() - 2)).filteredOn(t -> t.contains("NIGHT"))
                .containsExactly("First coat: the word NIGHT", "Second coat: the word NIGHT");
        assertThat(titles("glitter")).filteredOn(t -> t.contains("market")).as("glitter over its own colour").containsExactly(
                "First coat: the base under the word market", "Second coat: the base under the word market",
                "First coat: the word market", "Second coat: the word market");
        assertThat(at("glitter", "First coat: the word market")).isGreaterThan(last("glitter", "NIGHT"));
        assertThat(titles("shutter")).filteredOn(t -> t.contains("FERRY")).containsExactly("First coat: the words FERRY and HOUSE",
                "Second coat: the words FERRY and HOUSE");
        Geometry below = laid("glitter").get(0).place();
        Geometry over = laid("glitter").stream().filter(s -> s.doing().what().get(0).share().kind().name().equals("WHOLE"))
                .filter(s -> !s.doing().hides()).findFirst().orElseThrow().place();
        assertThat(Shapes.common(below, over).getArea()).as("what is clear hides nothing: NIGHT goes on below it").isGreaterThan(60);
    }

    @Test
    void whatIsLeftFreeIsDrawnInWhenTheBandsRoundItAreDone() {
        int lines = at("free", "breast plumes");
        assertThat(lines).isGreaterThan(last("free", "band"));
        assertThat(at("free", "glint")).isGreaterThan(last("free", "band"));
        Geometry heron = PLANS.get("free").design().orElseThrow().items().get(1).silhouette();
        Geometry bands = Shapes.union(laid("free").stream().filter(s -> s.kind() == Step.Kind.FILL).map(Step::place).toList());
        assertThat(Shapes.common(Shapes.grown(heron, -1.5), bands).getArea()).as("nothing is painted where the heron stands").isLessThan(2);
    }

    @Test
    void netsComeAfterWhatTheyPart() {
        assertThat(at("cells", "the leads")).isGreaterThan(last("cells", "cells"));
        assertThat(at("opening", "Fill the broken edge")).isGreaterThan(last("opening", "stripe"));
        assertThat(at("opening", "the cracks")).isGreaterThan(at("opening", "Fill the broken edge"));
        assertThat(at("opening", "the shade inside the broken edge")).as("over all that lies in it")
                .isGreaterThan(last("opening", "stripe"));
    }

    @Test
    void crispStripesAlternate() {
        PaintPlan plan = PLANS.get("opening");
        List<Step.Lay> first = laid("opening").stream().filter(s -> s.doing().what().get(0).part().startsWith("stripe"))
                .filter(s -> s.doing().count().number() == 1).toList();
        assertThat(first).hasSize(6);
        for (int i = 1; i < first.size(); i++) {
            int one = number(first.get(i - 1));
            int other = number(first.get(i));
            if (Math.abs(one - other) == 1) {
                Duration apart = start(plan, plan.steps().indexOf(first.get(i))).minus(end(plan, plan.steps().indexOf(first.get(i - 1))));
                assertThat(apart).as("stripe %d after %d", other, one).isGreaterThanOrEqualTo(first.get(i - 1).work().touch());
            }
        }
        assertThat(laid("opening")).as("a seam with a dark neighbour asks for no third coat")
                .allMatch(s -> s.doing().count().number() <= 2);
    }

    private static int number(Step.Lay stripe) {
        return Integer.parseInt(stripe.doing().what().get(0).part().replace("stripe ", ""));
    }

    @Test
    void petalsAreLaidWithTheLoadedBrushInOnePass() {
        assertThat(titles("poppies")).filteredOn(t -> t.contains("loaded brush")).containsExactly("With the loaded brush: all nine petals");
        Step.Lay petals = laid("poppies").stream().filter(s -> s.wet().isPresent()).findFirst().orElseThrow();
        assertThat(petals.layers()).as("two loads").hasSize(2);
        assertThat(petals.layers().get(0).place().getNumGeometries()).isEqualTo(9);
        assertThat(StepWords.sentence(petals)).startsWith("Brick red and 1 brick red : 1 chalk white side by side on the flat brush")
                .contains("Two or three strokes, rinse, wipe, load again");
        assertThat(petals.wet().orElseThrow().pieces()).as("each petal has its own clock").isEqualTo(1);
        assertThat(petals.wet().orElseThrow().work()).isLessThan(petals.work().hand().dividedBy(3));
        assertThat(titles("poppies")).as("in the first coat only").filteredOn(t -> t.contains("white in the load"))
                .containsExactly("Lay all nine petals, first with white in the load");
        assertThat(StepWords.reason(PLANS.get("poppies").steps().get(at("poppies", "white in the load")))).contains("bright");
        assertThat(laid("poppies").stream().filter(s -> s.kind() == Step.Kind.OUTLINE).map(s -> s.paint().load().mix()).distinct())
                .as("a black centre stands apart by itself: no white line").allMatch(m -> m.parts().get(0).paint().startsWith("pen-black"));
    }

    @Test
    void tonesOfAFernAreNamedByTheirPlaceAndEachIsOnePassACoat() {
        assertThat(titles("fern")).anyMatch(t -> t.contains("all ten lower ribs")).anyMatch(t -> t.contains("all ten middle ribs"))
                .anyMatch(t -> t.contains("all eight upper ribs"));
        assertThat(laid("fern").stream().filter(s -> s.doing().count().number() == 1)).hasSize(4);
    }

    @Test
    void tuftsAreNamedAsOneAndTheFaceIsPaintedBeforeWhatIsInIt() {
        assertThat(at("troll", "all tufts in front")).isGreaterThan(at("troll", "Fill the back"));
        assertThat(at("troll", "both pupils")).isGreaterThan(last("troll", "coat: both eyes"));
        assertThat(titles("troll")).noneMatch(t -> t.contains("tufts of rows"));
    }

    @Test
    void foamIsSpongedAndStreaksAreDragged() {
        Map<Tool.Kind, Optional<Step.Lay>> byTool = new LinkedHashMap<>();
        for (Tool.Kind kind : List.of(Tool.Kind.SPONGE, Tool.Kind.DRY_BRUSH)) {
            byTool.put(kind, laid("foam").stream().filter(s -> s.tool().kind() == kind).findFirst());
        }
        assertThat(byTool.get(Tool.Kind.SPONGE)).get().satisfies(s -> {
            assertThat(StepWords.tool(s)).isEqualTo("damp sponge");
            assertThat(StepWords.title(s)).isEqualTo("Lay foam on wave 3");
        });
        assertThat(byTool.get(Tool.Kind.DRY_BRUSH)).get().satisfies(s -> {
            assertThat(StepWords.title(s)).isEqualTo("Lay streaks over wave 2");
            assertThat(StepWords.tool(s)).contains("nearly dry");
        });
        assertThat(at("foam", "foam drops")).as("light last").isGreaterThan(last("foam", "Glaze"));
    }

    @Test
    void crackleLiesOverThePlanksAndKeepsOffTheWords() {
        int base = last("shutter", "Fill plank 1 and plank 2");
        int crackle = at("shutter", "Lay crackle medium on");
        int upper = at("shutter", "Lay the coat that cracks on");
        int isolated = at("shutter", "Isolate");
        assertThat(List.of(base, crackle, upper, isolated, at("shutter", "Outline"))).as(titles("shutter").toString()).isSorted();
        Geometry words = Shapes.union(laid("shutter").stream().filter(s -> StepWords.title(s).contains("FERRY")).map(Step::place).toList());
        assertThat(words.distance(PLANS.get("shutter").steps().get(crackle).place())).isGreaterThan(1);
        assertThat(titles("shutter")).as("one pass for both planks").filteredOn(t -> t.contains("crackle medium")).hasSize(1);
    }

    // --- with a material

    @Test
    void fourPiecesWithAMaterialReadAsAPainterWouldDoThem() {
        Map<String, PaintPlan> plans = new java.util.LinkedHashMap<>();
        TenPieces.materials().forEach(
                p -> plans.put(p.id(), Plans.plan(p, Survey.of(p.stone()), TenPieces.workshop(), new Remembered())));
        assertThat(plans.keySet()).containsExactly("shutter", "powder", "glitter", "gems");
        List<String> key = StepWords.titles(plans.get("powder"));
        assertThat(key.stream().filter(t -> t.startsWith("Gel, lamp and powder"))).as("not one lamp for each part: %s", key)
                .hasSizeLessThanOrEqualTo(2);
        assertThat(key).as("black once for all of it").contains("Fill the bow, the collar and two more");
        int powder = key.indexOf(key.stream().filter(t -> t.startsWith("Gel")).findFirst().orElseThrow());
        assertThat(key.subList(0, powder)).as("on black that is dry").anyMatch(t -> t.startsWith("Fill "));
        assertThat(key.subList(powder + 1, key.size()).stream().filter(t -> t.startsWith("Isolate"))).as("then kept apart from pens")
                .hasSizeLessThanOrEqualTo(2).isNotEmpty();
        Step gems = plans.get("gems").steps().stream().filter(s -> StepWords.title(s).equals("Glue the gems on: the dots")).findFirst()
                .orElseThrow();
        assertThat(((Step.Lay) gems).layers().get(1).place().getNumGeometries()).isEqualTo(12);
        List<Step> all = plans.get("gems").steps();
        assertThat(StepWords.sentence(all.get(all.size() - 1))).contains("two-part resin").contains("over the gems too");
        plans.values().forEach(p -> assertThat(p.findings()).noneMatch(f -> f.code() == Code.INCOMPATIBLE
                && f.weight() != mosspebble.core.finding.Finding.Weight.TIP));
    }
}
