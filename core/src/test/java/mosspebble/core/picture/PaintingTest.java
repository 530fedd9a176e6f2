package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import java.util.List;
import java.util.Map;
import mosspebble.core.project.Project;
import mosspebble.core.colour.Shelf;
import mosspebble.core.blend.Share;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.blend.Blend;
import mosspebble.core.area.Mask;
import mosspebble.core.Boards;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Shapes;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.Sheen;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Lamp;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.PaintOptics;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** How a plan becomes pixels: zoom, borders of tiles, bodies of coats, pencil, shadow. */
class PaintingTest {

    private static final PaintPlan PLAN = Boards.plan(
            Boards.project(30, Map.of("board", Mix.of("blue"), "bar", Mix.of("yellow"), "line", Mix.of("blackpen"))), Paints.shelf());

    private static int[] drawn(Grid grid, Care care) {
        StonePicture picture = StonePicture.of(PLAN, StoneTerrain.of(PLAN.survey(), grid), StoneState.SEALED);
        int[] out = new int[grid.cells()];
        picture.draw(new StonePicture.Shown(picture.steps(), 0, 320, care), () -> false, out);
        return out;
    }

    private static int apart(int one, int other) {
        int most = 0;
        for (int shift = 0; shift < 32; shift += 8) {
            most = Math.max(most, Math.abs((one >>> shift & 255) - (other >>> shift & 255)));
        }
        return most;
    }

    @Test
    void aTileIsThePieceOfTheWholePicture() {
        double cell = 0.25;
        int margin = 40; // what a pixel depends on lies nearer than 10 mm
        Grid whole = new Grid(-30, -25, cell, 240, 200);
        Grid tile = new Grid(-30 + 60 * cell, -25 + 40 * cell, cell, 60 + 2 * margin, 50 + 2 * margin);
        int[] all = drawn(whole, Care.FULL);
        int[] part = drawn(tile, Care.FULL);
        for (int r = margin; r < tile.rows() - margin; r++) {
            for (int c = margin; c < tile.columns() - margin; c++) {
                assertThat(apart(part[r * tile.columns() + c], all[(r + 40) * whole.columns() + c + 60])).as("%d, %d", c, r)
                        .isLessThanOrEqualTo(1);
            }
        }
    }

    @ParameterizedTest
    @EnumSource(value = Care.class, names = {"FLAT", "FULL"})
    void aPictureAtTwiceTheScaleAveragedDownIsThePicture(Care care) {
        Grid one = new Grid(-30, -25, 0.3, 200, 166);
        Grid two = new Grid(-30, -25, 0.15, 400, 332);
        int[] small = drawn(one, care);
        int[] large = drawn(two, care);
        double sum = 0;
        int far = 0;
        for (int r = 0; r < one.rows(); r++) {
            for (int c = 0; c < one.columns(); c++) {
                int mean = 0;
                for (int shift = 0; shift < 24; shift += 8) {
                    int value = 0;
                    for (int k = 0; k < 4; k++) {
                        value += large[(2 * r + k / 2) * two.columns() + 2 * c + k % 2] >>> shift & 255;
                    }
                    mean |= value / 4 << shift;
                }
                int apart = apart(mean, small[r * one.columns() + c] & 0xFFFFFF);
                sum += apart;
                far += apart > 40 ? 1 : 0;
            }
        }
        assertThat(sum / one.cells()).as("mean difference in codes").isLessThan(care == Care.FLAT ? 2.5 : 5);
        assertThat((double) far / one.cells()).as("share that differs much").isLessThan(0.01);
    }

    @Test
    void quickIsNearlyFull() {
        Grid grid = new Grid(-30, -25, 0.4, 150, 125);
        int[] quick = drawn(grid, Care.QUICK);
        int[] full = drawn(grid, Care.FULL);
        double sum = 0;
        for (int i = 0; i < full.length; i++) {
            sum += apart(quick[i], full[i]);
        }
        assertThat(sum / full.length).isBetween(0.1, 9.0);
    }

    private static Pixels laid(PaintPlan plan, Grid grid, int steps) {
        Painting painting = new Painting(plan, StoneTerrain.of(plan.survey(), grid), StoneState.DRY, Lamp.DAYLIGHT);
        Pixels pixels = Pixels.of(grid.cells());
        painting.of(plan).subList(0, steps).forEach(c -> pixels.put(c.after(), c.at()));
        return pixels;
    }

