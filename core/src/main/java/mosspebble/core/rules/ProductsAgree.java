package mosspebble.core.rules;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Quarrel;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
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
        Map<String, Told> found = new LinkedHashMap<>();
        for (BuildUp.Laid pair : on.plan().noticed().laid()) {
            if (pair.below() < 0) {
                continue;
            }
            for (Paint below : paints(pair.below(), false, on)) {
                for (Paint above : paints(pair.above(), true, on)) {
                    if (!below.equals(above)) {
                        on.workshop().known().of(below, above, true).filter(v -> !isKept(v, on.plan().steps().get(pair.above())))
                                .ifPresent(v -> found.computeIfAbsent(key(v, below, above), k -> new Told(v)).add(below, above));
                    }
                }
            }
        }
        return found.values().stream().map(t -> t.finding(lacks(t.verdict, on))).toList();
    }

    /** Each rule is said once, of all that it speaks of; each test of its own pair. */
    private static String key(Compatibility.Verdict verdict, Paint below, Paint above) {
        return verdict.rule().map(Enum::name).or(() -> verdict.own().map(Quarrel::toString)).orElse(below.id() + " " + above.id());
    }

    /** What one verdict speaks of. */
    private static final class Told {
        private final Compatibility.Verdict verdict;
        private final Set<String> below = new LinkedHashSet<>();
        private final Set<String> above = new LinkedHashSet<>();

        Told(Compatibility.Verdict verdict) {
            this.verdict = verdict;
        }

        void add(Paint lower, Paint upper) {
            below.add(lower.name());
            above.add(upper.name());
        }

        Finding finding(boolean lacking) {
            Facts facts = Facts.of("above", String.join(", ", above)).and("below", String.join(", ", below)).and("lacks", lacking);
            Facts why = verdict.rule().map(r -> facts.and("rule", r)).orElse(facts);
            Facts own = verdict.own().map(q -> why.and("reason", q.reason())).orElse(why);
            Facts whole = verdict.test().map(t -> own.and("outcome", t.outcome()).and("note", t.note())).orElse(own);
            Weight weight = switch (verdict.severity()) {
                case NEVER -> Weight.STOP;
                case CARE -> Weight.MIND;
                case NOTE -> Weight.TIP;
            };
            return Finding.of(Code.INCOMPATIBLE, whole).weighing(weight);
        }
    }

    /** Whether a coat between would mend it and the shelf has none. */
    private static boolean lacks(Compatibility.Verdict verdict, Bench on) {
        return (verdict.way() == Quarrel.Way.ISOLATE || verdict.way() == Quarrel.Way.SPRAY_BETWEEN)
                && on.palette().shelf().that(PaintKind.Use.ISOLATES).isEmpty();
    }

    /**
     * Whether the plan keeps it anyway: it waits before it seals and before it paints as long as the rule asks for, and a coat that is to
     * crack may.
     */
    private static boolean isKept(Compatibility.Verdict verdict, Step above) {
        return verdict.way() == Quarrel.Way.WAIT || verdict.rule().filter(r -> r == Compatibility.Rule.ANYTHING_OVER_CRACKLE).isPresent()
                && above instanceof Step.Lay lay && lay.doing().what().stream().allMatch(w -> w.share().kind() == Share.Kind.CRACKED);
    }

    /** What a step lays; of gel and powder or glue and gem what meets what is below, and what is met from above. */
    private static List<Paint> paints(int number, boolean lower, Bench on) {
        Step step = on.plan().steps().get(number);
        boolean set = step instanceof Step.Lay lay && lay.wet().isPresent() && lay.doing().what().stream().anyMatch(w -> w.share().isSet());
        int last = step.layers().size() - 1;
        List<Step.Layer> layers = !set ? step.layers() : lower ? step.layers().subList(0, 1) : step.layers().subList(last, last + 1);
        return layers.stream().flatMap(l -> l.load().mix().parts().stream()).distinct()
                .flatMap(p -> on.palette().shelf().find(p.paint()).stream()).toList();
    }
}
