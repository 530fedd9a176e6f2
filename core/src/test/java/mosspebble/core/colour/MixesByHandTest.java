package mosspebble.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.Paints;
import mosspebble.core.colour.PaintKind.Use;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Mixes, their coats, rungs, nudges and names, worked out by hand. */
class MixesByHandTest {

    private static Mix mix(Object... counted) {
        List<Mix.Part> parts = new ArrayList<>();
        for (int i = 0; i < counted.length; i += 2) {
            parts.add(new Mix.Part((String) counted[i], (int) counted[i + 1]));
        }
        return new Mix(parts);
    }

    /** A thick paint of many solids that dries much darker, and a thin one. */
    private static Palette palette() {
        Paint thick = film(Paints.brush("thick", "#b3261e", 0.9), 80, 0.5, 4);
        Paint thin = film(Paints.brush("thin", "#1f4e9c", 0.9), 40, 0.3, -2);
        Paint grey = Paints.brush("grey", "#8b8b89", 0.95);
        Paint glaze = Paint.usual("glaze", "glaze", PaintKind.GLAZE, Srgb.ofHex("#c9a074"), new Millilitres(30));
        return new Palette(new Shelf(List.of(thick, thin, Paints.brush("white", "#f6f4ee", 0.9), Paints.brush("black", "#1a1a1c", 0.98),
                grey, glaze, Paint.usual("whitest", "whitest", PaintKind.PEN, Srgb.ofHex("#ffffff"), new Millilitres(6)),
                Paint.usual("darkest", "darkest", PaintKind.PEN, Srgb.ofHex("#000000"), new Millilitres(6)))));
    }

    private static Paint film(Paint paint, double wetUm, double solids, double shift) {
        return paint.withFilm(new Paint.Film(paint.binder(), paint.finish(), new Micrometres(wetUm), solids, shift));
    }

    // --- mixes

    @Test
    void aTouchIsTheOnePaintMoreOverAllElseInItsShares() {
        Mix base = mix("rust", 2, "sand", 1);
        assertThat(mix("rust", 4, "sand", 2, "soot", 1).touchOver(base)).contains(new Mix.Part("soot", 1));
        assertThat(mix("soot", 3, "rust", 2, "sand", 1).touchOver(base)).contains(new Mix.Part("soot", 3));
        assertThat(mix("rust", 4, "sand", 1, "soot", 1).touchOver(base)).as("other shares").isEmpty();
        assertThat(mix("rust", 1, "sand", 2, "soot", 1).touchOver(base)).isEmpty();
        assertThat(mix("rust", 2, "sand", 1).touchOver(base)).as("nothing more").isEmpty();
        assertThat(mix("rust", 2, "moss", 1, "soot", 1).touchOver(base)).as("two that it does not hold").isEmpty();
        assertThat(mix("rust", 2, "soot", 1).touchOver(Mix.of("rust"))).as("a pot is no mix").isEmpty();
    }

    @Test
    void stirredTogetherEachCountsByItsParts() {
        // three parts of 2 : 1 are two and one; to that one part of 1 : 1 is a half of each: 5, 2 and 1 in halves
        assertThat(mix("a", 2, "b", 1).with(3, mix("a", 1, "c", 1), 1)).isEqualTo(mix("a", 5, "b", 2, "c", 1));
        assertThat(mix("a", 2, "b", 1).with(1, Mix.of("c"), 2)).isEqualTo(mix("a", 2, "b", 1, "c", 6));
    }

    @ParameterizedTest // the fewest whose shares are within 2 % of what is wanted
    @CsvSource({"10,6,12,5,3", "24,1,12,1,0", "100,50,12,2,1", "17,8,12,2,1", "100,9,12,9,1", "2,1,3,2,1", "7,5,11,3,2"})
    void aMixIsMeasuredInFewWholeParts(int first, int second, int most, int a, int b) {
        assertThat(mix("a", first, "b", second).inAtMost(most)).isEqualTo(b == 0 ? Mix.of("a") : mix("a", a, "b", b));
    }

