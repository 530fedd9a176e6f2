package mosspebble.app.shell;

import javafx.animation.PauseTransition;
import javafx.util.Duration;

/** A while in which nothing is done. Tests wait for what follows it and let it pass so many times as quickly. */
final class Lull {

    private static final int TIMES = Math.max(1, Integer.getInteger("mosspebble.lulls", 1));

    private Lull() {}

    static PauseTransition of(Duration time) {
        PauseTransition lull = new PauseTransition(time);
        lull.setRate(TIMES);
        return lull;
    }
}
