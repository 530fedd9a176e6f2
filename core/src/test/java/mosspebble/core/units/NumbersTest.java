package mosspebble.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.text.DecimalFormat;
import java.text.NumberFormat;
import java.text.ParseException;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NumbersTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"9.2 | 9.2", "9,2 | 9.2", "-3 | -3", "+4,5 | 4.5", ".5 | 0.5", ",5 | 0.5", "7. | 7",
        "1,234.5 | 1234.5", "1.234,5 | 1234.5", "12.345.678,9 | 12345678.9", "1e3 | 1000", "2,5e-3 | 0.0025"})
    void readsADecimalCommaAsWellAsAPoint(String text, double value) {
        assertThat(Numbers.parse(text)).isCloseTo(value, within(1e-12));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "nine", "1,2,3", "1.2.3", "1,23.5", "1.2345,6", "--1", "1 2", "NaN", "Infinity", "0x10", "1d",
        "1e9999", ",", "."})
    void refusesWhatIsNoNumber(String text) {
        assertThatThrownBy(() -> Numbers.parse(text)).isInstanceOf(NumberFormatException.class);
    }

    @Test
    @Tag("outside") // java.text.NumberFormat of Germany, Britain and Switzerland's neighbours: what those locales write is what is read
    void readsWhatOtherLocalesWrite() throws ParseException {
        SplittableRandom random = new SplittableRandom(2);
        for (Locale locale : List.of(Locale.GERMANY, Locale.UK, Locale.ITALY, Locale.US)) {
            DecimalFormat format = (DecimalFormat) NumberFormat.getNumberInstance(locale);
            format.setMinimumFractionDigits(2);
            format.setMaximumFractionDigits(2);
            for (int i = 0; i < 200; i++) {
                double value = Math.round(100 * (1e6 * random.nextDouble() - 5e5)) / 100.0;
                String text = format.format(value);
                assertThat(Numbers.parse(text)).as("%s in %s", text, locale).isCloseTo(format.parse(text).doubleValue(), within(1e-6));
            }
        }
    }

    @Test
    void lessThanADropIsATouch() {
        assertThat(Numbers.millilitres(0)).isEqualTo("a touch");
        assertThat(Numbers.millilitres(0.02)).isEqualTo("a touch");
        assertThat(Numbers.millilitres(0.05)).isEqualTo("0.05 ml");
        assertThat(Numbers.millilitres(3.26)).isEqualTo("3.3 ml");
        assertThat(Numbers.millilitres(42.4)).isEqualTo("42 ml");
    }

    @Test
    void noLineEndsBetweenANumberAndItsUnit() {
        assertThat(Words.unitsKept("pen 0.7 mm · hand 6 min · then dries 1 d 12 h")).as("only elsewhere")
                .isEqualTo("pen 0.7\u00a0mm · hand 6\u00a0min · then dries 1\u00a0d 12\u00a0h");
    }
}
