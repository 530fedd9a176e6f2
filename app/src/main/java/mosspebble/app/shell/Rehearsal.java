package mosspebble.app.shell;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.animation.PauseTransition;
import javafx.scene.Node;
import javafx.scene.input.InputEvent;
import javafx.util.Duration;

/**
 * Makes ready what can be gone to while nobody asks anything of the window, a piece at a time, so that the press that leads there finds it
 * made. Half of what a first press took was making what it led to, and styling it for the first time.
 */
final class Rehearsal {

    /** So long nobody has touched anything before a piece is made. */
    static final Duration CALM = Duration.millis(900);
    /** From one piece to the next. */
    private static final Duration BETWEEN = Duration.millis(60);

    private final BooleanSupplier free;
    private final Function<Consumer<Runnable>, List<Runnable>> pieces;
    private final Deque<Runnable> coming = new ArrayDeque<>();
    private boolean begun;
    private final PauseTransition pause = Lull.of(CALM);

    /**
     * @param window in which whatever the hand does puts the next piece off
     * @param free whether nothing else is worked at
     * @param pieces all there is to make, the first wanted first, and more that is found while one is made; what is ready already does
     *            nothing
     */
    Rehearsal(Node window, BooleanSupplier free, Function<Consumer<Runnable>, List<Runnable>> pieces) {
        this.free = free;
        this.pieces = pieces;
        window.addEventFilter(InputEvent.ANY, e -> putOff());
        pause.setOnFinished(e -> next());
    }

    /** Begins. */
    void begin() {
        begun = true;
        again();
    }

    /** Makes ready again what is not any more; nothing before it was begun. */
    void again() {
        if (begun) {
            coming.clear();
            coming.addAll(pieces.apply(coming::addLast));
            wait(CALM);
        }
    }

    /** Waits anew until nothing happens. */
    void putOff() {
        if (!isOver()) {
            wait(CALM);
        }
    }

    /** How long until the next piece, if nothing happens. */
    Duration rest() {
        return pause.getDuration().subtract(pause.getCurrentTime());
    }

    /** Whether everything is ready, or nothing was begun. */
    boolean isOver() {
        return coming.isEmpty();
    }

    private void next() {
        if (!free.getAsBoolean()) {
            wait(CALM);
            return;
        }
        coming.pop().run();
        if (!isOver()) {
            wait(BETWEEN);
        }
    }

    private void wait(Duration time) {
        pause.stop();
        pause.setDuration(time);
        pause.playFromStart();
    }
}
