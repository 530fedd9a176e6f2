package mosspebble.core.supplies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import mosspebble.core.units.Millilitres;
import org.junit.jupiter.api.Test;

class JarTest {

    private static PaintUse use(String paint, double needed, double left) {
        return new PaintUse(paint, new Millilitres(needed), new Millilitres(left));
    }

    @Test
    void whatSeveralStonesTakeIsAddedUpAndTheStoneAtWhichItRunsOutIsNamed() {
        Map<String, List<PaintUse>> stones = new LinkedHashMap<>();
        stones.put("owl", List.of(use("white", 4, 10), use("black", 1, 50)));
        stones.put("fox", List.of(use("white", 5, 10), use("red", 2, 2)));
        stones.put("moon", List.of(use("white", 3, 10), use("black", 4, 50)));
        List<Jar> jars = Jar.of(stones);
        assertThat(jars).extracting(Jar::paint).as("what runs out first, then what is nearly used up").containsExactly("white", "red",
                "black");
        Jar white = jars.get(0);
        assertThat(white.needed().value()).isEqualTo(12);
        assertThat(white.runsOutAt()).as("4 and 5 of 10 ml are there, not 3 more").contains("moon");
        assertThat(white.after().value()).isZero();
        assertThat(white.missing().value()).isEqualTo(2);
        assertThat(jars.get(1).runsOutAt()).as("just enough").isEmpty();
        assertThat(jars.get(2).after().value()).isEqualTo(45);
    }

    @Test
    void theFirstStoneForWhichItDoesNotReachIsNamedNotTheLast() {
        Map<String, List<PaintUse>> stones = new LinkedHashMap<>();
        stones.put("owl", List.of(use("white", 6, 10)));
        stones.put("fox", List.of(use("white", 6, 10)));
        stones.put("moon", List.of(use("white", 6, 10)));
        assertThat(Jar.of(stones).get(0).runsOutAt()).contains("fox");
        assertThat(Jar.of(Map.of())).isEmpty();
    }

    @Test
    void whatIsBoughtIsRoundedUpToWholeJars() {
        Jar white = Jar.of(Map.of("owl", List.of(use("white", 51, 10)))).get(0); // 41 ml are missing
        assertThat(white.toBuy(20)).isEqualTo(3);
        assertThat(white.toBuy(41)).isEqualTo(1);
        assertThat(white.toBuy(0)).as("not known what one holds").isZero();
        assertThat(Jar.of(Map.of("owl", List.of(use("white", 9, 10)))).get(0).toBuy(20)).isZero();
    }

    @Test
    void nothingIsLostOrMadeUp() {
        SplittableRandom random = new SplittableRandom(4);
        for (int k = 0; k < 100; k++) {
            Map<String, List<PaintUse>> stones = new LinkedHashMap<>();
            double all = 0;
            for (int s = 0; s < 5; s++) {
                double needed = random.nextDouble(0, 9);
                all += needed;
                stones.put("stone " + s, List.of(use("white", needed, 20)));
            }
            Jar jar = Jar.of(stones).get(0);
            assertThat(jar.needed().value()).isCloseTo(all, within(1e-9));
            assertThat(jar.after().value() - jar.missing().value()).isCloseTo(20 - all, within(1e-9));
            assertThat(jar.runsOutAt().isPresent()).isEqualTo(all > 20);
        }
    }
}