    // --- coats of mixes

    @Test
    void aMixHasTheCoatSolidsAndShiftOfItsParts() {
        Palette.Colour colour = palette().colour(mix("thick", 3, "thin", 1)).orElseThrow();
        assertThat(colour.wetUm()).isCloseTo(0.75 * 80 + 0.25 * 40, within(1e-9));
        assertThat(colour.solids()).isCloseTo(0.75 * 0.5 + 0.25 * 0.3, within(1e-9));
        assertThat(colour.dryingShift()).isCloseTo(0.75 * 4 - 0.25 * 2, within(1e-9));
        assertThat(colour.dryUm()).isCloseTo(70 * 0.45, within(1e-9));
        assertThat(palette().colour(mix("thick", 1, "gone", 1))).isEmpty();
        Palette.Colour named = colour.as(Mix.of("thin"));
        assertThat(named.mix()).isEqualTo(Mix.of("thin"));
        assertThat(named.optics()).isSameAs(colour.optics());
    }

    /** Poured into each other on the stone they come to what the same parts come to in the dish. */
    @Test
    void whatRunsIntoEachOtherOnTheStoneIsWhatIsMixedInADish() {
        Palette palette = palette();
        Palette.Colour dish = palette.colour(mix("thick", 3, "thin", 1)).orElseThrow();
        Palette.Colour stone = palette.colour(Mix.of("thick")).orElseThrow().into(palette.colour(Mix.of("thin")).orElseThrow(), 0.25);
        assertThat(stone.wetUm()).isCloseTo(dish.wetUm(), within(1e-9));
        assertThat(stone.solids()).isCloseTo(dish.solids(), within(1e-9));
        assertThat(stone.dryingShift()).isCloseTo(dish.dryingShift(), within(1e-9));
        assertThat(stone.lab().differenceTo(dish.lab())).isLessThan(1e-6);
        assertThat(stone.mix()).isEqualTo(Mix.of("thick"));
    }

    @Test
    void aCoatIsWorthAsMuchAsTheSpreadOfItsHidingLeavesOpen() {
        Palette palette = new Palette(new Shelf(List.of(Paints.brush("a", "#b3261e", 0.8).withHiding(0.8, 0.08),
                Paints.brush("b", "#1f4e9c", 0.9).withHiding(0.9, 0.04), Paints.brush("sure", "#1f4e9c", 0.9).withHiding(0.9, 0))));
        for (Mix mix : List.of(Mix.of("a"), mix("a", 1, "b", 3))) {
            Palette.Colour colour = palette.colour(mix).orElseThrow();
            double spread = mix.isSingle() ? 0.08 : (0.08 + 3 * 0.04) / 4;
            double usual = colour.optics().contrastRatio(colour.dryUm());
            Palette.Worth worth = palette.worth(mix);
            assertThat(worth.low()).isBetween(0.2, 1.0);
            assertThat(worth.high()).isBetween(1.0, 5.0);
            assertThat(colour.optics().contrastRatio(worth.low() * colour.dryUm())).isCloseTo(usual - spread, within(1e-4));
            assertThat(colour.optics().contrastRatio(worth.high() * colour.dryUm())).isCloseTo(
                    Math.max(usual, Math.min(0.999, usual + spread)), within(1e-4));
        }
        assertThat(palette.worth(Mix.of("sure"))).isEqualTo(Palette.Worth.SURE);
        assertThatThrownBy(() -> palette.worth(Mix.of("gone"))).hasMessageContaining("gone");
    }

    @Test
    void onlySlotsWhosePaintsAreThereHaveAColourInTheirOrder() {
        Map<String, Mix> mixes = new LinkedHashMap<>();
        mixes.put("roof", Mix.of("thick"));
        mixes.put("wall", Mix.of("gone"));
        mixes.put("door", mix("thin", 1, "white", 2));
        assertThat(palette().colours(mixes).keySet()).containsExactly("roof", "door");
        assertThat(palette().colours(mixes).get("door").mix()).isEqualTo(mix("thin", 1, "white", 2));
    }