    @Test
    void paintHasTheBodyOfItsFilmsAndALipAtItsEdge() {
        Grid grid = new Grid(-20, -20, 0.1, 400, 400);
        PaintPlan plan = Boards.plan(Boards.project(30, Map.of("board", Mix.of("blue"))), Paints.shelf());
        Pixels pixels = laid(plan, grid, plan.steps().size());
        double um = plan.filmsAfter(plan.steps().size() - 1, grid, StoneState.DRY).table().film(1).totalUm();
        double middle = 0;
        for (int r = 250; r < 340; r++) { // beside the bar, which has no colour here and stays bare
            for (int c = 150; c < 250; c++) {
                middle += Pixels.um(pixels.body()[r * 400 + c]) / 9000;
            }
        }
        long coats = plan.steps().stream().filter(s -> s instanceof Step.Lay).count();
        assertThat(middle).as("hairs take and give, the mean is the film").isCloseTo(um * coats, within(0.12 * um * coats));
        double lip = 0;
        for (int r = 240; r < 340; r++) {
            double most = 0;
            for (int c = 40; c < 60; c++) { // the board ends 15 mm from the middle, at column 50
                most = Math.max(most, Pixels.um(pixels.body()[r * 400 + c]));
            }
            lip += most / 100;
        }
        assertThat(lip).isGreaterThan(1.3 * middle);
        assertThat((int) pixels.body()[200 * 400 + 20]).as("nothing beside it").isZero();
        assertThat(pixels.sheen()[300 * 400 + 200]).isEqualTo((byte) (Sheen.SATIN.ordinal() + 1));
    }

    @Test
    void aTouchStandsUpAsACap() {
        Geometry dots = Shapes.union(List.of(new GeometryFactory().createPoint(new Coordinate(0, 0)).buffer(1.5, 32),
                new GeometryFactory().createPoint(new Coordinate(9, 0)).buffer(4, 32)));
        Grid grid = new Grid(-15, -15, 0.1, 300, 300);
        float[] um = new float[grid.cells()];
        char[] below = new char[grid.cells()];
        below[150 * 300 + 155] = Pixels.steps(20);
        List<Hand.Drop> drops = new Hand(dots, 1, Hand.Tool.BRUSH, grid).drops(below, grid);
        Hand.caps(drops, below, um, 0, 0, 300, 300, grid);
        assertThat((double) um[150 * 300 + 150]).as("0.3 of the radius, from the highest below").isCloseTo(470, within(10.0));
        assertThat(um[150 * 300 + 155]).as("what is high already is raised less").isLessThan(um[150 * 300 + 145] - 10);
        assertThat(um[150 * 300 + 160]).isBetween(200f, 420f);
        assertThat(um[150 * 300 + 166]).as("beside it nothing").isZero();
        assertThat(um[150 * 300 + 240]).as("a larger disc is painted, not touched on").isZero();
    }

    @Test
    void inkPoolsWhereALineBeginsAndEnds() {
        GeometryFactory factory = new GeometryFactory();
        Geometry bow = factory.createLineString(new Coordinate[] {new Coordinate(-8, 0), new Coordinate(-3, 3), new Coordinate(4, 2)});
        List<Hand.End> ends = Hand.ends(bow.buffer(0.35, 8));
        assertThat(ends).hasSize(2).allSatisfy(e -> assertThat(e.radius()).isBetween(0.2, 0.5));
        assertThat(ends).anySatisfy(e -> assertThat(Math.hypot(e.x() + 8, e.y())).isLessThan(0.4))
                .anySatisfy(e -> assertThat(Math.hypot(e.x() - 4, e.y() - 2)).isLessThan(0.4));
        Geometry ring = factory.createPoint(new Coordinate(0, 0)).buffer(6, 32).getBoundary().buffer(0.35, 8);
        assertThat(Hand.ends(ring)).as("a ring ends nowhere").isEmpty();
        assertThat(Hand.ends(Shapes.nothing())).isEmpty();
        Grid grid = new Grid(-10, -5, 0.05, 400, 200);
        float[] um = new float[grid.cells()];
        Hand.pools(ends, um, 0, 0, 400, 200, grid);
        assertThat(um[(int) (5 / 0.05) * 400 + (int) (2.1 / 0.05)]).as("at the beginning").isGreaterThan(8);
        assertThat(um[(int) (7.7 / 0.05) * 400 + (int) (6.4 / 0.05)]).as("on the way").isZero();
    }

    @Test
    void aSpongeLeavesPoresAndABrushHairsAndAPenNeither() {
        Grid grid = new Grid(-10, -10, 0.05, 400, 400);
        Geometry disc = new GeometryFactory().createPoint(new Coordinate(0, 0)).buffer(9, 32);
        Hand sponge = new Hand(disc, 1, Hand.Tool.SPONGE, grid);
        double across = 0;
        double along = 0;
        for (double x = -8; x < 8; x += 0.17) {
            for (double y = -8; y < 8; y += 0.17) {
                across += Math.abs(uneven(sponge, x + 0.1, y) - uneven(sponge, x, y));
                along += Math.abs(uneven(sponge, x, y + 0.1) - uneven(sponge, x, y));
                assertThat(uneven(sponge, x, y)).isBetween(-2.3, 2.3);
            }
        }
        assertThat(across / along).as("pores have no direction").isBetween(0.9, 1.1);
        assertThat(uneven(new Hand(disc, 1, Hand.Tool.PEN, grid), 1.3, 2.2)).isZero();
        assertThat(uneven(new Hand(disc, 1, Hand.Tool.SPONGE, new Grid(-10, -10, 0.5, 40, 40)), 1.3, 2.2)).as("finer than the pixel")
                .isZero();
    }

