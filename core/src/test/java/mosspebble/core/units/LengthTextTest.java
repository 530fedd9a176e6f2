package mosspebble.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LengthTextTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "92mm | 92", "9.2 cm | 92", "3 3/4 in | 95.25", "3-3/4\" | 95.25", "96 | 96", "9,6cm | 96", "1 in | 25.4", "1/2 inch | 12.7",
        "2 inches | 50.8", "100 - 2*4 mm | 92", "(3 + 4 mm) * 2 | 14", "10 - 1/2 cm | 95", "3 cm + 2 mm | 32", "-3 | -3", "96 / 2 | 48"})
    void readsWhatPeopleWrite(String text, double mm) throws UnitTextException {
        assertThat(LengthText.parse(text, LengthUnit.MM).value()).isCloseTo(mm, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"abc", "", "   ", "3 ft", "4 mm 5", "..", "3 +", "(3", "2 mm * 2 mm", "3 / 2 mm", "1/0",
        "9999999999999999999999999999999999999999999999999999999999999999"})
    void refusesTheRestWithAnExample(String text) {
        assertThatThrownBy(() -> LengthText.parse(text, LengthUnit.MM)).isInstanceOf(UnitTextException.class)
                .message().containsPattern("92 mm|plain number|Close it");
    }

    @Test
    void bareNumbersTakeTheChosenUnit() throws UnitTextException {
        assertThat(LengthText.parse("3 3/4", LengthUnit.INCH).value()).isCloseTo(95.25, within(1e-9));
    }

    @Test
    void inchesAreWrittenAsFractions() {
        assertThat(LengthText.format(new Millimetres(95.25), LengthUnit.INCH)).isEqualTo("3 3/4 in");
        assertThat(LengthText.format(new Millimetres(12.7), LengthUnit.INCH)).isEqualTo("1/2 in");
        assertThat(LengthText.format(new Millimetres(92), LengthUnit.CM)).isEqualTo("9.2 cm");
        assertThat(LengthText.format(new Millimetres(92), LengthUnit.MM)).isEqualTo("92 mm");
    }
}
