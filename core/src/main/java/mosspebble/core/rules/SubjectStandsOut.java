package mosspebble.core.rules;

import java.util.List;
import java.util.Map;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Palette;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.StoneState;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Habits;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Geometry;

/** A subject without outline whose colour is that of what is behind it. */
final class SubjectStandsOut implements Rule {

    /** Neighbouring colours closer than this cannot be told apart at arm's length, CIEDE2000 (common practice, no source). */
    private static final double ALIKE = 8;

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        if (!on.plan().design().isPresent() || on.project().sketch().filter(s -> s.items().stream().anyMatch(Item::wearing)).isPresent()) {
            return List.of();
        }
        Lab behind = on.project().ground().flatMap(on.palette()::colour).filter(g -> on.habits().ground() != Habits.Ground.BARE)
                .map(Palette.Colour::lab)
                .orElse(Lab.of(PaintPlan.bare(on.survey().stone(), on.habits().outdoors() ? StoneState.SEALED : StoneState.DRY)));
        PlacedDesign design = on.plan().design().orElseThrow();
        Map<String, Palette.Colour> colours = on.colours();
        for (PlacedPart part : design.parts()) {
            Palette.Colour colour = colours.get(part.part().slot());
            if (part.part().role() == Role.FILL && colour != null && !part.part().outlined() && colour.lab().differenceTo(behind) < ALIKE
                    && inner(on, design).getArea() > 0 && !inner(on, design).covers(part.drawn())) {
                return List.of(Finding.of(Code.VANISHES,
                        Facts.of("part", part.part().title()).and("contrast", colour.lab().differenceTo(behind))));
            }
        }
        return List.of();
    }

    private static Geometry inner(Bench on, PlacedDesign design) {
        return on.remembered().grown(design.silhouette(on.remembered()), -0.5);
    }
}
