package mosspebble.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Month;
import java.util.List;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Pot;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.SealWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Seven kinds of seal, held against what is usual (common practice, no source; the label decides). */
class SealKindTest {

    private static Paint sealer(String id, Binder binder, Finish finish, double wetUm) {
        return Paint.usual(id, id, PaintKind.VARNISH, Srgb.ofHex("#f5f1e2"), new Millilitres(100))
                .made(binder, finish, new Millimetres(0), new Micrometres(wetUm))
                .withPot(new Pot(new Millilitres(100), new Millilitres(100), 10));
    }

    @ParameterizedTest
    // before, least between: hours; coats on tight and porous stone
    @CsvSource({"ACRYLIC, 60, TOP_COAT, 0, 2, 2, 3", "OIL, 60, BRUSH_VARNISH, 24, 16, 2, 3",
        "SOLVENT_LACQUER, 20, SPRAY_VARNISH, 24, 0.25, 3, 4",
        "ACRYLIC, 300, GLOSS_GLAZE, 24, 2, 2, 2", "POLYURETHANE, 60, POLYURETHANE, 24, 3, 2, 3", "RESIN, 500, RESIN, 72, 0, 1, 1",
        "WAX, 30, WAX, 72, 1, 2, 2"})
    void aSealerIsKnownByItsBinderAndItsCoat(Binder binder, double wetUm, SealKind kind, double before, double between, int tight,
            int porous) {
        assertThat(SealKind.of(sealer("s", binder, Finish.GLOSS, wetUm))).isEqualTo(kind);
        assertThat(kind.before()).isEqualTo(Duration.ofMinutes(Math.round(60 * before)));
        assertThat(kind.between()).isEqualTo(Duration.ofMinutes(Math.round(60 * between)));
        assertThat(kind.coats(0.01)).isEqualTo(tight);
        assertThat(kind.coats(0.2)).isEqualTo(porous);
    }

    @ParameterizedTest
    @EnumSource(SealKind.class)
    void theNextCoatMayComeBeforeTheLastMustBeDulled(SealKind kind) {
        kind.latest().ifPresent(latest -> assertThat(latest).isGreaterThan(kind.between()));
        assertThat(kind.handled()).isLessThanOrEqualTo(kind.cured(false));
        assertThat(kind.handled()).as("a stone is laid on it no sooner than the next coat may come")
                .isGreaterThanOrEqualTo(kind.between());
        assertThat(kind.cured(true)).as("outdoors asks for more").isGreaterThanOrEqualTo(kind.cured(false));
        assertThat(kind.window().low()).as("nothing is sealed near freezing").isGreaterThanOrEqualTo(10).isLessThan(kind.window().high());
        assertThat(kind.window().damp()).isBetween(0.6, 0.8);
    }

    @Test
    void waxIsForIndoorsAndResinHardlyMended() {
        assertThat(SealKind.WAX.lastsOutdoors()).isFalse();
        assertThat(SealKind.RESIN.mending()).isEqualTo(SealKind.Mending.HARDLY);
        assertThat(SealKind.BRUSH_VARNISH.yellowing()).isEqualTo(SealKind.Yellowing.MARKED);
        assertThat(SealKind.SPRAY_VARNISH.fumes()).isEqualTo(SealKind.Fumes.SOLVENT);
    }

    @Test
    void theBetterOfTwoStandsFirstAndIsReckonedThrough() {
        Paint gloss = sealer("gloss", Binder.ACRYLIC, Finish.GLOSS, 60);
        Paint matt = sealer("matt", Binder.ACRYLIC, Finish.MATT, 60);
        Paint wax = sealer("wax", Binder.WAX, Finish.SATIN, 30);
        Paint pour = sealer("pour", Binder.RESIN, Finish.GLOSS, 500);
        List<Paint> shelf = List.of(wax, pour, matt, gloss);
        Stone stone = Stone.cobble();
        assertThat(choices(shelf, stone, true, Finish.GLOSS)).extracting(c -> c.sealer().id())
                .as("what lasts and stays clear in the sun, then the finish").containsExactly("gloss", "matt", "pour", "wax");
        assertThat(choices(shelf, stone, true, Finish.MATT).get(0).sealer()).isEqualTo(matt);
        SealChoice first = choices(shelf, stone, true, Finish.GLOSS).get(0);
        assertThat(first.advice().coats()).isEqualTo(2);
        assertThat(first.millilitres()).as("10 m2 a litre, two coats, a tenth in the brush").isCloseTo(2 * 0.5 * 1.1, within(1e-9));
        assertThat(first.cost()).isCloseTo(0.11, within(1e-9));
        assertThat(first.days()).isEqualTo(Duration.ofHours(2 + 48));
        SealChoice poured = choices(shelf, stone, true, Finish.GLOSS).get(2);
        assertThat(choices(shelf, stone, false, Finish.GLOSS).get(1).sealer()).as("indoors").isEqualTo(pour);
        assertThat(poured.millilitres()).isCloseTo(5 * Resin.LEVEL_MM * 1.15, within(1e-9));
        assertThat(poured.days()).isEqualTo(Duration.ofHours(72 + 72));
        assertThat(choices(shelf, stone, true, Finish.GLOSS).get(3).lasts()).isFalse();
        assertThat(choices(shelf, stone, false, Finish.SATIN)).allMatch(SealChoice::lasts);
    }

    private static List<SealChoice> choices(List<Paint> shelf, Stone stone, boolean outdoors, Finish wanted) {
        return SealChoice.of(shelf, stone, 5000, new SealChoice.Wish(outdoors, wanted, Month.JULY), List.of(), Compatibility.Known.NOTHING);
    }

    @Test // the painter's own tests count more than the table (common practice, no source)
    void whatRuinsAPenComesLastUnlessOnesOwnTestSaysOtherwise() {
        Paint gloss = sealer("gloss", Binder.ACRYLIC, Finish.GLOSS, 60);
        Paint spray = sealer("spray", Binder.SOLVENT_LACQUER, Finish.GLOSS, 20);
        Paint ink = Paint.usual("ink", "alcohol ink", PaintKind.INK, Srgb.ofHex("#112244"), new Millilitres(3)).made(Binder.ALCOHOL,
                Finish.MATT, new Millimetres(0.4), new Micrometres(6));
        Stone stone = Stone.cobble();
        List<SealChoice> byTable = SealChoice.of(List.of(spray, gloss), stone, 5000, new SealChoice.Wish(true, Finish.GLOSS, Month.JULY),
                List.of(ink),
                Compatibility.Known.NOTHING);
        assertThat(byTable).extracting(SealChoice::sealer).containsExactly(gloss, spray);
        assertThat(byTable.get(1).ruins()).containsExactly(ink);
        assertThat(SealWords.choice(byTable.get(1))).contains("ruins alcohol ink");
        Compatibility.Known own = new Compatibility.Known(List.of(new SmearTest("ink", "spray", SmearTest.Outcome.FINE, ""),
                new SmearTest("ink", "gloss", SmearTest.Outcome.SMEARS, "")), List.of());
        List<SealChoice> byTest = SealChoice.of(List.of(spray, gloss), stone, 5000, new SealChoice.Wish(true, Finish.GLOSS, Month.JULY),
                List.of(ink), own);
        assertThat(byTest).extracting(SealChoice::sealer).containsExactly(spray, gloss);
        assertThat(byTest.get(0).ruins()).isEmpty();
    }
}
