package mosspebble.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mosspebble.core.Paints;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of colours in words, and what a shelf knows of its paints; the borders of the words are ours. */
class ShelfAndWordsTest {

    private static final Palette PALETTE = new Palette(Paints.shelf());

    @ParameterizedTest
    @CsvSource({"50,0,0,grey", "30,0,0,dark grey", "80,0,0,pale grey", "10,3,3,black", "95,3,3,white", "50,6.9,0,grey",
        "50,7.1,0,dull pink red", "50,40,20,red", "60,50,50,bright orange", "47,20,20,brown", "30,20,20,dark brown", "49,20,20,orange",
        "79,0,60,pale yellow", "77,0,63,bright yellow", "70,-8,30,yellow", "60,-40,40,green", "60,-30,40,yellow green",
        "60,-40,0,sea green", "60,-20,-30,sky blue", "60,-10,-30,blue", "33,20,-40,dark violet", "40,40,-20,purple", "50,40,-5,pink red",
        "50,20,8,dull red", "60,5,25,golden yellow"})
    void aColourHasAPlainName(double l, double a, double b, String name) {
        assertThat(ColourWords.name(new Lab(l, a, b))).isEqualTo(name);
    }

    @ParameterizedTest
    @CsvSource({"0,the same to the eye", "0.99,the same to the eye", "1,very near", "2.99,very near", "3,near", "5.99,near",
        "6,clearly different", "11.99,clearly different", "12,far off", "60,far off"})
    void aDifferenceIsSaid(double difference, String words) {
        assertThat(ColourWords.near(difference)).isEqualTo(words);
    }

    /** Chroma, hue and warmth of each pair worked by hand; warm is toward the hue of 50 degrees. */
    @Test
    void inWhichWayAColourIsOffIsSaidByWhatTheEyeNotices() {
        Lab wanted = new Lab(50, 20, 0);
        assertThat(ColourWords.off(new Lab(51.4, 20, 0), wanted)).as("nobody notices 1.4").isEmpty();
        assertThat(ColourWords.off(new Lab(52, 20, 0), wanted)).isEqualTo("a little lighter");
        assertThat(ColourWords.off(new Lab(45, 20, 0), wanted)).isEqualTo("darker");
        assertThat(ColourWords.off(new Lab(61, 20, 0), wanted)).isEqualTo("much lighter");
        assertThat(ColourWords.off(new Lab(50, 26, 0), wanted)).as("chroma 26 for 20: half the difference is 3")
                .isEqualTo("a little brighter");
        assertThat(ColourWords.off(new Lab(50, 10, 0), wanted)).as("half the difference is 5").isEqualTo("duller");
        assertThat(ColourWords.off(new Lab(52, 26, 0), wanted)).isEqualTo("a little lighter and a little brighter");
        // of chroma 20 at 45 degrees for 0: apart by 2 * 20 * sin 22.5 = 15.3, warmer by 20 (cos 5 - cos 50) = 7.1
        assertThat(ColourWords.off(polar(50, 20, 45), wanted)).isEqualTo("warmer");
        assertThat(ColourWords.off(polar(50, 20, -15), wanted)).as("apart by 5.2, cooler by 4.4").isEqualTo("a little cooler");
        assertThat(ColourWords.off(polar(50, 20, 70), polar(50, 20, 30))).as("as warm on either side of 50 degrees").isEqualTo("greener");
        assertThat(ColourWords.off(polar(50, 20, 30), polar(50, 20, 70))).isEqualTo("redder");
        assertThat(ColourWords.off(polar(40, 29, 45), wanted)).isEqualTo("much darker, brighter and warmer");
    }

    private static Lab polar(double l, double chroma, double degrees) {
        return new Lab(l, chroma * Math.cos(Math.toRadians(degrees)), chroma * Math.sin(Math.toRadians(degrees)));
    }

    @ParameterizedTest
    @CsvSource({"0,TRANSPARENT", "0.47,TRANSPARENT", "0.48,SEMI_TRANSPARENT", "0.75,SEMI_TRANSPARENT", "0.77,SEMI_OPAQUE",
        "0.91,SEMI_OPAQUE", "0.92,OPAQUE", "1,OPAQUE"})
    void theWordOnTheLabelIsTheNearest(double hiding, Opacity word) {
        assertThat(Opacity.of(hiding)).isEqualTo(word);
        assertThat(Opacity.of(word.hiding())).isEqualTo(word);
    }

