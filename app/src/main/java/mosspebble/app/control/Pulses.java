package mosspebble.app.control;

import javafx.animation.AnimationTimer;

/** What can wait until the window has been drawn. */
public final class Pulses {

    private Pulses() {}

    /** Does something once the window has been drawn so many times. */
    public static void after(int count, Runnable what) {
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                if (++pulses == count) {
                    stop();
                    what.run();
                }
            }
        }.start();
    }
}
