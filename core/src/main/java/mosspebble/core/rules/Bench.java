package mosspebble.core.rules;

import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.StoneState;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.sketch.Support;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.stone.Survey;

/**
 * A plan on the bench to be looked over.
 *
 * @param remembered what was worked out before
 */
record Bench(PaintPlan plan, Workshop workshop, Remembered remembered) {

    Project project() {
        return plan.project();
    }

    Survey survey() {
        return plan.survey();
    }

    Palette palette() {
        return workshop.palette();
    }

    Habits habits() {
        return project().habits();
    }

    /** What the sketch is laid on. */
    Support bed() {
        return new Support(survey(), project().viewpoint());
    }

    /** The things that are laid on the stone. */
    List<PlacedItem> placed() {
        return plan.design().map(PlacedDesign::items).orElse(List.of());
    }

    /** The colours of the slots that have one on the shelf. */
    Map<String, Palette.Colour> colours() {
        return palette().colours(project().colours());
    }

    /** Whether there is something to paint and something to paint it with. */
    boolean paintable() {
        return plan.design().isPresent() && !palette().shelf().paints().isEmpty();
    }

    double sealedLightness() {
        return Lab.of(PaintPlan.bare(survey().stone(), StoneState.SEALED)).l();
    }

    /** Whether the stone is so tight that paint hardly grips. */
    boolean glassy() {
        return survey().stone().isGlassy();
    }

    static Project with(Project project, Item item, UnaryOperator<Item> change) {
        return project.withSketch(project.sketch().map(s -> s.with(item.id(), change)));
    }
}
