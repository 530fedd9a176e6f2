package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Grid;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class StoneTerrainTest {

    private static final Grid GRID = Grid.around(60, 50, 0.5);

    private static Stone round(RockKind rock, Texture texture) {
        return Stone.cobble().withShape(new Shape.Grown(Form.ROUND, 1, 0)).withSize(new Millimetres(80), new Millimetres(80),
                new Millimetres(30)).withSkin(new Skin(rock, texture, rock.porosity(), Srgb.ofHex("#8a8a86"), Skin.Before.NOTHING, false));
    }

    private static StoneTerrain terrain(Stone stone) {
        return StoneTerrain.of(Survey.of(stone), GRID);
    }

    @Test
    // the area of a circle
    @Tag("outside")
    void theStoneCoversItsOwnAreaWithSoftEdges() {
        StoneTerrain terrain = terrain(round(RockKind.GRANITE, Texture.SMOOTH));
        double covered = 0;
        int part = 0;
        for (float share : terrain.inside) {
            covered += share * GRID.cellMm() * GRID.cellMm();
            part += share > 0 && share < 1 ? 1 : 0;
        }
        assertThat(covered).isCloseTo(Math.PI * 40 * 40, within(0.005 * Math.PI * 1600));
        assertThat(part).as("edge pixels are partly stone").isGreaterThan(300);
    }

    @Test
    void everyPixelOfTheStoneLeansByOneAndFacesTheEye() {
        for (Texture texture : Texture.values()) {
            StoneTerrain terrain = terrain(round(RockKind.SLATE, texture));
            double leftward = 0;
            double rightward = 0;
            for (int i = 0; i < terrain.inside.length; i++) {
                if (terrain.inside[i] == 0) {
                    continue;
                }
                double size = Math.sqrt(terrain.nx[i] * terrain.nx[i] + terrain.ny[i] * terrain.ny[i] + terrain.nz[i] * terrain.nz[i]);
                assertThat(size).isCloseTo(1, within(1e-5));
                assertThat(terrain.nz[i]).isGreaterThanOrEqualTo(0);
                double x = GRID.x(i % GRID.columns());
                leftward += x < -20 ? terrain.nx[i] : 0;
                rightward += x > 20 ? terrain.nx[i] : 0;
            }
            assertThat(leftward).as("the left side looks left").isLessThan(-100);
            assertThat(rightward).as("the right side looks right").isGreaterThan(100);
        }
    }

    private static double unevenness(StoneTerrain terrain) {
        double sum = 0;
        int count = 0;
        for (int r = 40; r < GRID.rows() - 40; r++) {
            for (int c = 60; c < GRID.columns() - 60; c++) {
                int i = r * GRID.columns() + c;
                sum += Math.abs(terrain.relief[i] - terrain.relief[i + 1]);
                count++;
            }
        }
        return sum / count;
    }

    @Test
    void aRoughSkinIsLivelierThanASmoothOne() {
        double smooth = unevenness(terrain(round(RockKind.BASALT, Texture.SMOOTH)));
        double grainy = unevenness(terrain(round(RockKind.BASALT, Texture.GRAINY)));
        double rough = unevenness(terrain(round(RockKind.BASALT, Texture.ROUGH)));
        assertThat(grainy).isGreaterThan(1.2 * smooth);
        assertThat(rough).isGreaterThan(1.2 * grainy);
    }

    private static double[] spread(StoneTerrain terrain) {
        boolean flint = terrain.survey.stone().rock() == RockKind.FLINT;
        double sum = 0;
        double squares = 0;
        int count = 0;
        for (int i = 0; i < terrain.inside.length; i++) {
            if (terrain.inside[i] >= 1 && !(flint && terrain.gloss(i) < 0.4)) { // but for its rind
                double grain = terrain.green[i] - 1;
                sum += grain;
                squares += grain * grain;
                count++;
            }
        }
        double mean = sum / count;
        return new double[] {mean, Math.sqrt(squares / count - mean * mean)};
    }

    @Test
    // what is known of such rocks by eye: granite is the most speckled, cast plaster the plainest (common practice, no source)
    void theGrainKeepsTheMeasuredColourAsItsMeanAndIsTheRocksOwn() {
        Map<RockKind, double[]> found = new EnumMap<>(RockKind.class);
        for (RockKind rock : RockKind.values()) {
            found.put(rock, spread(terrain(round(rock, Texture.SMOOTH))));
        }
        found.forEach((rock, spread) -> {
            assertThat(spread[0]).as("mean tone of %s", rock).isCloseTo(0, within(0.06));
            assertThat(spread[1]).as("spread of %s", rock).isBetween(0.005, 0.45);
            if (rock != RockKind.GRANITE) {
                assertThat(spread[1]).as("%s beside granite", rock).isLessThan(found.get(RockKind.GRANITE)[1]);
            }
            if (rock != RockKind.CAST_PLASTER) {
                assertThat(spread[1]).as("%s beside plaster", rock).isGreaterThan(found.get(RockKind.CAST_PLASTER)[1]);
            }
        });
    }

    @Test
    void theGrainTurnsWithTheStone() {
        Stone upright = round(RockKind.SLATE, Texture.SMOOTH);
        StoneTerrain before = terrain(upright);
        StoneTerrain after = terrain(upright.withWayUp(90));
        int columns = GRID.columns();
        int middleX = columns / 2;
        int middleY = GRID.rows() / 2;
        double apart = 0;
        double still = 0;
        int count = 0;
        for (int dy = -40; dy < 40; dy++) {
            for (int dx = -40; dx < 40; dx++) {
                // a quarter turn of the stone takes what lay at dx, dy to -dy - 1, dx on a grid with cells at halves
                float was = before.green[(middleY + dy) * columns + middleX + dx];
                float is = after.green[(middleY + dx) * columns + middleX - dy - 1];
                apart += Math.abs(was - is);
                still += Math.abs(was - after.green[(middleY + dy) * columns + middleX + dx]);
                count++;
            }
        }
        assertThat(apart / count).as("the same grain, turned").isLessThan(0.002);
        assertThat(still / count).as("not the grain that stayed").isGreaterThan(0.02);
    }

    @Test
    void grainCrowdsAtTheRimAsOnARoundThing() {
        Survey survey = Survey.of(round(RockKind.GRANITE, Texture.SMOOTH));
        Unfolding unfolding = new Unfolding(survey.dome());
        assertThat(unfolding.longerAt(0, 0)).isCloseTo(1, within(0.01));
        double before = 0;
        for (double x = 2; x < 39.5; x += 2) {
            double way = x * unfolding.longerAt(x, 0);
            assertThat(way).as("the way along the skin to %s", x).isGreaterThanOrEqualTo(x).isGreaterThan(before);
            before = way;
        }
        double arc = 0;
        for (double x = 0; x < 39; x += 0.01) { // summed by hand
            arc += Math.hypot(0.01, survey.dome().smoothHeightAt(x + 0.01, 0) - survey.dome().smoothHeightAt(x, 0));
        }
        assertThat(39 * unfolding.longerAt(39, 0)).isCloseTo(arc, within(0.03 * arc));
        assertThat(unfolding.longerAt(0, -38)).as("round, so the same all round").isCloseTo(unfolding.longerAt(38, 0), within(0.01));
    }

    @Test
    void roundItsWindowATerrainKnowsOnlyTheReliefAndThatRightly() {
        Survey survey = Survey.of(round(RockKind.GRANITE, Texture.GRAINY));
        StoneTerrain whole = StoneTerrain.of(survey, GRID);
        Window window = new Window(GRID, 70, 40, 90, 75);
        StoneTerrain part = StoneTerrain.of(survey, window, () -> false);
        int outside = 0;
        for (int i = 0; i < GRID.cells(); i++) {
            assertThat(part.inside[i]).isEqualTo(whole.inside[i]);
            assertThat(part.relief[i]).isEqualTo(whole.relief[i]);
            if (window.has(i % GRID.columns(), i / GRID.columns())) {
                assertThat(new float[] {part.nx[i], part.ny[i], part.nz[i], part.z[i], part.red[i], part.green[i], part.blue[i],
                    part.gloss(i)}).containsExactly(whole.nx[i], whole.ny[i], whole.nz[i], whole.z[i], whole.red[i], whole.green[i],
                            whole.blue[i], whole.gloss(i));
                assertThat(part.glint(i)).isEqualTo(whole.glint(i));
            } else {
                outside += whole.inside[i] > 0 ? 1 : 0;
                assertThat(part.nz[i]).as("not looked for").isZero();
            }
        }
        assertThat(outside).as("stone round the window").isGreaterThan(2_000);
        assertThatThrownBy(() -> new Window(GRID, 200, 40, GRID.columns(), 75)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("no window");
        assertThatThrownBy(() -> new Window(GRID, -1, 0, 5, 5)).isInstanceOf(IllegalArgumentException.class);
    }

    private static void same(StoneTerrain one, int i, StoneTerrain other, int k) {
        assertThat(cell(one, i)).isEqualTo(cell(other, k));
    }

    private static float[] cell(StoneTerrain terrain, int i) {
        return new float[] {terrain.nx[i], terrain.ny[i], terrain.nz[i], terrain.z[i], terrain.inside[i], terrain.red[i], terrain.green[i],
            terrain.blue[i], terrain.relief[i], terrain.gloss(i), terrain.glint(i)};
    }

    @Test
    void whatIsKnownOfARockIsTakenOverAndTheRestWorkedOut() {
        Survey survey = Survey.of(round(RockKind.GRANITE, Texture.GRAINY));
        StoneTerrain whole = StoneTerrain.of(survey, GRID);
        Window upper = new Window(GRID, 60, 20, 120, 80);
        StoneTerrain known = StoneTerrain.of(survey, upper, () -> false).below(70);
        assertThat(known.grid().columns()).isEqualTo(120);
        assertThat(known.grid().rows()).as("rows 70 to 99").isEqualTo(30);
        for (int k = 0; k < known.grid().cells(); k++) {
            same(known, k, whole, (70 + k / 120) * GRID.columns() + 60 + k % 120);
        }
        // a mark, so that it is seen that the known part was taken and not made anew
        int marked = 5 * 120 + 60;
        known.red[marked] += 1;
        Window lower = new Window(GRID, 60, 90, 120, 60);
        StoneTerrain next = StoneTerrain.of(survey, lower, () -> false, Optional.of(new StoneTerrain.Before(known, 60, 70)), new Spare());
        int at = 75 * GRID.columns() + 120;
        assertThat(next.red[at]).isEqualTo(whole.red[at] + 1);
        next.red[at] = whole.red[at];
        for (int r = 75; r < 150; r++) {
            for (int c = 60; c < 180; c++) {
                if (r < 100 || lower.has(c, r)) {
                    same(next, r * GRID.columns() + c, whole, r * GRID.columns() + c);
                }
            }
        }
    }

    @Test
    void ofARockOnTheOtherSideOfThePictureNothingIsTaken() {
        Survey survey = Survey.of(round(RockKind.SLATE, Texture.SMOOTH));
        StoneTerrain whole = StoneTerrain.of(survey, GRID);
        for (int[] off : new int[][] {{500, 0}, {0, 500}, {-500, 0}, {0, -500}, {30, -25}}) {
            StoneTerrain.Before before = new StoneTerrain.Before(whole, off[0], off[1]);
            StoneTerrain moved = StoneTerrain.of(survey, Window.whole(GRID), () -> false, Optional.of(before), new Spare());
            int from = off[0] == 30 ? GRID.columns() * (GRID.rows() / 2) + GRID.columns() / 2 : -1;
            if (from >= 0) { // in part: what is taken is what was given, wherever it came from
                same(moved, from, whole, from - 30 + 25 * GRID.columns());
            } else {
                for (int i = 0; i < GRID.cells(); i++) {
                    same(moved, i, whole, i);
                }
            }
        }
    }
}
