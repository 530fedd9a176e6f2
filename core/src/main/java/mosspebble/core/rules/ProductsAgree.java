package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import mosspebble.core.care.Compatibility;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Weight;
import mosspebble.core.finding.Finding;
import mosspebble.core.blend.Share;
import mosspebble.core.plan.BuildUp;
import mosspebble.core.plan.Step;
import mosspebble.core.units.Facts;

/** Products that do not go over one another, as the plan lays them. */
final class ProductsAgree implements Rule {

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        List<Finding> found = new ArrayList<>();
        Set<String> said = new LinkedHashSet<>();
        for (BuildUp.Laid pair : on.plan().noticed().laid()) {
            if (pair.below() < 0 || isMeantToCrack(on.plan().steps().get(pair.above()))) {
                continue;
            }
            for (Paint below : paints(pair.below(), on)) {
                for (Paint above : paints(pair.above(), on)) {
                    if (!below.equals(above) && said.add(below.id() + " " + above.id())) {
                        Compatibility.of(below, above, true, on.workshop().tests())
                                .filter(v -> v.rule().filter(ProductsAgree::isKept).isEmpty())
                                .ifPresent(v -> found.add(told(below, above, v)));
                    }
                }
            }
        }
        return found;
    }

    private static boolean isMeantToCrack(Step above) {
        return above instanceof Step.Lay lay && lay.doing().what().stream().allMatch(w -> w.share().kind() == Share.Kind.CRACKED);
    }

    /** Whether the plan keeps it anyway: it waits before resin and lacquer, and for cracks to open, as long as they ask for. */
    private static boolean isKept(Compatibility.Rule rule) {
        return rule == Compatibility.Rule.RESIN_OVER_PAINT || rule == Compatibility.Rule.SEALER_OVER_CRACKLE
                || rule == Compatibility.Rule.LACQUER_OVER_FRESH_ACRYLIC;
    }

    private static List<Paint> paints(int step, Bench on) {
        return on.plan().steps().get(step).mix().map(Mix::parts).orElse(List.of()).stream()
                .flatMap(p -> on.palette().shelf().find(p.paint()).stream()).toList();
    }

    private static Finding told(Paint below, Paint above, Compatibility.Verdict verdict) {
        Facts facts = Facts.of("above", above.name()).and("below", below.name());
        Facts why = verdict.rule().map(r -> facts.and("rule", r)).orElse(facts);
        Facts whole = verdict.test().map(t -> why.and("outcome", t.outcome()).and("note", t.note())).orElse(why);
        Weight weight = switch (verdict.severity()) {
            case NEVER -> Weight.STOP;
            case CARE -> Weight.MIND;
            case NOTE -> Weight.TIP;
        };
        return Finding.of(Code.INCOMPATIBLE, whole).weighing(weight);
    }
}
