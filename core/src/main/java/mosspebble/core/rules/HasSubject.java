package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** A stone without a subject. */
final class HasSubject implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        if (on.project().sketch().isPresent() || !on.plan().noticed().leftOut().isEmpty()) {
            return List.of();
        }
        boolean other = on.project().paintedBelow() || on.project().edge().isPainted();
        return List.of(Finding.of(other ? Code.EMPTY_FACE : Code.NO_SUBJECT, Facts.none()));
    }
}
