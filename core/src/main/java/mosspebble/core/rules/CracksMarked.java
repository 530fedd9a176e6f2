package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.stone.Patch;
import mosspebble.core.units.Facts;

/** Cracks, over which neither faces nor letters go. */
final class CracksMarked implements Rule {

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        int cracks = (int) on.survey().dome().patches().stream().filter(p -> p.kind() == Patch.Kind.CRACK).count();
        return cracks == 0 ? List.of() : List.of(Finding.of(Code.CRACKS_MARKED, Facts.of("cracks", cracks)));
    }
}
