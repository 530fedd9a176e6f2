package mosspebble.core.rock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.DoubleBinaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What rocks look like close up, measured on the skin as one would on a cut face. */
class FabricTest {

    private static Stone stone(RockKind rock, Texture texture) {
        return Stone.cobble().withSkin(Skin.of(rock, texture, Srgb.ofHex("#8a8680")));
    }

    private static Fabric fabric(RockKind rock) {
        return Fabric.of(stone(rock, Texture.GRAINY));
    }

    private static double tone(Fabric fabric, double u, double v, double pixel) {
        Place place = new Place();
        fabric.at(u, v, pixel, place);
        return place.green;
    }

    @ParameterizedTest
    @EnumSource(RockKind.class)
    void theMeasuredColourStaysTheMean(RockKind rock) {
        Fabric fabric = fabric(rock);
        Place place = new Place();
        double[] sum = new double[4];
        int count = 0;
        for (double v = -30; v < 30; v += 0.37) { // the square that the mean is taken over, at other places
            for (double u = -30; u < 30; u += 0.41) {
                fabric.at(u, v, 0.2, place);
                if (!place.apart) {
                    sum[0] += place.red;
                    sum[1] += place.green;
                    sum[2] += place.blue;
                    sum[3] += place.height;
                    count++;
                    assertThat(place.gloss).isBetween(0.0, 1.0);
                    assertThat(Math.min(place.red, Math.min(place.green, place.blue))).isGreaterThanOrEqualTo(0);
                }
            }
        }
        for (int k = 0; k < 3; k++) {
            assertThat(sum[k] / count).as("%s in band %d", rock, k).isCloseTo(1, within(0.02));
        }
        assertThat(sum[3] / count).as("mean height of %s", rock).isCloseTo(0, within(0.04));
    }

    @ParameterizedTest
    @EnumSource(RockKind.class)
    void aCloserLookAddsGrainAndChangesNothingOfWhatWasSeen(RockKind rock) {
        Fabric fabric = fabric(rock);
        double coarse = 0.8;
        double apart = 0;
        double spread = 0;
        int count = 0;
        for (double v = -16; v < 16; v += coarse) {
            for (double u = -16; u < 16; u += coarse) {
                double fine = 0;
                for (int k = 0; k < 36; k++) {
                    fine += tone(fabric, u + (k % 6 - 2.5) * coarse / 6, v + (k / 6 - 2.5) * coarse / 6, coarse / 6) / 36;
                }
                apart += Math.abs(fine - tone(fabric, u, v, coarse));
                spread += Math.abs(fine - 1);
                count++;
            }
        }
        assertThat(apart / count).as("%s: a pixel against the mean of 36 finer ones", rock).isLessThan(0.17);
    }

    private static List<Double> chords(Granite granite, boolean along) {
        List<Double> chords = new ArrayList<>();
        double step = 0.02;
        for (int line = 0; line < 60; line++) {
            double across = -30 + line;
            int last = -1;
            double length = 0;
            for (double s = -30; s < 30; s += step) {
                int grain = along ? granite.grainAt(s, across) : granite.grainAt(across, s);
                if (grain != last && last >= 0) {
                    chords.add(length);
                    length = 0;
                }
                last = grain;
                length += step;
            }
        }
        return chords;
    }

    private static double mean(List<Double> values) {
        return values.stream().mapToDouble(v -> v).average().orElseThrow();
    }

    /**
     * Mean lineal intercept as in ASTM E112; the mean diameter is about 1.5 times as much. Medium-grained: 1 to 5 mm (usual in petrology,
     * from memory); grown rocks have no preferred direction.
     */
    @Test
    @Tag("outside")
    void graniteIsMediumGrainedWithFewLargeGrainsAndAlikeInAllDirections() {
        Granite granite = new Granite(7, 1);
        List<Double> along = chords(granite, true);
        List<Double> across = chords(granite, false);
        double diameter = 1.5 * mean(along);
        assertThat(diameter).isBetween(1.0, 2.5);
        assertThat(mean(across)).isCloseTo(mean(along), within(0.1 * mean(along)));
        Collections.sort(along);
        assertThat(along.get(along.size() * 95 / 100)).as("a few are much larger").isGreaterThan(2.2 * mean(along));
    }