    @Test
    void aPotKnowsWhatAPartOfItCosts() {
        Pot pot = new Pot(new Millilitres(12), new Millilitres(20), 5);
        assertThat(pot.costOf(4)).isEqualTo(1);
        assertThat(new Pot(new Millilitres(12), new Millilitres(0), 5).costOf(4)).as("nobody knows how much it held").isZero();
        assertThat(new Pot(new Millilitres(0), new Millilitres(10_000), 100_000).costOf(10)).isEqualTo(100);
        assertThatThrownBy(() -> new Pot(new Millilitres(12), new Millilitres(20), -1)).hasMessageContaining("price must be 0 to 100000");
        assertThatThrownBy(() -> new Pot(new Millilitres(10_001), new Millilitres(20), 1)).hasMessageContaining("amount left");
        assertThatThrownBy(() -> new Pot(new Millilitres(1), new Millilitres(10_001), 1)).hasMessageContaining("size of the pot");
    }

    @Test
    void aShelfKeepsItsOrderAndItsIds() {
        Paint red = Paints.brush("red", "#b3261e", 0.9);
        Paint blue = Paints.brush("blue", "#1f4e9c", 0.9);
        Shelf shelf = new Shelf(List.of(red, blue));
        Paint weaker = red.withHiding(0.4, 0.05);
        assertThat(shelf.with(weaker).paints()).as("replaced where it stands").containsExactly(weaker, blue);
        assertThat(shelf.with(Paints.brush("green", "#2f7a3a", 0.9)).paints()).extracting(Paint::id).containsExactly("red", "blue",
                "green");
        assertThat(shelf.without("red").paints()).containsExactly(blue);
        assertThat(shelf.without("gone")).isEqualTo(shelf);
        String free = shelf.freeId("Red");
        assertThat(shelf.find(free)).isEmpty();
        Shelf second = shelf.with(red.withId(free));
        assertThat(second.freeId("Red")).isNotEqualTo(free).isNotEqualTo("red");
        assertThat(shelf.words(new Mix(List.of(new Mix.Part("red", 2), new Mix.Part("gone", 1)))))
                .isEqualTo("2 " + red.name() + " : 1 gone (not on the shelf)");
        assertThat(shelf.words(Mix.of("blue"))).isEqualTo(blue.name());
        assertThatThrownBy(() -> new Shelf(List.of(red, red))).hasMessageContaining("same id");
        List<Paint> many = IntStream.range(0, Shelf.MOST).mapToObj(i -> Paints.brush("p" + i, "#808080", 0.9)).toList();
        assertThat(new Shelf(many).paints()).hasSize(Shelf.MOST);
        assertThatThrownBy(() -> new Shelf(many).with(red)).hasMessageContaining("take some out");
    }

    @Test
    void theRungsOfALadderLookEvenlyFarApart() {
        List<Ladder.Rung> rungs = Ladder.between(Mix.of("white"), Mix.of("blue"), 6, PALETTE);
        assertThat(rungs).hasSize(6);
        assertThat(rungs.get(0).ratio()).isEqualTo("pure");
        assertThat(rungs.get(5).ratio()).isEqualTo("other");
        assertThat(rungs.get(2).ratio()).isEqualTo(rungs.get(2).first() + " : " + rungs.get(2).second());
        double whole = 0;
        double[] steps = new double[5];
        for (int i = 0; i < 5; i++) {
            steps[i] = rungs.get(i).colour().lab().differenceTo(rungs.get(i + 1).colour().lab());
            whole += steps[i];
            assertThat(rungs.get(i + 1).colour().lab().l()).as("always darker").isLessThan(rungs.get(i).colour().lab().l());
        }
        for (double step : steps) {
            assertThat(step).isCloseTo(whole / 5, within(0.35 * whole / 5));
        }
        Palette.Colour white = PALETTE.colour(Mix.of("white")).orElseThrow();
        Palette.Colour blue = PALETTE.colour(Mix.of("blue")).orElseThrow();
        assertThat(Ladder.rungsFor(white, blue, whole / 5, 24)).as("one more than the gaps").isBetween(6, 7);
        assertThat(Ladder.rungsFor(white, blue, 1000, 24)).isEqualTo(2);
        assertThat(Ladder.rungsFor(white, blue, 0.1, 24)).isEqualTo(24);
        assertThat(Ladder.between(Mix.of("white"), Mix.of("white"), 5, PALETTE)).as("nothing between a colour and itself stands twice")
                .hasSizeLessThan(5);
        assertThatThrownBy(() -> Ladder.between(Mix.of("white"), Mix.of("blue"), 1, PALETTE)).hasMessageContaining("2 to 24");
        assertThatThrownBy(() -> Ladder.between(Mix.of("white"), Mix.of("blue"), 25, PALETTE)).hasMessageContaining("2 to 24");
        assertThatThrownBy(() -> Ladder.between(Mix.of("gone"), Mix.of("blue"), 3, PALETTE)).hasMessageContaining("cannot be mixed");
        assertThatThrownBy(() -> Ladder.between(Mix.of("white"), Mix.of("gone"), 3, PALETTE)).hasMessageContaining("cannot be mixed");
    }

