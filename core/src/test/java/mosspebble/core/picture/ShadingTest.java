package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ForkJoinPool;
import mosspebble.core.Surveys;
import mosspebble.core.Boards;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.coats.Sheen;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Shelf;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.colour.Xyz;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Light on skin and paint. */
class ShadingTest {

    private static final Grid GRID = new Grid(-20.25, -20.25, 0.5, 81, 81);
    private static final Survey SURVEY = Surveys.of(Stone.cobble());
    private static final Shading.Film GLASS = new Shading.Film(0.9f, 0, 0.4f);

    /** A level plate without grain. */
    private static StoneTerrain plate() {
        StoneTerrain plate = new StoneTerrain(SURVEY, GRID);
        for (float[] ones : new float[][] {plate.inside, plate.nz, plate.red, plate.green, plate.blue}) {
            Arrays.fill(ones, 1);
        }
        Arrays.fill(plate.z, (float) SURVEY.dome().heightMm());
        return plate;
    }

    /** Half a ball. */
    private static StoneTerrain ball() {
        StoneTerrain ball = plate();
        for (int i = 0; i < GRID.cells(); i++) {
            double x = (i % GRID.columns() - GRID.columns() / 2) / 39.0;
            double y = (i / GRID.columns() - GRID.rows() / 2) / 39.0;
            double z = Math.sqrt(Math.max(0, 1 - x * x - y * y));
            ball.inside[i] = z > 0 ? 1 : 0;
            ball.nx[i] = (float) x;
            ball.ny[i] = (float) y;
            ball.nz[i] = (float) z;
            ball.z[i] = (float) (z * SURVEY.dome().heightMm());
        }
        return ball;
    }

    private static Pixels grey(int rgb) {
        Pixels pixels = Pixels.of(GRID.cells());
        Arrays.fill(pixels.colour(), Pixels.BARE | rgb);
        return pixels;
    }

    private static int[] lit(StoneTerrain terrain, Pixels pixels, Shading.Film film, double from, Care care) {
        int[] out = new int[GRID.cells()];
        new Shading(terrain, film).draw(pixels, new StonePicture.Shown(0, 0, from, care), () -> false, new Spare(), out);
        return out;
    }

    @Test
    void aLevelPlateShowsEveryColourAsItIsAndHasNoShading() {
        for (int rgb : new int[] {0x000000, 0x1A1A1C, 0x4A3426, 0x808080, 0xB3261E, 0x1F4E9C, 0xC8D6A0, 0xE0DED8}) {
            for (double from : new double[] {0, 77, 200, 320}) {
                int[] out = lit(plate(), grey(rgb), Shading.Film.NONE, from, Care.MATT);
                for (int pixel : out) {
                    for (int shift = 0; shift < 24; shift += 8) {
                        assertThat(Math.abs((pixel >> shift & 255) - (rgb >> shift & 255))).as("%06x in %06x", pixel, rgb)
                                .isLessThanOrEqualTo(1);
                    }
                }
                assertThat(lit(plate(), grey(rgb), Shading.Film.NONE, from, Care.FLAT)).containsOnly(0xFF000000 | rgb);
            }
        }
    }

    @Test
    void lightFromAQuarterTurnOnTurnsTheShading() {
        for (Care care : List.of(Care.MATT, Care.QUICK, Care.FULL)) {
            for (Shading.Film film : List.of(Shading.Film.NONE, GLASS)) {
                int[] up = lit(ball(), grey(0x907050), film, 0, care);
                for (int quarter = 1; quarter < 4; quarter++) {
                    int[] turned = lit(ball(), grey(0x907050), film, 90 * quarter, care);
                    int most = 0;
                    for (int r = 0; r < 81; r++) {
                        for (int c = 0; c < 81; c++) {
                            int row = r;
                            int column = c;
                            for (int k = 0; k < quarter; k++) { // a quarter turn clockwise
                                int before = row;
                                row = column;
                                column = 80 - before;
                            }
                            for (int shift = 0; shift < 24; shift += 8) {
                                most = Math.max(most,
                                        Math.abs((up[r * 81 + c] >> shift & 255) - (turned[row * 81 + column] >> shift & 255)));
                            }
                        }
                    }
                    assertThat(most).as("%s, %s, quarter %d", care, film, quarter).isLessThanOrEqualTo(2);
                }
            }
        }
    }

    private static double bright(int pixel) {
        return Lab.of(Srgb.ofRgb(pixel & 0xFFFFFF)).l();
    }

    @Test
    void theSideTowardTheLightIsBrighterAndTheOtherCooler() {
        int[] out = lit(ball(), grey(0x808080), Shading.Film.NONE, 0, Care.MATT);
        int lit = out[12 * 81 + 40];
        int dark = out[70 * 81 + 40];
        assertThat(bright(lit)).isGreaterThan(bright(dark) + 25);
        Lab warm = Lab.of(Srgb.ofRgb(lit & 0xFFFFFF));
        Lab cool = Lab.of(Srgb.ofRgb(dark & 0xFFFFFF));
        assertThat(warm.b()).as("the key is warm, the sky is blue").isGreaterThan(cool.b() + 1);
    }