    /** Quartz 20 to 60 % of quartz and feldspar together (granite, QAPF fields 2 and 3, IUGS); biotite 5 to 15 % (from memory). */
    @Test
    @Tag("outside")
    void graniteHasTheMineralsOfAGranite() {
        Map<Granite.Mineral, Integer> count = new EnumMap<>(Granite.Mineral.class);
        Granite granite = new Granite(3, 1);
        int all = 0;
        for (double v = -50; v < 50; v += 0.5) {
            for (double u = -50; u < 50; u += 0.5) {
                count.merge(granite.mineralAt(u, v), 1, Integer::sum);
                all++;
            }
        }
        double quartz = (double) count.get(Granite.Mineral.QUARTZ);
        assertThat(quartz / (quartz + count.get(Granite.Mineral.FELDSPAR))).isBetween(0.20, 0.45);
        assertThat((double) count.get(Granite.Mineral.MICA) / all).isBetween(0.04, 0.13);
    }

    /** Correlation of the tone with itself so many mm away. */
    private static double alike(Fabric fabric, double du, double dv) {
        DoubleBinaryOperator at = (u, v) -> tone(fabric, u, v, 0.25);
        double product = 0;
        double square = 0;
        for (double v = -25; v < 25; v += 0.83) {
            for (double u = -25; u < 25; u += 0.71) {
                double here = at.applyAsDouble(u, v) - 1;
                product += here * (at.applyAsDouble(u + du, v + dv) - 1);
                square += here * here;
            }
        }
        return product / square;
    }

    @Test // slate splits along its cleavage and sandstone is bedded, granite and basalt have no direction (common knowledge of petrology)
    void layeredRocksRunAlongTheirLayersAndOthersDoNot() {
        for (RockKind layered : List.of(RockKind.SLATE, RockKind.SANDSTONE)) {
            Fabric fabric = fabric(layered);
            assertThat(alike(fabric, 3, 0)).as("%s along", layered).isGreaterThan(alike(fabric, 0, 3) + 0.25);
        }
        for (RockKind even : List.of(RockKind.GRANITE, RockKind.BASALT, RockKind.CAST_PLASTER)) {
            Fabric fabric = fabric(even);
            assertThat(alike(fabric, 0.8, 0)).as("%s", even).isCloseTo(alike(fabric, 0, 0.8), within(0.14));
        }
    }

    /** How many times as much red, or blue, against green there is as in the mean, at many places, sorted. */
    private static double[] against(RockKind rock, boolean red) {
        Fabric fabric = fabric(rock);
        Place place = new Place();
        List<Double> found = new ArrayList<>();
        for (double v = -40; v < 40; v += 1.3) {
            for (double u = -40; u < 40; u += 1.1) {
                fabric.at(u, v, 0.5, place);
                found.add((red ? place.red : place.blue) / place.green);
            }
        }
        return found.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    }

    @Test // iron stains rock yellow and brown, in patches; it makes none of it blue (common knowledge of petrology, no source)
    void ironStainsInPatchesAndTurnsNothingBlue() {
        double[] limestone = against(RockKind.LIMESTONE, false);
        assertThat(limestone[limestone.length * 98 / 100]).as("hardly bluer anywhere than its mean").isLessThan(1.06);
        assertThat(limestone[limestone.length / 10]).as("a tenth is clearly yellower").isLessThan(0.93);
        double[] slate = against(RockKind.SLATE, true);
        assertThat(slate[slate.length * 98 / 100]).as("patches of rust").isGreaterThan(1.12);
        assertThat(slate[slate.length / 2]).as("not on most of it").isLessThan(1.02);
    }

    private static double holes(RockKind rock, double deeper) {
        Fabric fabric = Fabric.of(stone(rock, Texture.SMOOTH));
        Place place = new Place();
        int hole = 0;
        int all = 0;
        for (double v = -30; v < 30; v += 0.21) {
            for (double u = -30; u < 30; u += 0.21) {
                fabric.at(u, v, 0.05, place);
                hole += place.height < -deeper ? 1 : 0;
                all++;
            }
        }
        return (double) hole / all;
    }

    @Test // vesicular basalt is full of bubbles, plaster has pinholes, marble none (common knowledge)
    void bubblesAndPinholesAreWhereTheyBelong() {
        assertThat(holes(RockKind.BASALT, 0.1)).isBetween(0.06, 0.14);
        assertThat(holes(RockKind.CAST_PLASTER, 0.1)).isBetween(0.0005, 0.03);
        assertThat(holes(RockKind.MARBLE, 0.1)).isZero();
    }

