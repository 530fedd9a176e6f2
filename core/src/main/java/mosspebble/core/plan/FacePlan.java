package mosspebble.core.plan;

import java.util.Optional;
import mosspebble.core.project.Project;
import mosspebble.core.project.Side;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.stone.Survey;
import org.locationtech.jts.geom.Geometry;

/**
 * What a plan holds for one face.
 *
 * @param project as it is with this face up
 * @param survey of the stone as it lies then
 * @param film how thick it lies
 * @param noticed what the planner came upon
 * @param stays where old paint is seen that is not part of the design and that nothing is painted over, mm
 */
public record FacePlan(Project project, Survey survey, Optional<PlacedDesign> design, PaintPlan.Thickness film, Noticed noticed,
        Geometry stays) {

    public Side side() {
        return project.sides().backUp() ? Side.BACK : Side.FRONT;
    }

    FacePlan of(Project whole) {
        return new FacePlan(whole, survey, design, film, noticed, stays);
    }
}
