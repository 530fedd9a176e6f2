package mosspebble.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
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
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** When a seal may be laid by the hour, and how it is kept with the years. */
class SealHoursTest {

    private static SealAdvice advice(Binder binder, double wetUm) {
        Paint sealer = Paint.usual("s", "sealer", PaintKind.VARNISH, Srgb.ofHex("#ffffff"), new Millilitres(100)).made(binder,
                Finish.GLOSS, new Millimetres(0), new Micrometres(wetUm));
        return SealAdvice.of(Stone.cobble(), true, sealer);
    }

    private static final SealAdvice SPRAY = advice(Binder.SOLVENT_LACQUER, 20);
    private static final SealAdvice BRUSHED = advice(Binder.ACRYLIC, 60);

    @ParameterizedTest
    @CsvFileSource(resources = "/mosspebble/core/reference/dew_rule_cases.csv", numLinesToSkip = 2)
    @Tag("outside") // "surface at least 3 K above the dew point", guidance round ISO 8502-4 (from memory); provenance in the file's head
    void theMarginAboveTheDewPointIsThatOfTheCases(double air, double humidity, double surface, double dew, double margin, String allowed) {
        double above = SealHours.aboveDew(new Hour(12, air, humidity / 100, false));
        assertThat(air - above).as("dew point").isCloseTo(dew, within(humidity < 100 ? 0.1 : 0.2));
        if (air == surface) {
            assertThat(above >= 3).isEqualTo(allowed.equals("yes"));
        }
        assertThat(surface - dew).isCloseTo(margin, within(0.011));
    }

