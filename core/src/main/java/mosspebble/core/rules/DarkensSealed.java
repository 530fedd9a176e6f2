package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.colour.Lab;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** How much darker the bare stone gets under the sealer. */
final class DarkensSealed implements Rule {

    /** L* by which sealed stone must be darker before it is worth saying (common practice, no source). */
    private static final double WORTH_SAYING = 5;

    @Override
    public List<Finding> look(Bench on) {
        double dry = Lab.of(on.survey().stone().colour()).l();
        double sealed = on.sealedLightness();
        return dry - sealed < WORTH_SAYING ? List.of()
                : List.of(Finding.of(Code.DARKENS_SEALED, Facts.of("dryL", dry).and("sealedL", sealed)));
    }
}
