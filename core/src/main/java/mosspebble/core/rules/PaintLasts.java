package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.colour.Paint;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.units.Facts;

/** Paints that run out. */
final class PaintLasts implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        return on.plan().supplies().stream().filter(PaintUse::runsOut).map(use -> Finding.of(Code.RUNS_OUT,
                Facts.of("paint", on.palette().shelf().find(use.paint()).map(Paint::name).orElse(use.paint()))
                        .and("needed", use.needed().value()).and("left", use.left().value())
                        .and("pieces", on.palette().shelf().find(use.paint()).filter(p -> p.kind().counted()).isPresent())))
                .toList();
    }
}
