package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import mosspebble.core.Boards;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Shapes;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.Sheen;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.PaintOptics;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Soft;
import mosspebble.core.plan.Step;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** One coat on a small square, pixel by pixel. */
class LayingTest {

    private static final Grid GRID = new Grid(-2, -1, 0.05, 80, 40);

    private static final Geometry PLACE = new GeometryFactory().toGeometry(new Envelope(-2, 2, -1, 1));

    private static final PaintPlan PLAN = Boards.plan(Boards.project(30, Map.of("board", Mix.of("blue"))), Paints.shelf());

    /** What lies there before: film 1 of a red, 20 µm high, satin. */
    private final Pixels pixels = Pixels.of(GRID.cells());
    private final int[] film = new int[GRID.cells()];
    private final StoneTerrain terrain = new StoneTerrain(PLAN.survey(), GRID);

    /** On film 1 lies film 2 afterwards: a green of 30 µm more. */
    private final Painting.Looks looks = new Painting.Looks(new int[] {0, 2, 0}, new int[] {0, 0x2040A060, 0}, new int[] {0, 0x40A03020, 0},
            new float[] {0, 30, 0});

    LayingTest() {
        Arrays.fill(film, 1);
        Arrays.fill(pixels.colour(), 0x40A03020);
        Arrays.fill(pixels.body(), Pixels.steps(20));
        Arrays.fill(pixels.sheen(), (byte) 3);
    }

    private static Step.Layer layer(Soft soft, int coats) {
        Step.Layer like = PLAN.steps().stream().filter(s -> s.kind() == Step.Kind.FILL || s.kind() == Step.Kind.GROUND)
                .flatMap(s -> s.layers().stream()).findFirst().orElseThrow();
        return new Step.Layer(like.side(), PLACE, soft, like.load(), coats, Shapes.nothing());
    }

    /** Lays a coat that covers so much of every pixel, of which so much is the layer's own. */
    private void lay(Step.Layer layer, float share, float own, float lip, Hand.Tool tool, boolean more) {
        float[] shares = new float[GRID.cells()];
        float[] owns = new float[GRID.cells()];
        float[] lips = new float[GRID.cells()];
        Arrays.fill(shares, share);
        Arrays.fill(owns, own);
        Arrays.fill(lips, lip);
        ReadyLayer.Square square = new ReadyLayer.Square(0, 0, GRID.columns(), GRID.rows(), shares, owns, lips, new float[0]);
        new Laying(terrain, layer, more, looks, new Painting.Sheet(film, pixels, 0, GRID.columns()))
                .lay(new Painting.Body(square, new float[0], new Hand(PLACE, 1, tool, GRID), tool));
    }

    private double meanUm() {
        return IntStream.range(0, GRID.cells()).mapToDouble(i -> Pixels.um(pixels.body()[i])).average().orElseThrow();
    }

    @Test
    void aCoatAddsItsFilmAndTakesTheColourAndSheenThatItHas() {
        lay(layer(Soft.CRISP, 1), 1, 1, 0, Hand.Tool.PEN, false);
        assertThat(pixels.colour()).containsOnly(0x2040A060);
        assertThat(film).containsOnly(2);
        assertThat(meanUm()).as("20 and 30 µm").isCloseTo(50, within(0.02));
        assertThat(pixels.sheen()[7]).isNotEqualTo((byte) 3);
    }

    @Test
    void itsEdgeStandsUpByFourFifthsOfIt() {
        lay(layer(Soft.CRISP, 1), 1, 1, 1, Hand.Tool.PEN, false);
        assertThat(meanUm()).isCloseTo(20 + 30 + 0.8 * 30, within(0.02));
    }

    @Test
    void whereLessThanHalfOfAPixelIsCoveredItKeepsItsFilm() {
        lay(layer(Soft.CRISP, 1), 0.25f, 0.25f, 0, Hand.Tool.PEN, false);
        assertThat(film).containsOnly(1);
        assertThat(pixels.sheen()).containsOnly((byte) 3);
        assertThat(pixels.colour()[0] >> 16 & 255).as("a quarter of the way from A0 to 40").isEqualTo(0xA0 - 0x60 / 4);
        assertThat(meanUm()).isCloseTo(20 + 30 / 4.0, within(0.02));
    }

    @Test
    void aShadeColoursAndNeitherStandsUpNorShinesOtherwise() {
        Step.Layer shade = layer(new Soft(0, Optional.of(PLACE)), 1);
        lay(shade, 0.5f, 0.2f, 0, Hand.Tool.BRUSH, false);
        assertThat(film).as("outside its own place nothing lies").containsOnly(1);
        assertThat(pixels.body()).containsOnly(Pixels.steps(20));
        assertThat(pixels.sheen()).containsOnly((byte) 3);
        assertThat(pixels.colour()[0] & 255).as("half of the way from 20 to 60").isEqualTo(0x40);
        lay(shade, 0.5f, 0.5f, 0, Hand.Tool.BRUSH, false);
        assertThat(film).containsOnly(2);
        assertThat(pixels.sheen()).containsOnly((byte) 3);
    }

