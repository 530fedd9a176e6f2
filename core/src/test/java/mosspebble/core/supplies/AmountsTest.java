package mosspebble.core.supplies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.colour.Mix;
import mosspebble.core.units.Millilitres;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class AmountsTest {

    @Test
    // theoretical spreading rate: a litre at 100 µm wet covers 10 m2, so 1 mL covers 100 cm2 (coatings handbooks, from memory)
    @Tag("outside")
    void aMillilitreCoversAHundredSquareCentimetresAtAHundredMicrometres() {
        assertThat(PaintUse.spread(10_000, 100, 1).value()).isCloseTo(1 + PaintUse.LOSS, within(1e-12));
        assertThat(PaintUse.spread(10_000_000, 100, 1).value() / 1000).as("litres for 10 m2").isCloseTo(1 + PaintUse.LOSS, within(1e-9));
        assertThat(PaintUse.spread(5_000, 60, 2).value()).as("half the place, 60 µm, twice").isCloseTo(0.6 * 1.2, within(1e-12));
        assertThat(PaintUse.spread(0, 60, 2).value()).isZero();
    }

    /** A millilitre is 1,000 mm3; a line of 0.7 mm by 20 µm has 0.014 mm2: 71.4 m, of which a fifth more is filled in than is written. */
    @Test
    void aPenWritesItsVolumeOverTheCutOfItsLine() {
        assertThat(PaintUse.penMetres(new Millilitres(1), 0.7, 20)).isCloseTo(1000 / 0.014 / 1000 / 1.2, within(1e-9));
        assertThat(PaintUse.penMetres(new Millilitres(3), 0.7, 20)).isCloseTo(3 * PaintUse.penMetres(new Millilitres(1), 0.7, 20),
                within(1e-9));
        assertThat(PaintUse.penMetres(new Millilitres(0), 0.7, 20)).isZero();
        for (double bad : new double[] {0, -1, Double.NaN}) {
            assertThatThrownBy(() -> PaintUse.penMetres(new Millilitres(1), bad, 20)).isInstanceOf(IllegalArgumentException.class);
            assertThatThrownBy(() -> PaintUse.penMetres(new Millilitres(1), 0.7, bad)).isInstanceOf(IllegalArgumentException.class);
        }
    }

    @Test
    void itRunsOutOnlyWhenMoreIsNeededThanIsLeft() {
        assertThat(new PaintUse("red", new Millilitres(2.0), new Millilitres(2.0)).runsOut()).isFalse();
        assertThat(new PaintUse("red", new Millilitres(2.01), new Millilitres(2.0)).runsOut()).isTrue();
    }

    @Test
    void partsComeOutInWholeDropsAndAreEnoughButNotMuchMore() {
        SplittableRandom random = new SplittableRandom(8);
        for (int i = 0; i < 500; i++) {
            Mix mix = new Mix(List.of(new Mix.Part("a", random.nextInt(1, 7)), new Mix.Part("b", random.nextInt(1, 7))));
            double area = random.nextDouble(1, 20_000);
            int coats = random.nextInt(1, 4);
            Amounts amounts = Amounts.of(mix, area, 60, coats);
            assertThat(amounts.made().value()).isGreaterThanOrEqualTo(amounts.needed().value() - 1e-9);
            assertThat(amounts.made().value() - amounts.needed().value()).as("less than one more drop of each part is left over")
                    .isLessThan(Amounts.DROP_ML * mix.totalParts());
            double sum = 0;
            for (int k = 0; k < 2; k++) {
                Amounts.Share share = amounts.shares().get(k);
                assertThat(share.paint()).isEqualTo(mix.parts().get(k).paint());
                assertThat(share.drops()).isEqualTo(amounts.dropsPerPart() * mix.parts().get(k).parts());
                assertThat(share.volume().value()).isCloseTo(share.drops() * Amounts.DROP_ML, within(1e-9));
                sum += share.volume().value();
            }
            assertThat(sum).isCloseTo(amounts.made().value(), within(1e-9));
        }
    }

    @Test
    void aTinyPlaceStillTakesAPuddleThatCanBeStirredButASinglePaintOneDrop() {
        Amounts mixed = Amounts.of(new Mix(List.of(new Mix.Part("a", 1), new Mix.Part("b", 1))), 4, 60, 1);
        assertThat(mixed.needed().value()).as("nothing smaller can be stirred").isCloseTo(0.2, within(1e-9));
        assertThat(mixed.shares()).allSatisfy(share -> assertThat(share.drops()).isEqualTo(2));
        Amounts single = Amounts.of(Mix.of("a"), 4, 60, 1);
        assertThat(single.shares()).singleElement().satisfies(share -> assertThat(share.drops()).isEqualTo(1));
    }
}
