package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Facts;

/** Colour slots and a ground whose colour is not there. */
final class EverySlotHasColour implements Rule {

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
        Map<String, Palette.Colour> colours = on.colours();
        for (Slot slot : on.plan().design().orElseThrow().slots()) {
            if (!colours.containsKey(slot.id())) {
                Facts facts = Facts.of("slot", slot.title());
                Mix mix = on.project().colours().get(slot.id());
                found.add(Finding.of(Code.NO_COLOUR, mix == null ? facts : facts.and("mix", on.palette().shelf().words(mix)),
                        Remedy.of(Cure.NEAREST_MIX, p -> nearest(p, slot, on.palette()))));
            }
        }
        on.project().ground().filter(g -> on.palette().colour(g).isEmpty())
                .ifPresent(g -> found.add(Finding.of(Code.GROUND_NOT_ON_SHELF, Facts.of("mix", on.palette().shelf().words(g)))));
        return found;
    }

    private static Project nearest(Project project, Slot slot, Palette palette) {
        return RecipeSearch.nearest(Lab.of(slot.wish()), palette, 6, 2).map(r -> project.withColour(slot.id(), r.mix())).orElse(project);
    }
}
