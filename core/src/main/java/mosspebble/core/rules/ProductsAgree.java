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
            if (pair.below() < 0) {
                continue;
            }
            for (Paint below : paints(pair.below(), on)) {
                for (Paint above : paints(pair.above(), on)) {
                    if (!below.equals(above) && said.add(below.id() + " " + above.id())) {
                        Compatibility.of(below, above, true, on.workshop().tests())
                                .filter(v -> v.rule().filter(r -> isKept(r, on.plan().steps().get(pair.above()))).isEmpty())
                                .ifPresent(v -> found.add(told(below, above, v)));
                    }
                }
            }
        }
        return found;
    }

    /**
     * Whether the plan keeps it anyway: it waits before it seals as long as resin, lacquer and cracks ask for, and a coat that is to crack
     * may. What is laid within the picture waits for none of that.
     */
    private static boolean isKept(Compatibility.Rule rule, Step above) {
        return switch (rule) {
            case RESIN_OVER_PAINT, LACQUER_OVER_FRESH_ACRYLIC, SEALER_OVER_CRACKLE -> above instanceof Step.Seal;
            case ANYTHING_OVER_CRACKLE ->
                    above instanceof Step.Lay lay && lay.doing().what().stream().allMatch(w -> w.share().kind() == Share.Kind.CRACKED);
            default -> false;
        };
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
