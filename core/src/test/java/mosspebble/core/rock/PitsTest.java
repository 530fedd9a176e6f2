package mosspebble.core.rock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Holes strewn over a skin, and the marks by which rocks are told apart. */
class PitsTest {

    private static double covered(Pits pits, double step) {
        int hole = 0;
        int all = 0;
        for (double v = -60; v < 60; v += step) {
            for (double u = -60; u < 60; u += step) {
                hole += pits.depth(u, v, 0.02) > 0 ? 1 : 0;
                all++;
            }
        }
        return (double) hole / all;
    }

    /**
     * Discs strewn at random cover 1 - exp(-n a) of the plane, n a place and a their mean area (P. Hall, Introduction to the Theory of
     * Coverage Processes, 1988, from memory). Here n is the chance over the area of a cell times what company there is, even from 0 to 2:
     * the mean is 1 - (1 - exp(-2 n a)) / (2 n a), and that of pi r^2 / s is taken over r = least + (most - least) q^2 and squeezing
     * s = 1 + q / 2, q even from 0 to 1.
     */
    @ParameterizedTest
    @Tag("outside")
    @CsvSource({"4, 0.3, 0.3, 1.6", "2, 0.5, 0.2, 0.8", "1, 0.5, 0.1, 0.45"})
    void holesCoverAsMuchAsRandomDiscsDo(double cell, double chance, double least, double most) {
        double area = 0;
        for (int i = 0; i < 1000; i++) {
            double q = (i + 0.5) / 1000;
            area += Math.PI * Math.pow(least + (most - least) * q * q, 2) / 1000;
        }
        double squeezed = 2 * Math.log(1.5); // the mean of 1 / (1 + q / 2)
        double mean = chance / (cell * cell) * area * squeezed;
        double expected = 1 - (1 - Math.exp(-2 * mean)) / (2 * mean);
        double found = 0;
        for (int seed = 1; seed <= 6; seed++) {
            found += covered(new Pits(new Noise(seed), 0, cell, chance, least, most), 0.31) / 6;
        }
        assertThat(found).isCloseTo(expected, within(0.14 * expected));
    }

    @Test
    void holesAreDeepInTheMiddleHaveAnEdgeAndFadeWithThePixel() {
        Pits pits = new Pits(new Noise(9), 0, 5, 0.5, 0.8, 1.6);
        double deepest = 0;
        double steepest = 0;
        for (double v = -20; v < 20; v += 0.9) {
            for (double u = -20; u < 20; u += 0.02) {
                double depth = pits.depth(u, v, 0.01);
                deepest = Math.max(deepest, depth);
                steepest = Math.max(steepest, Math.abs(pits.depth(u + 0.02, v, 0.01) - depth));
                if (!(depth >= 0 && depth <= 1) || pits.depth(u, v, 4) != 0 || pits.depth(u, v, 1.2) > depth) {
                    assertThat(depth).as("deeper than it is, or drawn though smaller than the pixel, at %s, %s", u, v).isNaN();
                }
            }
        }
        assertThat(deepest).isGreaterThan(0.9);
        assertThat(steepest).as("walls are steep").isGreaterThan(0.05);
        assertThat(covered(new Pits(new Noise(9), 0, 5, 0, 0.8, 1.6), 1)).as("no chance, no hole").isZero();
        assertThat(covered(pits, 0.5)).isNotEqualTo(covered(new Pits(new Noise(9), 500, 5, 0.5, 0.8, 1.6), 0.5));
    }

    private static Fabric fabric(RockKind rock) {
        return Fabric.of(Stone.cobble().withSkin(Skin.of(rock, Texture.SMOOTH, Srgb.ofHex("#4a4038"))));
    }

