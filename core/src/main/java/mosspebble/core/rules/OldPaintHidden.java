package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** Whether what was painted and then left out of the sketch is painted over. */
final class OldPaintHidden implements Rule {

    /** Less of it is a speck that a fingernail takes away, mm2 (common practice, no source). */
    private static final double LEAST_MM2 = 4;

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        double mm2 = on.plan().up().stays().getArea();
        return mm2 < LEAST_MM2 ? List.of() : List.of(Finding.of(Code.OLD_PAINT_SEEN, Facts.of("mm2", mm2)));
    }
}
