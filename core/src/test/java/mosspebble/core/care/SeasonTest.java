package mosspebble.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Month;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosspebble.core.care.SealHours.Against;
import mosspebble.core.care.SealHours.Hour;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.SealWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What the time of the year says to a seal that is laid out of doors. */
class SeasonTest {

    private static Paint sealer(String id, Binder binder, double wetUm) {
        return Paint.usual(id, id, PaintKind.VARNISH, Srgb.ofHex("#ffffff"), new Millilitres(100)).made(binder, Finish.GLOSS,
                new Millimetres(0), new Micrometres(wetUm));
    }

    private static final Paint SPRAY = sealer("spray", Binder.SOLVENT_LACQUER, 20);
    private static final Paint GLAZE = sealer("glaze", Binder.SOLVENT_LACQUER, 300);
    private static final Paint BRUSHED = sealer("brushed", Binder.ACRYLIC, 60);

    /** Vapour pressures of FAO Irrigation and Drainage Paper 56, table 2.3 (from memory): 1.05 kPa at 7.6, 1.497 at 13, 2.984 at 24. */
    @Test
    @Tag("outside")
    void theDampOfADayFollowsFromItsColdestHour() {
        Hour warmest = Season.day(Month.JULY).stream().max(Comparator.comparingDouble(Hour::celsius)).orElseThrow();
        assertThat(warmest.hour()).isEqualTo(15);
        assertThat(warmest.celsius()).isCloseTo(24, within(1e-9));
        assertThat(warmest.humidity()).isCloseTo(1.497 / 2.984, within(0.003));
        for (Month month : Month.values()) {
            List<Hour> day = Season.day(month);
            assertThat(day).hasSize(10).allMatch(h -> h.humidity() > 0.4 && h.humidity() <= 1 && !h.rain());
            assertThat(day.get(0).humidity()).as("the morning is damper").isGreaterThan(day.get(6).humidity());
        }
        assertThat(Season.day(Month.JANUARY).get(6).celsius()).isLessThan(Season.day(Month.APRIL).get(6).celsius());
    }

    @ParameterizedTest // in winter nobody sprays out of doors, in summer everybody can (common practice, no source)
    @CsvSource({"JANUARY,TOO_COLD,TOO_COLD", "MARCH,TOO_COLD,TOO_COLD", "APRIL,,TOO_COLD", "MAY,,", "JULY,,", "AUGUST,,",
        "NOVEMBER,TOO_COLD,TOO_COLD"})
    void sprayingOutOfDoorsHasItsSeason(Month month, Against spray, Against glaze) {
        assertThat(Season.against(SealAdvice.of(Stone.cobble(), true, SPRAY), month)).isEqualTo(Optional.ofNullable(spray));
        assertThat(Season.against(SealAdvice.of(Stone.cobble(), true, GLAZE), month)).isEqualTo(Optional.ofNullable(glaze));
    }

    @ParameterizedTest
    @EnumSource(Month.class)
    void whatIsBrushedIndoorsHasNoSeason(Month month) {
        assertThat(Season.against(SealAdvice.of(Stone.cobble(), true, BRUSHED), month)).isEmpty();
    }

    @Test
    void theChoiceOfTwoMindsTheMonth() {
        Paint oil = sealer("oil", Binder.OIL, 60);
        assertThat(first(Month.JULY, SPRAY, oil)).as("oil yellows in the sun").isEqualTo(SPRAY);
        Paint poly = sealer("poly", Binder.POLYURETHANE, 60);
        assertThat(first(Month.JULY, SPRAY, poly)).as("both are sanded; the spray is ready sooner").isEqualTo(SPRAY);
        assertThat(first(Month.NOVEMBER, SPRAY, poly)).isEqualTo(poly);
        SealChoice winter = choices(Month.NOVEMBER, SPRAY, poly).get(1);
        assertThat(SealWords.choice(winter)).contains("out of doors it is too cold at this time of the year");
        assertThat(SealWords.choice(choices(Month.JULY, SPRAY, poly).get(0))).noneMatch(l -> l.contains("time of the year"));
    }

    private static Paint first(Month month, Paint... sealers) {
        return choices(month, sealers).get(0).sealer();
    }

    private static List<SealChoice> choices(Month month, Paint... sealers) {
        return SealChoice.of(List.of(sealers), Stone.cobble(), 5000, new SealChoice.Wish(true, Finish.GLOSS, month), List.of(),
                Compatibility.Known.NOTHING);
    }

    @Test // graphite smears under a brush and is fixed by a spray, chalk ghosts, charcoal is never wiped wet (common practice, no source)
    void whatIsLeftOfTheDrawingIsTakenOffEachInItsWay() {
        for (SealKind kind : SealKind.values()) {
            List<String> three = SealWords.drawing(kind);
            assertThat(three).hasSize(3);
            assertThat(three.get(0)).contains("Graphite").contains("kneaded eraser");
            assertThat(three.get(0).contains("for good")).isEqualTo(kind.isLaidInTheOpen() || kind == SealKind.RESIN);
            assertThat(three.get(1)).contains("ghosts").contains("damp cloth takes it off");
            assertThat(three.get(2)).contains("Charcoal").contains("a damp cloth drives it in");
        }
        assertThat(SealWords.drawing(SealKind.TOP_COAT).get(0)).contains("smears");
    }

    @Test // water-based varnish goes on milky and dries clear, lacquer and oil are clear at once (common practice, no source)
    void onlyEmulsionsAndWaxAreCloudyWhileTheyDry() {
        assertThat(SealKind.TOP_COAT.milk()).isGreaterThan(SealKind.POLYURETHANE.milk()).isLessThan(0.5);
        for (SealKind clear : List.of(SealKind.BRUSH_VARNISH, SealKind.SPRAY_VARNISH, SealKind.GLOSS_GLAZE, SealKind.RESIN)) {
            assertThat(clear.milk()).as("%s", clear).isZero();
        }
    }
}