    @Test // flint is glassy where it broke and chalky where its rind is left (common knowledge)
    void flintIsGlassyButForAPaleMattRind() {
        Fabric flint = fabric(RockKind.FLINT);
        Place place = new Place();
        int rind = 0;
        int glass = 0;
        for (double v = -60; v < 60; v += 1.3) {
            for (double u = -60; u < 60; u += 1.3) {
                flint.at(u, v, 0.2, place);
                rind += place.apart ? 1 : 0;
                glass += place.gloss > 0.6 ? 1 : 0;
                if (place.apart) {
                    assertThat(place.gloss).isLessThan(0.4);
                    assertThat(place.green).as("chalk is far paler than flint").isGreaterThan(3);
                }
            }
        }
        assertThat(glass).isGreaterThan(rind);
        assertThat(rind).isGreaterThan(200);
    }

    @Test
    void slateGlintsOnlyWhereItsFlakesCanBeSeenAndHasAPaleVein() {
        Fabric slate = fabric(RockKind.SLATE);
        Place place = new Place();
        int glints = 0;
        int vein = 0;
        for (double v = -40; v < 40; v += 0.31) {
            for (double u = -40; u < 40; u += 0.37) {
                slate.at(u, v, 0.5, place);
                assertThat(place.glint).as("a pixel holds many flakes").isZero();
                vein += place.red > 2.2 ? 1 : 0;
                slate.at(u, v, 0.05, place);
                glints += place.glint != 0 ? 1 : 0;
            }
        }
        // of a thousand places for a flake 3.5 are taken, by discs of 0.4 of their side: 0.0035 pi 0.16
        assertThat(glints / 55_900.0).as("small discs, not squares").isCloseTo(0.0035 * Math.PI * 0.16, within(0.0006));
        assertThat(vein / 55_900.0).as("a thin vein").isBetween(0.0005, 0.05);
    }

    @Test // conchoidal fracture: ripples run out from the blow within one bowl and not over its ridge (common knowledge of petrology)
    void flintRipplesInSomeOfItsBowlsAndOnlyThere() {
        Fabric flint = fabric(RockKind.FLINT);
        Place place = new Place();
        int rippled = 0;
        int quiet = 0;
        for (double v = -60; v < 60; v += 6) {
            for (double u = -60; u < 60; u += 6) {
                double rough = 0;
                double last = 0;
                double before = 0;
                for (int k = 0; k < 40; k++) { // second differences along 4 mm: curvature of ripples, not of bowls
                    flint.at(u + 0.1 * k, v, 0.1, place);
                    rough += k < 2 ? 0 : Math.abs(place.height - 2 * last + before);
                    before = last;
                    last = place.height;
                }
                rippled += rough / 38 > 0.0016 ? 1 : 0;
                quiet += rough / 38 < 0.0008 ? 1 : 0;
            }
        }
        assertThat(rippled).as("some are rippled").isGreaterThan(20);
        assertThat(quiet).as("others are smooth").isGreaterThan(60);
    }

    @Test // thin edges of flint let light through; what it lies in the chalk with stains its rind (common knowledge)
    void flintIsPalerOnTheRidgesBetweenItsBowlsAndItsRindIsWarm() {
        Fabric flint = fabric(RockKind.FLINT);
        Place place = new Place();
        double onRidges = 0;
        double beside = 0;
        int ridges = 0;
        for (double v = -30; v < 30; v += 0.7) {
            double[] height = new double[600];
            double[] tone = new double[600];
            for (int k = 0; k < 600; k++) {
                flint.at(-30 + 0.1 * k, v, 0.1, place);
                height[k] = place.apart ? Double.NaN : place.height;
                tone[k] = place.green;
                if (place.apart) {
                    assertThat(place.red * 0.0685).as("chalk is warm; #4a4038 in linear light").isGreaterThan(place.blue * 0.0395);
                }
            }
            for (int k = 20; k < 580; k++) { // a ripple is 1.3 mm wide and so as high again there, a ridge falls off on both sides
                if (height[k] - height[k - 13] > 0.02 && height[k] - height[k + 13] > 0.02 && height[k] > height[k - 2]
                        && height[k] > height[k + 2] && height[k] >= height[k - 1] && height[k] >= height[k + 1]) {
                    ridges++;
                    onRidges += tone[k];
                    beside += (tone[k - 13] + tone[k + 13]) / 2;
                }
            }
        }
        assertThat(ridges).isGreaterThan(60);
        assertThat(onRidges / beside).isBetween(1.05, 1.4);
    }

