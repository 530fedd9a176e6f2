package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** What the painter's own order breaks. */
final class OwnOrderHolds implements Rule {

    /** So many are told; the rest mends with them. */
    private static final int MOST = 3;

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        return on.plan().noticed().broken().stream().limit(MOST).map(b -> Finding.of(Code.ORDER_BROKEN,
                Facts.of("first", b.first()).and("then", b.then()).and("because", b.because()).and("under", b.under()),
                Remedy.of(Cure.ORDER_BACK, p -> p.withOrder(List.of())))).toList();
    }
}
