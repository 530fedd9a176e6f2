package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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
            for (int number = 0; used && number <= blend.over().size(); number++) {
                Blend layer = blend.layer(number);
                Optional<PaintKind.Use> lacking = lacking(layer.kind(), on);
                boolean dark = layer.kind() == BlendKind.POWDERED && !on.habits().lamp();
                if (lacking.isEmpty() && !dark && (layer.kind().material().isPresent()
                        || layer.more().stream().filter(mix -> on.palette().colour(mix).isPresent()).count()
                                >= layer.kind().leastColours())) {
                    continue;
                }
                boolean upon = number > 0;
                Blend mended = upon ? blend.withoutOver(number) : Blend.flat().withOver(blend.over());
                Facts facts = Facts.of("blend", layer.kind()).and("ground", ground).and("upon", upon)
                        .and("slot", slots.stream().filter(s -> s.id().equals(slot)).map(Slot::title).findFirst().orElse(slot))
                        .and("colours", layer.kind().leastColours() + (upon ? 0 : 1));
                found.add(Finding.of(dark ? Code.NO_LAMP : lacking.isPresent() ? Code.LACKS_MEDIUM : Code.BLEND_LACKS_COLOURS,
                        lacking.map(use -> facts.and("medium", use)).orElse(facts),
                        Remedy.of(upon ? Cure.LEAVE_LAYER_OUT : Cure.LAY_FLAT, p -> p.withBlend(slot, mended))));
            }
        });
        return found;
    }

    /** What the shelf lacks for a way to lay colour: the medium between, or what is laid on it. */
    private static Optional<PaintKind.Use> lacking(BlendKind kind, Bench on) {
        return Stream.concat(kind.medium().stream(), kind.material().stream())
                .filter(use -> on.palette().shelf().that(use).isEmpty()).findFirst();
    }
}
