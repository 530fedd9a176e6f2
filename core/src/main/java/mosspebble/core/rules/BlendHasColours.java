package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.PaintKind;
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
            boolean ground = slot.equals(Project.GROUND);
            boolean used = ground ? on.project().ground().isPresent() && on.habits().ground() != Habits.Ground.BARE
                    : slots.stream().anyMatch(s -> s.id().equals(slot));
            if (used && blend.kind() == BlendKind.CRACKLED && on.palette().shelf().that(PaintKind.Use.CRACKS).isEmpty()) {
                found.add(Finding.of(Code.NO_CRACKLE,
                        Facts.of("ground", ground).and("slot",
                                slots.stream().filter(s -> s.id().equals(slot)).map(Slot::title).findFirst().orElse(slot)),
                        Remedy.of(Cure.LAY_FLAT, p -> p.withBlend(slot, Blend.flat().withOver(blend.over())))));
            }
            for (int number = 0; used && number <= blend.over().size(); number++) {
                Blend layer = blend.layer(number);
                if (layer.more().stream().filter(mix -> on.palette().colour(mix).isPresent()).count() >= layer.kind().leastColours()) {
                    continue;
                }
                boolean upon = number > 0;
                Blend mended = upon ? blend.withoutOver(number) : Blend.flat().withOver(blend.over());
                Facts facts = Facts.of("blend", layer.kind()).and("ground", ground).and("upon", upon)
                        .and("slot", slots.stream().filter(s -> s.id().equals(slot)).map(Slot::title).findFirst().orElse(slot))
                        .and("colours", layer.kind().leastColours() + (upon ? 0 : 1));
                found.add(Finding.of(Code.BLEND_LACKS_COLOURS, facts,
                        Remedy.of(upon ? Cure.LEAVE_LAYER_OUT : Cure.LAY_FLAT, p -> p.withBlend(slot, mended))));
            }
        });
        return found;
    }
}