    @Test
    void spongedPaintLetsWhatIsBelowShowInItsPores() {
        Shelf shelf = Paints.shelf();
        Project board = Boards.project(40, Map.of("board", Mix.of("blue"))).withBlend("board",
                Blend.of(BlendKind.STIPPLE).withColours(List.of(Mix.of("white"))));
        PaintPlan plan = Boards.plan(board, shelf);
        int dabs = IntStream.range(0, plan.steps().size()).filter(i -> plan.steps().get(i) instanceof Step.Lay lay
                && lay.doing().what().get(0).share().kind() == Share.Kind.DABS).findFirst().orElseThrow();
        Grid grid = Grid.around(30, 30, 0.08);
        StonePicture picture = StonePicture.of(plan, StoneTerrain.of(plan.survey(), grid), StoneState.DRY);
        Geometry place = plan.steps().get(dabs).place();
        Mask mask = Mask.of(place, grid);
        int below = 0;
        int between = 0;
        int inside = 0;
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                if (mask.at(c, r) == 1) {
                    int was = picture.colourAt(dabs, mask.column() + c, mask.row() + r) & 255;
                    int is = picture.colourAt(dabs + 1, mask.column() + c, mask.row() + r) >> 16 & 255;
                    inside++;
                    below += is < 0x60 ? 1 : 0;
                    between += is > 0xB0 ? 1 : 0;
                    assertThat(was).isPositive();
                }
            }
        }
        assertThat(inside).isGreaterThan(1000);
        assertThat(below / (double) inside).as("blue in the pores").isBetween(0.05, 0.6);
        assertThat(between / (double) inside).as("white on the peaks").isBetween(0.1, 0.9);
    }

    @Test
    void hairsRunAlongTheLongestWayAndALineHasNone() {
        Grid grid = new Grid(-15, -15, 0.05, 600, 600);
        Geometry strip = Shapes.swept(new Coordinate(-12, -2), new Coordinate(12, -2), 0, 4);
        Hand hand = new Hand(strip, 1, Hand.Tool.BRUSH, grid);
        double along = 0;
        double across = 0;
        for (double x = -10; x < 10; x += 0.37) {
            for (double y = -1.8; y < 1.8; y += 0.29) {
                along += Math.abs(uneven(hand, x + 0.2, y) - uneven(hand, x, y));
                across += Math.abs(uneven(hand, x, y + 0.2) - uneven(hand, x, y));
                assertThat(uneven(hand, x, y)).isBetween(-1.5, 1.5);
            }
        }
        assertThat(across).as("furrows lie side by side along the stroke").isGreaterThan(4 * along);
        Geometry upright = Shapes.swept(new Coordinate(-2, -12), new Coordinate(-2, 12), 4, 0);
        Hand turned = new Hand(upright, 1, Hand.Tool.BRUSH, grid);
        assertThat(uneven(turned, 1, 3.2)).as("and upright on what is upright").isCloseTo(uneven(turned, 1, 3), within(0.25));
        Geometry nothingWide = Shapes.swept(new Coordinate(-5, 0), new Coordinate(5, 0), 3, 0);
        assertThat(uneven(new Hand(nothingWide, 1, Hand.Tool.BRUSH, grid), 0, 0)).as("a strip without width").isBetween(-1.5, 1.5);
        assertThat(uneven(new Hand(Shapes.nothing(), 1, Hand.Tool.BRUSH, grid), 0, 0)).isBetween(-1.5, 1.5);
        assertThat(uneven(new Hand(strip, 1, Hand.Tool.BRUSH, new Grid(-15, -15, 0.4, 75, 75)), 1, 1)).as("finer than the pixel").isZero();
    }

    @ParameterizedTest
    @CsvSource({"3,2,2", "250,180,90"})
    void aTinyAndAHugeStoneAreDrawn(double length, double width, double height) {
        Stone stone = Stone.cobble().withSize(new Millimetres(Math.max(20, length)), new Millimetres(Math.max(15, width)),
                new Millimetres(Math.max(3, height)));
        PaintPlan plan = Boards.plan(Boards.project(10, Map.of("board", Mix.of("blue"))).withStone(stone), Paints.shelf());
        for (double cell : new double[] {stone.length().value() / 40, stone.length().value() / 300}) {
            Grid grid = Grid.around(stone.length().value() * 0.6, stone.width().value() * 0.6, cell);
            StonePicture picture = StonePicture.of(plan, StoneTerrain.of(plan.survey(), grid), StoneState.SEALED);
            int[] out = new int[grid.cells()];
            picture.draw(picture.steps(), 320, out);
            assertThat(out[grid.cells() / 2 + grid.columns() / 2] >>> 24).as("opaque in the middle").isEqualTo(255);
            assertThat(out[0]).as("nothing in the corner").isZero();
        }
    }

    @Test
    void whatShowsThroughFadesCoatByCoat() {
        FilmTable table = new FilmTable(Spectrum.flat(0.3), 0);
        Through through = new Through(table);
        assertThat(through.of(0)).isEqualTo(1);
        PaintOptics optics = new Palette(Paints.shelf()).colour(Mix.of("yellow")).orElseThrow().optics();
        int film = 0;
        double before = 1;
        for (int k = 0; k < 6; k++) {
            film = table.over(film, new Coat("yellow", Srgb.ofHex("#f2c21b"), optics, 24, 0, Sheen.SATIN, k));
            assertThat(through.of(film)).isLessThan(0.75 * before);
            before = through.of(film);
        }
        assertThat(before).isLessThan(0.02);
    }

    @Test // the drawing is taken off before the seal, or it stays for good (common practice, no source)
    void pencilShowsUntilItIsPaintedOverOrTakenOff() {
        Grid grid = new Grid(-25, -25, 0.25, 200, 200);
        PaintPlan plan = Boards.plan(Boards.project(30, Map.of("board", Mix.of("blue"))), Paints.shelf());
        StonePicture picture = StonePicture.of(plan, StoneTerrain.of(plan.survey(), grid), StoneState.DRY);
        int pencil = 0;
        while (!(plan.steps().get(pencil) instanceof Step.Pencil)) {
            pencil++;
        }
        int bare = picture.colourAt(0, 100, 100);
        int drawn = 0;
        int left = 0;
        for (int r = 0; r < 200; r++) {
            for (int c = 0; c < 200; c++) {
                drawn += picture.colourAt(pencil + 1, c, r) != bare ? 1 : 0;
                int end = picture.colourAt(picture.steps(), c, r);
                boolean board = Math.abs(grid.x(c)) < 15.05 && Math.abs(grid.y(r)) < 15.05;
                left += !board && end != bare ? 1 : 0;
            }
        }
        assertThat(drawn).as("a line round the board").isGreaterThan(300);
        assertThat(left).as("nothing of it after the seal").isZero();
        assertThat(picture.coats(picture.steps() - 1)).as("both coats of varnish can be shown").isEqualTo(2);
        assertThat(Lab.of(Srgb.ofRgb(picture.colourAt(picture.steps(), 100, 140))).b()).as("blue").isLessThan(-20);
    }

    private static double dark(Shadow shadow, double x, double y) {
        Grid grid = shadow.grid();
        int c = (int) ((x - grid.left()) / grid.cellMm());
        int r = (int) ((y - grid.top()) / grid.cellMm());
        return shadow.pixels()[r * grid.columns() + c] >>> 24;
    }

    @Test // a shadow falls away from its light, as long as the stone is high, and is darkest where the stone stands
    void theShadowFallsAwayFromTheLight() {
        Stone stone = Stone.cobble();
        Dome dome = Dome.of(stone);
        double reach = dome.outline().halfWidth() + 4;
        Shadow left = Shadow.of(dome, 270);
        assertThat(dark(left, reach, 0)).as("light from the left, shadow on the right").isGreaterThan(dark(left, -reach, 0) + 40);
        Shadow right = Shadow.of(dome, 90);
        assertThat(dark(right, -reach, 0)).isGreaterThan(dark(right, reach, 0) + 40);
        assertThat(dark(left, 0, 0)).as("below the stone").isGreaterThan(dark(left, reach, 0));
        Dome flat = Dome.of(stone.withSize(stone.length(), stone.width(), new Millimetres(12)));
        assertThat(dark(left, reach + 3, 0)).as("a higher stone throws it farther")
                .isGreaterThan(dark(Shadow.of(flat, 270), reach + 3, 0) + 8);
        Grid grid = left.grid();
        for (int c = 0; c < grid.columns(); c++) {
            assertThat(left.pixels()[c] >>> 24).as("it ends within its grid").isLessThan(12);
        }
    }

    private static double uneven(Hand hand, double x, double y) {
        Hand.Row row = hand.row();
        row.x[0] = x;
        row.y[0] = y;
        float[] found = new float[1];
        row.uneven(1, found);
        return found[0];
    }
}
