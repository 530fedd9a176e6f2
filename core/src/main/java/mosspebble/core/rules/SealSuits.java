package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.care.SealKind;
import mosspebble.core.colour.Paint;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.project.Habits;
import mosspebble.core.units.Facts;

/** A sealer that does not suit the air of the room or the place where the stone will live. */
final class SealSuits implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        Optional<Paint> sealer = on.plan().steps().isEmpty() ? Optional.empty() : on.plan().noticed().sealer();
        if (sealer.isEmpty()) {
            return List.of();
        }
        SealKind kind = SealKind.of(sealer.get());
        Facts facts = Facts.of("sealer", sealer.get().name());
        List<Finding> found = new ArrayList<>();
        if (on.project().wholeHabits().outdoors() && !kind.lastsOutdoors()) {
            found.add(Finding.of(Code.SEAL_INDOORS_ONLY, facts,
                    Remedy.of(Cure.SEAL, p -> p.withHabits(p.habits().withSeal(Habits.Seal.GLOSS)))));
        }
        Climate air = on.workshop().climate();
        SealKind.Window window = kind.window();
        double celsius = air.temperature().value();
        if (celsius < window.low() || celsius > window.high() || air.humidity() > window.damp()) {
            found.add(Finding.of(Code.SEAL_AIR, facts.and("celsius", celsius).and("humidity", air.humidity()).and("low", window.low())
                    .and("high", window.high()).and("damp", window.damp())));
        }
        return found;
    }
}
