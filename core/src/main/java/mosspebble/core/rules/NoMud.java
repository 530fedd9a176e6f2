package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** Colours that go to mud where they run together. */
final class NoMud implements Rule {

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        return on.plan().noticed().muddy().stream()
                .map(m -> Finding.of(Code.MUD, Facts.of("what", m.what()).and("colour", m.mud().words()).and("lost", m.mud().lost())))
                .toList();
    }
}
