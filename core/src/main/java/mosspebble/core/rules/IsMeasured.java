package mosspebble.core.rules;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Facts;

/** A stone of whose size a part is a guess: what is printed for it does not fit. */
final class IsMeasured implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        Set<Stone.Measure> open = on.project().unmeasured();
        if (open.isEmpty()) {
            return List.of();
        }
        Facts facts = Facts.none();
        for (Stone.Measure measure : Stone.Measure.values()) {
            facts = facts.and(measure.name().toLowerCase(Locale.ROOT), open.contains(measure));
        }
        return List.of(Finding.of(Code.NOT_MEASURED, facts,
                Remedy.of(Cure.AS_LARGE_AS_THIS, p -> p.withHistory(p.history().withUnmeasured(Set.of())))));
    }
}
