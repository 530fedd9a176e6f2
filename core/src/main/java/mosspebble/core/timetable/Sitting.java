package mosspebble.core.timetable;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/**
 * Steps one after the other at one bench: each starts when the one before is done and all that it waits for is dry.
 *
 * @param steps in order
 */
public record Sitting(List<Step> steps) {

    /**
     * What is to be done.
     *
     * @param hand work of the hand, with waits between its own coats counted in {@code between}
     * @param between waiting between the coats of this step
     * @param dries time from its end until what waits for it may start
     * @param after the steps it waits for, all before its own
     */
    public record Task(Duration hand, Duration between, Duration dries, List<Wait> after) {
        public Task {
            after = List.copyOf(after);
            if (hand.isNegative() || between.isNegative() || dries.isNegative()) {
                throw new IllegalArgumentException("times must not be negative");
            }
        }
    }

    /** A wait for an earlier step, by number, from its end on. */
    public record Wait(int step, Duration lag) {}

    /**
     * A task in time, from the start of the sitting.
     *
     * @param waited idle time right before it
     * @param dry when what waits for it may start
     */
    public record Step(Duration start, Duration end, Duration waited, Duration dry) {}

    public Sitting {
        steps = List.copyOf(steps);
    }

    public static Sitting oneAfterTheOther(List<Task> tasks) {
        List<Step> steps = new ArrayList<>();
        Duration free = Duration.ZERO;
        for (int i = 0; i < tasks.size(); i++) {
            Task task = tasks.get(i);
            Duration start = free;
            for (Wait before : task.after()) {
                if (before.step() < 0 || before.step() >= i) {
                    throw new IllegalArgumentException(
                            "step " + i + " waits for step " + before.step() + ", which does not come before it");
                }
                Duration dry = steps.get(before.step()).end().plus(before.lag());
                start = dry.compareTo(start) > 0 ? dry : start;
            }
            Duration end = start.plus(task.hand()).plus(task.between());
            steps.add(new Step(start, end, start.minus(free), end.plus(task.dries())));
            free = end;
        }
        return new Sitting(steps);
    }

    /** When the last step has dried. */
    public Duration ready() {
        return steps.stream().map(Step::dry).max(Duration::compareTo).orElse(Duration.ZERO);
    }
}
