package mosspebble.core.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Numbers;

/** The plans of several stones as one workload: each keeps its own order, the hand goes from one to the other while paint dries. */
public final class ManyStones {

    private ManyStones() {}

    /**
     * The work on all of them.
     *
     * @param due by id of the project
     * @throws IllegalArgumentException if it cannot be planned, a sentence: no sitting, one over another, none long enough
     */
    public static Workload workload(List<PaintPlan> plans, List<Workload.Hours> hours, Instant from, Map<String, Instant> due) {
        List<Workload.Piece> pieces = new ArrayList<>();
        List<Workload.Wait> waits = new ArrayList<>();
        for (PaintPlan plan : plans) {
            add(plan, pieces, waits);
        }
        return new Workload(pieces, waits, hours, from, due);
    }

    private static void add(PaintPlan plan, List<Workload.Piece> pieces, List<Workload.Wait> waits) {
        int[] last = new int[plan.steps().size()];
        for (int number = 0; number < last.length; number++) {
            Step step = plan.steps().get(number);
            int begins = pieces.size();
            int parts = step.work().between().isZero() ? 1 : Math.max(2, step.coats()); // its coats, with their own waits between them
            for (int part = 0; part < parts; part++) {
                boolean end = part == parts - 1;
                pieces.add(new Workload.Piece(plan.project().id(), number, step.work().hand().dividedBy(parts),
                        end ? step.work().dries() : Duration.ZERO, load(step), tool(step)));
                if (part > 0) {
                    waits.add(new Workload.Wait(begins + part - 1, begins + part, step.work().between().dividedBy(parts - 1)));
                }
            }
            if (number > 0) {
                waits.add(new Workload.Wait(begins - 1, begins, Duration.ZERO));
            }
            for (Step.After after : step.after()) {
                waits.add(new Workload.Wait(last[after.step()], begins, after.lag(plan.steps().get(after.step()))));
            }
            last[number] = pieces.size() - 1;
        }
    }

    private static String load(Step step) {
        return step.layer().map(l -> l.load().coat().name()).orElse(step.kind().name());
    }

    private static String tool(Step step) {
        return step instanceof Step.Lay lay ? lay.tool().kind() + " " + Numbers.shortText(lay.tool().mm()) : step.kind().name();
    }
}
