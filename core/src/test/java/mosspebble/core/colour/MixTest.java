package mosspebble.core.colour;

import static mosspebble.core.Reference.number;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import mosspebble.core.Paints;
import mosspebble.core.Reference;
import mosspebble.core.supplies.Amounts;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class MixTest {

    private static final Palette PALETTE = new Palette(Paints.shelf());

    private static Palette random(int paints, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Paint> shelf = new ArrayList<>();
        for (int i = 0; i < paints; i++) {
            shelf.add(Paints.brush("p" + i, Srgb.ofRgb(random.nextInt(1 << 24)).hex(), random.nextDouble(0.3, 0.99)));
        }
        return new Palette(new Shelf(shelf));
    }

    /** Every mix tried by its optics, as the palette itself mixes them. */
    private static double bruteForce(Lab wanted, Palette palette, int mostParts) {
        List<String> ids = palette.shelf().paints().stream().map(Paint::id).toList();
        double best = Double.POSITIVE_INFINITY;
        for (int a = 0; a < ids.size(); a++) {
            for (int b = a; b < ids.size(); b++) {
                for (int c = b; c < ids.size(); c++) {
                    for (int pa = 1; pa <= mostParts; pa++) {
                        for (int pb = b == a ? 0 : 1; pb <= (b == a ? 0 : mostParts - pa); pb++) {
                            for (int pc = c == b ? 0 : 1; pc <= (c == b ? 0 : mostParts - pa - pb); pc++) {
                                List<Mix.Part> parts = new ArrayList<>(List.of(new Mix.Part(ids.get(a), pa)));
                                if (pb > 0) {
                                    parts.add(new Mix.Part(ids.get(b), pb));
                                }
                                if (pc > 0) {
                                    parts.add(new Mix.Part(ids.get(c), pc));
                                }
                                best = Math.min(best, palette.colour(new Mix(parts)).orElseThrow().lab().differenceTo(wanted));
                            }
                        }
                    }
                }
            }
        }
        return best;
    }

    @Test
    void theBestRecipeIsThatOfBruteForce() {
        SplittableRandom random = new SplittableRandom(77);
        for (int round = 0; round < 6; round++) {
            Palette palette = random(6, 100 + round);
            for (int wish = 0; wish < 2; wish++) {
                Lab wanted = Lab.of(Srgb.ofRgb(random.nextInt(1 << 24)));
                RecipeSearch.Recipe found = RecipeSearch.nearest(wanted, palette, 5, 3).orElseThrow();

                assertThat(found.difference()).as("shelf %s, wish %s", round, wanted).isCloseTo(bruteForce(wanted, palette, 5),
                        within(1e-6));
                assertThat(palette.colour(found.mix()).orElseThrow().lab().differenceTo(wanted)).isCloseTo(found.difference(),
                        within(1e-9));
            }
        }
    }

    /** Of more paints three are only tried of those that come nearest alone or by twos: what is found is hardly worse than of all. */
    @Test
    void ofAManyPaintedShelfTheRecipeIsHardlyWorseThanThatOfBruteForce() {
        SplittableRandom random = new SplittableRandom(3);
        double worse = 0;
        for (int round = 0; round < 4; round++) {
            Palette palette = random(RecipeSearch.MANY + 10, 300 + round);
            Lab wanted = Lab.of(Srgb.ofRgb(random.nextInt(1 << 24)));
            double found = RecipeSearch.nearest(wanted, palette, 4, 3).orElseThrow().difference();
            double best = bruteForce(wanted, palette, 4);
            assertThat(found).as("shelf %s, wish %s, differences one does not see", round, wanted).isBetween(best - 1e-6, best + 1);
            worse += (found - best) / 4;
            String last = palette.shelf().paints().get(palette.shelf().paints().size() - 1).id();
            RecipeSearch.Recipe held = RecipeSearch.nearestWith(last, wanted, palette, 4, 3).orElseThrow();
            assertThat(held.mix().parts()).anyMatch(p -> p.paint().equals(last));
        }
        assertThat(worse).as("in the mean").isLessThan(0.3);
    }

    @Test
    void theBestOnesComeInOrderWithoutRepeatingAndWithTheOneAskedFor() {
        Palette palette = random(9, 5);
        Lab wanted = Lab.of(Srgb.ofHex("#7a8f5a"));
        List<RecipeSearch.Recipe> best = RecipeSearch.best(wanted, palette, 8, 3, 7);

        assertThat(best).hasSize(7).isSortedAccordingTo((a, b) -> Double.compare(a.difference(), b.difference() + 1e-6));
        assertThat(best).extracting(RecipeSearch.Recipe::mix).doesNotHaveDuplicates();
        assertThat(RecipeSearch.best(wanted, palette, 8, 3, 7)).isEqualTo(best);
        RecipeSearch.Recipe held = RecipeSearch.nearestWith("p4", wanted, palette, 8, 3).orElseThrow();
        assertThat(held.mix().parts()).anyMatch(p -> p.paint().equals("p4"));
        assertThat(held.difference()).isGreaterThanOrEqualTo(best.get(0).difference() - 1e-9);
        assertThat(RecipeSearch.nearestWith("gone", wanted, palette, 8, 3)).isEmpty();
        assertThat(RecipeSearch.nearest(wanted, new Palette(new Shelf(List.of())), 8, 3)).isEmpty();
    }

    @Test
    void mixingOrderDoesNotMatterAndAMixOfOnePaintIsThatPaint() {
        SplittableRandom random = new SplittableRandom(3);
        Palette palette = random(8, 12);
        for (int i = 0; i < 60; i++) {
            int a = random.nextInt(8);
            int b = (a + 1 + random.nextInt(7)) % 8;
            Mix.Part first = new Mix.Part("p" + a, 1 + random.nextInt(9));
            Mix.Part then = new Mix.Part("p" + b, 1 + random.nextInt(9));
            Lab one = palette.colour(new Mix(List.of(first, then))).orElseThrow().lab();
            Lab other = palette.colour(new Mix(List.of(then, first))).orElseThrow().lab();
            assertThat(one.differenceTo(other)).isLessThan(1e-9);
            Lab alone = palette.colour(new Mix(List.of(new Mix.Part("p" + a, first.parts())))).orElseThrow().lab();
            assertThat(alone.differenceTo(palette.colour(Mix.of("p" + a)).orElseThrow().lab())).isLessThan(1e-9);
        }
        Mix two = new Mix(List.of(new Mix.Part("p1", 2), new Mix.Part("p2", 1)));
        assertThat(two.with(1, Mix.of("p3"), 1).parts()).containsExactly(new Mix.Part("p1", 2), new Mix.Part("p2", 1),
                new Mix.Part("p3", 3));
        assertThat(two.with(1, two, 1)).as("a mix into itself stays").isEqualTo(two);
    }

    @Test
    @Tag("outside") // two-constant mixing at one wavelength, Duncan 1940, computed with mpmath; see the file's head
    void mixesAddAbsorptionAndScatterByVolume() {
        for (Map<String, String> row : Reference.rows("km_two_constant_mix.csv")) {
            assertThat(KubelkaMunk.infinite(number(row, "K") / number(row, "S"))).as("%s", row).isCloseTo(number(row, "R_inf"),
                    within(1e-9));
        }
    }

    @Test
    @Tag("outside") // coat upon coat, computed with mpmath; see the file's head
    void coatsUponCoatsAreKubelkasClosedFormStepByStep() {
        for (Map<String, String> row : Reference.rows("km_coats_stack.csv")) {
            double seen = number(row, "Rg");
            for (String layer : row.get("layers_from_below").split(";")) {
                double[] v = java.util.Arrays.stream(layer.split(" ")).mapToDouble(t -> Double.parseDouble(t.substring(1))).toArray();
                seen = KubelkaMunk.over(v[0] * v[2], v[1] * v[2], seen);
            }
            assertThat(seen).as("%s", row).isCloseTo(number(row, "R"), within(1e-9));
        }
    }

    @Test
    // spectral.js 3.0.0 (npm, MIT) with plain parts. It builds spectra from seven base curves, we by Burns' smoothest curve: the same code
    // has another spectrum, so mixes differ by some CIEDE2000, most in deep colours
    @Tag("outside")
    void mixesComeOutLikeThoseOfAnIndependentLibrary() {
        double sum = 0;
        int count = 0;
        for (Map<String, String> row : Reference.rows("km_single_constant_mix.csv")) {
            String[] codes = row.get("colours").split(" ");
            double[] parts = java.util.Arrays.stream(row.get("parts").split(" ")).mapToDouble(Double::parseDouble).toArray();
            List<PaintOptics> optics = new ArrayList<>();
            for (String code : codes) { // the same scatter for all: the one-constant theory
                optics.add(PaintOptics.of(PaintOptics.absorption(Spectrum.of(Srgb.ofHex(code))), 1));
            }
            Lab ours = Lab.of(PaintOptics.mix(optics, parts).full());
            Lab theirs = Lab.of(Srgb.ofHex(row.get("hex")));
            double difference = ours.differenceTo(theirs);
            assertThat(difference).as("%s: ours %s, theirs %s", row.get("mix"), ours.toXyz().toSrgb().hex(), row.get("hex")).isLessThan(20);
            sum += difference;
            count++;
        }
        assertThat(sum / count).as("on the whole").isLessThan(7);
    }

    @Test
    // 2 white + 1 red is a strong warm pink, blue + yellow a green, complementary colours go to mud (common practice, no source)
    @Tag("outside")
    void mixesAreThoseOfTheTrade() {
        Lab pink = PALETTE.colour(new Mix(List.of(new Mix.Part("white", 2), new Mix.Part("red", 1)))).orElseThrow().lab();
        assertThat(ColourWords.name(pink)).containsAnyOf("red", "pink");
        assertThat(pink.a()).isGreaterThan(30);
        assertThat(pink.b()).isGreaterThan(0);
        assertThat(pink.l()).isBetween(45.0, 70.0);
        Lab green = PALETTE.colour(new Mix(List.of(new Mix.Part("blue", 1), new Mix.Part("yellow", 3)))).orElseThrow().lab();
        assertThat(green.a()).isLessThan(-8);
        assertThat(ColourWords.name(green)).contains("green");
    }

    @Test
    void laddersGoInEvenStepsFromOneEndToTheOther() {
        List<Ladder.Rung> rungs = Ladder.between(Mix.of("blue"), Mix.of("white"), 7, PALETTE);
        assertThat(rungs.get(0).second()).isZero();
        assertThat(rungs.get(rungs.size() - 1).first()).isZero();
        double least = Double.POSITIVE_INFINITY;
        double most = 0;
        for (int i = 1; i < rungs.size(); i++) {
            double step = rungs.get(i - 1).colour().lab().differenceTo(rungs.get(i).colour().lab());
            least = Math.min(least, step);
            most = Math.max(most, step);
            assertThat(rungs.get(i).colour().lab().l()).isGreaterThan(rungs.get(i - 1).colour().lab().l());
        }
        assertThat(most / least).as("no step is twice another").isLessThan(2);
        int few = Ladder.rungsFor(PALETTE.colour(Mix.of("blue")).orElseThrow(), PALETTE.colour(Mix.of("white")).orElseThrow(), 12, 50);
        int many = Ladder.rungsFor(PALETTE.colour(Mix.of("blue")).orElseThrow(), PALETTE.colour(Mix.of("white")).orElseThrow(), 4, 50);
        assertThat(many).isBetween(3 * (few - 1) - 2, 3 * (few - 1) + 4);
        assertThatThrownBy(() -> Ladder.between(Mix.of("gone"), Mix.of("white"), 5, PALETTE)).hasMessageContaining("not on the shelf");
    }

    @Test
    void aNudgeGoesTheWayItSays() {
        Mix mix = new Mix(List.of(new Mix.Part("red", 2), new Mix.Part("white", 1)));
        Lab from = PALETTE.colour(mix).orElseThrow().lab();
        for (Nudge.Toward way : Nudge.Toward.values()) {
            Optional<Nudge.Move> move = Nudge.of(mix, way, PALETTE);
            assertThat(move).as("%s", way).isPresent();
            Lab to = PALETTE.colour(move.get().mix()).orElseThrow().lab();
            assertThat(way.along(from, to)).as("%s by %s", way, move.get().words()).isPositive();
            assertThat(from.differenceTo(to)).as("in small steps").isLessThan(14);
            assertThat(move.get().mix().parts()).hasSizeLessThanOrEqualTo(3);
        }
        assertThat(Nudge.of(Mix.of("gone"), Nudge.Toward.LIGHTER, PALETTE)).isEmpty();
    }

    @Test
    void whatToBuyBringsTheWantedColourNearerAndIsLeftOutWhereItWouldNot() {
        Lab turquoise = Lab.of(Srgb.ofHex("#1aa0a8"));
        double now = RecipeSearch.nearest(turquoise, PALETTE, 8, 3).orElseThrow().difference();
        Closer.Purchase buy = Closer.of(turquoise, PALETTE, 8).orElseThrow();
        assertThat(buy.recipe().difference()).isLessThan(now - 1);
        assertThat(buy.words()).contains(buy.paint().name());
        Lab there = PALETTE.colour(Mix.of("umber")).orElseThrow().lab();
        assertThat(Closer.of(there, PALETTE, 8)).isEmpty();
    }

    @Test
    void theWetColourIsTheDryOneMovedByTheShift() {
        Palette.Colour colour = PALETTE.colour(Mix.of("red")).orElseThrow();
        assertThat(colour.wetLab().l() - colour.lab().l()).as("acrylics dry darker").isCloseTo(2, within(1e-9));
    }

    @Test
    void amountsCoverWhatIsNeededInWholeDropsOfTheRecipe() {
        Mix mix = new Mix(List.of(new Mix.Part("white", 2), new Mix.Part("red", 1)));
        Amounts amounts = Amounts.of(mix, 5_000, 60, 2);
        assertThat(amounts.needed().value()).as("5000 mm2 x 60 µm x 2 coats and a fifth lost").isCloseTo(0.72, within(1e-9));
        assertThat(amounts.made().value()).isGreaterThanOrEqualTo(amounts.needed().value())
                .isLessThan(amounts.needed().value() + 3 * Amounts.DROP_ML + 1e-9);
        assertThat(amounts.shares()).extracting(Amounts.Share::drops).containsExactly(2 * amounts.dropsPerPart(), amounts.dropsPerPart());
        assertThat(Amounts.of(mix, 1, 60, 1).made().value()).as("less cannot be stirred").isGreaterThanOrEqualTo(0.15);
    }

    // --- calibration

    @Test
    // thickness for contrast ratio 0.98 solved with mpmath, half and quarter of it: the drawdown must find one coat's ratio from the count;
    // see the file's head
    @Tag("outside")
    void countingCoatsGivesTheHidingOfOneCoat() {
        int checked = 0;
        for (Map<String, String> row : Reference.rows("km_contrast_ratio_hiding.csv")) {
            if (number(row, "R_white") != 0.8 || number(row, "R_inf") < 0.02 || number(row, "R_inf") > 0.95) {
                continue; // the card's white is 0.80
            }
            Paint grey = Paints.brush("g", Spectrum.flat(number(row, "R_inf")).toSrgb().hex(), 0.9);
            Drawdown two = Drawdown.counted(grey, 2);
            Drawdown four = Drawdown.counted(grey, 4);
            assertThat(number(row, "CR_half")).as("two coats: %s", row).isBetween(two.hiding() - two.spread() - 0.004,
                    two.hiding() + two.spread() + 0.004);
            assertThat(number(row, "CR_quarter")).as("four coats: %s", row).isBetween(four.hiding() - four.spread() - 0.004,
                    four.hiding() + four.spread() + 0.004);
            assertThat(four.spread()).as("more coats counted, a narrower answer").isLessThan(two.spread() + 0.2);
            checked++;
        }
        assertThat(checked).isGreaterThan(2);
    }

    @Test
    void readingAStripeFindsThePaintsOwnHidingWithinItsSpread() {
        SplittableRandom random = new SplittableRandom(8);
        Drawdown.Card card = Drawdown.Card.PRINTED;
        for (double hiding : new double[] {0.35, 0.66, 0.87, 0.95}) {
            Paint paint = Paints.brush("x", "#c9a02c", hiding);
            PaintOptics optics = PaintOptics.of(paint);
            List<Srgb> black = new ArrayList<>();
            List<Srgb> white = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                black.add(noisy(optics.over(Spectrum.flat(card.black()), paint.dryCoat().value()).toSrgb(), random));
                white.add(noisy(optics.over(Spectrum.flat(card.white()), paint.dryCoat().value()).toSrgb(), random));
            }
            Drawdown found = Drawdown.read(paint, 1, card, black, white);
            assertThat(found.hiding()).as("hides %s", hiding).isCloseTo(hiding, within(found.spread() + 0.02));
            assertThat(found.spread()).as("better than the word on the label").isLessThan(Opacity.SPREAD);
        }
    }

    private static Srgb noisy(Srgb colour, SplittableRandom random) {
        return new Srgb(clamp(colour.red() + random.nextInt(-2, 3)), clamp(colour.green() + random.nextInt(-2, 3)),
                clamp(colour.blue() + random.nextInt(-2, 3)));
    }

    private static int clamp(int code) {
        return Math.max(0, Math.min(255, code));
    }

    @Test
    void nonsenseReadingsAreAnsweredInASentence() {
        Paint paint = Paints.brush("x", "#c9a02c", 0.6);
        Srgb dark = Srgb.ofHex("#303030");
        Srgb pale = Srgb.ofHex("#d0d0d0");
        assertThatThrownBy(() -> Drawdown.read(paint, 1, Drawdown.Card.PRINTED, List.of(pale), List.of(dark)))
                .hasMessageContaining("Swap the two readings");
        assertThatThrownBy(() -> Drawdown.read(paint, 1, Drawdown.Card.PRINTED, List.of(), List.of(dark)))
                .hasMessageContaining("at least once");
        assertThatThrownBy(() -> Drawdown.counted(paint, 0)).hasMessageContaining("1 to 12");
        assertThatThrownBy(() -> Drawdown.dryingShift(List.of(pale), List.of(dark))).hasMessageContaining("same patch twice");
        assertThat(Drawdown.dryingShift(List.of(Srgb.ofHex("#808080")), List.of(Srgb.ofHex("#7a7a7a")))).isBetween(2.0, 3.0);
    }

    // --- eyes

    @Test
    @Tag("outside") // colorspacious 1.1.2 after Machado, Oliveira and Fernandes 2009; see the file's head
    void colourBlindEyesSeeWhatAnIndependentLibrarySays() {
        for (Map<String, String> row : Reference.rows("colour_vision.csv")) {
            Srgb colour = Srgb.ofHex(row.get("hex"));
            for (ColourVision eyes : List.of(ColourVision.PROTAN, ColourVision.DEUTAN, ColourVision.TRITAN)) {
                Srgb seen = eyes.seen(colour);
                Srgb wanted = Srgb.ofHex(row.get(eyes.name().toLowerCase()));
                assertThat(Math.abs(seen.red() - wanted.red()) + Math.abs(seen.green() - wanted.green())
                        + Math.abs(seen.blue() - wanted.blue())).as("%s %s", eyes, row).isLessThanOrEqualTo(2);
            }
        }
        assertThat(ColourVision.leastDifference(Srgb.ofHex("#b04030"), Srgb.ofHex("#6b6a2c"))).as("red and olive are near for some eyes")
                .isLessThan(ColourVision.USUAL.difference(Srgb.ofHex("#b04030"), Srgb.ofHex("#6b6a2c")) / 2);
    }

    @Test
    @Tag("outside") // W3C Recommendation WCAG 2.1, cross-checked against four libraries; see the file's head
    void contrastIsThatOfWcag() {
        for (Map<String, String> row : Reference.rows("wcag_contrast.csv")) {
            assertThat(ColourVision.contrast(Srgb.ofHex(row.get("colour1")), Srgb.ofHex(row.get("colour2")))).as("%s", row)
                    .isCloseTo(number(row, "contrast"), within(1e-3)); // its weights are rounded to four digits;
        }
    }

    @Test
    void differencesAreNamedAsTheyAre() {
        Lab grey = new Lab(50, 0, 0);
        assertThat(ColourWords.off(new Lab(57, 0, 0), grey)).isEqualTo("lighter");
        assertThat(ColourWords.off(new Lab(48, 0, 0), grey)).isEqualTo("a little darker");
        assertThat(ColourWords.off(new Lab(50.5, 0.4, 0), grey)).isEmpty();
        assertThat(ColourWords.name(Lab.of(Srgb.ofHex("#f2c21b")))).contains("yellow");
        assertThat(ColourWords.name(Lab.of(Srgb.ofHex("#1f4e9c")))).contains("blue");
        assertThat(ColourWords.name(Lab.of(Srgb.ofHex("#4a3426")))).contains("brown");
    }

    @Test
    void everyKindOfPaintSaysWhatItCanDoAndNoMediumIsTakenForAColour() {
        for (PaintKind kind : PaintKind.values()) {
            assertThat(Arrays.stream(PaintKind.Use.values()).filter(kind::does)).as("%s can do something", kind).isNotEmpty();
            if (kind.does(PaintKind.Use.MEDIUM)) {
                assertThat(Arrays.stream(PaintKind.Use.values()).filter(kind::does)).as("%s is no colour", kind).doesNotContain(
                        PaintKind.Use.FILLS, PaintKind.Use.DRAWS, PaintKind.Use.MIXES, PaintKind.Use.PRIMES, PaintKind.Use.GLAZES);
            }
            Paint paint = Paint.usual("some", "some", kind, Srgb.ofHex("#808080"), new Millilitres(9));
            Shelf shelf = new Shelf(List.of(paint));
            for (PaintKind.Use use : PaintKind.Use.values()) {
                assertThat(shelf.that(use)).hasSize(kind.does(use) ? 1 : 0);
            }
        }
        for (PaintKind.Use use : PaintKind.Use.values()) {
            assertThat(Arrays.stream(PaintKind.values()).filter(kind -> kind.does(use))).as("some kind is taken where one %s", use)
                    .isNotEmpty();
        }
    }

    @Test
    // a glaze in the mix lets what is below through however many coats there are (common practice, no source)
    void aRecipeForCoverTakesNoGlaze() {
        Srgb wanted = Srgb.ofHex("#e8d9a0");
        Paint glaze = Paint.usual("glaze", "glaze", PaintKind.GLAZE, wanted, new Millilitres(30));
        Shelf shelf = new Shelf(List.of(glaze, Paints.brush("white", "#f6f3ea", 0.9), Paints.brush("ochre", "#c99a3a", 0.9)));
        RecipeSearch.Recipe found = RecipeSearch.nearest(Lab.of(wanted), new Palette(shelf), 8, 3).orElseThrow();
        assertThat(found.mix().parts()).extracting(Mix.Part::paint).doesNotContain("glaze").isNotEmpty();
    }

    @Test
    @Tag("outside") // few mixes, small whole parts: nobody measures 45 : 21 : 4 : 2 (common practice, no source)
    void aMixThatAHandMeasuresHasTwelvePartsAtMostAndIsNearlyTheSame() {
        Mix fine = new Mix(List.of(new Mix.Part("night", 45), new Mix.Part("plum", 21), new Mix.Part("rose", 4), new Mix.Part("white", 2)));
        Mix measured = fine.inAtMost(12);
        assertThat(measured.totalParts()).isLessThanOrEqualTo(12);
        assertThat(measured.parts().get(0).paint()).isEqualTo("night");
        java.util.SplittableRandom random = new java.util.SplittableRandom(3);
        for (int i = 0; i < 300; i++) {
            Mix any = new Mix(List.of(new Mix.Part("a", 1 + random.nextInt(90)), new Mix.Part("b", 1 + random.nextInt(90)),
                    new Mix.Part("c", 1 + random.nextInt(90))));
            Mix near = any.inAtMost(12);
            assertThat(near.totalParts()).isBetween(1, 12);
            for (Mix.Part part : any.parts()) {
                double now = near.parts().stream().filter(p -> p.paint().equals(part.paint())).mapToInt(Mix.Part::parts).sum();
                assertThat(now / near.totalParts()).as("%s of %s", part, any)
                        .isCloseTo((double) part.parts() / any.totalParts(), org.assertj.core.api.Assertions.within(0.065));
            }
            assertThat(near.inAtMost(12)).as("what can be measured stays").isEqualTo(near);
        }
        assertThat(new Mix(List.of(new Mix.Part("a", 30), new Mix.Part("b", 15))).inAtMost(12))
                .isEqualTo(new Mix(List.of(new Mix.Part("a", 2), new Mix.Part("b", 1))));
    }
}
