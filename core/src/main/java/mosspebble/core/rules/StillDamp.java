package mosspebble.core.rules;

import java.time.Duration;
import java.util.List;
import mosspebble.core.drying.SteadyMass;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.units.Facts;

/** Water still in the stone, as the last weighing tells. */
final class StillDamp implements Rule {

    /** Fewest weighings that tell anything. */
    private static final int FEWEST = 3;

    @Override
    public List<Finding> look(Bench on) {
        List<SteadyMass.Weighing> weighings = on.project().weighings();
        if (weighings.size() < FEWEST) {
            return List.of();
        }
        SteadyMass mass = SteadyMass.fit(weighings);
        double now = weighings.get(weighings.size() - 1).hours();
        if (mass.doubt().isPresent() || mass.readyHours() <= now + 0.5) {
            return List.of();
        }
        Duration left = Duration.ofMinutes(Math.round(60 * (mass.readyHours() - now)));
        return List
                .of(Finding.of(Code.STILL_DAMP, Facts.of("grams", mass.waterGrams() * Math.exp(-now / mass.tauHours())).and("left", left)));
    }
}