    @Test // vesicles of a flow are of all sizes, some tenths of a mm to some mm (common knowledge of petrology, no source)
    void bubblesOfBasaltAreSmallAndLarge() {
        Fabric basalt = fabric(RockKind.BASALT);
        Place place = new Place();
        List<Double> wide = new ArrayList<>();
        for (double v = -30; v < 30; v += 0.4) {
            double from = Double.NaN;
            for (double u = -30; u < 30; u += 0.04) {
                basalt.at(u, v, 0.04, place);
                boolean hole = place.height < -0.1;
                if (hole && Double.isNaN(from)) {
                    from = u;
                } else if (!hole && !Double.isNaN(from)) {
                    wide.add(u - from);
                    from = Double.NaN;
                }
            }
        }
        Collections.sort(wide);
        assertThat(wide.get(wide.size() / 2)).as("half of the cuts through holes, mm").isLessThan(0.9);
        assertThat(wide.get(wide.size() - 1)).as("the widest, where bubbles met, mm").isBetween(3.4, 6.0);
    }

    /** Sand is laid down in beds: little changes within one, much from one to the next (common knowledge of petrology, no source). */
    @Test
    void bedsOfSandstoneHaveEdges() {
        Fabric sandstone = fabric(RockKind.SANDSTONE);
        List<Double> steps = new ArrayList<>();
        for (double u = -24; u <= 24; u += 3) {
            double before = Double.NaN;
            for (double v = -25; v < 25; v += 0.5) {
                double now = tone(sandstone, u, v, 2.5);
                steps.add(Math.abs(now - before));
                before = now;
            }
        }
        steps.removeIf(d -> Double.isNaN(d));
        Collections.sort(steps);
        assertThat(steps.get(steps.size() * 97 / 100) / steps.get(steps.size() / 2))
                .as("at an edge against within; 3.2 where steps are as a bell curve has them").isGreaterThan(3.5);
    }

    /** In graded bedding each bed begins on a sharp edge and fades away from it (common knowledge of petrology, no source). */
    @Test
    void bedsOfSandstoneAreSharpOnOneSide() {
        Fabric sandstone = fabric(RockKind.SANDSTONE);
        int falls = 0;
        int count = 0;
        for (double u = -24; u <= 24; u += 1.5) {
            double before = Double.NaN;
            for (double v = -25; v < 25; v += 0.2) {
                double now = tone(sandstone, u, v, 0.8); // grains cannot be told apart any more
                falls += now < before ? 1 : 0;
                count++;
                before = now;
            }
        }
        assertThat((double) falls / count).as("share of the way on which it darkens, a half where both sides of a bed are alike")
                .isGreaterThan(0.55);
    }

    @Test
    void marbleIsCloudedBesideItsVeins() {
        Fabric marble = fabric(RockKind.MARBLE);
        List<Double> tones = new ArrayList<>();
        for (double u = -30; u <= 30; u += 0.7) {
            for (double v = -25; v < 25; v += 0.7) {
                tones.add(tone(marble, u, v, 0.7));
            }
        }
        Collections.sort(tones);
        double middle = tones.get(tones.size() / 2);
        assertThat(tones.get(tones.size() / 5) / middle).as("the darkest fifth against the middle").isLessThan(0.95);
        assertThat(tones.get(tones.size() * 4 / 5) / middle).as("and white is nearly even").isLessThan(1.08);
    }

    /** A sheet of slate ends steeply, but nowhere between two places so near that no picture tells them apart. */
    @Test
    void noSheetOfSlateEndsInACut() {
        Fabric slate = fabric(RockKind.SLATE);
        Place place = new Place();
        double steepest = 0;
        for (double u = -20; u < 20; u += 1.7) {
            double before = Double.NaN;
            for (double v = -20; v < 20; v += 0.004) {
                slate.at(u, v, 0.02, place);
                steepest = Double.isNaN(before) ? steepest : Math.max(steepest, Math.abs(place.height - before));
                before = place.height;
            }
        }
        assertThat(steepest).as("mm within 0.004 mm; a sheet is 0.06 mm high").isBetween(0.001, 0.012);
    }

    @Test
    void aFabricBelongsToItsStone() {
        Stone stone = stone(RockKind.GRANITE, Texture.SMOOTH);
        assertThat(tone(Fabric.of(stone), 3, 4, 0.1)).isEqualTo(tone(Fabric.of(stone), 3, 4, 0.1));
        int other = 0;
        for (int i = 0; i < 50; i++) {
            other += Math.abs(tone(Fabric.of(stone.withSeed(stone.seed() + 1)), i, 1, 0.1) - tone(Fabric.of(stone), i, 1, 0.1)) > 0.02
                    ? 1 : 0;
        }
        assertThat(other).as("places that differ on another stone").isGreaterThan(30);
    }

