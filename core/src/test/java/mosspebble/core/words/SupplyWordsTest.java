package mosspebble.core.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Pot;
import mosspebble.core.colour.Shelf;
import mosspebble.core.supplies.Jar;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;

class SupplyWordsTest {

    private static Paint paint(String id, String name, double left, double full, double price) {
        return Paint.usual(id, name, PaintKind.BRUSH, Srgb.ofHex("#808080"), new Millilitres(left))
                .withPot(new Pot(new Millilitres(left), new Millilitres(full), price));
    }

    private static final Shelf SHELF = new Shelf(List.of(paint("white", "chalk white", 5, 20, 3), paint("red", "brick red", 8, 0, 0)));

    private static List<Jar> jars(double white, double red) {
        Map<String, List<PaintUse>> stones = new LinkedHashMap<>();
        stones.put("owl", List.of(new PaintUse("white", new Millilitres(white / 2), new Millilitres(5)),
                new PaintUse("red", new Millilitres(red), new Millilitres(8))));
        stones.put("fox", List.of(new PaintUse("white", new Millilitres(white / 2), new Millilitres(5))));
        return Jar.of(stones);
    }

    @Test
    void whatRunsOutIsNamedWithItsStoneWhatIsBoughtWithItsPrice() {
        assertThat(SupplyWords.jars(List.of(), SHELF, s -> s)).isEqualTo("Nothing is painted yet.");
        assertThat(SupplyWords.jars(jars(4, 2), SHELF, s -> s)).isEqualTo("All of it is there.");
        assertThat(SupplyWords.jars(jars(9, 2), SHELF, s -> "the " + s)).isEqualTo("Chalk white runs out at the fox.");
        assertThat(SupplyWords.jars(jars(9, 9), SHELF, s -> s)).as("at different stones").endsWith("run out.").contains("brick red");
        List<Jar> much = jars(46, 9);
        Jar white = much.stream().filter(j -> j.paint().equals("white")).findFirst().orElseThrow();
        assertThat(SupplyWords.buy(white, SHELF, s -> "the " + s)).isEqualTo("3 × chalk white (20 ml), from the owl on, 9.00");
        Jar red = much.stream().filter(j -> j.paint().equals("red")).findFirst().orElseThrow();
        assertThat(SupplyWords.buy(red, SHELF, s -> "the " + s)).isEqualTo("Brick red, 1 ml, from the owl on");
    }

    @Test
    void amountsAndCostsAreSaidAsAHandWould() {
        List<Jar> jars = jars(4, 0.01);
        assertThat(jars).extracting(j -> SupplyWords.amount(j, SHELF)).containsExactly("4 of 5 ml", "a touch of 8 ml");
        assertThat(SupplyWords.amount(jars(9, 2).get(0), SHELF)).isEqualTo("4 ml missing");
        assertThat(SupplyWords.cost(jars, SHELF)).as("4 of 20 ml for 3")
                .isEqualTo("Paint for 0.60 by your prices; of one there is no price.");
        assertThat(SupplyWords.cost(List.of(), SHELF)).isEmpty();
        assertThat(SupplyWords.cost(List.of(jars.get(1)), SHELF)).contains("on the shelf");
    }

    private static Paint pen(double left, double full) {
        return Paint.usual("fineliner", "black pen", PaintKind.PEN, Srgb.ofHex("#101010"), new Millilitres(left))
                .withTip(new Millimetres(0.5)).withPot(new Pot(new Millilitres(left), new Millilitres(full), 2));
    }

    @Test
    void aPenIsToldByTheMetresItWrites() {
        // by hand: 1 ml of a line 0.5 mm wide and 20 µm thick is 1000 / (0.5 x 0.020) mm = 100 m; a fifth more is taken than is laid
        assertThat(PaintUse.penMetres(new Millilitres(1.2), 0.5, 20)).isCloseTo(100, within(1e-9));
        assertThatThrownBy(() -> PaintUse.penMetres(new Millilitres(1), 0, 20)).isInstanceOf(IllegalArgumentException.class);
        Paint pen = pen(1.2, 2.4);
        double perMl = PaintUse.penMetres(new Millilitres(1), 0.5, pen.film().wetCoat().value());
        Shelf shelf = new Shelf(List.of(pen));
        Jar enough = Jar.of(Map.of("owl", List.of(new PaintUse("fineliner", new Millilitres(0.03), new Millilitres(1.2))))).get(0);
        assertThat(SupplyWords.amount(enough, shelf))
                .isEqualTo(Math.round(0.3 * perMl) / 10.0 + " of " + Math.round(1.2 * perMl) + " m");
        Jar little = Jar.of(Map.of("owl", List.of(new PaintUse("fineliner", new Millilitres(1.5), new Millilitres(1.2))))).get(0);
        assertThat(SupplyWords.amount(little, shelf)).isEqualTo(Math.round(0.3 * perMl) + " m missing");
        assertThat(SupplyWords.buy(little, shelf, s -> "the " + s))
                .isEqualTo("1 × black pen (" + Math.round(2.4 * perMl) + " m), from the owl on, 2.00");
    }
}
