package mosspebble.core.rules;

import java.time.Duration;
import java.util.List;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.Step;
import mosspebble.core.units.Facts;

/** A room too cold for water-borne paint to form a film, or so damp that it does not dry. */
final class FilmForms implements Rule {

    /** Nobody waits longer for a thin coat (common practice, no source: minutes to an hour or two). */
    private static final Duration TOO_LONG = Duration.ofHours(8);

    @Override
    public List<Finding> look(Bench on) {
        if (on.plan().steps().stream().noneMatch(s -> s instanceof Step.Lay)) {
            return List.of();
        }
        Climate climate = on.workshop().climate();
        Facts facts = Facts.of("celsius", climate.temperature().value()).and("least", Drying.COLDEST).and("humidity", climate.humidity());
        if (climate.temperature().value() < Drying.COLDEST) {
            return List.of(Finding.of(Code.TOO_COLD, facts));
        }
        boolean never = on.plan().steps().stream().filter(s -> s instanceof Step.Lay)
                .anyMatch(s -> s.work().touch().multipliedBy(13).dividedBy(10).compareTo(TOO_LONG) >= 0); // what rests by a rule is dry
        return never ? List.of(Finding.of(Code.NEVER_DRIES, facts)) : List.of();
    }
}
