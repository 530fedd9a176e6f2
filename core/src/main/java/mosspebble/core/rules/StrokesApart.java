package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.Paintability;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.Facts;

/** Strokes and letters between which too little is left. */
final class StrokesApart implements Rule {

    /** They are told one by one up to this number. */
    private static final int ONE_BY_ONE = 2;

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        return on.plan().noticed().fit().tight().stream().limit(ONE_BY_ONE).map(StrokesApart::tight).toList();
    }

    private static Finding tight(Paintability.Tight found) {
        Item item = found.item().item();
        boolean letters = found.one() != found.other();
        Facts facts = Facts.of("one", found.one().part().title()).and("gapMm", found.gapMm()).and("neededMm", found.neededMm());
        List<Remedy> remedies = new ArrayList<>();
        if (letters && item.subject() instanceof Subject.Word word && word.setting().space() <= 0.9) {
            double em = Math.max(0.02, (found.neededMm() - found.gapMm()) / item.placement().scale() * 0.75);
            remedies.add(Remedy.of(Cure.SPACE_LETTERS, p -> Bench.with(p, item, i -> i.showing(
                    word.with(word.setting().spaced(word.setting().optical(), word.setting().space() + em, word.setting().lineStep()))))));
        } else if (item.manner() != ItemMode.WEARING && found.gapMm() > 0.05 && found.neededMm() / found.gapMm() < 2.5) {
            double factor = 1.02 * found.neededMm() / found.gapMm();
            remedies.add(new Remedy(Cure.ENLARGE, Facts.of("factor", factor),
                    p -> Bench.with(p, item, i -> i.withPlacement(i.placement().sizedBy(factor)))));
        }
        if (!letters) {
            Set<String> out = new LinkedHashSet<>(item.leftOut());
            out.add(found.one().part().id().substring(item.named("").length()));
            remedies.add(new Remedy(Cure.LEAVE_OUT, Facts.of("parts", 2), p -> Bench.with(p, item, i -> i.withLeftOut(out))));
        }
        return Finding.of(Code.TOO_TIGHT, letters ? facts.and("other", found.other().part().title()) : facts, remedies);
    }
}
