package mosspebble.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.SteadyMass;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.picture.EdgePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Edge;
import mosspebble.core.project.Habits;
import mosspebble.core.project.OldPaint;
import mosspebble.core.project.Project;
import mosspebble.core.project.Side;
import mosspebble.core.project.Workshop;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Origin;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Facts;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.FindingWords;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Point;

/** What the rules find, and that what they offer mends it. */
class RulesTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Stone STONE = Stone.cobble();
    private static final Climate ROOM = Climate.room();

    private static Repertoire flag() {
        List<Slot> slots = List.of(new Slot("left", "Left", Srgb.ofHex("#b3261e")), new Slot("right", "Right", Srgb.ofHex("#1f4e9c")));
        List<MotifPart> parts = List.of(part("left", 0, 15, 30), part("right", 15, 30, 30));
        return Repertoire.of(List.of(new Motif("flag", "Flag", slots, parts, FACTORY.toGeometry(new Envelope(0, 30, 0, 30)),
                FACTORY.toGeometry(new Envelope(0, 30, 0, 30)), false, false)), List.of(), List.of());
    }

    private static MotifPart part(String id, double from, double to, double high) {
        return new MotifPart(id, id, Role.FILL, id, FACTORY.toGeometry(new Envelope(from, to, 0, high)), MotifPart.Make.FLAT,
                Optional.empty());
    }

    private static Project flag(Stone stone, double x, double scale) {
        return Project.begin("p", "Flag", stone)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("flag"), ItemMode.ON_STONE, new Placement(x, 0, 0, scale), 0)))
                .withColours(Map.of("left", Mix.of("red"), "right", Mix.of("blue")));
    }

    private static PaintPlan plan(Project project, Shelf shelf, Climate climate) {
        return Plans.plan(project, Surveys.of(project.stone()), new Workshop(new Palette(shelf), flag(), climate, List.of()),
                new Remembered());
    }

    private static Set<Code> codes(Project project, Shelf shelf, Climate climate) {
        return plan(project, shelf, climate).findings().stream().map(Finding::code).collect(Collectors.toCollection(TreeSet::new));
    }

    private static Stone skin(Skin skin) {
        return STONE.withSkin(skin);
    }

    /** A stone in trouble for each code that can be brought about with two stripes, each in trouble of one kind only. */
    private static Map<Code, Project> troubles() {
        Project fine = flag(STONE, 0, 1);
        Skin skin = STONE.skin();
        Map<Code, Project> troubles = new LinkedHashMap<>();
        troubles.put(Code.NOT_MEASURED, fine.withHistory(fine.history().withUnmeasured(Set.of(Stone.Measure.HEIGHT))));
        troubles.put(Code.TAKING_FORBIDDEN, fine.withOrigin(new Origin("the ford", Origin.Taking.FORBIDDEN, "", Optional.empty())));
        troubles.put(Code.CRACKS_MARKED, flag(STONE.plus(Patch.crack(-30, -20, -20, -10, 1, 0.3)), 0, 1));
        troubles.put(Code.SEALED_BEFORE, flag(skin(skin.withState(Skin.Before.SEALER, false)), 0, 1));
        troubles.put(Code.LOOSE_GRAINS, flag(skin(skin.withState(Skin.Before.NOTHING, true)), 0, 1));
        troubles.put(Code.STILL_DAMP, fine.withWeighings(List.of(new SteadyMass.Weighing(0, 160), new SteadyMass.Weighing(8, 150),
                new SteadyMass.Weighing(16, 143), new SteadyMass.Weighing(24, 138))));
        troubles.put(Code.OLD_PAINT_SEEN,
                fine.withOldPaint(List.of(new OldPaint(Side.FRONT, "POLYGON ((-40 -4, -30 -4, -30 4, -40 4, -40 -4))",
                        Mix.of("blue"), 1, 1))));
        troubles.put(Code.NO_SUBJECT, Project.begin("p", "Bare", STONE));
        troubles.put(Code.NOT_IN_REPERTOIRE, Project.begin("p", "Gone", STONE).withSketch(
                Optional.of(Sketch.of(new Subject.Figure("gone"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0))));
        troubles.put(Code.LEAVES, flag(STONE, 30, 1));
        troubles.put(Code.TOO_NARROW, flag(STONE, 0, 0.04));
        troubles.put(Code.NO_COLOUR, fine.withColours(Map.of("left", Mix.of("red"))));
        troubles.put(Code.GROUND_NOT_ON_SHELF, fine.withGround(Optional.of(Mix.of("gone"))));
        troubles.put(Code.BLEND_LACKS_COLOURS, fine.withBlend("left", Blend.of(BlendKind.SPLIT)));
        troubles.put(Code.VANISHES,
                flag(skin(new Skin(RockKind.SANDSTONE, Texture.SMOOTH, 0.1, Srgb.ofHex("#1f4e9c"), Skin.Before.NOTHING, false)), 0, 1)
                        .withHabits(Habits.usual().withOutdoors(false)));
        troubles.put(Code.MUD,
                fine.withBlend("left", Blend.of(BlendKind.GRADIENT).withColours(List.of(Mix.of("palegreen"), Mix.of("purple")))));
        troubles.put(Code.UNSEALED_OUTDOORS, fine.withHabits(Habits.usual().withSeal(Habits.Seal.NONE)));
        troubles.put(Code.OTHER_SEALER, fine.withHabits(Habits.usual().withSeal(Habits.Seal.RESIN)));
        troubles.put(Code.EDGE_NOT_ON_SHELF, fine.withEdge(new Edge(Optional.of(Mix.of("gone")), List.of())));
        troubles.put(Code.BAND_TOO_THIN, fine.withEdge(new Edge(Optional.empty(), List.of(new Edge.Band(0, 0.4, Mix.of("white"))))));
        troubles.put(Code.BAND_LEAVES_EDGE, fine.withEdge(new Edge(Optional.empty(), List.of(new Edge.Band(40, 2, Mix.of("white"))))));
        return troubles;
    }

    @Test
    void whatAFindingNamesIsPointedAtOnTheStone() {
        PaintPlan plan = plan(flag(STONE, 30, 2), Paints.shelf(), ROOM);
        Finding leaves = plan.findings().stream().filter(f -> f.facts().has("part")).findFirst().orElseThrow();
        Coordinate at = WhereFound.of(leaves, plan).orElseThrow();
        Point there = FACTORY.createPoint(at);
        assertThat(plan.survey().zones().outline().covers(there)).isTrue();
        assertThat(plan.design().orElseThrow().parts()).filteredOn(p -> p.part().title().equals(leaves.facts().text("part")))
                .anySatisfy(p -> assertThat(p.drawn().covers(there)).isTrue());
        assertThat(WhereFound.of(new Finding(leaves.code(), leaves.weight(), leaves.facts(), List.of(), true), plan))
                .as("on the other face").isEmpty();
        assertThat(WhereFound.of(Finding.of(Code.TOO_COLD, Facts.none()), plan)).isEmpty();
        assertThat(WhereFound.of(Finding.of(Code.FAINT_OUTLINE, Facts.of("part", "no such part")), plan)).isEmpty();
    }

    @Test
    void eachTroubleIsFoundAndASoundStoneHasNoneOfThem() {
        Set<Code> sound = codes(flag(STONE, 0, 1), Paints.shelf(), ROOM);
        troubles().forEach((code, project) -> {
            assertThat(sound).as("a sound stone").doesNotContain(code);
            assertThat(codes(project, Paints.shelf(), ROOM)).as("%s", code).contains(code);
        });
    }

    @Test
    void whateverIsOfferedMendsWhatItStandsBesideAndIsDoneOnce() {
        int mended = 0;
        for (Map.Entry<Code, Project> trouble : troubles().entrySet()) {
            for (Finding finding : plan(trouble.getValue(), Paints.shelf(), ROOM).findings()) {
                if (finding.code() != trouble.getKey()) {
                    continue;
                }
                for (Finding.Remedy remedy : finding.remedies()) {
                    Project after = remedy.change().apply(trouble.getValue());
                    assertThat(after).as("%s does something", FindingWords.label(remedy)).isNotEqualTo(trouble.getValue());
                    assertThat(codes(after, Paints.shelf(), ROOM)).as("%s mends %s", FindingWords.label(remedy), finding.code())
                            .doesNotContain(finding.code());
                    mended++;
                }
            }
        }
        assertThat(mended).isGreaterThanOrEqualTo(8);
    }

    @Test
    void shelfAndRoomAreLookedAtToo() {
        Project fine = flag(STONE, 0, 1);
        assertThat(codes(fine, new Shelf(List.of()), ROOM)).contains(Code.EMPTY_SHELF);
        assertThat(codes(fine, Paints.shelf().without("white"), ROOM)).contains(Code.NO_WHITE);
        assertThat(codes(fine, Paints.shelf(), new Climate(new Celsius(9), 0.5, 0.1))).as("acrylics form no film below about 10 °C")
                .contains(Code.TOO_COLD);
        assertThat(codes(fine, Paints.shelf(), new Climate(new Celsius(11), 0.5, 0.1))).doesNotContain(Code.TOO_COLD, Code.NEVER_DRIES);
        assertThat(codes(fine, Paints.shelf(), new Climate(new Celsius(11), 0.99, 0)))
                .as("hardly anything dries in nearly saturated, still air")
                .contains(Code.NEVER_DRIES);
        assertThat(codes(fine, Paints.shelf(), new Climate(new Celsius(12), 0.93, 0.1))).contains(Code.DEW);
        assertThat(codes(fine, Paints.shelf().without("varnish"), ROOM)).contains(Code.UNSEALED_OUTDOORS);
        List<Finding> found = plan(fine.withOrigin(new Origin("", Origin.Taking.FORBIDDEN, "", Optional.empty())), Paints.shelf(),
                new Climate(new Celsius(12), 0.93, 0.1)).findings();
        assertThat(found).extracting(Finding::weight).as("what stops comes first").isSorted();
    }

    @Test
    void theEdgeIsPicturedAsItIsPainted() {
        PaintPlan plan = plan(flag(STONE, 0, 1).withEdge(new Edge(Optional.empty(), List.of(new Edge.Band(0, 4, Mix.of("red"))))),
                Paints.shelf(), ROOM);
        EdgePicture picture = new EdgePicture(plan, 300, StoneState.DRY);
        int[] bare = picture.pixels(0);
        int[] done = picture.pixels(plan.steps().size());
        assertThat(picture.columns()).isEqualTo(300);
        int first = java.util.stream.IntStream.range(0, plan.steps().size())
                .filter(i -> plan.steps().get(i).side() == mosspebble.core.project.Side.EDGE).findFirst().orElseThrow();
        assertThat(picture.pixels(first)).as("until the edge is begun it is bare").isEqualTo(bare);
        assertThat(picture.pixels(first + 1)).as("and then stays as it was painted").isEqualTo(done).isNotEqualTo(bare);
        double mm = plan.edge().orElseThrow().lengthMm() / 300;
        int girdle = (int) (plan.edge().orElseThrow().mostFrontMm() / mm);
        int middle = girdle * 300 + 150;
        assertThat(bare[middle] >>> 24).isEqualTo(255);
        assertThat(red(done[middle]) - green(done[middle])).as("the band is red").isGreaterThan(60);
        assertThat(Math.abs(red(bare[middle]) - green(bare[middle]))).as("the stone is grey").isLessThan(25);
        int off = Math.max(0, girdle - (int) (4 / mm)) * 300 + 150;
        assertThat(done[off]).as("outside the band nothing changed").isEqualTo(bare[off]);
    }

    private static int red(int argb) {
        return argb >> 16 & 0xFF;
    }

    private static int green(int argb) {
        return argb >> 8 & 0xFF;
    }
}
