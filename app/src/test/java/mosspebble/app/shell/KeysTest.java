package mosspebble.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.Test;

/** Keys as they are written and as they are pressed. */
class KeysTest {

    private static KeyEvent pressed(KeyCode code, String text, boolean shift, boolean control) {
        return new KeyEvent(KeyEvent.KEY_PRESSED, text, text, code, shift, control, false, false);
    }

    @Test
    void aKeyIsWhatIsWrittenAndNothingElse() {
        assertThat(Keys.match("F", pressed(KeyCode.F, "f", false, false))).isTrue();
        assertThat(Keys.match("F", pressed(KeyCode.F, "F", true, false))).as("Shift F is another key").isFalse();
        assertThat(Keys.match("Shift F", pressed(KeyCode.F, "F", true, false))).isTrue();
        assertThat(Keys.match("Ctrl Z", pressed(KeyCode.Z, "", false, true))).isTrue();
        assertThat(Keys.match("Ctrl Z", pressed(KeyCode.Z, "", true, true))).isFalse();
        assertThat(Keys.match("Ctrl Shift Z", pressed(KeyCode.Z, "", true, true))).isTrue();
        assertThat(Keys.match("Z", pressed(KeyCode.Z, "", false, true))).isFalse();
        assertThat(Keys.match("3", pressed(KeyCode.DIGIT3, "3", false, false))).isTrue();
        assertThat(Keys.match(".", pressed(KeyCode.PERIOD, ".", false, false))).isTrue();
        assertThat(Keys.match("Delete", pressed(KeyCode.DELETE, "", false, false))).isTrue();
        assertThat(Keys.match("", pressed(KeyCode.A, "a", false, false))).as("no key at all").isFalse();
    }

    @Test
    void theQuestionMarkIsFoundOnEveryKeyboard() {
        assertThat(Keys.match("?", pressed(KeyCode.F1, "", false, false))).isTrue();
        assertThat(Keys.match("?", pressed(KeyCode.SLASH, "?", true, false))).isTrue();
        assertThat(Keys.match("?", pressed(KeyCode.UNDEFINED, "?", true, false))).isTrue();
        assertThat(Keys.match("?", pressed(KeyCode.SLASH, "/", false, false))).isFalse();
        assertThat(Keys.match("/", pressed(KeyCode.SLASH, "/", false, false))).isTrue();
        assertThat(Keys.match("/", pressed(KeyCode.SLASH, "?", true, false))).isFalse();
    }

    @Test
    void whatIsOnNoKeyboardIsAMistakeOfTheProgram() {
        assertThatThrownBy(() -> Keys.code("Foo")).isInstanceOf(IllegalArgumentException.class);
        assertThat(Keys.code("Escape")).isEqualTo(KeyCode.ESCAPE);
    }

    @Test
    void wordsGrowByThePlusWhereverAKeyboardHasIt() {
        for (KeyCode plus : new KeyCode[] {KeyCode.PLUS, KeyCode.ADD, KeyCode.EQUALS}) {
            assertThat(Keys.match("Ctrl +", pressed(plus, "", false, true))).as(plus.name()).isTrue();
            assertThat(Keys.match("Ctrl +", pressed(plus, "", true, true))).as("with Shift, above the equals sign").isTrue();
            assertThat(Keys.match("Ctrl +", pressed(plus, "+", false, false))).as("without Ctrl it sizes what is in hand").isFalse();
            assertThat(Keys.match("Ctrl -", pressed(plus, "", false, true))).isFalse();
        }
        for (KeyCode minus : new KeyCode[] {KeyCode.MINUS, KeyCode.SUBTRACT}) {
            assertThat(Keys.match("Ctrl -", pressed(minus, "", false, true))).isTrue();
            assertThat(Keys.match("Ctrl +", pressed(minus, "", false, true))).isFalse();
        }
    }
}
