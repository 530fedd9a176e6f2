package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.Step.Kind;
import mosspebble.core.project.Edge;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Side;
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
import mosspebble.core.stone.EdgeStrip;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Both faces and the edge of a stone as one job. */
class TwoFacesTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Stone STONE = Stone.cobble();
    private static final Workshop WORKSHOP = new Workshop(new Palette(Paints.shelf()), motifs(), Climate.room(), List.of());

    private static Repertoire motifs() {
        return Repertoire.of(List.of(motif("tower", "wall", "roof"), motif("lamp", "glass", "hood")), List.of(), List.of());
    }

    private static Motif motif(String id, String lower, String upper) {
        List<Slot> slots = List.of(new Slot(lower, lower, Srgb.ofHex("#888888")), new Slot(upper, upper, Srgb.ofHex("#aa4444")));
        List<MotifPart> parts = List.of(part(lower, box(0, 8, 20, 30)), part(upper, box(2, 0, 18, 8)));
        return new Motif(id, id, slots, parts, box(0, 0, 20, 30), box(0, 0, 20, 30), false, false);
    }

    private static MotifPart part(String id, Geometry shape) {
        return new MotifPart(id, id, Role.FILL, id, shape, new MotifPart.Make(0, 0.4, true, Presence.ALWAYS), Optional.empty());
    }

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private static Optional<Sketch> sketch(String motif) {
        return Optional.of(Sketch.of(new Subject.Figure(motif), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0));
    }

    private static Project front() {
        return Project.begin("p", "Gate stone", STONE).withSketch(sketch("tower"))
                .withColours(Map.of("wall", Mix.of("umber"), "roof", Mix.of("red")));
    }

    /** Tower on the front, lamp on the back, the front up. */
    private static Project both() {
        return front().turnedOver().withSketch(sketch("lamp")).withColours(Map.of("glass", Mix.of("yellow"), "hood", Mix.of("black")))
                .turnedOver();
    }

    private static PaintPlan plan(Project project) {
        return Plans.plan(project, Surveys.of(project.stone()), WORKSHOP, new Remembered());
    }

    private static List<String> story(PaintPlan plan) {
        return plan.steps().stream().map(s -> s.side() + " " + s.key() + " " + StepWords.title(s) + " " + StepWords.sentence(s) + s.coats()
                + s.work() + s.after() + s.place().toText()).toList();
    }

    // --- one job

    @Test
    // one washing, the second face when the first can be handled, the stone laid on the sealed side last (common practice, no source)
    @Tag("outside")
    void bothFacesAreOneJobWithOneWashingOneSignatureAndOneSealing() {
        PaintPlan plan = plan(both());
        assertThat(plan.steps()).filteredOn(s -> s.kind() == Kind.PREPARE).hasSize(1);
        assertThat(plan.steps()).filteredOn(s -> s.kind() == Kind.PENCIL).extracting(Step::side).containsExactly(Side.FRONT, Side.BACK);
        assertThat(plan.steps()).filteredOn(s -> s instanceof Step.Sign).hasSize(1);
        assertThat(plan.steps()).filteredOn(s -> s instanceof Step.Seal).extracting(Step::side).containsExactly(Side.BACK, Side.FRONT);
        assertThat(StepWords.title(plan.steps().get(plan.steps().size() - 1))).isEqualTo("Turn it and seal the front");
        List<Side> sides = plan.steps().stream().filter(s -> s instanceof Step.Lay).map(Step::side).toList();
        assertThat(sides.subList(sides.indexOf(Side.BACK), sides.size())).as("the front is done before the back is begun")
                .doesNotContain(Side.FRONT);
        assertThat(plan.steps()).filteredOn(s -> StepWords.title(s).contains("glass")).allMatch(s -> s.side() == Side.BACK).isNotEmpty();
        assertThat(plan.supplies()).extracting(u -> u.paint()).contains("umber", "yellow");
        assertThat(plan.readyAfter()).as("one after the other, but sealed together").isLessThan(plan(front()).readyAfter().multipliedBy(2))
                .isGreaterThan(plan(front()).readyAfter());
    }

    @Test
    void theBackWaitsUntilTheFrontCanBeHandledAndTheFrontsSealForTheBacks() {
        PaintPlan plan = plan(both());
        int pencil = index(plan, s -> s.kind() == Kind.PENCIL && s.side() == Side.BACK);
        for (Step.After after : plan.steps().get(pencil).after()) {
            assertThat(after.waits()).isEqualTo(Step.Waits.HANDLED);
            assertThat(plan.sitting().steps().get(pencil).start()).isGreaterThanOrEqualTo(plan.sitting().steps().get(after.step()).dry());
        }
        assertThat(plan.steps().get(pencil).after()).hasSizeGreaterThanOrEqualTo(2);
        int seal = plan.steps().size() - 1;
        assertThat(plan.steps().get(seal).after()).extracting(Step.After::waits).contains(Step.Waits.LIES_ON_SEALED);
        assertThat(plan.sitting().steps().get(seal).start()).isGreaterThanOrEqualTo(plan.sitting().steps().get(seal - 1).dry());
        for (int i = 0; i < plan.steps().size(); i++) {
            Step step = plan.steps().get(i);
            for (Step.After after : step.after()) {
                Step other = plan.steps().get(after.step());
                boolean apart = step instanceof Step.Lay && other instanceof Step.Lay && step.side() != other.side();
                assertThat(apart).as("paint on one face never bleeds into the other").isFalse();
            }
        }
    }

    private static int index(PaintPlan plan, java.util.function.Predicate<Step> which) {
        return java.util.stream.IntStream.range(0, plan.steps().size()).filter(i -> which.test(plan.steps().get(i))).findFirst()
                .orElseThrow();
    }

    @Test
    void turningTheStoneOverChangesNothingOfTheJob() {
        Project project = both();
        assertThat(project.turnedOver().turnedOver().stone()).isEqualTo(project.stone());
        PaintPlan up = plan(project);
        PaintPlan turned = plan(project.turnedOver());
        assertThat(turned.up().side()).isEqualTo(Side.BACK);
        assertThat(story(turned)).isEqualTo(story(up));
        assertThat(turned.sitting()).isEqualTo(up.sitting());
        assertThat(turned.supplies()).isEqualTo(up.supplies());
        assertThat(turned.design().orElseThrow().items()).isEqualTo(up.turnedOver().design().orElseThrow().items());
        assertThat(turned.findings().stream().filter(Finding::below).map(f -> f.code()).toList()).isEqualTo(
                up.findings().stream().filter(f -> !f.below() && CODES_OF_A_FACE.contains(f.code())).map(f -> f.code()).toList());
    }

    private static final List<Code> CODES_OF_A_FACE = List.of(Code.VANISHES, Code.FAINT_OUTLINE, Code.LEAVES, Code.TOO_NARROW,
            Code.TOO_TIGHT, Code.FILM_THICK, Code.RIM_CHIPS, Code.MUD, Code.NO_COLOUR, Code.INCOMPATIBLE);

    @Test
    void measuresChangedOnTheBackGoForBothFaces() {
        Project back = both().turnedOver();
        Project longer = back
                .withStone(back.stone().withSize(back.stone().length(), back.stone().width(), new mosspebble.core.units.Millimetres(50)));
        assertThat(longer.turnedOver().stone().height().value()).isEqualTo(50);
        assertThat(plan(longer).below().orElseThrow().survey().stone().height().value()).isEqualTo(50);
    }

    @Test
    void aFaceMayHaveHabitsOfItsOwn() {
        Project project = both().turnedOver().withOwnHabits(true);
        project = project.withHabits(project.habits().withLines(Habits.Lines.FIRST)).turnedOver();
        assertThat(project.habits().lines()).isEqualTo(Habits.Lines.LAST);
        PaintPlan plan = plan(project);
        assertThat(plan.steps()).filteredOn(s -> s.kind() == Kind.LINE_FIRST).isNotEmpty().allMatch(s -> s.side() == Side.BACK);
        assertThat(project.turnedOver().withOwnHabits(false).habits()).isEqualTo(project.habits());
        Project unsealed = project.turnedOver().withHabits(project.turnedOver().habits().withSeal(Habits.Seal.NONE));
        assertThat(plan(unsealed).steps()).as("a stone is sealed whole or not at all")
                .noneMatch(step -> step instanceof Step.Seal);
        assertThat(story(plan(unsealed.turnedOver()))).isEqualTo(story(plan(unsealed)));
    }

    @Test
    void picturesAndCutsShowTheFaceThatIsUpOnly() {
        PaintPlan plan = plan(both());
        int all = plan.steps().size();
        List<Slice.Sample> cut = new Slice(plan).cut(all, -1, 0, 1, 0, 3);
        assertThat(cut.get(1).layers()).extracting(f -> plan.steps().get(f.coat().orElseThrow().step()).side()).containsOnly(Side.FRONT);
        List<Slice.Sample> other = new Slice(plan.turnedOver()).cut(all, -1, 0, 1, 0, 3);
        assertThat(other.get(1).layers()).extracting(f -> plan.steps().get(f.coat().orElseThrow().step()).side()).containsOnly(Side.BACK);
    }

    @Test
    void whatIsFoundBelowIsSaidOfTheOtherSideAndMendedThere() {
        Project project = both().turnedOver().withColours(Map.of("hood", Mix.of("black"))).turnedOver();
        Finding missing = plan(project).findings().stream().filter(f -> f.code() == Code.NO_COLOUR).findFirst().orElseThrow();
        assertThat(missing.below()).isTrue();
        assertThat(FindingWords.sentence(missing)).startsWith("On the other side: glass has no colour yet");
        Project mended = missing.remedy().orElseThrow().change().apply(project);
        assertThat(mended.sketch()).as("the same face is up").isEqualTo(project.sketch());
        assertThat(plan(mended).findings()).noneMatch(f -> f.code() == Code.NO_COLOUR);
    }

    @Test
    void marksAreFilledOnTheFacesThatArePaintedAndOnNoOther() {
        mosspebble.core.stone.Patch hole = mosspebble.core.stone.Patch.crack(-20, 0, -10, 4, 1.5, 2);
        Project front = front().withStone(STONE.plus(hole));
        assertThat(plan(front).steps()).anyMatch(s -> s.key().equals("PREPARE FILL"));
        Project back = front().turnedOver();
        back = back.withStone(back.stone().plus(hole));
        assertThat(plan(back).steps()).as("nobody paints the back").noneMatch(s -> s.key().equals("PREPARE FILL"));
        assertThat(plan(back.turnedOver()).steps()).noneMatch(s -> s.key().equals("PREPARE FILL"));
        assertThat(plan(back.withSketch(sketch("lamp"))).steps()).anyMatch(s -> s.key().equals("PREPARE FILL"));
        assertThat(plan(back.withSketch(sketch("lamp")).turnedOver()).steps()).anyMatch(s -> s.key().equals("PREPARE FILL"));
    }

    @Test
    void anEmptyFaceIsNoTroubleAsLongAsTheOtherIsPainted() {
        Project empty = front().turnedOver();
        PaintPlan plan = plan(empty);
        assertThat(plan.findings()).extracting(Finding::code).contains(Code.EMPTY_FACE).doesNotContain(Code.NO_SUBJECT);
        assertThat(plan.steps()).filteredOn(s -> s instanceof Step.Lay).isNotEmpty().allMatch(s -> s.side() == Side.FRONT);
        assertThat(plan.steps()).filteredOn(s -> s instanceof Step.Seal).hasSize(1);
        assertThat(story(plan)).as("looking at the bare back changes no step").isEqualTo(story(plan(front())));
    }

    // --- the edge

    @Test
    void theUnrolledEdgeIsAsLongAsTheGirdleAndAsLargeAsTheRims() {
        for (Stone stone : List.of(STONE, STONE.withDome(0.5, 1.5).withBackFullness(1.5), STONE.withDome(0.6, 4))) {
            Survey survey = Surveys.of(stone);
            EdgeStrip strip = EdgeStrip.of(survey);
            assertThat(strip.lengthMm()).isCloseTo(StoneOutline.of(stone).polygon(FACTORY).getLength(), within(0.5));
            assertThat(strip.polygon().getArea() / survey.facts().edgeMm2())
                    .as("the rims as the mesh measures them; the strip is straight where they narrow inward").isBetween(0.97, 1.12);
            assertThat(strip.lowestMm()).isPositive().isLessThanOrEqualTo(strip.mostFrontMm() + strip.mostBackMm());
        }
        Survey flat = Surveys.of(STONE.withDome(1, 2));
        assertThat(EdgeStrip.of(flat).mostBackMm()).as("a flat back has no rim").isZero();
    }

    @Test
    void aGroundAndABandRunAllRoundTheEdge() {
        Project project = both().withEdge(new Edge(Optional.of(Mix.of("blue")), List.of(new Edge.Band(0, 3, Mix.of("white")))));
        PaintPlan plan = plan(project);
        List<Step> edge = plan.steps().stream().filter(s -> s.side() == Side.EDGE).toList();
        assertThat(edge).hasSizeGreaterThanOrEqualTo(2);
        EdgeStrip strip = plan.edge().orElseThrow();
        assertThat(edge.get(0).place().getArea()).isCloseTo(strip.polygon().getArea(), within(1.0));
        Step band = edge.stream().filter(s -> StepWords.title(s).contains("band round the edge")).findFirst().orElseThrow();
        assertThat(band.place().getEnvelopeInternal().getWidth()).isCloseTo(strip.lengthMm(), within(0.01));
        assertThat(band.place().getEnvelopeInternal().getHeight()).isCloseTo(3, within(0.01));
        assertThat(band.after()).extracting(Step.After::waits).contains(Step.Waits.LIES_BELOW);
        assertThat(edge.get(0).after()).as("the stone is held by its faces").extracting(Step.After::waits).contains(Step.Waits.HANDLED);
        assertThat(plan.sitting().steps().get(plan.steps().indexOf(edge.get(0))).start())
                .isGreaterThanOrEqualTo(plan.sitting().steps().get(plan.steps().indexOf(edge.get(0)) - 1).dry());
        assertThat(StepWords.title(band)).endsWith("the band round the edge");
        assertThat(((Step.Lay) edge.get(0)).doing().count().of()).as("blue over grey stone").isBetween(1, Planner.MOST_COATS);
        assertThat(plan.steps().indexOf(edge.get(0))).isGreaterThan(index(plan, s -> s.side() == Side.BACK && s instanceof Step.Lay));
        assertThat(story(plan(project.turnedOver()))).isEqualTo(story(plan));
    }

    @Test
    void anEdgeAloneCanBePainted() {
        Project project = Project.begin("p", "Rim", STONE)
                .withEdge(new Edge(Optional.empty(), List.of(new Edge.Band(0, 4, Mix.of("red")))));
        PaintPlan plan = plan(project);
        assertThat(plan.steps()).anyMatch(s -> s.side() == Side.EDGE).anyMatch(s -> s.kind() == Kind.PREPARE)
                .anyMatch(s -> s instanceof Step.Seal);
        assertThat(plan.findings()).extracting(Finding::code).contains(Code.EMPTY_FACE);
    }

    @Test
    void aBandThatNoBrushPaintsOrThatLeavesTheEdgeIsToldAndMended() {
        Project project = front().withEdge(new Edge(Optional.empty(), List.of(new Edge.Band(0, 0.4, Mix.of("white")),
                new Edge.Band(30, 3, Mix.of("white")), new Edge.Band(0, 2, Mix.of("gone")))));
        List<Finding> found = plan(project).findings();
        assertThat(found).extracting(Finding::code).contains(Code.BAND_TOO_THIN, Code.BAND_LEAVES_EDGE, Code.EDGE_NOT_ON_SHELF);
        Project mended = project;
        for (Finding finding : found) {
            mended = finding.code() == Code.BAND_TOO_THIN || finding.code() == Code.BAND_LEAVES_EDGE
                    ? finding.remedy().orElseThrow().change().apply(mended) : mended;
        }
        assertThat(mended.edge().bands().get(0).wideMm()).isEqualTo(0.6);
        assertThat(plan(mended).findings()).extracting(Finding::code).doesNotContain(Code.BAND_TOO_THIN, Code.BAND_LEAVES_EDGE);
        Stone thin = STONE.withSize(STONE.length(), STONE.width(), new mosspebble.core.units.Millimetres(2)).withDome(1, 8);
        Project flat = front().withStone(thin).withEdge(new Edge(Optional.empty(), List.of(new Edge.Band(0, 3, Mix.of("white")))));
        assertThat(plan(flat).findings()).anySatisfy(
                f -> assertThat(FindingWords.sentence(f)).startsWith("The edge is only 0.2 mm high at its lowest, thinner than any brush"));
        assertThatThrownBy(() -> new Edge.Band(0, 0, Mix.of("white"))).hasMessageContaining("0.3 to 60 mm wide");
        assertThatThrownBy(() -> new Edge.Band(900, 3, Mix.of("white"))).hasMessageContaining("200 mm from the girdle");
    }

    // --- memory

    @Test
    void replanningAtRandomOnBothFacesEqualsAPlanFromNothing() {
        Remembered remembered = new Remembered();
        SplittableRandom random = new SplittableRandom(11);
        Project project = both();
        String[] paints = {"red", "yellow", "blue", "white", "purple", "black"};
        for (int i = 0; i < 24; i++) {
            String paint = paints[random.nextInt(paints.length)];
            double dx = random.nextDouble(-2, 2);
            project = switch (random.nextInt(7)) {
                case 0 -> project.turnedOver();
                case 1 -> project.withColour(random.nextBoolean() ? "wall" : "glass", Mix.of(paint));
                case 2 -> project
                        .withSketch(project.sketch().map(s -> s.with("", item -> item.withPlacement(item.placement().movedBy(dx, 0)))));
                case 3 -> project.withEdge(new Edge(Optional.of(Mix.of(paint)), List.of(new Edge.Band(dx, 2, Mix.of("white")))));
                case 4 -> project.withGround(Optional.of(Mix.of(paint))).withBlend(Project.GROUND,
                        Blend.of(BlendKind.GRADIENT).withColours(List.of(Mix.of("white"))));
                case 5 -> project.withOwnHabits(random.nextBoolean());
                default -> project.withHabits(project.habits().withPrimer(Habits.Primer.values()[random.nextInt(3)])
                        .withGround(Habits.Ground.values()[random.nextInt(3)]).withLineStyle(Habits.LineStyle.values()[random.nextInt(3)]));
            };
            PaintPlan fast = Plans.plan(project, remembered.recall("survey", project.stone(), (stone, m) -> Surveys.of(stone)), WORKSHOP,
                    remembered);
            PaintPlan slow = plan(project);
            assertThat(story(fast)).as("edit %s", i).isEqualTo(story(slow));
            assertThat(fast.findings().stream().map(FindingWords::sentence).toList())
                    .isEqualTo(slow.findings().stream().map(FindingWords::sentence).toList());
            assertThat(fast.sitting()).isEqualTo(slow.sitting());
        }
    }

}
