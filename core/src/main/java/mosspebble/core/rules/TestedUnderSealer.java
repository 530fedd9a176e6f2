package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.plan.Untested;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** Pens and inks that were never tried under the sealer. */
final class TestedUnderSealer implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        List<Untested.Pair> pairs = Untested.of(on.plan(), on.palette().shelf(), on.workshop().known());
        return pairs.isEmpty() ? List.of()
                : List.of(Finding.of(Code.UNTESTED, Facts.of("below", String.join(", ", pairs.stream().map(p -> p.below().name()).toList()))
                        .and("above", pairs.get(0).above().name())));
    }
}