    @Test
    void aTypedForecastIsFilledInHourByHourAndGoesOverMidnight() {
        List<Hour> hours = SealHours.parse("22 10 90; 2:00 6°C 94 %\n8 14,5 70 rain");
        assertThat(hours).extracting(Hour::hour).containsExactly(22, 23, 0, 1, 2, 3, 4, 5, 6, 7, 8);
        assertThat(hours.get(2).celsius()).isCloseTo(8, within(1e-9));
        assertThat(hours.get(2).humidity()).isCloseTo(0.92, within(1e-9));
        assertThat(hours.get(10)).isEqualTo(new Hour(8, 14.5, 0.7, true));
        assertThat(hours.get(9).rain()).isFalse();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"soon | is no hour of a forecast; write such as 9 14 80", "9 14 | is no hour",
        "25 14 80 | an hour is 0 to 23", "9 80 50 | a temperature -30 to 60", "9 14 0 | a humidity 1 to 100",
        "9 14 80, 8 14 80, 7 14 80, 6 14 80, 5 14 80 | at most 72 hours"})
    void whatIsNotUnderstoodIsSaid(String text, String said) {
        assertThatThrownBy(() -> SealHours.parse(text)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining(said);
    }

    @ParameterizedTest
    @CsvSource({"5, 50, false, TOO_COLD", "30, 50, false, TOO_WARM", "20, 66, false, TOO_DAMP", "20, 80, false, TOO_DAMP",
        "20, 85, false, NEAR_DEW",
        "20, 50, true, RAIN",
        "20, 50, false,"})
    void eachHourIsHeldAgainstTheSealsOwnAir(double celsius, double humidity, boolean rain, Against against) {
        Hour hour = new Hour(12, celsius, humidity / 100, rain);
        assertThat(SealHours.against(hour, SealKind.SPRAY_VARNISH, true)).isEqualTo(java.util.Optional.ofNullable(against));
        if (rain) {
            assertThat(SealHours.against(hour, SealKind.TOP_COAT, false)).as("indoors rain is nothing").isEmpty();
        }
    }

    @Test
    void theFirstCoatIsLaidSoThatTheLastIsDryWithinTheHoursThatSuit() {
        List<Hour> day = SealHours.parse("6 8 90, 9 12 80, 12 18 60, 17 18 60, 20 12 85");
        assertThat(SealHours.takes(BRUSHED)).as("two coats two hours apart, and an hour").isEqualTo(Duration.ofHours(3));
        List<SealHours.Window> windows = SealHours.of(day, BRUSHED, false);
        assertThat(windows).hasSize(1);
        SealHours.Window window = windows.get(0);
        assertThat(window.fromHour()).isBetween(9, 12);
        assertThat(window.latestHour()).isEqualTo(18 - 3);
        assertThat(SealWords.hours(day, BRUSHED, false)).startsWith("2 coats: begin between ").endsWith("and 15:00.");
        assertThat(SealWords.hours(SealHours.parse("6 2 90, 20 4 85"), SPRAY, true)).startsWith("No stretch of ").contains("too cold");
        assertThat(SealWords.hours(SealHours.parse("8 20 50 rain, 18 20 50 rain"), SPRAY, true)).contains("it rains");
    }

    @Test
    void inRandomForecastsEveryHourOfAWindowSuitsAndNoLongerStretchIsLeftOut() {
        SplittableRandom random = new SplittableRandom(19);
        int found = 0;
        for (int round = 0; round < 200; round++) {
            List<Hour> forecast = new ArrayList<>();
            double celsius = 14;
            double humidity = 0.6;
            for (int i = 0; i < 24; i++) {
                celsius = Math.max(0, Math.min(30, celsius + random.nextDouble(-2, 2)));
                humidity = Math.max(0.3, Math.min(0.98, humidity + random.nextDouble(-0.08, 0.08)));
                forecast.add(new Hour(i, celsius, humidity, random.nextInt(12) == 0));
            }
            SealAdvice advice = random.nextBoolean() ? SPRAY : BRUSHED;
            int need = (int) Math.max(1, Math.ceil(SealHours.takes(advice).toMinutes() / 60.0));
            boolean[] begins = new boolean[24];
            for (int i = 0; i + need < 24; i++) {
                boolean all = true;
                for (int k = i; k <= i + need; k++) {
                    all &= SealHours.against(forecast.get(k), advice.kind(), true).isEmpty();
                }
                begins[i] = all;
            }
            boolean[] said = new boolean[24];
            for (SealHours.Window window : SealHours.of(forecast, advice, true)) {
                for (int h = window.fromHour(); h <= window.latestHour(); h++) {
                    said[h] = true;
                    found++;
                }
            }
            assertThat(said).as("round %s", round).isEqualTo(begins);
        }
        assertThat(found).isGreaterThan(100);
    }

    // --- with the years

    @ParameterizedTest
    @EnumSource(SealKind.class)
    void everyKindIsRenewedSoonerOutdoorsAndItsTroublesAreKnown(SealKind kind) {
        assertThat(kind.renewMonths(true)).isPositive().isLessThan(kind.renewMonths(false));
        assertThat(SealTrouble.of(kind)).doesNotHaveDuplicates().contains(SealTrouble.SCRATCHED).allSatisfy(t -> {
            assertThat(SealWords.mend(t, kind)).endsWith(".");
            assertThat(SealWords.title(t)).startsWith("It ");
        });
        assertThat(SealTrouble.of(kind).contains(SealTrouble.YELLOWS)).as("only what yellows is said to")
                .isEqualTo(kind.yellowing() != SealKind.Yellowing.NONE);
    }

    @Test
    void theDayToLookAtItAgainIsNamed() {
        assertThat(SealWords.renew(SealKind.TOP_COAT, true, LocalDate.of(2026, 11, 30)))
                .startsWith("Look at it again after twelve months, in November 2027");
        assertThat(SealWords.renew(SealKind.WAX, false, LocalDate.of(2026, 11, 30))).contains("six months, in May 2027").contains("buff");
    }

    @ParameterizedTest
    @EnumSource(SealKind.class) // latest recoat is never passed: the next coat comes at its least wait, with the hand's time in between
    void theNextCoatComesBeforeTheOneBeforeMustBeDulled(SealKind kind) {
        kind.latest().ifPresent(latest -> assertThat(kind.between().plus(Duration.ofMinutes(10))).isLessThan(latest));
    }
}
