package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** Grains that take the paint along. */
final class LooseGrains implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        return on.survey().stone().skin().loose() ? List.of(Finding.of(Code.LOOSE_GRAINS, Facts.none())) : List.of();
    }
}
