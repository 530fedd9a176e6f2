package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Ladder;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind.Use;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.plan.Gems;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Geometry;

/** Powder, leaf and gems that nothing holds, and gems larger than their seats. */
final class LaidInItsWay implements Rule {

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
        for (Slot slot : on.plan().design().orElseThrow().slots()) {
            Blend blend = on.project().blends().getOrDefault(slot.id(), Blend.flat());
            Optional<Mix> mix = Optional.ofNullable(on.project().colours().get(slot.id())).filter(Mix::isSingle);
            mix.flatMap(m -> on.palette().shelf().find(m.parts().get(0).paint())).filter(p -> !p.kind().laidAsPaint())
                    .ifPresent(p -> found.add(unheld(p, slot, blend, on)));
            gem(blend, on).ifPresent(gem -> tooLarge(gem, slot, blend, on).ifPresent(found::add));
        }
        return found;
    }

    private static Finding unheld(Paint paint, Slot slot, Blend blend, Bench on) {
        Use use = List.of(Use.RUBBED_ON, Use.IS_LEAF, Use.GLUED_ON).stream().filter(paint.kind()::does).findFirst().orElseThrow();
        BlendKind way = BlendKind.of(use).orElseThrow();
        Facts facts = Facts.of("paint", paint.name()).and("slot", slot.title()).and("way", way);
        List<Remedy> remedies = Ladder.end(on.palette(), false).map(dark -> List.of(new Remedy(Cure.LAY_IN_ITS_WAY, Facts.of("way", way),
                p -> p.withColour(slot.id(), Mix.of(dark.id()))
                        .withBlend(slot.id(), Blend.of(way).withColours(List.of(Mix.of(paint.id()))).withOver(blend.over())))))
                .orElse(List.of());
        return Finding.of(Code.NEEDS_ITS_WAY, facts, remedies);
    }

    /** The gem that a blend sets, below or over. */
    private static Optional<Paint> gem(Blend blend, Bench on) {
        for (int number = 0; number <= blend.over().size(); number++) {
            if (blend.layer(number).kind() == BlendKind.GEMS) {
                return Gems.of(blend.layer(number), on.palette());
            }
        }
        return Optional.empty();
    }

    private static Optional<Finding> tooLarge(Paint gem, Slot slot, Blend blend, Bench on) {
        double holds = 0;
        for (PlacedPart part : on.plan().design().orElseThrow().parts()) {
            if (part.part().role() == Role.FILL && part.part().slot().equals(slot.id())) {
                Geometry home = on.remembered().home(part.drawn());
                holds = Math.max(holds, on.remembered().recall("gem", home, "", (area, none, m) -> Gems.largestMm(area)));
            }
        }
        if (holds >= gem.tip().value()) {
            return Optional.empty();
        }
        return Optional.of(Finding.of(Code.GEM_TOO_LARGE,
                Facts.of("gem", gem.name()).and("mm", gem.tip().value()).and("holdsMm", holds).and("slot", slot.title()),
                Remedy.of(Cure.LAY_FLAT, p -> p.withBlend(slot.id(), Blend.flat()))));
    }
}
