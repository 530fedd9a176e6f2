package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.sketch.Pairs;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.units.Facts;

/** Pairs that the shape of the stone pulls apart. */
final class EqualPairs implements Rule {

    /** Mirror partners may differ by this much before anyone sees it, mm (common practice, no source). */
    private static final double UNEQUAL_MM = 0.5;

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        List<Finding> found = new ArrayList<>();
        for (PlacedItem placed : on.placed()) {
            List<Pairs.Pair> pairs = Pairs.of(placed).stream().filter(p -> p.apartMm() > UNEQUAL_MM && Math.abs(p.larger() - 1) > 0.02)
                    .toList();
            pairs.stream().max((a, b) -> Double.compare(a.apartMm(), b.apartMm())).ifPresent(worst -> {
                boolean first = worst.larger() < 1;
                Facts facts = Facts.of("larger", (first ? worst.one() : worst.other()).part().title())
                        .and("smaller", (first ? worst.other() : worst.one()).part().title())
                        .and("percent", 100 * (Math.max(worst.larger(), 1 / worst.larger()) - 1)).and("others", pairs.size() - 1);
                found.add(Finding.of(Code.UNEQUAL_PAIR, facts,
                        Remedy.of(Cure.EQUAL_PAIRS, p -> Bench.with(p, placed.item(), i -> i.withMatched(true)))));
            });
        }
        return found;
    }
}