    /**
     * Counted in squares of 4 by 4 cells: one chance for all would leave a variance of n (1 - c) about the mean n = 16 c, company even from
     * 0 to 2 adds n^2 / 3 (law of total variance).
     */
    @Test
    void holesKeepCompany() {
        double chance = 0.25;
        double least = 0.2;
        Pits pits = new Pits(new Noise(5), 40, 1, chance, least, least);
        double sum = 0;
        double squares = 0;
        int blocks = 0;
        for (int r = 0; r < 160; r += 4) {
            for (int c = 0; c < 160; c += 4) {
                double covered = 0;
                for (double v = r; v < r + 4; v += 0.05) {
                    for (double u = c; u < c + 4; u += 0.05) {
                        covered += pits.depth(u, v, 0.01) > 0 ? 0.0025 : 0;
                    }
                }
                double holes = covered / (Math.PI * least * least * 2 * Math.log(1.5));
                sum += holes;
                squares += holes * holes;
                blocks++;
            }
        }
        double mean = sum / blocks;
        double variance = squares / blocks - mean * mean;
        assertThat(mean).isCloseTo(16 * chance, within(0.5));
        assertThat(variance).as("not strewn evenly").isBetween(mean * mean / 4, mean * (1 - chance) + mean * mean / 2);
        assertThatThrownBy(() -> new Pits(new Noise(1), 0, 1, 0.6, 0.1, 0.2)).hasMessageContaining("0.6");
    }

    /** Every hole of the lattice looked at on its own, near or far: what is remembered by cell leaves none out. */
    @Test
    void noHoleIsForgottenThatReachesIntoACell() {
        Noise noise = new Noise(21);
        double cell = 1.3;
        Pits pits = new Pits(noise, 40, cell, 0.5, 0.2, 0.65);
        int inHoles = 0;
        for (int i = 0; i < 3000; i++) {
            double u = -9 + 18 * noise.quick(i, 5);
            double v = -9 + 18 * noise.quick(i, 6);
            double deepest = 0;
            for (int r = -10; r <= 10; r++) {
                for (int c = -10; c <= 10; c++) {
                    if (noise.quick(c + 40, r) < noise.quick(Math.floorDiv(c, 4) + 940, Math.floorDiv(r, 4))) {
                        deepest = Math.max(deepest, hole(noise, c, r, cell, u, v));
                    }
                }
            }
            assertThat(pits.depth(u, v, 0.01)).as("at %s, %s", u, v).isCloseTo(deepest, within(1e-12));
            inHoles += deepest > 0 ? 1 : 0;
        }
        assertThat(inHoles).isBetween(300, 2700);
    }

    private static double hole(Noise noise, int c, int r, double cell, double u, double v) {
        double size = noise.quick(c + 40, r + 7331);
        double radius = 0.2 + 0.45 * size * size;
        double dx = u - (c + noise.quick(c + 141, r)) * cell;
        double dy = v - (r + noise.quick(c + 40, r + 211)) * cell;
        double turn = Math.PI * noise.quick(c + 45, r + 3);
        double along = dx * Math.cos(turn) + dy * Math.sin(turn);
        double across = (dy * Math.cos(turn) - dx * Math.sin(turn)) * (1 + 0.5 * noise.quick(c + 57, r + 29));
        double t = Math.hypot(along, across) / radius;
        return t < 1 ? Math.sqrt(1 - t * t * t) : 0;
    }
}