    @Test
    void aFilmMirrorsTheWindowOnceAndMattHardlyAtAll() {
        Pixels dark = grey(0x202020);
        double dry = Arrays.stream(lit(ball(), dark, Shading.Film.NONE, 320, Care.FULL)).mapToDouble(ShadingTest::bright).max()
                .orElseThrow();
        int[] sealed = lit(ball(), dark, GLASS, 320, Care.FULL);
        double glossy = Arrays.stream(sealed).mapToDouble(ShadingTest::bright).max().orElseThrow();
        double matt = Arrays.stream(lit(ball(), dark, new Shading.Film(0.12f, 0, 0.4f), 320, Care.FULL)).mapToDouble(ShadingTest::bright)
                .max().orElseThrow();
        assertThat(glossy).isGreaterThan(dry + 25).isGreaterThan(matt + 20);
        long inWindow = Arrays.stream(sealed).filter(p -> bright(p) > 0.9 * glossy).count();
        assertThat(inWindow).as("a window, no haze and no spark").isBetween(60L, 900L);
        int brightest = 0;
        for (int i = 0; i < sealed.length; i++) {
            brightest = bright(sealed[i]) > bright(sealed[brightest]) ? i : brightest;
        }
        assertThat(brightest % 81).as("toward the light, which comes from the upper left").isLessThan(40);
        assertThat(brightest / 81).isLessThan(40);
    }

    /** Where light falls straight on it a stone is brighter than where it lies level, and if it is white there is still grey to see. */
    @Test
    void aWhiteStoneKeepsItsFormInTheLightAndADarkOneFollowsIt() {
        for (int rgb : new int[] {0xFFFFFF, 0xF4F1EA, 0xD9D9DA}) {
            int level = green(lit(plate(), grey(rgb), Shading.Film.NONE, 320, Care.MATT)[3280]);
            int[] ball = Arrays.stream(lit(ball(), grey(rgb), Shading.Film.NONE, 320, Care.MATT)).filter(p -> p >>> 24 == 255)
                    .map(ShadingTest::green).sorted().toArray();
            int most = ball[ball.length - 1];
            assertThat(most).isGreaterThanOrEqualTo(level);
            if (rgb != 0xFFFFFF) {
                assertThat(most).as("brighter where it is lit, and not yet white").isBetween(level + 3, 252);
                assertThat(Arrays.stream(ball).filter(g -> g >= level).distinct().count()).as("form, not one flat white")
                        .isEqualTo(most - level + 1);
            }
        }
        int dark = 0x202020;
        double level = Xyz.linear(green(lit(plate(), grey(dark), Shading.Film.NONE, 320, Care.MATT)[3280]));
        double most = Arrays.stream(lit(ball(), grey(dark), Shading.Film.NONE, 320, Care.MATT)).mapToDouble(p -> Xyz.linear(green(p))).max()
                .orElseThrow();
        assertThat(most / level).as("78 of 100 parts come from the key, 1 / sin 37 as strong straight on")
                .isCloseTo(0.22 + 0.78 / Math.sin(Math.toRadians(37)), within(0.12));
    }

    private static int green(int pixel) {
        return pixel >> 8 & 255;
    }

    @Test
    void whatStandsUpIsLitOnOneSideAndThrowsAShadowOnTheOther() {
        Pixels ridge = grey(0x909090);
        for (int r = 0; r < 81; r++) {
            for (int c = 38; c <= 42; c++) {
                ridge.body()[r * 81 + c] = Pixels.steps(500);
            }
        }
        int[] out = lit(plate(), ridge, Shading.Film.NONE, 270, Care.MATT); // from the left
        int row = 40 * 81;
        assertThat(bright(out[row + 37])).as("the slope toward the light").isGreaterThan(bright(out[row + 20]) + 4);
        assertThat(bright(out[row + 44])).as("the shadow behind").isLessThan(bright(out[row + 20]) - 3);
        assertThat(bright(out[row + 60])).as("far off nothing").isCloseTo(bright(out[row + 20]), within(0.5));
    }

    @Test
    void milkWhitensAndMetalAndGlitterAnswerTheLight() {
        assertThat(bright(lit(plate(), grey(0x303030), new Shading.Film(0.9f, 0.26f, 0.4f), 320, Care.FULL)[3280]))
                .isGreaterThan(bright(lit(plate(), grey(0x303030), GLASS, 320, Care.FULL)[3280]) + 12);
        for (Sheen sheen : List.of(Sheen.METAL, Sheen.GLITTER)) {
            Pixels pixels = grey(0xB08040);
            Arrays.fill(pixels.sheen(), (byte) (sheen.ordinal() + 1));
            double[] most = {0, 0};
            for (int k = 0; k < 2; k++) {
                int[] out = lit(ball(), k == 0 ? grey(0xB08040) : pixels, Shading.Film.NONE, 320, Care.FULL);
                double[] sorted = Arrays.stream(out).filter(p -> p != 0).mapToDouble(ShadingTest::bright).sorted().toArray();
                most[k] = sorted[sorted.length - 1] - sorted[sorted.length / 2];
            }
            assertThat(most[1]).as("%s flashes, matt does not", sheen).isGreaterThan(most[0] + 5);
            assertThat(lit(ball(), pixels, Shading.Film.NONE, 320, Care.FULL))
                    .isNotEqualTo(lit(ball(), pixels, Shading.Film.NONE, 20, Care.FULL));
        }
    }

