package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Habits;
import mosspebble.core.units.Facts;

/** A stone that goes outdoors unsealed. */
final class SealedOutdoors implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        if (on.plan().steps().isEmpty() || on.plan().noticed().sealer().isPresent() || !on.project().wholeHabits().outdoors()) {
            return List.of();
        }
        Facts facts = Facts.of("coats", SealAdvice.of(on.survey().stone(), true).coats());
        boolean none = on.palette().shelf().that(PaintKind.Use.SEALS).isEmpty();
        return List.of(none ? Finding.of(Code.UNSEALED_OUTDOORS, facts.and("varnish", false)) : Finding.of(Code.UNSEALED_OUTDOORS,
                facts.and("varnish", true), Remedy.of(Cure.SEAL, p -> p.withHabits(p.habits().withSeal(Habits.Seal.GLOSS)))));
    }
}
