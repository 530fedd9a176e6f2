package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Habits;
import mosspebble.core.units.Facts;

/** A sealer other than the one that was wanted. */
final class WantedSealer implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        return on.plan().steps().isEmpty() ? List.of() : on.plan().noticed().sealer()
                .filter(s -> !s.id().equals(on.project().wholeHabits().sealer()))
                .filter(s -> !wanted(s, on.project().wholeHabits().seal()))
                .map(s -> List
                        .of(Finding.of(Code.OTHER_SEALER, Facts.of("wanted", on.project().wholeHabits().seal()).and("sealer", s.name()))))
                .orElse(List.of());
    }

    private static boolean wanted(Paint sealer, Habits.Seal seal) {
        return switch (seal) {
            case RESIN -> sealer.binder() == Binder.RESIN;
            case MATT -> sealer.finish() == Finish.MATT;
            case GLOSS -> sealer.finish() == Finish.GLOSS && sealer.binder() != Binder.RESIN;
            case NONE -> true;
        };
    }
}