    // --- rungs

    /** The way walked from colour to colour, summed in far finer steps than the ladder takes; a rung lies as near as parts allow. */
    @ParameterizedTest
    @CsvSource({"thick,white,5", "thin,black,4", "grey,thin,7", "white,black,9", "thick,thin,3"})
    void aRungLiesWhereItsShareOfTheWayIsWalked(String from, String to, int steps) {
        Palette palette = palette();
        Palette.Colour first = palette.colour(Mix.of(from)).orElseThrow();
        Palette.Colour last = palette.colour(Mix.of(to)).orElseThrow();
        int fine = 2_000;
        double[] walked = new double[fine + 1];
        Lab before = first.lab();
        for (int i = 1; i <= fine; i++) {
            Lab now = first.into(last, (double) i / fine).lab();
            walked[i] = walked[i - 1] + before.differenceTo(now);
            before = now;
        }
        List<Ladder.Rung> rungs = Ladder.between(Mix.of(from), Mix.of(to), steps, palette);
        assertThat(rungs.get(0).ratio()).isEqualTo("pure");
        assertThat(rungs.get(rungs.size() - 1).ratio()).isEqualTo("other");
        if (rungs.size() == steps) { // none fell together with another
            for (int k = 1; k < steps - 1; k++) {
                int at = 0;
                while (walked[at] < walked[fine] * k / (steps - 1)) {
                    at++;
                }
                double share = (double) at / fine;
                double taken = (double) rungs.get(k).second() / (rungs.get(k).first() + rungs.get(k).second());
                assertThat(Math.abs(taken - share)).as("rung %s, share %s", rungs.get(k).ratio(), share)
                        .isLessThanOrEqualTo(nearest(share) + 0.003);
                assertThat(rungs.get(k).ratio()).isEqualTo(rungs.get(k).first() + " : " + rungs.get(k).second());
            }
        }
        assertThat(Ladder.rungsFor(first, last, walked[fine] / 3.5, 50)).isEqualTo(5);
        assertThat(Ladder.rungsFor(first, last, walked[fine] / 3.5, 4)).isEqualTo(4);
        assertThat(Ladder.rungsFor(first, last, 2 * walked[fine], 9)).isEqualTo(2);
    }

    /** How far the nearest ratio of up to twelve parts misses a share; beyond the last of them, one part to as many as it takes. */
    private static double nearest(double share) {
        double least = 1;
        for (int total = 2; total <= 12; total++) {
            for (int second = 1; second < total; second++) {
                least = Math.min(least, Math.abs((double) second / total - share));
            }
        }
        return share < 0.5 / 12 || share > 1 - 0.5 / 12 ? 0.01 : least;
    }

    @Test
    void aLadderEndsAtABrushPaintNotAtAPen() {
        assertThat(Ladder.end(palette(), true).map(Paint::id)).contains("white");
        assertThat(Ladder.end(palette(), false).map(Paint::id)).contains("black");
        assertThat(Ladder.end(new Palette(new Shelf(List.of())), true)).isEqualTo(Optional.empty());
    }

    // --- nudges

    @Test
    void towardIsMeasuredAlongTheWay() {
        Lab from = new Lab(50, 10, 20);
        Lab to = new Lab(60, 13, 24);
        double chroma = Math.sqrt(13 * 13 + 24 * 24) - Math.sqrt(500);
        double warmth = 3 * Math.cos(Math.toRadians(50)) + 4 * Math.sin(Math.toRadians(50));
        assertThat(Nudge.Toward.LIGHTER.along(from, to)).isCloseTo(10, within(1e-9));
        assertThat(Nudge.Toward.DARKER.along(from, to)).isCloseTo(-10, within(1e-9));
        assertThat(Nudge.Toward.BRIGHTER.along(from, to)).isCloseTo(chroma, within(1e-9));
        assertThat(Nudge.Toward.DULLER.along(from, to)).isCloseTo(-chroma, within(1e-9));
        assertThat(Nudge.Toward.WARMER.along(from, to)).isCloseTo(warmth, within(1e-9));
        assertThat(Nudge.Toward.COOLER.along(from, to)).isCloseTo(-warmth, within(1e-9));
    }

