package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Shapes;
import mosspebble.core.coats.Film;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.picture.StoneTerrain;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.Step.Kind;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
import mosspebble.core.project.Project;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.GuideKind;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Presence;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class PlannerTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Stone DARK = Stone.cobble()
            .withSkin(new Skin(RockKind.BASALT, Texture.SMOOTH, 0.03, Srgb.ofHex("#3c3d40"), Skin.Before.NOTHING, false));

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private static MotifPart part(String id, String slot, Geometry shape, Role role, boolean outlined) {
        return new MotifPart(id, id, role, slot, shape,
                new MotifPart.Make(shape.getDimension() == 1 ? 0.7 : 0, role == Role.FILL ? 0.4 : 0, outlined, Presence.ALWAYS),
                Optional.empty());
    }

    /** A gate: wall, door before it, knob on the door, a line across, a glint. */
    private static Repertoire gate() {
        List<Slot> slots = List.of(new Slot("wall", "Wall", Srgb.ofHex("#b9d6a3")), new Slot("door", "Door", Srgb.ofHex("#6b1518")),
                new Slot("knob", "Knob", Srgb.ofHex("#f2c21b")),
                new Slot("line", "Line", Srgb.ofHex("#19191b")), new Slot("glint", "Glint", Srgb.ofHex("#ffffff")));
        List<MotifPart> parts = List.of(part("wall", "wall", box(0, 0, 60, 60), Role.FILL, true),
                part("door", "door", box(20, 15, 40, 60), Role.FILL, true),
                part("knob", "knob", box(33, 35, 38, 40), Role.FILL, false),
                part("rail", "line", FACTORY.createLineString(new Coordinate[] {new Coordinate(2, 50), new Coordinate(58, 50)}), Role.LINE,
                        false),
                part("glint", "glint", box(34, 36, 35.2, 37.2), Role.HIGHLIGHT, false));
        return Repertoire.of(List.of(new Motif("gate", "Gate", slots, parts, box(0, 0, 60, 60), box(0, 0, 60, 60), false, false)),
                List.of());
    }

    private static Project project(Stone stone) {
        Placement fitted = Designs.fit(gate().motif("gate").orElseThrow(), Surveys.of(stone).zones(), 2, 0).orElseThrow().placement();
        Map<String, Mix> colours = Map.of("wall", Mix.of("palegreen"), "door", Mix.of("darkred"), "knob", Mix.of("yellow"), "line",
                Mix.of("blackpen"), "glint", Mix.of("whitepen"));
        return Project.begin("p", "Gate", stone)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("gate"), ItemMode.ON_STONE, fitted, 2))).withColours(colours)
                .withGround(Optional.of(Mix.of("blue")));
    }

    @Test
    @Tag("outside") // JTS as a second opinion on the areas after overlap
    void whatLiesBehindAnotherThingIsNeitherPaintedNorDrawnThere() {
        Project single = project(DARK);
        Sketch one = single.sketch().orElseThrow();
        Placement at = one.items().get(0).placement();
        Sketch two = one.with("", i -> i.withPlacement(at.sizedBy(0.55).movedBy(-9, 0)))
                .plus(one.items().get(0).withPlacement(at.sizedBy(0.55).movedBy(9, 3)));
        Map<String, Mix> colours = new TreeMap<>(single.colours());
        String front = two.items().get(1).id();
        single.colours().forEach((slot, mix) -> colours.put(front + "/" + slot, mix));
        PaintPlan plan = plan(single.withSketch(Optional.of(two)).withColours(colours).withHabits(single.habits().withLight(Light.NONE)));
        List<PlacedItem> items = plan.design().orElseThrow().items();
        Geometry ahead = items.get(1).silhouette();
        Geometry union = ahead.union(items.get(0).silhouette());

        assertThat(ahead.intersection(items.get(0).silhouette()).getArea()).as("they overlap").isGreaterThan(20);
        assertThat(plan.design().orElseThrow().silhouette().symDifference(union).getArea()).isLessThan(0.01 * union.getArea());
        Geometry inner = ahead.buffer(-1.2);
        double own = items.get(1).parts().stream()
                .mapToDouble(p -> (p.part().isArea() ? p.drawn().getBoundary() : p.drawn()).intersection(inner).getLength()).sum();
        double drawn = plan.design().orElseThrow().pencilLines().stream().mapToDouble(l -> l.intersection(inner).getLength()).sum();
        assertThat(drawn).as("pencil within the front thing is its own, hidden parts are not drawn").isLessThanOrEqualTo(own + 1e-6)
                .isGreaterThan(0);
        double behind = items.get(0).parts().stream()
                .mapToDouble(p -> (p.part().isArea() ? p.drawn().getBoundary() : p.drawn()).intersection(inner).getLength()).sum();
        assertThat(behind).as("there was something to hide").isGreaterThan(5);
        Geometry painted = plan.steps().stream().filter(o -> o.kind() == Step.Kind.FILL).map(Step::place)
                .reduce(ahead.getFactory().createPolygon(), Geometry::union);
        assertThat(union.difference(painted.buffer(0.05)).getArea()).as("all that is seen is painted").isLessThan(0.02 * union.getArea());
    }

    @Test
    void whatIsLeftFreeIsNotEvenGroundedAndGuidesAreNeverPainted() {
        Project project = project(DARK);
        PaintPlan plain = plan(project);
        Sketch free = project.sketch().orElseThrow().with("", i -> i.withManner(ItemMode.LEFT_FREE))
                .plus(Item.of(GuideKind.RINGS.usual(), ItemMode.ON_STONE, new Placement(0, 0, 0, 6), 0));
        PaintPlan kept = plan(project.withSketch(Optional.of(free)));
        Geometry silhouette = kept.design().orElseThrow().items().get(0).silhouette();

        for (Step operation : kept.steps()) {
            if (operation.kind() == Kind.GROUND || operation.kind() == Kind.FILL || operation.kind() == Kind.PRIME) {
                assertThat(operation.place().intersection(silhouette).getArea()).as(StepWords.title(operation))
                        .isLessThan(0.01 * silhouette.getArea());
            }
        }
        assertThat(first(kept, Kind.GROUND, "ground").work().areaMm2()).as("the ground stops at the silhouette, it does not go under it")
                .isLessThan(first(plain, Kind.GROUND, "ground").work().areaMm2());
        assertThat(kept.steps()).noneMatch(o -> StepWords.title(o).contains("rings"));
        assertThat(kept.findings()).noneMatch(f -> FindingWords.sentence(f).contains("Pencil"));
    }

    @Test
    void runningOffIsAFindingUntilItIsADecision() {
        Project project = project(DARK);
        Project off = project.withSketch(project.sketch().map(s -> s.with("", i -> i.withPlacement(i.placement().movedBy(8, 0)))));
        Finding leaves = plan(off).findings().stream().filter(f -> f.code() == Code.LEAVES).findFirst().orElseThrow();

        assertThat(leaves.remedies()).extracting(FindingWords::label).containsExactly("Fit to the face", "Let it run off");
        Project decided = leaves.remedies().get(1).change().apply(off);
        assertThat(plan(decided).findings()).noneMatch(f -> f.code() == Code.LEAVES)
                .anyMatch(f -> f.weight() == Finding.Weight.TIP && FindingWords.sentence(f).contains("as decided"));
        assertThat(plan(leaves.remedies().get(0).change().apply(off)).findings())
                .noneMatch(f -> FindingWords.sentence(f).contains("the face by"));
    }

    private static PaintPlan plan(Project project) {
        return plan(project, Paints.shelf(), Climate.room());
    }

    private static PaintPlan plan(Project project, Shelf shelf, Climate climate) {
        return Plans.plan(project, Surveys.of(project.stone()), new Palette(shelf), gate(), climate);
    }

    private static Step first(PaintPlan plan, Kind kind, String word) {
        return plan.steps().stream().filter(o -> o.kind() == kind && StepWords.title(o).contains(word)).findFirst()
                .orElseThrow(() -> new AssertionError(
                        "no " + kind + " " + word + " in " + plan.steps().stream().map(StepWords::title).toList()));
    }

    private static int index(PaintPlan plan, Step operation) {
        return plan.steps().indexOf(operation);
    }

    @Test
    void theOrderIsTheTradesAndBreaksNoArrow() {
        PaintPlan plan = plan(project(DARK));

        assertThat(plan.steps().get(0).kind()).isEqualTo(Kind.PREPARE);
        assertThat(plan.steps().get(1).kind()).isEqualTo(Kind.PENCIL);
        assertThat(plan.steps().get(plan.steps().size() - 1).kind()).isEqualTo(Kind.SEAL);
        assertThat(index(plan, first(plan, Kind.FILL, "door"))).isLessThan(index(plan, first(plan, Kind.FILL, "knob")));
        assertThat(index(plan, first(plan, Kind.HIGHLIGHT, "glint"))).isGreaterThan(index(plan, first(plan, Kind.OUTLINE, "")));
        for (int i = 0; i < plan.steps().size(); i++) {
            for (Step.After after : plan.steps().get(i).after()) {
                assertThat(after.step()).isLessThan(i);
                assertThat(StepWords.reason(after)).isNotBlank();
                assertThat(plan.sitting().steps().get(i).start()).as("nothing starts on or beside wet paint").isGreaterThanOrEqualTo(
                        plan.sitting().steps().get(after.step()).end().plus(after.lag(plan.steps().get(after.step()))));
            }
        }
    }

    @Test
    void theSameInputGivesTheSamePlan() {
        assertThat(story(plan(project(DARK)))).isEqualTo(story(plan(project(DARK))));
    }

    private static List<String> story(PaintPlan plan) {
        return plan.steps().stream()
                .map(o -> StepWords.title(o) + o.coats() + o.work().hand() + o.work().dries() + o.after() + o.place().toText()).toList();
    }

    @Test
    @Tag("outside") // the trade: chalk on dark stone, graphite on pale (common practice, no source)
    void pencilKindFollowsTheStone() {
        assertThat(StepWords.tool(plan(project(DARK)).steps().get(1))).contains("chalk");
        assertThat(StepWords
                .tool(plan(project(DARK
                        .withSkin(new Skin(RockKind.LIMESTONE, Texture.SMOOTH, 0.1, Srgb.ofHex("#d8d0c0"), Skin.Before.NOTHING, false))))
                        .steps().get(1)))
                .contains("graphite");
    }

    @Test
    void paleColoursOnDarkStoneArePrimedWhereItSavesCoatsAndNeverIfUnwanted() {
        Paint weak = Paints.brush("weak", "#f5d451", 0.35).withName("weak yellow");
        List<Paint> paints = new ArrayList<>(Paints.shelf().paints());
        paints.add(weak);
        Shelf shelf = new Shelf(paints);
        Project project = project(DARK).withColour("wall", Mix.of("weak"));
        PaintPlan needed = plan(project, shelf, Climate.room());
        PaintPlan never = plan(project.withHabits(project.habits().withPrimer(Habits.Primer.NEVER)), shelf, Climate.room());

        Step prime = first(needed, Kind.PRIME, "");
        int primed = ((Step.Lay) first(needed, Kind.FILL, "wall")).doing().count().of();
        int bare = ((Step.Lay) first(never, Kind.FILL, "wall")).doing().count().of();
        assertThat(never.steps()).noneMatch(o -> o.kind() == Kind.PRIME);
        assertThat(prime.coats() + primed).as("primer and coats together").isLessThan(bare);
        assertThat(StepWords.reason(prime)).contains("primer").contains("bare stone");
    }

    @Test
    void aFussierPainterNeverGetsFewerCoats() {
        Project project = project(DARK);
        int before = 0;
        for (double tolerance : new double[] {5, 3, 2, 1}) {
            int coats = plan(project.withHabits(project.habits().withTolerance(tolerance))).steps().stream()
                    .filter(o -> o.kind() == Kind.FILL || o.kind() == Kind.PRIME || o.kind() == Kind.GROUND).mapToInt(Step::coats).sum();
            assertThat(coats).isGreaterThanOrEqualTo(before);
            before = coats;
        }
    }

    @Test
    void afterTheLastCoatNothingShowsThrough() {
        Project project = project(DARK);
        PaintPlan plan = plan(project);
        Grid grid = Grid.around(60, 50, 0.5);
        Step wall = plan.steps().stream().filter(o -> o.kind() == Kind.FILL && StepWords.title(o).contains("wall")).reduce((a, b) -> b)
                .orElseThrow();
        FilmMap films = plan.filmsAfter(index(plan, wall) + 1, grid, StoneState.DRY);
        Lab full = Lab.of(wall.coat().orElseThrow().optics().full());
        Geometry inner = Shapes.grown(wall.place(), -1);
        SplittableRandom random = new SplittableRandom(3);
        int checked = 0;
        while (checked < 200) {
            double x = random.nextDouble(-40, 40);
            double y = random.nextDouble(-40, 40);
            if (inner.contains(FACTORY.createPoint(new Coordinate(x, y)))) {
                assertThat(films.table().film(films.at(x, y)).lab().differenceTo(full))
                        .isLessThanOrEqualTo(project.habits().tolerance() + 1e-9);
                checked++;
            }
        }
    }

    @Test
    void theGroundGoesAroundTheSubjectAndALittleUnderItsEdge() {
        PaintPlan plan = plan(project(DARK));
        Geometry silhouette = plan.design().orElseThrow().silhouette();
        Geometry ground = first(plan, Kind.GROUND, "").place();

        assertThat(Shapes.common(ground, Shapes.grown(silhouette, -1.05)).getArea()).isLessThan(0.01);
        assertThat(Shapes.common(ground, silhouette).getArea()).isGreaterThan(0.8 * silhouette.getLength());
    }

    @Test
    void thicknessIsTheSumOfTheCoatsAndTheSliceSeesTheSame() {
        PaintPlan plan = plan(project(DARK));
        int steps = plan.steps().size();
        FilmMap films = plan.filmsAfter(steps, Grid.around(60, 50, 0.25), StoneState.DRY);
        List<Slice.Sample> cut = new Slice(plan).cut(steps, -30, 3.1, 30, 3.1, 61);

        int same = 0;
        for (Slice.Sample sample : cut) {
            double sum = sample.layers().stream().mapToDouble(Film::layerUm).sum();
            assertThat(sample.totalUm()).isCloseTo(sum, within(1e-9));
            same += Math.abs(films.table().film(films.at(sample.alongMm() - 30, 3.1)).totalUm() - sum) < 1e-6 ? 1 : 0;
        }
        assertThat(same).as("but for samples right on an edge").isGreaterThanOrEqualTo(55);
        assertThat(cut.stream().mapToDouble(Slice.Sample::totalUm).max().orElse(0)).isLessThanOrEqualTo(plan.thickestUm() + 1e-6);
    }

    @Test
    void thePictureShowsBareStoneFirstAndTheDoorAtTheEnd() {
        PaintPlan plan = plan(project(DARK).withHabits(Habits.usual().withLight(Light.NONE)));
        Grid grid = Grid.around(60, 50, 0.5);
        StonePicture picture = StonePicture.of(plan, StoneTerrain.of(plan.survey(), grid), StoneState.DRY);
        Geometry door = plan.design().orElseThrow().parts().get(1).drawn();
        Coordinate at = new Coordinate(door.getEnvelopeInternal().getMinX() + 3, door.getCentroid().getY() - 4);
        int column = (int) ((at.x - grid.left()) / grid.cellMm());
        int row = (int) ((at.y - grid.top()) / grid.cellMm());

        assertThat(Lab.of(Srgb.ofRgb(picture.colourAt(0, column, row))).differenceTo(Lab.of(DARK.colour()))).isLessThan(1);
        assertThat(Lab.of(Srgb.ofRgb(picture.colourAt(picture.steps(), column, row))).differenceTo(Lab.of(Srgb.ofHex("#6b1518"))))
                .isLessThan(2.5);
        int[] lit = new int[grid.cells()];
        picture.draw(picture.steps(), 320, lit);
        assertThat(lit[0]).as("outside the stone is clear").isZero();
        assertThat(lit[row * grid.columns() + column] >>> 24).isEqualTo(255);
    }

    @Test
    void whatCannotBeDoneIsSaidAndTheRestIsStillPlanned() {
        Project project = project(DARK);
        PaintPlan lost = plan(project.withColour("door", Mix.of("gone")));
        assertThat(lost.findings()).anySatisfy(f -> {
            assertThat(FindingWords.sentence(f)).contains("Door").contains("gone (not on the shelf)");
            assertThat(plan(f.remedy().orElseThrow().change().apply(project.withColour("door", Mix.of("gone")))).findings())
                    .noneMatch(g -> FindingWords.sentence(g).contains("gone"));
        });
        assertThat(lost.steps()).anyMatch(o -> StepWords.title(o).contains("wall"));
        assertThat(plan(project, new Shelf(List.of()), Climate.room()).findings()).anyMatch(f -> f.code() == Code.EMPTY_SHELF);
        assertThat(plan(project.withSketch(Optional.empty())).findings())
                .anyMatch(f -> f.weight() == Finding.Weight.STOP && FindingWords.sentence(f).contains("No subject"));
        assertThat(plan(project, Paints.shelf(), new Climate(new Celsius(14), 0.92, 0.1)).findings()).anyMatch(f -> f.code() == Code.DEW);
    }

    @Test
    void aTinyDesignIsTooSmallForThePensAndEnlargingMendsIt() {
        Project project = project(DARK);
        Project tiny = project.withSketch(project.sketch().map(s -> s.with("", i -> i.withPlacement(new Placement(0, 0, 0, 0.06)))));

        Finding small = plan(tiny).findings().stream().filter(f -> f.code() == Code.TOO_NARROW).findFirst().orElseThrow();

        Project mended = small.remedy().orElseThrow().change().apply(tiny);
        assertThat(plan(mended).findings()).noneMatch(f -> f.code() == Code.TOO_NARROW);
    }

    @Test
    void suppliesAreAreaTimesThicknessAndRunOutIsSaid() {
        assertThat(PaintUse.spread(10_000, 100, 1).value()).as("1 mL over 100 cm2 is 100 µm, with a fifth lost").isCloseTo(1.2,
                within(1e-9));
        PaintPlan plan = plan(project(DARK));
        Step door = first(plan, Kind.FILL, "door");
        double needed = plan.supplies().stream().filter(u -> u.paint().equals("darkred")).findFirst().orElseThrow().needed().value();
        assertThat(needed).isGreaterThanOrEqualTo(PaintUse.spread(door.work().areaMm2(), 60, door.coats()).value() - 1e-9);
        assertThat(door.work().areaMm2()).as("surface is at least the flat area").isGreaterThanOrEqualTo(door.place().getArea() * 0.98);
    }

    @Test
    // varnish: 3 coats on porous stone, 2 else; a simple three-colour stone about 20 min of hand time plus drying (common practice, no
    // source)
    @Tag("outside")
    void sealingAndHandTimeAreThoseOfTheTrade() {
        Project porous = project(
                DARK.withSkin(new Skin(RockKind.SANDSTONE, Texture.SMOOTH, 0.18, Srgb.ofHex("#b89a6e"), Skin.Before.NOTHING, false)));
        assertThat(first(plan(porous), Kind.SEAL, "").coats()).isEqualTo(3);
        PaintPlan plan = plan(project(DARK));
        assertThat(first(plan, Kind.SEAL, "").coats()).isEqualTo(2);
        assertThat(plan.handTime()).isBetween(Duration.ofMinutes(20), Duration.ofMinutes(120));
        assertThat(plan.readyAfter()).isBetween(Duration.ofHours(20), Duration.ofDays(6));
        assertThat(plan.handTime().plus(plan.waiting())).isEqualTo(plan.readyAfter());
    }

    @Test
    void lineFirstIsRestoredAtTheEnd() {
        Project project = project(DARK);
        PaintPlan plan = plan(project.withHabits(project.habits().withLines(Habits.Lines.FIRST)));

        assertThat(index(plan, first(plan, Kind.LINE_FIRST, "Outline"))).isLessThan(index(plan, first(plan, Kind.FILL, "wall")));
        assertThat(index(plan, first(plan, Kind.OUTLINE, "Outline"))).isGreaterThan(index(plan, first(plan, Kind.FILL, "knob")));
    }

    @Test
    void outlinesContrastWithBothSides() {
        PaintPlan plan = plan(project(DARK));
        for (Step operation : plan.steps()) {
            if (operation.kind() == Kind.OUTLINE) {
                assertThat(StepWords.figures(operation)).containsPattern("Differs by \\d+ from the area and by \\d+ from what is behind");
            }
        }
        assertThat(plan.findings()).noneMatch(f -> f.code() == Code.FAINT_OUTLINE);
    }
}
