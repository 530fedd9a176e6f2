package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.blend.Share;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Presence;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** How blends become passes: what is worked wet is one pass of several loads with one clock. */
class BlendsInPlansTest {

    private static final Geometry BOARD = new GeometryFactory().toGeometry(new Envelope(0, 36, 0, 24));

    private static final Repertoire REPERTOIRE = Repertoire.of(List.of(new Motif("board", "Board",
            List.of(new Slot("board", "Board", Srgb.ofHex("#1f4e9c"))), List.of(new MotifPart("board", "board", Role.FILL, "board", BOARD,
                    new MotifPart.Make(0, 0.4, false, Presence.ALWAYS), Optional.empty())),
            BOARD, BOARD, false, false)), List.of(), List.of());

    private static PaintPlan plan(Blend blend) {
        return plan(blend, "blue");
    }

    private static PaintPlan plan(Blend blend, String colour) {
        Stone stone = Stone.cobble();
        Project project = Project.begin("p", "Board", stone)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("board"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(Map.of("board", Mix.of(colour))).withBlend("board", blend)
                .withHabits(Habits.usual().withPrimer(Habits.Primer.NEVER).withLineColour(Habits.LineColour.NONE).withLight(Light.NONE));
        return Plans.plan(project, Surveys.of(stone), new Workshop(new Palette(Paints.shelf()), REPERTOIRE, Climate.room(), List.of()),
                new Remembered());
    }

    private static List<Step.Lay> lays(PaintPlan plan) {
        return plan.steps().stream().filter(s -> s instanceof Step.Lay).map(s -> (Step.Lay) s).toList();
    }

    @Test
    void coloursThatRunTogetherAreOneWetPassAndPushedByMovingAir() {
        PaintPlan plan = plan(Blend.of(BlendKind.RUN).withColours(List.of(Mix.of("red"), Mix.of("purple"))).withShape(0, 0.5, 0.5));
        List<Step.Lay> wet = lays(plan).stream().filter(l -> l.wet().isPresent()).toList();
        assertThat(wet).singleElement().satisfies(pass -> {
            assertThat(pass.layers()).hasSize(3).allMatch(l -> pass.share(l).kind() == Share.Kind.RUN);
            assertThat(StepWords.title(pass)).isEqualTo("Let run together: the board");
            assertThat(StepWords.sentence(pass)).startsWith("Blue, red and purple side by side")
                    .contains("moving air", "lay it level").doesNotContain("widen");
        });
        assertThat(plan.puddles()).as("each from its own pot").hasSizeGreaterThanOrEqualTo(3);
    }

    @ParameterizedTest
    @EnumSource(value = BlendKind.class, names = {"GRADIENT", "FROM_MIDDLE", "ALONG_OUTLINE", "BANDS"})
    void graduatedAreasAreOneWetPassWhoseJoinsTakeNoPuddle(BlendKind kind) {
        PaintPlan plan = plan(Blend.of(kind).withColours(List.of(Mix.of("purple"))).withShape(0, 0.5, 0.5));
        List<Step.Lay> wet = lays(plan).stream().filter(l -> l.wet().isPresent()).toList();
        assertThat(wet).hasSize(1);
        assertThat(StepWords.title(wet.get(0))).startsWith("Work wet into wet");
        assertThat(wet.get(0).layers().stream().map(l -> wet.get(0).share(l).kind())).contains(Share.Kind.BAND, Share.Kind.MIXED_STEP);
        assertThat(plan.puddles()).as("what comes about on the stone is mixed in no dish").allMatch(p -> p.mix().isSingle());
        PaintPlan glazes = plan(Blend.of(kind).withColours(List.of(Mix.of("purple"))).withMethod(Blend.Method.GLAZES));
        assertThat(lays(glazes)).as("glazes are laid on dry paint").noneMatch(l -> l.wet().isPresent());
        assertThat(lays(glazes).size()).isGreaterThan(lays(plan).size());
    }

    @Test // the first coat of a gradient is both its colours, one pass; nobody waits for the one to lay the other beside it
    void aBlendIsBlockedInAsOnePassAndThenWorkedWet() {
        PaintPlan plan = plan(Blend.of(BlendKind.GRADIENT).withColours(List.of(Mix.of("palegreen"))).withShape(0, 0.5, 0.5), "yellow");
        List<Step.Lay> all = lays(plan);
        assertThat(all).hasSizeGreaterThan(1);
        List<Step.Lay> first = all.subList(0, all.size() - 1);
        for (int k = 0; k < first.size(); k++) {
            Step.Lay coat = first.get(k);
            assertThat(coat.wet()).isEmpty();
            assertThat(coat.layers()).extracting(l -> l.load().mix()).containsExactlyInAnyOrder(Mix.of("yellow"), Mix.of("palegreen"));
            assertThat(StepWords.title(coat)).endsWith(" coat: the board");
            assertThat(StepWords.sentence(coat)).startsWith("Block it in with ").contains("yellow", "palegreen", "each in its place");
            assertThat(coat.doing().count().number()).isEqualTo(k + 1);
        }
        Step.Lay wet = all.get(all.size() - 1);
        assertThat(wet.wet()).isPresent();
        int before = plan.steps().indexOf(first.get(first.size() - 1));
        assertThat(wet.after()).anyMatch(a -> a.step() == before && a.waits() == Step.Waits.OWN_COAT);
        assertThat(StepWords.titles(plan)).noneMatch(t -> t.contains("part of"));
        assertThat(plan.puddles()).as("each pot serves every coat").filteredOn(p -> !p.mix().equals(Mix.of("varnish"))).hasSize(2)
                .allSatisfy(p -> assertThat(p.steps()).hasSize(all.size()));
    }

    @Test
    void partsOfOneAreaThatAreLaidApartComeAsTheyAreCounted() {
        PaintPlan plan = plan(Blend.of(BlendKind.GRADIENT).withColours(List.of(Mix.of("purple"))).withMethod(Blend.Method.GLAZES));
        assertThat(StepWords.titles(plan).stream().filter(t -> t.contains("part of"))).isNotEmpty().first().asString()
                .contains("first part of the board");
    }

    @Test
    void strokesComeOnTheDryAreaAndShowIt() {
        PaintPlan plan = plan(Blend.of(BlendKind.STROKES).withColours(List.of(Mix.of("red"), Mix.of("white"))).withShape(90, 0.5, 0.5));
        List<Step.Lay> strokes = lays(plan).stream().filter(l -> l.share(l.paint()).kind() == Share.Kind.STROKES).toList();
        assertThat(strokes).hasSize(2);
        for (Step.Lay pass : strokes) {
            assertThat(pass.doing().hides()).isFalse();
            assertThat(StepWords.title(pass)).isEqualTo("Lay strokes over the board");
            assertThat(StepWords.sentence(pass)).contains("Set the tip down");
            assertThat(pass.after()).anyMatch(a -> a.waits() == Step.Waits.LIES_BELOW);
        }
    }

    @Test
    void nobodyHoldsADryerToWhatIsStillWorked() {
        Blend blend = Blend.of(BlendKind.GRADIENT).withColours(List.of(Mix.of("purple"))).withShape(0, 0.5, 0.5);
        Step.Lay air = lays(plan(blend)).stream().filter(l -> l.wet().isPresent()).findFirst().orElseThrow();
        Project dried = plan(blend).project();
        dried = dried.withHabits(dried.habits().withDryer(true));
        PaintPlan plan = Plans.plan(dried, Surveys.of(dried.stone()),
                new Workshop(new Palette(Paints.shelf()), REPERTOIRE, Climate.room(), List.of()), new Remembered());
        Step.Lay dryer = lays(plan).stream().filter(l -> l.wet().isPresent()).findFirst().orElseThrow();
        assertThat(dryer.wet().orElseThrow().open()).isEqualTo(air.wet().orElseThrow().open());
        assertThat(dryer.work().dries()).as("it dries sooner all the same").isLessThan(air.work().dries());
    }

    private static Step.Lay loaded(int petals) {
        List<MotifPart> parts = new java.util.ArrayList<>();
        for (int i = 1; i <= petals; i++) {
            parts.add(new MotifPart("petal-" + i, "petal " + i, Role.FILL, "petals",
                    new GeometryFactory().toGeometry(new Envelope(14 * i - 30, 14 * i - 20, 0, 16)),
                    new MotifPart.Make(0, 0.4, false, Presence.ALWAYS), Optional.empty()));
        }
        Motif motif = new Motif("petals", "Petals", List.of(new Slot("petals", "Petals", Srgb.ofHex("#1f4e9c"))), parts, BOARD, BOARD,
                false,
                false);
        Stone stone = Stone.cobble();
        Project project = Project.begin("p", "Petals", stone)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("petals"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(Map.of("petals", Mix.of("blue")))
                .withBlend("petals", Blend.of(BlendKind.LOADED).withColours(List.of(Mix.of("purple"))))
                .withHabits(Habits.usual().withPrimer(Habits.Primer.NEVER).withLineColour(Habits.LineColour.NONE).withLight(Light.NONE));
        PaintPlan plan = Plans.plan(project, Surveys.of(stone),
                new Workshop(new Palette(Paints.shelf()), Repertoire.of(List.of(motif), List.of(), List.of()), Climate.room(), List.of()),
                new Remembered());
        List<Step.Lay> wet = lays(plan).stream().filter(l -> l.wet().isPresent()).toList();
        assertThat(wet).as("all petals are one pass").hasSize(1);
        return wet.get(0);
    }

    @Test
    void aBroadThingIsNotPaintedAsIfItWereAPetal() {
        Step.Lay cap = lays(plan(Blend.of(BlendKind.LOADED).withColours(List.of(Mix.of("purple"))))).stream()
                .filter(l -> l.wet().isPresent()).findFirst().orElseThrow();
        assertThat(StepWords.sentence(cap)).contains("side by side on the flat brush: pull stroke beside stroke", "load again")
                .doesNotContain("tip", "foot", "before the next");
        assertThat(lays(plan(Blend.of(BlendKind.LOADED).withColours(List.of(Mix.of("purple"))))).get(0)).extracting(StepWords::sentence)
                .asString().doesNotContain("release toward the foot");
    }

    @Test
    void theClockOfALoadedBrushRunsForOnePetalNotForAll() {
        Step.Lay one = loaded(1);
        Step.Lay three = loaded(3);
        assertThat(three.work().hand().toSeconds()).as("three take the hand longer")
                .isGreaterThan((long) (1.3 * one.work().hand().toSeconds()));
        assertThat(StepWords.sentence(three)).contains("press at the tip, release toward the foot", "one is finished before the next");
        double each = (double) three.wet().orElseThrow().work().toSeconds() / one.wet().orElseThrow().work().toSeconds();
        assertThat(each).as("but each has its own clock").isBetween(0.75, 1.25);
    }

    @Test
    void furtherLayersLieInOrderOnWhatIsDryAndAddNoCoatBelow() {
        Blend ground = Blend.of(BlendKind.GRADIENT).withColours(List.of(Mix.of("purple"))).withShape(0, 0.5, 0.5);
        Blend streaks = Blend.of(BlendKind.DRY_BRUSH).withColours(List.of(Mix.of("palegreen"))).withShape(90, 0.5, 0.5);
        Blend foam = Blend.of(BlendKind.FOAM).withColours(List.of(Mix.of("white"))).withShape(0, 0.5, 0.5);
        List<Step.Lay> alone = lays(plan(ground));
        List<Step.Lay> all = lays(plan(ground.plusOver(streaks).plusOver(foam)));
        assertThat(all.stream().map(StepWords::title).toList()).as("after the wet ground, in the order they were laid over it")
                .containsSubsequence("Work wet into wet: the board", "Lay streaks over the board", "Lay foam on the board")
                .hasSize(alone.size() + 2);
        Step.Lay last = all.stream().filter(l -> l.share(l.paint()).kind() == Share.Kind.FOAM).findFirst().orElseThrow();
        assertThat(last.wet()).isEmpty();
        assertThat(last.after()).anyMatch(a -> a.waits() == Step.Waits.LIES_BELOW);
        assertThat(lays(plan(Blend.flat().plusOver(streaks)))).as("also over one even colour").anyMatch(
                l -> l.share(l.paint()).kind() == Share.Kind.STREAKS).anyMatch(l -> l.share(l.paint()).kind() == Share.Kind.WHOLE);
    }

    @Test
    void onlyWhatLeavesTheGroundSeenLiesOverItAndNotMoreThanThree() {
        Blend streaks = Blend.of(BlendKind.DRY_BRUSH);
        assertThatThrownBy(() -> Blend.flat().plusOver(Blend.of(BlendKind.SPLIT))).hasMessageContaining("cannot lie upon");
        assertThatThrownBy(() -> Blend.flat().plusOver(streaks.plusOver(streaks))).hasMessageContaining("cannot lie upon");
        assertThatThrownBy(() -> Blend.flat().plusOver(streaks).plusOver(streaks).plusOver(streaks).plusOver(streaks))
                .hasMessageContaining("at most 3");
        Blend two = Blend.flat().plusOver(streaks).plusOver(Blend.of(BlendKind.FOAM));
        assertThat(two.withLayer(0, Blend.of(BlendKind.WASHED)).over()).isEqualTo(two.over());
        assertThat(two.withLayer(1, Blend.of(BlendKind.GLAZE)).over()).extracting(Blend::kind)
                .containsExactly(BlendKind.GLAZE, BlendKind.FOAM);
        assertThat(two.withoutOver(1).over()).extracting(Blend::kind).containsExactly(BlendKind.FOAM);
    }

    @Test
    void aLayerWithoutItsColourIsLeftOutAndSaidSo() {
        Blend ground = Blend.of(BlendKind.GRADIENT).withColours(List.of(Mix.of("purple")));
        PaintPlan plan = plan(ground.plusOver(Blend.of(BlendKind.FOAM)));
        assertThat(lays(plan).stream().map(StepWords::title)).doesNotContain("Lay foam on the board");
        Finding said = plan.findings().stream().filter(f -> f.code() == Code.BLEND_LACKS_COLOURS).findFirst().orElseThrow();
        assertThat(FindingWords.sentence(said)).isEqualTo(
                "Over board there are to be damp-sponge foam, but the colour for it is not there; it is left out.");
        Project mended = said.remedy().orElseThrow().change().apply(plan.project());
        assertThat(mended.blends().get("board")).isEqualTo(ground);
    }
}
