package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mosspebble.core.care.Lessons;
import mosspebble.core.colour.Shelf;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.units.Facts;

/**
 * What the painter's book says to a plan. It is said after the plan is made: nothing that it teaches changes a pass, so that a plan need
 * not be made anew for it.
 */
public final class Taught {

    private Taught() {}

    /** The plan with what the book says to it; the very same where it says nothing. @param shelf it was planned with */
    public static PaintPlan by(PaintPlan plan, Lessons lessons, Shelf shelf) {
        List<Finding> taught = of(plan, lessons, shelf);
        if (taught.isEmpty()) {
            return plan;
        }
        List<Finding> all = new ArrayList<>(plan.findings());
        all.addAll(taught);
        all.sort(Comparator.comparing(Finding::weight));
        return plan.with(all);
    }

    private static List<Finding> of(PaintPlan plan, Lessons lessons, Shelf shelf) {
        List<Finding> taught = new ArrayList<>();
        List<String> seals = plan.steps().stream().filter(s -> s instanceof Step.Seal).flatMap(s -> s.mix().stream())
                .flatMap(m -> shelf.find(m.parts().get(0).paint()).stream()).map(p -> p.name()).distinct().toList();
        boolean outdoors = plan.project().habits().outdoors();
        lessons.worn().stream().filter(w -> w.outdoors() == outdoors && seals.contains(w.sealer()))
                .forEach(w -> taught.add(Finding.of(Code.SEALER_WORE, Facts.of("sealer", w.sealer()).and("outdoors", outdoors)
                        .and("worn", w.worn()).and("stones", w.stones()).and("months", w.months()))));
        lessons.failed().stream().filter(f -> plan.supplies().stream().anyMatch(u -> u.paint().equals(f.product())))
                .forEach(f -> taught.add(Finding.of(Code.PRODUCT_FAILED,
                        Facts.of("paint", f.name()).and("worn", f.failed()).and("stones", f.stones()))));
        if (lessons.slower().isPresent() && !plan.steps().isEmpty()) {
            taught.add(Finding.of(Code.TOOK_LONGER, Facts.of("times", lessons.slower().getAsDouble()).and("stones", lessons.timed())));
        }
        return taught;
    }
}
