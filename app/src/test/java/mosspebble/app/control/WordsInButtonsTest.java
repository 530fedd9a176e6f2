package mosspebble.app.control;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

class WordsInButtonsTest {

    private static final String WORDS = "as it lies: 70 mm long, as large as it gets, the wide end is on top, stands upright";

    @BeforeAll
    static void toolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
    }

    private static double high(Label words) {
        return WaitForAsyncUtils.waitForAsyncFx(5000, () -> {
            Button button = new Button();
            button.setGraphic(words);
            new Scene(button);
            button.applyCss();
            return button.prefHeight(-1);
        });
    }

    @Test
    void aButtonIsAsHighAsTheLinesInIt() {
        Label usual = new Label(WORDS);
        usual.setWrapText(true);
        double one = high(usual);
        double line = usual.prefHeight(-1);
        double several = high(new Lines(WORDS, () -> 200));
        assertThat(several - one).as("lines more than one").isGreaterThan(line);
        assertThat(high(new Lines(WORDS, () -> 100)) - several).as("narrower lines are more").isGreaterThan(line);
    }

    @Test
    void theWidthIsAskedAnew() {
        double[] wide = {200};
        Lines words = new Lines(WORDS, () -> wide[0]);
        double before = high(words);
        assertThat(words.getMaxWidth()).isEqualTo(Label.USE_PREF_SIZE);
        wide[0] = 2_000;
        words.requestLayout();
        assertThat(words.prefWidth(-1)).isEqualTo(2_000);
        assertThat(words.prefHeight(-1)).isLessThan(before);
    }
}
