package mosspebble.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.List;
import mosspebble.core.Boards;
import mosspebble.core.care.Compatibility.Known;
import mosspebble.core.care.Compatibility.Severity;
import mosspebble.core.colour.Paint;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Rules of the painter's own, and the texts by which rules name products. */
class QuarrelTest {

    private static Paint paint(String id) {
        return Boards.withIsolating(Boards.materials()).find(id).orElseThrow();
    }

    private static Quarrel own(String below, String above, Severity severity, Quarrel.Way way) {
        return new Quarrel(Who.parse(below), Who.parse(above), false, severity, way, Duration.ZERO, "mine");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"paint=red | red | true", "paint=red | blue | false", "binder=acrylic | red | true",
        "binder=uv gel | gel | true", "not binder=acrylic | gel | true", "kind=crackle medium | crackle | true",
        "use=rubbed on | gold dust | true", "use=rubbed on | red | false", "finish=gloss | gel | true",
        "BINDER=Acrylic & not USE=medium | varnish | false", "binder=acrylic & not use=medium | white | true"})
    void aTextNamesTheProductsThatFitAllOfIt(String text, String id, boolean fits) {
        assertThat(Who.parse(text).fits(paint(id))).isEqualTo(fits);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"colour=red | \"colour\" is none of paint, kind, binder, finish, use",
        "binder=egg | \"egg\" is no binder: acrylic", "finish= | \"\" is no finish: matt, satin, gloss",
        "use=fly | \"fly\" is no use: fills"})
    void whatIsNotUnderstoodIsSaidWithWhatMayStandThere(String text, String said) {
        assertThatThrownBy(() -> Who.parse(text)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining(said);
    }

    @Test
    void aRuleNamesNotTooMuchAndWaitsNotForEver() {
        String long_ = "use=fills" + " & use=fills".repeat(Who.MOST);
        assertThatThrownBy(() -> Who.parse(long_)).hasMessageContaining("one to 6");
        Who all = Who.parse("use=fills");
        assertThatThrownBy(() -> new Quarrel(all, all, false, Severity.NOTE, Quarrel.Way.WAIT, Duration.ofDays(15), ""))
                .hasMessageContaining("336 h");
        assertThatThrownBy(() -> new Quarrel(all, all, false, Severity.NOTE, Quarrel.Way.WAIT, Duration.ofDays(1), "x".repeat(161)))
                .hasMessageContaining("160");
        assertThatThrownBy(() -> new Known(List.of(), java.util.Collections.nCopies(201, own("use=fills", "use=draws", Severity.NOTE,
                Quarrel.Way.NONE)))).hasMessageContaining("200");
    }

    @ParameterizedTest
    @EnumSource(Compatibility.Rule.class)
    void everyRuleOfTheTableReadsBackAsItIsWritten(Compatibility.Rule rule) {
        Quarrel row = rule.as("because");
        assertThat(Who.parse(row.below().toString())).isEqualTo(row.below());
        assertThat(Who.parse(row.above().toString())).isEqualTo(row.above());
        assertThat(row.way() == Quarrel.Way.WAIT).as("who waits says how long").isEqualTo(!row.rest().isZero());
    }

    @Test
    void aRuleOfOnesOwnGoesBeforeTheTableAndATestBeforeBoth() {
        Paint gel = paint("gel");
        Paint red = paint("red");
        Quarrel holds = own("binder=uv gel", "paint=red", Severity.NOTE, Quarrel.Way.NONE);
        Quarrel later = own("kind=gel coat", "use=fills", Severity.CARE, Quarrel.Way.WAIT);
        assertThat(Known.NOTHING.of(gel, red, true).orElseThrow().rule()).contains(Compatibility.Rule.PAINT_ON_GEL);
        assertThat(new Known(List.of(), List.of(holds)).of(gel, red, true).orElseThrow().own()).contains(holds);
        assertThat(new Known(List.of(), List.of(holds, later)).of(gel, red, true).orElseThrow().own()).as("the last that fits")
                .contains(later);
        assertThat(new Known(List.of(), List.of(holds)).of(gel, paint("blue"), true).orElseThrow().rule()).as("of others the table")
                .contains(Compatibility.Rule.PAINT_ON_GEL);
        SmearTest fine = new SmearTest(gel.id(), red.id(), SmearTest.Outcome.FINE, "");
        assertThat(new Known(List.of(fine), List.of(holds)).of(gel, red, true)).isEmpty();
        assertThat(new Known(List.of(fine), List.of(holds)).of(gel, red, false)).as("a test speaks of what touches, and so does the rule")
                .isEmpty();
    }
}
