package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** An outline that is lost beside its area or its ground. */
final class OutlineStandsOut implements Rule {

    /** Below this difference a line is lost beside its neighbour, CIEDE2000 (common practice, no source). */
    private static final double LOST = 10;

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        return on.plan().noticed().lines().filter(l -> l.contrast() < LOST)
                .map(l -> List.of(Finding.of(Code.FAINT_OUTLINE, Facts.of("part", l.part()).and("contrast", l.contrast()))))
                .orElse(List.of());
    }
}
