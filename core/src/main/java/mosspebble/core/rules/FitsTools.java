package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mosspebble.core.colour.Mix;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.Paintability;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Envelope;

/** Parts too narrow for what fills them. */
final class FitsTools implements Rule {

    /** A subject is not enlarged more often than this (common practice, no source). */
    private static final double MOST_GROWTH = 12;
    /** Pits deeper than this make a stone rough for fine work, mm (common practice, no source). */
    private static final double ROUGH_MM = 0.1;

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        Map<String, List<Paintability.Narrow>> byItem = new LinkedHashMap<>();
        on.plan().noticed().fit().narrow().forEach(n -> byItem.computeIfAbsent(n.item().item().id(), id -> new ArrayList<>()).add(n));
        return byItem.values().stream().map(found -> narrow(found, on)).toList();
    }

    private static Finding narrow(List<Paintability.Narrow> found, Bench on) {
        Paintability.Narrow worst = found.get(0);
        double factor = 1.02 * found.stream().mapToDouble(Paintability.Narrow::growth).max().orElse(1);
        Facts facts = Facts.of("part", worst.part().part().title()).and("wideMm", worst.wideMm()).and("neededMm", worst.neededMm())
                .and("rough", on.survey().stone().texture().pitMm() > ROUGH_MM).and("others", found.size() - 1);
        Item item = worst.item().item();
        List<Remedy> remedies = new ArrayList<>();
        Envelope own = worst.item().silhouette().getEnvelopeInternal();
        Envelope face = on.survey().zones().face().getEnvelopeInternal();
        if (item.manner() != ItemMode.WEARING && factor <= MOST_GROWTH && own.getWidth() * factor < 0.95 * face.getWidth()
                && own.getHeight() * factor < 0.95 * face.getHeight()) {
            remedies.add(new Remedy(Cure.ENLARGE, Facts.of("factor", factor),
                    p -> Bench.with(p, item, i -> i.withPlacement(i.placement().sizedBy(factor)))));
        }
        worst.finer().ifPresent(pen -> remedies.add(
                new Remedy(Cure.FINER_PEN, Facts.of("pen", pen.name()), p -> p.withColour(worst.part().part().slot(), Mix.of(pen.id())))));
        if (item.subject() instanceof Subject.Word word && word.setting().swell() < 0.1) {
            remedies.add(Remedy.of(Cure.THICKEN, p -> Bench.with(p, item,
                    i -> i.showing(word.with(word.setting().withSwell(Math.min(0.12, word.setting().swell() + 0.04)))))));
        }
        if (worst.item().parts().size() > found.size()) {
            Set<String> out = new LinkedHashSet<>(item.leftOut());
            int prefix = item.named("").length();
            found.forEach(n -> out.add(n.part().part().id().substring(prefix)));
            remedies.add(new Remedy(Cure.LEAVE_OUT, Facts.of("parts", found.size()), p -> Bench.with(p, item, i -> i.withLeftOut(out))));
        }
        return Finding.of(Code.TOO_NARROW, worst.pen().map(pen -> facts.and("pen", pen.name())).orElse(facts), remedies);
    }
}
