package mosspebble.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import javafx.event.Event;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

class RehearsalTest {

    private final StackPane window = new StackPane();
    private final List<String> made = new ArrayList<>();
    private boolean free = true;
    private final Rehearsal rehearsal = new Rehearsal(window, () -> free, more -> List.of(() -> made.add("stone"), () -> {
        made.add("sketch");
        more.accept(() -> made.add("how it lies"));
    }, () -> made.add("colour")));

    @BeforeAll
    static void toolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
    }

    private <T> T there(Callable<T> work) {
        return WaitForAsyncUtils.waitForAsyncFx(5000, work);
    }

    private void until(Callable<Boolean> so) throws Exception {
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> there(so));
    }

    @Test
    void makesWhatThereIsPieceByPieceAndThenNothing() throws Exception {
        there(() -> {
            rehearsal.begin();
            return made.add("begun");
        });
        until(rehearsal::isOver);
        assertThat(there(() -> List.copyOf(made))).containsExactly("begun", "stone", "sketch", "colour", "how it lies");
    }

    @Test
    void waitsWhileSomethingElseIsWorkedAt() throws Exception {
        int[] asked = new int[1];
        Rehearsal busy = new Rehearsal(window, () -> ++asked[0] > 2,
                more -> List.of(() -> made.add("after asking " + asked[0] + " times")));
        there(() -> {
            busy.begin();
            return true;
        });
        until(busy::isOver);
        assertThat(made).containsExactly("after asking 3 times");
    }

    @Test
    void whateverTheHandDoesPutsItOff() throws Exception {
        there(() -> {
            rehearsal.begin();
            return true;
        });
        Duration least = Rehearsal.CALM.subtract(Duration.millis(200));
        free = false; // however late this thread comes, nothing is made
        until(() -> rehearsal.rest().lessThan(least));
        Duration after = there(() -> {
            Event.fireEvent(window, new KeyEvent(KeyEvent.KEY_PRESSED, "a", "a", KeyCode.A, false, false, false, false));
            return rehearsal.rest();
        });
        assertThat(after).isEqualTo(Rehearsal.CALM);
        assertThat(made).isEmpty();
    }

    @Test
    void isNotBegunByBeingBegunAgain() {
        there(() -> {
            rehearsal.again();
            return true;
        });
        assertThat(rehearsal.isOver()).isTrue();
    }
}
