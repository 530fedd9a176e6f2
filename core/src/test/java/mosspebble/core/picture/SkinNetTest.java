package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Optional;
import mosspebble.core.area.Grid;
import mosspebble.core.rock.SkinRow;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SkinNetTest {

    private static final double CLOSE = 0.021;

    private static Survey survey(RockKind rock) {
        return Survey.of(Stone.cobble().withSkin(mosspebble.core.stone.Skin.of(rock, Texture.GRAINY, Srgb.ofHex("#8a8680"))));
    }

    @Test
    void aMeshIsTwoPixelsButNeverWiderThanAFineGrain() {
        assertThat(SkinNet.mesh(0.01)).isEqualTo(0.02);
        assertThat(SkinNet.mesh(0.025)).isEqualTo(0.05);
        assertThat(SkinNet.mesh(0.035)).isEqualTo(SkinNet.WIDEST);
        assertThat(SkinNet.mesh(0.045)).as("a net of nearly as many knots as pixels is none").isZero();
        assertThat(SkinNet.mesh(0.3)).isZero();
        double before = 0;
        for (double pixel = 0.004; pixel < 0.2; pixel *= 1.07) { // farther away one never sees more, but for a quarter of a grain
            double grain = Math.max(pixel, SkinNet.mesh(pixel));
            assertThat(grain).isGreaterThanOrEqualTo(0.8 * before);
            before = Math.max(before, grain);
        }
    }

    /** Asked for itself at every pixel, with what is finer than a mesh left out, the skin is the same within a small part of its relief. */
    @ParameterizedTest
    @EnumSource(RockKind.class)
    void betweenTheKnotsTheSkinIsWhatItIs(RockKind rock) {
        Survey survey = survey(rock);
        Grid grid = new Grid(-4, -3, CLOSE, 240, 160);
        StoneTerrain drawn = StoneTerrain.of(survey, grid);
        Skin skin = Skin.of(survey);
        SkinRow row = new SkinRow();
        row.cell = SkinNet.mesh(CLOSE);
        double[] off = new double[2];
        double[] all = new double[2];
        double[] mean = new double[2];
        int cells = grid.cells();
        float[][] asked = new float[2][cells];
        for (int r = 0; r < grid.rows(); r++) {
            row.count = grid.columns();
            for (int c = 0; c < grid.columns(); c++) {
                skin.put(grid.x(c), grid.y(r), row, c);
            }
            skin.fabric().at(row);
            System.arraycopy(row.height, 0, asked[0], r * grid.columns(), grid.columns());
            System.arraycopy(row.green, 0, asked[1], r * grid.columns(), grid.columns());
        }
        float[][] found = {drawn.relief, drawn.green};
        for (int k = 0; k < 2; k++) {
            for (int i = 0; i < cells; i++) {
                mean[k] += asked[k][i] / cells;
            }
            for (int i = 0; i < cells; i++) {
                off[k] += Math.pow(found[k][i] - asked[k][i], 2);
                all[k] += Math.pow(asked[k][i] - mean[k], 2);
            }
            assertThat(Math.sqrt(off[k] / all[k])).as(k == 0 ? "relief" : "colour").isLessThan(0.25);
        }
    }

    @Test
    void atAKnotItIsTheSkinItself() {
        Survey survey = survey(RockKind.GRANITE);
        double mesh = SkinNet.mesh(CLOSE);
        Grid grid = new Grid(0.37 * mesh - CLOSE / 2, 0.37 * mesh - CLOSE / 2, CLOSE, 60, 60); // every other middle is a knot
        StoneTerrain drawn = StoneTerrain.of(survey, grid);
        Skin skin = Skin.of(survey);
        SkinRow row = new SkinRow();
        row.cell = mesh;
        for (int k = 0; k < 30; k++) {
            row.count = 1;
            skin.put(grid.x(2 * k), grid.y(2 * k), row, 0);
            skin.fabric().at(row);
            int at = 2 * k * grid.columns() + 2 * k;
            assertThat(drawn.relief[at]).isCloseTo(row.height[0], within(1e-5f));
            assertThat(drawn.red[at]).isCloseTo(row.red[0], within(1e-3f));
            assertThat(drawn.gloss(at)).isCloseTo(row.gloss[0], within(1e-3f));
            assertThat(drawn.glint(at)).isEqualTo(row.glint[0]);
        }
    }

    private static void same(StoneTerrain one, int i, StoneTerrain other, int k) {
        assertThat(new float[] {one.relief[i], one.red[i], one.green[i], one.blue[i], one.gloss(i), one.nx[i], one.ny[i], one.z[i]})
                .containsExactly(other.relief[k], other.red[k], other.green[k], other.blue[k], other.gloss(k), other.nx[k], other.ny[k],
                        other.z[k]);
        assertThat(one.glint(i)).isEqualTo(other.glint(k));
    }

    @Test
    void aPartOfAPictureIsWhatTheWholeIsThere() {
        Survey survey = survey(RockKind.GRANITE);
        Grid grid = new Grid(-3, -3, 1.0 / 64, 300, 200);
        StoneTerrain whole = StoneTerrain.of(survey, grid);
        Window window = new Window(grid, 37, 21, 150, 90);
        StoneTerrain part = StoneTerrain.of(survey, window, () -> false);
        int outside = 0;
        for (int i = 0; i < grid.cells(); i++) {
            assertThat(part.relief[i]).isEqualTo(whole.relief[i]);
            if (window.has(i % grid.columns(), i / grid.columns())) {
                same(part, i, whole, i);
            } else {
                assertThat(part.nz[i]).as("not looked for").isZero();
                outside++;
            }
        }
        assertThat(outside).isGreaterThan(10_000);
        Grid other = grid.part(101, 53, 120, 100); // knots are those of the stone, not of the grid
        StoneTerrain cut = StoneTerrain.of(survey, other);
        for (int i = 0; i < other.cells(); i++) {
            same(cut, i, whole, (53 + i / 120) * grid.columns() + 101 + i % 120);
        }
    }

    @Test
    void whatIsKnownIsTakenAndTheRestDrawn() {
        Survey survey = survey(RockKind.SLATE);
        Grid grid = new Grid(-3, -3, 1.0 / 64, 200, 200);
        StoneTerrain whole = StoneTerrain.of(survey, grid);
        StoneTerrain known = StoneTerrain.of(survey, new Window(grid, 20, 0, 150, 120), () -> false).below(80);
        Window lower = new Window(grid, 20, 100, 150, 100);
        StoneTerrain next = StoneTerrain.of(survey, lower, () -> false, Optional.of(new StoneTerrain.Before(known, 20, 80)), new Spare());
        for (int i = 0; i < grid.cells(); i++) {
            if (lower.has(i % 200, i / 200)) {
                same(next, i, whole, i);
            }
        }
    }

    /** Grains that glint have outlines that are no coarser than the picture: they turn from pixel to pixel, not every other one. */
    @Test
    void aGlintHasNoStepsOfTwoPixels() {
        Survey survey = survey(RockKind.GRANITE);
        Grid grid = new Grid(-12, -12, CLOSE, 1100, 1100);
        StoneTerrain stone = StoneTerrain.of(survey, grid);
        int[] lengths = new int[9];
        for (int r = 1; r < grid.rows(); r++) { // how long edges run level between one grain and none
            int run = 0;
            for (int c = 0; c < grid.columns(); c++) {
                boolean edge = stone.glint(r * grid.columns() + c) == 0 && stone.glint((r - 1) * grid.columns() + c) != 0;
                if (edge) {
                    run++;
                } else {
                    lengths[Math.min(8, run)]++;
                    run = 0;
                }
            }
        }
        int edges = Arrays.stream(lengths).skip(1).sum();
        assertThat(edges).isGreaterThan(300);
        assertThat(lengths[1] + lengths[3]).as("odd runs among %d", edges).isGreaterThan(edges / 3);
    }

    @Test
    void whatIsNoLongerWantedIsLeftUndone() {
        StoneTerrain left = StoneTerrain.of(survey(RockKind.GRANITE), Window.whole(new Grid(-3, -3, CLOSE, 200, 200)), () -> true);
        assertThat(left.relief).containsOnly(0f);
    }
}
