package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.sketch.Item;
import mosspebble.core.units.Facts;

/** Things that could not be worked out. */
final class LeftOut implements Rule {

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        return on.plan().noticed().leftOut().stream().map(item -> Finding.of(Code.LEFT_OUT, named(item),
                Remedy.of(Cure.TAKE_AWAY, p -> p.withSketch(p.sketch().flatMap(s -> s.without(item.id())))))).toList();
    }

    /** What kind of thing it is, and its name where it has one. */
    static Facts named(Item item) {
        return item.subject().match(figure -> Facts.of("thing", "figure").and("name", figure.motif()),
                word -> Facts.of("thing", "word").and("name", word.text()), dots -> Facts.of("thing", "dots"),
                pattern -> Facts.of("thing", "pattern").and("name", pattern.family()), stroke -> Facts.of("thing", "stroke"),
                guide -> Facts.of("thing", "guide").and("name", guide.kind().title()));
    }
}