    @Test
    void micaGlintsGrainByGrainAndNothingElseDoes() {
        Granite granite = new Granite(5, 1);
        Place place = new Place();
        int glints = 0;
        for (double v = -20; v < 20; v += 0.3) {
            for (double u = -20; u < 20; u += 0.3) {
                granite.at(u, v, 0.02, place);
                if (place.glint != 0) {
                    glints++;
                    assertThat(granite.mineralAt(u, v)).isEqualTo(Granite.Mineral.MICA);
                }
            }
        }
        assertThat(glints).isGreaterThan(200);
    }

    @ParameterizedTest
    @EnumSource(RockKind.class)
    void onlyARockThatIsSaidToGlintDoes(RockKind rock) {
        Fabric fabric = fabric(rock);
        Place place = new Place();
        int glints = 0;
        for (double v = -30; v < 30; v += 0.3) {
            for (double u = -30; u < 30; u += 0.3) {
                fabric.at(u, v, 0.02, place);
                glints += place.glint == 0 ? 0 : 1;
            }
        }
        assertThat(glints > 0).isEqualTo(Fabric.glints(rock));
    }

    /** Share of the feldspar that is less than six tenths as light as feldspar is on the whole. */
    private static double darkWithinFeldspar(double pixel) {
        Granite granite = new Granite(5, 1);
        Place place = new Place();
        List<Double> tones = new ArrayList<>();
        for (double v = -20; v < 20; v += 0.23) {
            for (double u = -20; u < 20; u += 0.19) {
                if (granite.mineralAt(u, v) == Granite.Mineral.FELDSPAR) {
                    granite.at(u, v, pixel, place);
                    tones.add(place.green);
                }
            }
        }
        double middle = tones.stream().sorted().skip(tones.size() / 2).findFirst().orElseThrow();
        return tones.stream().filter(t -> t < 0.6 * middle).count() / (double) tones.size();
    }

    @Test
    // dark minerals shut in by feldspar, a few in a hundred of its face (from memory)
    void feldsparHoldsAFewDarkSpecksAndFromAfarNone() {
        assertThat(darkWithinFeldspar(0.02)).isBetween(0.005, 0.03);
        assertThat(darkWithinFeldspar(0.3)).as("pixels about as wide as a speck").isLessThan(darkWithinFeldspar(0.02) + 0.02);
    }

    /** Lightness of the middles of the grains of feldspar in a square, and how much redder than green they are. */
    private static List<double[]> feldspars() {
        Granite granite = new Granite(5, 1);
        Map<Integer, double[]> grains = new TreeMap<>();
        Place place = new Place();
        for (double v = -20; v < 20; v += 0.25) {
            for (double u = -20; u < 20; u += 0.25) {
                if (granite.mineralAt(u, v) == Granite.Mineral.FELDSPAR) {
                    granite.at(u, v, 0.1, place);
                    double[] sum = grains.computeIfAbsent(granite.grainAt(u, v), g -> new double[3]);
                    sum[0] += place.green;
                    sum[1] += place.red;
                    sum[2]++;
                }
            }
        }
        return grains.values().stream().filter(g -> g[2] >= 6).map(g -> new double[] {g[0] / g[2], g[1] / g[0]}).toList();
    }

    // white plagioclase and pink alkali feldspar lie side by side in granite; grains of one kind are not all as light (common knowledge)
    @Test
    void feldsparsAreOfTwoColoursAndManyTones() {
        List<double[]> grains = feldspars();
        double[] light = grains.stream().mapToDouble(g -> g[0]).sorted().toArray();
        assertThat(light[light.length * 9 / 10] / light[light.length / 10]).as("lighter tenth against darker").isGreaterThan(1.25);
        double[] rosy = grains.stream().mapToDouble(g -> g[1]).sorted().toArray();
        assertThat(rosy[rosy.length * 95 / 100] / rosy[rosy.length / 10]).as("pink against white").isGreaterThan(1.15);
        double[] white = grains.stream().filter(g -> g[1] < rosy[rosy.length / 3]).mapToDouble(g -> g[0]).sorted().toArray();
        assertThat(white[white.length * 9 / 10] / white[white.length / 10]).as("tones among the white ones").isGreaterThan(1.2);
    }

