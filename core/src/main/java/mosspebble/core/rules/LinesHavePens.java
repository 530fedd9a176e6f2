package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.plan.OutlinePen;
import mosspebble.core.project.Habits;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.LineWish;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.units.Facts;

/** A colour of line is wanted that nothing on the shelf draws. */
final class LinesHavePens implements Rule {

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        List<Finding> found = new ArrayList<>();
        if (!on.paintable()) {
            return found;
        }
        LineWish habit = OutlinePen.habit(on.habits());
        if (lacks(on, habit)) {
            found.add(Finding.of(Code.LINE_NOT_ON_SHELF, facts(on, habit), Remedy.of(Cure.LINE_BY_CONTRAST,
                    p -> p.withHabits(p.habits().withLineColour(Habits.LineColour.CONTRAST)))));
        }
        for (PlacedItem placed : on.placed()) {
            Item item = placed.item();
            if (lacks(on, item.lines().whole())) {
                found.add(Finding.of(Code.LINE_NOT_ON_SHELF,
                        facts(on, item.lines().whole()).and("thing", placed.motif().title().toLowerCase(Locale.ROOT)),
                        Remedy.of(Cure.LINE_BY_CONTRAST, p -> Bench.with(p, item,
                                i -> i.withLines(i.lines().withWhole(i.lines().whole().coloured(LineWish.Colour.CONTRAST)))))));
            }
            for (Map.Entry<String, LineWish> part : item.lines().parts().entrySet()) {
                Optional<String> title = placed.motif().parts().stream().filter(p -> p.id().equals(part.getKey())).map(p -> p.title())
                        .findFirst();
                if (title.isPresent() && lacks(on, part.getValue())) {
                    found.add(Finding.of(Code.LINE_NOT_ON_SHELF,
                            facts(on, part.getValue()).and("thing", title.get()),
                            Remedy.of(Cure.LINE_BY_CONTRAST, p -> Bench.with(p, item, i -> i.withLines(
                                    i.lines().with(part.getKey(), part.getValue().coloured(LineWish.Colour.CONTRAST)))))));
                }
            }
        }
        return found;
    }

    private static boolean lacks(Bench on, LineWish wish) {
        return switch (wish.colour()) {
            case OPEN, NONE, CONTRAST -> false;
            case BLACK, WHITE, GREY, PAINT -> OutlinePen.drawing(on.palette(), on.habits(), wish).isEmpty();
        };
    }

    /** Which colour, and the name of the paint where one was chosen that is still known. */
    private static Facts facts(Bench on, LineWish wish) {
        Facts facts = Facts.of("line", wish.colour());
        return on.palette().shelf().find(wish.paint()).map(p -> facts.and("paint", p.name())).orElse(facts);
    }
}