    /** Furrows of a brush across the light, so many µm deep. */
    private static Pixels furrowed(Sheen sheen, float um) {
        Pixels pixels = grey(0x907030);
        Arrays.fill(pixels.sheen(), (byte) (sheen.ordinal() + 1));
        for (int i = 0; i < GRID.cells(); i++) {
            pixels.body()[i] = Pixels.steps(um + um * (float) Math.sin(Math.PI / 2 * (i % GRID.columns())));
        }
        return pixels;
    }

    private static double spread(int[] pixels) {
        double mean = Arrays.stream(pixels).mapToDouble(ShadingTest::bright).average().orElseThrow();
        return Math.sqrt(Arrays.stream(pixels).mapToDouble(p -> Math.pow(bright(p) - mean, 2)).average().orElseThrow());
    }

    @Test
    void metalShowsEveryHairOfTheBrushAndIsItsColourOnTheWhole() {
        double satin = spread(lit(plate(), furrowed(Sheen.SATIN, 20), Shading.Film.NONE, 270, Care.FULL));
        int[] metal = lit(plate(), furrowed(Sheen.METAL, 20), Shading.Film.NONE, 270, Care.FULL);
        assertThat(spread(metal)).as("its scales lean with the paint").isGreaterThan(1.6 * satin);
        int[] level = lit(plate(), furrowed(Sheen.METAL, 0), Shading.Film.NONE, 270, Care.FULL);
        double own = bright(0x907030);
        assertThat(Arrays.stream(level).mapToDouble(ShadingTest::bright).average().orElseThrow()).isCloseTo(own, within(1.5));
        assertThat(bright(level[40 * 81 + 3])).as("nearer to the window").isGreaterThan(bright(level[40 * 81 + 77]) + 3);
        assertThat(lit(plate(), furrowed(Sheen.METAL, 20), Shading.Film.NONE, 270, Care.FLAT)).as("flat, for judging colour")
                .containsOnly(0xFF907030);
    }

    @Test
    void oneCoreDrawsWhatTwoDraw() throws Exception {
        int[] usual = lit(ball(), grey(0x907050), GLASS, 320, Care.FULL);
        ForkJoinPool one = new ForkJoinPool(1);
        try {
            assertThat(one.submit(() -> lit(ball(), grey(0x907050), GLASS, 320, Care.FULL)).get()).isEqualTo(usual);
        } finally {
            one.shutdown();
        }
    }

    @Test
    void whatIsNoLongerWantedIsLeftUndrawn() {
        int[] out = new int[GRID.cells()];
        new Shading(plate(), Shading.Film.NONE).draw(grey(0x808080), new StonePicture.Shown(0, 0, 0, Care.FULL), () -> true, new Spare(),
                out);
        assertThat(out).containsOnly(0);
    }

    /** The mean of a painted patch is the colour that the model of the coats says, for every paint, so that beauty never lies. */
    @ParameterizedTest
    @EnumSource(StoneState.class)
    void aPaintedPatchIsTheColourOfItsFilm(StoneState look) {
        Shelf shelf = Paints.shelf();
        for (Paint paint : shelf.that(PaintKind.Use.FILLS)) {
            PaintPlan plan = Boards.plan(Boards.project(30, Map.of("board", Mix.of(paint.id()))), shelf);
            Grid grid = new Grid(-6, 5, 0.2, 60, 40);
            StonePicture picture = StonePicture.of(plan, StoneTerrain.of(plan.survey(), grid), look);
            FilmMap films = plan.filmsAfter(plan.steps().size(), grid, look);
            int[] out = new int[grid.cells()];
            picture.draw(new StonePicture.Shown(picture.steps(), 0, 320, Care.FLAT), () -> false, out);
            double[] sum = new double[3];
            for (int pixel : out) {
                for (int k = 0; k < 3; k++) {
                    sum[k] += Xyz.linear(pixel >> 16 - 8 * k & 255) / out.length;
                }
            }
            Srgb mean = Srgb.ofRgb(code(sum[0]) << 16 | code(sum[1]) << 8 | code(sum[2]));
            Spectrum film = films.table().film(films.at(grid.cells() / 2 + 30)).look();
            double shift = look == StoneState.WET ? plan.steps().stream().flatMap(s -> s.coat().stream()).filter(c -> !c.optics().isClear())
                    .mapToDouble(c -> Math.abs(c.dryingShift())).max().orElse(0) : 0;
            if (look != StoneState.CURING) { // which is milky on purpose
                assertThat(Lab.of(mean).differenceTo(Lab.of(film))).as("%s %s", paint.name(), look).isLessThan(1 + shift);
            }
        }
    }

    private static int code(double linear) {
        return (int) Math.round(255 * Xyz.encoded(linear));
    }
}
