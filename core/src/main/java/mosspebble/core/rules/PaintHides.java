package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.Planner;
import mosspebble.core.project.Habits;
import mosspebble.core.units.Facts;

/** What no number of coats hides. */
final class PaintHides implements Rule {

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        boolean never = on.habits().primer() == Habits.Primer.NEVER;
        return on.plan().noticed().showing().stream().map(what -> {
            Facts facts = Facts.of("what", what).and("most", Planner.MOST_COATS).and("never", never);
            return never
                    ? Finding.of(Code.NEVER_HIDES, facts,
                            Remedy.of(Cure.ALLOW_PRIMER, p -> p.withHabits(p.habits().withPrimer(Habits.Primer.WHERE_NEEDED))))
                    : Finding.of(Code.NEVER_HIDES, facts);
        }).toList();
    }
}
