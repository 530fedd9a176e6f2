package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.stone.Skin;
import mosspebble.core.units.Facts;

/** An old sealer or old paint, on which no paint grips. */
final class OldSealer implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        Skin.Before before = on.survey().stone().skin().before();
        return before == Skin.Before.NOTHING || before == Skin.Before.TO_BE_CAST ? List.of()
                : List.of(Finding.of(Code.SEALED_BEFORE, Facts.of("before", before)));
    }
}