    /** On greys nothing goes astray but for a little: the change whose step of lightness is nearest to four is the one. */
    @Test
    void aGreyIsMadeLighterByTheStepThatIsNeitherTooSmallNorTooLarge() {
        Palette greys = new Palette(new Shelf(List.of(Paints.brush("white", "#f2f2f2", 0.9), Paints.brush("black", "#202020", 0.98))));
        for (Mix mix : List.of(mix("white", 1, "black", 1), mix("white", 3, "black", 1), mix("white", 5, "black", 2))) {
            double now = greys.colour(mix).orElseThrow().lab().l();
            double best = Double.NEGATIVE_INFINITY;
            Mix expected = null;
            int finest = Math.max(1, Math.min(4, 12 / mix.totalParts()));
            for (int times = 1; times <= finest; times++) {
                int white = mix.parts().get(0).parts() * times;
                int black = mix.parts().get(1).parts() * times;
                for (int[] each : new int[][] {{white + 1, black}, {white, black - 1}}) {
                    Mix changed = each[1] == 0 ? Mix.of("white") : mix("white", each[0], "black", each[1]);
                    double step = greys.colour(changed).orElseThrow().lab().l() - now;
                    double good = step <= 4 ? step : 4 - 0.3 * (step - 4);
                    if (step >= 0.8 && good > best) {
                        best = good;
                        expected = changed;
                    }
                }
            }
            Nudge.Move move = Nudge.of(mix, Nudge.Toward.LIGHTER, greys).orElseThrow();
            assertThat(move.mix()).as("%s", mix).isEqualTo(expected);
            assertThat(move.along()).isCloseTo(greys.colour(expected).orElseThrow().lab().l() - now, within(1e-9));
            assertThat(move.words()).matches("one part (more white|less black)(, the rest times [234])?");
        }
    }

    @Test
    void aNudgeKeepsToThreePaintsAndToWhatMixes() {
        Palette palette = palette();
        Mix three = mix("thick", 2, "thin", 1, "grey", 1);
        for (Nudge.Toward toward : Nudge.Toward.values()) {
            Nudge.of(three, toward, palette).ifPresent(move -> {
                assertThat(move.mix().parts()).as("%s", toward).hasSizeLessThanOrEqualTo(3)
                        .allMatch(p -> Set.of("thick", "thin", "grey").contains(p.paint()));
                assertThat(move.along()).isGreaterThanOrEqualTo(0.8);
            });
        }
        assertThat(Nudge.of(Mix.of("whitest"), Nudge.Toward.DARKER, palette)).as("what is in a pen is not mixed").isEmpty();
        assertThat(Nudge.of(Mix.of("gone"), Nudge.Toward.DARKER, palette)).isEmpty();
        assertThat(Nudge.of(Mix.of("black"), Nudge.Toward.DARKER, new Palette(new Shelf(List.of(Paints.brush("black", "#1a1a1c", 0.98))))))
                .isEmpty();
    }

    // --- names

    /** On the borders: what reaches a border belongs to what lies beyond it. */
    @ParameterizedTest
    @CsvSource({"11.9,0,0,black", "12,0,0,dark grey", "38,0,0,grey", "37.9,0,0,dark grey", "74,0,0,grey", "74.1,0,0,pale grey",
        "93,0,0,pale grey", "93.1,0,0,white", "50,6.9,0,grey", "50,7,0,dull pink red", "50,22,0,pink red", "50,21.9,0,dull pink red",
        "50,62,0,pink red", "50,62.1,0,bright pink red", "34,30,0,pink red", "33.9,30,0,dark pink red", "78,30,0,pink red",
        "78.1,30,0,pale pink red", "40,0,30,yellow", "40,5,30,brown", "48,5,30,golden yellow", "40,5,38,golden yellow"})
    void aNameHasItsBorders(double l, double a, double b, String name) {
        assertThat(ColourWords.name(new Lab(l, a, b))).isEqualTo(name);
    }

