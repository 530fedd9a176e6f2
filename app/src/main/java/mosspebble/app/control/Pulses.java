package mosspebble.app.control;

import javafx.animation.AnimationTimer;

/** What can wait until the window has been drawn. */
public final class Pulses {

    /** So many pulses after a change what it changed has been drawn: a timer runs before its pulse is. */
    private static final int DRAWN = 2;

    private static int waiting;

    private Pulses() {}

    /** Does something once the window has been drawn so many times. */
    public static void after(int count, Runnable what) {
        waiting++;
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                if (++pulses == count) {
                    stop();
                    waiting--;
                    what.run();
                }
            }
        }.start();
    }

    /** Does something once what was changed just now has been seen, so that a press is answered before what takes longer is made. */
    public static void afterAnswer(Runnable what) {
        after(DRAWN, what);
    }

    /** Whether something still waits; for bench and tests, on the interface thread. */
    public static boolean isWaiting() {
        return waiting > 0;
    }
}
