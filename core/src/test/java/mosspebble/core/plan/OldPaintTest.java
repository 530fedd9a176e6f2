package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Diary;
import mosspebble.core.project.OldPaint;
import mosspebble.core.project.Project;
import mosspebble.core.project.Side;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.rules.WhereFound;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Stone;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** What is planned where paint lies already: two stripes, yellow to the left of the middle and blue to the right, each 15 by 30 mm. */
class OldPaintTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Stone STONE = Stone.cobble();
    private static final Palette PALETTE = new Palette(Paints.shelf());
    private static final Workshop WORKSHOP = new Workshop(PALETTE, flag(), Climate.room(), List.of());

    private static Repertoire flag() {
        return Repertoire.of(List.of(flag(List.of(part("left", 0, 15), part("right", 15, 30)))), List.of(), List.of());
    }

    private static Motif flag(List<MotifPart> parts) {
        List<Slot> slots = List.of(new Slot("left", "Left", Srgb.ofHex("#f2c21b")), new Slot("right", "Right", Srgb.ofHex("#1f4e9c")),
                new Slot("eye", "Eye", Srgb.ofHex("#1a1a1c")));
        Geometry box = FACTORY.toGeometry(new Envelope(0, 30, 0, 30));
        return new Motif("flag", "Flag", slots.stream().filter(s -> parts.stream().anyMatch(p -> p.slot().equals(s.id()))).toList(), parts,
                box, box, false, false);
    }

    private static MotifPart part(String id, double from, double to) {
        return new MotifPart(id, id, Role.FILL, id, FACTORY.toGeometry(new Envelope(from, to, 0, 30)), MotifPart.Make.FLAT,
                Optional.empty());
    }

    private static Project project(List<OldPaint> old) {
        Project begun = Project.begin("p", "Flag", STONE)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("flag"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(Map.of("left", Mix.of("yellow"), "right", Mix.of("blue"))).withOldPaint(old);
        return begun.withHabits(begun.habits().withLight(begun.habits().light().withShade(0).withHighlight(0)));
    }

    private static PaintPlan plan(List<OldPaint> old) {
        return Plans.plan(project(old), Surveys.of(STONE), WORKSHOP, new Remembered());
    }

    private static List<Step.Lay> passes(PaintPlan plan) {
        return plan.steps().stream().filter(Step.Lay.class::isInstance).map(Step.Lay.class::cast).toList();
    }

    /** What the passes of a plan leave on the stone. */
    private static List<OldPaint> painted(PaintPlan plan, Predicate<Step.Lay> which) {
        return passes(plan).stream().filter(which).flatMap(s -> s.layers().stream())
                .map(l -> OldPaint.on(l.side(), l.place(), l.load().mix(), l.load().thin(), l.coats())).toList();
    }

    private static OldPaint disc(double x, double y, double radius, String paint, int coats) {
        return OldPaint.on(Side.FRONT, FACTORY.createPoint(new Coordinate(x, y)).buffer(radius, 32), Mix.of(paint), 1, coats);
    }

    private static List<OldPaint> and(List<OldPaint> below, OldPaint above) {
        List<OldPaint> all = new ArrayList<>(below);
        all.add(above);
        return all;
    }

    private static boolean lays(Step.Lay step, String paint) {
        return step.paint().load().mix().equals(Mix.of(paint));
    }

    /** Colour of what lies at a place when all is done, against the full colour of a paint, CIEDE2000. */
    private static double off(PaintPlan plan, double x, double y, String paint) {
        FilmMap films = plan.filmsAfter(plan.steps().size(), Grid.around(40, 30, 0.5), StoneState.DRY);
        return films.table().film(films.at(x, y)).lab().differenceTo(Lab.of(PALETTE.colour(Mix.of(paint)).orElseThrow().optics().full()));
    }

    @Test
    void whatIsPaintedIsNotPaintedAgain() {
        PaintPlan first = plan(List.of());
        assertThat(passes(first)).anyMatch(s -> lays(s, "yellow")).anyMatch(s -> lays(s, "blue"));
        PaintPlan done = plan(painted(first, s -> true));
        assertThat(passes(done)).as("nothing is left to paint").isEmpty();
        assertThat(done.steps().get(0)).isInstanceOf(Step.Earlier.class);
        assertThat(StepWords.sentence(done.steps().get(0))).startsWith("Nothing to do: ")
                .contains("yellow").contains("blue").endsWith(" lie there already.");
        List<OldPaint> many = new ArrayList<>(List.of(disc(-9, 0, 2, "black", 1), disc(-5, 0, 2, "white", 1), disc(5, 0, 2, "purple", 1),
                disc(9, 0, 2, "umber", 1)));
        assertThat(StepWords.sentence(plan(many).steps().get(0)))
                .isEqualTo("Nothing to do: what was painted lies there already, in 4 colours.");
        assertThat(done.steps()).as("it is signed and sealed").anyMatch(s -> s instanceof Step.Sign).anyMatch(s -> s instanceof Step.Seal)
                .noneMatch(s -> s instanceof Step.Pencil);
        assertThat(done.supplies()).as("and takes nothing but the sealer").noneMatch(u -> List.of("yellow", "blue").contains(u.paint()));
        assertThat(done.findings()).noneMatch(f -> f.code() == Code.OLD_PAINT_SEEN);
        assertThat(done.up().film().thickestUm()).isCloseTo(first.up().film().thickestUm(), within(0.01 * first.up().film().thickestUm()));
    }

    @Test
    void aSecondCoatThatIsStillToComeComes() {
        PaintPlan first = plan(List.of());
        assertThat(passes(first).stream().filter(s -> lays(s, "yellow")).count()).as("coats of yellow on bare stone").isGreaterThan(1);
        PaintPlan half = plan(painted(first, s -> s.doing().count().number() == 1));
        assertThat(passes(half).stream().filter(s -> lays(s, "yellow")).count())
                .isEqualTo(passes(first).stream().filter(s -> lays(s, "yellow")).count() - 1);
        assertThat(off(half, -7, 0, "yellow")).isLessThanOrEqualTo(project(List.of()).habits().tolerance());
    }

    @Test
    void whatWasPaintedOnItAndLeftOutIsCoveredThereOnly() {
        OldPaint moon = disc(-7, 0, 4, "blue", 2);
        PaintPlan plan = plan(and(painted(plan(List.of()), s -> true), moon));
        assertThat(passes(plan)).isNotEmpty().allMatch(s -> lays(s, "yellow")).allSatisfy(s -> {
            assertThat(s.place().getArea()).as("the disc with a little over its edge").isBetween(moon.area().getArea(),
                    1.5 * moon.area().getArea());
            assertThat(s.place().covers(FACTORY.createPoint(new Coordinate(-7, 0)))).isTrue();
        });
        assertThat(StepWords.title(passes(plan).get(0))).contains("where it lies on the old paint");
        assertThat(passes(plan)).as("the last coat is thinned out, so that no patch is seen").allSatisfy(s -> assertThat(
                StepWords.sentence(s).contains("Thin it out at its rim")).isEqualTo(s == passes(plan).get(passes(plan).size() - 1)));
        assertThat(passes(plan(List.of()))).as("no patch on bare stone").noneMatch(s -> StepWords.sentence(s).contains("patch"));
        assertThat(off(plan, -7, 0, "yellow")).as("it is hidden").isLessThanOrEqualTo(project(List.of()).habits().tolerance());
        assertThat(off(plan, 7, 0, "blue")).isLessThanOrEqualTo(project(List.of()).habits().tolerance());
        assertThat(plan.findings()).noneMatch(f -> f.code() == Code.OLD_PAINT_SEEN);
    }

    @Test
    void whatStandsInFrontOfWhatIsPaintedAnewIsNotPaintedOver() {
        Repertoire eyed = Repertoire.of(List.of(flag(List.of(part("left", 0, 15), part("right", 15, 30), new MotifPart("eye", "eye",
                Role.FILL, "eye", FACTORY.createPoint(new Coordinate(7.5, 15)).buffer(3, 32), MotifPart.Make.FLAT, Optional.empty())))),
                List.of(), List.of());
        Workshop workshop = new Workshop(PALETTE, eyed, Climate.room(), List.of());
        Project project = project(List.of()).withColour("eye", Mix.of("black"));
        PaintPlan first = Plans.plan(project, Surveys.of(STONE), workshop, new Remembered());
        Geometry round = Shapes.minus(FACTORY.toGeometry(new Envelope(-14.5, -0.5, -14.5, 14.5)),
                FACTORY.createPoint(new Coordinate(-7.5, 0)).buffer(3.5, 32));
        Project over = project.withOldPaint(and(painted(first, s -> true), OldPaint.on(Side.FRONT, round, Mix.of("blue"), 1, 1)));
        PaintPlan plan = Plans.plan(over, Surveys.of(STONE), workshop, new Remembered());
        assertThat(passes(plan)).as("nearly all of the stripe, and not the eye").isNotEmpty().allSatisfy(s -> {
            assertThat(lays(s, "yellow")).isTrue();
            assertThat(s.place().getArea()).isGreaterThan(380);
            assertThat(s.place().covers(FACTORY.createPoint(new Coordinate(-7.5, 0)))).isFalse();
        });
        assertThat(off(plan, -7.5, 0, "black")).as("the eye stands").isLessThan(2);
        assertThat(off(plan, -7.5, 9, "yellow")).isLessThanOrEqualTo(project.habits().tolerance());
    }

    @Test
    void inTheColourOfWhatItLiesOnItIsNothingStrange() {
        assertThat(passes(plan(and(painted(plan(List.of()), s -> true), disc(7, 0, 4, "blue", 2))))).isEmpty();
    }

    @Test
    void coatsOverItAreCountedOnIt() {
        double most = project(List.of()).habits().tolerance();
        for (double radius : new double[] {3, 6}) { // a part of the stripe, most of it
            PaintPlan plan = plan(List.of(disc(-7.5, 0, radius, "black", 2)));
            assertThat(off(plan, -7.5, 0, "yellow")).as("over black, %s mm", radius).isLessThanOrEqualTo(most);
            assertThat(passes(plan).stream().filter(s -> lays(s, "yellow")).count())
                    .isGreaterThan(passes(plan(List.of())).stream().filter(s -> lays(s, "yellow")).count());
        }
    }

    @Test
    void whatNothingLiesOverIsTold() {
        OldPaint beside = disc(-26, 0, 5, "blue", 1);
        PaintPlan plan = plan(List.of(beside));
        Finding told = plan.findings().stream().filter(f -> f.code() == Code.OLD_PAINT_SEEN).findFirst().orElseThrow();
        assertThat(told.facts().number("mm2")).isCloseTo(Math.PI * 25, within(2.0));
        assertThat(FindingWords.sentence(told)).contains("0.8 cm²");
        assertThat(WhereFound.of(told, plan)).hasValueSatisfying(at -> assertThat(at.distance(new Coordinate(-26, 0))).isLessThan(5));
        PaintPlan over = plan(List.of(disc(0, 0, 5, "black", 1)));
        assertThat(over.findings()).as("hidden by both stripes").noneMatch(f -> f.code() == Code.OLD_PAINT_SEEN);
        Project grounded = project(List.of(beside)).withGround(Optional.of(Mix.of("white")));
        assertThat(Plans.plan(grounded, Surveys.of(STONE), WORKSHOP, new Remembered()).findings()).as("below a ground")
                .noneMatch(f -> f.code() == Code.OLD_PAINT_SEEN);
    }

    @Test
    void nobodyIsToldToDoWhatLiesThere() {
        PaintPlan plan = plan(List.of(disc(-7, 0, 4, "black", 2)));
        DoneSteps done = new DoneSteps(plan, Diary.USUAL);
        assertThat(done.done(0)).isTrue();
        assertThat(done.begun()).isFalse();
        Workload workload = ManyStones.workload(List.of(plan), Diary.USUAL, Instant.parse("2026-11-27T18:00:00Z"), ZoneOffset.UTC);
        assertThat(workload.pieces()).isNotEmpty().noneMatch(p -> p.step() == 0);
        assertThat(plan.steps().stream().flatMap(s -> s.after().stream())).noneMatch(a -> a.step() == 0);
        assertThat(plan.steps().get(0).key()).isEqualTo("EARLIER");
        assertThat(StepWords.title(plan.steps().get(0))).isEqualTo("Painted earlier");
    }

    @Test
    void itsPlaceIsKeptAsTextAndWhatIsNoPlaceIsRefused() {
        Geometry ring = Shapes.minus(FACTORY.createPoint(new Coordinate(3, 4)).buffer(9),
                FACTORY.createPoint(new Coordinate(3, 4)).buffer(5));
        OldPaint kept = OldPaint.on(Side.BACK, ring, Mix.of("yellow"), 0.5, 2);
        assertThat(kept.place()).contains("POLYGON ((");
        assertThat(kept.area().symDifference(ring).getArea()).as("to a hair").isLessThan(0.01 * ring.getArea());
        assertThat(new OldPaint(kept.side(), kept.place(), kept.mix(), kept.thin(), kept.coats())).isEqualTo(kept);
        for (String no : List.of("nonsense", "POINT (1 2)", "LINESTRING (0 0, 1 1)", "POLYGON ((0 0, 9000 0, 9000 9000, 0 0))",
                "POLYGON ((0 0, 10 10, 10 0, 0 10, 0 0))", "POLYGON ((0 0, 1 0, 1 1, 0 0))".repeat(20_000))) {
            assertThatThrownBy(() -> new OldPaint(Side.FRONT, no, Mix.of("yellow"), 1, 1)).as(no.substring(0, 8))
                    .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("place of paint");
        }
        assertThatThrownBy(() -> new OldPaint(Side.FRONT, kept.place(), Mix.of("yellow"), 0, 1)).hasMessageContaining("1 to 12 coats");
        assertThatThrownBy(() -> new OldPaint(Side.FRONT, kept.place(), Mix.of("yellow"), 1, 13)).hasMessageContaining("1 to 12 coats");
    }
}
