package mosspebble.files;

import java.util.HashMap;
import java.util.Map;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Repertoire;

/**
 * The demo's stones and their plans, made once for all tests of one process; a stone that is changed is planned as in the program, with
 * what its plans before left known. That this is the plan from nothing is {@link MovedThingsTest}'s matter.
 */
final class WalkPlans {

    static final Repertoire REPERTOIRE = BuiltIn.repertoire();
    static final Studio STUDIO = LanternWalk.studio(REPERTOIRE);
    static final Workshop WORKSHOP = new Workshop(new Palette(STUDIO.shelf()), REPERTOIRE, STUDIO.climate(), STUDIO.known());

    private static final Map<String, PaintPlan> SHIPPED = new HashMap<>();
    private static final Map<String, Remembered> LEFT = new HashMap<>();

    private WalkPlans() {}

    static Project stone(String id) {
        return STUDIO.project(id).orElseThrow();
    }

    /** The plan of a stone as it ships. */
    static PaintPlan of(String id) {
        return SHIPPED.computeIfAbsent(id, i -> of(stone(i)));
    }

    /** The plan of a stone of the walk with something changed. */
    static PaintPlan of(Project project) {
        return of(project, WORKSHOP);
    }

    static PaintPlan of(Project project, Workshop workshop) {
        return Plans.plan(project, Surveys.of(project.stone()), workshop, LEFT.computeIfAbsent(project.id(), i -> new Remembered()));
    }
}
