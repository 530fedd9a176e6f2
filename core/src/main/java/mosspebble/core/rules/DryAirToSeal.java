package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;
import mosspebble.core.drying.Psychrometrics;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** A room too near the dew point to seal in. */
final class DryAirToSeal implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        Climate climate = on.workshop().climate();
        if (on.plan().steps().isEmpty() || on.plan().noticed().sealer().isEmpty() || Drying.safeToSeal(climate)) {
            return List.of();
        }
        return List.of(Finding.of(Code.DEW, Facts.of("celsius", climate.temperature().value()).and("aboveDew",
                climate.temperature().value() - Psychrometrics.dewPoint(climate).value())));
    }
}
