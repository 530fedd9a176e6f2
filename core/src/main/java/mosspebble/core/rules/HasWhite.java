package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** A shelf without white. */
final class HasWhite implements Rule {

    /** L* from which a paint counts as a white (common practice, no source). */
    private static final double WHITE = 90;

    @Override
    public List<Finding> look(Bench on) {
        boolean white = on.palette().shelf().that(PaintKind.Use.FILLS).stream().anyMatch(p -> Lab.of(p.swatch()).l() > WHITE);
        return white || !on.paintable() ? List.of() : List.of(Finding.of(Code.NO_WHITE, Facts.none()));
    }
}