    /** How high the ripples of a flint are in squares of 6 mm that have no rind, mm: what is left of its height without 2 mm round. */
    private static List<Double> ripples() {
        Fabric flint = fabric(RockKind.FLINT);
        Place place = new Place();
        List<Double> found = new ArrayList<>();
        for (double v0 = -40; v0 < 40; v0 += 6) {
            for (double u0 = -40; u0 < 40; u0 += 6) {
                double squares = 0;
                boolean rind = false;
                for (int k = 0; k < 2; k++) { // along and across
                    double[] line = new double[120];
                    for (int i = 0; i < line.length; i++) {
                        double s = i * 0.05;
                        flint.at(k == 0 ? u0 + s : u0 + 3, k == 0 ? v0 + 3 : v0 + s, 0.05, place);
                        line[i] = place.height;
                        rind |= place.apart;
                    }
                    double sum = 0;
                    for (int i = 20; i < line.length - 20; i++) {
                        double mean = IntStream.rangeClosed(i - 20, i + 20).mapToDouble(j -> line[j]).average().orElseThrow();
                        sum += (line[i] - mean) * (line[i] - mean);
                    }
                    squares = Math.max(squares, sum / (line.length - 40));
                }
                if (!rind) {
                    found.add(Math.sqrt(squares));
                }
            }
        }
        Collections.sort(found);
        return found;
    }

    @Test // a break like a shell's is rippled round the blow, most strongly near it, and not everywhere (common knowledge of petrology)
    void flintIsRippledInMostPlacesUnalike() {
        List<Double> ripples = ripples();
        assertThat(ripples.get(ripples.size() / 2)).as("in half the places").isBetween(0.01, 0.03);
        assertThat(ripples.get(ripples.size() / 18)).as("hardly any in some").isLessThan(0.004);
    }

    @ParameterizedTest
    @EnumSource(RockKind.class)
    void aRowIsWhatItsPlacesAreWhereverTheRowBeforeLay(RockKind rock) {
        Fabric fabric = fabric(rock);
        SkinRow row = new SkinRow();
        SplittableRandom random = new SplittableRandom(3);
        Place alone = new Place();
        for (double pixel : new double[] {0.02, 0.02, 0.07, 0.3, 0.02}) {
            double from = random.nextDouble(-50, 20);
            row.count = 90;
            for (int i = 0; i < row.count; i++) {
                row.u[i] = i % 30 == 29 ? random.nextDouble(-70, 70) : from + 0.8 * i * pixel;
                row.v[i] = from + 0.5 * i * pixel;
                row.pixel[i] = pixel * random.nextDouble(1, 1.2);
            }
            fabric.at(row);
            for (int i = 0; i < row.count; i++) {
                fabric.at(row.u[i], row.v[i], row.pixel[i], alone);
                assertThat(row.red[i]).isCloseTo((float) alone.red, within(1e-5f));
                assertThat(row.green[i]).isCloseTo((float) alone.green, within(1e-5f));
                assertThat(row.blue[i]).isCloseTo((float) alone.blue, within(1e-5f));
                assertThat(row.height[i]).isCloseTo((float) alone.height, within(1e-6f));
                assertThat(row.gloss[i]).isEqualTo((float) alone.gloss);
                assertThat(row.glint[i]).isEqualTo(alone.glint);
                assertThat(row.apart[i]).isEqualTo(alone.apart);
            }
        }
    }

    @Test
    void whatIsKnownOfOneStoneIsNotTakenForAnother() {
        Stone flint = stone(RockKind.FLINT, Texture.SMOOTH).withSeed(5);
        List<Stone> others = List.of(flint.withSeed(6), stone(RockKind.FLINT, Texture.ROUGH).withSeed(5),
                stone(RockKind.SLATE, Texture.SMOOTH).withSeed(5),
                Stone.cobble().withSkin(Skin.of(RockKind.FLINT, Texture.SMOOTH, Srgb.ofHex("#4a4038"))).withSeed(5));
        List<Float> first = skin(flint);
        for (Stone other : others) {
            assertThat(skin(other)).isNotEqualTo(first);
            assertThat(skin(flint)).isEqualTo(first);
        }
    }

    /** Colour and height along a line from the middle far into the rind. */
    private static List<Float> skin(Stone stone) {
        SkinRow row = new SkinRow();
        row.count = SkinRow.MOST;
        for (int i = 0; i < row.count; i++) {
            row.u[i] = 0.4 * (i - 128);
            row.v[i] = 0.3 * (i - 128);
            row.pixel[i] = 0.1;
        }
        Fabric.of(stone).at(row);
        return IntStream.range(0, row.count).boxed().flatMap(i -> Stream.of(row.green[i], row.height[i])).toList();
    }
}
