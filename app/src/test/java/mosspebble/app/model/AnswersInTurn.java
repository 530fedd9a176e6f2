package mosspebble.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.BlockingQueue;
import java.util.concurrent.Executor;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;

/** In place of the interface thread where a test has no window: answers wait here and are given one after the other. */
public final class AnswersInTurn implements Executor {

    private static final long SECONDS = 60;

    private final BlockingQueue<Runnable> waiting = new LinkedBlockingQueue<>();

    @Override
    public void execute(Runnable answer) {
        waiting.add(answer);
    }

    /** Gives answers until something is so and none waits any more. */
    public void until(BooleanSupplier condition) throws InterruptedException {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
        while (!condition.getAsBoolean() || !waiting.isEmpty()) {
            Runnable next = waiting.poll(20, TimeUnit.MILLISECONDS);
            if (next != null) {
                next.run();
            }
            assertThat(System.nanoTime()).as("in time").isLessThan(end);
        }
    }
}
