package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Habits;
import mosspebble.core.units.Facts;

/** Primer on a stone on which it does not grip. */
final class PrimerGrips implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        boolean primed = on.plan().steps().stream().anyMatch(s -> s.kind() == Step.Kind.PRIME);
        return primed && on.glassy() ? List.of(Finding.of(Code.PRIMER_ON_GLASS, Facts.none(),
                Remedy.of(Cure.NO_PRIMER, p -> p.withHabits(p.habits().withPrimer(Habits.Primer.NEVER))))) : List.of();
    }
}
