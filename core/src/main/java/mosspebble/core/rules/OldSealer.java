package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** An old sealer, on which no paint grips. */
final class OldSealer implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        return on.survey().stone().skin().sealed() ? List.of(Finding.of(Code.SEALED_BEFORE, Facts.none())) : List.of();
    }
}
