package mosspebble.bench;

import java.time.Duration;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;

/**
 * What a plan asks of the painter.
 *
 * @param passes every coat of every step counted
 * @param hand time of the hand over all steps
 * @param idle waiting at the bench between the first paint and signing
 */
public record PieceFigures(int passes, Duration hand, Duration idle) {

    /** Counts them. */
    public static PieceFigures of(PaintPlan plan) {
        int passes = plan.steps().stream().mapToInt(s -> Math.max(1, s.coats())).sum();
        int first = -1;
        Duration busy = Duration.ZERO;
        for (int i = 0; i < plan.steps().size(); i++) {
            Step step = plan.steps().get(i);
            first = first < 0 && step instanceof Step.Lay ? i : first;
            if (step instanceof Step.Sign && first >= 0) {
                Duration there = plan.sitting().steps().get(i).start().minus(plan.sitting().steps().get(first).start());
                return new PieceFigures(passes, plan.handTime(), there.minus(busy));
            }
            busy = first >= 0 ? busy.plus(step.work().hand()) : busy;
        }
        return new PieceFigures(passes, plan.handTime(), Duration.ZERO);
    }
}