    @Test
    void hairsTakeAndGiveAndAThinCoatShowsThem() {
        lay(layer(Soft.CRISP, 2), 1, 1, 0, Hand.Tool.BRUSH, true);
        long colours = Arrays.stream(pixels.colour()).distinct().count();
        assertThat(colours).as("streaks where another coat follows").isGreaterThan(20);
        assertThat(IntStream.range(0, GRID.cells()).mapToDouble(i -> Pixels.um(pixels.body()[i])).max().orElseThrow())
                .isGreaterThan(meanUm() + 2);
        Arrays.fill(film, 1);
        Arrays.fill(pixels.colour(), 0x40A03020);
        lay(layer(Soft.CRISP, 2), 1, 1, 0, Hand.Tool.BRUSH, false);
        assertThat(pixels.colour()).as("the last coat is closed").containsOnly(0x2040A060);
    }

    @Test
    void aSpongeLeavesPores() {
        lay(layer(Soft.CRISP, 1), 1, 1, 0, Hand.Tool.SPONGE, false);
        int least = Arrays.stream(pixels.colour()).map(p -> p >> 8 & 255).min().orElseThrow();
        int most = Arrays.stream(pixels.colour()).map(p -> p >> 8 & 255).max().orElseThrow();
        assertThat(most).as("all of it in between").isEqualTo(0xA0);
        assertThat(least).as("next to nothing in a pore").isLessThan(0x30 + 0x70 / 2);
    }

    private static Step.Layer glaze() {
        Paint paint = Paint.usual("glaze", "blue glaze", PaintKind.GLAZE, Srgb.ofHex("#23406e"), new Millilitres(30));
        Step.Layer like = layer(Soft.CRISP, 1);
        Coat coat = new Coat("blue glaze", paint.swatch(), PaintOptics.of(paint), paint.dryCoat().value(), 0, Sheen.GLOSS, 1);
        return new Step.Layer(like.side(), PLACE, Soft.CRISP, new Step.Load(Mix.of("glaze"), coat, 1), 1, Shapes.nothing());
    }

    private double meanOf(int shift) {
        return Arrays.stream(pixels.colour()).mapToDouble(p -> p >>> shift & 255).average().orElseThrow();
    }

    /** A glaze is seen through: where it lies thick it moves the colour further. What hides does not. */
    @Test
    void aGlazeShowsWhereItLiesThickAndOnTheWholeIsItsColour() {
        Arrays.fill(terrain.relief, 0);
        lay(glaze(), 1, 1, 0, Hand.Tool.BRUSH, false);
        assertThat(Arrays.stream(pixels.colour()).map(p -> p >> 8 & 255).distinct().count()).as("streaks").isGreaterThan(20);
        assertThat(meanOf(0)).isCloseTo(0x60, within(4.0));
        assertThat(meanOf(8)).isCloseTo(0xA0, within(7.0));
        assertThat(meanOf(24)).as("how much of the ground shows").isCloseTo(0x20, within(2.0));
    }

    @Test
    void aGlazeRunsIntoPitsAndDriesDarkerAtItsEdge() {
        Arrays.fill(terrain.relief, 0);
        Arrays.fill(terrain.relief, 0, GRID.columns() * 20, -0.1f);
        lay(glaze(), 1, 1, 0, Hand.Tool.PEN, false);
        int deep = pixels.colour()[5];
        int level = pixels.colour()[GRID.columns() * 30];
        assertThat(level).isEqualTo(0x2040A060);
        assertThat(deep >> 16 & 255).as("from A0 past 40 by four tenths of the way").isEqualTo(0xA0 - (int) Math.round(1.4 * 0x60));
        Arrays.fill(film, 1);
        Arrays.fill(pixels.colour(), 0x40A03020);
        lay(glaze(), 1, 1, 1, Hand.Tool.PEN, false);
        assertThat(pixels.colour()[GRID.columns() * 30] >> 16 & 255).as("its edge").isLessThan(0x40);
        Arrays.fill(film, 1);
        Arrays.fill(pixels.colour(), 0x40A03020);
        lay(layer(Soft.CRISP, 1), 1, 1, 1, Hand.Tool.PEN, false);
        assertThat(pixels.colour()).as("what hides is the same all over").containsOnly(0x2040A060);
    }

    /** Mixed in whole numbers: against the mean worked out as it is written, each channel by itself. */
    @Test
    void aBlendIsTheMeanOfBothToTheNearestStep() {
        SplittableRandom random = new SplittableRandom(4);
        for (int k = 0; k < 20_000; k++) {
            int from = random.nextInt();
            int to = random.nextInt();
            float share = k % 10 == 0 ? k % 20 == 0 ? 0 : 1 : (float) random.nextDouble();
            int blended = Laying.blend(from, to, share);
            for (int shift = 0; shift < 32; shift += 8) {
                double mean = (from >>> shift & 255) * (1.0 - share) + (to >>> shift & 255) * (double) share;
                assertThat((double) (blended >>> shift & 255)).as("%08x to %08x by %s", from, to, share).isCloseTo(mean, within(0.505));
            }
        }
    }
}