    @Test
    void theEndsOfALadderAreTheLightestAndTheDarkestThatMix() {
        Shelf shelf = new Shelf(List.of(Paints.brush("red", "#b3261e", 0.9), Paints.brush("cream", "#f4ead0", 0.9),
                Paints.brush("soot", "#141416", 0.9)));
        assertThat(Ladder.end(new Palette(shelf), true).map(Paint::id)).hasValue("cream");
        assertThat(Ladder.end(new Palette(shelf), false).map(Paint::id)).hasValue("soot");
        assertThat(Ladder.end(new Palette(new Shelf(List.of())), true)).isEqualTo(Optional.empty());
    }

    @ParameterizedTest
    @CsvSource({"1", "2", "3", "6", "12"})
    void aStripeThatIsGoneAfterSoManyCoatsHidesNoLessThanThatNumberTells(int coats) {
        Paint paint = Paints.brush("red", "#b3261e", 0.9);
        Drawdown found = Drawdown.counted(paint, coats);
        double[] q = PaintOptics.absorption(Spectrum.of(paint.swatch()));
        double least = PaintOptics.scatterFor(q, found.hiding() - found.spread());
        assertThat(PaintOptics.contrastRatio(q, coats * least)).as("so many coats of the weakest just do").isCloseTo(0.98, within(1e-6));
        if (coats > 1) {
            double most = PaintOptics.scatterFor(q, found.hiding() + found.spread());
            assertThat(PaintOptics.contrastRatio(q, (coats - 1) * most)).as("one less of the strongest just do").isCloseTo(0.98,
                    within(1e-6));
            assertThat(found.hiding()).isLessThan(Drawdown.counted(paint, coats - 1).hiding());
        } else {
            assertThat(found.hiding() + found.spread()).isEqualTo(0.999, within(1e-9));
        }
    }

    @Test
    void whatIsNoStripeIsRefused() {
        Paint paint = Paints.brush("red", "#b3261e", 0.9);
        List<Srgb> dark = List.of(Srgb.ofHex("#803030"));
        List<Srgb> light = List.of(Srgb.ofHex("#c04040"));
        assertThatThrownBy(() -> Drawdown.counted(paint, 0)).hasMessageContaining("1 to 12 coats");
        assertThatThrownBy(() -> Drawdown.counted(paint, 13)).hasMessageContaining("glaze");
        assertThatThrownBy(() -> Drawdown.read(paint, 1, Drawdown.Card.PRINTED, light, dark)).hasMessageContaining("Swap");
        assertThatThrownBy(() -> Drawdown.read(paint, 1, Drawdown.Card.PRINTED, List.of(), dark)).hasMessageContaining("at least once");
        assertThatThrownBy(() -> Drawdown.read(paint, 1, Drawdown.Card.PRINTED, dark, List.of())).hasMessageContaining("at least once");
        assertThatThrownBy(() -> new Drawdown.Card(0.5, 0.4)).hasMessageContaining("darker than its white");
        assertThatThrownBy(() -> new Drawdown.Card(0.5, 1.1)).hasMessageContaining("0 to 1");
        assertThat(Drawdown.read(paint, 2, Drawdown.Card.PRINTED, dark, light).hiding()).as("two coats that hide little: one hides less")
                .isLessThan(Drawdown.read(paint, 1, Drawdown.Card.PRINTED, dark, light).hiding());
        assertThat(Drawdown.dryingShift(light, dark)).isEqualTo(Lab.of(light.get(0)).l() - Lab.of(dark.get(0)).l(), within(1e-9));
        assertThat(Drawdown.dryingShift(dark, light)).isNegative();
        assertThatThrownBy(() -> Drawdown.dryingShift(List.of(Srgb.ofHex("#ffffff")), dark)).hasMessageContaining("15 at most");
    }
}
