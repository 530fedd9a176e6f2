package mosspebble.core.rules;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.blend.Blend;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Project;
import mosspebble.core.units.Facts;

/** Whether what is laid wet can be done while it stays open. */
final class WetInTime implements Rule {

    @Override
    public List<Finding> look(Bench on) {
        Optional<Step> worst = on.plan().steps().stream().filter(s -> s.wet().isPresent() && !s.wet().get().inTime())
                .reduce((a, b) -> b.wet().get().work().compareTo(a.wet().get().work()) > 0 ? b : a);
        return worst.map(s -> List
                .of(Finding.of(Code.WET_TOO_LONG, Facts.of("step", s).and("work", s.wet().get().work()).and("open", s.wet().get().open()),
                        Remedy.of(Cure.GLAZES, WetInTime::glazed))))
                .orElse(List.of());
    }

    private static Project glazed(Project project) {
        Project changed = project;
        for (Map.Entry<String, Blend> each : project.blends().entrySet()) {
            changed = changed.withBlend(each.getKey(), each.getValue().withMethod(Blend.Method.GLAZES));
        }
        return changed;
    }
}