    @ParameterizedTest
    @CsvSource({"1.4,''", "1.5,a little lighter", "-1.5,a little darker", "3.9,a little lighter", "4,lighter", "9.9,lighter",
        "10,much lighter", "-10,much darker"})
    void howMuchLighterIsSaidByItsBorders(double more, String words) {
        assertThat(ColourWords.off(new Lab(40 + more, 0, 0), new Lab(40, 0, 0))).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({"2.9,''", "3,a little brighter", "8,brighter", "20,much brighter", "-3,a little duller", "-8,duller"})
    void howMuchBrighterIsSaidByItsBorders(double more, String words) {
        String said = ColourWords.off(new Lab(40, 30 + more, 0), new Lab(40, 30, 0));
        assertThat(said).isEqualTo(words);
    }

    // --- kinds and pots

    @Test
    void aKindIsLaidAsItsUsesSay() {
        assertThat(kinds(k -> !k.laidAsPaint())).containsExactlyInAnyOrder(PaintKind.POWDER, PaintKind.FLAKES, PaintKind.LEAF,
                PaintKind.GEM);
        assertThat(kinds(PaintKind::counted)).containsExactly(PaintKind.GEM);
        assertThat(kinds(PaintKind::pen)).containsExactlyInAnyOrder(PaintKind.PEN, PaintKind.INK);
        assertThat(kinds(PaintKind::mixable)).containsExactlyInAnyOrder(PaintKind.BRUSH, PaintKind.GLAZE);
        assertThat(kinds(PaintKind::letsThrough)).containsExactlyInAnyOrder(PaintKind.GLAZE, PaintKind.GLITTER, PaintKind.COLOUR_SHIFT,
                PaintKind.CRACKLE, PaintKind.GEL, PaintKind.MICA, PaintKind.SIZE, PaintKind.GLOW, PaintKind.WASH, PaintKind.GLUE,
                PaintKind.ISOLATING, PaintKind.VARNISH);
        assertThat(kinds(PaintKind::clear)).allMatch(k -> k.does(Use.MEDIUM)).hasSize(6);
        assertThat(EnumSet.allOf(PaintKind.class)).extracting(PaintKind::label).doesNotHaveDuplicates().allMatch(l -> !l.isBlank());
    }

    private static List<PaintKind> kinds(java.util.function.Predicate<PaintKind> which) {
        return EnumSet.allOf(PaintKind.class).stream().filter(which).toList();
    }

    @Test
    void aPotIsAsItWasFilled() {
        Paint pen = Paint.usual("p", "Pen", PaintKind.PEN, Srgb.ofHex("#112233"), new Millilitres(6));
        assertThat(pen.hasNib()).isTrue();
        assertThat(pen.left().value()).isEqualTo(6);
        assertThat(pen.binder()).isEqualTo(Binder.ACRYLIC);
        assertThat(pen.finish()).isEqualTo(Finish.MATT);
        assertThat(pen.withFinish(Finish.GLOSS).finish()).isEqualTo(Finish.GLOSS);
        assertThat(pen.withDryingShift(3).dryingShift()).isEqualTo(3);
        assertThat(pen.dryCoat().value()).isCloseTo(18 * 0.40, within(1e-9));
        assertThat(pen.withHiding(0.5, 0.1).hidingSpread()).isEqualTo(0.1);
        assertThat(Paint.usual("b", "Brush", PaintKind.BRUSH, Srgb.ofHex("#112233"), new Millilitres(6)).hasNib()).isFalse();
        Paint gem = Paint.usual("g", "Gem", PaintKind.GEM, Srgb.ofHex("#112233"), new Millilitres(6));
        assertThat(gem.hasNib()).as("its tip is its width").isFalse();
        assertThat(gem.tip()).isNotEqualTo(new Millimetres(0));
        assertThat(Paint.idOf("  Straw Yellow, 2 ")).isEqualTo("straw-yellow-2");
        assertThat(Paint.idOf("***")).isEqualTo("paint");
    }
}
