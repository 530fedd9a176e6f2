package mosspebble.core.supplies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.TreeSet;
import mosspebble.core.colour.Mix;
import org.junit.jupiter.api.Test;

/** Puddles on the palette: how long they serve, how small they can be (common practice, no source). */
class PuddleTest {

    private static final Mix MIX = new Mix(List.of(new Mix.Part("a", 3), new Mix.Part("b", 1)));

    private static Puddle.Load load(int step, Mix mix, double ml, int minutes) {
        return new Puddle.Load(step, mix, ml, Duration.ofMinutes(minutes));
    }

    @Test
    void onePuddleServesWhatComesWithinTwoHoursAndIsMixedAnewAfterThem() {
        List<Puddle> puddles = Puddle
                .of(List.of(load(2, MIX, 0.1, 0), load(5, MIX, 0.1, 60), load(7, MIX, 0.1, 120), load(9, MIX, 0.1, 121)));
        assertThat(puddles).extracting(Puddle::steps).containsExactly(List.of(2, 5, 7), List.of(9));
        assertThat(puddles.get(0).amounts().needed().value()).isCloseTo(0.3, within(1e-9));
        assertThat(puddles.get(1).amounts().needed().value()).as("less than four drops cannot be stirred").isCloseTo(0.2, within(1e-9));
    }

    @Test
    void theTimeCountsFromTheMixingNotFromTheLastUse() {
        List<Puddle> puddles = Puddle.of(List.of(load(0, MIX, 0.3, 0), load(1, MIX, 0.3, 100), load(2, MIX, 0.3, 200)));
        assertThat(puddles).extracting(Puddle::steps).containsExactly(List.of(0, 1), List.of(2));
    }

    @Test
    void differentMixesDoNotShareAndTheOrderIsThatOfTheWork() {
        Mix other = new Mix(List.of(new Mix.Part("a", 1), new Mix.Part("b", 1)));
        List<Puddle> puddles = Puddle
                .of(List.of(load(4, other, 0.3, 20), load(1, MIX, 0.3, 0), load(6, MIX, 0.3, 25), load(4, Mix.of("a"), 0.3, 20)));
        assertThat(puddles).extracting(Puddle::steps).containsExactly(List.of(1, 6), List.of(4), List.of(4));
        assertThat(puddles.get(0).mix()).isEqualTo(MIX);
        assertThat(Puddle.of(List.of())).isEmpty();
    }

    @Test
    void everyLoadIsInOnePuddleOfItsMixAndNothingIsShort() {
        SplittableRandom random = new SplittableRandom(77);
        for (int run = 0; run < 40; run++) {
            List<Puddle.Load> loads = new ArrayList<>();
            int minutes = 0;
            for (int i = 0; i < 30; i++) {
                minutes += random.nextInt(0, 25);
                Mix mix = new Mix(List.of(new Mix.Part("a", random.nextInt(1, 3)), new Mix.Part("b", random.nextInt(1, 3))));
                loads.add(load(i, mix, random.nextDouble(0.001, 1.5), minutes));
            }
            List<Puddle> puddles = Puddle.of(loads);
            TreeSet<Integer> served = new TreeSet<>();
            for (Puddle puddle : puddles) {
                double ml = 0;
                for (int step : puddle.steps()) {
                    assertThat(served.add(step)).as("step %d once", step).isTrue();
                    assertThat(loads.get(step).mix()).isEqualTo(puddle.mix());
                    ml += loads.get(step).ml();
                }
                assertThat(puddle.amounts().made().value()).isGreaterThanOrEqualTo(Math.max(Amounts.LEAST_ML, ml) - 1e-9);
                Duration open = loads.get(puddle.steps().get(puddle.steps().size() - 1)).start()
                        .minus(loads.get(puddle.steps().get(0)).start());
                assertThat(open).isLessThanOrEqualTo(Puddle.KEPT);
            }
            assertThat(served).hasSize(30);
        }
    }

    private static final Mix BASE = new Mix(List.of(new Mix.Part("a", 2), new Mix.Part("b", 1)));
    private static final Mix SHADE = new Mix(List.of(new Mix.Part("a", 6), new Mix.Part("b", 3), new Mix.Part("umber", 2)));

    @Test
    // shades are the base plus one touch (common practice, no source)
    void aShadeIsBegunFromItsBaseWhileThatIsDamp() {
        List<Puddle> puddles = Puddle.of(List.of(load(1, BASE, 0.5, 0), load(4, SHADE, 0.02, 40)));
        Puddle base = puddles.get(0);
        Puddle shade = puddles.get(1);
        assertThat(shade.from()).contains(BASE);
        assertThat(shade.amounts().shares()).singleElement().satisfies(s -> {
            assertThat(s.paint()).isEqualTo("umber");
            assertThat(s.drops()).isEqualTo(1);
        });
        assertThat(shade.amounts().made().value()).as("a drop of umber in nine halves of it").isCloseTo(0.05 * 11 / 2, within(1e-9));
        assertThat(base.amounts().needed().value()).as("the base is made larger by what is taken").isCloseTo(0.5 + 0.05 * 9 / 2,
                within(1e-9));
        List<Puddle> late = Puddle.of(List.of(load(1, BASE, 0.5, 0), load(4, SHADE, 0.02, 121)));
        assertThat(late.get(1).from()).as("the base has dried up").isEmpty();
        assertThat(late.get(1).amounts().shares()).hasSize(3);
        assertThat(late.get(0).amounts().needed().value()).isCloseTo(0.5, within(1e-9));
    }

    @Test
    void onlyTheSameSharesAndOnePaintMoreMakeATouch() {
        assertThat(SHADE.touchOver(BASE)).contains(new Mix.Part("umber", 2));
        assertThat(SHADE.touchOver(new Mix(List.of(new Mix.Part("a", 1), new Mix.Part("b", 1))))).as("other shares").isEmpty();
        assertThat(MIX.touchOver(Mix.of("a"))).as("a single paint is squeezed out anew").isEmpty();
        assertThat(BASE.touchOver(BASE)).isEmpty();
        assertThat(BASE.touchOver(SHADE)).isEmpty();
        Mix other = new Mix(List.of(new Mix.Part("a", 2), new Mix.Part("c", 1), new Mix.Part("umber", 1)));
        assertThat(other.touchOver(BASE)).as("two paints are others").isEmpty();
    }

    @Test
    void aShadeOfAShadeTakesFromBoth() {
        Mix deeper = new Mix(List.of(new Mix.Part("a", 6), new Mix.Part("b", 3), new Mix.Part("umber", 2), new Mix.Part("soot", 1)));
        List<Puddle> puddles = Puddle.of(List.of(load(1, BASE, 0.3, 0), load(2, SHADE, 0.02, 20), load(3, deeper, 0.02, 30)));
        assertThat(puddles.get(2).from()).contains(SHADE);
        assertThat(puddles.get(1).from()).contains(BASE);
        double taken = puddles.get(1).amounts().made().value() * 9 / 11;
        assertThat(puddles.get(0).amounts().needed().value()).isCloseTo(0.3 + taken, within(1e-9));
    }
}
