package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import mosspebble.core.Surveys;
import mosspebble.core.Boards;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Remembered;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Lamp;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Light;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Slot;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class LargePictureTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    /** A graded board with a shaded bar and a drawn line on it: all that reaches beyond its own pixels. */
    private static final PaintPlan PLAN = plan();

    private static PaintPlan plan() {
        Project board = Boards.project(46, Map.of("board", Mix.of("blue"), "bar", Mix.of("umber"), "line", Mix.of("black")))
                .withBlend("board", Blend.of(BlendKind.GRADIENT).withColours(List.of(Mix.of("white"))).withShape(90, 1, 0.5));
        return Boards.plan(board.withHabits(board.habits().withLight(Light.USUAL)), Paints.shelf());
    }

    private static LargePicture.Wish wish(int longest, StoneState look, int steps) {
        return new LargePicture.Wish(longest, 2, look, Lamp.DAYLIGHT, new StonePicture.Shown(steps, 0, 320, Care.FULL));
    }

    /** A board with strings of beads on it, each set by one touch and each standing on the edge of the one before. */
    private static PaintPlan beads() {
        List<MotifPart> parts = new ArrayList<>();
        parts.add(part("board", FACTORY.toGeometry(new Envelope(0, 1, 0, 0.8))));
        for (int k = 0; k < 60; k++) {
            parts.add(part("bead" + k,
                    FACTORY.createPoint(
                            new Coordinate(0.06 + 0.013 * (k / 11) + 0.079 * (k % 11), 0.1 + 0.105 * (k / 11) + 0.007 * (k % 11)))
                            .buffer(0.043)));
        }
        Geometry all = parts.get(0).shape();
        Repertoire repertoire = Repertoire.of(List.of(new Motif("board", "Board",
                parts.stream().map(p -> new Slot(p.slot(), p.slot(), Srgb.ofHex("#1f4e9c"))).toList(), parts, all, all, false, false)),
                List.of(), List.of());
        Map<String, Mix> colours = new TreeMap<>();
        for (int k = 0; k < parts.size(); k++) { // of two colours, or those that meet would be one
            colours.put(parts.get(k).slot(), Mix.of(k == 0 ? "blue" : k % 2 == 0 ? "white" : "umber"));
        }
        Project project = Boards.project(46, colours);
        return Plans.plan(project, Surveys.of(project.stone()),
                new Workshop(new Palette(Paints.shelf()), repertoire, Climate.room(), List.of()), new Remembered());
    }

    private static MotifPart part(String name, Geometry shape) {
        return new MotifPart(name, name, Role.FILL, name, shape, MotifPart.Make.FLAT, Optional.empty());
    }

    @Test
    void aTouchOverASeamIsOneDropWhateverItStandsOn() {
        PaintPlan plan = beads();
        LargePicture.Wish wish = wish(1000, StoneState.DRY, plan.steps().size());
        LargePicture one = new LargePicture(plan, wish, 2_000_000_000L);
        assertThat(one.strip()).as("one tile").isEqualTo(one.rows());
        int[] whole = one.rows(0, one.rows(), () -> false);
        assertThat(Arrays.stream(whole).map(p -> p & 0xFF).filter(blue -> blue > 200).count()).as("white beads are seen")
                .isGreaterThan(10_000);
        LargePicture picture = new LargePicture(plan, wish, 32_000_000);
        assertThat(picture.strip()).as("tiles").isLessThan(picture.columns() / 2);
        for (int row = 0; row < picture.rows(); row += picture.strip()) {
            int count = Math.min(picture.strip(), picture.rows() - row);
            assertThat(picture.rows(row, count, () -> false)).as("from row %s", row)
                    .isEqualTo(Arrays.copyOfRange(whole, row * picture.columns(), (row + count) * picture.columns()));
        }
    }

    @Test
    void aTileSeesWholeWhatItSeesAPartOf() {
        PaintPlan plan = beads();
        LargePicture picture = new LargePicture(plan, wish(1000, StoneState.DRY, plan.steps().size()));
        List<Envelope> beads = plan.steps().stream().flatMap(s -> s.layers().stream()).map(Step.Layer::place)
                .flatMap(p -> IntStream.range(0, p.getNumGeometries()).mapToObj(p::getGeometryN)).filter(p -> p.getArea() < 14)
                .map(Geometry::getEnvelopeInternal).toList();
        assertThat(beads).hasSizeGreaterThan(50);
        int cut = 0;
        for (int column = 100; column < 900; column += 70) {
            Envelope sight = picture.sight(column, 300, 60, 60);
            Envelope tile = new Envelope(picture.x(column), picture.x(column + 60), picture.y(300), picture.y(360));
            tile.expandBy(1.5);
            for (Envelope bead : beads) {
                if (tile.intersects(bead)) {
                    cut += tile.contains(bead) ? 0 : 1;
                    bead.expandBy(0.3); // and the edges of what lies below
                    assertThat(sight.contains(bead)).as("%s in %s", bead, sight).isTrue();
                }
            }
        }
        assertThat(cut).as("beads that would have been cut").isGreaterThan(20);
    }

    private static int[] whole(LargePicture.Wish wish, LargePicture like) {
        Grid grid = new Grid(-like.columns() * like.pixelMm() / 2, -like.rows() * like.pixelMm() / 2, like.pixelMm(), like.columns(),
                like.rows());
        int[] pixels = new int[grid.cells()];
        StonePicture.of(PLAN, StoneTerrain.of(PLAN.survey(), grid), wish.look()).draw(wish.shown().steps(), 320, pixels);
        return pixels;
    }

    @Test
    void noSeamShowsBetweenTilesWhateverTheirSize() {
        for (int steps : new int[] {0, 2, PLAN.steps().size()}) {
            for (StoneState look : List.of(StoneState.DRY, StoneState.SEALED)) {
                LargePicture.Wish wish = wish(420, look, steps);
                LargePicture picture = new LargePicture(PLAN, wish, 5_000_000);
                assertThat(picture.strip()).as("small tiles").isLessThan(picture.columns() / 2);
                int[] whole = whole(wish, picture);
                for (int row = 0; row < picture.rows(); row += picture.strip()) {
                    int count = Math.min(picture.strip(), picture.rows() - row);
                    assertThat(picture.rows(row, count, () -> false)).as("%s after %s steps, from row %s", look, steps, row)
                            .isEqualTo(Arrays.copyOfRange(whole, row * picture.columns(), (row + count) * picture.columns()));
                }
            }
        }
    }

    /** Each tile looks only as far as something may stand in its light, and that lies on another side each time. */
    @Test
    void noSeamShowsFromWhereverTheLightComes() {
        PaintPlan plan = beads(); // they throw shadows
        for (double from : new double[] {0, 90, 135, 180, 270, 320}) {
            LargePicture.Wish wish = new LargePicture.Wish(420, 2, StoneState.SEALED, Lamp.DAYLIGHT,
                    new StonePicture.Shown(plan.steps().size(), 0, from, Care.FULL));
            LargePicture one = new LargePicture(plan, wish, 2_000_000_000L);
            int[] whole = one.rows(0, one.rows(), () -> false);
            LargePicture picture = new LargePicture(plan, wish, 8_000_000);
            assertThat(picture.strip()).as("small tiles").isLessThan(picture.columns() / 2);
            for (int row = 0; row < picture.rows(); row += picture.strip()) {
                int count = Math.min(picture.strip(), picture.rows() - row);
                assertThat(picture.rows(row, count, () -> false)).as("light from %s, from row %s", from, row)
                        .isEqualTo(Arrays.copyOfRange(whole, row * picture.columns(), (row + count) * picture.columns()));
            }
        }
    }

    @Test
    void rowsAskedForInAnyOrderAndAgainAreTheSame() {
        LargePicture.Wish wish = wish(420, StoneState.DRY, PLAN.steps().size());
        LargePicture picture = new LargePicture(PLAN, wish, 5_000_000);
        int[] whole = whole(wish, picture);
        SplittableRandom random = new SplittableRandom(6);
        for (int k = 0; k < 12; k++) {
            int count = 1 + random.nextInt(picture.strip());
            int row = random.nextInt(picture.rows() - count);
            assertThat(picture.rows(row, count, () -> false)).as("%s rows from %s", count, row)
                    .isEqualTo(Arrays.copyOfRange(whole, row * picture.columns(), (row + count) * picture.columns()));
        }
        int row = 40;
        for (int gap = 0; gap < 12; gap++) { // a few rows left out, or none
            assertThat(picture.rows(row, 12, () -> false)).as("%s rows left out", gap)
                    .isEqualTo(Arrays.copyOfRange(whole, row * picture.columns(), (row + 12) * picture.columns()));
            row += 12 + gap;
        }
    }

    @Test
    void aMomentWithinAStepIsTheSameWithAndWithoutANoteOfTheWay() {
        Grid grid = Grid.around(45, 35, 0.4);
        StoneTerrain terrain = StoneTerrain.of(PLAN.survey(), grid);
        StonePicture noted = StonePicture.of(PLAN, terrain, StoneState.DRY);
        for (int steps = 1; steps <= noted.steps(); steps++) {
            for (int coats = 0; coats < noted.coats(steps - 1); coats++) {
                StonePicture.Shown shown = new StonePicture.Shown(steps, coats, 320, Care.FULL);
                int[] one = new int[grid.cells()];
                int[] other = new int[grid.cells()];
                noted.draw(shown, () -> false, one);
                StonePicture.draw(PLAN, terrain, StoneState.DRY, Lamp.DAYLIGHT, shown, () -> false, other);
                assertThat(other).as("coat %s of step %s", coats, steps).isEqualTo(one);
            }
        }
    }

    @Test
    void theSmallestAndTheLargestStoneWithAllTheMarksItMayHaveAreDrawn() {
        for (double size : new double[] {Stone.SMALLEST_MM, Stone.LARGEST_MM}) {
            Stone stone = Stone.cobble().withSize(new Millimetres(size), new Millimetres(Math.max(Stone.SMALLEST_MM, 0.8 * size)),
                    new Millimetres(Math.min(Stone.HIGHEST_MM, 0.4 * size)));
            for (int k = 0; k < Patch.MOST; k++) {
                stone = stone.plus(Patch.at(k % 2 == 0 ? Patch.Kind.BUMP : Patch.Kind.DENT, (k % 20 - 10) * size / 40,
                        (k / 20 - 5) * size / 40, Math.max(0.3, size / 30), Math.max(0.05, size / 200)));
            }
            PaintPlan plan = Plans.plan(Project.begin("p", "p", stone), Surveys.of(stone),
                    new Workshop(new Palette(Paints.shelf()), Boards.repertoire(), Climate.room(), List.of()), new Remembered());
            LargePicture picture = new LargePicture(plan, wish(300, StoneState.WET, plan.steps().size()));
            int[] pixels = picture.rows(0, picture.rows(), () -> false);
            long stoneOn = Arrays.stream(pixels).filter(p -> p >>> 24 == 255).count();
            assertThat(stoneOn * picture.pixelMm() * picture.pixelMm()).as("a stone of %s mm", size)
                    .isCloseTo(plan.survey().zones().outline().getArea(), withinPercentage(3));
            assertThat(Arrays.stream(pixels).filter(p -> p >>> 24 == 255).distinct().count()).as("it has form").isGreaterThan(100);
        }
    }

    @Test
    void itStopsAtOnceWhenItIsNoLongerWanted() {
        AtomicInteger asked = new AtomicInteger();
        LargePicture picture = new LargePicture(PLAN, wish(900, StoneState.DRY, PLAN.steps().size()));
        assertThatThrownBy(() -> picture.rows(0, picture.rows(), () -> asked.incrementAndGet() > 40))
                .isInstanceOf(CancellationException.class);
    }

    @Test
    void whatCannotBeDrawnIsSaid() {
        assertThatThrownBy(() -> new LargePicture(PLAN, wish(8_000, StoneState.DRY, 3), 3_000_000))
                .isInstanceOf(IllegalStateException.class)
                .hasMessageContaining("memory").hasMessageContaining("8000 x");
        assertThatThrownBy(() -> wish(8_001, StoneState.DRY, 3)).hasMessageContaining("8000");
        assertThatThrownBy(() -> wish(199, StoneState.DRY, 3)).hasMessageContaining("200");
        LargePicture largest = new LargePicture(PLAN, wish(8_000, StoneState.DRY, 3));
        assertThat(Math.max(largest.columns(), largest.rows())).isEqualTo(8_000);
        assertThat((long) largest.strip() * largest.columns()).as("a strip of it is bounded").isLessThan(20_000_000);
    }
}
