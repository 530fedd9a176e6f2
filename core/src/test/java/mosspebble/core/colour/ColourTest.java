package mosspebble.core.colour;

import static mosspebble.core.Reference.number;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import mosspebble.core.Paints;
import mosspebble.core.Reference;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class ColourTest {

    @Test
    @Tag("outside") // Sharma, Wu and Dalal 2005, table 1: printed to four decimals
    void ciede2000GivesThe34PublishedDifferencesBothWays() {
        List<Map<String, String>> rows = Reference.rows("ciede2000_sharma.csv");
        assertThat(rows).hasSize(34);
        for (Map<String, String> row : rows) {
            Lab first = new Lab(number(row, "L1"), number(row, "a1"), number(row, "b1"));
            Lab second = new Lab(number(row, "L2"), number(row, "a2"), number(row, "b2"));

            assertThat(first.differenceTo(second)).as("%s", row).isCloseTo(number(row, "dE00"), within(0.5001e-4));
            assertThat(second.differenceTo(first)).as("%s swapped", row).isCloseTo(number(row, "dE00"), within(0.5001e-4));
        }
    }

    @Test
    @Tag("outside") // computed with mpmath from the exact matrix, cross-checked against two libraries; see the file's head
    void srgbBecomesXyzAndLabAsPublished() {
        for (Map<String, String> row : Reference.rows("srgb_xyz_lab_worked.csv")) {
            Srgb colour = Srgb.ofHex(row.get("hex"));
            Xyz xyz = Xyz.of(colour);
            Lab lab = Lab.of(colour);

            assertThat(xyz.x()).isCloseTo(number(row, "X"), within(1e-9));
            assertThat(xyz.y()).isCloseTo(number(row, "Y"), within(1e-9));
            assertThat(xyz.z()).isCloseTo(number(row, "Z"), within(1e-9));
            assertThat(lab.l()).isCloseTo(number(row, "L_D65"), within(1e-6));
            assertThat(lab.a()).isCloseTo(number(row, "a_D65"), within(1e-6));
            assertThat(lab.b()).isCloseTo(number(row, "b_D65"), within(1e-6));
            assertThat(xyz.toSrgb()).isEqualTo(colour);
            assertThat(lab.toXyz().toSrgb()).isEqualTo(colour);
        }
    }

    @Test
    @Tag("outside") // Burns' method recomputed independently by Newton iteration; see the file's head
    void smoothReflectanceIsThatOfTheReference() {
        List<Map<String, String>> rows = Reference.rows("lhtss_reflectance_10nm.csv");
        for (String hex : rows.get(0).keySet()) {
            if (hex.startsWith("#")) {
                Spectrum spectrum = Spectrum.of(Srgb.ofHex(hex));
                for (int band = 0; band < Spectrum.BANDS; band++) {
                    assertThat(spectrum.at(band)).as("%s band %d", hex, band).isCloseTo(number(rows.get(band), hex), within(2e-5));
                }
            }
        }
    }

    @Test
    void aColourAskedForAgainIsKnownUntilManyOthersWereAskedFor() {
        Srgb code = Srgb.ofHex("#6f8a5c");
        Spectrum first = Spectrum.of(code);
        assertThat(Spectrum.of(Srgb.ofHex("#6F8A5C"))).isSameAs(first);
        assertThat(Spectrum.of(Srgb.ofHex("#6f8a5d"))).isNotEqualTo(first);
        for (int i = 0; i < 520; i++) {
            Spectrum.of(Srgb.ofRgb(0x405060 + 11 * i));
        }
        assertThat(Spectrum.of(code)).as("worked out anew").isNotSameAs(first).isEqualTo(first);
    }

    @Test
    void everyCodeHasASmoothReflectanceThatGivesItBack() {
        SplittableRandom random = new SplittableRandom(5);
        for (int i = 0; i < 300; i++) {
            int rgb = i < 8 ? (i & 1) * 255 | (i >> 1 & 1) * 255 << 8 | (i >> 2 & 1) * 255 << 16 : random.nextInt(1 << 24);
            Srgb code = Srgb.ofRgb(rgb);
            Srgb back = Spectrum.of(code).toSrgb();

            assertThat(Lab.of(back).differenceTo(Lab.of(code))).as(code.hex()).isLessThan(1.5);
        }
    }

    @Test
    @Tag("outside") // Kubelka 1948 closed form computed with mpmath, confirmed by integrating the two-flux equations; see the file's head
    void filmOverBackgroundIsKubelkasClosedForm() {
        for (Map<String, String> row : Reference.rows("km_film_over_background.csv")) {
            double x = number(row, "X");
            assertThat(KubelkaMunk.over(number(row, "K") * x, number(row, "S") * x, number(row, "Rg"))).as("%s", row)
                    .isCloseTo(number(row, "R"), within(1e-9));
        }
    }

    @Test
    void filmLimitsAreTheGroundAndTheInfiniteFilm() {
        for (double ground : new double[] {0, 0.05, 0.5, 0.8, 1}) {
            assertThat(KubelkaMunk.over(0, 0, ground)).isCloseTo(ground, within(1e-12));
            assertThat(KubelkaMunk.over(300, 1000, ground)).isCloseTo(KubelkaMunk.infinite(0.3), within(1e-9));
        }
        for (double r : new double[] {0.01, 0.3, 0.9}) {
            assertThat(KubelkaMunk.infinite(KubelkaMunk.kOverS(r))).isCloseTo(r, within(1e-12));
        }
    }

    @Test
    @Tag("outside") // thickness for contrast ratio 0.98 solved with mpmath; see the file's head
    void coatsOfAKnownThicknessHideAsComputed() {
        for (Map<String, String> row : Reference.rows("km_contrast_ratio_hiding.csv")) {
            double k = number(row, "K") * number(row, "X98");
            double s = number(row, "S") * number(row, "X98");
            double ratio = KubelkaMunk.over(k, s, 0) / KubelkaMunk.over(k, s, number(row, "R_white"));
            assertThat(ratio).isCloseTo(0.98, within(1e-8));
        }
    }

    @Test
    void onePaintHasItsStatedHidingAndSwatch() {
        for (Paint paint : Paints.shelf().paints()) {
            if (paint.kind() != PaintKind.VARNISH) {
                PaintOptics optics = PaintOptics.of(paint);
                assertThat(optics.contrastRatio(paint.dryCoat().value())).as(paint.name()).isCloseTo(paint.hiding(), within(1e-4));
                assertThat(Lab.of(optics.full()).differenceTo(Lab.of(paint.swatch()))).as(paint.name()).isLessThan(1);
            }
        }
    }

    @Test
    @Tag("outside") // the trade: 2 white + 1 red is a strong warm pink; blue and yellow make a green (common practice, no source)
    void mixesTurnOutAsThePainterKnows() {
        Palette palette = new Palette(Paints.shelf());
        Lab pink = lab(palette, "white", 2, "red", 1);
        Lab green = lab(palette, "blue", 1, "yellow", 2);

        assertThat(Math.toDegrees(Math.atan2(pink.b(), pink.a()))).as("hue of pink").isBetween(-5.0, 45.0);
        assertThat(pink.chroma()).isGreaterThan(30);
        assertThat(pink.l()).isBetween(45.0, 78.0);
        assertThat(green.a()).as("green leans away from red").isLessThan(-8);
    }

    @Test
    void mixingOrderDoesNotMatterAndOnePaintStaysItself() {
        Palette palette = new Palette(Paints.shelf());

        assertThat(lab(palette, "white", 2, "red", 1).differenceTo(lab(palette, "red", 1, "white", 2))).isLessThan(1e-9);
        assertThat(palette.colour(Mix.of("red")).orElseThrow().lab().differenceTo(Lab.of(Srgb.ofHex("#b3261e")))).isLessThan(1);
    }

    private static Lab lab(Palette palette, String first, int parts, String second, int others) {
        return palette.colour(new Mix(List.of(new Mix.Part(first, parts), new Mix.Part(second, others)))).orElseThrow().lab();
    }

    @Test
    void recipeSearchFindsAMixThatWasHiddenInTheWish() {
        Palette palette = new Palette(Paints.shelf());
        Mix hidden = new Mix(List.of(new Mix.Part("white", 3), new Mix.Part("red", 2), new Mix.Part("yellow", 1)));

        RecipeSearch.Recipe found = RecipeSearch.nearest(palette.colour(hidden).orElseThrow().lab(), palette, 6, 3).orElseThrow();

        assertThat(found.difference()).isLessThan(1e-6);
        assertThat(found.mix().parts()).containsExactlyInAnyOrderElementsOf(hidden.parts());
    }

    @Test
    void recipeSearchIsNoWorseThanAnyMixTriedByHand() {
        Palette palette = new Palette(Paints.shelf());
        Lab wish = Lab.of(Srgb.ofHex("#7a8f5a"));
        double best = RecipeSearch.nearest(wish, palette, 5, 2).orElseThrow().difference();
        List<Paint> brush = palette.shelf().that(PaintKind.Use.FILLS);

        for (Paint a : brush) {
            for (Paint b : brush) {
                for (int parts = 1; a != b && parts <= 4; parts++) {
                    for (int others = 1; parts + others <= 5; others++) {
                        assertThat(lab(palette, a.id(), parts, b.id(), others).differenceTo(wish)).isGreaterThanOrEqualTo(best - 1e-6);
                    }
                }
            }
        }
    }

    @Test
    @Tag("outside") // Angstrom 1925 by geometric series; see the file's head
    void wetDarkeningIsAngstroms() {
        for (Map<String, String> row : Reference.rows("wet_darkening.csv")) {
            assertThat(WetStone.darkened(number(row, "dry"), WetStone.WATER)).isCloseTo(number(row, "wet_angstrom"), within(1e-5));
        }
    }

    @Test
    void porousStoneDarkensMoreThanGlassy() {
        Stone tight = Stone.cobble();
        Stone porous = tight.withSkin(new Skin(tight.rock(), tight.texture(), 0.2, tight.colour(), Skin.Before.NOTHING, false));

        assertThat(Lab.of(WetStone.sealed(porous)).l()).isLessThan(Lab.of(WetStone.sealed(tight)).l() - 2);
        assertThat(Lab.of(WetStone.sealed(tight)).l()).isLessThan(Lab.of(tight.colour()).l() - 2);
    }

    @Test
    void nonsenseIsRefusedWithTheRange() {
        assertThatThrownBy(() -> Srgb.ofHex("#12345g")).hasMessageContaining("six hexadecimal digits");
        assertThatThrownBy(() -> new Mix(List.of())).hasMessageContaining("one to 6");
        assertThatThrownBy(() -> Spectrum.flat(1.5)).hasMessageContaining("380 nm");
        assertThatThrownBy(() -> new Mix.Part("white", 0)).hasMessageContaining("1 to 600");
    }
}
