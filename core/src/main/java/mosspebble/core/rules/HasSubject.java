package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** A stone without a subject. */
final class HasSubject implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        return on.project().sketch().isEmpty() && on.plan().noticed().leftOut().isEmpty() ? List.of(Finding.of(Code.NO_SUBJECT, Facts.none())) : List.of();
    }
}
