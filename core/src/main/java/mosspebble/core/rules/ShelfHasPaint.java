package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** A shelf without paints. */
final class ShelfHasPaint implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        return on.plan().design().isPresent() && on.palette().shelf().paints().isEmpty()
                ? List.of(Finding.of(Code.EMPTY_SHELF, Facts.none())) : List.of();
    }
}
