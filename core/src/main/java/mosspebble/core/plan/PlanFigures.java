package mosspebble.core.plan;

import java.time.Duration;
import mosspebble.core.colour.Shelf;
import mosspebble.core.supplies.PaintUse;

/**
 * A plan in a few numbers, to lay two side by side.
 *
 * @param steps steps that lay paint
 * @param coats of all of them together
 * @param thickestUm of paint, sealer left out
 * @param waiting while painting, from the first stroke until all of it can be recoated
 * @param paintMl of everything but sealer
 * @param cost of what is used, in the painter's own money, as far as prices are known
 */
public record PlanFigures(int steps, int coats, double thickestUm, Duration hand, Duration waiting, Duration ready, double paintMl,
        double cost) {

    public static PlanFigures of(PaintPlan plan, Shelf shelf) {
        int steps = 0;
        int coats = 0;
        for (Step step : plan.steps()) {
            if (step instanceof Step.Lay) {
                steps++;
                coats += step.coats();
            }
        }
        double ml = 0;
        double cost = 0;
        for (PaintUse use : plan.supplies()) {
            boolean sealer = shelf.find(use.paint()).filter(p -> p.kind().clear()).isPresent();
            ml += sealer ? 0 : use.needed().value();
            cost += shelf.find(use.paint()).map(p -> p.pot().costOf(use.needed().value())).orElse(0.0);
        }
        return new PlanFigures(steps, coats, plan.weakest().map(PaintPlan.Weakest::um).orElse(0.0), plan.handTime(), waiting(plan),
                plan.readyAfter(), ml, cost);
    }

    private static Duration waiting(PaintPlan plan) {
        Duration hand = plan.steps().stream().filter(s -> s instanceof Step.Lay).map(s -> s.work().hand()).reduce(Duration.ZERO,
                Duration::plus);
        Duration left = plan.painting().minus(hand);
        return left.isNegative() ? Duration.ZERO : left;
    }
}
