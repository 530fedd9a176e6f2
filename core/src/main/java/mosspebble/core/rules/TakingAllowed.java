package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.stone.Origin;
import mosspebble.core.units.Facts;

/** Stones that must not be taken. */
final class TakingAllowed implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        if (on.project().origin().taking() != Origin.Taking.FORBIDDEN) {
            return List.of();
        }
        return List.of(Finding.of(Code.TAKING_FORBIDDEN, Facts.of("where", on.project().origin().where())));
    }
}
