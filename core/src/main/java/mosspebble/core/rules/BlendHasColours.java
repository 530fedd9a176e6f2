package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.blend.Blend;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Facts;

/** Blends that have not the colours they need. */
final class BlendHasColours implements Rule {

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        if (!on.paintable()) {
            return List.of();
        }
        List<Finding> found = new ArrayList<>();
        List<Slot> slots = on.plan().design().orElseThrow().slots();
        on.project().blends().forEach((slot, blend) -> {
            long there = blend.more().stream().filter(mix -> on.palette().colour(mix).isPresent()).count();
            boolean ground = slot.equals(Project.GROUND);
            boolean used = ground ? on.project().ground().isPresent() && on.habits().ground() != Habits.Ground.BARE
                    : slots.stream().anyMatch(s -> s.id().equals(slot));
            if (used && there < blend.kind().leastColours()) {
                Facts facts = Facts.of("blend", blend.kind()).and("ground", ground)
                        .and("slot", slots.stream().filter(s -> s.id().equals(slot)).map(Slot::title).findFirst().orElse(slot))
                        .and("colours", blend.kind().leastColours() + 1);
                found.add(Finding.of(Code.BLEND_LACKS_COLOURS, facts, Remedy.of(Cure.LAY_FLAT, p -> p.withBlend(slot, Blend.flat()))));
            }
        });
        return found;
    }
}
